import { cosDeg, sinDeg } from '../quantity/units.ts';
import type { ToolOutline } from './tip.ts';

/**
 * Exponent of chip thickness in the cutting-force law F = kc1.1 x length x h^(1-m): 0.14 to 0.26 for steels, from memory.
 * Only its value matters for passes of equal force, for kc1.1 is the same in all of them.
 */
const THICKNESS_EXPONENT = 0.2;
/** A round nose is taken as so many straight pieces on each side. */
const NOSE_PIECES = 6;

/**
 * Cutting force of one pass over kc1.1, edge by edge: a piece of edge of length l whose tangent stands at an angle from the
 * radial takes a chip of thickness s sin(angle -+ b), with s = ap / cos b the way along the feed and b the feed's angle from
 * the radial towards the leading flank. @param depthMm depth after the pass @param infeedMm radial infeed of the pass
 * @see the Kienzle force law; edge by edge as general cutting mechanics
 */
export function passForce(t: ToolOutline, depthMm: number, infeedMm: number, feedDeg: number): number {
  const middle = Math.max(infeedMm / 2, depthMm - infeedMm / 2);
  const along = infeedMm / cosDeg(feedDeg);
  const edge = (lengthMm: number, thicknessMm: number): number =>
    thicknessMm <= 0 || lengthMm <= 0 ? 0 : lengthMm * thicknessMm ** (1 - THICKNESS_EXPONENT);
  const side = (flankDeg: number, sign: 1 | -1): number => {
    let force = 0;
    let below = 0;
    if ('radiusMm' in t.tip && t.tip.radiusMm > 0) {
      const r = t.tip.radiusMm;
      const top = r * (1 - sinDeg(flankDeg));
      const share = Math.min(1, middle / top);
      // tangent angles from 90 degrees at the tip's middle to the flank's own
      const piece = ((90 - flankDeg) * share) / NOSE_PIECES;
      for (let i = 0; i < NOSE_PIECES; i += 1) {
        const tangent = 90 - (i + 0.5) * piece;
        force += edge((r * piece * Math.PI) / 180, along * sinDeg(tangent + sign * feedDeg));
      }
      below = Math.min(top, middle);
    }
    return force + edge((middle - below) / cosDeg(flankDeg), along * sinDeg(flankDeg + sign * feedDeg));
  };
  const tip = 'flatMm' in t.tip ? edge(t.tip.flatMm, infeedMm) : 0;
  return tip + side(t.leadingDeg, 1) + side(t.trailingDeg, -1);
}
