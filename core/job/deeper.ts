import { slopeOfTool } from '../cutting/tip.ts';
import { toolOf } from '../cutting/plan.ts';
import { testsSinceCut } from './card.ts';
import { planRequest } from './cutPlan.ts';
import { wirePlan } from './derive.ts';
import type { Metal } from './metal.ts';
import type { Job, Shop } from './schema.ts';

/** What the step is: seven tenths of what was measured, all of it, a small step by default, or the person's own. */
export type DeeperStep = 'share' | 'rest' | 'small' | 'own';
/** How much deeper, on the radius, mm. */
export type DeeperAnswer =
  | { readonly code: 'deeper'; readonly byMm: number; readonly step: DeeperStep }
  | { readonly code: 'fits' | 'past' | 'lead'; readonly byMm: number };

/** Seven tenths of what wires say is left, then measure again. Common practice, no source. */
const SHARE = 0.7;
/** Below this on the pitch diameter the whole of what is left is cut. */
const SMALL_REST_MM = 0.03;
/** A nut says no number, only yes or no: a step small against any window it may have, mm radial. Common practice, no source. */
const STEP_BY_MATE_MM = 0.02;

/** By how much it goes deeper between two trials, mm radial: the person's own step, else a small one. */
const byStep = ({ cut: { deeperStepMm } }: Job): DeeperAnswer => ({
  code: 'deeper',
  byMm: deeperStepMm ?? STEP_BY_MATE_MM,
  step: deeperStepMm === null ? 'small' : 'own',
});

/** What the last trial or measurement since the last cut says of the next one; null where there was none. */
export function suggestDeeper(job: Job, shop: Shop, metal: Metal): DeeperAnswer | null {
  const last = testsSinceCut(job, metal).at(-1);
  if (!last) return null;
  if (last.kind === 'overWires') {
    const found = wirePlan(job, shop)?.measured.find((m) => m.n === last.n);
    if (!found) return null;
    if (found.verdict === 'to-go') {
      const whole = found.leftMm <= SMALL_REST_MM;
      return { code: 'deeper', byMm: (found.leftMm / 2) * (whole ? 1 : SHARE), step: whole ? 'rest' : 'share' };
    }
    return found.verdict === 'past' ? { code: 'past', byMm: -found.leftMm / 2 } : { code: 'fits', byMm: 0 };
  }
  if (last.kind === 'gauged') {
    const go = last.which === 'go';
    return go === last.passes ? { code: 'fits', byMm: 0 } : go ? byStep(job) : { code: 'past', byMm: 0 };
  }
  if (last.kind !== 'tried') return null;
  switch (last.result) {
    case 'runs':
      return { code: 'fits', byMm: 0 };
    case 'shakes': {
      const q = planRequest(job, shop, metal);
      const slope = q ? slopeOfTool(toolOf(q)) : 0;
      return last.shakeMm !== null && slope > 0
        ? { code: 'past', byMm: last.shakeMm / slope }
        : { code: 'past', byMm: 0 };
    }
    case 'binds':
      return { code: 'lead', byMm: 0 };
    case 'no-start':
    case 'starts':
    case 'tight':
      return byStep(job);
    case 'note':
      return null;
  }
}
