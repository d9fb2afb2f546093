import type { Part } from '../evidence/evidence.ts';
import { basicSizes } from '../form/sizes.ts';
import { inches, tanDeg, toInches } from '../quantity/units.ts';
import { formAt, type Edge, type ThreadForm } from '../form/shape.ts';
import { CATALOGUE, familyOf, type StandardThread } from '../standards/catalogue.ts';
import type { FamilyId } from '../standards/family.ts';
import { nptPitchDiameterMm } from '../standards/taperPipe.ts';

/** What a thread would measure if it were new: the numbers that evidence is compared with. Lengths mm. */
export interface Expectation {
  readonly majorMm: number;
  readonly pitchMm: number;
  readonly pitchDiameterMm: number;
  readonly minorExternalMm: number;
  readonly minorInternalMm: number;
  readonly depthExternalMm: number;
  readonly depthInternalMm: number;
  readonly leadingDeg: number;
  readonly trailingDeg: number;
  readonly taper: number;
  /** How much a diameter may differ along a taper, mm; diameters above are those of its large end. 0 when parallel. */
  readonly alongTaperMm: number;
  /** Crest and root of the screw and of the nut. */
  readonly edges: Readonly<Record<Part, Edges>>;
}

/** Flats, 0 where the form is round, and radii, 0 where it is flat; mm. */
export interface Edges {
  readonly crestFlatMm: number;
  readonly rootFlatMm: number;
  readonly crestRadiusMm: number;
  readonly rootRadiusMm: number;
}

export interface Hypothesis extends Expectation {
  readonly row: StandardThread;
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
export const ORIGINS = ['metric', 'american', 'british'] as const;
export type Origin = (typeof ORIGINS)[number];
export const USES = ['fastener', 'pipe', 'instrument', 'power-screw', 'machine-part'] as const;
export type Use = (typeof USES)[number];

/** Share of threads on a repair bench that no table lists. From memory, common practice, no source. */
export const SPECIAL_PRIOR = 0.1;

const METRIC: readonly FamilyId[] = ['M', 'Tr', 'S', 'Rd'];
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
const PIPE: readonly FamilyId[] = ['G', 'R', 'NPT', 'NPTF', 'BSBrass', 'Hose'];
const POWER: readonly FamilyId[] = ['Acme', 'StubAcme', 'Tr', 'S', 'Buttress', 'Square', 'Rd'];
const SMALL: readonly FamilyId[] = ['BA', 'Optical', 'BSBrass', 'UNS'];

/** How much a stated origin or use favours what it names over everything else. */
const FAVOUR = 3.5;

/**
 * How far the commonness of a thread is trusted: its power in the prior. Below 1, because the weights are one bench's
 * memory, and a rare thread that fits must not be buried by a common one that fits as well.
 */
const TRUST = 0.7;

/**
 * Fastening threads look alike, so nothing but commonness may be left to choose between them: then it may give no more
 * than eight to five. (A thread for motion is told from them at a glance; its rarity may count in full.)
 */
const FASTENING: readonly FamilyId[] = ['M', 'UNC', 'UNF', 'UNEF', 'UN', 'UNS', 'BSW', 'BSF', 'BSBrass', 'BA', 'Cycle'];
const MOST_ODDS = 1.6;

/** Factor by which a context favours a family over one that it does not speak of. */
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

export function expectationOf(form: ThreadForm, majorMm: number, pitchMm: number): Expectation {
  const s = basicSizes(form, majorMm);
  return {
    majorMm,
    pitchMm,
    pitchDiameterMm: s.pitchDiameterMm,
    minorExternalMm: s.minorExternalMm,
    minorInternalMm: s.minorInternalMm,
    depthExternalMm: (s.majorMm - s.minorExternalMm) / 2,
    depthInternalMm: (s.majorInternalMm - s.minorInternalMm) / 2,
    leadingDeg: form.leadingFlankDeg,
    trailingDeg: form.trailingFlankDeg,
    taper: form.taper,
    alongTaperMm: 0,
    edges: { external: edgesOf(form, pitchMm, 'external'), internal: edgesOf(form, pitchMm, 'internal') },
  };
}

/** A screw's crest is its outer end, a nut's its inner one. */
function edgesOf(form: ThreadForm, pitchMm: number, part: Part): Edges {
  const profile = form[part];
  const slope = tanDeg(form.leadingFlankDeg) + tanDeg(form.trailingFlankDeg);
  const end = (edge: Edge, reachMm: number): { readonly flat: number; readonly radius: number } =>
    edge.kind === 'round'
      ? { flat: 0, radius: edge.radiusMm }
      : { flat: Math.max(0, pitchMm / 2 - reachMm * slope), radius: edge.cornerMm };
  const outer = end(profile.outerEdge, profile.outerMm);
  const inner = end(profile.innerEdge, profile.innerMm);
  const [crest, root] = part === 'external' ? [outer, inner] : [inner, outer];
  return { crestFlatMm: crest.flat, rootFlatMm: root.flat, crestRadiusMm: crest.radius, rootRadiusMm: root.radius };
}

function build(): readonly Hypothesis[] {
  const totals = new Map<FamilyId, number>();
  for (const r of CATALOGUE) totals.set(r.family, (totals.get(r.family) ?? 0) + r.weight);
  const commonnessOf = (row: StandardThread): number =>
    (familyOf(row.family).commonness * (row.weight / (totals.get(row.family) ?? 1))) ** TRUST;
  const least = Math.max(...CATALOGUE.map(commonnessOf)) / MOST_ODDS;
  return CATALOGUE.map((row) => {
    const commonness = commonnessOf(row);
    const prior = FASTENING.includes(row.family) ? Math.max(least, commonness) : commonness;
    return { ...expectedOf(row), row, prior, commonness };
  });
}

function expectedOf(row: StandardThread): Expectation {
  const form = formAt(familyOf(row.family).form, row.pitchMm);
  if (form.taper === 0) return expectationOf(form, row.majorMm, row.pitchMm);
  // calipers find the crest along the effective thread, (0.8 D + 6.8) P long (ASME B1.20.1; near enough for R), mostly
  // about the middle half of it
  const length = (0.8 * row.majorMm + inches(6.8)) * toInches(row.pitchMm);
  const largeEnd =
    row.family === 'R'
      ? row.majorMm + 0.1
      : nptPitchDiameterMm(row.majorMm, row.pitchMm) + 2 * form.external.outerMm + 0.75 * length * form.taper;
  return { ...expectationOf(form, largeEnd, row.pitchMm), alongTaperMm: 0.5 * length * form.taper };
}

let built: readonly Hypothesis[] | null = null;
/** All published rows as hypotheses; computed once, because the geometry never changes. */
export const hypotheses = (): readonly Hypothesis[] => (built ??= build());

/** Chance of a number of starts: screws that carry motion are often multi-start, fastenings hardly ever. */
export function startsPrior(family: FamilyId | 'Special', starts: number): number {
  const power = family !== 'Special' && POWER.includes(family);
  const table = power ? [0.87, 0.09, 0.025, 0.015] : [0.988, 0.008, 0.003, 0.001];
  return table[starts - 1] ?? 1e-5;
}
