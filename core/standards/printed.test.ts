import { known } from '../../app/testing/known.ts';
import { nptGauging } from './pipe/gauging.ts';
import { describe, expect, test } from '@jest/globals';
import { centrePerRadius } from '../form/flanks.ts';
import { formAt, fundamentalHeightMm } from '../form/shape.ts';
import { printedAs as printed, sizesNamed as sizesOf } from '../../app/testing/printed.ts';

/**
 * Basic sizes against rows of the printed tables, written down from memory and each confirmed by the standard's own
 * formula: a slip in either shows here. Limits stand beside their standards.
 */
describe('ISO 724, metric: pitch diameter and minor diameter of the nut, mm', () => {
  test.each([
    ['M1.6', 1.373, 1.221],
    ['M2', 1.74, 1.567],
    ['M2.5', 2.208, 2.013],
    ['M3', 2.675, 2.459],
    ['M3.5', 3.11, 2.85],
    ['M4', 3.545, 3.242],
    ['M5', 4.48, 4.134],
    ['M6', 5.35, 4.917],
    ['M8', 7.188, 6.647],
    ['M10', 9.026, 8.376],
    ['M12', 10.863, 10.106],
    ['M14', 12.701, 11.835],
    ['M16', 14.701, 13.835],
    ['M18', 16.376, 15.294],
    ['M20', 18.376, 17.294],
    ['M22', 20.376, 19.294],
    ['M24', 22.051, 20.752],
    ['M27', 25.051, 23.752],
    ['M30', 27.727, 26.211],
    ['M33', 30.727, 29.211],
    ['M36', 33.402, 31.67],
    ['M39', 36.402, 34.67],
    ['M42', 39.077, 37.129],
    ['M48', 44.752, 42.587],
    ['M56', 52.428, 50.046],
    ['M64', 60.103, 57.505],
    ['M8x1', 7.35, 6.917],
    ['M10x1', 9.35, 8.917],
    ['M10x1.25', 9.188, 8.647],
    ['M12x1.25', 11.188, 10.647],
    ['M12x1.5', 11.026, 10.376],
    ['M16x1.5', 15.026, 14.376],
    ['M20x1.5', 19.026, 18.376],
    ['M24x2', 22.701, 21.835],
    ['M30x2', 28.701, 27.835],
    ['M36x3', 34.051, 32.752],
    ['M42x3', 40.051, 38.752],
  ])('%s', (name, d2, d1) => {
    const s = sizesOf(name);
    printed(d2, 3, s.pitchDiameterMm);
    printed(d1, 3, s.minorInternalMm);
  });
});

describe('ASME B1.1: basic pitch diameter and basic minor diameter of the nut, in', () => {
  test.each([
    ['#4-40 UNC', 0.0958, 0.0849],
    ['#6-32 UNC', 0.1177, 0.1042],
    ['#8-32 UNC', 0.1437, 0.1302],
    ['#10-24 UNC', 0.1629, 0.1449],
    ['#10-32 UNF', 0.1697, 0.1562],
    ['1/4-20 UNC', 0.2175, 0.1959],
    ['1/4-28 UNF', 0.2268, 0.2113],
    ['5/16-18 UNC', 0.2764, 0.2524],
    ['5/16-24 UNF', 0.2854, 0.2674],
    ['3/8-16 UNC', 0.3344, 0.3073],
    ['3/8-24 UNF', 0.3479, 0.3299],
    ['7/16-14 UNC', 0.3911, 0.3602],
    ['1/2-13 UNC', 0.45, 0.4167],
    ['1/2-20 UNF', 0.4675, 0.4459],
    ['9/16-12 UNC', 0.5084, 0.4723],
    ['5/8-11 UNC', 0.566, 0.5266],
    ['3/4-10 UNC', 0.685, 0.6417],
    ['3/4-16 UNF', 0.7094, 0.6823],
    ['7/8-9 UNC', 0.8028, 0.7547],
    ['1-8 UNC', 0.9188, 0.8647],
    ['1 1/4-7 UNC', 1.1572, 1.0954],
    ['1 1/2-6 UNC', 1.3917, 1.3196],
    ['2-4.5 UNC', 1.8557, 1.7594],
  ])('%s', (name, d2, d1) => {
    const s = sizesOf(name);
    printed(d2, 4, s.pitchDiameterMm / 25.4);
    printed(d1, 4, s.minorInternalMm / 25.4);
  });
});

describe('BS 84, Whitworth: effective diameter and minor diameter, in', () => {
  test.each([
    ['1/4-20 BSW', 0.218, 0.186],
    ['5/16-18 BSW', 0.2769, 0.2413],
    ['3/8-16 BSW', 0.335, 0.295],
    ['7/16-14 BSW', 0.3918, 0.3461],
    ['1/2-12 BSW', 0.4466, 0.3932],
    ['5/8-11 BSW', 0.5668, 0.5086],
    ['3/4-10 BSW', 0.686, 0.622],
    ['7/8-9 BSW', 0.8039, 0.7328],
    ['1-8 BSW', 0.92, 0.84],
    ['1 1/4-7 BSW', 1.1585, 1.067],
    ['1 1/2-6 BSW', 1.3933, 1.2866],
    ['2-4.5 BSW', 1.8577, 1.7154],
    ['1/4-26 BSF', 0.2254, 0.2008],
    ['3/8-20 BSF', 0.343, 0.311],
    ['1/2-16 BSF', 0.46, 0.42],
    ['3/4-12 BSF', 0.6966, 0.6432],
    ['1-10 BSF', 0.936, 0.872],
    ['3/16-24 BSW', 0.1608, 0.1341],
    ['1 1/8-7 BSW', 1.0335, 0.942],
    ['1 3/4-5 BSW', 1.6219, 1.4938],
    ['2 1/4-4 BSW', 2.0899, 1.9298],
    ['2 1/2-4 BSW', 2.3399, 2.1798],
    ['3-3.5 BSW', 2.817, 2.634],
    ['3/16-32 BSF', 0.1675, 0.1475],
    ['5/16-22 BSF', 0.2834, 0.2543],
    ['9/16-16 BSF', 0.5225, 0.4825],
    ['7/8-11 BSF', 0.8168, 0.7586],
    ['1 1/8-9 BSF', 1.0539, 0.9828],
    ['1 1/4-9 BSF', 1.1789, 1.1078],
    ['1 3/8-8 BSF', 1.295, 1.215],
    ['1 1/2-8 BSF', 1.42, 1.34],
    ['1 5/8-8 BSF', 1.545, 1.465],
    ['1 3/4-7 BSF', 1.6585, 1.567],
    ['2-7 BSF', 1.9085, 1.817],
    ['2 1/4-6 BSF', 2.1433, 2.0366],
    ['2 1/2-6 BSF', 2.3933, 2.2866],
  ])('%s', (name, d2, minor) => {
    const s = sizesOf(name);
    printed(d2, 4, s.pitchDiameterMm / 25.4);
    printed(minor, 4, s.minorExternalMm / 25.4);
  });
});

describe('BS 93, BA: effective diameter and minor diameter, mm', () => {
  test.each([
    ['0 BA', 5.4, 4.8],
    ['1 BA', 4.76, 4.22],
    ['2 BA', 4.215, 3.73],
    ['3 BA', 3.66, 3.22],
    ['4 BA', 3.205, 2.81],
    ['5 BA', 2.845, 2.49],
    ['6 BA', 2.48, 2.16],
    ['8 BA', 1.94, 1.68],
    ['10 BA', 1.49, 1.28],
    ['7 BA', 2.21, 1.92],
    ['9 BA', 1.665, 1.43],
    ['11 BA', 1.315, 1.13],
    ['12 BA', 1.13, 0.96],
    ['13 BA', 1.05, 0.9],
    ['14 BA', 0.86, 0.72],
    ['15 BA', 0.775, 0.65],
    ['16 BA', 0.675, 0.56],
  ])('%s', (name, d2, minor) => {
    const s = sizesOf(name);
    expect(s.pitchDiameterMm).toBeCloseTo(d2, 6);
    expect(s.minorExternalMm).toBeCloseTo(minor, 6);
  });
});

describe('ISO 228-1, pipe: major, pitch and minor diameter, mm', () => {
  test.each([
    ['G 1/8', 9.728, 9.147, 8.566],
    ['G 1/4', 13.157, 12.301, 11.445],
    ['G 3/8', 16.662, 15.806, 14.95],
    ['G 1/2', 20.955, 19.793, 18.631],
    ['G 3/4', 26.441, 25.279, 24.117],
    ['G 1', 33.249, 31.77, 30.291],
    ['G 1 1/4', 41.91, 40.431, 38.952],
    ['G 1 1/2', 47.803, 46.324, 44.845],
    ['G 2', 59.614, 58.135, 56.656],
    ['G 3', 87.884, 86.405, 84.926],
  ])('%s', (name, d, d2, d1) => {
    const s = sizesOf(name);
    printed(d, 3, s.majorMm);
    printed(d2, 3, s.pitchDiameterMm);
    printed(d1, 3, s.minorExternalMm);
  });
});

describe('DIN 40430, steel conduit: minor diameter as printed to the hundredth (from memory), mm', () => {
  test.each([
    ['Pg 7', 12.5, 11.28],
    ['Pg 9', 15.2, 13.86],
    ['Pg 11', 18.6, 17.26],
    ['Pg 13.5', 20.4, 19.06],
    ['Pg 16', 22.5, 21.16],
    ['pg21', 28.3, 26.78],
    ['Pg 29', 37, 35.48],
    ['Pg 36', 47, 45.48],
    ['Pg 42', 54, 52.48],
    ['Pg 48', 59.3, 57.78],
  ])('%s', (name, d, minor) => {
    const s = sizesOf(name);
    expect(s.majorMm).toBe(d);
    // the table rounds the depth of thread first
    expect(Math.abs(s.minorExternalMm - minor)).toBeLessThan(0.011);
  });
  test('its rounding touches both flanks: half of what 80 degrees cut off, H = 0.59588 P', () => {
    const form = formAt('conduit80', 1);
    expect(fundamentalHeightMm(1, form)).toBeCloseTo(0.59588, 5);
    const { external } = form;
    const radius = external.outerEdge.kind === 'round' ? external.outerEdge.radiusMm : NaN;
    expect(external.outerMm + radius * (centrePerRadius(form) - 1)).toBeCloseTo(0.59588 / 2, 3);
  });
});

describe('ISO 2904, trapezoidal: d2, d3, D4, D1, mm', () => {
  test.each([
    ['Tr 8x1.5', 7.25, 6.2, 8.3, 6.5],
    ['Tr 10x2', 9, 7.5, 10.5, 8],
    ['Tr 12x3', 10.5, 8.5, 12.5, 9],
    ['Tr 16x4', 14, 11.5, 16.5, 12],
    ['Tr 20x4', 18, 15.5, 20.5, 16],
    ['Tr 24x5', 21.5, 18.5, 24.5, 19],
    ['Tr 30x6', 27, 23, 31, 24],
    ['Tr 36x6', 33, 29, 37, 30],
    ['Tr 40x7', 36.5, 32, 41, 33],
    ['Tr 50x8', 46, 41, 51, 42],
    ['Tr 60x9', 55.5, 50, 61, 51],
    ['Tr 70x10', 65, 59, 71, 60],
    ['Tr 100x12', 94, 87, 101, 88],
    ['Tr 14x3', 12.5, 10.5, 14.5, 11],
    ['Tr 18x4', 16, 13.5, 18.5, 14],
    ['Tr 22x5', 19.5, 16.5, 22.5, 17],
    ['Tr 26x5', 23.5, 20.5, 26.5, 21],
    ['Tr 28x5', 25.5, 22.5, 28.5, 23],
    ['Tr 32x6', 29, 25, 33, 26],
    ['Tr 34x6', 31, 27, 35, 28],
    ['Tr 38x7', 34.5, 30, 39, 31],
    ['Tr 42x7', 38.5, 34, 43, 35],
    ['Tr 44x7', 40.5, 36, 45, 37],
    ['Tr 46x8', 42, 37, 47, 38],
    ['Tr 48x8', 44, 39, 49, 40],
    ['Tr 52x8', 48, 43, 53, 44],
    ['Tr 55x9', 50.5, 45, 56, 46],
    ['Tr 65x10', 60, 54, 66, 55],
    ['Tr 75x10', 70, 64, 76, 65],
    ['Tr 80x10', 75, 69, 81, 70],
    ['Tr 85x12', 79, 72, 86, 73],
    ['Tr 90x12', 84, 77, 91, 78],
    ['Tr 95x12', 89, 82, 96, 83],
    ['Tr 110x12', 104, 97, 111, 98],
    ['Tr 120x14', 113, 104, 122, 106],
    ['Tr 140x14', 133, 124, 142, 126],
    ['Tr 160x16', 152, 142, 162, 144],
  ])('%s', (name, d2, d3, D4, D1) => {
    const s = sizesOf(name);
    expect(s.pitchDiameterMm).toBeCloseTo(d2, 9);
    expect(s.minorExternalMm).toBeCloseTo(d3, 9);
    expect(s.majorInternalMm).toBeCloseTo(D4, 9);
    expect(s.minorInternalMm).toBeCloseTo(D1, 9);
  });
});

describe('ASME B1.5, general-purpose Acme: pitch diameter and minor diameter of the nut, in', () => {
  test.each([
    ['1/4-16 Acme', 0.2188, 0.1875],
    ['3/8-12 Acme', 0.3333, 0.2917],
    ['1/2-10 Acme', 0.45, 0.4],
    ['5/8-8 Acme', 0.5625, 0.5],
    ['3/4-6 Acme', 0.6667, 0.5833],
    ['1-5 Acme', 0.9, 0.8],
    ['1 1/2-4 Acme', 1.375, 1.25],
    ['2-4 Acme', 1.875, 1.75],
    ['3-2 Acme', 2.75, 2.5],
  ])('%s', (name, d2, minor) => {
    const s = sizesOf(name);
    printed(d2, 4, s.pitchDiameterMm / 25.4);
    printed(minor, 4, s.minorInternalMm / 25.4);
  });
});

describe('ASME B1.20.1, taper pipe: outside diameter, tpi; E0, L1, E1, L2, in', () => {
  test.each([
    [0.3125, 27, 0.27118, 0.16, 0.28118, 0.2611],
    [0.405, 27, 0.36351, 0.1615, 0.3736, 0.2639],
    [0.54, 18, 0.47739, 0.2278, 0.49163, 0.4018],
    [0.675, 18, 0.61201, 0.24, 0.62701, 0.4078],
    [0.84, 14, 0.75843, 0.32, 0.77843, 0.5337],
    [1.05, 14, 0.96768, 0.339, 0.98887, 0.5457],
    [1.315, 11.5, 1.21363, 0.4, 1.23863, 0.6828],
    [1.66, 11.5, 1.55713, 0.42, 1.58338, 0.7068],
    [1.9, 11.5, 1.79609, 0.42, 1.82234, 0.7235],
    [2.375, 11.5, 2.26902, 0.436, 2.29627, 0.7565],
    [2.875, 8, 2.71953, 0.682, 2.76216, 1.1375],
    [3.5, 8, 3.34062, 0.766, 3.3885, 1.2],
    [4, 8, 3.8375, 0.821, 3.88881, 1.25],
    [4.5, 8, 4.33438, 0.844, 4.38712, 1.3],
    [5.563, 8, 5.39073, 0.937, 5.44929, 1.4063],
    [6.625, 8, 6.44609, 0.958, 6.50597, 1.5125],
    [8.625, 8, 8.43359, 1.063, 8.50003, 1.7125],
    [10.75, 8, 10.54531, 1.21, 10.62094, 1.925],
    [12.75, 8, 12.53281, 1.36, 12.61781, 2.125],
    [14, 8, 13.775, 1.562, 13.87262, 2.25],
    [16, 8, 15.7625, 1.812, 15.87575, 2.45],
    [18, 8, 17.75, 2, 17.875, 2.65],
    [20, 8, 19.7375, 2.125, 19.87031, 2.85],
    [24, 8, 23.7125, 2.375, 23.86094, 3.25],
  ])('%s in at %s', (outside, tpi, e0, l1, e1, l2) => {
    const g = known(nptGauging(outside * 25.4, 25.4 / tpi));
    const off = (mm: number, printed: number): number => Math.abs(mm / 25.4 - printed);
    expect(off(g.e0Mm, e0)).toBeLessThanOrEqual(1.01e-5);
    expect(off(g.e1Mm, e1)).toBeLessThanOrEqual(1.01e-5);
    expect(g.l1Mm / 25.4).toBeCloseTo(l1, 9);
    // the table was worked from diameters of more places than it prints: a unit of the last one
    expect(off(g.l2Mm, l2)).toBeLessThanOrEqual(1.01e-4);
  });
});

describe('BS 811, cycle: effective diameter and minor diameter, in', () => {
  test.each([
    ['1/4-26 Cycle', 0.2295, 0.209],
    ['3/8-26 Cycle', 0.3545, 0.334],
    ['5/16-26 Cycle', 0.292, 0.2715],
    ['7/16-26 Cycle', 0.417, 0.3965],
    ['1/2-26 Cycle', 0.4795, 0.459],
    ['9/16-20 Cycle', 0.5359, 0.5092],
  ])('%s', (name, d2, minor) => {
    const s = sizesOf(name);
    printed(d2, 4, s.pitchDiameterMm / 25.4);
    printed(minor, 4, s.minorExternalMm / 25.4);
  });
});

describe('DIN 405-1, round: d2, d3, D4, D1, mm', () => {
  test.each([
    ['Rd 8x1/10', 6.73, 5.46, 8.254, 5.714],
    ['Rd 20x1/8', 18.412, 16.825, 20.318, 17.142],
    ['Rd 40x1/6', 37.883, 35.767, 40.423, 36.19],
    ['Rd 100x1/6', 97.883, 95.767, 100.423, 96.19],
    ['Rd 110x1/4', 106.825, 103.65, 110.635, 104.285],
  ])('%s', (name, d2, d3, D4, D1) => {
    const s = sizesOf(name);
    // half a unit of the last place goes either way there
    printed(d2, 3, s.pitchDiameterMm);
    printed(d3, 3, s.minorExternalMm);
    printed(D4, 3, s.majorInternalMm);
    printed(D1, 3, s.minorInternalMm);
  });
});
