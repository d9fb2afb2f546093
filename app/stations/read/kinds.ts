import type { Quantity } from '../../../core/evidence/evidence.ts';
import { READING_ORDER } from '../../../core/job/entry.ts';
import { kindOf } from '../../../core/reading/kinds.ts';

/** Readings that are lengths: a count of crests is read with a rule, and is none. */
export const LENGTHS: readonly Quantity[] = READING_ORDER.filter(
  (q) => kindOf(q).measures === 'length' && q !== 'crestCount',
);
/** Readings on which wear tells, so that place and state matter. */
export const WORN: readonly Quantity[] = READING_ORDER.filter((q) => kindOf(q).worn);
export const ANGLES: readonly Quantity[] = ['flankAngle', 'leadingFlank', 'trailingFlank', 'template'];
