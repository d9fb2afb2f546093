import { sizingAfter } from './after.ts';
import { FEEL_EDGES, signOf, Sizing, type Bounds, type MateResult, type SizeEvent, type SizeModel } from './model.ts';

/** What there is to measure with. */
export type Means =
  | { readonly kind: 'measured'; readonly uncertaintyMm: number }
  | { readonly kind: 'gauge'; readonly which: 'go' | 'not-go'; readonly pitchDiameterMm: number }
  | {
      readonly kind: 'mate';
      readonly name: string;
      readonly bounds: Bounds | null;
      readonly lengthMm: number | null;
      readonly shakeUncertaintyMm: number | null;
    };
/** What the size has to come to: limits, or a clearance on the mate. */
export type SizeTarget =
  | { readonly minMm: number; readonly maxMm: number }
  | { readonly minClearanceMm: number; readonly maxClearanceMm: number };

/** What is known before the next act at the machine. */
export interface SizeAsked {
  readonly model: SizeModel;
  readonly target: SizeTarget;
  readonly means: readonly Means[];
  readonly history: readonly SizeEvent[];
  /** The dial can be set to whole multiples of this only; null: as finely as one likes. */
  readonly stepMm: number | null;
  /** No pass is set more than this deeper than the last; null: no such limit. */
  readonly mostMm: number | null;
}

/** What to do next: cut to a depth, spring, measure or stop. */
export type Next =
  | { readonly do: 'cut'; readonly depthMm: number }
  | { readonly do: 'spring' }
  | { readonly do: 'measure'; readonly with: number | null }
  | { readonly do: 'stop' }
  | { readonly do: 'scrap' };
/** Why, as a code with its figures. */
export type Why =
  | 'far-off'
  | 'safe-cut'
  | 'spring-closes'
  | 'prove-it'
  | 'look-first'
  | 'reached'
  | 'no-more-to-know'
  | 'past'
  | 'no-safe-cut'
  | 'check-lead'
  | 'mate-stops';

/** How well one setting repeats, and how well play along the axis is read with an indicator, mm. Common practice, no source. */
export const USUAL = { settingMm: 0.003, shakeMm: 0.01 } as const;

/** Size as it is believed, and what to do next. */
export interface SizeAnswer {
  readonly pitchDiameterMm: { readonly value: number; readonly uncertainty: number };
  readonly clearanceMm: { readonly value: number; readonly uncertainty: number } | null;
  readonly leftOnDiameterMm: { readonly least: number; readonly most: number };
  readonly leadErrorPerMm: { readonly value: number; readonly uncertainty: number } | null;
  readonly inside: number;
  readonly past: number;
  readonly next: Next;
  readonly why: Why;
}
/** What was believed once an event had been taken in: what is left to the limit met first, to the last one, and how surely it is inside or past. */
export interface Effect {
  /** Least and most that may be left to the limit met first, on pitch diameter, mm; 9 times in 10. */
  readonly leftMm: { readonly least: number; readonly most: number };
  readonly inside: number;
  readonly past: number;
  /** Spread of the pitch diameter, one standard deviation, mm. */
  readonly sdMm: number;
  /** It hardly could have come by what was known: something taken for granted is wrong. */
  readonly surprised: boolean;
}
const NINE_IN_TEN = 1.645;

/** Risks that are taken: of being past in the pass itself, and were it repeated until no chip comes. */
interface Risks {
  readonly once: number;
  readonly repeated: number;
}
const USUAL_RISK: Risks = { once: 0.01, repeated: 0.02 };
/** A mate gives no figure, so that what went past is only seen once it is past: less is risked. */
const BLIND_RISK: Risks = { once: 0.003, repeated: 0.008 };
/** Nothing has told of the size yet but the dial. */
const UNTRIED_RISK: Risks = { once: 0.001, repeated: 0.004 };
const riskTaken = (q: SizeAsked): Risks =>
  q.means.some((m) => m.kind === 'measured')
    ? USUAL_RISK
    : q.history.some((e) => e.kind === 'mate' || e.kind === 'gauge' || e.kind === 'measured')
      ? BLIND_RISK
      : UNTRIED_RISK;
/** So surely inside it is let be. */
export const SURE = 0.985;
const SURER = 0.995;
/** Less than this is no progress, mm on diameter. */
const PROGRESS_MM = 0.002;
/** Without steps of its own a dial is set to this, mm. */
const FREE_STEP_MM = 0.0025;
const MOST_STEPS = 25_600;
/** No setting is tried more than so many steps shallower than the last. */
const MOST_BACK = 12;
/** Looking again at the same cut with the same means tells less each time; after so many it is enough. The same nut again tells nothing. */
const MOST_LOOKS = 4;
const MOST_TRIES = 1;
/** Scatter of setting and share that the hypotheses are given in turn, in standard deviations. */
const SCATTER: readonly (readonly [number, number])[] = [
  [0, 0],
  [0.8, -0.8],
  [-0.8, 0.8],
];

/**
 * What the part measures now, and what to do next. @see the sizing recipe in docs/sizing.md; common practice, no source
 * @example sizeOf({ model: { member: 'external', pitchMm: 1.5, leadingDeg: 30, trailingDeg: 30, surfaceMm: 9.97, tip: { flatMm: 0.19 }, dialUncertaintyMm: 0.02, settingMm: 0.003, wiresSharedMm: 0.002, basicMm: null, special: false }, target: { minMm: 8.862, maxMm: 8.994 }, means: [{ kind: 'measured', uncertaintyMm: 0.006 }], history: [], stepMm: 0.01, mostMm: 0.15 }).next.do // 'cut'
 */
export function sizeOf(q: SizeAsked): SizeAnswer {
  const s = sizingAfter(q.model, q.history);
  const bounds = boundsOf(q, s);
  const inside = s.share((i) => within(bounds, i, s.size(i)));
  const past = s.share((i) => s.size(i) < bounds.far(i));
  const { mean, sd } = s.spread();
  const near = s.spread((i) => bounds.near(i)).mean;
  const far = s.spread((i) => bounds.far(i)).mean;
  const first = firstMate(q);
  const sizes = first && s.mate(first.name, first.bounds);
  const c = sizes ? s.spread((i) => (sizes[i] ?? 0) - s.size(i)) : null;
  const lead = s.spread((i) => Math.abs(s.cloud.lead[i] ?? 0));
  const step = decide(q, s, bounds, inside, past);
  return {
    pitchDiameterMm: { value: signOf(q.model) * mean, uncertainty: sd },
    clearanceMm: c && { value: c.mean, uncertainty: c.sd },
    leftOnDiameterMm: { least: mean - near, most: mean - far },
    leadErrorPerMm: lead.sd > 0 ? { value: lead.mean, uncertainty: lead.sd } : null,
    inside,
    past,
    ...step,
  };
}

/**
 * What each event of the history made of what is believed, in order.
 * @example effectsOf({ model: { member: 'external', pitchMm: 1.5, leadingDeg: 30, trailingDeg: 30, surfaceMm: 9.97, tip: { flatMm: 0.19 }, dialUncertaintyMm: 0.02, settingMm: 0.003, wiresSharedMm: 0.002, basicMm: null, special: false }, target: { minMm: 8.862, maxMm: 8.994 }, means: [{ kind: 'measured', uncertaintyMm: 0.006 }], history: [{ kind: 'cut', depthMm: 0.2 }], stepMm: 0.01, mostMm: 0.15 })[0].surprised // false
 */
export function effectsOf(q: SizeAsked): Effect[] {
  const effects: Effect[] = [];
  new Sizing(q.model, q.history, (now) => {
    const b = boundsOf(q, now);
    const left = now.spread((i) => now.size(i) - b.near(i));
    effects.push({
      leftMm: { least: left.mean - NINE_IN_TEN * left.sd, most: left.mean + NINE_IN_TEN * left.sd },
      inside: now.share((i) => within(b, i, now.size(i))),
      past: now.share((i) => now.size(i) < b.far(i)),
      sdMm: now.spread().sd,
      surprised: now.surprised,
    });
  });
  return effects;
}

/**
 * Chance that a pass at a depth goes past what no cut can mend, over what is past already. @param depthMm below the surface
 * @example riskOf({ model: { member: 'external', pitchMm: 1.5, leadingDeg: 30, trailingDeg: 30, surfaceMm: 9.97, tip: { flatMm: 0.19 }, dialUncertaintyMm: 0.02, settingMm: 0.003, wiresSharedMm: 0.002, basicMm: null, special: false }, target: { minMm: 8.862, maxMm: 8.994 }, means: [{ kind: 'measured', uncertaintyMm: 0.006 }], history: [], stepMm: 0.01, mostMm: 0.15 }, 0.2) // 0; far from size
 */
export function riskOf(q: SizeAsked, depthMm: number): number {
  const s = sizingAfter(q.model, q.history);
  const b = boundsOf(q, s);
  const beyond = (x: (i: number) => number): number => s.share((i) => s.sizeAt(i, x(i)) < b.far(i));
  return (
    beyond((i) => s.after(i, depthMm, SCATTER[i % SCATTER.length] ?? [0, 0])) - s.share((i) => s.size(i) < b.far(i))
  );
}

interface Range {
  /** The limit met first, and the one beyond which no cut can mend it, as x of a hypothesis. */
  readonly near: (i: number) => number;
  readonly far: (i: number) => number;
}
const within = (b: Range, i: number, x: number): boolean => x <= b.near(i) && x >= b.far(i);

function firstMate(q: SizeAsked): { readonly name: string; readonly bounds: Bounds | null } | null {
  const tried = q.history.find((e) => e.kind === 'mate');
  const means = q.means.find((m) => m.kind === 'mate');
  return means ?? (tried?.kind === 'mate' ? tried : null);
}

function boundsOf(q: SizeAsked, s: Sizing): Range {
  if ('minMm' in q.target) {
    const { minMm, maxMm } = q.target;
    const [near, far] = signOf(q.model) === 1 ? [maxMm, minMm] : [-minMm, -maxMm];
    return { near: () => near, far: () => far };
  }
  const { minClearanceMm, maxClearanceMm } = q.target;
  const mate = firstMate(q);
  const size = mate ? s.mate(mate.name, mate.bounds) : null;
  return {
    near: (i) => (size?.[i] ?? 0) - minClearanceMm,
    far: (i) => (size?.[i] ?? 0) - maxClearanceMm,
  };
}

interface Cut {
  readonly depthMm: number;
  readonly inside: number;
  /** Metal it is expected to take, mm on diameter. */
  readonly takesMm: number;
  /** How far it leaves the middle of the target, mm on diameter. */
  readonly offMm: number;
}

interface Step {
  readonly next: Next;
  readonly why: Why;
}

function decide(q: SizeAsked, s: Sizing, b: Range, inside: number, past: number): Step {
  const means = q.means.length > 0;
  const looked = s.measuredSinceCut > 0;
  const cutYet = s.lastMm !== null || q.history.some((e) => e.kind === 'cut');
  // looked for only where it is asked: it goes through the whole cloud
  const measure = (why: Why): Step =>
    cutYet && !looked && springsBack(q, s)
      ? { next: { do: 'spring' }, why: 'spring-closes' }
      : { next: { do: 'measure', with: bestMeans(q, s, b).at }, why };
  const looks = q.means.every((m) => m.kind === 'mate') ? MOST_TRIES : MOST_LOOKS;
  const tells = (): boolean => means && s.measuredSinceCut < looks && bestMeans(q, s, b).tells;
  if (past > 0.5) {
    return tells() ? measure('look-first') : { next: { do: 'scrap' }, why: 'past' };
  }
  const stuck = stuckMates(q.history);
  const binds = stuck.some((m) => m.result === 'binds');
  // a long one stops where a short one runs: more depth would only loosen it at its ends
  if (stuck.length > 0 && leadStops(q.history)) return { next: { do: 'stop' }, why: 'check-lead' };
  const shorter = binds ? untried(q, Math.max(...stuck.map((m) => m.lengthMm ?? 0)) * SHORTER) : -1;
  if (shorter >= 0) return { next: { do: 'measure', with: shorter }, why: 'check-lead' };
  // a reading that nothing explains is looked at once more before anything is made of it
  if (s.strange === 1 && means) return measure('look-first');
  if (inside >= SURE) {
    if (looked || !means || !cutYet) {
      // enough; unless one safe setting more makes it clearly surer
      const surer = looked && inside < SURER ? bestCut(q, s, b) : null;
      if (surer && surer.inside > inside + SURER_GAIN && surer.takesMm > PROGRESS_MM)
        return cutOrSpring(surer, s, 'safe-cut');
      // nothing is right over a mate that does not go on
      if (stuck.length > 0) return { next: { do: 'stop' }, why: 'mate-stops' };
      const other = looked ? untried(q, Infinity) : -1;
      if (other >= 0) return { next: { do: 'measure', with: other }, why: 'prove-it' };
      return { next: { do: 'stop' }, why: 'reached' };
    }
    return measure('prove-it');
  }
  const cut = bestCut(q, s, b);
  // from far off one cuts without looking; near the target each cut is looked at
  const farOff = cut !== null && cut.inside < FAR_INSIDE && cut.takesMm > PROGRESS_MM;
  if (cut && !looked && cutYet && means && !farOff) return measure('look-first');
  if (cut && worth(cut, inside)) return cutOrSpring(cut, s, farOff ? 'far-off' : binds ? 'check-lead' : 'safe-cut');
  if (!means) return { next: { do: 'stop' }, why: cutYet ? 'no-more-to-know' : 'no-safe-cut' };
  if (!looked && cutYet) return measure('prove-it');
  if (tells()) return measure('look-first');
  // nothing tells more: a cut that makes it clearly likelier may risk a little more than one on the way there
  const last = looked ? bestCut(q, s, b, true) : null;
  if (last && last.inside > inside + LAST_GAIN && last.takesMm > PROGRESS_MM) return cutOrSpring(last, s, 'safe-cut');
  return { next: { do: 'stop' }, why: binds ? 'check-lead' : stuck.length > 0 ? 'mate-stops' : 'no-more-to-know' };
}
type MateTrial = Extract<SizeEvent, { kind: 'mate' }>;
const STOPS: ReadonlySet<MateResult> = new Set(['no-start', 'starts', 'binds', 'tight']);
/** Each mate's last trial since metal was cut. */
function lastTrials(history: readonly SizeEvent[]): MateTrial[] {
  const last = new Map<string, MateTrial>();
  for (const e of sinceCut(history)) if (e.kind === 'mate') last.set(e.name, e);
  return [...last.values()];
}
/** Mates that did not go on since metal was last cut. */
const stuckMates = (history: readonly SizeEvent[]): MateTrial[] =>
  lastTrials(history).filter((m) => STOPS.has(m.result));
/**
 * Whether what stops a mate is the lead: one that started stops, and a clearly shorter one goes on freely; or two bind after
 * as many turns. Common practice, no source.
 * @example leadStops([]) // false
 */
export function leadStops(history: readonly SizeEvent[]): boolean {
  const trials = lastTrials(history);
  const lengths = (results: ReadonlySet<MateResult>): number[] =>
    trials.flatMap((m) => (results.has(m.result) && m.lengthMm !== null ? [m.lengthMm] : []));
  const free = lengths(new Set(['runs', 'shakes']));
  const loose = lengths(new Set(['shakes']));
  const turns = trials.flatMap((m) => (m.result === 'binds' && m.turns !== null ? [m.turns] : []));
  // two that bind after as many turns, whatever their size
  if (turns.length > 1 && Math.max(...turns) <= Math.min(...turns) * ALIKE + 1) return true;
  return trials.some((m) => {
    const shortOf = (lengths: readonly number[]): boolean =>
      lengths.some((short) => short < (m.lengthMm ?? 0) * SHORTER);
    if (m.lengthMm === null) return false;
    // two nuts differ a little in size: what is only tight speaks of the lead where the short one is loose
    return m.result === 'binds' ? shortOf(free) : m.result !== 'runs' && m.result !== 'shakes' && shortOf(loose);
  });
}
/** Place among the means of a mate no longer than this that was not tried since metal was cut; -1: none. */
function untried(q: SizeAsked, mostMm: number): number {
  const tried = new Set(lastTrials(q.history).map((m) => m.name));
  // where mates only say what else is known, they are not asked for
  if (!('minClearanceMm' in q.target)) return -1;
  return q.means.findIndex(
    (m) =>
      m.kind === 'mate' && !tried.has(m.name) && (mostMm === Infinity || (m.lengthMm !== null && m.lengthMm < mostMm)),
  );
}
/** Turns that are as many, within a turn and this. */
const ALIKE = 1.25;
/** A mate shorter than this share of another tells the lead apart from the size. Common practice, no source. */
const SHORTER = 0.75;
/** A cut as a step; at the setting of the last one it is the spring. */
const cutOrSpring = (cut: Cut, s: Sizing, why: Why): Step =>
  cut.depthMm === s.lastMm
    ? { next: { do: 'spring' }, why: 'spring-closes' }
    : { next: { do: 'cut', depthMm: cut.depthMm }, why };
/** Sure enough, but one safe setting more may make it surer by so much. */
const SURER_GAIN = 0.005;
/** The last cut, when nothing tells more: what it may risk, and what it has to gain. */
const LAST_RISK: Risks = { once: 0.01, repeated: 0.02 };
const LAST_GAIN = 0.01;
/** A cut that hardly may end inside is far off it. */
const FAR_INSIDE = 0.02;
const worth = (cut: Cut, inside: number): boolean =>
  cut.takesMm > PROGRESS_MM && (cut.inside > inside + 0.005 || inside < 0.3);

/** The deepest setting, or the spring, that is likeliest to end inside within the risks; null: none is safe. */
function bestCut(q: SizeAsked, s: Sizing, b: Range, last = false): Cut | null {
  const risk = last ? LAST_RISK : riskTaken(q);
  const step = q.stepMm ?? FREE_STEP_MM;
  const set = s.lastMm;
  const n = s.cloud.n;
  // with nothing set since the zero, the tool meets metal somewhere about here
  const meets = set ?? depthNow(s);
  const first = set === null ? Math.ceil(meets / step) : Math.round(set / step);
  // what a hand cannot set finer it may set at least once
  const mostMm = Math.min(q.mostMm ?? Infinity, Math.max(step, leapMm(q, s)));
  const most = mostMm === Infinity ? Infinity : Math.floor((mostMm + meets) / step + 1e-9) - first;
  // the last setting itself is the spring, whatever step it was set by
  const at = (k: number): number => (k === 0 && set !== null ? set : (first + k) * step);
  // what is past already was not done by this cut
  const before = s.share((i) => s.size(i) < b.far(i));
  const judge = (depthMm: number): Cut & { readonly safe: boolean } => {
    let [pastP, pastAll, ins, takes, off] = [0, 0, 0, 0, 0];
    for (let i = 0; i < n; i += 1) {
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
  // deeper is never safer: the deepest safe setting is found by halving
  const cap = Math.min(most, MOST_STEPS);
  const safeAt = (k: number): boolean => judge(at(k)).safe;
  // where even the spring is a risk, a shallower setting may still take a little
  let floor = 0;
  while (!safeAt(floor)) {
    floor -= 1;
    if (floor < -MOST_BACK || at(floor) <= 0) return null;
  }
  let low = floor;
  let high = low + 1;
  let stride = 1;
  while (floor === 0 && high <= cap && safeAt(high)) {
    low = high;
    stride *= 2;
    high += stride;
  }
  high = Math.min(high, cap + 1);
  while (high - low > 1) {
    const mid = Math.floor((low + high) / 2);
    if (safeAt(mid)) low = mid;
    else high = mid;
  }
  if (cutBefore(q, s)) low = Math.max(floor, Math.round(low * FIRST_SHARE));
  // near the target the likeliest of the safe ones; the spring among them
  const tries = new Set([
    floor,
    low,
    low - 1,
    low - 2,
    Math.round(low * 0.9),
    Math.round(low * 0.75),
    Math.round(low / 2),
  ]);
  let best: Cut | null = null;
  for (const k of tries) {
    if (k < floor || k > low) continue;
    const cut = judge(at(k));
    // on the way there a cut stays short of the middle; the last one goes where it is likeliest right
    if (!cut.safe || (cut.offMm < -1e-4 && !last)) continue;
    if (
      best === null ||
      cut.inside > best.inside + 1e-4 ||
      (Math.abs(cut.inside - best.inside) <= 1e-4 && cut.takesMm > best.takesMm)
    )
      best = cut;
  }
  return best ?? judge(at(low));
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
  const freshly = cutBefore(q, s) ? FIRST_SHARE : 1;
  if (last?.kind !== 'mate' || last.shakeMm !== null || since.some((e) => e.kind === 'measured')) return Infinity;
  return (freshly * LEAPS[last.result] * Math.sqrt(q.model.pitchMm)) / 2;
}
/**
 * A mate or a gauge tells no figure, so that the next step is counted from where the tool stands: what springs back is cut
 * first, as long as it is worth feeling. Common practice, no source.
 */
function springsBack(q: SizeAsked, s: Sizing): boolean {
  const { lastMm } = s;
  if (lastMm === null || q.means.some((m) => m.kind === 'measured')) return false;
  const since = q.history.slice(q.history.findLastIndex((e) => e.kind === 'cut') + 1);
  if (since.filter((e) => e.kind === 'spring').length >= MOST_SPRINGS) return false;
  return s.spread((i) => s.cloud.x[i] ?? 0).mean - s.spread((i) => s.atLast(i, lastMm)).mean > SPRING_WORTH_G * s.g;
}
const MOST_SPRINGS = 2;
const SPRING_WORTH_G = 0.25;
/** Metal was cut, and nothing since the tool was last touched off or found its groove. */
const cutBefore = (q: SizeAsked, s: Sizing): boolean => s.lastMm === null && q.history.some((e) => e.kind === 'cut');
/** After a slip, a new touch or a pick-up the first step is half of what it would be. Common practice, no source. */
const FIRST_SHARE = 0.5;
/** What was tried and measured since metal was last cut. */
const sinceCut = (history: readonly SizeEvent[]): readonly SizeEvent[] =>
  history.slice(history.findLastIndex((e) => e.kind === 'cut' || e.kind === 'spring' || e.kind === 'side') + 1);

/** The means that narrows the part down most, against its target; whether it would narrow it at all. */
function bestMeans(q: SizeAsked, s: Sizing, b: Range): { readonly at: number; readonly tells: boolean } {
  const { sd } = s.spread((i) => s.size(i) - (b.near(i) + b.far(i)) / 2);
  const left = q.means.map((m) => leftAfter(m, q, s, b, sd));
  const at = left.indexOf(Math.min(...left));
  return { at, tells: (left[at] ?? sd) < 0.85 * sd };
}
/** Spread that is left after a means has answered, on average. */
function leftAfter(m: Means, q: SizeAsked, s: Sizing, b: Range, sd: number): number {
  const off = (i: number): number => s.size(i) - (b.near(i) + b.far(i)) / 2;
  if (m.kind === 'measured') {
    const shared = s.spread((i) => s.cloud.shared[i] ?? 0).sd;
    const u2 = m.uncertaintyMm ** 2 + shared ** 2;
    return Math.sqrt((sd * sd * u2) / (sd * sd + u2));
  }
  const size = m.kind === 'mate' ? s.mate(m.name, m.bounds) : null;
  const gaugeAt = m.kind === 'gauge' ? signOf(q.model) * m.pitchDiameterMm : 0;
  const bin = (i: number): number => {
    if (size && m.kind === 'mate') {
      const felt = s.feel(i, size, m.lengthMm);
      if (m.shakeUncertaintyMm !== null && felt > FEEL_EDGES[2])
        return 5 + Math.round((felt * s.g) / (4 * m.shakeUncertaintyMm));
      return FEEL_EDGES.filter((e) => felt > e).length;
    }
    return s.size(i) < gaugeAt ? 1 : 0;
  };
  const sums = new Map<number, [number, number, number]>();
  for (let i = 0; i < s.cloud.n; i += 1) {
    const w = s.cloud.w[i] ?? 0;
    const x = off(i);
    const at = sums.get(bin(i)) ?? [0, 0, 0];
    at[0] += w;
    at[1] += w * x;
    at[2] += w * x * x;
    sums.set(bin(i), at);
  }
  let v = 0;
  for (const [w, wx, wxx] of sums.values()) if (w > 0) v += wxx - (wx * wx) / w;
  return Math.sqrt(Math.max(0, v));
}
