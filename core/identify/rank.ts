import type { Evidence, Part } from '../evidence/evidence.ts';
import type { FamilyId } from '../standards/family.ts';
import { threadOfRow, type ThreadSpec } from '../standards/thread.ts';
import { FAMILY_IDS } from '../standards/family.ts';
import type { Expectation } from '../reading/expectation.ts';
import { familyFavour, hypotheses, SPECIAL_PRIOR, startsPrior, type Context, type Hypothesis } from './hypotheses.ts';
import { EDGES } from '../reading/edge.ts';
import { kindOf, likelihood } from '../reading/kinds.ts';
import { power, sharpestFirst, weighed } from './weights.ts';
import { weighSpecials, type SpecialFinding } from './special.ts';

interface Candidate {
  readonly thread: ThreadSpec;
  readonly expectation: Expectation;
  readonly starts: number;
  readonly probability: number;
  /** Another name that the readings cannot tell from this one; its probability is counted in. */
  readonly or: string | null;
}

/** Every thread that the readings allow, likeliest first, and how likely none of a table is. */
export interface Ranking {
  readonly candidates: readonly Candidate[];
  readonly special: SpecialFinding & { readonly probability: number };
}

/** What was read, of which member, with what is known of the machine it is from. */
export interface RankRequest {
  readonly part: Part;
  readonly evidence: readonly Evidence[];
  readonly context: Context;
  readonly most: number;
  /** Most starts considered. */
  readonly maxStarts?: number;
}

/** The hand last read; right when it was not. */
const handRead = (evidence: readonly Evidence[]): 'right' | 'left' =>
  evidence.reduce<'right' | 'left'>((hand, e) => (e.quantity === 'hand' ? e.hand : hand), 'right');

/** Share of the total below which a hypothesis is dropped. */
const NEGLIGIBLE = 1e-13;

/** Readings that say something else of two starts than of one: these are weighed start by start. */
const startsMatter = (e: Evidence): boolean => kindOf(e.quantity).onStarts;

/**
 * Posterior probability of every published row (with 1 to 4 starts) and of "special", given all the evidence: prior by
 * commonness and context times the product of the likelihoods. Probabilities over all rows and special sum to 1.
 * @example rank({ part: 'external', evidence: [{ quantity: 'majorDiameter', valueMm: 9.9, wear: 'unworn' }, { quantity: 'pitchLeaf', pitchMm: 1.5, fit: 'fits' }], context: { origin: null, use: null }, most: 1 }).candidates[0].thread.designation // 'M10'
 */
export function rank(request: RankRequest): Ranking {
  const { part, evidence, context } = request;
  const counted = evidence.reduce((n, e) => (e.quantity === 'starts' ? Math.max(n, e.count) : n), 4);
  const maxStarts = request.maxStarts ?? counted;
  const rows = hypotheses();
  const favour = new Map<FamilyId, number>(FAMILY_IDS.map((id) => [id, familyFavour(id, context)]));
  let priorTotal = 0;
  for (const h of rows) priorTotal += h.prior * (favour.get(h.row.family) ?? 0);
  const scale = (1 - SPECIAL_PRIOR) / priorTotal;
  const all = weighed(evidence, part);
  const plain = sharpestFirst(all.filter(({ e }) => !startsMatter(e)));
  const onStarts = all.filter(({ e }) => startsMatter(e));
  const scored: { h: Hypothesis; starts: number; mass: number }[] = [];
  // the specials first: rows that could not matter beside them are not followed
  const special = weighSpecials(evidence, part, context);
  let total = special.probabilityMass;
  // crest and root tell an NPTF from an NPT; without them the two are one, under the commoner name
  const edgesRead = evidence.some((e) => EDGES.includes(e.quantity));
  for (const h of rows) {
    if (!edgesRead && h.twin && h.row.family === 'NPTF') continue;
    const both = !edgesRead && h.twin ? h.prior + h.twin.prior : h.prior;
    let base = scale * both * (favour.get(h.row.family) ?? 0);
    for (const { e, w: weight } of plain) {
      base *= power(likelihood(e, h, part, 1), weight);
      if (base < NEGLIGIBLE * total) break;
    }
    // what could not change the last printed digit of any probability is not followed further
    if (base < NEGLIGIBLE * total) continue;
    for (let starts = 1; starts <= maxStarts; starts += 1) {
      let mass = base * startsPrior(h.row.family, starts);
      for (const { e, w: weight } of onStarts) mass *= power(likelihood(e, h, part, starts), weight);
      total += mass;
      scored.push({ h, starts, mass });
    }
  }
  const leftHand = handRead(evidence) === 'left';
  const sum = total > 0 ? total : 1;
  const candidates = scored
    .sort((a, b) => b.mass - a.mass)
    .slice(0, request.most)
    .map(({ h, starts, mass }) => ({
      thread: threadOfRow(h.row, starts, leftHand),
      expectation: h,
      starts,
      probability: mass / sum,
      or: !edgesRead && h.twin ? h.twin.designation : null,
    }));
  return { candidates, special: { ...special, probability: special.probabilityMass / sum } };
}
