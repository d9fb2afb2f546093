import { own } from '../../quantity/own.ts';
import { exact, type Rational } from '../../quantity/rational.ts';

/** A gearbox as its levers: name of the lever -> position -> ratio, exact text. */
export type Levers = Readonly<Record<string, Readonly<Record<string, string>>>>;
/** A setting: name of the lever -> position. */
export type LeverSetting = Readonly<Record<string, string>>;

/**
 * Product of the ratios of a setting; null when a lever or a position is not in the gearbox.
 * @example textOf(ratioOf({ A: { 1: '1', 2: '1/2' }, B: { x: '3/4' } }, { A: '2', B: 'x' })) // '3/8'
 */
export function ratioOf(levers: Levers, setting: LeverSetting): Rational | null {
  let product = exact(1);
  for (const [lever, position] of Object.entries(setting)) {
    const ratio = own(own(levers, lever) ?? {}, position);
    if (ratio === undefined) return null;
    product = product.mul(exact(ratio));
  }
  return product;
}

/**
 * Every setting of all levers, as the chart would list them.
 * @example allSettings({ A: { 1: '1', 2: '1/2' }, B: { x: '3/4' } }).length // 2
 */
export function allSettings(levers: Levers): LeverSetting[] {
  return Object.entries(levers).reduce<LeverSetting[]>(
    (settings, [lever, positions]) =>
      settings.flatMap((s) => Object.keys(positions).map((p) => ({ ...s, [lever]: p }))),
    [{}],
  );
}

/**
 * Where each lever stands, as it is said.
 * @example settingText({ A: '2', B: 'low' }) // 'A 2, B low'
 */
export const settingText = (s: LeverSetting): string =>
  Object.entries(s)
    .map(([lever, p]) => `${lever} ${p}`)
    .join(', ');
