import { flanksOf } from './flanks.ts';
import { Type } from '@sinclair/typebox';
import { toolSheet } from '../core/cutting/toolSheet.ts';
import { good } from '../core/quantity/outcome.ts';
import { trailingSideText } from '../words/tool.ts';
import { micro, nullOr, oneOf, op, strict } from './op.ts';

const half = Type.Number({ minimum: 0, maximum: 70 });
const positive = Type.Number({ exclusiveMinimum: 0, maximum: 10_000 });
const Bars = Type.Object({ bar100: Type.Number(), bar127: Type.Number() });
const bars = (b: { readonly bar100: number; readonly bar127: number }) => ({
  bar100: micro(b.bar100),
  bar127: micro(b.bar127),
});

export const toolOp = op({
  name: 'tool',
  about: 'What to grind: reliefs, tip flat, widths to measure, sine-bar blocks',
  request: strict({
    leadingHalfAngleDeg: half,
    trailingHalfAngleDeg: half,
    leadMm: positive,
    starts: Type.Optional(Type.Integer({ minimum: 1, maximum: 24 })),
    hand: Type.Optional(oneOf('right', 'left')),
    member: Type.Optional(oneOf('external', 'internal')),
    majorMm: positive,
    pitchDiameterMm: positive,
    minorMm: positive,
    clearanceDeg: Type.Optional(Type.Number({ minimum: 0, maximum: 30 })),
  }),
  reply: Type.Object({
    leadAngleDeg: Type.Object({ major: Type.Number(), pitch: Type.Number(), minor: Type.Number() }),
    leadingReliefDeg: Type.Number(),
    trailingReliefDeg: Type.Number(),
    includedDeg: Type.Number(),
    tipFlatMm: Type.Number(),
    widthAtDepth: Type.Array(Type.Object({ depthMm: Type.Number(), widthMm: Type.Number() })),
    sineBarMm: Type.Object({ leading: Bars, trailing: Bars }),
    note: nullOr(Type.String()),
  }),
  run: (q) => {
    const sheet = toolSheet({
      ...q,
      ...flanksOf(q),
      starts: q.starts ?? 1,
      member: q.member ?? 'external',
      clearanceDeg: q.clearanceDeg ?? 0,
    });
    if (!sheet.ok) return sheet;
    const s = sheet.value;
    return good({
      leadAngleDeg: {
        major: micro(s.leadAngleDeg.major),
        pitch: micro(s.leadAngleDeg.pitch),
        minor: micro(s.leadAngleDeg.minor),
      },
      leadingReliefDeg: micro(s.leadingReliefDeg),
      trailingReliefDeg: micro(s.trailingReliefDeg),
      includedDeg: micro(s.includedDeg),
      tipFlatMm: micro(s.tipFlatMm),
      widthAtDepth: s.widthAtDepth.map((w) => ({ depthMm: micro(w.depthMm), widthMm: micro(w.widthMm) })),
      sineBarMm: { leading: bars(s.sineBarMm.leading), trailing: bars(s.sineBarMm.trailing) },
      note: trailingSideText(s.trailingReliefDeg),
    });
  },
});
