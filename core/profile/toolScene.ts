import { widthOver, type End } from './ends.ts';
import { greyOf, type Grey } from './grey.ts';
import { lightOf, noiseOf } from './render.ts';

const { abs, cos, hypot, max, min, sin, tan, PI } = Math;

/** A threading tool seen square to its face, its shank leaving the picture below. */
export interface ToolShown {
  readonly includedDeg: number;
  /** mm. */
  readonly tip: End;
  readonly shankMm: number;
  /** Turned from upright, degrees. */
  readonly turnDeg: number;
  readonly pxPerMm: number;
  readonly w: number;
  readonly h: number;
  readonly blurPx: number;
  readonly noise: number;
  readonly seed: number;
  /** A round pin end on beside it, mm. */
  readonly pinMm?: number;
}

/**
 * Distance outside of the tool, px: the farthest of its straight sides, its nose an arc between the flanks.
 * @example toolPicture({ includedDeg: 60, tip: { kind: 'flat', wide: 0.4 }, shankMm: 12, turnDeg: 0, pxPerMm: 20, w: 400, h: 300, blurPx: 0.8, noise: 0, seed: 1 }).w // 400
 */
export function toolPicture(p: ToolShown): Grey {
  const half = ((p.includedDeg / 2) * PI) / 180;
  const [c, s] = [cos((p.turnDeg * PI) / 180), sin((p.turnDeg * PI) / 180)];
  const radius = p.tip.kind === 'round' ? p.tip.radius * p.pxPerMm : 0;
  const wide = widthOver(p.tip, p.includedDeg / 2, p.includedDeg / 2) * p.pxPerMm;
  const top = -0.3 * p.h;
  const noise = noiseOf(p.seed);
  const pin = p.pinMm === undefined ? null : { x: -0.36 * p.w, y: -0.28 * p.h, r: (p.pinMm / 2) * p.pxPerMm };
  return greyOf(p.w, p.h, (x, y) => {
    const [dx, dy] = [x + 0.5 - p.w / 2, y + 0.5 - p.h / 2];
    const u = dx * c + dy * s;
    const v = -dx * s + dy * c - top;
    const flank = (abs(u) - wide / 2 - v * tan(half)) * cos(half);
    let off = max(flank, abs(u) - (p.shankMm / 2) * p.pxPerMm);
    if (radius === 0) off = max(off, -v);
    else {
      // between the two places where the arc meets the flanks it is the arc that bounds it
      const meets = radius * (1 - sin(half));
      off = v < meets && abs(u) < radius * cos(half) + abs(meets - v) ? max(off, hypot(u, v - radius) - radius) : off;
    }
    if (pin) off = min(off, hypot(dx - pin.x, dy - pin.y) - pin.r);
    return max(0, min(1, 0.1 + 0.75 * lightOf(off, p.blurPx) + p.noise * noise()));
  });
}
