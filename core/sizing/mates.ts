import type { SizeAsked } from './asked.ts';
import type { MateResult, SizeEvent } from './model.ts';

/**
 * What was tried and measured since metal was last cut.
 * @example sinceCut([]) // []
 */
export const sinceCut = (history: readonly SizeEvent[]): readonly SizeEvent[] =>
  history.slice(history.findLastIndex((e) => e.kind === 'cut' || e.kind === 'spring' || e.kind === 'side') + 1);

/** A trial of a mate. */
type MateTrial = Extract<SizeEvent, { kind: 'mate' }>;
/** Results with which a mate did not go on. */
export const STOPS: ReadonlySet<MateResult> = new Set(['no-start', 'starts', 'binds', 'tight']);
/** Each mate's last trial since metal was cut. */
function lastTrials(history: readonly SizeEvent[]): MateTrial[] {
  const last = new Map<string, MateTrial>();
  for (const e of sinceCut(history)) if (e.kind === 'mate') last.set(e.name, e);
  return [...last.values()];
}
/**
 * Mates that did not go on since metal was last cut.
 * @example stuckMates([]) // []
 */
export const stuckMates = (history: readonly SizeEvent[]): MateTrial[] =>
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
/**
 * Place among the means of a mate no longer than this that was not tried since metal was cut; -1: none.
 * @example untried({ target: { minMm: 1, maxMm: 2 }, means: [], history: [] }, Infinity) // -1
 */
export function untried(q: Pick<SizeAsked, 'target' | 'means' | 'history'>, mostMm: number): number {
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
export const SHORTER = 0.75;
