import type { DeeperAnswer, DeeperStep } from '../core/job/deeper.ts';
import type { Look, MeasureBy, Otherwise } from '../core/job/otherwise.ts';
import { FINE, lengthText, percentText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

type On = 'radius' | 'diameter';

/** A step as it is said at this lathe: on the radius or on the diameter. @param mm on the radius */
export const stepText = (mm: number, u: UnitSystem, on: On): string =>
  `${lengthText(on === 'diameter' ? 2 * mm : mm, u, FINE)} on the ${on}`;

/** The same where the words around say on what. */
export const stepShort = (mm: number, u: UnitSystem, on: On): string =>
  lengthText(on === 'diameter' ? 2 * mm : mm, u, FINE);

/** By what it is measured next. */
const WITH: Readonly<Record<MeasureBy, string>> = {
  wires: 'over wires',
  balls: 'between balls',
  gauge: 'with the gauge',
  mate: 'with its mate',
};
const withText = (by: MeasureBy | null, which: string | null): string =>
  by === null ? '' : `, ${which === null || which === '' || which === 'mate' ? WITH[by] : `with the ${which}`}`;

/**
 * What the last trial or measurement says of the next cut. @param on what the lathe's dial reads @param by the step as the slide
 * that feeds shows it, where that is not the cross slide
 */
export function deeperText(a: DeeperAnswer, u: UnitSystem, on: On, by: string | null = null): string {
  switch (a.code) {
    case 'fits':
      return 'It is at size.';
    case 'past':
      return a.byMm > 0
        ? `It is ${stepText(a.byMm, u, on)} past size: no cut mends that.`
        : 'It is past size: no cut mends that.';
    case 'lead':
      return 'Not deeper: it is the lead. Look at train and levers, the leadscrew, heat, and whether tool or work slid along.';
    case 'bruise':
      return 'It binds at one place: see to that place before cutting deeper.';
    case 'start':
      return a.shallowerMm === null
        ? `Start ${a.start} is not cut yet: no mate can go. Cut it as deep, then try again.`
        : `Start ${a.start} has not been brought down: it is ${stepText(a.shallowerMm, u, on)} shallower. Bring it down, then try again.`;
    case 'doubt':
      return 'It is right by the rest, and yet it stops. Look first; then cut the least.';
    case 'spring':
      return 'The same setting once more, then look again: it closes on the dial.';
    case 'measure':
      return a.why === 'prove-it'
        ? `It is likely right: prove it before you stop${withText(a.by, a.mate)}.`
        : `Look once more before going deeper${withText(a.by, a.mate)}.`;
    case 'enough':
      return 'It is not sure, and nothing used so far tells more. One of these goes on.';
    case 'deeper':
      return `Go deeper by ${by ?? stepText(a.byMm, u, on)}, spring, and try again: ${WHY[a.step]}.${leavesText(a.leavesMm, u, on)}`;
  }
}

/** What remains after the step, in the same measure as the step. */
const leavesText = (mm: number | null, u: UnitSystem, on: On): string =>
  mm === null ? '' : mm < NOTHING_LEFT_MM ? ' Then nothing is left.' : ` Then about ${stepText(mm, u, on)} is left.`;
const NOTHING_LEFT_MM = 0.001;

/** What else may be done, as a key says it. @param step how this lathe shows a step on the radius */
export function otherwiseText(o: Otherwise, step: (mm: number) => string): string {
  switch (o.do) {
    case 'clean':
      return 'Take the burrs off, clean, and try again';
    case 'measure':
      return `Measure it${withText(o.by, o.mate).replace(',', '')}`;
    case 'spring':
      return `The same setting again${riskText(o.risk)}`;
    case 'cut':
      return `Cut the least: ${step(o.byMm)}${riskText(o.risk)}`;
    case 'accept':
      return o.inside === null
        ? 'Accept it as it is, signed'
        : `Accept it, right with ${percentText(o.inside)}, signed`;
  }
}

const riskText = (risk: number): string => (risk > TOLD_RISK ? `, past with ${percentText(risk)}` : '');
/** A smaller risk is not worth a word. */
const TOLD_RISK = 0.02;

/** Why a mate may stop on a part that measures right, with the look that decides. */
export const LOOK_TEXT: Readonly<Record<Look, { readonly why: string; readonly look: string }>> = {
  burrs: { why: 'A burr', look: 'File off the wire edge, break the crests, take back the start: does it go now?' },
  dirt: { why: 'A chip or dirt', look: 'Brush groove and mate out, wipe, oil: does it go now?' },
  lead: { why: 'The lead', look: 'Does it stop after the same turns from either end? Read the lead over an inch.' },
  flanks: { why: 'The flanks lean', look: 'Blue the flanks: do they bear high or low only? Read both half-angles.' },
  root: {
    why: 'Crest or root touches',
    look: 'Blue crest and root: does the blue come off there first? Read both diameters.',
  },
  mate: { why: 'The mate itself', look: 'Try another mate, or this one turned round: does it stop in the same place?' },
};

const WHY: Readonly<Record<DeeperStep, string>> = {
  safe: 'as deep as hardly goes past, by all that is known',
  share: 'seven tenths of what is left, so as not to jump past',
  rest: 'what is left',
  small: 'a small step, for a mate tells no figure',
  own: 'your own step',
};
