import type { Family } from '../family.ts';
import { inchRows, inchText, metricRows, metricText, type InchSize } from '../rows.ts';
import { TRAPEZOIDAL_SIZES } from '../trapezoidal/rows.ts';

/** Every one of the sizes with every one of the threads per inch. */
const each = (sizes: readonly string[], tpis: readonly number[]): InchSize[] =>
  sizes.flatMap((size) => tpis.map((tpi): InchSize => [size, tpi]));

/** Preferred diameters with the pitches recommended for each group. ASME B1.9, from memory. */
const ASME_B1_9: readonly InchSize[] = [
  ...each(['1/2', '9/16', '5/8'], [20, 16, 12]),
  ...each(['3/4', '7/8', '1'], [16, 12, 10]),
  ...each(['1 1/8', '1 1/4', '1 3/8', '1 1/2'], [16, 12, 10, 8, 6]),
  ...each(['1 3/4', '2', '2 1/4', '2 1/2', '2 3/4', '3', '3 1/2', '4'], [16, 12, 10, 8, 6, 5, 4]),
  ...each(['4 1/2', '5', '5 1/2', '6'], [12, 10, 8, 6, 5, 4, 3]),
  ...each(['7', '8', '9', '10'], [10, 8, 6, 5, 4, 3, 2.5, 2]),
];

/** Buttress 45°/7°: its sizes and how they are written. @see ASME B1.9 */
export const BUTTRESS: Family = {
  id: 'Buttress',
  name: 'Buttress 45\u00b0/7\u00b0',
  form: 'buttress45-7',
  system: 'in',
  source: 'ASME B1.9',
  commonness: 1,
  rows: inchRows(ASME_B1_9),
  designate: inchText('Butt'),
  spelled: /^Butt(ress)?$/i,
};

/** Saw-tooth: its sizes and how they are written. @see DIN 513-2 (sizes as ISO 2902 from 10 mm; from memory) */
export const SAWTOOTH: Family = {
  id: 'S',
  name: 'Saw-tooth',
  form: 'sawtooth30-3',
  system: 'mm',
  source: 'DIN 513-2 (sizes as ISO 2902 from 10 mm; from memory)',
  commonness: 1,
  rows: metricRows(TRAPEZOIDAL_SIZES.filter(([diameterMm]) => diameterMm >= 10)),
  designate: (size, pitch) => metricText('S ', size, pitch),
};
