/** Motions that scrap most parts, practised without a part. */
export const GAMES = ['half-nuts', 'groove', 'slip', 'place'] as const;
/** One of GAMES. */
export type Game = (typeof GAMES)[number];

/** One round as it is kept. */
export interface Result {
  readonly game: Game;
  readonly level: number;
  readonly right: boolean;
  /** What was missed; empty where it was right. */
  readonly missed: string;
  readonly at: string;
}
/** How many levels each practice has. */
export const LEVELS = 5;
/** So many rounds are kept; then the oldest ten go. */
export const MOST_RESULTS = 2000;
/** Rounds of one go. */
export const TEN = 10;
/** So many of the last rounds at a level decide whether it gets harder, or easier. Chosen here, no source. */
const LOOKED_AT = 5;
const HARDER = 4;
const EASIER = 1;

const ofGame = (results: readonly Result[], game: Game): Result[] => results.filter((r) => r.game === game);

/**
 * Harder as it goes: four right of the last five at a level go on, one or none goes back. @returns 1 to 5
 * @example levelOf([], 'groove') // 1
 */
export function levelOf(results: readonly Result[], game: Game): number {
  let level = 1;
  let last: boolean[] = [];
  for (const r of ofGame(results, game)) {
    last = [...last, r.right].slice(-LOOKED_AT);
    if (last.length < LOOKED_AT) continue;
    const right = last.filter(Boolean).length;
    const to = right >= HARDER ? Math.min(LEVELS, level + 1) : right <= EASIER ? Math.max(1, level - 1) : level;
    if (to !== level) {
      level = to;
      last = [];
    }
  }
  return level;
}

/**
 * The rounds of the go at hand; empty at its beginning. @returns fewer than ten
 * @example goOf([], 'groove') // []
 * @example goOf([{ game: 'groove', level: 1, right: true, missed: '', at: '2026-01-05T08:00:00Z' }], 'groove').length // 1
 */
export function goOf(results: readonly Result[], game: Game): Result[] {
  const all = ofGame(results, game);
  return all.slice(all.length - (all.length % TEN));
}
/**
 * The ten rounds last ended; empty: no go was ended yet.
 * @example lastGo([], 'groove') // []
 */
export function lastGo(results: readonly Result[], game: Game): Result[] {
  const all = ofGame(results, game);
  const end = all.length - (all.length % TEN);
  return all.slice(Math.max(0, end - TEN), end);
}
/**
 * The best go of ten: how many were right; null: none was ended.
 * @example bestOf([], 'groove') // null
 */
export function bestOf(results: readonly Result[], game: Game): number | null {
  const all = ofGame(results, game);
  let best: number | null = null;
  for (let i = 0; i + TEN <= all.length; i += TEN)
    best = Math.max(best ?? 0, all.slice(i, i + TEN).filter((r) => r.right).length);
  return best;
}

/**
 * What was missed most, the commonest first.
 * @example missedOf([]) // []
 * @example missedOf([{ game: 'groove', level: 1, right: false, missed: 'way', at: '2026-01-05T08:00:00Z' }]).length // 1
 */
export function missedOf(
  results: readonly Result[],
): { readonly game: Game; readonly missed: string; readonly times: number }[] {
  const count = new Map<string, { game: Game; missed: string; times: number }>();
  for (const r of results) {
    if (r.right) continue;
    const key = `${r.game} ${r.missed}`;
    const c = count.get(key) ?? { game: r.game, missed: r.missed, times: 0 };
    count.set(key, { ...c, times: c.times + 1 });
  }
  return [...count.values()].sort((a, b) => b.times - a.times);
}

/**
 * The number from which a round is dealt: the same round again until it is answered, another afterwards.
 * @example seedOf([], 'groove') === seedOf([], 'groove') // true
 */
export function seedOf(results: readonly Result[], game: Game): number {
  const n = ofGame(results, game).length;
  return (
    (GAMES.indexOf(game) + 1) * 1_000_003 +
    n * 7919 +
    (results[0] ? results[0].at.length + (Date.parse(results[0].at) % 65_521) : 0)
  );
}

/** As it lies in the record. */
type Kept = { -readonly [K in keyof Result]: Result[K] };

/**
 * Nothing was practised yet.
 * @example notPractised().results // []
 */
export const notPractised = (): { lathe: string | null; thread: string; pace: 'own' | 'running'; results: Kept[] } => ({
  lathe: null,
  thread: '',
  pace: 'own',
  results: [],
});

/**
 * With one more round. Where there is no more room, the oldest go of ten of the game most played makes it.
 * @example withResult([], { game: 'groove', right: true }).length // 1
 */
export function withResult(results: readonly Result[], r: Result): Kept[] {
  if (results.length < MOST_RESULTS) return [...results, r];
  const most = GAMES.toSorted((a, b) => ofGame(results, b).length - ofGame(results, a).length)[0] ?? r.game;
  const gone = new Set(ofGame(results, most).slice(0, TEN));
  return [...results.filter((x) => !gone.has(x)), r];
}
