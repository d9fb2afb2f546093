import { describe, expect, test } from '@jest/globals';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { parseDesignation } from '../standards/designation.ts';
import { answersOf } from './answers.ts';
import { cardOf } from './card.ts';
import { conclusion } from './conclusions.ts';
import { notYet, stationStates, stationsOf } from './chain.ts';
import { newJob } from './create.ts';
import { fitOfJob, threadOfJob, wirePlan } from './derive.ts';
import { matePlaces, playAt } from './mate.ts';
import { applyEdit, EDITS, type Edit } from './edits/index.ts';
import { goOver } from './edits/back.ts';
import { feedOf } from './feed.ts';
import { lastN, metalOf, standing } from './metal.ts';
import { partBefore } from './partBefore.ts';
import { pickupMove } from './pickupMove.ts';
import { partBeforeText } from '../words/ledger.ts';
import { cardText, motionsOf, pickupSteps, planDelta, stoppedText } from '../words/machine.ts';
import type { Job, Shop } from './schema.ts';

const AT = '2026-11-26T08:00:00.000Z';
/** A job and its shop, changed by named edits alone. */
class Bench {
  job: Job;
  shop: Shop;
  constructor(job: Job, shop: Shop = demoShop()) {
    this.job = job;
    this.shop = shop;
  }
  private n = 0;
  try(e: Edit): string | null {
    this.n += 1;
    const done = applyEdit(this.job, this.shop, e, { id: `t${this.n}`, at: AT });
    if (!done.ok) return done.problem.field;
    this.job = done.value.job;
    this.shop = done.value.shop;
    return null;
  }
  do(...edits: Edit[]): this {
    for (const e of edits) {
      const wrong = this.try(e);
      if (wrong !== null) throw new Error(`${e.do}: ${wrong}`);
    }
    return this;
  }
  passes(n: number): this {
    for (let i = 0; i < n; i += 1) this.do({ do: 'passDone' });
    return this;
  }
  get view() {
    return cardOf(this.job, this.shop, null);
  }
  get card() {
    return this.view.card;
  }
  get metal() {
    return metalOf(this.job);
  }
  get reading(): number {
    return this.card.settings[0]?.toMm ?? NaN;
  }
}
const named = (designation: string, over: Partial<Job['intake']> = {}): Bench => {
  const parsed = parseDesignation(designation);
  if (!parsed.ok) throw new Error(parsed.problem.message);
  const { special, ...plain } = parsed.value.thread;
  const job = newJob('j', 'Bench', new Date(AT));
  return new Bench({ ...job, intake: { ...job.intake, ...over } }).do({
    do: 'acceptName',
    thread: special ? { ...plain, special: { ...special } } : plain,
    probability: 0.9,
    overruled: true,
    reason: '',
  });
};
const TRAIN_2MM = { drivers: [63, 20], driven: [40, 50], gearbox: '1' };
/** M30x2 on the inch lathe, put up, measured, touched off. */
const m30 = (blankMm = 29.93, over: Partial<Job['intake']> = {}): Bench =>
  named('M30x2', over).do(
    { do: 'chooseLathe', lathe: 'lathe-bess' },
    { do: 'takeTrain', train: TRAIN_2MM },
    { do: 'mountGears' },
    { do: 'mount' },
    { do: 'measureBlank', diameterMm: blankMm },
    { do: 'touchOff' },
  );
const demo = (id: string): Bench => {
  const job = demoJobs().find((j) => j.id === id);
  if (!job) throw new Error(id);
  return new Bench(job);
};

describe('1. turning the work', () => {
  test.each([
    [false, 'back, top coming away from you'],
    [true, 'forward, top coming towards you'],
  ])('left hand %s: %s', (leftHand, words) => {
    const b = demo('demo-pump');
    b.job = { ...b.job, name: b.job.name && { ...b.job.name, thread: { ...b.job.name.thread, leftHand } } };
    b.do({ do: 'setPickup', way: 'turn' });
    const { move } = pickupMove(b.job, b.shop, b.metal);
    if (move?.way !== 'turn') throw new Error('no move');
    expect(move.deg).toBeCloseTo(126, 0);
    const text = pickupSteps(move, leftHand, 'mm').join(' ');
    expect(text).toContain(words);
    expect(text).toContain('spindle and carriage still: turn the work in the jaws (or the chuck against the spindle)');
    expect(text).not.toMatch(/turn the spindle|-\d/i);
    expect(text).toMatch(/Take the slack up again/);
  });
  test('a slide move towards the tailstock goes past and comes back', () => {
    const b = demo('demo-pump');
    // swung after looking, the tool would stand elsewhere: the offset is asked for again
    expect(pickupMove(b.job, b.shop, b.metal)).toMatchObject({ move: null, problem: 'slide-not-along-bed' });
    b.do({ do: 'swingSlide', deg: 90 });
    expect(b.metal.offset).toBeNull();
    b.do({ do: 'offset', mm: -0.6 });
    const { move } = pickupMove(b.job, b.shop, b.metal);
    expect(move && pickupSteps(move, false, 'mm').join(' ')).toMatch(
      /half a turn past towards the tailstock, and come back/,
    );
    b.do({ do: 'offset', mm: 0.6 });
    const other = pickupMove(b.job, b.shop, b.metal).move;
    expect(other && pickupSteps(other, false, 'mm').join(' ')).not.toMatch(/come back/);
  });
});

test('2. slipping a gear counts the gearbox, names the gear and says which way', () => {
  const b = named('M30x2', { wanted: 'recut' }).do(
    { do: 'chooseLathe', lathe: 'lathe-dreyl' },
    { do: 'takeTrain', train: { drivers: [40], driven: [60], gearbox: '1/2' } },
    { do: 'offset', mm: 0.7 },
    { do: 'setPickup', way: 'slip' },
  );
  const { move } = pickupMove(b.job, b.shop, b.metal);
  if (move?.way !== 'slip') throw new Error('no slip');
  // one tooth of the 60 on the box input moves the carriage 1/60 x 1/2 x 6 mm = 0.05 mm: 14 for 0.7, not 7
  expect(move).toMatchObject({ gear: 60, place: 'on the gearbox input', teeth: 14, direction: 'forward' });
  expect(pickupSteps(move, false, 'mm').join(' ')).toMatch(
    /turn the 60 on the gearbox input by 14 teeth, the way it turns when the spindle cuts forward/,
  );
});

describe('3. the tool out', () => {
  test('by as many turns as depth, dial, slack and margin ask for', () => {
    const b = demo('demo-sluice');
    // 3.82 mm deep on a dial of 2.54 mm a turn: one turn came back through the work
    expect(b.card.outTurns).toBe(2);
    expect(
      motionsOf(b.view, { make: 'external', leftHand: false, returnBy: 'reverse' }, b.shop.lathes[0] ?? null).join(' '),
    ).toMatch(/tool out 2 full turns/);
  });
  test('run-out and a measured slack are part of it', () => {
    const b = m30();
    const before = b.card.outMm ?? 0;
    b.do({ do: 'runOut', fullMm: 0.2 });
    expect(b.card.outMm).toBeCloseTo(before + 0.1, 9);
  });
});

describe('4. one decision on how the cut is fed', () => {
  test('picked up by the parallel slide it goes straight in, and Set up and Cut both say why', () => {
    const b = m30(29.93, { wanted: 'extend', cameIn: 'broken-shaft' });
    b.do({ do: 'setUp', infeed: 'flank' }, { do: 'check' });
    expect(b.card.do).toBe('pickup');
    b.do({ do: 'swingSlide', deg: 90 }, { do: 'offset', mm: 0.7 }, { do: 'inGroove' });
    expect(feedOf(b.job, b.metal)).toMatchObject({ infeed: 'plunge', conflict: 'slide-along-bed' });
    // swung for it: the zeros of before say nothing
    expect(b.card).toMatchObject({ do: 'touch', conflict: 'slide-along-bed' });
    b.do({ do: 'touchOff' }, { do: 'airPass' });
    expect(b.card.do).toBe('set');
    expect(b.card.settings[0]).toMatchObject({ slide: 'cross', feeds: true });
    const setup = answersOf(b.job, b.shop, null).setup as { feed: { infeed: string } };
    expect(setup.feed.infeed).toBe('plunge');
  });
});

describe('5. what is done is a depth', () => {
  test('the cap raised after six small passes: no leap', () => {
    const b = m30().do({ do: 'setSchedule', firstMaxMm: 0.05 }).passes(6);
    const depth = b.metal.depthMm;
    b.do({ do: 'setSchedule', firstMaxMm: 0.25, passes: null });
    expect(b.card.depthMm).toBeGreaterThan(depth);
    expect((b.card.depthMm ?? 0) - depth).toBeLessThanOrEqual(0.25 + 0.0064);
  });
  test('ten passes typed after sixteen of twenty-two: ten more, none of them a spring', () => {
    const b = m30().do({ do: 'setSchedule', passes: 22, firstMaxMm: null, lastMinMm: null }).passes(16);
    b.do({ do: 'setSchedule', passes: 10 });
    expect(b.card.pass).toMatchObject({ n: 17, of: 26, spring: false });
    const steps: number[] = [];
    while (b.card.do === 'set' && !b.card.pass?.spring) {
      steps.push(b.card.takesMm ?? NaN);
      b.passes(1);
    }
    expect(steps).toHaveLength(10);
    expect(Math.max(...steps)).toBeLessThan(0.08);
    expect(b.view.plan?.leftMm ?? 1).toBeLessThan(0.005);
  });
  test('a change of infeed in mid-cut goes on from where the tool stands', () => {
    const b = m30().passes(4);
    const { depthMm, topMm, axialMm } = b.metal;
    b.do({ do: 'setUp', infeed: 'plunge' }, { do: 'check' });
    const { card, plan } = b.view;
    expect(card.settings.find((s) => s.slide === 'top')?.toMm).toBeCloseTo(topMm, 9);
    const cross = card.settings.find((s) => s.slide === 'cross')?.toMm ?? 0;
    expect(cross + topMm * Math.cos((29.5 * Math.PI) / 180)).toBeCloseTo(card.depthMm ?? 0, 9);
    expect((card.depthMm ?? 0) - depthMm).toBeGreaterThan(0);
    expect(plan?.passes.every((p) => Math.abs(p.axialMm - axialMm) < 1e-9)).toBe(true);
  });
  test('a changed plan says what changed', () => {
    const b = m30().passes(3);
    const before = b.view;
    b.do({ do: 'setSchedule', passes: 5 });
    expect(planDelta(before, b.view)).toMatch(/^next 0\.\d+ \u2192 0\.\d+, 5 passes left instead of \d+$/);
    expect(planDelta(b.view, b.view)).toBeNull();
  });
});

test('6. after the last pass there is a way deeper, again and again', () => {
  const b = m30();
  const toTheEnd = (): void => {
    while (b.card.do === 'set') b.do(b.card.pass?.spring ? { do: 'springDone' } : { do: 'passDone' });
  };
  toTheEnd();
  expect(b.card.do).toBe('measure');
  for (let i = 0; i < 3; i += 1) {
    const depth = b.metal.depthMm;
    b.do({ do: 'tryMate', result: 'tight' }, { do: 'deeper', byMm: 0.02 });
    expect(b.card).toMatchObject({ do: 'set', pass: { spring: false } });
    toTheEnd();
    expect(b.metal.depthMm - depth).toBeCloseTo(0.02, 1);
    expect(b.metal.depthMm).toBeGreaterThan(depth);
  }
  // the fit itself deepened: the card stops, says so, and goes on
  b.do({ do: 'setFit', class: null, pitchClearanceMm: 0.3 });
  expect(b.card.stopped).toMatchObject({ code: 'changed', changes: [{ fact: 'Pitch diameter' }] });
  b.do({ do: 'check' });
  expect(b.card.do).toBe('set');
});

test('a rest that no dial can be set to is no pass', () => {
  // a rest of a few microns on a dial of thousandths gave the same reading again, pass after pass
  const b = m30();
  for (let i = 0; b.card.do === 'set' && !b.card.pass?.spring; i += 1) {
    expect(i).toBeLessThan(60);
    const { depthMm } = b.metal;
    b.passes(1);
    expect(b.metal.depthMm).toBeGreaterThan(depthMm);
  }
  b.do({ do: 'deeper', byMm: 0.005 });
  expect(b.card.pass?.spring === true || (b.card.depthMm ?? 0) > b.metal.depthMm).toBe(true);
});

describe('7. the surface really touched', () => {
  test('a blank 0.15 under: the pitch diameter comes out the same', () => {
    const [book, under] = [m30(29.93), m30(29.78)];
    expect((book.view.plan?.depthMm ?? 0) - (under.view.plan?.depthMm ?? 0)).toBeCloseTo(0.075, 9);
    for (const b of [book, under]) {
      while (b.card.do === 'set') b.do(b.card.pass?.spring ? { do: 'springDone' } : { do: 'passDone' });
      const { pitchDiameterMm } = answersOf(b.job, b.shop, null).metal as { pitchDiameterMm: { value: number } };
      // ISO 965-1: M30x2 6g, 28.493 to 28.663
      expect(pitchDiameterMm.value).toBeGreaterThan(28.493);
      expect(pitchDiameterMm.value).toBeLessThan(28.663);
    }
  });
  test('without a measured surface nothing is cut, and none is made up', () => {
    const b = named('M30x2').do(
      { do: 'chooseLathe', lathe: 'lathe-bess' },
      { do: 'takeTrain', train: TRAIN_2MM },
      { do: 'mountGears' },
      { do: 'mount' },
    );
    expect(b.card).toMatchObject({ do: 'measure', what: 'blank' });
    expect(b.try({ do: 'touchOff' })).toBe('diameterMm');
    expect(b.try({ do: 'passDone' })).toBe('pass');
  });
  test('once grooves are cut, burrs make the crest read large: that is not taken for the surface', () => {
    const b = m30().passes(3);
    expect(b.try({ do: 'measureBlank', diameterMm: 30 })).toBe('diameterMm');
    const { depthMm } = b.metal;
    const left = b.view.plan?.leftMm ?? 0;
    b.do({ do: 'topCrest', diameterMm: 29.83 });
    expect(b.metal.depthMm).toBeCloseTo(depthMm - 0.05, 9);
    expect(b.view.plan?.leftMm).toBeCloseTo(left, 9);
  });
});

describe('8. an act names what it acts on', () => {
  test('a second "pass done" for the same pass changes nothing and is refused', () => {
    const b = m30();
    const after = lastN(b.job);
    b.do({ do: 'passDone', after });
    const { job } = b;
    expect(b.try({ do: 'passDone', after })).toBe('after');
    expect(b.job).toBe(job);
    expect(b.try({ do: 'passDone', after: lastN(b.job) })).toBeNull();
  });
  test('every edit has a label, and none of them is a formula of a view', () => {
    for (const [name, e] of Object.entries(EDITS)) expect([name, typeof e.run]).toEqual([name, 'function']);
  });
});

describe('9. nothing settles empty, and going back reopens', () => {
  test.each(['gears', 'cut', 'prove', 'record', 'read', 'name'] as const)('%s', (station) => {
    const b = new Bench(newJob('x', 'x', new Date(AT)));
    expect(b.try({ do: 'settle', station })).toBe('station');
    expect(notYet(station, b.job, b.shop)).toMatch(/\w{4,}.*\.$/);
  });
  test('Cut and Prove settled, then a pass taken back: open again', () => {
    const b = m30();
    while (b.card.do === 'set') b.do(b.card.pass?.spring ? { do: 'springDone' } : { do: 'passDone' });
    b.do({ do: 'settle', station: 'cut' }, { do: 'tryMate', result: 'runs' }, { do: 'settle', station: 'prove' });
    const state = (s: 'cut' | 'prove') => stationStates(b.job, b.shop, threadOfJob(b.job))[s].kind;
    expect([state('cut'), state('prove')]).toEqual(['settled', 'settled']);
    const last = standing(b.job.events).findLast((e) => e.kind === 'cut');
    b.do({ do: 'void', of: last?.n ?? 0 });
    expect(state('cut')).toBe('open');
    expect(state('prove')).toBe('stale');
  });
});

describe('the phase between tool and groove', () => {
  test.each<[string, Edit]>([
    ['gears', { do: 'mountGears' }],
    ['levers', { do: 'setLevers', ratio: '1/2' }],
    ['tool', { do: 'changeTool' }],
    ['reseated', { do: 'reseat' }],
    ['slipped', { do: 'slipped' }],
    ['mark', { do: 'wrongMark' }],
    ['slide', { do: 'swingSlide', deg: 20 }],
  ])('is lost by %s, and the card then offers picking up only', (by, e) => {
    const b = m30().passes(3).do(e);
    expect(b.metal).toMatchObject({ phase: 'lost', lostBy: by });
    // a slide that lies elsewhere than Set up says is asked about first
    if (by === 'slide') b.do({ do: 'check' });
    expect(b.card).toMatchObject({ do: 'pickup', settings: [], writes: null });
    expect(b.try({ do: 'passDone' })).toBe('pass');
    expect(stationsOf(b.job)).toContain('pickup');
    b.do({ do: 'offset', mm: 0.1 }, { do: 'setPickup', way: 'turn' }, { do: 'inGroove' });
    expect(b.metal.phase).toBe('kept');
    expect(['air', 'touch']).toContain(b.card.do);
  });
  test('before the first pass there is nothing to lose', () => {
    expect(m30().do({ do: 'changeTool' }).metal.phase).toBe('kept');
  });
  test('an air pass beside the groove loses it again', () => {
    const b = m30().passes(2).do({ do: 'slipped' }, { do: 'inGroove', way: 'by-eye' });
    expect(b.card.do).toBe('air');
    b.do({ do: 'airPass', result: 'off' });
    expect(b.card).toMatchObject({ do: 'pickup', lostBy: 'off' });
  });
  test('a new tool is touched off in the groove at the depth that is there', () => {
    const b = m30().passes(5);
    const { depthMm } = b.metal;
    b.do({ do: 'changeTool' }, { do: 'inGroove', way: 'by-eye' });
    expect(b.card).toMatchObject({ do: 'touch', what: 'groove' });
    b.do({ do: 'touchOff', on: 'groove' }, { do: 'airPass' });
    expect(b.metal).toMatchObject({ depthMm, crossMm: 0, topMm: 0, zeroMm: depthMm });
    // the dials count from the groove now
    expect(b.reading).toBeCloseTo(((b.card.depthMm ?? 0) - depthMm) / Math.cos((29.5 * Math.PI) / 180), 6);
  });
});

test('another job has put other gears on this lathe since: they go up again, and the groove is found again', () => {
  const b = m30().passes(3);
  b.shop = {
    ...b.shop,
    lathes: b.shop.lathes.map((l) => ({ ...l, mounted: { drivers: [20], driven: [40], gearbox: '1' } })),
  };
  expect(b.card).toMatchObject({ do: 'mount', what: 'gears' });
  b.do({ do: 'mountGears' });
  expect(b.card).toMatchObject({ do: 'pickup', lostBy: 'gears' });
});

describe('staleness reaches the machine', () => {
  test.each<[string, string, Edit]>([
    ['the lathe', 'Lathe', { do: 'chooseLathe', lathe: 'lathe-dreyl' }],
    ['the train', 'Gears', { do: 'takeTrain', train: { drivers: [20], driven: [40], gearbox: '1' } }],
    ['the slide', 'Feed', { do: 'setUp', slideAngleDeg: 14 }],
    ['the tool', 'Tool', { do: 'setFit', tip: { flatMm: 0.2 } }],
    ['the fit', 'Pitch diameter', { do: 'setFit', class: '6h' }],
  ])('%s changed while cutting stops the card, with one sentence on what to check', (_, fact, e) => {
    const b = m30().passes(3).do(e);
    if (e.do === 'chooseLathe') b.do({ do: 'takeTrain', train: TRAIN_2MM });
    expect(b.card.do).toBe('check');
    expect(b.card.settings).toEqual([]);
    if (b.card.stopped?.code !== 'changed') throw new Error(JSON.stringify(b.card.stopped));
    expect(b.card.stopped.changes.map((c) => c.fact)).toContain(fact);
    const said = stoppedText(b.card.stopped, 'mm');
    expect(said.what).toMatch(/changed: .+ is now .+\.$/);
    expect(said.check).toMatch(/\w.*\.$/);
    expect(b.try({ do: 'passDone' })).toBe('pass');
    b.do({ do: 'check' });
    expect(b.card.do).not.toBe('check');
  });
  test('a station above that has to be looked at again stops it too', () => {
    const b = m30().passes(3);
    expect(cardOf(b.job, b.shop, { station: 'name', because: 'A reading was added.' }).card).toMatchObject({
      do: 'check',
      stopped: { code: 'stale', station: 'name' },
    });
  });
});

describe('the ledger', () => {
  test('an event taken back stays, struck through; taking that back brings it again', () => {
    const b = m30().passes(2);
    const [first, second] = standing(b.job.events).filter((e) => e.kind === 'cut');
    b.do({ do: 'void', of: second?.n ?? 0 });
    expect(b.metal.depthMm).toBe(first?.kind === 'cut' ? first.depthMm : NaN);
    expect(b.job.events.some((e) => e.n === second?.n)).toBe(true);
    b.do({ do: 'void', of: lastN(b.job) });
    expect(b.metal.depthMm).toBe(second?.kind === 'cut' ? second.depthMm : NaN);
    expect(b.try({ do: 'void', of: 9999 })).toBe('of');
  });
  test('undo strikes the event through and rewrites nothing; redo strikes that through', () => {
    const b = m30().passes(1);
    const before = b.job;
    b.passes(1);
    const made = { id: 'u', at: AT };
    const back = goOver(b.job, { value: before, events: [lastN(b.job)] }, made);
    expect(back.value.events.slice(0, b.job.events.length)).toEqual(b.job.events);
    expect(metalOf(back.value).cuts).toBe(1);
    const again = goOver(back.value, { value: b.job, events: back.events }, made);
    expect(metalOf(again.value)).toMatchObject({ cuts: 2, depthMm: b.metal.depthMm });
    expect(again.value.events.length).toBe(b.job.events.length + 2);
  });
  test('order is by number: a clock set back changes nothing', () => {
    const b = m30().passes(1);
    b.do({ do: 'passDone', at: '1999-01-01T00:00:00Z' });
    expect(b.metal.cuts).toBe(2);
  });
  test('parts have ledgers of their own', () => {
    const b = m30().do({ do: 'setQuantity', parts: 2 });
    expect(b.try({ do: 'beginPart' })).toBeNull();
    b.do({ do: 'mount' }, { do: 'measureBlank', diameterMm: 29.9 }, { do: 'touchOff' }).passes(2);
    expect(b.try({ do: 'beginPart' })).toBe('part');
    b.do({ do: 'finishPart' }, { do: 'beginPart' });
    expect(b.metal).toMatchObject({ part: 2, cuts: 0, depthMm: 0, surfaceMm: null });
  });
  test('starts: each to its depth, the next begins at the surface', () => {
    const b = named('1-5 Acme 2-start').do(
      { do: 'chooseLathe', lathe: 'lathe-els' },
      { do: 'mount' },
      { do: 'measureBlank', diameterMm: 25.3 },
      { do: 'touchOff' },
    );
    const cutThrough = (): void => {
      while (b.card.do === 'set') b.do(b.card.pass?.spring ? { do: 'springDone' } : { do: 'passDone' });
    };
    cutThrough();
    expect(b.card.do).toBe('next-start');
    b.do({ do: 'nextStart' });
    expect(b.metal).toMatchObject({ start: 2, depthMm: 0, cuts: 0 });
    cutThrough();
    expect(b.card.do).toBe('measure');
    expect(b.try({ do: 'nextStart' })).toBe('start');
  });
});

test('inside, the slides are wound back and the collar runs down', () => {
  const b = named('M30x2', { make: 'internal' }).do(
    { do: 'setUp', infeed: 'plunge' },
    { do: 'chooseLathe', lathe: 'lathe-els' },
    { do: 'mount' },
    { do: 'measureBlank', diameterMm: 27.9 },
    { do: 'touchOff' },
  );
  const [s] = b.card.settings;
  expect(s).toMatchObject({ slide: 'cross', wound: 'back' });
  expect((s?.value ?? 0) + (s?.toMm ?? 0)).toBeCloseTo(1, 9); // a dial of 1 mm a turn
  expect(b.card.cautions).toEqual(expect.arrayContaining(['inside-out', 'bar-unknown']));
  expect(cardText(b.view, 'internal', 'mm')).toMatch(/^Cross slide, back to/);
});

test('side cuts: depth stays, the tool stands elsewhere, the pitch diameter follows', () => {
  const b = m30().passes(6);
  const before = answersOf(b.job, b.shop, null).metal as { pitchDiameterMm: { value: number } };
  const { depthMm, axialMm } = b.metal;
  b.do({ do: 'sideDone', flank: 'leading', byMm: 0.05 });
  expect(b.metal).toMatchObject({ depthMm, sideMm: 0.05 });
  expect(b.metal.axialMm - axialMm).toBeCloseTo(0.05, 9);
  const after = answersOf(b.job, b.shop, null).metal as { pitchDiameterMm: { value: number } };
  expect(before.pitchDiameterMm.value - after.pitchDiameterMm.value).toBeCloseTo(0.1 / (2 * Math.tan(Math.PI / 6)), 9);
});

describe('what is made follows from what came in, what is wanted and the mate', () => {
  test.each([
    ['screw', 'copy', 'external'],
    ['screw', 'mate', 'internal'],
    ['screw', 'gauge', 'internal'],
    ['nut', 'copy', 'internal'],
    ['nut', 'mate', 'external'],
    ['broken-shaft', 'extend', 'external'],
  ] as const)('%s, %s: %s', (cameIn, wanted, make) => {
    const b = new Bench(newJob('x', 'x', new Date(AT))).do({ do: 'setIntake', cameIn, wanted });
    expect(b.job.intake.make).toBe(make);
    // and somebody who says otherwise is heard
    b.do({ do: 'setIntake', make: 'external' });
    expect(b.job.intake.make).toBe('external');
  });
  const read = (
    quantity: 'minorDiameter' | 'pitchDiameter',
    value: number,
    member: 'part' | 'mate',
    place = '',
  ): Edit => ({
    do: 'takeReading',
    reading: {
      quantity,
      text: String(value),
      value,
      span: null,
      leaf: null,
      instrument: null,
      uncertainty: null,
      member,
      place,
      positionMm: null,
      wear: 'unknown',
    },
  });
  test('a nut for a worn screw: bored over its true root, made to its thickest place, with the play at the others', () => {
    const b = named('M42.5x2', { cameIn: 'screw', wanted: 'mate', make: 'internal' }).do(
      read('minorDiameter', 40.1, 'part', 'ground off at the end'),
      read('minorDiameter', 40.5, 'part', 'another turn'),
      read('pitchDiameter', 41.15, 'part', 'top'),
      read('pitchDiameter', 40.95, 'part', 'middle of the travel'),
      { do: 'setFit', class: null, toMate: true, pitchClearanceMm: 0.1 },
    );
    const fit = fitOfJob(b.job);
    expect(fit).toMatchObject({
      make: 'internal',
      pitchDiameterMm: expect.closeTo(41.25, 9),
      bounds: [{ code: 'screw-root' }],
    });
    expect(fit?.startDiameterMm).toBeCloseTo(40.8, 9);
    const thread = threadOfJob(b.job);
    if (!fit || !thread) throw new Error('no fit');
    // axial play is the clearance times tan 30
    expect(matePlaces(b.job, thread).map((p) => playAt(fit, p))).toEqual([
      expect.closeTo(0.1 * Math.tan(Math.PI / 6), 9),
      expect.closeTo(0.3 * Math.tan(Math.PI / 6), 9),
    ]);
  });
  test('a duty brings its clearance, and a clearance typed is no longer that duty\u2019s', () => {
    const b = named('Tr40x7').do({ do: 'setFit', duty: 'clamp' });
    expect(b.job.fit).toMatchObject({ class: null, duty: 'clamp' });
    expect(b.job.fit.pitchClearanceMm).toBeCloseTo((2 * 0.35) / (2 * Math.tan((15 * Math.PI) / 180)), 2);
    b.do({ do: 'setFit', pitchClearanceMm: 0.4 });
    expect(b.job.fit).toMatchObject({ duty: null, pitchClearanceMm: 0.4 });
  });
  test('what was right on the test piece is offered to the part after it', () => {
    const job = named('M30x2');
    job.do({ do: 'chooseLathe', lathe: 'lathe-els' }, { do: 'setQuantity', parts: 2, testPiece: true });
    job.do({ do: 'mount' }, { do: 'measureBlank', diameterMm: 29.9 });
    expect(partBefore(job.job)).toBeNull();
    job.do({ do: 'touchOff' }, { do: 'deeper', byMm: 0.05 });
    while (job.card.do === 'set' && job.card.pass && !job.card.pass.spring) job.do({ do: 'passDone' });
    job.do({ do: 'overWires', mm: 30.1, text: '30.1' }, { do: 'tryMate', mate: 'the yoke', result: 'runs' });
    expect(wirePlan(job.job, job.shop)?.measured).toHaveLength(1);
    job.do({ do: 'finishPart' });
    const { depthMm, cuts } = metalOf(job.job);
    expect(partBefore(job.job)).toBeNull();
    job.do({ do: 'beginPart' });
    const before = partBefore(job.job);
    // what was measured and tried on the test piece proves nothing of this part
    expect(wirePlan(job.job, job.shop)?.measured).toEqual([]);
    expect(conclusion('prove', job.job, job.shop, 'mm')).not.toContain('yoke');
    expect(before).toMatchObject({ part: 1, testPiece: true, deeperMm: 0.05, depthMm, passes: cuts });
    expect(cuts).toBeGreaterThan(3);
    // and the part that was scrapped in between teaches nothing
    job.do({ do: 'mount' }, { do: 'finishPart', verdict: 'scrapped', why: 'bent' }, { do: 'beginPart' });
    expect(partBefore(job.job)).toEqual(before);
    expect(
      partBeforeText(before ?? { part: 0, testPiece: false, depthMm: 0, deeperMm: 0, passes: 0, springs: 0 }, 'mm'),
    ).toMatch(/^The test piece was right at 1\.\d+ mm deep, 0\.050 mm deeper than planned, in \d+ passes\.$/);
  });
  test('a lathe of which nobody has said dials or leadscrew stops the card', () => {
    const b = named('M30x2');
    const lathe = b.shop.lathes.find((l) => l.id === b.job.gears.lathe) ?? b.shop.lathes[0];
    if (!lathe) throw new Error('no lathe');
    b.do({ do: 'chooseLathe', lathe: lathe.id });
    lathe.unconfirmed = ['crossSlide'];
    const { card } = cardOf(b.job, b.shop, null);
    expect(card.stopped).toEqual({ code: 'lathe-unknown', lathe: lathe.name, facts: ['crossSlide'] });
    expect(card.stopped && stoppedText(card.stopped, 'mm').what).toContain('the cross slide\u2019s dial');
  });
  test('a gauge is made to the class of what it gauges, and stops where there is none', () => {
    const b = named('M10', { cameIn: 'screw', wanted: 'copy' });
    expect(b.job.fit.class).toBe('6g');
    b.do({ do: 'setIntake', cameIn: 'nut', wanted: 'gauge' });
    expect(b.job).toMatchObject({ intake: { make: 'external' }, fit: { class: '6H' } });
    expect(fitOfJob(b.job)).toMatchObject({
      make: 'external',
      pitchDiameterMm: expect.closeTo(9.044, 3),
      gauge: { scrapAtMm: expect.closeTo(9.026, 3) },
    });
    b.do({ do: 'setFit', gauge: { end: 'not-go', school: 'inside' } });
    // Prove over wires judges by the gauge's own tenth, not by the work's limits
    const { limitsMm } = wirePlan(b.job, b.shop) ?? {};
    expect((limitsMm?.max ?? 0) - (limitsMm?.min ?? 0)).toBeCloseTo(0.018, 3);
    b.do({ do: 'setFit', class: null });
    expect(fitOfJob(b.job)?.classProblem?.field).toBe('class');
    b.do({ do: 'setIntake', wanted: 'copy', cameIn: 'nut' });
    expect(fitOfJob(b.job)?.gauge).toBeNull();
  });
  test('a special changed by hand reaches depth and dial', () => {
    const b = named('50 mm x 8 mm 45/5', {}).do({ do: 'setSpecial', depthMm: 5, crestFlatMm: 1.6 });
    // the blank is turned under and the flanks get their clearance: a tenth off what was read
    expect(Math.abs((fitOfJob(b.job)?.depthMm ?? 0) - 5)).toBeLessThan(0.1);
    expect(b.try({ do: 'setSpecial', crestFlatMm: 4 })).toBe('crestFlatMm');
    expect(named('M30x2').try({ do: 'setSpecial', depthMm: 1 })).toBe('thread');
  });
  test('where a standard has classes its usual one is the rule; where none has, a clearance', () => {
    expect(named('M30x2').job.fit.class).toBe('6g');
    expect(named('1-5 Acme').job.fit.class).toBe('2G');
    expect(named('1 1/2 in x 3.5 TPI 29').job.fit.class).toBe('2G');
    expect(named('50 mm x 8 mm 45/5').job.fit.class).toBeNull();
    // and without a length of engagement each standard's own is taken
    expect(named('1-8 UNC').job.fit.engagementMm).toBeNull();
  });
});
