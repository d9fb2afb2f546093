import { Type } from '@sinclair/typebox';
import { bendOf, SUPPORTS, type Support } from '../core/cutting/bend.ts';
import { good } from '../core/quantity/outcome.ts';
import { oneOf, op, orNull, strict } from './op.ts';

const length = Type.Number({ minimum: 0, maximum: 100_000 });

export const bendOp = op({
  name: 'bend',
  about: 'How far work or a boring bar gives way at the load',
  request: strict({
    support: oneOf<Support>(...SUPPORTS),
    lengthMm: length,
    diameterMm: length,
    boreMm: Type.Optional(length),
    youngGPa: Type.Number({ minimum: 0, maximum: 2000 }),
    forceN: Type.Number({ minimum: 0, maximum: 1_000_000 }),
    atMm: Type.Array(Type.Number(), { minItems: 1, maxItems: 10_000 }),
    steadyAtMm: orNull(Type.Number()),
  }),
  reply: Type.Object({ bendMm: Type.Array(Type.Number()) }),
  run: (q) => {
    const bend = bendOf({ ...q, boreMm: q.boreMm ?? 0, steadyAtMm: q.steadyAtMm ?? null });
    return bend.ok ? good({ bendMm: bend.value.map((mm) => Number(mm.toFixed(9))) }) : bend;
  },
});
