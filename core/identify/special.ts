import { equalFlanks, type Flanks } from '../form/flanks.ts';
import type { Evidence, Part } from '../evidence/evidence.ts';
import { specialForm, type ThreadForm } from '../form/shape.ts';
import { kindOf, likelihood } from '../reading/kinds.ts';
import { EDGES } from '../reading/edge.ts';
import { atSize, expectationOf, type Expectation } from '../reading/expectation.ts';
import { SPECIAL_PRIOR, startsPrior, type Context } from './hypotheses.ts';
import {
  ANY_MM,
  nominalsOf,
  picked,
  PITCHES,
  PITCHES_LIKED,
  pitchesCounted,
  roundPitch,
  SIZES,
  sizesBetween,
  SIZES_PER_PITCH,
  type Combination,
  type Size,
} from './rounds.ts';
import { pitchOnly, power, sharpestFirst, weighed, type Weighed } from './weights.ts';

/** A thread that no table lists, as the evidence would have it. */
export interface SpecialFinding extends Flanks {
  readonly probabilityMass: number;
  /** 0 when no diameter has been read. */
  readonly majorMm: number;
  readonly pitchMm: number;
  readonly starts: number;
  /** True when the size and pitch are round numbers in a known form: a maker's own combination. */
  readonly nominal: boolean;
  readonly sizeSystem: 'mm' | 'in';
}
type Best = Omit<SpecialFinding, 'probabilityMass'>;

/** Of the specials, how many are round sizes and pitches in a usual form, and how many of those have flanks of no form (the rest are anything). Common practice, no source. */
const NOMINAL_SHARE = 0.7;
const ODD_FLANKS_SHARE = 0.15;
/** Of the specials, how many are cut on a taper. */
const TAPERED = 0.06;
/** Share of the best below which a combination is not followed further. */
const NEGLIGIBLE = 1e-12;
/**
 * How far a count that comes out round is preferred to other pitches that it would allow. Whole threads to the inch are
 * meant so, and are the special's pitch unless something finer says otherwise; halves and metric pitches may be chance.
 */
const COUNTED_SAYS = { wholeThreads: 50, round: 4 } as const;
/** A pitch this much less likely than the best cannot matter. */
const HOPELESS = 1e-6;
/** A size typed in inches, or a part of an inch country, is so many times likelier an inch size; and the other way round. */
const UNIT_SPEAKS = 3;

const SIZES_IT: readonly Evidence['quantity'][] = ['majorDiameter', 'minorDiameter', 'pitchDiameter', 'overWires'];
const ANGLES: readonly Evidence['quantity'][] = ['flankAngle', 'leadingFlank', 'trailingFlank', 'template'];
/** What hangs on flanks and depth of a form that is no form: nobody can say what it would be. */
const HANGS_ON_FORM: readonly Evidence['quantity'][] = [
  ...ANGLES,
  'taper',
  'minorDiameter',
  'pitchDiameter',
  'overWires',
  'depth',
  ...EDGES,
];

/**
 * Weighs the specials. The masses are on the same scale as prior x likelihood of the published rows.
 * @example weighSpecials([{ quantity: 'majorDiameter', valueMm: 27, wear: 'unworn' }, { quantity: 'pitchLeaf', pitchMm: 2.54, fit: 'fits' }], 'external', { origin: null, use: null }).pitchMm // 2.54
 */
export function weighSpecials(evidence: readonly Evidence[], part: Part, context: Context): SpecialFinding {
  const all = weighed(evidence, part);
  const anyForm = expectationOf(specialForm(1, equalFlanks(60)), 100, 1);
  const ofPitch = all.filter(({ e }) => pitchOnly(e));
  const pitchLike = (pitchMm: number): number =>
    ofPitch.reduce((m, { e, w }) => m * power(likelihood(e, { ...anyForm, pitchMm }, part, 1), w), 1);
  const systems = systemsOf(evidence, context);
  const nominal = weighNominal(all, part, pitchLike, systems);
  const free = weighFree(all, part, pitchLike, systems);
  const best = nominal.mass >= free.mass && nominal.best ? nominal.best : free.best;
  // without any diameter every size fits alike: none is then named
  const sized = evidence.some((e) => SIZES_IT.includes(e.quantity));
  return { ...best, majorMm: sized ? best.majorMm : 0, probabilityMass: nominal.mass + free.mass };
}

/** How far inch and metric sizes are favoured by the units that were typed and by where the part was made. */
function systemsOf(evidence: readonly Evidence[], context: Context): Readonly<Record<'mm' | 'in', number>> {
  const typed = evidence.filter((e) => SIZES_IT.includes(e.quantity)).map((e) => e.system);
  const votes =
    Math.sign(typed.filter((s) => s === 'in').length - typed.filter((s) => s === 'mm').length) +
    (context.origin === null ? 0 : context.origin === 'metric' ? -1 : 1);
  const odds = UNIT_SPEAKS ** votes;
  return { in: (2 * odds) / (1 + odds), mm: 2 / (1 + odds) };
}

/** Range of sizes that the diameters leave for a pitch: they tell the size within a thread depth. */
function rangeOf(evidence: readonly Weighed[], pitchMm: number): readonly [number, number] {
  let [from, to] = [0, Infinity];
  for (const { e } of evidence) {
    if (e.quantity !== 'majorDiameter' && e.quantity !== 'minorDiameter' && e.quantity !== 'pitchDiameter') continue;
    from = Math.max(from, e.valueMm - 0.5 - pitchMm);
    to = Math.min(to, e.valueMm + 2.2 * pitchMm + 1.5);
  }
  return [from, to];
}

function weighNominal(
  all: readonly Weighed[],
  part: Part,
  pitchLike: (p: number) => number,
  systems: Readonly<Record<'mm' | 'in', number>>,
): { mass: number; best: Best | null } {
  const rest = sharpestFirst(all.filter(({ e }) => !pitchOnly(e)));
  // what only the size and the pitch have a say in is weighed once for all forms
  const crest = rest.filter(({ e }) => e.quantity === 'majorDiameter');
  const onForm = rest.filter(({ e }) => e.quantity !== 'majorDiameter');
  const sized = rest.some(({ e }) => SIZES_IT.includes(e.quantity));
  const flanks = onForm.some(({ e }) => ANGLES.includes(e.quantity)) ? asChosen(flanksFrom(all)) : null;
  const pitchScores = PITCHES.map((p) => ({ p, like: pitchLike(p.mm) }));
  const counted = pitchesCounted(all.map(({ e }) => e));
  const top = Math.max(...pitchScores.map((s) => s.like));
  let mass = 0;
  let bestScore = 0;
  let best: Best | null = null;
  for (const { p, like } of pitchScores) {
    if (like < top * HOPELESS) continue;
    const prior = (like * SPECIAL_PRIOR * NOMINAL_SHARE * p.liking) / (PITCHES_LIKED * SIZES_PER_PITCH);
    const range = rangeOf(rest, p.mm);
    const ofCrest = new Map<Size, number>();
    const crestLike = (s: Size, h: Expectation): number => {
      if (crest.length === 0) return 1;
      const known = ofCrest.get(s);
      if (known !== undefined) return known;
      const l = crest.reduce((m, { e, w }) => m * power(likelihood(e, h, part, 1), w), 1);
      ofCrest.set(s, l);
      return l;
    };
    const own = counted.find((c) => Math.abs(c.mm / p.mm - 1) < 1e-6);
    const said = own === undefined ? 1 : own.wholeThreads ? COUNTED_SAYS.wholeThreads : COUNTED_SAYS.round;
    const take = (score: number, size: Size, form: ThreadForm): void => {
      mass += score;
      if (score * said <= bestScore) return;
      bestScore = score * said;
      best = {
        majorMm: size.mm,
        pitchMm: p.mm,
        leadingDeg: form.leadingDeg,
        trailingDeg: form.trailingDeg,
        starts: 1,
        nominal: true,
        sizeSystem: size.system,
      };
    };
    const groups: readonly Group[] = [
      ...nominalsOf(p.mm).map((g) => ({
        form: g.form,
        share: prior * (1 - ODD_FLANKS_SHARE) * g.share,
        combinations: sized ? sizesBetween(g.combinations, range) : g.combinations.slice(0, 1),
        // without a diameter all sizes of a form say the same: one stands for all
        many: sized ? null : g.liking[p.system],
        density: ofForm,
      })),
      ...(flanks && sized ? [oddGroup(p.mm, flanks, prior * ODD_FLANKS_SHARE, range)] : []),
    ];
    for (const { form, share, combinations, many, density } of groups)
      for (const { size, h } of combinations) {
        let score = share * (many ?? picked(size, p.system) * systems[size.system] * crestLike(size, h));
        if (score < bestScore * NEGLIGIBLE) continue;
        for (const { e, w } of onForm) {
          score *= power(density(e, h, part), w);
          if (score < bestScore * NEGLIGIBLE) break;
        }
        take(score, size, form);
      }
  }
  return { mass, best };
}

/** Sizes that share a form, and how a reading is judged on them. */
interface Group {
  readonly form: ThreadForm;
  readonly share: number;
  readonly combinations: readonly Combination[];
  /** What all sizes together are picked, where one stands for all; null: each by itself. */
  readonly many: number | null;
  readonly density: (e: Evidence, h: Expectation, part: Part) => number;
}

/** On a usual form: as on a row of the tables, but that it might be cut on a taper too. */
const ofForm = (e: Evidence, h: Expectation, part: Part): number => {
  const l = likelihood(e, h, part, 1);
  return e.quantity === 'taper' ? (1 - TAPERED) * l + TAPERED * kindOf('taper').free(e, h.pitchMm) : l;
};
/** Between flanks of no form: as deep as anybody cared to cut it, so what hangs on form and depth might be anything. */
const ofNoForm = (e: Evidence, h: Expectation, part: Part): number =>
  HANGS_ON_FORM.includes(e.quantity) ? kindOf(e.quantity).free(e, h.pitchMm) : likelihood(e, h, part, 1);

/** A round size and pitch between flanks of no form. */
function oddGroup(pitchMm: number, flanks: Flanks, share: number, range: readonly [number, number]): Group {
  const form = specialForm(pitchMm, {
    leadingDeg: flanks.leadingDeg,
    trailingDeg: flanks.trailingDeg,
    depthMm: ODD_DEPTH * pitchMm,
  });
  const one = expectationOf(form, ANY_MM, pitchMm);
  return {
    form,
    share,
    combinations: SIZES.filter((s) => s.mm >= range[0] && s.mm <= range[1]).map((size) => ({
      size,
      h: atSize(one, size.mm),
    })),
    many: null,
    density: ofNoForm,
  };
}
/** Whoever chose such flanks chose quarters of a degree. */
const asChosen = (f: Flanks) => ({
  leadingDeg: Math.round(f.leadingDeg * 4) / 4,
  trailingDeg: Math.round(f.trailingDeg * 4) / 4,
});
/** Depth to reckon with where none is known, in pitches. */
const ODD_DEPTH = 0.6;

/** Range of a special's pitch and diameter: what lathes of a repair shop cut. */
const PITCH_RANGE_MM = [0.2, 26] as const;
const FREE_STEPS = 600;

function weighFree(
  all: readonly Weighed[],
  part: Part,
  pitchLike: (p: number) => number,
  systems: Readonly<Record<'mm' | 'in', number>>,
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
  const evidence = all.map(({ e }) => e);
  const pitchMm = roundPitch(pitchMass > 0 ? mean / pitchMass : 1, evidence, pitchLike);
  const flanks = flanksFrom(all);
  const starts = evidence.reduce((n, e) => (e.quantity === 'starts' ? e.count : n), 1);
  let density = pitchMass * startsPrior('Special', Math.min(4, Math.max(1, starts)));
  for (const { e, w } of all) if (!pitchOnly(e)) density *= power(kindOf(e.quantity).free(e, pitchMm), w);
  return {
    mass: SPECIAL_PRIOR * (1 - NOMINAL_SHARE) * density,
    best: {
      majorMm: majorFrom(evidence, part, pitchMm),
      pitchMm,
      ...flanks,
      starts,
      nominal: false,
      sizeSystem: systems.in > systems.mm ? 'in' : 'mm',
    },
  };
}

/** Flanks as read; what was not read is taken from the other or from 60 degrees, which most are. */
function flanksFrom(all: readonly Weighed[]): Flanks {
  let leading: number | null = null;
  let trailing: number | null = null;
  const included: number[] = [];
  for (const { e } of all) {
    if (e.quantity === 'leadingFlank') leading = e.valueDeg;
    if (e.quantity === 'trailingFlank') trailing = e.valueDeg;
    if (e.quantity === 'flankAngle') included.push(e.valueDeg);
    if (e.quantity === 'template' && e.fit === 'fits') {
      if (e.flank === 'leading') leading ??= e.angleDeg;
      else if (e.flank === 'trailing') trailing ??= e.angleDeg;
      else included.push(e.angleDeg);
    }
  }
  const sum = included.length > 0 ? included.reduce((a, b) => a + b, 0) / included.length : 60;
  if (leading !== null && trailing !== null) return { leadingDeg: leading, trailingDeg: trailing };
  if (leading !== null) return { leadingDeg: leading, trailingDeg: Math.max(0, sum - leading) };
  if (trailing !== null) return { leadingDeg: Math.max(0, sum - trailing), trailingDeg: trailing };
  return equalFlanks(sum);
}

function majorFrom(evidence: readonly Evidence[], part: Part, pitchMm: number): number {
  const majors = evidence.flatMap((e) => (e.quantity === 'majorDiameter' ? [e.valueMm] : []));
  if (majors.length > 0) return part === 'external' ? Math.max(...majors) : Math.min(...majors);
  const minors = evidence.flatMap((e) => (e.quantity === 'minorDiameter' ? [e.valueMm] : []));
  if (minors.length > 0) return (part === 'external' ? Math.max(...minors) : Math.min(...minors)) + 1.1 * pitchMm;
  const pitchDiameters = evidence.flatMap((e) => (e.quantity === 'pitchDiameter' ? [e.valueMm] : []));
  return pitchDiameters.length > 0 ? (pitchDiameters[0] ?? 0) + 0.6 * pitchMm : 0;
}
