import type { Evidence, Part } from '../evidence/evidence.ts';
import { kindOf } from '../reading/kinds.ts';

/**
 * How much each reading counts. Several readings of one diameter share the maker's tolerance and the same instrument, so
 * the least worn of them counts in full and the others by a third: otherwise ten readings of one crest would look like
 * ten independent threads.
 */
export function weights(evidence: readonly Evidence[], part: Part): number[] {
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
    return chosen === undefined || chosen === i ? 1 : 1 / 3;
  });
}

/** Readings of the pitch rule out most threads, cheaply; repeats, which count in part, rule out least. */
const sharpness = ({ e, w }: Weighed): number =>
  e.quantity === 'crestCount' || e.quantity === 'pitchLeaf' ? 0 : w === 1 ? 1 : 2;

interface Weighed {
  readonly e: Evidence;
  readonly w: number;
}
/** The same readings in the order in which they narrow the field soonest; what they say together does not depend on it. */
export const sharpestFirst = (list: readonly Weighed[]): Weighed[] =>
  list.toSorted((a, b) => sharpness(a) - sharpness(b));
