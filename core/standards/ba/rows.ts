import type { Family } from '../family.ts';
import { rowOfSize } from '../rows.ts';
import { exact } from '../../quantity/rational.ts';

/** Number of the size, diameter and pitch, mm. BS 93. */
export const BA_SIZES: readonly (readonly [number: number, diameterMm: number, pitchMm: number])[] = [
  [0, 6, 1],
  [1, 5.3, 0.9],
  [2, 4.7, 0.81],
  [3, 4.1, 0.73],
  [4, 3.6, 0.66],
  [5, 3.2, 0.59],
  [6, 2.8, 0.53],
  [7, 2.5, 0.48],
  [8, 2.2, 0.43],
  [9, 1.9, 0.39],
  [10, 1.7, 0.35],
  [11, 1.5, 0.31],
  [12, 1.3, 0.28],
  [13, 1.2, 0.25],
  [14, 1, 0.23],
  [15, 0.9, 0.21],
  [16, 0.79, 0.19],
];

/** British Association: its sizes and how they are written. @see BS 93 */
export const BRITISH_ASSOCIATION: Family = {
  id: 'BA',
  name: 'British Association',
  form: 'ba47',
  system: 'mm',
  source: 'BS 93',
  commonness: 4,
  rows: BA_SIZES.map(([number, d, p]) => rowOfSize(String(number), exact(d), exact(p))),
  designate: (size) => `${size} BA`,
  named: /^(?:(?:no\.?\s*)?(\d+)\s*BA|BA\s*(\d+))$/i,
};
