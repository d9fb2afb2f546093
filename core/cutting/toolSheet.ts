import { leadAngleDeg } from '../form/helix.ts';
import { includedDeg, slopeOf, type Flanks } from '../form/flanks.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { sinDeg } from '../quantity/units.ts';

/** The thread that a tool is ground for. */
export interface ToolAsked extends Flanks {
  readonly leadMm: number;
  readonly starts: number;
  readonly member: 'external' | 'internal';
  readonly majorMm: number;
  readonly pitchDiameterMm: number;
  readonly minorMm: number;
  /** Clearance that is to be left under both side edges, degrees. */
  readonly clearanceDeg: number;
}

/** Blocks under a sine bar, mm, for bars of 100 mm and of 5 in (127 mm). */
export interface SineBar {
  readonly bar100: number;
  readonly bar127: number;
}
/** What to grind: angles, tip and clearances. */
export interface ToolSheet {
  readonly leadAngleDeg: { readonly major: number; readonly pitch: number; readonly minor: number };
  /** In the plane square to the radius. The trailing one is negative where the side leans outwards under its edge. */
  readonly leadingReliefDeg: number;
  readonly trailingReliefDeg: number;
  readonly includedDeg: number;
  /** Width of the straight flanks at the tip: what to measure. */
  readonly tipFlatMm: number;
  /** Rising from the tip to the depth of the thread, the pitch line among them. */
  readonly widthAtDepth: readonly { readonly depthMm: number; readonly widthMm: number }[];
  readonly sineBarMm: { readonly leading: SineBar; readonly trailing: SineBar };
}

const BARS = { bar100: 100, bar127: 127 } as const;
/**
 * Blocks that lift a sine bar to an angle. @see sin(angle) x length of the bar
 * @example sineBlocks(30) // { bar100: 50, bar127: 63.5 }
 */
export const sineBlocks = (deg: number): SineBar => ({
  bar100: BARS.bar100 * sinDeg(deg),
  bar127: BARS.bar127 * sinDeg(deg),
});
/** Places at which a width is given besides the pitch line, in shares of the depth. */
const PLACES = [0, 0.25, 0.5, 0.75, 1];

/**
 * What to grind. The helix is steepest at the minor diameter and flattest at the major one: the leading side is relieved for
 * the one, the trailing side for the other, so that the clearance is left at every diameter that is cut. The same for nuts
 * and for left hand, which only says which side leads.
 * @returns refused: diameters out of order, flanks that meet before the tip
 * @see geometry of the helix, tan(lead angle) = L / (pi d); of the groove, P/2 wide at the pitch line
 * @example value(toolSheet({ ...equalFlanks(60), leadMm: 2, starts: 1, member: 'external', majorMm: 30, pitchDiameterMm: 28.701, minorMm: 27.546, clearanceDeg: 3 })).tipFlatMm // 0.333; P/2 less what the flanks take
 */
export function toolSheet(q: ToolAsked): Outcome<ToolSheet> {
  for (const [field, value] of Object.entries({ leadMm: q.leadMm, minorMm: q.minorMm, starts: q.starts }))
    if (!(value > 0)) return bad(field, 'not-above-zero', { right: '5' });
  if (!(q.majorMm > q.pitchDiameterMm && q.pitchDiameterMm > q.minorMm))
    return bad('pitchDiameterMm', 'diameters-out-of-order', { leastMm: q.minorMm, mostMm: q.majorMm });
  const angle = {
    major: leadAngleDeg(q.leadMm, q.majorMm),
    pitch: leadAngleDeg(q.leadMm, q.pitchDiameterMm),
    minor: leadAngleDeg(q.leadMm, q.minorMm),
  };
  const slope = slopeOf(q);
  const tipMm = q.member === 'external' ? q.minorMm : q.majorMm;
  const toPitchLine = Math.abs(q.pitchDiameterMm - tipMm) / 2;
  const tipFlatMm = q.leadMm / (2 * q.starts) - slope * toPitchLine;
  if (tipFlatMm < 0) return bad('minorMm', 'flanks-meet-before-tip', { byMm: -tipFlatMm });
  const depthMm = (q.majorMm - q.minorMm) / 2;
  const depths = [...new Set([...PLACES.map((p) => p * depthMm), toPitchLine])].sort((a, b) => a - b);
  return good({
    leadAngleDeg: angle,
    leadingReliefDeg: q.clearanceDeg + angle.minor,
    trailingReliefDeg: q.clearanceDeg - angle.major,
    includedDeg: includedDeg(q),
    tipFlatMm,
    widthAtDepth: depths.map((d) => ({ depthMm: d, widthMm: tipFlatMm + d * slope })),
    sineBarMm: { leading: sineBlocks(q.leadingDeg), trailing: sineBlocks(q.trailingDeg) },
  });
}
