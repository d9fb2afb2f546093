import { sectionMm2 } from '../cutting/tip.ts';
import { cutsPlanned, outTurns, toolOf, type Plan, type PlanRequest } from '../cutting/plan.ts';
import { sameGears } from '../gearing/train.ts';
import { trainText } from '../gearing/trainText.ts';
import { isGeared, type Lathe, type UnconfirmedFact } from '../lathe/schema.ts';
import { missingFacts } from '../lathe/unconfirmed.ts';
import type { Problem } from '../quantity/outcome.ts';
import { cautionsAt, type CautionCode } from './cautions.ts';
import type { Because } from './chain.ts';
import {
  changedFacts,
  cutFacts,
  cutPlan,
  jobStages,
  oldGrooveMm,
  planRequest,
  startToCut,
  type Changed,
} from './cutPlan.ts';
import { fitOfJob, gearState, latheOf, threadOfJob } from './derive.ts';
import { kept } from '../keep/keep.ts';
import { measurePlan } from './measure.ts';
import { isSizeTest, type EventBody, type SizeTest } from './events.ts';
import { feedOf, swungToPickUp, type Feed } from './feed.ts';
import { gearSettingOf, gearsStandUp, leversStanding, type GearSetting } from './gearSetting.ts';
import { metalOf, standingOfPart, threadExists, type LostBy, type Metal } from './metal.ts';
import type { Job, Shop } from './schema.ts';
import { safeMarks } from './safeMarks.ts';
import { nextPass, setTo } from './nextPass.ts';
import { pitchProof, scratchDepthMm, type PitchProof } from './pitchProof.ts';
import { meetsMetalMm, recutting } from './recut.ts';
import { wrongScratch, type WrongScratch } from './scratchCheck.ts';
import { shareLeftMm } from './share.ts';
import type { Setting } from './slides.ts';
import type { StationId } from './stations.ts';

/** What the machinist is to do now; the whole interface at the machine is made of this. */
export type Act =
  'mount' | 'touch' | 'air' | 'set' | 'try' | 'measure' | 'pickup' | 'check' | 'next-start' | 'next-part' | 'finished';

/** Why nothing may be cut until somebody has looked. */
export type Stopped =
  | { readonly code: 'no-thread' | 'no-lathe' | 'no-train' }
  | { readonly code: 'plan'; readonly problem: Problem }
  | { readonly code: 'lathe-unknown'; readonly lathe: string; readonly facts: readonly UnconfirmedFact[] }
  | { readonly code: 'changed'; readonly changes: readonly Changed[] }
  /** What was scratched is not what the train cuts. */
  | { readonly code: 'scratch'; readonly scratch: WrongScratch }
  | { readonly code: 'stale'; readonly station: StationId; readonly because: Because }
  | { readonly code: 'assumed'; readonly passes: number; readonly depthMm: number; readonly train: string | null };

/** Train, levers and tumbler as the job wants them, and how the levers stood. */
export interface CardGears extends GearSetting {
  /** The gears are on already: only the levers are moved, from here. */
  readonly leversFrom: string | null;
}

/** The one act that is due at the machine. */
export interface Card {
  readonly do: Act;
  /** Of what: the work or the gears; the blank or the thread; surface or groove; a run that only scratches, or turns in its place, to prove the pitch. */
  readonly what: 'work' | 'gears' | 'blank' | 'thread' | 'surface' | 'groove' | 'pitch' | null;
  readonly settings: readonly Setting[];
  readonly outMm: number | null;
  readonly outTurns: number | null;
  readonly pass: {
    readonly n: number;
    readonly of: number;
    readonly spring: boolean;
    readonly stage: number;
    readonly start: number;
    readonly part: number;
  } | null;
  /** Depth after this pass, what it takes, what is to go before it, and its chip. */
  readonly depthMm: number | null;
  readonly takesMm: number | null;
  readonly leftMm: number | null;
  readonly chipMm2: number | null;
  /** A thread is there already: it is a part that is put up, no blank. */
  readonly thereAlready: boolean;
  /** The blank as measured lies outside what its class wants of it, mm; null: it does not, or nothing says. */
  readonly blank: { readonly mm: number; readonly minMm: number; readonly maxMm: number } | null;
  /** Left on the pitch diameter on purpose until the thread is measured, radial mm; 0: nothing. */
  readonly shareMm: number;
  /** Metal is met in this pass; else the tool runs in the old groove and only air is cut: if it cuts, stop. */
  readonly expectsMetal: boolean;
  /** Passes from this one on that are expected to cut air. */
  readonly airPasses: number;
  readonly closeOn: readonly number[] | null;
  /** What stands between spindle and leadscrew for this job; null: nothing is geared. */
  readonly gears: CardGears | null;
  /** How the pitch is proved before any depth; null: it is not what is due. */
  readonly pitch: PitchProof | null;
  readonly conflict: Feed['conflict'];
  readonly lostBy: LostBy | null;
  readonly stopped: Stopped | null;
  readonly cautions: readonly CautionCode[];
  /** The event on which an act of this card rests, and what "done" would write down. */
  readonly after: number;
  readonly writes: EventBody | null;
}

/** The card with all that its numbers hang on. */
export interface CardView {
  readonly metal: Metal;
  readonly feed: Feed;
  readonly request: PlanRequest | null;
  readonly plan: Plan | null;
  readonly card: Card;
}

/**
 * Every pass is cut, and the thread has to be tried or measured.
 * @example [proofDue({ do: 'try' }), proofDue({ do: 'set' })] // [true, false]
 */
export const proofDue = ({ do: act, what }: Card): boolean => act === 'try' || (act === 'measure' && what === 'thread');
/**
 * Metal may be cut beside the plan: a part is begun, and neither is the card stopped nor the groove lost.
 * @example cutsNow(cardOf(demo('latch'), shop, null)) // false
 */
export const cutsNow = ({ card, metal }: CardView): boolean =>
  metal.cuts > 0 && metal.finished === null && (card.do === 'set' || proofDue(card));

/** A station upstream that has to be looked at again. */
export interface StaleStation {
  readonly station: StationId;
  readonly because: Because;
}

/** What is to be put up, and whether only levers are moved for it. */
function gearsFor(job: Job, shop: Shop, lathe: Lathe | null): CardGears | null {
  const wanted = gearSettingOf(job, shop);
  const on = lathe?.mounted ?? null;
  if (!wanted || !lathe || !job.gears.train) return null;
  const sameTrain = on !== null && sameGears({ ...on, gearbox: job.gears.train.gearbox }, job.gears.train);
  const moved = sameTrain && on.gearbox !== job.gears.train.gearbox;
  return { ...wanted, leversFrom: moved ? leversStanding(lathe) : null };
}

/** The gears that the job wants are on the lathe, as far as anybody has said. */
function gearsUp(job: Job, lathe: Lathe, metal: Metal): boolean {
  const { train } = job.gears;
  if (!isGeared(lathe) || !train) return true;
  // another job may have put other gears on since
  if (lathe.mounted !== null) return gearsStandUp(job, lathe);
  if (metal.gears) return metal.gears.lathe === lathe.id && sameGears(metal.gears.train, train);
  // passes agreed under this train were cut with it
  return metal.cuts > 0 && metal.facts?.['Gears'] === trainText(train);
}

/**
 * Parts to make in all, the test piece among them.
 * @example partsOf(demo('pump')) // 1
 */
export const partsOf = (job: Job): number => job.quantity.parts + (job.quantity.testPiece ? 1 : 0);

/**
 * What was tried or measured since metal was last cut.
 * @example testsSinceCut(demo('press'), metal(demo('press'))) // []
 * @example testsSinceCut(demo('brass'), metal(demo('brass')))[0].n // 17
 */
export const testsSinceCut = (job: Job, metal: Metal): SizeTest[] =>
  standingOfPart(job, metal.part)
    .filter(isSizeTest)
    .filter((e) => e.n > metal.lastCutN && (metal.cuts > 0 || metal.touched === 'groove'));

/** What is no longer as it was when metal was last agreed to be cut, the slide's own angle included. */
function changesSince(job: Job, shop: Shop, metal: Metal, feed: Feed): Changed[] {
  const agreed = metal.facts ? changedFacts(metal.facts, cutFacts(job, shop)) : [];
  return [
    ...agreed,
    // touching off again agrees to much, but it does not swing the slide; a changed feed has said it already
    ...(!swungToPickUp(job, metal) &&
    feed.slideDeg !== null &&
    metal.slideDeg !== null &&
    metal.slideDeg !== feed.slideDeg &&
    !agreed.some((c) => c.fact === 'Feed')
      ? [{ fact: 'Feed', was: `top slide at ${metal.slideDeg}`, now: `${job.setup.infeed} ${feed.slideDeg}` }]
      : []),
  ];
}

/** A blank or bore that its class does not want. */
function blankOutside(job: Job, metal: Metal): Card['blank'] {
  const { min, max } = fitOfJob(job)?.limits?.start ?? { min: null, max: null };
  const mm = metal.surfaceMm ?? metal.measuredMm;
  if (mm === null || min === null || max === null || recutting(job)) return null;
  return mm < min || mm > max ? { mm, minMm: min, maxMm: max } : null;
}

/** What the passes leave on purpose, radial mm. */
function shareOn(job: Job, metal: Metal): number {
  const fit = fitOfJob(job);
  return fit ? shareLeftMm(job, fit, metal.foundBy, metal.surfaceMm) / 2 : 0;
}

/** What has to be looked at or put right before anything is put up or cut; null: nothing. */
function stoppedBy(job: Job, shop: Shop, metal: Metal, feed: Feed, stale: StaleStation | null): Stopped | null {
  const lathe = latheOf(job, shop);
  if (!lathe) return { code: 'no-lathe' };
  const facts = missingFacts(lathe);
  if (facts.length > 0) return { code: 'lathe-unknown', lathe: lathe.name, facts };
  if (!gearState(job, shop)?.lead) return { code: 'no-train' };
  if (metal.assumed)
    return {
      code: 'assumed',
      passes: metal.assumed.passes,
      depthMm: metal.depthMm,
      train: job.gears.train && trainText(job.gears.train),
    };
  if (stale) return { code: 'stale', ...stale };
  const changes = changesSince(job, shop, metal, feed);
  if (changes.length > 0) return { code: 'changed', changes };
  const scratch = wrongScratch(job, shop, metal);
  return scratch && { code: 'scratch', scratch };
}

/** What is put up next, the pitch of a nut among it; null: all of it is up. */
function putUp(job: Job, lathe: Lathe, metal: Metal, pitch: PitchProof | null): Partial<Card> | null {
  // no rule reaches into a nut: its gears are proved before it is put up, when a spare bar can still be held
  const gearsFirst = pitch !== null && pitch.by !== 'scratch';
  if (!metal.mounted && !gearsFirst) return { do: 'mount', what: 'work' };
  if (!gearsUp(job, lathe, metal)) return { do: 'mount', what: 'gears' };
  return gearsFirst ? { do: 'air', what: 'pitch', pitch } : null;
}

/**
 * Everything that Cut shows, decided from the ledger and the plan. @param stale what upstream has to be looked at again
 * @example cardOf(demo('latch'), shop, null).card.do // 'check'
 */
export const cardOf = kept((job: Job, shop: Shop, stale: StaleStation | null): CardView => {
  const metal = metalOf(job);
  const feed = feedOf(job, metal);
  const lathe = latheOf(job, shop);
  const request = planRequest(job, shop, metal);
  const planned = cutPlan(job, request);
  const plan = planned?.ok ? planned.value : null;
  const internal = job.intake.make === 'internal';
  const base: Card = {
    do: 'check',
    what: null,
    settings: [],
    outMm: plan?.toolOutMm ?? null,
    outTurns: plan?.toolOutTurns ?? null,
    pass: null,
    depthMm: null,
    takesMm: null,
    leftMm: plan?.leftMm ?? null,
    chipMm2: null,
    thereAlready: threadExists(job),
    blank: blankOutside(job, metal),
    shareMm: shareOn(job, metal),
    expectsMetal: false,
    airPasses: 0,
    closeOn: safeMarks(job, shop, lathe),
    gears: gearsFor(job, shop, lathe),
    pitch: null,
    conflict: feed.conflict,
    lostBy: metal.lostBy,
    stopped: null,
    cautions: cautionsAt('cut', job, shop, metal),
    after: metal.events,
    writes: null,
  };
  const answer = (over: Partial<Card>): CardView => {
    const card = { ...base, ...over };
    const out = internal && plan && request ? outOfBore(job, request, plan, metal, card.depthMm) : {};
    return { metal, feed, request, plan, card: { ...card, ...out } };
  };
  const stop = (stopped: Stopped): CardView => answer({ do: 'check', stopped });

  if (!threadOfJob(job)) return stop({ code: 'no-thread' });
  if (metal.finished !== null) {
    const more = metal.part < partsOf(job);
    return answer({ do: more ? 'next-part' : 'finished' });
  }
  const wrong = stoppedBy(job, shop, metal, feed, stale);
  if (wrong || !lathe) return stop(wrong ?? { code: 'no-lathe' });
  const pitch = pitchProof(job, shop, metal);
  const up = putUp(job, lathe, metal, pitch);
  if (up) return answer(up);
  if (metal.phase === 'lost') return answer({ do: 'pickup' });
  if (metal.touched === null || metal.zeroLost) {
    const groove = metal.cuts > 0 || recutting(job);
    if (!groove && metal.measuredMm === null) return answer({ do: 'measure', what: 'blank' });
    return answer({ do: 'touch', what: groove ? 'groove' : 'surface' });
  }
  if (metal.touched === 'surface' && metal.surfaceMm === null) return answer({ do: 'measure', what: 'blank' });
  if (planned && !planned.ok) return stop({ code: 'plan', problem: planned.problem });
  if (!plan || !request) return answer({ do: 'measure', what: 'blank' });

  const at = { metal, feed, request, lathe };
  const here = { depthMm: Math.max(metal.depthMm, 0), axialMm: metal.axialMm };
  const place = { start: metal.start, part: metal.part };
  const springCard = (of: number, stage: number): Partial<Card> => ({
    do: 'set',
    settings: setTo(here, at).settings,
    pass: { n: metal.springs + 1, of, spring: true, stage, ...place },
    depthMm: metal.depthMm,
    takesMm: 0,
    chipMm2: 0,
    expectsMetal: true,
    writes: { kind: 'sprung', depthMm: metal.depthMm },
  });
  if (metal.airDue) {
    // in an old groove the tool is set to its depth, where it only touches; over a groove of one's own to what is cut
    const old = { depthMm: request.grooveMm, axialMm: 0 };
    const known = metal.cuts > 0 || recutting(job);
    return answer({ do: 'air', settings: known ? setTo(metal.cuts > 0 ? here : old, at, 'down').settings : [] });
  }

  const next = nextPass(plan, at);
  if (pitch && next) {
    const depthMm = scratchDepthMm(next.made.depthMm);
    return answer({ do: 'air', what: 'pitch', pitch, depthMm, settings: setTo({ depthMm, axialMm: 0 }, at).settings });
  }
  const ended = next && stageEnded(job, request, plan, metal, next.pass.stage);
  if (ended) return answer(springCard(ended.springs, ended.stage));
  if (next) {
    const { pass, made } = next;
    const tool = toolOf(request);
    const from = Math.max(metal.depthMm, request.grooveMm);
    // counted from the bottom of an old groove, the chip is still as high as its flanks
    const above = metal.touched === 'groove' ? oldGrooveMm(job) : 0;
    const meets = meetsMetalMm(job, request, metal) ?? -Infinity;
    const cutsAir = made.depthMm <= meets;
    // what stands before the tool begins where it first meets metal, not at the depth of the pass before
    const there = Math.max(from, meets);
    return answer({
      do: 'set',
      settings: made.settings,
      pass: {
        n: metal.cuts + 1,
        of: metal.cuts + cutsPlanned(plan),
        spring: false,
        stage: pass.stage,
        ...place,
      },
      depthMm: made.depthMm,
      takesMm: cutsAir ? 0 : made.depthMm - there,
      chipMm2: cutsAir ? 0 : sectionMm2(tool, above + made.depthMm) - sectionMm2(tool, above + there),
      expectsMetal: !cutsAir,
      airPasses: plan.passes.filter((p) => !p.spring && p.depthMm <= meets).length,
      writes: {
        kind: 'cut',
        depthMm: made.depthMm,
        axialMm: pass.axialMm,
        crossMm: made.set.crossMm,
        topMm: made.set.topMm,
        slideDeg: feed.liesDeg,
        infeed: feed.infeed,
        assumedPasses: null,
      },
    });
  }
  if (metal.cuts > 0 && metal.springs < job.cut.springs)
    return answer(springCard(job.cut.springs, job.cut.stages ? 2 : 0));
  if (startToCut(job, metal) !== null) return answer({ do: 'next-start' });
  return answer({
    do: testsSinceCut(job, metal).length > 0 ? 'try' : measurePlan(job, shop)?.atHand ? 'measure' : 'try',
    what: 'thread',
  });
});

/** A dial cannot be set nearer to a stage's end than this, mm. Common practice, no source. */
const STAGE_END_MM = 0.02;

/** A stage that was just cut to its end and still wants its spring passes; null: none does. @param nextStage of the next pass */
function stageEnded(
  job: Job,
  q: PlanRequest,
  plan: Plan,
  metal: Metal,
  nextStage: number,
): { readonly stage: number; readonly springs: number } | null {
  const stage = nextStage - 1;
  const before = stage < 0 ? undefined : jobStages(job, q, plan.depthMm)?.[stage];
  if (!before || metal.cuts === 0 || metal.springs >= before.springs) return null;
  // a pass of the next stage is cut already: the springs were left out
  return metal.depthMm <= before.upToMm + STAGE_END_MM ? { stage, springs: before.springs } : null;
}

/**
 * In a bore the tool is drawn out from where it stands now, not from where it will end: the same turns from a shallow pass
 * would bring the back of the bar against the far wall. Whole turns only where somebody has measured the bar.
 */
function outOfBore(
  job: Job,
  q: PlanRequest,
  plan: Plan,
  metal: Metal,
  passMm: number | null,
): { readonly outMm: number; readonly outTurns: number | null } {
  const deepest = Math.max(plan.depthMm, q.doneMm);
  const here = Math.max(passMm ?? metal.depthMm, 0);
  const outMm = plan.toolOutMm - deepest + here;
  return { outMm, outTurns: job.setup.barMm === null ? null : outTurns(q, outMm, here) };
}
