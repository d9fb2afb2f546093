import { describe, expect, test } from '@jest/globals';
import type { Evidence, Wear } from '../evidence/evidence.ts';
import { nextReadings, overlap, USUAL_TOOLS } from './nextReading.ts';
import { rank, type Ranking } from './rank.ts';
import { reliability, seeded } from './simulate.ts';
import { rivalsOf } from './specialRival.ts';

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

describe('pairs that fool people', () => {
  test('UNC and BSW of one size and pitch stay open without the angle, and the angle is what to read', () => {
    const evidence = [out(12.55, 'unknown'), count(12.5, IN)];
    const same = [out(9.4, 'unknown'), count(16, IN)];
    for (const e of [same]) {
      const r = weigh(e);
      expect(r.candidates[0]?.probability).toBeLessThan(0.7);
      const offers = next(r, e);
      const angleOffer = offers.find((n) => n.quantity === 'flankAngle');
      expect(angleOffer?.separates.toSorted()).toEqual(['3/8-16 BSW', '3/8-16 UNC']);
      expect([angleOffer?.expect.A, angleOffer?.expect.B].toSorted()).toEqual([55, 60]);
    }
    // 12 and 13 to the inch on half an inch: the count over a longer stretch is among what is offered
    const r = weigh(evidence);
    expect(next(r, evidence).some((n) => n.quantity === 'crestCount' || n.quantity === 'flankAngle')).toBe(true);
  });

  test('G or R: only the taper tells', () => {
    const evidence = [out(20.85, 'unknown'), count(14, IN), angle(55, 1)];
    const r = weigh(evidence);
    expect(r.candidates[0]?.probability).toBeLessThan(0.7);
    expect(next(r, evidence)[0]).toMatchObject({
      quantity: 'taper',
      separates: expect.arrayContaining(['G 1/2', 'R 1/2']) as unknown,
    });
  });

  test('1.25 mm against 20 tpi: a long piece decides, a short one leaves the rarer pitch more of a chance', () => {
    // 7.9 mm fits M8 (1.25) and 5/16-20 UN alike
    const p = (r: Ranking, pitch: number): number =>
      r.candidates.filter((c) => Math.abs(c.expectation.pitchMm - pitch) < 1e-6).reduce((s, c) => s + c.probability, 0);
    const short = weigh([out(7.85), count(8, 10)]);
    const long20 = weigh([out(7.85), count(80, 101.6)]);
    const long125 = weigh([out(7.85), count(81.25, 101.6)]);
    expect(p(long20, 1.27)).toBeGreaterThan(0.9);
    expect(p(long125, 1.25)).toBeGreaterThan(0.99);
    expect(p(short, 1.27)).toBeGreaterThan(p(long125, 1.27));
  });

  test('0.8 mm against 32 tpi: M5 and #10-32 by diameter and a long count', () => {
    expect(first(weigh([out(4.9), leaf(0.8)]))).toBe('M5');
    expect(first(weigh([out(4.76), count(32, IN), count(64, 2 * IN)]))).toBe('#10-32 UNF');
  });

  test('1.5 mm against 17 tpi: a metric size of 17 to the inch is M10 on a short piece', () => {
    expect(first(weigh([out(9.85), count(17, IN), angle(60)]))).toBe('M10');
    const long = weigh([out(9.85), count(102, 6 * IN), angle(60, 1)]);
    expect(
      long.special.probability + (long.candidates.find((c) => c.thread.designation === 'M10')?.probability ?? 0),
    ).toBeGreaterThan(0.9);
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

describe('specials', () => {
  test.each<[string, Evidence[], number, number, number]>([
    ['4 1/2 tpi, 29 degrees, 3/4 in', [out(19), count(9, 2 * IN), angle(29, 1)], 19.05, IN / 4.5, 29],
    ['7 1/2 tpi, 55 degrees, 30 mm', [out(29.9), count(15, 2 * IN), angle(55, 1)], 30, IN / 7.5, 55],
    ['10 tpi Acme form, 7/16 in', [out(11.05), count(20, 2 * IN), angle(29, 1)], 11.11, 2.54, 29],
    ['3 1/2 tpi, 29 degrees, 1 1/2 in', [out(37.9), count(42, 12 * IN), angle(29, 1)], 38.1, IN / 3.5, 29],
    ['18 tpi, 60 degrees, 15 mm', [out(14.9), count(72, 4 * IN), angle(60, 1)], 15, IN / 18, 60],
  ])('%s', (_, evidence, major, pitch, included) => {
    const { special } = weigh(evidence);
    expect(special.probability).toBeGreaterThan(0.6);
    expect(Math.abs(special.majorMm - major)).toBeLessThan(0.3);
    expect(special.pitchMm).toBeCloseTo(pitch, 2);
    expect(special.leadingDeg + special.trailingDeg).toBeCloseTo(included, 0);
  });

  test('old buttress: 45 against 50 degrees with a square load flank', () => {
    const on = (leading: number) => weigh([out(44.9), count(6, 36), ...flanks(leading, 0)]).special;
    expect(on(45)).toMatchObject({ leadingDeg: 45, trailingDeg: 0 });
    expect(on(50)).toMatchObject({ leadingDeg: 50, trailingDeg: 0 });
    expect(on(45).probability).toBeGreaterThan(0.9);
  });
});

describe('next readings', () => {
  test('overlap of two normals: alike 1, far apart 0', () => {
    expect(overlap(3, 1, 3, 1)).toBeCloseTo(1, 9);
    expect(overlap(0, 1, 20, 1)).toBeLessThan(1e-20);
    // closed form for unequal spreads: sqrt(2 s1 s2 / (s1^2 + s2^2)) when the means agree
    expect(overlap(0, 1, 0, 3)).toBeCloseTo(Math.sqrt(0.6), 9);
  });
  test('nothing is offered that has been read as well already', () => {
    const evidence = [out(20.85), count(14, IN), angle(55, 0.25), taper(0), starts(1)];
    expect(next(weigh(evidence), evidence).map((n) => n.quantity)).not.toContain('taper');
  });
  test('a count is only offered over a stretch that the part has', () => {
    const evidence = [out(7.85), count(8, 10)];
    const offers = nextReadings(rivalsOf(weigh(evidence)), evidence, 'external', USUAL_TOOLS, 30);
    for (const n of offers) if (n.spanMm !== null) expect(n.spanMm).toBeLessThanOrEqual(30);
  });
});

test('stated probabilities are right about as often as stated (150 simulated parts; the full table is in docs/calibration.md)', () => {
  const rows = reliability(150, seeded(5));
  const parts = rows.reduce((s, r) => s + r.parts, 0);
  const stated = rows.reduce((s, r) => s + r.stated * r.parts, 0) / parts;
  const right = rows.reduce((s, r) => s + r.right * r.parts, 0) / parts;
  expect(parts).toBe(150);
  // three standard errors of a share of 150
  expect(Math.abs(stated - right)).toBeLessThan(3 * Math.sqrt((stated * (1 - stated)) / parts));
}, 60_000);
