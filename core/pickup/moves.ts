import { cosDeg, sinDeg } from '../quantity/units.ts';
import { exact, isPositive, numberOf, type Rational } from '../quantity/rational.ts';

/**
 * Ways to bring a tool into a groove that is there. Offsets are exact, along the axis, + towards the headstock: how far the
 * groove lies from the tool. All of it is geometry and the kinematics of the lathe: forward carries a right-hand groove
 * towards the headstock, a left-hand one away from it.
 */
export interface Groove {
  readonly offset: Rational;
  /** What one groove and the next of the same kind are apart: the lead, or the pitch where any start will do. */
  readonly every: Rational;
  readonly lead: Rational;
  readonly leftHand: boolean;
}

const ZERO = exact(0);
const HALF = exact('1/2');

/**
 * The offset taken the smaller way round: modulo what grooves are apart, between minus and plus half of it.
 * @example textOf(smallerWay(exact('5.5'), exact(7))) // '-3/2'
 */
export function smallerWay(offset: Rational, every: Rational): Rational {
  if (!isPositive(every)) throw new RangeError(`grooves are apart by ${every.toFraction()}`);
  const turns = offset.div(every).add(HALF).floor();
  const x = offset.sub(every.mul(turns));
  // half a lead is as near either way: kept positive
  return x.mul(2n).equals(every.neg()) ? x.neg() : x;
}

/**
 * (a) Along a slide that lies parallel to the axis.
 * @example textOf(parallelMove({ offset: exact('0.7'), every: exact(2), lead: exact(2), leftHand: false })) // '7/10'
 */
export const parallelMove = (g: Groove): Rational => smallerWay(g.offset, g.every);

/** A move along a groove by a top slide that lies at an angle. */
export interface AngledMove {
  /** Along the slide, + forward: into the work, and in the direction of the cut as the slide is swung for that hand. */
  readonly slideMm: number;
  /** What the cross slide takes back out of the work; negative: wound in. */
  readonly crossOutMm: number;
}

/**
 * (b) Along a slide at an angle from the cross-slide line: x / sin b, taking back that times cos b.
 * @example angledMove({ offset: exact('0.5'), lead: exact('2'), every: exact('2'), leftHand: false }, 30) // { slideMm: 1.000, crossOutMm: 0.866 }
 */
export function angledMove(g: Groove, angleDeg: number): AngledMove {
  if (!(angleDeg > 0 && angleDeg <= 90)) throw new RangeError(`slide angle: ${angleDeg}`);
  const x = numberOf(parallelMove(g)) * (g.leftHand ? -1 : 1);
  const slideMm = x / sinDeg(angleDeg);
  return { slideMm, crossOutMm: angleDeg === 90 ? 0 : slideMm * cosDeg(angleDeg) };
}

/**
 * (c) Turning the work against the spindle, degrees, + the way it turns when cutting forward. A right-hand groove lying
 * towards the headstock comes to the tool when the work is turned back.
 * @example textOf(turnOfWork({ offset: exact('0.5'), lead: exact('2'), every: exact('2'), leftHand: false })) // '-90'; a quarter of a turn back
 */
export const turnOfWork = (g: Groove): Rational =>
  smallerWay(g.offset, g.every)
    .mul(360n)
    .div(g.lead)
    .mul(g.leftHand ? 1n : -1n);

/** A gear slipped by whole teeth, and what that leaves. */
export interface Slip {
  /** + as that gear turns when cutting forward. */
  readonly teeth: number;
  /** What is left of the offset afterwards, the smaller way. */
  readonly left: Rational;
}

/** The gear that is slipped and what a turn of it moves. */
export interface SlippedGear {
  readonly teeth: number;
  /** Leadscrew turns for one turn of that gear, through all that follows it, gearbox too. */
  readonly leadscrewTurnsPerTurn: Rational;
  readonly leadscrew: Rational;
}

/** More teeth than this nobody counts, and no search needs: trains repeat sooner. */
const MOST_TEETH = 100_000;

/**
 * (d) Slipping a gear of the train by whole teeth: k teeth of T carry the carriage k/T x leadscrew turns per turn of that
 * gear x leadscrew pitch, towards the headstock when the gear turns as in cutting a right-hand thread forward. The least
 * that is left over, then the fewest teeth. @param mostTeeth either way; null: as many as it takes
 * @example gearSlip({ offset: exact('0.5'), lead: exact('2'), every: exact('2'), leftHand: false }, { teeth: 40, leadscrewTurnsPerTurn: exact('1'), leadscrew: exact('4') }, null).teeth // 5; a tooth is a tenth
 */
export function gearSlip(g: Groove, gear: SlippedGear, mostTeeth: number | null): Slip {
  if (!(Number.isInteger(gear.teeth) && gear.teeth > 0)) throw new RangeError(`teeth: ${gear.teeth}`);
  const direction = g.leftHand ? -1n : 1n;
  const perTooth = gear.leadscrewTurnsPerTurn.mul(gear.leadscrew).div(BigInt(gear.teeth)).mul(direction);
  // everything over one denominator, so that the search runs on whole numbers
  const unit = common([g.offset, g.every, perTooth]);
  const whole = (r: Rational): bigint => {
    const n = r.mul(unit);
    return n.s * n.n;
  };
  const [x, every, step] = [whole(g.offset), whole(g.every), whole(perTooth)];
  const period = every / gcd(every, step < 0n ? -step : step);
  const most = BigInt(Math.min(mostTeeth ?? MOST_TEETH, MOST_TEETH));
  const limit = period < most ? period : most;
  let best = { teeth: 0n, left: centred(x, every) };
  for (let k = 1n; k <= limit; k += 1n) {
    for (const teeth of [k, -k]) {
      const left = centred(x - teeth * step, every);
      if (magnitude(left) < magnitude(best.left)) best = { teeth, left };
    }
    if (best.left === 0n) break;
  }
  return { teeth: Number(best.teeth), left: exact(String(best.left)).div(unit) };
}

const gcd = (a: bigint, b: bigint): bigint => (b === 0n ? a : gcd(b, a % b));
const magnitude = (a: bigint): bigint => (a < 0n ? -a : a);
const common = (list: readonly Rational[]): Rational =>
  exact(String(list.reduce((d, r) => (d / gcd(d, r.d)) * r.d, 1n)));
function centred(x: bigint, every: bigint): bigint {
  const rest = ((x % every) + every) % every;
  return rest * 2n > every ? rest - every : rest;
}

/** A start moved by whole leads. */
export interface StartMove {
  readonly startMm: Rational;
  readonly wholeLeads: Rational;
}

/**
 * (e) Starting a whole number of leads elsewhere: the smallest start, + away from the headstock, at or beyond the least
 * one allowed, that falls into the groove.
 * @example textOf(startMove({ offset: exact('0.5'), lead: exact('2'), every: exact('2'), leftHand: false }, exact('0'), exact('6')).startMm) // '15/2'
 */
export function startMove(g: Groove, start: Rational, leastStart: Rational): StartMove {
  const inGroove = start.sub(g.offset);
  const steps = leastStart.sub(inGroove).div(g.every).ceil();
  return { startMm: inGroove.add(g.every.mul(steps)), wholeLeads: steps.mul(g.every).div(g.lead) };
}

/**
 * On a taper that widens towards the headstock: how far the tool comes out so as to keep its depth, moving x towards it.
 * @example textOf(outOnTaper(exact(16), exact('1/16'))) // '1/2'; half of what it grows on diameter
 */
export const outOnTaper = (movedTowardsHeadstock: Rational, taper: Rational): Rational =>
  taper.equals(ZERO) ? ZERO : movedTowardsHeadstock.mul(taper).div(2n);

/**
 * What a gauge's stand-off e means on a taper: e T on diameter, half of it on the slide.
 * @example textOf(standOff(exact(1), exact('1/16')).onDiameter) // '1/16'
 */
export const standOff = (
  e: Rational,
  taper: Rational,
): { readonly onDiameter: Rational; readonly radial: Rational } => ({
  onDiameter: e.mul(taper),
  radial: e.mul(taper).div(2n),
});

/**
 * By how much shoulder and end go back after a recut of so much on diameter.
 * @example textOf(pushBack(exact('1/16'), exact('1/16'))) // '1'
 */
export const pushBack = (onDiameter: Rational, taper: Rational): Rational => onDiameter.div(taper);
