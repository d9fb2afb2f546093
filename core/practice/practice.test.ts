import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoLathes } from '../../demo/lathes.ts';
import { exact, numberOf } from '../quantity/rational.ts';
import {
  crossOutMm,
  gradeGroove,
  gradeRun,
  grooveDo,
  grooveRound,
  grooveStart,
  nearMm,
  realOff,
  runOff,
  seenOff,
  type GrooveDo,
  type GrooveState,
} from './groove.ts';
import { gradeShut, halfNutsRound, markAt, shutAt, threadsPerS } from './halfNuts.ts';
import { gradePlace, MOTIONS, nextOf, placeRound } from './place.ts';
import {
  bestOf,
  GAMES,
  goOf,
  lastGo,
  levelOf,
  missedOf,
  MOST_RESULTS,
  seedOf,
  withResult,
  type Game,
  type Result,
} from './rounds.ts';
import { gradeSlip, likeliestSlip, readWith, slipRound, toldApart } from './slip.ts';

const seeds = fc.integer({ min: 1, max: 1_000_000 });
const levels = fc.integer({ min: 1, max: 5 });
const bess = demoLathes().find((l) => l.dial !== null && l.leadscrewSystem === 'in');
const dreyl = demoLathes().find((l) => l.dial !== null && l.leadscrewSystem === 'mm');

describe('half-nuts', () => {
  /**
   * The lathe from its own parts: half-nuts open, the spindle turns the leadscrew, the leadscrew the dial; shut at a whole thread, the
   * tool is in its groove when the work has made whole turns since the first pass.
   */
  const spindleTurns = (threads: number, leadscrew: string, lead: string): number =>
    (threads * numberOf(exact(leadscrew))) / numberOf(exact(lead));

  test.each([
    ['inch', bess],
    ['metric', dreyl],
  ])('%s: the nuts drop in at whole threads, and are right when the work has made whole turns', (_, lathe) => {
    if (!lathe) throw new Error('no dial');
    fc.assert(
      fc.property(seeds, levels, fc.double({ min: 0, max: 60, noNaN: true }), (seed, level, more) => {
        const r = halfNutsRound(seed, level, lathe);
        if (!r) throw new Error('no dial');
        const shut = shutAt(r, r.passed + more);
        expect(Number.isInteger(shut.threads)).toBe(true);
        // neither sooner than the lever is through nor a thread later than it need be
        const through = r.passed + more + r.leverS * threadsPerS(r);
        expect(shut.threads).toBeGreaterThanOrEqual(through - 1e-6);
        expect(shut.threads).toBeLessThan(through + 1);
        const turns = spindleTurns(shut.threads, r.leadscrewMm, r.leadMm);
        expect(shut.right).toBe(Math.abs(turns - Math.round(turns)) < 1e-9);
        // half a lead is as far either way
        expect(Math.abs(numberOf(exact(shut.offLeads)))).toBeCloseTo(Math.abs(turns - Math.round(turns)), 9);
      }),
    );
  });
  test('on a mark that is right the tool is in, whatever turn of the dial; the others are graded', () => {
    if (!bess) throw new Error('no dial');
    let tried = 0;
    for (let seed = 1; seed < 300; seed += 1) {
      const r = halfNutsRound(seed, 1 + (seed % 5), bess);
      if (!r) continue;
      for (let k = 1; k <= r.teeth * 3; k += 1) {
        const shut = shutAt(r, k - r.leverS * threadsPerS(r));
        if (shut.mark === null) continue;
        const from = (((shut.mark - r.first) % r.marks) + r.marks) % r.marks;
        if (r.safe.includes(from)) {
          expect(shut.right).toBe(true);
          expect(gradeShut(r, shut)).toBe('');
        } else if (!shut.right) expect(gradeShut(r, shut)).toBe(r.safe.length === 0 ? 'none-is-right' : 'wrong-mark');
        expect(Math.abs(markAt(r, shut.threads) - shut.mark) % r.marks).toBeCloseTo(0, 9);
        tried += 1;
      }
      expect(gradeShut(r, 'kept')).toBe(r.safe.length === 0 ? '' : 'a-mark-is-right');
    }
    expect(tried).toBeGreaterThan(1000);
  });
  const dealt = Array.from({ length: 4000 }, (_, seed) => bess && halfNutsRound(seed, 1 + (seed % 5), bess));
  // 8 threads an inch and a dial of 16 teeth and 8 marks: a mark every quarter inch of travel, so fours of threads close on any
  // mark, other even numbers on every second, odd ones on every fourth, halves on the first alone (common practice, no source)
  test.each([
    ['8', 8],
    ['10', 4],
    ['11', 2],
    ['23/2', 1],
  ])('%s an inch on 8: %i of the 8 marks', (tpi, count) => {
    const lead = exact('127/5').div(exact(tpi)).toFraction();
    const r = dealt.find((x) => x && exact(x.leadMm).equals(exact(lead)));
    expect(r?.safe).toHaveLength(count);
  });
  test('a lathe without a dial has no round', () => {
    expect(halfNutsRound(1, 1, { ...demoLathes()[0], dial: null } as never)).toBeNull();
  });
});

describe('into the groove', () => {
  /** The best a careful hand can do, by what it sees alone. */
  function careful(seed: number, level: number): { r: ReturnType<typeof grooveRound>; s: GrooveState } {
    const r = grooveRound(seed, level);
    let s = grooveStart();
    const go = (a: GrooveDo): void => {
      s = grooveDo(r, s, a);
    };
    const dir = r.leftHand ? -1 : 1;
    go({ do: 'forward' });
    go({ do: 'over' });
    if (r.way === 'turn') go({ do: 'turn', deg: (-dir * seenOff(r, s) * 360) / r.pitchMm });
    else if (r.way === 'slip') {
      go({ do: 'slip', teeth: Math.round((dir * seenOff(r, s)) / r.gear.perToothMm) });
      go({ do: 'forward' });
    } else {
      const along = r.way === 'angled' ? Math.sin((r.slideDeg * Math.PI) / 180) : 1;
      // past it and up to it again, so that the slide ends bearing as it does in the cut
      const target = (dir * seenOff(r, s)) / along / r.division;
      if (target < 0) {
        go({ do: 'slide', divisions: Math.round(target) - 40 });
        for (let i = 0; i < 400 && dir * seenOff(r, s) > r.division / 2; i += 1) go({ do: 'slide', divisions: 1 });
      } else go({ do: 'slide', divisions: Math.round(target) });
    }
    return { r, s };
  }
  test('slack taken, eye over the tool, ended in the direction of the cut: it is in, by every way, for both hands', () => {
    fc.assert(
      fc.property(seeds, levels, (seed, level) => {
        const { r, s } = careful(seed, level);
        expect(Math.abs(realOff(r, s))).toBeLessThanOrEqual(nearMm(r));
        expect(gradeGroove(r, s)).toBe('');
        // what is seen then is what will be cut
        expect(seenOff(r, s)).toBeCloseTo(realOff(r, s), 9);
      }),
      { numRuns: 400 },
    );
  });
  test('the same without taking up the slack is out by the slack, and says so', () => {
    let missed = 0;
    for (let seed = 1; seed < 200; seed += 1) {
      const r = grooveRound(seed, 2);
      let s = grooveDo(r, grooveStart(), { do: 'over' });
      s = grooveDo(r, s, { do: 'turn', deg: (-(r.leftHand ? -1 : 1) * seenOff(r, s) * 360) / r.pitchMm });
      expect(Math.abs(realOff(r, s))).toBeCloseTo(r.carriageSlackMm, 9);
      if (r.carriageSlackMm > nearMm(r)) {
        expect(gradeGroove(r, s)).toBe('slack');
        missed += 1;
      }
    }
    expect(missed).toBeGreaterThan(100);
  });
  test('a lead that differs grows along the run, and only that', () => {
    for (let seed = 1; seed < 200; seed += 1) {
      const { r, s } = careful(seed, 5);
      const [a, , c] = runOff(r, s);
      const per = ((c?.offMm ?? 0) - (a?.offMm ?? 0)) / ((c?.alongMm ?? 0) - (a?.alongMm ?? 0));
      expect(per).toBeCloseTo(r.perMm, 9);
      expect(gradeRun(r, r.perMm !== 0)).toBe('');
      expect(gradeRun(r, r.perMm === 0)).not.toBe('');
    }
  });
  test('an angled slide takes back its cosine on the cross slide', () => {
    const r = { ...grooveRound(3, 4), way: 'angled' as const, slideDeg: 30 };
    expect(crossOutMm(r, { ...grooveStart(), dialMm: 1 })).toBeCloseTo(Math.cos(Math.PI / 6), 12);
  });
});

describe('spot the slip', () => {
  test('every card gives its pitch, the 63 for the metric one to 125 parts in a million', () => {
    for (let seed = 1; seed < 60; seed += 1) {
      const { card } = slipRound(seed, 1);
      const [a, b] = card.drivers;
      const [c, d] = card.driven;
      const cut = ((a * b) / (c * d)) * card.leadscrewMm;
      expect(Math.abs(cut / card.pitchMm - 1)).toBeLessThan(card.thread === 'M30x2' ? 126e-6 : 1e-12);
      expect(readWith(card, { is: 'nothing' }).tenPitches).toBeCloseTo(10 * card.pitchMm, 9);
    }
  });
  test('of every round exactly one mistake explains what was read', () => {
    fc.assert(
      fc.property(seeds, levels, (seed, level) => {
        const r = slipRound(seed, level);
        expect(r.choices.length).toBeGreaterThanOrEqual(3);
        expect(likeliestSlip(r)).toBe(r.right);
        expect(gradeSlip(r, r.right)).toBe('');
        for (const a of r.choices)
          for (const b of r.choices)
            if (a !== b) expect(toldApart(readWith(r.card, a), readWith(r.card, b))).toBe(true);
      }),
      { numRuns: 500 },
    );
  });
  test('60 on where the 63 belongs shortens ten pitches of 2 mm to 19.05', () => {
    const { card } =
      Array.from({ length: 60 }, (_, i) => slipRound(i, 2)).find((r) => r.card.thread === 'M30x2') ?? slipRound(1, 2);
    expect(readWith(card, { is: 'gear', place: 0, on: 60, belongs: 63 }).tenPitches).toBeCloseTo(
      (10 * 25.4 * 60 * 20) / (8 * 40 * 50),
      9,
    );
    expect(readWith(card, { is: 'whole-angle' }).depth).toBeCloseTo(
      (1.227 * Math.cos(Math.PI / 3)) / Math.cos((29.5 * Math.PI) / 180),
      9,
    );
  });
});

describe('keep the place', () => {
  test('what is seen leads to one motion alone', () => {
    const shown = new Map<string, string>();
    for (let seed = 1; seed < 3000; seed += 1) {
      const r = placeRound(seed, 1 + (seed % 5));
      const set = r.feeds === r.asks && r.asks !== r.before;
      const key = [r.toolAt, r.tool, r.spindleRan, r.asks === r.before ? 'same' : set].join(' ');
      const before = shown.get(key);
      if (before === undefined) shown.set(key, r.right);
      else if (!key.endsWith('same')) expect(before).toBe(r.right);
      expect(gradePlace(r, r.right)).toBe('');
      for (const m of MOTIONS) if (m !== r.right) expect(gradePlace(r, m)).not.toBe('');
    }
    expect(shown.size).toBeGreaterThanOrEqual(5);
  });
  test('the motions go round', () => {
    expect(MOTIONS.map(nextOf)).toEqual(['cut', 'out', 'back', 'past', 'set']);
  });
  test('drawing back with the tool in the groove is the worst of them', () => {
    const r = Array.from({ length: 200 }, (_, i) => placeRound(i, 2)).find((x) => x.last === 'cut');
    if (!r) throw new Error('none');
    expect(gradePlace(r, 'back')).toBe('dragged-back');
  });
});

describe('results', () => {
  const of = (game: Game, right: readonly boolean[]): Result[] =>
    right.map((r) => ({ game, level: 1, right: r, missed: r ? '' : 'off', at: '2026-11-26T08:00:00.000Z' }));
  test('four of five right go on, one or none goes back, and each level is looked at afresh', () => {
    expect(levelOf([], 'slip')).toBe(1);
    expect(levelOf(of('slip', [true, true, true, true]), 'slip')).toBe(1);
    expect(levelOf(of('slip', [true, true, false, true, true]), 'slip')).toBe(2);
    expect(
      levelOf(
        of(
          'slip',
          Array.from({ length: 60 }, () => true),
        ),
        'slip',
      ),
    ).toBe(5);
    const up = [true, true, true, true, true];
    expect(levelOf(of('slip', [...up, false, false, false, false, false]), 'slip')).toBe(1);
    expect(levelOf(of('place', up), 'slip')).toBe(1);
  });
  test('a go is ten rounds; the best of them, and what was missed most', () => {
    const some = of('groove', [...Array.from({ length: 9 }, () => true), false, true, false]);
    expect(goOf(some, 'groove')).toHaveLength(2);
    expect(lastGo(some, 'groove')).toHaveLength(10);
    expect(bestOf(some, 'groove')).toBe(9);
    expect(bestOf(goOf(some, 'groove'), 'groove')).toBeNull();
    expect(missedOf(some)[0]).toEqual({ game: 'groove', missed: 'off', times: 2 });
  });
  test('the same round until it is answered, another afterwards, and never the same for two games', () => {
    const none: Result[] = [];
    const seen = new Set(GAMES.map((g) => seedOf(none, g)));
    expect(seen.size).toBe(GAMES.length);
    expect(seedOf(of('slip', [true]), 'slip')).not.toBe(seedOf(none, 'slip'));
  });
  test('a full record makes room by whole goes', () => {
    const full = of(
      'slip',
      Array.from({ length: MOST_RESULTS }, () => true),
    );
    const more = withResult(full, { ...(full[0] as Result), game: 'place' });
    expect(more).toHaveLength(MOST_RESULTS - 9);
    expect(goOf(more, 'slip')).toEqual([]);
  });
});
