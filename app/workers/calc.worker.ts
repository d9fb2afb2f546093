import { expose } from 'comlink';
import { mountTrain } from '../../core/gearing/mount.ts';
import { findTrains, gearsLeft, type TrainRequest } from '../../core/gearing/search.ts';
import { oneGearShort } from '../../core/gearing/short.ts';
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

const api: CalcWorker = {
  rank,
  oneGearShort: (q) => oneGearShort(requestOf(q), 4),
  trains: (q) => {
    const { trains, complete } = findTrains(requestOf(q));
    const { arm } = q;
    return {
      complete,
      trains: trains.map((t) => {
        if (!arm) return { ...t, mount: null };
        const mount = mountTrain(t.drivers, t.driven, gearsLeft(q.gears, [...t.drivers, ...t.driven]), arm);
        return { ...t, ...(mount.fits ? { drivers: mount.drivers, driven: mount.driven } : {}), mount };
      }),
    };
  },
};
expose(api);
