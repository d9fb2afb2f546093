import { isSquare } from '../form/flanks.ts';
import { betweenBallsExact, betweenBallsMm, nutGrooveOf, pitchDiameterBetween } from '../gauging/balls.ts';
import { budgetOf, totalMm, type Known, type Unsure } from '../gauging/budget.ts';
import { exactBeyondTextbookMm, pitchDiameterExact } from '../gauging/exactWires.ts';
import { ballSteps, wireSteps } from '../gauging/wireSteps.ts';
import {
  bestWireMm,
  checkWire,
  grooveOf,
  overOneWireMm,
  overThreeFromOneMm,
  overWiresMm,
  pitchDiameterFromWiresMm,
  usableWireMm,
  type Groove,
} from '../gauging/wires.ts';
import { expansionOf } from '../cutting/materials.ts';
import { bad, type Outcome } from '../quantity/outcome.ts';
import { plain, type Step } from '../quantity/working.ts';
import { pitchMmOf, threadFormOf } from '../standards/thread.ts';
import { fitOfJob, threadOfJob } from './derive.ts';
import { kept } from '../keep/keep.ts';
import type { EventOf, LedgerEvent } from './events.ts';
import { ofParts } from './ofParts.ts';
import { metalOf, standingOfPart } from './metal.ts';
import { copiedFrom, placesOn } from './places.ts';
import { matesTried, matesUntried } from './matesTried.ts';
import { rightPitch } from './rightBy.ts';
import type { FitParts, Job, Pin, Shop } from './schema.ts';

/** A pin, wire or ball that could be laid in, and what is measured with it. */
interface PinChoice {
  readonly pin: Pin;
  /** Its own diameter: as measured, else as written on it, mm. */
  readonly mm: number;
  readonly targetMm: number;
  readonly limitsMm: Range | null;
  /** Of the pitch diameter with it, one standard deviation, mm. */
  readonly uncertaintyMm: number;
}
interface Range {
  readonly min: number;
  readonly max: number;
}
/** What a measurement says of the size. */
export type Verdict = 'to-go' | 'at-size' | 'past';
/** A reading over wires or between balls, and what it says of the pitch diameter at 20 degrees. */
interface Measured {
  readonly n: number;
  readonly text: string;
  readonly overMm: number;
  /** What it would have read with the wire used now, cold; that is what a band can show beside others. */
  readonly shownMm: number;
  readonly pitchDiameterMm: number;
  readonly uncertaintyMm: number;
  readonly leftMm: number;
  readonly atMm: number | null;
  readonly place: string;
  /** Against the limits of the class, where it is made to one; else against the size aimed at. */
  readonly verdict: Verdict;
}

/** How the thread is measured: over what, to which figure, with which doubt. */
export interface MeasurePlan {
  readonly by: 'wires' | 'balls';
  /** It can be done: wires are soon found, but balls have to be owned. */
  readonly atHand: boolean;
  readonly groove: Groove;
  readonly bestMm: number;
  /** Diameter of the wire or ball used, mm. */
  readonly wireMm: number;
  readonly wireText: string;
  /** Wires used; 2 between balls. */
  readonly count: number;
  /** Wires or balls that may be used, mm. */
  readonly usableMm: Range;
  readonly check: Outcome<number>;
  /** M at the limits of the class, mm; null where it is made to no class. */
  readonly limitsMm: Range | null;
  /** M at the ends of what is right: the class, or so much on either side of the size aimed at; mm. */
  readonly rightMm: Range;
  /** M when the pitch diameter is right, mm, with the lead angle, as warm as the part is. */
  readonly targetMm: number;
  /** By the flat formula, mm, as warm. */
  readonly flatMm: number;
  /** How the target came about. */
  readonly working: readonly Step[];
  /** The exact solution was used, because the lead angle matters. */
  readonly exact: boolean;
  /** What the part has grown while it is warm, mm; null: nobody has said how warm it is. */
  readonly grownMm: number | null;
  readonly budget: readonly Unsure[];
  /** All of it together, on the pitch diameter, one standard deviation, mm. */
  readonly uncertaintyMm: number;
  /** M that the old part had where it is not worn, with this wire, mm; null: not read. */
  readonly unwornMm: number | null;
  /** The owned ones that can be used, best first. */
  readonly pins: readonly PinChoice[];
  /** A pin worth buying, mm; null: one that is as good is owned. */
  readonly buyMm: number | null;
  readonly measured: readonly Measured[];
}

const verdictOf = (make: 'external' | 'internal', d2: number, low: number, high: number): Verdict => {
  const [toGo, past] = make === 'external' ? [d2 > high, d2 < low] : [d2 < low, d2 > high];
  return toGo ? 'to-go' : past ? 'past' : 'at-size';
};

/** How well a diameter is known that nobody has measured, by what is laid in, mm; one that was measured, by a micrometer. Common practice, no source. */
const PIN_MM: Readonly<Record<Pin['kind'], number>> = {
  wire: 0.001,
  pin: 0.002,
  drill: 0.01,
  needle: 0.002,
  ball: 0.001,
};
const PIN_MEASURED_MM = 0.002;
/** Of a thread cut with a tool checked by template, and of gears that cut the lead they say. Common practice, no source. */
const HALF_ANGLE_DEG = 0.25;
const PITCH_SHARE = 0.0002;
/** Anvils and the hand, beside the micrometer itself; metal under the wire, normal to the flank. Common practice, no source. */
const FEEL_MM = 0.004;
const FLANK_MM = 0.0015;
/** How well a said temperature is known; and how warm a part may be of which nobody has said it, K. Common practice, no source. */
const HEAT_SAID_K = 2;
const HEAT_UNSAID_K = 5;
/** A pin that costs no more than this beyond the best is as good, mm on the pitch diameter. */
const AS_GOOD_MM = 0.001;

/** Below this the lead angle is not worth the exact solution, mm. */
const EXACT_WORTH_MM = 0.001;
// The spine asks for the same figures at every keystroke and the exact solution takes milliseconds: the last answers are kept.
const exactAnswers = new Map<string, number>();
const ANSWERS_KEPT = 256;
function remembered(what: string, groove: Groove, mm: number, wireMm: number, answer: () => number): number {
  const key = `${what} ${groove.leadingDeg} ${groove.trailingDeg} ${groove.pitchMm} ${groove.starts} ${mm} ${wireMm}`;
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

/** How a pitch diameter and a measurement belong together, for wires over a screw and for balls in a nut. */
interface Way {
  /** What the exact solution adds to `over`; 0 where the lead angle does not matter or nothing rests. */
  readonly beyond: (d2: number, wireMm: number) => number;
  /** Without that. */
  readonly over: (d2: number, wireMm: number) => number;
  readonly flat: (d2: number, wireMm: number) => number;
  readonly back: (mm: number, wireMm: number) => number;
}
const overScrew = (g: Groove): Way => ({
  over: (d2, w) => overWiresMm(g, d2, w, 'textbook'),
  flat: (d2, w) => overWiresMm(g, d2, w, 'flat'),
  beyond: (d2, w) =>
    exactMatters(g, d2, w) ? remembered('M', g, d2, w, () => exactBeyondTextbookMm(g, d2, w) ?? 0) : 0,
  back: (m, w) => {
    const textbook = pitchDiameterFromWiresMm(g, m, w, 'textbook');
    if (!exactMatters(g, textbook, w)) return textbook;
    return remembered('d2', g, m, w, () => {
      const exact = pitchDiameterExact(g, m, w);
      return exact.ok ? exact.value : textbook;
    });
  },
});
const inNut = (g: Groove): Way => ({
  over: (d2, w) => betweenBallsMm(g, d2, w),
  flat: (d2, w) => betweenBallsMm(g, d2, w),
  beyond: (d2, w) =>
    checkWire(g, w).ok
      ? remembered('B', g, d2, w, () => {
          const exact = betweenBallsExact(g, d2, w);
          return exact.ok ? exact.value - betweenBallsMm(g, d2, w) : 0;
        })
      : 0,
  back: (m, w) => {
    const flat = m - betweenBallsMm(g, 0, w);
    if (!checkWire(g, w).ok) return flat;
    return remembered('D2', g, m, w, () => {
      const exact = pitchDiameterBetween(g, m, w, true);
      return exact.ok ? exact.value : flat;
    });
  },
});

/** On what the way of measuring rests, besides what there is to measure with. */
const MEASURED = ['name', 'fit', 'intake', 'readings', 'wearMap', 'prove'] as const;

const ownMm = (pin: Pin): number => pin.measuredMm ?? pin.mm;

/** What can be laid into this member at all: balls into a nut, anything straight over a screw. */
const suits = (pin: Pin, make: 'external' | 'internal'): boolean => (pin.kind === 'ball') === (make === 'internal');

/**
 * Measuring over wires, or between balls in a nut. Null: no thread yet, or a square one, which has no flanks to rest on.
 * @example measurePlan(demo('press'), shop) // null
 * @example measurePlan(demo('sluice'), shop).groove.leadingDeg // 14.5
 */
export const measurePlan = (job: Job, shop: Shop): MeasurePlan | null =>
  measuring(job, shop.pins, micrometerMm(shop.instruments), metalOf(job).surfaceMm, readingsOver(job));

const micrometerMm = (instruments: Shop['instruments']): number =>
  instruments.find((i) => i.id === 'micrometer')?.uncertainty ?? FEEL_MM;
type OverEvent = EventOf<'overWires'> | EventOf<'betweenBalls'>;
/** What was measured on the part on the lathe: the same list while no other was added or struck. */
const readingsOver = (job: Job): readonly OverEvent[] => overOf(standingOfPart(job));
const overOf = kept((events: readonly LedgerEvent[]): readonly OverEvent[] => {
  const over = events.filter((e) => e.kind === 'overWires' || e.kind === 'betweenBalls');
  return over.length === 0 ? NONE : over;
});
const NONE: readonly OverEvent[] = [];

const measuring = ofParts(
  MEASURED,
  (
    job,
    owned: readonly Pin[],
    micrometer: number,
    major: number | null,
    over: readonly OverEvent[],
  ): MeasurePlan | null => {
    const thread = threadOfJob(job);
    const plan = fitOfJob(job);
    if (!thread || !plan) return null;
    const form = threadFormOf(thread);
    if (isSquare(form)) return null;
    const nut = plan.make === 'internal';
    const groove = (nut ? nutGrooveOf : grooveOf)(form, pitchMmOf(thread), thread.starts);
    const way = (nut ? inNut : overScrew)(groove);
    const d2 = plan.pitchDiameterMm;
    const best = bestWireMm(groove);
    const alpha = expansionOf(job.intake.material);
    const known = (pin: Pin | null): Known => ({
      wireMm: pin
        ? pin.measuredMm === null
          ? PIN_MM[pin.kind]
          : Math.min(PIN_MEASURED_MM, PIN_MM[pin.kind])
        : PIN_MM.wire,
      roundMm: pin?.roundMm ?? null,
      halfAngleDeg: HALF_ANGLE_DEG,
      pitchMm: PITCH_SHARE * groove.pitchMm,
      readingMm: Math.hypot(FEEL_MM, micrometer),
      flankMm: FLANK_MM,
      heatK: job.prove.warmK === null ? HEAT_UNSAID_K : HEAT_SAID_K,
      alpha,
    });
    const right = rightPitch(job, plan);
    const limits = right.of === 'class' ? right : null;
    // the wires lie on anvils and are cold; the part alone has grown
    const grown = alpha * d2 * (job.prove.warmK ?? 0);
    const count = nut ? 2 : job.prove.count;
    const one = !nut && count === 1;
    const asOne = (m: number): number => (one ? overOneWireMm(m, (major ?? plan.startDiameterMm) + grown) : m);
    const overAt = (pd: number, w: number): number => asOne(way.over(pd, w) + way.beyond(d2, w) + grown);
    const rangeAt = (w: number): Range | null => limits && { min: overAt(limits.min, w), max: overAt(limits.max, w) };
    const pins = owned
      .filter((p) => suits(p, plan.make) && checkWire(groove, ownMm(p)).ok)
      .map((pin) => {
        const mm = ownMm(pin);
        return {
          pin,
          mm,
          targetMm: overAt(d2, mm),
          limitsMm: rangeAt(mm),
          uncertaintyMm: totalMm(budgetOf(groove, d2, mm, known(pin))),
        };
      })
      .sort((a, b) => a.uncertaintyMm - b.uncertaintyMm || Math.abs(a.mm - best) - Math.abs(b.mm - best));
    const wireMm = job.prove.wire?.mm ?? pins[0]?.mm ?? best;
    const used = owned.find((p) => suits(p, plan.make) && Math.abs(ownMm(p) - wireMm) < 1e-9) ?? null;
    const budget = budgetOf(groove, d2, wireMm, known(used));
    const beyond = way.beyond(d2, wireMm);
    const needsMajor: Outcome<number> | null = one && major === null ? bad('majorMm', 'one-wire-needs-major') : null;
    const ideal = totalMm(budgetOf(groove, d2, best, known(null)));
    const measured = over.flatMap((e) =>
      e.kind === (nut ? 'betweenBalls' : 'overWires')
        ? [measuredOf(e, { way, wireMm, alpha, make: plan.make, d2, budget, lowHigh: right, asOne, grown })]
        : [],
    );
    const unworn = unwornPitchDiameter(job);
    return {
      by: nut ? 'balls' : 'wires',
      atHand: !nut || pins.length > 0 || job.prove.wire !== null,
      groove,
      bestMm: best,
      wireMm,
      wireText: job.prove.wire?.text ?? (pins[0] ? plain(pins[0].mm) : ''),
      count,
      usableMm: usableWireMm(groove),
      check: needsMajor ?? checkWire(groove, wireMm, 'wire'),
      targetMm: overAt(d2, wireMm),
      limitsMm: rangeAt(wireMm),
      rightMm: { min: overAt(right.min, wireMm), max: overAt(right.max, wireMm) },
      exact: beyond !== 0,
      working: [
        ...(nut ? ballSteps : wireWorking)(groove, d2, wireMm, beyond),
        ...(grown === 0 ? [] : [warmStep(way.over(d2, wireMm) + beyond, d2, alpha, job.prove.warmK ?? 0)]),
        ...(one ? [oneWireStep(way.over(d2, wireMm) + beyond + grown, (major ?? plan.startDiameterMm) + grown)] : []),
      ],
      flatMm: asOne(way.flat(d2, wireMm) + grown),
      grownMm: job.prove.warmK === null ? null : grown,
      budget,
      uncertaintyMm: totalMm(budget),
      unwornMm: unworn === null ? null : asOne(way.over(unworn, wireMm) + way.beyond(d2, wireMm) + grown),
      pins,
      buyMm: pins[0] && pins[0].uncertaintyMm <= ideal + AS_GOOD_MM ? null : handyMm(best),
      measured,
    };
  },
);

interface Reading {
  readonly way: Way;
  readonly wireMm: number;
  readonly alpha: number;
  readonly make: 'external' | 'internal';
  readonly d2: number;
  readonly budget: readonly Unsure[];
  readonly lowHigh: Range;
  readonly asOne: (m: number) => number;
  readonly grown: number;
}
function measuredOf(e: EventOf<'overWires'> | EventOf<'betweenBalls'>, r: Reading): Measured {
  const own = (e.kind === 'overWires' ? e.wire : e.ball)?.mm ?? r.wireMm;
  const whole =
    e.kind === 'overWires' && e.count === 1 && e.majorMm !== null ? overThreeFromOneMm(e.mm, e.majorMm) : e.mm;
  // what the warm part has grown is taken off before the wires are
  const pitchDiameterMm = r.way.back(whole - r.alpha * r.d2 * (e.warmK ?? 0), own);
  return {
    n: e.n,
    text: e.text,
    overMm: e.mm,
    shownMm: r.asOne(r.way.over(pitchDiameterMm, r.wireMm) + r.way.beyond(r.d2, r.wireMm) + r.grown),
    pitchDiameterMm,
    uncertaintyMm: totalMm(r.budget),
    leftMm: (r.make === 'external' ? 1 : -1) * (pitchDiameterMm - r.d2),
    atMm: e.atMm,
    place: e.place,
    verdict: verdictOf(r.make, pitchDiameterMm, r.lowHigh.min, r.lowHigh.max),
  };
}

/** Pitch diameter of the old part where it is not worn, as read at Read, mm; null: not read there. */
function unwornPitchDiameter(job: FitParts): number | null {
  const thread = threadOfJob(job);
  if (!thread || placesOn(job, thread, job.intake.make).length === 0) return null;
  const copied = copiedFrom(job, thread);
  return copied.unworn ? copied.pitchDiameterMm : null;
}

/** The nearest diameter that is sold: drills and needles go by tenths, below 1 mm by half tenths. Common practice, no source. */
const handyMm = (best: number): number => (best >= 1 ? Math.round(best * 10) / 10 : Math.round(best * 20) / 20);

/**
 * What is laid in now, by its own diameter.
 * @example pinUsed(demo('pump'), shop).mm // 1.1; of the shop's wires the one nearest to 1.155
 */
export function pinUsed(job: Job, shop: Shop): { text: string; mm: number } | null {
  const plan = measurePlan(job, shop);
  return job.prove.wire ?? (plan && { text: plain(plan.wireMm), mm: plan.wireMm });
}
/**
 * The mate that is in the hand: the one chosen, else the first; once that one went on, the next that was not tried since the cut.
 * @example mateInHand(demo('pump')) // null
 * @example mateInHand({ prove: { mate: '', mates: [{ name: 'nut', lengthMm: 20 }] } }).lengthMm // 20
 */
export function mateInHand(job: Job): Job['prove']['mates'][number] | null {
  const { mates, mate } = job.prove;
  const chosen = mates.find((m) => m.name === mate) ?? mates[0] ?? null;
  if (mates.length < 2) return chosen;
  const last = matesTried(job).at(-1);
  if (last?.name !== chosen?.name || (last?.result !== 'runs' && last?.result !== 'shakes')) return chosen;
  return matesUntried(job)[0] ?? chosen;
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
const warmStep = (cold: number, d2: number, alpha: number, kelvin: number): Step => ({
  name: 'While the part is warm',
  symbol: 'M',
  formula: 'M + d2 \u03b1 T',
  values: `${plain(cold)} + ${plain(d2)} \u00d7 ${plain(alpha * 1e6)}e-6 \u00d7 ${plain(kelvin)}`,
  result: cold + d2 * alpha * kelvin,
  unit: 'mm',
  source: 'linear expansion; coefficients from memory',
});
const oneWireStep = (three: number, major: number): Step => ({
  name: 'Over one wire and the crest',
  symbol: 'M',
  formula: '(M + d) / 2',
  values: `(${plain(three)} + ${plain(major)}) / 2`,
  result: (three + major) / 2,
  unit: 'mm',
  source: 'NBS Handbook H28, one-wire method',
});
