import { own } from '../quantity/own.ts';
import { plain, type Step } from '../quantity/working.ts';

/** Carriage speed in threading, mm/s. */
export const carriageSpeedMmS = (rpm: number, leadMm: number): number => (rpm * leadMm) / 60;

/** Time to react: width of the relief groove (or clear run past the work) over the carriage speed, s. */
export const reactionTimeS = (reliefMm: number, rpm: number, leadMm: number): number =>
  reliefMm / carriageSpeedMmS(rpm, leadMm);

/** How the time to react comes about. */
export const reactionSteps = (reliefMm: number, rpm: number, leadMm: number): readonly [Step, Step] => [
  {
    name: 'Carriage speed',
    symbol: 'v',
    formula: 'rev/min \u00d7 lead / 60',
    values: `${plain(rpm)} \u00d7 ${plain(leadMm)} / 60`,
    result: carriageSpeedMmS(rpm, leadMm),
    unit: 'mm/s',
    source: 'kinematics',
  },
  {
    name: 'Time',
    symbol: 't',
    formula: 'relief / v',
    values: `${plain(reliefMm)} / ${plain(carriageSpeedMmS(rpm, leadMm))}`,
    result: reactionTimeS(reliefMm, rpm, leadMm),
    unit: 's',
    source: 'kinematics',
  },
];

/** Under this a hand is too slow to be sure of it, s. Common practice, no source. */
export const LEAST_TIME_S = 1;

/** Turning speeds for a high-speed steel tool, m/min; threading at a third of it. Common practice, no source. */
export const TURNING_M_MIN: Readonly<Record<string, number>> = {
  'mild steel': 30,
  'tough steel': 18,
  'stainless steel': 15,
  'cast iron': 18,
  brass: 60,
  bronze: 35,
  aluminium: 75,
  magnesium: 90,
  titanium: 12,
  'beryllium copper': 25,
};

/** Highest spindle speed for threading a diameter in a material, rpm: a third of turning speed. Null: nothing is known of the material. */
export function threadingRpm(material: string, diameterMm: number): number | null {
  const turning = own(TURNING_M_MIN, material);
  return turning === undefined || !(diameterMm > 0) ? null : ((turning / 3) * 1000) / (Math.PI * diameterMm);
}

/** The speed of those the lathe has that is nearest below the wanted one; the slowest when none is. */
export const speedFrom = (speeds: readonly number[], wantedRpm: number): number | null => {
  const below = speeds.filter((s) => s <= wantedRpm);
  return below.length > 0 ? Math.max(...below) : speeds.length > 0 ? Math.min(...speeds) : null;
};
