import { leadAngleDeg } from './helix.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { tanDeg } from '../quantity/units.ts';
import { outline } from './outline.ts';
import { acmeClearanceMm, FORM_IDS, formAt, specialForm, trapezoidalClearanceMm } from './shape.ts';
import { basicSizes, depthWithTip, externalDepthMm, nutRootFlatMm, rootFlatMm } from './sizes.ts';

const IN = 25.4;

interface At {
  readonly x: number;
  readonly y: number;
}
/** Radius of the circle through three points. */
function circumradius(a: At, b: At, c: At): number {
  const side = (p: At, q: At): number => Math.hypot(p.x - q.x, p.y - q.y);
  const area = Math.abs((b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y)) / 2;
  return (side(a, b) * side(b, c) * side(c, a)) / (4 * area);
}

describe('basic sizes against printed tables', () => {
  // ISO 724: pitch and minor diameters as printed. Half the last printed digit.
  test.each([
    [6, 1, 5.35, 4.917],
    [8, 1.25, 7.188, 6.647],
    [10, 1.5, 9.026, 8.376],
    [12, 1.75, 10.863, 10.106],
    [16, 2, 14.701, 13.835],
    [20, 2.5, 18.376, 17.294],
    [24, 3, 22.051, 20.752],
    [30, 3.5, 27.727, 26.211],
  ])('ISO 724, M%dx%d', (d, p, d2, d1) => {
    const s = basicSizes(formAt('iso60', p), d);
    expect(Math.abs(s.pitchDiameterMm - d2)).toBeLessThanOrEqual(0.0005001);
    expect(Math.abs(s.minorInternalMm - d1)).toBeLessThanOrEqual(0.0005001);
  });

  // BS 84: effective and minor diameters, inches, as printed.
  test.each([
    ['1/4', 0.25, 20, 0.218, 0.186],
    ['3/8', 0.375, 16, 0.335, 0.295],
    ['1/2', 0.5, 12, 0.4466, 0.3932],
    ['3/4', 0.75, 10, 0.686, 0.622],
    ['1', 1, 8, 0.92, 0.84],
    ['1 1/4', 1.25, 7, 1.1585, 1.067],
    ['2', 2, 4.5, 1.8577, 1.7154],
  ])('BS 84, %s BSW', (_, d, tpi, d2, minor) => {
    const s = basicSizes(formAt('whitworth55', IN / tpi), d * IN);
    expect(s.pitchDiameterMm / IN).toBeCloseTo(d2, 4);
    expect(s.minorExternalMm / IN).toBeCloseTo(minor, 4);
  });

  // ISO 228-1: d2 and d1, mm, as printed (depth rounded to 0.001 first).
  test.each([
    ['G 1/8', 9.728, 28, 9.147, 8.566],
    ['G 1/4', 13.157, 19, 12.301, 11.445],
    ['G 1/2', 20.955, 14, 19.793, 18.631],
    ['G 1', 33.249, 11, 31.77, 30.291],
    ['G 2', 59.614, 11, 58.135, 56.656],
  ])('ISO 228-1, %s', (_, d, tpi, d2, d1) => {
    const s = basicSizes(formAt('pipe55', IN / tpi), d);
    expect(s.pitchDiameterMm).toBeCloseTo(d2, 6);
    expect(s.minorExternalMm).toBeCloseTo(d1, 6);
  });

  // BS 93: effective and minor diameters, mm.
  test.each([
    ['0 BA', 6, 1, 5.4, 4.8],
    ['2 BA', 4.7, 0.81, 4.215, 3.73],
    ['4 BA', 3.6, 0.66, 3.205, 2.81],
    ['6 BA', 2.8, 0.53, 2.48, 2.16],
  ])('BS 93, %s', (_, d, p, d2, minor) => {
    const s = basicSizes(formAt('ba47', p), d);
    expect(s.pitchDiameterMm).toBeCloseTo(d2, 6);
    expect(s.minorExternalMm).toBeCloseTo(minor, 6);
  });

  // ISO 2904: d2, D4, d3, D1 as printed.
  test.each([
    [8, 1.5, 7.25, 8.3, 6.2, 6.5],
    [20, 4, 18, 20.5, 15.5, 16],
    [40, 7, 36.5, 41, 32, 33],
    [100, 20, 90, 102, 78, 80],
  ])('ISO 2904, Tr %dx%d', (d, p, d2, d4, d3, d1) => {
    const s = basicSizes(formAt('trapezoidal30', p), d);
    expect([s.pitchDiameterMm, s.majorInternalMm, s.minorExternalMm, s.minorInternalMm]).toEqual(
      [d2, d4, d3, d1].map((x) => expect.closeTo(x, 6)),
    );
  });

  test('ASME B1.5 and B1.8: check values of the trade, inches', () => {
    const acme4 = formAt('acme29', IN / 4);
    expect(externalDepthMm(acme4) / IN).toBeCloseTo(0.135, 6); // 4 TPI height with clearance
    expect(externalDepthMm(formAt('stubAcme29', IN / 4)) / IN).toBeCloseTo(0.085, 6);
    expect(basicSizes(formAt('acme29', IN / 10), 0.75 * IN).minorExternalMm / IN).toBeCloseTo(0.63, 6); // 3/4-10 root
    expect(basicSizes(acme4, IN).minorInternalMm / IN).toBeCloseTo(0.75, 6); // 1 x 4 TPI basic root
    // crest flat 0.3707 P, 0.093 in at 4 TPI; groove at the clear root 0.3707 P - 0.2586 x 0.020
    expect(0.25 * 0.3707).toBeCloseTo(0.0927, 4);
    expect(rootFlatMm(acme4, IN / 4) / IN).toBeCloseTo(0.3707 * 0.25 - 0.2586 * 0.02, 4);
    expect(acmeClearanceMm(IN / 12) / IN).toBeCloseTo(0.005, 9);
    expect(trapezoidalClearanceMm(14)).toBe(1);
  });

  test('depth of a 2 mm metric screw is 1.227 mm (common practice, no source)', () => {
    expect(externalDepthMm(formAt('iso60', 2))).toBeCloseTo(1.227, 3);
  });

  test('DIN 513: S 40x7 has d2 34.75, d3 27.852', () => {
    const s = basicSizes(formAt('sawtooth30-3', 7), 40);
    expect(s.pitchDiameterMm).toBeCloseTo(34.75, 6);
    expect(s.minorExternalMm).toBeCloseTo(27.852, 2);
    expect(s.minorInternalMm).toBeCloseTo(29.5, 6);
  });
});

describe('tool tips', () => {
  const p = 2;
  const iso = formAt('iso60', p);

  test('a sharp tool must go deeper than the form; the flat of the root itself goes exactly to the root', () => {
    expect(depthWithTip(iso, p, { flatMm: 0 }).depthMm).toBeGreaterThan(externalDepthMm(iso));
    const american = formAt('american60', p);
    const own = depthWithTip(american, p, { flatMm: p / 8 });
    expect(own.depthMm).toBeCloseTo(0.649519 * p, 5);
    expect(own.clearsRoot).toBe(true);
  });

  test('a tip wider than the root flat can never finish', () => {
    const american = formAt('american60', p);
    expect(depthWithTip(american, p, { flatMm: p / 4 }).clearsRoot).toBe(false);
  });

  test('a round nose of H/6 reaches the rounded root of ISO 68-1', () => {
    const t = depthWithTip(iso, p, { flatMm: 0, radiusMm: 0.1443376 * p });
    expect(t.depthMm).toBeCloseTo(externalDepthMm(iso), 5);
  });

  test('whatever the tip, the groove is P/2 wide at the pitch line when the depth is reached', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FORM_IDS.filter((f) => f !== 'square')),
        fc.double({ min: 0.2, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        (id, pitch, share) => {
          const form = formAt(id, pitch);
          const flat = share * pitch;
          const { depthMm } = depthWithTip(form, pitch, { flatMm: flat });
          const below = depthMm - form.external.outerMm;
          const width = flat + below * (tanDeg(form.leadingDeg) + tanDeg(form.trailingDeg));
          expect(width).toBeCloseTo(pitch / 2, 9);
        },
      ),
    );
  });
});

describe('outlines', () => {
  test.each([...FORM_IDS])('%s: crest, root and flanks lie where the form says', (id) => {
    const p = 4;
    const form = formAt(id, p);
    for (const side of ['external', 'internal'] as const) {
      const pts = outline({ ...form, taper: 0 }, side, p, 100, 3);
      const ys = pts.map((q) => q.y);
      expect(Math.max(...ys)).toBeCloseTo(50 + form[side].outerMm, 2);
      expect(Math.min(...ys)).toBeCloseTo(50 - form[side].innerMm, 2);
      expect(pts[0]?.x).toBeCloseTo(0, 9);
      expect(pts.at(-1)?.x).toBeCloseTo(3 * p, 9);
      for (let i = 1; i < pts.length; i += 1)
        expect((pts[i]?.x ?? 0) - (pts[i - 1]?.x ?? 0)).toBeGreaterThanOrEqual(-1e-9);
      // ridge and groove are equally wide on the pitch line
      const crossings = pts.flatMap((q, i) => {
        const prev = pts[i - 1];
        return prev && (prev.y - 50) * (q.y - 50) < 0
          ? [prev.x + ((q.x - prev.x) * (50 - prev.y)) / (q.y - prev.y)]
          : [];
      });
      if (id !== 'square') {
        expect(crossings).toHaveLength(6);
        for (let i = 1; i < 6; i += 1) expect((crossings[i] ?? 0) - (crossings[i - 1] ?? 0)).toBeCloseTo(p / 2, 6);
      }
    }
  });

  test('unlike flanks: the leading one faces the advance', () => {
    const form = formAt('buttress45-7', 4);
    const pts = outline(form, 'external', 4, 40, 1);
    const steepest = (rising: boolean): number =>
      Math.max(
        ...pts.flatMap((q, i) => {
          const prev = pts[i - 1];
          if (!prev || q.y > prev.y !== rising || Math.abs(q.y - prev.y) < 0.5) return [];
          return [(Math.atan2(Math.abs(q.x - prev.x), Math.abs(q.y - prev.y)) * 180) / Math.PI];
        }),
      );
    expect(steepest(true)).toBeCloseTo(7, 6);
    expect(steepest(false)).toBeCloseTo(45, 6);
  });

  test.each([
    ['npt60', 30, 1.814], // ASME B1.20.1: the flanks at 30 degrees to the square to the axis
    ['pipeTaper55', 27.5, 1.814], // ISO 7-1: 27 1/2 degrees likewise
  ] as const)('flanks of a taper lean from the square to the axis, not to the cone: %s', (id, halfDeg, p) => {
    const form = formAt(id, p);
    expect(form.taper).toBe(1 / 16);
    for (const side of ['external', 'internal'] as const) {
      const line = outline(form, side, p, 20, 4);
      const leans = line.slice(1).flatMap((b, i) => {
        const a = line[i];
        // the straight stretches of the flanks are the longest pieces that are steeper than the crests
        return a && Math.abs(b.y - a.y) > 0.3 * p ? [(Math.atan2(b.x - a.x, b.y - a.y) * 180) / Math.PI] : [];
      });
      expect(leans.length).toBeGreaterThanOrEqual(6);
      for (const lean of leans) expect(Math.min(Math.abs(lean), 180 - Math.abs(lean))).toBeCloseTo(halfDeg, 6);
    }
  });
  test('DIN 513: the root is one arc of 0.12427 P, tangent to both flanks', () => {
    const p = 6;
    const form = formAt('sawtooth30-3', p);
    const line = outline(form, 'external', p, 30, 3);
    const lowest = Math.min(...line.map((q) => q.y));
    // h3 = 0.86777 P below the crest (DIN 513-1), of which 0.375 P lies above the pitch line
    expect(15 - lowest).toBeCloseTo((0.86777 - 0.375) * p, 3);
    const arc = line.filter((q) => q.x > p * 0.4 && q.x < p * 1.6 && q.y < lowest + 0.04 * p);
    const [a, b, c] = [arc[0], arc[Math.floor(arc.length / 2)], arc.at(-1)];
    if (!a || !b || !c) throw new Error('no arc');
    expect(circumradius(a, b, c)).toBeCloseTo(0.124271 * p, 3);
  });
  test('a taper rises 1 in 32 on the radius', () => {
    const pts = outline(formAt('npt60', 2), 'external', 2, 20, 4);
    expect((pts.at(-1)?.y ?? 0) - (pts[0]?.y ?? 0)).toBeCloseTo(8 / 32, 9);
  });
});

test('special forms: given depth and flats are kept, missing ones filled', () => {
  const given = specialForm(6, { leadingDeg: 45, trailingDeg: 5, depthMm: 4 });
  expect(externalDepthMm(given)).toBeCloseTo(4, 9);
  const flat = specialForm(6, { leadingDeg: 15, trailingDeg: 15, crestFlatMm: 2.2 });
  expect(3 - flat.external.outerMm * 2 * tanDeg(15)).toBeCloseTo(2.2, 9);
  expect(() => specialForm(6, { leadingDeg: -1, trailingDeg: 5 })).toThrow(RangeError);
  expect(nutRootFlatMm(formAt('square', 6), 6)).toBe(3);
});

test('lead angle: M10 at the pitch diameter is 3.03 degrees', () => {
  expect(leadAngleDeg(1.5, 9.026)).toBeCloseTo(3.028, 3);
  expect(() => leadAngleDeg(1, 0)).toThrow(RangeError);
});
