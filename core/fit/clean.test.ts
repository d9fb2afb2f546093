import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cleanUp } from './clean.ts';

const sixty = {
  make: 'external',
  leadingDeg: 30,
  trailingDeg: 30,
  crestFlatMm: 0.25,
  finishedMm: 30,
  onePassMm: 0.2,
  taper: 0,
} as const;

describe('what depth cleans an old groove all over', () => {
  test('a plunge takes half of itself off a 30 degree flank, so a pit asks for twice its depth', () => {
    expect(cleanUp({ pitMm: 0.1, eccentricMm: 0, builtUpMm: null }, sixty).deeperMm).toBeCloseTo(0.2, 12);
  });
  test('of unlike flanks the steeper one decides; between square flanks only a widening helps', () => {
    const saw = { ...sixty, leadingDeg: 45, trailingDeg: 7 };
    expect(cleanUp({ pitMm: 0.1, eccentricMm: 0, builtUpMm: null }, saw).deeperMm).toBeCloseTo(0.1 / 0.121869, 4);
    const square = { ...sixty, leadingDeg: 0, trailingDeg: 0 };
    expect(cleanUp({ pitMm: 0.1, eccentricMm: 0, builtUpMm: null }, square).deeperMm).toBeNull();
    expect(cleanUp({ pitMm: 0, eccentricMm: 0.1, builtUpMm: null }, square).deeperMm).toBeCloseTo(0.1, 12);
  });
  test('what was built up has to stand proud by the run-out and a pass, at its lowest spot', () => {
    const at = (builtUpMm: number) => cleanUp({ pitMm: 0, eccentricMm: 0.1, builtUpMm }, sixty);
    expect(at(30.6)).toMatchObject({ needsMm: 30.6, enough: true });
    expect(at(30.59).enough).toBe(false);
    const bore = { ...sixty, make: 'internal', finishedMm: 28 } as const;
    expect(cleanUp({ pitMm: 0, eccentricMm: 0.1, builtUpMm: 27.4 }, bore)).toMatchObject({
      needsMm: 27.4,
      enough: true,
    });
  });
  test('on 1 in 16 a groove 0.1 deeper pushes shoulder and end 3.2 back', () => {
    const taper = cleanUp({ pitMm: 0, eccentricMm: 0.1, builtUpMm: null }, { ...sixty, taper: 1 / 16 });
    expect(taper.pushBackMm).toBeCloseTo(3.2, 9);
    expect(cleanUp({ pitMm: 0, eccentricMm: 0.1, builtUpMm: null }, sixty).pushBackMm).toBeNull();
  });
  test('cut so deep, the whole turn is reached and no pit is left: geometry of an eccentric circle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.double({ min: 5, max: 45, noNaN: true }),
        fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
        (pitMm, eccentricMm, deg, turn) => {
          const { deeperMm } = cleanUp(
            { pitMm, eccentricMm, builtUpMm: null },
            { ...sixty, leadingDeg: deg, trailingDeg: deg },
          );
          // the new groove's depth below the old one at any place of the turn, and what that takes off a flank
          const here = (deeperMm ?? NaN) + eccentricMm * Math.cos(turn);
          expect(here * Math.sin((deg * Math.PI) / 180)).toBeGreaterThanOrEqual(pitMm - 1e-9);
        },
      ),
    );
  });
  test('the crest narrows by what both flanks lose', () => {
    expect(cleanUp({ pitMm: 0, eccentricMm: 0.1, builtUpMm: null }, sixty).crestLeftMm).toBeCloseTo(
      0.25 - 0.2 * Math.tan(Math.PI / 6),
      9,
    );
  });
});
