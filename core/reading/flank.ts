import { includedDeg } from '../form/flanks.ts';
import { DEFAULT_SIGMA } from '../evidence/evidence.ts';
import type { Expectation } from '../reading/expectation.ts';
import { parseAngle } from '../quantity/angle.ts';
import { good, type Outcome } from '../quantity/outcome.ts';
import { plain, uncertainty, type Entry, type EvidenceOf, type Flank, type ReadingKind, type Taken } from './kind.ts';
import { angleDensity, angleOfAllTeeth, TEMPLATE, verdictProbability } from './noise.ts';
import { angleSlip, halfTypedAsFlank } from './slips.ts';

const angle = (text: string, most: number): Outcome<Entry> => {
  const read = parseAngle(text, 'value', most);
  return read.ok ? good(plain(read.value.deg)) : read;
};
const sigmaOf = (e: { readonly uncertaintyDeg?: number }): number => e.uncertaintyDeg ?? DEFAULT_SIGMA.angleDeg;
/** How likely an angle is read so far off: by eye, or by all teeth together. */
const readOff = (e: { readonly uncertaintyDeg?: number; readonly byAllTeeth?: true }, offDeg: number): number =>
  (e.byAllTeeth ? angleOfAllTeeth : angleDensity)(offDeg, sigmaOf(e));
const allTeeth = (r: Taken): { readonly byAllTeeth?: true } => (r.picture === undefined ? {} : { byAllTeeth: true });
const MOST = { included: 120, flank: 70 } as const;

/** Included angle between the flanks. */
export const flankAngle: ReadingKind<'flankAngle'> = {
  measures: 'angle',
  worn: false,
  onStarts: false,
  parse: ({ text }) => angle(text, MOST.included),
  slip: (value, known) => angleSlip(value, known.includedDeg),
  evidence: (r) => ({
    quantity: 'flankAngle',
    valueDeg: r.value,
    ...uncertainty('uncertaintyDeg', r),
    ...allTeeth(r),
  }),
  nominal: includedDeg,
  density: (e, h) => readOff(e, e.valueDeg - includedDeg(h)),
  free: () => 1 / 90,
  ideals: (e, h) => [{ ...e, valueDeg: includedDeg(h) }],
  reason: (e, h) => ({ kind: 'angle', readDeg: e.valueDeg, expectedDeg: includedDeg(h) }),
  likely: (h, _, __, sigma) => ({ mean: includedDeg(h), sigma }),
};

/** Which flank leads depends on which way round the part was held, and on its use: either may be meant. */
const flank = <Q extends 'leadingFlank' | 'trailingFlank'>(
  quantity: Q,
): ReadingKind<'leadingFlank' | 'trailingFlank'> => {
  const own = (h: Expectation): number => (quantity === 'leadingFlank' ? h.leadingDeg : h.trailingDeg);
  return {
    measures: 'angle',
    worn: false,
    onStarts: false,
    parse: ({ text }) => angle(text, MOST.flank),
    slip: (value, known) => halfTypedAsFlank(value, known.includedDeg),
    evidence: (r) => ({ quantity, valueDeg: r.value, ...uncertainty('uncertaintyDeg', r), ...allTeeth(r) }),
    nominal: own,
    density: (e, h) => 0.5 * readOff(e, e.valueDeg - h.leadingDeg) + 0.5 * readOff(e, e.valueDeg - h.trailingDeg),
    free: () => 1 / 50,
    ideals: (e, h) => [{ ...e, valueDeg: own(h) }],
    reason: (e, h) => ({ kind: 'flank', readDeg: e.valueDeg, leadingDeg: h.leadingDeg, trailingDeg: h.trailingDeg }),
    likely: (h, _, __, sigma) => ({ mean: own(h), sigma }),
  };
};
/** Angle of the leading flank from square to the axis. */
export const leadingFlank = flank('leadingFlank');
/** Angle of the trailing flank from square to the axis. */
export const trailingFlank = flank('trailingFlank');

/** How far a template is off this form, degrees, held to the whole of it or to the flank meant. */
const mismatches = (e: EvidenceOf<'template'>, h: Expectation): readonly number[] =>
  e.flank === undefined
    ? [Math.abs(e.angleDeg - includedDeg(h))]
    : [Math.abs(e.angleDeg - h.leadingDeg), Math.abs(e.angleDeg - h.trailingDeg)];
const ownAngle = (flankOf: Flank | undefined, h: Expectation): number =>
  flankOf === undefined ? includedDeg(h) : flankOf === 'leading' ? h.leadingDeg : h.trailingDeg;

/** A template or leaf of a form, held to the groove: it fits, nearly, or not. */
export const template: ReadingKind<'template'> = {
  measures: null,
  worn: false,
  onStarts: false,
  parse: ({ text, leaf, flank: held = null }) => {
    const read = parseAngle(text, 'value', held === null ? MOST.included : MOST.flank);
    return read.ok ? good({ value: read.value.deg, span: null, leaf, ...(held ? { flank: held } : {}) }) : read;
  },
  evidence: (r) =>
    r.leaf && {
      quantity: 'template',
      angleDeg: r.value,
      fit: r.leaf,
      ...(r.flank ? { flank: r.flank } : {}),
    },
  nominal: includedDeg,
  density: (e, h) => {
    const off = mismatches(e, h);
    return off.reduce((sum, m) => sum + verdictProbability(e.fit, m, TEMPLATE), 0) / off.length;
  },
  // of all angles there are, few fit a template
  free: (e) => (e.fit === 'no' ? 0.9 : 0.06),
  ideals: (e, h) => (e.fit === 'fits' ? [{ ...e, angleDeg: ownAngle(e.flank, h) }] : []),
  reason: (e, h) => ({
    kind: 'template',
    angleDeg: e.angleDeg,
    flank: e.flank ?? null,
    fit: e.fit,
    expectedDeg: ownAngle(e.flank, h),
  }),
};
