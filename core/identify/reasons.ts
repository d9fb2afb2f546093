import type { Evidence, Part } from '../evidence/evidence.ts';
import { bestLikelihood, likelihood, reasonOf } from '../reading/kinds.ts';
import type { Reason } from '../reading/reason.ts';
import type { Expectation } from '../reading/expectation.ts';

/** What speaks for a candidate and what against it. */
export interface Reasons {
  /** What supports the candidate. */
  readonly for: readonly Reason[];
  /** What speaks against it. */
  readonly against: readonly Against[];
}
/** A reason against, and how many times likelier the reading would be had it come out as the candidate would like it best. */
type Against = Reason & { readonly times: number };

/** A reading supports when it is at least this share of the best likelihood any reading of its kind could have here. */
const SUPPORTS = 0.25;
/** And speaks against below this share. */
const AGAINST = 0.1;

/**
 * What speaks for and against a candidate, one for each reading that says anything.
 * @example reasonsFor(expectationOf(formAt('iso60', 1.5), 10, 1.5), 1, [{ quantity: 'flankAngle', valueDeg: 55 }], 'external').against.length // 1
 */
export function reasonsFor(h: Expectation, starts: number, evidence: readonly Evidence[], part: Part): Reasons {
  const out: { for: Reason[]; against: Against[] } = { for: [], against: [] };
  for (const e of evidence) {
    const reason = reasonOf(e, h, part, starts);
    if (!reason) continue;
    if (reason.kind === 'no-rest') {
      out.against.push({ ...reason, times: Infinity });
      continue;
    }
    const share = likelihood(e, h, part, starts) / bestLikelihood(e, h, part, starts);
    if (share >= SUPPORTS) out.for.push(reason);
    else if (share <= AGAINST) out.against.push({ ...reason, times: share > 0 ? 1 / share : Infinity });
  }
  return out;
}
