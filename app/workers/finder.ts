import MiniSearch from 'minisearch';

/** In what of a job a word was found. */
type FoundIn = 'title' | 'customer' | 'thread' | 'read' | 'lathe' | 'notes';
export interface Hit {
  readonly id: string;
  /** Place of the job in what was added, from 0. */
  readonly place: number;
  /** Words of the job that matched, with where they stand. */
  readonly why: readonly { readonly word: string; readonly in: readonly FoundIn[] }[];
}
/** What of a job is sought in. */
export type FindDoc = Readonly<Record<FoundIn | 'id', string>>;

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
  readonly add: (docs: readonly FindDoc[]) => void;
  /** The best first. */
  readonly find: (sought: string) => readonly Hit[];
}

/** An index over jobs, with none yet. */
export function emptyFinder(): Finder {
  const index = new MiniSearch<FindDoc>({
    fields: [...FIELDS],
    tokenize: words,
    processTerm: (w) => w,
    searchOptions: { boost: { title: 3, thread: 3, customer: 2 } },
  });
  const places = new Map<string, number>();
  return {
    add: (docs) => {
      for (const d of docs) places.set(d.id, places.size);
      index.addAll(docs);
    },
    find: (sought) =>
      index
        .search(sought, {
          combineWith: 'AND',
          prefix: true,
          fuzzy: (w) => (isFigure(w) || w.length < 4 ? false : w.length < 8 ? 1 : 2),
        })
        .flatMap((hit) => {
          const id = String(hit.id);
          const place = places.get(id);
          return place === undefined
            ? []
            : [
                {
                  id,
                  place,
                  why: Object.entries(hit.match).map(([word, fields]) => ({ word, in: fields as FoundIn[] })),
                },
              ];
        }),
  };
}
