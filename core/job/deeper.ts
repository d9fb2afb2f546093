import { slopeOf } from '../form/flanks.ts';
import { toolOf } from '../cutting/plan.ts';
import type { Means } from '../sizing/asked.ts';
import type { SizeAnswer, Why } from '../sizing/decide.ts';
import { leadStops, STOPS } from '../sizing/mates.ts';
import { kept } from '../keep/keep.ts';
import { testsSinceCut } from './card.ts';
import { grooveSlope, planRequest, startToCut } from './cutPlan.ts';
import { diagnosisOf } from './binding.ts';
import type { Diagnosis } from './binds.ts';
import type { EventOf, SizeTest } from './events.ts';
import { matesTried, matesUntried } from './matesTried.ts';
import { measurePlan } from './measure.ts';
import { reachedMm, type Metal } from './metal.ts';
import { looksLeft, otherwise, type Look, type MeasureBy, type Otherwise } from './otherwise.ts';
import { rightBy } from './rightBy.ts';
import type { Job, Shop } from './schema.ts';
import { settableStep } from './settableStep.ts';
import { beliefOf, historyOf, meansNow, passRisk, RISKY, type Belief } from './sizing.ts';

/** What the step is: as deep as is safe by everything known, seven tenths of what was measured, all of it, a small step, or the person's own. */
export type DeeperStep = 'safe' | 'share' | 'rest' | 'small' | 'own';
/** How much deeper, on the radius, mm. */
export type DeeperAnswer =
  | {
      readonly code: 'deeper';
      readonly byMm: number;
      readonly step: DeeperStep;
      /** What is left after it to the middle of what is right, radial mm; null: nothing tells. */
      readonly leavesMm: number | null;
    }
  | { readonly code: 'fits' | 'past' | 'lead' | 'bruise'; readonly byMm: number }
  /** The mate stops, and no wonder: another start is not as deep as this one; by how much, radial mm, null: it is not cut at all. */
  | { readonly code: 'start'; readonly byMm: 0; readonly start: number; readonly shallowerMm: number | null }
  /** `doubt`: a mate stops although the rest says that it is right; `enough`: it is not sure, and nothing at hand tells more. There is always something else to do. */
  | {
      readonly code: 'doubt' | 'enough';
      readonly byMm: 0;
      readonly why: Why;
      readonly looks: readonly Look[];
      readonly or: readonly Otherwise[];
    }
  /** The same setting again. */
  | { readonly code: 'spring'; readonly byMm: 0; readonly why: Why }
  /** Look once more, or otherwise: with what, and with which mate. */
  | {
      readonly code: 'measure';
      readonly byMm: 0;
      readonly why: Why;
      readonly by: MeasureBy | null;
      /** A mate's name, or which gauge; null: any. */
      readonly mate: string | null;
    };

/** Seven tenths of what wires say is left, then measure again. Common practice, no source. */
const SHARE = 0.7;
/** Below this on the pitch diameter the whole of what is left is cut. */
const SMALL_REST_MM = 0.03;
/** A nut says no number, only yes or no: a step small against any window it may have, mm radial. Common practice, no source. */
const STEP_BY_MATE_MM = 0.02;
/** As likely right as not: where nothing more can be learnt, it is let be. */
const LIKELY = 0.5;

/**
 * The mate did not run: whatever else is known, it is not right in the hand.
 * @example feltTight({ kind: 'tried', result: 'tight' }) // true
 */
export const feltTight = (e: SizeTest): boolean => e.kind === 'tried' && e.result !== 'note' && STOPS.has(e.result);

/** By how much it goes deeper between two trials, mm radial: the person's own step, else a small one. */
const byStep = ({ cut: { deeperStepMm } }: Job): DeeperAnswer => ({
  code: 'deeper',
  byMm: deeperStepMm ?? STEP_BY_MATE_MM,
  step: deeperStepMm === null ? 'small' : 'own',
  leavesMm: null,
});

/**
 * What is next, by everything in the ledger where that says how big the part is, else by the last trial alone; null where
 * nothing was tried since the last cut. A step is what the lathe's dial can be set to.
 * @example suggestDeeper(demo('latch'), shop, metal(demo('latch'))) // null
 * @example suggestDeeper(demo('brass'), shop, metal(demo('brass'))).code // 'fits'
 */
export const suggestDeeper = kept((job: Job, shop: Shop, metal: Metal): DeeperAnswer | null => {
  const last = testsSinceCut(job, metal).at(-1);
  if (!last) return null;
  const said = shallowStart(job, metal, last) ?? overAllMates(answerOf(job, shop, metal, last), job, shop, metal, last);
  if (said?.code !== 'deeper') return said;
  const byMm = settableStep(job, shop, metal, said.byMm, said.step === 'own' ? 'nearest' : 'down') ?? said.byMm;
  const leavesMm = said.leavesMm === null ? null : Math.max(0, said.leavesMm + said.byMm - byMm);
  return { ...said, byMm, leavesMm };
});

/** A mate cannot go on a thread of which one start was not brought down: that one first, before anything is made of the trial. */
function shallowStart(job: Job, metal: Metal, last: SizeTest): DeeperAnswer | null {
  if (!feltTight(last)) return null;
  const start = startToCut(job, metal);
  if (start === null) return null;
  const cut = metal.starts.get(start);
  const slope = grooveSlope(job);
  return {
    code: 'start',
    byMm: 0,
    start,
    shallowerMm: cut && cut.cuts > 0 ? reachedMm(metal, slope) - reachedMm(cut, slope) : null,
  };
}

/**
 * Why the mate tried last stops, as its turns and places say, or as mates of several lengths do together; null: it does not, or
 * nothing says.
 * @example bindsBecause(demo('pump'), shop, metal(demo('pump'))) // null; nothing was tried
 */
export function bindsBecause(job: Job, shop: Shop, metal: Metal): Diagnosis | null {
  const last = testsSinceCut(job, metal).at(-1);
  const answer = beliefOf(job, shop)?.answer ?? null;
  const said = last?.kind === 'tried' ? diagnosisOf(job, last, answer) : null;
  if (said !== null && said.code !== 'unsaid') return said;
  const lead = answer?.leadErrorPerMm;
  return lead && leadStops(historyOf(job, shop))
    ? { code: 'lead', perMm: lead.value, sdPerMm: lead.uncertainty, wantsMm: null }
    : said;
}

function answerOf(job: Job, shop: Shop, metal: Metal, last: SizeTest): DeeperAnswer | null {
  const alone = byLast(job, shop, metal, last);
  const belief = beliefOf(job, shop);
  if (!belief) return alone;
  const { answer } = belief;
  const felt = last.kind === 'tried' ? byFeel(job, last, answer) : null;
  if (felt) return felt;
  const own = alone?.code === 'deeper' && alone.step === 'own' ? alone : null;
  if (own && answer.next.do !== 'stop' && (passRisk(job, shop, metal.depthMm + own.byMm) ?? 1) <= RISKY) return own;
  return byBelief(belief, job, shop, metal);
}

/** What a mate in the hand decides by itself: what stops it is not its size, or it runs and nothing finer was asked for. */
function byFeel(job: Job, last: EventOf<'tried'>, answer: SizeAnswer): DeeperAnswer | null {
  switch (diagnosisOf(job, last, answer)?.code) {
    case 'lead':
    case 'taper':
    case 'unsaid':
      return { code: 'lead', byMm: 0 };
    case 'bruise':
    case 'place-unread':
      return { code: 'bruise', byMm: 0 };
    default: {
      const feels = rightBy(job)?.by === 'mate' && job.fit.duty === null && !job.prove.clearance;
      return last.result === 'runs' && feels ? { code: 'fits', byMm: 0 } : null;
    }
  }
}

/**
 * Nothing is right while a mate that it has to go with stops, or before all of them were tried: a long one that stops where a
 * short one runs is the lead, and what is tight in the hand is not called right, whatever the figures say.
 */
function overAllMates(
  said: DeeperAnswer | null,
  job: Job,
  shop: Shop,
  metal: Metal,
  last: SizeTest,
): DeeperAnswer | null {
  if (said?.code !== 'fits' && said?.code !== 'enough') return said;
  const tried = matesTried(job);
  const stopped = tried.filter((t) => STOPS.has(t.result));
  if (stopped.length > 0 || feltTight(last)) {
    const runs = tried.some((t) => !STOPS.has(t.result));
    const belief = beliefOf(job, shop);
    if (leadStops(historyOf(job, shop)) || (runs && stopped.some((t) => t.result === 'binds')))
      return { code: 'lead', byMm: 0 };
    // "right by the rest" is only said where the rest says so
    return said.code === 'enough' ? said : inDoubt('doubt', 'mate-stops', job, shop, metal, belief);
  }
  if (said.code === 'enough') return said;
  const gauge = otherGauge(job, metal);
  if (gauge !== null) return { code: 'measure', byMm: 0, why: 'prove-it', by: 'gauge', mate: gauge };
  const [untried] = matesUntried(job);
  if (untried) return { code: 'measure', byMm: 0, why: 'prove-it', by: 'mate', mate: untried.name };
  return said;
}
/** A class is proved by both its gauges: the one not tried since the cut where the other was; null: both, or neither. */
function otherGauge(job: Job, metal: Metal): 'go gauge' | 'not-go gauge' | null {
  const which = new Set(testsSinceCut(job, metal).flatMap((e) => (e.kind === 'gauged' ? [e.which] : [])));
  if (which.size !== 1) return null;
  return which.has('go') ? 'not-go gauge' : 'go gauge';
}
const inDoubt = (
  code: 'doubt' | 'enough',
  why: Why,
  job: Job,
  shop: Shop,
  metal: Metal,
  belief: Belief | null,
): DeeperAnswer => ({
  code,
  byMm: 0,
  why,
  looks: code === 'doubt' ? looksLeft(job, shop) : [],
  or: otherwise(job, shop, metal, belief),
});

/** What is left to the middle of what is right, radial mm. */
const leftMm = ({ leftOnDiameterMm: { least, most } }: SizeAnswer): number => (least + most) / 4;

function byBelief(belief: Belief, job: Job, shop: Shop, metal: Metal): DeeperAnswer {
  const { next, why, inside, leftOnDiameterMm } = belief.answer;
  switch (next.do) {
    case 'cut': {
      const byMm = next.depthMm - metal.depthMm;
      // a shallower setting is wanted where even the spring may go past: no step deeper, and no spring unasked
      return byMm > 0
        ? { code: 'deeper', byMm, step: 'safe', leavesMm: leftMm(belief.answer) - byMm }
        : inDoubt('enough', 'no-safe-cut', job, shop, metal, belief);
    }
    case 'spring':
      return { code: 'spring', byMm: 0, why };
    case 'measure':
      return measureWith(next.with === null ? undefined : meansNow(job, shop)[next.with], why, job, shop);
    case 'stop':
      if (why === 'check-lead') return { code: 'lead', byMm: 0 };
      if (why === 'mate-stops') return inDoubt(inside >= LIKELY ? 'doubt' : 'enough', why, job, shop, metal, belief);
      // as likely right as not, and metal known to be left: not enough
      return why === 'reached' || inside >= LIKELY
        ? { code: 'fits', byMm: 0 }
        : inDoubt('enough', why, job, shop, metal, belief);
    case 'scrap':
      return { code: 'past', byMm: Math.max(0, -leftOnDiameterMm.most / 2) };
  }
}

/** To look once more: with what the sizing loop chose. */
function measureWith(means: Means | undefined, why: Why, job: Job, shop: Shop): DeeperAnswer {
  const base = { code: 'measure', byMm: 0, why } as const;
  switch (means?.kind) {
    case 'mate':
      return { ...base, by: 'mate', mate: means.name };
    case 'gauge':
      return { ...base, by: 'gauge', mate: `${means.which} gauge` };
    case 'measured':
      return { ...base, by: measurePlan(job, shop)?.by ?? null, mate: null };
    case undefined:
      return { ...base, by: null, mate: null };
  }
}

/** By the last trial or measurement alone. */
function byLast(job: Job, shop: Shop, metal: Metal, last: SizeTest): DeeperAnswer | null {
  if (last.kind === 'overWires' || last.kind === 'betweenBalls') {
    const found = measurePlan(job, shop)?.measured.find((m) => m.n === last.n);
    if (!found) return null;
    if (found.verdict === 'to-go') {
      const whole = found.leftMm <= SMALL_REST_MM;
      const byMm = (found.leftMm / 2) * (whole ? 1 : SHARE);
      return { code: 'deeper', byMm, step: whole ? 'rest' : 'share', leavesMm: found.leftMm / 2 - byMm };
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
