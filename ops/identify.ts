import { withoutNulls } from '../core/quantity/own.ts';
import { includedDeg } from '../core/form/flanks.ts';
import { Type } from '@sinclair/typebox';
import type { Evidence, Part } from '../core/evidence/evidence.ts';
import { ORIGINS, USES } from '../core/identify/hypotheses.ts';
import { nextReadings, USUAL_TOOLS } from '../core/identify/nextReading.ts';
import { rank } from '../core/identify/rank.ts';
import { reasonsFor } from '../core/identify/reasons.ts';
import { reasonText, seenByText } from '../words/reasons.ts';
import { rivalsOf } from '../core/identify/rivals.ts';
import { good } from '../core/quantity/outcome.ts';
import { micro, oneOf, op } from './op.ts';

const length = Type.Number({ exclusiveMinimum: 0, maximum: 3000 });
const sigma = Type.Optional(Type.Union([Type.Null(), Type.Number({ exclusiveMinimum: 0, maximum: 100 })]));
const wear = Type.Optional(oneOf('worn', 'unworn', 'unknown'));
const member = Type.Optional(oneOf('external', 'internal'));
const piece = <Q extends string>(quantity: readonly Q[], rest: Parameters<typeof Type.Object>[0]) =>
  Type.Object({ quantity: oneOf(...quantity), member, ...rest }, { additionalProperties: false });

const EvidenceSchema = Type.Union([
  piece(['majorDiameter', 'minorDiameter', 'pitchDiameter', 'depth'], { valueMm: length, uncertaintyMm: sigma, wear }),
  piece(['overWires'], { valueMm: length, wireMm: length, uncertaintyMm: sigma, wear }),
  piece(['crestCount'], {
    crests: Type.Number({ minimum: 0.5, maximum: 5000 }),
    spanMm: length,
    spanUncertaintyMm: sigma,
  }),
  piece(['pitchLeaf'], {
    pitchMm: length,
    overMm: Type.Optional(length),
    fit: oneOf('fits', 'nearly', 'no'),
  }),
  piece(['template'], {
    angleDeg: Type.Number({ minimum: 0, maximum: 120 }),
    fit: oneOf('fits', 'nearly', 'no'),
    flank: Type.Optional(oneOf('leading', 'trailing')),
  }),
  piece(['flankAngle', 'leadingFlank', 'trailingFlank'], {
    valueDeg: Type.Number({ minimum: 0, maximum: 120 }),
    uncertaintyDeg: sigma,
  }),
  piece(['crestFlat', 'rootFlat', 'crestRadius', 'rootRadius'], {
    valueMm: Type.Number({ minimum: 0, maximum: 100 }),
    uncertaintyMm: sigma,
  }),
  piece(['lead'], { valueMm: length, uncertaintyMm: sigma }),
  piece(['taper'], { ratio: Type.Number({ minimum: -1, maximum: 1 }), uncertainty: sigma }),
  piece(['hand'], { hand: oneOf('right', 'left') }),
  piece(['starts'], { count: Type.Integer({ minimum: 1, maximum: 12 }) }),
]);

export const identifyOp = op({
  name: 'identify',
  about: 'Which thread the evidence speaks for, and what to read next',
  request: Type.Object(
    {
      part: oneOf('external', 'internal'),
      evidence: Type.Array(EvidenceSchema, { maxItems: 200 }),
      context: Type.Optional(
        Type.Union([
          Type.Null(),
          Type.Object(
            {
              origin: Type.Optional(Type.Union([Type.Null(), oneOf(...ORIGINS)])),
              use: Type.Optional(Type.Union([Type.Null(), oneOf(...USES)])),
            },
            { additionalProperties: false },
          ),
        ]),
      ),
      most: Type.Optional(Type.Integer({ minimum: 1, maximum: 100_000 })),
      maxStarts: Type.Optional(Type.Integer({ minimum: 1, maximum: 12 })),
    },
    { additionalProperties: false },
  ),
  reply: Type.Object({
    ranking: Type.Array(
      Type.Object({
        designation: Type.String(),
        family: Type.String(),
        majorMm: Type.Number(),
        pitchMm: Type.Number(),
        starts: Type.Integer(),
        probability: Type.Number(),
        for: Type.Array(Type.String()),
        against: Type.Array(Type.String()),
      }),
    ),
    special: Type.Object({
      probability: Type.Number(),
      /** Null when no diameter was given. */
      majorMm: Type.Union([Type.Null(), Type.Number()]),
      pitchMm: Type.Number(),
      includedAngleDeg: Type.Number(),
      starts: Type.Integer(),
    }),
    next: Type.Array(
      Type.Object({
        quantity: Type.String(),
        separates: Type.Array(Type.String()),
        expect: Type.Object({ A: Type.Number(), B: Type.Number() }),
        seenBy: Type.String(),
        spanMm: Type.Union([Type.Null(), Type.Number()]),
        leafMm: Type.Union([Type.Null(), Type.Number()]),
        overCrests: Type.Union([Type.Null(), Type.Integer()]),
      }),
    ),
  }),
  run: (q) => {
    const part: Part = q.part;
    // null uncertainties mean "the usual one"
    const evidence = q.evidence.map((e) => withoutNulls(e) as Evidence);
    const context = {
      origin: q.context?.origin ?? null,
      use: q.context?.use ?? null,
    };
    const most = q.most ?? 5;
    const ranking = rank({
      part,
      evidence,
      context,
      most: Math.max(most, 12),
      ...(q.maxStarts === undefined ? {} : { maxStarts: q.maxStarts }),
    });
    const { special } = ranking;
    return good({
      ranking: ranking.candidates.slice(0, most).map((c) => {
        const why = reasonsFor(c.expectation, c.starts, evidence, part);
        return {
          designation: c.thread.designation,
          family: c.thread.family,
          majorMm: micro(c.thread.majorMm),
          pitchMm: micro(c.expectation.pitchMm),
          starts: c.starts,
          probability: c.probability,
          for: why.for.map((r) => reasonText(r, 'mm')),
          against: why.against.map((r) => reasonText(r, 'mm')),
        };
      }),
      special: {
        probability: special.probability,
        majorMm: special.majorMm > 0 ? micro(special.majorMm) : null,
        pitchMm: micro(special.pitchMm),
        includedAngleDeg: micro(includedDeg(special)),
        starts: special.starts,
      },
      next: nextReadings(
        rivalsOf({ ...ranking, candidates: ranking.candidates.slice(0, 12) }),
        evidence,
        part,
        USUAL_TOOLS,
        null,
      ).map((n) => ({
        quantity: n.quantity,
        separates: [...n.separates],
        expect: n.expect,
        seenBy: seenByText(n.seenBy),
        spanMm: n.spanMm,
        leafMm: n.leafMm,
        overCrests: n.overCrests,
      })),
    });
  },
});
