import { notGoTurns } from '../gauging/finished.ts';
import { SURE } from '../sizing/decide.ts';
import { testsSinceCut } from './card.ts';
import { threadOfJob } from './derive.ts';
import { DRESSED, type Dressed, type EventOf, type FormReading, type SizeTest } from './events.ts';
import { dressedNow, formCheck, type FormCheck } from './formCheck.ts';
import { measurePlan, type Verdict } from './measure.ts';
import { matesTried, type MateTried } from './matesTried.ts';
import { metalOf } from './metal.ts';
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
  | { readonly of: 'dressed'; readonly left: readonly Dressed[] }
  | { readonly of: 'tried-before-dressing' | 'nothing-measured' }
);
/** What gauges, wires, mate and form say together. */
export interface ProofVerdict {
  readonly is: 'right' | 'wrong' | 'not-yet';
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
  const reasons: Reason[] = [];
  const plan = measurePlan(job, shop);
  const measured = plan?.measured.filter((m) => m.n > metal.lastCutN).at(-1);
  if (measured && plan)
    reasons.push({
      of: 'measured',
      by: plan.by,
      text: measured.text,
      verdict: measured.verdict,
      holds: measured.verdict === 'at-size' ? 'good' : 'bad',
    });
  const belief = beliefOf(job, shop);
  if (belief && tests.length > 0)
    reasons.push({
      of: 'belief',
      inside: belief.answer.inside,
      past: belief.answer.past,
      holds: belief.answer.inside >= SURE ? 'good' : belief.answer.past > 0.5 ? 'bad' : 'due',
    });
  for (const which of ['go', 'not-go'] as const) {
    const e = tests.findLast((x): x is EventOf<'gauged'> => x.kind === 'gauged' && x.which === which);
    if (e)
      reasons.push({
        of: 'gauge',
        which,
        passes: e.passes,
        turns: e.turns,
        holds: gaugeIsRight(e, notGoTurnsOf(job)) ? 'good' : 'bad',
      });
  }
  for (const t of matesTried(job))
    reasons.push({ of: 'mate', mate: t.name, result: t.result, holds: mateHolds(t, job, belief) ? 'good' : 'bad' });
  const form = formCheck(job, shop);
  for (const r of form?.rows ?? [])
    if (r.read && r.ok === false) reasons.push({ of: 'form', what: r.what, text: r.read.text, holds: 'bad' });
  if (form?.virtual && form.virtual.totalMm > 0 && form.virtualMm !== null)
    reasons.push({
      of: 'virtual',
      mm: form.virtualMm,
      limitMm: form.limitMm,
      holds: form.ok === false ? 'bad' : 'good',
    });
  if (form?.taper) reasons.push({ of: 'taper', taper: form.taper, holds: form.taper.ok ? 'good' : 'bad' });
  const done = dressedNow(job);
  const left = DRESSED.filter((d) => !done.has(d));
  reasons.push({ of: 'dressed', left, holds: left.length === 0 ? 'good' : 'due' });
  const proofs = reasons.filter((r) => r.of === 'measured' || r.of === 'gauge' || r.of === 'mate');
  if (proofs.length === 0) reasons.push({ of: 'nothing-measured', holds: 'due' });
  else if (left.length === 0 && !triedSinceDressing(tests, job))
    reasons.push({ of: 'tried-before-dressing', holds: 'due' });
  const is = reasons.some((r) => r.holds === 'bad')
    ? 'wrong'
    : reasons.some((r) => r.holds === 'due' && r.of !== 'belief')
      ? 'not-yet'
      : 'right';
  return { is, reasons };
}

/** Whether a mate speaks for the part: play counts against it only in the mate that decides, and not where the belief has it right. */
function mateHolds(t: MateTried, job: Job, belief: Belief | null): boolean {
  if (t.result === 'runs') return true;
  if (t.result !== 'shakes') return false;
  const decides = belief?.right.by !== 'limits' && (job.prove.mates[0]?.name ?? t.name) === t.name;
  return !decides || (t.shakeMm !== null && belief !== null && belief.answer.inside >= 0.5);
}

/** A burr makes a right thread feel tight, and a thread that was tried with burrs on was not tried. */
function triedSinceDressing(tests: readonly SizeTest[], job: Job): boolean {
  const dressed = Math.max(0, ...job.events.map((e) => (e.kind === 'dressed' ? e.n : 0)));
  return tests.some((e) => e.n > dressed);
}
