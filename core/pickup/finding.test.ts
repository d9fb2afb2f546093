import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { exact, numberOf } from '../quantity/rational.ts';
import { countsThatAgree, zStart } from './dropped.ts';
import { named } from '../../app/testing/bench.ts';
import { middleOf } from './bothFlanks.ts';
import { jointOf, oldLeadOf } from './joint.ts';
import { judgeRun, leadFromGrowth } from './judge.ts';
import { offsetFromTaught } from './taught.ts';

const tan = (deg: number): number => Math.tan((deg * Math.PI) / 180);

/**
 * An old thread and a lathe that follows its own lead, by nothing but where things are: the free end at 0, + towards the
 * headstock. Right-hand the carriage runs towards the headstock as the spindle turns forward, left-hand away from it.
 */
function seen(z: number, at: { old: number; lathe: number; leftHand: boolean; tool: number; groove: number }): number {
  const way = at.leftHand ? -1 : 1;
  // spindle turned until the carriage has come to z
  const turns = (z - at.tool) / (way * at.lathe);
  return at.groove + way * turns * at.old - z;
}

describe('a run along the old thread in the air', () => {
  test.each([false, true])('the growth is the difference of the leads, left hand %s', (leftHand) => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.8, max: 12, noNaN: true }),
        fc.double({ min: -0.004, max: 0.004, noNaN: true }),
        fc.double({ min: -0.4, max: 0.4, noNaN: true }),
        (lathe, per, off) => {
          const old = lathe * (1 + per);
          const at = { old, lathe, leftHand, tool: 12, groove: 12 + off };
          const places = [6, 31, 58].map((alongMm) => ({ alongMm, offMm: seen(alongMm, at), sigmaMm: 0.02 }));
          const j = judgeRun(places);
          expect(leadFromGrowth(lathe, j.perMm)).toBeCloseTo(old, 9);
          // what is left is nothing, for the places lie on one line
          expect(j.verdict).not.toBe('uneven');
          expect(j.offsetMm).toBeCloseTo(seen(j.middleMm, at), 9);
        },
      ),
    );
  });
  const run = (...off: readonly number[]) =>
    judgeRun(off.map((offMm, i) => ({ alongMm: 5 + i * 25, offMm, sigmaMm: 0.02 })));
  test('the same everywhere is an offset, growing a lead, neither is uneven, nothing to be seen is in', () => {
    expect(run(0.2, 0.21, 0.19)).toMatchObject({ verdict: 'offset' });
    expect(run(0, 0.1, 0.2)).toMatchObject({ verdict: 'lead' });
    expect(run(0, 0.2, 0)).toMatchObject({ verdict: 'uneven' });
    expect(run(0.01, -0.02, 0.01)).toMatchObject({ verdict: 'in' });
    expect(run(0.2, 0.2)).toMatchObject({ verdict: 'more' });
    expect(judgeRun([1, 1, 1].map((alongMm) => ({ alongMm, offMm: 0, sigmaMm: 0.02 }))).verdict).toBe('more');
  });
  test('a place judged badly weighs little', () => {
    const j = judgeRun([
      { alongMm: 0, offMm: 0.1, sigmaMm: 0.01 },
      { alongMm: 20, offMm: 0.1, sigmaMm: 0.01 },
      { alongMm: 40, offMm: 0.3, sigmaMm: 0.2 },
    ]);
    expect(j.verdict).toBe('offset');
    expect(j.offsetMm).toBeCloseTo(0.1, 2);
  });
});

describe('both flanks touched', () => {
  /** A tool of the groove's own form held so far above its seat, moved until it touches. */
  const touched = (seat: number, above: number, headDeg: number, tailDeg: number) => ({
    towardsHeadMm: seat + above * tan(headDeg),
    towardsTailMm: seat - above * tan(tailDeg),
    headDeg,
    tailDeg,
  });
  test('the seat is found for any flanks, whichever is touched first, the slack taken off', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.double({ min: 3, max: 45, noNaN: true }),
        fc.double({ min: 3, max: 45, noNaN: true }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        fc.constantFrom('head' as const, 'tail' as const),
        (seat, above, headDeg, tailDeg, slack, first) => {
          const t = touched(seat, above, headDeg, tailDeg);
          // turned back, the dial runs the slack before the slide follows
          const read = {
            ...t,
            towardsTailMm: t.towardsTailMm - (first === 'head' ? slack : 0),
            towardsHeadMm: t.towardsHeadMm + (first === 'tail' ? slack : 0),
          };
          const m = middleOf({ ...read, slackMm: slack }, first);
          expect(m.mm).toBeCloseTo(seat, 9);
          expect(m.playMm).toBeCloseTo(above * (tan(headDeg) + tan(tailDeg)), 9);
          expect(m.slackMm).toBe(0);
        },
      ),
    );
  });
  test('a saw-tooth is not sought in the middle', () => {
    const m = middleOf({ ...touched(0, 1, 7, 45), slackMm: 0 }, 'head');
    expect(m.mm).toBeCloseTo(0, 12);
    expect(Math.abs((tan(7) - tan(45)) / 2)).toBeGreaterThan(0.4);
  });
  test('square flanks share evenly; an unknown slack is said; readings crossed are refused', () => {
    expect(
      middleOf({ towardsHeadMm: 0.3, towardsTailMm: -0.1, headDeg: 0, tailDeg: 0, slackMm: 0 }, 'head').mm,
    ).toBeCloseTo(0.1, 12);
    expect(middleOf({ ...touched(0, 1, 30, 30), slackMm: null }, 'head').slackMm).toBeGreaterThan(0);
    expect(() =>
      middleOf({ towardsHeadMm: -0.3, towardsTailMm: 0.3, headDeg: 30, tailDeg: 30, slackMm: 0 }, 'tail'),
    ).toThrow(RangeError);
  });
});

describe('at a control', () => {
  test('every start is whole leads from where the tool sat, and clear of the work', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -9000, max: 0 }),
        fc.integer({ min: 50, max: 1200 }),
        fc.boolean(),
        fc.integer({ min: 1, max: 6 }),
        (z, lead, leftHand, least) => {
          const d = { z: exact(`${z}/100`), lead: exact(`${lead}/100`), leftHand };
          const start = zStart(d, 95, least);
          const way = numberOf(start.z.sub(d.z).div(d.lead));
          expect(Math.round(way)).toBe(way);
          expect(way).toBe(leftHand ? -start.leads : start.leads);
          expect(start.clearLeads).toBeGreaterThanOrEqual(least - 1e-9);
          // and no further out than it has to be
          if (start.leads > 0) expect(start.clearLeads).toBeLessThan(least + 1);
        },
      ),
    );
  });
  test('2 1/2-4: dropped in at -1.412 in, eight leads out is +0.588, the sixth groove', () => {
    const d = { z: exact('-1.412').mul(exact('127/5')), lead: exact('127/20'), leftHand: false };
    const start = zStart(d, 0, 2, 8);
    expect(numberOf(start.z) / 25.4).toBeCloseTo(0.588, 12);
    expect(start.clearLeads).toBeCloseTo(2.352, 12);
    expect(countsThatAgree(d.z, d.lead)).toEqual([6]);
    // just inside the sixth, the first is half gone at the face: a hand may have passed it by
    expect(countsThatAgree(exact('-5.2'), exact('1'))).toEqual([5, 6]);
  });
});

test('the lead of an old thread from crests counted, and what its ends leave open', () => {
  const old = oldLeadOf(50.12, 25, 1, 0.03);
  expect(old.leadMm).toBeCloseTo(2.0048, 12);
  expect(old.sigmaMm).toBeCloseTo((Math.SQRT2 * 0.03) / 25, 12);
  // of two starts a lead is two pitches
  expect(oldLeadOf(48, 16, 2, 0.03).leadMm).toBeCloseTo(6, 12);
});

test('split in the middle both ends are off by half; a nut half on each pays twice its half over the slope', () => {
  const j = jointOf(2.004, 2, 12, 30, 2 * tan(30));
  const per = 1 - 2 / 2.004;
  expect(j.atJointMm).toBeCloseTo(per * 12, 12);
  expect(j.splitMm).toBeCloseTo(j.atJointMm / 2, 12);
  expect(j.splitAtMm).toBe(6);
  expect(j.takesMm).toBeCloseTo((per * 15 * 2) / (2 * tan(30)), 12);
  expect(jointOf(2, 2, 12, null, 1)).toMatchObject({ atJointMm: 0, nutMm: null, takesMm: null });
});

test('a batch is found from what was taught', () => {
  expect(offsetFromTaught('shoulder', 0.12, 6.35, false)).toBe(0.12);
  // a quarter turn forward carries a right-hand groove a quarter lead towards the headstock, a left-hand one away
  expect(offsetFromTaught('mark', 90, 6, false)).toBeCloseTo(1.5, 12);
  expect(offsetFromTaught('mark', 90, 6, true)).toBeCloseTo(-1.5, 12);
});

describe('touches nearer to one another than the usual slack', () => {
  const near = { towardsHeadMm: 0.1, towardsTailMm: 0, headDeg: 30, tailDeg: 30 };
  test('slack that nobody measured is no more than lies between them: the middle stays between', () => {
    for (const first of ['head', 'tail'] as const) {
      const m = middleOf({ ...near, slackMm: null }, first);
      expect(m.mm).toBeGreaterThanOrEqual(0);
      expect(m.mm).toBeLessThanOrEqual(0.1);
      expect(m.slackMm).toBeCloseTo(0.1, 9);
    }
  });
  test('with slack that was measured they cannot both be: refused where it was typed, and nothing falls over', () => {
    const b = named('M30x2', { wanted: 'extend' }).do({ do: 'chooseLathe', lathe: 'lathe-bess' });
    const slack = b.shop.lathes.find((l) => l.id === 'lathe-bess')?.slack.topMm ?? null;
    const twice = { do: 'offsetByFlanks', headMm: 0.0001, tailMm: 0, first: 'head' } as const;
    expect(b.try(twice)).toBe(slack === null ? null : 'headMm');
    b.shop = { ...b.shop, lathes: b.shop.lathes.map((l) => ({ ...l, slack: { ...l.slack, topMm: 0.2 } })) };
    expect(b.try({ ...twice, headMm: 0.19 })).toBe('headMm');
    expect(b.try({ ...twice, headMm: 0.21 })).toBeNull();
  });
});
