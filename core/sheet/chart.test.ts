import { describe, expect, test } from '@jest/globals';
import { formAt } from '../form/shape.ts';
import { inches } from '../quantity/units.ts';
import { bandMm, chartBodies, chartLines, leastScale, mostScale, type Chart } from './chart.ts';
import { BOX } from './paper.ts';
import type { At, Shape } from './shapes.ts';

// ISO 965-1, M16 x 2 6g: Td2 0.160. ASME B1.5, 3/4-10 Acme 2G: 0.0147 in
const m16: Chart = {
  form: formAt('iso60', 2),
  make: 'external',
  pitchMm: 2,
  minMm: 14.503,
  aimMm: 14.583,
  maxMm: 14.663,
};
const acme: Chart = {
  form: formAt('acme29', 2.54),
  make: 'external',
  pitchMm: 2.54,
  minMm: 17,
  aimMm: 17 + inches(0.0147) / 2,
  maxMm: 17 + inches(0.0147),
};
const PLAIN = { scale: 20, turn: 'upright', along100Mm: 100, down100Mm: 100 } as const;
const WORDS = { foot: [], read: [] };
const shapesOf = (...q: Parameters<typeof chartBodies>): Shape[] => chartBodies(...q).flat();
const heavy = (shapes: readonly Shape[]): (readonly At[])[] =>
  shapes.flatMap((s) => (s.kind === 'line' && s.heavy ? [s.points] : []));
/** Distance between two straight flanks, read where the first crosses a height. */
const apart = (a: readonly At[], b: readonly At[], y: number): number => {
  const cross = (line: readonly At[]): { x: number; slope: number } => {
    for (let i = 1; i < line.length; i += 1) {
      const [p, q] = [line[i - 1], line[i]];
      if (!p || !q || p.y === q.y || p.y < y === q.y < y) continue;
      return { x: p.x + ((y - p.y) / (q.y - p.y)) * (q.x - p.x), slope: (q.x - p.x) / (q.y - p.y) };
    }
    throw new Error('no crossing');
  };
  const [m, n] = [cross(a), cross(b)];
  return Math.abs(m.x - n.x) * Math.cos(Math.atan(m.slope));
};

describe('the comparator chart', () => {
  test('the band square to the flank, and from where on it can be seen', () => {
    expect(bandMm(m16)).toBeCloseTo(0.04, 6);
    expect(bandMm(acme)).toBeCloseTo(0.047, 3);
    expect(leastScale(m16)).toBeCloseTo(12.5, 6);
    expect(leastScale({ ...m16, minMm: 14, aimMm: 14, maxMm: 14 })).toBeNull();
  });
  test('on the sheet the flanks stand the band times the magnification apart, upright and mirrored', () => {
    for (const turn of ['upright', 'turned', 'mirror'] as const) {
      const [out, inner] = heavy(shapesOf(m16, { ...PLAIN, turn }, WORDS));
      expect(apart(out ?? [], inner ?? [], 104)).toBeCloseTo(0.04 * 20, 6);
    }
  });
  test('a groove lies in the middle, of a screw and of a nut; what is left of it is as asked', () => {
    for (const make of ['external', 'internal'] as const) {
      const { aim } = chartLines({ ...m16, make }, 3);
      const middle = aim.filter((p) => Math.abs(p.x) < 0.2).map((p) => p.y);
      const ys = aim.map((p) => p.y);
      // a screw's groove is deepest inwards, a nut's outwards
      expect(middle.length).toBeGreaterThan(0);
      for (const y of make === 'external' ? [Math.min(...middle)] : [Math.max(...middle)])
        expect(y).toBeCloseTo(make === 'external' ? Math.min(...ys) : Math.max(...ys), 1);
      expect(Math.min(...aim.map((p) => p.x))).toBeCloseTo(-1.5, 9);
      expect(Math.max(...aim.map((p) => p.x))).toBeCloseTo(1.5, 9);
    }
  });
  test('a printer that draws 99 for 100 along is made up for, along only', () => {
    const [straight] = heavy(shapesOf(m16, PLAIN, WORDS));
    const [drawn] = heavy(shapesOf(m16, { ...PLAIN, along100Mm: 99 }, WORDS));
    const wide = (l: readonly At[] = []): number => Math.max(...l.map((p) => p.x)) - Math.min(...l.map((p) => p.x));
    const tall = (l: readonly At[] = []): number => Math.max(...l.map((p) => p.y)) - Math.min(...l.map((p) => p.y));
    expect((wide(drawn) * 99) / 100).toBeCloseTo(wide(straight), 6);
    expect(tall(drawn)).toBeCloseTo(tall(straight), 9);
  });
  test('at the largest magnification one groove still has room', () => {
    const most = mostScale(m16);
    expect(most * m16.pitchMm).toBeLessThanOrEqual(162);
    expect(most).toBeGreaterThanOrEqual(50);
    for (const shape of shapesOf(m16, { ...PLAIN, scale: most }, WORDS))
      for (const p of shape.kind === 'line' ? shape.points : []) {
        expect(p.x).toBeGreaterThanOrEqual(0);
        expect(p.x).toBeLessThanOrEqual(BOX.w);
      }
  });
});
