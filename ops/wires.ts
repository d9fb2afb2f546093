import { leadAngleDeg } from '../core/form/helix.ts';
import { flanksOf } from './flanks.ts';
import { Type, type Static } from '@sinclair/typebox';
import { betweenBallsExact, betweenBallsMm, pitchDiameterBetween, usualNutGroove } from '../core/gauging/balls.ts';
import {
  bestWireMm,
  pitchLineWireMm,
  checkWire,
  overOneWireMm,
  overThreeFromOneMm,
  overWiresMm,
  pitchDiameterFromWiresMm,
  usableWireMm,
  usualGroove,
  type Groove,
  type WireMethod,
} from '../core/gauging/wires.ts';
import { overWiresExact, pitchDiameterExact } from '../core/gauging/exactWires.ts';
import { bad, good, type Outcome } from '../core/quantity/outcome.ts';
import { micro, oneOf, op, orNull, strict } from './op.ts';

const positive = Type.Number({ exclusiveMinimum: 0, maximum: 10_000 });

const Request = strict({
  leadingHalfAngleDeg: Type.Number({ minimum: 0, maximum: 60 }),
  trailingHalfAngleDeg: Type.Number({ minimum: 0, maximum: 60 }),
  pitchMm: positive,
  starts: Type.Optional(Type.Integer({ minimum: 1, maximum: 24 })),
  member: Type.Optional(oneOf('external', 'internal')),
  /** Wires used: two are as three, the anvils kept parallel to the axis. */
  wires: orNull(Type.Unsafe<1 | 2 | 3>({ type: 'integer', enum: [1, 2, 3] })),
  /** As measured: one wire is measured against the crest on the other side. */
  majorMm: orNull(positive),
  pitchDiameterMm: Type.Optional(positive),
  overWiresMm: Type.Optional(positive),
  betweenBallsMm: Type.Optional(positive),
  wireMm: orNull(positive),
  ballMm: orNull(positive),
  method: Type.Optional(oneOf('flat', 'textbook', 'exact')),
});
type Q = Static<typeof Request>;
interface Measured {
  readonly method: WireMethod | 'exact';
  readonly pitchDiameterMm: number;
  readonly readMm: number;
}

export const wiresOp = op({
  name: 'wires',
  about: 'Measurement over one, two or three wires, or between balls in a nut, from the pitch diameter, or the reverse',
  request: Request,
  reply: Type.Object({
    overWiresMm: Type.Optional(Type.Number()),
    betweenBallsMm: Type.Optional(Type.Number()),
    pitchDiameterMm: Type.Number(),
    wireMm: Type.Optional(Type.Number()),
    ballMm: Type.Optional(Type.Number()),
    bestWireMm: Type.Number(),
    /** The one that touches at the pitch line, which the form may not be able to take. */
    pitchLineWireMm: Type.Number(),
    method: oneOf('flat', 'textbook', 'exact'),
    usableWireMm: Type.Object({ min: Type.Number(), max: Type.Number() }),
    leadAngleDeg: Type.Number(),
  }),
  run: (q) => {
    if (!(q.leadingHalfAngleDeg + q.trailingHalfAngleDeg > 0)) return bad('leadingHalfAngleDeg', 'wires-need-flanks');
    const nut = q.member === 'internal';
    const refused = fieldsOf(q, nut);
    if (refused) return refused;
    const starts = q.starts ?? 1;
    const of = nut ? usualNutGroove : usualGroove;
    const groove = of(flanksOf(q), q.pitchMm, starts);
    const best = bestWireMm(groove);
    const wire = checkWire(groove, (nut ? q.ballMm : q.wireMm) ?? best, nut ? 'ballMm' : 'wireMm');
    if (!wire.ok) return wire;
    const measured = nut ? between(groove, q, wire.value) : over(groove, q, wire.value);
    if (!measured.ok) return measured;
    const { pitchDiameterMm, readMm } = measured.value;
    if (!(pitchDiameterMm > q.pitchMm / 2))
      return bad(nut ? 'betweenBallsMm' : 'overWiresMm', 'pitch-diameter-too-small', { pitchDiameterMm });
    const range = usableWireMm(groove);
    return good({
      ...(nut
        ? { betweenBallsMm: micro(readMm), ballMm: wire.value }
        : { overWiresMm: micro(readMm), wireMm: wire.value }),
      pitchDiameterMm: micro(pitchDiameterMm),
      bestWireMm: micro(best),
      pitchLineWireMm: micro(pitchLineWireMm(groove)),
      method: measured.value.method,
      usableWireMm: { min: micro(range.min), max: micro(range.max) },
      leadAngleDeg: micro(leadAngleDeg(q.pitchMm * starts, pitchDiameterMm)),
    });
  },
});

/** Wires go over a screw, balls into a nut; one of two is given; one wire is measured against a crest that is known. */
function fieldsOf(q: Q, nut: boolean): Outcome<never> | null {
  const given = nut ? 'betweenBallsMm' : 'overWiresMm';
  const astray = (
    nut ? (['wires', 'wireMm', 'overWiresMm', 'majorMm'] as const) : (['ballMm', 'betweenBallsMm'] as const)
  ).find((f) => q[f] != null);
  if (astray) return bad(astray, nut ? 'wires-on-nut' : 'balls-on-screw');
  if ((q.pitchDiameterMm === undefined) === (q[given] === undefined))
    return bad('pitchDiameterMm', 'one-of-two', { one: 'pitchDiameterMm', other: given });
  if (!nut && q.wires === 1 && q.majorMm == null) return bad('majorMm', 'one-wire-needs-major');
  return null;
}

/** Pitch diameter and measurement over wires, whichever of them was given. */
function over(groove: Groove, q: Q, wireMm: number): Outcome<Measured> {
  const one = q.wires === 1 ? (q.majorMm ?? null) : null;
  const shown = (three: number): number => (one === null ? three : overOneWireMm(three, one));
  const three = q.overWiresMm === undefined ? 0 : one === null ? q.overWiresMm : overThreeFromOneMm(q.overWiresMm, one);
  const by = (method: WireMethod | 'exact') => overThree(groove, q.pitchDiameterMm, three, method, wireMm);
  const asked = by(q.method ?? 'exact');
  // nobody asked for a method, and the exact one has none for this groove: the textbook's, and the reply says so
  const found = !asked.ok && q.method === undefined ? by('textbook') : asked;
  return found.ok ? good({ ...found.value, readMm: shown(found.value.readMm) }) : found;
}

function overThree(
  groove: Groove,
  d2: number | undefined,
  overMm: number,
  method: WireMethod | 'exact',
  wireMm: number,
): Outcome<Measured> {
  if (method !== 'exact')
    return good(
      d2 === undefined
        ? { method, pitchDiameterMm: pitchDiameterFromWiresMm(groove, overMm, wireMm, method), readMm: overMm }
        : { method, pitchDiameterMm: d2, readMm: overWiresMm(groove, d2, wireMm, method) },
    );
  if (d2 === undefined) {
    const back = pitchDiameterExact(groove, overMm, wireMm);
    return back.ok ? good({ method, pitchDiameterMm: back.value, readMm: overMm }) : back;
  }
  const exact = overWiresExact(groove, d2, wireMm);
  return exact.ok ? good({ method, pitchDiameterMm: d2, readMm: exact.value.overMm }) : exact;
}

function between(groove: Groove, q: Q, ballMm: number): Outcome<Measured> {
  const method = q.method ?? 'exact';
  const exact = method === 'exact';
  if (q.pitchDiameterMm === undefined) {
    const readMm = q.betweenBallsMm ?? 0;
    const back = pitchDiameterBetween(groove, readMm, ballMm, exact);
    return back.ok ? good({ method, pitchDiameterMm: back.value, readMm }) : back;
  }
  const d2 = q.pitchDiameterMm;
  if (!exact) return good({ method, pitchDiameterMm: d2, readMm: betweenBallsMm(groove, d2, ballMm) });
  const at = betweenBallsExact(groove, d2, ballMm);
  return at.ok ? good({ method, pitchDiameterMm: d2, readMm: at.value }) : at;
}
