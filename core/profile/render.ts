import type { Grey } from './grey.ts';

// a picture has a million of these, and each look-up of the global would take longer than the sum
const { abs, ceil, cos, exp, floor, hypot, imul, log, max, min, sin, sqrt, PI, SQRT2 } = Math;

/** A thread as a solid: radius of its axial section at each place, and the lead by which it winds. */
export interface Solid {
  /** Radius at a place along the axis of the section that the camera's plane cuts, mm. */
  readonly radiusAt: (zMm: number) => number;
  readonly majorMm: number;
  readonly leadMm: number;
}

/** How a picture of it is taken. */
export interface Shot {
  readonly w: number;
  readonly h: number;
  readonly pxPerMm: number;
  /** The axis falls to the right by so much, degrees. */
  readonly rotationDeg: number;
  /** Sigma of the blur, px, and of the noise, of the whole range. */
  readonly blurPx: number;
  readonly noise: number;
  /** Bright part on a dark ground. */
  readonly scan: boolean;
  /** How uneven the light is: change over the picture, of the whole range. */
  readonly uneven: number;
  readonly seed: number;
}

/** Turns about the axis that the silhouette is sought over; a fast thread needs them. */
const TURNS = 64;

/**
 * The silhouette of the helicoid as a lamp far away throws it: at each place the greatest height over the turn about the axis
 * of r(z - lead psi / 2 pi) cos psi. Parallel light. @returns heights above and below the axis, mm, at each place
 */
function silhouette(s: Solid, z: Float64Array): { readonly up: Float64Array; readonly down: Float64Array } {
  const up = new Float64Array(z.length);
  const down = new Float64Array(z.length);
  const c = s.leadMm / (2 * PI);
  for (let i = 0; i < z.length; i += 1) {
    let [u, d] = [0, 0];
    for (let k = -TURNS; k <= TURNS; k += 1) {
      const psi = (k / TURNS) * (PI / 3);
      const flat = cos(psi);
      u = max(u, s.radiusAt((z[i] ?? 0) + c * psi) * flat);
      // half a turn on, half a lead on
      d = max(d, s.radiusAt((z[i] ?? 0) + c * (psi + PI)) * flat);
    }
    up[i] = u;
    down[i] = d;
  }
  return { up, down };
}

/** Normal noise from a number, the same each time. */
function noiseOf(seed: number): () => number {
  let a = seed >>> 0;
  const uniform = (): number => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = imul(a ^ (a >>> 15), a | 1);
    t ^= t + imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return () => sqrt(-2 * log(1 - uniform())) * cos(2 * PI * uniform());
}

/** A picture of the solid, its axis through the middle. The edge is an area's share, blurred by the shot's own sigma. */
export function pictureOf(s: Solid, shot: Shot): Grey {
  const { w, h, pxPerMm, rotationDeg, blurPx } = shot;
  const reach = hypot(w, h) / 2 + 4;
  const per = 4;
  const n = ceil(2 * reach * per);
  const z = Float64Array.from({ length: n }, (_, i) => (i / per - reach) / pxPerMm);
  const { up, down } = silhouette(s, z);
  const [turnCos, turnSin] = [cos((rotationDeg * PI) / 180), sin((rotationDeg * PI) / 180)];
  const noise = noiseOf(shot.seed);
  const data = new Float32Array(w * h);
  const sigma = max(0.35, blurPx);
  for (let y = 0; y < h; y += 1)
    for (let x = 0; x < w; x += 1) {
      const [dx, dy] = [x + 0.5 - w / 2, y + 0.5 - h / 2];
      const along = dx * turnCos + dy * turnSin;
      // above is up in the picture
      const above = -(dy * turnCos - dx * turnSin);
      const at = (along + reach) * per;
      const i = max(1, min(n - 3, floor(at)));
      const f = at - i;
      const edge = above >= 0 ? up : down;
      const here = ((edge[i] ?? 0) * (1 - f) + (edge[i + 1] ?? 0) * f) * pxPerMm;
      const slope = ((edge[i + 1] ?? 0) - (edge[i - 1] ?? 0)) * pxPerMm * (per / 2);
      // distance to the edge along its normal, so that steep flanks blur as flat ones do
      const off = (abs(above) - here) / hypot(1, slope);
      const light = 0.5 * (1 + erf(off / (sigma * SQRT2)));
      const level = 1 + shot.uneven * (dx / w + 0.5 * (dy / h));
      const grey = shot.scan ? 0.12 + 0.7 * (1 - light) * level : 0.1 + 0.75 * light * level;
      data[y * w + x] = max(0, min(1, grey + shot.noise * noise()));
    }
  return { w, h, data };
}

/** @see Abramowitz and Stegun, Handbook of Mathematical Functions, 7.1.26: good to 1.5e-7 */
function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * abs(x));
  const y =
    1 - ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * exp(-x * x);
  return x < 0 ? -y : y;
}
