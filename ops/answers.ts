import { gearSettingOf } from '../core/job/gearSetting.ts';
import { becauseText } from '../words/stations.ts';
import type { Ranking } from '../core/identify/rank.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import { likeliest, specialOf } from '../core/job/special.ts';
import { cardText } from '../words/machine.ts';
import { testsSinceCut, type CardView } from '../core/job/card.ts';
import { stationStates, stationsOf } from '../core/job/chain.ts';
import { conclusion } from '../words/conclusions.ts';
import { pitchDiameterNow } from '../core/job/cutPlan.ts';
import { sizingOf } from '../core/job/sizing.ts';
import { bindsBecause, suggestDeeper } from '../core/job/deeper.ts';
import { worthView } from '../core/job/worthView.ts';
import type { EventKind } from '../core/job/events.ts';
import { fitOfJob, gearState, latheOf, threadOfJob } from '../core/job/derive.ts';
import { measurePlan } from '../core/job/measure.ts';
import { startMovesOf } from '../core/job/startMoves.ts';
import { standing, type Metal } from '../core/job/metal.ts';
import { tipDiameterNowMm } from '../core/job/recut.ts';
import { aimsAfter, partBefore } from '../core/job/partBefore.ts';
import { machineOf } from '../core/job/machine.ts';
import type { Job, Shop } from '../core/job/schema.ts';
import type { ThreadSpec } from '../core/standards/thread.ts';

const beforeReply = (job: Job, shop: Shop) => {
  const before = partBefore(job);
  return before && { ...before, aims: aimsAfter(job, shop, before) };
};

const metalReply = (job: Job, shop: Shop, view: CardView) => {
  // once something was tried or read of it the belief knows more than the dial; before that it would only cost time
  const believed = testsSinceCut(job, view.metal).length > 0 ? (sizingOf(job, shop)?.pitchDiameterMm ?? null) : null;
  const m: Metal = view.metal;
  const { tipDiameterMm } = view.plan ?? { tipDiameterMm: null };
  return {
    part: m.part,
    start: m.start,
    surfaceMm: m.surfaceMm,
    touched: m.touched,
    depthMm: m.depthMm,
    axialMm: m.axialMm,
    sideMm: m.sideMm,
    grooveMm: m.grooveMm,
    tipDiameterMm: tipDiameterNowMm(job, m),
    targetTipDiameterMm: tipDiameterMm,
    pitchDiameterMm: believed ?? (view.request ? pitchDiameterNow(view.request, m) : null),
    phase: m.phase,
    lostBy: m.lostBy,
    assumed: m.assumed !== null,
    cuts: m.cuts,
    springs: m.springs,
    events: m.events,
  };
};

/** What was tried, measured and read of the finished thread. */
const PROOFS: ReadonlySet<EventKind> = new Set(['tried', 'overWires', 'betweenBalls', 'gauged', 'formRead', 'dressed']);

/** All that the stations conclude and show, in SI, from one job and its shop. @param ranking of the evidence, null where there is none */
export function answersOf(job: Job, shop: Shop, ranking: Ranking | null) {
  const top: ThreadSpec | null = ranking ? likeliest(ranking, job) : null;
  const states = stationStates(job, shop, top ?? threadOfJob(job));
  const system: UnitSystem = shop.settings.system;
  const machine = machineOf(job, shop, states);
  const fit = fitOfJob(job);
  const gears = gearState(job, shop);
  const lathe = latheOf(job, shop);
  return {
    stations: Object.fromEntries(
      stationsOf(job).map((s) => {
        const state = states[s];
        return [
          s,
          {
            state: state.kind,
            conclusion: conclusion(s, job, shop, system),
            because: 'because' in state ? becauseText(state.because, system) : null,
          },
        ];
      }),
    ),
    name: {
      accepted: job.name?.thread ?? null,
      candidates: ranking?.candidates.slice(0, 8).map((c) => ({ thread: c.thread, probability: c.probability })) ?? [],
      /** The special as the readings have it; thread null: no diameter was read. */
      special: ranking && {
        probability: ranking.special.probability,
        thread: ranking.special.majorMm > 0 ? specialOf(ranking, job) : null,
      },
      /** What the evidence has as likeliest, a special among them. */
      believed: top,
    },
    fit: fit && {
      make: fit.make,
      startDiameterMm: fit.startDiameterMm,
      pitchDiameterMm: fit.pitchDiameterMm,
      rootDiameterMm: fit.rootDiameterMm,
      depthMm: fit.depthMm,
      limits: fit.limits,
      problem: fit.problem,
      working: Object.values(fit.working),
    },
    gears: {
      lathe: job.gears.lathe,
      train: job.gears.train,
      targetMm: gears?.target.toFraction() ?? null,
      leadMm: gears?.lead?.toFraction() ?? null,
      errorPpm: gears?.errorPpm ?? null,
      /** What stands between spindle and leadscrew besides the train. */
      levers: gearSettingOf(job, shop)?.levers ?? null,
      tumbler: gearSettingOf(job, shop)?.tumbler ?? null,
      mounted: lathe?.mounted ?? null,
    },
    setup: { ...job.setup, feed: machine.feed },
    pickup: machine.pickup,
    metal: metalReply(job, shop, machine),
    card: {
      ...machine.card,
      text: cardText(machine, job.intake.make, lathe?.crossSlide.unit ?? system, lathe?.kind ?? null),
    },
    prove: proveReply(job, shop, machine.metal),
    /** How the tool comes to the next start; null: there is one. */
    starts: startMovesOf(job, shop),
    /** What was right on the part before, and what may be aimed at on this one. */
    before: beforeReply(job, shop),
    record: { ...job.record, events: job.events.length },
  };
}

/** What proves it: what it should measure, what the last trial says, and why a mate stops. */
function proveReply(job: Job, shop: Shop, metal: Metal) {
  const wires = measurePlan(job, shop);
  return {
    targetPitchDiameterMm: fitOfJob(job)?.pitchDiameterMm ?? null,
    wires: wires && {
      by: wires.by,
      wireMm: wires.wireMm,
      bestMm: wires.bestMm,
      targetMm: wires.targetMm,
      exact: wires.exact,
      measured: wires.measured,
    },
    /** What a new part leaves on the worn one that stays, and whether that pays; null: what is worn is not known. */
    worth: worthView(job, shop)?.answer ?? null,
    /** What the last trial or measurement says of the next cut. */
    next: suggestDeeper(job, shop, metal),
    /** Why a mate stops, where its turns, its places or its fellows tell. */
    binds: bindsBecause(job, shop, metal),
    tests: standing(job.events).filter((e) => PROOFS.has(e.kind)),
  };
}
