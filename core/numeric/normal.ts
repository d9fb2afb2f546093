// asked for by the thousand: a look-up of the global Math each time would cost more than the figures
const { SQRT1_2, abs, exp, trunc } = Math;

/** Coefficients of Cody's rational approximations, as printed, for |x| to 0.46875, to 4, and beyond. */
const A = [3.1611237438705656, 113.864154151050156, 377.485237685302021, 3209.37758913846947, 0.185777706184603153];
const B = [23.6012909523441209, 244.024637934444173, 1282.61652607737228, 2844.23683343917062];
const C = [
  0.564188496988670089, 8.88314979438837594, 66.1191906371416295, 298.635138197400131, 881.95222124176909,
  1712.04761263407058, 2051.07837782607147, 1230.33935479799725, 2.15311535474403846e-8,
];
const D = [
  15.7449261107098347, 117.693950891312499, 537.181101862009858, 1621.38957456669019, 3290.79923573345963,
  4362.61909014324716, 3439.36767414372164, 1230.33935480374942,
];
const P = [
  0.305326634961232344, 0.360344899949804439, 0.125781726111229246, 0.0160837851487422766, 6.58749161529837803e-4,
  0.0163153871373020978,
];
const Q = [
  2.56852019228982242, 1.87295284992346725, 0.527905102951428412, 0.0605183413124413191, 2.33520497626869185e-3,
];
const ONE_BY_ROOT_PI = 0.56418958354775628695;

/** (…((last x + a0) x + a1) x …) + a(n-1), over (…((x + b0) x + b1) x …) + b(n-1). */
function ratio(a: readonly number[], b: readonly number[], x: number): number {
  const n = b.length;
  let above = (a[n] ?? 0) * x;
  let below = x;
  for (let i = 0; i < n - 1; i += 1) {
    above = (above + (a[i] ?? 0)) * x;
    below = (below + (b[i] ?? 0)) * x;
  }
  return (above + (a[n - 1] ?? 0)) / (below + (b[n - 1] ?? 0));
}

/**
 * Complementary error function of x at or above 0, to the last two digits of a double.
 * @see W. J. Cody, Rational Chebyshev approximations for the error function, Math. Comp. 23 (1969), 631-637
 */
function erfc(x: number): number {
  if (x <= 0.46875) return 1 - x * ratio(A, B, x * x);
  // below the least double
  if (x > 26.6) return 0;
  const r = x <= 4 ? ratio(C, D, x) : (ONE_BY_ROOT_PI - ratio(P, Q, 1 / (x * x)) / (x * x)) / x;
  // the square in two parts, so that no digit of it is lost before the exponential
  const s = trunc(x * 16) / 16;
  return exp(-s * s) * exp(-(x - s) * (x + s)) * r;
}

/**
 * Standard normal distribution function.
 * @example [normalCdf(0), normalCdf(1), normalCdf(-1.96)] // [0.500000000000, 0.841344746069, 0.024997895148]
 */
export function normalCdf(z: number): number {
  const tail = 0.5 * erfc(abs(z) * SQRT1_2);
  return z >= 0 ? 1 - tail : tail;
}
