import { isSquare, slopeOf } from '../form/flanks.ts';
import { flanksUnderTool } from '../cutting/underTool.ts';
import { planOf, toolOf, type Plan, type PlanRequest, type Stage } from '../cutting/plan.ts';
import { stagesOf } from '../cutting/stages.ts';
import { type ToolOutline, tipBeyondPitchLineMm, type Tip } from '../cutting/tip.ts';
import { externalDepthMm, nutRootFlatMm, rootFlatMm } from '../form/sizes.ts';
import { turnTravelMm } from '../lathe/dials.ts';
import { bad, type Outcome } from '../quantity/outcome.ts';
import { pitchMmOf, threadFormOf, type ThreadSpec } from '../standards/thread.ts';
import { fitOfJob, gearState, latheOf, threadOfJob } from './derive.ts';
import { trainText } from '../gearing/trainText.ts';
import { isGeared, type Lathe } from '../lathe/schema.ts';
import { roundText } from '../quantity/format.ts';
import { feedOf, feedsAtAngle, plannedSlideDeg } from './feed.ts';
import { nextStartOf, standing, type Facts, type Metal } from './metal.ts';
import { nextPass } from './nextPass.ts';
import { ofParts } from './ofParts.ts';
import { latheFacts, movedFacts } from './sameFacts.ts';
import type { CutParts, Has, Job, Shop } from './schema.ts';
import { cleaning, recutting, targetOf } from './recut.ts';
import { dialSigmaMm, shareLeftMm } from './share.ts';
import { leastWorn } from './special.ts';

/** Facts that are lengths are kept finer than they are compared (`sameFacts`), mm. */
const FACT_MM = 1e-6;
/** How far the tip is drawn clear of the surface on the way back, mm. Common practice, no source. */
export const CLEARANCE_MM = 0.5;
/** Slack allowed for on a cross slide that nobody has measured, mm. Common practice, no source. */
export const UNMEASURED_SLACK_MM = 0.3;

/** On what a plan of the cut rests; the events for the passes that were asked for. */
const PLANNED = ['name', 'fit', 'intake', 'readings', 'wearMap', 'setup', 'cut', 'prove', 'events'] as const;

/** The flank that the last alternate pass cut: moved on in the direction of the cut, the tool leaves the trailing flank. */
function lastFlankOf({ lastShiftMm }: Metal, leftHand: boolean): 'leading' | 'trailing' | null {
  if (lastShiftMm === null || lastShiftMm === 0) return null;
  return lastShiftMm > 0 === !leftHand ? 'leading' : 'trailing';
}

/** The end of the tool that cuts: the one in the holder, or one ground to the form's root. */
function tipOf(job: Has<'fit' | 'intake'>, thread: ThreadSpec): Tip {
  if (job.fit.tip) return job.fit.tip;
  const form = threadFormOf(thread);
  const pitchMm = pitchMmOf(thread);
  return { flatMm: job.intake.make === 'external' ? rootFlatMm(form, pitchMm) : nutRootFlatMm(form, pitchMm) };
}

/**
 * Passes typed, less those cut since on this start of this part: what is left of the wish. It counts for each start and each
 * part anew; typed in mid-cut, as after going deeper, it is meant for what was left there and plans no other part. Null: none
 * typed, or it is used up.
 * @example passesWanted(demo('pump'), metal(demo('pump'))) // null; as many as are calm
 * @example passesWanted({ events: [], cut: { passes: { count: 12, after: 0 } } }, { part: 1, start: 1 }) // 12
 */
export function passesWanted(job: Has<'cut' | 'events'>, at: Pick<Metal, 'part' | 'start'>): number | null {
  const { passes } = job.cut;
  if (!passes) return null;
  const cuts = standing(job.events).filter((e) => e.kind === 'cut');
  const typedOn = cuts.findLast((e) => e.n <= passes.after);
  const begun = standing(job.events).findLast((e) => e.n <= passes.after);
  const inMidCut = typedOn && begun && typedOn.part === begun.part && typedOn.start === begun.start;
  if (inMidCut && (typedOn.part !== at.part || typedOn.start !== at.start)) return null;
  const since = cuts.filter((e) => e.n > passes.after && e.part === at.part && e.start === at.start).length;
  return passes.count > since ? passes.count - since : null;
}

/**
 * The tool as this job's cut meets it, before anything is put up; null: no thread is named.
 * @example toolOfJob(demo('pump')).pitchMm // 2
 */
export function toolOfJob(
  job: Has<'name' | 'fit' | 'intake'>,
): { readonly tool: ToolOutline; readonly pitchMm: number; readonly leftHand: boolean } | null {
  const thread = threadOfJob(job);
  if (!thread) return null;
  const flanks = flanksUnderTool(threadFormOf(thread), { leftHand: thread.leftHand });
  return { tool: { ...flanks, tip: tipOf(job, thread) }, pitchMm: pitchMmOf(thread), leftHand: thread.leftHand };
}

/**
 * The plan's question for a job: target, metal, tool and lathe as they are. Null: no thread is named, or no surface touched or measured.
 * @example planRequest(demo('press'), shop, metal(demo('press'))) // null; it has no name yet
 * @example planRequest(demo('sluice'), shop, metal(demo('sluice'))).surfaceMm // 37.7698
 */
export const planRequest = (job: Job, shop: Shop, metal: Metal): PlanRequest | null =>
  requestOn(job, latheOf(job, shop), metal);
/**
 * The same on one lathe.
 * @example requestOn(demo('press'), null, metal(demo('press'))) // null
 * @example requestOn(demo('sluice'), null, metal(demo('sluice'))).surfaceMm // 37.7698
 */
export const requestOn = ofParts(PLANNED, (job, lathe: Lathe | null, metal: Metal): PlanRequest | null => {
  const thread = threadOfJob(job);
  const fit = fitOfJob(job);
  if (!thread || !fit) return null;
  const feed = feedOf(job, metal);
  const form = threadFormOf(thread);
  const flanks = flanksUnderTool(form, { leftHand: thread.leftHand });
  const tip = tipOf(job, thread);
  const external = fit.make === 'external';
  const inGroove = metal.touched === 'groove';
  const surfaceMm = inGroove ? null : (metal.surfaceMm ?? metal.measuredMm);
  if (surfaceMm === null && !inGroove) return null;
  const sign = external ? -1 : 1;
  const target =
    surfaceMm !== null && isSquare(flanks)
      ? { depthMm: (sign * (fit.rootDiameterMm - surfaceMm)) / 2 }
      : { pitchDiameterMm: fit.pitchDiameterMm - sign * shareLeftMm(job, fit, metal.foundBy, surfaceMm) };
  const angled = feedsAtAngle(feed.infeed);
  const q: PlanRequest = {
    member: fit.make,
    surfaceMm,
    target,
    pitchMm: pitchMmOf(thread),
    leftHand: thread.leftHand,
    ...flanks,
    tip,
    infeed: angled ? 'flank' : feed.infeed,
    slideAngleDeg: feed.slideDeg,
    rule: job.cut.rule,
    stepMm: job.cut.stepMm,
    passes: passesWanted(job, metal),
    firstMaxMm: job.cut.firstMaxMm,
    lastMinMm: job.cut.lastMinMm,
    springs: 0,
    stages: null,
    straightLastMm: 0,
    doneMm: Math.max(0, metal.depthMm),
    axialDoneMm: metal.cuts > 0 ? metal.axialMm : null,
    lastFlank: lastFlankOf(metal, thread.leftHand),
    sideMm: metal.sideMm,
    grooveMm: Math.max(0, metal.grooveMm ?? 0),
    // from the bottom of an old groove the tool has its whole depth to come out of, besides the clearance
    clearanceMm: CLEARANCE_MM + (inGroove ? oldGrooveMm(job) : 0),
    slackMm: lathe?.slack.crossMm ?? UNMEASURED_SLACK_MM,
    runOutMm: metal.runOutMm,
    taper: form.taper,
    lengthMm: job.setup.lengthMm ?? (form.taper === 0 ? null : job.wearMap.lengthMm),
    boreClearMm: external || job.setup.barMm === null || surfaceMm === null ? null : surfaceMm - job.setup.barMm,
    dial: lathe && lathe.kind !== 'control' ? { turnMm: turnTravelMm(lathe.crossSlide) } : null,
  };
  return { ...q, target: targetOf(job, q, metal.deeperMm) };
});

/** An old root may lie deeper than form and tool say, by wear or an older tool: this share of the pitch. Common practice, no source. */
const OLD_ROOT_SHARE = 0.05;

/**
 * Depth of the groove that is there, as far as withdrawing goes, mm: as read, and never less than the form's own or than
 * this tool reaches when both its flanks touch at the pitch line.
 * @example oldGrooveMm(demo('auger')) // 2.585; the form's own depth, for none was read
 */
export function oldGrooveMm(job: Has<'name' | 'fit' | 'intake' | 'readings'>): number {
  const thread = threadOfJob(job);
  if (!thread) return 0;
  const form = threadFormOf(thread);
  const pitchMm = pitchMmOf(thread);
  const tool = { ...flanksUnderTool(form, { leftHand: thread.leftHand }), tip: tipOf(job, thread) };
  const reached = isSquare(tool) ? 0 : form.external.outerMm + tipBeyondPitchLineMm(tool, pitchMm);
  const read = leastWorn(job, 'depth')?.value ?? reached;
  return Math.max(externalDepthMm(form), reached, read) + OLD_ROOT_SHARE * pitchMm;
}
/**
 * What is still to be cut on this job, by the one plan that card, stations and what is left share; null where nothing can be planned yet.
 * @example cutPlan(demo('press'), null) // null
 * @example cutPlan(demo('sluice'), plan(demo('sluice')).request).value.depthMm // 3.7606
 */
export const cutPlan = ofParts(PLANNED, (job, q: PlanRequest | null): Outcome<Plan> | null => {
  // a class that does not hold gives no size to cut to, and none is put in its place
  const problem = fitOfJob(job)?.problem;
  if (q && problem) return { ok: false, problem };
  // on a taper the tool has to come out past the larger end, which is as far off as the thread is long
  if (q && q.taper !== 0 && q.lengthMm === null) return bad('lengthMm', 'taper-length-unknown');
  // from the crests, what cleans an old groove is only known with its depth
  const cleans = (cleaning(job)?.deeperMm ?? 0) > 0;
  if (q && cleans && q.surfaceMm !== null && q.grooveMm === 0) return bad('grooveMm', 'groove-depth-unknown');
  return q && inStages(job, q);
});

/** The plan with its stages, which are shares of the depth that it finds first. */
function inStages(job: CutParts, q: PlanRequest): Outcome<Plan> {
  const plan = planOf(q);
  const stages = plan.ok ? jobStages(job, q, plan.value.depthMm) : null;
  return stages === null ? plan : planOf({ ...q, stages, straightLastMm: job.cut.straightLastMm });
}
/**
 * Stages of this job's cut; null: one rule throughout, and so where an old groove is followed.
 * @example jobStages(demo('pump'), plan(demo('pump')).request, 1.2) // null; in one go
 */
export const jobStages = (job: CutParts, q: PlanRequest, depthMm: number): readonly Stage[] | null =>
  recutting(job)
    ? null
    : stagesOf({
        tool: toolOf(q),
        depthMm,
        rule: q.rule,
        stepMm: q.stepMm,
        capMm: q.firstMaxMm,
        floorMm: q.lastMinMm,
        choice: job.cut.stages,
        straightLastMm: q.infeed === 'plunge' ? 0 : job.cut.straightLastMm,
      });

/**
 * Pitch diameter that the groove has now, by the depth reached and the tool; null where no depth was cut or the surface is not known.
 * @example pitchDiameterNow(plan(demo('pump')).request, metal(demo('pump'))) // null; nothing has been cut
 * @example pitchDiameterNow(plan(demo('sluice')).request, metal(demo('sluice'))).value // 39.4911
 */
export function pitchDiameterNow(
  q: PlanRequest,
  metal: Metal,
): { readonly value: number; readonly uncertainty: number } | null {
  const tool = toolOf(q);
  if (metal.cuts === 0 || q.surfaceMm === null || isSquare(tool)) return null;
  const beyond = tipBeyondPitchLineMm(tool, q.pitchMm);
  const radial = metal.depthMm - beyond + metal.sideMm / slopeOf(tool);
  return {
    value: q.surfaceMm + (q.member === 'external' ? -2 : 2) * radial,
    uncertainty: dialSigmaMm(slopeOf(tool), null),
  };
}

/**
 * The facts under which metal is cut: a change of any of them in mid-cut stops the card.
 * @example cutFacts(demo('pump'), shop).Thread // 'M30x2'
 */
export function cutFacts(job: Job, shop: Shop): Facts {
  const thread = threadOfJob(job);
  const fit = fitOfJob(job);
  const lathe = latheOf(job, shop);
  const gears = gearState(job, shop);
  const slide = plannedSlideDeg(job);
  const tip = thread && tipOf(job, thread);
  return {
    ...(thread ? { Thread: thread.designation } : {}),
    Made: job.intake.make,
    ...(fit ? { 'Pitch diameter': roundText(fit.pitchDiameterMm, FACT_MM) } : {}),
    ...latheFacts(lathe),
    ...(lathe && isGeared(lathe) ? { Gears: job.gears.train ? trainText(job.gears.train) : 'none' } : {}),
    Lead: gears?.lead?.toFraction() ?? 'none',
    Feed: slide === null ? 'straight in' : `${job.setup.infeed} ${slide}`,
    ...(tip
      ? {
          Tool:
            'flatMm' in tip ? `flat ${roundText(tip.flatMm, FACT_MM)}` : `radius ${roundText(tip.radiusMm, FACT_MM)}`,
        }
      : {}),
    ...cleaningFact(job),
    ...(lathe ? { Dials: JSON.stringify([lathe.crossSlide, lathe.topSlide]) } : {}),
  };
}

/** Only where there is something to clean, so that records from before it was asked do not read as changed. */
function cleaningFact(job: CutParts): Facts {
  const deeperMm = cleaning(job)?.deeperMm;
  return deeperMm == null ? {} : { Cleaning: roundText(deeperMm, FACT_MM) };
}

/** A fact as it was when metal was cut, and as it is now. */
export interface Changed {
  readonly fact: string;
  readonly was: string;
  readonly now: string;
}
/**
 * What is no longer as it was when metal was last agreed to be cut.
 * @example changedFacts(cutFacts(demo('pump'), shop), cutFacts(demo('pump'), shop)) // []
 * @example changedFacts({ Lead: '2' }, { Lead: '3' })[0].now // '3'
 */
export const changedFacts = (was: Facts, now: Facts): Changed[] =>
  movedFacts(was, now).map((fact) => ({ fact, was: was[fact] ?? 'none', now: now[fact] ?? 'none' }));

/**
 * Width of this thread's groove by its depth; 0: its flanks are square, or it has no name.
 * @example grooveSlope(demo('pump')) // 1.1547
 */
export function grooveSlope(job: Has<'name'>): number {
  const thread = threadOfJob(job);
  const flanks = thread && flanksUnderTool(threadFormOf(thread), { leftHand: thread.leftHand });
  return flanks && !isSquare(flanks) ? slopeOf(flanks) : 0;
}
/**
 * The start of this thread that has to be cut next. @see nextStartOf
 * @example startToCut(demo('pump'), metal(demo('pump'))) // null; it has one
 */
export const startToCut = (job: Has<'name'>, metal: Metal): number | null =>
  nextStartOf(metal, threadOfJob(job)?.starts ?? 1, grooveSlope(job));

/**
 * Something is still to be cut on this part: depth that a dial can be set to, a spring pass, or another start.
 * @example workLeft(demo('sluice'), shop, metal(demo('sluice'))) // true
 */
export function workLeft(job: Job, shop: Shop, metal: Metal): boolean {
  const now = planNow(job, shop, metal);
  return now === null || now.next !== null || metal.springs < job.cut.springs || startToCut(job, metal) !== null;
}

/**
 * Once every pass is cut a step deeper is counted from where the tool stands, not from the figure that the last setting was
 * rounded from: what is offered is then what is cut. What the metal lies beyond the plan, mm; 0 while passes are left.
 * @example beyondPlanMm(demo('sluice'), shop, metal(demo('sluice'))) // 0; passes are left
 */
export function beyondPlanMm(job: Job, shop: Shop, metal: Metal): number {
  const now = metal.cuts === 0 ? null : planNow(job, shop, metal);
  return now?.next === null ? metal.depthMm - now.plan.depthMm : 0;
}

/** The plan as the metal is, and the next pass of it that a dial can be set to; null: nothing can be planned. */
function planNow(job: Job, shop: Shop, metal: Metal) {
  const request = planRequest(job, shop, metal);
  const plan = cutPlan(job, request);
  if (!request || !plan?.ok) return null;
  const at = { metal, feed: feedOf(job, metal), request, lathe: latheOf(job, shop) };
  return { plan: plan.value, next: nextPass(plan.value, at) };
}
