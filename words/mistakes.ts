import type { MistakeView } from '../core/job/mistakes.ts';
import { degreesText, FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

/** What a mistake leaves, the worst first, and how the setting is checked. */
export function mistakeText(
  m: MistakeView,
  u: UnitSystem,
): { readonly leaves: readonly string[]; readonly check: string } {
  const mm = (x: number): string => lengthText(Math.abs(x), u, FINE);
  switch (m.kind) {
    case 'square':
      return {
        leaves: [
          `Flanks of ${degreesText(m.leadingDeg)} and ${degreesText(m.trailingDeg)}: its mate feels it ${mm(m.feelsMm)} tighter on the pitch diameter.`,
          'Pitch and wires are nearly right: they do not show it.',
        ],
        check:
          'Setting gauge against a turned face or the tailstock quill, not against a short or rough bar: there it is good to a half or one degree.',
      };
    case 'height':
      return {
        leaves: [
          m.clearanceLeftDeg <= 0
            ? `No clearance is left under the edges (${degreesText(m.clearanceLeftDeg)}): the flanks rub.`
            : `${degreesText(m.clearanceLeftDeg)} of clearance is left under the edges.`,
          `The groove is ${mm(m.shallowMm)} shallower than the dial says, its half angle ${degreesText(m.halfDeg, 0.01)}.`,
        ],
        check:
          'A thin rule lightly held between work and tip stands upright when the tip is on centre; or the height of the tailstock\u2019s centre.',
      };
    case 'slide':
      return {
        leaves: [
          m.tooWideMm > 0
            ? `The trailing flank stands in steps of ${mm(m.stepMm)}, ${mm(m.tooWideMm)} too wide at the top: going on at the right angle mends it only where so much is still to come off.`
            : 'The form is right: the tool makes it. The trailing flank takes a chip and is rough.',
          m.tooDeepMm === 0
            ? 'Depth is as meant.'
            : `Travel worked out for the angle in Set up goes ${mm(m.tooDeepMm)} too ${m.tooDeepMm > 0 ? 'deep: a loose thread' : 'shallow'}.`,
        ],
        check: 'Read the scale from where it reads 0, clamp, read again; or a protractor on the chuck\u2019s face.',
      };
  }
}
export const MISTAKE_NAMES = {
  square: 'tool off square',
  height: 'off centre height',
  slide: 'slide at another angle',
} as const;
