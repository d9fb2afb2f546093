import { bad, type Outcome } from '../quantity/outcome.ts';
import { ACME_TOLERANCES, STUB_ACME_TOLERANCES } from './acme/limits.ts';
import { BA_TOLERANCES } from './ba/limits.ts';
import type { FamilyId } from './family.ts';
import { METRIC_TOLERANCES } from './iso/limits.ts';
import { NPT_TOLERANCES, PIPE_PARALLEL_TOLERANCES } from './pipe/limits.ts';
import { pitchMmOf, type ThreadSpec } from './thread.ts';
import type { ThreadLimits, Tolerances } from './tolerances.ts';
import { TRAPEZOIDAL_TOLERANCES } from './trapezoidal/limits.ts';
import { UNIFIED_TOLERANCES } from './unified/limits.ts';
import { WHITWORTH_TOLERANCES } from './whitworth/limits.ts';

export type { Limits, MemberLimits, ThreadLimits } from './tolerances.ts';

/** Families whose standard's limits are carried here. */
const BY_FAMILY: Readonly<Partial<Record<FamilyId, Tolerances>>> = {
  M: METRIC_TOLERANCES,
  UNC: UNIFIED_TOLERANCES,
  UNF: UNIFIED_TOLERANCES,
  UNEF: UNIFIED_TOLERANCES,
  UN: UNIFIED_TOLERANCES,
  UNS: UNIFIED_TOLERANCES,
  BSW: WHITWORTH_TOLERANCES,
  BSF: WHITWORTH_TOLERANCES,
  BA: BA_TOLERANCES,
  G: PIPE_PARALLEL_TOLERANCES,
  Acme: ACME_TOLERANCES,
  StubAcme: STUB_ACME_TOLERANCES,
  Tr: TRAPEZOIDAL_TOLERANCES,
  NPT: NPT_TOLERANCES,
};
/**
 * A size that no table lists, in the form of a standard whose limits are a formula of diameter and pitch, is made to that
 * standard's classes all the same.
 */
const BY_FORM: Readonly<Partial<Record<ThreadSpec['form'], Tolerances>>> = {
  acme29: ACME_TOLERANCES,
  stubAcme29: STUB_ACME_TOLERANCES,
  trapezoidal30: TRAPEZOIDAL_TOLERANCES,
};
const tolerancesOf = (thread: ThreadSpec): Tolerances | undefined =>
  thread.family === 'Special' ? BY_FORM[thread.form] : BY_FAMILY[thread.family];

/**
 * Classes that a family's standard has, the usual one first; empty where no limits are carried here.
 * @example classesOf(thread('1-5 Acme')).external // ['2G', '3G', '4G']
 */
export function classesOf(thread: ThreadSpec): {
  readonly external: readonly string[];
  readonly internal: readonly string[];
} {
  const { external, internal } = tolerancesOf(thread) ?? { external: [], internal: [] };
  return { external, internal };
}

/**
 * Limits of size of a thread in a tolerance class, by the thread's own standard with its own rounding.
 * @param engagementMm length of engagement; null for the standard's usual one
 * @example value(limitsOf(thread('M10'), '6g', null)).external.pitch // { min: 8.862, max: 8.994 }; ISO 965-2
 */
export function limitsOf(thread: ThreadSpec, cls: string, engagementMm: number | null): Outcome<ThreadLimits> {
  if (engagementMm !== null && !(engagementMm > 0 && engagementMm < 10_000))
    return bad('engagementMm', 'not-above-zero', { right: 'the usual one, left empty' });
  const tolerances = tolerancesOf(thread);
  const { designation, family, majorMm } = thread;
  return (
    tolerances?.limits({ designation, family, majorMm, pitchMm: pitchMmOf(thread) }, cls, engagementMm) ??
    bad('designation', 'no-limits-here', { designation })
  );
}
