import type { Plan, PlanRequest } from '../cutting/plan.ts';
import type { Outcome } from '../quantity/outcome.ts';
import { cutPlan, planRequest } from './cutPlan.ts';
import { fitOfJob } from './derive.ts';
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
 */
export function aheadOf(job: Job, shop: Shop): Outcome<Ahead> | null {
  const fit = fitOfJob(job);
  if (!fit) return null;
  const metal = metalOf(job);
  const untouched: Job = { ...job, events: [] };
  const request = planRequest(untouched, shop, {
    ...metalOf(untouched),
    measuredMm: metal.surfaceMm ?? metal.measuredMm ?? fit.startDiameterMm,
    grooveMm: metal.grooveMm,
  });
  const plan = cutPlan(untouched, request);
  if (!request || !plan) return null;
  return plan.ok ? { ok: true, value: { request, plan: plan.value } } : plan;
}
