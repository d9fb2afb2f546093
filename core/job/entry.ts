import type { Quantity } from '../evidence/evidence.ts';
import { parseAngle } from '../quantity/angle.ts';
import { parseLength } from '../quantity/length.ts';
import { readNumber, readWhole } from '../quantity/number.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { parsePitch } from '../quantity/pitch.ts';
import { numberOf } from '../quantity/rational.ts';
import type { UnitSystem } from '../quantity/units.ts';
import type { Reading } from './schema.ts';

/** What a typed reading means, before identity, time and instrument are added. */
export interface Entry {
  readonly value: number;
  readonly span: Reading['span'];
  readonly leaf: Reading['leaf'];
}

export interface EntryText {
  readonly quantity: Quantity;
  readonly text: string;
  /** Span of a crest count or length of a leaf, as typed; empty: the usual one. */
  readonly spanText: string;
  readonly leaf: 'fits' | 'nearly' | 'no';
}

/** Crest and root: none of it is a reading too. */
const ENDS: readonly Quantity[] = ['crestFlat', 'rootFlat', 'crestRadius', 'rootRadius'];

/** Reads what was typed for a quantity, in the fields `value` and `span`. */
export function readEntry(typed: EntryText, system: UnitSystem): Outcome<Entry> {
  const { quantity, text, spanText } = typed;
  const plainEntry = (value: number): Outcome<Entry> => good({ value, span: null, leaf: null });
  switch (quantity) {
    case 'majorDiameter':
    case 'minorDiameter':
    case 'pitchDiameter':
    case 'depth':
    case 'crestFlat':
    case 'rootFlat':
    case 'crestRadius':
    case 'rootRadius':
    case 'lead': {
      const length = parseLength(text, {
        system,
        field: 'value',
        maxMm: 3000,
        allowZero: ENDS.includes(quantity),
      });
      return length.ok ? plainEntry(length.value.mm) : length;
    }
    case 'overWires': {
      const over = parseLength(text, { system, field: 'value', maxMm: 3000 });
      if (!over.ok) return over;
      const wire = parseLength(spanText, { system, field: 'span', maxMm: 60 });
      if (!wire.ok) return wire;
      return good({ value: over.value.mm, span: { text: spanText.trim(), mm: wire.value.mm }, leaf: null });
    }
    case 'crestCount': {
      const count = readNumber(text, 'value');
      if (!count.ok) return count;
      if (count.value.rest !== '') return bad('value', 'not-crests', { rest: count.value.rest });
      const crests = numberOf(count.value.value);
      if (!(crests >= 1 && crests <= 2000)) return bad('value', 'crests-too-few');
      const span = parseSpan(spanText, system);
      return span.ok ? good({ value: crests, span: span.value, leaf: null }) : span;
    }
    case 'pitchLeaf': {
      const pitch = parsePitch(text, 'value');
      if (!pitch.ok) return pitch;
      if (spanText.trim() === '') return good({ value: pitch.value.mm, span: null, leaf: typed.leaf });
      const span = parseSpan(spanText, system);
      return span.ok ? good({ value: pitch.value.mm, span: span.value, leaf: typed.leaf }) : span;
    }
    case 'flankAngle': {
      const angle = parseAngle(text, 'value', 120);
      return angle.ok ? plainEntry(angle.value.deg) : angle;
    }
    case 'leadingFlank':
    case 'trailingFlank': {
      const angle = parseAngle(text, 'value', 70);
      return angle.ok ? plainEntry(angle.value.deg) : angle;
    }
    case 'taper': {
      const ratio = /^\s*1\s*(?::|in)\s*(\d+(?:\.\d+)?)\s*$/i.exec(text);
      if (ratio) return Number(ratio[1]) > 0 ? plainEntry(1 / Number(ratio[1])) : bad('value', 'taper-in-zero');
      const n = readNumber(text, 'value');
      if (!n.ok) return bad('value', 'taper-unreadable');
      const value = numberOf(n.value.value);
      return n.value.rest === '' && Math.abs(value) <= 1 ? plainEntry(value) : bad('value', 'taper-is-ratio');
    }
    case 'hand': {
      const hand = /^\s*(?:(r|rh|right)|(l|lh|left))(?:[ -]?hand)?\s*$/i.exec(text);
      if (!hand) return bad('value', 'hand-right-or-left');
      return plainEntry(hand[1] ? 1 : -1);
    }
    case 'starts': {
      const n = readWhole(text, 'value', 1, 12);
      return n.ok ? plainEntry(n.value) : n;
    }
  }
}

function parseSpan(text: string, system: UnitSystem): Outcome<NonNullable<Reading['span']>> {
  const typed = text.trim() === '' ? '1 in' : text.trim();
  const length = parseLength(typed, { system, field: 'span', maxMm: 2000 });
  return length.ok ? good({ text: typed, mm: length.value.mm }) : length;
}

/** Order in which readings are usually taken; the next one is armed when one has been taken. */
export const READING_ORDER: readonly Quantity[] = [
  'majorDiameter',
  'crestCount',
  'flankAngle',
  'pitchLeaf',
  'minorDiameter',
  'depth',
  'pitchDiameter',
  'overWires',
  'leadingFlank',
  'trailingFlank',
  'crestFlat',
  'rootFlat',
  'crestRadius',
  'rootRadius',
  'lead',
  'starts',
  'hand',
  'taper',
];

/** The quantity to arm after one has been taken: the next in order that has not been read; the same when all have. */
export function nextQuantity(taken: Quantity, read: ReadonlySet<Quantity>): Quantity {
  const from = READING_ORDER.indexOf(taken);
  const later = [...READING_ORDER.slice(from + 1), ...READING_ORDER.slice(0, from)];
  return later.find((q) => !read.has(q) && READING_ORDER.indexOf(q) < 6) ?? taken;
}
