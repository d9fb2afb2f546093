import { Type } from '@sinclair/typebox';
import { dialRule } from '../gearing/dial.ts';
import { findTrains } from '../gearing/search.ts';
import { Exact, Teeth } from '../lathe/schema.ts';
import { bad, good } from '../quantity/outcome.ts';
import { exact, numberOf } from '../quantity/rational.ts';
import { op } from './op.ts';

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
      }),
    ),
    complete: Type.Boolean(),
  }),
  run: (q) => {
    const { trains, complete } = findTrains({
      leadscrew: exact(q.leadscrewMm),
      target: exact(q.targetLeadMm),
      gears: q.gears,
      fixedRatio: exact(q.fixedRatio ?? '1'),
      gearbox: (q.gearbox ?? ['1']).map((g) => exact(g)),
      maxPairs: q.maxPairs ?? 2,
      most: q.most ?? 20,
    });
    return good({ trains: trains.map((t) => ({ ...t, drivers: [...t.drivers], driven: [...t.driven] })), complete });
  },
});

export const dialOp = op({
  name: 'dial',
  about: 'On which marks of the chasing dial the half-nuts may close',
  request: Type.Object(
    { leadscrewMm: Exact, leadMm: Exact, dialTeeth: Teeth, marks: Type.Integer({ minimum: 1, maximum: 128 }) },
    { additionalProperties: false },
  ),
  reply: Type.Object({
    safeMarks: Type.Array(Type.Integer()),
    travelMm: Type.String(),
    sameMarkAfterTurns: Type.Integer(),
    advice: Type.String(),
  }),
  run: (q) => {
    const leadscrew = exact(q.leadscrewMm);
    if (numberOf(leadscrew) > 100)
      return bad('leadscrewMm', 'A leadscrew pitch above 100 mm is out of reach.', '127/40 for 8 tpi');
    const rule = dialRule({ leadscrew, lead: exact(q.leadMm), dialTeeth: q.dialTeeth, marks: q.marks });
    return good({ ...rule, safeMarks: [...rule.safeMarks] });
  },
});
