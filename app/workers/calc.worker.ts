import { expose } from 'comlink';
import { mountTrain } from '../../core/gearing/mount.ts';
import { findTrains, type TrainRequest } from '../../core/gearing/search.ts';
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

function left(gears: readonly number[], used: readonly number[]): number[] {
  const rest = [...gears];
  for (const t of used) rest.splice(rest.indexOf(t), 1);
  return rest;
}

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
        const mount = mountTrain(t.drivers, t.driven, left(q.gears, [...t.drivers, ...t.driven]), arm);
        return { ...t, ...(mount.fits ? { drivers: mount.drivers, driven: mount.driven } : {}), mount };
      }),
    };
  },
};
expose(api);
