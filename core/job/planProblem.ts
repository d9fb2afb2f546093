import type { ProblemCode } from '../quantity/problems.ts';

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

/**
 * Refusals of a plan that a limit of its passes brings by itself: refused where the limit is typed. What is only not said yet, such
 * as the size of a step, is asked for instead.
 */
export const BY_LIMIT: ReadonlySet<ProblemCode> = new Set(['smallest-over-largest', 'too-many-passes']);
