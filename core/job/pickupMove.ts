import { angledMove, gearSlip, outOnTaper, parallelMove, startMove, turnOfWork, type Groove } from '../pickup/moves.ts';
import { dialReading } from '../lathe/dials.ts';
import { isGeared } from '../lathe/schema.ts';
import { exact, numberOf, rationalFromNumber, textOf } from '../quantity/rational.ts';
import { threadFormOf } from '../standards/thread.ts';
import { gearState, latheOf, threadOfJob } from './derive.ts';
import { ALONG_BED_DEG, plannedSlideDeg } from './feed.ts';
import type { Metal } from './metal.ts';
import type { Job, Shop } from './schema.ts';

export type PickupWay = Job['pickup']['way'];

export interface SlideTravel {
  readonly mm: number;
  readonly shown: string;
  readonly turns: number;
  readonly unit: 'mm' | 'in';
}

export type Move =
  | {
      readonly way: 'parallel';
      /** + towards the headstock. */
      readonly axialMm: number;
      readonly travel: SlideTravel | null;
      /** The move ends against the direction of the cut: it goes past and comes back, so that the slack is taken up. */
      readonly comeBack: boolean;
      readonly outMm: number;
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
  | { readonly way: 'start'; readonly outMm: number; readonly wholeLeads: string };

export type PickupProblem = 'no-lead' | 'no-offset' | 'slide-square' | 'slide-not-along-bed' | 'no-train';

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

/** Leadscrew turns for one turn of each driven gear: all that follows it, gearbox too. */
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

/** The move that brings the tool into the groove, by the way chosen: how far, which way, on which dial. */
export function pickupMove(job: Job, shop: Shop, metal: Metal): PickupAnswer {
  const thread = threadOfJob(job);
  const lathe = latheOf(job, shop);
  const lead = gearState(job, shop)?.lead ?? null;
  const { way } = job.pickup;
  const slideDeg = metal.slideDeg ?? plannedSlideDeg(job) ?? 0;
  const ways: PickupWay[] = [
    'parallel',
    'angled',
    'turn',
    ...(lathe && isGeared(lathe) ? (['slip'] as const) : lathe ? (['start'] as const) : []),
  ];
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
      });
    }
    case 'angled': {
      if (!(slideDeg > 1)) return none('slide-square');
      const { slideMm, crossOutMm } = angledMove(groove, slideDeg);
      return found({
        way,
        slideDeg,
        slideMm,
        crossOutMm,
        travel: travel(slideMm, 'topSlide'),
        crossTravel: travel(crossOutMm, 'crossSlide'),
        comeBack: !inCutDirection,
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

/** How far the slides are moved for it, as the ledger keeps it: + forward on the top slide, into the work on the cross slide. */
export function slidesMoved(move: Move): { readonly topMm: number; readonly crossMm: number } {
  if (move.way === 'parallel') return { topMm: move.axialMm, crossMm: -move.outMm };
  if (move.way === 'angled') return { topMm: move.slideMm, crossMm: -move.crossOutMm };
  return { topMm: 0, crossMm: 0 };
}
