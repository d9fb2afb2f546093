import { describe, expect, test } from '@jest/globals';
import { airText, cardText } from '../../words/machine.ts';
import { named, took, TRAIN_2MM, type Bench } from '../../app/testing/bench.ts';
import type { Edit } from './edits/index.ts';
import { aimsAfter, partBefore } from './partBefore.ts';
import { partBeforeText } from '../../words/ledger.ts';
import { tipDiameterNowMm } from './recut.ts';
import { suggestDeeper } from './deeper.ts';

/** A worn M30x2 nose, put up and found again; not yet touched off. */
const nose = (...readings: Edit[]): Bench =>
  named('M30x2', { wanted: 'recut' }).do(
    ...readings,
    { do: 'setFit', class: null, pitchClearanceMm: 0, tip: { flatMm: 0.25 } },
    { do: 'chooseLathe', lathe: 'lathe-bess' },
    { do: 'takeTrain', train: TRAIN_2MM },
    { do: 'mountGears' },
    { do: 'mount' },
    { do: 'inGroove', way: 'by-eye' },
  );
const THOU = 25.4 / 1000;

describe('a recut begins at the old groove', () => {
  test('touched off in it: an air pass at its bottom, which touches; then nothing until somebody asks for more', () => {
    const b = nose();
    expect(b.card).toMatchObject({ do: 'touch', what: 'groove' });
    b.do({ do: 'touchOff', on: 'groove' });
    expect(b.card).toMatchObject({ do: 'air', expectsMetal: false });
    expect(b.reading).toBeCloseTo(0, 9);
    expect(cardText(b.view, 'external', 'in')).toMatch(/if it cuts, stop/);
    b.do({ do: 'airPass', result: 'in' });
    expect(b.card).toMatchObject({ do: 'measure', what: 'thread' });
  });
  test('touched off on the crests, its depth read: an air pass at that depth, and only what is deeper is scheduled', () => {
    const b = nose(took('majorDiameter', 29.9), took('depth', 1.1)).do(
      { do: 'measureBlank', diameterMm: 29.8 },
      { do: 'touchOff', on: 'surface' },
    );
    // read from a crest of 29.9 and touched on one filed to 29.8
    expect(b.metal.grooveMm).toBeCloseTo(1.05, 9);
    expect(b.card.do).toBe('air');
    expect(b.reading).toBeLessThanOrEqual(1.05);
    expect(b.reading).toBeGreaterThan(1.05 - THOU);
    b.do({ do: 'airPass', result: 'in' });
    expect(b.view.plan?.passes.every((p) => p.depthMm > 1.05)).toBe(true);
    expect(b.card).toMatchObject({ do: 'set', expectsMetal: true });
  });
  test('its depth not read: passes from the crest, and those above the old flanks say that they cut air', () => {
    const b = nose(took('pitchDiameter', 28.701)).do(
      { do: 'setFit', pitchClearanceMm: 0.2 },
      { do: 'setSchedule', passes: 14 },
      { do: 'measureBlank', diameterMm: 30 },
      { do: 'touchOff', on: 'surface' },
      { do: 'airPass', result: 'in' },
    );
    // a P/8 tip reaches (30 - 28.701)/2 + 0.6495 = 1.299 in a groove of the basic pitch diameter (ISO 68-1: 5/8 H and
    // P/8), and 0.05 off centre meets a 30 degree flank 0.0866 earlier
    const meets = 1.299 - 0.05 / Math.tan(Math.PI / 6);
    const expected: boolean[] = [];
    const said: boolean[] = [];
    let air = 0;
    while (b.card.do === 'set' && !b.card.pass?.spring) {
      expected.push((b.card.depthMm ?? NaN) > meets);
      said.push(b.card.expectsMetal);
      if (!b.card.expectsMetal) {
        air += 1;
        expect(airText(b.card)).toMatch(/expected to cut air: if it cuts, stop/);
        expect(b.card).toMatchObject({ takesMm: 0, chipMm2: 0 });
      } else expect(airText(b.card)).toBeNull();
      b.passes(1);
    }
    expect(said).toEqual(expected);
    expect(air).toBeGreaterThan(8);
    expect(said.at(-1)).toBe(true);
  });
  test('an old groove deeper than the fit asks for: steps count from the groove', () => {
    const b = nose(took('majorDiameter', 30), took('depth', 1.35)).do(
      { do: 'measureBlank', diameterMm: 30 },
      { do: 'touchOff', on: 'surface' },
      { do: 'airPass', result: 'in' },
    );
    expect(b.card.do).toBe('measure');
    b.do({ do: 'deeper', byMm: 0.1 });
    expect(b.view.plan?.depthMm).toBeCloseTo(1.45, 9);
    expect(b.view.plan?.leftMm).toBeCloseTo(0.1, 9);
  });
});

describe('it goes by steps of one\u2019s own until the mate fits, then the same for the next part', () => {
  const stepped = (): Bench => {
    const b = nose(took('minorDiameter', 27.6)).do(
      { do: 'setSchedule', deeperStepMm: 3 * THOU, springs: 0 },
      { do: 'setQuantity', parts: 2 },
      { do: 'touchOff', on: 'groove' },
      { do: 'airPass', result: 'in' },
    );
    for (const result of ['no-start', 'starts', 'tight'] as const) {
      b.do({ do: 'tryMate', result, mate: 'nut' });
      const next = suggestDeeper(b.job, b.shop, b.metal);
      expect(next).toMatchObject({ code: 'deeper', step: 'own' });
      expect(next?.byMm).toBeCloseTo(3 * THOU, 9);
      b.do({ do: 'deeper', byMm: next?.byMm ?? NaN });
      while (b.card.do === 'set') b.passes(1);
    }
    return b;
  };
  test('three steps of 0.003 in on the radius: 0.009 in deeper, the minor diameter 0.018 in less', () => {
    const b = stepped();
    expect(b.metal.depthMm).toBeCloseTo(9 * THOU, 3);
    expect(tipDiameterNowMm(b.job, b.metal)).toBeCloseTo(27.6 - 18 * THOU, 2);
    b.do({ do: 'tryMate', result: 'runs', mate: 'nut' });
    expect(suggestDeeper(b.job, b.shop, b.metal)?.code).toBe('fits');
  });
  test('the next part is offered all of it, or to begin 0.05 short of it', () => {
    const b = stepped().do({ do: 'tryMate', result: 'runs' }, { do: 'finishPart' }, { do: 'beginPart' });
    const before = partBefore(b.job);
    expect(before?.deeperMm).toBeCloseTo(9 * THOU, 9);
    b.do(
      { do: 'mount' },
      { do: 'inGroove', way: 'by-eye' },
      { do: 'touchOff', on: 'groove' },
      { do: 'airPass', result: 'in' },
      { do: 'deeper', byMm: before?.deeperMm ?? NaN },
    );
    expect(b.view.plan?.depthMm).toBeCloseTo(9 * THOU, 9);
    expect(b.card.do).toBe('set');
  });
});

test('the next part of a recut is begun short by what a zero found in an old groove leaves open: more between steeper flanks', () => {
  const next = (thread: string): readonly { readonly deeperMm: number; readonly shortMm: number }[] => {
    const b = named(thread, { wanted: 'recut' })
      .do({ do: 'chooseLathe', lathe: 'lathe-els' }, { do: 'setQuantity', parts: 2 }, { do: 'mount' })
      .do({ do: 'inGroove', way: 'by-eye' }, { do: 'touchOff', on: 'groove' }, { do: 'airPass', result: 'in' })
      .do({ do: 'deeper', byMm: 0.3 }, { do: 'finishPart' }, { do: 'beginPart' });
    const before = partBefore(b.job);
    return before ? aimsAfter(b.job, b.shop, before) : [];
  };
  // 0.04 beside the middle meets a flank of 30 degrees 0.04 / tan 30 early, one of 5 degrees 0.04 / tan 5
  expect(next('M30x2')).toEqual([
    expect.objectContaining({
      shortMm: expect.closeTo(0.0693, 4) as unknown,
      deeperMm: expect.closeTo(0.2307, 4) as unknown,
    }),
  ]);
  expect(next('50 mm x 8 mm 45/5')).toEqual([]);
});

test('a part whose zero was taken anew in mid-cut is no measure for the next one', () => {
  const b = nose()
    .do({ do: 'setQuantity', parts: 2 }, { do: 'setSchedule', springs: 0 }, { do: 'touchOff', on: 'groove' })
    .do({ do: 'airPass', result: 'in' }, { do: 'deeper', byMm: 0.1 })
    .passes(1)
    .do(
      { do: 'reseat' },
      { do: 'inGroove', way: 'by-eye' },
      { do: 'touchOff', on: 'groove' },
      { do: 'airPass', result: 'in' },
    )
    .do({ do: 'tryMate', result: 'tight' }, { do: 'deeper', byMm: 0.1 })
    .passes(1)
    .do({ do: 'tryMate', result: 'runs' }, { do: 'finishPart' }, { do: 'beginPart' });
  const before = partBefore(b.job);
  expect(before).toMatchObject({ deeperMm: expect.closeTo(0.2, 9) as unknown, zeroKept: false });
  expect(before && aimsAfter(b.job, b.shop, before)).toEqual([]);
  expect(before && partBeforeText(before, 'mm')).toMatch(/says nothing of this part/);
});

describe('cleaning all over is heard by the plan', () => {
  test('from the crests it needs the depth of the old groove: without it nothing is cut', () => {
    const clean = { do: 'setFit' as const, clean: { pitMm: 0.1, eccentricMm: 0, builtUpMm: null } };
    const touch = [
      { do: 'measureBlank' as const, diameterMm: 29.9 },
      { do: 'touchOff' as const, on: 'surface' as const },
      { do: 'airPass' as const, result: 'in' as const },
    ];
    expect(nose().do(clean, ...touch).card.stopped).toMatchObject({
      code: 'plan',
      problem: { code: 'groove-depth-unknown' },
    });
    const known = nose(took('depth', 1.2)).do(clean, ...touch);
    expect(known.view.plan?.depthMm).toBeCloseTo(1.4, 9);
  });
  test('a pit of 0.1 on 30 degree flanks, 0.05 out of true: 0.25 deeper, and a change of it stops the card', () => {
    const b = nose().do(
      { do: 'setFit', clean: { pitMm: 0.1, eccentricMm: 0.05, builtUpMm: null } },
      { do: 'touchOff', on: 'groove' },
      { do: 'airPass', result: 'in' },
    );
    expect(b.view.plan?.depthMm).toBeCloseTo(0.25, 9);
    expect(b.card.do).toBe('set');
    b.passes(1).do({ do: 'setFit', clean: { pitMm: 0.2, eccentricMm: 0.05, builtUpMm: null } });
    expect(b.card.stopped).toMatchObject({ code: 'changed', changes: [{ fact: 'Cleaning' }] });
  });
});
