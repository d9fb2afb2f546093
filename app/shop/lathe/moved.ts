import type { Lathe } from '../../../core/lathe/schema.ts';
import type { Moved } from '../../drawing/headHandles.ts';

/** The lathe with one point of its arm where it was dragged to; ends of a slot and of the swing stay in order. */
export function movedLathe(lathe: Lathe, moved: Moved): Lathe {
  const { arm } = lathe;
  if (!arm) return lathe;
  const set = (change: Partial<typeof arm>): Lathe => ({ ...lathe, arm: { ...arm, ...change } });
  switch (moved.what) {
    case 'centres':
      return set({ centresMm: Math.max(1, moved.mm) });
    case 'boss':
      return set({ bossRadiusMm: moved.mm });
    case 'shaft':
      return set({ shaftRadiusMm: moved.mm });
    case 'from':
    case 'to':
    case 'beside':
      return set({
        slots: arm.slots.map((s, i) => {
          if (i !== moved.slot) return s;
          if (moved.what === 'beside') return { ...s, offsetMm: moved.mm };
          return moved.what === 'from'
            ? { ...s, fromMm: Math.min(moved.mm, s.toMm - 1) }
            : { ...s, toMm: Math.max(moved.mm, s.fromMm + 1) };
        }),
      });
    case 'swing': {
      const swing = arm.swing ?? { fromDeg: -90, toDeg: 90 };
      return set({
        swing:
          moved.end === 'from'
            ? { ...swing, fromDeg: Math.min(moved.deg, swing.toDeg) }
            : { ...swing, toDeg: Math.max(moved.deg, swing.fromDeg) },
      });
    }
    case 'wall':
      return arm.cover ? set({ cover: { ...arm.cover, [moved.wall]: moved.mm } }) : lathe;
  }
}
