import { deeperAt } from '../core/motion/deeperAt.ts';
import type { JobProgram } from '../core/job/program.ts';
import type { Job } from '../core/job/schema.ts';
import type { Lathe } from '../core/lathe/schema.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import { numberOf } from '../core/quantity/rational.ts';
import { inches, type UnitSystem } from '../core/quantity/units.ts';
import type { ParameterWords } from '../core/sheet/parameterSheet.ts';
import type { ParameterRow } from './program.ts';

/** What was said on the sheet is the table's, cut to what has room on its line. */
const MOST = 52;

/** Everything that is said on the sheet of a control's figures. */
export function parameterWords(
  job: Job,
  thread: string,
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
      `${said} on diameter: last X ${mm(x === 'radius' ? d.minorMm / 2 : d.minorMm)},`,
      `or the X offset changed by ${mm(d.offsetMm)}.`,
    ];
  };
  return {
    title: `${thread}${recut ? ', recut' : ''}`,
    under: 'Gelvin: figures to type in at the control',
    facts: [
      ['job', job.title],
      ['thread', thread],
      ['lathe', lathe.name],
      ['date', job.changed.slice(0, 10)],
      ['for', job.customer || '__________'],
      ['by', '__________'],
    ],
    rulerSaid: '150 mm: lay a rule on it',
    heads: ['ask it for', 'type', 'how it came'],
    rows: rows.map((r) => ({ ...r, how: r.how.length > MOST ? `${r.how.slice(0, MOST - 1)}\u2026` : r.how })),
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
      `Keep Z start: moved by anything but ${mm(numberOf(p.lead))}`,
      'it cuts a second groove.',
    ],
    caution: [
      'A proposal: the control\u2019s own manual rules. First in the air, one pass well clear, and look.',
      'Once a pass has begun, some controls do not stop for hold, override or handwheel.',
    ],
    z: { start: mm(p.motion.start.zMm), end: mm(p.motion.end.zMm), face: 'Z 0, the face' },
  };
}
