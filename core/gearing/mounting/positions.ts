import { alongSlot, armAt, apart, type Arm } from './arm.ts';
import type { Fitting, PlacedGear } from './mount.ts';

/** Where a gear of a mounted train stands, as it is set up. */
export interface GearPosition {
  readonly teeth: number;
  readonly role: PlacedGear['role'];
  /** 1 is the back plane. */
  readonly plane: 1 | 2;
  /** Which pair it belongs to, from 0; an idler stands within one. */
  readonly pair: number;
  /** 0 the first driver's shaft, then the studs in turn; null: the leadscrew or gearbox input. */
  readonly stud: number | null;
  /** The slot of the arm that the stud stands in, from 0; null for the first driver and the leadscrew. */
  readonly slot: number | null;
  /** From the arm's pivot to the stud, mm; null where there is no slot. */
  readonly radiusMm: number | null;
  /** Seen from the end of the lathe, the first driver at the origin, x towards the leadscrew, mm. */
  readonly xMm: number;
  readonly yMm: number;
}

/** A stud lies on its slot's line within this, mm: the closing is exact but for rounding. */
const ON_LINE_MM = 1e-3;

/**
 * Every gear of a mounting with where it stands.
 * @example positionsOf(mounted([60, 40], [30, 35]), arm).map((g) => g.teeth) // [60, 30, 40, 35]
 */
export function positionsOf(mount: Fitting, arm: Arm): readonly GearPosition[] {
  const last = Math.max(...mount.gears.map((g) => g.shaft));
  const { pivot } = armAt(arm, mount.armDeg);
  return mount.gears.map((g) => {
    const onArm = g.shaft > 0 && g.shaft < last;
    const slot = onArm
      ? arm.slots.findIndex((s) => {
          const { alongMm, besideMm } = alongSlot(arm, mount.armDeg, s, g.at);
          const off = Math.abs(besideMm - (s.offsetMm ?? 0));
          return off < ON_LINE_MM && alongMm >= s.fromMm - ON_LINE_MM && alongMm <= s.toMm + ON_LINE_MM;
        })
      : -1;
    return {
      teeth: g.teeth,
      role: g.role,
      plane: g.plane,
      pair: g.pair,
      stud: g.shaft === last ? null : g.shaft,
      slot: slot < 0 ? null : slot,
      radiusMm: onArm ? apart(pivot, g.at) : null,
      xMm: g.at.x,
      yMm: g.at.y,
    };
  });
}
