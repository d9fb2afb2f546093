import { describe, expect, test } from '@jest/globals';
import { named } from '../../app/testing/bench.ts';
import { betweenBallsExact, nutGrooveOf } from '../gauging/balls.ts';
import { bestWireMm, overWiresMm } from '../gauging/wires.ts';
import { pitchMmOf, threadFormOf } from '../standards/thread.ts';
import { threadOfJob } from './derive.ts';
import { measurePlan } from './measure.ts';
import type { Pin } from './schema.ts';

const pin = (mm: number, over: Partial<Pin> = {}): Pin => ({
  kind: 'wire',
  mm,
  measuredMm: null,
  roundMm: null,
  ...over,
});
const m20 = (pins: Pin[]) => {
  const b = named('M20').do({ do: 'setFit', class: '6g' });
  b.shop = { ...b.shop, pins };
  return b;
};

describe('what is laid in, and what it should read', () => {
  test('the owned ones that can be used, the surest first; a ball is for a nut', () => {
    const b = m20([pin(2.5), pin(1.45), pin(1.5, { kind: 'drill' }), pin(0.9), pin(1.44, { kind: 'ball' }), pin(1.65)]);
    const plan = measurePlan(b.job, b.shop);
    const best = plan ? bestWireMm(plan.groove) : NaN;
    expect(best).toBeCloseTo(1.4434, 3);
    expect(plan?.pins.map((p) => p.mm)).toEqual([1.45, 1.65, 2.5, 1.5]);
    expect(plan?.wireMm).toBe(1.45);
    // a drill that was measured is as good as its micrometer, though not as a wire
    b.shop = { ...b.shop, pins: b.shop.pins.map((p) => (p.kind === 'drill' ? { ...p, measuredMm: 1.46 } : p)) };
    expect(measurePlan(b.job, b.shop)?.pins.map((p) => p.mm)).toEqual([1.45, 1.65, 1.46, 2.5]);
  });
  test('mates are told apart by name, and their limits are in order', () => {
    const b = m20([]);
    const mate = { name: 'nut', lengthMm: 16, minMm: null, maxMm: null };
    expect(b.try({ do: 'setProve', mates: [mate, mate] })).toBe('mates');
    expect(b.try({ do: 'setProve', mates: [{ ...mate, minMm: 18.5, maxMm: 18.4 }] })).toBe('mates');
    expect(b.try({ do: 'setProve', clearance: { leastMm: 0.05, mostMm: 0.05 } })).toBe('clearance');
    expect(b.try({ do: 'setProve', mates: [mate, { ...mate, name: 'slice' }] })).toBeNull();
  });
  test('one that is worth buying is named while none as good is owned', () => {
    const far = m20([pin(2)]);
    expect(measurePlan(far.job, far.shop)?.buyMm).toBe(1.4);
    const near = m20([pin(1.45)]);
    expect(measurePlan(near.job, near.shop)?.buyMm).toBeNull();
  });
  test('one wire reads half of three and half the crest; without a measured crest it says so', () => {
    const b = m20([pin(1.45)]);
    const three = measurePlan(b.job, b.shop)?.targetMm ?? NaN;
    b.do({ do: 'setProve', count: 1 });
    expect(measurePlan(b.job, b.shop)?.check).toMatchObject({ ok: false, problem: { code: 'one-wire-needs-major' } });
    b.do(
      { do: 'chooseLathe', lathe: 'lathe-els' },
      { do: 'mount' },
      { do: 'measureBlank', diameterMm: 19.9 },
      { do: 'touchOff' },
    );
    const one = measurePlan(b.job, b.shop);
    // NBS Handbook H28
    expect(one?.targetMm).toBeCloseTo((three + 19.9) / 2, 9);
    b.do({ do: 'overWires', mm: one?.targetMm ?? 0 });
    expect(measurePlan(b.job, b.shop)?.measured[0]?.leftMm).toBeCloseTo(0, 6);
  });
  test('a warm part is measured warm: M grows with it, and the size that follows does not', () => {
    const b = m20([pin(1.45)]);
    const cold = measurePlan(b.job, b.shop);
    b.do({ do: 'setProve', warmK: 20 });
    const warm = measurePlan(b.job, b.shop);
    const grown = (warm?.targetMm ?? 0) - (cold?.targetMm ?? 0);
    // 11.5 um on a metre and degree
    expect(grown).toBeCloseTo(18.3 * 20 * 11.5e-6, 4);
    b.do({ do: 'overWires', mm: warm?.targetMm ?? 0 });
    b.do({ do: 'setProve', warmK: null });
    expect(measurePlan(b.job, b.shop)?.measured[0]?.leftMm).toBeCloseTo(0, 6);
    b.do({ do: 'setIntake', material: 'aluminium' }, { do: 'setProve', warmK: 20 });
    expect(measurePlan(b.job, b.shop)?.grownMm).toBeCloseTo(grown * 2, 3);
  });
  test('a nut is measured between balls, exactly, where balls are owned', () => {
    const b = named('M20', { make: 'internal', cameIn: 'nut' }).do({ do: 'setFit', class: '6H' });
    b.shop = { ...b.shop, pins: [pin(1.5)] };
    expect(measurePlan(b.job, b.shop)).toMatchObject({ by: 'balls', atHand: false });
    b.shop = { ...b.shop, pins: [pin(1.5, { kind: 'ball' })] };
    const plan = measurePlan(b.job, b.shop);
    const thread = threadOfJob(b.job);
    if (!plan || !thread) throw new Error('no plan');
    expect(plan.atHand).toBe(true);
    const groove = nutGrooveOf(threadFormOf(thread), pitchMmOf(thread), 1);
    const d2 = b.view.request ? 0 : plan.working[0]?.result;
    expect(d2).toBeGreaterThan(0);
    const exact = betweenBallsExact(groove, 18.376 + 0.112, 1.5);
    // ISO 965-1, M20 6H: D2 18.376 to 18.600, aimed at in the middle
    expect(exact.ok && exact.value).toBeCloseTo(plan.targetMm, 3);
    expect(b.try({ do: 'overWires', mm: 20 })).toBe('mm');
    b.do({ do: 'betweenBalls', mm: plan.targetMm - 0.05 });
    expect(measurePlan(b.job, b.shop)?.measured[0]).toMatchObject({
      verdict: 'at-size',
      leftMm: expect.closeTo(0.05, 3),
    });
  });
  test('what the unworn part read stands beside it, with the wire used now', () => {
    const b = m20([pin(1.45)]);
    const plan = measurePlan(b.job, b.shop);
    expect(plan?.unwornMm).toBeNull();
    const groove = plan?.groove;
    if (!groove) throw new Error('no groove');
    const wire = 1.65;
    b.do({
      do: 'takeReading',
      reading: {
        quantity: 'overWires',
        text: 'x',
        value: overWiresMm(groove, 18.3, wire, 'textbook'),
        span: { text: '1.65', mm: wire },
        leaf: null,
        instrument: null,
        uncertainty: null,
        member: 'part',
        place: '',
        positionMm: 5,
        wear: 'unworn',
      },
    });
    expect(measurePlan(b.job, b.shop)?.unwornMm).toBeCloseTo(overWiresMm(groove, 18.3, 1.45, 'textbook'), 3);
  });
});
