import type { Family } from '../family.ts';
import { INCH_MM, exact, mixedText } from '../../quantity/rational.ts';
import { tpiOf } from '../../quantity/pitch.ts';
import { rowOfSize } from '../rows.ts';

/** Diameters in mm of each number of threads per inch. DIN 405-1. */
const DIN_405: readonly (readonly [tpi: number, diametersMm: readonly number[]])[] = [
  [10, [8, 9, 10, 11, 12]],
  [8, [14, 16, 18, 20, 22, 24, 26, 28, 30, 32, 34, 36, 38]],
  [6, [40, 42, 44, 46, 48, 50, 52, 55, 58, 60, 62, 65, 68, 70, 72, 75, 78, 80, 82, 85, 88, 90, 92, 95, 98, 100]],
  [4, [105, 110, 115, 120, 125, 130, 135, 140, 145, 150, 155, 160, 165, 170, 175, 180, 185, 190, 195, 200]],
];

/** Round: its sizes and how they are written. @see DIN 405-1 */
export const ROUND: Family = {
  id: 'Rd',
  name: 'Round',
  form: 'round30',
  system: 'mm',
  source: 'DIN 405-1',
  commonness: 0.7,
  rows: DIN_405.flatMap(([tpi, diameters]) =>
    diameters.map((d) => rowOfSize(String(d), exact(d), INCH_MM.div(exact(tpi)))),
  ),
  designate: (size, pitch) => `Rd ${size}x1/${mixedText(tpiOf(pitch))}`,
};
