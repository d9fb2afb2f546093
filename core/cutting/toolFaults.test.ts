import { equalFlanks } from '../form/flanks.ts';
import { describe, expect, test } from '@jest/globals';
import { halfAngleToGrindDeg, offHeight, offSquare, slideOff } from './toolFaults.ts';
import { judgeSlideAngle, withoutScale } from './slideAngle.ts';

// all of these figures: common practice, no source; by geometry
describe('what a tool set wrongly leaves', () => {
  // straight flank heights of a basic ISO, Whitworth and Acme profile over the pitch
  test.each([
    [30, 0.625 * 0.8660254, 0.022],
    [14.5, 0.5, 0.036],
  ])('a degree off square at half angle %s feels so much larger', (half, height, pitches) => {
    const { feelsMm, leadingDeg, trailingDeg } = offSquare(equalFlanks(2 * half), 1, height);
    expect(feelsMm).toBeCloseTo(pitches, 3);
    expect([leadingDeg, trailingDeg]).toEqual([half + 1, half - 1]);
  });
  test('off centre height by 0.5 on a radius of 10: 0.0017 shallow, 0.04 degree, 2.9 degrees of clearance', () => {
    const at = offHeight(10, 1.22, 30, 0.5, 'external');
    expect(at.shallowMm).toBeCloseTo(0.0017, 4);
    expect(at.halfDeg - 30).toBeCloseTo(0.03, 1);
    expect(at.clearanceDeg).toBeCloseTo(2.87, 2);
  });
  test('a small screw needs it nearer: 0.1 on 1.15 is 5 degrees', () => {
    const at = offHeight(1.15, 0.3, 30, 0.1, 'external');
    expect(at.shallowMm).toBeCloseTo(0.0015, 3);
    expect(at.clearanceDeg).toBeCloseTo(5, 1);
    // in a bore the curve falls away: less is lost
    expect(offHeight(1.15, 0.3, 30, 0.1, 'internal').shallowMm).toBeLessThan(at.shallowMm);
  });
  test('travel for 27.5 with the slide at 22.5 goes 4.2 % too deep; 32.5 leaves 0.225 of steps on 6 TPI', () => {
    expect(slideOff(27.5, 22.5, 27.5, 2.711, 0.2).depthShare).toBeCloseTo(1.042, 3);
    expect(slideOff(27.5, 22.5, 27.5, 2.711, 0.2).tooWideMm).toBe(0);
    const beyond = slideOff(27.5, 32.5, 27.5, 2.711, 2.711 / 12);
    expect(beyond.tooWideMm / 2.711).toBeCloseTo(Math.tan(0.5672) - Math.tan(0.48), 3);
    expect(beyond.stepMm * 12).toBeCloseTo(beyond.tooWideMm, 9);
    expect(beyond.depthShare).toBeLessThan(1);
  });
  test('with ten degrees of rake a 60 is ground to 59.2', () => {
    expect(2 * halfAngleToGrindDeg(30, 10)).toBeCloseTo(59.24, 1);
    expect(halfAngleToGrindDeg(30, 0)).toBeCloseTo(30, 9);
  });
});

describe('the slide\u2019s angle and the slips of the trade', () => {
  test.each([
    [29.5, 30, 'right', null],
    [30, 30, 'right', null],
    [27, 27.5, 'right', null],
    [27.5, 27.5, 'right', null],
    [14, 14.5, 'right', null],
    [32.5, 27.5, 'beyond', null],
    [22.5, 27.5, 'short', 'half-of-another'],
    [29.5, 27.5, 'beyond', 'half-of-another'],
    [60, 30, 'beyond', 'whole-for-half'],
    [55, 27.5, 'beyond', 'whole-for-half'],
    [29, 14.5, 'beyond', 'whole-for-half'],
    [62.5, 27.5, 'beyond', 'complement'],
    [75.5, 14.5, 'beyond', 'complement'],
    [31, 30, 'beyond', null],
    [5, 30, 'short', null],
  ] as const)('%s for a flank of %s: %s, %s', (angle, flank, code, slip) => {
    expect(judgeSlideAngle(angle, flank)).toMatchObject({ code, slip, usualDeg: flank - 0.5 });
  });
  test('without a scale: 14 degrees is 14 to the chuck face, 76 to the bed, 24.192 under 100 mm, 30.724 under 5 in', () => {
    const at = withoutScale(14);
    expect([at.fromFaceDeg, at.fromBedDeg]).toEqual([14, 76]);
    expect(at.bar100).toBeCloseTo(24.192, 3);
    expect(at.bar127).toBeCloseTo(30.724, 3);
  });
});
