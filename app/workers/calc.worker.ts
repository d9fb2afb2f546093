import { expose } from 'comlink';
import { findTrains } from '../../core/gearing/search.ts';
import { rank } from '../../core/identify/rank.ts';
import { exact } from '../../core/quantity/rational.ts';
import type { CalcWorker } from './protocol.ts';

const api: CalcWorker = {
  rank,
  trains: (q) =>
    findTrains({
      ...q,
      leadscrew: exact(q.leadscrew),
      target: exact(q.target),
      fixedRatio: exact(q.fixedRatio),
      gearbox: q.gearbox.map((g) => exact(g)),
    }),
};
expose(api);
