import { centrePerRadius, isSquare, slopeOf, type Flanks } from '../form/flanks.ts';
import { cosDeg, sinDeg, tanDeg } from '../quantity/units.ts';

/** The end of a threading tool: a flat, or a round nose tangent to both flanks; 0 is sharp. */
export type Tip = { readonly flatMm: number } | { readonly radiusMm: number };

/** The tool's outline: its two flanks by what they cut, and its tip. Leading: on the side towards which the tool travels. */
export interface ToolOutline extends Flanks {
  readonly tip: Tip;
}

/**
 * How far the sharp point of the flanks lies beyond the tip, mm: f/(tan a1 + tan a2) for a flat, r cos((a1-a2)/2)/sin((a1+a2)/2) - r
 * for a round nose. @throws RangeError for square flanks, which never meet.
 * @example vertexBeyondTipMm({ ...equalFlanks(60), tip: { radiusMm: 0.2 } }) // 0.2; r (1 / sin 30 - 1)
 */
export function vertexBeyondTipMm(t: ToolOutline): number {
  if (isSquare(t)) throw new RangeError('square flanks have no vertex');
  if ('flatMm' in t.tip) return t.tip.flatMm / slopeOf(t);
  return t.tip.radiusMm * (centrePerRadius(t) - 1);
}

/**
 * How far the tip lies inside the pitch line when the groove is P/2 wide there, mm. The same for screw and nut.
 * @see geometry: (P/2 - f)/(tan a1 + tan a2), and the round nose by its vertex
 * @example tipBeyondPitchLineMm({ ...equalFlanks(60), tip: { flatMm: 0 } }, 1) // 0.4330; H / 2
 */
export const tipBeyondPitchLineMm = (t: ToolOutline, pitchMm: number): number =>
  pitchMm / 2 / slopeOf(t) - vertexBeyondTipMm(t);

/**
 * Height above the tip at which a round nose passes into each flank, mm; 0 for a flat.
 * @example tangencyMm({ ...equalFlanks(60), tip: { radiusMm: 0.2 } }) // [0.1, 0.1]; r (1 - sin a)
 */
export const tangencyMm = (t: ToolOutline): readonly [leading: number, trailing: number] =>
  'flatMm' in t.tip
    ? [0, 0]
    : [t.tip.radiusMm * (1 - sinDeg(t.leadingDeg)), t.tip.radiusMm * (1 - sinDeg(t.trailingDeg))];

/** Reach of one side of the outline from the tip's middle, at a height above the tip, mm. */
function reachMm(t: ToolOutline, flankDeg: number, heightMm: number): number {
  if ('flatMm' in t.tip) return t.tip.flatMm / 2 + heightMm * tanDeg(flankDeg);
  const r = t.tip.radiusMm;
  const tangent = r * (1 - sinDeg(flankDeg));
  if (heightMm <= tangent) return Math.sqrt(Math.max(0, r * r - (r - heightMm) ** 2));
  return r * cosDeg(flankDeg) + (heightMm - tangent) * tanDeg(flankDeg);
}
/**
 * Reach of the leading side of the outline from the tip’s middle, at a height above the tip, mm.
 * @example leadingReachMm({ leadingDeg: 45, trailingDeg: 0, tip: { flatMm: 1 } }, 2) // 2.5
 */
export const leadingReachMm = (t: ToolOutline, heightMm: number): number => reachMm(t, t.leadingDeg, heightMm);
/**
 * The same of the trailing side.
 * @example trailingReachMm({ leadingDeg: 45, trailingDeg: 0, tip: { flatMm: 1 } }, 2) // 0.5
 */
export const trailingReachMm = (t: ToolOutline, heightMm: number): number => reachMm(t, t.trailingDeg, heightMm);

/**
 * Width of the outline at a height above the tip, mm.
 * @example widthMm({ ...equalFlanks(90), tip: { flatMm: 1 } }, 2) // 5
 */
export const widthMm = (t: ToolOutline, heightMm: number): number =>
  leadingReachMm(t, heightMm) + trailingReachMm(t, heightMm);

/** Area under one side of the outline up to a height, mm^2: the nose's circular segment, then the straight flank. */
function sideAreaMm2(t: ToolOutline, flankDeg: number, heightMm: number): number {
  const tan = tanDeg(flankDeg);
  if ('flatMm' in t.tip) return (t.tip.flatMm / 2) * heightMm + (tan * heightMm * heightMm) / 2;
  const r = t.tip.radiusMm;
  if (r === 0) return (tan * heightMm * heightMm) / 2;
  const tangent = r * (1 - sinDeg(flankDeg));
  const y = Math.min(heightMm, tangent);
  const angle = Math.acos(Math.max(-1, Math.min(1, (r - y) / r)));
  const nose = ((r * r) / 2) * (angle - Math.sin(angle) * Math.cos(angle));
  const above = Math.max(0, heightMm - tangent);
  return nose + r * cosDeg(flankDeg) * above + (tan * above * above) / 2;
}

/**
 * Section of the outline up to a height above its tip, mm^2: f D + (tan a1 + tan a2) D^2 / 2 for a flat.
 * @example sectionMm2({ ...equalFlanks(90), tip: { flatMm: 1 } }, 2) // 6; f D + D^2 for 90 degrees
 */
export const sectionMm2 = (t: ToolOutline, heightMm: number): number =>
  sideAreaMm2(t, t.leadingDeg, heightMm) + sideAreaMm2(t, t.trailingDeg, heightMm);

const NEWTON_ROUNDS = 60;
/** Slope to begin with between square flanks: the first step then comes from far above, and the next ones set it right. */
const LEAST_SLOPE = 1e-9;

/**
 * Height at which the section reaches an area, mm: the reverse of sectionMm2.
 * @example heightAtSectionMm({ ...equalFlanks(90), tip: { flatMm: 1 } }, 6) // 2
 */
export function heightAtSectionMm(t: ToolOutline, areaMm2: number): number {
  const slope = slopeOf(t);
  if ('flatMm' in t.tip) {
    const f = t.tip.flatMm;
    if (isSquare(t)) return f > 0 ? areaMm2 / f : 0;
    return (-f + Math.sqrt(f * f + 2 * slope * areaMm2)) / slope;
  }
  // the section grows by the width, which only grows: Newton's steps from above never overshoot
  let height = Math.sqrt((2 * areaMm2) / Math.max(slope, LEAST_SLOPE));
  for (let i = 0; i < NEWTON_ROUNDS; i += 1) {
    const step = (sectionMm2(t, height) - areaMm2) / widthMm(t, height);
    height -= step;
    if (!(Math.abs(step) > 1e-13)) break;
  }
  return height;
}
