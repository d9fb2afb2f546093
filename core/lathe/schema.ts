import type { Unwritten } from '../quantity/unwritten.ts';
import { Type, type Static } from '@sinclair/typebox';

const positive = { exclusiveMinimum: 0 };
/** An exact positive number as text: "127/40", "8". Zero above or below the line is refused. */
export const Exact = Type.String({
  pattern: '^0*[1-9][0-9]*(/0*[1-9][0-9]*)?$|^[0-9]*\\.[0-9]*[1-9][0-9]*$|^0*[1-9][0-9]*\\.[0-9]+$',
  maxLength: 60,
});
/** Shape of a number of teeth. */
export const Teeth = Type.Integer({ minimum: 8, maximum: 400 });

const wall = Type.Number({ minimum: 0, maximum: 2000 });

const SlideDialSchema = Type.Object(
  {
    unit: Type.Unsafe<'mm' | 'in'>({ type: 'string', enum: ['mm', 'in'] }),
    division: Type.Number(positive),
    perTurn: Type.Integer({ minimum: 4, maximum: 1000 }),
    reads: Type.Unsafe<'radius' | 'diameter'>({ type: 'string', enum: ['radius', 'diameter'] }),
  },
  { additionalProperties: false },
);

/** Shape of a train as it is kept. */
export const TrainSchema = Type.Object(
  {
    drivers: Type.Array(Teeth, { minItems: 1, maxItems: 3 }),
    driven: Type.Array(Teeth, { minItems: 1, maxItems: 3 }),
    gearbox: Exact,
  },
  { additionalProperties: false },
);

/** The arm: distance from the first driver to the leadscrew or gearbox input, and its slots by radius from there. */
const ArmSchema = Type.Object(
  {
    centresMm: Type.Number({ exclusiveMinimum: 0, maximum: 2000 }),
    slots: Type.Array(
      Type.Object(
        {
          angleDeg: Type.Number({ minimum: -180, maximum: 180 }),
          /** How far the slot's centre line passes beside the pivot. */
          offsetMm: Type.Number({ minimum: -500, maximum: 500 }),
          fromMm: Type.Number({ minimum: 0, maximum: 2000 }),
          toMm: Type.Number({ exclusiveMinimum: 0, maximum: 2000 }),
        },
        { additionalProperties: false },
      ),
      { minItems: 1, maxItems: 6 },
    ),
    /** How far the arm leans from the line of centres, degrees; null: any way. */
    swing: Type.Union([
      Type.Null(),
      Type.Object(
        { fromDeg: Type.Number({ minimum: -180, maximum: 180 }), toDeg: Type.Number({ minimum: -180, maximum: 180 }) },
        { additionalProperties: false },
      ),
    ]),
    /** Where the arm swings, from the leadscrew: away from the first driver, and across; null: about the leadscrew. */
    pivot: Type.Union([
      Type.Null(),
      Type.Object(
        {
          alongMm: Type.Number({ minimum: -1000, maximum: 1000 }),
          acrossMm: Type.Number({ minimum: -1000, maximum: 1000 }),
        },
        { additionalProperties: false },
      ),
    ]),
    /** Studs there are for the arm. */
    studs: Type.Integer({ minimum: 1, maximum: 4 }),
    /** Largest radius of a stud's nut or boss, and of what holds the gears on the two end shafts. */
    bossRadiusMm: Type.Number({ minimum: 0, maximum: 200 }),
    shaftRadiusMm: Type.Number({ minimum: 0, maximum: 200 }),
    /** Whether a nut may reach over the gear that meshes with the one it holds; without it, decided by the planes. */
    nutOverMesh: Type.Optional(Type.Unsafe<'clears' | 'fouls'>({ type: 'string', enum: ['clears', 'fouls'] })),
    coverRadiusMm: Type.Union([Type.Null(), Type.Number({ exclusiveMinimum: 0, maximum: 2000 })]),
    /** Walls of the cover: beyond the two end shafts, and to either side of the line of centres; null: not checked. */
    cover: Type.Union([
      Type.Null(),
      Type.Object(
        { beyondFirstMm: wall, beyondLastMm: wall, oneSideMm: wall, otherSideMm: wall },
        { additionalProperties: false },
      ),
    ]),
  },
  { additionalProperties: false },
);

/** Shape of a train that has cut what it should. */
export const ProvenSchema = Type.Object(
  { leadMm: Exact, train: TrainSchema, job: Type.String({ maxLength: 200 }), at: Type.String({ maxLength: 40 }) },
  { additionalProperties: false },
);

const SCALE_ZEROS = ['cross-slide', 'bed', 'none'] as const;
/** One of SCALE_ZEROS. */
export type ScaleZero = (typeof SCALE_ZEROS)[number];

/** What drives the carriage. */
export const LATHE_KINDS = ['change-gears', 'gearbox', 'electronic', 'control'] as const;
/** One of LATHE_KINDS. */
export type LatheKind = (typeof LATHE_KINDS)[number];
/** What a lathe may have besides, or may be wrong with it, that changes how a pass is gone through. */
export const LATHE_HAS = [
  'retracting-post',
  'quick-reverse',
  'brake',
  'variable-speed',
  'steady',
  'follow-rest',
  'taper-attachment',
  'dial-slips',
  'handle-falls',
] as const;
/** One of LATHE_HAS. */
export type LatheHas = (typeof LATHE_HAS)[number];
const slack = Type.Union([Type.Null(), Type.Number({ minimum: 0, maximum: 20 })]);

/** Facts that stand in until somebody has looked at the lathe. */
export const UNCONFIRMED_FACTS = ['leadscrew', 'crossSlide', 'topSlide', 'chuck', 'tumbler'] as const;
/** One of UNCONFIRMED_FACTS. */
export type UnconfirmedFact = (typeof UNCONFIRMED_FACTS)[number];

/** A lathe as its owner can measure it. */
export const LatheSchema = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 80 }),
    name: Type.String({ minLength: 1, maxLength: 120 }),
    note: Type.String({ maxLength: 4000 }),
    /** Facts that nobody has said: what stands there is a placeholder, and nothing is cut by it. */
    unconfirmed: Type.Array(Type.Unsafe<UnconfirmedFact>({ type: 'string', enum: [...UNCONFIRMED_FACTS] }), {
      maxItems: UNCONFIRMED_FACTS.length,
    }),
    /** How the lead is made: loose change gears, a gearbox, an electronic leadscrew, or a control. */
    kind: Type.Unsafe<LatheKind>({ type: 'string', enum: [...LATHE_KINDS] }),
    /** Leadscrew pitch, exact mm. */
    leadscrew: Exact,
    leadscrewSystem: Type.Unsafe<'mm' | 'in'>({ type: 'string', enum: ['mm', 'in'] }),
    gears: Type.Array(Teeth, { maxItems: 200 }),
    fixedRatio: Exact,
    /** Gearbox as its levers: lever -> position -> leadscrew turns per turn of the input; empty when there is none. */
    levers: Type.Record(Type.String({ maxLength: 40 }), Type.Record(Type.String({ maxLength: 40 }), Exact)),
    /** Rows of the maker's chart from which the gearbox was read, as typed. */
    chart: Type.String({ maxLength: 8000 }),
    /** Module of the change gears, mm; with it and the arm, mountings can be checked. */
    moduleMm: Type.Union([Type.Null(), Type.Number({ minimum: 0.2, maximum: 10 })]),
    /** Pressure angle of the change gears; most DP sets have 14.5, most module sets 20. */
    pressureAngleDeg: Type.Number({ minimum: 10, maximum: 30 }),
    gearWidthMm: Type.Union([Type.Null(), Type.Number({ exclusiveMinimum: 0, maximum: 200 })]),
    arm: Type.Union([Type.Null(), ArmSchema]),
    /** A reverse tumbler between spindle and stud. */
    tumbler: Type.Boolean(),
    /** Without a tumbler: how many meshes between first driver and leadscrew cut a right-hand thread; null: not tried yet. */
    rightHandMeshes: Type.Union([Type.Null(), Type.Unsafe<'odd' | 'even'>({ type: 'string', enum: ['odd', 'even'] })]),
    /** Trains that have cut a lead before, newest first. */
    proven: Type.Array(ProvenSchema, { maxItems: 200 }),
    dial: Type.Union([
      Type.Null(),
      Type.Object(
        {
          teeth: Teeth,
          marks: Type.Integer({ minimum: 1, maximum: 64 }),
          /** Other gears that go on the dial's shaft. */
          otherTeeth: Type.Array(Teeth, { maxItems: 12 }),
        },
        { additionalProperties: false },
      ),
    ]),
    crossSlide: SlideDialSchema,
    topSlide: SlideDialSchema,
    /** Where the top slide's scale reads 0: square across, in line with the cross slide, or along the bed; or it has none. */
    slideScaleZero: Type.Unsafe<ScaleZero>({ type: 'string', enum: [...SCALE_ZEROS] }),
    speeds: Type.Array(Type.Number(positive), { maxItems: 60 }),
    screwedChuck: Type.Boolean(),
    has: Type.Array(Type.Unsafe<LatheHas>({ type: 'string', enum: [...LATHE_HAS] }), { maxItems: LATHE_HAS.length }),
    /** Power of the motor, kW; null: not known. */
    motorKw: Type.Union([Type.Null(), Type.Number({ exclusiveMinimum: 0, maximum: 500 })]),
    /** How hard an electronic leadscrew or control slows the carriage, mm/s^2; null: not measured. */
    stopAccelMmS2: Type.Union([Type.Null(), Type.Number({ exclusiveMinimum: 0, maximum: 100_000 })]),
    /** Slack of the slides and of the carriage against its drive, mm; null: not measured. */
    slack: Type.Object({ crossMm: slack, topMm: slack, carriageMm: slack }, { additionalProperties: false }),
    /** Turns the spindle coasts from a speed, with this chuck; null: not measured. */
    coast: Type.Union([
      Type.Null(),
      Type.Object(
        { rpm: Type.Number(positive), turns: Type.Number({ minimum: 0, maximum: 1000 }) },
        { additionalProperties: false },
      ),
    ]),
    /** What a step such as "three thou deeper" means at this lathe; null: not asked yet. */
    stepsOn: Type.Union([
      Type.Null(),
      Type.Unsafe<'radius' | 'diameter'>({ type: 'string', enum: ['radius', 'diameter'] }),
    ]),
    /** A lathe with a control: its threading word and how it counts X; null: has none, or is not described. */
    control: Type.Union([
      Type.Null(),
      Type.Object(
        {
          word: Type.Unsafe<'G33' | 'G32'>({ type: 'string', enum: ['G33', 'G32'] }),
          diameterProgramming: Type.Boolean(),
          unit: Type.Unsafe<'mm' | 'in'>({ type: 'string', enum: ['mm', 'in'] }),
        },
        { additionalProperties: false },
      ),
    ]),
    /** How an electronic leadscrew takes a lead: unit, and decimals; null: nobody has said. */
    typed: Type.Union([
      Type.Null(),
      Type.Object(
        {
          unit: Type.Unsafe<'mm' | 'in' | 'tpi'>({ type: 'string', enum: ['mm', 'in', 'tpi'] }),
          decimals: Type.Integer({ minimum: 0, maximum: 8 }),
        },
        { additionalProperties: false },
      ),
    ]),
    mounted: Type.Union([Type.Null(), TrainSchema]),
  },
  { additionalProperties: false },
);
/** A lathe as its owner has measured it. */
export type Lathe = Unwritten<Static<typeof LatheSchema>>;
/** A lathe while it is put together. */
export type LatheDraft = Static<typeof LatheSchema>;

/**
 * Gears make the lead; else it is told to an electronic leadscrew or a control.
 * @example isGeared({ kind: 'change-gears' }) // true
 */
export const isGeared = (lathe: Pick<Lathe, 'kind'>): boolean =>
  lathe.kind === 'change-gears' || lathe.kind === 'gearbox';
