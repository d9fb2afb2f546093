import { deal } from './deal.ts';
import { sinDeg, cosDeg } from '../quantity/units.ts';

const GROOVE_WAYS = ['parallel', 'angled', 'turn', 'slip'] as const;
type GrooveWay = (typeof GROOVE_WAYS)[number];

/** A lathe with an old thread in it: where the groove is, and everything that hides it. Lengths mm, + towards the headstock. */
export interface GrooveRound {
  readonly designation: string;
  readonly pitchMm: number;
  readonly flankDeg: number;
  readonly leftHand: boolean;
  readonly way: GrooveWay;
  /** From the tool to the groove, with every slack on the side on which it is in the cut. */
  readonly offMm: number;
  /** Slack of the carriage, and of the top slide. */
  readonly carriageSlackMm: number;
  readonly slideSlackMm: number;
  /** What an eye beside the tool sees too much. */
  readonly parallaxMm: number;
  readonly slideDeg: number;
  readonly division: number;
  readonly gear: { readonly teeth: number; readonly perToothMm: number };
  /** How much the old lead is off this lathe's, mm a mm. */
  readonly perMm: number;
  readonly lengthMm: number;
}

/** Where everything stands; what is done changes it. */
export interface GrooveState {
  /** Moved by the way chosen, along the axis, + towards the headstock. */
  readonly movedMm: number;
  /** Reading of the top slide, and where its screw bears. */
  readonly dialMm: number;
  readonly bears: 'forward' | 'back';
  /** Slack of the slide still to be taken before it follows. */
  readonly openMm: number;
  readonly slackTaken: boolean;
  readonly over: boolean;
  readonly deg: number;
  readonly teeth: number;
}
/** What the hand does in this practice. */
export type GrooveDo =
  | { readonly do: 'forward' }
  | { readonly do: 'over' }
  | { readonly do: 'slide'; readonly divisions: number }
  | { readonly do: 'turn'; readonly deg: number }
  | { readonly do: 'slip'; readonly teeth: number };

const THREADS = [
  { designation: 'M30x2', pitchMm: 2, flankDeg: 30 },
  { designation: '1-8 UNC', pitchMm: 3.175, flankDeg: 30 },
  { designation: '5/8-11 BSW', pitchMm: 25.4 / 11, flankDeg: 27.5 },
  { designation: 'Tr 28x5', pitchMm: 5, flankDeg: 15 },
  { designation: '1 1/2-4 Acme', pitchMm: 6.35, flankDeg: 14.5 },
] as const;

/**
 * A thread to be picked up. @param level 1 up; the higher, the less help
 * @example grooveRound(1, 1).pitchMm === grooveRound(1, 1).pitchMm // true; a seed deals the same round again
 */
export function grooveRound(seed: number, level: number): GrooveRound {
  const d = deal(seed);
  const thread = d.of(THREADS);
  const way = d.of<GrooveWay>(
    level === 1 ? ['parallel'] : level === 2 ? ['parallel', 'turn'] : level === 3 ? ['angled', 'turn'] : GROOVE_WAYS,
  );
  const leftHand = level >= 3 && d.chance(0.4);
  const sign = d.chance(0.5) ? 1 : -1;
  // whole steps of what the way can set, so that a round can be ended exactly
  const { pitchMm } = thread;
  const teeth = 60;
  return {
    ...thread,
    leftHand,
    way,
    offMm: sign * d.between(0.12, 0.46) * pitchMm,
    carriageSlackMm: level === 1 ? 0 : d.between(0.05, 0.12) * pitchMm,
    slideSlackMm: level === 1 ? 0 : 0.15,
    parallaxMm: level >= 2 ? (d.chance(0.5) ? 1 : -1) * d.between(0.05, 0.09) * pitchMm : 0,
    slideDeg: way === 'angled' ? 29.5 : 90,
    division: 0.02,
    gear: { teeth, perToothMm: pitchMm / 40 },
    perMm: level >= 3 && d.chance(0.4) ? (d.chance(0.5) ? 1 : -1) * d.between(0.003, 0.006) : 0,
    lengthMm: 16 * pitchMm,
  };
}

/**
 * Nothing moved yet.
 * @example grooveStart().slackTaken // false
 */
export const grooveStart = (): GrooveState => ({
  movedMm: 0,
  dialMm: 0,
  bears: 'forward',
  openMm: 0,
  slackTaken: false,
  over: false,
  deg: 0,
  teeth: 0,
});

/** The cut goes towards the headstock right-hand, away from it left-hand; "forward" on a slide is that way. */
const dirOf = (r: GrooveRound): 1 | -1 => (r.leftHand ? -1 : 1);

/**
 * What an act makes of where work and tool stand.
 * @example grooveDo(grooveRound(1, 1), grooveStart(), { do: 'over' }).over // true
 */
export function grooveDo(r: GrooveRound, s: GrooveState, a: GrooveDo): GrooveState {
  const dir = dirOf(r);
  switch (a.do) {
    case 'forward':
      return { ...s, slackTaken: true };
    case 'over':
      return { ...s, over: !s.over };
    case 'slide': {
      const along = a.divisions * r.division;
      const bears = along > 0 ? 'forward' : 'back';
      // turned back, the dial runs before the slide follows
      const open = bears === s.bears ? s.openMm : r.slideSlackMm - s.openMm;
      const eaten = Math.min(Math.abs(along), open);
      const moved = Math.sign(along) * (Math.abs(along) - eaten);
      return {
        ...s,
        dialMm: s.dialMm + along,
        bears,
        openMm: open - eaten,
        movedMm: s.movedMm + dir * moved * (r.way === 'angled' ? sinDeg(r.slideDeg) : 1),
      };
    }
    case 'turn':
      // forward carries a right-hand groove towards the headstock: the tool is then that much behind
      return { ...s, deg: s.deg + a.deg, movedMm: s.movedMm - (dir * a.deg * r.pitchMm) / 360 };
    case 'slip':
      return {
        ...s,
        teeth: s.teeth + a.teeth,
        movedMm: s.movedMm + dir * a.teeth * r.gear.perToothMm,
        // a gear that was lifted out leaves the slack open
        slackTaken: false,
      };
  }
}

/**
 * Cross slide, out of the work, for what an angled slide went in.
 * @example Math.abs(crossOutMm(grooveRound(1, 1), grooveStart())) // 0; nothing was moved yet
 */
export const crossOutMm = (r: GrooveRound, s: GrooveState): number =>
  r.way === 'angled' ? s.dialMm * cosDeg(r.slideDeg) : 0;

const wrap = (x: number, every: number): number => x - every * Math.round(x / every);

/**
 * How far the groove will be from the tool once it cuts: every slack goes to the side that drives.
 * @example realOff({ ...grooveRound(1, 1), offMm: 0.5 }, grooveStart()) // 0.5; nothing has been moved yet
 */
export function realOff(r: GrooveRound, s: GrooveState): number {
  // pushed in the cut, a slide left bearing the other way gives by its slack, against the cut
  const gives = s.bears === 'back' ? dirOf(r) * (r.slideSlackMm - s.openMm) : 0;
  return wrap(r.offMm - s.movedMm + gives, r.pitchMm);
}
/**
 * How far the groove is seen from the tool now.
 * @example seenOff(grooveRound(1, 1), { ...grooveStart(), over: true }) === realOff(grooveRound(1, 1), { ...grooveStart(), over: true }) // true; from straight over it is seen as it is
 */
export function seenOff(r: GrooveRound, s: GrooveState): number {
  const slack = s.slackTaken ? 0 : dirOf(r) * r.carriageSlackMm;
  return wrap(r.offMm - s.movedMm - slack + (s.over ? 0 : r.parallaxMm), r.pitchMm);
}

/**
 * The tool is in when it is nearer than this, mm: a twentieth of the pitch, as it is judged by eye. Common practice, no source.
 * @example nearMm({ pitchMm: 2 }) // 0.1
 */
export const nearMm = (r: GrooveRound): number => r.pitchMm / 20;

/** What was missed, by a code; empty: nothing. */
export type GrooveMissed = '' | 'slack' | 'against-slack' | 'parallax' | 'off' | 'lead-missed' | 'lead-imagined';
/**
 * What was missed in bringing it in; empty: it is in.
 * @example gradeGroove(grooveRound(1, 1), grooveStart()) // 'off'
 */
export function gradeGroove(r: GrooveRound, s: GrooveState): GrooveMissed {
  if (Math.abs(realOff(r, s)) <= nearMm(r)) return '';
  if (!s.slackTaken && r.carriageSlackMm > nearMm(r)) return 'slack';
  if (s.bears === 'back' && r.slideSlackMm - s.openMm > nearMm(r)) return 'against-slack';
  if (!s.over && Math.abs(r.parallaxMm) > 0) return 'parallax';
  return 'off';
}
/**
 * What is off at three places of the run along it, mm.
 * @example runOff(grooveRound(1, 1), grooveStart()).length // 3
 */
export const runOff = (
  r: GrooveRound,
  s: GrooveState,
): readonly { readonly alongMm: number; readonly offMm: number }[] =>
  [1, 3, 5].map((k) => {
    const alongMm = (r.lengthMm * k) / 6;
    return { alongMm, offMm: realOff(r, s) + r.perMm * (alongMm - r.lengthMm / 6) };
  });
/**
 * The run was judged. @param said that it grows
 * @example [gradeRun({ perMm: 0 }, false), gradeRun({ perMm: 0 }, true)] // ['', 'lead-imagined']
 */
export const gradeRun = (r: GrooveRound, said: boolean): GrooveMissed =>
  said === (r.perMm !== 0) ? '' : said ? 'lead-imagined' : 'lead-missed';
