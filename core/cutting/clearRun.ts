import { carriageSpeedMmS } from './speed.ts';

/** How the thread ends: in a groove, by drawing the tool out over a length, at a stop, past the end of the work, or at a blind bore's relief. */
export const THREAD_ENDS = ['groove', 'taper-out', 'stop', 'through', 'blind'] as const;
/** One of THREAD_ENDS. */
export type ThreadEnd = (typeof THREAD_ENDS)[number];

/** Turns that the spindle goes on for from a speed once it is to stop. */
export interface Coast {
  readonly rpm: number;
  readonly turns: number;
}

/**
 * Way that is clear for stopping, mm: the groove (or the run past the work) less the tool's own width in it.
 * @example clearRunMm(6, 2) // 4
 */
export const clearRunMm = (roomMm: number, toolWidthMm: number): number => Math.max(0, roomMm - toolWidthMm);

/**
 * Turns that it coasts from a speed: with a steady brake they go as the speed squared. @see motion at constant deceleration
 * @example coastTurns(200, { rpm: 100, turns: 0.5 }) // 2; as the speed squared
 */
export const coastTurns = (rpm: number, coast: Coast | null): number =>
  coast ? coast.turns * (rpm / coast.rpm) ** 2 : 0;

/**
 * Turns of the spindle before the carriage stands: what the hand takes, and what it coasts.
 * @example stoppingTurns(120, 0.5, null) // 1
 */
export const stoppingTurns = (rpm: number, reactS: number, coast: Coast | null): number =>
  (rpm * reactS) / 60 + coastTurns(rpm, coast);

/**
 * Highest speed at which the carriage stands within a clear run, rev/min: opening the nuts takes the hand's time alone,
 * reversing with the nuts shut the spindle's coast besides. @see the quadratic of stoppingTurns
 * @example highestRpm(6, 2, 0.5, null) // 360; three leads in half a second
 */
export function highestRpm(clearMm: number, leadMm: number, reactS: number, coast: Coast | null): number {
  const turns = clearMm / leadMm;
  const perRpm = reactS / 60;
  const square = coast ? coast.turns / coast.rpm ** 2 : 0;
  // the root in the form that holds for a spindle that stands at once, too
  return (2 * turns) / (perRpm + Math.sqrt(perRpm * perRpm + 4 * square * turns));
}

/**
 * Time from the end of the thread until the tool meets the shoulder, s; what the spindle coasts is taken off.
 * @example timeToStopS(6, 360, 2, null) // 0.5
 */
export function timeToStopS(clearMm: number, rpm: number, leadMm: number, coast: Coast | null): number {
  return (clearMm - coastTurns(rpm, coast) * leadMm) / carriageSpeedMmS(rpm, leadMm);
}

/** Half to one turn is a neat taper-out by hand. Common practice, no source. */
export const TAPER_OUT_TURNS = { least: 0.5, most: 1 } as const;
/**
 * Turns over which the tool is drawn out by hand. @param drawS how long the hand takes
 * @example drawOutTurns(60, 0.5) // 0.5
 */
export const drawOutTurns = (rpm: number, drawS: number): number => (rpm * drawS) / 60;
/** Time that a hand takes to draw the tool out, s. Common practice, no source. */
export const DRAW_OUT_S = 0.5;

/**
 * What an electronic leadscrew leaves at a stop: the carriage needs x = v^2/2a to stand, and the spindle turns 2x/L meanwhile,
 * so that the last x is cut at a falling lead. @param accelMmS2 the carriage's deceleration
 * @see motion at constant deceleration
 * @example stopShort(60, 2, 100).mm // 0.02; v^2 / (2 a)
 */
export function stopShort(
  rpm: number,
  leadMm: number,
  accelMmS2: number,
): { readonly mm: number; readonly turns: number } {
  const v = carriageSpeedMmS(rpm, leadMm);
  const mm = (v * v) / (2 * accelMmS2);
  return { mm, turns: (2 * mm) / leadMm };
}
