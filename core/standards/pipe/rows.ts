import type { Family } from '../family.ts';
import { inchText, labelledRows, type LabelledSize } from '../rows.ts';

/** Pipe size, major diameter at the gauge plane in mm, threads per inch. ISO 228-1. */
const PARALLEL_55: readonly LabelledSize[] = [
  ['1/16', 7.723, 28],
  ['1/8', 9.728, 28],
  ['1/4', 13.157, 19],
  ['3/8', 16.662, 19],
  ['1/2', 20.955, 14],
  ['5/8', 22.911, 14],
  ['3/4', 26.441, 14],
  ['7/8', 30.201, 14],
  ['1', 33.249, 11],
  ['1 1/8', 37.897, 11],
  ['1 1/4', 41.91, 11],
  ['1 1/2', 47.803, 11],
  ['1 3/4', 53.746, 11],
  ['2', 59.614, 11],
  ['2 1/4', 65.71, 11],
  ['2 1/2', 75.184, 11],
  ['2 3/4', 81.534, 11],
  ['3', 87.884, 11],
  ['3 1/2', 100.33, 11],
  ['4', 113.03, 11],
  ['4 1/2', 125.73, 11],
  ['5', 138.43, 11],
  ['5 1/2', 151.13, 11],
  ['6', 163.83, 11],
];
/** The same of the sizes that ISO 7-1 has. */
const TAPER_55: readonly LabelledSize[] = [
  ['1/16', 7.723, 28],
  ['1/8', 9.728, 28],
  ['1/4', 13.157, 19],
  ['3/8', 16.662, 19],
  ['1/2', 20.955, 14],
  ['3/4', 26.441, 14],
  ['1', 33.249, 11],
  ['1 1/4', 41.91, 11],
  ['1 1/2', 47.803, 11],
  ['2', 59.614, 11],
  ['2 1/2', 75.184, 11],
  ['3', 87.884, 11],
  ['4', 113.03, 11],
  ['5', 138.43, 11],
  ['6', 163.83, 11],
];
/** Pipe size (from 14 on the outside diameter), outside diameter of the pipe in inches, threads per inch, hand-tight engagement L1 in inches. ASME B1.20.1. */
export const NPT_SIZES: readonly (readonly [size: string, outsideIn: number, tpi: number, l1In: number])[] = [
  ['1/16', 0.3125, 27, 0.16],
  ['1/8', 0.405, 27, 0.1615],
  ['1/4', 0.54, 18, 0.2278],
  ['3/8', 0.675, 18, 0.24],
  ['1/2', 0.84, 14, 0.32],
  ['3/4', 1.05, 14, 0.339],
  ['1', 1.315, 11.5, 0.4],
  ['1 1/4', 1.66, 11.5, 0.42],
  ['1 1/2', 1.9, 11.5, 0.42],
  ['2', 2.375, 11.5, 0.436],
  ['2 1/2', 2.875, 8, 0.682],
  ['3', 3.5, 8, 0.766],
  ['3 1/2', 4, 8, 0.821],
  ['4', 4.5, 8, 0.844],
  ['5', 5.563, 8, 0.937],
  ['6', 6.625, 8, 0.958],
  ['8', 8.625, 8, 1.063],
  ['10', 10.75, 8, 1.21],
  ['12', 12.75, 8, 1.36],
  ['14', 14, 8, 1.562],
  ['16', 16, 8, 1.812],
  ['18', 18, 8, 2],
  ['20', 20, 8, 2.125],
  ['24', 24, 8, 2.375],
];
/** Pipe size, outside diameter of the pipe in inches, threads per inch. ASME B1.20.3. */
const NPTF_SIZES: readonly LabelledSize[] = [
  ['1/16', 0.3125, 27],
  ['1/8', 0.405, 27],
  ['1/4', 0.54, 18],
  ['3/8', 0.675, 18],
  ['1/2', 0.84, 14],
  ['3/4', 1.05, 14],
  ['1', 1.315, 11.5],
  ['1 1/4', 1.66, 11.5],
  ['1 1/2', 1.9, 11.5],
  ['2', 2.375, 11.5],
  ['2 1/2', 2.875, 8],
  ['3', 3.5, 8],
];

/** Parallel pipe: its sizes and how they are written. @see ISO 228-1 */
export const PIPE_PARALLEL: Family = {
  id: 'G',
  name: 'Parallel pipe',
  form: 'pipe55',
  system: 'mm',
  source: 'ISO 228-1',
  commonness: 6,
  rows: labelledRows(PARALLEL_55, 'mm'),
  designate: (size) => `G ${size}`,
};
/** Taper pipe 55°: its sizes and how they are written. @see ISO 7-1 */
export const PIPE_TAPER: Family = {
  id: 'R',
  name: 'Taper pipe 55\u00b0',
  form: 'pipeTaper55',
  system: 'mm',
  source: 'ISO 7-1',
  commonness: 3,
  rows: labelledRows(TAPER_55, 'mm'),
  designate: (size) => `R ${size}`,
};
/** Taper pipe 60°: its sizes and how they are written. @see ASME B1.20.1 */
export const NPT: Family = {
  id: 'NPT',
  name: 'Taper pipe 60\u00b0',
  form: 'npt60',
  system: 'in',
  source: 'ASME B1.20.1',
  commonness: 5,
  rows: labelledRows(
    NPT_SIZES.map(([size, outsideIn, tpi]): LabelledSize => [size, outsideIn, tpi]),
    'in',
  ),
  designate: inchText('NPT'),
  spelled: /^NPT$/i,
};
/** Dry-seal taper pipe: its sizes and how they are written. @see ASME B1.20.3 */
export const NPTF: Family = {
  id: 'NPTF',
  name: 'Dry-seal taper pipe',
  form: 'nptf60',
  system: 'in',
  source: 'ASME B1.20.3',
  commonness: 1,
  rows: labelledRows(NPTF_SIZES, 'in'),
  designate: inchText('NPTF'),
  spelled: /^NPTF$/i,
};
/** Sized by the hose and not by the thread. */
export const HOSE: Family = {
  id: 'Hose',
  name: 'Garden hose coupling',
  form: 'iso60',
  system: 'in',
  source: 'ASME B1.20.7 (from memory)',
  commonness: 0.5,
  rows: labelledRows([['3/4', 1.0625, 11.5]], 'in'),
  designate: inchText('NH'),
  spelled: /^(NH|GHT|Hose)$/i,
};
