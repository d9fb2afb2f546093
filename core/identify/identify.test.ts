import { describe, expect, test } from '@jest/globals';
import type { Evidence, Wear } from '../evidence/evidence.ts';
import { normalCdf } from '../numeric/normal.ts';
import { shortfallDensity } from '../reading/density.ts';
import { LEAF, verdictProbability } from '../reading/noise.ts';
import { formAt } from '../form/shape.ts';
import { expectationOf } from '../reading/expectation.ts';
import { rank, type Ranking } from './rank.ts';
import { reasonsFor } from './reasons.ts';
import { atSize } from '../reading/expectation.ts';

const outside = (valueMm: number, wear: Wear = 'unknown', uncertaintyMm = 0.02): Evidence => ({
  quantity: 'majorDiameter',
  valueMm,
  wear,
  uncertaintyMm,
});
const crests = (n: number, spanMm: number): Evidence => ({ quantity: 'crestCount', crests: n, spanMm });
const angle = (valueDeg: number, uncertaintyDeg = 2): Evidence => ({
  quantity: 'flankAngle',
  valueDeg,
  uncertaintyDeg,
});
const weigh = (evidence: Evidence[], part: 'external' | 'internal' = 'external'): Ranking =>
  rank({ part, evidence, context: { origin: null, use: null }, most: 6 });
const first = (r: Ranking): string => r.candidates[0]?.thread.designation ?? '';

describe('densities', () => {
  test('normal distribution function (Abramowitz & Stegun table 26.1)', () => {
    expect(normalCdf(0)).toBeCloseTo(0.5, 6);
    expect(normalCdf(1.96)).toBeCloseTo(0.975, 4);
    expect(normalCdf(-3)).toBeCloseTo(0.00135, 5);
  });
  test('the shortfall density is a density, and one-sided wear only shrinks', () => {
    for (const [sigma, tol, wear] of [
      [0.02, 0.2, 0.1],
      [0.02, 0.2, 0.003],
      [0.2, 0.1, 0.006],
    ] as const) {
      let sum = 0;
      for (let x = -3; x < 5; x += 0.001) sum += shortfallDensity(x, sigma, tol, wear) * 0.001;
      expect(sum).toBeCloseTo(1, 2);
    }
    expect(shortfallDensity(0.4, 0.01, 0.2, 0.1)).toBeGreaterThan(1e3 * shortfallDensity(-0.2, 0.01, 0.2, 0.1));
  });
  test('the verdicts on a leaf share one probability', () => {
    for (const off of [0, 0.05, 0.1, 0.2, 1]) {
      const sum = (['fits', 'nearly', 'no'] as const).reduce((s, f) => s + verdictProbability(f, off, LEAF), 0);
      expect(sum).toBeGreaterThan(0.97);
      expect(sum).toBeLessThan(1.03);
    }
  });
});

describe('naming', () => {
  test('worn crest 1.242, 1.247 elsewhere, 7 crests in an inch, about 55 degrees: 1 1/4-7 BSW, with reasons', () => {
    const evidence = [outside(31.547, 'worn'), outside(31.674), crests(7, 25.4), angle(55)];
    const r = weigh(evidence);
    expect(first(r)).toBe('1 1/4-7 BSW');
    expect(r.candidates[0]?.probability).toBeGreaterThan(0.8);
    expect(r.candidates[1]?.thread.designation).toBe('1 1/4-7 UNC');
    const best = r.candidates[0];
    if (!best) throw new Error('no candidate');
    const why = reasonsFor(best.expectation, best.starts, evidence, 'external');
    expect(why.for[0]).toMatchObject({ kind: 'crest', says: 'worn', beyondWear: false });
    expect(why.against).toEqual([]);
  });

  test('over wires on a square thread: no figure is made up, and it speaks against it', () => {
    const square = expectationOf(formAt('square', 6), 36, 6);
    const why = reasonsFor(
      square,
      1,
      [{ quantity: 'overWires', valueMm: 39, wireMm: 3.2, wear: 'unworn' }],
      'external',
    );
    expect(why).toEqual({ for: [], against: [{ kind: 'no-rest', wireMm: 3.2, times: Infinity }] });
  });
  test('a pitch diameter far from the form speaks against it, as measured over the wires', () => {
    // 1 1/2 in x 3.5 TPI Acme form against Tr 38x7 (ISO 2904: d2 = 34.5): 0.6 mm is no wear
    const evidence: Evidence[] = [
      { quantity: 'overWires', valueMm: 1.5385 * 25.4, wireMm: 0.1476 * 25.4, wear: 'unworn' },
      crests(42, 304.8),
    ];
    const tr = expectationOf(formAt('trapezoidal30', 7), 38, 7);
    const over = reasonsFor(tr, 1, evidence, 'external').against.find((r) => r.kind === 'size');
    expect(over).toMatchObject({ kind: 'size', of: 'overWires', expectedMm: 34.5 });
    expect(over).toHaveProperty('readMm', expect.closeTo(33.9, 1));
    const own = expectationOf(formAt('acme29', 25.4 / 3.5), 38.1, 25.4 / 3.5);
    expect(reasonsFor(own, 1, evidence, 'external').against).toEqual([]);
  });

  test.each<[string, Evidence[], string]>([
    ['M10, new', [outside(9.85, 'unworn'), crests(17, 25.4), angle(60)], 'M10'],
    [
      'M8 by leaf',
      [outside(7.9, 'unworn'), { quantity: 'pitchLeaf', pitchMm: 1.25, overMm: 8, fit: 'fits' }, angle(60)],
      'M8',
    ],
    ['1/2-12 BSW, not 13', [outside(12.6, 'unworn'), crests(24, 50.8), angle(55)], '1/2-12 BSW'],
    ['1/2-13 UNC, not 12', [outside(12.55, 'unworn'), crests(26, 50.8), angle(60)], '1/2-13 UNC'],
    ['1-8 UNC worn', [outside(25.1, 'worn'), crests(8, 25.4), angle(60, 1)], '1-8 UNC'],
    ['1-5 Acme', [outside(25.3, 'unworn'), crests(10, 50.8), angle(29, 1)], '1-5 Acme'],
    ['M20', [outside(19.8, 'unworn'), crests(10, 25.4)], 'M20'],
  ])('%s', (_, evidence, expected) => {
    expect(first(weigh(evidence))).toBe(expected);
  });

  test('60 against 55 at one size and pitch stays open until the angle is read', () => {
    const open = weigh([outside(6.3, 'unworn'), crests(20, 25.4)]);
    expect(
      open.candidates
        .slice(0, 2)
        .map((c) => c.thread.designation)
        .sort(),
    ).toEqual(['1/4-20 BSW', '1/4-20 UNC']);
    expect(open.candidates[0]?.probability).toBeLessThan(0.7);
    expect(first(weigh([outside(6.3, 'unworn'), crests(20, 25.4), angle(55, 1)]))).toBe('1/4-20 BSW');
  });

  test('a nut is weighed from its bore', () => {
    expect(
      first(
        weigh(
          [
            { quantity: 'minorDiameter', valueMm: 8.5, wear: 'unworn' },
            { quantity: 'pitchLeaf', pitchMm: 1.5, fit: 'fits' },
          ],
          'internal',
        ),
      ),
    ).toBe('M10');
  });

  test('a tapered half-inch pipe thread is told from the parallel one by its taper', () => {
    const base = [outside(20.9, 'unworn'), crests(14, 25.4), angle(55)];
    expect(first(weigh([...base, { quantity: 'taper', ratio: 0.0625 }]))).toBe('R 1/2');
    expect(first(weigh([...base, { quantity: 'taper', ratio: 0 }]))).toBe('G 1/2');
  });

  test.each<[string, Evidence[], number, number, number]>([
    ['4 1/2 tpi, 29 degrees on 3/4 in', [outside(19, 'unworn'), crests(9, 50.8), angle(29, 1)], 19.05, 25.4 / 4.5, 29],
    ['7 1/2 tpi, 55 degrees on 30 mm', [outside(29.9, 'unworn'), crests(15, 50.8), angle(55, 1)], 30, 25.4 / 7.5, 55],
  ])('special: %s', (_, evidence, major, pitch, included) => {
    const { special } = weigh(evidence);
    expect(special.probability).toBeGreaterThan(0.6);
    expect(Math.abs(special.majorMm - major)).toBeLessThan(0.2);
    expect(special.pitchMm).toBeCloseTo(pitch, 2);
    expect(special.leadingDeg + special.trailingDeg).toBeCloseTo(included, 0);
  });

  test('probabilities of everything, special included, sum to one', () => {
    const all = rank({
      part: 'external',
      evidence: [outside(20), crests(10, 25.4)],
      context: { origin: null, use: null },
      most: 1e6,
    });
    expect(all.candidates.reduce((s, c) => s + c.probability, all.special.probability)).toBeCloseTo(1, 9);
  });

  test('the order in which readings were taken says nothing', () => {
    const evidence = [outside(31.547, 'worn'), outside(31.674), crests(7, 25.4), angle(55), outside(31.6, 'worn')];
    const [there, back] = [weigh(evidence), weigh(evidence.toReversed())];
    expect(there.candidates.map((c) => c.thread.designation)).toEqual(back.candidates.map((c) => c.thread.designation));
    there.candidates.forEach((c, i) => expect(c.probability).toBeCloseTo(back.candidates[i]?.probability ?? NaN, 9));
    expect(there.special.probability).toBeCloseTo(back.special.probability, 9);
  });

  test('origin shifts what is likely, evidence decides', () => {
    const evidence = [outside(6.3, 'unworn'), crests(20, 25.4)];
    const british = rank({ part: 'external', evidence, context: { origin: 'british', use: null }, most: 2 });
    expect(first(british)).toBe('1/4-20 BSW');
    const against = rank({
      part: 'external',
      evidence: [...evidence, angle(60, 0.25)],
      context: { origin: 'british', use: null },
      most: 2,
    });
    expect(first(against)).toBe('1/4-20 UNC');
  });
});

test('a form moved to a size is the form at that size', () => {
  for (const id of [
    'iso60',
    'whitworth55',
    'acme29',
    'trapezoidal30',
    'square',
    'buttress45-7',
    'sawtooth30-3',
  ] as const)
    for (const pitch of [0.35, 25.4 / 7, 6]) {
      const form = formAt(id, pitch);
      const [moved, made] = [atSize(expectationOf(form, 100, pitch), 40), expectationOf(form, 40, pitch)];
      for (const k of [
        'majorMm',
        'pitchDiameterMm',
        'minorExternalMm',
        'minorInternalMm',
        'depthExternalMm',
        'depthInternalMm',
      ] as const)
        expect([id, k, moved[k].toFixed(9)]).toEqual([id, k, made[k].toFixed(9)]);
      expect(moved.edges).toEqual(made.edges);
    }
});
