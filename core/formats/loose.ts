/** A document of an older shape: known only as far as a step changes it. */
export type Loose = Record<string, unknown>;
/** One step from a version to the next. */
export type Step = (doc: Loose) => Loose;

/**
 * Whether it is an object at all.
 * @example isLoose([]) // false
 */
export const isLoose = (x: unknown): x is Loose => typeof x === 'object' && x !== null && !Array.isArray(x);
/**
 * Every object of a list changed; what is no list, or no object in it, is left for the check to name.
 * @example each([{ a: 1 }, 2], () => ({ b: 1 })) // [{ b: 1 }, 2]
 */
export const each = (list: unknown, step: (item: Loose) => Loose): unknown =>
  Array.isArray(list) ? list.map((x: unknown) => (isLoose(x) ? step(x) : x)) : list;

/**
 * An object without some of its fields.
 * @example without({ a: 1, b: 2 }, 'a') // { b: 2 }
 */
export const without = (o: Loose, ...keys: string[]): Loose =>
  Object.fromEntries(Object.entries(o).filter(([k]) => !keys.includes(k)));

/**
 * One step a version, from the document's own to the current one.
 * @example upgrade({ version: 1 }, { 1: (d) => ({ ...d, version: 2 }) }, 2) // { version: 2 }
 */
export function upgrade(doc: unknown, steps: Readonly<Record<number, Step>>, current: number): unknown {
  if (!isLoose(doc)) return doc;
  let out = doc;
  for (let v = Number(doc['version']); v >= 1 && v < current; v += 1) {
    const step = steps[v];
    if (step) out = { ...step(out), version: v + 1 };
  }
  return out;
}
