import { expect, test } from '@jest/globals';
import { Dice } from '../../sim/random.ts';
import { harshPart } from './harsh.ts';
import { seeded, simulatePart } from './plain.ts';
import { score, type Score } from './score.ts';

const PARTS = 80;

/** Both over all parts: what was stated of the first place, and how often it was right. */
const overall = (s: Score): { stated: number; right: number } => ({
  stated: s.bands.reduce((sum, b) => sum + b.stated * b.parts, 0) / s.parts,
  right: s.bands.reduce((sum, b) => sum + b.right * b.parts, 0) / s.parts,
});

test.each([
  ['the plain bench', () => simulatePart(plain)],
  ['the harsh bench', () => harshPart(harsh)],
] as const)(
  'stated probabilities are right about as often as stated: %s (whole tables in docs/calibration.md)',
  (_, deal) => {
    const got = score(PARTS, deal);
    expect(got.bands.reduce((n, b) => n + b.parts, 0)).toBe(PARTS);
    const { stated, right } = overall(got);
    // three standard errors of a share
    expect(Math.abs(stated - right)).toBeLessThan(3 * Math.sqrt((stated * (1 - stated)) / PARTS));
    expect(right).toBeGreaterThan(0.7);
  },
  60_000,
);

const plain = seeded(5);
const harsh = new Dice(5);

test('the same dice deal the same part', () => {
  expect(harshPart(new Dice(3))).toEqual(harshPart(new Dice(3)));
  expect(harshPart(new Dice(3))).not.toEqual(harshPart(new Dice(4)));
});
