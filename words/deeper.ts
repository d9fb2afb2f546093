import type { DeeperAnswer, DeeperStep } from '../core/job/deeper.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

type On = 'radius' | 'diameter';

/** A step as it is said at this lathe: on the radius or on the diameter. @param mm on the radius */
export const stepText = (mm: number, u: UnitSystem, on: On): string =>
  `${lengthText(on === 'diameter' ? 2 * mm : mm, u, FINE)} on the ${on}`;

/** The same where the words around say on what. */
export const stepShort = (mm: number, u: UnitSystem, on: On): string =>
  lengthText(on === 'diameter' ? 2 * mm : mm, u, FINE);

/** What the last trial or measurement says of the next cut. */
export function deeperText(a: DeeperAnswer, u: UnitSystem, on: On): string {
  switch (a.code) {
    case 'fits':
      return 'It is at size.';
    case 'past':
      return a.byMm > 0
        ? `It is ${stepText(a.byMm, u, on)} past size: no cut mends that.`
        : 'It is past size: no cut mends that.';
    case 'lead':
      return 'It runs and then binds: look at lead and burrs before cutting deeper.';
    case 'bruise':
      return 'It binds at one place: see to that place before cutting deeper.';
    case 'doubt':
      return 'That does not go with what was known: burrs, a chip under it, a dial that slipped? See to it, and try again.';
    case 'spring':
      return 'The same setting once more, then look again: it closes on the dial.';
    case 'measure':
      return a.why === 'prove-it'
        ? 'It is likely right: prove it before you stop.'
        : 'Look once more before going deeper.';
    case 'enough':
      return 'Let it be: nothing at hand tells more, and nothing more can be cut without risk.';
    case 'deeper':
      return `Go deeper by ${stepText(a.byMm, u, on)}, spring, and try again: ${WHY[a.step]}.`;
  }
}

const WHY: Readonly<Record<DeeperStep, string>> = {
  safe: 'as deep as hardly goes past, by all that is known',
  share: 'seven tenths of what is left, so as not to jump past',
  rest: 'what is left',
  small: 'a small step, for a mate tells no figure',
  own: 'your own step',
};
