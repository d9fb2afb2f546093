import { bad, good, type Outcome } from '../quantity/outcome.ts';

/** How work or a boring bar is held: by one end, by chuck and centre, between centres; a bar by its holder. */
export const SUPPORTS = ['chuck', 'chuck-centre', 'centres', 'bar'] as const;
/** One of SUPPORTS. */
export type Support = (typeof SUPPORTS)[number];

/** What bends: how it is held, how long and thick it is, and of what. */
export interface BendRequest {
  readonly support: Support;
  /** Free length, mm: places are counted from the chuck or the holder; between centres from either end. */
  readonly lengthMm: number;
  readonly diameterMm: number;
  /** Of a hollow bar; 0 when solid. */
  readonly boreMm: number;
  /** Modulus of elasticity, GPa. */
  readonly youngGPa: number;
  /** Square to the axis, N. */
  readonly forceN: number;
  readonly atMm: readonly number[];
  /** A steady that holds both ways and does not give; null: none. */
  readonly steadyAtMm: number | null;
}

/**
 * Second moment of area of a round bar, mm^4: pi (D^4 - bore^4) / 64.
 * @example secondMomentMm4(10, 0) // 490.87; pi d^4 / 64
 */
export const secondMomentMm4 = (diameterMm: number, boreMm: number): number =>
  (Math.PI * (diameterMm ** 4 - boreMm ** 4)) / 64;

/** Bend at x of a bar clamped at 0 under 1 at a, times EI: the integral of the moment, taken twice. */
const clamped = (x: number, a: number): number => (x <= a ? (x * x * (3 * a - x)) / 6 : (a * a * (3 * x - a)) / 6);

/**
 * Bend at x under 1 at a, times EI, mm^3.
 * @see the beam tables of the handbooks: at the load a^3/3 clamped, a^3 b^2 (3L + b)/(12 L^3) with the far end on a centre,
 * a^2 b^2/(3L) between centres; b = L - a
 */
function influence(support: Support, lengthMm: number, x: number, a: number): number {
  switch (support) {
    case 'chuck':
    case 'bar':
      return clamped(x, a);
    case 'chuck-centre': {
      // the centre pushes back by as much as keeps that end still
      const push = clamped(lengthMm, a) / clamped(lengthMm, lengthMm);
      return clamped(x, a) - push * clamped(x, lengthMm);
    }
    case 'centres': {
      const [near, load] = x <= a ? [x, a] : [lengthMm - x, lengthMm - a];
      const beyond = lengthMm - load;
      return (beyond * near * (lengthMm * lengthMm - beyond * beyond - near * near)) / (6 * lengthMm);
    }
  }
}

/**
 * How far the work (or the bar) gives way at the load, the load at each place in turn, mm. With a steady the reaction that
 * keeps its place still is taken off again.
 * @returns refused: a place off the work, a steady where none can stand, a bore as wide as the bar, figures not above zero
 * @example value(bendOf({ support: 'chuck', lengthMm: 100, diameterMm: 20, boreMm: 0, youngGPa: 206, forceN: 100, atMm: [100], steadyAtMm: null }))[0] // 0.0206; F L^3 / (3 E I)
 */
export function bendOf(q: BendRequest): Outcome<readonly number[]> {
  for (const [field, value] of Object.entries({
    lengthMm: q.lengthMm,
    diameterMm: q.diameterMm,
    youngGPa: q.youngGPa,
    forceN: q.forceN,
  }))
    if (!(value > 0)) return bad(field, 'not-above-zero', { right: '200' });
  if (!(q.boreMm >= 0 && q.boreMm < q.diameterMm)) return bad('boreMm', 'bore-in-bar', { diameterMm: q.diameterMm });
  const off = q.atMm.findIndex((a) => !(a >= 0 && a <= q.lengthMm));
  if (off >= 0) return bad(`atMm.${off}`, 'place-off-work', { lengthMm: q.lengthMm });
  const { steadyAtMm: s, support, lengthMm } = q;
  if (s !== null) {
    if (support === 'bar') return bad('steadyAtMm', 'no-steady-on-bar');
    if (!(s > 0 && (support === 'chuck' ? s <= lengthMm : s < lengthMm)))
      return bad('steadyAtMm', 'place-off-work', { lengthMm });
  }
  const stiffness = 1000 * q.youngGPa * secondMomentMm4(q.diameterMm, q.boreMm);
  const at = (x: number, a: number): number => influence(support, lengthMm, x, a);
  return good(
    q.atMm.map((a) => {
      const held = s === null ? 0 : (at(s, a) / at(s, s)) * at(a, s);
      return Math.max(0, (q.forceN * (at(a, a) - held)) / stiffness);
    }),
  );
}
