import type { GrooveMissed, GrooveRound } from '../core/practice/groove.ts';
import type { HalfNutsMissed } from '../core/practice/halfNuts.ts';
import type { MotionWord, PlaceMissed, PlaceRound } from '../core/practice/place.ts';
import type { Game } from '../core/practice/rounds.ts';
import type { ReadOf, Slip, SlipCard } from '../core/practice/slip.ts';
import { FINE, lengthText, roundText } from '../core/quantity/format.ts';
import { exact, numberOf } from '../core/quantity/rational.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

/** Everything that is said while something is practised. */
export const GAME_NAMES: Readonly<Record<Game, { readonly name: string; readonly is: string }>> = {
  'half-nuts': { name: 'Half-nuts on the dial', is: 'Shut them where the tool falls back into its own groove.' },
  groove: {
    name: 'Into the groove',
    is: 'Tool and groove from above. Slack first, then bring it in, then run along it.',
  },
  slip: { name: 'Spot the slip', is: 'A set-up with one thing wrong. What was cut shows which.' },
  place: { name: 'Keep the place', is: 'A run of passes, and somebody calls you away. What comes next?' },
};
export const LEVEL_NAMES: Readonly<Record<Game, readonly string[]>> = {
  'half-nuts': [
    'half of the marks and more are right',
    'every second mark, every fourth',
    'fewer marks, and nothing shown beforehand',
    'one mark in eight, and faster',
    'one mark or none',
  ],
  groove: [
    'slide along the bed, no slack',
    'slack, and an eye beside the tool',
    'slide at an angle, left hand, a lead that may be off',
    'every way',
    'every way, everything hidden',
  ],
  slip: ['gross slips', 'gears and levers', 'angles, dials and bores', 'small ones', 'all of them, and perhaps none'],
  place: ['one slide, no turns to count', 'a turn to count', 'nuts and left hand', 'ticks out of turn', 'all of it'],
};

/** What was missed: its name in a list, why, and how it is found on the lathe. */
export interface MissedWords {
  readonly name: string;
  readonly why: string;
  readonly onLathe: string;
}
const HALF_NUTS: Readonly<Record<Exclude<HalfNutsMissed, ''>, MissedWords>> = {
  'wrong-mark': {
    name: 'Shut on a wrong mark',
    why: 'The work had not made whole turns since the first pass: the tool cuts a second groove beside the first.',
    onLathe:
      'Only marks that lie whole leads from the first one, in travel, are right. With the tool drawn back, shut and look before it goes in.',
  },
  'between-marks': {
    name: 'Shut between marks',
    why: 'The nuts dropped in at a thread of the leadscrew that is no mark of the dial, and not a whole number of leads on.',
    onLathe: 'Wait for the mark to come to the index; the lever takes its own time, so begin a little before.',
  },
  'none-is-right': {
    name: 'Shut where no mark is right',
    why: 'For this lead no mark is right on every turn of the dial.',
    onLathe: 'Leave the half-nuts shut for the whole thread: tool out, reverse past the start, forward again.',
  },
  'a-mark-is-right': {
    name: 'Kept shut although a mark is right',
    why: 'Safe, but needless: this lead has marks on which they may be shut.',
    onLathe: 'The dial\u2019s rule is on Gears, beside the train.',
  },
};
const GROOVE: Readonly<Record<Exclude<GrooveMissed, ''>, MissedWords>> = {
  slack: {
    name: 'Slack not taken up before looking',
    why: 'The drive was not yet on the side on which it pushes in the cut: the tool stands off by the slack once it cuts.',
    onLathe: 'Half-nuts shut, spindle forward, stop without letting it roll back. Only then look.',
  },
  'against-slack': {
    name: 'Slide ended against the cut',
    why: 'The slide was last moved against the cut: the first chip pushes it back by its own slack.',
    onLathe: 'Go half a turn past, and come up to the reading in the direction of the cut.',
  },
  parallax: {
    name: 'Looked from beside the tool',
    why: 'Seen from the side, tip and groove do not lie on one line of sight.',
    onLathe: 'Put your eye straight over the tool, white paper behind it, a loupe.',
  },
  off: {
    name: 'Not near enough',
    why: 'More than a twentieth of the pitch off: one flank is cut away before the other is touched.',
    onLathe: 'Touch both flanks with the slide and take the middle.',
  },
  'lead-missed': {
    name: 'A growing offset not seen',
    why: 'What was off grew along the thread: the leads differ, and no offset cures that.',
    onLathe: 'Judge at three places, both ends and the middle.',
  },
  'lead-imagined': {
    name: 'A growing offset where there was none',
    why: 'It was the same at all three places.',
    onLathe: 'Compare the ends with each other, not with what was expected.',
  },
};
const PLACE: Readonly<Record<Exclude<PlaceMissed, ''>, MissedWords>> = {
  'cut-twice': {
    name: 'Slack taken up again',
    why: 'It was up already, and the slide is not set for the next pass yet.',
    onLathe: 'Spindle last forward, tool out, before the thread: set the slide.',
  },
  'not-set': {
    name: 'Cut before the slide was set',
    why: 'The collar still shows the pass before: it cuts air, and the count is one ahead of the metal.',
    onLathe: 'Compare the collar with the card before every pass.',
  },
  'set-twice': {
    name: 'Set twice',
    why: 'The slide stands at this pass already: set again it takes two chips at once.',
    onLathe: 'The collar shows what the card asks of this pass: it is set.',
  },
  'dragged-back': {
    name: 'Reversed with the tool in the groove',
    why: 'The slack opens, and the tool ploughs back along the other flank.',
    onLathe: 'Out first: whole turns, so that the collar comes back to the same figure.',
  },
  'out-twice': {
    name: 'Drawn out twice',
    why: 'It is out already: more turns, and the place of the collar is lost.',
    onLathe: 'Look at the tool, not at the lever.',
  },
  'slack-open': {
    name: 'Slack left open',
    why: 'The spindle last ran in reverse: the slack is on the wrong side, and the first turns of the pass are cut beside the groove.',
    onLathe: 'Back two or three leads past the start, then forward until it is taken up, before the tool goes in.',
  },
  'into-jaws': {
    name: 'On at the end of the thread',
    why: 'The tool stands in the relief at the end: what goes on from there goes into the shoulder or the jaws.',
    onLathe: 'At the end: tool out, and nothing else.',
  },
  'no-cut': {
    name: 'A pass left out',
    why: 'This pass was set, and nothing of it is cut yet.',
    onLathe: 'Tool in, before the thread, the collar as the card asks: cut.',
  },
};
const SLIP_WHY: Readonly<Record<Slip['is'], Omit<MissedWords, 'why'>>> = {
  gear: {
    name: 'One gear not as on the card',
    onLathe: 'Count its teeth; a hundred turns of the chuck by hand say the rest.',
  },
  swapped: {
    name: 'Driver and driven changed places',
    onLathe: 'Follow the train from the spindle: what is driven on a stud drives the next.',
  },
  'chart-row': { name: 'The row beside it on the chart', onLathe: 'A scratch over ten pitches before the first chip.' },
  'half-angle': {
    name: 'Half the form angle taken wrong',
    onLathe: 'Tool against the notch of its own gauge, light behind.',
  },
  'whole-angle': {
    name: 'Slide at the whole angle for the half',
    onLathe: 'The slide lies at half the form angle or a little less, from the cross slide\u2019s line.',
  },
  diameter: {
    name: 'A dial that reads diameter taken for radius',
    onLathe: 'Touch, wind in by a tenth, turn a collar, measure: half or whole.',
  },
  radius: {
    name: 'A dial that reads radius taken for diameter',
    onLathe: 'Touch, wind in by a tenth, turn a collar, measure: half or whole.',
  },
  bore: {
    name: 'Bore taken from the wrong minor',
    onLathe: 'The bore comes from the nut\u2019s own form, not from the drill table of another.',
  },
  'not-in-line': {
    name: 'Centre or slide not in line',
    onLathe: 'A cut along the whole length, measured at both ends, before the thread.',
  },
  nothing: { name: 'Nothing was wrong', onLathe: 'What is read agrees with the card to what can be read.' },
};
/** Words of what was missed; a code that is not known any more is said as it is. */
export function missedWords(game: Game, missed: string): MissedWords {
  const of: Readonly<Record<string, MissedWords>> = { 'half-nuts': HALF_NUTS, groove: GROOVE, place: PLACE, slip: {} }[
    game
  ];
  const slip = (SLIP_WHY as Readonly<Record<string, Omit<MissedWords, 'why'> | undefined>>)[missed];
  return of[missed] ?? { name: slip?.name ?? missed, why: '', onLathe: slip?.onLathe ?? '' };
}

/** Leads beside the groove in words: "a quarter of a lead". */
export function offLeadsText(exactLeads: string): string {
  const x = Math.abs(numberOf(exact(exactLeads)));
  if (x === 0) return 'in its groove';
  const known = [
    [1 / 2, 'half a lead'],
    [1 / 4, 'a quarter of a lead'],
    [1 / 8, 'an eighth of a lead'],
    [3 / 8, 'three eighths of a lead'],
    [1 / 3, 'a third of a lead'],
  ] as const;
  return `${known.find(([v]) => Math.abs(v - x) < 1e-9)?.[1] ?? `${roundText(x, 0.01)} of a lead`} off${Math.abs(x - 1 / 2) < 1e-9 ? ', a double start' : ', a second groove beside the first'}`;
}

export const GROOVE_WAY: Readonly<
  Record<
    GrooveRound['way'],
    { readonly what: string; readonly plus: string; readonly minus: string; readonly unit: string }
  >
> = {
  parallel: { what: 'Top slide, along the bed', plus: 'with the cut', minus: 'against it', unit: 'divisions' },
  angled: { what: 'Top slide, at its angle', plus: 'forward', minus: 'back', unit: 'divisions' },
  turn: { what: 'The work, turned in the jaws', plus: 'forward', minus: 'back', unit: 'degrees' },
  slip: { what: 'A gear, slipped by teeth', plus: 'with the cut', minus: 'against it', unit: 'teeth' },
};

export const READ_NAMES: Readonly<Record<ReadOf, string>> = {
  tenPitches: 'Ten pitches span',
  flank: 'Each flank lies at',
  depth: 'The groove is deep',
  growsBy: 'Headstock end larger by',
  bore: 'The nut was bored to',
};
export const readText = (k: ReadOf, value: number, u: UnitSystem): string =>
  k === 'flank'
    ? `${roundText(value, 0.25)}\u00b0`
    : lengthText(value, u, k === 'tenPitches' ? { stepMm: 0.01, stepIn: 0.001 } : FINE);

/** A mistake as a choice. */
export function slipText(s: Slip, c: SlipCard, u: UnitSystem): string {
  const gears = [...c.drivers, ...c.driven];
  switch (s.is) {
    case 'gear':
      return `A ${s.on} is on where the ${s.belongs} belongs`;
    case 'swapped':
      return `The ${gears[s.a]} and the ${gears[s.b]} changed places`;
    case 'chart-row':
      return `The levers stand in the row of ${s.row}`;
    case 'half-angle':
      return `The tool is ground to half of ${roundText(2 * s.deg, 0.5)}\u00b0`;
    case 'whole-angle':
      return 'The slide lies at the whole angle';
    case 'diameter':
      return 'The dial reads diameter, and was taken for radius';
    case 'radius':
      return 'The dial reads radius, and was taken for diameter';
    case 'bore':
      return s.from === 'tap-of-pitch'
        ? 'The bore is the major less one pitch'
        : `The bore, ${lengthText(s.boreMm, u, FINE)}, is another form\u2019s`;
    case 'not-in-line':
      return `The centre stands ${s.perMm > 0 ? 'towards' : 'away from'} the tool`;
    case 'nothing':
      return 'Nothing is wrong';
  }
}

export const MOTION_NAMES: Readonly<Record<MotionWord, { readonly word: string; readonly how: string }>> = {
  set: { word: 'set', how: 'slide to the card\u2019s figure, tool in' },
  cut: { word: 'cut', how: 'forward along the thread' },
  out: { word: 'out', how: 'tool out, whole turns' },
  back: { word: 'back', how: 'reverse, past the start' },
  past: { word: 'past start', how: 'forward a little, slack up' },
};
/** A collar as it is seen: it says nothing of whole turns. */
export const collarText = (r: PlaceRound, divisions: number): string => {
  const at = ((divisions % r.perTurn) + r.perTurn) % r.perTurn;
  return (at * r.division).toFixed(r.unit === 'mm' ? 2 : 3);
};
/** What the card asks, turns and all. */
export function cardAsks(r: PlaceRound, divisions: number): string {
  const turns = Math.floor(divisions / r.perTurn);
  return `${turns === 0 ? '' : `${turns} turn${turns === 1 ? '' : 's'} and `}${collarText(r, divisions)}`;
}
export const PLACE_SEES = {
  toolAt: { start: 'before the thread', end: 'in the relief, at the end', 'beyond-start': 'well before the thread' },
  tool: { in: 'in, at depth', out: 'drawn out' },
  spindleRan: { forward: 'last forward', reverse: 'last in reverse' },
  chips: { fresh: 'a fresh curl under the tool', old: 'in the tray', none: 'none of this pass' },
} as const;
