import { gearSlip, outOnTaper, parallelMove, startMove, turnOfWork, type Groove } from '../pickup/moves.ts';
import { countsThatAgree, zStart } from '../pickup/dropped.ts';
import { dialReading } from '../lathe/dials.ts';
import { isGeared, type Lathe } from '../lathe/schema.ts';
import { LEADS_BEFORE } from '../motion/motion.ts';
import { exact, numberOf, rationalFromNumber, textOf, type Rational } from '../quantity/rational.ts';
import { threadFormOf, type ThreadSpec } from '../standards/thread.ts';
import { gearState, latheOf, threadOfJob } from './derive.ts';
import { ALONG_BED_DEG, feedOf, plannedSlideDeg } from './feed.ts';
import { alongSlide, settingsFor, type Setting, type Stand } from './slides.ts';
import type { Metal } from './metal.ts';
import type { Job, Shop } from './schema.ts';

/** Ways to bring the tool into a groove. */
export type PickupWay = Job['pickup']['way'];

/** A travel as the dial shows it. */
export interface SlideTravel {
  readonly mm: number;
  readonly shown: string;
  readonly turns: number;
  readonly unit: 'mm' | 'in';
}

/** What the collars of both slides show once the move is made, as every card after it says it. */
interface Stands {
  readonly cross: Setting;
  readonly top: Setting;
}

/** The move that brings the tool in, by its way. */
export type Move =
  | {
      readonly way: 'parallel';
      /** + towards the headstock. */
      readonly axialMm: number;
      readonly travel: SlideTravel | null;
      /** The move ends against the direction of the cut: it goes past and comes back, so that the slack is taken up. */
      readonly comeBack: boolean;
      readonly outMm: number;
      readonly stands: Stands | null;
    }
  | {
      readonly way: 'angled';
      /** How the slide lies, from the cross-slide line. */
      readonly slideDeg: number;
      readonly slideMm: number;
      readonly crossOutMm: number;
      readonly travel: SlideTravel | null;
      readonly crossTravel: SlideTravel | null;
      readonly comeBack: boolean;
      readonly stands: Stands | null;
    }
  | { readonly way: 'turn'; readonly deg: number; readonly direction: 'forward' | 'back' }
  | {
      readonly way: 'slip';
      readonly gear: number;
      readonly place: GearPlace;
      readonly teeth: number;
      /** Carriage travel for one tooth, mm. */
      readonly perToothMm: number;
      readonly direction: 'forward' | 'back';
      /** Left over for another way, + towards the headstock. */
      readonly leftMm: number;
    }
  | { readonly way: 'start'; readonly outMm: number; readonly wholeLeads: string }
  /** At a control: Z of every start, exact mm as text, so many whole leads out of the groove that was dropped into. */
  | {
      readonly way: 'z';
      readonly grooveMm: number;
      readonly startMm: string;
      readonly leads: number;
      readonly leastLeads: number;
      readonly clearLeads: number;
      readonly leadMm: number;
      readonly pitchMm: number;
      /** Threads counted from the face, and the counts that go with Z; null: not counted. */
      readonly counted: { readonly threads: number; readonly agree: readonly number[] } | null;
    };

/** Why there is no move yet. */
export type PickupProblem =
  'no-lead' | 'no-offset' | 'slide-square' | 'slide-not-along-bed' | 'no-train' | 'not-dropped' | 'no-length';

/** The move, or what it wants first. */
export interface PickupAnswer {
  readonly way: PickupWay;
  readonly leadText: string | null;
  readonly offsetMm: number | null;
  readonly axialMm: number | null;
  readonly move: Move | null;
  readonly problem: PickupProblem | null;
  /** Ways that this lathe has. */
  readonly ways: readonly PickupWay[];
}

/** Where in the train a driven gear sits. */
export type GearPlace =
  { readonly on: 'box' } | { readonly on: 'leadscrew' } | { readonly on: 'stud'; readonly stud: number };

/** A gear whose slipping moves the leadscrew: the driven ones, by their place in the train. */
export interface SlipGear {
  readonly index: number;
  readonly teeth: number;
  readonly turns: string;
  readonly place: GearPlace;
}

/**
 * Leadscrew turns for one turn of each driven gear: all that follows it, gearbox too.
 * @example slipGears(demo('pump'), shop).map((g) => g.teeth) // [40, 50]
 */
export function slipGears(job: Job, shop: Shop): SlipGear[] {
  const lathe = latheOf(job, shop);
  const { train } = job.gears;
  if (!lathe || !train || !isGeared(lathe)) return [];
  const box = Object.keys(lathe.levers).length > 0;
  return train.driven.map((teeth, index) => {
    let turns = exact(train.gearbox);
    for (let j = index + 1; j < train.driven.length; j += 1)
      turns = turns.mul(exact(`${train.drivers[j] ?? 1}/${train.driven[j] ?? 1}`));
    const last = index === train.driven.length - 1;
    return {
      index,
      teeth,
      turns: textOf(turns),
      place: last ? (box ? { on: 'box' } : { on: 'leadscrew' }) : { on: 'stud', stud: index + 1 },
    };
  });
}

/** More teeth than a hand counts without losing the place. */
const MOST_TEETH = 60;

/**
 * The ways that a lathe has: a control starts elsewhere, one that is typed to may move its start, gears can be slipped.
 * @example waysOf(null) // ['parallel', 'angled', 'turn']; of an unknown lathe what any has
 */
export function waysOf(lathe: Lathe | null): readonly PickupWay[] {
  if (lathe?.kind === 'control') return ['start', 'turn'];
  const slides = ['parallel', 'angled', 'turn'] as const;
  return lathe ? [...slides, isGeared(lathe) ? 'slip' : 'start'] : slides;
}
/**
 * The way chosen, or the first that this lathe has where it has not that one.
 * @example wayOf(demo('pump'), shop) // 'parallel'
 */
export function wayOf(job: Job, shop: Shop): PickupWay {
  const ways = waysOf(latheOf(job, shop));
  const { way } = job.pickup;
  return ways.includes(way) ? way : (ways[0] ?? way);
}

/**
 * The move that brings the tool into the groove, by the way chosen: how far, which way, on which dial.
 * @example pickupMove(demo('pump'), shop, metal(demo('pump'))).problem // 'slide-not-along-bed'; swinging it moves the tool
 */
export function pickupMove(job: Job, shop: Shop, metal: Metal): PickupAnswer {
  const thread = threadOfJob(job);
  const lathe = latheOf(job, shop);
  const lead = gearState(job, shop)?.lead ?? null;
  const way = wayOf(job, shop);
  const slideDeg = metal.slideDeg ?? plannedSlideDeg(job) ?? 0;
  const ways = waysOf(lathe);
  const none = (problem: PickupProblem): PickupAnswer => ({
    way,
    leadText: lead ? textOf(lead) : null,
    offsetMm: metal.offset?.mm ?? null,
    axialMm: null,
    move: null,
    problem,
    ways,
  });
  if (!thread || !lead) return none('no-lead');
  // swinging the slide moves the tool: it has to lie along the bed before anybody looks
  if (way === 'parallel' && metal.slideDeg !== ALONG_BED_DEG) return none('slide-not-along-bed');
  if (way === 'start' && lathe?.kind === 'control') return atControl(job, metal, thread, lead, none);
  if (!metal.offset) return none('no-offset');
  const groove: Groove = {
    offset: rationalFromNumber(Number(metal.offset.mm.toFixed(6))),
    lead,
    every: lead,
    leftHand: thread.leftHand,
  };
  const axialMm = numberOf(parallelMove(groove));
  const inCutDirection = thread.leftHand ? axialMm <= 0 : axialMm >= 0;
  const travel = (mm: number, slide: 'crossSlide' | 'topSlide'): SlideTravel | null => {
    if (!lathe) return null;
    const dial = lathe[slide];
    const r = dialReading(Math.abs(mm), dial);
    return { mm: r.setMm, shown: r.shown, turns: r.turns, unit: dial.unit };
  };
  const stands = (by: Stand): Stands | null => {
    // dials that nobody has set to zero say nothing
    if (!lathe || metal.touched === null || metal.zeroLost) return null;
    const to = { crossMm: metal.crossMm + by.crossMm, topMm: metal.topMm + by.topMm };
    const { settings } = settingsFor(to, lathe, feedOf(job, metal), job.intake.make === 'internal');
    const [cross, top] = (['cross', 'top'] as const).map((slide) => settings.find((s) => s.slide === slide));
    return cross && top ? { cross, top } : null;
  };
  const found = (move: Move): PickupAnswer => ({
    way,
    leadText: textOf(lead),
    offsetMm: metal.offset?.mm ?? null,
    axialMm,
    move,
    problem: null,
    ways,
  });
  switch (way) {
    case 'parallel': {
      const { taper } = threadFormOf(thread);
      const out = outOnTaper(parallelMove(groove), rationalFromNumber(taper));
      return found({
        way,
        axialMm,
        travel: travel(axialMm, 'topSlide'),
        comeBack: !inCutDirection,
        outMm: numberOf(out),
        stands: stands({ crossMm: -numberOf(out), topMm: axialMm }),
      });
    }
    case 'angled': {
      if (!(slideDeg > 1)) return none('slide-square');
      const stand = alongSlide(axialMm, slideDeg, thread.leftHand);
      const [slideMm, crossOutMm] = [stand.topMm, 0 - stand.crossMm];
      return found({
        way,
        slideDeg,
        slideMm,
        crossOutMm,
        travel: travel(slideMm, 'topSlide'),
        crossTravel: travel(crossOutMm, 'crossSlide'),
        comeBack: !inCutDirection,
        stands: stands(stand),
      });
    }
    case 'turn': {
      const deg = numberOf(turnOfWork(groove));
      return found({ way, deg: Math.abs(deg), direction: deg >= 0 ? 'forward' : 'back' });
    }
    case 'slip': {
      const gears = slipGears(job, shop);
      const gear = gears[job.pickup.slipGear ?? gears.length - 1] ?? gears.at(-1);
      if (!gear || !lathe) return none('no-train');
      const slip = gearSlip(
        groove,
        { teeth: gear.teeth, leadscrewTurnsPerTurn: exact(gear.turns), leadscrew: exact(lathe.leadscrew) },
        MOST_TEETH,
      );
      return found({
        way,
        gear: gear.teeth,
        place: gear.place,
        teeth: Math.abs(slip.teeth),
        perToothMm: (numberOf(exact(gear.turns)) * numberOf(exact(lathe.leadscrew))) / gear.teeth,
        direction: slip.teeth >= 0 ? 'forward' : 'back',
        leftMm: numberOf(slip.left),
      });
    }
    case 'start': {
      const zero = exact(0);
      // a left-hand thread is started from the headstock side: further out is towards it
      const outwards = thread.leftHand ? { ...groove, offset: groove.offset.neg() } : groove;
      const move = startMove(outwards, zero, zero);
      return found({ way, outMm: numberOf(move.startMm), wholeLeads: textOf(move.wholeLeads) });
    }
  }
}

/** The start of every pass at a control, from where the tool sat in the groove with the spindle at its mark. */
function atControl(
  job: Job,
  metal: Metal,
  thread: ThreadSpec,
  lead: Rational,
  none: (problem: PickupProblem) => PickupAnswer,
): PickupAnswer {
  const { lengthMm } = job.setup;
  if (!metal.dropped) return none('not-dropped');
  if (thread.leftHand && lengthMm === null) return none('no-length');
  const z = rationalFromNumber(Number(metal.dropped.zMm.toFixed(6)));
  const dropped = { z, lead, leftHand: thread.leftHand };
  const least = zStart(dropped, lengthMm ?? 0, LEADS_BEFORE);
  const start = zStart(dropped, lengthMm ?? 0, LEADS_BEFORE, job.pickup.leadsOut);
  const pitch = lead.div(BigInt(thread.starts));
  const { threads } = metal.dropped;
  return {
    ...none('not-dropped'),
    problem: null,
    move: {
      way: 'z',
      grooveMm: metal.dropped.zMm,
      startMm: textOf(start.z),
      leads: start.leads,
      leastLeads: least.leads,
      clearLeads: start.clearLeads,
      leadMm: numberOf(lead),
      pitchMm: numberOf(pitch),
      counted: threads === null ? null : { threads, agree: countsThatAgree(z, pitch) },
    },
  };
}

/**
 * What this move leaves to another way, + towards the headstock, mm; 0 where it leaves nothing that a hand can see.
 * @example restOf({ way: 'parallel' }) // 0
 */
export const restOf = (move: Move): number =>
  move.way === 'slip' && Math.abs(move.leftMm) > LEFT_MM ? Number(move.leftMm.toFixed(6)) : 0;
/** Less than this is no rest, mm: a hand cannot set it. */
const LEFT_MM = 0.005;

/**
 * How far the slides are moved for it, as the ledger keeps it: + forward on the top slide, into the work on the cross slide.
 * @example slidesMoved({ way: 'parallel', axialMm: 0.5, outMm: 0.1 }) // { topMm: 0.5, crossMm: -0.1 }
 */
export function slidesMoved(move: Move): { readonly topMm: number; readonly crossMm: number } {
  if (move.way === 'parallel') return { topMm: move.axialMm, crossMm: -move.outMm };
  if (move.way === 'angled') return { topMm: move.slideMm, crossMm: -move.crossOutMm };
  return { topMm: 0, crossMm: 0 };
}
