import {
  clearRunMm,
  coastTurns,
  drawOutTurns,
  DRAW_OUT_S,
  highestRpm,
  stopShort,
  TAPER_OUT_TURNS,
  THREAD_ENDS,
  timeToStopS,
  type Coast,
  type ThreadEnd,
} from '../cutting/clearRun.ts';
import { carriageSpeedMmS, LEAST_TIME_S } from '../cutting/speed.ts';
import { widthMm } from '../cutting/tip.ts';
import { isGeared, type Lathe } from '../lathe/schema.ts';
import { plain, type Step } from '../quantity/working.ts';
import { toolOfJob } from './cutPlan.ts';
import { fitOfJob } from './derive.ts';
import type { Job } from './schema.ts';

/** What a spindle speed leaves at the end of the thread. */
interface AtSpeed {
  readonly rpm: number;
  /** Time to stop or withdraw, s; by drawing out by hand: how long one may take for it. */
  readonly seconds: number;
  /** Turns meanwhile. */
  readonly turns: number;
  /** There is as much as the person wants. */
  readonly enough: boolean;
}

/** The end of the thread, and how fast one may come to it. */
export interface EndView {
  readonly end: ThreadEnd;
  /** Tool's own width in the groove, mm; null: no tool is known. */
  readonly toolWidthMm: number | null;
  /** Way in which to stop, mm; null: not said, or there is none. */
  readonly clearMm: number | null;
  readonly clearTurns: number | null;
  readonly needS: number;
  /** Time of the hand that draws the tool out, s. */
  readonly drawS: number;
  /** What the spindle coasts is taken off: the half-nuts stay shut and it is reversed. */
  readonly coast: Coast | null;
  /** Reversed with the nuts shut, and nobody has measured how it coasts. */
  readonly coastUnknown: boolean;
  /** Highest speed that leaves the time wanted, rev/min; null: nothing is known of the room. */
  readonly highestRpm: number | null;
  /** Electronic leadscrew to a stop: how far short it stands at a speed, mm and turns; null elsewhere, or not measured. */
  readonly short: ((rpm: number) => { readonly mm: number; readonly turns: number }) | null;
  readonly at: (rpm: number) => AtSpeed | null;
  readonly steps: (rpm: number) => readonly Step[];
}

/**
 * How a thread of this member may end: a nut's is not drawn out by hand, and only a bore is blind.
 * @example endsOf('external') // ['groove', 'taper-out', 'stop', 'through']
 */
export const endsOf = (make: Job['intake']['make']): readonly ThreadEnd[] =>
  THREAD_ENDS.filter((e) => e !== (make === 'internal' ? 'taper-out' : 'blind'));

/** Drawn out by hand the thread fades over so many turns; a stop without a groove takes no more than half a one. */
const turnsOut = (end: ThreadEnd): number => (end === 'stop' ? TAPER_OUT_TURNS.least : TAPER_OUT_TURNS.most);

/**
 * How the thread ends and what time that leaves; null: no thread, or its lead is not known.
 * @example endOf(demo('sluice'), shop.lathes[0], 7.257).needS // 1
 */
export function endOf(job: Job, lathe: Lathe | null, leadMm: number | null): EndView | null {
  const fit = fitOfJob(job);
  if (!fit || leadMm === null) return null;
  const own = toolOfJob(job);
  const { end, reliefMm, taperOutMm, reactS } = job.setup;
  const needS = reactS ?? LEAST_TIME_S;
  const byHand = end === 'taper-out' || end === 'stop';
  const toolWidthMm = own ? widthMm(own.tool, fit.depthMm) : null;
  const reverses = lathe !== null && isGeared(lathe) && job.cut.returnBy === 'reverse';
  const coast = reverses && !byHand ? lathe.coast : null;
  const shared = {
    end,
    toolWidthMm,
    needS,
    drawS: DRAW_OUT_S,
    coast,
    coastUnknown: reverses && !byHand && lathe.coast === null,
    short: shortOf(lathe, end, leadMm),
  };
  if (byHand) {
    const overTurns = end === 'taper-out' && taperOutMm !== null ? taperOutMm / leadMm : turnsOut(end);
    const mostRpm = (overTurns * 60) / DRAW_OUT_S;
    return {
      ...shared,
      clearMm: overTurns * leadMm,
      clearTurns: overTurns,
      highestRpm: mostRpm,
      at: (rpm) => ({
        rpm,
        seconds: (overTurns * 60) / rpm,
        turns: drawOutTurns(rpm, DRAW_OUT_S),
        enough: rpm <= mostRpm + 1e-9,
      }),
      steps: (rpm) => [
        {
          name: 'Turns while the tool is drawn out',
          symbol: 'n',
          formula: 'rev/min \u00d7 time of the hand / 60',
          values: `${plain(rpm)} \u00d7 ${plain(DRAW_OUT_S)} / 60`,
          result: drawOutTurns(rpm, DRAW_OUT_S),
          unit: 'ratio',
          source: 'kinematics; half a second by hand is common practice, no source',
        },
      ],
    };
  }
  const clearMm = reliefMm === null || toolWidthMm === null ? null : clearRunMm(reliefMm, toolWidthMm);
  return {
    ...shared,
    clearMm,
    clearTurns: clearMm === null ? null : clearMm / leadMm,
    highestRpm: clearMm === null ? null : highestRpm(clearMm, leadMm, needS, coast),
    at: (rpm) => {
      if (clearMm === null) return null;
      const seconds = Math.max(0, timeToStopS(clearMm, rpm, leadMm, coast));
      return { rpm, seconds, turns: clearMm / leadMm, enough: seconds >= needS - 1e-9 };
    },
    steps: (rpm) => (clearMm === null ? [] : timeSteps(reliefMm ?? 0, toolWidthMm ?? 0, rpm, leadMm, coast)),
  };
}

function shortOf(lathe: Lathe | null, end: ThreadEnd, leadMm: number): EndView['short'] {
  const accel = lathe && !isGeared(lathe) && end === 'stop' ? lathe.stopAccelMmS2 : null;
  return accel === null ? null : (rpm) => stopShort(rpm, leadMm, accel);
}

/** How the time to stop comes about. */
function timeSteps(roomMm: number, toolMm: number, rpm: number, leadMm: number, coast: Coast | null): readonly Step[] {
  const clearMm = clearRunMm(roomMm, toolMm);
  const v = carriageSpeedMmS(rpm, leadMm);
  const seconds = timeToStopS(clearMm, rpm, leadMm, coast);
  return [
    {
      name: 'Clear run',
      symbol: 'w',
      formula: 'groove \u2212 width of the tool in it',
      values: `${plain(roomMm)} \u2212 ${plain(toolMm)}`,
      result: clearMm,
      unit: 'mm',
      source: 'geometry',
    },
    {
      name: 'Carriage speed',
      symbol: 'v',
      formula: 'rev/min \u00d7 lead / 60',
      values: `${plain(rpm)} \u00d7 ${plain(leadMm)} / 60`,
      result: v,
      unit: 'mm/s',
      source: 'kinematics',
    },
    {
      name: 'Time',
      symbol: 't',
      formula: coast ? '(w \u2212 turns it coasts \u00d7 lead) / v' : 'w / v',
      values: coast
        ? `(${plain(clearMm)} \u2212 ${plain(coastTurns(rpm, coast))} \u00d7 ${plain(leadMm)}) / ${plain(v)}`
        : `${plain(clearMm)} / ${plain(v)}`,
      result: seconds,
      unit: 's',
      source: coast ? 'kinematics; the coast measured on this lathe' : 'kinematics',
    },
  ];
}
