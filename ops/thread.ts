import { Type } from '@sinclair/typebox';
import { good } from '../core/quantity/outcome.ts';
import { textOf } from '../core/quantity/rational.ts';
import { familyOf } from '../core/standards/catalogue.ts';
import { parseDesignation } from '../core/standards/designation.ts';
import { leadOf, pitchMmOf, threadFormOf, threadSizes, type ThreadSpec } from '../core/standards/thread.ts';
import { micro, op } from './op.ts';

export const describeThread = (thread: ThreadSpec) => {
  const form = threadFormOf(thread);
  const sizes = threadSizes(thread);
  return {
    designation: thread.designation,
    family: thread.family,
    majorMm: micro(thread.majorMm),
    pitch: thread.pitch,
    pitchMm: micro(pitchMmOf(thread)),
    starts: thread.starts,
    lead: textOf(leadOf(thread)),
    leadingHalfAngleDeg: form.leadingDeg,
    trailingHalfAngleDeg: form.trailingDeg,
    pitchDiameterMm: micro(sizes.pitchDiameterMm),
    minorExternalMm: micro(sizes.minorExternalMm),
    minorInternalMm: micro(sizes.minorInternalMm),
    leftHand: thread.leftHand,
    taper: form.taper,
    source: thread.family === 'Special' ? form.source : `${familyOf(thread.family).source}; form ${form.source}`,
  };
};

export const threadOp = op({
  name: 'thread',
  about: 'A designation to its geometry',
  request: Type.Object({ designation: Type.String({ maxLength: 200 }) }, { additionalProperties: false }),
  reply: Type.Object({
    designation: Type.String(),
    family: Type.String(),
    majorMm: Type.Number(),
    pitch: Type.String(),
    pitchMm: Type.Number(),
    starts: Type.Integer(),
    lead: Type.String(),
    leadingHalfAngleDeg: Type.Number(),
    trailingHalfAngleDeg: Type.Number(),
    pitchDiameterMm: Type.Number(),
    minorExternalMm: Type.Number(),
    minorInternalMm: Type.Number(),
    leftHand: Type.Boolean(),
    taper: Type.Number(),
    source: Type.String(),
  }),
  run: ({ designation }) => {
    const parsed = parseDesignation(designation);
    return parsed.ok ? good(describeThread(parsed.value.thread)) : parsed;
  },
});
