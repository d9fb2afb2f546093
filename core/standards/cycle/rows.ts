import type { Family } from '../family.ts';
import { inchRows, inchText, type InchSize } from '../rows.ts';

/** BS 811, from memory. */
const CYCLE_SIZES: readonly InchSize[] = [
  ['1/8', 40],
  ['5/32', 32],
  ['3/16', 32],
  ['7/32', 26],
  ['1/4', 26],
  ['9/32', 26],
  ['5/16', 26],
  ['3/8', 26],
  ['7/16', 26],
  ['1/2', 26],
  ['9/16', 20],
  ['9/16', 26],
  ['5/8', 26],
  ['11/16', 26],
  ['31/32', 30],
  ['1', 24],
  ['1', 26],
  ['1 1/8', 26],
  ['1.29', 24],
  ['1.37', 24],
];

/** Cycle: its sizes and how they are written. @see BS 811 (sizes from memory) */
export const CYCLE: Family = {
  id: 'Cycle',
  name: 'Cycle',
  form: 'cycle60',
  system: 'in',
  source: 'BS 811 (sizes from memory)',
  commonness: 1,
  rows: inchRows(CYCLE_SIZES),
  designate: inchText('Cycle'),
  spelled: /^(BSC|CEI|Cycle)$/i,
};
