import { describe, expect, test } from '@jest/globals';
import { known } from '../../../app/testing/known.ts';
import { limitsNamed } from '../../../app/testing/printed.ts';

const um = (mm: number): number => Math.round(mm * 1000);

// Tables of ISO 2903, from memory, each confirmed by the R40 series of its formula: um.

describe('ISO 2903: tolerance of the pitch diameter of a nut, 7H, 8H, 9H', () => {
  test.each([
    ['Tr 8x1.5', 224, 280, 355],
    ['Tr 10x2', 250, 315, 400],
    ['Tr 11x3', 280, 355, 450],
    ['Tr 12x2', 265, 335, 425],
    ['Tr 14x3', 300, 375, 475],
    ['Tr 20x4', 355, 450, 560],
    ['Tr 22x5', 375, 475, 600],
    ['Tr 22x8', 475, 600, 750],
    ['Tr 24x3', 335, 425, 530],
    ['Tr 28x5', 400, 500, 630],
    ['Tr 32x6', 450, 560, 710],
    ['Tr 40x7', 475, 600, 750],
    ['Tr 28x8', 500, 630, 800],
    ['Tr 36x10', 530, 670, 850],
    ['Tr 44x12', 560, 710, 900],
    ['Tr 50x3', 355, 450, 560],
    ['Tr 65x4', 400, 500, 630],
    ['Tr 50x8', 530, 670, 850],
    ['Tr 60x9', 560, 710, 900],
    ['Tr 70x10', 560, 710, 900],
    ['Tr 85x12', 630, 800, 1000],
    ['Tr 55x14', 670, 850, 1060],
    ['Tr 70x16', 710, 900, 1120],
    ['Tr 100x4', 425, 530, 670],
    ['Tr 120x6', 500, 630, 800],
    ['Tr 170x8', 560, 710, 900],
    ['Tr 100x12', 670, 850, 1060],
    ['Tr 120x14', 710, 900, 1120],
    ['Tr 160x16', 750, 950, 1180],
    ['Tr 110x20', 800, 1000, 1250],
    ['Tr 120x22', 850, 1060, 1320],
    ['Tr 140x24', 900, 1120, 1400],
    ['Tr 160x28', 950, 1180, 1500],
  ])('%s', (d, ...printed) => {
    const found = ['7H', '8H', '9H'].map((cls) => {
      const { min, max } = known(limitsNamed(d, cls).internal).pitch;
      return um(known(max) - known(min));
    });
    expect(found).toEqual(printed);
  });
});

describe('ISO 2903: tolerance of the pitch diameter of a screw, 7e and 8e', () => {
  test.each([
    ['Tr 8x1.5', 170, 212],
    ['Tr 10x2', 190, 236],
    ['Tr 11x3', 212, 265],
    ['Tr 12x2', 200, 250],
    ['Tr 14x3', 224, 280],
    ['Tr 20x4', 265, 335],
    ['Tr 22x5', 280, 355],
    ['Tr 22x8', 355, 450],
    ['Tr 24x3', 250, 315],
    ['Tr 28x5', 300, 375],
    ['Tr 32x6', 335, 425],
    ['Tr 40x7', 355, 450],
    ['Tr 28x8', 375, 475],
    ['Tr 36x10', 400, 500],
    ['Tr 44x12', 425, 530],
    ['Tr 50x3', 265, 335],
    ['Tr 65x4', 300, 375],
    ['Tr 50x8', 400, 500],
    ['Tr 60x9', 425, 530],
    ['Tr 85x12', 475, 600],
    ['Tr 55x14', 500, 630],
    ['Tr 70x16', 530, 670],
    ['Tr 120x6', 375, 475],
    ['Tr 100x12', 500, 630],
    ['Tr 120x14', 530, 670],
    ['Tr 110x20', 600, 750],
    ['Tr 120x22', 630, 800],
    ['Tr 140x24', 670, 850],
    ['Tr 160x28', 710, 900],
  ])('%s', (d, ...printed) => {
    const found = ['7e', '8e'].map((cls) => {
      const { min, max } = known(limitsNamed(d, cls).external).pitch;
      return um(known(max) - known(min));
    });
    expect(found).toEqual(printed);
  });
});

describe('ISO 2903: deviations e and c, tolerance 4 of the major diameter of a screw and of the minor of a nut', () => {
  test.each([
    ['Tr 8x1.5', 67, 140, 150, 190],
    ['Tr 10x2', 71, 150, 180, 236],
    ['Tr 14x3', 85, 170, 236, 315],
    ['Tr 20x4', 95, 190, 300, 375],
    ['Tr 28x5', 106, 212, 335, 450],
    ['Tr 36x6', 118, 236, 375, 500],
    ['Tr 40x7', 125, 250, 425, 560],
    ['Tr 50x8', 132, 265, 450, 630],
    ['Tr 60x9', 140, 280, 500, 670],
    ['Tr 70x10', 150, 300, 530, 710],
    ['Tr 100x12', 160, 335, 600, 800],
    ['Tr 120x14', 180, 355, 670, 900],
    ['Tr 160x16', 190, 375, 710, 1000],
    ['Tr 85x18', 200, 400, 800, 1120],
    ['Tr 110x20', 212, 425, 850, 1180],
    ['Tr 120x22', 224, 450, 900, 1250],
    ['Tr 140x24', 236, 475, 950, 1320],
    ['Tr 160x28', 250, 500, 1060, 1500],
    ['Tr 240x36', 280, 560, 1250, 1800],
    ['Tr 280x40', 300, 600, 1320, 1900],
    ['Tr 300x44', 315, 630, 1400, 2000],
  ])('%s', (d, e, c, td, td1) => {
    const [screwE, screwC, nut] = [
      known(limitsNamed(d, '7e').external),
      known(limitsNamed(d, '8c').external),
      known(limitsNamed(d, '7H').internal),
    ];
    const basic = known(nut.pitch.min);
    expect([
      um(basic - known(screwE.pitch.max)),
      um(basic - known(screwC.pitch.max)),
      um(known(screwE.major.max) - known(screwE.major.min)),
      um(known(nut.minor.max) - known(nut.minor.min)),
    ]).toEqual([e, c, td, td1]);
  });
});

test('the printed deviations follow their law from 4 mm up: e as 47.5 and c as 95 times the root of the pitch, to a step of R40', () => {
  for (const [d, p] of [
    ['Tr 20x4', 4],
    ['Tr 36x6', 6],
    ['Tr 60x9', 9],
    ['Tr 100x12', 12],
    ['Tr 160x16', 16],
    ['Tr 110x20', 20],
    ['Tr 160x28', 28],
    ['Tr 300x44', 44],
  ] as const)
    for (const [cls, factor] of [
      ['7e', 47.5],
      ['8c', 95],
    ] as const) {
      const basic = known(known(limitsNamed(d, '7H').internal).pitch.min);
      const es = um(basic - known(known(limitsNamed(d, cls).external).pitch.max));
      // R40 goes up by 5.93 %: half a step either way
      expect(Math.abs(es / (factor * Math.sqrt(p)) - 1)).toBeLessThan(0.031);
    }
});
