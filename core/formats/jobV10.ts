import { isLoose, type Loose } from './loose.ts';

const NEW_NAMES: Readonly<Record<string, string>> = { leadingFlankDeg: 'leadingDeg', trailingFlankDeg: 'trailingDeg' };

/**
 * Flanks of a special by the name that they have everywhere else, wherever a thread stands.
 * @example flanksRenamed({ special: { leadingFlankDeg: 45, trailingFlankDeg: 7 } }) // { special: { leadingDeg: 45, trailingDeg: 7 } }
 */
export function flanksRenamed(x: unknown): unknown {
  if (Array.isArray(x)) return x.map(flanksRenamed);
  if (!isLoose(x)) return x;
  return Object.fromEntries(Object.entries(x).map(([k, v]) => [NEW_NAMES[k] ?? k, flanksRenamed(v)]));
}

/**
 * The flanks of a special are named as all flanks are.
 * @example jobToV10({ name: { thread: { special: { leadingFlankDeg: 45 } } } }) // { name: { thread: { special: { leadingDeg: 45 } } } }
 */
export const jobToV10 = (doc: Loose): Loose => flanksRenamed(doc) as Loose;
