import { type Arm, armAt, type Point, alongSlot, leanTo } from '../../core/gearing/mounting/index.ts';

/** What of the arm is moved, and to what. */
export type Moved =
  | { readonly what: 'centres' | 'boss' | 'shaft'; readonly mm: number }
  | { readonly what: 'from' | 'to' | 'beside'; readonly slot: number; readonly mm: number }
  | { readonly what: 'swing'; readonly end: 'from' | 'to'; readonly deg: number }
  | { readonly what: 'wall'; readonly wall: keyof NonNullable<Arm['cover']>; readonly mm: number };

/** Where the arm's line ends when it leans so. */
export function swingEnd(arm: Arm, deg: number): Point {
  const { pivot, slots } = armAt({ ...arm, slots: [{ fromMm: 0, toMm: swingReach(arm) }] }, deg);
  return slots[0]?.to ?? pivot;
}

/** How far from the pivot the swing is drawn: a little beyond the slots. */
export const swingReach = (arm: Arm): number => Math.max(...arm.slots.map((s) => s.toMm)) + 16;

export interface Handle {
  readonly id: string;
  readonly label: string;
  readonly at: Point;
  readonly value: number;
  readonly unit: 'mm' | 'deg';
  /** What dragging it to a place means. */
  readonly to: (p: Point) => Moved;
  /** What a step of the arrow keys means. */
  readonly by: (steps: number) => Moved;
}

const STEP_MM = 0.5;

const STEP_DEG = 1;

const rounded = (mm: number): number => Math.max(0, Math.round(mm / STEP_MM) * STEP_MM);

const signed = (mm: number): number => Math.round(mm / STEP_MM) * STEP_MM;

/** Every point of the arm that can be dragged, where it lies at this lean. */
export function handlesOf(arm: Arm, leanDeg: number): Handle[] {
  const { slots } = armAt(arm, leanDeg);
  const length = (
    what: 'centres' | 'boss' | 'shaft',
    label: string,
    at: Point,
    value: number,
    of: (p: Point) => number,
  ): Handle => ({
    id: what,
    label,
    at,
    value,
    unit: 'mm',
    to: (p) => ({ what, mm: rounded(of(p)) }),
    by: (n) => ({ what, mm: rounded(value + n * STEP_MM) }),
  });
  const boss = arm.bossRadiusMm ?? 0;
  const shaft = arm.shaftRadiusMm ?? 0;
  const stud = slots[0]?.to ?? { x: 0, y: 0 };
  const end = { x: arm.centresMm, y: 0 };
  return [
    length('centres', 'First driver to leadscrew, centres', end, arm.centresMm, (p) => Math.hypot(p.x, p.y)),
    length('boss', 'Radius of a stud\u2019s nut', { x: stud.x, y: stud.y - boss }, boss, (p) =>
      Math.hypot(p.x - stud.x, p.y - stud.y),
    ),
    length('shaft', 'Radius of what holds the end gears', { x: 0, y: -shaft }, shaft, (p) => Math.hypot(p.x, p.y)),
    ...arm.slots.flatMap((slot, i): Handle[] => {
      const at = slots[i];
      if (!at) return [];
      const middle = { x: (at.from.x + at.to.x) / 2, y: (at.from.y + at.to.y) / 2 };
      const beside = slot.offsetMm ?? 0;
      return [
        ...(['from', 'to'] as const).map((what): Handle => {
          const value = slot[`${what}Mm`];
          return {
            id: `${what} ${i}`,
            label: `Slot ${i + 1}, ${what === 'from' ? 'nearest' : 'furthest'} place of a stud`,
            at: at[what],
            value,
            unit: 'mm',
            to: (p) => ({ what, slot: i, mm: rounded(alongSlot(arm, leanDeg, slot, p).alongMm) }),
            by: (n) => ({ what, slot: i, mm: rounded(value + n * STEP_MM) }),
          };
        }),
        {
          id: `beside ${i}`,
          label: `Slot ${i + 1}, how far it passes beside the pivot`,
          at: middle,
          value: beside,
          unit: 'mm',
          to: (p) => ({ what: 'beside', slot: i, mm: signed(alongSlot(arm, leanDeg, slot, p).besideMm) }),
          by: (n) => ({ what: 'beside', slot: i, mm: signed(beside + n * STEP_MM) }),
        },
      ];
    }),
    ...(arm.swing
      ? (['from', 'to'] as const).map((which): Handle => {
          const deg = arm.swing?.[`${which}Deg`] ?? 0;
          return {
            id: `swing ${which}`,
            label: `Swing of the arm, ${which}`,
            at: swingEnd(arm, deg),
            value: deg,
            unit: 'deg',
            to: (p) => ({ what: 'swing', end: which, deg: Math.round(leanTo(arm, p)) }),
            by: (n) => ({ what: 'swing', end: which, deg: deg + n * STEP_DEG }),
          };
        })
      : []),
    ...(arm.cover ? walls(arm, arm.cover) : []),
  ];
}

function walls(arm: Arm, cover: NonNullable<Arm['cover']>): Handle[] {
  const c = arm.centresMm;
  const all = [
    ['beyondFirstMm', 'Cover beyond the first driver', { x: -cover.beyondFirstMm, y: 0 }, (p: Point) => -p.x],
    ['beyondLastMm', 'Cover beyond the leadscrew', { x: c + cover.beyondLastMm, y: 0 }, (p: Point) => p.x - c],
    ['oneSideMm', 'Cover below the line of centres', { x: c / 2, y: cover.oneSideMm }, (p: Point) => p.y],
    ['otherSideMm', 'Cover above the line of centres', { x: c / 2, y: -cover.otherSideMm }, (p: Point) => -p.y],
  ] as const;
  return all.map(([wall, label, at, of]) => ({
    id: wall,
    label,
    at,
    value: cover[wall],
    unit: 'mm',
    to: (p) => ({ what: 'wall', wall, mm: rounded(of(p)) }),
    by: (n) => ({ what: 'wall', wall, mm: rounded(cover[wall] + n * STEP_MM) }),
  }));
}
