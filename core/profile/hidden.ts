import { sectionOfRidge, type Ridge } from './ends.ts';
import { laidOn, shadowOf, type Points } from './shadow.ts';

const { abs, sqrt } = Math;

/** Angles of a flank that the crest's own edge hides, which would all throw the shadow seen, degrees. */
export interface HiddenFlank {
  readonly fromDeg: number;
  readonly toDeg: number;
}
const STEP_DEG = 0.5;
/** An angle is as good as the best where the flank lies off by no more than this beyond it, px. */
const ALIKE_PX = 0.12;

/**
 * A flank behind the crest's edge: every angle from 0 to the apparent one is tried, its ridge laid with that flank's own shadow on
 * the points, and those that lie as close as the best are what it may be. @param side which flank of the ridge
 * @example pictureRead().hidden // { left: null, right: null }; nothing hides a flank of 30 degrees
 */
export function hiddenFlank(
  points: Points,
  ridge: Ridge,
  side: 'left' | 'right',
  apparentDeg: number,
  sigma: number,
  /** How far the teeth lie off the ridge in all, px. */
  residual: number,
): HiddenFlank {
  const tried: { deg: number; off: number }[] = [];
  for (let deg = 0; deg <= apparentDeg + STEP_DEG; deg += STEP_DEG) {
    // as wide at the crest as it is: only the flank under it turns
    const s = shadowOf(sectionOfRidge({ ...ridge, [side === 'left' ? 'leftDeg' : 'rightDeg']: deg }), sigma);
    const { shift } = laidOn(points, s);
    const along: number[] = [];
    for (let i = 0; i < points.u.length; i += 1) {
      const u = (points.u[i] ?? 0) - shift;
      const share = (ridge.outer - (points.h[i] ?? 0)) / ridge.depth;
      if (u < 0 !== (side === 'left') || share < 0.12 || share > 0.88) continue;
      const m = s.slopeAt(u);
      if (abs(m) < 0.5) continue;
      along.push(((points.h[i] ?? 0) - s.at(u)) / m);
    }
    if (along.length < 12) continue;
    // the flank may stand anywhere along: only its shape tells
    const mean = along.reduce((a, b) => a + b, 0) / along.length;
    const rms = sqrt(along.reduce((a, b) => a + (b - mean) ** 2, 0) / along.length);
    tried.push({ deg, off: rms });
  }
  const best = tried.reduce((m, t) => Math.min(m, t.off), Infinity);
  const alike = tried.filter((t) => t.off <= best + Math.max(ALIKE_PX, residual));
  return { fromDeg: alike[0]?.deg ?? 0, toDeg: alike.at(-1)?.deg ?? apparentDeg };
}
