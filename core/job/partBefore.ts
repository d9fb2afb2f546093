import { tanDeg } from '../quantity/units.ts';
import { cutsPlanned } from '../cutting/plan.ts';
import { cutPlan, planRequest, toolOfJob } from './cutPlan.ts';
import { metalOf, standing, standingOfPart } from './metal.ts';
import { recutting } from './recut.ts';
import type { Job, Shop } from './schema.ts';
import { FOUND_AGAIN_MM } from './share.ts';

/** How the part before this one came out right. */
export interface PartBefore {
  readonly part: number;
  readonly testPiece: boolean;
  /** Radial depth that was right, mm, and what of it lies beyond the plan. */
  readonly depthMm: number;
  readonly deeperMm: number;
  readonly passes: number;
  readonly springs: number;
  /** Its zero stood from the first cut to the last; taken anew in mid-cut, in the groove, its depth says nothing of another part. */
  readonly zeroKept: boolean;
}

/**
 * What worked on the last part that was finished, for the one on the lathe now; null: none was, or this is the first. The
 * depth beyond the plan is what carries over: the depth itself follows each blank as it measures.
 * @example partBefore(demo('pump')) // null
 */
export function partBefore(job: Job): PartBefore | null {
  const events = standing(job.events);
  const now = metalOf(job);
  const begun = events.findLast((e) => e.kind === 'partBegun');
  if (now.finished !== null || !begun) return null;
  const finished = events.findLast((e) => (e.kind === 'partFinished' || e.kind === 'accepted') && e.n < begun.n);
  if (!finished) return null;
  const then = metalOf(job, finished.n);
  return {
    part: then.part,
    testPiece: job.quantity.testPiece && then.part === 1,
    depthMm: then.depthMm,
    deeperMm: then.deeperMm,
    passes: then.cuts,
    springs: then.springs,
    zeroKept: !zeroTakenAnew(job, then.part),
  };
}

function zeroTakenAnew(job: Job, part: number): boolean {
  const events = standingOfPart(job, part);
  const first = events.find((e) => e.kind === 'cut');
  return first !== undefined && events.some((e) => e.kind === 'touchedOff' && e.n > first.n);
}

/** How much short of the depth that was right the next part is begun, mm radial: no two grooves are alike. Common practice, no source. */
const BEGIN_SHORT_MM = 0.05;
/** So many standard deviations are kept off. */
const KEPT_OFF = 2;

/**
 * Depths counted from an old groove differ from part to part by how its zero was found: a tool that stands x beside the middle
 * meets the steeper flank early, by x / tan of its half angle. So much short the next part is begun, mm radial.
 */
function shortInGrooveMm(job: Job): number {
  const own = toolOfJob(job);
  const steepest = own ? Math.min(own.tool.leadingDeg, own.tool.trailingDeg) : 0;
  return Math.max(BEGIN_SHORT_MM, (KEPT_OFF * FOUND_AGAIN_MM.measured) / tanDeg(Math.max(LEAST_FLANK_DEG, steepest)));
}
/** A flank that is as good as square, degrees. */
const LEAST_FLANK_DEG = 1;

/** A depth beyond the plan to aim at on the next part, and the passes it takes. */
export interface Aim {
  readonly deeperMm: number;
  readonly shortMm: number;
  /** Passes still to come so, springs not counted; null: they cannot be planned yet. */
  readonly passes: number | null;
}

/**
 * What may be aimed at after the part before: short of what was right there, and all of it; from an old groove only short of it,
 * and by more. None where that is aimed at already.
 * @example aimsAfter(demo('brass'), shop, { zeroKept: false }) // []; the tool was set anew
 */
export function aimsAfter(job: Job, shop: Shop, before: PartBefore): Aim[] {
  if (!before.zeroKept) return [];
  const metal = metalOf(job);
  const shorts = recutting(job) ? [shortInGrooveMm(job)] : [BEGIN_SHORT_MM, 0];
  return shorts.flatMap((shortMm) => {
    const deeperMm = before.deeperMm - shortMm;
    if (deeperMm - metal.deeperMm < LEAST_MM) return [];
    const plan = cutPlan(job, planRequest(job, shop, { ...metal, deeperMm }));
    return [{ deeperMm, shortMm, passes: plan?.ok ? cutsPlanned(plan.value) : null }];
  });
}
/** A difference that no dial shows, mm. */
const LEAST_MM = 5e-4;
