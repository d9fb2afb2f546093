import type { Job } from '../core/job/schema.ts';
import { degreesText, FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import type { Chart, ChartWords } from '../core/sheet/chart.ts';
import type { ThreadSpec } from '../core/standards/thread.ts';

/** What is said on a comparator chart. */
export function chartWords(job: Job, thread: ThreadSpec, c: Chart, scale: number, u: UnitSystem): ChartWords {
  return {
    title: `${thread.designation} \u00d7 ${scale}`,
    facts: [
      ['job', job.title],
      ['flanks', `${degreesText(c.form.leadingFlankDeg)}, ${degreesText(c.form.trailingFlankDeg)}`],
      ['pitch diameter', `${lengthText(c.minMm, u, { ...FINE, bare: true })} to ${lengthText(c.maxMm, u, FINE)}`],
      ['date', job.changed.slice(0, 10)],
    ],
    rulers: 'True only if 100 mm measures so both ways.',
    foot: [
      'Both full lines: the form as far out and as far in as its pitch diameter may lie.',
      'Slide the shadow along the axis only: across it, depth would be fitted away. In the axial plane, the part not tilted.',
    ],
  };
}
