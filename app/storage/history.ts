/** A step of the road: the value before (or after) it, what it is called, and the events that it wrote to the ledger. */
export interface StepTaken<T> {
  readonly value: T;
  readonly label: string;
  readonly events: readonly number[];
}
/** A value with the road back and forward: an edit computes a new present from the old one. */
export interface History<T> {
  readonly past: readonly StepTaken<T>[];
  readonly present: T;
  readonly future: readonly StepTaken<T>[];
}

/** Steps kept for undo; the storage keeps the same number of revisions. */
export const HISTORY_LIMIT = 100;

export const begin = <T>(present: T, past: History<T>['past'] = []): History<T> => ({ past, present, future: [] });

export const edit = <T>(h: History<T>, next: T, label: string, events: readonly number[] = []): History<T> => ({
  past: [...h.past.slice(1 - HISTORY_LIMIT), { value: h.present, label, events }],
  present: next,
  future: [],
});

/**
 * How a step is gone over, back or forward: settings become what they were, while a ledger is only ever added to, so that
 * what the step wrote is struck through there (and brought back by striking that through in turn).
 */
export type GoOver<T> = (present: T, step: StepTaken<T>) => { readonly value: T; readonly events: readonly number[] };
const plainly = <T>(_: T, step: StepTaken<T>): { readonly value: T; readonly events: readonly number[] } => ({
  value: step.value,
  events: [],
});

export function undo<T>(h: History<T>, over: GoOver<T> = plainly): History<T> {
  const last = h.past.at(-1);
  if (!last) return h;
  const gone = over(h.present, last);
  return {
    past: h.past.slice(0, -1),
    present: gone.value,
    future: [{ value: h.present, label: last.label, events: gone.events }, ...h.future],
  };
}

export function redo<T>(h: History<T>, over: GoOver<T> = plainly): History<T> {
  const [next, ...rest] = h.future;
  if (!next) return h;
  const gone = over(h.present, next);
  return {
    past: [...h.past, { value: h.present, label: next.label, events: gone.events }],
    present: gone.value,
    future: rest,
  };
}
