import type { Fitting } from './mount.ts';

/**
 * Planes that stay empty on a shaft of this train, and so need a spacer.
 * @example spacersOf({ gears: [{ shaft: 0, plane: 1 }, { shaft: 1, plane: 1 }, { shaft: 1, plane: 2 }, { shaft: 2, plane: 2 }] }) // [{ shaft: 0, plane: 2 }, { shaft: 2, plane: 1 }]
 */
export function spacersOf(mount: Fitting): { readonly shaft: number; readonly plane: 1 | 2 }[] {
  if (mount.gears.every((g) => g.plane === 1)) return [];
  const shafts = [...new Set(mount.gears.map((g) => g.shaft))];
  return shafts.flatMap((shaft) =>
    ([1, 2] as const)
      .filter((plane) => !mount.gears.some((g) => g.shaft === shaft && g.plane === plane))
      .map((plane) => ({ shaft, plane })),
  );
}

/**
 * How far the last stud stands from the leadscrew's middle, mm: where it is clamped in its slot; null without a stud.
 * @example lastStudMm({ gears: [{ shaft: 0, at: { x: 0, y: 0 } }, { shaft: 1, at: { x: 100, y: 0 } }, { shaft: 2, at: { x: 160, y: 0 } }] }) // 60
 */
export function lastStudMm(mount: Fitting): number | null {
  const end = mount.gears.at(-1);
  const stud = end && end.shaft > 1 ? mount.gears.find((g) => g.shaft === end.shaft - 1) : undefined;
  return end && stud ? Math.hypot(stud.at.x - end.at.x, stud.at.y - end.at.y) : null;
}

/**
 * Whether each shaft turns with the first driver (1) or against it (-1): every mesh turns the motion round.
 * @example turnOf(1) // -1; the second shaft runs the other way
 */
export const turnOf = (shaft: number): 1 | -1 => (shaft % 2 === 0 ? 1 : -1);
