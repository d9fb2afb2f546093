import { describe, expect, test } from '@jest/globals';
import { outline } from '../form/outline.ts';
import { formAt } from '../form/shape.ts';
import { toolSheet, type ToolAsked } from './toolSheet.ts';

const ACME: ToolAsked = {
  leadingDeg: 14.5,
  trailingDeg: 14.5,
  leadMm: 10.16,
  starts: 2,
  member: 'external',
  majorMm: 25.4,
  pitchDiameterMm: 22.86,
  minorMm: 19.812,
  clearanceDeg: 5,
};
const sheet = (q: Partial<ToolAsked> = {}) => {
  const made = toolSheet({ ...ACME, ...q });
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
};

describe('a tool for 1-5 Acme of two starts', () => {
  test('the reliefs leave the clearance at every diameter that is cut', () => {
    const s = sheet();
    // tan(lead angle) = L / (pi d), by hand
    const at = (d: number): number => (Math.atan(10.16 / (Math.PI * d)) * 180) / Math.PI;
    expect(s.leadingReliefDeg).toBeCloseTo(5 + at(19.812), 9);
    expect(s.trailingReliefDeg).toBeCloseTo(5 - at(25.4), 9);
    for (const d of [19.812, 21, 22.86, 25.4]) {
      expect(s.leadingReliefDeg - at(d)).toBeGreaterThanOrEqual(5 - 1e-9);
      expect(s.trailingReliefDeg + at(d)).toBeGreaterThanOrEqual(5 - 1e-9);
    }
    expect(sheet({ clearanceDeg: 12 }).trailingReliefDeg).toBeGreaterThan(0);
  });
  test('the tip is the handbook\u2019s: 0.3707 P less the share of the clearance (ASME B1.5: F = 0.3707 P - 0.259 x 0.020 in)', () => {
    // minor 0.780 in: basic 0.800 less 0.020 in of clearance for pitches coarser than 10 an inch
    expect(sheet().tipFlatMm / 25.4).toBeCloseTo(0.3707 * 0.2 - 0.259 * 0.02, 4);
  });
  test('widths rise from the tip by the flanks, half a pitch at the pitch line', () => {
    const { widthAtDepth, tipFlatMm } = sheet();
    expect(widthAtDepth[0]).toEqual({ depthMm: 0, widthMm: tipFlatMm });
    const line = widthAtDepth.find((w) => Math.abs(w.widthMm - 2.54) < 1e-9);
    expect(line?.depthMm).toBeCloseTo((22.86 - 19.812) / 2, 9);
    expect(widthAtDepth.at(-1)?.depthMm).toBeCloseTo((25.4 - 19.812) / 2, 9);
    widthAtDepth.slice(1).forEach((w, i) => expect(w.depthMm).toBeGreaterThan(widthAtDepth[i]?.depthMm ?? 0));
  });
});

test('the widths are those of the groove that the form draws: 30/3 saw-tooth, 6 mm', () => {
  const [p, d] = [6, 40];
  const form = formAt('sawtooth30-3', p);
  const s = sheet({
    leadingDeg: 30,
    trailingDeg: 3,
    leadMm: p,
    starts: 1,
    majorMm: d,
    pitchDiameterMm: d - 0.75 * p,
    // above the arc of the root, where the flanks are straight
    minorMm: d - 1.4 * p,
  });
  const line = outline(form, 'external', p, d - 0.75 * p, 3);
  const widthAt = (r: number): number => {
    const xs = line.slice(1).flatMap((b, i) => {
      const a = line[i];
      return a && (a.y - r) * (b.y - r) < 0 ? [a.x + ((b.x - a.x) * (r - a.y)) / (b.y - a.y)] : [];
    });
    // a groove lies between a fall and the rise after it
    const falls = xs.findIndex((x) => x > p);
    return (xs[falls + 1] ?? NaN) - (xs[falls] ?? NaN);
  };
  for (const { depthMm, widthMm } of s.widthAtDepth.slice(1, -1)) {
    const w = widthAt((d - 1.4 * p) / 2 + depthMm);
    expect(Math.min(Math.abs(w - widthMm), Math.abs(p - w - widthMm))).toBeLessThan(1e-6);
  }
});

test('blocks for a sine bar are the sines: 30 degrees on 100 mm is 50, on 5 in 63.5', () => {
  const { leading } = sheet({ leadingDeg: 30, trailingDeg: 0, minorMm: 21 }).sineBarMm;
  expect(leading.bar100).toBeCloseTo(50, 9);
  expect(leading.bar127).toBeCloseTo(63.5, 9);
});

test('a nut\u2019s tip lies at its major diameter; flanks that meet before it are refused', () => {
  const nut = sheet({ member: 'internal', majorMm: 25.908, minorMm: 20.32 });
  expect(nut.tipFlatMm).toBeCloseTo(2.54 - 2 * Math.tan((14.5 * Math.PI) / 180) * ((25.908 - 22.86) / 2), 9);
  expect(toolSheet({ ...ACME, leadingDeg: 45, trailingDeg: 45 })).toMatchObject({
    ok: false,
    problem: { field: 'minorMm', code: 'flanks-meet-before-tip' },
  });
  expect(toolSheet({ ...ACME, pitchDiameterMm: 26 })).toMatchObject({
    ok: false,
    problem: { field: 'pitchDiameterMm' },
  });
});
