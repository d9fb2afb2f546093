import { materialOf } from './materials.ts';

/**
 * Carriage speed in threading, mm/s.
 * @example carriageSpeedMmS(60, 2) // 2; a lead a second
 */
export const carriageSpeedMmS = (rpm: number, leadMm: number): number => (rpm * leadMm) / 60;

/** Under this a hand is too slow to be sure of it, s. Common practice, no source. */
export const LEAST_TIME_S = 1;

/**
 * Highest spindle speed for threading a diameter in a material, rpm: a third of turning speed. Null: nothing is known of the material.
 * @example threadingRpm('mild steel', 25) // 127.3; 10 m/min, a third of turning speed
 */
export function threadingRpm(material: string, diameterMm: number): number | null {
  const turning = materialOf(material)?.turningMMin;
  return turning === undefined || !(diameterMm > 0) ? null : ((turning / 3) * 1000) / (Math.PI * diameterMm);
}

/**
 * The speed of those the lathe has that is nearest below the wanted one; the slowest when none is.
 * @example speedFrom([40, 65, 100], 80) // 65
 */
export const speedFrom = (speeds: readonly number[], wantedRpm: number): number | null => {
  const below = speeds.filter((s) => s <= wantedRpm);
  return below.length > 0 ? Math.max(...below) : speeds.length > 0 ? Math.min(...speeds) : null;
};
