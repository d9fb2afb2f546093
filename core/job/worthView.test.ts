import { describe, expect, test } from '@jest/globals';
import { named, took } from '../../app/testing/bench.ts';
import { known } from '../../app/testing/known.ts';
import { demoShop } from '../../demo/index.ts';
import { sideText } from '../../words/prove.ts';
import { cleanedFit } from './cleanedFit.ts';
import { cleaning } from './recut.ts';
import type { Job } from './schema.ts';
import { worthView } from './worthView.ts';

const SHOP = demoShop();
/** A nut for a worn Tr 40x7 screw, with what is said of its play. */
const nut = (worth: Partial<Job['prove']['worth']>, ...readings: Parameters<typeof took>[]): Job => {
  const b = named('Tr40x7', { wanted: 'mate', make: 'internal', cameIn: 'both' }).do(
    ...readings.map((r) => took(...r)),
    { do: 'setFit', class: null, to: 'clearance', pitchClearanceMm: 0.2 },
  );
  return { ...b.job, prove: { ...b.job.prove, worth: { ...b.job.prove.worth, ...worth } } };
};
/** tan 15 on both flanks. */
const SLOPE = 2 * Math.tan((15 * Math.PI) / 180);

describe('is another nut worth it', () => {
  test('nothing said: the play as it was made, and no answer made up', () => {
    const v = known(worthView(nut({}), SHOP));
    // clearance on the pitch diameter, times the slope of both flanks over two
    expect(v.madeMm).toBeCloseTo((0.2 * SLOPE) / 2, 9);
    expect([v.answer, v.wornMm, v.wornFrom, v.side, v.playNowMm]).toEqual([null, null, null, null, null]);
  });
  test('wear that was typed stands before wear that was read', () => {
    const typed = known(worthView(nut({ wornMm: 0.3, playNowMm: 0.7 }), SHOP));
    expect([typed.wornMm, typed.wornFrom]).toEqual([0.3, 'typed']);
    const places: Parameters<typeof took>[] = [
      ['pitchDiameter', 36.4, { positionMm: 10, member: 'part' }],
      ['pitchDiameter', 36.1, { positionMm: 200, member: 'part' }],
    ];
    const map = known(worthView(nut({ playNowMm: 0.7 }, ...places), SHOP));
    expect(map.wornFrom).toBe('map');
    expect(map.wornMm).toBeCloseTo(0.3, 9);
    expect(known(map.answer).playAfterMm).toBeCloseTo(known(typed.answer).playAfterMm, 9);
  });
  test('play after it is as made, and half the slope of what the screw has lost', () => {
    const a = known(known(worthView(nut({ wornMm: 0.3, playNowMm: 0.7, limitMm: 1, ageYears: 10 }), SHOP)).answer);
    const after = (0.2 * SLOPE) / 2 + (0.3 * SLOPE) / 2;
    expect(a.playAfterMm).toBeCloseTo(after, 9);
    expect(a.turnsNow).toBeCloseTo(0.1, 9);
    // it grew by what it grew in ten years, and from there to the limit it takes so long
    const perYear = (0.7 - (0.2 * SLOPE) / 2) / 10;
    expect(known(a.years)).toBeCloseTo((1 - after) / perYear, 9);
    expect(a.verdict).toBe('act');
  });
  test('nobody read the play now: what a new nut leaves on the worn screw is said all the same, and its years at the wear so far', () => {
    const a = known(known(worthView(nut({ wornMm: 0.3, limitMm: 1, ageYears: 10 }), SHOP)).answer);
    const after = (0.2 * SLOPE) / 2 + (0.3 * SLOPE) / 2;
    expect(a.playAfterMm).toBeCloseTo(after, 9);
    expect([a.turnsNow, a.verdict]).toEqual([null, null]);
    expect(known(a.perYearMm)).toBeCloseTo((0.3 * SLOPE) / 2 / 10, 9);
    expect(known(a.years)).toBeCloseTo((1 - after) / ((0.3 * SLOPE) / 20), 9);
  });
  test.each([
    [0.05, 0.05, 'leave'],
    [0.6, 0.05, 'act'],
    [0.6, 2, 'other-is-the-job'],
    [0.4, 0.1, 'by-habit'],
  ])('play %s mm beside a screw worn by %s mm: %s (common practice, no source)', (playNowMm, wornMm, verdict) => {
    expect(known(known(worthView(nut({ playNowMm, wornMm }), SHOP)).answer).verdict).toBe(verdict);
  });
  test('square flanks give nothing on the diameter, and no thread says nothing', () => {
    expect(worthView(named('1-4 Square').job, SHOP)).toBeNull();
    expect(worthView({ ...named('M10').job, name: null }, SHOP)).toBeNull();
  });
  test('a side cut is told with what it moves; of a nut also what it does to a worn screw', () => {
    const v = known(worthView(nut({ wornMm: 0.3 }), SHOP));
    const side = { byMm: 0.2, onPitchDiameterMm: 0.2 / (SLOPE / 2), movesMm: 0.1 };
    const of = { ...v, side, playNowMm: 0.1, wantedMm: 0.3, wornPlayMm: 0.38 };
    const text = known(sideText(of as never, 'internal', 'mm'));
    expect(text).toMatch(/^Play is 0\.100 mm, wanted 0\.300 mm: take 0\.200 mm off the flanks in all,/);
    expect(text).toMatch(/worn screw bears on its own flank/);
    expect(text).toMatch(/Where the screw is worn the backlash will be 0\.380 mm\.$/);
    expect(sideText(of as never, 'external', 'in')).not.toMatch(/worn screw|mm/);
    expect(sideText({ ...of, side: null }, 'external', 'mm')).toBeNull();
  });
});

describe('an old groove cleaned all over', () => {
  /** A bruised M30x2 screw that is recut to a class, its pitch diameter read at some places. */
  const bruised = (read: readonly number[], cls: string | null = '6g'): Job =>
    named('M30x2', { wanted: 'recut' }).do(...read.map((mm, i) => took('pitchDiameter', mm, { positionMm: 10 * i })), {
      do: 'setFit',
      class: cls,
      clean: { pitMm: 0.05, eccentricMm: 0, builtUpMm: null },
    }).job;
  test('deeper by the pit over the sine of the flank; the pitch diameter loses twice that, and the clearance grows by it', () => {
    const job = bruised([28.6, 28.55]);
    // 0.05 / sin 30
    expect(known(cleaning(job)).deeperMm).toBeCloseTo(0.1, 9);
    const c = known(cleanedFit(job));
    // from where most metal is left
    expect(c.wasMm).toBe(28.6);
    expect(c.pitchDiameterMm).toBeCloseTo(28.4, 9);
    expect(c.loosensMm).toBeCloseTo(0.2, 9);
    // ISO 965-1: M30x2-6g has 28.493 at least
    expect(known(c.pastMm)).toBeCloseTo(0.093, 3);
  });
  test('nothing read: from the basic size; no class: past nothing', () => {
    const c = known(cleanedFit(bruised([], null)));
    expect(c.wasMm).toBeNull();
    expect(c.pitchDiameterMm).toBeCloseTo(28.701 - 0.2, 3);
    expect(c.pastMm).toBeNull();
  });
  test('what is still inside its class passes no limit', () => {
    expect(known(cleanedFit(bruised([28.7]))).pastMm).toBe(0);
  });
});
