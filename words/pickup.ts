import { FINE, lengthText, ppmText, roundText } from '../core/quantity/format.ts';
import { marked } from '../core/quantity/writing.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import { exact, numberOf } from '../core/quantity/rational.ts';
import type { JudgedBy, OffsetBy } from '../core/job/events.ts';
import type { PickupAct } from '../core/job/pickupAct.ts';
import type { Move, PickupAnswer, PickupProblem, SlideTravel } from '../core/job/pickupMove.ts';
import type { LatheKind } from '../core/lathe/schema.ts';
import type { Judged } from '../core/pickup/judge.ts';
import type { TaughtBy } from '../core/pickup/taught.ts';
import { placeText } from './gears.ts';
import { settingText, travelText, unitName } from './machine.ts';

/** A groove is looked for in what is up. */
export const FIRST_UP = 'Before the groove is looked for:';

/** Everything that is said while an old groove is found again. */
const fine = (mm: number, u: UnitSystem): string => lengthText(Math.abs(mm), u, FINE);
export const towardsHead = (mm: number): string => (mm >= 0 ? 'towards the headstock' : 'towards the tailstock');
const WITH_CUT = 'the way it turns when the spindle cuts forward';

export const WAY_NAMES: Readonly<Record<PickupAnswer['way'], string>> = {
  parallel: 'Top slide parallel',
  angled: 'Angled top slide',
  turn: 'Turning the work',
  slip: 'Slipping a gear',
  start: 'Starting elsewhere',
};
/** "by ..": how an offset was read. */
export const OFFSET_NAMES: Readonly<Record<OffsetBy, string>> = {
  dial: 'as read',
  eye: 'by eye',
  flanks: 'by touching both flanks',
  judged: 'by the run in the air',
  left: 'left over',
  taught: "by the batch's reference",
};
export const JUDGED_NAMES: Readonly<Record<JudgedBy, string>> = {
  in: 'in the groove',
  eye: 'off, by eye',
  dial: 'off, as read',
};
export const TAUGHT_NAMES: Readonly<Record<TaughtBy, string>> = {
  shoulder: 'the shoulder',
  groove: 'the groove',
  mark: 'the spindle mark',
};

/** The acts in one word each. */
export const ACT_WORDS: Readonly<Record<PickupAct, string>> = {
  swing: 'Swing',
  slack: 'Slack',
  face: 'Face',
  look: 'Look',
  drop: 'Drop in',
  move: 'Move',
  key: 'Key in',
  judge: 'Run',
  found: 'Found',
};

/** How the slack is taken up on this lathe, and why. */
export function slackText(kind: LatheKind, leftHand: boolean): { readonly act: string; readonly why: string } {
  const way = leftHand ? 'towards the tailstock' : 'towards the headstock';
  const coupled =
    kind === 'control'
      ? `Jog the tool so that its last movement is ${way}, and stop it there`
      : kind === 'electronic'
        ? 'Leadscrew engaged, run the spindle forward, by power or by hand; stop without letting it roll back'
        : 'Half-nuts shut, run the spindle forward, by power or by hand; stop without letting it roll back';
  return {
    act: `${coupled}.`,
    why: `The drive then pushes ${way} as it does in the cut. Judged before, the tool is off by all the slack there is.`,
  };
}

/** The move as one number: what it belongs to, the number with its turns and unit, and what goes with it. */
export interface MoveHead {
  readonly what: string;
  readonly figure: string;
  readonly turns: number;
  readonly unit: string;
  readonly which: string;
}

/** Which way the handle of an angled top slide goes: a nut is fed by winding it back. Along the bed forward is towards the headstock. */
function woundText(move: Extract<Move, { way: 'angled' }>, internal: boolean): 'forward' | 'back' {
  const feedsBack = internal && move.slideDeg < 90;
  return move.slideMm >= 0 === !feedsBack ? 'forward' : 'back';
}
const intoText = (move: Extract<Move, { way: 'angled' }>): string =>
  move.slideDeg < 90 ? (move.slideMm >= 0 ? ', into the work' : ', out of the work') : '';

export function moveHead(move: Move, u: UnitSystem, internal = false): MoveHead {
  const bare = (mm: number): string => lengthText(mm, u, { ...FINE, bare: true });
  const dial = (t: SlideTravel | null, mm: number): Pick<MoveHead, 'figure' | 'turns' | 'unit'> =>
    t
      ? { figure: t.shown, turns: t.turns, unit: unitName(t.unit) }
      : { figure: bare(Math.abs(mm)), turns: 0, unit: unitName(u) };
  switch (move.way) {
    case 'parallel':
      return {
        what: `Top slide ${towardsHead(move.axialMm)}`,
        ...dial(move.travel, move.axialMm),
        which: 'then feed straight in with the cross slide',
      };
    case 'angled':
      return {
        what: `Top slide ${woundText(move, internal)}`,
        ...dial(move.travel, move.slideMm),
        which: `cross slide ${travelText(move.crossTravel, move.crossOutMm, u, ' + ')} ${move.crossOutMm >= 0 ? 'out of the work' : 'into the work'}${
          move.stands ? `, which is ${settingText(move.stands.cross)}` : ''
        }`,
      };
    case 'turn':
      return {
        what: `Turn the work ${move.direction}`,
        figure: `${roundText(move.deg, 0.5)}\u00b0`,
        turns: 0,
        unit: '',
        which: move.direction === 'back' ? 'top coming away from you' : 'top coming towards you',
      };
    case 'slip':
      return {
        what: `Slip the ${move.gear}`,
        figure: String(move.teeth),
        turns: 0,
        unit: move.teeth === 1 ? 'tooth' : 'teeth',
        which: `${placeText(move.place)}, ${
          move.direction === 'forward'
            ? 'the way it turns when cutting forward'
            : 'against the way it turns when cutting'
        }`,
      };
    case 'start':
      return {
        what: 'Sync point further out by',
        figure: bare(move.outMm),
        turns: 0,
        unit: unitName(u),
        which: 'then whole leads only',
      };
    case 'z': {
      const z = numberOf(exact(move.startMm));
      return {
        what: 'Z start, key in',
        figure: `${z >= 0 ? '+' : ''}${bare(z)}`,
        turns: 0,
        unit: unitName(u),
        which: `${move.leads} whole leads out of the groove`,
      };
    }
  }
}

/** Where the top slide stands after its move, where its zero is known. */
const topStands = ({ stands }: Extract<Move, { way: 'parallel' | 'angled' }>): string =>
  stands ? `: it then stands at ${settingText(stands.top)}` : '';

/** The move of a slide that lies along the bed. */
function parallelSteps(
  move: Extract<Move, { way: 'parallel' }>,
  comeBack: (away: string) => string,
  u: UnitSystem,
): string[] {
  return [
    `Move the top slide ${travelText(move.travel, move.axialMm, u)} ${towardsHead(move.axialMm)}${topStands(move)}.`,
    ...(move.comeBack ? [comeBack(towardsHead(move.axialMm))] : []),
    ...(Math.abs(move.outMm) > 1e-4
      ? [`On the taper the tool comes ${move.outMm > 0 ? 'out' : 'in'} by ${fine(move.outMm, u)}.`]
      : []),
  ];
}

/** The move of a slide at an angle: the cross slide takes back its depth. */
function angledSteps(
  move: Extract<Move, { way: 'angled' }>,
  internal: boolean,
  comeBack: (away: string) => string,
  u: UnitSystem,
): string[] {
  const along = travelText(move.travel, move.slideMm, u);
  const cross = travelText(move.crossTravel, move.crossOutMm, u);
  const wound = woundText(move, internal);
  return [
    `Draw the tool clear, then move the top slide ${along} ${wound}${intoText(move)}${topStands(move)}.`,
    ...(move.comeBack ? [comeBack(wound)] : []),
    `The cross slide goes ${cross} ${move.crossOutMm >= 0 ? 'out of the work' : 'into the work'}${
      move.stands
        ? `: it stands at ${settingText(move.stands.cross)} now, and stays there.`
        : '. Both dials are set to zero when the tool is touched off.'
    }`,
  ];
}

/** One motion after another, for bringing the tool into the groove; ended by taking the slack up again. */
export function pickupSteps(move: Move, leftHand: boolean, u: UnitSystem, kind: LatheKind, internal = false): string[] {
  const slack = `Take the slack up again. ${slackText(kind, leftHand).act}`;
  const shut = kind === 'electronic' ? 'Leadscrew engaged' : 'Half-nuts shut';
  const comeBack = (away: string): string =>
    `That way the slack is left open: go half a turn past ${away}, and come back to the reading ${leftHand ? 'towards the tailstock' : 'towards the headstock'}.`;
  switch (move.way) {
    case 'parallel':
      return [...parallelSteps(move, comeBack, u), slack, 'From now on feed straight in with the cross slide.'];
    case 'angled':
      return [...angledSteps(move, internal, comeBack, u), slack];
    case 'turn':
      return [
        `${kind === 'control' ? 'Spindle held at its mark' : `${shut}, spindle and carriage still`}: turn the work in the jaws (or the chuck against the spindle) ${marked(roundText(move.deg, 0.5))} degrees ${
          move.direction === 'back' ? 'back, top coming away from you' : 'forward, top coming towards you'
        }.`,
        'Indicate it again before the jaws are tightened; chuck key out.',
        slack,
      ];
    case 'slip': {
      if (move.teeth === 0)
        return [`Slipping the ${move.gear} brings it no nearer: take up the ${fine(move.leftMm, u)} another way.`];
      return [
        'Isolate at the plug. Chalk one tooth of each gear where they mesh.',
        `Half-nuts shut, spindle still: open that mesh and turn the ${move.gear} ${placeText(move.place)} by ${move.teeth} ${
          move.teeth === 1 ? 'tooth' : 'teeth'
        }, ${move.direction === 'forward' ? WITH_CUT : `against ${WITH_CUT}`}; mesh it again.`,
        ...(Math.abs(move.leftMm) > 0.005
          ? [`Left over: ${fine(move.leftMm, u)} ${towardsHead(move.leftMm)}, to be taken up with the slide.`]
          : []),
        slack,
      ];
    }
    case 'start':
      return [
        `Start ${fine(move.outMm, u)} further ${leftHand ? 'towards the headstock' : 'from the headstock'} than now: that is the sync point.`,
        'Later starts only a whole number of leads from there.',
        'Feed straight in.',
      ];
    case 'z':
      return [
        'Draw the tool clear, key the start in, and run one pass in the air.',
        'Every later start is whole leads from there, the spindle by its own mark.',
        'Straight in: plunge angle 0. Deeper by the offset or the minor diameter, in steps.',
      ];
  }
}

export const PICKUP_PROBLEM: Readonly<Record<PickupProblem, string>> = {
  'no-lead': 'Choose the gear train first: the lead really cut decides what is the smaller way round.',
  'no-offset': 'Look where the groove lies from the tool, and give it.',
  'slide-square': 'The top slide stands square across: it cannot move the tool along the work. Use another way in.',
  'slide-not-along-bed':
    'The top slide has to lie along the bed before you look, for swinging it moves the tool. Swing it, say so, and then look where the groove lies.',
  'no-train': 'Slipping a gear needs a change-gear train.',
  'not-dropped': 'Let the tool into the groove with the spindle at its mark, and give the Z it stands at.',
  'no-length': 'A left-hand thread starts on the headstock\u2019s side: give its length under Room to stop first.',
};

/** What the threads counted from the face say of Z; null where they agree, or were not counted. */
export function countedText(move: Extract<Move, { way: 'z' }>): string | null {
  const { counted } = move;
  if (!counted || counted.agree.includes(counted.threads)) return null;
  return `${counted.threads} counted, but that Z is the ${counted.agree.join(' or ')}. groove from the face: look at the face, the sign of Z, or count again.`;
}

/** What the run in the air says, what it means, and what is done for it. */
export function judgedText(
  j: Judged,
  u: UnitSystem,
  kind: LatheKind,
  oldLeadMm: number | null,
): { readonly says: string; readonly then: string } {
  switch (j.verdict) {
    case 'more':
      return { says: 'Judge three places: near both ends, and in the middle.', then: '' };
    case 'in':
      return {
        says: 'In the groove all along.',
        then: `Nowhere off by more than can be seen; over ${fine(j.overMm, u)} the leads are the same within ${fine(2 * j.perSigma * j.overMm, u)}.`,
      };
    case 'offset':
      return {
        says: `The same everywhere: ${fine(j.offsetMm, u)} ${towardsHead(j.offsetMm)}.`,
        then:
          kind === 'control'
            ? 'An offset: Z start is moved by it, and run along again.'
            : 'An offset: the slack was not taken up, or the move was short. Take it as the new offset.',
      };
    case 'lead':
      return {
        says: `It grows along the thread: ${fine(j.perMm * j.overMm, u)} over ${fine(j.overMm, u)}.`,
        then: `The leads differ${
          oldLeadMm === null
            ? ''
            : `: the old one is ${fine(oldLeadMm, u)}, ${ppmText(j.perMm * 1e6)} from this lathe's`
        }. Look at the ${kind === 'electronic' || kind === 'control' ? 'lead keyed in' : 'train and the levers'} first. If they are right, the old thread is worn or stretched: split it in the middle, where it is off by half either way.`,
      };
    case 'uneven':
      return {
        says: 'Neither the same nor growing evenly.',
        then: 'The part is bent or runs out, the thread is drunken, or something slipped between. Indicate it, and run along again.',
      };
  }
}

/** Where along a pitch a thing was seen: "0.30 of a pitch". */
export const ofPitchText = (fraction: number): string => `${roundText(Math.abs(fraction), 0.01)} of a pitch`;
