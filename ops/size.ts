import { flanksOf } from './flanks.ts';
import { isSquare } from '../core/form/flanks.ts';
import { Type, type Static } from '@sinclair/typebox';
import { pitchDiameterBetween, usualNutGroove } from '../core/gauging/balls.ts';
import { pitchDiameterExact } from '../core/gauging/exactWires.ts';
import { checkWire, usualGroove, type Groove } from '../core/gauging/wires.ts';
import { bad, good, type Outcome } from '../core/quantity/outcome.ts';
import type { Means, SizeTarget } from '../core/sizing/asked.ts';
import { sizeOf, USUAL } from '../core/sizing/decide.ts';
import type { SizeEvent, SizeModel } from '../core/sizing/model.ts';
import { whyText } from '../words/size.ts';
import { micro, nullOr, oneOf, op, orNull, strict } from './op.ts';

const positive = Type.Number({ exclusiveMinimum: 0, maximum: 10_000 });
const half = Type.Number({ minimum: 0, maximum: 70 });
const atLeast0 = Type.Number({ minimum: 0, maximum: 10_000 });
const Tip = Type.Union([strict({ flatMm: atLeast0 }), strict({ radiusMm: atLeast0 })]);
const Bounds = orNull(strict({ minMm: positive, maxMm: positive }));
const kind = <T extends string>(k: T) => Type.Literal(k);
const place = { placeMm: orNull(Type.Number({ minimum: 0, maximum: 100_000 })) };

const Request = strict({
  member: oneOf('external', 'internal'),
  pitchMm: positive,
  starts: Type.Optional(Type.Integer({ minimum: 1, maximum: 24 })),
  leadingHalfAngleDeg: half,
  trailingHalfAngleDeg: half,
  target: strict({
    minMm: Type.Optional(positive),
    maxMm: Type.Optional(positive),
    minClearanceMm: Type.Optional(Type.Number()),
    maxClearanceMm: Type.Optional(Type.Number()),
  }),
  surfaceMm: positive,
  tip: Tip,
  dialUncertaintyMm: positive,
  settingMm: orNull(atLeast0),
  wiresSharedMm: orNull(atLeast0),
  /** Pitch diameter of the basic thread, about which a mate of unknown size lies; the middle of the limits when missing. */
  basicPitchDiameterMm: orNull(positive),
  stepMm: orNull(positive),
  mostMm: orNull(positive),
  means: Type.Array(
    Type.Union([
      strict({ kind: kind('overWires'), wireMm: positive, uncertaintyMm: positive }),
      strict({ kind: kind('betweenBalls'), ballMm: positive, uncertaintyMm: positive }),
      strict({ kind: kind('gauge'), which: oneOf('go', 'not-go'), pitchDiameterMm: orNull(positive) }),
      strict({
        kind: kind('mate'),
        name: orNull(Type.String({ maxLength: 120 })),
        pitchDiameterMm: Bounds,
        lengthMm: orNull(positive),
        shakeUncertaintyMm: orNull(positive),
      }),
    ]),
    { maxItems: 40 },
  ),
  history: Type.Array(
    Type.Union([
      strict({ kind: kind('cut'), depthMm: positive }),
      strict({ kind: kind('spring') }),
      strict({ kind: kind('side'), shiftMm: positive }),
      strict({ kind: kind('rezero') }),
      strict({ kind: kind('tool'), tip: Tip }),
      strict({ kind: kind('overWires'), valueMm: positive, wireMm: positive, uncertaintyMm: positive, ...place }),
      strict({ kind: kind('betweenBalls'), valueMm: positive, ballMm: positive, uncertaintyMm: positive, ...place }),
      strict({
        kind: kind('gauge'),
        which: oneOf('go', 'not-go'),
        passes: Type.Boolean(),
        pitchDiameterMm: orNull(positive),
      }),
      strict({
        kind: kind('mate'),
        name: orNull(Type.String({ maxLength: 120 })),
        result: oneOf('no-start', 'starts', 'binds', 'tight', 'runs', 'shakes'),
        turns: orNull(atLeast0),
        shakeMm: orNull(atLeast0),
        uncertaintyMm: orNull(positive),
        pitchDiameterMm: Bounds,
        lengthMm: orNull(positive),
        ...place,
      }),
    ]),
    { maxItems: 400 },
  ),
});
type Q = Static<typeof Request>;
const Value = Type.Object({ value: Type.Number(), uncertainty: Type.Number() });

export const sizeOp = op({
  name: 'size',
  about: 'What the part measures now by everything that was cut, tried and measured, and what to do next',
  request: Request,
  reply: Type.Object({
    pitchDiameterMm: Value,
    clearanceMm: nullOr(Value),
    leftOnDiameterMm: Type.Object({ least: Type.Number(), most: Type.Number() }),
    leadErrorPerMm: nullOr(Value),
    inside: Type.Number(),
    past: Type.Number(),
    next: Type.Object({
      do: oneOf('cut', 'spring', 'measure', 'stop', 'scrap'),
      depthMm: Type.Optional(Type.Number()),
      with: orNull(Type.Integer()),
    }),
    why: Type.String(),
  }),
  run: (q) => {
    const target = targetOf(q);
    if (!target.ok) return target;
    const model: SizeModel = {
      member: q.member,
      pitchMm: q.pitchMm,
      ...flanksOf(q),
      surfaceMm: q.surfaceMm,
      tip: q.tip,
      dialUncertaintyMm: q.dialUncertaintyMm,
      settingMm: q.settingMm ?? USUAL.settingMm,
      wiresSharedMm: q.wiresSharedMm ?? 0,
      basicMm: q.basicPitchDiameterMm ?? middleOf(target.value),
      special: false,
    };
    const means = meansOf(q);
    if (!means.ok) return means;
    const history = historyOf(q);
    if (!history.ok) return history;
    const a = sizeOf({
      model,
      target: target.value,
      means: means.value,
      history: history.value,
      stepMm: q.stepMm ?? null,
      mostMm: q.mostMm ?? null,
    });
    const value = (v: { readonly value: number; readonly uncertainty: number }) => ({
      value: micro(v.value),
      uncertainty: micro(v.uncertainty),
    });
    return good({
      pitchDiameterMm: value(a.pitchDiameterMm),
      clearanceMm: a.clearanceMm && value(a.clearanceMm),
      leftOnDiameterMm: { least: micro(a.leftOnDiameterMm.least), most: micro(a.leftOnDiameterMm.most) },
      leadErrorPerMm: a.leadErrorPerMm && value(a.leadErrorPerMm),
      inside: micro(a.inside),
      past: micro(a.past),
      next: 'depthMm' in a.next ? { ...a.next, depthMm: micro(a.next.depthMm) } : a.next,
      why: whyText(a.why, history.value.at(-1) ?? null),
    });
  },
});

const middleOf = (t: SizeTarget): number | null => ('minMm' in t ? (t.minMm + t.maxMm) / 2 : null);

const grooveOf = (q: Q): Groove =>
  (q.member === 'internal' ? usualNutGroove : usualGroove)(flanksOf(q), q.pitchMm, q.starts ?? 1);

function targetOf(q: Q): Outcome<SizeTarget> {
  const { minMm, maxMm, minClearanceMm, maxClearanceMm } = q.target;
  const sized = minMm !== undefined || maxMm !== undefined;
  const cleared = minClearanceMm !== undefined || maxClearanceMm !== undefined;
  if (sized === cleared)
    return bad('target', 'one-of-two', { one: 'minMm and maxMm', other: 'minClearanceMm and maxClearanceMm' });
  const tool = { ...flanksOf(q), tip: q.tip };
  if (isSquare(tool)) return bad('leadingHalfAngleDeg', 'wires-need-flanks');
  if ('flatMm' in q.tip && q.tip.flatMm >= q.pitchMm / 2)
    return bad('tip.flatMm', 'tip-as-wide-as-groove', { tipMm: q.tip.flatMm, halfPitchMm: q.pitchMm / 2 });
  if (cleared) {
    if (minClearanceMm === undefined || maxClearanceMm === undefined || minClearanceMm >= maxClearanceMm)
      return bad('target.maxClearanceMm', 'target-turned-round');
    if (!q.means.some((m) => m.kind === 'mate') && !q.history.some((e) => e.kind === 'mate'))
      return bad('target.minClearanceMm', 'clearance-without-mate');
    return good({ minClearanceMm, maxClearanceMm });
  }
  if (minMm === undefined || maxMm === undefined || minMm >= maxMm) return bad('target.maxMm', 'target-turned-round');
  const outside = q.member === 'external' ? maxMm >= q.surfaceMm : minMm <= q.surfaceMm;
  if (outside)
    return bad('target', 'pitch-diameter-outside-metal', {
      make: q.member,
      pitchDiameterMm: q.member === 'external' ? maxMm : minMm,
      surfaceMm: q.surfaceMm,
    });
  return good({ minMm, maxMm });
}

const MATE = 'mate';

function meansOf(q: Q): Outcome<Means[]> {
  const groove = grooveOf(q);
  const out: Means[] = [];
  for (const [i, m] of q.means.entries()) {
    const astray = onWrongMember(q, m.kind, `means.${i}.kind`);
    if (astray) return astray;
    switch (m.kind) {
      case 'overWires':
      case 'betweenBalls': {
        const wire = checkWire(
          groove,
          m.kind === 'overWires' ? m.wireMm : m.ballMm,
          `means.${i}.${m.kind === 'overWires' ? 'wireMm' : 'ballMm'}`,
        );
        if (!wire.ok) return wire;
        out.push({ kind: 'measured', uncertaintyMm: m.uncertaintyMm });
        break;
      }
      case 'gauge':
        if (m.pitchDiameterMm == null) return bad(`means.${i}.pitchDiameterMm`, 'gauge-without-size');
        out.push({ kind: 'gauge', which: m.which, pitchDiameterMm: m.pitchDiameterMm });
        break;
      case 'mate':
        out.push({
          kind: 'mate',
          name: m.name ?? MATE,
          bounds: m.pitchDiameterMm ?? null,
          lengthMm: m.lengthMm ?? null,
          shakeUncertaintyMm: m.shakeUncertaintyMm ?? null,
        });
    }
  }
  return good(out);
}

const onWrongMember = (q: Q, k: string, field: string): Outcome<never> | null =>
  k === 'overWires' && q.member === 'internal'
    ? bad(field, 'wires-on-nut')
    : k === 'betweenBalls' && q.member === 'external'
      ? bad(field, 'balls-on-screw')
      : null;

function historyOf(q: Q): Outcome<SizeEvent[]> {
  const groove = grooveOf(q);
  const out: SizeEvent[] = [];
  for (const [i, e] of q.history.entries()) {
    const astray = onWrongMember(q, e.kind, `history.${i}.kind`);
    if (astray) return astray;
    switch (e.kind) {
      case 'spring':
        if (!out.some((x) => x.kind === 'cut')) return bad(`history.${i}.kind`, 'spring-before-cut');
        out.push(e);
        break;
      case 'overWires':
      case 'betweenBalls': {
        const [w, field] = e.kind === 'overWires' ? ([e.wireMm, 'wireMm'] as const) : ([e.ballMm, 'ballMm'] as const);
        const wire = checkWire(groove, w, `history.${i}.${field}`);
        if (!wire.ok) return wire;
        const d2 =
          e.kind === 'overWires'
            ? pitchDiameterExact(groove, e.valueMm, w)
            : pitchDiameterBetween(groove, e.valueMm, w, true);
        if (!d2.ok) return bad(`history.${i}.valueMm`, 'wire-finds-no-rest', { leadDeg: 0 });
        out.push({ kind: 'measured', pitchDiameterMm: d2.value, uncertaintyMm: e.uncertaintyMm });
        break;
      }
      case 'gauge':
        if (e.pitchDiameterMm == null) return bad(`history.${i}.pitchDiameterMm`, 'gauge-without-size');
        out.push({ kind: 'gauge', which: e.which, passes: e.passes, pitchDiameterMm: e.pitchDiameterMm });
        break;
      case 'mate': {
        const name = e.name ?? MATE;
        const known = q.means.find((m) => m.kind === 'mate' && (m.name ?? MATE) === name);
        out.push({
          kind: 'mate',
          name,
          result: e.result,
          turns: e.turns ?? null,
          shakeMm: e.shakeMm ?? null,
          uncertaintyMm: e.uncertaintyMm ?? USUAL.shakeMm,
          bounds: e.pitchDiameterMm ?? (known?.kind === 'mate' ? (known.pitchDiameterMm ?? null) : null),
          lengthMm: e.lengthMm ?? (known?.kind === 'mate' ? (known.lengthMm ?? null) : null),
        });
        break;
      }
      default:
        out.push(e);
    }
  }
  return good(out);
}
