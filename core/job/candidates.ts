import { probabilityClaimed } from '../identify/claimed.ts';
import { deciding, residuals, type Deciding, type Residual, type Rivalling } from '../identify/deciding.ts';
import { expectationOf } from '../reading/expectation.ts';
import type { Ranking } from '../identify/rank.ts';
import { reasonsFor, type Reasons } from '../identify/reasons.ts';
import { pitchMmOf, threadFormOf, type ThreadSpec } from '../standards/thread.ts';
import { evidenceOfJob, partOf } from './evidence.ts';
import type { Job } from './schema.ts';
import { specialOf } from './special.ts';

/** One name that the readings leave possible, as it is shown. */
export interface CandidateView extends Rivalling {
  readonly thread: ThreadSpec;
  readonly probability: number;
  /** In no table: its sizes are those read. */
  readonly special: boolean;
  /** Another name that the readings cannot tell from this one. */
  readonly or: string | null;
  readonly why: Reasons;
  /** What was read that puts it behind the first; null on the first, and where nothing read tells them apart. */
  readonly behind: Deciding | null;
}

const SHOWN = 5;
/** The first two always, others while they are worth a look. */
const WORTH_A_LOOK = 0.004;
const MOST_RESIDUALS = 4;

/**
 * The likeliest names, the special among them, likeliest first, each with the one reading that decides against it.
 * @example candidatesOf(ranking(demo('pump')), demo('pump')).map((c) => c.thread.designation)[0] // 'M30x2'
 */
export function candidatesOf(ranking: Ranking, job: Job): CandidateView[] {
  const part = partOf(job);
  const evidence = evidenceOfJob(job);
  const rows = ranking.candidates
    .filter((c, i) => i < 2 || c.probability >= WORTH_A_LOOK)
    .slice(0, SHOWN)
    .map((c) => ({ ...c, special: false }));
  const own = ranking.special.majorMm > 0 ? specialOf(ranking, job) : null;
  const special = own && {
    thread: own,
    expectation: expectationOf(threadFormOf(own), own.majorMm, pitchMmOf(own)),
    starts: own.starts,
    probability: ranking.special.probability,
    special: true,
    or: null,
  };
  const all = [...rows, ...(special ? [special] : [])].toSorted((a, b) => b.probability - a.probability);
  const first = all[0];
  return all.map((c) => ({
    ...c,
    why: reasonsFor(c.expectation, c.starts, evidence, part),
    behind: first && c !== first ? deciding(first, c, evidence, part) : null,
  }));
}

/**
 * Whether two names are one form, size and pitch, and differ in their starts or hand alone.
 * @example [sameSection(thread('M30x2'), thread('M24x2')), sameSection(thread('M30x2'), thread('M30x2'))] // [false, true]
 */
export const sameSection = (a: ThreadSpec, b: ThreadSpec): boolean =>
  a.majorMm === b.majorMm && a.pitch === b.pitch && a.form === b.form && a.form !== 'special';

/**
 * Where the readings lie between two of them.
 * @example residualsOf(ranking(demo('pump')).candidates[0], ranking(demo('pump')).candidates[0], demo('pump')) // []; nothing tells a thread from itself
 */
export const residualsOf = (a: Rivalling, b: Rivalling, job: Job): Residual[] =>
  residuals(a, b, evidenceOfJob(job), partOf(job), MOST_RESIDUALS);

/**
 * How likely the readings leave a thread that somebody names, 0 to 1.
 * @example probabilityOf(thread('M30x2'), ranking(demo('pump')), demo('pump')) > 0.9 // true
 */
export function probabilityOf(thread: ThreadSpec, ranking: Ranking, job: Job): number {
  const found = ranking.candidates.find((c) => c.thread.designation === thread.designation);
  if (found) return found.probability;
  const expectation = expectationOf(threadFormOf(thread), thread.majorMm, pitchMmOf(thread));
  return probabilityClaimed({ expectation, starts: thread.starts }, ranking, evidenceOfJob(job), partOf(job));
}
