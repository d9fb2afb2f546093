/** Repeatable numbers for a cloud of hypotheses: the same history gives the same answer. */
export interface Dice {
  readonly uniform: () => number;
  /** Normal, mean 0, standard deviation 1. */
  readonly normal: () => number;
  /** Goes on as this one would, and leaves it where it is. */
  readonly copy: () => Dice;
}

// thousands are drawn for every pass, and each look-up of the global would take longer than the draw
const { PI, cos, imul, log, sin, sqrt } = Math;

/**
 * @see mulberry32, a public-domain generator of 32 bits; Box and Muller's transform for the normal
 * @example dice(5).uniform() === dice(5).uniform() // true; a seed gives the same again
 */
export const dice = (seed: number): Dice => diceAt(seed >>> 0, null);

function diceAt(from: number, left: number | null): Dice {
  let a = from;
  const uniform = (): number => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = imul(t ^ (t >>> 15), t | 1);
    t ^= t + imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  let spare = left;
  const normal = (): number => {
    if (spare !== null) {
      const s = spare;
      spare = null;
      return s;
    }
    const r = sqrt(-2 * log(1 - uniform()));
    const t = 2 * PI * uniform();
    spare = r * sin(t);
    return r * cos(t);
  };
  return { uniform, normal, copy: () => diceAt(a, spare) };
}
