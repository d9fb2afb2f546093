import { known } from '../../app/testing/known.ts';
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseDesignation } from '../standards/designation.ts';
import { classesOf, limitsOf } from '../standards/limits.ts';
import { pitchMmOf, threadSizes, type ThreadSpec } from '../standards/thread.ts';
import { fitPlan } from './fit.ts';
import { gaugeSizes, type GaugeChoice } from './gauge.ts';

function thread(designation: string): ThreadSpec {
  const parsed = parseDesignation(designation);
  if (!parsed.ok) throw new Error(designation);
  return parsed.value.thread;
}
function gauge(designation: string, cls: string, make: 'external' | 'internal', choice: GaugeChoice) {
  const t = thread(designation);
  const limits = limitsOf(t, cls, null);
  if (!limits.ok) throw new Error(cls);
  const sizes = gaugeSizes(make, limits.value, threadSizes(t), pitchMmOf(t), choice);
  if (!sizes.ok) throw new Error(sizes.problem.code);
  return sizes.value;
}

// work limits 9.026-9.206: ISO 965-2; the tenths: common practice, no source
test('plugs for M10 6H: go 9.035 to 9.053, scrapped at 9.026; not-go 9.188 to 9.206', () => {
  const go = gauge('M10', '6H', 'external', { end: 'go', school: 'inside' });
  expect(go.pitch).toEqual({ min: expect.closeTo(9.035, 3), max: expect.closeTo(9.053, 3) });
  expect(go.scrapAtMm).toBeCloseTo(9.026, 6);
  expect(go.start.min).toBeGreaterThan(10);
  expect(go.start.max).toBeLessThan(10.03);
  const not = gauge('M10', '6H', 'external', { end: 'not-go', school: 'inside' });
  expect(not.pitch).toEqual({ min: expect.closeTo(9.188, 3), max: expect.closeTo(9.206, 3) });
  // flanks only
  expect(not.start.max).toBeCloseTo(9.206 + 0.3, 3);
  expect(not.scrapAtMm).toBeNull();
});
test('the other school lays the not-go on the limit', () => {
  const { pitch } = gauge('M10', '6H', 'external', { end: 'not-go', school: 'centred' });
  expect((known(pitch.min) + known(pitch.max)) / 2).toBeCloseTo(9.206, 6);
});
test('rings for M10 6g mirror it', () => {
  // d2 8.994-8.862: ISO 965-2
  const go = gauge('M10', '6g', 'internal', { end: 'go', school: 'inside' });
  expect(go.pitch).toEqual({ min: expect.closeTo(8.994 - 0.0198, 3), max: expect.closeTo(8.994 - 0.0066, 3) });
  expect(go.scrapAtMm).toBeCloseTo(8.994, 6);
  const not = gauge('M10', '6g', 'internal', { end: 'not-go', school: 'inside' });
  expect(not.pitch).toEqual({ min: expect.closeTo(8.862, 3), max: expect.closeTo(8.8752, 3) });
  expect(known(not.start.max)).toBeLessThan(known(not.pitch.min));
});
test('inside its limits whatever the size and class, and a go end has metal to wear', () => {
  const sizes = ['M6', 'M30x2', '1/4-20 UNC', '3/4-16 UNF', '1-8 BSW', '2 1/4-6 BSF', '1-5 Acme', 'Tr40x7'];
  fc.assert(
    fc.property(
      fc.constantFrom(...sizes),
      fc.nat(),
      fc.boolean(),
      fc.constantFrom<GaugeChoice['end']>('go', 'not-go'),
      (designation, n, plug, end) => {
        const t = thread(designation);
        const classes = classesOf(t)[plug ? 'internal' : 'external'];
        const cls = classes[n % classes.length] ?? '';
        const work = limitsOf(t, cls, null);
        const member = work.ok ? work.value[plug ? 'internal' : 'external'] : undefined;
        if (!member || member.pitch.min === null || member.pitch.max === null) return false;
        const g = gauge(designation, cls, plug ? 'external' : 'internal', { end, school: 'inside' });
        const inside = (g.pitch.min ?? 0) >= member.pitch.min - 1e-9 && (g.pitch.max ?? 0) <= member.pitch.max + 1e-9;
        const wears =
          g.scrapAtMm === null || (plug ? (g.pitch.min ?? 0) > g.scrapAtMm : (g.pitch.max ?? 0) < g.scrapAtMm);
        return inside && wears;
      },
    ),
  );
});
test('a plug is planned to its own limits, not to those of a screw', () => {
  const plan = fitPlan(thread('M10'), {
    make: 'external',
    pitchClearanceMm: 0,
    crestReliefMm: 0,
    tip: null,
    class: '6H',
    gauge: { end: 'go', school: 'inside' },
  });
  expect(plan.problem).toBeNull();
  expect(plan.pitchDiameterMm).toBeCloseTo(9.044, 3);
  expect(plan.startDiameterMm).toBeCloseTo(10.018, 3);
  // narrower than the form's own P/8 and more: the groove of a plug over basic is narrower at the root
  expect(plan.widestTipMm).toBeLessThan(
    fitPlan(thread('M10'), { make: 'external', pitchClearanceMm: 0, crestReliefMm: 0, tip: null }).widestTipMm,
  );
  expect(
    fitPlan(thread('M10'), {
      make: 'external',
      pitchClearanceMm: 0,
      crestReliefMm: 0,
      tip: null,
      class: null,
      gauge: { end: 'go', school: 'inside' },
    }).problem?.field,
  ).toBe('class');
});
