import { FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

/** What is said of a side that leans outwards under its edge; null: it does not. */
export const trailingSideText = (trailingReliefDeg: number): string | null =>
  trailingReliefDeg >= 0
    ? null
    : `The trailing side may lean outwards under its edge by ${Number((-trailingReliefDeg).toFixed(2))}\u00b0 and still clear: the lead angle carries that flank away from it. The leading side is the one that rubs if it is ground square.`;

/** What cuts the thread. */
export const TOOL_KIND_NAMES = {
  ground: 'ground for it',
  'one-pitch': 'insert, one pitch',
  partial: 'insert, partial profile',
  full: 'insert, full profile',
} as const;

/** What that kind can and cannot do here. */
export function toolKindText(
  kind: keyof typeof TOOL_KIND_NAMES,
  form: string,
  internal: boolean,
  u: UnitSystem,
): string {
  const over = `${lengthText(0.05, u, { ...FINE, bare: true })} to ${lengthText(0.15, u, FINE)}`;
  switch (kind) {
    case 'ground':
      return 'Ground to the sheet below: any form and pitch, as true as it was ground and checked.';
    case 'one-pitch':
      return `For the one pitch and form it is marked with, ${form}; trapezoidal and Acme inserts are made so. Its tip is not ground: measure it and type it above.`;
    case 'partial':
      return `A sharp V for a range of pitches: its nose suits the finest of them, so a coarse one is cut deeper than its form and its root is sharper. Type the nose radius above. The crest is not topped.`;
    case 'full':
      return internal
        ? `For one pitch and form; it tops the crest: leave the bore ${over} small on diameter for it (common practice).`
        : `For one pitch and form; it tops the crest: leave the blank ${over} large on diameter for it (common practice).`;
  }
}
