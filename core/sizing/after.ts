import { Sizing, tellsLead, type SizeEvent, type SizeModel } from './model.ts';

/** A belief as it was after a history; nobody writes to it any more. */
interface Known {
  readonly model: string;
  readonly events: readonly string[];
  readonly belief: Sizing;
}
/** The last few: a job is cut pass by pass, and two are seldom cut at once. */
const MOST_KNOWN = 4;
let known: readonly Known[] = [];

/**
 * What is believed after a history, which the caller may write to. It goes on from the longest beginning of it that was
 * worked out before: the same numbers are drawn in the same order, so that the answer is the same.
 * @example sizingAfter({ member: 'external', pitchMm: 1.5, leadingDeg: 30, trailingDeg: 30, surfaceMm: 9.97, tip: { flatMm: 0.19 }, dialUncertaintyMm: 0.02, settingMm: 0.003, wiresSharedMm: 0.002, basicMm: null, special: false }, []).cloud.n // 2000
 */
export function sizingAfter(m: SizeModel, history: readonly SizeEvent[]): Sizing {
  // whether a lead error is thought of at all hangs on the whole history
  const model = JSON.stringify([m, tellsLead(history)]);
  const events = history.map((e) => JSON.stringify(e));
  const begins = (k: Known): boolean =>
    k.model === model && k.events.length <= events.length && k.events.every((e, i) => e === events[i]);
  const from = known.filter(begins).toSorted((a, b) => b.events.length - a.events.length)[0];
  const belief =
    from?.events.length === events.length
      ? from.belief
      : from
        ? new Sizing(m, history.slice(from.events.length), undefined, from.belief)
        : new Sizing(m, history);
  known = [{ model, events, belief }, ...known.filter((k) => k.belief !== belief)].slice(0, MOST_KNOWN);
  return new Sizing(m, [], undefined, belief);
}
