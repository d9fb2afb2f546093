import { bendOf, secondMomentMm4, type Support } from './bend.ts';

/** How work is held while it is threaded. */
export const HOLDINGS = ['chuck', 'chuck-centre', 'centres', 'collet', 'faceplate'] as const;
/** One of HOLDINGS. */
export type Holding = (typeof HOLDINGS)[number];
/** What steadies the work besides what holds it. */
export const RESTS = ['none', 'steady', 'follow'] as const;
/** One of RESTS. */
export type Rest = (typeof RESTS)[number];

/** How the work is held and what of it stands free. */
export interface Held {
  readonly by: Holding;
  /** Length that stands free, from the jaws (or between the centres), mm. */
  readonly freeMm: number;
  readonly diameterMm: number;
  readonly boreMm: number;
  readonly youngGPa: number;
  readonly rest: Rest;
  /** From the jaws; null where there is no steady. */
  readonly steadyAtMm: number | null;
}

/** Centre, quill or rest of a small lathe gives way by 1/20 kN/mm: 10 to 30 are met. Common practice, no source. */
const SUPPORT_N_MM = 20_000;

const beamOf = (h: Held): Support => (h.by === 'chuck-centre' || h.by === 'centres' ? h.by : 'chuck');

/**
 * How far the work gives way at a place for 1 N there, mm/N: the beam between its supports, and the supports themselves by
 * their share of the load. A follow rest goes with the tool: what is left is its own.
 * @param atMm from the jaws
 * @see the beam by core/cutting/bend; supports in series with it: (y/l)^2/kA + (x/l)^2/kB
 * @example complianceMmPerN({ by: 'chuck', rest: 'follow', freeMm: 100, diameterMm: 20, boreMm: 0 }, 50) // 0.00005; the rest's own, 20 kN/mm
 */
export function complianceMmPerN(h: Held, atMm: number): number {
  if (h.rest === 'follow') return 1 / SUPPORT_N_MM;
  const beam = bendOf({
    support: beamOf(h),
    lengthMm: h.freeMm,
    diameterMm: h.diameterMm,
    boreMm: h.boreMm,
    youngGPa: h.youngGPa,
    forceN: 1,
    atMm: [atMm],
    steadyAtMm: h.rest === 'steady' ? h.steadyAtMm : null,
  });
  if (!beam.ok) throw new RangeError(`holding: ${beam.problem.code}`);
  const far = atMm / h.freeMm;
  const ends =
    h.by === 'chuck-centre' || h.by === 'centres' ? ((1 - far) ** 2 + far ** 2) / SUPPORT_N_MM : 1 / SUPPORT_N_MM;
  return (beam.value[0] ?? 0) + ends;
}

/** Places along the free length, mm, as many as a curve needs. */
const PLACES = 40;
/**
 * Places along the free length at which a deflection is worked out, mm from where it is held.
 * @example placesAlong(0, 40).length // 41
 */
export const placesAlong = (fromMm: number, toMm: number): readonly number[] =>
  // worked out, the last may come out a hair beyond the end, where there is no work
  Array.from({ length: PLACES + 1 }, (_, i) =>
    i === PLACES ? toMm : Math.min(toMm, fromMm + ((toMm - fromMm) * i) / PLACES),
  );

/** Where a steady helps most: the middle of chuck and centre is softest a little beyond half way. Common practice, no source. */
const STEADY_SHARE = 0.52;
/**
 * Where a steady helps most, mm from the chuck.
 * @example steadyPlaceMm(100) // 52
 */
export const steadyPlaceMm = (freeMm: number): number => STEADY_SHARE * freeMm;

/** A boring bar as it is held. */
export interface Bar {
  /** Diameter of its neck, where it bends. */
  readonly neckMm: number;
  /** From the holder to the tip. */
  readonly overhangMm: number;
  readonly of: 'steel' | 'carbide';
}
/** Moduli of bars, GPa. From memory. */
const BAR_GPA = { steel: 207, carbide: 575 } as const;
/** A real holder leaves a half to two thirds of a bar's stiffness. Common practice, no source. */
const HOLDER_SHARE = 0.6;
/** Longest overhang over the neck's diameter that is still quiet. Common practice, no source. */
export const QUIET_OVERHANG = { steel: 4, carbide: 6 } as const;

/**
 * How far the bar's tip gives way for 1 N, mm/N. @see L^3/(3 E I) of a bar clamped at one end; the holder's share, common practice
 * @example barComplianceMmPerN({ neckMm: 10, overhangMm: 50, of: 'steel' }) // 0.000683; L^3 / (3 E I), over the 0.6 that a holder leaves
 */
export function barComplianceMmPerN(b: Bar): number {
  const stiffness = (3 * 1000 * BAR_GPA[b.of] * secondMomentMm4(b.neckMm, 0)) / b.overhangMm ** 3;
  return 1 / (HOLDER_SHARE * stiffness);
}

/** Room that a bar leaves behind itself at full depth, mm on diameter: how thick its neck may be. */
const BEHIND_MM = 0.6;
/**
 * Thickest neck that still comes out of its own groove, mm. @see shank <= bore - travel - 2c - c', common practice
 * @example thickestNeckMm(24, 3) // 20.4
 */
export const thickestNeckMm = (boreMm: number, depthMm: number): number => boreMm - depthMm - BEHIND_MM;
