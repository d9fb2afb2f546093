import { own } from '../core/quantity/own.ts';
import { Type } from '@sinclair/typebox';
import { auditTrain, explainScratch, dialRule } from '../core/gearing/proof/index.ts';
import { readChart } from '../core/gearing/gearbox/index.ts';
import {
  mountAll,
  TRIED_FOR_EACH,
  type MountedTrain,
  positionsOf,
  type GearPosition,
} from '../core/gearing/mounting/index.ts';
import { findTrains } from '../core/gearing/search/index.ts';
import { dialAdvice, mistakeText, mountText } from '../words/gears.ts';
import { Exact, Teeth } from '../core/lathe/schema.ts';
import { bad, good } from '../core/quantity/outcome.ts';
import { exact, numberOf, textOf } from '../core/quantity/rational.ts';
import { micro, nullOr, oneOf, op } from './op.ts';

const positive = Type.Number({ exclusiveMinimum: 0, maximum: 10_000 });
const wall = Type.Number({ minimum: 0, maximum: 10_000 });
const ArmSchema = Type.Object(
  {
    centresMm: positive,
    moduleMm: Type.Number({ minimum: 0.2, maximum: 10 }),
    slots: Type.Array(
      Type.Object(
        {
          angleDeg: Type.Optional(Type.Number({ minimum: -180, maximum: 180 })),
          offsetMm: Type.Optional(Type.Number({ minimum: -500, maximum: 500 })),
          fromMm: Type.Number({ minimum: 0, maximum: 10_000 }),
          toMm: positive,
        },
        { additionalProperties: false },
      ),
      { minItems: 1, maxItems: 8 },
    ),
    swing: Type.Optional(
      Type.Object({ fromDeg: Type.Number(), toDeg: Type.Number() }, { additionalProperties: false }),
    ),
    pivot: Type.Optional(
      Type.Object({ alongMm: Type.Number(), acrossMm: Type.Number() }, { additionalProperties: false }),
    ),
    studs: Type.Optional(Type.Integer({ minimum: 1, maximum: 4 })),
    pressureAngleDeg: Type.Optional(Type.Number({ minimum: 10, maximum: 30 })),
    bossRadiusMm: Type.Optional(Type.Number({ minimum: 0, maximum: 200 })),
    shaftRadiusMm: Type.Optional(Type.Number({ minimum: 0, maximum: 200 })),
    coverRadiusMm: Type.Optional(positive),
    cover: Type.Optional(
      Type.Object(
        { beyondFirstMm: wall, beyondLastMm: wall, oneSideMm: wall, otherSideMm: wall },
        { additionalProperties: false },
      ),
    ),
    meshes: Type.Optional(Type.Unsafe<'odd' | 'even'>({ type: 'string', enum: ['odd', 'even'] })),
    backlashMm: Type.Optional(Type.Number({ minimum: 0, maximum: 2 })),
    nutOverMesh: Type.Optional(oneOf('clears', 'fouls')),
  },
  {
    additionalProperties: false,
    description:
      'First driver at the origin, leadscrew or gearbox input centresMm away; the arm swings about it, or about pivot (from it). Slot radii from the pivot. meshes: how many turn the leadscrew the right way.',
  },
);

/** Where a gear stands: its stud (0 the first driver's shaft, null the leadscrew), slot, radius from the pivot, plane. */
const Position = Type.Object({
  teeth: Type.Integer(),
  role: oneOf('driver', 'driven', 'idler'),
  plane: Type.Unsafe<1 | 2>({ type: 'integer', enum: [1, 2] }),
  pair: Type.Integer(),
  stud: nullOr(Type.Integer()),
  slot: nullOr(Type.Integer()),
  radiusMm: nullOr(Type.Number()),
  xMm: Type.Number(),
  yMm: Type.Number(),
});
const rounded = (p: GearPosition) => ({
  ...p,
  radiusMm: p.radiusMm === null ? null : micro(p.radiusMm),
  xMm: micro(p.xMm),
  yMm: micro(p.yMm),
});

export const trainsOp = op({
  name: 'trains',
  about: 'Every gear train for a lead from the gears owned, best first',
  request: Type.Object(
    {
      leadscrewMm: Exact,
      targetLeadMm: Exact,
      gears: Type.Array(Teeth, { minItems: 2, maxItems: 120 }),
      fixedRatio: Type.Optional(Exact),
      gearbox: Type.Optional(Type.Array(Exact, { minItems: 1, maxItems: 400 })),
      maxPairs: Type.Optional(Type.Unsafe<1 | 2 | 3>({ type: 'integer', enum: [1, 2, 3] })),
      most: Type.Optional(Type.Integer({ minimum: 1, maximum: 1000 })),
      arm: Type.Optional(Type.Union([Type.Null(), ArmSchema])),
    },
    { additionalProperties: false },
  ),
  reply: Type.Object({
    trains: Type.Array(
      Type.Object({
        drivers: Type.Array(Type.Integer()),
        driven: Type.Array(Type.Integer()),
        gearbox: Type.String(),
        leadMm: Type.String(),
        errorPpm: Type.Number(),
        mount: Type.Optional(
          Type.Object({
            fits: Type.Union([Type.Boolean(), Type.Null()]),
            reason: Type.String(),
            /** How far the arm leans from the line of centres. */
            leanDeg: Type.Optional(Type.Number()),
            gears: Type.Optional(Type.Array(Position)),
          }),
        ),
      }),
    ),
    /** No lead nearer than this that the set makes is missing; null: none at all. */
    lookedAtPpm: nullOr(Type.Number()),
  }),
  run: (q) => {
    const { trains, lookedAtPpm } = findTrains({
      leadscrew: exact(q.leadscrewMm),
      target: exact(q.targetLeadMm),
      gears: q.gears,
      fixedRatio: exact(q.fixedRatio ?? '1'),
      gearbox: (q.gearbox ?? ['1']).map((g) => exact(g)),
      maxPairs: q.maxPairs ?? 2,
      most: q.most ?? 20,
      perLead: q.arm ? TRIED_FOR_EACH : 1,
    });
    const { arm } = q;
    const mounted: readonly MountedTrain[] = arm
      ? mountAll(trains, { gears: q.gears, arm, turning: arm.meshes ?? null, keep: 1 })
      : trains.map((t) => ({ ...t, mount: null }));
    return good({
      trains: mounted.map(({ mount, ...t }) => ({
        ...t,
        drivers: [...t.drivers],
        driven: [...t.driven],
        mount: mount
          ? {
              fits: mount.fits,
              reason: mountText(mount, 'mm'),
              ...(mount.fits && arm
                ? { leanDeg: micro(mount.armDeg), gears: positionsOf(mount, arm).map(rounded) }
                : {}),
            }
          : { fits: null, reason: 'not checked: no arm given' },
      })),
      lookedAtPpm: lookedAtPpm === null ? null : micro(lookedAtPpm),
    });
  },
});

export const dialOp = op({
  name: 'dial',
  about: 'On which marks of the chasing dial the half-nuts may close',
  request: Type.Object(
    {
      leadscrewMm: Exact,
      leadMm: Exact,
      dialTeeth: Type.Union([Teeth, Type.Array(Teeth, { minItems: 1, maxItems: 24 })]),
      marks: Type.Integer({ minimum: 1, maximum: 128 }),
    },
    { additionalProperties: false },
  ),
  reply: Type.Object({
    safeMarks: Type.Array(Type.Integer()),
    travelMm: Type.String(),
    sameMarkAfterTurns: Type.Integer(),
    advice: Type.String(),
    dialTeeth: Type.Optional(Type.Integer()),
    gears: Type.Optional(
      Type.Array(
        Type.Object({
          dialTeeth: Type.Integer(),
          safeMarks: Type.Array(Type.Integer()),
          travelMm: Type.String(),
          sameMarkAfterTurns: Type.Integer(),
          advice: Type.String(),
        }),
      ),
    ),
  }),
  run: (q) => {
    const leadscrew = exact(q.leadscrewMm);
    if (numberOf(leadscrew) > 100) return bad('leadscrewMm', 'leadscrew-out-of-reach');
    const choices = Array.isArray(q.dialTeeth) ? q.dialTeeth : [q.dialTeeth];
    const rules = choices.map((dialTeeth) => {
      const rule = dialRule({ leadscrew, lead: exact(q.leadMm), dialTeeth, marks: q.marks });
      return { dialTeeth, ...rule, safeMarks: [...rule.safeMarks], advice: dialAdvice(rule, q.marks, 'mm') };
    });
    // of several gears, the one with most right marks answers; every one is listed
    const { dialTeeth, ...rule } = rules.reduce((a, b) => (b.safeMarks.length > a.safeMarks.length ? b : a));
    return good(Array.isArray(q.dialTeeth) ? { ...rule, dialTeeth, gears: rules } : rule);
  },
});

const teethList = Type.Array(Teeth, { minItems: 1, maxItems: 3 });
const setting = Type.Record(Type.String({ maxLength: 40 }), Type.String({ maxLength: 40 }));

/** Drivers and driven come in pairs. */
const unpaired = (drivers: readonly number[], driven: readonly number[], field: string) =>
  drivers.length === driven.length ? null : bad(field, 'not-pairs', { drivers: drivers.length, driven: driven.length });

export const auditOp = op({
  name: 'audit',
  about: 'What a gear train cuts, and the turns that prove it',
  request: Type.Object(
    {
      leadscrewMm: Exact,
      drivers: teethList,
      driven: teethList,
      gearbox: Type.Optional(Exact),
      fixedRatio: Type.Optional(Exact),
    },
    { additionalProperties: false },
  ),
  reply: Type.Object({
    leadMm: Type.String(),
    tpi: Type.String(),
    turns: Type.Object({ spindle: Type.Integer(), leadscrew: Type.Integer() }),
  }),
  run: (q) =>
    unpaired(q.drivers, q.driven, 'driven') ??
    good(auditTrain(exact(q.leadscrewMm), exact(q.fixedRatio ?? '1'), q.drivers, q.driven, q.gearbox ?? '1')),
});

export const diagnoseOp = op({
  name: 'diagnose',
  about: 'Which single mistake explains a scratch pass of the wrong pitch',
  request: Type.Object(
    {
      leadscrewMm: Exact,
      fixedRatio: Type.Optional(Exact),
      gears: Type.Array(Teeth, { maxItems: 200 }),
      levers: Type.Optional(
        Type.Record(Type.String({ maxLength: 40 }), Type.Record(Type.String({ maxLength: 40 }), Exact)),
      ),
      planned: Type.Object(
        { drivers: teethList, driven: teethList, levers: Type.Optional(setting) },
        { additionalProperties: false },
      ),
      measuredPitchMm: positive,
      uncertaintyMm: Type.Optional(positive),
      otherFixed: Type.Optional(Type.Array(Exact, { maxItems: 20 })),
    },
    { additionalProperties: false },
  ),
  reply: Type.Object({
    explanations: Type.Array(Type.Object({ kind: Type.String(), detail: Type.String(), leadMm: Type.String() })),
  }),
  run: (q) => {
    const wrong = unpaired(q.planned.drivers, q.planned.driven, 'planned.driven');
    if (wrong) return wrong;
    const levers = q.levers ?? {};
    for (const [lever, position] of Object.entries(q.planned.levers ?? {})) {
      if (own(own(levers, lever) ?? {}, position) === undefined)
        return bad(`planned.levers.${lever}`, 'no-lever-position', {
          lever,
          position,
          there: Object.keys(own(levers, lever) ?? levers).join(', '),
        });
    }
    const explanations = explainScratch({
      leadscrew: exact(q.leadscrewMm),
      fixedRatio: exact(q.fixedRatio ?? '1'),
      gears: q.gears,
      levers,
      planned: {
        drivers: q.planned.drivers,
        driven: q.planned.driven,
        ...(q.planned.levers ? { levers: q.planned.levers } : {}),
      },
      measuredMm: q.measuredPitchMm,
      uncertaintyMm: q.uncertaintyMm ?? 0.02,
      ...(q.otherFixed ? { otherFixed: q.otherFixed } : {}),
    });
    return good({
      explanations: explanations.map(({ mistake, leadMm }) => ({
        kind: mistake.kind,
        detail: mistakeText(mistake),
        leadMm,
      })),
    });
  },
});

const ChartSetting = { levers: setting, drivers: teethList, driven: teethList };
export const chartOp = op({
  name: 'chart',
  about: 'A gearbox inferred from rows of its chart; misprints named (row counts from 0)',
  request: Type.Object(
    {
      leadscrewMm: Exact,
      fixedRatio: Type.Optional(Exact),
      rows: Type.Array(Type.Object({ ...ChartSetting, leadMm: Exact }, { additionalProperties: false }), {
        maxItems: 500,
      }),
      ask: Type.Optional(Type.Array(Type.Object(ChartSetting, { additionalProperties: false }), { maxItems: 1000 })),
    },
    { additionalProperties: false },
  ),
  reply: Type.Object({
    levers: Type.Record(Type.String(), Type.Record(Type.String(), Type.String())),
    answers: Type.Array(Type.Object({ leadMm: Type.Union([Type.Null(), Type.String()]) })),
    conflicts: Type.Array(Type.Object({ row: Type.Integer(), printedMm: Type.Number(), expectedMm: Type.Number() })),
    open: Type.Array(
      Type.Object({
        lever: Type.String(),
        position: Type.String(),
        why: oneOf('untied', 'rounded'),
        settledBy: Type.Record(Type.String(), Type.String()),
      }),
    ),
  }),
  run: (q) => {
    for (const [i, r] of [...q.rows, ...(q.ask ?? [])].entries()) {
      const wrong = unpaired(
        r.drivers,
        r.driven,
        i < q.rows.length ? `rows.${i}.driven` : `ask.${i - q.rows.length}.driven`,
      );
      if (wrong) return wrong;
    }
    const read = readChart(
      exact(q.leadscrewMm),
      exact(q.fixedRatio ?? '1'),
      q.rows.map((r) => ({ ...r, lead: exact(r.leadMm) })),
      q.ask ?? [],
    );
    return good({
      levers: read.levers,
      answers: read.answers.map((a) => ({ leadMm: a === null ? null : textOf(a) })),
      conflicts: [...read.conflicts],
      open: read.open.map((o) => ({ ...o, settledBy: { ...o.settledBy } })),
    });
  },
});
