import { slopeOf } from '../form/flanks.ts';
import { toolOf } from '../cutting/plan.ts';
import type { Next, Why } from '../sizing/decide.ts';
import { testsSinceCut } from './card.ts';
import { planRequest } from './cutPlan.ts';
import { diagnosisOf } from './binding.ts';
import type { EventOf, SizeTest } from './events.ts';
import { measurePlan } from './measure.ts';
import type { Metal } from './metal.ts';
import type { Job, Shop } from './schema.ts';
import { passRisk, RISKY, rightBy, sizingOf } from './sizing.ts';

/** What the step is: as deep as is safe by everything known, seven tenths of what was measured, all of it, a small step, or the person's own. */
export type DeeperStep = 'safe' | 'share' | 'rest' | 'small' | 'own';
/** How much deeper, on the radius, mm. */
export type DeeperAnswer =
  | { readonly code: 'deeper'; readonly byMm: number; readonly step: DeeperStep }
  /** `doubt`: the last trial does not go with what is known. */
  | { readonly code: 'fits' | 'past' | 'lead' | 'bruise' | 'doubt'; readonly byMm: number }
  /** The same setting again; look once more, or otherwise; enough, though it is not sure. */
  | { readonly code: 'spring' | 'measure' | 'enough'; readonly byMm: 0; readonly why: Why };

/** Seven tenths of what wires say is left, then measure again. Common practice, no source. */
const SHARE = 0.7;
/** Below this on the pitch diameter the whole of what is left is cut. */
const SMALL_REST_MM = 0.03;
/** A nut says no number, only yes or no: a step small against any window it may have, mm radial. Common practice, no source. */
const STEP_BY_MATE_MM = 0.02;
/** As likely right as not: where nothing more can be learnt, it is let be. */
const LIKELY = 0.5;

const TIGHT: ReadonlySet<EventOf<'tried'>['result']> = new Set(['no-start', 'starts', 'tight', 'binds']);
/**
 * The mate did not run: whatever else is known, it is not right in the hand.
 * @example feltTight({ kind: 'tried', result: 'tight' }) // true
 */
export const feltTight = (e: SizeTest): boolean => e.kind === 'tried' && TIGHT.has(e.result);

/** By how much it goes deeper between two trials, mm radial: the person's own step, else a small one. */
const byStep = ({ cut: { deeperStepMm } }: Job): DeeperAnswer => ({
  code: 'deeper',
  byMm: deeperStepMm ?? STEP_BY_MATE_MM,
  step: deeperStepMm === null ? 'small' : 'own',
});

/**
 * What is next, by everything in the ledger where that says how big the part is, else by the last trial alone; null where
 * nothing was tried since the last cut.
 * @example suggestDeeper(demo('latch'), shop, metal(demo('latch'))) // null
 * @example suggestDeeper(demo('brass'), shop, metal(demo('brass'))).code // 'fits'
 */
export function suggestDeeper(job: Job, shop: Shop, metal: Metal): DeeperAnswer | null {
  const last = testsSinceCut(job, metal).at(-1);
  if (!last) return null;
  const alone = byLast(job, shop, metal, last);
  const belief = sizingOf(job, shop);
  if (!belief) return alone;
  if (last.kind === 'tried') {
    const why = diagnosisOf(job, last, belief);
    if (why?.code === 'lead' || why?.code === 'taper' || why?.code === 'unsaid') return { code: 'lead', byMm: 0 };
    if (why?.code === 'bruise' || why?.code === 'place-unread') return { code: 'bruise', byMm: 0 };
    // a hand that finds it free without shake has the last word where nothing finer was asked for, or is at hand
    const feels = rightBy(job, shop)?.by === 'mate' && job.fit.duty === null && !job.prove.clearance;
    const nothingFiner = !(measurePlan(job, shop)?.atHand ?? false) && belief.past < LIKELY;
    if (last.result === 'runs' && (feels || nothingFiner)) return { code: 'fits', byMm: 0 };
  }
  const own = alone?.code === 'deeper' && alone.step === 'own' ? alone : null;
  if (own && belief.next.do !== 'stop' && (passRisk(job, shop, metal.depthMm + own.byMm) ?? 1) <= RISKY) return own;
  // what is tight in the hand is not called right, whatever the figures say
  if (feltTight(last) && belief.next.do === 'stop') return { code: 'doubt', byMm: 0 };
  return byBelief(belief.next, belief.why, belief.inside, belief.leftOnDiameterMm.most, metal);
}

function byBelief(next: Next, why: Why, inside: number, mostLeftMm: number, metal: Metal): DeeperAnswer {
  switch (next.do) {
    case 'cut': {
      const byMm = next.depthMm - metal.depthMm;
      return byMm > 0 ? { code: 'deeper', byMm, step: 'safe' } : { code: 'spring', byMm: 0, why };
    }
    case 'spring':
      return { code: 'spring', byMm: 0, why };
    case 'measure':
      return { code: 'measure', byMm: 0, why };
    case 'stop':
      return why === 'reached' || inside >= LIKELY ? { code: 'fits', byMm: 0 } : { code: 'enough', byMm: 0, why };
    case 'scrap':
      return { code: 'past', byMm: Math.max(0, -mostLeftMm / 2) };
  }
}

/** By the last trial or measurement alone. */
function byLast(job: Job, shop: Shop, metal: Metal, last: SizeTest): DeeperAnswer | null {
  if (last.kind === 'overWires' || last.kind === 'betweenBalls') {
    const found = measurePlan(job, shop)?.measured.find((m) => m.n === last.n);
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
  switch (last.result) {
    case 'runs':
      return { code: 'fits', byMm: 0 };
    case 'shakes': {
      const q = planRequest(job, shop, metal);
      const slope = q ? slopeOf(toolOf(q)) : 0;
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
