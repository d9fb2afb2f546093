import { centrePerRadius, slopeOf } from './flanks.ts';
import type { ThreadForm } from './shape.ts';

/** Basic diameters of both members, mm, and where they come from. */
export interface BasicSizes {
  readonly majorMm: number;
  readonly pitchDiameterMm: number;
  readonly minorExternalMm: number;
  readonly majorInternalMm: number;
  readonly minorInternalMm: number;
}

const toStep = (x: number, step: number | null): number => (step === null ? x : Math.round(x / step + 1e-6) * step);

/**
 * Basic diameters of a thread from its nominal (basic major) diameter, mm. Where the standard rounds the depth of thread
 * before subtracting (BS 84, BS 93, ISO 228-1), so does this.
 * @example basicSizes(formAt('iso60', 1.5), 10).pitchDiameterMm // 9.0257; ISO 724 prints 9.026
 */
export function basicSizes(form: ThreadForm, majorMm: number): BasicSizes {
  if (!(majorMm > 0)) throw new RangeError(`major diameter: ${majorMm}`);
  const { external: ext, internal: int, depthStepMm } = form;
  // only forms with equal height above and below the pitch line have a rounded depth
  const depth = toStep(ext.outerMm + ext.innerMm, depthStepMm);
  const half = depthStepMm === null ? ext.outerMm : depth / 2;
  const pitchDiameterMm = majorMm - 2 * half;
  return {
    majorMm,
    pitchDiameterMm,
    minorExternalMm: pitchDiameterMm - 2 * (depthStepMm === null ? ext.innerMm : half),
    majorInternalMm: pitchDiameterMm + 2 * (depthStepMm === null ? int.outerMm : half),
    minorInternalMm: pitchDiameterMm - 2 * (depthStepMm === null ? int.innerMm : half),
  };
}

/**
 * Depth of the external thread, crest to root, mm radial.
 * @example externalDepthMm(formAt('trapezoidal30', 7)) // 4.0; h3 of ISO 2904
 */
export const externalDepthMm = (form: ThreadForm): number => form.external.outerMm + form.external.innerMm;

/**
 * Width of the external groove at its root (what the tool's tip flat must not exceed), mm. Zero when sharp.
 * @example rootFlatMm(formAt('acme29', 5.08), 5.08) // 1.752; 0.3707 P less 0.259 x 0.020 in, ASME B1.5
 */
export const rootFlatMm = (form: ThreadForm, pitchMm: number): number =>
  Math.max(0, pitchMm / 2 - form.external.innerMm * slopeOf(form));

/**
 * Width of the external crest, mm; of a rounded crest where its flanks would end.
 * @example crestFlatMm(formAt('iso60', 1.5), 1.5) // 0.1875; P/8
 */
export const crestFlatMm = (form: ThreadForm, pitchMm: number): number =>
  Math.max(0, pitchMm / 2 - form.external.outerMm * slopeOf(form));

/**
 * Width of the internal groove at its bottom (the nut's root at the major diameter), mm.
 * @example nutRootFlatMm(formAt('iso60', 1.5), 1.5) // 0.1875; P/8
 */
export const nutRootFlatMm = (form: ThreadForm, pitchMm: number): number =>
  Math.max(0, pitchMm / 2 - form.internal.outerMm * slopeOf(form));

/** How deep a tip has to go for the pitch diameter, and what it leaves. */
export interface TipDepth {
  /** Radial depth from the crest at which a tool of this tip brings the pitch diameter to size, mm. */
  readonly depthMm: number;
  /** The root is cleared: the tip is no wider than the groove at the specified root. */
  readonly clearsRoot: boolean;
  /** Extra depth over the form's own depth (negative: the tip is too wide and stops short), mm. */
  readonly beyondMm: number;
}

/** End of a tool: its flat and the radius at its corners, mm. */
export interface ToolTip {
  readonly flatMm: number;
  readonly radiusMm?: number;
}

/** Slack when asking whether a tip clears the root: a quarter of the 0.01 mm a tool grinder can hold. */
const TIP_SLACK_MM = 0.0025;

/**
 * Depth to cut with a given tool tip. The flanks must come to width P/2 at the pitch line, so the tip sits
 * (P/2 - f)/(tan a1 + tan a2) inside it; a sharp or narrow tip therefore goes deeper than the form, and one wider than
 * the root flat brings the flanks to size before the root is cleared and can never finish.
 * @param outerMm height of the crest above the pitch line of the member being cut, mm
 * @param rootMm height from the pitch line to the required root, mm
 * @example depthWithTip(formAt('iso60', 1.5), 1.5, { flatMm: 0 }).depthMm // 1.1367; 7/8 H with a sharp tip
 */
export function depthWithTip(
  form: ThreadForm,
  pitchMm: number,
  tip: ToolTip,
  heights: { readonly outerMm: number; readonly rootMm: number } = {
    outerMm: form.external.outerMm,
    rootMm: form.external.innerMm,
  },
): TipDepth {
  const slope = slopeOf(form);
  const formDepth = heights.outerMm + heights.rootMm;
  if (slope === 0) {
    return { depthMm: formDepth, clearsRoot: tip.flatMm <= pitchMm / 2 + TIP_SLACK_MM, beyondMm: 0 };
  }
  const bottom = bottomBelowPitchLineMm(form, pitchMm, tip);
  const depthMm = heights.outerMm + bottom;
  return { depthMm, clearsRoot: bottom >= heights.rootMm - TIP_SLACK_MM, beyondMm: bottom - heights.rootMm };
}

/** How far inside the pitch line the tip's bottom lies when the flanks are at size, mm. */
function bottomBelowPitchLineMm(form: ThreadForm, pitchMm: number, tip: ToolTip): number {
  const slope = slopeOf(form);
  if (!tip.radiusMm) return (pitchMm / 2 - tip.flatMm) / slope;
  return pitchMm / 2 / slope - tip.radiusMm * (centrePerRadius(form) - 1);
}
