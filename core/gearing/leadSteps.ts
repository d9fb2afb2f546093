import type { Geared } from './train.ts';
import type { Lathe } from '../lathe/schema.ts';
import { numberOf, textOf, type Rational } from '../quantity/rational.ts';
import type { Step } from '../quantity/working.ts';

const times = (list: readonly (number | string)[]): string => list.map((x) => `(${x})`).join(' \u00d7 ');

/**
 * How the lead that a train cuts comes about, in exact fractions.
 * @example leadSteps({ leadscrew: '127/40', fixedRatio: '1' }, { drivers: [40], driven: [80], gearbox: '1' }, exact('127/80'))[0].result // 1.5875; half of 8 tpi
 */
export const leadSteps = (
  lathe: Pick<Lathe, 'leadscrew' | 'fixedRatio'>,
  train: Geared,
  lead: Rational,
): readonly [Step] => [
  {
    name: 'Lead cut',
    symbol: 'L',
    formula: 'leadscrew \u00d7 fixed ratio \u00d7 gearbox \u00d7 drivers / driven',
    values: `${times([lathe.leadscrew, lathe.fixedRatio, train.gearbox, ...train.drivers])} / (${train.driven.join(' \u00d7 ')})`,
    result: numberOf(lead),
    unit: 'mm',
    source: `kinematics of the train, exactly ${textOf(lead)} mm; 1 in = 25.4 mm (1959)`,
  },
];
