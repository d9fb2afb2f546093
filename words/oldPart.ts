import { FINE, lengthText, ppmText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import type { CleanedFit } from '../core/job/cleanedFit.ts';
import type { JointView } from '../core/job/jointView.ts';
import type { StandOffs } from '../core/job/standOffs.ts';
import type { TaughtBy } from '../core/pickup/taught.ts';

/** What is said of an old part: its joint, its taper, its batch. */
const fine = (mm: number, u: UnitSystem): string => lengthText(Math.abs(mm), u, FINE);

/** The lead of the old thread against the lathe's, and what the joint makes of it. */
export function jointText(v: JointView, u: UnitSystem): readonly string[] {
  if (!v.old || v.ppm === null) return ['Measure its lead first: crests over the whole length that survives.'];
  const lead = `The old lead is ${fine(v.old.leadMm, u)} \u00b1 ${fine(v.old.sigmaMm, u)}, this lathe cuts ${fine(v.latheLeadMm, u)}: ${
    v.told ? `the old one is ${ppmText(v.ppm)} from it` : 'no difference that the reading can tell'
  }.`;
  if (!v.joint) return [lead];
  const { atJointMm, splitMm, splitAtMm, nutMm, takesMm } = v.joint;
  return [
    lead,
    `Picked up at the joint, the tool is ${fine(atJointMm, u)} off where it leaves the old thread. Picked up ${fine(splitAtMm, u)} inside it, it is ${fine(splitMm, u)} off at either end: split it there.`,
    nutMm === null || takesMm === null
      ? 'How long the nut is, is not said: under Prove, Mate, or under Fit.'
      : `A nut half on each swallows ${fine(nutMm, u)}: that costs ${fine(takesMm, u)} of its clearance on pitch diameter.`,
  ];
}
export const WELD_TEXT =
  'A weld hardens the metal beside it and draws the shaft out of line: indicate both lengths, try it with a file before the tool meets it, slow down over it, and look at the tip afterwards. Whether it may be welded at all is for those who answer for the part.';

export const TAUGHT_ASKS: Readonly<Record<TaughtBy, { readonly ask: string; readonly how: string }>> = {
  shoulder: {
    ask: 'Its shoulder stands, from the first one\u2019s place (+ towards the headstock)',
    how: 'Every part against the same stop, an indicator on the shoulder at zero for the first. Right where all were cut to their shoulder alike.',
  },
  groove: {
    ask: 'Left between groove and tool (+ towards the headstock)',
    how: 'Half-nuts and spindle as for the first, tool let into the groove while the work still turns in the slack jaws; then tighten.',
  },
  mark: {
    ask: 'Its mark stands from the spindle\u2019s, degrees (+ turned forward)',
    how: 'A line on each part where its groove begins, set to the mark on the chuck.',
  },
};

/** What a gauge's stand-off means and asks for. */
export function standOffText(s: StandOffs, u: UnitSystem): readonly string[] {
  if (s.mm === null || s.onDiameterMm === null)
    return ['Try the gauge hand-tight, and give how far it stands off its mark.'];
  const means = `${fine(s.mm, u)} ${s.mm >= 0 ? 'short of' : 'past'} its mark is ${fine(s.onDiameterMm, u)} on diameter.`;
  const then =
    s.mm === 0
      ? 'It is at its mark.'
      : s.deeperMm !== null
        ? s.deeperMm === 0
          ? 'That much deeper has been asked for.'
          : `Deeper by ${fine(s.deeperMm, u)} on the radius.`
        : s.faceBackMm === 0
          ? 'Faced back so far already.'
          : `It cannot be put back: face shoulder and end back by ${fine(s.faceBackMm ?? 0, u)}, if length and wall allow.`;
  return [means, then];
}

/** What cleaning up does to the fit. */
export function cleanedFitText(c: CleanedFit | null, u: UnitSystem): readonly string[] {
  if (!c) return [];
  const from =
    c.wasMm === null
      ? 'Counted from the basic size, for the old one is not read, its'
      : `From ${fine(c.wasMm, u)}, its`;
  const past =
    c.pastMm === null || c.pastMm === 0
      ? ''
      : ` That is ${fine(c.pastMm, u)} past what the class allows: make the mate to it, or build it up.`;
  return [
    `${from} pitch diameter comes to ${fine(c.pitchDiameterMm, u)}: against the same mate ${fine(c.loosensMm, u)} looser.${past}`,
  ];
}
