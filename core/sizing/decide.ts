import { sizingAfter } from './after.ts';
import type { Means, SizeAsked } from './asked.ts';
import { bestCut, PROGRESS_MM, SCATTER, springsBack, type Cut, type Range } from './cut.ts';
import { leadStops, SHORTER, stuckMates, untried } from './mates.ts';
import { FEEL_EDGES, signOf, Sizing, type Bounds } from './model.ts';

/** What to do next: cut to a depth, spring, measure or stop. */
type Next =
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

/** So surely inside it is let be. */
export const SURE = 0.985;
const SURER = 0.995;
/** Looking again at the same cut with the same means tells less each time; after so many it is enough. The same nut again tells nothing. */
const MOST_LOOKS = 4;
const MOST_TRIES = 1;
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
  const lead = byLead(q);
  if (lead) return lead;
  // a reading that nothing explains is looked at once more before anything is made of it
  if (s.strange === 1 && means) return measure('look-first');
  if (inside >= SURE) return cutYet && means && !looked ? measure('prove-it') : sureEnough(q, s, b, inside, looked);
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
/** What a mate that stops says of the lead: it is, or a shorter one is tried; null: nothing. */
function byLead(q: SizeAsked): Step | null {
  const stuck = stuckMates(q.history);
  if (stuck.length === 0) return null;
  // a long one stops where a short one runs: more depth would only loosen it at its ends
  if (leadStops(q.history)) return { next: { do: 'stop' }, why: 'check-lead' };
  if (!stuck.some((m) => m.result === 'binds')) return null;
  const shorter = untried(q, Math.max(...stuck.map((m) => m.lengthMm ?? 0)) * SHORTER);
  return shorter < 0 ? null : { next: { do: 'measure', with: shorter }, why: 'check-lead' };
}
/** Likely inside, and looked at where it can be: enough, unless a mate that it has to go with says otherwise. */
function sureEnough(q: SizeAsked, s: Sizing, b: Range, inside: number, looked: boolean): Step {
  // enough; unless one safe setting more makes it clearly surer
  const surer = looked && inside < SURER ? bestCut(q, s, b) : null;
  if (surer && surer.inside > inside + SURER_GAIN && surer.takesMm > PROGRESS_MM)
    return cutOrSpring(surer, s, 'safe-cut');
  // nothing is right over a mate that does not go on
  if (stuckMates(q.history).length > 0) return { next: { do: 'stop' }, why: 'mate-stops' };
  const other = looked ? untried(q, Infinity) : -1;
  return other >= 0
    ? { next: { do: 'measure', with: other }, why: 'prove-it' }
    : { next: { do: 'stop' }, why: 'reached' };
}
/** A cut as a step; at the setting of the last one it is the spring. */
const cutOrSpring = (cut: Cut, s: Sizing, why: Why): Step =>
  cut.depthMm === s.lastMm
    ? { next: { do: 'spring' }, why: 'spring-closes' }
    : { next: { do: 'cut', depthMm: cut.depthMm }, why };
/** Sure enough, but one safe setting more may make it surer by so much. */
const SURER_GAIN = 0.005;
/** What the last cut has to gain, when nothing tells more. */
const LAST_GAIN = 0.01;
/** A cut that hardly may end inside is far off it. */
const FAR_INSIDE = 0.02;
const worth = (cut: Cut, inside: number): boolean =>
  cut.takesMm > PROGRESS_MM && (cut.inside > inside + 0.005 || inside < 0.3);

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
