import { deal } from './deal.ts';

/** The motions of a pass on a lathe whose half-nuts stay shut, in order. */
export const MOTIONS = ['set', 'cut', 'out', 'back', 'past'] as const;
/** One of MOTIONS. */
export type MotionWord = (typeof MOTIONS)[number];

/** A run of passes that somebody was called away from: what can be seen when one comes back. */
export interface PlaceRound {
  readonly thread: string;
  readonly internal: boolean;
  readonly leftHand: boolean;
  /** Passes in all, and the one at hand, from 1. */
  readonly of: number;
  readonly pass: number;
  readonly springs: number;
  /** What was done last of this pass. */
  readonly last: MotionWord;
  /** Dial of the slide that feeds: what the card asks of this pass and of the one before, in divisions from zero. */
  readonly asks: number;
  readonly before: number;
  readonly perTurn: number;
  readonly division: number;
  readonly unit: 'mm' | 'in';
  /** Whole turns by which the tool is drawn out. */
  readonly outTurns: number;
  /** Pass at hand ticked on the card already, out of turn. */
  readonly ticked: boolean;
  /** Seen: */
  readonly toolAt: 'start' | 'end' | 'beyond-start';
  readonly tool: 'in' | 'out';
  readonly spindleRan: 'forward' | 'reverse';
  readonly chips: 'fresh' | 'old' | 'none';
  /** Readings of the two collars, in divisions: the one that feeds, and the one by which it is drawn out. */
  readonly feeds: number;
  readonly draws: number;
  readonly right: MotionWord;
}

const THREADS = ['1 1/2 x 3 1/2 tpi', 'M30x2', 'Tr 28x5', '2 1/2-4 UNC', '5/8-11 BSW'] as const;

/**
 * What comes after each motion.
 * @example [nextOf('cut'), nextOf('out')] // ['out', 'back']
 */
export const nextOf = (m: MotionWord): MotionWord => MOTIONS[(MOTIONS.indexOf(m) + 1) % MOTIONS.length] ?? 'set';

/**
 * A run of passes broken off somewhere. @param level 1 up
 * @example placeRound(1, 1).thread === placeRound(1, 1).thread // true; a seed gives the same again
 */
export function placeRound(seed: number, level: number): PlaceRound {
  const d = deal(seed);
  const of = d.whole(8, 24);
  const pass = d.whole(2, of - 1);
  const unit = d.of(['mm', 'in'] as const);
  const perTurn = unit === 'mm' ? d.of([100, 125]) : 100;
  const division = unit === 'mm' ? 0.02 : 0.001;
  // an even chip: depth as the root of the pass, from zero to one and a half turns and more at higher levels
  const deepest = level <= 1 ? 0.8 * perTurn : level === 2 ? 1.2 * perTurn : 2.6 * perTurn;
  const at = (k: number): number => Math.round(deepest * Math.sqrt(k / of));
  const last = d.of(MOTIONS);
  const internal = level >= 3 && d.chance(0.4);
  const leftHand = level >= 3 && d.chance(0.4);
  const outTurns = d.whole(1, 2);
  const asks = at(pass);
  const before = at(pass - 1);
  const done = MOTIONS.indexOf(last);
  const set = last !== 'past';
  return {
    thread: d.of(THREADS),
    internal,
    leftHand,
    of,
    pass,
    springs: 2,
    last,
    asks,
    before,
    perTurn,
    division,
    unit,
    outTurns,
    ticked: level >= 4 && (last === 'cut' || last === 'out') ? d.chance(0.5) : last === 'back',
    toolAt: last === 'cut' || last === 'out' ? 'end' : last === 'back' ? 'beyond-start' : 'start',
    tool: last === 'set' || last === 'cut' ? 'in' : 'out',
    spindleRan: last === 'back' ? 'reverse' : 'forward',
    chips: last === 'cut' ? 'fresh' : done >= 2 && last !== 'past' ? 'old' : 'none',
    // before it is set the collar still shows the pass before
    feeds: set ? asks : before,
    draws: last === 'set' || last === 'cut' ? 0 : -outTurns * perTurn,
    right: nextOf(last),
  };
}

/** What a wrong motion does there. */
export type PlaceMissed =
  '' | 'cut-twice' | 'not-set' | 'set-twice' | 'dragged-back' | 'out-twice' | 'slack-open' | 'into-jaws' | 'no-cut';
/**
 * What the motion chosen would do; empty: right.
 * @example gradePlace({ ...placeRound(1, 1), right: 'cut' }, 'cut') // ''
 */
export function gradePlace(r: PlaceRound, chosen: MotionWord): PlaceMissed {
  if (chosen === r.right) return '';
  if (chosen === 'back') return r.tool === 'in' ? 'dragged-back' : 'no-cut';
  if (chosen === 'cut') return r.toolAt === 'end' ? 'into-jaws' : r.right === 'past' ? 'slack-open' : 'not-set';
  if (chosen === 'set')
    return r.right === 'cut'
      ? 'set-twice'
      : r.right === 'past'
        ? 'slack-open'
        : r.toolAt === 'end'
          ? 'into-jaws'
          : 'set-twice';
  if (chosen === 'out') return r.tool === 'out' ? 'out-twice' : 'no-cut';
  return r.toolAt === 'end' ? 'into-jaws' : r.right === 'set' ? 'cut-twice' : 'no-cut';
}
