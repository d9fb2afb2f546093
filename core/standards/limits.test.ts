import { known } from '../../app/testing/known.ts';
import { describe, expect, test } from '@jest/globals';
import { problemText } from '../../words/problems.ts';
import { parseDesignation } from './designation.ts';
import { CATALOGUE } from './catalogue.ts';
import { threadOfRow } from './thread.ts';
import { classesOf, limitsOf, type MemberLimits, type ThreadLimits } from './limits.ts';
import { engagementGroup, td1Grade6, td2Grade6, td6 } from './iso/limits.ts';
import { nptGauging } from './pipe/gauging.ts';
import { r40Step } from './iso/r40.ts';

const limits = (designation: string, cls: string, engagementMm: number | null = null): ThreadLimits => {
  const t = parseDesignation(designation);
  if (!t.ok) throw new Error(t.problem.code);
  const l = limitsOf(t.value.thread, cls, engagementMm);
  if (!l.ok) throw new Error(l.problem.code);
  return l.value;
};
const flat = (m: MemberLimits | undefined, unit = 1): (number | null)[] =>
  m === undefined
    ? []
    : [m.major, m.pitch, m.minor]
        .flatMap((x) => [x.max, x.min])
        .map((v) => (v === null ? null : Number((v / unit).toFixed(unit === 1 ? 3 : 4))));

/** A printed row of a screw: major max, min, pitch max, min. @param unit mm that the table counts in */
const screw =
  (unit = 1) =>
  (d: string, cls: string, ...printed: number[]): void =>
    expect(flat(limits(d, cls).external, unit).slice(0, 4)).toEqual(printed);
/** A printed row of a nut: pitch max, min, minor max, min. */
const nut =
  (unit = 1) =>
  (d: string, cls: string, ...printed: number[]): void =>
    expect(flat(limits(d, cls).internal, unit).slice(2)).toEqual(printed);

// Handbook tables of ISO 965-1 limits, mm: major max, min, pitch max, min.
test.each([
  ['M3', 2.98, 2.874, 2.655, 2.58],
  ['M4', 3.978, 3.838, 3.523, 3.433],
  ['M5', 4.976, 4.826, 4.456, 4.361],
  ['M6', 5.974, 5.794, 5.324, 5.212],
  ['M8', 7.972, 7.76, 7.16, 7.042],
  ['M10', 9.968, 9.732, 8.994, 8.862],
  ['M12', 11.966, 11.701, 10.829, 10.679],
  ['M16', 15.962, 15.682, 14.663, 14.503],
  ['M20', 19.958, 19.623, 18.334, 18.164],
  ['M24', 23.952, 23.577, 22.003, 21.803],
  ['M30', 29.947, 29.522, 27.674, 27.462],
  ['M14', 13.962, 13.682, 12.663, 12.503],
  ['M18', 17.958, 17.623, 16.334, 16.164],
  ['M22', 21.958, 21.623, 20.334, 20.164],
  ['M27', 26.952, 26.577, 25.003, 24.803],
  ['M33', 32.947, 32.522, 30.674, 30.462],
  ['M36', 35.94, 35.465, 33.342, 33.118],
  ['M39', 38.94, 38.465, 36.342, 36.118],
  ['M8x1', 7.974, 7.794, 7.324, 7.212],
  ['M10x1', 9.974, 9.794, 9.324, 9.212],
  ['M10x1.25', 9.972, 9.76, 9.16, 9.042],
  ['M12x1.25', 11.972, 11.76, 11.16, 11.028],
  ['M12x1.5', 11.968, 11.732, 10.994, 10.854],
  ['M16x1.5', 15.968, 15.732, 14.994, 14.854],
  ['M20x1.5', 19.968, 19.732, 18.994, 18.854],
  ['M20x2', 19.962, 19.682, 18.663, 18.503],
  ['M24x2', 23.962, 23.682, 22.663, 22.493],
  ['M30x2', 29.962, 29.682, 28.663, 28.493],
])('ISO 965-1, %s-6g', (d, ...printed) => screw()(d, '6g', ...printed));

// Same source: pitch max, min, minor max, min.
test.each([
  ['M3', 2.775, 2.675, 2.599, 2.459],
  ['M5', 4.605, 4.48, 4.334, 4.134],
  ['M6', 5.5, 5.35, 5.153, 4.917],
  ['M8', 7.348, 7.188, 6.912, 6.647],
  ['M10', 9.206, 9.026, 8.676, 8.376],
  ['M12', 11.063, 10.863, 10.441, 10.106],
  ['M16', 14.913, 14.701, 14.21, 13.835],
  ['M20', 18.6, 18.376, 17.744, 17.294],
  ['M24', 22.316, 22.051, 21.252, 20.752],
  ['M30', 28.007, 27.727, 26.771, 26.211],
  ['M4', 3.663, 3.545, 3.422, 3.242],
  ['M14', 12.913, 12.701, 12.21, 11.835],
  ['M18', 16.6, 16.376, 15.744, 15.294],
  ['M22', 20.6, 20.376, 19.744, 19.294],
  ['M27', 25.316, 25.051, 24.252, 23.752],
  ['M33', 31.007, 30.727, 29.771, 29.211],
  ['M36', 33.702, 33.402, 32.27, 31.67],
  ['M39', 36.702, 36.402, 35.27, 34.67],
])('ISO 965-1, %s-6H', (d, ...printed) => {
  nut()(d, '6H', ...printed);
  expect(limits(d, '6H').internal?.major.max).toBeNull();
});

// Same, other classes: major max, min, pitch max, min.
test.each([
  ['M6', '4h', 6, 5.888, 5.35, 5.279],
  ['M8', '4h', 8, 7.868, 7.188, 7.113],
  ['M10', '4h', 10, 9.85, 9.026, 8.941],
  ['M12', '4h', 12, 11.83, 10.863, 10.768],
  ['M16', '4h', 16, 15.82, 14.701, 14.601],
  ['M20', '4h', 20, 19.788, 18.376, 18.27],
  ['M24', '4h', 24, 23.764, 22.051, 21.926],
  ['M30', '4h', 30, 29.735, 27.727, 27.595],
  ['M36', '4h', 36, 35.7, 33.402, 33.262],
  ['M10', '6e', 9.933, 9.697, 8.959, 8.827],
  ['M10', '8g', 9.968, 9.593, 8.994, 8.782],
  ['M12', '8g', 11.966, 11.541, 10.829, 10.593],
  ['M20', '8g', 19.958, 19.428, 18.334, 18.069],
])('ISO 965-1, %s-%s', screw());
// Same: pitch max, min, minor max, min.
test.each([
  ['M6', '5H', 5.468, 5.35, 5.107, 4.917],
  ['M8', '5H', 7.313, 7.188, 6.859, 6.647],
  ['M10', '5H', 9.166, 9.026, 8.612, 8.376],
  ['M12', '5H', 11.023, 10.863, 10.371, 10.106],
  ['M16', '5H', 14.871, 14.701, 14.135, 13.835],
  ['M20', '5H', 18.556, 18.376, 17.649, 17.294],
  ['M24', '5H', 22.263, 22.051, 21.152, 20.752],
  ['M10', '6G', 9.238, 9.058, 8.708, 8.408],
  ['M10', '7H', 9.25, 9.026, 8.751, 8.376],
  ['M12', '7H', 11.113, 10.863, 10.531, 10.106],
  ['M16', '7H', 14.966, 14.701, 14.31, 13.835],
  ['M20', '7H', 18.656, 18.376, 17.854, 17.294],
])('ISO 965-1, %s-%s', nut());

describe('ISO 965-1, corners', () => {
  test('formulae reproduce the printed grade 6 where they should, and the known exceptions stand', () => {
    expect([td6(1.5), td6(4), td1Grade6(2.5), td1Grade6(1.5)]).toEqual([236, 475, 450, 300]);
    // Td2(6) as printed, by diameter step and pitch
    for (const [d, p, t] of [
      [1.2, 0.25, 53],
      [2, 0.4, 67],
      [4, 0.7, 90],
      [10, 1.5, 132],
      [10, 1, 112],
      [16, 2, 160],
      [20, 2.5, 170],
      [30, 3.5, 212],
      [64, 6, 280],
      [100, 6, 300],
      [200, 8, 355],
    ] as const)
      expect(td2Grade6(d, p)).toBe(t);
    // finest and coarsest grades of M10: Td2 3..9 and TD2 4..8
    expect([-12, -8, -4, 0, 4, 8, 12].map((s) => r40Step(132, s))).toEqual([67, 85, 106, 132, 170, 212, 265]);
    expect([-3, 1, 5, 9, 13].map((s) => r40Step(132, s))).toEqual([112, 140, 180, 224, 280]);
  });
  test('positions: 4h has no deviation, 6e the largest, G lifts the nut', () => {
    expect(flat(limits('M10', '4h').external).slice(0, 4)).toEqual([10, 9.85, 9.026, 8.941]);
    expect(limits('M10', '6e').external?.pitch.max).toBe(8.959);
    expect(limits('M10', '6G').internal?.pitch.min).toBe(9.058);
    expect(limits('M10', '5g6g').external?.pitch.min).toBe(8.888);
  });
  test('diameter steps include their upper end', () => {
    expect(td2Grade6(11.2, 1.5)).toBe(132);
    expect(td2Grade6(11.3, 1.5)).toBe(140);
    expect(td2Grade6(400, 6)).toBeNull();
  });
  test('engagement groups (M10: N from 5 to 15 mm as printed)', () => {
    expect([4.5, 10, 16].map((l) => engagementGroup(10, 1.5, l))).toEqual(['S', 'N', 'L']);
  });
});

// ASME B1.1 limits of size, inches: major max, min, pitch max, min.
test.each([
  ['#8-32 UNC', '2A', 0.1631, 0.1571, 0.1428, 0.1399],
  ['1/4-20 UNC', '2A', 0.2489, 0.2408, 0.2164, 0.2127],
  ['5/16-18 UNC', '2A', 0.3113, 0.3026, 0.2752, 0.2712],
  ['3/8-16 UNC', '2A', 0.3737, 0.3643, 0.3331, 0.3287],
  ['1/2-13 UNC', '2A', 0.4985, 0.4876, 0.4485, 0.4435],
  ['1/2-13 UNC', '3A', 0.5, 0.4891, 0.45, 0.4463],
  ['1/2-13 UNC', '1A', 0.4985, 0.4822, 0.4485, 0.4411],
  ['5/8-11 UNC', '2A', 0.6234, 0.6113, 0.5644, 0.5589],
  ['3/4-10 UNC', '2A', 0.7482, 0.7353, 0.6832, 0.6773],
  ['1-8 UNC', '2A', 0.998, 0.983, 0.9168, 0.91],
  ['1/2-20 UNF', '2A', 0.4987, 0.4906, 0.4662, 0.4619],
  ['#4-40 UNC', '2A', 0.1112, 0.1061, 0.095, 0.0925],
  ['#6-32 UNC', '2A', 0.1372, 0.1312, 0.1169, 0.1141],
  ['#10-32 UNF', '2A', 0.1891, 0.1831, 0.1688, 0.1658],
  ['7/16-14 UNC', '2A', 0.4361, 0.4258, 0.3897, 0.385],
  ['9/16-12 UNC', '2A', 0.5609, 0.5495, 0.5068, 0.5016],
  ['7/8-9 UNC', '2A', 0.8731, 0.8592, 0.8009, 0.7946],
  ['1 1/4-7 UNC', '2A', 1.2478, 1.2314, 1.155, 1.1476],
  ['1 1/2-6 UNC', '2A', 1.4976, 1.4794, 1.3893, 1.3812],
  ['2-4.5 UNC', '2A', 1.9971, 1.9751, 1.8528, 1.8433],
  ['1/4-28 UNF', '2A', 0.249, 0.2425, 0.2258, 0.2225],
  ['5/16-24 UNF', '2A', 0.3114, 0.3042, 0.2843, 0.2806],
  ['3/8-24 UNF', '2A', 0.3739, 0.3667, 0.3468, 0.343],
  ['7/16-20 UNF', '2A', 0.4362, 0.4281, 0.4037, 0.3995],
  ['9/16-18 UNF', '2A', 0.5611, 0.5524, 0.525, 0.5205],
  ['5/8-18 UNF', '2A', 0.6236, 0.6149, 0.5875, 0.5828],
  ['3/4-16 UNF', '2A', 0.7485, 0.7391, 0.7079, 0.7029],
  ['7/8-14 UNF', '2A', 0.8734, 0.8631, 0.827, 0.8216],
  ['1-12 UNF', '2A', 0.9982, 0.9868, 0.9441, 0.9382],
  ['1 1/8-7 UNC', '2A', 1.1228, 1.1064, 1.03, 1.0228],
  ['1 3/8-6 UNC', '2A', 1.3726, 1.3544, 1.2643, 1.2563],
  ['1 3/4-5 UNC', '2A', 1.7473, 1.7268, 1.6174, 1.6085],
])('ASME B1.1, %s-%s', screw(25.4));
// Same: pitch max, min, minor max, min.
test.each([
  ['#10-24 UNC', '2B', 0.1672, 0.1629, 0.156, 0.145],
  ['1/4-20 UNC', '2B', 0.2224, 0.2175, 0.207, 0.196],
  ['1/4-20 UNC', '3B', 0.2211, 0.2175, 0.2067, 0.196],
  ['3/8-16 UNC', '2B', 0.3401, 0.3344, 0.321, 0.307],
  ['1/2-13 UNC', '2B', 0.4565, 0.45, 0.434, 0.417],
  ['1/2-13 UNC', '3B', 0.4548, 0.45, 0.4284, 0.417],
  ['3/4-10 UNC', '2B', 0.6927, 0.685, 0.663, 0.642],
  ['3/4-10 UNC', '3B', 0.6907, 0.685, 0.6545, 0.642],
  ['1-8 UNC', '2B', 0.9276, 0.9188, 0.89, 0.865],
  ['1-8 UNC', '3B', 0.9254, 0.9188, 0.8797, 0.865],
  ['5/16-18 UNC', '2B', 0.2817, 0.2764, 0.265, 0.252],
  ['7/16-14 UNC', '2B', 0.3972, 0.3911, 0.376, 0.36],
  ['9/16-12 UNC', '2B', 0.5152, 0.5084, 0.49, 0.472],
  ['5/8-11 UNC', '2B', 0.5732, 0.566, 0.546, 0.527],
  ['7/8-9 UNC', '2B', 0.811, 0.8028, 0.778, 0.755],
  ['1 1/8-7 UNC', '2B', 1.0416, 1.0322, 0.998, 0.97],
  ['1 1/4-7 UNC', '2B', 1.1668, 1.1572, 1.123, 1.095],
  ['1 3/8-6 UNC', '2B', 1.2771, 1.2667, 1.225, 1.195],
  ['1 1/2-6 UNC', '2B', 1.4022, 1.3917, 1.35, 1.32],
  ['1 3/4-5 UNC', '2B', 1.6317, 1.6201, 1.568, 1.534],
  ['2-4.5 UNC', '2B', 1.8681, 1.8557, 1.795, 1.759],
  ['1/4-28 UNF', '2B', 0.2311, 0.2268, 0.22, 0.211],
  ['5/16-24 UNF', '2B', 0.2902, 0.2854, 0.277, 0.267],
  ['3/8-24 UNF', '2B', 0.3528, 0.3479, 0.34, 0.33],
  ['7/16-20 UNF', '2B', 0.4104, 0.405, 0.395, 0.383],
  ['1/2-20 UNF', '2B', 0.4731, 0.4675, 0.457, 0.446],
  ['9/16-18 UNF', '2B', 0.5323, 0.5264, 0.515, 0.502],
  ['5/8-18 UNF', '2B', 0.5949, 0.5889, 0.578, 0.565],
  ['3/4-16 UNF', '2B', 0.7159, 0.7094, 0.696, 0.682],
  ['7/8-14 UNF', '2B', 0.8356, 0.8286, 0.814, 0.798],
  ['1-12 UNF', '2B', 0.9535, 0.9459, 0.928, 0.91],
])('ASME B1.1, %s-%s', nut(25.4));
test('ASME B1.1: a longer engagement widens the pitch tolerance', () => {
  const [short, long] = [limits('1/2-13 UNC', '2A', 6), limits('1/2-13 UNC', '2A', 40)];
  expect(known(long.external?.pitch.min)).toBeLessThan(known(short.external?.pitch.min));
});

// ASME B1.5, 2G, inches: major max, min, pitch max, min, minor max, min.
test.each([
  ['1-5 Acme', '2G', 1, 0.99, 0.892, 0.8726, 0.78, 0.7509],
  ['1/2-10 Acme', '2G', 0.5, 0.495, 0.4443, 0.4306, 0.38, 0.3594],
  ['2-4 Acme', '2G', 2, 1.9875, 1.8637, 1.8402, 1.73, 1.6947],
])('ASME B1.5, %s-%s', (d, cls, ...expected) => {
  expect(flat(limits(d, cls).external, 25.4)).toEqual(expected);
});
test('ASME B1.5, 1-5 nut: pitch 0.9000-0.9194, minor 0.8000-0.8100, major from 1.0200', () => {
  expect(flat(limits('1-5 Acme', '2G').internal, 25.4)).toEqual([1.04, 1.02, 0.9194, 0.9, 0.81, 0.8]);
  expect(limits('1-5 Acme', '3G').external?.pitch.max).toBeCloseTo(25.4 * 0.894, 5);
});

test('ISO 2903, Tr 40x7: 7e 36.375-36.020, major from 39.575; 7H 36.500-36.975, minor to 33.560', () => {
  const screw = limits('Tr 40x7', '7e').external;
  expect(flat(screw)).toEqual([40, 39.575, 36.375, 36.02, 32, 31.431]);
  expect(flat(limits('Tr 40x7', '7H').internal)).toEqual([null, 41, 36.975, 36.5, 33.56, 33]);
});

// ISO 228-1, mm: external pitch max, min (A), min (B); internal minor max.
test.each([
  ['G 1/8', 9.147, 9.04, 8.933, 8.848],
  ['G 1/4', 12.301, 12.176, 12.051, 11.89],
  ['G 1/2', 19.793, 19.651, 19.509, 19.172],
  ['G 1', 31.77, 31.59, 31.41, 30.931],
  ['G 3', 86.405, 86.188, 85.971, 85.566],
])('ISO 228-1, %s', (d, max, minA, minB, d1) => {
  expect(limits(d, 'A').external?.pitch).toEqual({ max, min: minA });
  expect(limits(d, 'B').external?.pitch.min).toBe(minB);
  expect(limits(d, 'A').internal?.minor.max).toBe(d1);
});

test('BS 84: 1/2 BSW medium by its own formula, allowance only up to 3/4 in', () => {
  // T = 0.002 x 0.5^(1/3) + 0.003 x sqrt(0.5) + 0.005 / sqrt(12) = 0.0051526 in
  const half = flat(limits('1/2 BSW', 'medium').external, 25.4);
  expect(half[2]).toBeCloseTo(0.4466 - 0.0015, 4);
  expect(half[3]).toBeCloseTo(0.4466 - 0.0015 - 0.0052, 4);
  expect(flat(limits('1 BSW', 'medium').external, 25.4)[2]).toBeCloseTo(0.92, 4);
  expect(flat(limits('1/2 BSW', 'close').external, 25.4)[2]).toBeCloseTo(0.4466, 4);
  expect(flat(limits('1/2 BSW', 'normal').internal, 25.4).slice(4)).toEqual([0.4169, 0.3932]);
  expect(limits('1/2 BSW', 'normal').external).toBeUndefined();
});

test('BS 93: what it gives is marked as from memory', () => {
  for (const size of ['0 BA', '2 BA', '6 BA', '12 BA'])
    expect(limits(size, 'normal').notes).toEqual([expect.objectContaining({ code: 'from-memory' })]);
});

test('ASME B1.20.1: E1 and L2 of 1/2-14 are 0.77843 and 0.5337 in, E0 of 2-11.5 is 2.26902', () => {
  const gauging = (outsideIn: number, tpi: number) => {
    const g = nptGauging(outsideIn * 25.4, 25.4 / tpi);
    if (!g) throw new Error(`no size of ${outsideIn} in at ${tpi} tpi`);
    return g;
  };
  expect(gauging(0.84, 14).e1Mm / 25.4).toBeCloseTo(0.77843, 5);
  expect(gauging(0.84, 14).l2Mm / 25.4).toBeCloseTo(0.5337, 4);
  expect(gauging(2.375, 11.5).e0Mm / 25.4).toBeCloseTo(2.26902, 5);
  expect(nptGauging(0.84 * 25.4, 25.4 / 13)).toBeNull();
});

describe('laws over the whole catalogue', () => {
  type Diameter = 'major' | 'pitch' | 'minor';
  const DIAMETERS: readonly Diameter[] = ['major', 'pitch', 'minor'];
  /** Of each row that has limits: those of every class, by class. */
  const all = CATALOGUE.map((row) => {
    const thread = threadOfRow(row);
    const classes = classesOf(thread);
    const of = (names: readonly string[], side: 'external' | 'internal') =>
      names.flatMap((cls) => {
        const l = limitsOf(thread, cls, null);
        // ISO 965-1 prints no deviation e or f for the finest pitches
        if (!l.ok) expect(['6e', '6f']).toContain(cls);
        const member = l.ok ? l.value[side] : undefined;
        if (l.ok && !member) throw new Error(`${row.designation} ${cls}: no limits ${side}`);
        return member ? [{ cls, member }] : [];
      });
    return { row, external: of(classes.external, 'external'), internal: of(classes.internal, 'internal') };
  }).filter((r) => r.external.length > 0);

  test('most rows have limits, those of every standard that gives them among them', () => {
    const families = new Set(all.map((r) => r.row.family));
    expect([...families].sort()).toEqual(
      ['Acme', 'BA', 'BSF', 'BSW', 'G', 'M', 'NPT', 'StubAcme', 'Tr', 'UN', 'UNC', 'UNEF', 'UNF', 'UNS'].sort(),
    );
    expect(all.length).toBeGreaterThan(800);
  });
  test('of every class the largest is over the least, the pitch diameter has both, and lies under the major diameter', () => {
    for (const { row, external, internal } of all)
      for (const { cls, member } of [...external, ...internal]) {
        const where = `${row.designation} ${cls}`;
        for (const d of DIAMETERS) {
          const { min, max } = member[d];
          if (min !== null && max !== null && max <= min) throw new Error(`${where}: ${d} from ${min} to ${max}`);
        }
        if (known(member.pitch.max) >= known(member.major.min)) throw new Error(`${where}: pitch diameter over major`);
        if (known(member.pitch.min) <= known(member.minor.max ?? member.minor.min))
          throw new Error(`${where}: minor over pitch`);
      }
  });
  test('the largest screw of any class goes into the smallest nut of any class, at every diameter', () => {
    let pairs = 0;
    for (const { row, external, internal } of all) {
      // a taper thread is gauged by how far it goes in: screw and nut are given at different places
      if (row.family === 'NPT') continue;
      for (const screw of external)
        for (const nut of internal) {
          pairs += 1;
          for (const d of DIAMETERS) {
            const [screwMax, nutMin] = [known(screw.member[d].max), known(nut.member[d].min)];
            // both are rounded to the last printed place
            if (screwMax > nutMin + 1e-6)
              throw new Error(`${row.designation} ${screw.cls}/${nut.cls}: ${d} ${screwMax} in ${nutMin}`);
          }
        }
    }
    expect(pairs).toBeGreaterThan(10_000);
  });
  test.each([
    ['M10', '6x'],
    ['M10', '2A'],
    ['1/2-13 UNC', '6g'],
    ['1/2 BSW', '2A'],
    ['G 1/2', 'C'],
    ['Tr 40x7', '6g'],
    ['S 40x7', '7e'],
  ])('%s has no class %s, and says which there are', (d, cls) => {
    const t = parseDesignation(d);
    const l = t.ok ? limitsOf(t.value.thread, cls, null) : t;
    expect(!l.ok && problemText(l.problem, 'mm').right).toBeTruthy();
  });
});

describe('a size is a field, never read back out of how it is written', () => {
  test.each([
    ['1/2-14 NPT', 'standard'],
    ['4 BA', 'normal'],
  ])('%s has the same limits left hand, and by any other name', (text, cls) => {
    const own = parseDesignation(text);
    if (!own.ok) throw new Error(own.problem.code);
    const limits = limitsOf(own.value.thread, cls, null);
    expect(limits.ok).toBe(true);
    expect(limitsOf({ ...own.value.thread, designation: `${text} LH`, leftHand: true }, cls, null)).toEqual(limits);
    expect(limitsOf({ ...own.value.thread, designation: 'as on the drawing' }, cls, null)).toEqual(limits);
  });
});

test('a special in the stub form has the one class of ASME B1.8, not those of the full form', () => {
  const read = parseDesignation('1-5 Stub Acme');
  if (!read.ok) throw new Error(read.problem.code);
  const special = { ...read.value.thread, family: 'Special' as const, majorMm: 26 };
  expect(classesOf(special).external).toEqual(['2G']);
  expect(limitsOf(special, '3G', null).ok).toBe(false);
  const l = limitsOf(special, '2G', null);
  expect(l.ok && l.value.source).toBe('ASME B1.8');
});
