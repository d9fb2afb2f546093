import { Matrix, solve } from 'ml-matrix';
import { cosDeg, sinDeg } from '../quantity/units.ts';
import { crestsOf, type Edge } from './teeth.ts';
import { rangeOf, scatterOf } from './line.ts';

const { abs, hypot, max, min, sqrt } = Math;

/** y = a + b x + q x2 over a list laid on -1 to 1, without what lies far off. */
interface Parabola {
  readonly q: number;
  readonly qSigma: number;
  readonly middle: number;
  readonly half: number;
}
const ROUNDS = 4;
/** Fewer teeth tell no curve from a line. */
const LEAST_TEETH = 6;

function parabolaOf(x: readonly number[], y: readonly number[]): Parabola | null {
  if (x.length < LEAST_TEETH) return null;
  const [from, to] = rangeOf(x);
  const [middle, half] = [(from + to) / 2, (to - from) / 2];
  if (!(half > 0)) return null;
  const u = x.map((v) => (v - middle) / half);
  let kept = u.map((_, i) => i);
  let c = [0, 0, 0];
  let sigma = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    const a = new Matrix(kept.map((i) => [1, u[i] ?? 0, (u[i] ?? 0) ** 2]));
    c = solve(a, Matrix.columnVector(kept.map((i) => y[i] ?? 0)), true).to1DArray();
    const off = u.map((v, i) => (y[i] ?? 0) - (c[0] ?? 0) - (c[1] ?? 0) * v - (c[2] ?? 0) * v * v);
    sigma = max(0.01, scatterOf(off, 0));
    const next = u.map((_, i) => i).filter((i) => abs(off[i] ?? 0) <= 4 * sigma);
    if (next.length < LEAST_TEETH) return null;
    kept = next;
  }
  // over -1 to 1 the variance of x2 is 4 / 45
  return { q: c[2] ?? 0, qSigma: sigma / sqrt((kept.length * 4) / 45), middle, half };
}

/** What bends a picture of a straight thread, and by how much at its ends, px. */
export interface Warp {
  /** Lines away from the centre bow out (+) or in. */
  readonly barrelPx: number;
  /** Both edges bow the same way. */
  readonly bentPx: number;
  /** Pitch and diameter grow together along the part: the camera is not square to it. */
  readonly perspectivePx: number;
  /** The pitch alone grows along the part, of itself from end to end; 0: it does not. */
  readonly leadGrows: number;
  /** A place of the picture as a straight picture would have it. */
  readonly map: (x: number, y: number) => readonly [number, number];
  /** More than can be taken out without a doubt. */
  readonly tooMuch: boolean;
}

/** What is told of it. */
export type WarpSeen = Omit<Warp, 'map' | 'tooMuch'>;

const SEEN_PX = 1;
const SIGMAS = 5;
/** Beyond this share of the length seen the picture is refused. */
const MOST = 0.04;
/** Diameter and pitch grow together where they agree within this share. */
const TOGETHER = 0.5;

const seen = (p: Parabola | null): p is Parabola => p !== null && abs(p.q) > SEEN_PX && abs(p.q) > SIGMAS * p.qSigma;

/**
 * What a lens or a bent part makes of two straight edges: crests of both on parabolas, and the teeth's own places on one. A lens
 * bows both edges outwards or inwards, in proportion to how far they lie from the centre; a bent part bows them the same way; a
 * camera that is not square makes pitch (twice) and diameter (once) grow along it. Null: nothing of it is seen.
 * @example warpOf([drawnEdge(-1), drawnEdge(1)], 200, 300) // null; too few teeth to tell
 */
export function warpOf([up, low]: readonly [Edge, Edge], w: number, h: number): Warp | null {
  const deg = (up.laid.deg + low.laid.deg) / 2;
  const [c, s] = [cosDeg(deg), sinDeg(deg)];
  const crests = (e: Edge): Parabola | null => {
    const used = crestsOf(e.fold);
    return parabolaOf(
      used.map((t) => e.fold.ridgePx + t.k * e.fold.pitchPx),
      used.map((t) => t.h),
    );
  };
  const [pu, pl] = [crests(up), crests(low)];
  const places = [up, low].flatMap((e) =>
    e.fold.teeth
      .filter((t) => e.fold.used.includes(t.k))
      .map((t) => [e.fold.ridgePx + t.k * e.fold.pitchPx, (t.left + t.right) / 2] as const),
  );
  const along = parabolaOf(
    places.map(([z]) => z),
    places.map(([, d]) => d),
  );
  if (!pu || !pl) return null;
  const half = (pu.half + pl.half) / 2;
  const zMiddle = (pu.middle + pl.middle) / 2;
  const common = (pu.q + pl.q) / 2;
  const apart = (pu.q - pl.q) / 2;
  const sure = SIGMAS * hypot(pu.qSigma, pl.qSigma);
  const barrelPx = abs(common) > SEEN_PX && abs(common) > sure ? common : 0;
  const bentPx = abs(apart) > SEEN_PX && abs(apart) > sure ? apart : 0;
  const major = up.fold.crest + low.fold.crest;
  let perspectivePx = 0;
  let leadGrows = 0;
  if (barrelPx === 0 && seen(along)) {
    // places run off as p z2; the diameter then grows by p of itself
    const p = along.q / along.half ** 2;
    const growth = Math.tan(((low.laid.deg - up.laid.deg) * Math.PI) / 180) / major;
    if (abs(growth - p) <= TOGETHER * abs(p)) perspectivePx = along.q;
    else leadGrows = (4 * along.q) / along.half;
  }
  if (barrelPx === 0 && bentPx === 0 && perspectivePx === 0 && leadGrows === 0) return null;
  const p = along ? perspectivePx / along.half ** 2 : 0;
  const k = barrelPx / ((major / 2) * half ** 2);
  // across the part, where its axis lies in the middle of what is seen
  const axisAcross = (low.fold.crest - up.fold.crest) / 2;
  return {
    barrelPx,
    bentPx,
    perspectivePx,
    leadGrows,
    tooMuch: max(abs(barrelPx), abs(bentPx), abs(perspectivePx)) > MOST * 2 * half,
    map: (x, y) => {
      const [dx, dy] = [x - w / 2, y - h / 2];
      const f = 1 / (1 + k * min(4 * half * half, dx * dx + dy * dy));
      const [x1, y1] = [w / 2 + dx * f, h / 2 + dy * f];
      const z = x1 * c + y1 * s - zMiddle;
      const v = -x1 * s + y1 * c + bentPx * (z / half) ** 2 - axisAcross;
      const g = 1 / (1 + p * z);
      const [z2, v2] = [z * g + zMiddle, v * g + axisAcross];
      return [z2 * c - v2 * s, z2 * s + v2 * c];
    },
  };
}
