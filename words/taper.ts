import { coneHalfAngleDeg, crossPerTurnMm, setOver, standOffPerRadialMm } from '../core/cutting/taper.ts';
import type { TaperWay } from '../core/job/schema.ts';
import { degreesText, FINE, lengthText, ppmText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

export const TAPER_WAY_NAMES: Readonly<Record<TaperWay, string>> = {
  attachment: 'taper attachment',
  'set-over': 'tailstock set over',
  control: 'the control',
  'by-hand': 'cross slide by hand',
};

/** What following a taper so asks for and does. */
export function taperWayText(
  way: TaperWay | null,
  q: {
    readonly taper: number;
    readonly leadMm: number;
    readonly overCentresMm: number | null;
    readonly make: 'external' | 'internal';
    readonly leftHand: boolean;
  },
  u: UnitSystem,
): readonly string[] {
  const mm = (x: number): string => lengthText(x, u, FINE);
  switch (way) {
    case null:
      return ['How the taper is followed is not said yet.'];
    case 'attachment':
      return [
        `Set it to ${degreesText(coneHalfAngleDeg(q.taper), 0.01)}, half the cone. Take its slack up before the work begins, in the same direction at every pass.`,
        'Travel is along the axis: the pitch comes out right.',
      ];
    case 'set-over': {
      const over = q.overCentresMm === null ? null : setOver(q.taper, q.overCentresMm);
      return [
        over
          ? `Set the tailstock over by ${mm(over.setOverMm)}; ball centres.`
          : 'Measure the length over the centres: the set-over follows from it.',
        `Bed travel lies along the cone: the pitch comes out ${ppmText(setOver(q.taper, 1).pitchPpm)} along the axis. Correct the gears, or accept it on a short pipe thread.`,
        'Set the tool square to the axis of the work, not to the cone.',
      ];
    }
    case 'control':
      return [
        'Give the whole travel in Z, run-in included, times half the taper; dry-run it, for the sign differs by control. The taper word stays the same at every pass.',
      ];
    case 'by-hand':
      return [
        `Cross slide ${awayFromAxis(q) ? 'away from the axis' : 'towards the axis'} by ${mm(crossPerTurnMm(q.leadMm, q.taper))} at each turn of the spindle.`,
      ];
  }
}
/** A screw grows towards the headstock and a nut narrows; a left-hand thread is cut the other way along. */
const awayFromAxis = (q: {
  readonly taper: number;
  readonly make: 'external' | 'internal';
  readonly leftHand: boolean;
}): boolean => ((q.make === 'external') !== q.leftHand) !== q.taper < 0;

/** Depth on a taper is set by the gauge. */
export const taperDepthText = (taper: number, u: UnitSystem): string =>
  `Depth is set by the gauge, never by depth: ${lengthText(0.1, u, FINE)} on the radius lets it ${lengthText(standOffPerRadialMm(0.1, taper), u, FINE)} further on. Straight in avoids the slide\u2019s shift along the cone. Retract clear of the large end.`;
