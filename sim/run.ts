import type { Job, Shop } from '../core/job/schema.ts';
import type { Lathe } from '../core/lathe/schema.ts';
import { deal, type Dealt } from './deal.ts';
import type { Answers, Door, Outcome, Truth } from './door.ts';
import { carry } from './machinist.ts';
import { Dice } from './random.ts';

/** Gelvin's two functions, handed in: the simulated shop imports none of its computation. */
export interface Gelvin {
  readonly emptyShop: () => Shop;
  readonly newLathe: (id: string) => Lathe;
  readonly newJob: (id: string, title: string, at: Date) => Job;
  readonly thread: (designation: string) => unknown;
  /** Applies edits, or says why not. */
  readonly edit: (
    job: Job,
    shop: Shop,
    edits: readonly Record<string, unknown>[],
  ) => { readonly job: Job; readonly shop: Shop } | { readonly problem: string };
  readonly answers: (job: Job, shop: Shop) => Answers;
}
/** A mistake of old put back: what is entered or what is answered is bent on its way. */
export interface Fault {
  readonly name: string;
  /** Whether a job meets it at all; missing: any may. */
  readonly concerns?: (d: Dealt) => boolean;
  readonly edits?: (
    edits: readonly Record<string, unknown>[],
    job: Job,
    shop: Shop,
  ) => readonly Record<string, unknown>[];
  readonly answers?: (a: Answers, job: Job, shop: Shop) => Answers;
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
/** Whole numbers over and under the line, in lowest terms. */
type Ratio = readonly [over: number, under: number];
const lowest = ([a, b]: Ratio): Ratio => [a / gcd(a, b), b / gcd(a, b)];
const textOf = (r: Ratio): string => (r[1] === 1 ? String(r[0]) : `${r[0]}/${r[1]}`);

/** The lead of a dealt thread, exactly: its pitch is in hundredths of a millimetre or in threads per inch. */
function leadOf(d: Dealt): Ratio {
  const hundredths = d.kind.pitchMm * 100;
  if (Math.abs(hundredths - Math.round(hundredths)) < 1e-9)
    return lowest([Math.round(hundredths) * d.kind.starts, 100]);
  return lowest([127 * 2 * d.kind.starts, Math.round((25.4 / d.kind.pitchMm) * 2) * 5]);
}

/** A gearbox of several rows: cone 1 in range A is what is wanted, the others are a lever away. */
const CONES = { '1': [1, 1], '2': [3, 4], '3': [3, 2] } as const;
const RANGES = { A: '1', B: '1/2' };
const coneOf = ([a, b]: Ratio): Record<string, string> =>
  Object.fromEntries(Object.entries(CONES).map(([n, [over, under]]) => [n, textOf(lowest([a * over, b * under]))]));
const LEVERS_CUT: Readonly<Record<string, number>> = Object.fromEntries(
  Object.entries(CONES).flatMap(([n, [over, under]]) => [
    [`cone ${n}, range A`, over / under],
    [`cone ${n}, range B`, over / under / 2],
  ]),
);

/** How the levers stand before anything is put up, and what a slip in putting up cuts. */
function gearsOf(d: Dealt): Pick<Truth, 'levers' | 'slipCuts' | 'misreadMm'> {
  const box = d.latheKind === 'gearbox';
  const slipped = box ? (LEVERS_CUT['cone 2, range A'] ?? 1) : 45 / 40;
  return {
    levers: box ? { stand: 'cone 2, range B', cuts: LEVERS_CUT } : null,
    slipCuts: d.slip ? slipped : 1,
    misreadMm: d.misreadMm,
  };
}

/** How a job ended, and what about. */
interface Ended extends Outcome {
  readonly dealt: Dealt;
  /** Metal that may be left or be missing at the pitch diameter when it is right, mm: the class's limits, else the window. */
  readonly right: { readonly least: number; readonly most: number };
}

/** One job through the simulated shop. */
function oneJob(gelvin: Gelvin, seed: number, fault: Fault | null = null): Ended {
  const dice = new Dice(seed);
  const d = deal(dice);
  const lead = d.kind.pitchMm * d.kind.starts;
  const geared = d.latheKind === 'change-gears' || d.latheKind === 'gearbox';
  const box = d.latheKind === 'gearbox';
  // loose gears one to one on a leadscrew of that lead; a gearbox of just the ratio that an 8 tpi or 6 mm leadscrew needs:
  // what is proved here is what follows from a train, not the search for it
  const leadExact = leadOf(d);
  const screw: Ratio = box ? (dice.chance(0.5) ? [127, 40] : [6, 1]) : leadExact;
  const ratio = textOf(lowest([leadExact[0] * screw[1], leadExact[1] * screw[0]]));
  const lathe: Lathe = {
    ...gelvin.newLathe('sim'),
    unconfirmed: [],
    name: 'Simulated',
    kind: d.latheKind,
    leadscrew: textOf(screw),
    // besides the two that go on, others that can be taken for them
    gears: [40, 40, 38, 45],
    levers: box ? { cone: coneOf(lowest([leadExact[0] * screw[1], leadExact[1] * screw[0]])), range: RANGES } : {},
    crossSlide: { ...d.dials[0] },
    topSlide: { ...d.dials[1] },
    slack: { crossMm: d.slackKnown ? d.crossSlackMm : null, topMm: null, carriageMm: null },
    dial: { teeth: 16, marks: 8, otherTeeth: [] },
    screwedChuck: dice.chance(0.5),
    control: d.latheKind === 'control' ? { word: 'G33', diameterProgramming: true, unit: 'mm' } : null,
  };
  let shop: Shop = { ...gelvin.emptyShop(), lathes: [lathe] };
  let job: Job = gelvin.newJob('sim', 'Simulated', new Date('2026-11-26T08:00:00Z'));
  const door: Door = {
    edit: (edits) => {
      const done = gelvin.edit(job, shop, fault?.edits ? fault.edits(edits, job, shop) : edits);
      if ('problem' in done) return { ok: false, problem: done.problem };
      ({ job, shop } = done);
      return { ok: true };
    },
    job: () => {
      const a = gelvin.answers(job, shop);
      return fault?.answers ? fault.answers(a, job, shop) : a;
    },
  };
  const must = (...edits: Record<string, unknown>[]): void => {
    const { ok, problem } = door.edit(edits);
    if (!ok) throw new Error(`${JSON.stringify(edits)}: ${problem ?? ''}`);
  };
  const thread = { ...(gelvin.thread(d.kind.designation) as Record<string, unknown>), leftHand: d.leftHand };
  const control = d.latheKind === 'control';
  const infeed = control ? 'plunge' : (d.infeed ?? 'plunge');
  // the flank that is not cut has to be steep enough for a slide to follow
  const trailing = d.leftHand ? d.kind.freeEndDeg : d.kind.headEndDeg;
  must(
    { do: 'setIntake', wanted: d.gauge ? 'gauge' : d.wornMm ? 'mate' : d.wanted, make: d.member, cameIn: 'screw' },
    { do: 'acceptName', thread, probability: 1, overruled: true, reason: 'dealt' },
    ...(d.gauge ? [{ do: 'setFit', gauge: { end: d.gauge, school: 'inside' } }] : []),
    { do: 'chooseLathe', lathe: 'sim' },
    ...(geared ? [{ do: 'takeTrain', train: { drivers: [40], driven: [40], gearbox: box ? ratio : '1' } }] : []),
    { do: 'setUp', infeed: trailing < 5 ? 'plunge' : infeed },
    { do: 'setSchedule', passes: d.passes, returnBy: d.returnBy, firstMaxMm: 0.25 },
    { do: 'setPickup', way: d.way },
    ...(d.more > 0 ? [{ do: 'setQuantity', parts: d.more, testPiece: true }] : []),
    ...(d.ownStepMm === null ? [] : [{ do: 'setSchedule', deeperStepMm: d.ownStepMm }]),
  );
  const worn = d.wornMm && wornScrew(d.wornMm, must, door);
  const { fit } = door.job();
  if (!fit) throw new Error('no fit');
  const external = d.member === 'external';
  const slope = Math.tan((d.kind.freeEndDeg * Math.PI) / 180) + Math.tan((d.kind.headEndDeg * Math.PI) / 180);
  // a nut for a screw that is there is bored to what was said, or a little over
  const off = worn ? Math.abs(d.blankOffMm) / 3 : d.blankOffMm;
  const blankMm = fit.startDiameterMm + off;
  // the tool in the holder, ground by hand to about a tenth of the pitch
  const flatMm = Number((d.kind.pitchMm * (slope < 0.8 ? 0.34 : 0.12)).toFixed(2));
  const formDepth = Math.abs(blankMm - fit.pitchDiameterMm) / 2 + (d.kind.pitchMm / 2 - flatMm) / slope;
  must({ do: 'setFit', tip: { flatMm } });
  const barMm = external ? null : blankMm * 0.55;
  if (barMm !== null && dice.chance(0.7)) must({ do: 'setUp', barMm });
  const wire =
    external && d.ownStepMm === null && d.kind.freeEndDeg === d.kind.headEndDeg
      ? Number((d.kind.pitchMm / 2 / Math.cos((d.kind.freeEndDeg * Math.PI) / 180)).toFixed(3))
      : null;
  const truth: Truth = {
    ...provedBy(d, fit),
    member: d.member,
    leftHand: d.leftHand,
    pitchMm: d.kind.pitchMm,
    starts: d.kind.starts,
    freeEndDeg: d.kind.freeEndDeg,
    headEndDeg: d.kind.headEndDeg,
    flatMm,
    targetPitchDiameterMm: fit.pitchDiameterMm,
    blanksMm: [
      blankMm,
      ...Array.from({ length: d.more }, () => blankMm + Math.abs(dice.gauss(0.03)) * (external ? -1 : 1)),
    ],
    screw: worn,
    eccentricMm: d.eccentricMm,
    wanted: d.wanted,
    oldDepthMm: d.wanted === 'recut' ? formDepth - 0.08 : formDepth - 0.02,
    cross: d.dials[0],
    top: d.dials[1],
    crossSlackMm: d.crossSlackMm,
    topSlackMm: d.topSlackMm,
    slideDeg: job.setup.infeed === 'plunge' ? 0 : job.setup.slideAngleDeg,
    control,
    slip: geared ? { travelMm: lead, teeth: 40 } : null,
    share: d.share,
    capMm: 0.25,
    barMm,
    wire,
    ...gearsOf(d),
    halfNuts: geared
      ? { leadscrewMm: screw[0] / screw[1], dialTeeth: 16, marks: 8, screwedChuck: lathe.screwedChuck }
      : null,
  };
  return {
    ...carry(
      door,
      truth,
      dice,
      mischiefOf(d, dice, () => job),
    ),
    dealt: d,
    right: rightOf(d, fit),
  };
}

/** By what it is proved: plugs of its class, or a mate of its own size. */
function provedBy(d: Dealt, fit: NonNullable<Answers['fit']>): Pick<Truth, 'gauges' | 'mateMm'> {
  const { min, max } = fit.limits?.pitch ?? { min: null, max: null };
  const sign = d.member === 'external' ? 1 : -1;
  const nearMm = d.member === 'external' ? max : min;
  return {
    gauges: d.member === 'internal' && d.byPlugs && min !== null && max !== null ? { goMm: min, notGoMm: max } : null,
    // of a class: it clears the metal-most limit by its allowance, its own tolerance and its wear; else made so that it runs
    // well when the size is right
    mateMm:
      nearMm === null
        ? fit.pitchDiameterMm + sign * 2 * 0.01 * Math.sqrt(d.kind.pitchMm)
        : nearMm + sign * d.mateShare * 0.12 * Math.sqrt(d.kind.pitchMm),
  };
}

/** Play that a nut is to have over the thickest place of its screw, on pitch diameter, mm. */
const NUT_CLEARANCE_MM = 0.15;
const READING = {
  span: null,
  leaf: null,
  instrument: null,
  uncertainty: null,
  place: '',
  positionMm: null,
  wear: 'unknown',
};

/** A worn screw comes in with the job: measured at three places and at its root. The nut is made to it. */
function wornScrew(
  wornMm: readonly number[],
  must: (...edits: Record<string, unknown>[]) => void,
  door: Door,
): Truth['screw'] {
  must({ do: 'setFit', class: null, pitchClearanceMm: 0, crestReliefMm: 0 });
  const basic = door.job().fit;
  if (!basic) throw new Error('no fit');
  const places = wornMm.map((mm) => basic.pitchDiameterMm - mm);
  // cut by somebody else, with a wide tool: its root stands higher than the table's
  const rootMm = basic.startDiameterMm + 0.05;
  const read = (quantity: string, value: number) => ({
    do: 'takeReading',
    reading: { ...READING, quantity, text: String(value), value, member: 'part' },
  });
  must(...places.map((mm) => read('pitchDiameter', mm)), read('minorDiameter', rootMm));
  // the name stands, whatever was read of its wear
  must({ do: 'settle', station: 'name' }, { do: 'setFit', to: 'mate', pitchClearanceMm: NUT_CLEARANCE_MM });
  return { thickestMm: Math.max(...places), rootMm };
}

/** A micrometer over wires reads wrongly by so much, mm: no maker can tell a size nearer. */
const READING_MM = 0.012;
/** A gauge is judged by the window: its own tenth is finer than a hand at the dial; it is lapped to it afterwards. */
function rightOf(d: Dealt, fit: NonNullable<Answers['fit']>): Ended['right'] {
  const { min = null, max = null } = d.gauge ? {} : (fit.limits?.pitch ?? {});
  if (min === null || max === null) return { least: -windowMm(d.kind.pitchMm), most: windowMm(d.kind.pitchMm) };
  const [few, many] =
    d.member === 'external'
      ? [min - fit.pitchDiameterMm, max - fit.pitchDiameterMm]
      : [fit.pitchDiameterMm - max, fit.pitchDiameterMm - min];
  return { least: few - READING_MM, most: many + READING_MM };
}

/** What goes wrong, or is decided otherwise, while a job is cut. */
function mischiefOf(d: Dealt, dice: Dice, now: () => Job): (n: number) => readonly Record<string, unknown>[] {
  if (!d.trouble) return () => [];
  const when = new Map<number, Record<string, unknown>[]>();
  const geared = d.latheKind === 'change-gears' || d.latheKind === 'gearbox';
  const kinds = [
    [{ do: 'setSchedule', passes: dice.whole(3, 12) }],
    [{ do: 'setSchedule', firstMaxMm: 0.12 }],
    [{ do: 'setSchedule', rule: 'constant-depth', passes: null }],
    ...(d.latheKind === 'control' || d.kind.starts > 1 ? [] : [[{ do: 'setUp', infeed: 'plunge' }]]),
    ...(d.kind.starts > 1 ? [] : [[{ do: 'slipped' }]]),
    ...(d.kind.starts > 1 || !geared ? [] : [[{ do: 'mountGears' }]]),
  ];
  for (let i = 0; i < 2; i += 1) when.set(dice.whole(8, 20), dice.of(kinds));
  // only while passes are being cut: before that there is nothing to disturb
  return (n) => {
    const e = when.get(n);
    return e && now().events.some((x) => x.kind === 'cut') ? e : [];
  };
}

/** The first job of so many that a fault scraps, and how; null: it scraps none. */
export function firstScrapped(
  gelvin: Gelvin,
  fault: Fault,
  first: number,
  jobs: number,
): { readonly seed: number; readonly why: string } | null {
  for (let seed = first; seed < first + jobs; seed += 1) {
    if (fault.concerns && !fault.concerns(deal(new Dice(seed)))) continue;
    const out = oneJob(gelvin, seed, fault);
    const why = out.scrapped ?? pastSize(out);
    if (why !== null) return { seed, why };
  }
  return null;
}

/** Cut so far past size that no fit forgives it. */
const pastSize = (out: Ended): string | null =>
  out.leftMm < Math.min(out.right.least, -2.5 * windowMm(out.dealt.kind.pitchMm))
    ? `cut ${(-out.leftMm).toFixed(3)} mm past size`
    : null;

export interface Summary {
  readonly jobs: number;
  readonly scrapped: readonly { readonly seed: number; readonly why: string }[];
  /** Ended right, as a share. */
  readonly inside: number;
  readonly steps: number;
}

/** How near to the middle a finished thread has to be, on pitch diameter: what a general fit allows, mm. */
const windowMm = (pitchMm: number): number => 0.02 + 0.02 * Math.sqrt(pitchMm);

export function manyJobs(gelvin: Gelvin, jobs: number, first = 1, fault: Fault | null = null): Summary {
  const scrapped: { seed: number; why: string }[] = [];
  let inside = 0;
  let steps = 0;
  for (let i = 0; i < jobs; i += 1) {
    const seed = first + i;
    const out = oneJob(gelvin, seed, fault);
    steps += out.steps;
    const why = out.scrapped ?? pastSize(out);
    if (why !== null) scrapped.push({ seed, why });
    else if (out.leftMm >= out.right.least && out.leftMm <= out.right.most) inside += 1;
  }
  return { jobs, scrapped, inside: inside / jobs, steps: steps / jobs };
}
