import { describe, expect, test } from '@jest/globals';
import { answersOf } from '../../ops/answers.ts';
import { goOver } from './edits/back.ts';
import { lastN, metalOf, standing } from './metal.ts';
import { sideCutOf } from './sideCut.ts';
import { cardText } from '../../words/machine.ts';
import { startMovesOf } from './startMoves.ts';
import { AT, type Bench, named, m30 } from '../../app/testing/bench.ts';

describe('the ledger', () => {
  test('an event taken back stays, struck through; taking that back brings it again', () => {
    const b = m30().passes(2);
    const [first, second] = standing(b.job.events).filter((e) => e.kind === 'cut');
    b.do({ do: 'void', of: second?.n ?? 0 });
    expect(b.metal.depthMm).toBe(first?.kind === 'cut' ? first.depthMm : NaN);
    expect(b.job.events.some((e) => e.n === second?.n)).toBe(true);
    b.do({ do: 'void', of: lastN(b.job) });
    expect(b.metal.depthMm).toBe(second?.kind === 'cut' ? second.depthMm : NaN);
    expect(b.try({ do: 'void', of: 9999 })).toBe('of');
  });
  test('undo strikes the event through and rewrites nothing; redo strikes that through', () => {
    const b = m30().passes(1);
    const before = b.job;
    b.passes(1);
    const made = { id: 'u', at: AT };
    const back = goOver(b.job, { value: before, events: [lastN(b.job)] }, made);
    expect(back.value.events.slice(0, b.job.events.length)).toEqual(b.job.events);
    expect(metalOf(back.value).cuts).toBe(1);
    const again = goOver(back.value, { value: b.job, events: back.events }, made);
    expect(metalOf(again.value)).toMatchObject({ cuts: 2, depthMm: b.metal.depthMm });
    expect(again.value.events.length).toBe(b.job.events.length + 2);
  });
  test('order is by number: a clock set back changes nothing', () => {
    const b = m30().passes(1);
    b.do({ do: 'passDone', at: '1999-01-01T00:00:00Z' });
    expect(b.metal.cuts).toBe(2);
  });
  test('parts have ledgers of their own', () => {
    const b = m30().do({ do: 'setQuantity', parts: 2 });
    expect(b.try({ do: 'beginPart' })).toBeNull();
    b.do({ do: 'mount' }, { do: 'measureBlank', diameterMm: 29.9 }, { do: 'touchOff' }).passes(2);
    expect(b.try({ do: 'beginPart' })).toBe('part');
    b.do({ do: 'finishPart' }, { do: 'beginPart' });
    expect(b.metal).toMatchObject({ part: 2, cuts: 0, depthMm: 0, surfaceMm: null });
  });
  test('starts: each to its depth, the next begins at the surface', () => {
    const b = named('1-5 Acme 2-start').do(
      { do: 'chooseLathe', lathe: 'lathe-els' },
      { do: 'mount' },
      { do: 'measureBlank', diameterMm: 25.3 },
      { do: 'touchOff' },
    );
    const cutThrough = (): void => {
      while (b.card.do === 'set') b.do(b.card.pass?.spring ? { do: 'springDone' } : { do: 'passDone' });
    };
    cutThrough();
    expect(b.card.do).toBe('next-start');
    b.do({ do: 'nextStart' });
    expect(b.metal).toMatchObject({ start: 2, depthMm: 0, cuts: 0 });
    cutThrough();
    expect(b.card.do).toBe('measure');
    expect(b.try({ do: 'nextStart' })).toBe('start');
  });
});

test('in a nut of two starts the top slide stands where indexing set it, and the next card reads its collar so', () => {
  const b = named('1-5 Acme 2-start', { make: 'internal' }).do(
    { do: 'setUp', infeed: 'plunge' },
    { do: 'chooseLathe', lathe: 'lathe-bess' },
    { do: 'takeTrain', train: { drivers: [60, 50], driven: [30, 40], gearbox: '1' } },
    { do: 'mountGears' },
    { do: 'mount' },
    { do: 'measureBlank', diameterMm: 20.9 },
    { do: 'touchOff' },
  );
  for (let i = 0; i < 60 && b.card.do === 'set'; i += 1)
    b.do(b.card.pass?.spring ? { do: 'springDone' } : { do: 'passDone' });
  expect(b.card.do).toBe('next-start');
  const move = startMovesOf(b.job, b.shop)?.moves.find((m) => m.way === 'top-slide');
  if (move?.way !== 'top-slide') throw new Error('no top slide');
  b.do({ do: 'nextStart', topMm: move.travelMm });
  const top = b.card.settings.find((s) => s.slide === 'top');
  expect([top?.turns, top?.shown]).toEqual([move.dial.turns, move.dial.shown]);
});

test('inside, the slides are wound back and the collar runs down', () => {
  const b = named('M30x2', { make: 'internal' }).do(
    { do: 'setUp', infeed: 'plunge' },
    { do: 'chooseLathe', lathe: 'lathe-els' },
    { do: 'mount' },
    { do: 'measureBlank', diameterMm: 27.9 },
    { do: 'touchOff' },
  );
  const [s] = b.card.settings;
  expect(s).toMatchObject({ slide: 'cross', wound: 'back' });
  expect((s?.value ?? 0) + (s?.toMm ?? 0)).toBeCloseTo(1, 9); // a dial of 1 mm a turn
  expect(b.card.cautions).toEqual(expect.arrayContaining(['inside-out', 'bar-unknown']));
  expect(cardText(b.view, 'internal', 'mm')).toMatch(/^Cross slide, back to/);
});

test.each([
  ['screw', 'external', false, 90],
  ['left-hand screw', 'external', true, 90],
  ['screw, slide at 29.5', 'external', false, 29.5],
  ['nut', 'internal', false, 90],
] as const)(
  'a side cut in a %s is set before it is made, and the next card speaks from there',
  (_, make, left, slideDeg) => {
    const b = named(left ? 'M30x2 LH' : 'M30x2', { make, material: 'mild steel' });
    b.do({ do: 'chooseLathe', lathe: 'lathe-els' }, { do: 'mount' }, { do: 'setUp', infeed: 'plunge' });
    b.do({ do: 'measureBlank', diameterMm: make === 'external' ? 29.9 : 27.9 }, { do: 'touchOff', slideDeg });
    b.passes(5);
    const at = (): string => JSON.stringify(b.card.settings);
    for (const flank of ['leading', 'trailing'] as const) {
      const set = sideCutOf(b.job, b.shop, flank, 0.05);
      expect(set?.byMm).toBeCloseTo(0.05, 2);
      // the leading flank lies in the direction of the cut: towards the headstock, a left-hand thread's away from it
      expect(set?.towards).toBe((flank === 'leading') === !left ? 'headstock' : 'tailstock');
      b.do({ do: 'sideDone', flank, byMm: set?.byMm ?? NaN });
      expect(b.metal.axialMm).toBeCloseTo(set?.axialMm ?? NaN, 9);
      // what the next card says of the top slide is where the side cut left it
      const said = b.card.settings.find((s) => s.slide === 'top')?.toMm ?? 0;
      expect(said).toBeCloseTo(set?.set.topMm ?? NaN, 2);
    }
    expect(at()).not.toBe('[]');
  },
);

test('side cuts: depth stays, the tool stands elsewhere, the pitch diameter follows', () => {
  const b = m30().passes(6);
  const before = answersOf(b.job, b.shop, null).metal as { pitchDiameterMm: { value: number } };
  const { depthMm, axialMm } = b.metal;
  b.do({ do: 'sideDone', flank: 'leading', byMm: 0.05 });
  expect(b.metal).toMatchObject({ depthMm, sideMm: 0.05 });
  expect(b.metal.axialMm - axialMm).toBeCloseTo(0.05, 9);
  const after = answersOf(b.job, b.shop, null).metal as { pitchDiameterMm: { value: number } };
  expect(before.pitchDiameterMm.value - after.pitchDiameterMm.value).toBeCloseTo(0.1 / (2 * Math.tan(Math.PI / 6)), 9);
});

test('a pass struck through before the dials were zeroed: the next reading stands from the zero that was cut with', () => {
  const cut = (): Bench =>
    named('M30x2').do(
      { do: 'chooseLathe', lathe: 'lathe-els' },
      { do: 'mount' },
      { do: 'measureBlank', diameterMm: 29.93 },
      { do: 'touchOff' },
    );
  const b = cut().passes(1);
  const first = b.job.events.at(-1)?.n ?? NaN;
  b.do({ do: 'rezero' }).passes(1);
  const before = b.reading;
  b.do({ do: 'void', of: first });
  // the slides were not moved by a stroke in the ledger: the next reading lies one pass on, not two
  expect(Math.abs(b.reading - before)).toBeLessThan(0.06);
});
