import { describe, expect, test } from '@jest/globals';
import { equalFlanks } from '../form/flanks.ts';
import { boreForShareMm } from '../fit/fit.ts';
import { formAt } from '../form/shape.ts';
import { inches } from '../quantity/units.ts';
import { printedAs, threadNamed } from '../../app/testing/printed.ts';
import { bestWireMm, grooveOf, overWiresMm, usableWireMm, usualGroove } from './wires.ts';

describe('NBS Handbook H28, table of wire sizes: best, largest and smallest wire of 60 degree threads, in (from memory, each confirmed by its constant)', () => {
  test.each([
    [4, 0.14434, 0.2525, 0.12625],
    [4.5, 0.1283, 0.22445, 0.11222],
    [5, 0.11547, 0.202, 0.101],
    [6, 0.09623, 0.16834, 0.08417],
    [7, 0.08248, 0.14429, 0.07214],
    [8, 0.07217, 0.12625, 0.06313],
    [9, 0.06415, 0.11222, 0.05611],
    [10, 0.05774, 0.101, 0.0505],
    [11, 0.05249, 0.09182, 0.04591],
    [11.5, 0.0502, 0.08783, 0.04391],
    [12, 0.04811, 0.08417, 0.04208],
    [13, 0.04441, 0.07769, 0.03885],
    [14, 0.04124, 0.07214, 0.03607],
    [16, 0.03608, 0.06313, 0.03156],
    [18, 0.03208, 0.05611, 0.02806],
    [20, 0.02887, 0.0505, 0.02525],
    [24, 0.02406, 0.04208, 0.02104],
    [28, 0.02062, 0.03607, 0.01804],
    [32, 0.01804, 0.03156, 0.01578],
    [36, 0.01604, 0.02806, 0.01403],
    [40, 0.01443, 0.02525, 0.01263],
    [44, 0.01312, 0.02296, 0.01148],
    [48, 0.01203, 0.02104, 0.01052],
    [56, 0.01031, 0.01804, 0.00902],
    [64, 0.00902, 0.01578, 0.00789],
    [72, 0.00802, 0.01403, 0.00701],
    [80, 0.00722, 0.01263, 0.00631],
  ])('%s tpi', (tpi, best, largest, smallest) => {
    const pitchMm = 25.4 / tpi;
    // the table is of the usual form, crest flat P/8 and root flat P/4 within the limits of its wires
    const g = usualGroove(equalFlanks(60), pitchMm, 1);
    printedAs(best, 5, bestWireMm(g) / 25.4);
    const { min, max } = usableWireMm(g);
    // the table was worked with 1.010 P and 0.505 P
    expect(Math.abs(max / 25.4 - largest)).toBeLessThan(0.0005 / tpi);
    expect(Math.abs(min / 25.4 - smallest)).toBeLessThan(0.0005 / tpi);
  });
});

describe('best wires of other forms, in (handbook tables, from memory): 0.56369 P, 0.51645 P', () => {
  test.each([
    ['whitworth55', 4, 0.14092],
    ['whitworth55', 8, 0.07046],
    ['whitworth55', 10, 0.05637],
    ['whitworth55', 11, 0.05125],
    ['whitworth55', 14, 0.04026],
    ['whitworth55', 20, 0.02818],
    ['acme29', 4, 0.12911],
    ['acme29', 5, 0.10329],
    ['acme29', 6, 0.08608],
    ['acme29', 8, 0.06456],
    ['acme29', 10, 0.05164],
    ['acme29', 2, 0.25822],
  ] as const)('%s, %s tpi', (form, tpi, best) => {
    const pitchMm = 25.4 / tpi;
    expect(bestWireMm(grooveOf(formAt(form, pitchMm), pitchMm, 1)) / 25.4).toBeCloseTo(best, 4);
  });
});

describe('with the best wire a 60 degree thread measures its pitch diameter and 0.86603 P (NBS Handbook H28)', () => {
  test.each([
    ['1/4-20 UNC', 0.2175],
    ['3/8-16 UNC', 0.3344],
    ['1/2-13 UNC', 0.45],
    ['3/4-10 UNC', 0.685],
    ['1-8 UNC', 0.9188],
    ['1/2-20 UNF', 0.4675],
    ['M10', 0.35535],
    ['M20', 0.72347],
  ])('%s', (name, d2In) => {
    const t = threadNamed(name);
    const tpiOrMm = name.startsWith('M') ? { M10: 1.5, M20: 2.5 }[name] : 25.4 / Number(/-(\d+)/.exec(name)?.[1]);
    const pitchMm = Number(tpiOrMm);
    const g = grooveOf(formAt('iso60', pitchMm), pitchMm, t.starts);
    const over = overWiresMm(g, inches(d2In), bestWireMm(g), 'flat');
    // d2 + 3 w - 0.86603 P, and w is 0.57735 P
    expect(over - inches(d2In)).toBeCloseTo(0.86603 * pitchMm, 4);
  });
});

describe('drills before tapping with the share of full thread that handbook tables print, % (from memory, each confirmed by 0.01299 / N an inch)', () => {
  test.each([
    ['1/4-20 UNC', 0.201, 75],
    ['5/16-18 UNC', 0.257, 77],
    ['3/8-16 UNC', 0.3125, 77],
    ['7/16-14 UNC', 0.368, 75],
    ['1/2-13 UNC', 27 / 64, 78],
    ['9/16-12 UNC', 31 / 64, 72],
    ['5/8-11 UNC', 17 / 32, 79],
    ['3/4-10 UNC', 21 / 32, 72],
    ['7/8-9 UNC', 49 / 64, 76],
    ['1-8 UNC', 7 / 8, 77],
    ['1/4-28 UNF', 0.213, 80],
    ['5/16-24 UNF', 0.272, 75],
    ['3/8-24 UNF', 0.332, 79],
    ['7/16-20 UNF', 25 / 64, 72],
    ['1/2-20 UNF', 29 / 64, 72],
    ['9/16-18 UNF', 33 / 64, 65],
    ['5/8-18 UNF', 37 / 64, 65],
    ['3/4-16 UNF', 11 / 16, 77],
    ['M6', 5 / 25.4, 77],
    ['M8', 6.8 / 25.4, 74],
    ['M10', 8.5 / 25.4, 77],
    ['M12', 10.2 / 25.4, 79],
    ['M16', 14 / 25.4, 77],
    ['M20', 17.5 / 25.4, 77],
  ])('%s', (name, drillIn, share) => {
    const t = threadNamed(name);
    const [most, least] = [share - 0.5, share + 0.5].map((s) => boreForShareMm(t, s / 100) / 25.4);
    // the drill lies where the printed share, rounded to a whole one, has it
    expect(drillIn).toBeLessThanOrEqual(Number(most) + 1e-4);
    expect(drillIn).toBeGreaterThanOrEqual(Number(least) - 1e-4);
  });
});
