import type { BlankCode, BlankFigure, BlankSheet } from '../core/job/blankSheet.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

/** A dimension of the blank in the words of a drawing. */
export const BLANK_NAMES: Readonly<Record<BlankCode, string>> = {
  blank: 'Turn the blank to',
  bore: 'Bore to',
  'thread-length': 'Length of thread',
  'start-chamfer': 'Chamfer the start down to',
  countersink: 'Countersink both ends to',
  'groove-diameter': 'Groove, just under the root',
  'groove-width': 'Groove, at least so wide',
  'groove-corner': 'Corner radius, about',
  'groove-side': 'Side next to the thread, to the axis',
  'taper-out': 'The thread fades over',
  'relief-diameter': 'Relief, over the root',
  'relief-width': 'Relief, at least so wide',
  'nut-length': 'Length of nut',
  'half-thread': 'Thin thread to file back, turns',
};
/** What the figure may be. */
export function blankFigureText(
  f: BlankFigure,
  u: UnitSystem,
): { readonly figure: string; readonly limits: string | null } {
  if (f.unit === 'deg') return { figure: `${f.value}\u00b0`, limits: null };
  if (f.unit === 'turns') return { figure: f.value.toFixed(1), limits: null };
  const bare = (mm: number): string => lengthText(mm, u, { ...FINE, bare: true });
  const { min, max } = f.limits ?? { min: null, max: null };
  const limits =
    min !== null && max !== null
      ? `${bare(min)} to ${bare(max)}`
      : max !== null
        ? `${bare(max)} at most`
        : min !== null
          ? `${bare(min)} at least`
          : null;
  return { figure: lengthText(f.value, u, FINE), limits };
}
export const BLANK_MISSING: Readonly<Record<BlankSheet['missing'][number], string>> = {
  length: 'The length of the thread is not said yet.',
  speed: 'How wide the groove must be follows from the speed, which is not known yet.',
};

/** What may have to run true with the thread. */
export const TRUE_WITH_NAMES = {
  spigot: 'spigot',
  register: 'register',
  taper: 'taper',
  counterbore: 'counterbore',
  face: 'face',
  shaft: 'shaft beyond it',
} as const;
export const FOUND_BY_NAMES = {
  mark: 'a mark at jaw one',
  faceplate: 'left on its faceplate',
  'soft-jaws': 'soft jaws bored for it',
  centres: 'its own centres',
} as const;

/** The order of work on a nut. */
export const NUT_FIRST =
  'Drill half to one millimetre small, then bore in the same setting: a drill wanders and the thread follows the spindle. Measure the bore and touch off on it. Try it with the nut still chucked, boring dust out and crests filed.';
/** Where a gauge cannot reach, the gears are proved before the work is put up. */
export const PROVE_GEARS_FIRST =
  'A gauge hardly reaches into a bore: prove the gears on a scrap bar, or by turns, before the nut is set up. A thin spare, bored and cut first, rehearses the size.';

/** A trial fit needs nothing taken out of its chuck, where the nose lets the chuck off. */
export const trialText = (screwedChuck: boolean): string =>
  screwedChuck
    ? 'Try it with the work still in its chuck or on its faceplate: chuck and all screw off the nose, and come back to the same place once nose and register are wiped clean.'
    : 'Try it with the work still in its chuck; one on a cam or flange comes back to the same place only by its own mark.';

/** Asked before work is taken out of the lathe. */
export const TAKE_OUT_ASKS = 'Is all done that must run true with the thread, and how will it be found again?';

/** A recut has no blank. */
export const NOTHING_TURNED =
  'The thread is there already: nothing is turned before it. What there is to clean, and how deep that takes it:';
