import { inches, toInches } from '../quantity/units.ts';
import { formAt } from '../form/shape.ts';
import { lowerBound } from '../numeric/sorted.ts';
import { expectationOf, type Expectation } from '../reading/expectation.ts';
import { CATALOGUE, familyOf, type StandardThread } from '../standards/catalogue.ts';
import type { FamilyId } from '../standards/family.ts';
import { nptPitchDiameterMm } from '../standards/pipe/taper.ts';

/** A row of a table with what should be read of it. */
export interface Hypothesis extends Expectation {
  readonly row: StandardThread;
  /** The row of another family that is the same metal but for its crests and roots; null when there is none. */
  readonly twin: { readonly designation: string; readonly prior: number } | null;
  /** How common the thread is, relative, as far as that is trusted: what the prior is made of. */
  readonly prior: number;
  /** The same as memory has it, before rare fastening threads are given their chance: how often parts really come in. */
  readonly commonness: number;
}

/** Context that shifts the prior: where the part was made and what it does. */
export interface Context {
  readonly origin: Origin | null;
  readonly use: Use | null;
}
/** Where a thread may come from. */
export const ORIGINS = ['metric', 'american', 'british'] as const;
type Origin = (typeof ORIGINS)[number];
/** What a thread may have been for. */
export const USES = ['fastener', 'pipe', 'instrument', 'power-screw', 'machine-part'] as const;
type Use = (typeof USES)[number];

/** Share of threads on a repair bench that no table lists. From memory, common practice, no source. */
export const SPECIAL_PRIOR = 0.1;

const METRIC: readonly FamilyId[] = ['M', 'Tr', 'S', 'Rd', 'Pg'];
const AMERICAN: readonly FamilyId[] = [
  'UNC',
  'UNF',
  'UNEF',
  'UN',
  'UNS',
  'NPT',
  'NPTF',
  'Acme',
  'StubAcme',
  'Buttress',
  'Hose',
  'Square',
];
const BRITISH: readonly FamilyId[] = ['BSW', 'BSF', 'BSBrass', 'BA', 'Cycle', 'Optical', 'G', 'R', 'Square', 'Acme'];
const PIPE: readonly FamilyId[] = ['G', 'R', 'NPT', 'NPTF', 'BSBrass', 'Hose', 'Pg'];
const POWER: readonly FamilyId[] = ['Acme', 'StubAcme', 'Tr', 'S', 'Buttress', 'Square', 'Rd'];
const SMALL: readonly FamilyId[] = ['BA', 'Optical', 'BSBrass', 'UNS'];

/** How much a stated origin or use favours what it names over everything else. */
const FAVOUR = 3.5;

/**
 * How far the commonness of a thread is trusted: its power in the prior. Below 1, because the weights are one bench's
 * memory, and a rare thread that fits must not be buried by a common one that fits as well.
 */
const TRUST = 0.85;

/**
 * Fastening threads look alike, so nothing but commonness may be left to choose between two of nearly one size and pitch:
 * then it may give no more than eight to five. Where nothing common is near, a rare row stays as rare as it is. (A thread
 * for motion is told from its neighbours at a glance; its rarity may count in full.)
 */
const FASTENING: readonly FamilyId[] = ['M', 'UNC', 'UNF', 'UNEF', 'UN', 'UNS', 'BSW', 'BSF', 'BSBrass', 'BA', 'Cycle'];
const MOST_ODDS = 1.6;
/** Near: within these shares of diameter and pitch two worn threads may be taken for one another. */
const NEAR = { diameter: 0.05, pitch: 0.09 } as const;

/**
 * Factor by which a context favours a family over one that it does not speak of.
 * @example [familyFavour('BSW', { origin: 'british', use: null }), familyFavour('BSW', { origin: 'metric', use: null })] // [3.5, 1]
 */
export function familyFavour(id: FamilyId, context: Context): number {
  let w = 1;
  const origin = { metric: METRIC, american: AMERICAN, british: BRITISH };
  if (context.origin && origin[context.origin].includes(id)) w *= FAVOUR;
  if (context.use === 'pipe' && PIPE.includes(id)) w *= FAVOUR;
  if (context.use === 'power-screw' && POWER.includes(id)) w *= FAVOUR;
  if (context.use === 'instrument' && SMALL.includes(id)) w *= FAVOUR;
  if ((context.use === 'fastener' || context.use === 'machine-part') && PIPE.includes(id)) w /= FAVOUR;
  if (context.use === 'fastener' && POWER.includes(id)) w /= FAVOUR;
  return w;
}

function build(): readonly Hypothesis[] {
  const totals = new Map<FamilyId, number>();
  for (const r of CATALOGUE) totals.set(r.family, (totals.get(r.family) ?? 0) + r.weight);
  const commonnessOf = (row: StandardThread): number =>
    (familyOf(row.family).commonness * (row.weight / (totals.get(row.family) ?? 1))) ** TRUST;
  const fastening = CATALOGUE.filter((r) => FASTENING.includes(r.family))
    .map((row) => ({ row, commonness: commonnessOf(row) }))
    .sort((x, y) => x.row.majorMm - y.row.majorMm);
  /** The commonest fastening thread that this one may be taken for. */
  const commonestNear = (row: StandardThread): number => {
    let best = 0;
    const from = lowerBound(fastening, row.majorMm / (1 + NEAR.diameter), (f) => f.row.majorMm);
    for (let i = from; i < fastening.length; i += 1) {
      const other = fastening[i];
      if (!other || other.row.majorMm > row.majorMm * (1 + NEAR.diameter)) break;
      if (Math.abs(Math.log(other.row.pitchMm / row.pitchMm)) <= NEAR.pitch) best = Math.max(best, other.commonness);
    }
    return best;
  };
  return CATALOGUE.map((row) => {
    const commonness = commonnessOf(row);
    const prior = FASTENING.includes(row.family) ? Math.max(commonestNear(row) / MOST_ODDS, commonness) : commonness;
    return { ...expectedOf(row), row, twin: twinOf(row, commonnessOf), prior, commonness };
  });
}

/** NPTF is NPT with sharper crests and roots, to seal dry (ASME B1.20.3): no caliper tells them apart. */
function twinOf(row: StandardThread, commonnessOf: (row: StandardThread) => number): Hypothesis['twin'] {
  const other = row.family === 'NPT' ? 'NPTF' : row.family === 'NPTF' ? 'NPT' : null;
  const twin = other && CATALOGUE.find((r) => r.family === other && r.size === row.size && r.pitch === row.pitch);
  // no fastening: its prior is its commonness
  return twin ? { designation: twin.designation, prior: commonnessOf(twin) } : null;
}

/**
 * How far the useful thread of an R runs past its gauge plane, in turns: 2 3/4 up to R 1 1/2, 3 1/4 at R 2, 4 above
 * (ISO 7-1, table 1, the fitting allowance; R 1/2: 5.0 mm of 1.814; from memory but for the named rows).
 */
function usefulPastGaugeTurns(majorMm: number): number {
  return majorMm < 50 ? 2.75 : majorMm < 65 ? 3.25 : 4;
}

function expectedOf(row: StandardThread): Expectation {
  const form = formAt(familyOf(row.family).form, row.pitchMm);
  if (form.taper === 0) return expectationOf(form, row.majorMm, row.pitchMm);
  // calipers find the crest along the effective thread, (0.8 D + 6.8) P long (ASME B1.20.1; near enough for R), mostly
  // about the middle half of it
  const length = (0.8 * row.majorMm + inches(6.8)) * toInches(row.pitchMm);
  if (row.family === 'R') {
    const past = usefulPastGaugeTurns(row.majorMm) * row.pitchMm;
    return {
      ...expectationOf(form, row.majorMm + past * form.taper, row.pitchMm),
      alongTaperMm: (0.25 * length + past) * form.taper,
    };
  }
  const largeEnd =
    nptPitchDiameterMm(row.majorMm, row.pitchMm) + 2 * form.external.outerMm + 0.75 * length * form.taper;
  return { ...expectationOf(form, largeEnd, row.pitchMm), alongTaperMm: 0.5 * length * form.taper };
}

let built: readonly Hypothesis[] | null = null;
/**
 * All published rows as hypotheses; computed once, because the geometry never changes.
 * @example hypotheses().some((h) => h.row?.designation === '1/2-13 UNC') // true
 */
export const hypotheses = (): readonly Hypothesis[] => (built ??= build());

/**
 * Chance of a number of starts: screws that carry motion are often multi-start, fastenings hardly ever.
 * @example [startsPrior('M', 1), startsPrior('M', 2)] // [0.988, 0.008]
 */
export function startsPrior(family: FamilyId | 'Special', starts: number): number {
  const power = family !== 'Special' && POWER.includes(family);
  const table = power ? [0.87, 0.09, 0.025, 0.015] : [0.988, 0.008, 0.003, 0.001];
  return table[starts - 1] ?? 1e-5;
}
