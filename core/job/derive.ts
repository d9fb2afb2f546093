import { wireSteps } from '../gauging/wireSteps.ts';
import { plain, type Step } from '../quantity/working.ts';
import { fitPlan, type FitChoice, type FitPlan } from '../fit/fit.ts';
import {
  bestWireMm,
  checkWire,
  grooveOf,
  overWiresMm,
  pitchDiameterFromWiresMm,
  usableWireMm,
  type Groove,
} from '../gauging/wires.ts';
import { exactBeyondTextbookMm, pitchDiameterExact } from '../gauging/exactWires.ts';
import { leadOfTrain } from '../gearing/search.ts';
import { isGeared, type Lathe } from '../lathe/schema.ts';
import type { Outcome } from '../quantity/outcome.ts';
import { errorPpm, exact, type Rational } from '../quantity/rational.ts';
import { leadOf, pitchMmOf, threadFormOf, type ThreadSpec } from '../standards/thread.ts';
import { readingsOn } from './made.ts';
import { onTravel } from '../fit/worn.ts';
import { matePitchDiameter, travelOf } from './mate.ts';
import { copiedFrom, matePlaces } from './places.ts';
import { standingOfPart } from './metal.ts';
import type { Job, Shop } from './schema.ts';

/** The thread a job stands on: the one accepted in Name, as core's own type. */
export const threadOfJob = (job: Job): ThreadSpec | null => (job.name ? job.name.thread : null);

export const latheOf = (job: Job, shop: Shop): Lathe | null =>
  shop.lathes.find((l) => l.id === job.gears.lathe) ?? null;

/** Largest root of the screw that a nut has to pass, never an average, as read on the travel it runs over; null where it was not. */
export const mateRootOf = (job: Job, thread: ThreadSpec): number | null => {
  const run = job.fit.to === 'mate' && job.fit.wornMate === 'travel';
  const travel = run ? (travelOf(job, matePlaces(job, thread))?.stretch ?? null) : null;
  const roots = onTravel(readingsOn(job, 'external', 'minorDiameter'), travel).map((r) => r.value);
  return job.intake.make === 'internal' && roots.length > 0 ? Math.max(...roots) : null;
};

/** What the fit is counted from, as it was read; null where nothing was, or where the basic size is meant. */
function readFrom(job: Job, thread: ThreadSpec): Pick<FitChoice, 'readPitchDiameterMm' | 'readStartMm'> {
  if (job.fit.class !== null || job.fit.to === 'clearance') return {};
  if (job.fit.to === 'mate') return { readPitchDiameterMm: matePitchDiameter(job, thread) };
  const copied = copiedFrom(job, thread);
  return { readPitchDiameterMm: copied.pitchDiameterMm, readStartMm: copied.startMm };
}

/** Everything that Fit has chosen, with what the surviving mate measures. */
export const fitChoiceOf = (job: Job, thread: ThreadSpec): FitChoice => ({
  ...job.fit,
  make: job.intake.make,
  gauge: job.intake.wanted === 'gauge' ? job.fit.gauge : null,
  mateRootMm: mateRootOf(job, thread),
  ...readFrom(job, thread),
});

export const fitOfJob = (job: Job): FitPlan | null => {
  const thread = threadOfJob(job);
  return thread ? fitPlan(thread, fitChoiceOf(job, thread)) : null;
};

export interface GearState {
  readonly target: Rational;
  /** Lead really cut by the chosen train (or by the electronic leadscrew: the target). Null: no train chosen. */
  readonly lead: Rational | null;
  readonly errorPpm: number | null;
}

/** What the chosen train cuts. */
export function gearState(job: Job, shop: Shop): GearState | null {
  const thread = threadOfJob(job);
  const lathe = latheOf(job, shop);
  if (!thread) return null;
  const target = leadOf(thread);
  if (!lathe) return { target, lead: null, errorPpm: null };
  if (!isGeared(lathe)) return { target, lead: target, errorPpm: 0 };
  if (!job.gears.train) return { target, lead: null, errorPpm: null };
  const lead = leadOfTrain(job.gears.train, exact(lathe.leadscrew), exact(lathe.fixedRatio));
  return { target, lead, errorPpm: errorPpm(lead, target) };
}

export interface WirePlan {
  readonly groove: Groove;
  readonly bestMm: number;
  readonly wireMm: number;
  /** Wires that may be used, mm. */
  readonly usableMm: { readonly min: number; readonly max: number };
  readonly check: Outcome<number>;
  /** M at the limits of the class, mm; null where it is made to no class. */
  readonly limitsMm: { readonly min: number; readonly max: number } | null;
  /** M when the pitch diameter is right, mm, with the lead-angle correction. */
  readonly targetMm: number;
  readonly flatMm: number;
  /** How the target came about. */
  readonly working: readonly Step[];
  /** The exact solution was used, because the lead angle matters. */
  readonly exact: boolean;
  /** Basic pitch diameter less nothing: the largest the screw may be and still be the thread named, mm. */
  readonly measured: readonly {
    readonly n: number;
    readonly text: string;
    readonly overMm: number;
    readonly pitchDiameterMm: number;
    readonly leftMm: number;
    /** Against the limits of the class, where it is made to one; else against the size aimed at. */
    readonly verdict: 'to-go' | 'at-size' | 'past';
  }[];
}

/** Slack of a shop micrometer over wires, mm: within this the size is reached. */
export const AT_SIZE_MM = 0.01;
const verdictOf = (d2: number, aimMm: number, min: number | null, max: number | null): 'to-go' | 'at-size' | 'past' =>
  d2 > (max ?? aimMm + AT_SIZE_MM) ? 'to-go' : d2 < (min ?? aimMm - AT_SIZE_MM) ? 'past' : 'at-size';

/** Nearest owned wire to the best one that can be used; the best wire itself when none is owned. */
export function wireToUse(groove: Groove, ownedMm: readonly number[]): number {
  const best = bestWireMm(groove);
  const usable = ownedMm.filter((w) => checkWire(groove, w).ok);
  return usable.length > 0 ? usable.reduce((a, b) => (Math.abs(b - best) < Math.abs(a - best) ? b : a)) : best;
}

/** Below this the lead angle is not worth the exact solution, mm. */
const EXACT_WORTH_MM = 0.001;
// The spine asks for the same figures at every keystroke and the exact solution takes milliseconds: the last answers are kept.
const exactAnswers = new Map<string, number>();
const ANSWERS_KEPT = 128;
function kept(what: string, groove: Groove, mm: number, wireMm: number, answer: () => number): number {
  const key = `${what} ${groove.leadingHalfAngleDeg} ${groove.trailingHalfAngleDeg} ${groove.pitchMm} ${groove.starts} ${mm} ${wireMm}`;
  const known = exactAnswers.get(key);
  if (known !== undefined) return known;
  const found = answer();
  const [oldest] = exactAnswers.keys();
  if (exactAnswers.size >= ANSWERS_KEPT && oldest !== undefined) exactAnswers.delete(oldest);
  exactAnswers.set(key, found);
  return found;
}

/** Whether the lead angle is worth the exact solution, with a wire that can be used. */
const exactMatters = (groove: Groove, d2: number, wireMm: number): boolean =>
  overWiresMm(groove, d2, wireMm, 'textbook') - overWiresMm(groove, d2, wireMm, 'flat') > EXACT_WORTH_MM &&
  checkWire(groove, wireMm).ok;

/** What the exact solution adds to the textbook term; 0 where the lead angle does not matter or no wire rests. */
function beyondTextbook(groove: Groove, d2: number, wireMm: number): number {
  if (!exactMatters(groove, d2, wireMm)) return 0;
  return kept('M', groove, d2, wireMm, () => exactBeyondTextbookMm(groove, d2, wireMm) ?? 0);
}

/** Pitch diameter of a measurement over wires, by the same way as its target: exact where that is. */
function measuredPitchDiameter(groove: Groove, overMm: number, wireMm: number): number {
  const textbook = pitchDiameterFromWiresMm(groove, overMm, wireMm, 'textbook');
  if (!exactMatters(groove, textbook, wireMm)) return textbook;
  return kept('d2', groove, overMm, wireMm, () => {
    const exact = pitchDiameterExact(groove, overMm, wireMm);
    return exact.ok ? exact.value : textbook;
  });
}

/** The textbook's working, or what the exact solution adds to the flat figure. @param beyondMm what it adds to the textbook's term */
function wireWorking(groove: Groove, d2: number, wireMm: number, beyondMm: number): readonly Step[] {
  const [flat, withLead] = wireSteps(groove, d2, wireMm);
  if (beyondMm === 0) return [flat, withLead];
  return [
    flat,
    {
      name: 'With the lead angle',
      symbol: 'M',
      formula: 'cylinder pressed into the helix, free to tilt, solved numerically',
      values: `${plain(flat.result)} + ${plain(withLead.result + beyondMm - flat.result)}`,
      result: withLead.result + beyondMm,
      unit: 'mm',
      source: 'geometry of cylinder and helicoid; the textbook term is good to 1 \u00b5m only at small lead angles',
    },
  ];
}

/** Measuring over three wires: null where wires cannot go (a nut, a square thread). */
export function wirePlan(job: Job, shop: Shop): WirePlan | null {
  const thread = threadOfJob(job);
  const plan = fitOfJob(job);
  if (!thread || plan?.make !== 'external') return null;
  const form = threadFormOf(thread);
  if (form.leadingFlankDeg + form.trailingFlankDeg === 0) return null;
  const groove = grooveOf(form, pitchMmOf(thread), thread.starts);
  const wireMm = job.prove.wire?.mm ?? wireToUse(groove, shop.wiresMm);
  const d2 = plan.pitchDiameterMm;
  const beyond = beyondTextbook(groove, d2, wireMm);
  const { min, max } = plan.limits?.pitch ?? { min: null, max: null };
  const over = (at: number): number => overWiresMm(groove, at, wireMm, 'textbook') + beyondTextbook(groove, at, wireMm);
  const overLimits = min === null || max === null ? null : { min: over(min), max: over(max) };
  return {
    groove,
    bestMm: bestWireMm(groove),
    wireMm,
    usableMm: usableWireMm(groove),
    check: checkWire(groove, wireMm, 'wire'),
    targetMm: overWiresMm(groove, d2, wireMm, 'textbook') + beyond,
    limitsMm: overLimits,
    exact: beyond !== 0,
    working: wireWorking(groove, d2, wireMm, beyond),
    flatMm: overWiresMm(groove, d2, wireMm, 'flat'),
    measured: standingOfPart(job)
      .filter((e) => e.kind === 'overWires')
      .map((e) => {
        const own = e.wire?.mm ?? wireMm;
        const pitchDiameterMm = measuredPitchDiameter(groove, e.mm, own);
        return {
          n: e.n,
          text: e.text,
          overMm: e.mm,
          pitchDiameterMm,
          leftMm: pitchDiameterMm - d2,
          verdict: verdictOf(pitchDiameterMm, d2, min, max),
        };
      }),
  };
}

/**
 * Length over which screw and nut are engaged, for what a pitch error does: as given, else the thread's length as read, else
 * one diameter, which is the usual nut. Common practice, no source.
 */
export function engagedOf(job: Job): number {
  return job.fit.engagementMm ?? job.wearMap.lengthMm ?? threadOfJob(job)?.majorMm ?? 0;
}
