import { deeperAt } from '../core/motion/deeperAt.ts';
import type { JobProgram } from '../core/job/program.ts';
import type { Job } from '../core/job/schema.ts';
import type { Lathe } from '../core/lathe/schema.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import { numberOf } from '../core/quantity/rational.ts';
import { inches, type UnitSystem } from '../core/quantity/units.ts';
import type { ParameterWords } from '../core/sheet/parameterSheet.ts';
import type { ParameterRow } from './parameterRow.ts';

/** Everything that is said on the sheet of a control's figures. */
export function parameterWords(
  job: Job,
  lathe: Lathe,
  p: JobProgram,
  rows: readonly ParameterRow[],
  u: UnitSystem,
  recut: boolean,
): ParameterWords {
  const mm = (x: number): string => lengthText(x, u, FINE);
  const x = lathe.control?.diameterProgramming === false ? 'radius' : 'diameter';
  const step = (byMm: number, said: string): string[] => {
    const d = deeperAt(p.motion.params.finalXMm, byMm, 'diameter', x, job.intake.make);
    return [
      `${said} on diameter: last X ${mm(x === 'radius' ? d.minorMm / 2 : d.minorMm)}, or the X offset changed by ${mm(d.offsetMm)}.`,
    ];
  };
  return {
    heads: ['ask it for', 'type', 'how it came'],
    rows,
    checksTitle: 'Before it runs',
    checks: [
      ...(recut ? ['in the old groove at the spindle mark'] : []),
      `X means ${x} on this control`,
      'Z 0 is the face, minus towards the chuck',
      'chuck key out, guard shut',
    ],
    deeperTitle: 'Deeper afterwards',
    deeper: [
      ...step(inches(0.01), '0.010 in'),
      ...step(0.1, '0.10 mm'),
      `Keep Z start: moved by anything but ${mm(numberOf(p.lead))} it cuts a second groove.`,
    ],
    z: { start: mm(p.motion.start.zMm), end: mm(p.motion.end.zMm), face: 'Z 0, the face' },
  };
}
