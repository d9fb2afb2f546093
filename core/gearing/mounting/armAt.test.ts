import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { alongSlot, armAt, leanTo, type Arm } from './arm.ts';
import { mountTrain } from './mount.ts';

const arm: Arm = {
  centresMm: 150,
  moduleMm: 1.5,
  slots: [{ fromMm: 52, toMm: 128 }],
  pivot: { alongMm: 0, acrossMm: 0 },
};

test('at no lean the arm points at the first driver; leaning a quarter it stands across', () => {
  expect(armAt(arm, 0).slots[0]).toEqual({ from: { x: 98, y: 0 }, to: { x: 22, y: 0 } });
  const across = armAt(arm, 90).slots[0];
  expect(across?.from.x).toBeCloseTo(150, 9);
  expect(across?.from.y).toBeCloseTo(52, 9);
});

test('the ends of a slot lie where it says on it, at any lean, angle, offset and pivot', () => {
  const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(
      mm(-170, 170),
      mm(-80, 80),
      mm(-60, 60),
      mm(1, 100),
      mm(1, 100),
      mm(-90, 90),
      (leanDeg, angleDeg, offsetMm, fromMm, long, alongMm) => {
        const slot = { angleDeg, offsetMm, fromMm, toMm: fromMm + long };
        const bent: Arm = { ...arm, slots: [slot], pivot: { alongMm, acrossMm: 20 } };
        const at = armAt(bent, leanDeg).slots[0];
        if (!at) throw new Error('no slot');
        for (const [end, along] of [
          [at.from, slot.fromMm],
          [at.to, slot.toMm],
        ] as const) {
          const on = alongSlot(bent, leanDeg, slot, end);
          expect(on.alongMm).toBeCloseTo(along, 6);
          expect(on.besideMm).toBeCloseTo(offsetMm, 6);
        }
        // of a slot on the arm's own line the arm points at it
        const plain: Arm = { ...bent, slots: [{ ...slot, angleDeg: 0, offsetMm: 0 }] };
        const end = armAt(plain, leanDeg).slots[0]?.to;
        expect(end && leanTo(plain, end)).toBeCloseTo(leanDeg, 6);
      },
    ),
  );
});

test('every stud of a mounted train stands in a slot where the arm leans', () => {
  const mount = mountTrain([40, 40], [60, 70], [], arm);
  if (!mount.fits) throw new Error(JSON.stringify(mount.why));
  const { slots } = armAt(arm, mount.armDeg);
  const studs = mount.gears.filter((g) => g.shaft > 0 && g.shaft < (mount.gears.at(-1)?.shaft ?? 0));
  expect(studs.length).toBeGreaterThan(0);
  for (const { at } of studs)
    expect(
      slots.some(({ from, to }) => {
        const long = Math.hypot(to.x - from.x, to.y - from.y);
        const t = ((at.x - from.x) * (to.x - from.x) + (at.y - from.y) * (to.y - from.y)) / long;
        const off = Math.abs((at.x - from.x) * (to.y - from.y) - (at.y - from.y) * (to.x - from.x)) / long;
        return off < 1e-6 && t > -0.02 && t < long + 0.02;
      }),
    ).toBe(true);
});
