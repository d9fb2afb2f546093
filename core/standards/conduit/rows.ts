import type { Family } from '../family.ts';
import { labelledRows, type LabelledSize } from '../rows.ts';

/** Conduit size, outside diameter in mm, threads per inch. DIN 40430, from memory. */
const CONDUIT_SIZES: readonly LabelledSize[] = [
  ['7', 12.5, 20],
  ['9', 15.2, 18],
  ['11', 18.6, 18],
  ['13.5', 20.4, 18],
  ['16', 22.5, 18],
  ['21', 28.3, 16],
  ['29', 37, 16],
  ['36', 47, 16],
  ['42', 54, 16],
  ['48', 59.3, 16],
];

/** Glands and steel conduit of older switchgear; a repair bench meets it on motors and control boxes. */
export const CONDUIT: Family = {
  id: 'Pg',
  name: 'Steel conduit 80\u00b0',
  form: 'conduit80',
  system: 'mm',
  source: 'DIN 40430 (sizes from memory)',
  commonness: 0.7,
  rows: labelledRows(CONDUIT_SIZES, 'mm'),
  designate: (size) => `Pg ${size}`,
  named: /^PG\s*(\d+(?:\.\d+)?)$/i,
};
