import { describe, expect, test } from '@jest/globals';
import type { Evidence, Wear } from '../evidence/evidence.ts';
import { nextReadings, overlap, USUAL_TOOLS } from './nextReading.ts';
import { formAt } from '../form/shape.ts';
import { expectationOf } from '../reading/expectation.ts';
import { likelihood } from '../reading/kinds.ts';
import { rank, type Ranking } from './rank.ts';
import { rivalsOf } from './rivals.ts';
import { probabilityClaimed } from './claimed.ts';
import { weighSpecials } from './special.ts';

// Facts of the trade about which threads fool people, and readings as a bench would take them: common practice, no source.
const out = (valueMm: number, wear: Wear = 'unworn'): Evidence => ({ quantity: 'majorDiameter', valueMm, wear });
const bore = (valueMm: number, wear: Wear = 'unworn'): Evidence => ({ quantity: 'minorDiameter', valueMm, wear });
const count = (crests: number, spanMm: number): Evidence => ({ quantity: 'crestCount', crests, spanMm });
const angle = (valueDeg: number, uncertaintyDeg = 2): Evidence => ({
  quantity: 'flankAngle',
  valueDeg,
  uncertaintyDeg,
});
const leaf = (pitchMm: number, fit: 'fits' | 'nearly' | 'no' = 'fits', overMm = 10): Evidence => ({
  quantity: 'pitchLeaf',
  pitchMm,
  fit,
  overMm,
});
const taper = (ratio: number): Evidence => ({ quantity: 'taper', ratio });
const starts = (n: number): Evidence => ({ quantity: 'starts', count: n });
const lead = (valueMm: number): Evidence => ({ quantity: 'lead', valueMm, uncertaintyMm: 0.2 });
const flanks = (leading: number, trailing: number, uncertaintyDeg = 0.5): Evidence[] => [
  { quantity: 'leadingFlank', valueDeg: leading, uncertaintyDeg },
  { quantity: 'trailingFlank', valueDeg: trailing, uncertaintyDeg },
];
const IN = 25.4;
const weigh = (evidence: Evidence[], part: 'external' | 'internal' = 'external'): Ranking =>
  rank({ part, evidence, context: { origin: null, use: null }, most: 12 });
const first = (r: Ranking): string => r.candidates[0]?.thread.designation ?? '';
const next = (r: Ranking, evidence: Evidence[], part: 'external' | 'internal' = 'external') =>
  nextReadings(rivalsOf(r), evidence, part, USUAL_TOOLS, null);

describe('named rightly, screws', () => {
  test.each<[string, Evidence[]]>([
    ['M6', [out(5.9), leaf(1), angle(60)]],
    ['M12', [out(11.85), count(14.5, IN), angle(60)]],
    ['M16', [out(15.7, 'worn'), leaf(2), angle(60, 1)]],
    ['M24', [out(23.7), count(17, 2 * IN)]],
    ['M30x2', [out(29.86), leaf(2), count(25, 50)]],
    ['M36x3', [out(35.7, 'worn'), count(17, 51), angle(60, 1)]],
    ['#8-32 UNC', [out(4.1), count(32, IN), angle(60, 1)]],
    ['3/8-16 UNC', [out(9.4), count(16, IN), angle(60, 1)]],
    ['3/4-16 UNF', [out(18.95), count(16, IN), angle(60)]],
    ['1-8 UNC', [out(25.2, 'worn'), count(16, 2 * IN), angle(60, 1)]],
    ['1/2-13 UNC', [out(12.6), count(13, IN), angle(60)]],
    ['1/2-12 BSW', [out(12.6), count(12, IN), angle(55)]],
    ['3/4-10 BSW', [out(18.9, 'worn'), count(20, 2 * IN), angle(55, 1)]],
    ['2-4.5 BSW', [out(50.7), count(9, 2 * IN), angle(55, 1)]],
    ['3/8-20 BSF', [out(9.45), count(20, IN), angle(55, 1)]],
    ['1-10 BSF', [out(25.25), count(20, 2 * IN), angle(55, 1)]],
    ['2 BA', [out(4.65), count(31.4, IN), angle(47.5, 1)]],
    ['6 BA', [out(2.75), count(19, 10), angle(48, 1)]],
    ['G 3/4', [out(26.35), count(14, IN), angle(55, 1), taper(0)]],
    ['R 1', [out(33.1), count(11, IN), angle(55, 1), taper(0.0625)]],
    ['1-11.5 NPT', [out(32.6), count(23, 2 * IN), angle(60, 1), taper(0.062)]],
    ['1-5 Acme', [out(25.3), count(10, 2 * IN), angle(29, 1)]],
    ['2-4 Acme', [out(50.6, 'worn'), count(8, 2 * IN), angle(29, 1)]],
    ['Tr 40x7', [out(39.8), count(10, 70), angle(30, 1)]],
    ['Tr 20x4', [out(19.8), count(10, 40), angle(30, 1)]],
    ['S 50x8', [out(49.8), count(10, 80), ...flanks(30, 3)]],
    ['2-6 Butt', [out(50.7), count(12, 2 * IN), ...flanks(45, 7)]],
    ['Rd 40x1/6', [out(39.8), count(12, 2 * IN), angle(30, 1), { quantity: 'crestFlat', valueMm: 0 }]],
  ])('%s', (designation, evidence) => {
    expect(first(weigh(evidence))).toBe(designation);
  });
});

describe('named rightly, nuts, and from the mate', () => {
  test.each<[string, Evidence[]]>([
    ['M10', [bore(8.5), leaf(1.5)]],
    ['M20', [bore(17.5), count(10, IN), angle(60)]],
    ['1/2-13 UNC', [bore(10.7), count(13, IN), angle(60)]],
    ['1-8 BSW', [bore(21.5), count(8, IN), angle(55, 1)]],
    ['G 1/2', [bore(18.8), count(14, IN), angle(55, 1), taper(0)]],
    ['Tr 30x6', [bore(24.2), count(10, 60), angle(30, 1)]],
  ])('nut of %s', (designation, evidence) => {
    expect(first(weigh(evidence, 'internal'))).toBe(designation);
  });

  test('the nut\u2019s bore speaks for the size of its worn screw', () => {
    const worn = [out(24.6, 'worn'), count(8, IN), angle(60, 1)];
    const mate: Evidence = { quantity: 'minorDiameter', valueMm: 22.1, wear: 'unworn', member: 'internal' };
    const [alone, both] = [weigh(worn), weigh([...worn, mate])];
    const p = (r: Ranking): number => r.candidates.find((c) => c.thread.designation === '1-8 UNC')?.probability ?? 0;
    expect(p(both)).toBeGreaterThan(p(alone));
  });

  test('over wires of a two-start screw is weighed with its own lead angle', () => {
    // 1-5 Acme 2-start over the best wire: the lead angle adds 0.0037 in to the flat formula (exact solution, domain figure)
    const d2 = 0.9 * IN;
    const wire = 0.51645 * 0.2 * IN;
    const flat = d2 + wire * (1 + 1 / Math.sin((14.5 * Math.PI) / 180)) - (0.1 * IN) / Math.tan((14.5 * Math.PI) / 180);
    const likely = (overMm: number, n: number): number =>
      likelihood(
        { quantity: 'overWires', valueMm: overMm, wireMm: wire, uncertaintyMm: 0.004, wear: 'unworn' },
        acme,
        'external',
        n,
      );
    const acme = expectationOf(formAt('acme29', 0.2 * IN), IN, 0.2 * IN);
    // a reading a little over the largest pitch diameter: credible with two starts, hardly with one
    expect(likely(flat + 0.0034 * IN, 2)).toBeGreaterThan(20 * likely(flat + 0.0034 * IN, 1));
  });

  test('over wires counts as pitch diameter', () => {
    // 1 1/4-7 BSW over 0.081 in wires: 1.2777 in basic (BS 84, NBS Handbook H28)
    const r = weigh([
      count(7, IN),
      { quantity: 'overWires', valueMm: 1.276 * IN, wireMm: 0.081 * IN, wear: 'unworn' },
      angle(55, 1),
    ]);
    expect(first(r)).toBe('1 1/4-7 BSW');
  });
});

/** Neither stands much above 70 % while the evidence does not tell them apart, and the reading named tells them. */
function staysOpen(evidence: Evidence[], one: string, other: string, by: string) {
  const r = weigh(evidence);
  expect([r.candidates[0], r.candidates[1]].map((c) => c?.thread.designation).toSorted()).toEqual(
    [one, other].toSorted(),
  );
  expect(r.candidates[0]?.probability).toBeLessThan(0.72);
  const offers = next(r, evidence);
  const offer = offers.find((n) => n.separates.includes(one) && n.separates.includes(other));
  expect(offers.map((n) => n.quantity)).toContain(by);
  return { r, offers, offer };
}

describe('pairs that fool people', () => {
  test.each([
    ['3/8-16 UNC', '3/8-16 BSW', [out(9.4, 'unknown'), count(16, IN)]],
    ['1/4-20 UNC', '1/4-20 BSW', [out(6.25, 'unknown'), count(20, IN)]],
    ['1-8 UNC', '1-8 BSW', [out(25.1, 'worn'), count(8, IN)]],
    ['3/4-10 UNC', '3/4-10 BSW', [out(18.9, 'unknown'), leaf(2.54)]],
  ] as [string, string, Evidence[]][])(
    '60 against 55 degrees: %s or %s stays open until the angle',
    (a, b, evidence) => {
      const { offers } = staysOpen(evidence, a, b, 'flankAngle');
      const angleOffer = offers.find((n) => n.quantity === 'flankAngle');
      expect([angleOffer?.expect.A, angleOffer?.expect.B].toSorted()).toEqual([55, 60]);
      expect(first(weigh([...evidence, angle(55, 1)]))).toBe(b);
      expect(first(weigh([...evidence, angle(60, 1)]))).toBe(a);
    },
  );

  test('a nut of 60 or 55 degrees stays open too', () => {
    const evidence = [bore(7.84, 'unknown'), count(16, IN)];
    const r = weigh(evidence, 'internal');
    expect(r.candidates[0]?.probability).toBeLessThan(0.7);
    expect(next(r, evidence, 'internal').map((n) => n.quantity)).toContain('flankAngle');
  });

  test('12 or 13 to the inch on half an inch: the count over a longer stretch or the angle', () => {
    const evidence = [out(12.55, 'unknown'), count(12.5, IN)];
    staysOpen(evidence, '1/2-12 BSW', '1/2-13 UNC', 'crestCount');
  });

  test('G or R: only the taper tells', () => {
    const { offers } = staysOpen([out(20.85, 'unknown'), count(14, IN), angle(55, 1)], 'G 1/2', 'R 1/2', 'taper');
    expect(offers[0]).toMatchObject({
      quantity: 'taper',
      separates: expect.arrayContaining(['G 1/2', 'R 1/2']) as unknown,
    });
  });

  describe('1.25 mm against 20 tpi', () => {
    test.each([
      ['8 crests in 10 mm, unworn', [out(7.85), count(8, 10)]],
      ['the same, state not known', [out(7.85, 'unknown'), count(8, 10)]],
      ['16 crests in 20 mm', [out(7.85), count(15.9, 20)]],
    ] as [string, Evidence[]][])('a short piece leaves M8 and 5/16-20 open: %s', (_, evidence) => {
      const { offers } = staysOpen(evidence, 'M8', '5/16-20 UN', 'crestCount');
      const longer = offers.find((n) => n.quantity === 'crestCount' && n.overCrests === null);
      // half a crest apart only after 40 mm (domain arithmetic: 1 / (1/1.25 - 1/1.27) / 2)
      expect(longer?.spanMm).toBeGreaterThan(40);
    });
    test('a long piece decides', () => {
      const p = (r: Ranking, name: string): number =>
        r.candidates.find((c) => c.thread.designation === name)?.probability ?? 0;
      expect(p(weigh([out(7.85), count(80, 4 * IN)]), '5/16-20 UN')).toBeGreaterThan(0.95);
      expect(p(weigh([out(7.85), count(81.25, 4 * IN)]), 'M8')).toBeGreaterThan(0.95);
    });
    test('3/8-20 and M10x1.25: worn metal and a short count leave the inch threads open between themselves', () => {
      staysOpen([out(9.4, 'unknown'), count(8, 10)], '3/8-20 UN', '3/8-20 BSF', 'flankAngle');
      expect(first(weigh([out(9.85), count(8, 10), angle(60)]))).toBe('M10x1.25');
    });
  });

  describe('0.8 mm against 32 tpi', () => {
    test.each([
      ['worn', [out(4.75, 'worn'), count(12.5, 10)]],
      ['worn, by leaf', [out(4.75, 'worn'), leaf(0.8, 'fits', 5)]],
    ] as [string, Evidence[]][])('a short piece leaves M5 and #10-32 open: %s', (_, evidence) => {
      const r = weigh(evidence);
      const two = r.candidates.slice(0, 2).map((c) => c.thread.designation);
      expect(two.toSorted()).toEqual(['#10-32 UNF', 'M5']);
      expect(r.candidates[0]?.probability).toBeLessThan(0.7);
      expect(next(r, evidence).length).toBeGreaterThan(0);
    });
    test('an unworn diameter or a long count decides', () => {
      expect(first(weigh([out(4.9), leaf(0.8)]))).toBe('M5');
      expect(first(weigh([out(4.76), count(32, IN), count(64, 2 * IN)]))).toBe('#10-32 UNF');
      expect(first(weigh([out(4.75, 'worn'), count(190.5, 6 * IN), angle(60, 1)]))).toBe('M5');
    });
  });

  describe('1.5 mm against 17 tpi', () => {
    test('17 to the inch on a metric size is M10 on a short piece: no table has the other', () => {
      expect(first(weigh([out(9.85), count(17, IN), angle(60)]))).toBe('M10');
    });
    test('a long piece that counts exactly 17 to the inch is a special, one that counts 1.5 mm is not', () => {
      const long = weigh([out(9.85), count(204, 12 * IN), count(408, 24 * IN), angle(60, 1)]);
      expect(long.special.probability).toBeGreaterThan(0.6);
      expect(long.special.pitchMm).toBeCloseTo(IN / 17, 3);
      expect(first(weigh([out(9.85), count(203.2, 12 * IN), angle(60, 1)]))).toBe('M10');
    });
  });

  test('29 against 30 degrees is told by the pitch, not by the eye', () => {
    expect(first(weigh([out(25.3), count(10, 2 * IN), angle(30)]))).toBe('1-5 Acme');
  });

  test('11 against 11 1/2: 1 in pipe', () => {
    expect(first(weigh([out(33.0, 'unknown'), count(22, 2 * IN), taper(0.0625)]))).toBe('R 1');
    expect(first(weigh([out(32.7, 'unknown'), count(23, 2 * IN), taper(0.0625)]))).toBe('1-11.5 NPT');
  });

  test('a bolt of half-inch pipe pitch is not taken for pipe', () => {
    expect(first(weigh([out(22.1), count(14, IN), angle(60, 1), taper(0)]))).toBe('7/8-14 UNF');
  });

  test('a two-start taken for single: the lead says so', () => {
    const evidence = [out(31.85), count(8, 48), angle(30, 1)];
    expect(weigh(evidence).candidates[0]?.starts).toBe(1);
    expect(weigh([...evidence, lead(12)]).candidates[0]).toMatchObject({ starts: 2 });
    expect(weigh([...evidence, starts(2)]).candidates[0]).toMatchObject({ starts: 2 });
    expect(first(weigh([...evidence, lead(12)]))).toBe('Tr 32x12 (P6)');
  });
});

describe('crest and root', () => {
  const edge = (quantity: 'crestRadius' | 'rootRadius' | 'crestFlat' | 'rootFlat', valueMm: number): Evidence => ({
    quantity,
    valueMm,
    uncertaintyMm: 0.05,
  });
  const open = [out(25.1, 'unknown'), count(8, IN)];
  test('a round crest speaks for 55 degrees, a flat one for 60', () => {
    // BS 84: r = 0.137329 P, 0.436 mm at 8 tpi; ISO 68-1 and ASME B1.1: crest flat P/8, 0.397 mm
    expect(first(weigh([...open, edge('crestRadius', 0.43)]))).toBe('1-8 BSW');
    expect(first(weigh([...open, edge('crestRadius', 0)]))).toBe('1-8 UNC');
    expect(first(weigh([...open, edge('crestFlat', 0.4)]))).toBe('1-8 UNC');
  });
  test('a small rounding is wear, and settles nothing by itself', () => {
    const r = weigh([...open, edge('crestRadius', 0.15)]);
    expect(r.candidates[0]?.thread.designation).toBe('1-8 UNC');
    expect(r.candidates[0]?.probability).toBeLessThan(0.97);
  });
  test('a knuckle thread is told from a trapezoidal one by its root', () => {
    // DIN 405: r = 0.23851 P at the screw\u2019s root, 1.01 mm at 1/6 in; ISO 2901: a flat root
    const evidence = [out(39.8), count(12, 2 * IN), angle(30, 1)];
    expect(first(weigh([...evidence, edge('rootRadius', 1.0)]))).toBe('Rd 40x1/6');
  });
  test('of a nut, its own crest is meant: narrow on a Whitworth nut, P/4 wide on a metric one', () => {
    const evidence = [bore(22.0, 'unknown'), count(8, IN)];
    const flat = weigh([...evidence, edge('crestFlat', 0.79)], 'internal');
    expect(first(flat)).toBe('1-8 UNC');
  });
  test('edges nobody makes speak for a special', () => {
    const evidence = [out(29.9), count(15, 2 * IN), angle(55, 1), edge('crestFlat', 1.4)];
    expect(weigh(evidence).special.probability).toBeGreaterThan(0.9);
  });
});

test('the hand is carried into the name and weighs nothing', () => {
  const evidence = [out(15.7), leaf(2), angle(60)];
  const [right, left] = [weigh(evidence), weigh([...evidence, { quantity: 'hand', hand: 'left' }])];
  expect(left.candidates[0]?.thread).toMatchObject({ designation: 'M16 LH', leftHand: true });
  expect(left.candidates[0]?.probability).toBeCloseTo(right.candidates[0]?.probability ?? 0, 9);
});

describe('specials', () => {
  test.each<[string, Evidence[], number, number, number]>([
    ['4 1/2 tpi, 29 degrees, 3/4 in', [out(19), count(9, 2 * IN), angle(29, 1)], 19.05, IN / 4.5, 29],
    ['7 1/2 tpi, 55 degrees, 30 mm', [out(29.9), count(15, 2 * IN), angle(55, 1)], 30, IN / 7.5, 55],
    ['3 1/2 tpi, 29 degrees, 1 1/2 in', [out(37.9), count(42, 12 * IN), angle(29, 1)], 38.1, IN / 3.5, 29],
    ['18 tpi, 60 degrees, 15 mm', [out(14.9), out(14.95), count(72, 4 * IN), angle(60, 1)], 15, IN / 18, 60],
  ])('%s', (_, evidence, major, pitch, included) => {
    const { special } = weigh(evidence);
    expect(special.probability).toBeGreaterThan(0.6);
    expect(Math.abs(special.majorMm - major)).toBeLessThan(0.3);
    expect(special.pitchMm).toBeCloseTo(pitch, 2);
    expect(special.leadingDeg + special.trailingDeg).toBeCloseTo(included, 0);
  });

  describe('what the tables have no row for', () => {
    const root = (valueMm: number): Evidence => ({ quantity: 'minorDiameter', valueMm });
    test('half a millimetre: M42.5x2 is neither M42x2 nor 1 11/16-12', () => {
      const { special } = weigh([out(42.46), count(25, 50), leaf(2), angle(60), root(40.06)]);
      expect(special).toMatchObject({ majorMm: 42.5, pitchMm: 2 });
      expect(special.probability).toBeGreaterThan(0.9);
    });
    test.each([
      ['4', 50.8, count(4, IN), IN / 4],
      ['4, on a metric size', 40, count(4, IN), IN / 4],
      ['17', 20, count(34, 2 * IN), IN / 17],
      ['52', 12.7, count(52, IN), IN / 52],
    ])('a count of %s whole threads an inch is exactly that', (_, major, counted, pitchMm) => {
      expect(weigh([out(major - 0.1), counted, angle(43, 0.5)]).special.pitchMm).toBeCloseTo(pitchMm, 9);
    });
    test('whatever else was read: 4 in 1 in on 40 mm, tapered, is 4 to the inch and not 6 mm', () => {
      const evidence = [
        out(40, 'unknown'),
        count(4, IN),
        { quantity: 'depth', valueMm: 0.11 * IN } as const,
        taper(1 / 6),
      ];
      expect(weigh([...evidence, angle(60)]).special.pitchMm).toBeCloseTo(IN / 4, 9);
      // a leaf that fits the other pitch says more than a count
      expect(weigh([...evidence, angle(60), leaf(6), leaf(IN / 4, 'no')]).special.pitchMm).toBeCloseTo(6, 9);
    });
    test('the size keeps its unit when a reading over wires is added', () => {
      const wire = 2.9;
      const d2 = 19.05 - IN / 4.5 / 2;
      const half = (14.5 * Math.PI) / 180;
      const overMm = d2 + wire * (1 + 1 / Math.sin(half)) - IN / 4.5 / 2 / Math.tan(half);
      const read = [out(19), count(9, 2 * IN), angle(29, 1)];
      const wires: Evidence = { quantity: 'overWires', valueMm: overMm - 0.06, wireMm: wire, wear: 'unworn' };
      for (const evidence of [read, [...read, wires]])
        expect(weigh(evidence).special).toMatchObject({
          majorMm: expect.closeTo(19.05, 6) as unknown,
          sizeSystem: 'in',
        });
    });
    test('19 mm or 3/4 in: where it was made and the unit typed speak', () => {
      const evidence = [out(18.9, 'unknown'), count(9, 2 * IN), angle(29, 1)];
      const made = (origin: 'metric' | 'british') =>
        rank({ part: 'external', evidence, context: { origin, use: null }, most: 3 }).special;
      expect(made('british')).toMatchObject({ majorMm: expect.closeTo(19.05, 6) as unknown, sizeSystem: 'in' });
      const typed = (system: 'mm' | 'in') =>
        weighSpecials(
          evidence.map((e) => ({ ...e, system })),
          'external',
          { origin: null, use: null },
        );
      expect(typed('in').probabilityMass).not.toBe(typed('mm').probabilityMass);
    });
    test('flanks of no form at a round size and pitch', () => {
      const { special } = weigh([out(25.35), count(20, 2 * IN), angle(40, 1)]);
      expect(special).toMatchObject({ majorMm: expect.closeTo(25.4, 6) as unknown, leadingDeg: 20, trailingDeg: 20 });
      expect(special.probability).toBeGreaterThan(0.6);
    });
    test('nothing common is near: 94.3 mm at 6 tpi and 55 degrees is no 3 3/4-6 UN', () => {
      const r = weigh([out(94.3), count(6, IN), angle(55, 1)]);
      expect(r.special.probability).toBeGreaterThan(0.5);
      expect(r.candidates.slice(0, 3).map((c) => c.thread.designation)).not.toContain('3 3/4-6 UN');
    });
    test('a taper of 1 in 6 is no parallel thread', () => {
      const r = weigh([taper(1 / 6), count(4, IN), { quantity: 'depth', valueMm: 0.11 * IN }]);
      expect(r.special.probability).toBeGreaterThan(0.9);
      expect(r.special.pitchMm).toBeCloseTo(6.35, 6);
    });
    test('10 tpi Acme form on 7/16 in or Rd 11: the crest is asked for, and tells', () => {
      const evidence = [out(11.05), count(20, 2 * IN), angle(29, 1)];
      const open = weigh(evidence);
      expect(first(open)).toBe('Rd 11x1/10');
      expect(open.special).toMatchObject({ majorMm: expect.closeTo(11.1125, 6) as unknown, pitchMm: 2.54 });
      expect(open.special.probability).toBeGreaterThan(0.1);
      expect(next(open, evidence).map((n) => n.quantity)).toContain('crestRadius');
      expect(weigh([...evidence, { quantity: 'crestFlat', valueMm: 0.93 }]).special.probability).toBeGreaterThan(0.8);
    });
  });

  describe('taper: parallel forms are out when one is read, tapered ones when none is', () => {
    const end = [out(20.955 + 0.31), count(14, IN)]; // R 1/2 at the end of its useful thread, 5 mm past the gauge plane
    test('R near its large end is R once its angle is read', () => {
      expect(first(weigh([...end, taper(0.0625), angle(55, 1)]))).toBe('R 1/2');
    });
    test('NPT and NPTF are one until crest or root is read', () => {
      const r = weigh([...end, taper(0.0625), angle(60, 1)]);
      expect(r.candidates[0]).toMatchObject({ or: '1/2-14 NPTF' });
      expect(r.candidates[0]?.thread.designation).toBe('1/2-14 NPT');
      expect(r.candidates.map((c) => c.thread.family)).not.toContain('NPTF');
      const edged = weigh([...end, taper(0.0625), angle(60, 1), { quantity: 'crestFlat', valueMm: 0.1 }]);
      expect(edged.candidates.map((c) => c.thread.family)).toContain('NPTF');
    });
    test('tapered or not, the other kind keeps less than one in a hundred', () => {
      const read = [out(33.0, 'unknown'), count(22, 2 * IN), angle(55, 1)];
      const share = (r: Ranking, tapered: boolean): number =>
        r.candidates.filter((c) => c.expectation.taper > 0 === tapered).reduce((s, c) => s + c.probability, 0);
      expect(share(weigh([...read, taper(0)]), true)).toBeLessThan(0.01);
      expect(share(weigh([...read, taper(0.0625)]), false)).toBeLessThan(0.01);
    });
    test('G 1/8 is not overclaimed by its diameter', () => {
      const r = weigh([out(9.65), count(28, IN), angle(55)]);
      expect(r.candidates.slice(0, 2).map((c) => c.thread.designation)).toEqual(['G 1/8', 'R 1/8']);
      expect(r.candidates[0]?.probability).toBeLessThan(0.8);
    });
  });

  describe('templates', () => {
    const held = (angleDeg: number, fit: 'fits' | 'nearly' | 'no', flank?: 'leading' | 'trailing'): Evidence => ({
      quantity: 'template',
      angleDeg,
      fit,
      ...(flank ? { flank } : {}),
    });
    test('55 fits and 60 does not', () => {
      const evidence = [out(25.1, 'worn'), count(8, IN)];
      expect(first(weigh([...evidence, held(55, 'fits'), held(60, 'no')]))).toBe('1-8 BSW');
      expect(first(weigh([...evidence, held(60, 'fits'), held(55, 'nearly')]))).toBe('1-8 UNC');
    });
    test('two templates five degrees apart decide a buttress', () => {
      const evidence = [out(44.9), count(6, 36), held(0, 'fits', 'trailing')];
      const on = (fits: number, no: number) =>
        weigh([...evidence, held(fits, 'fits', 'leading'), held(no, 'no', 'leading')]).special;
      expect(on(45, 50)).toMatchObject({ leadingDeg: 45, trailingDeg: 0 });
      expect(on(50, 45)).toMatchObject({ leadingDeg: 50, trailingDeg: 0 });
      expect(on(45, 50).probability).toBeGreaterThan(0.9);
    });
  });

  test('a name that somebody gives is judged by the same readings', () => {
    const evidence = [out(42.46), count(25, 50), leaf(2), angle(60)];
    const r = weigh(evidence);
    const judged = (major: number, pitch: number): number =>
      probabilityClaimed(
        { expectation: expectationOf(formAt('iso60', pitch), major, pitch), starts: 1 },
        r,
        evidence,
        'external',
      );
    expect(judged(42.5, 2)).toBeGreaterThan(0.9);
    expect(judged(45, 2)).toBeLessThan(0.01);
    expect(judged(42.5, 3)).toBeLessThan(1e-3);
  });

  test('a combination that a table lists is never called special', () => {
    for (const evidence of [
      [out(7.85), count(8, 10)],
      [out(9.85), leaf(1.5), angle(60)],
      [out(6.3), count(20, IN), angle(55)],
      [out(25.3), count(10, 2 * IN), angle(29)],
    ]) {
      const { special, candidates } = weigh(evidence);
      for (const c of candidates.slice(0, 3))
        expect([special.majorMm, special.pitchMm, special.leadingDeg]).not.toEqual([
          c.thread.majorMm,
          c.expectation.pitchMm,
          c.expectation.leadingDeg,
        ]);
    }
  });

  test('old buttress: 45 against 50 degrees with a square load flank', () => {
    const on = (leading: number) => weigh([out(44.9), count(6, 36), ...flanks(leading, 0)]).special;
    expect(on(45)).toMatchObject({ leadingDeg: 45, trailingDeg: 0 });
    expect(on(50)).toMatchObject({ leadingDeg: 50, trailingDeg: 0 });
    expect(on(45).probability).toBeGreaterThan(0.9);
  });
});

describe('next readings', () => {
  test('a leaf is offered when it is owned, not tried yet, and out for the rival', () => {
    const evidence = [out(7.85, 'unknown'), count(9, 10)];
    const offers = next(weigh(evidence), evidence);
    const offer = offers.find((n) => n.quantity === 'pitchLeaf');
    if (offer) {
      expect(Math.min(offer.expect.A, offer.expect.B)).toBeCloseTo(0, 3);
      expect(offer.leafMm).toBeGreaterThan(0);
    }
    const near = [out(12.55, 'unknown'), count(12.5, IN)];
    const found = next(weigh(near), near).find((n) => n.quantity === 'pitchLeaf');
    // 12 against 13 to the inch over 10 mm: 0.77 mm out
    expect(Math.max(found?.expect.A ?? 0, found?.expect.B ?? 0)).toBeGreaterThan(0.6);
    const without = nextReadings(
      rivalsOf(weigh(near)),
      near,
      'external',
      USUAL_TOOLS.filter((t) => t.measures !== 'pitch'),
      null,
    );
    expect(without.map((n) => n.quantity)).not.toContain('pitchLeaf');
  });
  test('overlap of two normals: alike 1, far apart 0', () => {
    expect(overlap(3, 1, 3, 1)).toBeCloseTo(1, 9);
    expect(overlap(0, 1, 20, 1)).toBeLessThan(1e-20);
    // closed form for unequal spreads: sqrt(2 s1 s2 / (s1^2 + s2^2)) when the means agree
    expect(overlap(0, 1, 0, 3)).toBeCloseTo(Math.sqrt(0.6), 9);
  });
  test('on ten millimetres a caliper from crest to crest tells 1.25 mm from 20 tpi, where no count against a rule can', () => {
    const evidence = [out(7.85, 'unknown'), count(8, 10)];
    const offers = nextReadings(rivalsOf(weigh(evidence)), evidence, 'external', USUAL_TOOLS, 10);
    const span = offers.find((n) => n.overCrests !== null);
    expect(offers.some((n) => n.quantity === 'crestCount' && n.overCrests === null)).toBe(false);
    expect(span).toMatchObject({
      quantity: 'crestCount',
      seenBy: { by: 'instrument', name: 'caliper' },
      overCrests: 7,
      expect: { A: 8.75, B: 8.89 },
    });
    // and read so, it decides either way
    const read = (spanMm: number) =>
      first(weigh([...evidence, { quantity: 'crestCount', crests: 7, spanMm, spanUncertaintyMm: 0.05 }]));
    expect(read(8.74)).toBe('M8');
    expect(read(8.9)).toBe('5/16-20 UN');
    const done: Evidence[] = [
      ...evidence,
      { quantity: 'crestCount', crests: 7, spanMm: 8.75, spanUncertaintyMm: 0.05 },
    ];
    expect(
      nextReadings(rivalsOf(weigh(done)), done, 'external', USUAL_TOOLS, 10).some((n) => n.overCrests !== null),
    ).toBe(false);
  });
  test('nothing is offered that has been read as well already', () => {
    const evidence = [out(20.85), count(14, IN), angle(55, 0.25), taper(0), starts(1)];
    expect(next(weigh(evidence), evidence).map((n) => n.quantity)).not.toContain('taper');
  });
  test('where no longer stretch is to be had, the one there is is counted again before anything strange is asked', () => {
    const evidence = [out(12.55, 'unknown'), count(12.5, IN), angle(58, 2)];
    const offers = nextReadings(rivalsOf(weigh(evidence)), evidence, 'external', USUAL_TOOLS.slice(1, 2), IN);
    expect(offers[0]).toMatchObject({ quantity: 'crestCount', spanMm: IN });
    const twice = [...evidence, count(12.5, IN)];
    const then = nextReadings(rivalsOf(weigh(twice)), twice, 'external', USUAL_TOOLS.slice(1, 2), IN);
    expect(then.map((n) => n.quantity)).not.toContain('crestCount');
  });
  test('a count is only offered over a stretch that the part has', () => {
    const evidence = [out(7.85), count(8, 10)];
    const offers = nextReadings(rivalsOf(weigh(evidence)), evidence, 'external', USUAL_TOOLS, 30);
    for (const n of offers) if (n.spanMm !== null) expect(n.spanMm).toBeLessThanOrEqual(30);
  });
});
