import { sizeOf, USUAL, type Means, type SizeAnswer, type SizeTarget } from '../sizing/decide.ts';
import type { SizeEvent } from '../sizing/model.ts';
import { isSquare } from '../cutting/tip.ts';
import { toolOf } from '../cutting/plan.ts';
import { cosDeg } from '../quantity/units.ts';
import { DIAL_UNCERTAINTY_MM, planRequest } from './cutPlan.ts';
import { AT_SIZE_MM, fitOfJob, latheOf, wirePlan } from './derive.ts';
import type { LedgerEvent } from './events.ts';
import { feedOf } from './feed.ts';
import { metalOf, standingOfPart } from './metal.ts';
import { recutting } from './recut.ts';
import type { Job, Shop } from './schema.ts';
import { turnTravelMm } from '../lathe/dials.ts';

/** What readings over the same wires share, and how well each is read, mm. Common practice, no source. */
const WIRES_SHARED_MM = 0.002;
const WIRES_READ_MM = 0.006;

/**
 * What the part on the lathe measures by everything in its ledger, and what comes next; null where a depth says nothing of
 * it: nothing cut, touched off in an old groove, a square thread, or crests topped since.
 */
export function sizingOf(job: Job, shop: Shop): SizeAnswer | null {
  const metal = metalOf(job);
  const fit = fitOfJob(job);
  const request = planRequest(job, shop, metal);
  if (!fit || fit.problem || !request || request.surfaceMm === null || metal.cuts === 0 || recutting(job)) return null;
  if (isSquare(toolOf(request))) return null;
  const events = standingOfPart(job, metal.part).filter((e) => e.start === metal.start);
  if (events.some((e) => e.kind === 'crestTopped' || e.kind === 'controlOffset')) return null;
  const wires = wirePlan(job, shop);
  const read = new Map((wires?.measured ?? []).map((m) => [m.n, m.pitchDiameterMm]));
  const lathe = latheOf(job, shop);
  const feed = feedOf(job, metal);
  const dial = lathe && (feed.slideDeg === null ? lathe.crossSlide : lathe.topSlide);
  const { min, max } = fit.limits?.pitch ?? { min: null, max: null };
  const target: SizeTarget = {
    minMm: min ?? fit.pitchDiameterMm - AT_SIZE_MM,
    maxMm: max ?? fit.pitchDiameterMm + AT_SIZE_MM,
  };
  const means: Means[] = [
    ...(wires?.check.ok ? [{ kind: 'measured' as const, uncertaintyMm: WIRES_READ_MM }] : []),
    {
      kind: 'mate',
      name: mateOf(events),
      bounds: null,
      lengthMm: job.fit.engagementMm,
      shakeUncertaintyMm: USUAL.shakeMm,
    },
  ];
  return sizeOf({
    model: {
      member: request.member,
      pitchMm: request.pitchMm,
      leadingDeg: request.leadingDeg,
      trailingDeg: request.trailingDeg,
      surfaceMm: request.surfaceMm,
      tip: request.tip,
      dialUncertaintyMm: DIAL_UNCERTAINTY_MM,
      settingMm: USUAL.settingMm,
      wiresSharedMm: WIRES_SHARED_MM,
    },
    target,
    means,
    history: events.flatMap((e) => sizeEvent(e, read, job.fit.engagementMm)),
    stepMm: dial ? (turnTravelMm(dial) / dial.perTurn) * (feed.slideDeg === null ? 1 : cosDeg(feed.slideDeg)) : null,
    mostMm: job.cut.firstMaxMm,
  });
}

/** The mate that was tried last, by the name it was given. */
const mateOf = (events: readonly LedgerEvent[]): string => {
  const tried = events.findLast((e) => e.kind === 'tried');
  return tried?.kind === 'tried' && tried.mate !== '' ? tried.mate : 'mate';
};

function sizeEvent(e: LedgerEvent, read: ReadonlyMap<number, number>, lengthMm: number | null): SizeEvent[] {
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
    case 'overWires': {
      const d2 = read.get(e.n);
      return d2 === undefined ? [] : [{ kind: 'measured', pitchDiameterMm: d2, uncertaintyMm: WIRES_READ_MM }];
    }
    case 'gauged':
      return e.pitchDiameterMm === null
        ? []
        : [{ kind: 'gauge', which: e.which, passes: e.passes, pitchDiameterMm: e.pitchDiameterMm }];
    case 'tried':
      return e.result === 'note'
        ? []
        : [
            {
              kind: 'mate',
              name: e.mate === '' ? 'mate' : e.mate,
              result: e.result,
              turns: e.turns,
              shakeMm: e.shakeMm,
              uncertaintyMm: USUAL.shakeMm,
              bounds: null,
              lengthMm,
            },
          ];
    default:
      return [];
  }
}
