import { plain, type Step } from '../quantity/working.ts';
import { lengthText } from '../quantity/format.ts';
import { inches } from '../quantity/units.ts';
import type { ScaleZero } from './schema.ts';

/** A graduated dial: how far one division moves the slide, and whether the scale shows radius or diameter. */
export interface SlideDial {
  readonly unit: 'mm' | 'in';
  /** Reading of one division, in the dial's unit. */
  readonly division: number;
  /** Divisions in one turn. */
  readonly perTurn: number;
  /** A dial that reads diameter moves half of what it shows. */
  readonly reads: 'radius' | 'diameter';
}

/** A travel as a dial of these divisions can be set to it. */
export interface DialReading {
  /** Whole turns from zero, counted in the way it is wound. */
  readonly turns: number;
  /** What the collar shows, in its unit, to the nearest half division. */
  readonly reading: number;
  /** The collar's figure alone: "0.847". */
  readonly shown: string;
  /** As shown on the card: "1 turn + 0.847" or "0.847". */
  readonly text: string;
  /** Slide travel that this setting really gives, mm. */
  readonly setMm: number;
}

/** Travel of the slide for one division, mm. */
const travelPerDivisionMm = (dial: SlideDial): number => {
  const shown = dial.unit === 'mm' ? dial.division : inches(dial.division);
  return dial.reads === 'diameter' ? shown / 2 : shown;
};

/**
 * Travel of the slide in one turn of its dial, mm.
 * @example turnTravelMm({ unit: 'in', division: 0.001, perTurn: 100, reads: 'radius' }) // 2.54
 */
export const turnTravelMm = (dial: SlideDial): number => travelPerDivisionMm(dial) * dial.perTurn;

/**
 * A length across the axis as a slide's dial shows it: one that reads diameter shows twice what the slide moves.
 * @example [shownOn({ reads: 'diameter' }, 1.4), shownOn({ reads: 'radius' }, 1.4), shownOn(null, 1.4)] // [2.8, 1.4, 1.4]
 */
export const shownOn = (dial: Pick<SlideDial, 'reads'> | null, radialMm: number): number =>
  dial?.reads === 'diameter' ? 2 * radialMm : radialMm;

/**
 * Where to set a dial for a travel from zero, rounded to half a division, which is what an eye can set. Wound back, as a nut
 * is cut, the collar runs down from zero: 2.30 at 2 mm a turn is one turn, then 1.70. Rounded down where a cap must hold.
 * @example dialReading(2.64, { unit: 'mm', division: 0.02, perTurn: 100, reads: 'radius' }).turns // 1
 */
export function dialReading(
  travelMm: number,
  dial: SlideDial,
  wound: 'in' | 'back' = 'in',
  round: 'nearest' | 'down' = 'nearest',
): DialReading {
  const exactly = (travelMm / travelPerDivisionMm(dial)) * 2;
  const halves = round === 'nearest' ? Math.round(exactly) : Math.floor(exactly + 1e-9);
  const perTurn = dial.perTurn * 2;
  const turns = Math.floor(halves / perTurn);
  const inTurn = halves - turns * perTurn;
  const collar = wound === 'in' ? inTurn : (perTurn - inTurn) % perTurn;
  const reading = (collar / 2) * dial.division;
  const shown = lengthText(dial.unit === 'mm' ? reading : inches(reading), dial.unit, {
    bare: true,
    stepMm: dial.division / 2,
    stepIn: dial.division / 2,
  });
  const text = turns === 0 ? shown : `${turns} turn${turns === 1 ? '' : 's'} + ${shown}`;
  return { turns, reading, shown, text, setMm: (halves / 2) * travelPerDivisionMm(dial) };
}

/**
 * What to set on the top slide's own scale for an angle measured from the cross-slide line.
 * @example [slideScaleDeg(29.5, 'cross-slide'), slideScaleDeg(29.5, 'bed')] // [29.5, 60.5]
 */
export const slideScaleDeg = (fromCrossSlideDeg: number, scaleZero: ScaleZero): number =>
  scaleZero === 'bed' ? 90 - fromCrossSlideDeg : fromCrossSlideDeg;

/**
 * How that comes about.
 * @example slideScaleSteps(29.5, 'bed')[0].result // 60.5
 */
export const slideScaleSteps = (fromCrossSlideDeg: number, scaleZero: ScaleZero): readonly Step[] => [
  {
    name: 'Scale setting',
    symbol: 's',
    formula:
      scaleZero === 'bed' ? '90\u00b0 \u2212 angle from the cross-slide line' : 'angle from the cross-slide line',
    values: scaleZero === 'bed' ? `90 \u2212 ${plain(fromCrossSlideDeg)}` : plain(fromCrossSlideDeg),
    result: slideScaleDeg(fromCrossSlideDeg, scaleZero),
    unit: 'deg',
    source: 'geometry; where the scale reads 0 is data of the lathe',
  },
];

/**
 * What a step is said in at a lathe: as its cross slide's dial reads, or as its control is told diameters.
 * @example stepsRead({ kind: 'gearbox', crossSlide: { reads: 'diameter' }, control: null }) // 'diameter'
 * @example stepsRead(null) // 'radius'
 */
export const stepsRead = (
  lathe: {
    readonly kind: string;
    readonly crossSlide: Pick<SlideDial, 'reads'>;
    readonly control: { readonly diameterProgramming: boolean } | null;
  } | null,
): 'radius' | 'diameter' =>
  lathe === null
    ? 'radius'
    : lathe.kind === 'control'
      ? lathe.control?.diameterProgramming
        ? 'diameter'
        : 'radius'
      : lathe.crossSlide.reads;
