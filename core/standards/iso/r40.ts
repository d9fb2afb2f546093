/** The R40 series of preferred numbers, one decade, as ISO 3 prints it. */
const R40 = [
  1, 1.06, 1.12, 1.18, 1.25, 1.32, 1.4, 1.5, 1.6, 1.7, 1.8, 1.9, 2, 2.12, 2.24, 2.36, 2.5, 2.65, 2.8, 3, 3.15, 3.35,
  3.55, 3.75, 4, 4.25, 4.5, 4.75, 5, 5.3, 5.6, 6, 6.3, 6.7, 7.1, 7.5, 8, 8.5, 9, 9.5,
];

const valueAt = (index: number): number => {
  const decade = Math.floor(index / 40);
  return Number(((R40[index - decade * 40] ?? 1) * 10 ** decade).toPrecision(6));
};

/** Index of the member of the series nearest a value, by ratio. */
const r40Index = (x: number): number => {
  const guess = Math.round(40 * Math.log10(x));
  const near = [guess - 1, guess, guess + 1];
  return near.reduce(
    (best, i) => (Math.abs(Math.log(valueAt(i) / x)) < Math.abs(Math.log(valueAt(best) / x)) ? i : best),
    guess,
  );
};

/**
 * The series value `steps` places from a value: four places a tolerance grade. Whole micrometres, as printed.
 * @example r40Step(132, 4) // 170; one grade on
 */
export const r40Step = (x: number, steps: number): number => {
  const v = valueAt(r40Index(x) + steps);
  return Math.round(v);
};
