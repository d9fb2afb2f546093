/** Bytes as text, however many: a call takes only so many at once. @see RFC 4648, 4 */
export function base64Of(bytes: Uint8Array): string {
  let text = '';
  for (const b of bytes) text += String.fromCharCode(b);
  return btoa(text);
}
