import type { JobRow } from '../storage/rows.ts';

/** What of the list is shown, and in what order. */
export interface Sift {
  readonly state: 'all' | 'open' | 'again' | 'finished' | 'archived';
  /** Identity of a lathe, or a family of threads; empty: any. */
  readonly lathe: string;
  readonly family: string;
  readonly sort: 'touched' | 'title' | 'customer' | 'thread';
}
export const UNSIFTED: Sift = { state: 'all', lathe: '', family: '', sort: 'touched' };
export const isSifted = (s: Sift): boolean => s.state !== 'all' || s.lathe !== '' || s.family !== '';

const STATE: Readonly<Record<Sift['state'], (r: JobRow) => boolean>> = {
  all: (r) => r.archived !== true,
  open: (r) => r.archived !== true && !r.done,
  again: (r) => r.archived !== true && (r.line?.chain?.includes('a') ?? false),
  finished: (r) => r.archived !== true && r.done,
  archived: (r) => r.archived === true,
};
const compare = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' }).compare;

/** Rows that are wanted, in order. What is sought for stands as the search has ranked it, and what is put away is found too. */
export function sifted(rows: readonly JobRow[], s: Sift, sought: boolean): readonly JobRow[] {
  const state = sought && s.state === 'all' ? () => true : STATE[s.state];
  const kept = rows.filter(
    (r) => state(r) && (s.lathe === '' || r.lathe === s.lathe) && (s.family === '' || r.family === s.family),
  );
  if (s.sort === 'touched') return kept;
  const key = (r: JobRow): string => (s.sort === 'thread' ? (r.thread ?? '') : r[s.sort as 'title' | 'customer']);
  // what has nothing to be put in order by stands last
  return kept.toSorted((a, b) => Number(key(a) === '') - Number(key(b) === '') || compare(key(a), key(b)));
}
/** The families that the list has, in order. */
export const familiesOf = (rows: readonly JobRow[]): string[] =>
  [...new Set(rows.flatMap((r) => (r.family ? [r.family] : [])))].sort(compare);
