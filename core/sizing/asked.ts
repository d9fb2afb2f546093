import type { Bounds, SizeEvent, SizeModel } from './model.ts';

/** What there is to measure with. */
export type Means =
  | { readonly kind: 'measured'; readonly uncertaintyMm: number }
  | { readonly kind: 'gauge'; readonly which: 'go' | 'not-go'; readonly pitchDiameterMm: number }
  | {
      readonly kind: 'mate';
      readonly name: string;
      readonly bounds: Bounds | null;
      readonly lengthMm: number | null;
      readonly shakeUncertaintyMm: number | null;
    };
/** What the size has to come to: limits, or a clearance on the mate. */
export type SizeTarget =
  | { readonly minMm: number; readonly maxMm: number }
  | { readonly minClearanceMm: number; readonly maxClearanceMm: number };

/** What is known before the next act at the machine. */
export interface SizeAsked {
  readonly model: SizeModel;
  readonly target: SizeTarget;
  readonly means: readonly Means[];
  readonly history: readonly SizeEvent[];
  /** The dial can be set to whole multiples of this only; null: as finely as one likes. */
  readonly stepMm: number | null;
  /** No pass is set more than this deeper than the last; null: no such limit. */
  readonly mostMm: number | null;
}
