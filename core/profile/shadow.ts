import { normalCdf } from '../numeric/normal.ts';

// in the innermost loops a look-up of the global would take longer than the sum
const { PI, acos, cos, exp, floor, hypot, max, min } = Math;

/** One ridge of a thread as its axial section, from groove to groove: the radius at each share of the pitch, the ridge's middle at half. */
export interface Section {
  readonly pitch: number;
  readonly lead: number;
  /** Radius at the middle of each of so many equal shares of the pitch. Any one unit of length. */
  readonly radius: Float64Array;
}
/**
 * Sigma that a found edge is softened by: the picture's own, and the one of finding it.
 * @example softness(0.75) // 1.25
 */
export const softness = (blurPx: number): number => hypot(1, blurPx);
/** Columns that a pitch is drawn in. */
const COLUMNS = 160;
/** Turns about the axis that are looked at, to either side. */
const TURNS = 90;
/** Taps of the blur, to either side, four to a sigma. */
const TAPS = 12;

/**
 * A section by its radius at each place, the ridge's middle at 0.
 * @example [...sectionBy(2, 2, (z) => 10 - Math.abs(z), 4).radius] // [9.25, 9.75, 9.75, 9.25]
 */
export function sectionBy(pitch: number, lead: number, radiusAt: (z: number) => number, samples = 720): Section {
  return {
    pitch,
    lead,
    radius: Float64Array.from({ length: samples }, (_, i) => radiusAt(((i + 0.5) / samples - 0.5) * pitch)),
  };
}

/** What a section throws: height of its edge over the axis at each place of one pitch. */
export interface Shadow {
  /** At a place from the ridge's middle, any pitch. */
  readonly at: (u: number) => number;
  /** How steep it is there. */
  readonly slopeAt: (u: number) => number;
}

/**
 * The shadow of a helicoid under parallel light: at each place the greatest height over the turn psi about the axis of
 * r(z - lead psi / 2 pi) cos psi; then, where the picture is soft, the line along which half of the light is gone.
 * @param sigma of the blur, in the section's unit; 0: sharp
 * @example shadowOf(sectionBy(2, 0.001, (z) => 10 - Math.abs(z)), 0.0001).at(0.5) // 9.500; with no lead the shadow is the section
 */
export function shadowOf(s: Section, sigma: number): Shadow {
  const { pitch, radius } = s;
  const n = radius.length;
  const c = s.lead / (2 * PI);
  let [low, high] = [Infinity, 0];
  for (const r of radius) [low, high] = [min(low, r), max(high, r)];
  // beyond this turn not even the crest reaches over the root
  const reach = min(PI / 2, acos(max(0, min(1, low / high))) * 1.05 + 1e-3);
  const sharp = new Float64Array(COLUMNS);
  const step = n / pitch;
  const shares = Float64Array.from({ length: 2 * TURNS + 1 }, (_, k) => ((k - TURNS) / TURNS) * reach);
  const flats = Float64Array.from(shares, (psi) => cos(psi));
  for (let i = 0; i < COLUMNS; i += 1) {
    const z = ((i + 0.5) / COLUMNS) * n;
    let most = 0;
    for (let k = 0; k < shares.length; k += 1) {
      const at = z + c * (shares[k] ?? 0) * step - 0.5;
      const whole = floor(at);
      const f = at - whole;
      const a = ((whole % n) + n) % n;
      const b = a + 1 === n ? 0 : a + 1;
      const r = ((radius[a] ?? 0) * (1 - f) + (radius[b] ?? 0) * f) * (flats[k] ?? 0);
      if (r > most) most = r;
    }
    sharp[i] = most;
  }
  const seen = sigma > 0 ? softened(sharp, pitch, sigma) : sharp;
  const at = (u: number): number => between(seen, u / pitch + 0.5);
  const d = pitch / COLUMNS;
  return { at, slopeAt: (u) => (at(u + d) - at(u - d)) / (2 * d) };
}

/** Interpolated in a list that goes round. @param turns whole ones do not count */
function between(list: Float64Array, turns: number): number {
  const n = list.length;
  const x = (turns - floor(turns)) * n - 0.5;
  const i = floor(x);
  const a = list[((i % n) + n) % n] ?? 0;
  const b = list[(((i + 1) % n) + n) % n] ?? 0;
  return a + (b - a) * (x - i);
}

/** How closely the line of half light is found, of the heights that it lies between; and steps after which it is close enough in any case. */
const CLOSE = 4e-6;
const MOST_ROUNDS = 24;
const ROOT_TAU = Math.sqrt(2 * PI);

/** The line of half light of an edge blurred by a normal law: the share along the axis by taps, across it exactly. */
function softened(edge: Float64Array, pitch: number, sigma: number): Float64Array {
  const weights = Float64Array.from({ length: 2 * TAPS + 1 }, (_, k) => exp(-0.5 * ((k - TAPS) / 4) ** 2));
  const all = weights.reduce((a, b) => a + b, 0);
  const offs = weights.map((_, k) => (((k - TAPS) / 4) * sigma) / pitch);
  const heights = new Float64Array(weights.length);
  return edge.map((_, i) => {
    let [low, high] = [Infinity, -Infinity];
    for (let k = 0; k < heights.length; k += 1) {
      const h = between(edge, (i + 0.5) / COLUMNS + (offs[k] ?? 0));
      heights[k] = h;
      low = min(low, h);
      high = max(high, h);
    }
    if (high - low < 1e-9) return high;
    // Newton's steps from the middle, halving where one would leave the bracket: four or five where halving alone takes eighteen
    const close = CLOSE * (high - low);
    let y = (low + high) / 2;
    for (let round = 0; round < MOST_ROUNDS && high - low > close; round += 1) {
      let [dark, falls] = [-all / 2, 0];
      for (let k = 0; k < heights.length; k += 1) {
        const t = ((heights[k] ?? 0) - y) / sigma;
        dark += (weights[k] ?? 0) * normalCdf(t);
        falls += (weights[k] ?? 0) * exp(-0.5 * t * t);
      }
      if (dark > 0) low = y;
      else high = y;
      const next = y + (dark * sigma * ROOT_TAU) / falls;
      const inside = next > low && next < high;
      if (inside && Math.abs(next - y) < close) return next;
      y = inside ? next : (low + high) / 2;
    }
    return y;
  });
}

/** Points of a folded edge: from the ridge's middle, and height over the axis. */
export interface Points {
  readonly u: Float64Array;
  readonly h: Float64Array;
}

/** How far the points lie off a shadow, square to it, once it is slid along to where it lies best. */
export interface Laid {
  readonly shift: number;
  /** Each point's distance, + outside. */
  readonly off: Float64Array;
  /** Root mean square of all but the farthest twentieth. */
  readonly rms: number;
}
const SLIDES = 4;

/**
 * A shadow laid on the points of an edge as well as it goes: how it is shifted, and what is left over; px.
 * @example laidOn({ u: Float64Array.from([-0.5, -0.3, 0.3, 0.5]), h: Float64Array.from([9.5, 9.7, 9.7, 9.5]) }, shadowOf(sectionBy(2, 0.001, (z) => 10 - Math.abs(z)), 0.0001)).rms // 0.000
 */
export function laidOn(points: Points, s: Shadow): Laid {
  const n = points.u.length;
  let shift = 0;
  const off = new Float64Array(n);
  const measure = (): void => {
    for (let i = 0; i < n; i += 1) {
      const u = (points.u[i] ?? 0) - shift;
      off[i] = ((points.h[i] ?? 0) - s.at(u)) / hypot(1, s.slopeAt(u));
    }
  };
  for (let round = 0; round < SLIDES; round += 1) {
    let [num, den] = [0, 0];
    for (let i = 0; i < n; i += 1) {
      const u = (points.u[i] ?? 0) - shift;
      const m = s.slopeAt(u);
      const w = 1 / (1 + m * m);
      num -= w * m * ((points.h[i] ?? 0) - s.at(u));
      den += w * m * m;
    }
    if (!(den > 0)) break;
    shift += num / den;
  }
  measure();
  return { shift, off, rms: rms(Array.from(off)) };
}

/**
 * Root mean square of all but the farthest twentieth.
 * @example rms([3, 3, 3, 3]) // 3
 */
export function rms(list: readonly number[]): number {
  const squares = Float64Array.from(list, (v) => v * v).sort();
  const near = squares.subarray(0, max(1, floor(squares.length * 0.95)));
  return Math.sqrt(near.reduce((a, b) => a + b, 0) / max(1, near.length));
}
