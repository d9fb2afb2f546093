import { DEFAULT_SIGMA, type Evidence, type Part } from '../evidence/evidence.ts';
import type { Expectation } from './hypotheses.ts';
import { likelihood, noWireRests, overPitchDiameterMm, wearCredibility } from './likelihood.ts';

/** What one reading says of a candidate: what was read beside what the candidate would have; mm, degrees, counts. */
export type Reason =
  /** Crest of a screw: over the nominal, worn below it, or under it within what is usual. */
  | {
      readonly kind: 'crest';
      readonly says: 'over' | 'worn' | 'under';
      readonly readMm: number;
      readonly expectedMm: number;
      readonly byMm: number;
      /** More was lost than wear takes. */
      readonly beyondWear: boolean;
    }
  | {
      readonly kind: 'size';
      readonly of: 'rootOfNut' | 'pitchDiameter' | 'minorDiameter' | 'overWires' | 'depth';
      readonly readMm: number;
      readonly expectedMm: number;
    }
  /** A flat or a radius at crest or root; expected 0: the form has the other. */
  | {
      readonly kind: 'edge';
      readonly edge: 'crest' | 'root';
      readonly shape: 'flat' | 'radius';
      readonly readMm: number;
      readonly expectedMm: number;
    }
  /** Over wires, and no wire of any size rests between these flanks. */
  | { readonly kind: 'no-rest'; readonly wireMm: number }
  | { readonly kind: 'count'; readonly crests: number; readonly spanMm: number; readonly expected: number }
  | { readonly kind: 'leaf'; readonly pitchMm: number; readonly fit: 'fits' | 'nearly' | 'no'; readonly outMm: number }
  | { readonly kind: 'angle'; readonly readDeg: number; readonly expectedDeg: number }
  | { readonly kind: 'flank'; readonly readDeg: number; readonly leadingDeg: number; readonly trailingDeg: number }
  | { readonly kind: 'lead'; readonly readMm: number; readonly starts: number; readonly expectedMm: number }
  | { readonly kind: 'taper'; readonly read: number; readonly expected: number }
  | { readonly kind: 'starts'; readonly count: number };

export interface Reasons {
  /** What supports the candidate. */
  readonly for: readonly Reason[];
  /** What speaks against it. */
  readonly against: readonly Against[];
}
/** A reason against, and how many times likelier the reading would be had it come out as the candidate would like it best. */
export type Against = Reason & { readonly times: number };

/** A reading supports when it is at least this share of the best likelihood any reading of its kind could have here. */
const SUPPORTS = 0.25;
/** And speaks against below this share. */
const AGAINST = 0.06;

/** What speaks for and against a candidate, one for each reading that says anything. */
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

/** Likelihood of the same reading had it come out as this candidate would like it best. */
function bestLikelihood(e: Evidence, h: Expectation, part: Part, starts: number): number {
  const at = (changed: Evidence): number => likelihood(changed, h, part, starts);
  const member = e.member ?? part;
  switch (e.quantity) {
    case 'majorDiameter':
    case 'pitchDiameter':
    case 'minorDiameter': {
      const base =
        e.quantity === 'majorDiameter'
          ? h.majorMm
          : e.quantity === 'pitchDiameter'
            ? h.pitchDiameterMm
            : part === 'external'
              ? h.minorExternalMm
              : h.minorInternalMm;
      const offsets = [0, 0.25, 0.5, 0.75, 1].map((f) => f * (0.2 * h.pitchMm + 0.05));
      return Math.max(...offsets.flatMap((o) => [at({ ...e, valueMm: base - o }), at({ ...e, valueMm: base + o })]));
    }
    case 'overWires': {
      const base = h.pitchDiameterMm + overPitchDiameterMm(h, e.wireMm, starts);
      const offsets = [0, 0.25, 0.5, 0.75, 1].map((f) => f * (0.2 * h.pitchMm + 0.05));
      return Math.max(...offsets.map((o) => at({ ...e, valueMm: base - o })));
    }
    case 'crestFlat':
    case 'rootFlat':
    case 'crestRadius':
    case 'rootRadius':
      return at({ ...e, valueMm: edgeOf(e.quantity, h, member) });
    case 'depth':
      return at({ ...e, valueMm: (member === 'external' ? h.depthExternalMm : h.depthInternalMm) - 0.04 * h.pitchMm });
    case 'crestCount':
      return at({ ...e, crests: e.spanMm / h.pitchMm });
    case 'pitchLeaf':
      return e.fit === 'fits' ? at({ ...e, pitchMm: h.pitchMm }) : 1;
    case 'flankAngle':
      return at({ ...e, valueDeg: h.leadingDeg + h.trailingDeg });
    case 'leadingFlank':
      return at({ ...e, valueDeg: h.leadingDeg });
    case 'trailingFlank':
      return at({ ...e, valueDeg: h.trailingDeg });
    case 'lead':
      return at({ ...e, valueMm: h.pitchMm * starts });
    case 'taper':
      return at({ ...e, ratio: h.taper });
    case 'starts':
      return at({ ...e, count: starts });
    case 'hand':
      return at(e);
  }
}

const edgeOf = (
  quantity: 'crestFlat' | 'rootFlat' | 'crestRadius' | 'rootRadius',
  h: Expectation,
  part: Part,
): number => h.edges[part][`${quantity}Mm`];

/** Below this credibility a loss is more than wear explains. */
const BEYOND_WEAR = 0.05;

/** What one reading says of a candidate; null: nothing of its own. */
export function reasonOf(e: Evidence, h: Expectation, measured: Part, starts: number): Reason | null {
  const part = e.member ?? measured;
  const size = (of: Extract<Reason, { kind: 'size' }>['of'], readMm: number, expectedMm: number): Reason => ({
    kind: 'size',
    of,
    readMm,
    expectedMm,
  });
  switch (e.quantity) {
    case 'majorDiameter': {
      if (part === 'internal') return size('rootOfNut', e.valueMm, h.majorMm);
      const short = h.majorMm - e.valueMm;
      const over = short < -3 * (e.uncertaintyMm ?? DEFAULT_SIGMA.diameterMm);
      const worn = !over && e.wear === 'worn' && short > 0;
      return {
        kind: 'crest',
        says: over ? 'over' : worn ? 'worn' : 'under',
        readMm: e.valueMm,
        expectedMm: h.majorMm,
        byMm: over ? -short : Math.max(0, short),
        beyondWear: worn && wearCredibility(short, 'worn', h.pitchMm) < BEYOND_WEAR,
      };
    }
    case 'pitchDiameter':
      return size('pitchDiameter', e.valueMm, h.pitchDiameterMm);
    case 'minorDiameter':
      return size('minorDiameter', e.valueMm, part === 'external' ? h.minorExternalMm : h.minorInternalMm);
    case 'overWires':
      if (noWireRests(h)) return { kind: 'no-rest', wireMm: e.wireMm };
      return size('overWires', e.valueMm - overPitchDiameterMm(h, e.wireMm, starts), h.pitchDiameterMm);
    case 'depth':
      return size('depth', e.valueMm, part === 'external' ? h.depthExternalMm : h.depthInternalMm);
    case 'crestFlat':
    case 'rootFlat':
    case 'crestRadius':
    case 'rootRadius':
      return {
        kind: 'edge',
        edge: e.quantity === 'crestFlat' || e.quantity === 'crestRadius' ? 'crest' : 'root',
        shape: e.quantity === 'crestFlat' || e.quantity === 'rootFlat' ? 'flat' : 'radius',
        readMm: e.valueMm,
        expectedMm: edgeOf(e.quantity, h, part),
      };
    case 'crestCount':
      return { kind: 'count', crests: e.crests, spanMm: e.spanMm, expected: e.spanMm / h.pitchMm };
    case 'pitchLeaf':
      return {
        kind: 'leaf',
        pitchMm: e.pitchMm,
        fit: e.fit,
        outMm: (Math.abs(h.pitchMm - e.pitchMm) / h.pitchMm) * (e.overMm ?? DEFAULT_SIGMA.leafOverMm),
      };
    case 'flankAngle':
      return { kind: 'angle', readDeg: e.valueDeg, expectedDeg: h.leadingDeg + h.trailingDeg };
    case 'leadingFlank':
    case 'trailingFlank':
      return { kind: 'flank', readDeg: e.valueDeg, leadingDeg: h.leadingDeg, trailingDeg: h.trailingDeg };
    case 'lead':
      return { kind: 'lead', readMm: e.valueMm, starts, expectedMm: h.pitchMm * starts };
    case 'taper':
      return { kind: 'taper', read: e.ratio, expected: h.taper };
    case 'starts':
      return { kind: 'starts', count: e.count };
    case 'hand':
      return null; // says the same of every candidate
  }
}
