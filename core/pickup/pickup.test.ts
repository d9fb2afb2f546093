import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { exact, numberOf, textOf } from '../quantity/rational.ts';
import {
  angledMove,
  gearSlip,
  outOnTaper,
  parallelMove,
  pushBack,
  smallerWay,
  standOff,
  startMove,
  turnOfWork,
  type Groove,
} from './moves.ts';

const groove = (over: Partial<Record<'offset' | 'every' | 'lead', string>> & { leftHand?: boolean } = {}): Groove => {
  const lead = exact(over.lead ?? '2');
  return {
    offset: exact(over.offset ?? '7/10'),
    lead,
    every: over.every ? exact(over.every) : lead,
    leftHand: over.leftHand ?? false,
  };
};

test('the smaller way round', () => {
  expect(textOf(parallelMove(groove({ offset: '1.4' })))).toBe('-3/5');
  expect(textOf(parallelMove(groove({ offset: '1.4', every: '1' })))).toBe('2/5');
  expect(textOf(smallerWay(exact('1'), exact('2')))).toBe('1');
});

test('never more than half a lead, and always the same groove', () => {
  fc.assert(
    fc.property(fc.integer({ min: -5000, max: 5000 }), fc.integer({ min: 1, max: 2000 }), (x, lead) => {
      const [offset, every] = [exact(`${x}/100`), exact(`${lead}/100`)];
      const way = smallerWay(offset, every);
      expect(Math.abs(numberOf(way))).toBeLessThanOrEqual(numberOf(every) / 2);
      expect(offset.sub(way).div(every).d).toBe(1n);
    }),
  );
});

// Facts of the lathe, common practice, no source: seen from the tailstock the work turns with its top coming towards the
// operator, the carriage of a right-hand thread then goes towards the headstock.
describe('which way the work is turned', () => {
  test('a right-hand groove towards the headstock comes to the tool when the work is turned back', () => {
    // this was said the wrong way, forward for a right-hand thread, and the hand was not asked
    expect(textOf(turnOfWork(groove({ offset: '0.7' })))).toBe('-126');
    expect(textOf(turnOfWork(groove({ offset: '0.7', leftHand: true })))).toBe('126');
    expect(textOf(turnOfWork(groove({ offset: '-0.7' })))).toBe('126');
  });
  test('on more starts the turn goes by the lead, whichever groove will do', () => {
    expect(textOf(turnOfWork(groove({ offset: '0.5', lead: '4', every: '2' })))).toBe('-45');
  });
});

test('an angled slide: forward is into the work and in the direction of the cut', () => {
  const right = angledMove(groove({ offset: '-0.6' }), 30);
  expect(right.slideMm).toBeCloseTo(-1.2, 12);
  expect(right.crossOutMm).toBeCloseTo(-1.2 * Math.cos(Math.PI / 6), 12);
  expect(angledMove(groove({ offset: '-0.6', leftHand: true }), 30).slideMm).toBeCloseTo(1.2, 12);
  expect(angledMove(groove(), 90)).toEqual({ slideMm: 0.7, crossOutMm: 0 });
  expect(() => angledMove(groove(), 0)).toThrow(RangeError);
});

describe('slipping a gear', () => {
  const gear = (teeth: number, turns: string) => ({
    teeth,
    leadscrewTurnsPerTurn: exact(turns),
    leadscrew: exact('6'),
  });
  test('the gearbox that follows the gear counts: half the turns, twice the teeth', () => {
    // this was taken as one turn of the leadscrew for one of the gear, whatever the box behind it: 14 teeth for 28
    const far = groove({ offset: '2.1', lead: '10' });
    expect(gearSlip(far, gear(40, '1'), 100)).toMatchObject({ teeth: 14 });
    expect(gearSlip(far, gear(40, '1/2'), 100)).toMatchObject({ teeth: 28 });
  });
  test('a left-hand thread is slipped the other way, as the gear turns when cutting forward', () => {
    const turned = gearSlip({ ...groove({ offset: '0.7' }), leftHand: true }, gear(60, '1'), 30);
    expect(turned.teeth).toBe(-gearSlip(groove({ offset: '0.7' }), gear(60, '1'), 30).teeth);
  });
  test('no slip allowed leaves all of it; what is left is what brute force finds', () => {
    expect(gearSlip(groove(), gear(60, '1'), 0)).toEqual({ teeth: 0, left: exact('7/10') });
    fc.assert(
      fc.property(
        fc.integer({ min: -300, max: 300 }),
        fc.integer({ min: 12, max: 127 }),
        fc.constantFrom('1', '1/2', '4/5', '63/80'),
        fc.integer({ min: 0, max: 200 }),
        fc.boolean(),
        (x, teeth, turns, most, leftHand) => {
          const g = { ...groove({ offset: `${x}/100`, lead: '5/2' }), leftHand };
          const got = gearSlip(g, gear(teeth, turns), most);
          const perTooth = (numberOf(exact(turns)) * 6 * (leftHand ? -1 : 1)) / teeth;
          const rest = (k: number): number => {
            const r = (((x / 100 - k * perTooth) % 2.5) + 2.5) % 2.5;
            return Math.min(r, 2.5 - r);
          };
          let least = Infinity;
          for (let k = -most; k <= most; k += 1) least = Math.min(least, rest(k));
          expect(Math.abs(numberOf(got.left))).toBeCloseTo(least, 9);
          expect(rest(got.teeth)).toBeCloseTo(least, 9);
          expect(Math.abs(got.teeth)).toBeLessThanOrEqual(most);
        },
      ),
    );
  });
});

test('starting elsewhere: the smallest start at or beyond the least that falls into the groove', () => {
  const g = groove({ offset: '31/50', lead: '5/2' });
  expect(startMove(g, exact('8'), exact('5'))).toEqual({
    startMm: exact('122/25').add(exact('5/2')),
    wholeLeads: exact('0'),
  });
  expect(startMove(g, exact('8'), exact('12'))).toEqual({
    startMm: exact('7.38').add(exact('5')),
    wholeLeads: exact('2'),
  });
  const any = startMove({ ...g, every: exact('5/4') }, exact('8'), exact('8'));
  expect([textOf(any.startMm), textOf(any.wholeLeads)]).toEqual(['863/100', '1/2']);
});

test('tapers: keeping the depth, a gauge\u2019s stand-off, the push-back (geometry)', () => {
  expect(textOf(outOnTaper(exact('2'), exact('1/16')))).toBe('1/16');
  expect(standOff(exact('1'), exact('1/16'))).toEqual({ onDiameter: exact('1/16'), radial: exact('1/32') });
  expect(textOf(pushBack(exact('1/10'), exact('1/16')))).toBe('8/5');
});
