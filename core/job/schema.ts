import { Type, type Static } from '@sinclair/typebox';
import { PROFILE_VIEWS } from '../profile/types.ts';
import { angle, finite, id, object, oneOf, positive, text, time, TipSchema } from './parts.ts';
import { EventSchema } from './events.ts';
import { FORM_IDS } from '../form/shape.ts';
import { FAMILY_IDS } from '../standards/family.ts';
import { DUTY_IDS } from '../fit/duty.ts';
import { FITS_TO } from '../fit/fit.ts';
import { WORN_WAYS } from '../fit/worn.ts';
import { GAMES, LEVELS, MOST_RESULTS } from '../practice/rounds.ts';
import { BACKUP_VERSION, JOB_VERSION, SHOP_VERSION, STATIONS, type StationId } from './stations.ts';
import { THREAD_ENDS } from '../cutting/clearRun.ts';
import { DEPTH_RULES } from '../cutting/depths.ts';
import { HOLDINGS, RESTS } from '../cutting/holding.ts';
import type { Unwritten } from '../quantity/unwritten.ts';
import { Exact, LatheSchema, TrainSchema, type LatheDraft } from '../lathe/schema.ts';

/**
 * The job document and the shop document: the only shapes that are stored, exported and imported. Types and JSON Schema
 * come from this one description; the interface uses the validators generated from it.
 */
/** A ground tool; an insert made for one pitch and crest, for one pitch, or for a range. */
export const TOOL_KINDS = ['ground', 'one-pitch', 'partial', 'full'] as const;
/** How a taper is followed. */
export const TAPER_WAYS = ['attachment', 'set-over', 'control', 'by-hand'] as const;
/** One of TAPER_WAYS. */
export type TaperWay = (typeof TAPER_WAYS)[number];
/** What may have to run true with a thread. */
export const TRUE_WITH = ['spigot', 'register', 'taper', 'counterbore', 'face', 'shaft'] as const;
/** How work that was taken out is found again. */
export const FOUND_BY = ['mark', 'faceplate', 'soft-jaws', 'centres'] as const;
const weight = Type.Number({ minimum: 0, maximum: 10 });
const InfeedSchema = oneOf('plunge', 'flank', 'alternate', 'modified');
const RuleSchema = oneOf(...DEPTH_RULES);
const measured = Type.Union([Type.Null(), Type.Number({ exclusiveMinimum: 0, maximum: 100_000 })]);

export type { StationId };
export { DEPTH_RULES, HOLDINGS, RESTS };

const SpecialSchema = Type.Object(
  {
    leadingDeg: angle,
    trailingDeg: angle,
    depthMm: Type.Optional(positive),
    crestFlatMm: Type.Optional(Type.Number({ minimum: 0, maximum: 1000 })),
    rootFlatMm: Type.Optional(Type.Number({ minimum: 0, maximum: 1000 })),
    rootRadiusMm: Type.Optional(Type.Number({ minimum: 0, maximum: 1000 })),
    taper: Type.Optional(Type.Number({ minimum: -1, maximum: 1 })),
  },
  { additionalProperties: false },
);

/** A published form is its name; a special is its own dimensions, which have to be there. */
const SPECIAL_IS_ITS_DIMENSIONS = {
  if: { properties: { form: { const: 'special' } } },
  then: { properties: { special: { type: 'object' } }, required: ['special'] },
};
/** Shape of a thread as a job keeps it. */
export const ThreadSchema = Type.Object(
  {
    designation: Type.String({ minLength: 1, maxLength: 120 }),
    family: oneOf(...FAMILY_IDS, 'Special'),
    majorMm: positive,
    pitch: Exact,
    starts: Type.Integer({ minimum: 1, maximum: 12 }),
    leftHand: Type.Boolean(),
    form: oneOf(...FORM_IDS, 'special'),
    /** Of unlike flanks, the one that the table calls leading faces the head on this part, not the free end. */
    flipped: Type.Optional(Type.Literal(true)),
    special: Type.Optional(SpecialSchema),
  },
  { additionalProperties: false, ...SPECIAL_IS_ITS_DIMENSIONS },
);

/** A reading over wires has its wire, and crests their span; a leaf says how it fits. Without them it says nothing. */
const WITH_ITS_SPAN = {
  allOf: [
    {
      if: { properties: { quantity: { enum: ['overWires', 'crestCount'] } }, required: ['quantity'] },
      then: { properties: { span: { type: 'object' } } },
    },
    {
      if: { properties: { quantity: { enum: ['pitchLeaf', 'template'] } }, required: ['quantity'] },
      then: { properties: { leaf: { type: 'string' } } },
    },
  ],
};
/** A reading as it was taken: the text typed, what it means, with what, where and in what state the metal was. */
export const ReadingSchema = Type.Object(
  {
    id,
    quantity: oneOf(
      'majorDiameter',
      'minorDiameter',
      'pitchDiameter',
      'overWires',
      'crestCount',
      'pitchLeaf',
      'template',
      'flankAngle',
      'leadingFlank',
      'trailingFlank',
      'depth',
      'crestFlat',
      'rootFlat',
      'crestRadius',
      'rootRadius',
      'lead',
      'taper',
      'starts',
      'hand',
    ),
    /** As typed. */
    text: text(80),
    /** mm, degrees, ratio or count, by quantity. For a leaf its pitch in mm; for the hand 1 right, -1 left. */
    value: finite,
    /** Crest count: the span, as typed and in mm. Leaf: the length over which it was held. Over wires: the wire. */
    span: Type.Union([Type.Null(), object({ text: text(80), mm: positive })]),
    leaf: Type.Union([Type.Null(), oneOf('fits', 'nearly', 'no')]),
    /** Template: the flank it was held to; without one, the whole form. */
    flank: Type.Optional(oneOf('leading', 'trailing')),
    /** Instrument's id in the shop, or null when not said. */
    instrument: Type.Union([Type.Null(), id]),
    /** One standard deviation in the value's unit, taken from the instrument when the reading was made. */
    uncertainty: Type.Union([Type.Null(), Type.Number({ exclusiveMinimum: 0, maximum: 1000 })]),
    /** The part itself, or its mate. */
    member: oneOf('part', 'mate'),
    place: text(120),
    /** Along the axis from the end of the thread, mm; null when not pointed at. */
    positionMm: Type.Union([Type.Null(), Type.Number({ minimum: 0, maximum: 100_000 })]),
    wear: oneOf('worn', 'unworn', 'unknown'),
    /** The picture of the job that it was read from. */
    picture: Type.Optional(id),
    at: time,
  },
  { additionalProperties: false, ...WITH_ITS_SPAN },
);

const Decision = object({
  thread: ThreadSchema,
  /** Probability when it was accepted. */
  probability: Type.Number({ minimum: 0, maximum: 1 }),
  /** The person chose against the ranking. */
  overruled: Type.Boolean(),
  reason: text(),
});

const Settlement = object({
  /** What the station rested on when it was settled: name of the fact -> its text. */
  basis: Type.Record(Type.String({ maxLength: 120 }), text(4000)),
  at: time,
  /** Settled under an older version, which kept other facts: only those that both know are compared. */
  older: Type.Optional(Type.Literal(true)),
});

/** A mate by its name, its length, and what its pitch diameter is known to lie between. */
const MateSchema = object({
  name: text(120),
  lengthMm: measured,
  minMm: measured,
  maxMm: measured,
});

/** What gave a picture its scale: a resolution in px a mm, a pin or the outside in mm. */
const SCALE_BY = ['resolution', 'pin', 'major'] as const;
/** Which end of a picture is the part's free end. */
export const FREE_ENDS = ['left', 'right'] as const;
const px = Type.Number({ minimum: -100_000, maximum: 100_000 });
/** How a picture against the light was read: enough to read it again. */
const ShadowSchema = object({
  scale: Type.Union([Type.Null(), object({ by: oneOf(...SCALE_BY), value: positive })]),
  /** Null: nobody has said. */
  freeEnd: Type.Union([Type.Null(), oneOf(...FREE_ENDS)]),
  /** How far from the end of the thread the picture begins, mm. */
  beginsMm: Type.Number({ minimum: 0, maximum: 100_000 }),
  starts: Type.Union([Type.Null(), Type.Integer({ minimum: 1, maximum: 12 })]),
  /** How the light went: square to the axis, or along the groove, as on a projector; missing: nobody has said. */
  view: Type.Optional(oneOf(...PROFILE_VIEWS)),
  /** What the person showed where the picture did not say it. */
  shown: Type.Object(
    {
      axis: Type.Optional(Type.Tuple([px, px, px, px])),
      stretch: Type.Optional(Type.Tuple([px, px])),
      pitchPx: Type.Optional(positive),
      edge: Type.Optional(oneOf('upper', 'lower')),
    },
    { additionalProperties: false },
  ),
});
/** What was said of a picture and what it gave. */
export type ShadowTaken = Unwritten<Static<typeof ShadowSchema>>;
/** Shape of what a job keeps of a picture. */
export const PictureSchema = Type.Object(
  {
    id,
    name: text(200),
    type: text(80),
    at: time,
    place: text(120),
    /** It was read against the light. */
    shadow: Type.Optional(ShadowSchema),
  },
  { additionalProperties: false },
);
/** What a job keeps of a picture; the picture itself lies beside it. */
export type Picture = Unwritten<Static<typeof PictureSchema>>;

/** What is laid into grooves to measure them. */
export const PIN_KINDS = ['wire', 'pin', 'drill', 'needle', 'ball'] as const;
const PinSchema = object({
  kind: oneOf(...PIN_KINDS),
  /** What is written on it. */
  mm: positive,
  /** What it measures itself; null: not measured. */
  measuredMm: measured,
  /** How far it is from round, mm; null: not measured. */
  roundMm: Type.Union([Type.Null(), Type.Number({ minimum: 0, maximum: 1 })]),
});
/** A wire, needle, drill or ball that the shop has. */
export type Pin = Unwritten<Static<typeof PinSchema>>;

/** Shape of a job as it is stored and exported. */
export const JobSchema = Type.Object(
  {
    format: Type.Literal('gelvin-job'),
    version: Type.Literal(JOB_VERSION),
    id,
    title: Type.String({ minLength: 1, maxLength: 200 }),
    customer: text(200),
    created: time,
    changed: time,
    intake: object({
      cameIn: oneOf('screw', 'nut', 'both', 'broken-shaft'),
      wanted: oneOf('copy', 'mate', 'extend', 'recut', 'gauge'),
      /** What is to be cut. */
      make: oneOf('external', 'internal'),
      material: text(60),
      note: text(),
      origin: Type.Union([Type.Null(), oneOf('metric', 'american', 'british')]),
      use: Type.Union([Type.Null(), oneOf('fastener', 'pipe', 'instrument', 'power-screw', 'machine-part')]),
      /** Duties under which the tool only advises: people, lifting, pressure, fuel gas... */
      hazards: Type.Array(text(40), { maxItems: 12 }),
    }),
    readings: Type.Array(ReadingSchema, { maxItems: 500 }),
    wearMap: object({
      /** Length of the thread on the part, mm; null when not measured. */
      lengthMm: Type.Union([Type.Null(), positive]),
      /** Stretch taken as unworn, mm from the end; null: as proposed. */
      unworn: Type.Union([
        Type.Null(),
        object({
          fromMm: Type.Number({ minimum: 0, maximum: 100_000 }),
          toMm: Type.Number({ minimum: 0, maximum: 100_000 }),
        }),
      ]),
    }),
    /** The part beside its thread, as measured, mm; null: not measured, or it has none. */
    part: object({
      headDiameterMm: measured,
      headLengthMm: measured,
      /** Width of the relief groove between thread and head. */
      grooveMm: measured,
      /** Plain end before the thread. */
      stubDiameterMm: measured,
      stubLengthMm: measured,
    }),
    name: Type.Union([Type.Null(), Decision]),
    fit: object({
      /** Tolerance class to make it to; null: to the clearance and relief below. */
      class: Type.Union([Type.Null(), text(12)]),
      /** Without a class: what the clearance is counted from. The basic size, the surviving mate as read, or the part itself as read. */
      to: oneOf(...FITS_TO),
      /** A mate worn by places: fitted where it is thickest, where it is thickest on the travel, or as it will be once it is recut. */
      wornMate: oneOf(...WORN_WAYS),
      /** Travel that the thread is really used on, mm along the mate; null: nobody has said. */
      travel: Type.Union([
        Type.Null(),
        object({
          fromMm: Type.Number({ minimum: 0, maximum: 100_000 }),
          toMm: Type.Number({ minimum: 0, maximum: 100_000 }),
        }),
      ]),
      /** A recut that has to clean up all over: what there is to clean; null: it has not. */
      clean: Type.Union([
        Type.Null(),
        object({
          /** Deepest pit, square to the flank. */
          pitMm: Type.Number({ minimum: 0, maximum: 50 }),
          /** How far the old thread runs out of true as it is held now: half the indicator's reading. */
          eccentricMm: Type.Number({ minimum: 0, maximum: 50 }),
          /** Lowest spot of what was built up, on diameter; null: nothing was built up. */
          builtUpMm: Type.Union([Type.Null(), positive]),
        }),
      ]),
      /** What the clearance was chosen for; null: for nothing in particular. */
      duty: Type.Union([Type.Null(), oneOf(...DUTY_IDS)]),
      /** Diameters aimed at by hand, mm; null: what class, clearance and relief give. */
      aim: object({ pitchMm: measured, startMm: measured }),
      /** Which end of a limit gauge is made, and by which school; heard only where a gauge is wanted. */
      gauge: object({ end: oneOf('go', 'not-go'), school: oneOf('inside', 'centred') }),
      /** Clearance wanted on the pitch diameter, mm. */
      pitchClearanceMm: Type.Number({ minimum: 0, maximum: 5 }),
      /** How far the blank is turned under (or the bore opened over) the nominal, on diameter, mm. */
      crestReliefMm: Type.Number({ minimum: 0, maximum: 10 }),
      /** Length of engagement; null: nobody has said, and each standard's own is taken. */
      engagementMm: Type.Union([Type.Null(), Type.Number({ exclusiveMinimum: 0, maximum: 5000 })]),
      /** End of the tool in the holder; null: ground to the form's root. */
      tip: Type.Union([Type.Null(), TipSchema]),
    }),
    gears: object({ lathe: Type.Union([Type.Null(), id]), train: Type.Union([Type.Null(), TrainSchema]) }),
    setup: object({
      infeed: InfeedSchema,
      /** From the cross-slide line, degrees. */
      slideAngleDeg: Type.Number({ minimum: 0, maximum: 60 }),
      rpm: Type.Union([Type.Null(), positive]),
      /** Width of the relief groove or clear run past the work, mm; null: nobody has said. */
      reliefMm: measured,
      checks: Type.Array(text(60), { maxItems: 40 }),
      /** Length of thread to cut, from the face, mm; null: not said. */
      lengthMm: Type.Union([Type.Null(), positive]),
      /** In a bore: from the tip to the back of the bar, mm; null: not measured. */
      barMm: Type.Union([Type.Null(), positive]),
      /** How a taper is followed. */
      taperBy: Type.Union([Type.Null(), oneOf(...TAPER_WAYS)]),
      /** Length over the centres of a tailstock set over, mm; null: not measured. */
      overCentresMm: measured,
      /** What cuts: a tool ground for it, or an insert by its kind. */
      toolKind: oneOf(...TOOL_KINDS),
      /** Clearance wanted under both side edges, degrees. */
      clearanceDeg: Type.Number({ minimum: 0, maximum: 30 }),
      held: object({
        by: Type.Union([Type.Null(), oneOf(...HOLDINGS)]),
        /** Length that stands free of the jaws (or between the centres), mm. */
        freeMm: measured,
        /** Bore of hollow work, mm; null: solid. */
        boreMm: measured,
        /** Diameter in the jaws, mm; null: that of the blank. */
        inJawsMm: measured,
        rest: oneOf(...RESTS),
        steadyAtMm: measured,
        grip: Type.Union([Type.Null(), oneOf('firm', 'light')]),
        /** A stop inside or a shoulder on the jaws takes the push along the axis. */
        stop: Type.Boolean(),
      }),
      /** The boring bar: its neck and how far it stands out, mm; null: not measured. */
      bar: object({ neckMm: measured, overhangMm: measured, of: oneOf('steel', 'carbide') }),
      /** How the thread ends. */
      end: oneOf(...THREAD_ENDS),
      /** Length over which the tool is drawn out, mm; null: as the turns of it give. */
      taperOutMm: measured,
      /** Time that the person wants to stop or withdraw, s; null: the usual. */
      reactS: Type.Union([Type.Null(), Type.Number({ exclusiveMinimum: 0, maximum: 60 })]),
      /** What has to run true with the thread, and whether it is done in this setting. */
      trueWith: Type.Array(object({ what: oneOf(...TRUE_WITH), done: Type.Boolean() }), { maxItems: 8 }),
      /** How the work is found again once it was taken out; null: nobody has said. */
      foundBy: Type.Union([Type.Null(), oneOf(...FOUND_BY)]),
    }),
    pickup: object({
      way: oneOf('parallel', 'angled', 'turn', 'slip', 'start'),
      /** Which gear of the train is slipped, counted from the first driver; null: the last one. */
      slipGear: Type.Union([Type.Null(), Type.Integer({ minimum: 0, maximum: 11 })]),
      /** At a control: whole leads that a pass starts out of the groove; null: as few as are clear. */
      leadsOut: Type.Union([Type.Null(), Type.Integer({ minimum: 0, maximum: 1000 })]),
      /** How far the tool runs into the old thread over a joint, mm; null: nobody has said. */
      overMm: measured,
    }),
    cut: object({
      rule: RuleSchema,
      /** Rule "step": what every pass takes, mm radial. */
      stepMm: Type.Union([Type.Null(), positive]),
      /** Passes to come, as typed, after the event of this number; null: as many as are calm. */
      passes: Type.Union([
        Type.Null(),
        object({
          count: Type.Integer({ minimum: 1, maximum: 500 }),
          after: Type.Integer({ minimum: 0, maximum: 100_000 }),
        }),
      ]),
      firstMaxMm: Type.Union([Type.Null(), positive]),
      lastMinMm: Type.Union([Type.Null(), Type.Number({ minimum: 0, maximum: 10 })]),
      springs: Type.Integer({ minimum: 0, maximum: 10 }),
      /** Where the number of spring passes comes from, when it is not a person’s: jobs that taught it. */
      springsFrom: Type.Optional(text(200)),
      /** The same of the deepest pass allowed. */
      firstMaxFrom: Type.Optional(text(200)),
      /** Rough, semi-finish and finish, each with its own cap and springs, burrs filed off between. */
      stages: Type.Union([
        Type.Null(),
        object({
          roughCapMm: measured,
          roughSprings: Type.Integer({ minimum: 0, maximum: 10 }),
          semiCapMm: measured,
          semiSprings: Type.Integer({ minimum: 0, maximum: 10 }),
          finishCapMm: measured,
        }),
      ]),
      /** The last of the depth, fed straight in whatever the infeed, mm. */
      straightLastMm: Type.Number({ minimum: 0, maximum: 1 }),
      /** By how much it goes deeper between two trials of the mate, mm radial; null: as the last trial says. */
      deeperStepMm: Type.Union([Type.Null(), Type.Number({ exclusiveMinimum: 0, maximum: 5 })]),
      /** How the tool comes back: half-nuts stay shut and the spindle reverses, or they open and close on the dial. */
      returnBy: oneOf('reverse', 'dial'),
    }),
    prove: object({
      /** Wire, or ball, used, as typed. */
      wire: Type.Union([Type.Null(), object({ text: text(80), mm: positive })]),
      /** Wires used. */
      count: Type.Integer({ minimum: 1, maximum: 3 }),
      /** How much warmer than 20 degrees the part is while it is measured, K; null: not said. */
      warmK: Type.Union([Type.Null(), Type.Number({ minimum: -60, maximum: 300 })]),
      /** It is right by its limits, or by its clearance to a mate; null: as the fit has it. */
      by: Type.Union([Type.Null(), oneOf('limits', 'mate')]),
      /** Clearance to the mate that is right, on pitch diameter, mm; null: as the duty has it. */
      clearance: Type.Union([
        Type.Null(),
        object({
          leastMm: Type.Number({ minimum: -1, maximum: 10 }),
          mostMm: Type.Number({ minimum: -1, maximum: 10 }),
        }),
      ]),
      /** Without a class: so much on either side of the size aimed at is right, mm; missing: as its duty allows, or the usual. */
      eitherSideMm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 5 })),
      /** Mates that it has to go with; the longest decides. */
      mates: Type.Array(MateSchema, { maxItems: 20 }),
      /** Which of them is in the hand; empty: the first. */
      mate: text(120),
      /** Whether replacing is worth it. */
      worth: object({
        /** Axial play where it is used, as measured now, mm. */
        playNowMm: Type.Union([Type.Null(), Type.Number({ minimum: 0, maximum: 100 })]),
        /** Play at which it has to be done again. */
        limitMm: Type.Union([Type.Null(), Type.Number({ exclusiveMinimum: 0, maximum: 100 })]),
        ageYears: Type.Union([Type.Null(), Type.Number({ exclusiveMinimum: 0, maximum: 300 })]),
        /** What the part that stays is worn, on pitch diameter, where it is used. */
        wornMm: Type.Union([Type.Null(), Type.Number({ minimum: 0, maximum: 100 })]),
      }),
    }),
    quantity: object({ parts: Type.Integer({ minimum: 1, maximum: 10_000 }), testPiece: Type.Boolean() }),
    /** What was done, in order; see events.ts. */
    events: Type.Array(EventSchema, { maxItems: 20_000 }),
    pictures: Type.Array(PictureSchema, { maxItems: 500 }),
    record: object({ note: text(), verdict: Type.Union([Type.Null(), oneOf('fits', 'fits-with-note', 'scrapped')]) }),
    /** Put away: found when it is sought, and not in the way. */
    archived: Type.Optional(Type.Literal(true)),
    settled: Type.Unsafe<Partial<Record<StationId, Static<typeof Settlement>>>>({
      type: 'object',
      propertyNames: { enum: STATIONS },
      additionalProperties: Settlement,
    }),
  },
  { $id: 'job', additionalProperties: false },
);
/** A job while it is put together, before anybody has worked anything out from it. */
export type JobDraft = Static<typeof JobSchema>;
/** One repair, from what came in to its record. */
export type Job = Unwritten<Static<typeof JobSchema>>;
/** A job as far as these parts of it go: what else it holds makes no difference to who asks for them. */
export type Has<K extends keyof Job> = Pick<Job, K>;
/** On what the fit rests. */
export type FitParts = Has<'name' | 'fit' | 'intake' | 'readings' | 'wearMap'>;
/** On what the plan of a cut rests, besides the metal. */
export type CutParts = FitParts & Has<'setup' | 'cut'>;
/** One reading as it was typed, with what it means in mm or degrees. */
export type Reading = Unwritten<Static<typeof ReadingSchema>>;

const InstrumentSchema = object({
  id,
  name: Type.String({ minLength: 1, maxLength: 120 }),
  measures: oneOf('length', 'pitch', 'angle', 'taper'),
  /** One standard deviation, mm or degrees. */
  uncertainty: Type.Number({ exclusiveMinimum: 0, maximum: 100 }),
});
/** What was read with. */
export type Instrument = Unwritten<Static<typeof InstrumentSchema>>;

/** Described once, and so checked by one function: the first screen carries it. */
const OneLathe = Type.Unsafe<LatheDraft>({ $ref: '#/definitions/lathe' });
/** Shape of the shop as it is stored and exported. */
export const ShopSchema = Type.Object(
  {
    format: Type.Literal('gelvin-shop'),
    version: Type.Literal(SHOP_VERSION),
    name: Type.String({ minLength: 1, maxLength: 120 }),
    lathes: Type.Array(OneLathe, { maxItems: 100 }),
    /** Lathes that were removed, the last first: until they are emptied they can be brought back. */
    removedLathes: Type.Array(object({ at: time, lathe: OneLathe }), { maxItems: 100 }),
    instruments: Type.Array(InstrumentSchema, { maxItems: 200 }),
    /** Wires, pins, drill shanks, needles and balls owned. */
    pins: Type.Array(PinSchema, { maxItems: 400 }),
    settings: object({
      system: oneOf('mm', 'in'),
      theme: oneOf('light', 'dark', 'auto'),
      /** Decimal mark: the browser’s own, or one of the two. */
      decimal: oneOf('auto', 'point', 'comma'),
      /** How inches are written where a rule is what one has in mind. */
      inches: oneOf('decimal', 'fractions', '64ths'),
      operator: text(120),
      /** Single-letter keys may be switched off (they get in the way of dictation). */
      singleKeys: Type.Boolean(),
      /** How the cut was last fed in each material, as the person chose it. */
      byMaterial: Type.Record(Type.String({ maxLength: 60 }), object({ infeed: InfeedSchema, rule: RuleSchema })),
      /** What counts when gear trains are put in order, 0 to 10 each. */
      gearWeights: object({ error: weight, changes: weight, smallDrivers: weight, pairs: weight, mounting: weight }),
    }),
    /** What was practised, and how: the lathe chosen for it, at one's own pace or with the spindle running. */
    practice: object({
      lathe: Type.Union([Type.Null(), id]),
      /** Thread practised on, by its designation; empty: as the level deals. */
      thread: text(120),
      pace: oneOf('own', 'running'),
      results: Type.Array(
        object({
          game: oneOf(...GAMES),
          level: Type.Integer({ minimum: 1, maximum: LEVELS }),
          right: Type.Boolean(),
          missed: text(60),
          at: time,
        }),
        { maxItems: MOST_RESULTS },
      ),
    }),
  },
  { $id: 'shop', additionalProperties: false, definitions: { lathe: LatheSchema } },
);
/** A shop while it is put together. */
export type ShopDraft = Static<typeof ShopSchema>;
/** Lathes, instruments and settings that all jobs share. */
export type Shop = Unwritten<Static<typeof ShopSchema>>;

/** A whole shop with its jobs, as one file. */
export const BackupSchema = Type.Object(
  {
    format: Type.Literal('gelvin-backup'),
    version: Type.Literal(BACKUP_VERSION),
    shop: Type.Ref('shop'),
    jobs: Type.Array(Type.Ref('job'), { maxItems: 10_000 }),
  },
  { $id: 'backup', additionalProperties: false },
);
/** A whole shop in one file. */
export interface Backup {
  readonly format: 'gelvin-backup';
  readonly version: typeof BACKUP_VERSION;
  readonly shop: Shop;
  readonly jobs: readonly Job[];
}
