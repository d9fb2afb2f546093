import { Type } from '@sinclair/typebox';
import { leadAngleDeg } from '../core/form/sizes.ts';
import {
  bestWireMm,
  checkWire,
  overWiresMm,
  pitchDiameterFromWiresMm,
  usableWireMm,
  usualGroove,
} from '../core/gauging/wires.ts';
import { exactBeyondTextbookMm } from '../core/gauging/exactWires.ts';
import { bad, good } from '../core/quantity/outcome.ts';
import { op } from './op.ts';

const micro = (x: number): number => Number(x.toFixed(6));
const positive = Type.Number({ exclusiveMinimum: 0, maximum: 10_000 });

export const wiresOp = op({
  name: 'wires',
  about: 'Measurement over three wires from the pitch diameter, or the reverse',
  request: Type.Object(
    {
      leadingHalfAngleDeg: Type.Number({ minimum: 0, maximum: 60 }),
      trailingHalfAngleDeg: Type.Number({ minimum: 0, maximum: 60 }),
      pitchMm: positive,
      starts: Type.Optional(Type.Integer({ minimum: 1, maximum: 24 })),
      pitchDiameterMm: Type.Optional(positive),
      overWiresMm: Type.Optional(positive),
      wireMm: Type.Optional(positive),
      method: Type.Optional(
        Type.Unsafe<'flat' | 'textbook' | 'exact'>({ type: 'string', enum: ['flat', 'textbook', 'exact'] }),
      ),
    },
    { additionalProperties: false },
  ),
  reply: Type.Object({
    overWiresMm: Type.Number(),
    pitchDiameterMm: Type.Number(),
    wireMm: Type.Number(),
    bestWireMm: Type.Number(),
    usableWireMm: Type.Object({ min: Type.Number(), max: Type.Number() }),
    leadAngleDeg: Type.Number(),
  }),
  run: (q) => {
    if (!(q.leadingHalfAngleDeg + q.trailingHalfAngleDeg > 0)) return bad('leadingHalfAngleDeg', 'wires-need-flanks');
    if ((q.pitchDiameterMm === undefined) === (q.overWiresMm === undefined))
      return bad('pitchDiameterMm', 'one-of-two', { one: 'pitchDiameterMm', other: 'overWiresMm' });
    const starts = q.starts ?? 1;
    const method = q.method === 'exact' ? 'textbook' : (q.method ?? 'flat');
    const groove = usualGroove(q.leadingHalfAngleDeg, q.trailingHalfAngleDeg, q.pitchMm, starts);
    const best = bestWireMm(groove);
    const wire = checkWire(groove, q.wireMm ?? best);
    if (!wire.ok) return wire;
    let pitchDiameterMm = q.pitchDiameterMm ?? pitchDiameterFromWiresMm(groove, q.overWiresMm ?? 0, wire.value, method);
    let beyond = 0;
    if (q.method === 'exact') {
      const at = exactBeyondTextbookMm(groove, pitchDiameterMm, wire.value);
      if (at === null) return bad('method', 'exact-needs-equal-flanks');
      beyond = at;
      if (q.pitchDiameterMm === undefined) pitchDiameterMm -= beyond;
    }
    if (!(pitchDiameterMm > q.pitchMm / 2)) return bad('overWiresMm', 'pitch-diameter-too-small', { pitchDiameterMm });
    const range = usableWireMm(groove);
    return good({
      overWiresMm: micro(q.overWiresMm ?? overWiresMm(groove, pitchDiameterMm, wire.value, method) + beyond),
      pitchDiameterMm: micro(pitchDiameterMm),
      wireMm: wire.value,
      bestWireMm: micro(best),
      usableWireMm: { min: micro(range.min), max: micro(range.max) },
      leadAngleDeg: micro(leadAngleDeg(q.pitchMm * starts, pitchDiameterMm)),
    });
  },
});
