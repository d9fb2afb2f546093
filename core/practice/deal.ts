import { dice } from '../sizing/random.ts';

/** Deals a round from its number: the same number deals the same. */
export interface Deal {
  readonly chance: (p: number) => boolean;
  readonly between: (from: number, to: number) => number;
  readonly whole: (from: number, to: number) => number;
  readonly of: <T>(list: readonly T[]) => T;
  readonly shuffled: <T>(list: readonly T[]) => T[];
  readonly normal: () => number;
}

/**
 * Cards dealt from a seed: the same again from the same.
 * @example deal(1).between(2, 3) >= 2 // true
 */
export function deal(seed: number): Deal {
  const { uniform, normal } = dice(seed);
  const whole = (from: number, to: number): number => from + Math.floor(uniform() * (to - from + 1));
  return {
    chance: (p) => uniform() < p,
    between: (from, to) => from + uniform() * (to - from),
    whole,
    of: (list) => {
      const one = list[whole(0, list.length - 1)];
      if (one === undefined) throw new RangeError('nothing to deal from');
      return one;
    },
    shuffled: (list) => {
      const all = [...list];
      for (let i = all.length - 1; i > 0; i -= 1) {
        const j = whole(0, i);
        const [a, b] = [all[i], all[j]];
        if (a !== undefined && b !== undefined) [all[i], all[j]] = [b, a];
      }
      return all;
    },
    normal,
  };
}
