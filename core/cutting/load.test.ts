import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { depthsLeft, leftByPass, repeatsUntil, type RadialForce } from './closing.ts';
import { stepDepths } from './depths.ts';
import { gripOf } from './grip.ts';
import { barComplianceMmPerN, complianceMmPerN, steadyPlaceMm, thickestNeckMm, type Held } from './holding.ts';
import { passLoad, powerKW, speedMMin } from './load.ts';
import { MATERIAL_DATA, materialOf } from './materials.ts';
import { sectionMm2, type ToolOutline } from './tip.ts';

const V60: ToolOutline = { leadingDeg: 30, trailingDeg: 30, tip: { flatMm: 0.25 } };
const ACME10: ToolOutline = { leadingDeg: 14.5, trailingDeg: 14.5, tip: { flatMm: 0.0319 * 25.4 } };
const forceOf = (name: string) => {
  const force = materialOf(name)?.force;
  if (!force) throw new Error(name);
  return force;
};
const load = (tool: ToolOutline, fromMm: number, toMm: number, name = 'mild steel', feedDeg = 0, leadAngleDeg = 0) =>
  passLoad({ tool, fromMm, toMm, way: { feedDeg }, force: forceOf(name), leadAngleDeg });

describe('force of a pass, edge by edge', () => {
  test('a plunge near full depth by hand: tip and two flanks, F = kc h^(1-m) l', () => {
    const at = load(V60, 1.1, 1.2);
    const flank = (1.15 / Math.cos(Math.PI / 6)) * 0.05 ** 0.83 * 1780 * 1.25;
    const tip = 0.25 * 0.1 ** 0.83 * 1780;
    expect(at.mainN).toBeCloseTo(tip + 2 * flank, 6);
    expect(at.radialN).toBeCloseTo(0.5 * (tip + 2 * flank * 0.5), 6);
    expect(at.axialN).toBeCloseTo(0, 9);
    expect(at.chipMm).toEqual({ leading: expect.closeTo(0.05, 9), trailing: expect.closeTo(0.05, 9) });
  });
  // common practice, no source: what hands call "heavy near depth"
  test('a steady 0.1 a pass grows from about 100 N to nearly six times as much, 45 to 165 N of it square to the axis', () => {
    const [first, middle, last] = [load(V60, 0, 0.1), load(V60, 0.5, 0.6), load(V60, 1.1, 1.2)];
    expect(Math.abs(first.mainN / 101 - 1)).toBeLessThan(0.15);
    expect(Math.abs(middle.mainN / 318 - 1)).toBeLessThan(0.1);
    expect(Math.abs(last.mainN / 579 - 1)).toBeLessThan(0.1);
    expect(Math.abs(last.radialN / 165 - 1)).toBeLessThan(0.1);
  });
  test('equal areas: twice the passes of a 3/4-10 Acme leave 0.60 of the force, and the chip thins while the force rises', () => {
    const passes = (n: number): number => {
      const depths = stepDepths({
        fromMm: 0,
        toMm: 1.52,
        rule: 'constant-area',
        passes: n,
        capMm: null,
        floorMm: null,
        stepMm: null,
        tool: ACME10,
        feedDeg: 0,
      });
      return load(ACME10, depths.at(-2) ?? 0, depths.at(-1) ?? 0, 'tough steel').mainN;
    };
    expect(passes(20) / passes(10)).toBeCloseTo(0.6, 2);
    // common practice, no source: about 1 kN sharp and uncrowded; good to a quarter
    expect(Math.abs(passes(10) / (970 * 1.25) - 1)).toBeLessThan(0.25);
  });
  test('on the flank the same area asks for less and pushes along the axis; square to it there is hardly a difference', () => {
    const plunge = load(V60, 1.1, 1.2);
    const flank = load(V60, 1.1, 1.2, 'mild steel', 29.5);
    expect(plunge.mainN / flank.mainN).toBeGreaterThan(2 ** 0.17);
    expect(Math.abs(plunge.radialN / flank.radialN - 1)).toBeLessThan(0.35);
    expect(flank.axialN).toBeGreaterThan(100);
    expect(flank.chipMm.leading).toBeCloseTo(
      (0.1 * Math.sin((59.5 * Math.PI) / 180)) / Math.cos((29.5 * Math.PI) / 180),
      9,
    );
  });
  test.each([
    // share of the infeed that each flank's chip has: common practice, no source; by geometry
    [60, 0, 0.5, 0.5],
    [60, 30, 1, 0],
    [60, 29.5, 0.99, 0.01],
    [60, 27, 0.94, 0.06],
    [55, 0, 0.46, 0.46],
    [55, 27.5, 0.92, 0],
    [29, 14.5, 0.5, 0],
    [29, 14, 0.49, 0.009],
    [55, 22.5, 0.83, 0.094],
  ])('%s degrees with the slide at %s: %s and %s of the infeed', (included, feedDeg, leading, trailing) => {
    const half = included / 2;
    const { chipMm } = load({ leadingDeg: half, trailingDeg: half, tip: { flatMm: 0.1 } }, 0.9, 1, 'brass', feedDeg);
    expect(chipMm.leading / 0.1).toBeCloseTo(leading, 2);
    expect(chipMm.trailing / 0.1).toBeCloseTo(trailing, 2);
  });
  test('flanks in turn: one takes 2 ap sin a, the other nothing', () => {
    const { chipMm } = passLoad({
      tool: V60,
      fromMm: 0.9,
      toMm: 1,
      way: { only: 'trailing' },
      force: forceOf('bronze'),
      leadAngleDeg: 0,
    });
    expect(chipMm.trailing).toBeCloseTo(2 * 0.1 * 0.5, 9);
    expect(chipMm.leading).toBeCloseTo(0, 9);
  });
  test('whatever tool and depth: what is cut is edge times chip, up to the roundness of the nose', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 35, noNaN: true }),
        fc.double({ min: 10, max: 45, noNaN: true }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        fc.double({ min: 0.01, max: 0.1, noNaN: true }),
        (leadingDeg, trailingDeg, flatMm, depth, ap) => {
          const tool: ToolOutline = { leadingDeg, trailingDeg, tip: { flatMm } };
          // with an exponent of 0 the law is the area itself, and at an angle nothing crowds
          const { mainN } = passLoad({
            tool,
            fromMm: depth - ap,
            toMm: depth,
            way: { feedDeg: 0.5 },
            force: { perMm2: 1, exponent: 0 },
            leadAngleDeg: 0,
          });
          expect(mainN).toBeCloseTo(sectionMm2(tool, depth) - sectionMm2(tool, depth - ap), 9);
        },
      ),
    );
  });
  test('power and speed: 600 N at 20 m/min is 0.2 kW; 19 mm at 340 rev/min runs 20.3 m/min', () => {
    expect(powerKW(600, 20)).toBeCloseTo(0.2, 9);
    expect(speedMMin(19.05, 340)).toBeCloseTo(20.3, 1);
  });
  test('only what is known has a force', () => {
    expect(materialOf('unobtainium')).toBeNull();
    expect(MATERIAL_DATA['magnesium']?.force).toBeNull();
  });
});

/** 3/4 in, 12 in between chuck and centre. */
const SLENDER: Held = {
  by: 'chuck-centre',
  freeMm: 304.8,
  diameterMm: 19.05,
  boreMm: 0,
  youngGPa: 207,
  rest: 'none',
  steadyAtMm: null,
};
const radial =
  (tool: ToolOutline, name: string): RadialForce =>
  (from, to) =>
    to > from ? load(tool, from, to, name).radialN : 0;

describe('how far work gives way', () => {
  // common practice, no source; the beam by the handbooks' formulas, tested in bend.test.ts
  test('3/4 x 12 in between chuck and centre: 5.2 N/um in the middle, besides what the supports give', () => {
    const middle = complianceMmPerN(SLENDER, 152.4);
    expect(1 / (middle - 0.5 / 20_000) / 1000).toBeCloseTo(5.2, 1);
    expect(complianceMmPerN({ ...SLENDER, rest: 'follow' }, 152.4)).toBeLessThan(middle / 3);
  });
  test('a steady a little past half way leaves under a fifth of the worst', () => {
    const worst = (h: Held): number =>
      Math.max(...Array.from({ length: 99 }, (_, i) => complianceMmPerN(h, (h.freeMm * (i + 1)) / 100) - 1 / 40_000));
    const held: Held = { ...SLENDER, rest: 'steady', steadyAtMm: steadyPlaceMm(SLENDER.freeMm) };
    expect(worst(held) / worst(SLENDER)).toBeLessThan(0.3);
  });
  test('it closes on the dial: 14 passes leave the middle about 0.04 big, three springs under 0.01', () => {
    const force = radial(V60, 'mild steel');
    const at = complianceMmPerN(SLENDER, 152.4);
    const set = stepDepths({
      fromMm: 0,
      toMm: 1.2269,
      rule: 'constant-area',
      passes: 14,
      capMm: null,
      floorMm: null,
      stepMm: null,
      tool: V60,
      feedDeg: 0,
    });
    const big = (springs: number): number => {
      const left = depthsLeft([...set, ...Array.from({ length: springs }, () => 1.2269)], at, force);
      return 2 * (1.2269 - (left.at(-1) ?? 0));
    };
    // common practice, no source; good to a quarter, as the force is
    for (const [springs, mm] of [
      [0, 0.043],
      [1, 0.017],
    ] as const)
      expect(Math.abs(big(springs) / mm - 1)).toBeLessThan(0.35);
    expect(big(3)).toBeLessThan(0.01);
    expect(big(3)).toBeGreaterThan(0);
  });
  test('rigid is exact, and softer is never deeper', () => {
    const force = radial(V60, 'bronze');
    expect(leftByPass(0.4, 0.5, 0, force)).toBe(0.5);
    fc.assert(
      fc.property(
        fc.double({ min: 1e-6, max: 1e-3, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (soft, times) => {
          const a = leftByPass(0.4, 0.5, soft, force);
          const b = leftByPass(0.4, 0.5, soft * times, force);
          expect(b).toBeLessThanOrEqual(a + 2e-6);
          expect(b).toBeGreaterThan(0.4);
        },
      ),
    );
  });
  // common practice, no source: 0.3 in bar in an Acme nut, from 0.05 left to under 0.005
  test.each([
    [35, 'bronze', 2],
    [35, 'cast iron', 3],
    [35, 'tough steel', 5],
    [50, 'bronze', 5],
    [50, 'cast iron', 9],
  ])('a bar of 7.62 out by %s in %s: about %s passes a setting', (overhangMm, name, passes) => {
    // those figures leave the holder out, which gives way too
    const at = 0.6 * barComplianceMmPerN({ neckMm: 7.62, overhangMm, of: 'steel' });
    const n = repeatsUntil(1.47, 1.52, 0.005, at, radial(ACME10, name));
    expect(n).not.toBeNull();
    expect(Math.abs((n ?? 99) - passes)).toBeLessThanOrEqual(2);
  });
  test('the same bar out by 50 in steel: more than anybody repeats', () => {
    const at = barComplianceMmPerN({ neckMm: 7.62, overhangMm: 50, of: 'steel' });
    expect(repeatsUntil(1.47, 1.52, 0.005, at, radial(ACME10, 'tough steel'))).toBeNull();
  });
  // common practice, no source
  test('a bore of 8.57 with a groove 1.52 deep takes a neck of 6.4, not the round shank of 7.62', () => {
    expect(thickestNeckMm(8.57, 1.52)).toBeCloseTo(6.45, 2);
  });
});

describe('does the chuck hold it', () => {
  test('round and along at once, twice over', () => {
    const g = gripOf('firm', 300, 400, 20, 20);
    expect(g.needsN).toBeCloseTo(1000, 9);
    expect(g.holds).toBe('holds');
    expect(gripOf('firm', 300, 400, 20, 10).needsN).toBeCloseTo(2 * Math.hypot(600, 400), 9);
  });
  // common practice, no source: 10 passes of a 3/4-10 Acme slipped, 20 held, in a light grip
  test('a light grip lets go where a firm one holds', () => {
    expect(gripOf('light', 970, 0, 19, 19).holds).toBe('slips');
    expect(gripOf('firm', 970, 0, 19, 19).holds).toBe('holds');
    expect(gripOf('light', 583, 0, 19, 19).holds).toBe('may-slip');
  });
});
