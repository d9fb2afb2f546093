import { degreesText, FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import type { Chart, ChartWords } from '../core/sheet/chart.ts';

/** What is said on a comparator chart. */
export function chartWords(c: Chart, u: UnitSystem): ChartWords {
  const bare = (mm: number): string => lengthText(mm, u, { ...FINE, bare: true });
  return {
    foot: [
      'Both full lines: the form as far out and as far in as its pitch diameter may lie.',
      'Slide the shadow along the axis only: across it, depth would be fitted away. In the axial plane, the part not tilted.',
    ],
    read: [
      ['leading flank', degreesText(c.form.leadingDeg)],
      ['trailing flank', degreesText(c.form.trailingDeg)],
      ['pitch', lengthText(c.pitchMm, u, FINE)],
      ['pitch diameter', `${bare(c.minMm)}\u2013${bare(c.maxMm)}`],
    ],
  };
}
