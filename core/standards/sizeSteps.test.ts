import { describe, expect, test } from '@jest/globals';
import { fitPlan } from '../fit/fit.ts';
import { calculate } from '../../app/testing/calculate.ts';
import type { Step } from '../quantity/working.ts';
import { CATALOGUE } from './catalogue.ts';
import { parseDesignation } from './designation.ts';
import { SIZE_NAMES, sizeSteps } from './sizeSteps.ts';
import { bestWireMm, grooveOf } from '../gauging/wires.ts';
import { wireSteps } from '../gauging/wireSteps.ts';
import { pitchMmOf, threadFormOf, threadOfRow, threadSizes, type ThreadSpec } from './thread.ts';

const adds = (s: Step): void => {
  const got = calculate(s.values);
  // the values are shown to six places; a flat is never less than nothing
  expect([s.name, Math.abs((s.symbol === 'f' ? Math.max(0, got) : got) - s.result) < 2e-4]).toEqual([s.name, true]);
};
const named = (text: string): ThreadSpec => {
  const r = parseDesignation(text);
  if (!r.ok) throw new Error(text);
  return r.value.thread;
};

describe('workings add up', () => {
  test('of every thread in the tables, each line gives its result, and the result is the one used', () => {
    for (const row of CATALOGUE) {
      const thread = threadOfRow(row);
      const steps = sizeSteps(thread);
      const sizes = threadSizes(thread);
      for (const name of SIZE_NAMES) adds(steps[name]);
      expect(steps.pitchDiameter.result).toBe(sizes.pitchDiameterMm);
      expect(steps.minorExternal.result).toBe(sizes.minorExternalMm);
      expect(steps.minorInternal.result).toBe(sizes.minorInternalMm);
    }
  });
  test.each(['M10', '1 1/4-7 BSW', '1-5 Acme', 'Tr 40x7', '2-6 Butt', 'S 50x8', '0 BA'])('over wires, %s', (name) => {
    const thread = named(name);
    const groove = grooveOf(threadFormOf(thread), pitchMmOf(thread), thread.starts);
    for (const s of wireSteps(groove, threadSizes(thread).pitchDiameterMm, bestWireMm(groove))) adds(s);
  });
  test.each([
    ['M10', 'external', null],
    ['M10', 'internal', '6H'],
    ['1 1/4-7 BSW', 'external', null],
    ['1-5 Acme', 'internal', null],
    ['Tr 40x7', 'external', '7e'],
    ['3/4-10 UNC', 'external', '2A'],
  ] as const)('of the fit of %s, %s, class %s', (name, make, cls) => {
    const plan = fitPlan(named(name), {
      make,
      pitchClearanceMm: 0.05,
      crestReliefMm: 0.08,
      tip: null,
      class: cls,
      engagementMm: null,
    });
    for (const s of Object.values(plan.working)) adds(s);
    expect(Object.values(plan.working).map((s) => s.result)).toEqual([
      plan.startDiameterMm,
      plan.pitchDiameterMm,
      plan.depthMm,
      plan.rootDiameterMm,
    ]);
  });
});

// Printed rows: ISO 724 (M10: 9.026, 8.376), BS 84 (1 1/4: 1.1585 in, 1.0670 in), ASME B1.5 (1-5 Acme: 0.9000 in)
test.each([
  ['M10', 'pitchDiameter', 9.026, 0.0005],
  ['M10', 'minorInternal', 8.376, 0.0005],
  ['1 1/4-7 BSW', 'pitchDiameter', 1.1585 * 25.4, 0.002],
  ['1 1/4-7 BSW', 'minorExternal', 1.067 * 25.4, 0.002],
  ['1-5 Acme', 'pitchDiameter', 0.9 * 25.4, 0.0005],
] as const)('%s %s', (name, size, mm, within) => {
  expect(Math.abs(sizeSteps(named(name))[size].result - mm)).toBeLessThan(within);
});
