import { describe, expect, test } from '@jest/globals';
import { sideCutFor, worthOf, type Worth } from './worth.ts';

const SLOPE_29 = 2 * Math.tan((14.5 * Math.PI) / 180);
const base: Worth = {
  playNowMm: 0.6,
  playMadeMm: 0.05,
  wornMm: 0.2,
  slope: SLOPE_29,
  leadMm: 5,
  limitMm: 0.5,
  ageYears: 20,
};

// the bounds and the advice: common practice, no source
describe('is it worth it', () => {
  test('a new nut beside a worn screw gives back its wear; years by how fast it came', () => {
    const a = worthOf(base);
    expect(a.playAfterMm).toBeCloseTo(0.05 + 0.1 * SLOPE_29, 12);
    expect(a.turnsNow).toBeCloseTo(0.12, 12);
    // 0.55 mm in 20 years; back at 0.5 after that much
    expect(a.years).toBeCloseTo((0.5 - a.playAfterMm) / (0.55 / 20), 9);
    expect(a.verdict).toBe('act');
  });
  test.each([
    [{ playNowMm: 0.09 }, 'leave'],
    [{ playNowMm: 0.3 }, 'by-habit'],
    [{ playNowMm: 0.3, leadMm: 2 }, 'act'],
    [{ wornMm: 1.2 }, 'other-is-the-job'],
  ] as const)('%j: %s', (over, verdict) => {
    expect(worthOf({ ...base, ...over }).verdict).toBe(verdict);
  });
  test('what is not said is not made up', () => {
    expect(worthOf({ ...base, limitMm: null }).years).toBeNull();
    expect(worthOf({ ...base, ageYears: null }).years).toBeNull();
    expect(worthOf({ ...base, playNowMm: 0.05 }).years).toBeNull();
  });
  test('a side cut s adds s to the play, 2 s / q on the pitch diameter, and moves the groove by half', () => {
    // q = 0.517 for 29 degrees: d2 for 0.1 of play 0.387; common practice, no source
    const s = sideCutFor(0.02, 0.12, SLOPE_29);
    expect(s?.byMm).toBeCloseTo(0.1, 12);
    expect(s?.onPitchDiameterMm).toBeCloseTo(0.387, 3);
    expect(s?.movesMm).toBeCloseTo(0.05, 12);
    expect(sideCutFor(0.12, 0.1, SLOPE_29)).toBeNull();
  });
});
