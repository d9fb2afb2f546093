import type { Refused } from '../quantity/outcome.ts';
import type { ProblemCode } from '../quantity/problems.ts';
import { cutPlan, planRequest } from './cutPlan.ts';
import { metalOf } from './metal.ts';
import type { Job, Shop } from './schema.ts';

/** Where a plan of passes is decided: among the limits of the passes at Cut itself, or at a station before it. */
export type PlanDecidedAt = 'plan' | 'setup' | 'fit';

const OF_FIELD: Readonly<Record<string, PlanDecidedAt>> = {
  passes: 'plan',
  firstMaxMm: 'plan',
  lastMinMm: 'plan',
  stepMm: 'plan',
  springs: 'plan',
  straightLastMm: 'plan',
  clearanceMm: 'setup',
  slideAngleDeg: 'setup',
  slackMm: 'setup',
  lengthMm: 'setup',
};

/**
 * Where to go for a field by which a plan is refused.
 * @example [planDecidedAt('firstMaxMm'), planDecidedAt('lengthMm'), planDecidedAt('tip.flatMm')] // ['plan', 'setup', 'fit']
 */
export const planDecidedAt = (field: string): PlanDecidedAt => OF_FIELD[field] ?? 'fit';

/** Refusals that a limit of the passes brings by itself. What is only not said yet, such as the size of a step, is asked for instead. */
const BY_LIMIT: ReadonlySet<ProblemCode> = new Set(['smallest-over-largest', 'too-many-passes']);

/**
 * The refusal of a job's plan where a limit of its passes brought it: it is refused where the limit is typed. Null: none did.
 * @example refusedByLimit(demo('pump'), shop) // null
 */
export function refusedByLimit(job: Job, shop: Shop): Refused | null {
  const plan = cutPlan(job, planRequest(job, shop, metalOf(job)));
  return plan && !plan.ok && BY_LIMIT.has(plan.problem.code) ? plan : null;
}
