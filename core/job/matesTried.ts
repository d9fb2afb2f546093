import { pitchMmOf } from '../standards/thread.ts';
import { threadOfJob } from './derive.ts';
import type { EventOf } from './events.ts';
import { metalOf, standingOfPart } from './metal.ts';
import { matesByLength } from './rightBy.ts';
import type { Job } from './schema.ts';

/** The last trial of one mate since metal was last cut. */
export interface MateTried {
  readonly name: string;
  readonly lengthMm: number | null;
  readonly result: Exclude<EventOf<'tried'>['result'], 'note'>;
  readonly turns: number | null;
  readonly shakeMm: number | null;
  /** It did not go all the way. */
  readonly stopped: boolean;
  /** How much of its length it went on, 0 to 1; null: all of it, or not said. */
  readonly wentShare: number | null;
}

/**
 * Every mate that was tried since the last cut, by its last trial, in the order in which they were first tried.
 * @example matesTried(demo('pump')) // []
 * @example matesTried(demo('brass'))[0].name // 'level frame'
 */
export function matesTried(job: Job): MateTried[] {
  const metal = metalOf(job);
  const thread = threadOfJob(job);
  const out = new Map<string, MateTried>();
  for (const e of standingOfPart(job, metal.part)) {
    if (e.kind !== 'tried' || e.result === 'note' || e.n <= metal.lastCutN) continue;
    const stopped = e.result === 'no-start' || e.result === 'starts' || e.result === 'binds';
    const turned =
      e.turns !== null && thread && e.lengthMm !== null ? (e.turns * pitchMmOf(thread)) / e.lengthMm : null;
    out.set(e.mate, {
      name: e.mate,
      lengthMm: e.lengthMm,
      result: e.result,
      turns: e.turns,
      shakeMm: e.shakeMm,
      stopped,
      wentShare: e.result === 'no-start' ? 0.05 : stopped ? Math.min(1, turned ?? 0.5) : null,
    });
  }
  return [...out.values()];
}

/**
 * Mates that the part has to go with and that were not tried since the last cut, the deciding one first.
 * @example matesUntried(demo('pump')) // []; it has no mates
 */
export function matesUntried(job: Job): readonly Job['prove']['mates'][number][] {
  const tried = new Set(matesTried(job).map((t) => t.name));
  return matesByLength(job).filter((m) => !tried.has(m.name));
}
