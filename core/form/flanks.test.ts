import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { flatOverWiresMm } from './flatWires.ts';
import { centrePerRadius, equalFlanks, includedDeg, isSquare, mirrored, slopeOf, type Flanks } from './flanks.ts';

const rad = (deg: number): number => (deg * Math.PI) / 180;
const angle = fc.double({ min: 0.5, max: 75, noNaN: true });
const flanks: fc.Arbitrary<Flanks> = fc.record({ leadingDeg: angle, trailingDeg: angle });

describe('two flanks', () => {
  test('looked at from the other end they are the same thread', () => {
    fc.assert(
      fc.property(flanks, (f) => {
        expect(mirrored(mirrored(f))).toEqual(f);
        expect(slopeOf(mirrored(f))).toBeCloseTo(slopeOf(f), 12);
        expect(centrePerRadius(mirrored(f))).toBeCloseTo(centrePerRadius(f), 12);
        expect(includedDeg(mirrored(f))).toBeCloseTo(includedDeg(f), 12);
      }),
    );
  });
  test('a circle so far from the vertex touches both: its distance from each line is its radius', () => {
    fc.assert(
      fc.property(flanks, (f) => {
        const [a, b] = [rad(f.leadingDeg), rad(f.trailingDeg)];
        // the vertex at the origin, radially outwards up; the flanks leave it along (sin a, cos a) and (-sin b, cos b)
        const half = (a + b) / 2;
        // the centre lies on the bisector, which leans by half the difference
        const along = 1 / Math.sin(half);
        const lean = (a - b) / 2;
        const centre = [along * Math.sin(lean), along * Math.cos(lean)] as const;
        const off = (dir: readonly [number, number]): number => Math.abs(centre[0] * dir[1] - centre[1] * dir[0]);
        expect(off([Math.sin(a), Math.cos(a)])).toBeCloseTo(1, 9);
        expect(off([-Math.sin(b), Math.cos(b)])).toBeCloseTo(1, 9);
        // and as high above the vertex as the module says
        expect(centrePerRadius(f)).toBeCloseTo(centre[1], 9);
      }),
    );
  });
  test('square flanks have no vertex, and say so', () => {
    expect(isSquare(equalFlanks(0))).toBe(true);
    expect(isSquare(equalFlanks(0.01))).toBe(false);
    expect(() => centrePerRadius(equalFlanks(0))).toThrow(RangeError);
    expect(slopeOf(equalFlanks(0))).toBe(0);
  });
  test('over wires, equal flanks give the constants of NBS Handbook H28: 3 w - 0.86603 P for 60, 3.16568 w - 0.96049 P for 55', () => {
    for (const [includes, perWire, perPitch] of [
      [60, 3, 0.86603],
      [55, 3.16568, 0.96049],
      [29, 4.99393, 1.93336],
    ] as const) {
      expect(flatOverWiresMm(equalFlanks(includes), 0, 1)).toBeCloseTo(perWire, 5);
      expect(flatOverWiresMm(equalFlanks(includes), 1, 0)).toBeCloseTo(-perPitch, 5);
    }
  });
});
