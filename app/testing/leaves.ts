/** Where in anything a leaf is as it should not be, as the way to it; null: nowhere. */
export function oddLeaf(x: unknown, odd: (leaf: unknown) => boolean, way: string): string | null {
  if (typeof x !== 'object' || x === null) return odd(x) ? `${way}: ${String(x)}` : null;
  for (const [k, v] of Object.entries(x)) {
    const at = oddLeaf(v, odd, `${way}.${k}`);
    if (at !== null) return at;
  }
  return null;
}
