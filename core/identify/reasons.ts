import { DEFAULT_SIGMA, type Evidence, type Part } from '../evidence/evidence.ts';
import { degreesText, FINE, lengthText } from '../quantity/format.ts';
import type { UnitSystem } from '../quantity/units.ts';
import type { Expectation } from './hypotheses.ts';
import { likelihood, overPitchDiameterMm, wearCredibility } from './likelihood.ts';

export interface Reasons {
  /** What supports the candidate, in sentences. */
  readonly for: readonly string[];
  /** What speaks against it. */
  readonly against: readonly string[];
}

/** A reading supports when it is at least this share of the best likelihood any reading of its kind could have here. */
const SUPPORTS = 0.25;
/** And speaks against below this share. */
const AGAINST = 0.06;

/** Sentences for and against a candidate, one for each reading that says anything. */
export function reasonsFor(
  h: Expectation,
  starts: number,
  evidence: readonly Evidence[],
  part: Part,
  system: UnitSystem,
): Reasons {
  const out: { for: string[]; against: string[] } = { for: [], against: [] };
  for (const e of evidence) {
    if (e.quantity === 'hand') continue; // says the same of every candidate
    const share = likelihood(e, h, part, starts) / bestLikelihood(e, h, part, starts);
    const text = sentence(e, h, part, starts, system);
    if (share >= SUPPORTS) out.for.push(text);
    else if (share <= AGAINST) out.against.push(text);
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

function sentence(e: Evidence, h: Expectation, measured: Part, starts: number, system: UnitSystem): string {
  const len = (mm: number): string => lengthText(mm, system, FINE);
  const part = e.member ?? measured;
  switch (e.quantity) {
    case 'majorDiameter': {
      const short = h.majorMm - e.valueMm;
      if (part === 'internal') return `root of the nut read ${len(e.valueMm)}, nominal ${len(h.majorMm)}`;
      if (short < -3 * (e.uncertaintyMm ?? DEFAULT_SIGMA.diameterMm))
        return `crest reads ${len(-short)} over the nominal ${len(h.majorMm)}`;
      if (e.wear === 'worn' && short > 0)
        return `would mean ${len(short)} off the crest at the worn place${wearCredibility(short, 'worn', h.pitchMm) < 0.05 ? ', more than wear explains' : ''}`;
      return `crest ${len(e.valueMm)} is ${len(Math.max(0, short))} under the nominal ${len(h.majorMm)}`;
    }
    case 'pitchDiameter':
      return `pitch diameter ${len(e.valueMm)}, basic ${len(h.pitchDiameterMm)}`;
    case 'minorDiameter':
      return `root ${len(e.valueMm)}, expected about ${len(part === 'external' ? h.minorExternalMm : h.minorInternalMm)}`;
    case 'overWires':
      return `pitch diameter over the wires ${len(e.valueMm - overPitchDiameterMm(h, e.wireMm, starts))}, basic ${len(h.pitchDiameterMm)}`;
    case 'crestFlat':
    case 'rootFlat': {
      const [end, has] = [e.quantity === 'crestFlat' ? 'crest' : 'root', edgeOf(e.quantity, h, part)];
      return `${end} flat ${len(e.valueMm)}, the form has ${has === 0 ? `a round ${end}` : len(has)}`;
    }
    case 'crestRadius':
    case 'rootRadius': {
      const [end, has] = [e.quantity === 'crestRadius' ? 'crest' : 'root', edgeOf(e.quantity, h, part)];
      return `${end} radius ${len(e.valueMm)}, the form has ${has === 0 ? `a flat ${end}` : len(has)}`;
    }
    case 'depth':
      return `depth ${len(e.valueMm)}, full form ${len(part === 'external' ? h.depthExternalMm : h.depthInternalMm)}`;
    case 'crestCount':
      return `${round(e.crests)} crests in ${len(e.spanMm)}; this pitch gives ${round(e.spanMm / h.pitchMm)}`;
    case 'pitchLeaf': {
      const off = (Math.abs(h.pitchMm - e.pitchMm) / h.pitchMm) * (e.overMm ?? DEFAULT_SIGMA.leafOverMm);
      const verdict = e.fit === 'fits' ? 'fits' : e.fit === 'nearly' ? 'nearly fits' : 'does not fit';
      return `the ${len(e.pitchMm)} leaf ${verdict}; it would be ${off < 0.005 ? 'dead right' : `${len(off)} out over its length`}`;
    }
    case 'flankAngle':
      return `angle read ${degreesText(e.valueDeg)}, the form has ${degreesText(h.leadingDeg + h.trailingDeg)}`;
    case 'leadingFlank':
    case 'trailingFlank':
      return `flank read ${degreesText(e.valueDeg)}, the form has ${degreesText(h.leadingDeg)} and ${degreesText(h.trailingDeg)}`;
    case 'lead':
      return `lead read ${len(e.valueMm)}, ${starts === 1 ? 'single start' : `${starts} starts`} gives ${len(h.pitchMm * starts)}`;
    case 'taper':
      return `taper read ${round(e.ratio)}, the form has ${h.taper === 0 ? 'none' : '1 in 16'}`;
    case 'starts':
      return `${e.count} start${e.count === 1 ? '' : 's'} counted`;
    case 'hand':
      return `${e.hand} hand`;
  }
}

const round = (x: number): string => String(Number(x.toFixed(2)));
