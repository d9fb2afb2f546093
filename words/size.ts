import type { SizeAnswer, Why } from '../core/sizing/decide.ts';
import type { SizeEvent } from '../core/sizing/model.ts';
import { FINE, lengthText, percentText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

const WHYS: Readonly<Record<Why, string>> = {
  'far-off': 'Far off still: cut without measuring.',
  'safe-cut': 'The deepest setting that can hardly go past.',
  'spring-closes': 'The same setting again closes on the dial.',
  'prove-it': 'It is likely right: prove it before stopping.',
  'look-first': 'Measure before going deeper.',
  reached: 'It is inside, as surely as can be told.',
  'no-more-to-know': 'Nothing that is at hand would tell more, and nothing more can be cut without risk.',
  past: 'It is past the far limit: no cut can mend it.',
  'no-safe-cut': 'No setting is safe, and nothing is at hand to measure with.',
  'check-lead': 'It ran, then bound: check lead and burrs before going deeper.',
  'mate-stops':
    'It is inside by what was measured, and yet a mate stops: look for burrs, lead, flanks and root before going deeper.',
};
/** Why this is next; after a bind, what to look at first. */
export const whyText = (why: Why, last: SizeEvent | null): string =>
  last?.kind === 'mate' && last.result === 'binds' && why !== 'check-lead'
    ? `It ran, then bound: check lead and burrs first. ${WHYS[why]}`
    : WHYS[why];

/** What everything together says: the size, what is left, how likely it is right, and what is next. */
export function beliefText(
  a: SizeAnswer,
  u: UnitSystem,
): { readonly size: string; readonly left: string; readonly next: string } {
  const mm = (x: number): string => lengthText(x, u, { ...FINE, bare: true });
  const { least, most } = a.leftOnDiameterMm;
  const left =
    most <= 0
      ? `past its far limit by ${lengthText(-most, u, FINE)}`
      : least <= 0
        ? `inside its limits, ${lengthText(most, u, FINE)} before the far one`
        : `${mm(least)} to ${lengthText(most, u, FINE)} still to come off, on diameter`;
  return {
    size: `Pitch diameter ${mm(a.pitchDiameterMm.value)} \u00b1 ${lengthText(a.pitchDiameterMm.uncertainty, u, FINE)}`,
    left: `${left}; right with ${percentText(a.inside)}, past with ${percentText(a.past)}.`,
    next: `${nextText(a, u)} ${whyText(a.why, null)}`,
  };
}
function nextText(a: SizeAnswer, u: UnitSystem): string {
  switch (a.next.do) {
    case 'cut':
      return `Next: cut to ${lengthText(a.next.depthMm, u, FINE)} below the surface.`;
    case 'spring':
      return 'Next: the same setting again.';
    case 'measure':
      return 'Next: measure or try it.';
    case 'stop':
      return 'Next: stop here.';
    case 'scrap':
      return 'It cannot be mended by cutting.';
  }
}
