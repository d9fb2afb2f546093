import { parseLength } from '../quantity/length.ts';
import { good, type Outcome } from '../quantity/outcome.ts';
import type { UnitSystem } from '../quantity/units.ts';
import { plain, type Entry, type EntryText } from './kind.ts';

const MOST_MM = 3000;

/**
 * A reading that is one length, mm.
 * @example value(typedLength({ text: '1 1/4', span: '', leaf: '' }, 'in')).value // 31.75
 */
export const typedLength = ({ text }: EntryText, system: UnitSystem): Outcome<Entry> =>
  lengthEntry(text, system, false);
/**
 * The same where none of it is a reading too: a flat or a radius.
 * @example value(typedLengthOrNone({ text: '0', spanText: '', leaf: null }, 'mm')).value // 0
 */
export const typedLengthOrNone = ({ text }: EntryText, system: UnitSystem): Outcome<Entry> =>
  lengthEntry(text, system, true);

function lengthEntry(text: string, system: UnitSystem, allowZero: boolean): Outcome<Entry> {
  const length = parseLength(text, { system, field: 'value', maxMm: MOST_MM, allowZero });
  return length.ok ? good(plain(length.value.mm)) : length;
}
