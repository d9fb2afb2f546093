import type { Plan, PlanRequest } from '../cutting/plan.ts';
import type { Outcome } from '../quantity/outcome.ts';
import type { Lathe } from '../lathe/schema.ts';
import { cutPlan, requestOn } from './cutPlan.ts';
import { fitOfJob, latheOf } from './derive.ts';
import { ofParts } from './ofParts.ts';
import { metalOf } from './metal.ts';
import type { Job, Shop } from './schema.ts';

/** The whole cut of a part as it would be planned with nothing cut yet. */
export interface Ahead {
  readonly request: PlanRequest;
  readonly plan: Plan;
}

/**
 * All passes of a part from its surface, as measured or else as Fit wants it, whatever was cut meanwhile: what Set up, the
 * sheets and the simulation look at. Null: there is nothing to plan yet. Refused: as the plan is.
 * @example aheadOf(demo('press'), shop) // null
 * @example aheadOf(demo('sluice'), shop).value.request.surfaceMm // 37.7698
 */
export function aheadOf(job: Job, shop: Shop): Outcome<Ahead> | null {
  const { surfaceMm, measuredMm, grooveMm } = metalOf(job);
  return ahead(job, latheOf(job, shop), surfaceMm ?? measuredMm, grooveMm);
}
const UNTOUCHED: Job['events'] = [];
const ahead = ofParts(
  ['name', 'fit', 'intake', 'readings', 'wearMap', 'setup', 'cut', 'prove'],
  (job, lathe: Lathe | null, measuredMm: number | null, grooveMm: number | null): Outcome<Ahead> | null => {
    const fit = fitOfJob(job);
    if (!fit) return null;
    const untouched = { ...job, events: UNTOUCHED };
    const metal = { ...metalOf(untouched), measuredMm: measuredMm ?? fit.startDiameterMm, grooveMm };
    const request = requestOn(untouched, lathe, metal);
    const plan = cutPlan(untouched, request);
    if (!request || !plan) return null;
    return plan.ok ? { ok: true, value: { request, plan: plan.value } } : plan;
  },
);
