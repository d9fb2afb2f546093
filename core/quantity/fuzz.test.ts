import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { READING_ORDER } from '../job/entry.ts';
import { readEntry } from '../reading/kinds.ts';
import { parseChart } from '../gearing/gearbox/index.ts';
import { parseTrain } from '../gearing/trainText.ts';
import { parseGears } from '../lathe/create.ts';
import { parseGearCsv } from '../lathe/gearCsv.ts';
import {
  numberWithin,
  parseDivision,
  parseLevers,
  parseModule,
  parseRatio,
  parseSpeeds,
  parseSpindleSpeed,
  parseSwing,
  parseUncertaintyDeg,
  wholeNumber,
} from '../lathe/typed.ts';
import { parseDesignation } from '../standards/designation.ts';
import { problemLine } from '../../words/problems.ts';
import { parseAngle } from './angle.ts';
import { parseLength } from './length.ts';
import type { Outcome } from './outcome.ts';
import { parsePitch } from './pitch.ts';

/** Every kind of field that the interface has. */
const FIELDS: Readonly<Record<string, (text: string) => Outcome<unknown>>> = {
  'length mm': (t) => parseLength(t, { system: 'mm', field: 'x' }),
  'length in': (t) => parseLength(t, { system: 'in', field: 'x', allowNegative: true, allowZero: true }),
  pitch: (t) => parsePitch(t, 'x'),
  angle: (t) => parseAngle(t, 'x', 80),
  designation: parseDesignation,
  train: parseTrain,
  gears: (t) => parseGears(t),
  'gear file': parseGearCsv,
  chart: (t) => parseChart(t),
  levers: parseLevers,
  ratio: (t) => parseRatio(t, 'x'),
  speeds: parseSpeeds,
  speed: parseSpindleSpeed,
  uncertainty: parseUncertaintyDeg,
  division: parseDivision,
  module: parseModule,
  swing: parseSwing,
  whole: wholeNumber('x', 1, 500),
  number: numberWithin('x', -180, 180),
  ...Object.fromEntries(
    READING_ORDER.map((quantity) => [
      `reading ${quantity}`,
      (t: string) => readEntry({ quantity, text: t, spanText: t, leaf: 'fits' as const }, 'mm'),
    ]),
  ),
};

/** What hands type: digits, signs and units in any order, with long rows and foreign letters between. */
const WORDS = [
  ...['1', '7', '0', '00', '31.6', '.5', '1/2', '1 1/4', '19,05', '1,234', '9'.repeat(40), `1/1${'0'.repeat(21)}`],
  ...['1e3', '1e999', '-', '+', '/', '//', 'x', '2x20', 'by', 'to', 'tpi', 'mm', 'in', '"', "'", 'um', '\u00b5m', 'dp'],
  ...[
    'M',
    'M10',
    'x1.5',
    'UNC',
    'BSW',
    'NPT',
    'LH',
    '2-start',
    'A=',
    '=',
    ';',
    ',',
    '\n',
    '\t',
    '\u0000',
    '\u2044',
    '\u2212',
  ],
  ...['constructor', '__proto__', 'NaN', 'Infinity', 'null', '\u{1F527}', '\u0663', '%', '\u00b0', '(', '[', '\\'],
];
const typed = fc.oneof(
  fc.array(fc.constantFrom(...WORDS), { maxLength: 7 }).chain((w) => fc.constantFrom(w.join(' '), w.join(''))),
  fc.string({ unit: 'binary', maxLength: 40 }),
  fc.string({ maxLength: 40 }),
);
/** Figures of an answer: none of them may be a number that is none. */
function finite(x: unknown): boolean {
  if (typeof x === 'number') return Number.isFinite(x);
  return typeof x !== 'object' || x === null || Object.values(x).every(finite);
}

describe('whatever is typed, each field gives a value or a message', () => {
  // 5,000 texts over all kinds
  const runs = Math.ceil(5000 / Object.keys(FIELDS).length);
  test.each(Object.entries(FIELDS))('%s', (_, read) => {
    fc.assert(
      fc.property(typed, (text) => {
        const out = read(text);
        if (out.ok) expect(finite(out.value)).toBe(true);
        else for (const u of ['mm', 'in'] as const) expect(problemLine(out.problem, u)).toMatch(/\S/);
      }),
      { numRuns: runs },
    );
  });
});
test('a fraction of twenty-two digits, which once killed the page, is refused in every field', () => {
  for (const [name, read] of Object.entries(FIELDS))
    expect([name, read(`1/1${'0'.repeat(21)}`).ok]).toEqual([name, false]);
});
