import { Type } from '@sinclair/typebox';
import {
  angledMove,
  gearSlip,
  outOnTaper,
  parallelMove,
  pushBack,
  standOff,
  startMove,
  turnOfWork,
  type Groove,
} from '../core/pickup/moves.ts';
import { bad, good, type Outcome } from '../core/quantity/outcome.ts';
import { exact, isPositive, rationalOf, textOf, type Rational } from '../core/quantity/rational.ts';
import { oneOf, op, orNull, strict } from './op.ts';

const exactText = Type.Union([Type.String({ maxLength: 80 }), Type.Number()]);
const nano = (x: number): number => Number(x.toFixed(9)) + 0;

type Read = Outcome<Rational>;
/** An exact number of a field, as text or plain number. */
function read(field: string, given: string | number | null | undefined, must: 'any' | 'above 0'): Read {
  if (given == null) return bad(field, 'needed-here', { right: '"5/2"' });
  const text = String(given);
  const r = rationalOf(/e/i.test(text) ? 'x' : text);
  if (r === null) return bad(field, 'no-exact-number', { typed: text });
  if (must === 'above 0' && !isPositive(r)) return bad(field, 'not-above-zero', { right: '"5/2"' });
  return good(r);
}

export const pickupOp = op({
  name: 'pickup',
  about: 'Bringing the tool into a groove that is there',
  request: strict({
    way: oneOf('parallel', 'angled', 'turn', 'slip', 'start', 'standoff'),
    offsetMm: orNull(exactText),
    pitchMm: orNull(exactText),
    starts: orNull(Type.Integer({ minimum: 1, maximum: 24 })),
    hand: orNull(oneOf('right', 'left')),
    anyStart: orNull(Type.Boolean()),
    slideAngleDeg: orNull(Type.Number()),
    gear: orNull(strict({ teeth: Type.Integer({ minimum: 1, maximum: 2000 }), leadscrewTurnsPerTurn: exactText })),
    leadscrewMm: orNull(exactText),
    mostTeeth: orNull(Type.Integer({ minimum: 0, maximum: 100_000 })),
    startMm: orNull(exactText),
    leastStartMm: orNull(exactText),
    taper: orNull(exactText),
    standoffMm: orNull(exactText),
    recutOnDiameterMm: orNull(exactText),
  }),
  reply: Type.Object({}),
  run: (q): Outcome<Record<string, unknown>> => {
    const taper = q.taper == null ? good(exact(0)) : read('taper', q.taper, 'any');
    if (!taper.ok) return taper;
    if (q.way === 'standoff') return standoffReply(q, taper.value);
    const offset = read('offsetMm', q.offsetMm, 'any');
    if (!offset.ok) return offset;
    const pitch = read('pitchMm', q.pitchMm, 'above 0');
    if (!pitch.ok) return pitch;
    const lead = pitch.value.mul(BigInt(q.starts ?? 1));
    const groove: Groove = {
      offset: offset.value,
      lead,
      every: q.anyStart === true ? pitch.value : lead,
      leftHand: q.hand === 'left',
    };
    switch (q.way) {
      case 'parallel': {
        const move = parallelMove(groove);
        return good({
          moveMm: textOf(move),
          ...(q.taper == null ? {} : { outMm: textOf(outOnTaper(move, taper.value)) }),
        });
      }
      case 'angled': {
        const angle = q.slideAngleDeg;
        if (angle == null || !(angle > 0 && angle <= 90)) return bad('slideAngleDeg', 'slide-square');
        const move = angledMove(groove, angle);
        return good({ slideMm: nano(move.slideMm), crossOutMm: nano(move.crossOutMm) });
      }
      case 'turn':
        return good({ turnDeg: textOf(turnOfWork(groove)) });
      case 'slip': {
        if (q.gear == null) return bad('gear', 'slip-gear-not-said');
        const turns = read('gear.leadscrewTurnsPerTurn', q.gear.leadscrewTurnsPerTurn, 'above 0');
        if (!turns.ok) return turns;
        const leadscrew = read('leadscrewMm', q.leadscrewMm, 'above 0');
        if (!leadscrew.ok) return leadscrew;
        const slip = gearSlip(
          groove,
          { teeth: q.gear.teeth, leadscrewTurnsPerTurn: turns.value, leadscrew: leadscrew.value },
          q.mostTeeth ?? null,
        );
        return good({ teeth: slip.teeth, leftMm: textOf(slip.left) });
      }
      case 'start': {
        const start = read('startMm', q.startMm, 'any');
        if (!start.ok) return start;
        const least = read('leastStartMm', q.leastStartMm, 'any');
        if (!least.ok) return least;
        const move = startMove(groove, start.value, least.value);
        return good({
          startMm: textOf(move.startMm),
          wholeLeads: textOf(move.wholeLeads),
          ...(q.taper == null ? {} : { outMm: textOf(outOnTaper(start.value.sub(move.startMm), taper.value)) }),
        });
      }
    }
  },
});

function standoffReply(
  q: { readonly standoffMm?: string | number | null; readonly recutOnDiameterMm?: string | number | null },
  taper: Rational,
): Outcome<Record<string, unknown>> {
  if (taper.equals(0)) return bad('taper', 'straight-has-no-standoff');
  if (q.recutOnDiameterMm != null) {
    const cut = read('recutOnDiameterMm', q.recutOnDiameterMm, 'any');
    return cut.ok ? good({ pushBackMm: textOf(pushBack(cut.value, taper)) }) : cut;
  }
  const e = read('standoffMm', q.standoffMm, 'any');
  if (!e.ok) return e;
  const s = standOff(e.value, taper);
  return good({ onDiameterMm: textOf(s.onDiameter), radialMm: textOf(s.radial) });
}
