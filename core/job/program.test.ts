import { describe, expect, test } from '@jest/globals';
import { atControl, Bench, CONTROL, named } from '../../app/testing/bench.ts';
import { parameterRows, programComments } from '../../words/program.ts';
import { programOfJob } from './program.ts';

const m30 = (): Bench =>
  atControl(named('M30x2').do({ do: 'chooseLathe', lathe: 'lathe-els' }, { do: 'setUp', lengthMm: 40, rpm: 200 }));
const told = (b: Bench) => {
  const a = programOfJob(b.job, b.shop);
  if (!a?.ok) throw new Error(JSON.stringify(a));
  return a.program;
};

describe('what a control is told of a job', () => {
  test('what is not said yet is named, not made up', () => {
    const b = atControl(named('M30x2').do({ do: 'chooseLathe', lathe: 'lathe-els' }));
    expect(programOfJob(b.job, b.shop)).toMatchObject({
      ok: false,
      missing: expect.arrayContaining(['surface', 'length']),
    });
  });
  test('passes of the plan, springs last, the depth of the plan, in the control\u2019s own word', () => {
    const b = m30().do({ do: 'mount' }, { do: 'measureBlank', diameterMm: 29.93 }, { do: 'touchOff' });
    const p = told(b);
    const depth = b.view.plan?.depthMm ?? NaN;
    expect(p.motion.params.depthMm).toBeCloseTo(depth, 2);
    expect(p.motion.params.finalXMm).toBeCloseTo(29.93 - 2 * p.motion.params.depthMm, 9);
    expect(p.motion.params.springs).toBe(b.job.cut.springs);
    const text = p.text(programComments(b.job.title, 'M30x2', p.motion.params));
    expect(text).toMatch(/^%\n\(BENCH, M30X2\)\n\(PROPOSAL\. /);
    expect(text?.match(/G32 /g)).toHaveLength(p.motion.travels.length);
    expect(text).toContain('Z-40. F2.');
    expect(parameterRows(p, 'mm').find((r) => r.name === 'Lead')?.value).toBe('2 mm');
    // on the radius at a control that counts so, X is half
    const half = atControl(new Bench(b.job, b.shop), { ...CONTROL, diameterProgramming: false } as never);
    expect(told(half).text([])).toContain(`X${(p.motion.start.xMm / 2).toFixed(4).replace(/0+$/, '')}`);
  });
  test('deeper by 0.010 in on the diameter becomes the new last pass and the new minor, and nothing of what is cut is cut again', () => {
    const b = m30().do({ do: 'mount' }, { do: 'measureBlank', diameterMm: 29.93 }, { do: 'touchOff' });
    while (b.card.do === 'set') b.do({ do: b.card.pass?.spring ? 'springDone' : 'passDone' });
    const { depthMm } = b.metal;
    expect(programOfJob(b.job, b.shop)).toMatchObject({ ok: false, missing: ['plan'] });
    b.do({ do: 'deeper', byMm: 0.127 });
    const p = told(b);
    expect(p.motion.params.depthMm).toBeCloseTo(depthMm + 0.127, 2);
    expect(Math.min(...p.motion.travels.map((t) => (29.93 - t.toX) / 2))).toBeGreaterThan(depthMm);
  });
  test('a recut starts a whole number of leads from where the tip sat in the old groove', () => {
    const b = m30().do({ do: 'setIntake', wanted: 'recut' });
    b.do({ do: 'mount' }, { do: 'measureBlank', diameterMm: 29.93 });
    b.do({ do: 'touchOff', on: 'surface', grooveMm: 0.5 });
    expect(programOfJob(b.job, b.shop)).toMatchObject({ ok: false, missing: ['groove'] });
    b.do({ do: 'dropIn', zMm: -17.3 }, { do: 'setPickup', leadsOut: 13 }, { do: 'inGroove' });
    b.do({ do: 'airPass', result: 'in' });
    // thirteen leads out, as it was keyed in: not as few as would do
    expect(told(b).motion.start.zMm).toBeCloseTo(8.7, 9);
    b.do({ do: 'reseat' });
    expect(programOfJob(b.job, b.shop)).toMatchObject({ ok: false, missing: ['groove'] });
  });
  test('a control that nobody has described is told parameters and no program', () => {
    const b = m30().do({ do: 'mount' }, { do: 'measureBlank', diameterMm: 29.93 }, { do: 'touchOff' });
    expect(told(atControl(new Bench(b.job, b.shop), null)).text([])).toBeNull();
  });
  test('a blank said wrongly and put right in mid-cut: X is counted from what the control was told when it was touched off', () => {
    const cut = (saidMm: number, trueMm: number | null): Bench => {
      const b = atControl(named('M30x2')).do(
        { do: 'chooseLathe', lathe: 'lathe-els' },
        { do: 'setUp', infeed: 'plunge' },
        { do: 'mount' },
        { do: 'measureBlank', diameterMm: saidMm },
        { do: 'touchOff' },
        { do: 'passDone' },
      );
      return trueMm === null ? b : b.do({ do: 'correctBlank', diameterMm: trueMm });
    };
    const right = cut(29.93, null);
    const wrong = cut(29.78, 29.93);
    expect(wrong.metal).toMatchObject({ surfaceMm: 29.93, toldMm: 29.78 });
    // its X reads 0.15 less all along, for so it was told: the tip stands where the right one's does at the same depth
    const x = (b: Bench): number => (b.card.settings[0]?.value ?? NaN) + 2 * (b.card.depthMm ?? NaN);
    expect(x(right)).toBeCloseTo(29.93, 3);
    expect(x(wrong)).toBeCloseTo(29.78, 3);
    // and the depth to reach follows the blank as it is
    expect(wrong.view.plan?.depthMm).toBeCloseTo(right.view.plan?.depthMm ?? NaN, 9);
  });
});
