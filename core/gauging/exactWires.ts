import { radians } from '../quantity/units.ts';
import { overWiresMm, type Groove } from './wires.ts';

// The exact answer to "where does a straight wire come to rest in a helical groove": a cylinder pressed towards the axis,
// free to tilt. For equal flanks the groove looks the same turned half round about the radius through its middle, so one
// flank is enough: the wire's axis passes through (rho, 0, 0) at a tilt, and its distance from that flank must be w/2.

/** Distance squared from a point of the flank (radius r, angle t from the wire) to the wire's axis. */
function distanceSquared(
  r: number,
  t: number,
  rho: number,
  tilt: number,
  flank: (r: number) => number,
  leadPerRad: number,
): number {
  const x = r * Math.cos(t) - rho;
  const y = r * Math.sin(t);
  const z = flank(r) + leadPerRad * t;
  const along = y * Math.cos(tilt) + z * Math.sin(tilt);
  return x * x + y * y + z * z - along * along;
}

/** Step of the finite differences: of radius (mm) and of angle (scaled by the radius), far above rounding, far below the wire. */
const STEP = 1e-4;
const NEWTON_ROUNDS = 25;

/** Least distance from the flank to the wire's axis, by Newton's method on the two surface parameters, from the pitch line. */
function leastDistance(
  rho: number,
  tilt: number,
  r2: number,
  flank: (r: number) => number,
  leadPerRad: number,
): number {
  let r = r2;
  let t = 0;
  const h = STEP;
  const k = STEP / r2;
  const f = (a: number, b: number): number => distanceSquared(a, b, rho, tilt, flank, leadPerRad);
  for (let i = 0; i < NEWTON_ROUNDS; i += 1) {
    const f0 = f(r, t);
    const [fr1, fr0, ft1, ft0] = [f(r + h, t), f(r - h, t), f(r, t + k), f(r, t - k)];
    const gr = (fr1 - fr0) / (2 * h);
    const gt = (ft1 - ft0) / (2 * k);
    const hrr = (fr1 - 2 * f0 + fr0) / (h * h);
    const htt = (ft1 - 2 * f0 + ft0) / (k * k);
    const hrt = (f(r + h, t + k) - f(r + h, t - k) - f(r - h, t + k) + f(r - h, t - k)) / (4 * h * k);
    const det = hrr * htt - hrt * hrt;
    if (!(det > 0)) break;
    const dr = (-gr * htt + gt * hrt) / det;
    const dt = (-gt * hrr + gr * hrt) / det;
    r += dr;
    t += dt;
    if (Math.abs(dr) < 1e-9 && Math.abs(dt) * r2 < 1e-9) break;
  }
  return Math.sqrt(f(r, t));
}

const SECANT_ROUNDS = 12;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** The rest is flat about the deepest tilt: 16 rounds leave it within a nanometre. */
const GOLDEN_ROUNDS = 16;

/**
 * Measurement over three wires with the helix taken as it is, mm; null for unlike flanks, which need a second contact
 * condition. The wire may tilt, and comes to rest where it lies deepest.
 * @example M10 (d2 9.026, wire 0.866): 1.7 um over the flat formula; Tr 40x7 with the best wire: 24 um
 * @see the construction is that of ASME B1.2's general case; solved numerically here
 */
export function overWiresExactMm(g: Groove, pitchDiameterMm: number, wireMm: number): number | null {
  if (g.leadingHalfAngleDeg !== g.trailingHalfAngleDeg || g.leadingHalfAngleDeg < 5) return null;
  const tan = Math.tan(radians(g.leadingHalfAngleDeg));
  const sin = Math.sin(radians(g.leadingHalfAngleDeg));
  const r2 = pitchDiameterMm / 2;
  const leadPerRad = (g.pitchMm * g.starts) / (2 * Math.PI);
  const flank = (r: number): number => g.pitchMm / 4 + (r - r2) * tan;
  const flat = r2 + wireMm / 2 / sin - g.pitchMm / 4 / tan;
  // the distance grows almost linearly with rho (slope sin a): the secant closes in a few steps
  const rest = (tilt: number): number => {
    let rho = flat;
    let miss = leastDistance(rho, tilt, r2, flank, leadPerRad) - wireMm / 2;
    let slope: number = sin;
    for (let i = 0; i < SECANT_ROUNDS && Math.abs(miss) > 1e-9; i += 1) {
      const next = rho - miss / slope;
      const missNext = leastDistance(next, tilt, r2, flank, leadPerRad) - wireMm / 2;
      const measured = (missNext - miss) / (next - rho);
      if (measured > 0.05) slope = measured;
      rho = next;
      miss = missNext;
    }
    return rho;
  };
  // the deepest tilt lies near the lead angle: golden section from nothing to twice that
  const lead = Math.atan(leadPerRad / r2);
  let [a, b] = [0, 2 * lead];
  let [c, d] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
  let [fc, fd] = [rest(c), rest(d)];
  for (let i = 0; i < GOLDEN_ROUNDS; i += 1) {
    if (fc < fd) {
      [b, d, fd] = [d, c, fc];
      c = b - GOLDEN * (b - a);
      fc = rest(c);
    } else {
      [a, c, fc] = [c, d, fd];
      d = a + GOLDEN * (b - a);
      fd = rest(d);
    }
  }
  return 2 * Math.min(fc, fd) + wireMm;
}

/** How much the exact M exceeds the textbook one, mm: nearly the same for any pitch diameter of one thread. Null: see above. */
export function exactBeyondTextbookMm(g: Groove, pitchDiameterMm: number, wireMm: number): number | null {
  const exact = overWiresExactMm(g, pitchDiameterMm, wireMm);
  return exact === null ? null : exact - overWiresMm(g, pitchDiameterMm, wireMm, 'textbook');
}
