import type { PitchBy } from '../core/job/events.ts';
import type { PitchProof } from '../core/job/pitchProof.ts';
import { lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import { mistakeText } from './gears.ts';

/** How a pitch was proved, as the ledger tells it. */
export const PITCH_PROVED: Readonly<Record<PitchBy, string>> = {
  scratch: 'Pitch right by a scratch',
  turns: 'Pitch right by turns of the chuck',
  bar: 'Pitch right by a scratch on a spare bar',
  waived: 'Pitch not proved before the cut: let be on purpose',
};

const count = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;

/** The steps of a rule or caliper on a scratch. */
const SPAN = { stepMm: 0.01, stepIn: 0.001 };
/** A span as it is read. */
export const spanText = (mm: number, u: UnitSystem): string => lengthText(mm, u, SPAN);

/** What is done to prove the pitch, and what to expect; a span is read with a rule, so a rule's steps are enough. */
export interface PitchLines {
  /** The act, in one sentence, and its second half once it is run. */
  readonly what: string;
  readonly then: string;
  /** What is read, before its field. */
  readonly reads: string;
  /** Whether a rule tells it from the nearest slip. */
  readonly doubt: string | null;
  /** The other way to prove it. */
  readonly turns: string | null;
  /** What is pressed when it is right as drawn. */
  readonly right: string;
}
/** The words of proving a pitch. */
export function pitchLines(p: PitchProof, u: UnitSystem): PitchLines {
  const span = spanText(p.spanMm, u);
  const grooves = count(p.count, 'groove');
  const spans = p.count === 1 ? 'spans' : 'span';
  const lay = 'Lay a rule on it, nought at the first groove';
  const bar = 'Before the nut is put up, scratch a spare bar.';
  const turned = `Half-nuts shut, take the slack up, then turn the chuck ${count(p.count, 'turn')} by hand`;
  const by = {
    scratch: {
      what: `Run once along: a scratch, no more. ${lay}: ${grooves} ${spans} ${span}.`,
      then: `${lay}.`,
      reads: `${grooves} ${spans}`,
    },
    bar: {
      what: `${bar} ${lay}: ${grooves} ${spans} ${span}.`,
      then: `${bar} ${lay}.`,
      reads: `${grooves} ${spans}`,
    },
    turns: {
      what: `${turned}: the carriage goes ${span}.`,
      then: `${turned}.`,
      reads: `After ${count(p.count, 'turn')} the carriage went`,
    },
  }[p.by];
  const near = p.slips[0];
  return {
    ...by,
    doubt:
      p.told || !near
        ? null
        : `A rule does not tell it from ${spanText(near.spanMm, u)} (${mistakeText(near.mistake)}): use a caliper${p.turns?.countable === true ? ', or turns' : ''}.`,
    turns:
      p.turns?.countable === true
        ? `By turns: chuck ${p.turns.spindle} by hand, the leadscrew makes ${p.turns.leadscrew}, its key back at the top.`
        : null,
    right: p.by === 'turns' ? `It goes ${span}: right` : `It spans ${span}: right`,
  };
}
