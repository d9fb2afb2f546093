import type { DutyId } from '../core/fit/duty.ts';
import type { Cleaned } from '../core/fit/clean.ts';
import type { Bound, FitPlan, FitTo, ReadyCheck } from '../core/fit/fit.ts';
import type { WornChoice, WornWay } from '../core/fit/worn.ts';
import { FINE, lengthText, percentText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

/** Why a bore is not where the table alone would have it. */
export function boundText(b: Bound, u: UnitSystem): string {
  const least = lengthText(b.leastMm, u);
  return {
    'screw-root': `The screw that it has to pass decides: its root as read, and clearance over it, ask for ${least} at least.`,
    'square-crest': `A crest bored square would ride on a full root radius of the screw: ${least} at least (d \u2212 1.1328 P), or round the crests.`,
  }[b.code];
}

/** What is left of the engagement, where it is less than the form has; null where nothing is lost. */
export const engagedText = (plan: FitPlan): string | null =>
  plan.engagedShare < 0.995 ? `${percentText(plan.engagedShare)} of the depth of thread is left to engage.` : null;

/** What the gauge is called: a plug goes into a nut, a ring over a screw. */
export const gaugeName = (make: 'external' | 'internal', end: 'go' | 'not-go'): string =>
  `${end === 'go' ? 'Go' : 'Not-go'} ${make === 'external' ? 'plug' : 'ring'}`;
export const GAUGE_LIKE: Readonly<Record<'go' | 'not-go', string>> = {
  go: 'Full form, as long as the nut. It has to go the whole length by hand.',
  'not-go':
    'Two or three turns, on its flanks only: the crest is cut back and the root is cleared. It may enter two turns at most (ISO 1502), three by ASME B1.2.',
};
export const DUTY_NAMES: Readonly<Record<DutyId, string>> = {
  gauge: 'gauge',
  adjusting: 'adjusting ring, bush',
  feed: 'feed screw',
  nose: 'spindle nose',
  lifting: 'press or lifting screw',
  clamp: 'clamp, vice',
  outdoor: 'hot, dirty, outdoors',
};

/** What a fit is counted from, where it is made to no class. */
export const FIT_TO_NAMES: Readonly<Record<FitTo, string>> = {
  clearance: 'own clearance',
  mate: 'its mate as read',
  copy: 'a copy, as it was unworn',
};

export const COPY_AS_WORN =
  'Nobody has said that any place read is unworn: it is copied as worn. Mark the reading that was taken where nothing ran.';

/** The ways with a mate that is worn by places. */
export const WORN_WAY_NAMES: Readonly<Record<WornWay, string>> = {
  thickest: 'Live with it: to go over all of it',
  travel: 'Shorten the travel: closer where it runs',
  recut: 'Recut the mate to its most worn place first',
};

/** What comes of one way with a worn mate. */
export function wornChoiceText(c: WornChoice, mate: 'external' | 'internal', u: UnitSystem): string {
  const fine = (mm: number): string => lengthText(mm, u, FINE);
  const play =
    c.mostPlayMm - c.leastPlayMm < PLAY_ALIKE_MM
      ? `Play ${fine(c.mostPlayMm)} everywhere.`
      : `Play ${fine(c.leastPlayMm)} to ${fine(c.mostPlayMm)} along the axis on the travel.`;
  const places = c.bindsAtMm.map((mm) => (mm === null ? 'a place not said' : lengthText(mm, u)));
  const binds = places.length > 0 ? ` It does not pass ${places.join(', ')}.` : '';
  const recut = c.recut
    ? ` The ${mate === 'external' ? 'screw loses' : 'nut gains'} ${fine(c.recut.onDiameterMm)} of pitch diameter: cut ${fine(c.recut.deeperMm)} deeper, or ${fine(c.recut.sideMm)} wider; its crests narrow by ${fine(c.recut.sideMm)}.`
    : '';
  return `${play}${binds}${recut}`;
}
const PLAY_ALIKE_MM = 0.005;
/** What is left besides, and what each is good for. */
export const WORN_BESIDES: readonly string[] = [
  'Wear on one flank only: turned end for end the other flank carries. The play stays what it is.',
  'A new pair: the play is what the clearance makes it, everywhere.',
];

/** What cleaning an old groove takes. */
export function cleanedText(c: Cleaned, make: 'external' | 'internal', u: UnitSystem): string[] {
  const fine = (mm: number): string => lengthText(mm, u, FINE);
  const spot = make === 'external' ? 'lowest' : 'widest';
  return [
    c.deeperMm === null
      ? 'Between square flanks no depth takes a pit off a flank: widen the groove sideways by the pit instead.'
      : `The groove has to be ${fine(c.deeperMm)} deeper than the old one, on the radius; less leaves patches.`,
    ...(c.needsMm === null
      ? []
      : [
          `Built up, its ${spot} spot has to measure ${lengthText(c.needsMm, u)} or ${make === 'external' ? 'more' : 'less'} all round: ${c.enough === true ? 'there is metal for it' : 'there is not metal enough'}.`,
        ]),
    ...(c.crestLeftMm === null
      ? []
      : c.crestLeftMm > 0
        ? [`Of the crest ${fine(c.crestLeftMm)} is left.`]
        : [
            `No crest is left: the ${make === 'external' ? 'outside falls' : 'bore opens'}, and tells nothing any more.`,
          ]),
    ...(c.pushBackMm === null ? [] : [`On this taper shoulder and end go back by ${fine(c.pushBackMm)}.`]),
  ];
}

/** What is to be said of a blank or bore that is there already. */
export function readyText(r: ReadyCheck, u: UnitSystem): string {
  const off = r.mm === null ? '' : lengthText(r.mm, u, FINE);
  const what = r.make === 'external' ? 'blank' : 'bore';
  switch (r.code) {
    case 'right':
      return `The ${what} is right.`;
    case 'over-class':
      return `The bore is over the largest of class ${r.class}, ${off}.`;
    case 'under-class':
      return `The blank is under the smallest of class ${r.class}, ${off}.`;
    case 'bore-small':
    case 'bore-is-root':
      return `The bore is ${off} smaller than the minor diameter of the internal thread, so the nut would be tight on its crests.${
        r.code === 'bore-is-root'
          ? ' It is the root diameter of the screw, which is smaller than the bore of its nut.'
          : ''
      }`;
    case 'bore-large':
      return 'The bore is large: the nut keeps little depth of thread.';
    case 'blank-over':
      return `The blank is ${off} over the nominal diameter: the crests would foul the nut\u2019s root.`;
    case 'blank-small':
      return 'The blank is small: the crests will be flat and the thread shallow.';
  }
}

/** The three diameters by their names on screw and nut. */
export const ZONE_NAMES: Readonly<
  Record<'major' | 'pitch' | 'minor', { readonly external: string; readonly internal: string }>
> = {
  major: { external: 'outside', internal: 'root of the nut' },
  pitch: { external: 'pitch diameter', internal: 'pitch diameter' },
  minor: { external: 'root', internal: 'bore' },
};

/** What an aim is called by what is done to reach it. @param there the thread is there already: nothing is turned or bored */
export function aimName(diameter: 'major' | 'pitch' | 'minor', make: 'external' | 'internal', there = false): string {
  if (diameter === 'pitch') return 'Pitch diameter to reach';
  const start = diameter === (make === 'external' ? 'major' : 'minor');
  if (start && there) return make === 'external' ? 'Crest, as new' : 'Bore, as new';
  if (make === 'external') return start ? 'Turn the blank to' : 'Root it leaves';
  return start ? 'Bore to' : 'Root of the nut';
}
