import { Type } from '@sinclair/typebox';
import { leadAngleDeg } from '../core/form/sizes.ts';
import {
  bestWireMm,
  checkWire,
  overWiresMm,
  pitchDiameterFromWiresMm,
  usableWireMm,
  usualGroove,
  type Groove,
  type WireMethod,
} from '../core/gauging/wires.ts';
import { overWiresExact, pitchDiameterExact } from '../core/gauging/exactWires.ts';
import { bad, good, type Outcome } from '../core/quantity/outcome.ts';
import { micro, op } from './op.ts';

const positive = Type.Number({ exclusiveMinimum: 0, maximum: 10_000 });

interface Asked {
  readonly pitchDiameterMm?: number;
  readonly overWiresMm?: number;
  readonly method?: WireMethod | 'exact';
}

/** Pitch diameter and measurement over wires, whichever of them was given. */
function measuredBy(
  groove: Groove,
  { pitchDiameterMm: d2, overWiresMm: over = 0, method = 'flat' }: Asked,
  wireMm: number,
): Outcome<{ pitchDiameterMm: number; overMm: number }> {
  if (method !== 'exact')
    return good(
      d2 === undefined
        ? { pitchDiameterMm: pitchDiameterFromWiresMm(groove, over, wireMm, method), overMm: over }
        : { pitchDiameterMm: d2, overMm: overWiresMm(groove, d2, wireMm, method) },
    );
  if (d2 === undefined) {
    const back = pitchDiameterExact(groove, over, wireMm);
    return back.ok ? good({ pitchDiameterMm: back.value, overMm: over }) : back;
  }
  const exact = overWiresExact(groove, d2, wireMm);
  return exact.ok ? good({ pitchDiameterMm: d2, overMm: exact.value.overMm }) : exact;
}

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
    const groove = usualGroove(q.leadingHalfAngleDeg, q.trailingHalfAngleDeg, q.pitchMm, starts);
    const best = bestWireMm(groove);
    const wire = checkWire(groove, q.wireMm ?? best);
    if (!wire.ok) return wire;
    const measured = measuredBy(groove, q, wire.value);
    if (!measured.ok) return measured;
    const { pitchDiameterMm, overMm } = measured.value;
    if (!(pitchDiameterMm > q.pitchMm / 2)) return bad('overWiresMm', 'pitch-diameter-too-small', { pitchDiameterMm });
    const range = usableWireMm(groove);
    return good({
      overWiresMm: micro(overMm),
      pitchDiameterMm: micro(pitchDiameterMm),
      wireMm: wire.value,
      bestWireMm: micro(best),
      usableWireMm: { min: micro(range.min), max: micro(range.max) },
      leadAngleDeg: micro(leadAngleDeg(q.pitchMm * starts, pitchDiameterMm)),
    });
  },
});
