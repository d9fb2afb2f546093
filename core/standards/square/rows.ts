import type { Family } from '../family.ts';
import { inchRows, inchText, type InchSize } from '../rows.ts';

/** Half as many threads to the inch as a Whitworth of the size, about. Common practice, no source. */
const SQUARE_SIZES: readonly InchSize[] = [
  ['1/2', 6.5],
  ['5/8', 5.5],
  ['3/4', 5],
  ['7/8', 4.5],
  ['1', 4],
  ['1 1/8', 3.5],
  ['1 1/4', 3.5],
  ['1 3/8', 3],
  ['1 1/2', 3],
  ['1 3/4', 2.5],
  ['2', 2.25],
  ['2 1/4', 2.25],
  ['2 1/2', 2],
  ['3', 1.75],
];

/** Square: its sizes and how they are written. @see common practice, no source */
export const SQUARE: Family = {
  id: 'Square',
  name: 'Square',
  form: 'square',
  system: 'in',
  source: 'common practice, no source',
  commonness: 1.5,
  rows: inchRows(SQUARE_SIZES),
  designate: inchText('Square'),
  spelled: /^(Sq(uare)?)$/i,
};
