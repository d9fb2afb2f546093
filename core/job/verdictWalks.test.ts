import { describe, expect, test } from '@jest/globals';
import { named, type Bench } from '../../app/testing/bench.ts';
import { suggestDeeper, type DeeperAnswer } from './deeper.ts';
import { DRESSED } from './events.ts';
import { fitOfJob } from './derive.ts';
import { gaugeMm, rightBy } from './rightBy.ts';
import { measurePlan } from './measure.ts';
import { beliefOf } from './sizing.ts';
import { proofVerdict } from './verdict.ts';

const begun = (b: Bench, diameterMm: number, lathe = 'lathe-els'): Bench =>
  b.do(
    { do: 'chooseLathe', lathe },
    { do: 'mount', holding: 'chuck' },
    { do: 'measureBlank', diameterMm },
    { do: 'touchOff' },
  );
/** Every pass that the card asks for. */
const cutAll = (b: Bench): Bench => {
  for (let i = 0; i < 100 && b.card.do === 'set'; i += 1)
    b.do({ do: b.card.pass?.spring ? 'springDone' : 'passDone', after: b.card.after });
  return b;
};
const next = (b: Bench): DeeperAnswer | null => suggestDeeper(b.job, b.shop, b.metal);
/** Pitch diameter by the dial alone: a straight tool of this tip leaves it. */
const dialMm = (b: Bench): number => beliefOf(b.job, b.shop)?.answer.pitchDiameterMm.value ?? NaN;

describe('a nut of a class by plugs, no balls owned', () => {
  const nut = (): Bench => {
    const b = named('M30x2', { make: 'internal', material: 'mild steel' });
    b.do({ do: 'setFit', class: '6H' });
    b.shop = { ...b.shop, pins: b.shop.pins.filter((p) => p.kind !== 'ball') };
    return cutAll(begun(b, 27.9));
  };
  const plug = (b: Bench, which: 'go' | 'not-go', passes: boolean): DeeperAnswer | null => {
    const fit = fitOfJob(b.job);
    const pitchDiameterMm = fit && gaugeMm(fit, which);
    b.do({ do: 'gauge', which, passes, ...(pitchDiameterMm === null ? {} : { pitchDiameterMm }) });
    return next(b);
  };
  test('is held to its class, whatever there is to measure with', () => {
    // ISO 965-1: M30x2-6H, pitch diameter 28.701 to 28.925
    expect(rightBy(nut().job)).toEqual({ by: 'limits', minMm: 28.701, maxMm: 28.925, of: 'class' });
  });
  test('not-go passes: it is past, and never deeper', () => {
    const b = nut();
    plug(b, 'go', true);
    expect(['past', 'measure']).toContain(plug(b, 'not-go', true)?.code);
  });
  test('go passes and not-go stops: it fits', () => {
    const b = nut();
    plug(b, 'go', true);
    expect(plug(b, 'not-go', false)?.code).toBe('fits');
  });
  test('go stops: deeper by what cannot bring it past the far limit, 0.224 off on diameter', () => {
    const a = plug(nut(), 'go', false);
    expect(a?.code).toBe('deeper');
    expect(a?.byMm).toBeGreaterThan(0.01);
    expect(a?.byMm).toBeLessThan(0.224 / 2);
  });
});

describe('a mate of unknown size', () => {
  test.each([
    ['tight', 0.02],
    ['starts', 0.03],
    ['no-start', 0.04],
  ] as const)('"%s" in a bored-over nut asks for no more than %f sqrt(P) on pitch diameter', (result, most) => {
    const b = named('M30x2', { make: 'internal', material: 'mild steel' });
    b.do(
      { do: 'setFit', class: null },
      { do: 'setProve', mates: [{ name: 'screw', lengthMm: 30, minMm: null, maxMm: null }] },
    );
    // bored over: 0.29 P under the pitch diameter, where the form has 0.54 P
    cutAll(begun(b, 28.12));
    const before = dialMm(b);
    b.do({ do: 'tryMate', mate: 'screw', result });
    const a = next(b);
    // a step finer than the dial can be set is one step of the dial
    expect(a?.byMm ?? 0).toBeLessThanOrEqual(Math.max((most * Math.sqrt(2)) / 2, 0.0127) + 1e-9);
    // and the belief of the size is not thrown far from what the dial says
    expect(Math.abs(dialMm(b) - before)).toBeLessThan(0.1);
  });
});

describe('two mates', () => {
  const two = (): Bench => {
    const b = named('M30x2', { material: 'mild steel' });
    b.do(
      { do: 'setFit', class: null },
      {
        do: 'setProve',
        mates: [
          { name: 'short nut', lengthMm: 10, minMm: null, maxMm: null },
          { name: 'long nut', lengthMm: 40, minMm: null, maxMm: null },
        ],
      },
    );
    return cutAll(begun(b, 29.9));
  };
  test('the long one binds and the short one runs: it is the lead, in whichever order they are tried', () => {
    const b = two();
    b.do({ do: 'tryMate', mate: 'long nut', result: 'binds', turns: 6 });
    b.do({ do: 'tryMate', mate: 'short nut', result: 'runs' });
    expect(next(b)?.code).toBe('lead');
    const c = two();
    c.do({ do: 'tryMate', mate: 'short nut', result: 'runs' });
    c.do({ do: 'tryMate', mate: 'long nut', result: 'binds', turns: 6 });
    expect(next(c)?.code).toBe('lead');
    expect(proofVerdict(c.job, c.shop).is).toBe('wrong');
    const lead = beliefOf(c.job, c.shop)?.answer.leadErrorPerMm;
    expect(lead?.value).toBeGreaterThan(0);
    expect(lead?.uncertainty).toBeGreaterThan(0);
  });
  test('one that runs says nothing of the other: it is asked for', () => {
    const b = two();
    b.do({ do: 'tryMate', mate: 'short nut', result: 'runs' });
    expect(next(b)).toMatchObject({ code: 'measure', by: 'mate', mate: 'long nut' });
    b.do({ do: 'tryMate', mate: 'long nut', result: 'runs' });
    expect(next(b)?.code).toBe('fits');
  });
});

describe('without a class', () => {
  const special = (duty: 'feed' | null): Bench => {
    const b = named('42.5 mm x 2 mm 60', { material: 'mild steel' });
    b.do({ do: 'setFit', class: null, duty });
    return b;
  };
  test('it is right within 0.02 + 0.015 sqrt(P) on either side, or as its duty allows, or as typed', () => {
    const aim = fitOfJob(special(null).job)?.pitchDiameterMm ?? NaN;
    const half = 0.02 + 0.015 * Math.sqrt(2);
    const usual = rightBy(special(null).job);
    expect(usual).toMatchObject({ by: 'limits', of: 'usual' });
    expect(usual?.by === 'limits' && usual.maxMm - aim).toBeCloseTo(half, 9);
    // feed screw, axial play 0.03 to 0.10: on 60 degrees the root of three times that, half of it on either side
    const feed = rightBy(special('feed').job);
    expect(feed).toMatchObject({ of: 'duty' });
    expect(feed?.by === 'limits' && (feed.maxMm - feed.minMm) / 2).toBeCloseTo((Math.sqrt(3) * 0.07) / 2, 9);
    const typed = special(null).do({ do: 'setProve', eitherSideMm: 0.01 });
    expect(rightBy(typed.job)).toMatchObject({ of: 'typed' });
    expect(rightBy(typed.do({ do: 'setProve', eitherSideMm: null }).job)).toMatchObject({ of: 'usual' });
  });
  test('a share is left before anything is measured, and no pass is likely to go past', () => {
    const b = cutAll(begun(special(null), 42.43));
    const right = rightBy(b.job);
    if (right?.by !== 'limits') throw new Error('no limits');
    const d2 = beliefOf(b.job, b.shop)?.answer;
    expect(d2?.past).toBeLessThan(0.02);
    expect(d2?.pitchDiameterMm.value).toBeGreaterThan(right.maxMm);
    expect(b.card).toMatchObject({ do: 'measure', what: 'thread' });
  });
});

describe('there is always a next act', () => {
  test('wires say that it is right, and the nut stops after two turns: why it may be, and then a cut', () => {
    const b = named('M30x2', { material: 'mild steel' });
    b.do({ do: 'setFit', class: '6g' });
    cutAll(begun(b, 29.9));
    const target = measurePlan(b.job, b.shop)?.targetMm ?? NaN;
    for (let i = 0; i < 3; i += 1) b.do({ do: 'overWires', mm: target });
    b.do({ do: 'tryMate', mate: 'nut', result: 'starts', turns: 2 });
    const a = next(b);
    expect(a?.code).toBe('doubt');
    if (a?.code !== 'doubt') throw new Error('no doubt');
    expect(a.looks).toEqual(['burrs', 'dirt', 'lead', 'flanks', 'root', 'mate']);
    expect(a.or.map((o) => o.do)).toEqual(['clean', 'cut', 'accept']);
    // what was looked at is not asked again
    b.do(...DRESSED.map((what) => ({ do: 'dress' as const, what })));
    const after = next(b);
    expect(after?.code === 'doubt' && after.looks).toEqual(['lead', 'flanks', 'root', 'mate']);
    // and the least is cut, then tried again
    const least = a.or.find((o) => o.do === 'cut');
    const was = b.metal.depthMm;
    b.do({ do: 'deeper', byMm: least?.do === 'cut' ? least.byMm : NaN });
    cutAll(b);
    expect(b.metal.depthMm - was).toBeCloseTo(least?.do === 'cut' ? least.byMm : NaN, 6);
  });
  test('it may be accepted, signed: the record says by whom, and does not call it right', () => {
    const b = named('M30x2', { material: 'mild steel' });
    cutAll(begun(b.do({ do: 'setFit', class: '6g' }), 29.9));
    b.do({ do: 'tryMate', mate: 'nut', result: 'tight' });
    expect(b.try({ do: 'accept', by: ' ' })).toBe('by');
    b.do({ do: 'accept', by: 'Ida' });
    expect(b.metal.finished).toBe('finished');
    expect(proofVerdict(b.job, b.shop).is).toBe('accepted');
  });
});

describe('a step is one figure', () => {
  test.each([0.068, 0.083, 0.1])('what is offered, %f on the radius, is what the next pass takes', (leftMm) => {
    const b = named('M30x2', { material: 'mild steel' });
    b.do({ do: 'setFit', class: '6g' });
    cutAll(begun(b, 29.9));
    const target = measurePlan(b.job, b.shop)?.targetMm ?? NaN;
    b.do({ do: 'overWires', mm: target + 2 * leftMm }, { do: 'overWires', mm: target + 2 * leftMm });
    const a = next(b);
    if (a?.code !== 'deeper') throw new Error(`no step: ${a?.code ?? 'nothing'}`);
    const was = b.metal.depthMm;
    b.do({ do: 'deeper', byMm: a.byMm });
    let cut = 0;
    while (b.card.do === 'set' && !b.card.pass?.spring && cut < 5) {
      b.do({ do: 'passDone', after: b.card.after });
      cut += 1;
    }
    expect(b.metal.depthMm - was).toBeCloseTo(a.byMm, 9);
  });
});

describe('a blank said wrongly', () => {
  test('is corrected after passes: what is cut stays, the depth to reach and the belief follow', () => {
    const b = named('M30x2', { material: 'mild steel' });
    b.do({ do: 'setFit', class: '6g' });
    begun(b, 29.9);
    for (let i = 0; i < 4; i += 1) b.do({ do: 'passDone', after: b.card.after });
    const was = { cut: b.metal.depthMm, reach: b.view.plan?.depthMm ?? NaN, size: b.view.request?.surfaceMm };
    expect(was.size).toBe(29.9);
    b.do({ do: 'correctBlank', diameterMm: 29.75 });
    expect(b.metal).toMatchObject({ surfaceMm: 29.75, depthMm: was.cut });
    // 0.15 less on diameter is 0.075 less to cut
    expect(b.view.plan?.depthMm).toBeCloseTo(was.reach - 0.075, 6);
    expect(b.job.events.at(-1)).toMatchObject({ kind: 'blankCorrected', wasMm: 29.9 });
  });
  test('one that its class does not want is told when it is typed (ISO 965-1, M30x2-6g: 29.682 to 29.962)', () => {
    const b = named('M30x2', { material: 'mild steel' });
    b.do({ do: 'setFit', class: '6g' }, { do: 'chooseLathe', lathe: 'lathe-els' }, { do: 'mount' });
    b.do({ do: 'measureBlank', diameterMm: 29.5 });
    expect(b.card.blank).toEqual({ mm: 29.5, minMm: 29.682, maxMm: 29.962 });
    b.do({ do: 'measureBlank', diameterMm: 29.8 });
    expect(b.card.blank).toBeNull();
  });
});

describe('readings belong to what they measure', () => {
  test('two readings over wires that cannot both be right are not proof', () => {
    const b = named('M30x2', { material: 'mild steel' });
    b.do({ do: 'setFit', class: '6g' });
    cutAll(begun(b, 29.9));
    const plan = measurePlan(b.job, b.shop);
    if (!plan) throw new Error('no plan');
    b.do({ do: 'overWires', mm: plan.targetMm + 0.08 }, { do: 'overWires', mm: plan.targetMm });
    const apart = proofVerdict(b.job, b.shop).reasons.find((r) => r.of === 'readings-apart');
    expect(apart).toMatchObject({ holds: 'due' });
    expect(apart?.of === 'readings-apart' && apart.mm).toBeCloseTo(0.08, 4);
    expect(proofVerdict(b.job, b.shop).is).not.toBe('right');
  });
  test('at size with burrs on is not "not proved": it is to be finished', () => {
    const b = named('M30x2', { material: 'mild steel' });
    b.do({ do: 'setFit', class: '6g' });
    cutAll(begun(b, 29.9));
    b.do({ do: 'overWires', mm: measurePlan(b.job, b.shop)?.targetMm ?? NaN });
    expect(proofVerdict(b.job, b.shop).is).toBe('to-finish');
  });
});
