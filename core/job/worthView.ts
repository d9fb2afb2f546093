import { slopeOf } from '../form/flanks.ts';
import { sideCutFor, worthOf, type SideCutFor, type WorthAnswer } from '../fit/worth.ts';
import { playOfClearanceMm } from '../fit/duty.ts';
import { placesOn } from './places.ts';
import { leadMmOf, threadFormOf } from '../standards/thread.ts';
import { threadOfJob } from './derive.ts';
import { otherMember } from './made.ts';
import type { Job, Shop } from './schema.ts';
import { beliefOf } from './sizing.ts';

/** Whether the worn pair is worth another nut. */
export interface WorthView {
  /** Play as the pair was made, by the fit, mm. */
  readonly madeMm: number;
  /** Wear of the part that stays, on pitch diameter: typed, else by its wear map; null: neither. */
  readonly wornMm: number | null;
  readonly wornFrom: 'typed' | 'map' | null;
  /** What a new part leaves on the one that stays; null: its wear is not known. */
  readonly answer: WorthAnswer | null;
  /** What has to come off the flanks for the play that is wanted, by what is believed of the play now; null: nothing, or not known. */
  readonly side: SideCutFor | null;
  /** Play that results where the part that stays is worn, mm; null: its wear is not known. */
  readonly wornPlayMm: number | null;
  readonly playNowMm: number | null;
  readonly wantedMm: number | null;
}

/**
 * Whether replacing is worth it, and what a side cut would free. Null: no thread, or square flanks.
 * @example worthView(demo('pump'), shop).answer // null; nobody has said what is worn
 */
export function worthView(job: Job, shop: Shop): WorthView | null {
  const thread = threadOfJob(job);
  if (!thread) return null;
  const form = threadFormOf(thread);
  const slope = slopeOf(form);
  if (slope === 0) return null;
  const madeMm = playOfClearanceMm(form, job.fit.pitchClearanceMm);
  const stays = otherMember(job.intake.make);
  const diameters = placesOn(job, thread, stays).map((p) => p.pitchDiameterMm);
  const map = diameters.length > 1 ? Math.max(...diameters) - Math.min(...diameters) : null;
  const w = job.prove.worth;
  const wornMm = w.wornMm ?? map;
  const belief = beliefOf(job, shop);
  const wanted = belief?.right.by === 'mate' ? (belief.right.leastMm + belief.right.mostMm) / 2 : null;
  const wantedMm = wanted === null ? null : playOfClearanceMm(form, wanted);
  const playNowMm = belief?.play?.value ?? null;
  return {
    madeMm,
    wornMm,
    wornFrom: w.wornMm !== null ? 'typed' : map !== null ? 'map' : null,
    answer:
      wornMm === null
        ? null
        : worthOf({
            playNowMm: w.playNowMm,
            playMadeMm: madeMm,
            wornMm,
            slope,
            leadMm: leadMmOf(thread),
            limitMm: w.limitMm,
            ageYears: w.ageYears,
          }),
    side: playNowMm === null || wantedMm === null ? null : sideCutFor(playNowMm, wantedMm, slope),
    wornPlayMm: wantedMm === null || wornMm === null ? null : wantedMm + (wornMm * slope) / 2,
    playNowMm,
    wantedMm,
  };
}
