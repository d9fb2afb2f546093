import { lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import type { LimitsNote } from '../core/standards/tolerances.ts';

const TAKEN = { 'one-diameter': 'one diameter', 'nine-pitches': 'nine pitches', given: 'as given' };
const GROUP = {
  S: 'a grade finer than for N is usual (5g6g, 5H)',
  N: 'the usual classes are 6g and 6H',
  L: 'a grade coarser than for N is usual (7g6g, 7H)',
};

/** What the limits of a thread need said about them, in the unit at hand. */
export function limitsNoteText(n: LimitsNote, u: UnitSystem): string {
  const mm = (x: number): string => lengthText(x, u);
  switch (n.code) {
    case 'engagement':
      return `Length of engagement ${TAKEN[n.taken]}.`;
    case 'group':
      return n.given
        ? `Length of engagement group ${n.group}: ${GROUP[n.group]}.`
        : `Length of engagement group ${n.group} taken.`;
    case 'crest-grade':
      return `Crest diameter by grade ${n.grade}: the standard has 4, 6 and 8 only.`;
    case 'crests-by-grade-4':
      return 'Screw major and nut minor by grade 4.';
    case 'from-memory':
      return n.of === 'class'
        ? `Factors of class ${n.class} are from memory.`
        : 'The tolerance formulae are from memory: check against the standard before relying on them.';
    case 'gauged-at':
      return `External at the small end (E0 ${mm(n.e0Mm)}), internal at its large end (E1 ${mm(n.e1Mm)}).`;
    case 'hand-tight':
      return `Hand-tight engagement L1 ${mm(n.l1Mm)}, effective thread L2 ${mm(n.l2Mm)}; the gauge may stand one turn, ${mm(n.turnMm)}, either way.`;
  }
}
