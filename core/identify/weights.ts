import type { Evidence, Part } from '../evidence/evidence.ts';
import { kindOf } from '../reading/kinds.ts';

/** A reading and how much it counts, 0 to 1. */
export interface Weighed {
  readonly e: Evidence;
  readonly w: number;
}

/**
 * How much each reading counts. Several readings of one diameter share the maker's tolerance and the same instrument, so
 * the least worn of them counts in full and the others by a third: otherwise ten readings of one crest would look like
 * ten independent threads.
 * @example weighed([], 'external') // []
 * @example weighed(evidence(demo('pump')), 'external').length // 4
 */
export function weighed(evidence: readonly Evidence[], part: Part): Weighed[] {
  const best = new Map<string, number>();
  const nameOf = (e: Evidence): string => `${e.quantity} ${e.member ?? part}`;
  evidence.forEach((e, i) => {
    if (!kindOf(e.quantity).worn || !('valueMm' in e)) return;
    const held = best.get(nameOf(e));
    const value = held === undefined ? undefined : evidence[held];
    const larger = value && 'valueMm' in value ? e.valueMm > value.valueMm : true;
    if (held === undefined || ((e.member ?? part) === 'external' ? larger : !larger)) best.set(nameOf(e), i);
  });
  return evidence.map((e, i) => {
    const chosen = best.get(nameOf(e));
    return { e, w: chosen === undefined || chosen === i ? 1 : 1 / 3 };
  });
}

/**
 * A likelihood as far as its reading counts.
 * @example [power(8, 1), power(8, 0)] // [8, 1]
 */
export const power = (likelihood: number, w: number): number => (w === 1 ? likelihood : likelihood ** w);

/**
 * Readings that say something of the pitch and of nothing else.
 * @example [pitchOnly({ quantity: 'crestCount' }), pitchOnly({ quantity: 'majorDiameter' })] // [true, false]
 */
export const pitchOnly = (e: Evidence): boolean => e.quantity === 'crestCount' || e.quantity === 'pitchLeaf';

/** Readings of the pitch rule out most threads, cheaply; repeats, which count in part, rule out least. */
const sharpness = ({ e, w }: Weighed): number => (pitchOnly(e) ? 0 : w === 1 ? 1 : 2);

/**
 * The same readings in the order in which they narrow the field soonest; what they say together does not depend on it.
 * @example sharpestFirst([]) // []
 * @example sharpestFirst(weighed(evidence(demo('pump')), 'external')).length // 4
 */
export const sharpestFirst = (list: readonly Weighed[]): Weighed[] =>
  list.toSorted((a, b) => sharpness(a) - sharpness(b));
