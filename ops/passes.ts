import { Type } from '@sinclair/typebox';
import { passSchedule } from '../core/cutting/passes.ts';
import { good } from '../core/quantity/outcome.ts';
import { micro, oneOf, op, orNull } from './op.ts';

const limit = orNull(Type.Number());
/** A 60 degree V, when no flanks are given. */
const USUAL_HALF_DEG = 30;

export const passesOp = op({
  name: 'passes',
  about: 'Cumulative infeed of each pass',
  request: Type.Object(
    {
      depthMm: Type.Number(),
      passes: Type.Integer(),
      rule: oneOf('constant-area', 'constant-depth'),
      slideAngleDeg: limit,
      firstMaxMm: limit,
      lastMinMm: limit,
      tipFlatMm: Type.Optional(Type.Number({ minimum: 0, maximum: 100 })),
      leadingHalfAngleDeg: Type.Optional(Type.Number({ minimum: 0, maximum: 60 })),
      trailingHalfAngleDeg: Type.Optional(Type.Number({ minimum: 0, maximum: 60 })),
    },
    { additionalProperties: false },
  ),
  reply: Type.Object({
    passes: Type.Array(Type.Object({ depthMm: Type.Number(), slideMm: Type.Number(), axialMm: Type.Number() })),
  }),
  run: (q) => {
    const made = passSchedule({
      depthMm: q.depthMm,
      passes: q.passes,
      rule: q.rule,
      slideAngleDeg: q.slideAngleDeg ?? null,
      firstMaxMm: q.firstMaxMm ?? null,
      lastMinMm: q.lastMinMm ?? null,
      ...(q.tipFlatMm === undefined ? {} : { tipFlatMm: q.tipFlatMm }),
      flanks: {
        leadingDeg: q.leadingHalfAngleDeg ?? USUAL_HALF_DEG,
        trailingDeg: q.trailingHalfAngleDeg ?? USUAL_HALF_DEG,
      },
    });
    if (!made.ok) return made;
    return good({
      passes: made.value.map((p) => ({
        depthMm: micro(p.depthMm),
        slideMm: micro(p.slideMm),
        axialMm: micro(p.axialMm),
      })),
    });
  },
});
