import type { Flanks } from '../core/form/flanks.ts';

/** Flanks as the contracts of the door name them. */
export const flanksOf = (q: {
  readonly leadingHalfAngleDeg: number;
  readonly trailingHalfAngleDeg: number;
}): Flanks => ({ leadingDeg: q.leadingHalfAngleDeg, trailingDeg: q.trailingHalfAngleDeg });
