import { aheadOf } from './ahead.ts';
import { cardOf } from './card.ts';
import { latheOf } from './derive.ts';
import { feedOf } from './feed.ts';
import { metalOf, standingOfPart } from './metal.ts';
import { setTo } from './nextPass.ts';
import type { PlannedPass } from '../cutting/plan.ts';
import { good, type Outcome } from '../quantity/outcome.ts';
import type { Job, Shop } from './schema.ts';
import type { Setting } from './slides.ts';

/** One pass as it stands on a card: what was cut is told from the ledger, what is to come from the plan. */
interface PassRow {
  /** Counted from 1; a spring pass between stages has the number of the pass it repeats. */
  readonly n: number;
  readonly spring: boolean;
  readonly done: boolean;
  readonly depthMm: number;
  readonly takesMm: number;
  /** What the slide that feeds is set to; null: done already, or no lathe is chosen. */
  readonly setting: Setting | null;
}
/** The passes as a table, with those that are cut. */
export interface PassRows {
  readonly rows: readonly PassRow[];
  /** Surface that the passes are counted from, mm; `measured` false: nobody has measured it, it is what Fit wants. */
  readonly surfaceMm: number | null;
  readonly measured: boolean;
  /** Spring passes after the last one. */
  readonly springs: number;
  /** Which start they are of, from 1. */
  readonly start: number;
}

/**
 * Every pass of the part: those cut, then those to come. Null: no thread is named. Refused: as the plan is.
 * @example passRowsOf(demo('press'), shop) // null
 * @example passRowsOf(demo('sluice'), shop).value.rows[0].n // 1
 */
export function passRowsOf(job: Job, shop: Shop): Outcome<PassRows> | null {
  const metal = metalOf(job);
  const lathe = latheOf(job, shop);
  const surfaceMm = metal.surfaceMm ?? metal.measuredMm;
  const answer = (rows: readonly PassRow[], countedFromMm: number | null): Outcome<PassRows> =>
    good({
      rows,
      surfaceMm: countedFromMm,
      measured: metal.cuts > 0 || surfaceMm !== null,
      springs: job.cut.springs,
      start: metal.start,
    });
  if (metal.cuts === 0) {
    const ahead = aheadOf(job, shop);
    if (!ahead?.ok) return ahead;
    const { request, plan } = ahead.value;
    const untouched: Job = { ...job, events: [] };
    const bare = metalOf(untouched);
    const at = { metal: { ...bare, grooveMm: metal.grooveMm }, feed: feedOf(untouched, bare), request, lathe };
    return answer(toCome(plan.passes, 0, Math.max(request.grooveMm, 0), at), request.surfaceMm);
  }
  const { plan, request, feed } = cardOf(job, shop, null);
  const own = standingOfPart(job)
    .filter((e) => e.kind === 'cut')
    .slice(-metal.cuts);
  const done = own.map((e, i): PassRow => {
    const before = own[i - 1]?.depthMm ?? Math.max(0, metal.grooveMm ?? 0);
    return { n: i + 1, spring: false, done: true, depthMm: e.depthMm, takesMm: e.depthMm - before, setting: null };
  });
  const left =
    plan && request ? toCome(plan.passes, metal.cuts, Math.max(metal.depthMm, 0), { metal, feed, request, lathe }) : [];
  return answer([...done, ...left], surfaceMm);
}

function toCome(
  passes: readonly PlannedPass[],
  cuts: number,
  fromMm: number,
  at: Parameters<typeof setTo>[1],
): PassRow[] {
  let n = cuts;
  let from = fromMm;
  return passes.map((p) => {
    if (!p.spring) n += 1;
    const made = setTo(p, at);
    const row = {
      n,
      spring: p.spring,
      done: false,
      depthMm: made.depthMm,
      takesMm: Math.max(0, made.depthMm - from),
      setting: made.settings.find((s) => s.feeds) ?? made.settings[0] ?? null,
    };
    from = Math.max(from, made.depthMm);
    return row;
  });
}
