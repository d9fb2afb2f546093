import type { Evidence, Part } from '../evidence/evidence.ts';
import type { FamilyId } from '../standards/family.ts';
import { threadOfRow, type ThreadSpec } from '../standards/thread.ts';
import { FAMILY_IDS } from '../standards/family.ts';
import {
  familyWeight,
  hypotheses,
  SPECIAL_PRIOR,
  startsPrior,
  type Context,
  type Expectation,
  type Hypothesis,
} from './hypotheses.ts';
import { likelihood, weights } from './likelihood.ts';
import { weighSpecials, type SpecialFinding } from './special.ts';

export interface Candidate {
  readonly thread: ThreadSpec;
  readonly expectation: Expectation;
  readonly starts: number;
  readonly probability: number;
}

export interface Ranking {
  readonly candidates: readonly Candidate[];
  readonly special: SpecialFinding & { readonly probability: number };
}

export interface RankRequest {
  readonly part: Part;
  readonly evidence: readonly Evidence[];
  readonly context: Context;
  readonly most: number;
  /** Most starts considered. */
  readonly maxStarts?: number;
}

const startsMatter = (e: Evidence): boolean => e.quantity === 'starts' || e.quantity === 'lead';

/**
 * Posterior probability of every published row (with 1 to 4 starts) and of "special", given all the evidence: prior by
 * commonness and context times the product of the likelihoods. Probabilities over all rows and special sum to 1.
 */
export function rank(request: RankRequest): Ranking {
  const { part, evidence, context } = request;
  const maxStarts = request.maxStarts ?? 4;
  const w = weights(evidence, part);
  const familyTotal = FAMILY_IDS.reduce((sum, id) => sum + familyWeight(id, context), 0);
  const share = new Map<FamilyId, number>(
    FAMILY_IDS.map((id) => [id, ((1 - SPECIAL_PRIOR) * familyWeight(id, context)) / familyTotal]),
  );
  const scored: { h: Hypothesis; starts: number; mass: number }[] = [];
  let total = 0;
  for (const h of hypotheses()) {
    let base = h.prior * (share.get(h.row.family) ?? 0);
    for (let i = 0; i < evidence.length && base > 0; i += 1) {
      const e = evidence[i];
      if (e && !startsMatter(e)) base *= likelihood(e, h, part, 1) ** (w[i] ?? 1);
    }
    for (let starts = 1; starts <= maxStarts; starts += 1) {
      let mass = base * startsPrior(h.row.family, starts);
      for (const e of evidence) if (startsMatter(e)) mass *= likelihood(e, h, part, starts);
      total += mass;
      scored.push({ h, starts, mass });
    }
  }
  const special = weighSpecials(evidence, part);
  total += special.probabilityMass;
  const sum = total > 0 ? total : 1;
  const candidates = scored
    .sort((a, b) => b.mass - a.mass)
    .slice(0, request.most)
    .map(({ h, starts, mass }) => ({
      thread: threadOfRow(h.row, starts),
      expectation: h,
      starts,
      probability: mass / sum,
    }));
  return { candidates, special: { ...special, probability: special.probabilityMass / sum } };
}
