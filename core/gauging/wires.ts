import { centrePerRadius, includedDeg, slopeOf, type Flanks } from '../form/flanks.ts';
import { formAt, fundamentalHeightMm, specialForm, type Edge, type ThreadForm } from '../form/shape.ts';
import { flatOverWiresMm, leadOverWiresMm } from '../form/flatWires.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { cosDeg, radians, sinDeg } from '../quantity/units.ts';

/** The groove that wires or balls lie in. */
export interface Groove extends Flanks {
  readonly pitchMm: number;
  readonly starts: number;
  /** Height of the crest above the pitch line, mm. */
  readonly crestMm: number;
  /** The straight flank reaches this far above and below the pitch line, mm: less than crest and root where these are round. */
  readonly flankTopMm: number;
  readonly flankBottomMm: number;
}

/**
 * The groove of the external thread of a form. @throws RangeError for a square thread, which no wire can measure.
 * @example grooveOf(formAt('iso60', 1), 1, 1).crestMm // 0.32476; 3/8 H
 */
export function grooveOf(form: ThreadForm, pitchMm: number, starts: number): Groove {
  const { leadingDeg: a1, trailingDeg: a2, external } = form;
  const apex = fundamentalHeightMm(pitchMm, form) / 2;
  const straight = (edge: Edge, reach: number, flankDeg: number): number =>
    edge.kind === 'round' ? apex - edge.radiusMm * (centrePerRadius(form) - sinDeg(flankDeg)) : reach;
  const shorter = (edge: Edge, reach: number): number => Math.min(straight(edge, reach, a1), straight(edge, reach, a2));
  return {
    leadingDeg: a1,
    trailingDeg: a2,
    pitchMm,
    starts,
    crestMm: external.outerMm,
    flankTopMm: shorter(external.outerEdge, external.outerMm),
    flankBottomMm: shorter(external.innerEdge, external.innerMm),
  };
}

/** 'flat': lead angle left out. 'textbook': with (w/2) tan^2(lead angle) cos a cot a added. */
export type WireMethod = 'flat' | 'textbook';

const halfIncluded = (g: Groove): number => includedDeg(g) / 2;

/** Depth of the sharp groove below the pitch line, mm. */
const apexMm = (g: Groove): number => g.pitchMm / 2 / slopeOf(g);

/**
 * Wire that touches the flanks at the pitch line, mm: w = P / (2 cos a). For unlike flanks the two contacts cannot both
 * lie there; this puts their mean height on the pitch line, which is the same formula when the flanks are equal.
 * @see ASME B1.2; NBS Handbook H28
 * @example pitchLineWireMm(usualGroove(equalFlanks(60), 1, 1)) // 0.57735; ASME B1.2
 */
export function pitchLineWireMm(g: Groove): number {
  const tangent = (2 * apexMm(g)) / (cosDeg(g.leadingDeg) + cosDeg(g.trailingDeg));
  return 2 * tangent * Math.tan(radians(halfIncluded(g)));
}

/**
 * The best wire that this form can take, mm: the one that touches at the pitch line, or the usable one nearest to it. On a
 * saw-tooth the one at the pitch line lies below the crests, where no anvil reaches it.
 * @example bestWireMm(usualGroove({ leadingDeg: 3, trailingDeg: 30 }, 6, 1)) // 3.1710; the one at the pitch line would be smaller, and sink under the crests
 */
export function bestWireMm(g: Groove): number {
  const { min, max } = usableWireMm(g);
  const at = pitchLineWireMm(g);
  return min > max ? at : Math.min(max, Math.max(min, at));
}

/**
 * Range of wires that touch the straight flanks below the crest and above the root, and stand at least level with the
 * crest so that the anvil rests on the wire. For the 60 degree form 0.505 P to 1.010 P.
 * @example usableWireMm(usualGroove(equalFlanks(60), 1, 1)) // { min: 0.505, max: 1.010 }; NBS H28
 */
export function usableWireMm(g: Groove): { readonly min: number; readonly max: number } {
  const crest = apexMm(g) + g.crestMm;
  const proud = crest / (centrePerRadius(g) + 1);
  const cotHalf = 1 / Math.tan(radians(halfIncluded(g)));
  const low = Math.min(cosDeg(g.leadingDeg), cosDeg(g.trailingDeg));
  const high = Math.max(cosDeg(g.leadingDeg), cosDeg(g.trailingDeg));
  const aboveRoot = (apexMm(g) - g.flankBottomMm) / (low * cotHalf);
  return { min: 2 * Math.max(proud, aboveRoot), max: (2 * (apexMm(g) + g.flankTopMm)) / (high * cotHalf) };
}

/** The part of M that does not depend on the pitch diameter, mm: M = d2 + this. */
function overPitchDiameterMm(g: Groove, wireMm: number, d2: number, method: WireMethod): number {
  const flat = flatOverWiresMm(g, g.pitchMm, wireMm);
  return method === 'flat' ? flat : flat + leadOverWiresMm(g, g.pitchMm * g.starts, d2, wireMm);
}

/**
 * Measurement over three wires, mm: M = d2 + w (1 + cos((a1-a2)/2) / sin((a1+a2)/2)) - P / (tan a1 + tan a2); for equal
 * flanks w (1 + 1/sin a) - (P/2) cot a.
 * @see ASME B1.2; NBS Handbook H28; ASME B1.9 for unlike flanks
 * @example overWiresMm(usualGroove(equalFlanks(60), 1.5, 1), 9.026, 0.866, 'flat') // 10.325
 */
export const overWiresMm = (g: Groove, pitchDiameterMm: number, wireMm: number, method: WireMethod): number =>
  pitchDiameterMm + overPitchDiameterMm(g, wireMm, pitchDiameterMm, method);

/**
 * The reverse: pitch diameter from a measurement over wires, mm.
 * @example pitchDiameterFromWiresMm(usualGroove(equalFlanks(60), 1.5, 1), 10.325, 0.866, 'flat') // 9.026
 */
export function pitchDiameterFromWiresMm(g: Groove, overMm: number, wireMm: number, method: WireMethod): number {
  // the lead correction depends weakly on d2: three rounds reach a nanometre
  let d2 = overMm - overPitchDiameterMm(g, wireMm, overMm, 'flat');
  for (let i = 0; i < 3 && method !== 'flat'; i += 1) d2 = overMm - overPitchDiameterMm(g, wireMm, d2, method);
  return d2;
}

/**
 * Over one wire and the crest on the other side: half of what three wires give above the pitch line, and half the major
 * diameter. @see NBS Handbook H28, one-wire method: (M3 + major) / 2
 * @example overOneWireMm(10.3, 10) // 10.15
 */
export const overOneWireMm = (overThreeMm: number, majorMm: number): number => (overThreeMm + majorMm) / 2;
/**
 * The reverse: what three wires would read.
 * @example overThreeFromOneMm(10.15, 10) // 10.3
 */
export const overThreeFromOneMm = (overOneMm: number, majorMm: number): number => 2 * overOneMm - majorMm;

/**
 * Refuses a wire that cannot measure this groove, with the range that can.
 * @example checkWire(usualGroove(equalFlanks(60), 1.5, 1), 0.3).ok // false
 */
export function checkWire(g: Groove, wireMm: number, field = 'wireMm'): Outcome<number> {
  const range = usableWireMm(g);
  const right = { leastMm: range.min, mostMm: range.max, bestMm: bestWireMm(g) };
  if (!(wireMm >= range.min)) return bad(field, 'wire-sinks', right);
  if (wireMm > range.max) return bad(field, 'wire-rides', right);
  return good(wireMm);
}

const USUAL: Readonly<Record<string, 'iso60' | 'whitworth55' | 'ba47' | 'acme29' | 'trapezoidal30' | 'conduit80'>> = {
  60: 'iso60',
  55: 'whitworth55',
  '47.5': 'ba47',
  29: 'acme29',
  30: 'trapezoidal30',
  80: 'conduit80',
};

/** Unlike flanks, the wider first (ASME B1.9; DIN 513): which of them leads makes no difference to a wire. */
const UNLIKE: Readonly<Record<string, 'buttress45-7' | 'sawtooth30-3'>> = {
  '45 7': 'buttress45-7',
  '30 3': 'sawtooth30-3',
};

/**
 * Groove of the usual form with these flanks, for callers that know only the angles; a special form's where none is usual.
 * @example usualGroove(equalFlanks(60), 1, 1).crestMm // 0.32476; 3/8 H
 */
export const usualGroove = (flanks: Flanks, pitchMm: number, starts: number): Groove =>
  grooveOf(formOfFlanks(flanks, pitchMm), pitchMm, starts);

/**
 * The usual form with these flanks; a special one where none is usual.
 * @example formOfFlanks(equalFlanks(29), 5).id // 'acme29'
 */
export function formOfFlanks({ leadingDeg, trailingDeg }: Flanks, pitchMm: number): ThreadForm {
  const [more, less] = [Math.max(leadingDeg, trailingDeg), Math.min(leadingDeg, trailingDeg)];
  const usual = more === less ? USUAL[String(more * 2)] : UNLIKE[`${more} ${less}`];
  return usual ? formAt(usual, pitchMm) : specialForm(pitchMm, { leadingDeg, trailingDeg });
}
