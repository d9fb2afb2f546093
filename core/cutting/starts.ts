import { lcm, type Rational } from '../quantity/rational.ts';

/**
 * The next start by turning the spindle: teeth of the gear on it, or null where they do not come out whole. @see z x turns / n
 * @example teethToNextStart(40, exact(1), 2) // 20; half of the gear
 */
export function teethToNextStart(teeth: number, turnsPerSpindleTurn: Rational, starts: number): number | null {
  const move = turnsPerSpindleTurn.mul(teeth).div(starts);
  return move.d === 1n ? Number(move.n) : null;
}

/**
 * The next start by shutting the half-nuts elsewhere: so many threads of the leadscrew further on, or null where no place
 * gives it. Reachable if and only if (L/n) / gcd(leadscrew pitch, L) is whole. @see congruence m p = L/n (mod L)
 * @example threadsToNextStart(exact(6), exact(12), 2) // 1; half a lead is one of its threads
 */
export function threadsToNextStart(leadscrew: Rational, lead: Rational, starts: number): number | null {
  const step = lead.div(starts);
  // gcd of two rationals: their product over their least common multiple
  const gcd = leadscrew.mul(lead).div(lcm(leadscrew, lead));
  if (step.div(gcd).d !== 1n) return null;
  const repeat = Number(lead.div(gcd).n);
  for (let m = 1; m < repeat; m += 1) if (leadscrew.mul(m).sub(step).div(lead).d === 1n) return m;
  return null;
}

/**
 * A start that is off by so much along the axis makes a true nut feel the screw so much larger, on pitch diameter. @see p cot a
 * @example feelsLargerMm(0.1, 30) // 0.173
 */
export const feelsLargerMm = (offMm: number, halfAngleDeg: number): number =>
  offMm / Math.tan((halfAngleDeg * Math.PI) / 180);
