import { flanksOf } from './flanks.ts';
import { Type } from '@sinclair/typebox';
import { planOf, type Stage } from '../core/cutting/plan.ts';
import { good, bad } from '../core/quantity/outcome.ts';
import { numberOf, rationalOf } from '../core/quantity/rational.ts';
import { turnTravelMm } from '../core/lathe/dials.ts';
import { oneOf, op, orNull, strict } from './op.ts';

const nano = (x: number): number => Number(x.toFixed(9)) + 0;
const nanoOrNull = (x: number | null): number | null => (x === null ? null : nano(x));

const Rule = oneOf('constant-area', 'constant-depth', 'constant-force', 'step');
const number = Type.Number();

/** The usual margin by which a tip clears the surface on the way back, mm. Common practice, no source. */
export const USUAL_CLEARANCE_MM = 0.5;

const StageSchema = strict({
  upToMm: orNull(number),
  rule: Rule,
  stepMm: orNull(number),
  firstMaxMm: orNull(number),
  lastMinMm: orNull(number),
  springs: orNull(Type.Integer({ minimum: 0, maximum: 50 })),
});

export const planOp = op({
  name: 'plan',
  about: 'What is still to be cut, from the metal as it is',
  request: strict({
    member: oneOf('external', 'internal'),
    surfaceMm: orNull(number),
    targetPitchDiameterMm: orNull(number),
    targetDepthMm: orNull(number),
    pitchMm: number,
    starts: orNull(Type.Integer({ minimum: 1, maximum: 24 })),
    hand: orNull(oneOf('right', 'left')),
    leadingHalfAngleDeg: number,
    trailingHalfAngleDeg: number,
    tip: Type.Union([strict({ flatMm: number }), strict({ radiusMm: number })]),
    infeed: oneOf('plunge', 'flank', 'alternate', 'modified'),
    slideAngleDeg: orNull(number),
    rule: orNull(Rule),
    stepMm: orNull(number),
    passes: orNull(Type.Integer()),
    firstMaxMm: orNull(number),
    lastMinMm: orNull(number),
    springs: orNull(Type.Integer({ minimum: 0, maximum: 50 })),
    stages: orNull(Type.Array(StageSchema, { minItems: 1, maxItems: 20 })),
    straightLastMm: orNull(number),
    doneMm: orNull(number),
    axialDoneMm: orNull(number),
    lastFlank: orNull(oneOf('leading', 'trailing')),
    sideMm: orNull(number),
    grooveMm: orNull(number),
    clearanceMm: orNull(number),
    slackMm: orNull(number),
    runOutMm: orNull(number),
    taper: orNull(Type.Union([Type.String({ maxLength: 60 }), number])),
    lengthMm: orNull(number),
    boreClearMm: orNull(number),
    dial: orNull(
      strict({
        unit: oneOf('mm', 'in'),
        division: Type.Number({ exclusiveMinimum: 0 }),
        perTurn: orNull(Type.Number({ exclusiveMinimum: 0 })),
        reads: oneOf('radius', 'diameter'),
      }),
    ),
  }),
  reply: Type.Object({
    depthMm: Type.Number(),
    leftMm: Type.Number(),
    passes: Type.Array(
      Type.Object({
        depthMm: Type.Number(),
        slideMm: Type.Number(),
        axialMm: Type.Number(),
        straightMm: Type.Number(),
        chipMm2: Type.Number(),
        spring: Type.Boolean(),
        stage: Type.Integer(),
      }),
    ),
    toolOutMm: Type.Number(),
    toolOutTurns: Type.Union([Type.Null(), Type.Integer()]),
    tipDiameterMm: Type.Union([Type.Null(), Type.Number()]),
  }),
  run: (q) => {
    const target =
      q.targetPitchDiameterMm != null && q.targetDepthMm == null
        ? { pitchDiameterMm: q.targetPitchDiameterMm }
        : q.targetDepthMm != null && q.targetPitchDiameterMm == null
          ? { depthMm: q.targetDepthMm }
          : null;
    if (!target)
      return bad('targetPitchDiameterMm', 'one-of-two', { one: 'targetPitchDiameterMm', other: 'targetDepthMm' });
    const taper = q.taper == null ? 0 : typeof q.taper === 'number' ? q.taper : taperOf(q.taper);
    if (taper === null) return bad('taper', 'taper-unreadable');
    if (q.stages == null && q.rule == null) return bad('rule', 'no-rule');
    const plan = planOf({
      member: q.member,
      surfaceMm: q.surfaceMm ?? null,
      target,
      pitchMm: q.pitchMm,
      leftHand: q.hand === 'left',
      ...flanksOf(q),
      tip: q.tip,
      infeed: q.infeed,
      slideAngleDeg: q.slideAngleDeg ?? null,
      rule: q.rule ?? 'constant-area',
      stepMm: q.stepMm ?? null,
      passes: q.passes ?? null,
      firstMaxMm: q.firstMaxMm ?? null,
      lastMinMm: q.lastMinMm ?? null,
      springs: q.springs ?? 0,
      stages:
        q.stages?.map((s): Stage => ({
          upToMm: s.upToMm ?? Infinity,
          rule: s.rule,
          stepMm: s.stepMm ?? null,
          firstMaxMm: s.firstMaxMm ?? null,
          lastMinMm: s.lastMinMm ?? null,
          springs: s.springs ?? 0,
        })) ?? null,
      straightLastMm: q.straightLastMm ?? 0,
      doneMm: q.doneMm ?? 0,
      axialDoneMm: q.axialDoneMm ?? null,
      lastFlank: q.lastFlank ?? null,
      sideMm: q.sideMm ?? 0,
      grooveMm: q.grooveMm ?? 0,
      clearanceMm: q.clearanceMm ?? USUAL_CLEARANCE_MM,
      slackMm: q.slackMm ?? 0,
      runOutMm: q.runOutMm ?? 0,
      taper,
      lengthMm: q.lengthMm ?? null,
      boreClearMm: q.boreClearMm ?? null,
      dial: q.dial?.perTurn == null ? null : { turnMm: turnTravelMm({ ...q.dial, perTurn: q.dial.perTurn }) },
    });
    if (!plan.ok) return plan;
    const p = plan.value;
    return good({
      depthMm: nano(p.depthMm),
      leftMm: nano(p.leftMm),
      passes: p.passes.map((pass) => ({
        depthMm: nano(pass.depthMm),
        slideMm: nano(pass.slideMm),
        axialMm: nano(pass.axialMm),
        straightMm: nano(pass.straightMm),
        chipMm2: nano(pass.chipMm2),
        spring: pass.spring,
        stage: pass.stage,
      })),
      toolOutMm: nano(p.toolOutMm),
      toolOutTurns: p.toolOutTurns,
      tipDiameterMm: nanoOrNull(p.tipDiameterMm),
    });
  },
});

const taperOf = (text: string): number | null => {
  const r = rationalOf(text);
  return r === null ? null : numberOf(r);
};
