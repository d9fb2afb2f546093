import type { SizeAsked } from './asked.ts';
import { sinceCut } from './mates.ts';
import type { MateResult, Sizing } from './model.ts';

/** Risks that are taken: of being past in the pass itself, and were it repeated until no chip comes. */
interface Risks {
  readonly once: number;
  readonly repeated: number;
}
const USUAL_RISK: Risks = { once: 0.01, repeated: 0.02 };
/** A mate gives no figure, so that what went past is only seen once it is past: less is risked. */
const BLIND_RISK: Risks = { once: 0.003, repeated: 0.008 };
/** A gauge that goes says that it is past by nothing more: it is felt too late. */
const GAUGE_RISK: Risks = { once: 0.0005, repeated: 0.001 };
/** Nothing has told of the size yet but the dial. */
const UNTRIED_RISK: Risks = { once: 0.001, repeated: 0.004 };
const riskTaken = (q: SizeAsked): Risks =>
  q.means.some((m) => m.kind === 'measured')
    ? USUAL_RISK
    : q.means.some((m) => m.kind === 'gauge')
      ? GAUGE_RISK
      : q.history.some((e) => e.kind === 'mate' || e.kind === 'gauge' || e.kind === 'measured')
        ? BLIND_RISK
        : UNTRIED_RISK;
/** What the last cut may risk, when nothing tells more. */
const LAST_RISK: Risks = { once: 0.01, repeated: 0.02 };
/** Less than this is no progress, mm on diameter. */
export const PROGRESS_MM = 0.002;
/** Without steps of its own a dial is set to this, mm. */
const FREE_STEP_MM = 0.0025;
const MOST_STEPS = 25_600;
/** No setting is tried more than so many steps shallower than the last. */
const MOST_BACK = 12;
/** Scatter of setting and share that the hypotheses are given in turn, in standard deviations. */
export const SCATTER: readonly (readonly [number, number])[] = [
  [0, 0],
  [0.8, -0.8],
  [-0.8, 0.8],
];

/** Of each hypothesis: what is right. */
export interface Range {
  /** The limit met first, and the one beyond which no cut can mend it, as x of a hypothesis. */
  readonly near: (i: number) => number;
  readonly far: (i: number) => number;
}
/** A setting that is thought of. */
export interface Cut {
  readonly depthMm: number;
  readonly inside: number;
  /** Metal it is expected to take, mm on diameter. */
  readonly takesMm: number;
  /** How far it leaves the middle of the target, mm on diameter. */
  readonly offMm: number;
}

/** A setting as it would end. */
type Judged = Cut & { readonly safe: boolean };

/** Settings of the dial in steps from where the tool meets metal: 0 is the last one, or the first that cuts. */
interface Grid {
  readonly at: (k: number) => number;
  readonly most: number;
}
function gridOf(q: SizeAsked, s: Sizing): Grid {
  const step = q.stepMm ?? FREE_STEP_MM;
  const set = s.lastMm;
  // with nothing set since the zero, the tool meets metal somewhere about here
  const meets = set ?? depthNow(s);
  const first = set === null ? Math.ceil(meets / step) : Math.round(set / step);
  // what a hand cannot set finer it may set at least once
  const mostMm = Math.min(q.mostMm ?? Infinity, Math.max(step, leapMm(q, s)));
  const most = mostMm === Infinity ? Infinity : Math.floor((mostMm + meets) / step + 1e-9) - first;
  // the last setting itself is the spring, whatever step it was set by
  return { at: (k) => (k === 0 && set !== null ? set : (first + k) * step), most: Math.min(most, MOST_STEPS) };
}

/** What a setting would make of the whole cloud. */
function judgeOf(s: Sizing, b: Range, risk: Risks): (depthMm: number) => Judged {
  // what is past already was not done by this cut
  const before = s.share((i) => s.size(i) < b.far(i));
  return (depthMm) => {
    let [pastP, pastAll, ins, takes, off] = [0, 0, 0, 0, 0];
    for (let i = 0; i < s.cloud.n; i += 1) {
      const w = s.cloud.w[i] ?? 0;
      const noise = SCATTER[i % SCATTER.length] ?? [0, 0];
      const x = s.sizeAt(i, s.after(i, depthMm, noise));
      const lastX = s.sizeAt(i, s.atLast(i, depthMm));
      const far = b.far(i);
      const near = b.near(i);
      if (x < far) pastP += w;
      if (lastX < far) pastAll += w;
      if (x >= far && x <= near) ins += w;
      takes += w * (s.size(i) - x);
      off += w * (x - (near + far) / 2);
    }
    const safe = pastP - before <= risk.once && pastAll - before <= risk.repeated;
    return { depthMm, inside: ins, takesMm: takes, offMm: off, safe };
  };
}

/** Shallowest and deepest safe step of the grid; null: none. Deeper is never safer, so that the deepest is found by halving. */
function safeSteps(
  grid: Grid,
  safeAt: (k: number) => boolean,
): { readonly floor: number; readonly low: number } | null {
  // where even the spring is a risk, a shallower setting may still take a little
  let floor = 0;
  while (!safeAt(floor)) {
    floor -= 1;
    if (floor < -MOST_BACK || grid.at(floor) <= 0) return null;
  }
  let low = floor;
  let high = low + 1;
  let stride = 1;
  while (floor === 0 && high <= grid.most && safeAt(high)) {
    low = high;
    stride *= 2;
    high += stride;
  }
  high = Math.min(high, grid.most + 1);
  while (high - low > 1) {
    const mid = Math.floor((low + high) / 2);
    if (safeAt(mid)) low = mid;
    else high = mid;
  }
  return { floor, low };
}
const likelier = (a: Cut, b: Cut): boolean =>
  a.inside > b.inside + 1e-4 || (Math.abs(a.inside - b.inside) <= 1e-4 && a.takesMm > b.takesMm);

/**
 * The deepest setting, or the spring, that is likeliest to end inside within the risks; null: none is safe. @param last nothing
 * tells more, and this one may risk a little more
 * @example bestCut(sizing.asked, sizing.belief, { near: () => 8.994, far: () => 8.862 }).depthMm // 0.15; from the blank as deep as a pass may be
 */
export function bestCut(q: SizeAsked, s: Sizing, b: Range, last = false): Cut | null {
  const grid = gridOf(q, s);
  const judge = judgeOf(s, b, last && q.means.some((m) => m.kind === 'mate') ? LAST_RISK : riskTaken(q));
  const steps = safeSteps(grid, (k) => judge(grid.at(k)).safe);
  if (!steps) return null;
  const { floor } = steps;
  const low = cutBefore(q, s) ? Math.max(floor, Math.round(steps.low * FIRST_SHARE)) : steps.low;
  // near the target the likeliest of the safe ones; the spring among them
  const tries = [floor, low, low - 1, low - 2, Math.round(low * 0.9), Math.round(low * 0.75), Math.round(low / 2)];
  let best: Cut | null = null;
  for (const k of new Set(tries)) {
    if (k < floor || k > low) continue;
    const cut = judge(grid.at(k));
    // on the way there a cut stays short of the middle; the last one goes where it is likeliest right
    if (!cut.safe || (cut.offMm < -1e-4 && !last)) continue;
    if (best === null || likelier(cut, best)) best = cut;
  }
  return best ?? judge(grid.at(low));
}
/** What the dial would read where the tip first meets what is cut. */
const depthNow = (s: Sizing): number => Math.max(0, s.spread((i) => s.standsAt(i) - (s.cloud.dial[i] ?? 0)).mean);

/**
 * How far one step may go after a trial that gives no figure, in units of the root of the pitch, on pitch diameter, mm: a hand
 * tells no more than its next few hundredths. Common practice, no source.
 */
const LEAPS: Readonly<Record<MateResult, number>> = {
  'no-start': 0.04,
  starts: 0.03,
  tight: 0.02,
  binds: 0.02,
  runs: 0.02,
  shakes: 0.02,
};
/** Deepest step that the last trial allows, radial mm; nothing less fine since metal was cut than a reading sets no bound. */
function leapMm(q: SizeAsked, s: Sizing): number {
  const since = sinceCut(q.history);
  const last = since.findLast((e) => e.kind === 'mate');
  // a gauge that does not go says no figure either: three quarters of what is right at a time cannot jump over it
  if (last === undefined && 'minMm' in q.target && since.some((e) => e.kind === 'gauge'))
    return since.some((e) => e.kind === 'measured')
      ? Infinity
      : (shareNow(q, s) * GAUGE_STEP * (q.target.maxMm - q.target.minMm)) / 2;
  if (last?.kind !== 'mate' || last.shakeMm !== null || since.some((e) => e.kind === 'measured')) return Infinity;
  return (shareNow(q, s) * LEAPS[last.result] * Math.sqrt(q.model.pitchMm)) / 2;
}
/**
 * A mate or a gauge tells no figure, so that the next step is counted from where the tool stands: what springs back is cut
 * first, as long as it is worth feeling. Common practice, no source.
 * @example springsBack(sizing.asked, sizing.belief) // false; nothing is cut
 */
export function springsBack(q: SizeAsked, s: Sizing): boolean {
  const { lastMm } = s;
  if (lastMm === null || q.means.some((m) => m.kind === 'measured')) return false;
  const since = q.history.slice(q.history.findLastIndex((e) => e.kind === 'cut') + 1);
  if (since.filter((e) => e.kind === 'spring').length >= MOST_SPRINGS) return false;
  return s.spread((i) => s.cloud.x[i] ?? 0).mean - s.spread((i) => s.atLast(i, lastMm)).mean > SPRING_WORTH_G * s.g;
}
/** After so many the tool has closed on its dial. Common practice, no source. */
export const MOST_SPRINGS = 2;
const SPRING_WORTH_G = 0.25;
/** Metal was cut, and nothing since the tool was last touched off or found its groove. */
const cutBefore = (q: SizeAsked, s: Sizing): boolean => s.lastMm === null && q.history.some((e) => e.kind === 'cut');
/** Of the width of what is right, so much at a time after a gauge. */
const GAUGE_STEP = 0.75;
/** How much of a step is taken now. */
const shareNow = (q: SizeAsked, s: Sizing): number => (cutBefore(q, s) ? FIRST_SHARE : 1);
/** After a slip, a new touch or a pick-up the first step is half of what it would be. Common practice, no source. */
const FIRST_SHARE = 0.5;
