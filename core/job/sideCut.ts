import { isSquare, slopeOf } from '../form/flanks.ts';
import { toolOf } from '../cutting/plan.ts';
import { planRequest } from './cutPlan.ts';
import { latheOf, threadOfJob } from './derive.ts';
import { feedOf } from './feed.ts';
import { metalOf } from './metal.ts';
import type { Job, Shop } from './schema.ts';
import { settingsFor, sideSign, sideStand, type Setting, type Stand } from './slides.ts';

/** A cut on the side of a groove, as the slides are set for it. */
export interface SideCutSet {
  /** Both slides: the top slide goes along, the cross slide keeps the depth. */
  readonly settings: readonly Setting[];
  readonly set: Stand;
  /** What the setting takes off that flank, and frees as play, mm along the axis: what was wanted, as the dial can be set to it. */
  readonly byMm: number;
  /** Where the tool then stands along the axis, + towards the headstock. */
  readonly axialMm: number;
  /** Towards which end the tool goes. */
  readonly towards: 'headstock' | 'tailstock';
  /** What the play that it frees is on the pitch diameter, mm; null: square flanks. */
  readonly onPitchDiameterMm: number | null;
}

/** What the dial leaves of a side cut, under which it is none, mm. */
const NOTHING_MM = 1e-4;

/**
 * How a side cut is set before it is made, for the screen that says it; the record keeps what the dial gave. Null: nothing is
 * cut yet, or the top slide lies square across. @param byMm along the axis
 * @example sideCutOf(demo('pump'), shop, 'leading', 0.05) // null; nothing is cut
 */
export function sideCutOf(job: Job, shop: Shop, flank: 'leading' | 'trailing', byMm: number): SideCutSet | null {
  const metal = metalOf(job);
  const thread = threadOfJob(job);
  if (metal.cuts === 0 || !thread) return null;
  const { leftHand } = thread;
  const sign = sideSign(flank, leftHand);
  const stand = sideStand(metal, sign * byMm, leftHand);
  if (!stand) return null;
  const internal = job.intake.make === 'internal';
  const { settings, set } = settingsFor(stand, latheOf(job, shop), feedOf(job, metal), internal);
  const share = (set.topMm - metal.topMm) / (stand.topMm - metal.topMm);
  const made = byMm * share;
  if (!(made > NOTHING_MM)) return null;
  const request = planRequest(job, shop, metal);
  const tool = request && toolOf(request);
  return {
    settings,
    set,
    byMm: made,
    axialMm: metal.axialMm + sign * made,
    towards: sign > 0 ? 'headstock' : 'tailstock',
    onPitchDiameterMm: tool && !isSquare(tool) ? (2 * made) / slopeOf(tool) : null,
  };
}
