import { slopeOf } from '../form/flanks.ts';
import { toolOfJob } from './cutPlan.ts';
import { standingOfPart } from './metal.ts';
import type { EventOf } from './events.ts';
import type { Job } from './schema.ts';

/** Readings of the indicator at several seatings of the work, and what the run-out does to the thread. */
export interface RunOutView {
  readonly readings: readonly EventOf<'runOutRead'>[];
  /** The seating that ran truest. */
  readonly best: EventOf<'runOutRead'> | null;
  /** Half of the last full reading, mm: how far the work is off the spindle's axis now. */
  readonly eccentricMm: number | null;
  /** The crest's flat comes out wider and narrower round the part by so much, mm. @see (tan a1 + tan a2) x eccentricity */
  readonly crestVariesMm: number | null;
}

/**
 * How far the work runs out, as it was last read, and what that does to the thread.
 * @example runOutOf(demo('pump')).readings // []
 */
export function runOutOf(job: Job): RunOutView {
  const readings = standingOfPart(job).filter((e) => e.kind === 'runOutRead');
  const own = toolOfJob(job);
  const last = readings.at(-1);
  const eccentricMm = last ? last.fullMm / 2 : null;
  return {
    readings,
    best: readings.reduce<EventOf<'runOutRead'> | null>((a, r) => (a === null || r.fullMm < a.fullMm ? r : a), null),
    eccentricMm,
    crestVariesMm: eccentricMm === null || !own ? null : slopeOf(own.tool) * eccentricMm,
  };
}
