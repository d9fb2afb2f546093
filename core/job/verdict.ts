import { notGoTurns } from '../gauging/finished.ts';
import { SURE } from '../sizing/decide.ts';
import { testsSinceCut } from './card.ts';
import { fitOfJob, threadOfJob } from './derive.ts';
import { DRESSED, type Dressed, type EventOf, type FormReading, type SizeTest } from './events.ts';
import { dressedNow, formCheck, type FormCheck } from './formCheck.ts';
import { measurePlan, type Verdict } from './measure.ts';
import { matesTried, matesUntried, type MateTried } from './matesTried.ts';
import { metalOf, standingOfPart, type Metal } from './metal.ts';
import { matesByLength } from './rightBy.ts';
import type { Job, Shop } from './schema.ts';
import { beliefOf, type Belief } from './sizing.ts';

/** One thing on which a verdict rests; good: it speaks for the part, bad: against it, due: nobody has looked. */
export type Reason = { readonly holds: 'good' | 'bad' | 'due' } & (
  | { readonly of: 'measured'; readonly text: string; readonly verdict: Verdict; readonly by: 'wires' | 'balls' }
  | { readonly of: 'belief'; readonly inside: number; readonly past: number }
  | { readonly of: 'gauge'; readonly which: 'go' | 'not-go'; readonly passes: boolean; readonly turns: number | null }
  | { readonly of: 'mate'; readonly mate: string; readonly result: Exclude<EventOf<'tried'>['result'], 'note'> }
  | { readonly of: 'form'; readonly what: FormReading; readonly text: string }
  | { readonly of: 'taper'; readonly taper: NonNullable<FormCheck['taper']> }
  | { readonly of: 'virtual'; readonly mm: number; readonly limitMm: number }
  /** Two readings since the last cut that cannot both be right: so far apart, and so far apart they may be. */
  | { readonly of: 'readings-apart'; readonly by: 'wires' | 'balls'; readonly mm: number; readonly mayMm: number }
  /** A mate that it has to go with and that nobody has tried since the last cut. */
  | { readonly of: 'untried'; readonly mate: string }
  /** A lead that is off takes so much of a gauge's pitch diameter over its length; it may take its tolerance. */
  | { readonly of: 'gauge-lead'; readonly mm: number; readonly mayMm: number }
  | { readonly of: 'accepted'; readonly by: string; readonly inside: number | null }
  | { readonly of: 'dressed'; readonly left: readonly Dressed[] }
  | { readonly of: 'tried-before-dressing' | 'nothing-measured' }
);
/** What gauges, wires, mate and form say together. */
export interface ProofVerdict {
  readonly is: 'right' | 'wrong' | 'not-yet' | 'to-finish' | 'accepted';
  readonly reasons: readonly Reason[];
}

/** Standards whose not-go gauge may enter three turns. */
const AMERICAN: ReadonlySet<string> = new Set(['UNC', 'UNF', 'UNEF', 'UN', 'UNS', 'Acme', 'StubAcme', 'NPT']);
/**
 * Turns that a not-go gauge may enter this thread.
 * @example [notGoTurnsOf(demo('pump')), notGoTurnsOf(demo('auger'))] // [2, 3]; metric, Unified
 */
export const notGoTurnsOf = (job: Job): number => notGoTurns(AMERICAN.has(threadOfJob(job)?.family ?? ''));

/** A gauge that went as it should: the go all the way, the not-go no further than it may. */
const gaugeIsRight = (e: Pick<EventOf<'gauged'>, 'which' | 'passes' | 'turns'>, may: number): boolean =>
  e.which === 'go' ? e.passes : !e.passes && (e.turns ?? 0) <= may;

/**
 * What everything together says of the part on the lathe, with its reasons, and what is still to be done before it is said.
 * @example proofVerdict(demo('pump'), shop).is // 'not-yet'
 */
export function proofVerdict(job: Job, shop: Shop): ProofVerdict {
  const metal = metalOf(job);
  const tests = testsSinceCut(job, metal);
  const reasons: Reason[] = [...measuredReasons(job, shop, metal)];
  const belief = beliefOf(job, shop);
  if (belief && tests.length > 0)
    reasons.push({
      of: 'belief',
      inside: belief.answer.inside,
      past: belief.answer.past,
      holds: belief.answer.inside >= SURE ? 'good' : belief.answer.past > 0.5 ? 'bad' : 'due',
    });
  reasons.push(...gaugeReasons(job, tests), ...mateReasons(job, belief), ...formReasons(job, shop));
  const done = dressedNow(job);
  const left = DRESSED.filter((d) => !done.has(d));
  reasons.push({ of: 'dressed', left, holds: left.length === 0 ? 'good' : 'due' });
  const proofs = reasons.filter((r) => r.of === 'measured' || r.of === 'gauge' || r.of === 'mate');
  if (proofs.length === 0) reasons.push({ of: 'nothing-measured', holds: 'due' });
  else if (left.length === 0 && !triedSinceDressing(tests, job))
    reasons.push({ of: 'tried-before-dressing', holds: 'due' });
  const accepted = standingOfPart(job, metal.part).findLast((e): e is EventOf<'accepted'> => e.kind === 'accepted');
  if (accepted) reasons.push({ of: 'accepted', by: accepted.by, inside: accepted.inside, holds: 'good' });
  return { is: isOf(reasons, accepted !== undefined), reasons };
}

/** Over wires or between balls, since metal was last cut. */
function measuredReasons(job: Job, shop: Shop, metal: Metal): Reason[] {
  const plan = measurePlan(job, shop);
  const since = plan?.measured.filter((m) => m.n > metal.lastCutN) ?? [];
  const last = since.at(-1);
  if (!plan || !last) return [];
  const { text, verdict } = last;
  const apart = readingsApart(since);
  return [
    { of: 'measured', by: plan.by, text, verdict, holds: verdict === 'at-size' ? 'good' : 'bad' },
    ...(apart ? [{ of: 'readings-apart' as const, by: plan.by, ...apart, holds: 'due' as const }] : []),
  ];
}

/** Each limit gauge by its last trial. */
const gaugeReasons = (job: Job, tests: readonly SizeTest[]): Reason[] =>
  (['go', 'not-go'] as const).flatMap((which): Reason[] => {
    const e = tests.findLast((x): x is EventOf<'gauged'> => x.kind === 'gauged' && x.which === which);
    if (!e) return [];
    const { passes, turns } = e;
    return [{ of: 'gauge', which, passes, turns, holds: gaugeIsRight(e, notGoTurnsOf(job)) ? 'good' : 'bad' }];
  });

/** Each mate by its last trial, and those that it has to go with and nobody tried. */
function mateReasons(job: Job, belief: Belief | null): Reason[] {
  return [
    ...matesTried(job).map((t): Reason => ({
      of: 'mate',
      mate: t.name,
      result: t.result,
      holds: mateHolds(t, job, belief) ? 'good' : 'bad',
    })),
    ...matesUntried(job).map((m): Reason => ({ of: 'untried', mate: m.name, holds: 'due' })),
  ];
}

/** What was read of the form, and what it does to the fit. */
function formReasons(job: Job, shop: Shop): Reason[] {
  const form = formCheck(job, shop);
  if (!form) return [];
  const { virtual, virtualMm, limitMm, taper } = form;
  const wrong = form.rows.flatMap((r): Reason[] =>
    r.read && r.ok === false ? [{ of: 'form', what: r.what, text: r.read.text, holds: 'bad' }] : [],
  );
  return [
    ...wrong,
    ...(virtual && virtual.totalMm > 0 && virtualMm !== null
      ? [
          {
            of: 'virtual' as const,
            mm: virtualMm,
            limitMm,
            holds: form.ok === false ? ('bad' as const) : ('good' as const),
          },
        ]
      : []),
    ...gaugeLead(job, form),
    ...(taper ? [{ of: 'taper' as const, taper, holds: taper.ok ? ('good' as const) : ('bad' as const) }] : []),
  ];
}
/** A gauge is not right while its lead, over its length, takes more than its own tolerance. */
function gaugeLead(job: Job, { lead, virtual }: FormCheck): Reason[] {
  const gauge = fitOfJob(job)?.gauge ?? null;
  if (!gauge || !lead || !virtual) return [];
  const mayMm = gauge.toleranceMm * GAUGE_SHARE;
  return [{ of: 'gauge-lead', mm: virtual.leadMm, mayMm, holds: virtual.leadMm <= mayMm ? 'good' : 'bad' }];
}

/** What is left once it measures right and nothing speaks against it. */
const FINISHING: ReadonlySet<Reason['of']> = new Set(['dressed', 'tried-before-dressing']);
function isOf(reasons: readonly Reason[], accepted: boolean): ProofVerdict['is'] {
  const due = reasons.filter((r) => r.holds === 'due' && r.of !== 'belief');
  const bad = reasons.some((r) => r.holds === 'bad');
  if (accepted && (bad || due.length > 0)) return 'accepted';
  if (bad) return 'wrong';
  return due.length === 0 ? 'right' : due.every((r) => FINISHING.has(r.of)) ? 'to-finish' : 'not-yet';
}

/** Readings so many standard uncertainties apart are not two of one size: a burr, dirt, a wire not home. */
const APART = 4;
/** Of a gauge's work tolerance a tenth is the gauge's own. ISO 1502, from memory. */
const GAUGE_SHARE = 0.1;
/** The last reading against those before it since the cut; null: they agree. */
function readingsApart(
  read: readonly { readonly pitchDiameterMm: number; readonly uncertaintyMm: number; readonly atMm: number | null }[],
): { readonly mm: number; readonly mayMm: number } | null {
  const last = read.at(-1);
  const before = read.at(-2);
  // elsewhere on the thread another size is no slip
  if (!last || !before || last.atMm !== before.atMm) return null;
  const mm = Math.abs(last.pitchDiameterMm - before.pitchDiameterMm);
  const mayMm = APART * Math.hypot(last.uncertaintyMm, before.uncertaintyMm);
  return mm > mayMm ? { mm, mayMm } : null;
}

/** Whether a mate speaks for the part: play counts against it only in the mate that decides, and not where the belief has it right. */
function mateHolds(t: MateTried, job: Job, belief: Belief | null): boolean {
  if (t.result === 'runs') return true;
  if (t.result !== 'shakes') return false;
  const decides = belief?.right.by !== 'limits' && (matesByLength(job)[0]?.name ?? t.name) === t.name;
  return !decides || (t.shakeMm !== null && belief !== null && belief.answer.inside >= 0.5);
}

/** A burr makes a right thread feel tight, and a thread that was tried with burrs on was not tried. */
function triedSinceDressing(tests: readonly SizeTest[], job: Job): boolean {
  const dressed = Math.max(0, ...job.events.map((e) => (e.kind === 'dressed' ? e.n : 0)));
  return tests.some((e) => e.n > dressed);
}
