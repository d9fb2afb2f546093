import { edgesOf } from './edges.ts';
import type { ToolOutline } from './tip.ts';

/**
 * Exponent of chip thickness in the cutting-force law F = kc1.1 x length x h^(1-m): 0.14 to 0.26 for steels, from memory.
 * Only its value matters for passes of equal force, for kc1.1 is the same in all of them.
 */
const THICKNESS_EXPONENT = 0.2;

/**
 * Cutting force of one pass over kc1.1, edge by edge, for sharing a depth out into passes of equal force: the crowding of two
 * chips and the material are left out, for they are the same in all of them. @param depthMm after the pass @param infeedMm radial
 * @see the Kienzle force law
 * @example passForce({ ...equalFlanks(60), tip: { flatMm: 0.25 } }, 0.5, 0, 0) // 0
 */
export const passForce = (t: ToolOutline, depthMm: number, infeedMm: number, feedDeg: number): number =>
  edgesOf(t, depthMm, infeedMm, { feedDeg }).reduce(
    (sum, e) => sum + (e.chipMm > 0 ? e.lengthMm * e.chipMm ** (1 - THICKNESS_EXPONENT) : 0),
    0,
  );
