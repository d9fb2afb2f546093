/** A value with the road back and forward: an edit computes a new present from the old one. */
export interface History<T> {
  readonly past: readonly { readonly value: T; readonly label: string }[];
  readonly present: T;
  readonly future: readonly { readonly value: T; readonly label: string }[];
}

/** Steps kept for undo; the storage keeps the same number of revisions. */
export const HISTORY_LIMIT = 100;

export const begin = <T>(present: T, past: History<T>['past'] = []): History<T> => ({ past, present, future: [] });

export const edit = <T>(h: History<T>, next: T, label: string): History<T> => ({
  past: [...h.past.slice(1 - HISTORY_LIMIT), { value: h.present, label }],
  present: next,
  future: [],
});

export function undo<T>(h: History<T>): History<T> {
  const last = h.past.at(-1);
  if (!last) return h;
  return {
    past: h.past.slice(0, -1),
    present: last.value,
    future: [{ value: h.present, label: last.label }, ...h.future],
  };
}

export function redo<T>(h: History<T>): History<T> {
  const [next, ...rest] = h.future;
  if (!next) return h;
  return { past: [...h.past, { value: h.present, label: next.label }], present: next.value, future: rest };
}
