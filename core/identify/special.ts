import type { Evidence, Part } from '../evidence/evidence.ts';
import { formAt, specialForm, type ThreadForm } from '../form/shape.ts';
import { inches } from '../quantity/units.ts';
import { expectationOf, hypotheses, SPECIAL_PRIOR, startsPrior, type Expectation } from './hypotheses.ts';
import { likelihood, sharpestFirst, weights } from './likelihood.ts';

/** A thread that no table lists, as the evidence would have it. */
export interface SpecialFinding {
  readonly probabilityMass: number;
  /** 0 when no diameter has been read. */
  readonly majorMm: number;
  readonly pitchMm: number;
  readonly leadingDeg: number;
  readonly trailingDeg: number;
  readonly starts: number;
  /** True when the size and pitch are round numbers in a known form: a maker's own combination. */
  readonly nominal: boolean;
  readonly sizeSystem: 'mm' | 'in';
}

/** Of the specials, how many are round sizes and pitches in a usual form (the rest are anything). Common practice, no source. */
const NOMINAL_SHARE = 0.7;

const FORMS: readonly { readonly make: (p: number) => ThreadForm; readonly share: number }[] = [
  { make: (p) => formAt('iso60', p), share: 0.36 },
  { make: (p) => formAt('whitworth55', p), share: 0.26 },
  { make: (p) => formAt('acme29', p), share: 0.16 },
  { make: (p) => formAt('trapezoidal30', p), share: 0.1 },
  { make: (p) => formAt('square', p), share: 0.05 },
  { make: (p) => formAt('buttress45-7', p), share: 0.03 },
  { make: (p) => formAt('sawtooth30-3', p), share: 0.02 },
  // buttress forms of the old handbooks: load flank square or inclined 5 degrees
  { make: (p) => specialForm(p, { leadingFlankDeg: 45, trailingFlankDeg: 0, depthMm: 0.66 * p }), share: 0.01 },
  { make: (p) => specialForm(p, { leadingFlankDeg: 45, trailingFlankDeg: 5, depthMm: 0.66 * p }), share: 0.005 },
  { make: (p) => specialForm(p, { leadingFlankDeg: 50, trailingFlankDeg: 0, depthMm: 0.6 * p }), share: 0.0025 },
  { make: (p) => specialForm(p, { leadingFlankDeg: 33, trailingFlankDeg: 0, depthMm: 0.75 * p }), share: 0.0025 },
];

interface Size {
  readonly mm: number;
  readonly system: 'mm' | 'in';
  /** How readily a maker picks the size, relative; about 0.5 on average. */
  readonly liking: number;
}

const inchLiking = (sixteenths: number): number => (sixteenths % 4 === 0 ? 1.1 : sixteenths % 2 === 0 ? 0.7 : 0.25);
const mmLiking = (d: number): number => (d % 5 === 0 ? 1.1 : d % 2 === 0 ? 0.6 : d % 1 === 0 ? 0.35 : 0.15);

const sizes = (): Size[] => {
  const out: Size[] = [];
  for (let k = 2; k <= 64; k += 1) out.push({ mm: inches(k / 16), system: 'in', liking: inchLiking(k) });
  for (let k = 33; k <= 64; k += 1) out.push({ mm: inches(k / 8), system: 'in', liking: inchLiking(2 * k) });
  for (let d = 2; d <= 10; d += 0.5) out.push({ mm: d, system: 'mm', liking: mmLiking(d) });
  for (let d = 11; d <= 200; d += 1) out.push({ mm: d, system: 'mm', liking: mmLiking(d) });
  return out;
};
const SIZES = sizes();

/** Threads per inch and pitches that lathes and old makers liked, halves included. */
const TPI = [
  80, 72, 64, 60, 56, 52, 48, 44, 40, 36, 32, 30, 28, 27, 26, 25, 24, 22, 20, 19, 18, 17, 16, 15, 14, 13, 12, 11.5, 11,
  10, 9, 8.5, 8, 7.5, 7, 6.5, 6, 5.5, 5, 4.5, 4, 3.5, 3, 2.5, 2.25, 2, 1.5, 1,
];
const MM = [
  0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.6, 0.7, 0.75, 0.8, 1, 1.1, 1.25, 1.5, 1.75, 2, 2.25, 2.5, 3, 3.5, 4, 4.5, 5, 5.5,
  6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 24,
];
const PITCHES: readonly { readonly mm: number; readonly system: 'mm' | 'in' }[] = [
  ...TPI.map((t) => ({ mm: 25.4 / t, system: 'in' as const })),
  ...MM.map((p) => ({ mm: p, system: 'mm' as const })),
];
/** Share of the best below which a combination is not followed further. */
const NEGLIGIBLE = 1e-12;
/** Sizes that go with a pitch, on average: for the prior of one combination. */
const SIZES_PER_PITCH = 35;
/** Mixed systems (30 mm x 7 1/2 tpi) happen, seldom. */
const MIXED = 0.2;

const pitchOnly = (e: Evidence): boolean => e.quantity === 'crestCount' || e.quantity === 'pitchLeaf';

const SIZES_IT: readonly Evidence['quantity'][] = ['majorDiameter', 'minorDiameter', 'pitchDiameter', 'overWires'];

/** Weighs the specials. The masses are on the same scale as prior x likelihood of the published rows. */
export function weighSpecials(evidence: readonly Evidence[], part: Part): SpecialFinding {
  const w = weights(evidence, part);
  const pitchEvidence = evidence.filter(pitchOnly);
  const pitchLike = (p: number): number => {
    const h = expectationOf(formAt('iso60', p), 100, p);
    return pitchEvidence.reduce((m, e) => m * likelihood(e, h, part, 1), 1);
  };
  const nominal = weighNominal(evidence, w, part, pitchLike);
  const free = weighFree(evidence, w, part, pitchLike);
  const mass = nominal.mass + free.mass;
  const best = nominal.mass >= free.mass && nominal.best ? nominal.best : free.best;
  // without any diameter every size fits alike: none is then named
  const sized = evidence.some((e) => SIZES_IT.includes(e.quantity));
  return { ...best, majorMm: sized ? best.majorMm : 0, probabilityMass: mass };
}

type Best = Omit<SpecialFinding, 'probabilityMass'>;

/** Size, pitch and flanks, as far as metal can tell them apart. */
const combination = (
  majorMm: number,
  pitchMm: number,
  flanks: { readonly leadingFlankDeg: number; readonly trailingFlankDeg: number },
): string => `${majorMm.toFixed(2)} ${pitchMm.toFixed(3)} ${flanks.leadingFlankDeg} ${flanks.trailingFlankDeg}`;

let rows: ReadonlySet<string> | null = null;
/** What the tables list: a special is in none of them. */
const published = (): ReadonlySet<string> =>
  (rows ??= new Set(
    hypotheses().map((h) =>
      combination(h.row.majorMm, h.pitchMm, { leadingFlankDeg: h.leadingDeg, trailingFlankDeg: h.trailingDeg }),
    ),
  ));

interface Nominals {
  readonly form: ThreadForm;
  readonly share: number;
  readonly combinations: readonly { readonly size: Size; readonly h: Expectation }[];
}
const kept = new Map<number, readonly Nominals[]>();

/** Every round size of a pitch in the usual forms, less what the tables list: worked out once, for no reading changes it. */
function nominalsOf(pitchMm: number): readonly Nominals[] {
  const known = kept.get(pitchMm);
  if (known) return known;
  const made = FORMS.map(({ make, share }) => {
    const form = make(pitchMm);
    const one = expectationOf(form, ANY_MM, pitchMm);
    return {
      form,
      share,
      combinations: SIZES.filter(
        (s) => s.mm >= 2.2 * pitchMm && s.mm <= 60 * pitchMm && !published().has(combination(s.mm, pitchMm, form)),
      ).map((size) => ({ size, h: atSize(one, size.mm) })),
    };
  });
  kept.set(pitchMm, made);
  return made;
}

/** A diameter to reckon from: which one makes no odds. */
const ANY_MM = 100;

/** A form's expectation moved to another size: its depths and edges stay, so they are shared. */
export const atSize = (one: Expectation, majorMm: number): Expectation => ({
  ...one,
  majorMm,
  pitchDiameterMm: one.pitchDiameterMm + majorMm - one.majorMm,
  minorExternalMm: one.minorExternalMm + majorMm - one.majorMm,
  minorInternalMm: one.minorInternalMm + majorMm - one.majorMm,
});

function weighNominal(
  evidence: readonly Evidence[],
  w: readonly number[],
  part: Part,
  pitchLike: (p: number) => number,
): { mass: number; best: Best | null } {
  const rest = sharpestFirst(evidence.map((e, i) => ({ e, w: w[i] ?? 1 })).filter(({ e }) => !pitchOnly(e)));
  const diameters = evidence.flatMap((e) =>
    e.quantity === 'majorDiameter' || e.quantity === 'minorDiameter' || e.quantity === 'pitchDiameter'
      ? [e.valueMm]
      : [],
  );
  const pitchScores = PITCHES.map((p) => ({ p, like: pitchLike(p.mm) }));
  const top = Math.max(...pitchScores.map((s) => s.like));
  let mass = 0;
  let bestScore = 0;
  let best: Best | null = null;
  for (const { p, like } of pitchScores) {
    // a pitch a million times less likely than the best cannot matter
    if (like < top * 1e-6) continue;
    for (const { form, share, combinations } of nominalsOf(p.mm)) {
      for (const { size, h } of combinations) {
        // diameters tell the size within a thread depth: skip what they rule out
        if (diameters.some((d) => d > size.mm + 0.5 + p.mm || d < size.mm - 2.2 * p.mm - 1.5)) continue;
        let score =
          (like *
            (SPECIAL_PRIOR * NOMINAL_SHARE * share * size.liking * (size.system === p.system ? 1 - MIXED : MIXED))) /
          (PITCHES.length * SIZES_PER_PITCH);
        for (const { e, w: weight } of rest) {
          const l = likelihood(e, h, part, 1);
          score *= weight === 1 ? l : l ** weight;
          if (score < bestScore * NEGLIGIBLE) break;
        }
        mass += score;
        if (score > bestScore) {
          bestScore = score;
          best = {
            majorMm: size.mm,
            pitchMm: p.mm,
            leadingDeg: form.leadingFlankDeg,
            trailingDeg: form.trailingFlankDeg,
            starts: 1,
            nominal: true,
            sizeSystem: size.system,
          };
        }
      }
    }
  }
  return { mass, best };
}

/** Range of a special's pitch and diameter: what lathes of a repair shop cut. */
const PITCH_RANGE_MM = [0.2, 26] as const;
const FREE_STEPS = 600;

function weighFree(
  evidence: readonly Evidence[],
  w: readonly number[],
  part: Part,
  pitchLike: (p: number) => number,
): { mass: number; best: Best } {
  // pitch: log-uniform, integrated numerically
  const logSpan = Math.log(PITCH_RANGE_MM[1] / PITCH_RANGE_MM[0]);
  let pitchMass = 0;
  let mean = 0;
  for (let i = 0; i < FREE_STEPS; i += 1) {
    const p = PITCH_RANGE_MM[0] * Math.exp((logSpan * (i + 0.5)) / FREE_STEPS);
    const l = pitchLike(p) / FREE_STEPS;
    pitchMass += l;
    mean += l * p;
  }
  const pitchMm = pitchMass > 0 ? mean / pitchMass : 1;
  const flanks = flanksFrom(evidence);
  const starts = evidence.reduce((n, e) => (e.quantity === 'starts' ? e.count : n), 1);
  let density = pitchMass * startsPrior('Special', Math.min(4, Math.max(1, starts)));
  evidence.forEach((e, i) => {
    if (pitchOnly(e)) return;
    density *= freeDensity(e, pitchMm) ** (w[i] ?? 1);
  });
  const majorMm = majorFrom(evidence, part, pitchMm);
  return {
    mass: SPECIAL_PRIOR * (1 - NOMINAL_SHARE) * density,
    best: { majorMm, pitchMm, ...flanks, starts, nominal: false, sizeSystem: 'mm' },
  };
}

/** Density of a reading when the thread could be anything: what a reading of its kind would be over all parts. */
function freeDensity(e: Evidence, pitchMm: number): number {
  switch (e.quantity) {
    case 'majorDiameter':
    case 'pitchDiameter':
    case 'minorDiameter':
    case 'overWires':
      return 1 / (5 * Math.max(1, e.valueMm));
    case 'depth':
      return 1 / (0.8 * pitchMm);
    case 'crestFlat':
    case 'rootFlat':
      return 1 / (0.5 * pitchMm);
    case 'crestRadius':
    case 'rootRadius':
      return 1 / (0.2 * pitchMm);
    case 'flankAngle':
      return 1 / 90;
    case 'leadingFlank':
    case 'trailingFlank':
      return 1 / 50;
    case 'lead':
      return 1 / (4 * pitchMm);
    case 'taper':
      return Math.abs(e.ratio) < 0.004 ? 40 : 4;
    case 'starts':
      return 0.97;
    default:
      return 1;
  }
}

function flanksFrom(evidence: readonly Evidence[]): { leadingDeg: number; trailingDeg: number } {
  let leading: number | null = null;
  let trailing: number | null = null;
  const included: number[] = [];
  for (const e of evidence) {
    if (e.quantity === 'leadingFlank') leading = e.valueDeg;
    if (e.quantity === 'trailingFlank') trailing = e.valueDeg;
    if (e.quantity === 'flankAngle') included.push(e.valueDeg);
  }
  const sum = included.length > 0 ? included.reduce((a, b) => a + b, 0) / included.length : 60;
  if (leading !== null && trailing !== null) return { leadingDeg: leading, trailingDeg: trailing };
  if (leading !== null) return { leadingDeg: leading, trailingDeg: Math.max(0, sum - leading) };
  if (trailing !== null) return { leadingDeg: Math.max(0, sum - trailing), trailingDeg: trailing };
  return { leadingDeg: sum / 2, trailingDeg: sum / 2 };
}

function majorFrom(evidence: readonly Evidence[], part: Part, pitchMm: number): number {
  const majors = evidence.flatMap((e) => (e.quantity === 'majorDiameter' ? [e.valueMm] : []));
  if (majors.length > 0) return part === 'external' ? Math.max(...majors) : Math.min(...majors);
  const minors = evidence.flatMap((e) => (e.quantity === 'minorDiameter' ? [e.valueMm] : []));
  if (minors.length > 0) return (part === 'external' ? Math.max(...minors) : Math.min(...minors)) + 1.1 * pitchMm;
  const pitchDiameters = evidence.flatMap((e) => (e.quantity === 'pitchDiameter' ? [e.valueMm] : []));
  return pitchDiameters.length > 0 ? (pitchDiameters[0] ?? 0) + 0.6 * pitchMm : 0;
}
