import { isGeared, type Lathe, type LatheDraft } from './schema.ts';
import type { UnconfirmedFact } from './schema.ts';

/**
 * What a cut on this lathe rests on and nobody has said yet: where it stands in, it is not a fact.
 * @example missingFacts(shop.lathes[0]) // []
 * @example missingFacts({ kind: 'change-gears', unconfirmed: ['leadscrew'] })[0] // 'leadscrew'
 */
export const missingFacts = (lathe: Lathe): UnconfirmedFact[] =>
  lathe.unconfirmed.filter((f) => {
    if (f === 'leadscrew') return isGeared(lathe);
    if (f === 'crossSlide' || f === 'topSlide') return lathe.kind !== 'control';
    // a chuck that may screw on is treated as one that does, and a direction is proved by the scratch
    return false;
  });

/**
 * The lathe with a fact said; that it was said is kept even where it is what stood in.
 * @example [structuredClone(shop.lathes[0])].map((l) => (confirm(l, 'leadscrew'), l.unconfirmed.includes('leadscrew'))) // [false]
 */
export function confirm(lathe: LatheDraft, fact: UnconfirmedFact): void {
  lathe.unconfirmed = lathe.unconfirmed.filter((f) => f !== fact);
}
