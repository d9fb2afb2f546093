import type { Lathe } from '../../../core/lathe/schema.ts';
import type { Whole } from './measures.ts';
import type { Moved } from '../../drawing/headHandles.ts';

export const valueOf = (arm: Lathe['arm'], key: keyof Whole): number | null =>
  arm === null ? null : key === 'fromMm' || key === 'toMm' ? (arm.slots[0]?.[key] ?? null) : arm[key];

export function movedOf(key: keyof Whole, mm: number): Moved {
  switch (key) {
    case 'centresMm':
      return { what: 'centres', mm };
    case 'bossRadiusMm':
      return { what: 'boss', mm };
    case 'shaftRadiusMm':
      return { what: 'shaft', mm };
    case 'fromMm':
      return { what: 'from', slot: 0, mm };
    case 'toMm':
      return { what: 'to', slot: 0, mm };
  }
}

const MEASURE_OF = {
  centres: 'centresMm',
  boss: 'bossRadiusMm',
  shaft: 'shaftRadiusMm',
  from: 'fromMm',
  to: 'toMm',
} as const;

/** Which of the measures a move gives; null: none of those an arm begins with. */
export const measureOf = ({ what }: Moved): keyof Whole | null =>
  what === 'beside' || what === 'swing' || what === 'wall' ? null : MEASURE_OF[what];
