import { Type } from '@sinclair/typebox';
import { nearestPitches } from '../core/gearing/proof/index.ts';
import { good } from '../core/quantity/outcome.ts';
import { isMetricPitch, isTpiPitch, parsePitch, tpiOf } from '../core/quantity/pitch.ts';
import { mixedText, numberOf, shortText, textOf } from '../core/quantity/rational.ts';
import { micro, op, strict } from './op.ts';

export const pitchOp = op({
  name: 'pitch',
  about: 'A pitch as it is typed, exact, in both systems, with the standard pitches nearest to it',
  request: strict({
    text: Type.String({ maxLength: 60 }),
    most: Type.Optional(Type.Integer({ minimum: 1, maximum: 50 })),
  }),
  reply: Type.Object({
    pitch: Type.String(),
    pitchMm: Type.Number(),
    tpi: Type.String(),
    isMetric: Type.Boolean(),
    isTpi: Type.Boolean(),
    /** By how much each of them is off, were this one cut. */
    near: Type.Array(Type.Object({ pitch: Type.String(), errorPpm: Type.Number() })),
  }),
  run: ({ text, most }) => {
    const read = parsePitch(text, 'text');
    if (!read.ok) return read;
    const pitch = read.value.exactMm;
    const tpi = tpiOf(pitch);
    return good({
      pitch: textOf(pitch),
      pitchMm: micro(numberOf(pitch)),
      tpi: isTpiPitch(pitch) ? mixedText(tpi) : shortText(tpi),
      isMetric: isMetricPitch(pitch),
      isTpi: isTpiPitch(pitch),
      near: nearestPitches(pitch, most ?? 5).map((n) => ({ pitch: n.pitch, errorPpm: micro(n.errorPpm) })),
    });
  },
});
