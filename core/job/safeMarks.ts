import { dialRule } from '../gearing/proof/index.ts';
import { isGeared, type Lathe } from '../lathe/schema.ts';
import { exact } from '../quantity/rational.ts';
import { gearState } from './derive.ts';
import type { Job, Shop } from './schema.ts';

/**
 * Marks of the chasing dial on which the half-nuts may be closed; null where none is right, or none is asked for.
 * @example safeMarks(demo('pump'), shop, shop.lathes[0]) // null; the nuts stay shut on an inexact lead
 */
export function safeMarks(job: Job, shop: Shop, lathe: Lathe | null): readonly number[] | null {
  const lead = gearState(job, shop)?.lead;
  if (!lathe?.dial || !lead || !isGeared(lathe) || job.cut.returnBy !== 'dial') return null;
  const rule = dialRule({
    leadscrew: exact(lathe.leadscrew),
    lead,
    dialTeeth: lathe.dial.teeth,
    marks: lathe.dial.marks,
  });
  return rule.safeMarks.length > 0 ? rule.safeMarks : null;
}
