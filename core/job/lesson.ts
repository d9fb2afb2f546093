import { cutsPlanned } from '../cutting/plan.ts';
import { median } from '../numeric/sorted.ts';
import { aheadOf } from './ahead.ts';
import { emptyShop, USUAL_CAP_MM, USUAL_SPRINGS } from './create.ts';
import { threadOfJob } from './derive.ts';
import { isSizeTest } from './events.ts';
import { metalOf, standingOfPart } from './metal.ts';
import type { Job } from './schema.ts';

/** What one finished part taught, as it is kept beside its job. Depths mm, radial. */
export interface Lesson {
  readonly lathe: string | null;
  readonly material: string;
  /** Passes that the plan had from the surface, and those that were cut. */
  readonly planned: number;
  readonly cut: number;
  /** Spring passes at the depth at which it was right. */
  readonly springs: number;
  /** No pass was to be deeper than this, mm radial; null: no limit was set, or each pass took the same. */
  readonly capMm: number | null;
  /** How often it was tried, gauged or measured before it was right. */
  readonly tries: number;
  /** By how much it was cut deeper than planned: what sprang away, mostly; mm. */
  readonly beyondMm: number;
  readonly at: string;
}

/** The plan's passes do not hang on the lathe beyond its dial, and a row of the list is made without the shop. */
const NO_SHOP = emptyShop();
/** Nothing is learned from a part that was cut in fewer passes: it was a trial, or the record is not whole. */
const LEAST_PASSES = 2;

/**
 * What a job taught; null: it is not finished, was scrapped, or its record says too little.
 * @example lessonOf(demo('pump')) // null; it is not finished
 * @example lessonOf(demo('brass')).planned // 6
 */
export function lessonOf(job: Job): Lesson | null {
  if (job.record.verdict === null || job.record.verdict === 'scrapped' || !threadOfJob(job)) return null;
  const metal = metalOf(job);
  if (metal.assumed || metal.touched !== 'surface') return null;
  const events = standingOfPart(job, metal.part);
  const cut = events.filter((e) => e.kind === 'cut').length;
  const ahead = aheadOf(job, NO_SHOP);
  if (cut < LEAST_PASSES || !ahead?.ok) return null;
  return {
    lathe: job.gears.lathe,
    material: job.intake.material,
    planned: cutsPlanned(ahead.value.plan),
    cut,
    springs: metal.springs,
    capMm: job.cut.rule === 'step' ? null : job.cut.firstMaxMm,
    tries: events.filter(isSizeTest).length,
    beyondMm: metal.depthMm - ahead.value.plan.depthMm,
    at: job.changed,
  };
}

/**
 * What of the schedule the shop may propose: nothing is cut yet, and the number is still the usual one.
 * @example proposedBy(demo('latch'), { springs: 3, capMm: 0.2 }) // { springs: 3, firstMaxMm: 0.2 }
 */
export function proposedBy(job: Job, learned: Learned): { readonly springs?: number; readonly firstMaxMm?: number } {
  const { springs, springsFrom, firstMaxMm, firstMaxFrom } = job.cut;
  if (metalOf(job).lastCutN !== 0) return {};
  return {
    ...(springs === USUAL_SPRINGS && springsFrom === undefined ? { springs: learned.springs } : {}),
    ...(firstMaxMm === USUAL_CAP_MM && firstMaxFrom === undefined && learned.capMm !== null
      ? { firstMaxMm: learned.capMm }
      : {}),
  };
}

/** What several lessons say together. */
export interface Learned {
  /** Whether they are of this lathe and material, of the lathe alone, or of the material alone. */
  readonly of: 'both' | 'lathe' | 'material';
  readonly jobs: number;
  readonly springs: number;
  /** No pass deeper than this, mm radial; null: none of them had such a limit. */
  readonly capMm: number | null;
  readonly tries: number;
  /** Passes cut to passes planned. */
  readonly passes: number;
  readonly beyondMm: number;
}

/**
 * The middle of what was found on this lathe in this material; where nothing was, on the lathe in any; then in the material on
 * any. A middle and not a mean: one part that went wrong says little of the next. Null: nothing was learned yet.
 * @example learnedFor([], null, 'bronze') // null
 */
export function learnedFor(lessons: readonly Lesson[], lathe: string | null, material: string): Learned | null {
  const same = lessons.filter((l) => l.lathe === lathe && lathe !== null);
  const among = [
    ['both', material === '' ? [] : same.filter((l) => l.material === material)],
    ['lathe', same],
    ['material', material === '' ? [] : lessons.filter((l) => l.material === material)],
  ] as const;
  const [of, found] = among.find(([, l]) => l.length > 0) ?? [];
  if (!of || !found) return null;
  const caps = found.flatMap((l) => l.capMm ?? []);
  const mid = (f: (l: Lesson) => number): number => median(found.map(f));
  return {
    of,
    jobs: found.length,
    springs: Math.round(mid((l) => l.springs)),
    capMm: caps.length > 0 ? median(caps) : null,
    tries: Math.round(mid((l) => l.tries)),
    passes: mid((l) => l.cut / l.planned),
    beyondMm: mid((l) => l.beyondMm),
  };
}
