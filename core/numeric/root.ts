/** How a search ended: `bound` is the largest distance of the answer from the true one, in the unit of x. */
export interface Found {
  readonly x: number;
  /** The function there. */
  readonly value: number;
  readonly bound: number;
  readonly rounds: number;
  /** Within what was asked; false: the rounds ran out first, and the bound says how far it came. */
  readonly closed: boolean;
}

const MOST_ROUNDS = 100;

/**
 * The zero of a continuous function between two places where it has unlike signs: inverse quadratic steps where the three
 * last points lie on a curve that allows it, bisection where they do not, so that a flat zero costs no more than halving.
 * @param within the bracket is closed to this, in the unit of x
 * @returns null when the signs at the ends are alike: then nothing is known of a zero
 * @see T. R. Chandrupatla, Advances in Engineering Software 28 (1997), 145-149
 * @example bracketedRoot((x) => x * x - 2, 1, 2, 1e-9)?.x // 1.414214
 */
export function bracketedRoot(f: (x: number) => number, from: number, to: number, within: number): Found | null {
  let [a, b] = [to, from];
  let [fa, fb] = [f(a), f(b)];
  if (!(fa * fb <= 0)) return null;
  let t = 0.5;
  for (let rounds = 1; rounds <= MOST_ROUNDS; rounds += 1) {
    const [x, y] = Math.abs(fa) < Math.abs(fb) ? [a, fa] : [b, fb];
    const least = 2 * Number.EPSILON * Math.abs(x) + within / 2;
    if (y === 0) return { x, value: 0, bound: 0, rounds, closed: true };
    if (Math.abs(b - a) <= 2 * least) return { x, value: y, bound: Math.abs(b - a), rounds, closed: true };
    const share = least / Math.abs(b - a);
    const next = a + Math.min(1 - share, Math.max(share, t)) * (b - a);
    const fNext = f(next);
    let [c, fc] = [a, fa];
    if (Math.sign(fNext) !== Math.sign(fa)) {
      [c, fc] = [b, fb];
      [b, fb] = [a, fa];
    }
    [a, fa] = [next, fNext];
    const [xi, phi] = [(a - b) / (c - b), (fa - fb) / (fc - fb)];
    t =
      phi * phi < xi && (1 - phi) ** 2 < 1 - xi
        ? (fa / (fb - fa)) * (fc / (fb - fc)) + ((c - a) / (b - a)) * (fa / (fc - fa)) * (fb / (fc - fb))
        : 0.5;
  }
  return { x: a, value: fa, bound: Math.abs(b - a), rounds: MOST_ROUNDS, closed: false };
}

/** Where a bracket is sought: steps that double, until the sign turns. */
const MOST_DOUBLINGS = 12;

/**
 * A bracket about a guess, for a function that rises or falls through its zero; null when none is found within the doublings.
 * @example bracketAbout((x) => x - 1, 0, 0.5) !== null // true
 */
export function bracketAbout(f: (x: number) => number, guess: number, step: number): readonly [number, number] | null {
  const at = f(guess);
  if (at === 0) return [guess, guess];
  let [low, high] = [guess, guess];
  for (let i = 0, s = step; i < MOST_DOUBLINGS; i += 1, s *= 2) {
    high += s;
    if (f(high) * at <= 0) return [high - s, high];
    low -= s;
    if (f(low) * at <= 0) return [low, low + s];
  }
  return null;
}
