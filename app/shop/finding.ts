import MiniSearch from 'minisearch';
import type { JobRow } from '../storage/rows.ts';

/** In what of a job a word was found. */
export type FoundIn = 'title' | 'customer' | 'thread' | 'read' | 'lathe' | 'notes';
export interface Found {
  readonly row: JobRow;
  /** Words of the job that matched, with where they stand; none: nothing was sought. */
  readonly why: readonly { readonly word: string; readonly in: readonly FoundIn[] }[];
}

const FIELDS: readonly FoundIn[] = ['title', 'customer', 'thread', 'read', 'lathe', 'notes'];
/** Words that say nothing of a job. */
const NOISE: ReadonlySet<string> = new Set([
  'a',
  'an',
  'the',
  'on',
  'of',
  'for',
  'in',
  'and',
  'with',
  'to',
  'it',
  'was',
]);
/** Figures, fractions and designations stay whole; everything else parts words. */
const words = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}.,/#\u00b0-]+/u)
    .map((w) => w.replace(/^[.,-]+|[.,-]+$/g, '').replace(/(\d),(\d)/g, '$1.$2'))
    .filter((w) => w !== '' && !NOISE.has(w));

/** A figure is sought as it begins; only words may be mistyped. */
const isFigure = (w: string): boolean => /\d/.test(w);

export interface Finder {
  readonly find: (sought: string) => readonly Found[];
}

/** An index over the rows of the list. @param lathe name of a lathe by its identity */
export function finderOf(rows: readonly JobRow[], lathe: (id: string) => string): Finder {
  const index = new MiniSearch<Record<FoundIn | 'id', string>>({
    fields: [...FIELDS],
    tokenize: words,
    processTerm: (w) => w,
    searchOptions: { boost: { title: 3, thread: 3, customer: 2 } },
  });
  const byId = new Map(rows.map((r) => [r.id, r]));
  index.addAll(
    rows.map((r) => ({
      id: r.id,
      title: r.title,
      customer: r.customer,
      thread: r.thread ?? '',
      read: r.seek ?? '',
      lathe: r.lathe ? lathe(r.lathe) : '',
      notes: r.notes ?? r.find,
    })),
  );
  return {
    find: (sought) =>
      index
        .search(sought, {
          combineWith: 'AND',
          prefix: true,
          fuzzy: (w) => (isFigure(w) || w.length < 4 ? false : w.length < 8 ? 1 : 2),
        })
        .flatMap((hit) => {
          const row = byId.get(String(hit.id));
          const why = Object.entries(hit.match).map(([word, fields]) => ({ word, in: fields as FoundIn[] }));
          return row ? [{ row, why }] : [];
        }),
  };
}
