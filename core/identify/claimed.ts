import type { Evidence, Part } from '../evidence/evidence.ts';
import { likelihood } from '../reading/kinds.ts';
import type { Rivalling } from './deciding.ts';
import type { Ranking } from './rank.ts';
import { weighed } from './weights.ts';

/** ln of what all the readings together say of a thread. */
function logLikelihood(h: Rivalling, evidence: readonly Evidence[], part: Part): number {
  return weighed(evidence, part).reduce(
    (sum, { e, w }) => sum + w * Math.log(Math.max(likelihood(e, h.expectation, part, h.starts), 1e-300)),
    0,
  );
}

/**
 * Probability, 0 to 1, of a thread that somebody names: their word puts it on even terms with the likeliest row of the tables,
 * and the readings judge it like any other.
 * @example probabilityClaimed({ expectation: expectationOf(formAt('whitworth55', 2), 24, 2), starts: 1 }, ranking(demo('pump')), evidence(demo('pump')), 'external') < 0.001 // true; a shaft of 30 mm is no 24 mm
 */
export function probabilityClaimed(
  claimed: Rivalling,
  ranking: Ranking,
  evidence: readonly Evidence[],
  part: Part,
): number {
  const top = ranking.candidates[0];
  if (!top) return 0;
  const times = Math.exp(logLikelihood(claimed, evidence, part) - logLikelihood(top, evidence, part));
  const mass = times * top.probability;
  return Number.isFinite(mass) ? mass / (1 + mass) : 1;
}
