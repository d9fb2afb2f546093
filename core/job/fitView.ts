import { playOfClearanceMm } from '../fit/duty.ts';
import { checkReady, fitPlan, type FitPlan, type ReadyCheck } from '../fit/fit.ts';
import { sideReliefSteps } from '../form/relief.ts';
import { leadMmOf, threadSizes, type ThreadSpec } from '../standards/thread.ts';
import { fitChoiceOf } from './derive.ts';
import type { EventBody } from './events.ts';
import { standingOfPart } from './metal.ts';
import type { Job } from './schema.ts';

export { DUTIES } from '../fit/duty.ts';
export { FITS_TO } from '../fit/fit.ts';

/** What Fit shows beside its plan. */
export interface FitView {
  /** The same with a tool ground to the form's root. */
  readonly full: FitPlan;
  /** Clearance on pitch diameter against the basic size, mm. */
  readonly clearanceMm: number;
  /** The last measurement of blank or bore. */
  readonly measured: (Extract<EventBody, { kind: 'blankMeasured' }> & { readonly n: number }) | null;
  /** The blank or bore as measured against the plan; null: not measured. */
  readonly ready: ReadyCheck | null;
  readonly relief: ReturnType<typeof sideReliefSteps>;
  /** Play along the axis that the clearance gives, mm. */
  readonly playMm: number;
}

/**
 * What Fit shows besides the plan itself.
 * @example fitViewOf(demo('pump'), named(demo('pump')), fit(demo('pump'))).full.make // 'external'
 */
export function fitViewOf(job: Job, thread: ThreadSpec, plan: FitPlan): FitView {
  const sizes = threadSizes(thread);
  const measured = standingOfPart(job).findLast((e) => e.kind === 'blankMeasured');
  return {
    full: fitPlan(thread, { ...fitChoiceOf(job, thread), tip: null }),
    clearanceMm: Math.abs(sizes.pitchDiameterMm - plan.pitchDiameterMm),
    measured: measured ?? null,
    ready: measured ? checkReady(plan, thread, measured.diameterMm) : null,
    relief: sideReliefSteps(leadMmOf(thread), plan.make === 'external' ? plan.rootDiameterMm : sizes.minorInternalMm),
    playMm: playOfClearanceMm(plan.form, job.fit.pitchClearanceMm),
  };
}
