import { expose } from 'comlink';
import { mountAll } from '../../core/gearing/mounting/index.ts';
import { orderByShopRule, findTrains, type TrainRequest, oneGearShort } from '../../core/gearing/search/index.ts';
import { rank } from '../../core/identify/rank.ts';
import { exact } from '../../core/quantity/rational.ts';
import type { CalcWorker, TrainsQuery } from './protocol.ts';

const requestOf = (q: TrainsQuery): TrainRequest => ({
  ...q,
  leadscrew: exact(q.leadscrew),
  target: exact(q.target),
  fixedRatio: exact(q.fixedRatio),
  gearbox: q.gearbox.map((g) => exact(g)),
});

/** A report across the worker's edge costs more than a mounting: one every so often is enough for the eye. */
const REPORT_EVERY_MS = 80;
/** Trains of one lead that are worth weighing against each other. */
const KEPT_OF_EACH = 6;
/** The search itself takes about this share of the work; mounting each train takes the rest. */
const SEARCH_SHARE = 0.2;

function reporter(onProgress: ((done: number) => void) | undefined): (done: number) => void {
  let last = performance.now();
  return (done) => {
    const now = performance.now();
    if (!onProgress || now - last < REPORT_EVERY_MS) return;
    last = now;
    onProgress(done);
  };
}

const api: CalcWorker = {
  rank,
  oneGearShort: (q) => oneGearShort(requestOf(q), 4),
  trains: (q, onProgress) => {
    const report = reporter(onProgress);
    const { trains, lookedAtPpm } = findTrains(requestOf(q), (done) => report(done * SEARCH_SHARE));
    const { arm, turning, mounted, gears } = q;
    return {
      lookedAtPpm,
      trains: arm
        ? mountAll(trains, { gears, arm, turning, mounted, keep: KEPT_OF_EACH }, (done) =>
            report(SEARCH_SHARE + (1 - SEARCH_SHARE) * done),
          )
        : // nobody has measured the arm: at least in an order that the shop rule allows
          trains.map((t) => ({ ...t, ...orderByShopRule(t), mount: null })),
    };
  },
};
expose(api);
