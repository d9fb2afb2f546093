import { describe, expect, test } from '@jest/globals';
import { mountTrain, type Arm, type Fitting } from './mount.ts';
import { fittingActs, fittingSteps } from '../../../words/fitting.ts';
import { lastStudMm, spacersOf, turnOf } from './spacers.ts';

const ARM: Arm = { centresMm: 118, moduleMm: 1.5, slots: [{ fromMm: 30, toMm: 115 }], bossRadiusMm: 9, studs: 3 };

function fitted(
  drivers: number[],
  driven: number[],
  spare: number[] = [],
  turning: 'odd' | 'even' | null = null,
): Fitting {
  const m = mountTrain(drivers, driven, spare, ARM, turning);
  if (!m.fits) throw new Error(m.why.code);
  return m;
}

describe('the last stud in its slot', () => {
  test('stands from the leadscrew as far as its mesh asks for: half the teeth of both by the module', () => {
    const mount = fitted([30, 60], [65, 40]);
    const [driver, driven] = [mount.drivers[1] ?? 0, mount.driven[1] ?? 0];
    // centre distance m (z1 + z2) / 2; this arm takes no backlash. Published: any gear handbook, spur gears in mesh
    expect(lastStudMm(mount)).toBeCloseTo((1.5 * (driver + driven)) / 2, 6);
    const act = fittingActs(mount, '', 'mm').find((a) => a.what.startsWith('Stud in the slot'));
    expect(Math.abs(Number(act?.figure) - (lastStudMm(mount) ?? NaN))).toBeLessThanOrEqual(0.25 + 1e-9);
  });
  test('two gears that mesh straight have none', () => {
    const straight = mountTrain([78], [79], [], { ...ARM, centresMm: 117.75 }, null);
    expect(straight.fits && straight.gears).toHaveLength(2);
    expect(straight.fits && lastStudMm(straight)).toBeNull();
  });
  test('the acts are the steps, each number with what it is', () => {
    const mount = fitted([30, 60], [65, 40]);
    expect(fittingActs(mount, '', 'mm').map((a) => a.text)).toEqual(fittingSteps(mount, ''));
    for (const a of fittingActs(mount, '', 'in')) expect(a.figure === null || /\d/.test(a.figure)).toBe(true);
  });
});

describe('steps of fitting', () => {
  test('two pairs: every gear is named once as it goes on, spacers where a plane is empty', () => {
    const mount = fitted([30, 60], [65, 40]);
    const steps = fittingSteps(mount, ' of 14 mm');
    expect(steps[0]).toMatch(/^Isolate at the plug/);
    expect(steps.at(-1)).toMatch(/Cover back on before power\.$/);
    for (const teeth of [30, 60, 65, 40])
      expect(steps.filter((s) => /^(Fit|Key)/.test(s) && s.includes(`the ${teeth}`))).toHaveLength(1);
    expect(spacersOf(mount)).toEqual([
      { shaft: 0, plane: 2 },
      { shaft: 2, plane: 1 },
    ]);
    expect(steps[1]).toMatch(/^Fit the \d+ on the spindle stud, back plane; a spacer of 14 mm in front of it\.$/);
    expect(steps[3]).toMatch(/^Fit the \d+ on the leadscrew, front plane; a spacer of 14 mm behind it\.$/);
  });
  test('one plane needs no spacer; the idler is named', () => {
    const mount = fitted([40], [60], [50]);
    expect(spacersOf(mount)).toEqual([]);
    expect(fittingSteps(mount, '')).toContain('Fit the 50 as idler on the stud, back plane.');
    expect(fittingSteps(mount, '')).toContain(
      'Mesh from the leadscrew back: slide the stud until the 50 meshes with the 60.',
    );
  });
  test('an idler for the direction has a spacer beside it and a mesh of its own in the words', () => {
    const mount = fitted([30, 60], [65, 40], [20, 25, 30, 35], 'odd');
    const steps = fittingSteps(mount, '');
    expect(spacersOf(mount)).toHaveLength(3);
    expect(steps.find((s) => s.includes('as idler'))).toMatch(/a spacer (behind|in front of) it/);
    expect(steps.find((s) => s.startsWith('Mesh'))).toMatch(/the two studs in turn until .* meshes with .*, then /);
  });
  test('a pair straight between the shafts leaves the arm alone', () => {
    const straight = mountTrain([60], [60], [], { ...ARM, centresMm: 90 });
    expect(straight.fits && fittingSteps(straight, '').some((s) => s.includes('arm stays out'))).toBe(true);
  });
  test('every mesh turns the motion round', () => {
    expect([0, 1, 2, 3].map(turnOf)).toEqual([1, -1, 1, -1]);
  });
});
