import { describe, expect, test } from '@jest/globals';
import { atControl, Bench, demo, named, TRAIN_2MM } from '../../app/testing/bench.ts';
import { cardText } from '../../words/machine.ts';
import { PITCH_PROVED, pitchLines } from '../../words/pitch.ts';
import type { Edit } from './edits/index.ts';
import { pitchWaived } from './pitchProof.ts';

const raw = (b: Bench): Bench => {
  b.proves = false;
  return b;
};
/** M30x2 on the inch lathe up to the touch-off; nothing is proved. */
const m30 = (...more: Edit[]): Bench =>
  raw(named('M30x2')).do(
    { do: 'chooseLathe', lathe: 'lathe-bess' },
    { do: 'takeTrain', train: TRAIN_2MM },
    { do: 'mountGears' },
    { do: 'mount' },
    { do: 'measureBlank', diameterMm: 29.93 },
    { do: 'touchOff' },
    ...more,
  );
const due = (b: Bench): boolean => b.card.what === 'pitch';

describe('the pitch is proved before any depth', () => {
  test('a scratch of a few hundredths comes first, with what it should span and what the nearest slips would', () => {
    const { card } = m30();
    expect(card).toMatchObject({ do: 'air', what: 'pitch', stopped: null, pass: null, writes: null });
    expect(card.depthMm).toBeLessThanOrEqual(0.05);
    expect(card.settings).toHaveLength(2);
    // 63/40 x 20/50 on 8 tpi: 63/100 of 3.175
    expect(card.pitch?.leadMm).toBeCloseTo(2.00025, 9);
    expect(card.pitch?.spanMm).toBeCloseTo((card.pitch?.count ?? 0) * 2.00025, 9);
    // the 65 for the 63 is the nearest that this set allows: 65/100 of 3.175
    const nearest = card.pitch?.slips[0];
    expect(nearest?.mistake).toMatchObject({ kind: 'gear', planned: 63 });
    // so many grooves that it lies four readings of a rule further off
    expect(Math.abs((nearest?.spanMm ?? 0) - (card.pitch?.spanMm ?? 0))).toBeGreaterThanOrEqual(1);
    expect(cardText(m30().view, 'external', 'mm')).toMatch(/a scratch, no more.*grooves span/);
  });
  test('read, it goes on or stops the card; drawn as it should be, one key says so', () => {
    const { count, spanMm } = m30().card.pitch ?? { count: 0, spanMm: 0 };
    expect(m30({ do: 'scratch', crests: count, spanMm: spanMm + 0.2 }).card.do).toBe('set');
    expect(m30({ do: 'scratch', crests: count, spanMm: (spanMm * 60) / 63 }).card.stopped?.code).toBe('scratch');
    expect(m30({ do: 'provePitch', by: 'scratch' }).card.do).toBe('set');
    expect(m30({ do: 'provePitch', by: 'turns' }).metal.pitchProved).toBe('turns');
  });
  test('gears put up anew, a lever, or another lead asks anew; the part after it does not', () => {
    const cut = m30({ do: 'provePitch', by: 'scratch' }, { do: 'passDone' }, { do: 'finishPart' });
    const next = cut.do(
      { do: 'setQuantity', parts: 2 },
      { do: 'beginPart' },
      { do: 'mount' },
      { do: 'measureBlank', diameterMm: 29.95 },
      { do: 'touchOff' },
    );
    expect(next.card.do).toBe('set');
    expect(due(next.do({ do: 'mountGears' }, { do: 'touchOff' }))).toBe(true);
    expect(due(m30({ do: 'provePitch', by: 'scratch' }, { do: 'setLevers', ratio: '1/2' }))).toBe(true);
  });
  test('a train that stood there already and is known to have cut right is not asked again', () => {
    const b = m30();
    const proven = [{ leadMm: '2', train: TRAIN_2MM, job: 'before', at: '2026-01-01T00:00:00.000Z' }];
    const shop = {
      ...b.shop,
      lathes: b.shop.lathes.map((l) => (l.id === 'lathe-bess' ? { ...l, mounted: TRAIN_2MM, proven } : l)),
    };
    const before = (edits: readonly Edit[]): Bench => raw(new Bench(named('M30x2').job, shop)).do(...edits);
    const up: Edit[] = [
      { do: 'chooseLathe', lathe: 'lathe-bess' },
      { do: 'takeTrain', train: TRAIN_2MM },
      { do: 'mount' },
      { do: 'measureBlank', diameterMm: 29.93 },
      { do: 'touchOff' },
    ];
    expect(before(up).card.do).toBe('set');
    expect(due(before([...up.slice(0, 2), { do: 'mountGears' }, ...up.slice(2)]))).toBe(true);
  });
  test('where a groove is there, the run along it in the air proves it', () => {
    const b = raw(named('M30x2', { wanted: 'recut' })).do(
      { do: 'chooseLathe', lathe: 'lathe-els' },
      { do: 'mount' },
      { do: 'inGroove', way: 'by-eye' },
      { do: 'touchOff', on: 'groove' },
    );
    expect(b.card).toMatchObject({ do: 'air', pitch: null });
    b.do({ do: 'airPass', result: 'in' });
    expect(b.metal.pitchProved).toBe('air');
  });
  test('a nut: turns of the chuck, before the work is put up; at a control a spare bar', () => {
    const nut = (lathe: string): Bench =>
      raw(named('M30x2', { make: 'internal', cameIn: 'nut' })).do({ do: 'chooseLathe', lathe });
    const bess = nut('lathe-bess').do({ do: 'takeTrain', train: TRAIN_2MM }, { do: 'mountGears' });
    expect(bess.card).toMatchObject({ do: 'air', what: 'pitch', settings: [], pitch: { by: 'turns' } });
    expect(bess.do({ do: 'provePitch', by: 'bar' }).card).toMatchObject({ do: 'mount', what: 'work' });
    const told = atControl(nut('lathe-els'));
    expect(told.card.pitch?.by).toBe('bar');
    expect(pitchLines(told.card.pitch!, 'mm').what).toMatch(/^Before the nut is put up, scratch a spare bar/);
    // an electronic leadscrew follows the spindle when it is turned by hand
    expect(nut('lathe-els').card.pitch?.by).toBe('turns');
  });
  test('let be, once: the record says so, and the next train asks again', () => {
    const b = m30({ do: 'provePitch', by: 'waived' });
    expect(b.card.do).toBe('set');
    expect(pitchWaived(b.job)).toBe(true);
    expect(PITCH_PROVED.waived).toContain('not proved');
    expect(due(b.do({ do: 'mountGears' }))).toBe(true);
    expect(pitchWaived(m30().job)).toBe(false);
  });
  test('a pass said to be cut while it is not proved has let it be', () => {
    const b = m30({ do: 'passDone' });
    expect(b.job.events.slice(-2).map((e) => e.kind)).toEqual(['pitchProved', 'cut']);
    expect(b.metal).toMatchObject({ cuts: 1, pitchProved: 'waived' });
  });
  test('an older record in mid-cut is not asked: what is cut shows it', () => {
    expect(due(demo('demo-sluice'))).toBe(false);
    expect(demo('demo-sluice').metal.pitchProved).toBe('cut');
  });
});

describe('how many grooves', () => {
  test('never more than there are, and where a rule cannot tell it says so', () => {
    const short = m30({ do: 'setUp', lengthMm: 12 });
    expect(short.card.pitch).toMatchObject({ count: 5, told: false });
    expect(pitchLines(short.card.pitch!, 'mm').doubt).toMatch(/^A rule does not tell it from/);
  });
});
