import { expect, test } from '@jest/globals';
import { demoLathes } from '../../../demo/lathes.ts';
import { newLathe } from '../../lathe/create.ts';
import { armOf, mountOn, turningFor } from './latheArm.ts';

const bess = demoLathes()[0] ?? newLathe('x');

test('nothing is checked while the arm or the module is not measured', () => {
  expect(armOf(newLathe('x'))).toBeNull();
  expect(armOf({ ...bess, moduleMm: null })).toBeNull();
  expect(mountOn({ ...bess, arm: null }, { drivers: [20], driven: [40] }, false)).toBeNull();
});

test('what is measured reaches the check, and what is not is left out', () => {
  const arm = armOf(bess);
  expect(arm).toMatchObject({ centresMm: 118, moduleMm: 1.5, studs: 2, backlashMm: 0.15 });
  expect(arm).not.toHaveProperty('pivot');
  expect(arm).not.toHaveProperty('coverRadiusMm');
});

test('idlers come from the gears that are left, never from those of the train', () => {
  const m = mountOn({ ...bess, gears: [40, 60] }, { drivers: [40], driven: [60] }, false);
  expect(m).toMatchObject({ fits: false });
});

test('the hand of the thread asks for a direction only where no tumbler sets it', () => {
  const bare = { ...bess, tumbler: false, rightHandMeshes: 'even' as const };
  expect(turningFor(bess, true)).toBeNull();
  expect(turningFor({ ...bare, rightHandMeshes: null }, true)).toBeNull();
  expect([turningFor(bare, false), turningFor(bare, true)]).toEqual(['even', 'odd']);
  expect(turningFor({ ...bare, rightHandMeshes: 'odd' }, true)).toBe('even');
});
