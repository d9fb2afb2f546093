import { describe, expect, test } from '@jest/globals';
import { m30 } from '../../app/testing/bench.ts';
import { known } from '../../app/testing/known.ts';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { problemText } from '../../words/problems.ts';
import { problem } from '../quantity/outcome.ts';
import { applyEdit, type Edit } from './edits/index.ts';
import { planDecidedAt } from './planProblem.ts';
import type { Job } from './schema.ts';

const sluice = known(demoJobs().find((j) => j.id === 'demo-sluice'));
const tried = (e: Edit) => applyEdit(sluice, demoShop(), e, { id: 'x', at: '2026-11-26T08:00:00.000Z' });

describe('a limit of the passes that makes no plan', () => {
  test('is refused where it is typed, and nothing is changed', () => {
    const under = tried({ do: 'setSchedule', firstMaxMm: 0.001 });
    expect(under.ok ? null : under.problem.code).toBe('smallest-over-largest');
    const freed = tried({ do: 'setSchedule', lastMinMm: null, firstMaxMm: 0.001 });
    expect(freed.ok ? null : freed.problem).toMatchObject({ field: 'firstMaxMm', code: 'too-many-passes' });
    const step = tried({ do: 'setSchedule', rule: 'step', stepMm: 0.001, lastMinMm: null });
    expect(step.ok ? null : step.problem).toMatchObject({ field: 'stepMm', code: 'too-many-passes' });
    const over = tried({ do: 'setSchedule', lastMinMm: 2 });
    expect(over.ok ? null : over.problem.field).toBe('lastMinMm');
    expect(tried({ do: 'setSchedule', firstMaxMm: 0.2 }).ok).toBe(true);
  });
  test('who has such limits already, from a file, may change one after the other', () => {
    const bad: Job = { ...sluice, cut: { ...sluice.cut, firstMaxMm: 0.001 } };
    const at = (e: Edit) => applyEdit(bad, demoShop(), e, { id: 'x', at: '2026-11-26T08:00:00.000Z' }).ok;
    expect([at({ do: 'setSchedule', springs: 3 }), at({ do: 'setSchedule', firstMaxMm: 0.002 })]).toEqual([true, true]);
  });
  test('steps are chosen before their size is typed: that is asked for and not refused', () => {
    expect(m30().try({ do: 'setSchedule', rule: 'step' })).toBeNull();
  });
  test('both limits are named with what either may be', () => {
    const p = problem('lastMinMm', 'smallest-over-largest', { smallestMm: 0.02, largestMm: 0.001 });
    expect(problemText(p, 'mm')).toEqual({
      message: 'The smallest cut, 0.020 mm, is larger than the largest, 0.001 mm.',
      right: 'a smallest of at most 0.001 mm, or a largest of at least 0.020 mm',
    });
  });
});

describe('a length that is something is never written as nothing', () => {
  const said = (mm: number, u: 'mm' | 'in') =>
    problemText(problem('lastMinMm', 'smallest-over-largest', { smallestMm: 1, largestMm: mm }), u).right;
  test('below the last place it is written to its first figure', () => {
    expect(said(0.001, 'in')).toMatch(/at most 0\.00004 in/);
    expect(said(0.0002, 'mm')).toMatch(/at most 0\.0002 mm/);
    expect(said(0, 'mm')).toMatch(/at most 0\.000 mm/);
  });
});

describe('where a plan that is refused is decided', () => {
  test.each([
    ['firstMaxMm', 'plan'],
    ['lastMinMm', 'plan'],
    ['stepMm', 'plan'],
    ['passes', 'plan'],
    ['straightLastMm', 'plan'],
    ['clearanceMm', 'setup'],
    ['slideAngleDeg', 'setup'],
    ['lengthMm', 'setup'],
    ['tip.flatMm', 'fit'],
    ['targetPitchDiameterMm', 'fit'],
    ['surfaceMm', 'fit'],
  ])('%s: %s', (field, where) => {
    expect(planDecidedAt(field)).toBe(where);
  });
});
