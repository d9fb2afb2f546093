import { pitchMmOf } from '../standards/thread.ts';
import { testsSinceCut } from './card.ts';
import { threadOfJob } from './derive.ts';
import { DRESSED, type SizeTest } from './events.ts';
import { dressedNow, formCheck } from './formCheck.ts';
import { matesUntried } from './matesTried.ts';
import { measurePlan } from './measure.ts';
import type { Metal } from './metal.ts';
import { MOST_SPRINGS } from '../sizing/cut.ts';
import type { Job, Shop } from './schema.ts';
import { passRisk, type Belief } from './sizing.ts';
import { settableStep } from './settableStep.ts';

/** Another way of knowing the size. */
export type MeasureBy = 'wires' | 'balls' | 'gauge' | 'mate';
/** What may be done where nothing more can be made of what is known: each of it changes something. */
export type Otherwise =
  | { readonly do: 'clean' }
  | { readonly do: 'measure'; readonly by: MeasureBy; readonly mate: string | null }
  /** The least that a hand can set and that cuts, radial mm, and its chance of going past. */
  | { readonly do: 'cut'; readonly byMm: number; readonly risk: number }
  /** The same setting again, and its chance of going past: it closes on the dial. */
  | { readonly do: 'spring'; readonly risk: number }
  /** Let be with what is known, signed. @see accept */
  | { readonly do: 'accept'; readonly inside: number | null };

/** Why a mate stops although the size is right by what was measured, each with a look that decides. */
const LOOKS = ['burrs', 'dirt', 'lead', 'flanks', 'root', 'mate'] as const;
/** One of LOOKS. */
export type Look = (typeof LOOKS)[number];

/** The least cut that is worth setting: under this the tool rubs as often as it cuts, radial mm; and its share of the root of the pitch. Common practice, no source. */
const LEAST_WORTH_MM = 0.005;
const LEAST_WORTH_SHARE = 0.005;

/**
 * The least that can be cut from here without harm, radial mm, as the lathe's dial can be set to it; null: even that may well go
 * past. Common practice, no source.
 */
function leastCut(job: Job, shop: Shop, metal: Metal): { readonly byMm: number; readonly risk: number } | null {
  const thread = threadOfJob(job);
  if (!thread) return null;
  const wanted = Math.max(LEAST_WORTH_MM, LEAST_WORTH_SHARE * Math.sqrt(pitchMmOf(thread)));
  const byMm = settableStep(job, shop, metal, wanted);
  if (byMm === null) return null;
  const risk = passRisk(job, shop, metal.depthMm + byMm) ?? 0;
  return risk > LEAST_MAY_RISK ? null : { byMm, risk };
}
/** Where nothing else is left to do the least may risk so much, and says so. */
const LEAST_MAY_RISK = 0.2;

/**
 * What may be done instead: clean and try again, know the size in a way not used since the last cut, cut the least that can do
 * harm, or accept it.
 * @example otherwise(demo('press'), shop, metal(demo('press')), null).map((o) => o.do) // ['clean', 'measure', 'accept']
 */
export function otherwise(job: Job, shop: Shop, metal: Metal, belief: Belief | null): readonly Otherwise[] {
  const tests = testsSinceCut(job, metal);
  const used = new Set(tests.map(byOf));
  const plan = measurePlan(job, shop);
  const ways: Otherwise[] = [];
  if (plan?.atHand && plan.check.ok && !used.has(plan.by)) ways.push({ do: 'measure', by: plan.by, mate: null });
  const [mate] = matesUntried(job);
  if (mate || !used.has('mate')) ways.push({ do: 'measure', by: 'mate', mate: mate?.name ?? null });
  const least = leastCut(job, shop, metal);
  return [
    ...(dressedNow(job).size < DRESSED.length ? [{ do: 'clean' as const }] : []),
    ...ways,
    ...springing(job, shop, metal),
    ...(least === null ? [] : [{ do: 'cut' as const, ...least }]),
    { do: 'accept', inside: belief?.answer.inside ?? null },
  ];
}
/** The same setting again, where the tool may still stand off its dial and it is not likely to go past. */
function springing(job: Job, shop: Shop, metal: Metal): Otherwise[] {
  const risk = passRisk(job, shop, metal.depthMm);
  return risk === null || risk > LEAST_MAY_RISK || metal.springs >= MOST_SPRINGS ? [] : [{ do: 'spring', risk }];
}
const byOf = (e: SizeTest): MeasureBy =>
  e.kind === 'tried' ? 'mate' : e.kind === 'gauged' ? 'gauge' : e.kind === 'betweenBalls' ? 'balls' : 'wires';

/**
 * What to look at before a cut, where a mate stops on a part that measures right: what was looked at already is left out.
 * @example looksLeft(demo('pump'), shop) // ['burrs', 'dirt', 'lead', 'flanks', 'root', 'mate']
 */
export function looksLeft(job: Job, shop: Shop): readonly Look[] {
  const dressed = dressedNow(job);
  const rows = formCheck(job, shop)?.rows ?? [];
  const read = (...what: readonly string[]): boolean => rows.some((r) => r.read !== null && what.includes(r.what));
  const done: Readonly<Record<Look, boolean>> = {
    burrs: DRESSED.every((d) => d === 'clean' || dressed.has(d)),
    dirt: dressed.has('clean'),
    lead: read('lead'),
    flanks: read('leadingFlank', 'trailingFlank'),
    root: read('minorDiameter', 'majorDiameter', 'rootFlat'),
    mate: false,
  };
  return LOOKS.filter((l) => !done[l]);
}
