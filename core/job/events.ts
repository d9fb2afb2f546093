import { Type, type Static, type TSchema } from '@sinclair/typebox';
import { HOLDINGS, RESTS } from '../cutting/holding.ts';
import { TrainSchema } from '../lathe/schema.ts';
import { TAUGHT_BY } from '../pickup/taught.ts';
import type { Unwritten } from '../quantity/unwritten.ts';
import { finite, id, object, oneOf, positive, text, time, TipSchema } from './parts.ts';

/**
 * The ledger: what was really done at the lathe, in order. Events are only ever added. One that was wrong is voided by a
 * later one, and a void can be voided; nothing is rewritten. Order is by number, not by the clock, which may be set back.
 */
const common = {
  n: Type.Integer({ minimum: 1, maximum: 100_000 }),
  id,
  at: time,
  part: Type.Integer({ minimum: 1, maximum: 10_000 }),
  /** Which start of a thread of several, from 1. */
  start: Type.Integer({ minimum: 1, maximum: 24 }),
};

/** The facts under which metal was last agreed to be cut: name of the fact -> its text. */
const FactsSchema = Type.Record(Type.String({ maxLength: 120 }), text(4000));
const orNull = <T extends TSchema>(schema: T) => Type.Union([Type.Null(), schema]);
const depth = Type.Number({ minimum: -1000, maximum: 1000 });
/** Along the thread from its end, mm; null: not said. */
const along = orNull(Type.Number({ minimum: 0, maximum: 100_000 }));
/** How much warmer than 20 degrees the part was, K; null: not said. */
const warm = orNull(Type.Number({ minimum: -60, maximum: 300 }));
const pin = orNull(object({ text: text(80), mm: positive }));

/** How a mate bound: after the same turns wherever it started, at one place of the screw, tighter all along, only under its own weight. */
export const BINDS = ['turns', 'place', 'tighter', 'weight'] as const;
/** One of BINDS. */
export type Binds = (typeof BINDS)[number];
/** What a finished thread is read for. */
const FORM_READINGS = [
  'leadingFlank',
  'trailingFlank',
  'majorDiameter',
  'minorDiameter',
  'crestFlat',
  'rootFlat',
  'lead',
  'round',
] as const;
/** One of FORM_READINGS. */
export type FormReading = (typeof FORM_READINGS)[number];
/**
 * What a reading of the form is read in: flanks are angles, all else is a length.
 * @example [formUnit('leadingFlank'), formUnit('lead')] // ['deg', 'mm']
 */
export const formUnit = (what: FormReading): 'deg' | 'mm' =>
  what === 'leadingFlank' || what === 'trailingFlank' ? 'deg' : 'mm';
/** What is done to a thread before its verdict, in this order. */
export const DRESSED = ['wire-edge', 'crests', 'start', 'chamfer', 'clean'] as const;
/** One of DRESSED. */
export type Dressed = (typeof DRESSED)[number];

export { TAUGHT_BY };
/** How an offset was read: by a dial or rule, by eye in the pitch, by touching both flanks, from a run in the air, left over, from the batch's reference. */
const OFFSET_BY = ['dial', 'eye', 'flanks', 'judged', 'left', 'taught'] as const;
/** One of OFFSET_BY. */
export type OffsetBy = (typeof OFFSET_BY)[number];
/** How a place was judged in the air: nothing to be seen, by eye in the pitch, by a dial. */
const JUDGED_BY = ['in', 'eye', 'dial'] as const;
/** One of JUDGED_BY. */
export type JudgedBy = (typeof JUDGED_BY)[number];

/** How a pitch is proved before depth: a scratch, turns of the chuck by hand, a scratch on a spare bar; or it is not. */
const PITCH_BY = ['scratch', 'turns', 'bar', 'waived'] as const;
/** One of PITCH_BY. */
export type PitchBy = (typeof PITCH_BY)[number];

/** What each kind of event tells besides who, when and where. */
export const EVENT_FIELDS = {
  partBegun: {},
  partFinished: {},
  /** Let be with what was known, and by whom: how likely it was right, 0 to 1; null: nothing said. */
  accepted: { by: text(120), inside: orNull(Type.Number({ minimum: 0, maximum: 1 })) },
  partScrapped: { why: text(400) },
  mounted: {
    lathe: orNull(id),
    holding: oneOf(...HOLDINGS),
    steady: oneOf(...RESTS),
  },
  takenOut: {},
  reseated: {},
  slipped: {},
  /** Full reading of the indicator. */
  runOutRead: { fullMm: Type.Number({ minimum: 0, maximum: 100 }), text: text(80) },
  blankMeasured: { diameterMm: positive, text: text(80) },
  /** The blank was said wrongly: depths stay, for they are counted from its surface, and what has to be reached follows. */
  blankCorrected: { diameterMm: positive, wasMm: positive, text: text(80) },
  touchedOff: {
    on: oneOf('surface', 'groove'),
    /** Diameter of the surface touched; null where the tool was touched off in the groove. */
    diameterMm: orNull(positive),
    /** Depth of an old groove below that surface; 0 where there is none, null where it is not known. */
    grooveMm: orNull(Type.Number({ minimum: 0, maximum: 1000 })),
    /** How the top slide lies, from the cross-slide line; null where nobody said. */
    slideDeg: orNull(Type.Number({ minimum: 0, maximum: 90 })),
    facts: FactsSchema,
  },
  gearsMounted: { lathe: id, train: TrainSchema },
  leversSet: { lathe: id, ratio: text(80) },
  /** How the pitch of what is geared or typed was proved before depth, or that it was let be, on purpose. */
  pitchProved: { by: oneOf(...PITCH_BY) },
  scratchRead: { crests: Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }), spanMm: positive, text: text(120) },
  slideSwung: { deg: Type.Number({ minimum: 0, maximum: 90 }) },
  /** How far the groove lies from the tool, + towards the headstock, and how that was read. */
  offsetRead: { mm: finite, text: text(80), by: oneOf(...OFFSET_BY) },
  /** Brought nearer by one way, with a rest for another. */
  movedNearer: { way: oneOf('slip', 'turn'), leftMm: finite },
  /** One place along the old thread, run along in the air: how far the groove lay from the tool there. */
  airJudged: {
    atMm: Type.Number({ minimum: 0, maximum: 100_000 }),
    offMm: finite,
    by: oneOf(...JUDGED_BY),
    text: text(80),
  },
  /** Crests of the old thread counted over a length. */
  oldLeadRead: { pitches: Type.Integer({ minimum: 1, maximum: 10_000 }), spanMm: positive, text: text(120) },
  /** At a control: Z of the tool in the old groove with the spindle at its mark, and the threads counted from the face. */
  dropped: { zMm: finite, threads: orNull(Type.Integer({ minimum: 1, maximum: 10_000 })), text: text(80) },
  /** What the parts of a batch are found again by, as this one stands. */
  taught: { by: oneOf(...TAUGHT_BY) },
  inGroove: {
    way: oneOf('parallel', 'angled', 'turn', 'slip', 'start', 'by-eye'),
    /** How far the slides were moved for it, + forward on the top slide and into the work on the cross slide. */
    topMm: finite,
    crossMm: finite,
    /** Z start keyed in at a control, mm; null: none was. */
    startMm: orNull(finite),
  },
  airPassed: { result: oneOf('in', 'off', 'cut-air') },
  cut: {
    /** Below the surface. */
    depthMm: depth,
    /** Where the tool stood along the axis, + towards the headstock. */
    axialMm: finite,
    /** Travel of the two slides from their zeros. */
    crossMm: finite,
    topMm: finite,
    slideDeg: orNull(Type.Number({ minimum: 0, maximum: 90 })),
    infeed: oneOf('plunge', 'flank', 'alternate', 'modified'),
    /** From an older record that counted passes: the depth that so many passes have in the plan, not one that was read. */
    assumedPasses: orNull(Type.Integer({ minimum: 1, maximum: 1000 })),
  },
  depthRead: { depthMm: depth, crossMm: finite, topMm: finite, text: text(80) },
  sprung: { depthMm: depth },
  sideCut: {
    flank: oneOf('leading', 'trailing'),
    byMm: Type.Number({ exclusiveMinimum: 0, maximum: 100 }),
    /** Where the tool stands along the axis afterwards, + towards the headstock. */
    axialMm: finite,
    crossMm: finite,
    topMm: finite,
  },
  stoppedShort: { note: text(400) },
  wrongMark: {},
  tried: {
    mate: text(120),
    result: oneOf('no-start', 'starts', 'binds', 'tight', 'runs', 'shakes', 'note'),
    turns: orNull(Type.Number({ minimum: 0, maximum: 10_000 })),
    shakeMm: orNull(Type.Number({ minimum: 0, maximum: 100 })),
    note: text(),
    place: text(120),
    /** Length of the mate, mm. */
    lengthMm: orNull(positive),
    /** Where it bound; null: it did not, or nobody has said. */
    where: orNull(oneOf(...BINDS)),
    atMm: along,
  },
  overWires: {
    mm: positive,
    text: text(80),
    wire: pin,
    place: text(120),
    /** Wires used; one is measured against the crest on the other side. */
    count: Type.Integer({ minimum: 1, maximum: 3 }),
    majorMm: orNull(positive),
    warmK: warm,
    atMm: along,
  },
  betweenBalls: {
    mm: positive,
    text: text(80),
    ball: pin,
    place: text(120),
    warmK: warm,
    atMm: along,
  },
  /** The finished thread, read for its form: degrees or mm. */
  formRead: {
    what: oneOf(...FORM_READINGS),
    value: finite,
    text: text(80),
    /** Lead: the length that it should have been. */
    spanMm: orNull(positive),
    atMm: along,
    /** Round: where about the part it was read, degrees. */
    roundDeg: orNull(Type.Number({ minimum: 0, maximum: 360 })),
  },
  dressed: { what: oneOf(...DRESSED) },
  gauged: {
    which: oneOf('go', 'not-go'),
    passes: Type.Boolean(),
    turns: orNull(Type.Number({ minimum: 0, maximum: 10_000 })),
    pitchDiameterMm: orNull(positive),
  },
  rezeroed: {},
  toolChanged: { how: oneOf('changed', 'reground'), tip: orNull(TipSchema) },
  crestTopped: { diameterMm: positive },
  facedBack: { byMm: finite },
  standOffRead: { mm: finite, text: text(80) },
  controlOffset: { byMm: finite, on: oneOf('radius', 'diameter') },
  /** Deeper than the fit asks for, by so much on the radius. */
  deeper: { byMm: finite },
  indexed: { to: Type.Integer({ minimum: 1, maximum: 24 }), topMm: finite },
  /** The person has looked at what changed and says that it is right. */
  checked: { facts: FactsSchema },
  voided: { of: Type.Integer({ minimum: 1, maximum: 100_000 }) },
} as const satisfies Record<string, Record<string, TSchema>>;

/** Kinds of events that the ledger keeps. */
export type EventKind = keyof typeof EVENT_FIELDS;
type Fields<K extends EventKind> = {
  [F in keyof (typeof EVENT_FIELDS)[K]]: Static<Extract<(typeof EVENT_FIELDS)[K][F], TSchema>>;
};
/** An event of one kind, with its fields. */
export type EventOf<K extends EventKind> = Unwritten<
  { n: number; id: string; at: string; part: number; start: number } & { kind: K } & Fields<K>
>;
/** One line of the ledger. */
export type LedgerEvent = { [K in EventKind]: EventOf<K> }[EventKind];
/** What an edit says of an event: number, time and part are put to it when it is written down. */
export type EventBody = { [K in EventKind]: Unwritten<{ kind: K } & Fields<K>> }[EventKind];

/** What says something of the size: a trial of the mate, a measurement, a gauge. A note of a trial is no trial. */
export type SizeTest = EventOf<'tried'> | EventOf<'overWires'> | EventOf<'betweenBalls'> | EventOf<'gauged'>;
/**
 * Whether an event says something of the size.
 * @example isSizeTest({ kind: 'passDone' }) // false
 */
export const isSizeTest = (e: LedgerEvent): e is SizeTest =>
  (e.kind === 'tried' && e.result !== 'note') ||
  e.kind === 'overWires' ||
  e.kind === 'betweenBalls' ||
  e.kind === 'gauged';

const EVENT_KINDS = Object.keys(EVENT_FIELDS) as EventKind[];

/** Shape of an event, as it is stored and checked. */
export const EventSchema = Type.Unsafe<LedgerEvent>({
  type: 'object',
  discriminator: { propertyName: 'kind' },
  oneOf: EVENT_KINDS.map((kind) => ({
    ...object({ ...common, ...EVENT_FIELDS[kind] }),
    properties: { kind: { const: kind }, ...common, ...EVENT_FIELDS[kind] },
    required: ['kind', ...Object.keys(common), ...Object.keys(EVENT_FIELDS[kind])],
  })),
});
