import { basisOf, stationsOf } from '../../core/job/chain.ts';
import { suitFit } from '../../core/job/defaults.ts';
import type { Job, StationId } from '../../core/job/schema.ts';
import type { ThreadSpec } from '../../core/standards/thread.ts';
import { STATION_NAMES } from '../../core/job/chain.ts';
import { editJob, store } from '../store/store.ts';

const nowText = (): string => new Date().toISOString();

/** Marks a station as looked at: what it rests on now is kept with it. */
export function settle(station: StationId, believed: ThreadSpec | null): void {
  const shop = store.getState().work.shop?.present;
  if (!shop) return;
  editJob(`settle ${STATION_NAMES[station]}`, (d) => {
    d.settled[station] = { basis: { ...basisOf(station, d, shop, believed) }, at: nowText() };
  });
}

/** Takes a thread as the name, with what that settles: fit and infeed start from what suits the form. */
export function acceptName(thread: ThreadSpec, probability: number, overruled: boolean, reason: string): void {
  const shop = store.getState().work.shop?.present;
  if (!shop) return;
  editJob(`name it ${thread.designation}`, (d) => {
    const first = d.name === null || d.name.thread.form !== thread.form || d.name.thread.pitch !== thread.pitch;
    const { special, ...plain } = thread;
    d.name = { thread: special ? { ...plain, special: { ...special } } : plain, probability, overruled, reason };
    if (first) suitFit(d);
    d.settled.name = { basis: { ...basisOf('name', d, shop, thread) }, at: nowText() };
    if (!d.settled.read) d.settled.read = { basis: { ...basisOf('read', d, shop, thread) }, at: nowText() };
    if (!d.settled.intake) d.settled.intake = { basis: {}, at: nowText() };
  });
}

export const neighbour = (job: Job, station: StationId, by: 1 | -1): StationId | null => {
  const list = stationsOf(job);
  return list[list.indexOf(station) + by] ?? null;
};
