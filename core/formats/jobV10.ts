import { isLoose, type Loose } from './loose.ts';

const NEW_NAMES: Readonly<Record<string, string>> = { leadingFlankDeg: 'leadingDeg', trailingFlankDeg: 'trailingDeg' };

/** Flanks of a special by the name that they have everywhere else, wherever a thread stands. */
export function flanksRenamed(x: unknown): unknown {
  if (Array.isArray(x)) return x.map(flanksRenamed);
  if (!isLoose(x)) return x;
  return Object.fromEntries(Object.entries(x).map(([k, v]) => [NEW_NAMES[k] ?? k, flanksRenamed(v)]));
}

/** The flanks of a special are named as all flanks are. */
export const jobToV10 = (doc: Loose): Loose => flanksRenamed(doc) as Loose;
