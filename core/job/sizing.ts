import { isSquare } from '../form/flanks.ts';
import { playOfClearanceMm } from '../fit/duty.ts';
import { totalMm } from '../gauging/budget.ts';
import type { Means, SizeAsked, SizeTarget } from '../sizing/asked.ts';
import { effectsOf, riskOf, sizeOf, USUAL, type Effect, type SizeAnswer } from '../sizing/decide.ts';
import type { Bounds, SizeEvent } from '../sizing/model.ts';
import { toolOf } from '../cutting/plan.ts';
import { turnTravelMm } from '../lathe/dials.ts';
import type { Lathe } from '../lathe/schema.ts';
import { cosDeg } from '../quantity/units.ts';
import { threadSizes } from '../standards/thread.ts';
import { planRequest } from './cutPlan.ts';
import { fitOfJob, latheOf, threadOfJob } from './derive.ts';
import type { EventOf, LedgerEvent } from './events.ts';
import { feedOf } from './feed.ts';
import { measurePlan, type MeasurePlan } from './measure.ts';
import { gaugeMm, matesByLength, onlyTried, rightBy, type RightBy } from './rightBy.ts';
import { foundByOf, metalOf, standingOfPart } from './metal.ts';
import { kept } from '../keep/keep.ts';
import type { Job, Shop } from './schema.ts';
import { recutting } from './recut.ts';
import { DIAL_UNCERTAINTY_MM, FOUND_AGAIN_MM } from './share.ts';

/** Everything the belief rests on, and which of the ledger's events each part of its history came from. */
interface Asked {
  readonly asked: SizeAsked;
  readonly from: readonly LedgerEvent[];
}

/**
 * What is asked of the sizing loop for the part on the lathe; null where a depth says nothing of it: nothing cut, touched
 * off in an old groove, a square thread, or crests topped since.
 */
const asked = kept((job: Job, shop: Shop): Asked | null => {
  const metal = metalOf(job);
  const fit = fitOfJob(job);
  const request = planRequest(job, shop, metal);
  const right = rightBy(job);
  const thread = threadOfJob(job);
  if (
    !fit ||
    !thread ||
    fit.problem ||
    !right ||
    !request ||
    request.surfaceMm === null ||
    metal.cuts === 0 ||
    recutting(job)
  )
    return null;
  if (isSquare(toolOf(request))) return null;
  const events = standingOfPart(job, metal.part).filter(
    // a mate and a gauge go over all starts; each start is as deep as it was cut itself
    (e) => e.start === metal.start || e.kind === 'tried' || e.kind === 'gauged',
  );
  if (events.some((e) => e.kind === 'crestTopped' || e.kind === 'controlOffset')) return null;
  const plan = measurePlan(job, shop);
  const read = new Map((plan?.measured ?? []).map((m) => [m.n, m.pitchDiameterMm]));
  const readsMm = plan ? totalMm(plan.budget, false) : 0;
  const lathe = latheOf(job, shop);
  const feed = feedOf(job, metal);
  const firstCut = events.find((e) => e.kind === 'cut')?.n ?? Infinity;
  const told = events.flatMap((e) =>
    [...(e.n > firstCut ? againEvents(e) : []), ...sizeEvents(e, job, read, readsMm)].map((of) => ({ of, e })),
  );
  return {
    from: told.map((t) => t.e),
    asked: {
      model: {
        member: request.member,
        pitchMm: request.pitchMm,
        leadingDeg: request.leadingDeg,
        trailingDeg: request.trailingDeg,
        surfaceMm: request.surfaceMm,
        tip: request.tip,
        dialUncertaintyMm: DIAL_UNCERTAINTY_MM,
        settingMm: USUAL.settingMm,
        wiresSharedMm: plan ? totalMm(plan.budget, true) : 0,
        basicMm: threadSizes(thread).pitchDiameterMm,
        special: fit.limits === null && thread.special !== undefined,
      },
      target: targetOf(right),
      means: meansOf(job, right, plan, events),
      history: told.map((t) => t.of),
      stepMm: lathe && finestMm(lathe, feed.slideDeg),
      mostMm: job.cut.firstMaxMm,
    },
  };
});

/** Half a division of the dial that feeds, on the radius, mm: as fine as a hand sets it. */
const finestMm = (lathe: Lathe, slideDeg: number | null): number => {
  const dial = slideDeg === null ? lathe.crossSlide : lathe.topSlide;
  return (turnTravelMm(dial) / dial.perTurn / 2) * (slideDeg === null ? 1 : cosDeg(slideDeg));
};

const targetOf = (r: RightBy): SizeTarget =>
  r.by === 'limits' ? { minMm: r.minMm, maxMm: r.maxMm } : { minClearanceMm: r.leastMm, maxClearanceMm: r.mostMm };

/** A mate without a name. */
const UNNAMED = 'mate';
const boundsOf = (job: Job, name: string): Bounds | null => {
  const m = job.prove.mates.find((x) => x.name === name);
  return m && m.minMm !== null && m.maxMm !== null ? { minMm: m.minMm, maxMm: m.maxMm } : null;
};

/** What there is to measure with: wires or balls, each mate, and a gauge that was tried before. The mate that decides comes first, whichever is in the hand. */
function meansOf(job: Job, right: RightBy, plan: MeasurePlan | null, events: readonly LedgerEvent[]): Means[] {
  const listed = matesByLength(job).map((m) => m.name);
  const names = listed.length > 0 ? listed : [lastTried(events)?.mate ?? ''];
  // who goes by the mate alone is not sent for wires; once they were used, they are there
  const used = !onlyTried(job);
  const wires =
    used && plan?.atHand && plan.check.ok
      ? [{ kind: 'measured' as const, uncertaintyMm: totalMm(plan.budget, false) }]
      : [];
  const mates: Means[] = names.map((n) => ({
    kind: 'mate',
    name: n === '' ? UNNAMED : n,
    bounds: boundsOf(job, n),
    lengthMm: job.prove.mates.find((m) => m.name === n)?.lengthMm ?? job.fit.engagementMm,
    shakeUncertaintyMm: USUAL.shakeMm,
  }));
  const gauged = events.filter((e) => e.kind === 'gauged');
  const fit = fitOfJob(job);
  // who owns one end of a gauge owns the other
  const gauges: Means[] = (['go', 'not-go'] as const).flatMap((which) => {
    const last = gauged.findLast((e) => e.which === which && e.pitchDiameterMm !== null);
    const mm = last?.pitchDiameterMm ?? (gauged.length > 0 && fit ? gaugeMm(fit, which) : null);
    return mm === null ? [] : [{ kind: 'gauge', which, pitchDiameterMm: mm }];
  });
  // a mate of which nothing is known says little of limits; it is asked only where it decides, or is all there is
  const useful = right.by === 'mate' || wires.length + gauges.length === 0;
  return [...wires, ...gauges, ...(useful ? mates : [])];
}

const lastTried = (events: readonly LedgerEvent[]): EventOf<'tried'> | null =>
  events.findLast((e) => e.kind === 'tried' && e.result !== 'note') as EventOf<'tried'> | null;

/** What finding the groove and touching off again in mid-cut do to what is known: the depth cut stays, the place of the tool is new. */
function againEvents(e: LedgerEvent): SizeEvent[] {
  if (e.kind === 'inGroove') return [{ kind: 'picked-up', axialMm: FOUND_AGAIN_MM[foundByOf(e)] }];
  return e.kind === 'touchedOff' ? [{ kind: 'rezero', ...(e.on === 'groove' ? { in: 'groove' } : {}) }] : [];
}

/** An event of the ledger as the sizing loop understands it; none where it says nothing of size. */
function sizeEvents(e: LedgerEvent, job: Job, read: ReadonlyMap<number, number>, readsMm: number): SizeEvent[] {
  switch (e.kind) {
    case 'cut':
      return e.depthMm > 0 ? [{ kind: 'cut', depthMm: e.depthMm }] : [];
    case 'sprung':
      return [{ kind: 'spring' }];
    case 'sideCut':
      return [{ kind: 'side', shiftMm: e.byMm }];
    case 'rezeroed':
      return [{ kind: 'rezero' }];
    case 'toolChanged':
      return e.tip ? [{ kind: 'tool', tip: e.tip }] : [{ kind: 'rezero' }];
    case 'overWires':
    case 'betweenBalls': {
      const d2 = read.get(e.n);
      return d2 === undefined ? [] : [{ kind: 'measured', pitchDiameterMm: d2, uncertaintyMm: readsMm }];
    }
    case 'gauged':
      return e.pitchDiameterMm === null
        ? []
        : [{ kind: 'gauge', which: e.which, passes: e.passes, pitchDiameterMm: e.pitchDiameterMm }];
    case 'tried':
      return triedEvents(e, job);
    default:
      return [];
  }
}

/**
 * What a trial says. A mate that binds at one place of the screw is of one size elsewhere and of another there; one that goes
 * tighter all along says only that it is tight; one that binds by its weight alone says nothing of size.
 */
function triedEvents(e: EventOf<'tried'>, job: Job): SizeEvent[] {
  if (e.result === 'note' || e.where === 'weight') return [];
  const name = e.mate === '' ? UNNAMED : e.mate;
  const base = {
    kind: 'mate' as const,
    name,
    turns: e.turns,
    shakeMm: e.shakeMm,
    uncertaintyMm: USUAL.shakeMm,
    bounds: boundsOf(job, e.mate),
    lengthMm: e.lengthMm ?? job.fit.engagementMm,
  };
  if (e.result === 'binds' && e.where === 'place')
    return [
      { ...base, result: 'runs', turns: null },
      { ...base, result: 'tight', turns: null, name: `${name} @ ${e.atMm ?? e.place}`, bounds: null },
    ];
  if (e.result === 'binds' && e.where === 'tighter') return [{ ...base, result: 'tight', turns: null }];
  return [{ ...base, result: e.result }];
}

/**
 * What there is to measure with, in the order in which the sizing loop counts it.
 * @example meansNow(demo('press'), shop) // []
 */
export const meansNow = (job: Job, shop: Shop): readonly Means[] => asked(job, shop)?.asked.means ?? [];
/**
 * What the ledger tells of the size, as the sizing loop understands it.
 * @example historyOf(demo('press'), shop) // []
 */
export const historyOf = (job: Job, shop: Shop): readonly SizeEvent[] => asked(job, shop)?.asked.history ?? [];

/** What is believed of the size, from all that was cut, measured and tried. */
export interface Belief {
  readonly answer: SizeAnswer;
  readonly right: RightBy;
  /** Axial play with the mate that decides, mm; null: it is not proved by one. */
  readonly play: { readonly value: number; readonly uncertainty: number } | null;
}

/** What the part on the lathe measures by everything in its ledger, and what comes next; null where nothing says. */
export const sizingOf = kept((job: Job, shop: Shop): SizeAnswer | null => {
  const q = asked(job, shop);
  return q && sizeOf(q.asked);
});
/**
 * The same with what is right and the play that follows.
 * @example beliefOf(demo('press'), shop) // null
 * @example beliefOf(demo('sluice'), shop).answer.pitchDiameterMm.value // 39.5887
 */
export function beliefOf(job: Job, shop: Shop): Belief | null {
  const answer = sizingOf(job, shop);
  const right = rightBy(job);
  const form = fitOfJob(job)?.form;
  if (!answer || !right || !form) return null;
  const c = answer.clearanceMm;
  return {
    answer,
    right,
    play: c && {
      value: playOfClearanceMm(form, c.value),
      uncertainty: playOfClearanceMm(form, c.uncertainty),
    },
  };
}

/** What each event of the ledger made of what is believed, in order: by the event's number, the last part of it. */
export const effectsOfJob = kept(
  (job: Job, shop: Shop): readonly { readonly event: LedgerEvent; readonly effect: Effect }[] => {
    const q = asked(job, shop);
    if (!q) return [];
    const effects = effectsOf(q.asked);
    const out = new Map<number, { event: LedgerEvent; effect: Effect }>();
    q.from.forEach((event, i) => {
      const effect = effects[i];
      if (effect) out.set(event.n, { event, effect });
    });
    return [...out.values()];
  },
);

/** A step of one's own that has more than this chance of going past gives way to what is safe. */
export const RISKY = 0.02;
/** From this chance on the card says that the part had better be looked at before the pass. Common practice, no source. */
export const LOOK_FIRST = 0.1;
/**
 * Chance that a pass at a depth goes past what no cut can mend; null where nothing says. @param depthMm below the surface
 * @example passRisk(demo('pump'), shop, 1) // null; nothing has been cut
 * @example passRisk(demo('brass'), shop, 1) // 1; far past
 */
export const passRisk = kept((job: Job, shop: Shop, depthMm: number): number | null => {
  const q = asked(job, shop);
  return q && riskOf(q.asked, depthMm);
});
