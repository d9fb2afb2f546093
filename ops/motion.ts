import { Type, type Static } from '@sinclair/typebox';
import { programOf } from '../core/motion/iso6983.ts';
import { LEADS_BEFORE, motionOf } from '../core/motion/motion.ts';
import { bad, good } from '../core/quantity/outcome.ts';
import { isPositive, numberOf, rationalOf, textOf } from '../core/quantity/rational.ts';
import { programComments } from '../words/program.ts';
import { micro, oneOf, op, orNull, strict } from './op.ts';

const number = Type.Number();
const exactText = Type.Union([Type.String({ maxLength: 80 }), number]);
const Request = strict({
  member: oneOf('external', 'internal'),
  hand: oneOf('right', 'left'),
  leadMm: exactText,
  starts: orNull(Type.Integer({ minimum: 1, maximum: 24 })),
  taper: orNull(exactText),
  surfaceMm: number,
  threadMm: number,
  reliefMm: orNull(number),
  startLeads: orNull(number),
  grooveMm: orNull(number),
  clearanceMm: number,
  boreClearMm: orNull(number),
  passes: Type.Array(Type.Object({ depthMm: number, axialMm: orNull(number) }), { maxItems: 2000 }),
  unit: oneOf('mm', 'in'),
  word: oneOf('G33', 'G32'),
  diameterProgramming: Type.Boolean(),
  rpm: number,
});
type Q = Static<typeof Request>;
const exactOf = (field: string, given: string | number) => {
  const r = rationalOf(String(given));
  return r === null ? bad(field, 'no-exact-number', { typed: String(given) }) : good(r);
};
const Place = Type.Object({ xMm: number, zMm: number });

export const motionOp = op({
  name: 'motion',
  about: 'The travel of every pass, as plain ISO 6983 text and as parameters for a conversational control',
  request: Request,
  reply: Type.Object({
    program: Type.String(),
    start: Place,
    end: Place,
    params: Type.Object({ leadMm: Type.String(), starts: number, hand: Type.String() }),
  }),
  run: (q: Q) => {
    const lead = exactOf('leadMm', q.leadMm);
    if (!lead.ok) return lead;
    if (!isPositive(lead.value)) return bad('leadMm', 'not-above-zero', { right: '"5/2"' });
    const taper = exactOf('taper', q.taper ?? 0);
    if (!taper.ok) return taper;
    const leadMm = numberOf(lead.value);
    const motion = motionOf({
      member: q.member,
      hand: q.hand,
      leadMm,
      starts: q.starts ?? 1,
      taper: numberOf(taper.value),
      surfaceMm: q.surfaceMm,
      threadMm: q.threadMm,
      reliefMm: q.reliefMm ?? 0,
      startLeads: q.startLeads ?? LEADS_BEFORE,
      grooveMm: q.grooveMm ?? null,
      clearanceMm: q.clearanceMm,
      boreClearMm: q.boreClearMm ?? null,
      passes: q.passes.map((p) => ({ depthMm: p.depthMm, axialMm: p.axialMm ?? 0 })),
      rpm: q.rpm,
    });
    if (!motion.ok) return motion;
    const m = motion.value;
    const program = programOf(m, {
      unit: q.unit,
      word: q.word,
      diameterProgramming: q.diameterProgramming,
      rpm: q.rpm,
      leadMm,
      comments: programComments('Thread', `lead ${textOf(lead.value)} mm`, m.params),
    });
    const at = (p: { readonly xMm: number; readonly zMm: number }) => ({ xMm: micro(p.xMm), zMm: micro(p.zMm) });
    const { hand, starts, cuts, springs, ...figures } = m.params;
    const rounded = Object.fromEntries(Object.entries(figures).map(([k, v]) => [k, micro(v)]));
    const params = { leadMm: textOf(lead.value), starts, hand, ...rounded, cuts, springs };
    return good({ program, start: at(m.start), end: at(m.end), params });
  },
});
