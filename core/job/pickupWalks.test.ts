import { describe, expect, test } from '@jest/globals';
import type { Bench } from '../../app/testing/bench.ts';
import { demo, named, TRAIN_2MM } from '../../app/testing/bench.ts';
import { exact, numberOf } from '../quantity/rational.ts';
import { jointView } from './jointView.ts';
import { pickupActs } from './pickupAct.ts';
import { judgedLeadMm, judgedOf } from './pickupJudged.ts';
import { pickupMove, waysOf, type PickupWay } from './pickupMove.ts';
import { programOfJob } from './program.ts';
import { standOffs } from './standOffs.ts';

const TRAINS: Readonly<Record<string, typeof TRAIN_2MM | null>> = {
  'lathe-bess': TRAIN_2MM,
  'lathe-dreyl': { drivers: [40], driven: [60], gearbox: '1/2' },
  'lathe-els': null,
  'lathe-teal': null,
};

/**
 * Where tool and groove really are, by the kinematics of a lathe and nothing of ours: forward carries the carriage of a right-hand
 * thread towards the headstock, and a groove that is turned forward runs the same way. + towards the headstock, mm.
 */
class Real {
  readonly leadMm: number;
  readonly dir: 1 | -1;
  groove: number;
  tool = 0;
  constructor(groove: number, leadMm: number, dir: 1 | -1) {
    this.groove = groove;
    this.leadMm = leadMm;
    this.dir = dir;
  }
  /** From the tool to the nearest groove. */
  get off(): number {
    const x = this.groove - this.tool;
    return x - this.leadMm * Math.round(x / this.leadMm);
  }
}

const view = (b: Bench) => pickupMove(b.job, b.shop, b.metal);
const act = (b: Bench, ready = true) => pickupActs(b.job, b.shop, b.metal, view(b), ready).at;
const latheOf = (b: Bench) => b.shop.lathes.find((l) => l.id === b.job.gears.lathe) ?? null;

/** Does what the station says, act by act, until the tool is said to be in the groove. @returns the acts that were asked */
function bringIn(b: Bench, real: Real, zFace = 40): string[] {
  const asked: string[] = [];
  const dir = real.dir;
  for (let i = 0; i < 12; i += 1) {
    const now = act(b);
    asked.push(now);
    const { move } = view(b);
    if (now === 'swing') {
      real.tool += 0.37;
      b.do({ do: 'swingSlide', deg: 90 });
    } else if (now === 'look') b.do({ do: 'offset', mm: real.off });
    else if (now === 'drop') {
      // jogged until it drops into the groove; Z is 0 at the face, minus towards the headstock
      real.tool += real.off;
      b.do({ do: 'dropIn', zMm: -(real.tool + zFace) });
    } else if (now === 'key') {
      if (move?.way !== 'z') throw new Error('no start');
      real.tool = -numberOf(exact(move.startMm)) - zFace;
      b.do({ do: 'inGroove' });
    } else if (now === 'move') {
      if (!move) throw new Error(String(view(b).problem));
      if (move.way === 'parallel') real.tool += move.axialMm;
      if (move.way === 'angled') real.tool += move.slideMm * Math.sin((move.slideDeg * Math.PI) / 180) * dir;
      if (move.way === 'turn')
        real.groove += (dir * (move.direction === 'forward' ? 1 : -1) * move.deg * real.leadMm) / 360;
      if (move.way === 'start') real.tool -= dir * move.outMm;
      if (move.way === 'slip') {
        real.tool += dir * (move.direction === 'forward' ? 1 : -1) * move.teeth * move.perToothMm;
        if (b.try({ do: 'nearer' }) === null) {
          // the rest by another way
          b.do({ do: 'setPickup', way: 'turn' });
          continue;
        }
      }
      b.do({ do: 'inGroove' });
    } else return asked;
  }
  throw new Error(asked.join(' '));
}

const cases = Object.keys(TRAINS).flatMap((id) =>
  waysOf(demo('demo-pump').shop.lathes.find((l) => l.id === id) ?? null).flatMap((way) =>
    [false, true].map((leftHand): [string, PickupWay, boolean] => [id, way, leftHand]),
  ),
);

describe('the pump shaft, by each way on each kind of lathe', () => {
  test('the ways are those that the lathe has', () => {
    expect(new Set(cases.map(([id, way]) => `${id} ${way}`)).size).toBe(4 + 4 + 4 + 2);
  });
  test.each(cases)(
    '%s, %s, left hand %s: in the groove, judged at three places, and on to the card',
    (id, way, leftHand) => {
      const b = demo('demo-pump');
      b.do({ do: 'chooseLathe', lathe: id }, { do: 'setUp', lengthMm: 60, rpm: 100 });
      const train = TRAINS[id];
      if (train) b.do({ do: 'takeTrain', train }, { do: 'mountGears' });
      b.job = { ...b.job, name: b.job.name && { ...b.job.name, thread: { ...b.job.name.thread, leftHand } } };
      b.do({ do: 'check' }, { do: 'setPickup', way }, { do: 'swingSlide', deg: 29.5 });
      const real = new Real(0.83, 2, leftHand ? -1 : 1);
      const asked = bringIn(b, real);
      expect(Math.abs(real.off)).toBeLessThan(0.006);
      expect(asked.at(-1)).toBe('judge');
      expect(b.metal.airDue).toBe(true);
      // half-nuts are spoken of only where there are any, and air is not skipped: three places
      for (const atMm of [10, 30, 50]) b.do({ do: 'judge', atMm, offMm: 0 });
      expect(judgedOf(b.job, b.metal)?.verdict).toBe('in');
      b.do({ do: 'airPass', result: 'in' });
      expect(b.metal).toMatchObject({ phase: 'kept', airDue: false });
      expect(b.card.do).not.toBe('pickup');
      if (latheOf(b)?.kind === 'control') {
        b.do({ do: 'measureBlank', diameterMm: 29.86 }, { do: 'touchOff' });
        const told = programOfJob(b.job, b.shop);
        if (way === 'start') {
          if (!told) throw new Error('nothing');
          // a left-hand start needs its relief: said, not made up
          if (told.ok) expect(told.program.motion.start.zMm).toBeCloseTo(b.metal.startMm ?? NaN, 9);
          else expect(told.problem?.code).toBe('start-not-in-relief');
          expect(told.ok).toBe(!leftHand);
        }
      }
    },
  );
});

describe('what the run in the air shows is answered', () => {
  const inGroove = (): Bench => {
    const b = demo('demo-pump').do({ do: 'setPickup', way: 'turn' }, { do: 'inGroove' });
    expect(act(b)).toBe('judge');
    return b;
  };
  test('the same everywhere becomes the new offset, and it is brought in again', () => {
    const b = inGroove();
    for (const atMm of [10, 30, 50]) b.do({ do: 'judge', atMm, offMm: 0.2 });
    b.do({ do: 'judgedOff' });
    expect(b.metal).toMatchObject({ phase: 'lost', lostBy: 'off', offset: { mm: 0.2 }, judged: [] });
    expect(act(b)).toBe('move');
  });
  test('growing is a lead: the old one is computed, and the middle is offered', () => {
    const b = inGroove();
    [0, 0.1, 0.2].forEach((offMm, i) => b.do({ do: 'judge', atMm: 10 + 20 * i, offMm }));
    expect(judgedOf(b.job, b.metal)?.verdict).toBe('lead');
    // 0.2 mm over 40 mm of this train's lead
    const lead = (63 / 40) * (20 / 50) * (25.4 / 8);
    expect(judgedLeadMm(b.job, b.shop, b.metal)).toBeCloseTo(lead * (1 + 0.005), 6);
    b.do({ do: 'judgedOff' });
    expect(b.metal.offset?.mm).toBeCloseTo(0.1, 9);
  });
  test('two places prove nothing; a place judged again replaces what was said of it', () => {
    const b = inGroove().do({ do: 'judge', atMm: 10, offMm: 0.3 }, { do: 'judge', atMm: 30, offMm: 0 });
    expect(b.try({ do: 'judgedOff' })).toBe('places');
    b.do({ do: 'judge', atMm: 10, offMm: 0 }, { do: 'judge', atMm: 50, offMm: 0 });
    expect(judgedOf(b.job, b.metal)?.verdict).toBe('in');
  });
  test('taken out, the place is lost again and so is everything that was seen', () => {
    const b = inGroove().do({ do: 'judge', atMm: 10, offMm: 0 }, { do: 'reseat' });
    expect(b.metal).toMatchObject({ phase: 'lost', judged: [], offset: null });
    expect(b.try({ do: 'judge', atMm: 10, offMm: 0 })).toBe('atMm');
  });
});

test('both flanks touched give the offset, slack of the top slide taken off', () => {
  const b = demo('demo-pump').do({ do: 'swingSlide', deg: 90 });
  // Bess has 0.15 mm of slack in its top slide
  b.do({ do: 'offsetByFlanks', headMm: 0.8, tailMm: 0.1, first: 'head' });
  expect(b.metal.offset?.mm).toBeCloseTo((0.8 + 0.25) / 2, 9);
  expect(b.try({ do: 'offsetByFlanks', headMm: 0.1, tailMm: 0.8, first: 'head' })).toBe('headMm');
});

test('a weld is joined where the leads meet: measured over its crests, split in the middle', () => {
  const b = demo('demo-pump').do(
    { do: 'oldLead', pitches: 25, spanMm: 50.2 },
    { do: 'setPickup', overMm: 12 },
    { do: 'setFit', engagementMm: 24 },
  );
  const j = jointView(b.job, b.shop, b.metal);
  expect(j?.old?.leadMm).toBeCloseTo(2.008, 9);
  expect(j?.told).toBe(true);
  const per = Math.abs((j?.latheLeadMm ?? NaN) / 2.008 - 1);
  expect(j?.joint?.splitMm).toBeCloseTo((per * 12) / 2, 9);
  expect(j?.joint?.takesMm).toBeCloseTo((per * 12 * 2) / (2 * Math.tan(Math.PI / 6)), 9);
  // 50.02 is what a caliper calls fifty
  b.do({ do: 'oldLead', pitches: 25, spanMm: 50.02 });
  expect(jointView(b.job, b.shop, b.metal)?.told).toBe(false);
});

describe('a tapered 4 tpi part recut from a gauge, and its batch of three', () => {
  const TAPER = 1 / 6;
  const tapered = (): Bench => {
    const b = named('3 in x 4 TPI 60', { wanted: 'recut' });
    return b.do(
      { do: 'setSpecial', taper: TAPER },
      { do: 'setQuantity', parts: 3 },
      { do: 'chooseLathe', lathe: 'lathe-els' },
      { do: 'setUp', lengthMm: 70, taperBy: 'attachment' },
      { do: 'setFit', tip: { flatMm: 0.8 } },
      { do: 'mount' },
    );
  };
  /** Finds this part's groove and touches off in it. */
  const found = (b: Bench, real: Real): Bench => {
    bringIn(b, real);
    for (const atMm of [10, 30, 50]) b.do({ do: 'judge', atMm, offMm: 0 });
    return b.do({ do: 'airPass', result: 'in' }, { do: 'touchOff', on: 'groove' });
  };

  test('stand-off is e T on diameter: so much deeper, and the card asks for it', () => {
    const b = found(tapered().do({ do: 'setPickup', way: 'turn' }), new Real(1.9, 6.35, 1));
    b.do({ do: 'standOff', mm: 3 });
    const s = standOffs(b.job);
    expect(s).toMatchObject({ mm: 3, onDiameterMm: 0.5, deeperMm: 0.25, faceBackMm: null });
    b.do({ do: 'deeper', byMm: s?.deeperMm ?? NaN });
    expect(standOffs(b.job)?.deeperMm).toBe(0);
    expect(b.card.do).toBe('set');
    while (b.card.do === 'set') b.do({ do: b.card.pass?.spring ? 'springDone' : 'passDone' });
    expect(b.metal.depthMm).toBeCloseTo(0.25, 2);
  });
  test('past its mark only the face can go back, by as much', () => {
    const b = found(tapered().do({ do: 'setPickup', way: 'turn' }), new Real(1.9, 6.35, 1));
    b.do({ do: 'standOff', mm: -1.2 });
    expect(standOffs(b.job)).toMatchObject({ deeperMm: null, faceBackMm: 1.2 });
    b.do({ do: 'faceBack', byMm: 1.2 });
    expect(standOffs(b.job)?.faceBackMm).toBe(0);
    // a millimetre off the diameter moves the gauge point by six
    expect(standOffs(b.job)?.pushPerMm).toBeCloseTo(6, 9);
  });
  test.each([
    ['shoulder', 0.4, 0.4],
    ['groove', 0, 0],
    ['mark', 30, (6.35 * 30) / 360],
  ] as const)('the second and third are found by the %s of the first', (by, value, offMm) => {
    const b = found(tapered().do({ do: 'setPickup', way: 'turn' }), new Real(1.9, 6.35, 1));
    b.do({ do: 'teach', by }, { do: 'standOff', mm: 3 }, { do: 'finishPart' });
    for (const part of [2, 3]) {
      b.do({ do: 'beginPart' }, { do: 'mount' });
      expect(b.metal).toMatchObject({ part, phase: 'lost', taught: { by } });
      b.do({ do: 'offsetFromTaught', value, text: String(value) });
      // 1e-6: an offset is written down to a millionth
      expect(b.metal.offset?.mm).toBeCloseTo(offMm, 5);
      const real = new Real(offMm, 6.35, 1);
      found(b, real);
      expect(Math.abs(real.off)).toBeLessThan(0.006);
      b.do({ do: 'standOff', mm: 3 + 0.1 * part }, { do: 'finishPart' });
    }
    expect(standOffs(b.job)?.parts).toEqual([
      { part: 1, mm: 3 },
      { part: 2, mm: 3.2 },
      { part: 3, mm: 3.3 },
    ]);
  });
  test('nothing is found from a batch that nobody taught', () => {
    expect(tapered().try({ do: 'offsetFromTaught', value: 0, text: '0' })).toBe('value');
  });
});

test('recut at a control in steps: found, started whole leads out, straight in, deeper by 0.003 on diameter until it is right', () => {
  const b = named('2 1/2-4 UNC', { wanted: 'recut' }).do(
    { do: 'chooseLathe', lathe: 'lathe-teal' },
    { do: 'setUp', lengthMm: 80, rpm: 100, infeed: 'flank' },
    { do: 'mount' },
    { do: 'dropIn', zMm: -1.412 * 25.4, threads: 6 },
    { do: 'setPickup', leadsOut: 8 },
  );
  expect(view(b).move).toMatchObject({ way: 'z', leads: 8, counted: { threads: 6, agree: [6] } });
  b.do({ do: 'inGroove' });
  expect((b.metal.startMm ?? NaN) / 25.4).toBeCloseTo(0.588, 6);
  for (const atMm of [10, 30, 50]) b.do({ do: 'judge', atMm, offMm: 0 });
  b.do({ do: 'airPass', result: 'in' }, { do: 'measureBlank', diameterMm: 63.4 });
  b.do({ do: 'touchOff', on: 'surface', grooveMm: 3.7 });
  const steps: number[] = [];
  for (let i = 0; i < 4; i += 1) {
    b.do({ do: 'deeper', byMm: 0.0381 });
    const told = programOfJob(b.job, b.shop);
    if (!told?.ok) throw new Error(JSON.stringify(told));
    const { motion } = told.program;
    expect(motion.start.zMm).toBeCloseTo(0.588 * 25.4, 6);
    // every start whole leads from the groove, and no block at an angle
    for (const t of motion.travels) expect(((t.fromZ + 1.412 * 25.4) / 6.35) % 1).toBeCloseTo(0, 6);
    expect(motion.params.infeedDeg).toBe(0);
    steps.push(motion.params.finalXMm);
    while (b.card.do === 'set') {
      expect(b.card.settings[0]?.slide).toBe('control');
      b.do({ do: b.card.pass?.spring ? 'springDone' : 'passDone' });
    }
  }
  // each step is the new minor, three thousandths of an inch on diameter below the one before
  for (let i = 1; i < steps.length; i += 1) expect((steps[i - 1] ?? NaN) - (steps[i] ?? NaN)).toBeCloseTo(0.0762, 3);
});
