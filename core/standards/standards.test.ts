import { describe, expect, test } from '@jest/globals';
import { problemText } from '../../words/problems.ts';
import fc from 'fast-check';
import { exact } from '../quantity/rational.ts';
import { CATALOGUE, FAMILIES } from './catalogue.ts';
import { parseDesignation } from './designation.ts';
import { leadOf, pitchMmOf, specialThread, threadSizes } from './thread.ts';

const read = (text: string) => {
  const r = parseDesignation(text);
  if (!r.ok) throw new Error(`${text}: ${r.problem.code}`);
  return r.value;
};

test('every row of the catalogue writes a designation that reads back as that row', () => {
  for (const row of CATALOGUE) {
    const { thread, listed } = read(row.designation);
    expect([thread.designation, thread.family, thread.pitch, thread.majorMm, listed]).toEqual([
      row.designation,
      row.family,
      row.pitch,
      row.majorMm,
      true,
    ]);
  }
});

test('each family names its source and has rows', () => {
  for (const f of FAMILIES) {
    expect(f.source.length).toBeGreaterThan(3);
    expect(CATALOGUE.some((r) => r.family === f.id)).toBe(true);
  }
});

// Threads per inch and pitches as printed in the standard named in each row.
test.each([
  ['1/4 UNC', 25.4 / 20, 'ASME B1.1'],
  ['3/8 UNC', 25.4 / 16, 'ASME B1.1'],
  ['1 1/4 UNC', 25.4 / 7, 'ASME B1.1'],
  ['7/16 UNF', 25.4 / 20, 'ASME B1.1'],
  ['1/4 BSW', 25.4 / 20, 'BS 84'],
  ['1/2 BSW', 25.4 / 12, 'BS 84'],
  ['1 1/4 BSW', 25.4 / 7, 'BS 84'],
  ['2 BSW', 25.4 / 4.5, 'BS 84'],
  ['1/2 BSF', 25.4 / 16, 'BS 84'],
  ['1 BSF', 25.4 / 10, 'BS 84'],
  ['3/4 Acme', 25.4 / 6, 'ASME B1.5'],
  ['1 Acme', 25.4 / 5, 'ASME B1.5'],
  ['M6', 1, 'ISO 261'],
  ['M12', 1.75, 'ISO 261'],
  ['M24', 3, 'ISO 261'],
  ['0 BA', 1, 'BS 93'],
  ['G 3/4', 25.4 / 14, 'ISO 228-1'],
  ['1/2-14 NPT', 25.4 / 14, 'ASME B1.20.1'],
])('%s has a pitch of %d mm (%s)', (text, pitch) => {
  const { thread } = read(text);
  expect(Number(exact(thread.pitch).valueOf())).toBeCloseTo(pitch, 9);
});

describe('designations', () => {
  test.each([
    ['M10x1.5-6g', 'M10', '6g'],
    ['m10 \u00d7 1,5', 'M10', null],
    ['M42.5x2', 'M42.5x2', null],
    ['1/2-13 UNC-2A', '1/2-13 UNC', '2A'],
    ['1/2"-13 unc 2a'.replace(' 2a', '-2a'), '1/2-13 UNC', '2A'],
    ['1-1/4-7 bsw', '1 1/4-7 BSW', null],
    ['#8-32', '#8-32 UNC', null],
    ['no. 8-32', '#8-32 UNC', null],
    ['1/2-12 BSW', '1/2-12 BSW', null],
    ['2 BA', '2 BA', null],
    ['PG 13.5', 'Pg 13.5', null],
    ['Rp 1/2', 'Rp 1/2', null],
    ['rc 3/4', 'Rc 3/4', null],
    ['G 1/2 B', 'G 1/2', 'B'],
    ['Tr 40x7', 'Tr 40x7', null],
    ['Tr40x14(P7)LH', 'Tr 40x14 (P7) LH', null],
    ['3/4-10 Acme', '3/4-10 Acme', null],
    ['Rd 40x1/6', 'Rd 40x1/6', null],
    ['30 mm x 7.5 TPI 55', '30 mm x 7.5 TPI 55', null],
    ['3/4 in x 4.5 TPI 29 2-start LH', '3/4 in x 4.5 TPI 29 2-start LH', null],
    ['45 mm x 6 mm 45/7', '45 mm x 6 mm 45/7', null],
  ])('%s', (text, designation, cls) => {
    const d = read(text);
    expect([d.thread.designation, d.class]).toEqual([designation, cls]);
  });

  test('lead and pitch are kept apart', () => {
    const d = read('Tr 40x14 (P7) LH').thread;
    expect([d.pitch, d.starts, leadOf(d).toFraction(), d.leftHand]).toEqual(['7', 2, '14', true]);
  });

  test.each([
    ['M50', 'M50x3'],
    ['M10x20', 'M10x1.25'],
    ['21 BA', '0 BA to 16 BA'],
    ['Pg 12', 'Pg 13.5'],
    ['G 9/16', '1/2'],
    ['Tr 40x15 (P7)', 'P7'],
    ['1/2 UNX', 'UN'],
    ['', 'M10x1.5'],
    ['1/2-0 UNC', '1/2-13'],
    ['40 mm x 8 55', '8 tpi'],
  ])('refuses "%s" and offers what is near', (text, offered) => {
    const r = parseDesignation(text);
    expect(!r.ok && problemText(r.problem, 'mm').right).toContain(offered);
  });

  test('no text makes it throw', () => {
    fc.assert(fc.property(fc.string(), (text) => typeof parseDesignation(text).ok === 'boolean'));
  });

  test('specials round-trip', () => {
    const special = fc.record({
      sixteenths: fc.integer({ min: 4, max: 96 }),
      tpi: fc.constantFrom('4', '4.5', '5', '7.5', '10', '11.5', '20'),
      angle: fc.constantFrom(60, 55, 29, 30, 47.5, 50),
      starts: fc.integer({ min: 1, max: 4 }),
      leftHand: fc.boolean(),
    });
    fc.assert(
      fc.property(special, ({ sixteenths, tpi, angle, starts, leftHand }) => {
        const made = specialThread({
          majorMm: (sixteenths / 16) * 25.4,
          sizeSystem: 'in',
          pitch: exact('127/5').div(exact(tpi)),
          flanks: angle,
          starts,
          leftHand,
        });
        const back = read(made.designation).thread;
        expect(back).toEqual({ ...made, majorMm: expect.closeTo(made.majorMm, 5) });
      }),
    );
  });
});

test('3/4-10 NPT does not exist; 1/2-14 NPT has E0 0.75843 in and K0 0.7013 in (ASME B1.20.1)', () => {
  expect(parseDesignation('3/4-10 NPT').ok).toBe(false);
  const s = threadSizes(read('1/2-14 NPT').thread);
  expect(s.pitchDiameterMm / 25.4).toBeCloseTo(0.75843, 5);
  expect(s.minorExternalMm / 25.4).toBeCloseTo(0.7013, 4);
});

// Basic pitch diameter and (where given) root of the screw as printed in the standard named, in the unit of the table.
describe('basic sizes of named threads against printed rows', () => {
  test.each<[string, number, number | null, 'in' | 'mm', string]>([
    ['1/4 UNC', 0.2175, null, 'in', 'ASME B1.1'],
    ['3/8 UNC', 0.3344, null, 'in', 'ASME B1.1'],
    ['1/2 UNC', 0.45, null, 'in', 'ASME B1.1'],
    ['5/8 UNC', 0.566, null, 'in', 'ASME B1.1'],
    ['3/4 UNC', 0.685, null, 'in', 'ASME B1.1'],
    ['7/8 UNC', 0.8028, null, 'in', 'ASME B1.1'],
    ['1 UNC', 0.9188, null, 'in', 'ASME B1.1'],
    ['1 1/4 UNC', 1.1572, null, 'in', 'ASME B1.1'],
    ['1/4 UNF', 0.2268, null, 'in', 'ASME B1.1'],
    ['3/8 UNF', 0.3479, null, 'in', 'ASME B1.1'],
    ['1/2 UNF', 0.4675, null, 'in', 'ASME B1.1'],
    ['3/4 UNF', 0.7094, null, 'in', 'ASME B1.1'],
    ['1 UNF', 0.9459, null, 'in', 'ASME B1.1'],
    ['1/4 BSF', 0.2254, 0.2008, 'in', 'BS 84'],
    ['3/8 BSF', 0.343, 0.311, 'in', 'BS 84'],
    ['1/2 BSF', 0.46, 0.42, 'in', 'BS 84'],
    ['3/4 BSF', 0.6966, 0.6432, 'in', 'BS 84'],
    ['1 BSF', 0.936, 0.872, 'in', 'BS 84'],
    ['1-5 Acme', 0.9, 0.78, 'in', 'ASME B1.5'],
    ['1/2-10 Acme', 0.45, 0.38, 'in', 'ASME B1.5'],
    ['2-4 Acme', 1.875, 1.73, 'in', 'ASME B1.5'],
    ['1-5 Stub Acme', 0.94, 0.86, 'in', 'ASME B1.8'],
    ['1/2-10 Stub Acme', 0.47, 0.42, 'in', 'ASME B1.8'],
    ['2-4 Stub Acme', 1.925, 1.83, 'in', 'ASME B1.8'],
    ['1/8-27 NPT', 0.36351, null, 'in', 'ASME B1.20.1'],
    ['1/4-18 NPT', 0.47739, null, 'in', 'ASME B1.20.1'],
    ['3/4-14 NPT', 0.96768, null, 'in', 'ASME B1.20.1'],
    ['1-11.5 NPT', 1.21363, null, 'in', 'ASME B1.20.1'],
    ['2-11.5 NPT', 2.26902, null, 'in', 'ASME B1.20.1'],
    ['Rd 20x1/8', 18.412, 16.825, 'mm', 'DIN 405'],
    ['Rd 40x1/6', 37.883, 35.767, 'mm', 'DIN 405'],
    ['Rd 120x1/4', 116.825, 113.65, 'mm', 'DIN 405'],
    ['S 40x7', 34.75, 27.852, 'mm', 'DIN 513'],
    ['S 50x8', 44, 36.116, 'mm', 'DIN 513'],
    ['S 100x12', 91, 79.174, 'mm', 'DIN 513'],
    ['R 1/2', 19.793, 18.631, 'mm', 'ISO 7-1'],
    ['R 1', 31.77, 30.291, 'mm', 'ISO 7-1'],
    ['R 2', 58.135, 56.656, 'mm', 'ISO 7-1'],
  ])('%s', (text, pitchDiameter, root, unit) => {
    const s = threadSizes(read(text).thread);
    const scale = unit === 'in' ? 25.4 : 1;
    // half the last printed digit (NPT prints five places), and DIN 513 rounds 1.735534 P through
    const slack = unit === 'mm' ? 0.0011 : text.includes('NPT') ? 0.000006 : 0.000051;
    expect(Math.abs(s.pitchDiameterMm / scale - pitchDiameter)).toBeLessThanOrEqual(slack);
    if (root !== null) expect(Math.abs(s.minorExternalMm / scale - root)).toBeLessThanOrEqual(slack);
  });

  test('buttress 45/7: root d - 1.32542 P, basic height 0.6 P (ASME B1.9)', () => {
    for (const [text, d, tpi] of [
      ['1-12 Butt', 1, 12],
      ['2-8 Butt', 2, 8],
      ['4-4 Butt', 4, 4],
    ] as const) {
      const s = threadSizes(read(text).thread);
      expect(s.minorExternalMm / 25.4).toBeCloseTo(d - 1.32542 / tpi, 5);
      expect(s.minorInternalMm / 25.4).toBeCloseTo(d - 1.2 / tpi, 6);
    }
  });
});

test('the old series of small metric sizes is named bare (from memory: M1.7 x 0.35, M2.3 x 0.4, M2.6 x 0.45)', () => {
  for (const [typed, pitch] of [
    ['M1.7', 0.35],
    ['M2.3', 0.4],
    ['M2.6', 0.45],
  ] as const) {
    const d = parseDesignation(typed);
    expect(d.ok && [d.value.thread.designation, pitchMmOf(d.value.thread)]).toEqual([typed, pitch]);
  }
});
