import type { Quantity } from '../evidence/evidence.ts';
import { expectationOf } from '../reading/expectation.ts';
import { kindOf } from '../reading/kinds.ts';
import { READING_ORDER } from './entry.ts';
import { pitchMmOf, threadFormOf, threadSizes, type ThreadSpec } from '../standards/thread.ts';

/**
 * What each reading would be on a new thread of this name: mm, degrees, ratio or count as the reading itself has it. A
 * crest count is given as its pitch, mm. What cannot be told without more (over wires, without a wire) is left out.
 * Diameters are those of the table's own plane on a taper.
 * @example expectedReadings(thread('M10x1.5'), 'external').majorDiameter // 10
 */
export function expectedReadings(thread: ThreadSpec, side: 'external' | 'internal'): Partial<Record<Quantity, number>> {
  const form = threadFormOf(thread);
  const sizes = threadSizes(thread);
  const e = expectationOf(form, sizes.majorMm, pitchMmOf(thread));
  const nominal = Object.fromEntries(
    READING_ORDER.flatMap((q) => {
      const value = kindOf(q).nominal(e, side, thread.starts);
      return value === null ? [] : [[q, value]];
    }),
  );
  return {
    ...nominal,
    // a nut's thread is cleared at its root
    ...(side === 'internal' ? { majorDiameter: sizes.majorInternalMm } : {}),
    hand: thread.leftHand ? -1 : 1,
  };
}
