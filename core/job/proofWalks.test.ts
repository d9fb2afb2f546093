import { describe, expect, test } from '@jest/globals';
import { Bench, named } from '../../app/testing/bench.ts';
import { demoJobs } from '../../demo/index.ts';
import { limitsOf } from '../standards/limits.ts';
import { threadFormOf } from '../standards/thread.ts';
import { diagnosisOf } from './binding.ts';
import { suggestDeeper } from './deeper.ts';
import { threadOfJob } from './derive.ts';
import { DRESSED, type EventOf } from './events.ts';
import { dressedNow, formCheck } from './formCheck.ts';
import { matesTried } from './matesTried.ts';
import { measurePlan } from './measure.ts';
import { rightBy } from './rightBy.ts';
import { beliefOf, effectsOfJob } from './sizing.ts';
import { proofVerdict } from './verdict.ts';

/** The metal under the tool: a pass takes a share of what stands before it, the dial is off, and the nut has a size of its own. Invented. */
class Metal {
  real = 0;
  private readonly share: number;
  private readonly off: number;
  private readonly b: Bench;
  constructor(b: Bench, share: number, off: number) {
    this.b = b;
    this.share = share;
    this.off = off;
  }
  pass(): void {
    const ahead = this.b.metal.depthMm + this.off - this.real;
    if (ahead > 0) this.real += this.share * ahead;
  }
  /** Everything that the card asks to cut. */
  cutAll(): void {
    for (let i = 0; i < 200; i += 1) {
      const { card } = this.b;
      if (card.do !== 'set') return;
      this.b.do({ do: card.pass?.spring ? 'springDone' : 'passDone', after: card.after });
      this.pass();
    }
  }
  get pitchDiameterMm(): number {
    const q = this.b.view.request;
    if (!q || q.surfaceMm === null) throw new Error('no surface');
    const flat = 'flatMm' in q.tip ? q.tip.flatMm : 0;
    const slope = Math.tan((q.leadingDeg * Math.PI) / 180) + Math.tan((q.trailingDeg * Math.PI) / 180);
    const beyond = (q.pitchMm / 2 - flat) / slope;
    return q.surfaceMm + (q.member === 'external' ? -2 : 2) * (this.real - beyond);
  }
}
/** Follows what is said until it says that it fits or gives up. @param look what is read each time it is to be looked at */
function follow(b: Bench, metal: Metal, look: () => void): { code: string; tries: number } {
  for (let tries = 1; tries < 40; tries += 1) {
    look();
    const a = suggestDeeper(b.job, b.shop, b.metal);
    if (a?.code === 'deeper') {
      b.do({ do: 'deeper', byMm: a.byMm });
      metal.cutAll();
    } else if (a?.code === 'spring') {
      b.do({ do: 'springDone' });
      metal.pass();
    } else if (a?.code !== 'measure') return { code: a?.code ?? 'nothing', tries };
  }
  return { code: 'no end', tries: 40 };
}
const begin = (b: Bench, diameterMm: number): Bench =>
  b.do(
    { do: 'chooseLathe', lathe: 'lathe-els' },
    { do: 'mount', holding: 'chuck' },
    { do: 'measureBlank', diameterMm },
    { do: 'touchOff' },
  );
const dress = (b: Bench): Bench => b.do(...DRESSED.map((what) => ({ do: 'dress' as const, what })));

describe('from a reading to the next cut', () => {
  test('a feed nut whose shake decides: it ends with the play of its duty, and the finished nut is right', () => {
    const b = named('1-5 ACME', { make: 'internal', cameIn: 'screw', material: 'bronze' });
    b.do({ do: 'setFit', class: null, duty: 'feed' });
    b.do({ do: 'setProve', mates: [{ name: 'feed screw', lengthMm: 40, minMm: null, maxMm: null }] });
    expect(rightBy(b.job)).toMatchObject({ by: 'mate', of: 'duty' });
    begin(b, 20.9);
    const metal = new Metal(b, 0.85, -0.03);
    metal.cutAll();
    const slope = 2 * Math.tan((14.5 * Math.PI) / 180);
    // the screw's own size is told to nobody
    const screw = metal.pitchDiameterMm + 0.12;
    const play = (): number => ((metal.pitchDiameterMm - screw) * slope) / 2;
    const end = follow(b, metal, () => {
      const s = play();
      if (s < -0.01) b.do({ do: 'tryMate', result: 'no-start' });
      else if (s < 0) b.do({ do: 'tryMate', result: 'tight' });
      else b.do({ do: 'tryMate', result: s < 0.01 ? 'runs' : 'shakes', shakeMm: Math.round(s * 200) / 200 });
    });
    expect(end.code).toBe('fits');
    // feed screw, axial play 0.03 to 0.10: common practice, no source
    expect(play()).toBeGreaterThan(0.025);
    expect(play()).toBeLessThan(0.105);
    expect(end.tries).toBeLessThan(14);
    expect(proofVerdict(b.job, b.shop).is).toBe('to-finish');
    dress(b);
    // finished after it was tried: once more
    expect(proofVerdict(b.job, b.shop).reasons.map((r) => r.of)).toContain('tried-before-dressing');
    b.do({ do: 'tryMate', result: 'shakes', shakeMm: Math.round(play() * 200) / 200 });
    expect(proofVerdict(b.job, b.shop)).toMatchObject({ is: 'right' });
    // a cut raises burrs anew
    b.do({ do: 'springDone' });
    expect(dressedNow(b.job).size).toBe(0);
  });

  test('an Acme screw by wires ends inside its class; then a nut of unknown size only confirms it', () => {
    const b = named('1-5 ACME', { material: 'mild steel' });
    b.do({ do: 'setFit', class: '2G' });
    begin(b, 25.3);
    const metal = new Metal(b, 0.75, -0.02);
    metal.cutAll();
    const way = (): number => {
      const plan = measurePlan(b.job, b.shop);
      return (plan?.targetMm ?? 0) + metal.pitchDiameterMm - (plan?.limitsMm ? aimOf(b) : 0);
    };
    const end = follow(b, metal, () => b.do({ do: 'overWires', mm: Math.round(way() * 1000) / 1000 }));
    expect(end.code).toBe('fits');
    const thread = threadOfJob(b.job);
    const limits = thread && limitsOf(thread, '2G', null);
    if (!limits?.ok) throw new Error('no limits');
    // ASME B1.5 by way of the limits that are checked against it
    expect(metal.pitchDiameterMm).toBeLessThanOrEqual(limits.value.external?.pitch.max ?? NaN);
    expect(metal.pitchDiameterMm).toBeGreaterThanOrEqual(limits.value.external?.pitch.min ?? NaN);
    // every look made what is left narrower, and each is said
    const effects = effectsOfJob(b.job, b.shop).filter((e) => e.event.kind === 'overWires');
    expect(effects.length).toBe(end.tries);
    expect(effects.at(-1)?.effect.inside).toBeGreaterThan(0.9);
    const before = beliefOf(b.job, b.shop)?.answer.pitchDiameterMm.uncertainty ?? NaN;
    b.do({ do: 'tryMate', mate: 'gate nut', result: 'runs' });
    expect(beliefOf(b.job, b.shop)?.answer.pitchDiameterMm.uncertainty).toBeLessThanOrEqual(before * 1.1);
    expect(suggestDeeper(b.job, b.shop, b.metal)?.code).toBe('fits');
  });

  test('a plug gauge tried in three nuts of several lengths: the lead is told apart from the size', () => {
    const b = named('M20', { wanted: 'gauge' });
    b.do({ do: 'setFit', class: '6H', gauge: { end: 'go', school: 'inside' } });
    b.do({
      do: 'setProve',
      mates: [
        { name: 'slice', lengthMm: 5, minMm: null, maxMm: null },
        { name: 'nut', lengthMm: 16, minMm: null, maxMm: null },
        { name: 'long nut', lengthMm: 40, minMm: null, maxMm: null },
      ],
    });
    begin(b, 20);
    const metal = new Metal(b, 0.9, 0);
    metal.cutAll();
    // plays 0.12 less 0.002 for every mm of nut: common practice, no source
    for (const [mate, length] of [
      ['slice', 5],
      ['nut', 16],
      ['long nut', 40],
    ] as const)
      b.do({ do: 'tryMate', mate, result: 'shakes', shakeMm: 0.12 - 0.002 * length });
    const form = formCheck(b.job, b.shop);
    expect(form?.lead).toMatchObject({ from: 'mates' });
    expect(form?.lead?.perMm).toBeCloseTo(0.002, 9);
    // e over the engagement adds cot a times it: ISO 60, 20 long when nobody says more
    expect(form?.virtual?.leadMm).toBeCloseTo((0.002 * (form?.engagedMm ?? 0)) / Math.tan(Math.PI / 6), 9);
    expect(beliefOf(b.job, b.shop)?.answer.leadErrorPerMm).not.toBeNull();
    expect(matesTried(b.job).map((m) => [m.name, m.lengthMm])).toEqual([
      ['slice', 5],
      ['nut', 16],
      ['long nut', 40],
    ]);
    // 0.002 in a mm over twenty takes 0.07 of a pitch diameter that may be off by a tenth of the work's tolerance
    expect(proofVerdict(b.job, b.shop).reasons).toContainEqual(
      expect.objectContaining({ of: 'gauge-lead', holds: 'bad' }),
    );
    expect(proofVerdict(b.job, b.shop).is).toBe('wrong');
    // and it is right only if the longest goes with what it costs
    expect(proofVerdict(b.job, b.shop).reasons.some((r) => r.of === 'virtual')).toBe(true);
  });

  test('a nut that binds on a worn screw: where it is thick that place decides, where it is worn it is a bruise', () => {
    const vice = demoJobs().find((j) => j.id === 'demo-vice');
    if (!vice) throw new Error('no vice');
    const b = new Bench(vice);
    b.do({ do: 'setFit', aim: { pitchMm: null, startMm: null } });
    if (!b.job.gears.lathe) b.do({ do: 'chooseLathe', lathe: 'lathe-els' });
    for (let i = 0; i < 8 && b.card.do !== 'set'; i += 1)
      b.do(
        b.card.do === 'mount'
          ? { do: b.card.what === 'gears' ? 'mountGears' : 'mount' }
          : b.card.do === 'air'
            ? { do: 'provePitch', by: 'turns' }
            : b.card.do === 'measure'
              ? { do: 'measureBlank', diameterMm: 23.4 }
              : { do: 'touchOff' },
      );
    const metal = new Metal(b, 0.9, 0);
    metal.cutAll();
    const bind = (atMm: number) => {
      b.do({ do: 'tryMate', mate: 'vice screw', result: 'binds' });
      const of = b.job.events.at(-1)?.n ?? 0;
      b.do({ do: 'sayOfTrial', of, where: 'place', atMm });
      const last = b.job.events.at(-1) as EventOf<'tried'>;
      return diagnosisOf(b.job, last, beliefOf(b.job, b.shop)?.answer ?? null)?.code;
    };
    expect(bind(20)).toBe('unworn-place');
    expect(suggestDeeper(b.job, b.shop, b.metal)?.code).not.toBe('bruise');
    expect(bind(130)).toBe('bruise');
    expect(suggestDeeper(b.job, b.shop, b.metal)?.code).toBe('bruise');
    // wherever it starts, after as many turns: the lead
    b.do({ do: 'tryMate', mate: 'vice screw', result: 'binds', where: 'turns', turns: 4 });
    expect(suggestDeeper(b.job, b.shop, b.metal)?.code).toBe('lead');
    // only by its weight: says nothing of size
    const n = effectsOfJob(b.job, b.shop).length;
    b.do({ do: 'tryMate', mate: 'vice screw', result: 'binds', where: 'weight' });
    expect(effectsOfJob(b.job, b.shop)).toHaveLength(n);
  });
});

const aimOf = (b: Bench): number => {
  const thread = threadOfJob(b.job);
  if (!thread) throw new Error('no thread');
  const limits = limitsOf(thread, '2G', null);
  if (!limits.ok) throw new Error('no limits');
  const { min, max } = limits.value.external?.pitch ?? { min: null, max: null };
  expect(threadFormOf(thread).leadingDeg).toBe(14.5);
  return ((min ?? 0) + (max ?? 0)) / 2;
};
