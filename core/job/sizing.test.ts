import { describe, expect, test } from '@jest/globals';
import { m30 } from '../../app/testing/bench.ts';
import { beliefText } from '../../words/size.ts';
import { sizingOf } from './sizing.ts';
import { measurePlan } from './measure.ts';

describe('what the part on the lathe measures, by its whole ledger', () => {
  test('nothing cut says nothing', () => {
    const b = m30();
    expect(sizingOf(b.job, b.shop)).toBeNull();
  });
  test('passes alone place it roughly; a reading over wires to its own uncertainty; what is left follows', () => {
    const b = m30().passes(6);
    const rough = sizingOf(b.job, b.shop);
    expect(rough?.pitchDiameterMm.uncertainty).toBeGreaterThan(0.01);
    const plan = measurePlan(b.job, b.shop);
    if (!plan || !rough) throw new Error('no wires');
    b.do({ do: 'overWires', mm: plan.targetMm + 0.3, text: 'x' });
    const read = measurePlan(b.job, b.shop)?.measured[0]?.pitchDiameterMm ?? NaN;
    const told = sizingOf(b.job, b.shop);
    expect(told?.pitchDiameterMm.uncertainty).toBeLessThan(rough.pitchDiameterMm.uncertainty);
    // where dial and wires disagree it lies between, nearer to the wires
    expect(Math.abs((told?.pitchDiameterMm.value ?? 0) - read)).toBeLessThan(
      Math.abs(rough.pitchDiameterMm.value - read) + 0.01,
    );
    for (const u of ['mm', 'in'] as const) {
      const text = told && beliefText(told, u);
      expect(text?.size).toMatch(u === 'mm' ? / mm$/ : / in$/);
    }
  });
  test('an old groove or topped crests give no depth to count from', () => {
    const b = m30().passes(3).do({ do: 'topCrest', diameterMm: 29.8 });
    expect(sizingOf(b.job, b.shop)).toBeNull();
  });
});
