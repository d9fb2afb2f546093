import { Type } from '@sinclair/typebox';
import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { cosDeg } from '../../quantity/units.ts';
import { cardOf } from '../card.ts';
import { beyondPlanMm } from '../cutPlan.ts';
import { threadOfJob } from '../derive.ts';
import { EVENT_FIELDS, type EventBody } from '../events.ts';
import { feedsAtAngle } from '../feed.ts';
import { metalOf } from '../metal.ts';
import type { Job, Shop } from '../schema.ts';
import { sideSign, sideStand } from '../slides.ts';
import { edit, event, some, written, type After } from './edit.ts';

/** Depths nearer than this are the same setting, mm. */
const SAME_DEPTH_MM = 1e-6;

const WAIVED: readonly EventBody[] = [{ kind: 'pitchProved', by: 'waived' }];

/** The pass that the card asks for, cut to its depth or to another one. */
function passCut(job: Job, shop: Shop, depthMm?: number, before: readonly EventBody[] = []): Outcome<After> {
  const { card } = cardOf(job, shop, null);
  if (card.do !== 'set' || !card.writes || card.pass?.spring)
    return bad('pass', 'no-pass-now', { spring: card.do === 'set' });
  const { writes } = card;
  if (writes.kind !== 'cut') return bad('pass', 'no-pass-now', { spring: false });
  if (depthMm === undefined || Math.abs(depthMm - writes.depthMm) < SAME_DEPTH_MM)
    return good({ events: [...before, writes] });
  const metal = metalOf(job);
  if (depthMm < metal.depthMm - SAME_DEPTH_MM) return bad('depthMm', 'deeper-already', { depthMm: metal.depthMm });
  // another depth than the card's: the slide that feeds stands where it gives that depth
  const by = depthMm - writes.depthMm;
  const moved =
    feedsAtAngle(writes.infeed) && writes.slideDeg !== null
      ? { topMm: writes.topMm + by / cosDeg(writes.slideDeg) }
      : { crossMm: writes.crossMm + by };
  return good({ events: [...before, { ...writes, depthMm, ...moved }] });
}

/** What cuts metal: passes, springs, deeper, a flank by itself. */
export const PASSES = {
  passDone: edit(
    {
      /** Depth that was really cut, below the surface; missing: what the card asked for. */
      depthMm: some(Type.Number({ minimum: -1000, maximum: 1000 })),
    },
    ({ job, shop, id, at }, f) => {
      // whoever says that a pass is cut while its pitch is not proved has let that be, and the record says so
      if (cardOf(job, shop, null).card.what === 'pitch')
        return passCut(written(job, WAIVED, id, at), shop, f.depthMm, WAIVED);
      return passCut(job, shop, f.depthMm);
    },
  ),
  springDone: event({}, (_, { job, shop }) => {
    const { card, metal } = cardOf(job, shop, null);
    if (card.do === 'check' || card.do === 'pickup') return bad('spring', 'nothing-may-be-cut');
    return metal.cuts === 0 ? bad('spring', 'nothing-to-spring') : { kind: 'sprung', depthMm: metal.depthMm };
  }),
  deeper: event({ byMm: Type.Number({ minimum: -50, maximum: 50 }) }, (f, { job, shop }) => ({
    kind: 'deeper',
    byMm: f.byMm + beyondPlanMm(job, shop, metalOf(job)),
  })),
  sideDone: event({ flank: EVENT_FIELDS.sideCut.flank, byMm: EVENT_FIELDS.sideCut.byMm }, (f, { job }) => {
    const metal = metalOf(job);
    const leftHand = threadOfJob(job)?.leftHand ?? false;
    if (metal.cuts === 0) return bad('flank', 'nothing-cut');
    const towardsHeadstock = f.byMm * sideSign(f.flank, leftHand);
    const stand = sideStand(metal, towardsHeadstock, leftHand);
    if (!stand) return bad('flank', 'slide-square');
    return { kind: 'sideCut', flank: f.flank, byMm: f.byMm, axialMm: metal.axialMm + towardsHeadstock, ...stand };
  }),
} as const;
