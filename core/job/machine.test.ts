import { known } from '../../app/testing/known.ts';
import { describe, expect, test } from '@jest/globals';
import { WAITING } from '../../words/stations.ts';
import { answersOf } from '../../ops/answers.ts';
import { cardOf } from './card.ts';
import { notYet, stationStates, stationsOf } from './chain.ts';
import { newJob } from './create.ts';
import { threadOfJob } from './derive.ts';
import { EDITS, type Edit } from './edits/index.ts';
import { feedOf } from './feed.ts';
import { lastN, standing } from './metal.ts';
import { pickupMove } from './pickupMove.ts';
import { motionsOf, outText, planDelta, stoppedText } from '../../words/machine.ts';
import { pickupSteps } from '../../words/pickup.ts';
import { AT, Bench, named, TRAIN_2MM, m30, demo } from '../../app/testing/bench.ts';

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
    const text = pickupSteps(move, leftHand, 'mm', 'change-gears').join(' ');
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
    expect(move && pickupSteps(move, false, 'mm', 'change-gears').join(' ')).toMatch(
      /half a turn past towards the tailstock, and come back/,
    );
    b.do({ do: 'offset', mm: 0.6 });
    const other = pickupMove(b.job, b.shop, b.metal).move;
    expect(other && pickupSteps(other, false, 'mm', 'change-gears').join(' ')).not.toMatch(/come back/);
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
  expect(move).toMatchObject({ gear: 60, place: { on: 'box' }, teeth: 14, direction: 'forward' });
  expect(pickupSteps(move, false, 'mm', 'change-gears').join(' ')).toMatch(
    /turn the 60 on the gearbox input by 14 teeth, the way it turns when the spindle cuts forward/,
  );
});

describe('3. the tool out', () => {
  test('by as many turns as depth, dial, slack and margin ask for', () => {
    const b = demo('demo-sluice');
    // 3.82 mm deep on a dial of 2.54 mm a turn: one turn came back through the work
    expect(b.card.outTurns).toBe(2);
    expect(
      motionsOf(
        b.view,
        { make: 'external', leftHand: false, returnBy: 'reverse', end: 'groove', perTurnMm: null },
        b.shop.lathes[0] ?? null,
      )
        .map((m) => m.text)
        .join(' '),
    ).toMatch(/tool out 2 full turns/);
  });
  test('where it is said as a length, it is the length that the dial shows: a diameter dial shows twice what the slide moves', () => {
    const b = demo('demo-gland');
    const lathe = b.shop.lathes[0]!;
    const card = { ...b.card, outMm: 1.4, outTurns: null };
    const on = (reads: 'radius' | 'diameter') => ({ ...lathe, crossSlide: { ...lathe.crossSlide, reads } });
    expect(outText(card, 'internal', 'mm', on('radius'))).toBe('Tool out 1.40 mm, towards the axis');
    expect(outText(card, 'internal', 'mm', on('diameter'))).toBe(
      'Tool out 2.80 mm on the diameter dial, towards the axis',
    );
    const motions = motionsOf(
      { ...b.view, card },
      { make: 'internal', leftHand: false, returnBy: 'reverse', end: 'groove', perTurnMm: 0.2 },
      { ...on('diameter'), crossSlide: { ...on('diameter').crossSlide, unit: 'mm' } },
    );
    const text = motions.map((m) => m.text).join(' ');
    expect(text).toContain('tool out 2.80 mm on the diameter dial');
    expect(text).toContain('the cross slide by 0.40 mm on the diameter dial a turn');
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

describe('alternate feed', () => {
  test.each([
    ['right', false],
    ['left', true],
  ])('%s hand: one flank is cut after the other, though the plan is made anew after each pass', (_, left) => {
    const b = named(left ? 'M30x2 LH' : 'M30x2').do(
      { do: 'chooseLathe', lathe: 'lathe-bess' },
      { do: 'takeTrain', train: TRAIN_2MM },
      { do: 'setUp', infeed: 'alternate' },
      { do: 'mountGears' },
      { do: 'mount' },
      { do: 'swingSlide', deg: 90 },
      { do: 'measureBlank', diameterMm: 29.93 },
      { do: 'touchOff' },
    );
    b.passes(7);
    const along = b.job.events.flatMap((e) => (e.kind === 'cut' ? [e.axialMm] : []));
    const shifts = along.map((x, i) => Math.sign(x - (along[i - 1] ?? 0)));
    const first = left ? -1 : 1;
    expect(shifts).toEqual(shifts.map((__, i) => (i % 2 === 0 ? first : -first)));
    // and the groove stays where it was begun, within the step of one pass
    expect(Math.max(...along.map(Math.abs))).toBeLessThan(0.3);
  });
});

test('in the middle of a pick-up the slide lies where the pick-up wants it: no stop, and looking again does not swing it', () => {
  const b = m30(29.93, { wanted: 'extend', cameIn: 'broken-shaft' });
  b.do({ do: 'setUp', infeed: 'flank' }, { do: 'check' }, { do: 'setPickup', way: 'parallel' });
  b.do({ do: 'swingSlide', deg: 90 });
  expect(b.metal.slideDeg).toBe(90);
  expect(b.card).toMatchObject({ do: 'pickup', stopped: null });
  b.do({ do: 'check' });
  expect(b.metal.slideDeg).toBe(90);
  b.do({ do: 'offset', mm: 0.7 }, { do: 'inGroove' });
  expect(b.metal.phase).toBe('kept');
});

describe('5. what is done is a depth', () => {
  test('the cap raised after six small passes: no leap', () => {
    const b = m30().do({ do: 'setSchedule', firstMaxMm: 0.05 }).passes(6);
    const depth = b.metal.depthMm;
    b.do({ do: 'setSchedule', firstMaxMm: 0.25, passes: null });
    expect(b.card.depthMm).toBeGreaterThan(depth);
    expect(known(b.card.depthMm) - depth).toBeLessThanOrEqual(0.25 + 0.0064);
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
    const cross = known(card.settings.find((s) => s.slide === 'cross')?.toMm);
    expect(cross + topMm * Math.cos((29.5 * Math.PI) / 180)).toBeCloseTo(known(card.depthMm), 9);
    expect(known(card.depthMm) - depthMm).toBeGreaterThan(0);
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
    expect(known(book.view.plan).depthMm - known(under.view.plan).depthMm).toBeCloseTo(0.075, 9);
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
    const why = notYet(station, b.job, b.shop);
    expect(why && WAITING[why]).toMatch(/\w{4,}.*\.$/);
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
    expect(
      cardOf(b.job, b.shop, { station: 'name', because: { code: 'upstream', station: 'read' } }).card,
    ).toMatchObject({
      do: 'check',
      stopped: { code: 'stale', station: 'name' },
    });
  });
});
