import { limitsNoteText } from '../words/limits.ts';
import { Type } from '@sinclair/typebox';
import { outline } from '../core/form/outline.ts';
import { bad, good } from '../core/quantity/outcome.ts';
import { parseDesignation } from '../core/standards/designation.ts';
import { classesOf, limitsOf } from '../core/standards/limits.ts';
import { pitchMmOf, threadFormOf, threadSizes } from '../core/standards/thread.ts';
import { micro, nullOr, op } from './op.ts';

const numberOrNull = nullOr(Type.Number());
const Range = Type.Object({ min: numberOrNull, max: numberOrNull });
const Member = Type.Object({ major: Range, pitch: Range, minor: Range });
const designation = Type.String({ maxLength: 200 });

export const limitsOp = op({
  name: 'limits',
  about: 'Limits of size of a designation in a class',
  request: Type.Object(
    {
      designation,
      class: Type.Optional(Type.Union([Type.Null(), Type.String({ maxLength: 20 })])),
      engagementMm: Type.Optional(numberOrNull),
    },
    { additionalProperties: false },
  ),
  reply: Type.Object({
    external: Type.Optional(Member),
    internal: Type.Optional(Member),
    source: Type.String(),
    notes: Type.Array(Type.String()),
  }),
  run: (q) => {
    const parsed = parseDesignation(q.designation);
    if (!parsed.ok) return parsed;
    const { thread } = parsed.value;
    const cls = q.class ?? parsed.value.class;
    if (cls === null) {
      const { external, internal } = classesOf(thread);
      return bad('class', 'no-class-given', { there: [...new Set([...external, ...internal])].join(', ') });
    }
    const limits = limitsOf(thread, cls, q.engagementMm ?? null);
    return limits.ok
      ? good({ ...limits.value, notes: limits.value.notes.map((n) => limitsNoteText(n, 'mm')) })
      : limits;
  },
});

export const outlineOp = op({
  name: 'outline',
  about: 'Points of the axial section of a designation, mm',
  request: Type.Object(
    {
      designation,
      side: Type.Unsafe<'external' | 'internal'>({ type: 'string', enum: ['external', 'internal'] }),
      pitches: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
    },
    { additionalProperties: false },
  ),
  reply: Type.Object({ points: Type.Array(Type.Object({ x: Type.Number(), y: Type.Number() })) }),
  run: (q) => {
    const parsed = parseDesignation(q.designation);
    if (!parsed.ok) return parsed;
    const { thread } = parsed.value;
    const form = threadFormOf(thread);
    const points = outline(form, q.side, pitchMmOf(thread), threadSizes(thread).pitchDiameterMm, q.pitches ?? 3);
    return good({ points: points.map((p) => ({ x: micro(p.x), y: micro(p.y) })) });
  },
});
