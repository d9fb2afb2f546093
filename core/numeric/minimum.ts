import type { Found } from './root.ts';

const MOST_ROUNDS = 100;
/** Golden section: what is left of a bracket after one step. */
const GOLD = (3 - Math.sqrt(5)) / 2;

/**
 * The lowest place of a function between two limits, where it has one valley: parabolic steps kept within the bracket,
 * golden section where they do not shorten it.
 * @param within the bracket is closed to this, in the unit of x; below the root of the machine's precision it says nothing
 * @see R. P. Brent, Algorithms for Minimization without Derivatives, 1973, chapter 5 (localmin)
 * @example bracketedMinimum((x) => (x - 1) ** 2, 0, 3, 1e-6).x // 1.0000
 */
export function bracketedMinimum(f: (x: number) => number, from: number, to: number, within: number): Found {
  let [a, b] = [from, to];
  let x = a + GOLD * (b - a);
  let [w, v] = [x, x];
  let fx = f(x);
  let [fw, fv] = [fx, fx];
  let [d, e] = [0, 0];
  for (let rounds = 1; rounds <= MOST_ROUNDS; rounds += 1) {
    const middle = (a + b) / 2;
    const least = within / 4 + 1e-12 * Math.abs(x);
    if (Math.abs(x - middle) <= 2 * least - (b - a) / 2)
      return { x, value: fx, bound: Math.max(b - x, x - a), rounds, closed: true };
    let golden = true;
    if (Math.abs(e) > least) {
      const r = (x - w) * (fx - fv);
      let q = (x - v) * (fx - fw);
      let p = (x - v) * q - (x - w) * r;
      q = 2 * (q - r);
      if (q > 0) p = -p;
      q = Math.abs(q);
      const last = e;
      e = d;
      if (Math.abs(p) < Math.abs((q * last) / 2) && p > q * (a - x) && p < q * (b - x)) {
        d = p / q;
        golden = false;
        const u = x + d;
        if (u - a < 2 * least || b - u < 2 * least) d = x < middle ? least : -least;
      }
    }
    if (golden) {
      e = (x < middle ? b : a) - x;
      d = GOLD * e;
    }
    const u = x + (Math.abs(d) >= least ? d : Math.sign(d) * least);
    const fu = f(u);
    if (fu <= fx) {
      if (u < x) b = x;
      else a = x;
      [v, fv, w, fw, x, fx] = [w, fw, x, fx, u, fu];
    } else {
      if (u < x) a = u;
      else b = u;
      if (fu <= fw || w === x) [v, fv, w, fw] = [w, fw, u, fu];
      else if (fu <= fv || v === x || v === w) [v, fv] = [u, fu];
    }
  }
  return { x, value: fx, bound: Math.max(b - x, x - a), rounds: MOST_ROUNDS, closed: false };
}

const MOST_STEPS = 60;

/**
 * Limits about the valley that lies downhill from a place; null when it goes downhill as far as the steps reach.
 * @example valleyFrom((x) => (x - 1) ** 2, 0, 0.5) !== null // true
 */
export function valleyFrom(f: (x: number) => number, start: number, step: number): readonly [number, number] | null {
  const at = f(start);
  const forward = f(start + step);
  const back = f(start - step);
  if (forward >= at && back >= at) return [start - step, start + step];
  const s = forward < back ? step : -step;
  let [before, here, fHere] = [start, start + s, Math.min(forward, back)];
  for (let i = 0; i < MOST_STEPS; i += 1) {
    const next = here + s;
    const fNext = f(next);
    if (fNext >= fHere) return s > 0 ? [before, next] : [next, before];
    [before, here, fHere] = [here, next, fNext];
  }
  return null;
}
