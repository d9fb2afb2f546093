import { cosDeg, sinDeg } from '../quantity/units.ts';

export interface PickupMoves {
  /** The offset brought to the smaller way round, mm; positive: the tool must go the way the offset was measured. */
  readonly axialMm: number;
  /** (b) Along a top slide at the given angle from the cross-slide line; null when it is square to the axis. */
  readonly slideMm: number | null;
  /** What the cross slide must take back after (b). */
  readonly crossBackMm: number | null;
  /** (c) Turn of the work in the chuck, degrees. */
  readonly turnDeg: number;
}

/**
 * Ways to bring a tool that lies x off the groove into it: the smaller way modulo the lead, by a parallel top slide (x
 * itself), by an angled one (x / sin b, taking back that times cos b on the cross slide), or by turning the work 360 x / L.
 * @param offsetMm from the tool to the groove along the axis, positive towards the headstock
 * @param angleFromCrossDeg top slide's angle from the cross-slide line; 90 is parallel to the bed
 */
export function pickupMoves(offsetMm: number, leadMm: number, angleFromCrossDeg: number): PickupMoves {
  if (!(leadMm > 0)) throw new RangeError(`lead: ${leadMm}`);
  let x = offsetMm % leadMm;
  if (x > leadMm / 2) x -= leadMm;
  if (x < -leadMm / 2) x += leadMm;
  const sin = sinDeg(angleFromCrossDeg);
  const slideMm = sin > 0.02 ? x / sin : null;
  return {
    axialMm: x,
    slideMm,
    crossBackMm: slideMm === null ? null : slideMm * cosDeg(angleFromCrossDeg),
    turnDeg: (360 * x) / leadMm,
  };
}

export interface GearSlip {
  readonly teeth: number;
  readonly slipBy: number;
  /** Carriage shift that the slip gives, mm. */
  readonly shiftMm: number;
  /** What is left to find after it, mm. */
  readonly leftMm: number;
}

/**
 * (d) Slipping a gear of the train by whole teeth: k teeth of a gear with T teeth shift the carriage by k/T of the travel
 * that one turn of that gear makes. The driven gear on the leadscrew is the plain case: one turn is one leadscrew pitch.
 */
export function gearSlip(axialMm: number, teeth: number, travelPerTurnMm: number): GearSlip {
  const perTooth = travelPerTurnMm / teeth;
  const slipBy = Math.round(axialMm / perTooth);
  return { teeth, slipBy, shiftMm: slipBy * perTooth, leftMm: axialMm - slipBy * perTooth };
}
