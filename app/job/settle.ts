import { stationsOf } from '../../core/job/chain.ts';
import type { Job, StationId } from '../../core/job/schema.ts';
import type { ThreadSpec } from '../../core/standards/thread.ts';
import { act } from '../store/store.ts';

/** A thread as documents keep it: the optional part is there or it is not. */
const plainThread = (thread: ThreadSpec) => {
  const { special, ...plain } = thread;
  return special ? { ...plain, special: { ...special } } : plain;
};

/** Marks a station as looked at: what it rests on now is kept with it. */
export const settle = (station: StationId, believed: ThreadSpec | null) =>
  act({ do: 'settle', station, thread: believed && plainThread(believed) });

/** Takes a thread as the name, with what that settles. */
export const acceptName = (thread: ThreadSpec, probability: number, overruled: boolean, reason: string) =>
  act({ do: 'acceptName', thread: plainThread(thread), probability, overruled, reason });

export const neighbour = (job: Job, station: StationId, by: 1 | -1): StationId | null => {
  const list = stationsOf(job);
  return list[list.indexOf(station) + by] ?? null;
};
