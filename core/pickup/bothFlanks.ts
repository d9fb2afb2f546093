import { tanDeg } from '../quantity/units.ts';

/** Both flanks of a groove touched, by moving the tool along the axis at one depth. Places + towards the headstock, mm. */
export interface FlanksTouched {
  readonly towardsHeadMm: number;
  readonly towardsTailMm: number;
  /** Half-angles of the flank next to the headstock and of the one next to the tailstock, degrees. */
  readonly headDeg: number;
  readonly tailDeg: number;
  /** Slack of the slide: what its dial runs ahead of it once it turns back; null: not measured. */
  readonly slackMm: number | null;
}

/** Middle of a groove from a touch on both flanks. */
export interface Middle {
  /** Where the tool would sit in the groove. */
  readonly mm: number;
  /** Room between the flanks at that depth. */
  readonly playMm: number;
  /** What the unknown slack may put it off by, either way; 0 where it is known. */
  readonly slackMm: number;
}

/** A top slide's slack where nobody measured it, mm. Common practice, no source. */
const USUAL_SLACK_MM = 0.15;

/**
 * Where a tool sits that touches one flank and then the other at the same depth. Held h above its seat it has h tan a to either
 * flank, so the play is shared as the tangents are, and only equal flanks put the seat in the middle. The second touch is
 * made against the slide's slack, which is taken off its reading. Square flanks share evenly. Geometry.
 * @param first which flank was touched first; the slide turns back for the other
 * Slack that nobody measured is no more than lies between the two touches.
 * @throws RangeError when the tool would have passed through metal: the places are in the wrong order, or nearer than the slack
 * @example middleOf({ towardsHeadMm: 1, towardsTailMm: 0, headDeg: 30, tailDeg: 30, slackMm: 0 }, 'head').mm // 0.5
 */
export function middleOf(t: FlanksTouched, first: 'head' | 'tail'): Middle {
  const slack = t.slackMm ?? Math.max(0, Math.min(USUAL_SLACK_MM, t.towardsHeadMm - t.towardsTailMm));
  const head = t.towardsHeadMm - (first === 'tail' ? slack : 0);
  const tail = t.towardsTailMm + (first === 'head' ? slack : 0);
  const playMm = head - tail;
  if (!(playMm >= 0)) throw new RangeError(`flanks ${playMm} mm apart`);
  const [h, k] = [tanDeg(t.headDeg), tanDeg(t.tailDeg)];
  const share = h + k > 1e-6 ? k / (h + k) : 0.5;
  return { mm: tail + playMm * share, playMm, slackMm: t.slackMm === null ? slack : 0 };
}
