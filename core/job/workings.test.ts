import { equalFlanks } from '../form/flanks.ts';
import { describe, expect, test } from '@jest/globals';
import { calculate } from '../../app/testing/calculate.ts';
import { demo, m30, named, TRAIN_2MM, type Bench } from '../../app/testing/bench.ts';
import { threadingRpm } from '../cutting/speed.ts';
import { sideReliefSteps } from '../form/relief.ts';
import { effectSteps } from '../gearing/proof/index.ts';
import { leadSteps } from '../gearing/leadSteps.ts';
import { slideScaleSteps } from '../lathe/dials.ts';
import { setupOf } from './setupView.ts';
import { exact } from '../quantity/rational.ts';
import type { Step } from '../quantity/working.ts';
import { measurePlan } from './measure.ts';
import { passSteps } from './passSteps.ts';
import { pickupMove } from './pickupMove.ts';
import { pickupWorking } from './pickupWorking.ts';

/** The values shown, worked out as a reader with a calculator would, give the result shown. */
const adds = (steps: readonly Step[]): void => {
  for (const s of steps) expect([s.name, Math.abs(calculate(s.values) - s.result) < 2e-4]).toEqual([s.name, true]);
};

describe('every working that a station shows gives its own result', () => {
  test('what a lead error does', () => {
    adds(effectSteps(213, 38, equalFlanks(55)));
    adds(effectSteps(-1000, 20, { leadingDeg: 3, trailingDeg: 30 }));
  });
  test('the time to react; a speed is a speed', () => {
    const b = demo('demo-sluice');
    const ends = [
      b.job,
      { ...b.job, setup: { ...b.job.setup, end: 'taper-out' as const } },
      { ...b.job, cut: { ...b.job.cut, returnBy: 'dial' as const } },
    ];
    const units = ends.map((job) => {
      const steps = setupOf(job, b.shop)?.react?.steps ?? [];
      adds(steps);
      return steps.map((s) => s.unit).join(' ');
    });
    expect(units).toEqual(['mm mm/s s', 'ratio', 'mm mm/s s']);
  });
  test('the slide\u2019s own scale, both ways of reading it', () => {
    adds(slideScaleSteps(29.5, 'bed'));
    adds(slideScaleSteps(29.5, 'cross-slide'));
  });
  test('the lead of a train, and the relief of a tool', () => {
    const lathe = { leadscrew: '127/40', fixedRatio: '1' };
    adds(leadSteps(lathe, { drivers: [63, 20], driven: [40, 50], gearbox: '1' }, exact('2.0003')));
    adds(sideReliefSteps(10.16, 19.8));
  });
  test('over wires, exact too', () => {
    const b = demo('demo-sluice');
    const wires = measurePlan(b.job, b.shop);
    expect(wires?.exact).toBe(true);
    adds(wires?.working ?? []);
  });
  test.each(['parallel', 'angled', 'turn', 'slip'] as const)('a pick-up by %s, either hand', (way) => {
    for (const hand of ['', ' LH']) {
      const b = named(`M30x2${hand}`, { wanted: 'extend' }).do(
        { do: 'chooseLathe', lathe: 'lathe-bess' },
        { do: 'takeTrain', train: TRAIN_2MM },
        { do: 'setPickup', way },
        ...(way === 'parallel' ? [{ do: 'swingSlide' as const, deg: 90 }] : [{ do: 'swingSlide' as const, deg: 29.5 }]),
        { do: 'offset', mm: 5.37 },
      );
      const answer = pickupMove(b.job, b.shop, b.metal);
      if (!answer.move) throw new Error(`${answer.problem}`);
      const steps = pickupWorking(answer.move, answer, hand !== '');
      expect(steps.length).toBeGreaterThan(0);
      adds(steps);
    }
  });
  test('a pass, fed at an angle and straight in, and after a change of the way of feeding', () => {
    const passed = (b: Bench): void => {
      const steps = passSteps(b.view, b.job.cut.rule);
      expect(steps).toHaveLength(3);
      adds(steps);
    };
    const b = m30();
    passed(b);
    b.passes(3);
    passed(b);
    b.do({ do: 'setUp', infeed: 'plunge' }, { do: 'check' });
    passed(b);
  });
});

test('of a material that nobody knows no speed is made up', () => {
  expect(threadingRpm('unobtainium', 30)).toBeNull();
  expect(threadingRpm('mild steel', 30)).toBeCloseTo(10000 / (Math.PI * 30), 6);
});
