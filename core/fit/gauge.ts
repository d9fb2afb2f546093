import type { BasicSizes } from '../form/sizes.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import type { Limits, ThreadLimits } from '../standards/limits.ts';

/**
 * Which of a pair of limit gauges is made, and where the not-go end lies. Schools: `inside` keeps it within the work's
 * limits by up to a tenth of the tolerance, so that no bad part is passed (common practice of shops); `centred` lays it on
 * the limit itself (ISO 1502, from memory).
 */
export interface GaugeChoice {
  readonly end: 'go' | 'not-go';
  readonly school: 'inside' | 'centred';
}

/** Sizes of a gauge made in the shop. */
export interface GaugeSizes {
  /** Outside of a plug or bore of a ring, mm. */
  readonly start: Limits;
  /** Pitch diameter of the gauge when new, mm. */
  readonly pitch: Limits;
  /** Pitch diameter at which a worn go gauge is scrapped, mm; null for a not-go, which hardly wears. */
  readonly scrapAtMm: number | null;
  /** The work's tolerance on pitch diameter, of which a tenth is the gauge's, mm. */
  readonly toleranceMm: number;
}

/** A not-go end bears on its flanks only: crests are cut back to this share of the pitch from the pitch line. ISO 1502, from memory. */
const NOT_GO_CREST_SHARE = 0.1;

/**
 * Sizes of a limit gauge: a plug for a nut, a ring for a screw. The go end is the work's most metal, a tenth of the
 * tolerance inside it and a tenth wide, so that there is metal to wear; the not-go end its least metal. Common practice:
 * a tenth of the work's tolerance is the gauge's.
 * @param make the gauge itself: `external` for a plug, `internal` for a ring
 * @param work limits of the class that is gauged
 * @param pitchMm of the thread, mm
 * @example value(gaugeSizes('internal', { external: { pitch: { min: 8.862, max: 8.994 } } }, { minorInternalMm: 8.376, pitchDiameterMm: 9.026 }, 1.5, { end: 'go', school: 'inside' })).pitch // { min: 8.9742, max: 8.9874 }; a ring for M10-6g
 */
export function gaugeSizes(
  make: 'external' | 'internal',
  work: ThreadLimits,
  basic: BasicSizes,
  pitchMm: number,
  choice: GaugeChoice,
): Outcome<GaugeSizes> {
  const plug = make === 'external';
  const member = plug ? work.internal : work.external;
  const { min, max } = member?.pitch ?? { min: null, max: null };
  if (min === null || max === null || !(max > min))
    return bad('class', 'class-without-pitch-tolerance', { make: plug ? 'external' : 'internal' });
  const t = max - min;
  // from most metal towards least metal: up in a nut, down on a screw
  const s = plug ? 1 : -1;
  const most = plug ? min : max;
  const least = plug ? max : min;
  const band = (a: number, b: number): Limits => ({ min: Math.min(a, b), max: Math.max(a, b) });
  if (choice.end === 'go') {
    const crest = plug ? basic.majorMm : basic.minorInternalMm + (most - basic.pitchDiameterMm);
    return good({
      start: plug ? band(crest + t / 20, crest + (3 * t) / 20) : band(crest - t / 20, crest + t / 20),
      pitch: band(most + (s * t) / 20, most + (s * 3 * t) / 20),
      scrapAtMm: most,
      toleranceMm: t,
    });
  }
  const pitch =
    choice.school === 'inside' ? band(least - (s * t) / 10, least) : band(least - (s * t) / 20, least + (s * t) / 20);
  const crest = least + s * 2 * NOT_GO_CREST_SHARE * pitchMm;
  return good({
    start: band(crest - s * NOT_GO_CREST_SHARE * pitchMm, crest),
    pitch,
    scrapAtMm: null,
    toleranceMm: t,
  });
}
