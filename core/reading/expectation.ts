import { slopeOf, type Flanks } from '../form/flanks.ts';
import type { Part } from '../evidence/evidence.ts';
import { basicSizes } from '../form/sizes.ts';
import type { Edge, ThreadForm } from '../form/shape.ts';

/** What a thread would measure if it were new: the numbers that evidence is compared with. Lengths mm. */
export interface Expectation extends Flanks {
  readonly majorMm: number;
  readonly pitchMm: number;
  readonly pitchDiameterMm: number;
  readonly minorExternalMm: number;
  readonly minorInternalMm: number;
  readonly depthExternalMm: number;
  readonly depthInternalMm: number;
  readonly taper: number;
  /** How much a diameter may differ along a taper, mm; diameters above are those of its large end. 0 when parallel. */
  readonly alongTaperMm: number;
  /** Crest and root of the screw and of the nut. */
  readonly edges: Readonly<Record<Part, Edges>>;
}

/** Flats, 0 where the form is round, and radii, 0 where it is flat; mm. */
interface Edges {
  readonly crestFlatMm: number;
  readonly rootFlatMm: number;
  readonly crestRadiusMm: number;
  readonly rootRadiusMm: number;
}

/**
 * What a thread of a form would measure if it were new; mm, degrees.
 * @example expectationOf(formAt('iso60', 1.5), 10, 1.5).pitchDiameterMm // 9.026; ISO 724
 */
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
    leadingDeg: form.leadingDeg,
    trailingDeg: form.trailingDeg,
    taper: form.taper,
    alongTaperMm: 0,
    edges: { external: edgesOf(form, pitchMm, 'external'), internal: edgesOf(form, pitchMm, 'internal') },
  };
}

/** A screw's crest is its outer end, a nut's its inner one. */
function edgesOf(form: ThreadForm, pitchMm: number, part: Part): Edges {
  const profile = form[part];
  const slope = slopeOf(form);
  const end = (edge: Edge, reachMm: number): { readonly flat: number; readonly radius: number } =>
    edge.kind === 'round'
      ? { flat: 0, radius: edge.radiusMm }
      : { flat: Math.max(0, pitchMm / 2 - reachMm * slope), radius: edge.cornerMm };
  const outer = end(profile.outerEdge, profile.outerMm);
  const inner = end(profile.innerEdge, profile.innerMm);
  const [crest, root] = part === 'external' ? [outer, inner] : [inner, outer];
  return { crestFlatMm: crest.flat, rootFlatMm: root.flat, crestRadiusMm: crest.radius, rootRadiusMm: root.radius };
}

/**
 * A form's expectation moved to another size: its depths and edges stay, so they are shared.
 * @example atSize(expectationOf(formAt('iso60', 1.5), 10, 1.5), 12).pitchDiameterMm // 11.026; M12x1.5 of ISO 724
 */
export const atSize = (one: Expectation, majorMm: number): Expectation => ({
  ...one,
  majorMm,
  pitchDiameterMm: one.pitchDiameterMm + majorMm - one.majorMm,
  minorExternalMm: one.minorExternalMm + majorMm - one.majorMm,
  minorInternalMm: one.minorInternalMm + majorMm - one.majorMm,
});
