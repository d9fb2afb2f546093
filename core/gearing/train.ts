import { exact, type Rational } from '../quantity/rational.ts';

/** A train by its gears, in the order in which they go on: drivers[i] meshes with driven[i]. */
export interface Gearing {
  /** Teeth of the driving gears, the first on the spindle's stud. */
  readonly drivers: readonly number[];
  readonly driven: readonly number[];
}
/** The same with the levers. */
export interface Geared extends Gearing {
  /** Exact ratio of the gearbox. */
  readonly gearbox: string;
}

/**
 * Ratio of a train: the product of its drivers over that of its driven gears, exact.
 * @example textOf(totalRatio([20, 30], [40, 60])) // '1/4'
 */
export const totalRatio = (drivers: readonly number[], driven: readonly number[]): Rational =>
  exact(`${product(drivers)}/${product(driven)}`);
const product = (teeth: readonly number[]): bigint => teeth.reduce((p, t) => p * BigInt(t), 1n);

/**
 * Lead that a train really cuts, mm, exact: leadscrew x fixed x gearbox x drivers / driven.
 * @example textOf(leadOfTrain({ drivers: [127], driven: [100], gearbox: '1' }, exact('127/20'), exact('20/127'))) // '127/100'
 */
export function leadOfTrain(train: Geared, leadscrew: Rational, fixedRatio: Rational): Rational {
  return leadscrew.mul(fixedRatio).mul(exact(train.gearbox)).mul(totalRatio(train.drivers, train.driven));
}

/**
 * Gears left in the drawer when these are on; a gear that is not in the set is passed over.
 * @example gearsLeft([20, 20, 30], [20]) // [20, 30]
 */
export function gearsLeft(owned: readonly number[], used: readonly number[]): number[] {
  const rest = [...owned];
  for (const t of used) if (rest.includes(t)) rest.splice(rest.indexOf(t), 1);
  return rest;
}

/**
 * Gears to take off or put on, from what is mounted: those that stay in their place need no touching.
 * @example gearsToChange({ drivers: [20], driven: [40] }, { drivers: [20], driven: [60] }) // 1
 */
export function gearsToChange(train: Gearing, mounted: Gearing | null): number {
  const wanted = train.drivers.length + train.driven.length;
  if (!mounted) return wanted;
  const same = (now: readonly number[], then: readonly number[]): number => now.filter((t, i) => then[i] === t).length;
  return wanted - same(train.drivers, mounted.drivers) - same(train.driven, mounted.driven);
}

/**
 * The same gears on the same side and the same levers: the order of the pairs does not change what is cut.
 * @example sameGears({ drivers: [20, 30], driven: [40, 50], gearbox: '1' }, { drivers: [20, 30], driven: [40, 50], gearbox: '1/2' }) // false
 */
export const sameGears = (a: Geared, b: Geared): boolean =>
  a.gearbox === b.gearbox &&
  String(a.drivers.toSorted()) === String(b.drivers.toSorted()) &&
  String(a.driven.toSorted()) === String(b.driven.toSorted());
