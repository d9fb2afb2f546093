import { DEFAULT_SIGMA, type Evidence, type Part, type Quantity } from '../evidence/evidence.ts';
import type { EvidenceOf } from '../reading/kind.ts';
import type { Expectation } from '../reading/expectation.ts';
import { kindOf } from '../reading/kinds.ts';
import { LEAF } from '../reading/noise.ts';
import { FINE_ENOUGH_MM, leafOutMm, spanSigmaMm } from '../reading/pitch.ts';

/** What can be measured with, and how well: one standard deviation, mm or degrees. */
export interface Tool {
  /** As its owner calls it. */
  readonly name: string;
  readonly measures: 'length' | 'pitch' | 'angle' | 'taper';
  readonly uncertainty: number;
}

/** A candidate as far as telling it from others goes. */
export interface Rival {
  readonly name: string;
  readonly probability: number;
  readonly expectation: Expectation;
  readonly starts: number;
}

/** A reading that would decide most, and between which two. */
export interface NextReading {
  readonly quantity: Quantity;
  /** The two likeliest candidates that it tells apart. */
  readonly separates: readonly [string, string];
  /** What to expect under each of the two, in the reading's unit (crests, mm, degrees, ratio, count). */
  readonly expect: { readonly A: number; readonly B: number };
  /** What sees the difference. */
  readonly seenBy: SeenBy;
  /** For a crest count, the length to count over, mm. */
  readonly spanMm: number | null;
  /** Crest to crest with a caliper: over so many; what to expect is then the length. Null for a plain count. */
  readonly overCrests: number | null;
  /** For a leaf, its pitch, mm; what to expect is how far it is out over its length. */
  readonly leafMm: number | null;
  /** Expected share of the present doubt that it clears up, 0 to 1. */
  readonly clears: number;
}

/** An instrument by its owner's name, or a way that asks for none in particular. */
export type SeenBy =
  { readonly by: 'instrument'; readonly name: string } | { readonly by: 'rule' | 'counting' | 'two-places' };
const withTool = (t: Tool): SeenBy => ({ by: 'instrument', name: t.name });

interface Option {
  readonly quantity: Quantity;
  readonly seenBy: SeenBy;
  readonly spanMm: number | null;
  readonly leafMm?: number;
  readonly overCrests?: number;
  readonly mean: (r: Rival) => number;
  readonly sigma: (r: Rival) => number;
}

const SPANS_MM = [25.4, 50.8, 76.2, 101.6, 152.4] as const;
/** Crest to crest: fewer tell nothing, more are lost count of. */
const LEAST_CRESTS = 3;
const MOST_CRESTS = 20;
/**
 * What spans from crest to crest along the axis is read so well, mm: finer is a micrometer, whose anvils do not stand on
 * crests; coarser is a rule. Common practice, no source.
 */
const CALIPER = { best: 0.008, worst: FINE_ENOUGH_MM } as const;
/** A reading is worth naming when it clears at least this share of the doubt. */
const WORTH = 0.04;
const MOST = 3;
/** Rivals considered: below this the doubt is not about them. */
const LEAST = 0.005;

/** Leaves worth trying: those of the first few rivals. */
const LEAVES = 4;

/** The tools every bench has, when none are listed. */
export const USUAL_TOOLS: readonly Tool[] = [
  { name: 'caliper', measures: 'length', uncertainty: 0.02 },
  { name: 'rule', measures: 'length', uncertainty: 0.25 },
  { name: 'pitch leaf', measures: 'pitch', uncertainty: 0.02 },
  { name: 'angle template', measures: 'angle', uncertainty: 1 },
  { name: 'taper over a length with the caliper', measures: 'taper', uncertainty: 0.004 },
];

/**
 * Which reading to take next: for each that can still be taken, how much of the doubt between the rivals it would clear,
 * measured by how little their expected distributions overlap (Bhattacharyya coefficient of two normals, weighted by the
 * probabilities of each pair). The best two or three, with the numbers to expect under the two likeliest rivals they part.
 * @example nextReadings([], [], 'external', [], null) // []
 */
export function nextReadings(
  rivals: readonly Rival[],
  evidence: readonly Evidence[],
  part: Part,
  tools: readonly Tool[],
  reachMm: number | null,
): readonly NextReading[] {
  const alive = rivals.filter((r) => r.probability >= LEAST);
  let doubt = 0;
  for (let i = 0; i < alive.length; i += 1)
    for (let j = i + 1; j < alive.length; j += 1) doubt += (alive[i]?.probability ?? 0) * (alive[j]?.probability ?? 0);
  if (doubt <= 0) return [];
  const found: NextReading[] = [];
  for (const option of optionsFor(alive, evidence, part, tools, reachMm)) {
    let cleared = 0;
    let parted: { pair: [Rival, Rival]; weight: number } | null = null;
    for (let i = 0; i < alive.length; i += 1) {
      for (let j = i + 1; j < alive.length; j += 1) {
        const [a, b] = [alive[i], alive[j]];
        if (!a || !b) continue;
        const apart = 1 - overlap(option.mean(a), option.sigma(a), option.mean(b), option.sigma(b));
        const weight = a.probability * b.probability * apart;
        cleared += weight;
        if (!parted || weight > parted.weight) parted = { pair: [a, b], weight };
      }
    }
    if (!parted || cleared / doubt < WORTH) continue;
    const [a, b] = parted.pair;
    found.push({
      quantity: option.quantity,
      separates: [a.name, b.name],
      expect: { A: round(option.mean(a)), B: round(option.mean(b)) },
      seenBy: option.seenBy,
      spanMm: option.spanMm,
      leafMm: option.leafMm ?? null,
      overCrests: option.overCrests ?? null,
      clears: cleared / doubt,
    });
  }
  // one offer a quantity: the easiest of those that clear nearly as much as the best
  const byQuantity = new Map<string, NextReading>();
  for (const f of found) {
    const kind = f.overCrests === null ? f.quantity : 'crest to crest';
    const held = byQuantity.get(kind);
    if (!held || f.clears > held.clears * 1.15) byQuantity.set(kind, f);
  }
  const worth = (n: NextReading): number => n.clears * (EASE[n.quantity] ?? 1);
  return [...byQuantity.values()].sort((x, y) => worth(y) - worth(x)).slice(0, MOST);
}

const round = (x: number): number => Number(x.toFixed(4));

/**
 * Bhattacharyya coefficient of two normal distributions: 1 when alike, 0 when apart.
 * @example [overlap(0, 1, 0, 1), overlap(0, 0.001, 10, 0.001)] // [1, 0]; the same, and nothing in common
 */
export function overlap(m1: number, s1: number, m2: number, s2: number): number {
  const v = s1 * s1 + s2 * s2;
  return Math.sqrt((2 * s1 * s2) / v) * Math.exp(-((m1 - m2) ** 2) / (4 * v));
}

/** How readily a reading is taken and believed: what asks for a strange glance comes after what any bench does first. */
const EASE: Partial<Record<Quantity, number>> = {
  leadingFlank: 0.8,
  depth: 0.9,
  crestRadius: 0.6,
  rootRadius: 0.55,
  starts: 0.7,
  taper: 0.7,
};

/** Read by one instrument in one number, by what the kind itself says of it. */
const PLAIN: readonly Quantity[] = ['majorDiameter', 'minorDiameter', 'depth', 'crestRadius', 'rootRadius'];

function optionsFor(
  rivals: readonly Rival[],
  evidence: readonly Evidence[],
  part: Part,
  tools: readonly Tool[],
  reachMm: number | null,
): Option[] {
  const out: Option[] = [];
  const external = part === 'external';
  const best = (measures: Tool['measures']): Tool | null =>
    tools
      .filter((t) => t.measures === measures)
      .reduce<Tool | null>((a, b) => (a === null || b.uncertainty < a.uncertainty ? b : a), null);
  const taken = <Q extends Quantity>(q: Q): EvidenceOf<Q>[] =>
    evidence.filter((e): e is EvidenceOf<Q> => e.quantity === q);
  const option = (quantity: Quantity, seenBy: SeenBy, sigma: number): void => {
    const { likely } = kindOf(quantity);
    if (!likely) return;
    out.push({
      quantity,
      seenBy,
      spanMm: null,
      mean: (r) => likely(r.expectation, part, r.starts, sigma).mean,
      sigma: (r) => likely(r.expectation, part, r.starts, sigma).sigma,
    });
  };
  const counts = taken('crestCount');
  const longest = counts.reduce((m, e) => Math.max(m, e.spanMm), 0);
  // an instrument is known by what it reads and how well, whatever its owner calls it
  const ofLength = tools.filter((t) => t.measures === 'length').sort((a, b) => a.uncertainty - b.uncertainty);
  const rule = ofLength.find((t) => t.uncertainty > CALIPER.worst);
  const caliper = ofLength.find((t) => t.uncertainty >= CALIPER.best && t.uncertainty <= CALIPER.worst);
  const longer = SPANS_MM.filter((s) => s > longest * 1.05 && (reachMm === null || s <= reachMm));
  // where no longer stretch is to be had, the one there is is counted again before anything strange is asked
  const again =
    longer.length === 0 && counts.length === 1 && counts[0]?.spanUncertaintyMm === undefined ? [longest] : [];
  for (const spanMm of [...longer, ...again])
    out.push({
      quantity: 'crestCount',
      seenBy: rule ? withTool(rule) : { by: 'rule' },
      spanMm,
      mean: (r) => spanMm / r.expectation.pitchMm,
      sigma: () => DEFAULT_SIGMA.crests,
    });
  if (caliper && external && !counts.some((e) => e.spanUncertaintyMm !== undefined)) {
    const coarsest = Math.max(...rivals.map((r) => r.expectation.pitchMm));
    const overCrests = Math.min(MOST_CRESTS, Math.floor((reachMm ?? Math.max(longest, SPANS_MM[0])) / coarsest));
    if (overCrests >= LEAST_CRESTS)
      out.push({
        quantity: 'crestCount',
        seenBy: withTool(caliper),
        spanMm: null,
        overCrests,
        mean: (r) => overCrests * r.expectation.pitchMm,
        sigma: () => spanSigmaMm(caliper.uncertainty),
      });
  }
  const leaf = best('pitch');
  if (leaf) {
    // the leaves of the likeliest pitches: each is dead right for its own and out for the others
    const pitches = [...new Set(rivals.slice(0, LEAVES).map((r) => r.expectation.pitchMm))];
    for (const leafMm of pitches) {
      if (taken('pitchLeaf').some((e) => Math.abs(e.pitchMm - leafMm) < 1e-4)) continue;
      const overMm = Math.min(DEFAULT_SIGMA.leafOverMm, reachMm ?? Infinity);
      out.push({
        quantity: 'pitchLeaf',
        seenBy: withTool(leaf),
        spanMm: null,
        leafMm,
        mean: (r) => leafOutMm({ pitchMm: leafMm, overMm }, r.expectation.pitchMm),
        sigma: () => LEAF.seen,
      });
    }
  }
  const angle = best('angle');
  const angleSeen = taken('flankAngle').reduce(
    (m, e) => Math.min(m, e.uncertaintyDeg ?? DEFAULT_SIGMA.angleDeg),
    taken('template').some((e) => e.fit === 'fits') ? (angle?.uncertainty ?? Infinity) : Infinity,
  );
  if (angle && angle.uncertainty < angleSeen * 0.9) option('flankAngle', withTool(angle), angle.uncertainty);
  if (
    angle &&
    taken('leadingFlank').length === 0 &&
    rivals.some((r) => r.expectation.leadingDeg !== r.expectation.trailingDeg)
  )
    option('leadingFlank', withTool(angle), angle.uncertainty);
  const length = best('length');
  if (length)
    for (const q of PLAIN) {
      if (q === 'majorDiameter' ? !external || hasUnworn(taken('majorDiameter')) : taken(q).length > 0) continue;
      option(q, withTool(length), length.uncertainty);
    }
  if (taken('lead').length === 0 && taken('starts').length === 0) option('starts', { by: 'counting' }, 0);
  const taper = best('taper');
  if (taken('taper').length === 0)
    option('taper', taper ? withTool(taper) : { by: 'two-places' }, taper?.uncertainty ?? DEFAULT_SIGMA.taper);
  return out;
}

const hasUnworn = (taken: readonly EvidenceOf<'majorDiameter'>[]): boolean => taken.some((e) => e.wear === 'unworn');
