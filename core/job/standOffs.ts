import { pushBack, standOff } from '../pickup/moves.ts';
import { numberOf, rationalFromNumber } from '../quantity/rational.ts';
import { threadFormOf } from '../standards/thread.ts';
import { threadOfJob } from './derive.ts';
import { metalOf, standing } from './metal.ts';
import type { Job } from './schema.ts';

/** What the stand-off of a gauge on a taper means, and what is done for it. */
export interface StandOffs {
  readonly taper: number;
  /** The last one read on this part, + standing off too far (metal still to be cut); null: none was. */
  readonly mm: number | null;
  /** Of it: on diameter, and deeper on the radius for it, less what was asked deeper since. */
  readonly onDiameterMm: number | null;
  readonly deeperMm: number | null;
  /** The gauge goes on too far: shoulder and end go back by so much, less what was faced since. */
  readonly faceBackMm: number | null;
  /** The last one of every part, in order. */
  readonly parts: readonly { readonly part: number; readonly mm: number }[];
  /** By how much shoulder and end go back for so much taken off the diameter, mm a mm. */
  readonly pushPerMm: number;
}

/**
 * Null: the thread is parallel.
 * @example standOffs(demo('pump')) // null
 */
export function standOffs(job: Job): StandOffs | null {
  const thread = threadOfJob(job);
  const taper = thread ? Math.abs(threadFormOf(thread).taper) : 0;
  if (taper === 0) return null;
  const exactTaper = rationalFromNumber(taper);
  const { part } = metalOf(job);
  const events = standing(job.events);
  const read = events.filter((e) => e.kind === 'standOffRead');
  const last = read.findLast((e) => e.part === part) ?? null;
  const since = events.filter((e) => last !== null && e.n > last.n && e.part === part);
  const sum = (kind: 'deeper' | 'facedBack'): number => since.reduce((s, e) => s + (e.kind === kind ? e.byMm : 0), 0);
  const means = last && standOff(rationalFromNumber(Math.abs(last.mm)), exactTaper);
  const of = new Map(read.map((e) => [e.part, e.mm]));
  return {
    taper,
    mm: last?.mm ?? null,
    onDiameterMm: means ? numberOf(means.onDiameter) : null,
    deeperMm: means && last.mm > 0 ? Math.max(0, numberOf(means.radial) - sum('deeper')) : null,
    faceBackMm: last && last.mm < 0 ? Math.max(0, -last.mm - sum('facedBack')) : null,
    parts: [...of].map(([p, mm]) => ({ part: p, mm })),
    pushPerMm: numberOf(pushBack(rationalFromNumber(1), exactTaper)),
  };
}
