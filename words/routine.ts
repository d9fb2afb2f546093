import { capital } from './capital.ts';
import type { ThreadEnd } from '../core/cutting/clearRun.ts';
import type { LatheHas } from '../core/lathe/schema.ts';

export interface RoutineRequest {
  readonly make: 'external' | 'internal';
  readonly leftHand: boolean;
  /** The slide that is set for each pass. */
  readonly feeds: 'top' | 'cross' | 'control';
  /** Whole turns by which the tool is drawn out; null: by the length said. */
  readonly outTurns: number | null;
  /** The least withdrawal, as it is read on the lathe: "3.50 mm". */
  readonly outText: string;
  readonly returnBy: 'reverse' | 'dial';
  readonly safeMarks: number;
  readonly marks: number;
  /** The lead is told, not geared. */
  readonly electronic: boolean;
  /** What the lathe has besides. */
  readonly has: readonly LatheHas[];
  /** How the thread ends. */
  readonly end: ThreadEnd;
  /** A taper followed by the cross slide: how far it is moved at each turn, as it is read; null: it is not. */
  readonly perTurn: string | null;
}

/** How the tool is drawn out: whole turns where the dial, the depth and the bore allow them, else by length. */
export function withdrawal(r: Pick<RoutineRequest, 'make' | 'outTurns' | 'outText' | 'has'>): string {
  const away = r.make === 'external' ? 'away from the work' : 'towards the axis';
  if (r.has.includes('retracting-post')) return `Tool out by the lever of its post, ${away}`;
  if (r.outTurns === null) return `Tool out ${r.outText}, ${away}`;
  return `Tool out ${r.outTurns === 1 ? 'a full turn' : `${r.outTurns} full turns`}, ${away}`;
}

/**
 * The motions of one pass in words, in order. Internal threads reverse everything across the axis: in is away from it,
 * out is towards it. Left-hand threads start in the run-out groove and cut towards the tailstock.
 */
export function routine(r: RoutineRequest): string[] {
  const out = withdrawal(r);
  const slide = {
    top: 'Cross slide as it was; top slide to the reading',
    cross: 'Cross slide in to the reading, counting the full turns',
    control: 'Give the control its next diameter',
  }[r.feeds];
  const towards = r.leftHand ? 'towards the tailstock' : 'towards the headstock';
  const back = r.leftHand ? 'into the run-out groove' : 'past the start of the work';
  const at = END_WORDS[r.end];
  const cut = `${r.has.includes('variable-speed') && r.end !== 'through' ? `cut ${towards}, slower near the end` : `cut ${towards}`}${
    r.perTurn === null ? '' : `, the cross slide by ${r.perTurn} a turn`
  }`;
  const stop = r.has.includes('brake') ? 'stop it with the brake' : 'stop';
  const reverse = r.has.includes('quick-reverse') ? 'spindle in quick reverse' : 'spindle in reverse';
  const overshoot = `Overshoot ${back} by two or three leads, so that the backlash is taken up`;
  if (r.electronic)
    return [slide, `Start the pass: ${cut}`, `${at}: ${lower(out)}`, `Return ${back}, a whole number of leads`];
  // where no mark is right the nuts may not open, whatever way back was chosen
  const noMark = r.returnBy === 'dial' && r.safeMarks === 0;
  if (r.returnBy === 'reverse' || noMark)
    return [
      slide,
      `Spindle forward: ${cut}`,
      `${at}: ${r.end === 'taper-out' || r.end === 'stop' ? `${lower(out)}, then ${stop}` : `${stop}, ${lower(out)}`}`,
      `${noMark ? 'No dial mark is right, so the half-nuts' : 'Half-nuts'} stay shut: ${reverse}`,
      overshoot,
    ];
  const close =
    r.safeMarks === r.marks
      ? 'Close the half-nuts on any mark'
      : r.safeMarks === 1
        ? 'Close the half-nuts on the mark first used'
        : `Close the half-nuts on one of the ${r.safeMarks} right marks`;
  return [slide, close, capital(cut), `${at}: ${lower(out)}, open the half-nuts`, `Carriage back by hand ${back}`];
}
/** The motions of a pass by one word each, as many as `routine` has sentences. */
export function motionWords(r: Pick<RoutineRequest, 'electronic' | 'returnBy' | 'safeMarks'>): string[] {
  if (r.electronic) return ['set', 'cut', 'out', 'back'];
  return r.returnBy === 'reverse' || r.safeMarks === 0
    ? ['set', 'cut', 'out', 'back', 'past the start']
    : ['set', 'close', 'cut', 'out', 'back'];
}
/** Where the tool comes out. */
const END_WORDS: Readonly<Record<ThreadEnd, string>> = {
  groove: 'In the groove',
  blind: 'In the relief',
  through: 'Past the end',
  'taper-out': 'Over the last turn, at the mark',
  stop: 'At the stop, within half a turn',
};
const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
