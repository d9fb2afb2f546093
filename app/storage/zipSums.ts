/** The sum that a zip keeps of each of its files. @see APPNOTE.TXT 6.3, 4.3.12 (central directory), 4.4.7 (CRC-32) */
export function sumsOf(zip: Uint8Array): ReadonlyMap<string, number> {
  const view = new DataView(zip.buffer, zip.byteOffset, zip.byteLength);
  const sums = new Map<string, number>();
  let end = zip.length - END_BYTES;
  while (end >= 0 && view.getUint32(end, true) !== END_MARK) end -= 1;
  if (end < 0) return sums;
  const count = view.getUint16(end + 10, true);
  let at = view.getUint32(end + 16, true);
  for (let i = 0; i < count && at + 46 <= zip.length && view.getUint32(at, true) === ENTRY_MARK; i += 1) {
    const [name, extra, note] = [28, 30, 32].map((o) => view.getUint16(at + o, true)) as [number, number, number];
    sums.set(new TextDecoder().decode(zip.subarray(at + 46, at + 46 + name)), view.getUint32(at + 16, true));
    at += 46 + name + extra + note;
  }
  return sums;
}
const END_MARK = 0x06054b50;
const ENTRY_MARK = 0x02014b50;
const END_BYTES = 22;

const TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k += 1) c = c & 1 ? (c >>> 1) ^ 0xedb88320 : c >>> 1;
  return c;
});
/** CRC-32. @see ISO 3309; ITU-T V.42, 8.1.1.6.2 */
export function crc32(bytes: Uint8Array): number {
  let c = 0xffffffff;
  for (const b of bytes) c = (TABLE[(c ^ b) & 0xff] ?? 0) ^ (c >>> 8);
  return (c ^ 0xffffffff) >>> 0;
}
