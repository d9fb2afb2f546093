/** A document of an older shape: known only as far as a step changes it. */
export type Loose = Record<string, unknown>;
export type Step = (doc: Loose) => Loose;

export const isLoose = (x: unknown): x is Loose => typeof x === 'object' && x !== null && !Array.isArray(x);
export const each = (list: unknown, step: (item: Loose) => Loose): unknown =>
  Array.isArray(list) ? list.map((x: unknown) => (isLoose(x) ? step(x) : x)) : list;

export const without = (o: Loose, ...keys: string[]): Loose =>
  Object.fromEntries(Object.entries(o).filter(([k]) => !keys.includes(k)));

/** One step a version, from the document's own to the current one. */
export function upgrade(doc: unknown, steps: Readonly<Record<number, Step>>, current: number): unknown {
  if (!isLoose(doc)) return doc;
  let out = doc;
  for (let v = Number(doc['version']); v >= 1 && v < current; v += 1) {
    const step = steps[v];
    if (step) out = { ...step(out), version: v + 1 };
  }
  return out;
}
