import { leadAngleDeg } from './helix.ts';
import { plain, type Step } from '../quantity/working.ts';

/**
 * What the sides of a tool are relieved by besides their clearance: the lead angle at the minor diameter, where the helix is
 * steepest. Geometry of the helix: tan(lead angle) = lead / (pi d). @param minorMm above 0
 * @example sideReliefSteps(3, 20.319)[0].result // 2.691; arctan(3 / (pi x 20.319))
 */
export const sideReliefSteps = (leadMm: number, minorMm: number): readonly [Step] => [
  {
    name: 'Lead angle at the minor diameter',
    symbol: '\u03bb',
    formula: 'arctan(L / (\u03c0 d))',
    values: `arctan(${plain(leadMm)} / (\u03c0 \u00d7 ${plain(minorMm)}))`,
    result: leadAngleDeg(leadMm, minorMm),
    unit: 'deg',
    source: 'geometry of the helix; the steepest place sets the side relief',
  },
];
