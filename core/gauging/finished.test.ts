import { describe, expect, test } from '@jest/globals';
import { formAt } from '../form/shape.ts';
import { budgetOf, totalMm, type Known } from './budget.ts';
import { drunkennessMm, engagedFlanks, leadByMates, notGoTurns, taperOf, virtualOf } from './finished.ts';
import { bestWireMm, grooveOf, usableWireMm } from './wires.ts';

const flanksOf = (form: 'iso60' | 'whitworth55' | 'acme29', pitch: number) => {
  const f = engagedFlanks(formAt(form, pitch), pitch);
  if (!f) throw new Error('square');
  return f;
};
const NONE = { leadingDeg: 0, trailingDeg: 0, leadPerMm: 0, roundMm: 0 };

describe('what errors of form do to the fit', () => {
  // BS 84 and its like, effective diameter equivalent of errors of both flank angles, times the pitch for a degree in all; from memory
  test.each([
    ['whitworth55', 0.0105],
    ['iso60', 0.0109],
    ['acme29', 0.018],
  ] as const)('%s: the old constant %s a degree', (form, constant) => {
    const f = flanksOf(form, 1);
    const v = virtualOf(f, 10, { ...NONE, leadingDeg: 0.1, trailingDeg: 0.1 });
    expect(v.angleMm / 0.2).toBeCloseTo(constant, 3);
  });
  test('a lead error adds cot a times it, drunkenness twice its travel; wires see neither', () => {
    const f = flanksOf('iso60', 2);
    const v = virtualOf(f, 20, { ...NONE, leadPerMm: 0.0005, roundMm: 0.01 });
    expect(v.leadMm).toBeCloseTo(0.01 / Math.tan(Math.PI / 6), 12);
    expect(v.roundMm).toBeCloseTo(0.02 / Math.tan(Math.PI / 6), 12);
    expect(v.totalMm).toBeCloseTo(v.leadMm + v.roundMm, 12);
    // either way round the mate meets more
    expect(virtualOf(f, 20, { ...NONE, leadPerMm: -0.0005 }).leadMm).toBeGreaterThan(0);
  });
  test('drunkenness is found again from its readings, and not from too few', () => {
    for (const [a, phase] of [
      [0.02, 0.3],
      [0.005, 2],
      [0.1, -1],
    ] as const) {
      const list = [0, 90, 180, 270].map((deg) => ({ deg, mm: 0.3 + a * Math.sin((deg * Math.PI) / 180 + phase) }));
      expect(drunkennessMm(list)).toBeCloseTo(a, 9);
      expect(drunkennessMm(list.slice(0, 3))).toBeCloseTo(a, 9);
      expect(drunkennessMm(list.slice(0, 2))).toBeNull();
    }
    expect(drunkennessMm([0, 3, 6].map((deg) => ({ deg, mm: 0.01 * deg })))).toBeNull();
  });
  test('taper by the line that fits; lead by mates of several lengths', () => {
    expect(
      taperOf([
        { atMm: 0, mm: 20 },
        { atMm: 10, mm: 20.01 },
        { atMm: 20, mm: 20.02 },
      ]),
    ).toBeCloseTo(0.001, 12);
    expect(taperOf([{ atMm: 5, mm: 20 }])).toBeNull();
    // e = (s1 - s2) / (L2 - L1), and s1 + e L1 at no length. Common practice, no source
    expect(
      leadByMates([
        { lengthMm: 10, playMm: 0.1 },
        { lengthMm: 30, playMm: 0.06 },
      ]),
    ).toEqual({ perMm: expect.closeTo(0.002, 12), playAtNoLengthMm: expect.closeTo(0.12, 12) });
    // a longer mate with more play is of another size: no lead error is made of it
    expect(
      leadByMates([
        { lengthMm: 10, playMm: 0.05 },
        { lengthMm: 30, playMm: 0.06 },
      ])?.perMm,
    ).toBe(0);
    expect([notGoTurns(false), notGoTurns(true)]).toEqual([2, 3]);
  });
});

describe('the budget of a reading over wires', () => {
  const known: Known = {
    wireMm: 0.001,
    roundMm: null,
    halfAngleDeg: 0.25,
    pitchMm: 0.001,
    readingMm: 0.004,
    flankMm: 0.0015,
    heatK: 20,
    alpha: 11.5e-6,
  };
  const g = grooveOf(formAt('iso60', 1.5), 1.5, 1);
  const line = (wire: number, of: string, k = known) => budgetOf(g, 9.026, wire, k).find((l) => l.of === of);
  test('the sensitivities of the 60 degree form: three for the wire, 0.866 for the pitch', () => {
    // NBS Handbook H28: an error in the wires counts three times; M - d2 = 3w - 0.86603 P
    expect(line(0.866, 'wire')?.mm).toBeCloseTo(0.003, 9);
    expect(line(0.866, 'lead')?.mm).toBeCloseTo(0.000866, 6);
  });
  test('a wire that touches at the pitch line takes the angle out of it, any other pays', () => {
    const best = bestWireMm(g);
    const { min, max } = usableWireMm(g);
    expect(line(best, 'angle')?.mm).toBeLessThan(1e-5);
    expect(line(min, 'angle')?.mm).toBeGreaterThan(0.001);
    expect(line(max, 'angle')?.mm).toBeGreaterThan(0.001);
  });
  test('50 mm of steel and 20 K are 0.012 mm; a pin out of round lies anywhere in it', () => {
    const heat = budgetOf(g, 50, 0.866, known).find((l) => l.of === 'heat');
    expect(heat?.mm).toBeCloseTo(0.0115, 6);
    expect(line(0.866, 'round')?.mm).toBe(0);
    expect(line(0.866, 'round', { ...known, roundMm: 0.004 })?.mm).toBeCloseTo((3 * 0.004) / Math.sqrt(12), 9);
  });
  test('what is shared and what is not make up the whole', () => {
    const lines = budgetOf(g, 9.026, 0.866, known);
    expect(Math.hypot(totalMm(lines, true), totalMm(lines, false))).toBeCloseTo(totalMm(lines), 12);
  });
});
