import { isSquare } from '../form/flanks.ts';
import { passForce } from './force.ts';
import { heightAtSectionMm, sectionMm2, type ToolOutline } from './tip.ts';

/** How the depth is shared among passes: equal chips, equal depths, equal force, or one step of the dial. */
export const DEPTH_RULES = ['constant-area', 'constant-depth', 'constant-force', 'step'] as const;
/** One of DEPTH_RULES. */
export type DepthRule = (typeof DEPTH_RULES)[number];

/** What is to be shared among passes, and by which rule. */
export interface DepthRequest {
  /** Depth that is cut already, and the depth to end at, mm. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly rule: DepthRule;
  /** Passes to take; null: as many as a manual lathe takes calmly. */
  readonly passes: number | null;
  /** No pass takes more, or less, than this; null: no such limit. */
  readonly capMm: number | null;
  readonly floorMm: number | null;
  /** Rule "step": what every pass takes. */
  readonly stepMm: number | null;
  readonly tool: ToolOutline;
  /** Angle of the feed from the radial, for the rule of equal force. */
  readonly feedDeg: number;
}

const EPS = 1e-9;
const BISECTIONS = 60;
/** More passes than this are no plan. Common practice, no source. */
const MOST_PASSES = 500;
const FORCE_ROUNDS = 80;

/**
 * Number of passes that a manual lathe takes calmly in steel: the chip section grows with the size of the thread, 0.03 mm^2
 * for fine work, 0.04 h^2 more for a depth h. A 4 tpi Acme comes to about twenty, a 2 mm metric thread to fourteen. Common
 * practice, no source.
 * @example [calmPasses(0, 1.227, { ...equalFlanks(60), tip: { flatMm: 0.25 } }), calmPasses(0, 3.43, { ...equalFlanks(29), tip: { flatMm: 2.22 } })] // [14, 22]
 */
export function calmPasses(fromMm: number, toMm: number, tool: ToolOutline): number {
  const area = sectionMm2(tool, toMm) - sectionMm2(tool, fromMm);
  const fewest = fromMm === 0 ? 5 : 1;
  return Math.max(fewest, Math.min(60, Math.ceil(area / (0.03 + 0.04 * toMm * toMm) - EPS)));
}

/**
 * A cap or a step so small that it makes no plan, but thousands of passes; null: it makes one.
 * @returns how many it would be, and the least a pass that would do, mm, to the micron
 * @example tooManyPasses({ fromMm: 0, toMm: 1, rule: 'constant-area', capMm: 0.001, stepMm: null }) // { passes: 1000, leastMm: 0.002 }
 */
export function tooManyPasses(
  q: Pick<DepthRequest, 'fromMm' | 'toMm' | 'rule' | 'capMm' | 'stepMm'>,
): { readonly passes: number; readonly leastMm: number } | null {
  const left = q.toMm - q.fromMm;
  const most = Math.min(q.capMm ?? Infinity, q.rule === 'step' ? (q.stepMm ?? Infinity) : Infinity);
  const passes = Math.ceil(left / most - EPS);
  return passes > MOST_PASSES ? { passes, leastMm: Math.ceil((1000 * left) / MOST_PASSES) / 1000 } : null;
}

/**
 * Depths reached by the passes from one depth to another, mm, ascending, the last one exactly the end. The number of passes
 * is raised only where the cap makes it impossible, and lowered only where the floor does; a rest under the floor is one
 * pass. Where cap and floor contradict each other the cap holds: it is the one that keeps the part whole.
 * @throws RangeError where they are too many: who asks refuses that first, by `tooManyPasses`, with the field that is to blame
 * @example stepDepths({ fromMm: 0, toMm: 1, rule: 'constant-area', passes: 4, capMm: null, floorMm: null, stepMm: null, tool: { ...equalFlanks(60), tip: { flatMm: 0 } }, feedDeg: 0 }) // [0.5, 0.7071, 0.8660, 1]; as the roots of a quarter, a half, three quarters
 */
export function stepDepths(q: DepthRequest): number[] {
  const left = q.toMm - q.fromMm;
  if (!(left > EPS)) return [];
  const tooMany = tooManyPasses(q);
  if (tooMany) throw new RangeError(`${tooMany.passes} passes`);
  if (q.rule === 'step') return fixedSteps(q, left);
  let n = Math.min(MOST_PASSES, q.passes ?? calmPasses(q.fromMm, q.toMm, q.tool));
  if (q.floorMm !== null && q.floorMm > 0) n = Math.max(1, Math.min(n, Math.floor(left / q.floorMm + EPS)));
  if (q.capMm !== null) n = Math.max(n, Math.ceil(left / q.capMm - EPS));
  const even = (): number[] =>
    Array.from({ length: n }, (_, i) => (i === n - 1 ? q.toMm : q.fromMm + (left * (i + 1)) / n));
  // a square thread's chip is as wide in every pass: equal chips are equal steps
  if (q.rule === 'constant-depth' || (q.rule === 'constant-area' && isSquare(q.tool))) return even();
  const floor = q.floorMm === null ? 0 : Math.min(q.floorMm, left / n);
  const cap = q.capMm ?? Infinity;
  const stepFor =
    q.rule === 'constant-area'
      ? (load: number, d: number): number => heightAtSectionMm(q.tool, sectionMm2(q.tool, d) + load) - d
      : (load: number, d: number): number => stepOfForce(q.tool, q.feedDeg, load, d, left);
  if (q.rule === 'constant-area') {
    const [first, whole] = [sectionMm2(q.tool, q.fromMm), sectionMm2(q.tool, q.toMm)];
    const free = Array.from({ length: n }, (_, i) =>
      i === n - 1 ? q.toMm : heightAtSectionMm(q.tool, first + ((whole - first) * (i + 1)) / n),
    );
    const steps = free.map((d, i) => d - (free[i - 1] ?? q.fromMm));
    if (steps.every((s) => s <= cap + EPS && s >= floor - EPS)) return free;
  }
  const walk = (load: number): number[] => {
    const out: number[] = [];
    let d = q.fromMm;
    for (let i = 0; i < n; i += 1) {
      d += Math.min(cap, Math.max(floor, stepFor(load, d)));
      out.push(d);
    }
    return out;
  };
  let low = 0;
  let high =
    q.rule === 'constant-area'
      ? sectionMm2(q.tool, q.toMm) - sectionMm2(q.tool, q.fromMm)
      : passForce(q.tool, q.toMm, left, q.feedDeg);
  for (let i = 0; i < BISECTIONS && high - low > high * 1e-13; i += 1) {
    const mid = (low + high) / 2;
    if ((walk(mid).at(-1) ?? 0) < q.toMm) low = mid;
    else high = mid;
  }
  const out = walk(high);
  // floor and cap may end a hair off; never past the depth
  return out.map((d, i) => (i === out.length - 1 ? q.toMm : Math.min(d, q.toMm)));
}

/**
 * Infeed at which a pass needs this force, to 1e-11 mm. The force grows with the infeed by a power between about 0.8 (a wide tip) and 2 (a
 * sharp one from nothing), so the power is taken from the last two guesses, and every guess is kept between those known to
 * be too small and too large.
 */
function stepOfForce(tool: ToolOutline, feedDeg: number, load: number, from: number, most: number): number {
  if (!(load > 0)) return 0;
  let [low, high] = [0, most];
  let ap = most / 10;
  let before: { readonly ap: number; readonly force: number } | null = null;
  for (let i = 0; i < FORCE_ROUNDS; i += 1) {
    const force = passForce(tool, from + ap, ap, feedDeg);
    if (force > load) high = ap;
    else low = ap;
    const power =
      before && ap !== before.ap ? Math.log(force / before.force) / Math.log(ap / before.ap) : 1 / FIRST_POWER;
    const guess = ap * (load / force) ** (1 / Math.min(3, Math.max(0.5, power)));
    const next = guess > low && guess < high ? guess : i === 0 && guess >= most ? most : (low + high) / 2;
    if (Math.abs(next - ap) < 1e-11 || high - low < 1e-11) return next;
    before = { ap, force };
    ap = next;
  }
  return ap;
}
/** Before two guesses are known. */
const FIRST_POWER = 1.2;

/** Every pass the same step, the last one the rest; a rest under the floor goes with the pass before, shared if that is over the cap. */
function fixedSteps(q: DepthRequest, left: number): number[] {
  const step = Math.min(q.stepMm ?? left, q.capMm ?? Infinity);
  const whole = Math.floor(left / step + EPS);
  const out = Array.from({ length: whole }, (_, i) => q.fromMm + step * (i + 1));
  const rest = left - whole * step;
  if (rest > 1e-7) {
    const small = q.floorMm !== null && rest < q.floorMm - EPS && out.length > 0;
    if (!small) out.push(q.toMm);
    else if (q.capMm !== null && step + rest > q.capMm + EPS) {
      out[out.length - 1] = q.toMm - (step + rest) / 2;
      out.push(q.toMm);
    }
  }
  if (out.length > 0) out[out.length - 1] = q.toMm;
  else out.push(q.toMm);
  return out;
}
