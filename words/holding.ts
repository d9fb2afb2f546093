import { capital } from './capital.ts';
import type { Grip, GripView } from '../core/cutting/grip.ts';
import type { Fluid } from '../core/cutting/materials.ts';
import {
  BEFORE_DEPTH_MM,
  LIGHT_BY_MM,
  type Answer,
  type AnswerCode,
  type Limit,
  type Unsaid,
} from '../core/job/holdingView.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

/** What has to be said before anything can be said of bending. */
const UNSAID: Readonly<Record<Unsaid, string>> = {
  holding: 'how the work is held',
  'free-length': 'the length that stands free of the jaws',
  force: 'the material: its cutting force is not known here',
  neck: 'the diameter of the bar\u2019s neck',
  overhang: 'how far the bar stands out',
  plan: 'passes: there is nothing to plan them from yet',
  'steady-place': 'where the steady stands',
};
/** One sentence of what is missing. */
export const unsaidText = (missing: readonly Unsaid[]): string =>
  `Not said yet: ${missing.map((m) => UNSAID[m]).join('; ')}.`;

const fine = (mm: number, u: UnitSystem): string => lengthText(mm, u, { ...FINE, bare: true });

export interface AnswerWords {
  readonly what: string;
  readonly how: string;
}
/** An answer to bending, as the trade gives it. */
export function answerWords(a: Pick<Answer, 'code' | 'figure' | 'can'>, u: UnitSystem): AnswerWords {
  const cap = a.figure === null ? '' : fine(a.figure, u);
  const words: Readonly<Record<AnswerCode, AnswerWords>> = {
    'as-held': { what: 'As held and planned', how: 'what it is now' },
    lighter: { what: `The last of it by ${cap}`, how: 'lighter passes near depth' },
    centre: { what: 'A centre in its end', how: 'chuck and centre' },
    'follow-rest': { what: 'Follow rest', how: 'round outside, burrs off, pads oiled' },
    steady: {
      what: `Steady at ${lengthText(a.figure ?? 0, u, { stepMm: 1, stepIn: 0.05 })}`,
      how: 'from the jaws; pads oiled',
    },
    'stiffer-bar': {
      what: `A neck of ${lengthText(a.figure ?? 0, u, { stepMm: 0.1, stepIn: 0.005 })}`,
      how: 'the thickest that comes out of its groove',
    },
    springs: { what: `${a.figure ?? 0} spring passes`, how: 'the same setting again, until no chip comes' },
    all: { what: 'All of these', how: 'stiffest holding, lighter passes, springs' },
  };
  const w = words[a.code];
  return a.can ? w : { what: w.what, how: 'this lathe has none' };
}

/** The act that the best answer asks for, with the number that is set. */
export function bestAct(
  a: Answer,
  u: UnitSystem,
): { readonly act: string; readonly figure: string; readonly unit: string } {
  const unit = u === 'mm' ? 'mm' : 'in';
  // of all together the number belongs to what is set; where nothing has one, to the last passes
  if (a.code === 'all' && a.figure === null)
    return { act: 'Take the last of it by', figure: fine(LIGHT_BY_MM, u), unit };
  switch (a.by) {
    case 'steady':
      return {
        act: 'Set the steady at',
        figure: lengthText(a.figure ?? 0, u, { stepMm: 1, stepIn: 0.05, bare: true }),
        unit,
      };
    case 'stiffer-bar':
      return {
        act: 'Use a bar with a neck of',
        figure: lengthText(a.figure ?? 0, u, { stepMm: 0.1, stepIn: 0.005, bare: true }),
        unit,
      };
    case 'lighter':
      return { act: 'Take the last of it by', figure: fine(a.figure ?? 0, u), unit };
    case 'springs':
      return { act: 'Spring passes', figure: String(a.figure ?? 0), unit: '' };
    case 'centre':
      return { act: 'Put a centre in its end', figure: '', unit: '' };
    case 'follow-rest':
      return { act: 'Set the follow rest', figure: '', unit: '' };
    case 'all':
    case 'as-held':
      return { act: 'As held', figure: '', unit: '' };
  }
}

/** What binds, named. */
export const LIMIT_TEXT: Readonly<Record<Limit, string>> = {
  neck: 'The bar is too thick to come out of its own groove.',
  grip: 'The chuck may let it slip: a stop inside or a shoulder on the jaws, a longer grip, smaller chips, the last third straight in.',
  bend: 'It gives way by more than its size may vary.',
  power: 'The hardest pass asks more than the motor gives: smaller chips.',
  overhang: 'The bar stands out too far to be quiet: four times its neck in steel, six in carbide.',
};
export const GRIP_NAMES: Readonly<Record<Grip, string>> = { firm: 'firm key', light: 'light, shimmed or worn jaws' };
export const GRIP_TEXT: Readonly<Record<GripView['holds'], string>> = {
  holds: 'It holds.',
  'may-slip': 'It may slip.',
  slips: 'It slips.',
};
/** Estimates of force are no better than this. */
export const FORCE_IS_ROUGH =
  'Forces are estimates, good to a quarter; where chips are very thin they are higher than said.';

const FLUIDS: Readonly<Record<Fluid, string>> = {
  oil: 'cutting oil',
  'active-oil': 'active oil, brushed on at every pass',
  'light-oil': 'paraffin or light oil',
  flood: 'flood it; its chips burn',
  dry: 'dry, the dust sucked off',
  'dry-or-light-oil': 'dry, or light oil',
};
/** What is put on, by material, and what another school does. */
export const fluidText = (fluid: Fluid, other: Fluid | null): string =>
  `${capital(FLUIDS[fluid])}${other === null ? '' : `; others use ${FLUIDS[other]}`}. Smoke means too fast.`;
/** A force as it is said: in kN from one up. */
export const forceText = (n: number): string =>
  Math.abs(n) >= 1000 ? `${(n / 1000).toFixed(1)} kN` : `${Math.round(n / 5) * 5} N`;
export const REST_NAMES = { none: 'none', steady: 'steady', follow: 'follow rest' } as const;

/** Repeats at one setting, where it gives way most. */
export const repeatsText = (repeats: number | null, u: UnitSystem): string =>
  repeats === null
    ? 'Where it gives way most, more repeats than anybody makes would be wanted at one setting: hold it stiffer.'
    : repeats <= 1
      ? 'One pass at a setting is believed; springs add nothing that can be measured.'
      : `Where it gives way most, ${repeats} passes at one setting until the dial is believed, from ${lengthText(BEFORE_DEPTH_MM, u, FINE)} before depth; springs that cut only there are the sign.`;
/** What is put up besides. */
export const REST_ACTS = {
  none: '',
  steady: 'With the steady, its pads oiled.',
  follow: 'With the follow rest, its pads oiled.',
} as const;
