import { deeperText } from '../../words/deeper.ts';
import { suggestDeeper } from './deeper.ts';
import { planDelta } from '../../words/machine.ts';
import { countedText } from '../../words/setup.ts';
import { known } from '../../app/testing/known.ts';
import { describe, expect, test } from '@jest/globals';
import { Bench, named } from '../../app/testing/bench.ts';
import type { Edit } from './edits/index.ts';
import { stationStates } from './chain.ts';
import { threadOfJob } from './derive.ts';
import { jobStages, passesWanted } from './cutPlan.ts';
import { holdingOf } from './holdingView.ts';
import { setupOf } from './setupView.ts';
import { startMovesOf } from './startMoves.ts';

/** Presses Done until nothing is left to set, springs and all; what was done, pass by pass. */
function cutAll(b: Bench): { depths: number[]; springs: number[]; straight: number[] } {
  const out = { depths: [] as number[], springs: [] as number[], straight: [] as number[] };
  for (let i = 0; i < 200; i += 1) {
    const { card } = b.view;
    if (card.do !== 'set') break;
    if (card.pass?.spring) {
      out.springs.push(b.view.metal.depthMm);
      b.do({ do: 'springDone', after: card.after });
    } else {
      if (card.settings[0]?.slide === 'cross') out.straight.push(card.depthMm ?? 0);
      b.do({ do: 'passDone', after: card.after });
      out.depths.push(b.view.metal.depthMm);
    }
  }
  return out;
}
const ELS: Edit = { do: 'chooseLathe', lathe: 'lathe-els' };
const begin = (b: Bench, diameterMm: number): Bench =>
  b.do({ do: 'mount', holding: 'chuck' }, { do: 'measureBlank', diameterMm }, { do: 'touchOff' });
const settled = (b: Bench): string[] => {
  const states = stationStates(b.job, b.shop, threadOfJob(b.job));
  return (['setup', 'cut', 'prove'] as const).map((s) => states[s].kind);
};

describe('from Set up to the last pass, every later station hearing it', () => {
  test('a nut of 8.57 bore with a springy bar', () => {
    const b = named('7/16-10 ACME', { make: 'internal', cameIn: 'nut', material: 'bronze' }).do(ELS);
    b.do({ do: 'setFit', aim: { pitchMm: null, startMm: 8.57 } });
    expect(holdingOf(b.job, b.shop)?.missing).toEqual(['neck', 'overhang']);
    b.do({ do: 'setUp', bar: { neckMm: 7.62, overhangMm: 50 } });
    const thick = holdingOf(b.job, b.shop);
    expect(thick?.binds).toContain('neck');
    // common practice, no source: shank at most bore - travel - 0.6
    expect(thick?.thickestNeckMm).toBeGreaterThan(6);
    expect(thick?.thickestNeckMm).toBeLessThan(7);
    b.do({ do: 'setUp', bar: { neckMm: 6 } });
    const thin = holdingOf(b.job, b.shop);
    expect(thin?.binds).not.toContain('neck');
    expect(thin?.binds).toContain('overhang');
    expect(thin?.repeats === null || (thin?.repeats ?? 0) > 3).toBe(true);
    begin(b, 8.57);
    const cut = cutAll(b);
    expect(cut.depths.at(-1)).toBeCloseTo(b.view.plan?.depthMm ?? NaN, 1);
    expect(cut.depths.every((d, i) => d > (cut.depths[i - 1] ?? 0))).toBe(true);
    expect(cut.springs).toHaveLength(b.job.cut.springs);
  });

  test('a slender bar comes out big in the middle; a follow rest or lighter passes mend it', () => {
    const b = named('3/4-10 UNC').do(
      ELS,
      { do: 'setFit', class: null, pitchClearanceMm: 0.02 },
      { do: 'setSchedule', springs: 0 },
    );
    b.do({ do: 'setUp', held: { by: 'chuck-centre', freeMm: 304.8 }, lengthMm: 250 });
    const held = holdingOf(b.job, b.shop);
    const now = held?.answers[0];
    expect(now?.within).toBe(false);
    const peak = held?.atMm[now?.along.bigMm.indexOf(now.along.worstMm) ?? 0] ?? 0;
    // softest a little beyond the middle between chuck and centre
    expect(peak / 304.8).toBeGreaterThan(0.5);
    expect(peak / 304.8).toBeLessThan(0.65);
    expect(held?.binds).toContain('bend');
    const rest = held?.answers.find((a) => a.code === 'follow-rest');
    expect(rest?.along.worstMm).toBeLessThan((now?.along.worstMm ?? 0) / 4);
    // what is set so is what the picture then says is held
    b.do({ do: 'setUp', held: { rest: 'follow' } });
    expect(holdingOf(b.job, b.shop)?.answers[0]?.along.worstMm).toBeCloseTo(rest?.along.worstMm ?? NaN, 9);
    begin(b, 19);
    expect(cutAll(b).depths.length).toBeGreaterThan(4);
  });

  test('two starts: each to depth on its own, indexed between, and only then proved', () => {
    const b = named('Tr 40x14 (P7)').do(ELS);
    begin(b, 39.9);
    const first = cutAll(b);
    expect(b.card.do).toBe('next-start');
    const moves = startMovesOf(b.job, b.shop);
    expect(moves).toMatchObject({ from: 1, to: 2, starts: 2, stepMm: 7 });
    expect(moves?.moves[0]).toEqual({ way: 'told', deg: 180, alongMm: 7 });
    b.do({ do: 'nextStart', after: b.card.after });
    expect(b.metal).toMatchObject({ start: 2, cuts: 0, depthMm: 0 });
    const second = cutAll(b);
    expect(second.depths).toEqual(first.depths);
    expect(b.card.do).toBe('measure');
  });

  test('two starts by a mate: deeper goes round both, and only then is it tried again', () => {
    const b = named('Tr 40x14 (P7)').do(ELS, { do: 'setFit', class: null });
    begin(b, 39.9);
    cutAll(b);
    b.do({ do: 'nextStart', after: b.card.after });
    const depth = cutAll(b).depths.at(-1) ?? NaN;
    b.do({ do: 'tryMate', mate: 'nut', result: 'tight' }, { do: 'deeper', byMm: 0.02 });
    expect(b.card.do).toBe('set');
    cutAll(b);
    const deep = b.metal.depthMm;
    expect(deep).toBeCloseTo(depth + 0.02, 2);
    // the first start lies shallower: back to it
    expect(b.card.do).toBe('next-start');
    expect(startMovesOf(b.job, b.shop)).toMatchObject({ from: 2, to: 1, moves: [{ way: 'told', deg: 0, alongMm: 0 }] });
    b.do({ do: 'nextStart', after: b.card.after });
    expect(b.metal).toMatchObject({ start: 1 });
    expect(b.card.do).toBe('set');
    cutAll(b);
    expect(b.metal.depthMm).toBeCloseTo(deep, 6);
    expect(['try', 'measure']).toContain(b.card.do);
    expect(b.try({ do: 'nextStart' })).toBe('start');
  });

  test('a start widened by a side cut is at size earlier: the other one deeper does not call for it again', () => {
    const b = named('Tr 40x14 (P7)').do(ELS, { do: 'setFit', class: null }, { do: 'setUp', infeed: 'flank' });
    begin(b, 39.9);
    b.passes(4).do({ do: 'sideDone', flank: 'leading', byMm: 0.1 });
    const first = cutAll(b).depths.at(-1) ?? NaN;
    b.do({ do: 'nextStart', after: b.card.after });
    const second = cutAll(b).depths.at(-1) ?? NaN;
    // 0.1 off a flank is 0.1 / (2 tan 15) of depth
    expect(second - first).toBeCloseTo(0.1 / (2 * Math.tan(Math.PI / 12)), 1);
    expect(['try', 'measure']).toContain(b.card.do);
  });
  test('a mate that stops says which start was not brought down', () => {
    const b = named('Tr 40x14 (P7)').do(ELS, { do: 'setFit', class: null });
    begin(b, 39.9);
    cutAll(b);
    // tried before the second start is cut: no figure is made of that
    b.do({ do: 'tryMate', mate: 'nut', result: 'no-start' });
    expect(suggestDeeper(b.job, b.shop, b.metal)).toMatchObject({ code: 'start', start: 2, shallowerMm: null });
    b.do({ do: 'nextStart', after: b.card.after });
    cutAll(b);
    b.do({ do: 'tryMate', mate: 'nut', result: 'tight' }, { do: 'deeper', byMm: 0.02 });
    cutAll(b);
    b.do({ do: 'tryMate', mate: 'nut', result: 'tight' });
    const said = suggestDeeper(b.job, b.shop, b.metal);
    expect(said).toMatchObject({ code: 'start', start: 1 });
    expect(said && deeperText(said, 'mm', 'radius')).toMatch(
      /^Start 1 has not been brought down: it is 0\.0[12]\d mm on the radius shallower\./,
    );
  });

  test('a typed number of passes counts for each start and each part anew', () => {
    const b = named('Tr 40x14 (P7)').do(ELS, { do: 'setQuantity', parts: 2 }, { do: 'setSchedule', passes: 30 });
    begin(b, 39.9);
    b.passes(3);
    expect(passesWanted(b.job, b.metal)).toBe(27);
    cutAll(b);
    b.do({ do: 'nextStart', after: b.card.after });
    expect(passesWanted(b.job, b.metal)).toBe(30);
    cutAll(b);
    b.do({ do: 'finishPart' }, { do: 'beginPart' });
    expect(passesWanted(b.job, b.metal)).toBe(30);
  });

  test('one pass left by going deeper in the test piece plans no other part', () => {
    const b = begin(named('M30x2').do(ELS, { do: 'setQuantity', parts: 2 }), 29.9);
    cutAll(b);
    b.do({ do: 'deeper', byMm: 0.05 }, { do: 'setSchedule', passes: 1 });
    expect(b.card.pass).toMatchObject({ spring: false });
    expect(passesWanted(b.job, b.metal)).toBe(1);
    cutAll(b);
    b.do({ do: 'finishPart' }, { do: 'beginPart' });
    expect(passesWanted(b.job, b.metal)).toBeNull();
  });

  test('a 1:16 taper: the tool comes out past the large end, and the caution stands', () => {
    const b = named('1/2-14 NPT').do(ELS);
    const before = b.job.setup.taperBy;
    b.do({ do: 'setUp', taperBy: 'by-hand', lengthMm: 20 });
    expect([before, b.job.setup.taperBy]).toEqual([null, 'by-hand']);
    begin(b, 20.7);
    expect(b.card.stopped).toBeNull();
    const out = b.view.plan?.toolOutMm ?? 0;
    // half the taper over the length, besides depth and clearance
    expect(out).toBeGreaterThan((b.view.plan?.depthMm ?? 0) + 20 / 32);
    const cut = cutAll(b);
    expect(cut.depths.length).toBeGreaterThan(3);
  });

  test('a stop without relief: the tool is drawn out within half a turn, at a speed that allows it', () => {
    const b = named('M30x2').do(ELS, { do: 'setUp', end: 'stop' });
    const view = setupOf(b.job, b.shop);
    // half a turn in half a second: 60 rev/min
    expect(view?.end?.highestRpm).toBeCloseTo(60, 9);
    expect(view?.rpm === null || (view?.rpm ?? 99) <= 60).toBe(true);
    const short = view?.end?.short?.(60);
    // 2 mm a turn at 60 rev/min, slowed by 100 mm/s2: 0.02 mm (common practice, no source)
    expect(short?.mm).toBeCloseTo(0.02, 9);
    begin(b, 29.9);
    expect(cutAll(b).depths.length).toBeGreaterThan(4);
  });
});

describe('stages', () => {
  const staged = (): Bench =>
    begin(
      named('M30x2').do(
        ELS,
        { do: 'setUp', infeed: 'flank' },
        {
          do: 'setSchedule',
          stages: { roughCapMm: 0.25, roughSprings: 1, semiCapMm: 0.08, semiSprings: 2, finishCapMm: 0.025 },
          straightLastMm: 0.05,
          springs: 1,
        },
      ),
      29.9,
    );
  test('springs come at the end of each stage, and the last of the depth is fed straight in', () => {
    const b = staged();
    const { plan, request } = b.view;
    const stages = request && plan ? jobStages(b.job, request, plan.depthMm) : null;
    expect(stages).toHaveLength(3);
    const cut = cutAll(b);
    const ends = stages?.map((s) => s.upToMm) ?? [];
    expect(cut.springs).toHaveLength(4);
    for (const [i, n] of [
      [0, 0],
      [1, 1],
      [1, 2],
      [2, 3],
    ] as const)
      expect(Math.abs(known(cut.springs[n]) - known(ends[i]))).toBeLessThan(0.03);
    // only what is past the last 0.05 is fed by the cross slide
    expect(cut.straight.length).toBeGreaterThan(0);
    for (const d of cut.straight) expect(d).toBeGreaterThan(known(ends[1]) - 0.03);
    const steps = cut.depths.map((d, i) => d - (cut.depths[i - 1] ?? 0));
    const semi = steps.filter(
      (_, i) => (cut.depths[i] ?? 0) > (ends[0] ?? 0) + 0.02 && (cut.depths[i] ?? 0) <= (ends[1] ?? 0),
    );
    for (const s of semi) expect(s).toBeLessThan(0.08 + 0.011);
  });
  test('twenty passes asked for are twenty, from the first to the last, or it is said which limit wants more', () => {
    const b = staged().do({ do: 'setSchedule', passes: 20 });
    expect(b.view.plan?.counted).toBeNull();
    for (let i = 1; i <= 20; i += 1) {
      while (b.card.pass?.spring) b.do({ do: 'springDone' });
      // near the end a hand cannot set one more to itself, and one falls away
      if (b.card.do !== 'set' || b.card.pass?.spring) break;
      expect([i, b.card.pass?.n, b.card.pass?.of]).toEqual([i, i, 20]);
      b.do({ do: 'passDone' });
    }
    expect(b.metal.cuts).toBeGreaterThan(17);
    const few = staged().do({ do: 'setSchedule', passes: 8 });
    const { counted } = few.view.plan ?? {};
    expect(counted).toMatchObject({ asked: 8, by: 'most' });
    expect(counted && countedText(counted, true, 'mm')).toMatch(
      /^8 passes asked for, \d+ planned: no pass over 0\.\d+ mm, (rough|semi-finish|finish)\.$/,
    );
  });
  test('what is said of a change of plan counts passes as the card does, springs apart', () => {
    const b = staged();
    const before = b.view;
    const after = staged().do({ do: 'setSchedule', passes: 30 }).view;
    const of = (v: typeof before): number => v.card.pass?.of ?? NaN;
    expect(of(after)).not.toBe(of(before));
    expect(planDelta(before, after)).toContain(`${of(after)} passes left instead of ${of(before)}`);
  });
  test('straight in at the end, the tool no longer goes along the axis', () => {
    const b = staged();
    cutAll(b);
    const cuts = b.job.events.filter((e) => e.kind === 'cut');
    const [a, z] = [cuts.at(-2), cuts.at(-1)];
    expect(z?.axialMm).toBeCloseTo(a?.axialMm ?? NaN, 6);
    expect(z?.topMm).toBeCloseTo(a?.topMm ?? NaN, 9);
    expect(z?.crossMm).toBeGreaterThan(a?.crossMm ?? Infinity);
  });
});

describe('what is chosen once is kept', () => {
  test('the way of feeding is kept for the material, and the next job of it begins so', () => {
    const b = named('M30x2', { material: 'bronze' }).do({ do: 'setUp', infeed: 'modified' });
    expect(b.shop.settings.byMaterial['bronze']).toEqual({ infeed: 'modified', rule: 'constant-area' });
    const thread = b.job.name?.thread;
    if (!thread) throw new Error('no thread');
    const next = new Bench({ ...b.job, name: null, setup: { ...b.job.setup, infeed: 'flank' } }, b.shop);
    next.do({ do: 'acceptName', thread, probability: 1, overruled: true, reason: '' });
    expect(next.job.setup).toMatchObject({ infeed: 'modified', slideAngleDeg: 29 });
    const other = new Bench({ ...next.job, name: null, intake: { ...next.job.intake, material: 'brass' } }, b.shop);
    other.do({ do: 'acceptName', thread, probability: 1, overruled: true, reason: '' });
    expect(other.job.setup.infeed).toBe('flank');
  });
  test('many parts: the next one begins at its first pass, with what was learnt', () => {
    const b = named('M30x2').do(ELS, { do: 'setQuantity', parts: 2 });
    begin(b, 29.9);
    cutAll(b);
    b.do({ do: 'tryMate', mate: 'nut', result: 'runs' }, { do: 'finishPart' });
    expect(b.card.do).toBe('next-part');
    b.do({ do: 'beginPart' });
    expect(b.metal).toMatchObject({ part: 2, cuts: 0, depthMm: 0 });
    expect(settled(b)[1]).not.toBe('settled');
  });
});
