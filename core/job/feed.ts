import type { Infeed } from '../cutting/plan.ts';
import { threadExists, type Metal } from './metal.ts';
import type { Has } from './schema.ts';

/**
 * Ways of feeding in which the top slide, at its angle, is the one that feeds.
 * @example [feedsAtAngle('modified'), feedsAtAngle('radial')] // [true, false]
 */
export const feedsAtAngle = (infeed: Infeed): infeed is 'flank' | 'modified' =>
  infeed === 'flank' || infeed === 'modified';

/** Along the bed: where a slide lies that was swung to pick a groove up, or to feed alternately. */
export const ALONG_BED_DEG = 90;

/**
 * The slide lies along the bed because the groove is being picked up along it: it is not asked back before that is done.
 * @example swungToPickUp(demo('pump'), { phase: 'lost', slideDeg: 90 }) // true
 */
export const swungToPickUp = (job: Has<'pickup'>, metal: Pick<Metal, 'phase' | 'slideDeg'>): boolean =>
  metal.phase === 'lost' && job.pickup.way === 'parallel' && metal.slideDeg === ALONG_BED_DEG;

/** How the slide goes in now: as it is set on the metal, else as planned. */
export interface Feed {
  readonly infeed: Infeed;
  /** Angle of the top slide's feed from the cross-slide line, where it is the slide that feeds; null: the cross slide does. */
  readonly slideDeg: number | null;
  /** Where the top slide lies now; null: nobody has said. */
  readonly liesDeg: number | null;
  /** Set up asks for a feed that the slide, as it lies, cannot give. */
  readonly conflict: 'slide-along-bed' | 'slide-elsewhere' | 'old-groove' | null;
}

/**
 * The one decision on how the cut is fed, for Set up, Pick up and Cut alike: what Set up asks for, as far as the slide lies
 * so that it can. A slide left along the bed by picking up is fed straight in; the conflict is said wherever it shows.
 * @example feedOf(demo('pump'), metal(demo('pump'))).infeed // 'plunge'
 */
export function feedOf(job: Has<'setup' | 'intake'>, metal: Metal): Feed {
  const wanted = job.setup.infeed;
  const lies = metal.slideDeg;
  const feeds = feedsAtAngle(wanted);
  // an old groove found at a control is cut straight in: at an angle the first flank would be cut away
  if (metal.startMm !== null) return { infeed: 'plunge', slideDeg: null, liesDeg: lies, conflict: null };
  // found with the tool straight over it: fed at an angle, or from side to side, the tool would land beside the old groove by its
  // depth times the tangent of that angle
  if (wanted !== 'plunge' && threadExists(job) && metal.phase === 'kept' && lies !== ALONG_BED_DEG)
    return { infeed: 'plunge', slideDeg: null, liesDeg: lies ?? plannedSlideDeg(job), conflict: 'old-groove' };
  if (feeds && lies === ALONG_BED_DEG && metal.phase === 'kept')
    return { infeed: 'plunge', slideDeg: null, liesDeg: lies, conflict: 'slide-along-bed' };
  if (wanted === 'alternate' && lies !== null && lies !== ALONG_BED_DEG && metal.touched !== null)
    return { infeed: 'plunge', slideDeg: null, liesDeg: lies, conflict: 'slide-elsewhere' };
  return {
    infeed: wanted,
    slideDeg: feeds ? job.setup.slideAngleDeg : null,
    liesDeg: lies ?? plannedSlideDeg(job),
    conflict: null,
  };
}

/**
 * How the slide has to lie for what Set up asks for; null: straight in, it may lie as it likes.
 * @example plannedSlideDeg(demo('pump')) // null; straight in
 * @example plannedSlideDeg(demo('sluice')) // 14
 */
export const plannedSlideDeg = (job: Has<'setup'>): number | null =>
  job.setup.infeed === 'plunge' ? null : job.setup.infeed === 'alternate' ? ALONG_BED_DEG : job.setup.slideAngleDeg;
