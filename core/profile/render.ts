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
  /** Specks on glass and part. */
  readonly dust?: number;
  /** A plain pin that lies beside it: its middle from the picture's own, mm, and how it is turned. */
  readonly pin?: {
    readonly diameterMm: number;
    readonly atMm: readonly [number, number];
    readonly longMm: number;
    readonly turnDeg: number;
  };
  /** Turned to the lead angle, as on a projector: the light goes along the groove, and the edge is the section itself. */
  readonly alongGroove?: boolean;
  /** Its lower edge is hidden behind something plain. */
  readonly plainBelow?: boolean;
}

/** Turns about the axis that the silhouette is sought over; a fast thread needs them. */
const TURNS = 64;

/**
 * The silhouette of the helicoid as a lamp far away throws it: at each place the greatest height over the turn about the axis
 * of r(z - lead psi / 2 pi) cos psi. Parallel light. @returns heights above and below the axis, mm, at each place
 */
function silhouette(
  s: Solid,
  z: Float64Array,
  { alongGroove = false }: Shot,
): { readonly up: Float64Array; readonly down: Float64Array } {
  const up = new Float64Array(z.length);
  const down = new Float64Array(z.length);
  const c = s.leadMm / (2 * PI);
  for (let i = 0; i < z.length; i += 1) {
    let [u, d] = [0, 0];
    if (alongGroove) {
      up[i] = s.radiusAt(z[i] ?? 0);
      down[i] = s.radiusAt((z[i] ?? 0) + s.leadMm / 2);
      continue;
    }
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

/**
 * Normal noise from a number, the same each time.
 * @example noiseOf(1)() === noiseOf(1)() // true; a seed gives the same again
 */
export function noiseOf(seed: number): () => number {
  let a = seed >>> 0;
  const uniform = (): number => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = imul(a ^ (a >>> 15), a | 1);
    t ^= t + imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return () => sqrt(-2 * log(1 - uniform())) * cos(2 * PI * uniform());
}

/**
 * A picture of the solid, its axis through the middle. The edge is an area's share, blurred by the shot's own sigma.
 * @example [picture().w, picture().h] // [900, 620]
 */
export function pictureOf(s: Solid, shot: Shot): Grey {
  const { w, h, pxPerMm, rotationDeg, blurPx } = shot;
  const reach = hypot(w, h) / 2 + 4;
  const per = 4;
  const n = ceil(2 * reach * per);
  const z = Float64Array.from({ length: n }, (_, i) => (i / per - reach) / pxPerMm);
  const { up, down } = silhouette(s, z, shot);
  const [turnCos, turnSin] = [cos((rotationDeg * PI) / 180), sin((rotationDeg * PI) / 180)];
  const noise = noiseOf(shot.seed);
  const data = new Float32Array(w * h);
  const sigma = max(0.35, blurPx);
  const { pin } = shot;
  const [pinCos, pinSin] = pin ? [cos((pin.turnDeg * PI) / 180), sin((pin.turnDeg * PI) / 180)] : [1, 0];
  /** How far outside of the pin a place lies, px. */
  const pinOff = pin
    ? (dx: number, dy: number): number => {
        const [x, y] = [dx - pin.atMm[0] * pxPerMm, dy - pin.atMm[1] * pxPerMm];
        const [a, c] = [x * pinCos + y * pinSin, -x * pinSin + y * pinCos];
        return max(abs(a) - (pin.longMm / 2) * pxPerMm, abs(c) - (pin.diameterMm / 2) * pxPerMm);
      }
    : null;
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
      const hidden = shot.plainBelow === true && above < 0;
      const here = hidden ? (s.majorMm / 2) * pxPerMm : ((edge[i] ?? 0) * (1 - f) + (edge[i + 1] ?? 0) * f) * pxPerMm;
      const slope = hidden ? 0 : ((edge[i + 1] ?? 0) - (edge[i - 1] ?? 0)) * pxPerMm * (per / 2);
      // distance to the edge along its normal, so that steep flanks blur as flat ones do
      const own = (abs(above) - here) / hypot(1, slope);
      const off = pinOff ? min(own, pinOff(dx, dy)) : own;
      const light = lightOf(off, sigma);
      const level = 1 + shot.uneven * (dx / w + 0.5 * (dy / h));
      const grey = shot.scan ? 0.12 + 0.7 * (1 - light) * level : 0.1 + 0.75 * light * level;
      data[y * w + x] = max(0, min(1, grey + shot.noise * noise()));
    }
  const speck = noiseOf(shot.seed + 77);
  for (let k = 0; k < (shot.dust ?? 0); k += 1) {
    const [cx, cy] = [((speck() * 0.3 + 0.5) % 1) * w, ((speck() * 0.35 + 0.5) % 1) * h];
    const r = (0.0008 + abs(speck()) * 0.0007) * w;
    for (let y = max(0, floor(cy - r)); y < min(h, cy + r); y += 1)
      for (let x = max(0, floor(cx - r)); x < min(w, cx + r); x += 1)
        if (hypot(x - cx, y - cy) < r) data[y * w + x] = (data[y * w + x] ?? 0) * 0.55 + 0.15;
  }
  return { w, h, data };
}

/**
 * Share of the light that comes past an edge so far away, blurred by a normal law.
 * @example [lightOf(-9, 1), lightOf(9, 1)] // [0, 1]
 */
export const lightOf = (off: number, sigma: number): number => 0.5 * (1 + erf(off / (max(0.35, sigma) * SQRT2)));

/** @see Abramowitz and Stegun, Handbook of Mathematical Functions, 7.1.26: good to 1.5e-7 */
function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * abs(x));
  const y =
    1 - ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * exp(-x * x);
  return x < 0 ? -y : y;
}
