import { describe, expect, test } from '@jest/globals';
import { mountText } from '../../../words/gears.ts';
import fc from 'fast-check';
import type { Arm, Point } from './arm.ts';
import { behindNuts, mountTrain, type Fitting, type PlacedGear } from './mount.ts';

const ARM: Arm = {
  centresMm: 118,
  moduleMm: 1.5,
  slots: [
    { angleDeg: 0, fromMm: 30, toMm: 115 },
    { angleDeg: 25, fromMm: 30, toMm: 115 },
  ],
  bossRadiusMm: 9,
  backlashMm: 0.15,
};
const TEETH = fc.constantFrom(...[20, 25, 30, 35, 40, 45, 50, 55, 60, 63, 65, 80]);

type Disc = Pick<PlacedGear, 'teeth' | 'at' | 'plane' | 'shaft' | 'pair'>;
const tipOf = (teeth: number, module: number): number => (module * (teeth + 2)) / 2;

/** Independent of the code under test: samples the whole of a's disc instead of comparing distances. */
function overlaps(a: Disc, b: Disc, module: number, reach: number): boolean {
  const rings = 6;
  for (let ring = 1; ring <= rings; ring += 1) {
    const r = (tipOf(a.teeth, module) * ring) / rings;
    for (let i = 0; i < 120; i += 1) {
      const t = (i * Math.PI) / 60;
      if (Math.hypot(a.at.x + r * Math.cos(t) - b.at.x, a.at.y + r * Math.sin(t) - b.at.y) < reach - 1e-6) return true;
    }
  }
  return false;
}

/** What is wrong with gears placed so: meshes that do not close, gears that overlap, shafts that are in the way. */
function faults(gears: readonly Disc[], arm: Arm): string[] {
  const out: string[] = [];
  const opened = (arm.backlashMm ?? 0) / (2 * Math.tan(((arm.pressureAngleDeg ?? 20) * Math.PI) / 180));
  gears.forEach((a, i) => {
    gears.slice(i + 1).forEach((b) => {
      if (a.shaft === b.shaft) {
        if (Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y) > 1e-6) out.push('one shaft in two places');
        return;
      }
      if (a.pair === b.pair && Math.abs(a.shaft - b.shaft) === 1) {
        const centres = (arm.moduleMm * (a.teeth + b.teeth)) / 2 + opened;
        // a pair straight between the shafts is allowed a tenth
        if (Math.abs(Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y) - centres) > (gears.length === 2 ? 0.1 : 1e-4))
          out.push(`${a.teeth} and ${b.teeth} do not mesh`);
        if (a.plane !== b.plane) out.push('a mesh across the planes');
      } else if (a.plane === b.plane && overlaps(a, b, arm.moduleMm, tipOf(b.teeth, arm.moduleMm)))
        out.push(`${a.teeth} and ${b.teeth} touch`);
      if (overlaps(a, b, arm.moduleMm, arm.bossRadiusMm ?? 10)) out.push(`${a.teeth} on the shaft of ${b.teeth}`);
      if (overlaps(b, a, arm.moduleMm, arm.bossRadiusMm ?? 10)) out.push(`${b.teeth} on the shaft of ${a.teeth}`);
    });
  });
  return out;
}

/** Whether every stud stands in a slot of the arm leaning as said; worked out in complex numbers, not as the code does. */
function inSlots(m: Fitting, arm: Arm): boolean {
  const pivot = { x: arm.centresMm + (arm.pivot?.alongMm ?? 0), y: arm.pivot?.acrossMm ?? 0 };
  const lean = (m.armDeg * Math.PI) / 180;
  const last = m.gears.at(-1)?.shaft ?? 0;
  return m.gears
    .filter((g) => g.shaft > 0 && g.shaft < last)
    .every((g) =>
      arm.slots.some((slot) => {
        const a = lean + ((slot.angleDeg ?? 0) * Math.PI) / 180;
        const [x, y] = [pivot.x - g.at.x, g.at.y - pivot.y];
        const along = x * Math.cos(a) + y * Math.sin(a);
        const across = -x * Math.sin(a) + y * Math.cos(a);
        return Math.abs(across - (slot.offsetMm ?? 0)) < 0.02 && along > slot.fromMm - 0.02 && along < slot.toMm + 0.02;
      }),
    );
}

describe('every mounting given stands up to an independent check', () => {
  test.each([
    ['arm about the leadscrew', ARM],
    [
      'slots beside the pivot, three studs',
      { ...ARM, studs: 3, slots: [{ angleDeg: 5, offsetMm: 12, fromMm: 20, toMm: 115 }] },
    ],
    ['arm about a place of its own', { ...ARM, pivot: { alongMm: 15, acrossMm: -10 }, pressureAngleDeg: 14.5 }],
  ])('%s', (_, arm) => {
    let fitted = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 3 }),
        fc.array(TEETH, { minLength: 8, maxLength: 8 }),
        fc.constantFrom('odd', 'even', null),
        (pairs, g, turning) => {
          const drivers = g.slice(0, pairs);
          const driven = g.slice(pairs, 2 * pairs);
          const spare = g.slice(2 * pairs);
          const m = mountTrain(drivers, driven, spare, arm, turning);
          if (!m.fits) {
            expect(mountText(m, 'mm')).toMatch(/\.$/);
            return;
          }
          fitted += 1;
          // nothing was swapped between the sides, and idlers come from the drawer
          expect(m.drivers.toSorted()).toEqual(drivers.toSorted());
          expect(m.driven.toSorted()).toEqual(driven.toSorted());
          const rest = [...spare];
          for (const i of m.gears.filter((x) => x.role === 'idler')) {
            expect(rest).toContain(i.teeth);
            rest.splice(rest.indexOf(i.teeth), 1);
          }
          expect(faults(m.gears, arm)).toEqual([]);
          expect(inSlots(m, arm)).toBe(true);
          expect(m.clearanceMm).toBeGreaterThanOrEqual(0);
          expect(m.meshes).toBe(m.gears.at(-1)?.shaft);
          if (turning) expect(m.meshes % 2 === 0).toBe(turning === 'even');
        },
      ),
      { numRuns: 40, seed: 4 },
    );
    expect(fitted).toBeGreaterThan(15);
  });
});

/** Places gears first, anywhere that they mesh, and draws the arm round them afterwards. */
function plant(
  teeth: readonly number[],
  pairs: number,
  turns: readonly number[],
  pivot: Point,
  leanDeg: number,
): { arm: Arm; gears: Disc[]; drivers: number[]; driven: number[]; spare: number[] } {
  const drivers = teeth.slice(0, pairs);
  const driven = teeth.slice(pairs, 2 * pairs);
  const spare = pairs === 1 ? teeth.slice(2, 3) : [];
  const chain: Omit<Disc, 'at'>[] = [];
  let shaft = 0;
  drivers.forEach((t, pair) => {
    const plane = pair % 2 === 0 ? 1 : 2;
    chain.push({ teeth: t, plane, shaft, pair });
    if (pair === 0) for (const idler of spare) chain.push({ teeth: idler, plane, shaft: (shaft += 1), pair });
    chain.push({ teeth: driven[pair] ?? 0, plane, shaft: (shaft += 1), pair });
  });
  const at: Point[] = [{ x: 0, y: 0 }];
  for (let s = 0; s < shaft; s += 1) {
    const a = chain.findLast((g) => g.shaft === s);
    const b = chain.find((g) => g.shaft === s + 1);
    const from = at[s];
    if (!a || !b || !from) throw new Error('chain');
    const r = (ARM.moduleMm * (a.teeth + b.teeth)) / 2;
    const t = ((turns[s] ?? 0) * Math.PI) / 180;
    at.push({ x: from.x + r * Math.cos(t), y: from.y + r * Math.sin(t) });
  }
  // turn the whole until the leadscrew lies on the line of centres
  const end = at[shaft] ?? { x: 1, y: 0 };
  const by = Math.atan2(end.y, end.x);
  const turned = at.map((p) => ({
    x: p.x * Math.cos(by) + p.y * Math.sin(by),
    y: -p.x * Math.sin(by) + p.y * Math.cos(by),
  }));
  const centresMm = Math.hypot(end.x, end.y);
  const slots = turned.slice(1, -1).map((p) => {
    const [x, y] = [centresMm + pivot.x - p.x, p.y - pivot.y];
    const rho = Math.hypot(x, y);
    return { angleDeg: (Math.atan2(y, x) * 180) / Math.PI - leanDeg, fromMm: Math.max(0, rho - 4), toMm: rho + 4 };
  });
  const arm: Arm = {
    ...ARM,
    backlashMm: 0,
    centresMm,
    slots,
    studs: slots.length,
    ...(pivot.x === 0 && pivot.y === 0 ? {} : { pivot: { alongMm: pivot.x, acrossMm: pivot.y } }),
  };
  return { arm, gears: chain.map((g) => ({ ...g, at: turned[g.shaft] ?? { x: 0, y: 0 } })), drivers, driven, spare };
}

describe('a mounting that exists is found', () => {
  test.each([
    ['about the leadscrew', { x: 0, y: 0 }],
    ['about a place of its own', { x: 14, y: -9 }],
  ])('arm %s', (_, pivot) => {
    let planted = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 3 }),
        fc.array(TEETH, { minLength: 6, maxLength: 6 }),
        fc.array(fc.integer({ min: -80, max: 80 }), { minLength: 4, maxLength: 4 }),
        fc.integer({ min: -60, max: 60 }),
        (pairs, teeth, turns, lean) => {
          const { arm, gears, drivers, driven, spare } = plant(teeth, pairs, turns, pivot, lean);
          fc.pre(arm.centresMm > 20 && faults(gears, arm).length === 0);
          planted += 1;
          expect(mountTrain(drivers, driven, spare, arm)).toMatchObject({ fits: true });
        },
      ),
      { numRuns: 60, seed: 9 },
    );
    expect(planted).toBe(60);
  });
});

describe('of several roomy orders the one with least to change is given', () => {
  const orders = (drivers: number[], driven: number[]) =>
    [drivers, drivers.toReversed()].flatMap((a) =>
      [driven, driven.toReversed()].map((b) => ({ drivers: a, driven: b })),
    );
  test('what is on stays on, in whichever of its orders', () => {
    for (const on of orders([63, 30], [50, 60]))
      expect(mountTrain([63, 30], [50, 60], [], ARM, null, on)).toMatchObject({ fits: true, ...on });
  });
  test('but an order that fouls is not given for that', () => {
    const on = { drivers: [30, 60], driven: [40, 65] };
    expect(mountTrain([30, 60], [65, 40], [], ARM, null, on)).toMatchObject({ fits: true, driven: [65, 40] });
  });
});

describe('idlers', () => {
  test('reach: one pair over an idler, named', () => {
    const m = mountTrain([40], [60], [50], ARM);
    expect(m).toMatchObject({ fits: true, meshes: 2, idlers: [[50]] });
    expect(mountText(m, 'mm')).toBe('The 40 drives the 60 over the 50 as idler.');
  });
  test('direction: two pairs turn the screw with the stud; an idler turns it the other way, a lone pair takes two', () => {
    expect(mountTrain([30, 60], [65, 40], [], ARM, 'even')).toMatchObject({ fits: true, meshes: 2 });
    const turned = mountTrain([30, 60], [65, 40], [20, 25, 30, 35], ARM, 'odd');
    expect(turned).toMatchObject({ fits: true, meshes: 3 });
    expect(mountTrain([40], [60], [30, 35, 45, 50], ARM, 'odd')).toMatchObject({ fits: true, meshes: 3 });
  });
  test('direction that no stud is left for is said', () => {
    expect(mountTrain([30, 60], [65, 40], [20], { ...ARM, studs: 1 }, 'odd')).toEqual({
      fits: false,
      why: { code: 'no-stud-for-idler' },
    });
    expect(mountTrain([30, 60, 20], [65, 40, 25], [20], { ...ARM, studs: 1 })).toMatchObject({
      fits: false,
      why: { code: 'too-few-studs', pairs: 3, studs: 1 },
    });
  });
  test('a pair of the right size meshes straight, without the arm', () => {
    expect(mountTrain([60], [60], [], { ...ARM, centresMm: 90, backlashMm: 0 })).toMatchObject({
      fits: true,
      meshes: 1,
      gears: [{ teeth: 60 }, { teeth: 60 }],
    });
  });
});

describe('says why not', () => {
  const two = (arm: Arm) => mountTrain([30, 60], [65, 40], [], arm);
  test.each([
    ['do not reach', mountTrain([20, 20], [25, 25], [], ARM)],
    ['idler', mountTrain([40], [60], [], ARM)],
    ['cover, by', two({ ...ARM, coverRadiusMm: 40 })],
    ['cover, by', two({ ...ARM, cover: { beyondFirstMm: 60, beyondLastMm: 20, oneSideMm: 90, otherSideMm: 90 } })],
    ['slot', two({ ...ARM, slots: [{ fromMm: 5, toMm: 10 }] })],
    ['outside its swing', two({ ...ARM, swing: { fromDeg: 80, toDeg: 90 } })],
    ['fouls the stud of the', mountTrain([20, 20], [80, 80], [], { ...ARM, bossRadiusMm: 14, shaftRadiusMm: 2 })],
  ])('%s', (words, mount) => {
    expect(mount.fits).toBe(false);
    expect(mountText(mount, 'mm')).toContain(words);
  });
  test('walls far off are as no walls', () => {
    const wide = { beyondFirstMm: 500, beyondLastMm: 500, oneSideMm: 500, otherSideMm: 500 };
    expect(two({ ...ARM, cover: wide })).toEqual(two(ARM));
  });
  test('a nut of its own on the end shafts counts there alone', () => {
    const room = (arm: Arm) => {
      const m = two(arm);
      return m.fits ? m.clearanceMm : -1;
    };
    expect(room({ ...ARM, shaftRadiusMm: 25 })).toBeLessThan(room(ARM));
  });
});

// ISO 53 and common practice: a mesh opens by 1.37 j at 20 degrees of pressure angle and 1.93 j at 14.5 (j / (2 tan phi))
test('backlash opens the centres by the pressure angle', () => {
  const at = (pressureAngleDeg: number): number => {
    const m = mountTrain([40], [60], [50], { ...ARM, backlashMm: 0.2, pressureAngleDeg });
    const [driver, idler] = m.fits ? [m.gears[0], m.gears[1]] : [];
    return Math.hypot(idler?.at.x ?? 0, idler?.at.y ?? 0) - (1.5 * ((driver?.teeth ?? 0) + (idler?.teeth ?? 0))) / 2;
  };
  expect(at(20)).toBeCloseTo(1.3737 * 0.2, 3);
  expect(at(14.5)).toBeCloseTo(1.9334 * 0.2, 3);
});

describe('a nut larger than the root of the gear that it holds', () => {
  // module 1.5: a 20 has its root at 13.125 mm; a nut of 14 mm reaches over what meshes with it
  const arm: Arm = { centresMm: 110, moduleMm: 1.5, slots: [{ fromMm: 20, toMm: 105 }], bossRadiusMm: 14.5, studs: 2 };
  const over = (nutOverMesh?: 'clears' | 'fouls') =>
    mountTrain([60, 40], [20, 50], [], nutOverMesh ? { ...arm, nutOverMesh } : arm);
  test('said to foul, it is in the way of the mesh; said to clear, it is not, and that is stated', () => {
    const fouls = over('fouls');
    const clears = over('clears');
    expect(fouls.fits).toBe(false);
    if (!clears.fits) throw new Error('does not go on');
    expect(behindNuts(clears, arm)).toContainEqual({ teeth: 60, of: 20 });
  });
  test('not said, the back plane is clear by a gear\u2019s width: the same mesh goes on there', () => {
    const byPlanes = over();
    if (!byPlanes.fits) throw new Error('does not go on');
    const small = byPlanes.gears.find((g) => g.teeth === 20);
    expect(small?.plane).toBe(1);
  });
  test('a nut within the root is no question', () => {
    const within = mountTrain([60, 40], [20, 50], [], { ...arm, bossRadiusMm: 12 });
    if (!within.fits) throw new Error('does not go on');
    expect(behindNuts(within, { ...arm, bossRadiusMm: 12 })).toEqual([]);
  });
});
