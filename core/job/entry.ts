import type { Quantity } from '../evidence/evidence.ts';
import { KINDS } from '../reading/kinds.ts';

/** Order in which readings are usually taken; the next one is armed when one has been taken. */
export const READING_ORDER = Object.keys(KINDS) as readonly Quantity[];

/** The first of them are taken of nearly every part; the others where they are asked for. */
const USUAL = 6;

/**
 * The quantity to arm after one has been taken: the next in order that has not been read; the same when all have.
 * @example nextQuantity('majorDiameter', new Set(['majorDiameter'])) // 'crestCount'
 */
export function nextQuantity(taken: Quantity, read: ReadonlySet<Quantity>): Quantity {
  const from = READING_ORDER.indexOf(taken);
  const later = [...READING_ORDER.slice(from + 1), ...READING_ORDER.slice(0, from)];
  return later.find((q) => !read.has(q) && READING_ORDER.indexOf(q) < USUAL) ?? taken;
}
