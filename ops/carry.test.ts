import { describe, expect, test } from '@jest/globals';
import { demoJobs, demoShop } from '../demo/index.ts';
import { newLathe } from '../core/lathe/create.ts';
import { parseDesignation } from '../core/standards/designation.ts';
import type { Job, Shop } from '../core/job/schema.ts';
import { took } from '../app/testing/bench.ts';
import { answersOf } from './answers.ts';
import { editOp, jobOp } from './job.ts';

/** Whole jobs carried through the door as data, from newJob to setRecord: the machinist does what the card says. */
const AT = '2026-11-26T08:00:00Z';
type Data = Record<string, unknown>;
interface Reply {
  readonly card: {
    readonly do: string;
    readonly what: string | null;
    readonly pass: { readonly spring: boolean } | null;
  };
  readonly name: { readonly believed: unknown };
  readonly fit: { readonly startDiameterMm: number; readonly pitchDiameterMm: number } | null;
  readonly metal: { readonly part: number; readonly cuts: number };
  readonly prove: {
    readonly next: { readonly code: string; readonly byMm: number } | null;
    readonly wires: { readonly by: 'wires' | 'balls'; readonly targetMm: number } | null;
  };
  readonly stations: Readonly<Record<string, { readonly state: string; readonly conclusion: string | null }>>;
  readonly record: { readonly verdict: string | null };
}

class Door {
  job: Job | null = null;
  shop: Shop;
  constructor(shop: Shop) {
    this.shop = shop;
  }
  edit(...edits: Data[]): this {
    const done = editOp.run({ job: this.job, shop: this.shop, edits, at: AT });
    if (!done.ok) throw new Error(JSON.stringify(done.problem));
    const reply = done.value as { job: Job; shop: Shop };
    this.job = reply.job;
    this.shop = reply.shop;
    return this;
  }
  /** What `job` answers, without ranking the evidence afresh at every step. */
  get now(): Reply {
    if (!this.job) throw new Error('no job');
    return answersOf(this.job, this.shop, null);
  }
  get says(): Reply {
    const done = jobOp.run({ job: this.job, shop: this.shop });
    if (!done.ok) throw new Error(JSON.stringify(done.problem));
    return done.value as Reply;
  }
}
const named = (designation: string): Data => {
  const read = parseDesignation(designation);
  if (!read.ok) throw new Error(designation);
  return { do: 'acceptName', thread: read.value.thread, probability: 1, overruled: true, reason: 'known' };
};
/** Follows the card until every part is done. @param blankMm of each part @param heard what the mate did, one trial after another */
function carry(door: Door, blankMm: (part: number) => number, heard: string[] = []): string[] {
  const acts: string[] = [];
  for (let n = 0; n < 300; n += 1) {
    const { card, metal, prove } = door.now;
    acts.push(card.do);
    if (card.do === 'finished') return acts;
    if (card.do === 'next-start') door.edit({ do: 'nextStart' });
    else if (card.do === 'next-part') door.edit({ do: 'beginPart' });
    else if (card.do === 'mount') door.edit({ do: card.what === 'gears' ? 'mountGears' : 'mount' });
    else if (card.do === 'pickup') door.edit({ do: 'inGroove', way: 'by-eye' });
    else if (card.do === 'touch') door.edit({ do: 'touchOff', on: card.what });
    else if (card.do === 'air') door.edit({ do: 'airPass', result: 'in' });
    else if (card.do === 'set') door.edit({ do: card.pass?.spring ? 'springDone' : 'passDone' });
    else if (card.do === 'measure' && card.what === 'blank')
      door.edit({ do: 'measureBlank', diameterMm: blankMm(metal.part) });
    else if ((card.do === 'measure' || card.do === 'try') && prove.next === null)
      door.edit({ do: 'tryMate', mate: 'its mate', result: heard.shift() ?? 'runs' });
    else if (prove.next?.code === 'deeper') door.edit({ do: 'deeper', byMm: prove.next.byMm });
    else if (prove.next?.code === 'fits' || prove.next?.code === 'enough') door.edit({ do: 'finishPart' });
    else if (prove.next?.code === 'spring') door.edit({ do: 'springDone' });
    else if (prove.next?.code === 'measure' && prove.wires)
      door.edit({ do: prove.wires.by === 'wires' ? 'overWires' : 'betweenBalls', mm: prove.wires.targetMm });
    else throw new Error(JSON.stringify(card));
  }
  throw new Error(`no end: ${acts.slice(-12).join(' ')}`);
}
/** Few passes: what is proved is the way, not the schedule. */
const FEW: readonly Data[] = [{ do: 'setSchedule', passes: 4, firstMaxMm: null, lastMinMm: null, springs: 0 }];

/** The tail of every job: proved, and on record. */
const recorded = (door: Door): Reply =>
  door.edit({ do: 'settle', station: 'prove' }, { do: 'setRecord', verdict: 'fits', note: 'by data' }).says;

/** A demo job as the edits that make it, up to where its thread is named: the rest the card asks for. */
function deskOf(job: Job): Data[] {
  const { passes, ...cut } = job.cut;
  const plain = (r: Job['readings'][number]): Data => ({ ...r, id: undefined, at: undefined });
  return [
    { do: 'newJob', title: job.title, id: job.id },
    { do: 'setIntake', customer: job.customer, ...job.intake },
    ...job.readings.map((r) => ({ do: 'takeReading', reading: plain(r) })),
    { do: 'setUnworn', ...job.wearMap },
    ...(job.name ? [{ do: 'acceptName', ...job.name }] : []),
    { do: 'setFit', ...job.fit },
    ...(job.gears.lathe
      ? [
          { do: 'chooseLathe', lathe: job.gears.lathe },
          { do: 'takeTrain', train: job.gears.train },
        ]
      : []),
    { do: 'setUp', ...job.setup },
    { do: 'setSchedule', ...cut, passes: passes?.count ?? null },
    { do: 'setWire', wire: job.prove.wire },
    { do: 'setQuantity', ...job.quantity },
  ].map((e) => JSON.parse(JSON.stringify(e)) as Data);
}

describe('carried from newJob to setRecord', () => {
  test.each(demoJobs().map((j) => [j.id, j] as const))('the demo job %s', (_, demo) => {
    const door = new Door(demoShop()).edit(...deskOf(demo));
    // what the edits make is what the demo ships, the readings by their order
    const bare = ({ readings, name, fit, intake, setup, quantity, wearMap }: Job) => ({
      readings: readings.map((r) => ({ ...r, id: '', at: '' })),
      ...{ name, fit, intake, setup, quantity, wearMap },
    });
    expect(bare(door.job as Job)).toEqual(bare(demo));
    if (!demo.name) {
      const thread = door.says.name.believed;
      expect(thread).not.toBeNull();
      door.edit({ do: 'acceptName', thread, probability: 0.9, overruled: false, reason: '' });
    }
    if (!demo.gears.lathe) door.edit({ do: 'chooseLathe', lathe: 'lathe-els' });
    const start = door.says.fit?.startDiameterMm ?? NaN;
    expect(start).toBeGreaterThan(0);
    carry(door, () => start, demo.intake.wanted === 'recut' ? ['no-start', 'starts', 'runs', 'runs'] : []);
    const end = recorded(door);
    expect(end.record.verdict).toBe('fits');
    for (const s of ['name', 'fit', 'cut', 'prove', 'record'])
      expect([s, end.stations[s]?.conclusion]).toEqual([s, expect.any(String)]);
  });

  test('a recut by own steps, two of them', () => {
    const door = new Door(demoShop()).edit(
      { do: 'newJob', title: 'Recut', id: 'recut' },
      { do: 'setIntake', cameIn: 'screw', wanted: 'recut' },
      took('majorDiameter', 31.6),
      { do: 'settle', station: 'read' },
      named('1 1/4-7 UNC'),
      { do: 'setFit', class: null, tip: { flatMm: 0.4 } },
      { do: 'chooseLathe', lathe: 'lathe-els' },
      { do: 'setSchedule', deeperStepMm: 0.0381, springs: 1 },
      { do: 'setQuantity', parts: 2 },
    );
    const acts = carry(door, () => 31.6, ['no-start', 'starts', 'runs', 'tight', 'runs']);
    expect(acts).toContain('pickup');
    expect(acts).toContain('air');
    // no blank is turned, so none is measured
    expect(acts.filter((a) => a === 'next-part')).toHaveLength(1);
    expect(recorded(door)).toMatchObject({ record: { verdict: 'fits' }, metal: { part: 2 } });
  });
  test('a nut to a worn screw: bored and cut to what was read of it', () => {
    const door = new Door(demoShop()).edit(
      { do: 'newJob', title: 'Vice nut', id: 'vice' },
      { do: 'setIntake', cameIn: 'screw', wanted: 'mate' },
      took('pitchDiameter', 25.39, { positionMm: 15 }),
      took('pitchDiameter', 25.07, { positionMm: 90 }),
      took('minorDiameter', 22.95, { positionMm: 15 }),
      named('Tr28x5'),
      { do: 'setFit', class: null, to: 'mate', pitchClearanceMm: 0.2 },
      ...FEW,
      { do: 'chooseLathe', lathe: 'lathe-els' },
    );
    expect(door.says.fit?.pitchDiameterMm).toBeCloseTo(25.59, 9);
    expect(door.says.fit?.startDiameterMm).toBeCloseTo(23.25, 9);
    carry(door, () => 23.26);
    expect(recorded(door).stations['cut']?.conclusion).toBe('Part 1 finished');
  });
  test('a taper pipe thread, by its attachment', () => {
    const door = new Door(demoShop()).edit(
      { do: 'newJob', title: 'Taper', id: 'taper' },
      { do: 'setIntake', cameIn: 'screw', wanted: 'copy' },
      took('majorDiameter', 21.2),
      named('1/2-14 NPT'),
      { do: 'setFit', class: null, pitchClearanceMm: 0 },
      { do: 'chooseLathe', lathe: 'lathe-els' },
      { do: 'setUp', lengthMm: 20, taperBy: 'attachment', infeed: 'plunge' },
      ...FEW,
    );
    // as long as nobody says how long it is, nothing is cut
    const unsaid = new Door(door.shop);
    unsaid.job = door.job && { ...door.job, setup: { ...door.job.setup, lengthMm: null } };
    expect(() => carry(unsaid, () => 20.8)).toThrow('taper-length-unknown');
    const small = door.says.fit?.startDiameterMm ?? NaN;
    // the blank is measured where the tool touches it, at the small end
    expect(small).toBeLessThan(21);
    const acts = carry(door, () => small);
    expect(acts.filter((a) => a === 'set').length).toBeGreaterThan(3);
    expect(recorded(door).record.verdict).toBe('fits');
  });
  test('three parts after a test piece at a control', () => {
    const control = {
      ...newLathe('cnc'),
      name: 'The control',
      kind: 'control' as const,
      unconfirmed: [],
      control: { word: 'G33' as const, diameterProgramming: true, unit: 'mm' as const },
    };
    const shop = demoShop();
    const door = new Door({ ...shop, lathes: [...shop.lathes, control] }).edit(
      { do: 'newJob', title: 'Four', id: 'four' },
      { do: 'setIntake', cameIn: 'screw', wanted: 'copy' },
      took('majorDiameter', 29.9),
      named('M30x2'),
      { do: 'chooseLathe', lathe: 'cnc' },
      { do: 'setUp', infeed: 'plunge' },
      { do: 'setQuantity', parts: 3, testPiece: true },
      ...FEW,
    );
    const acts = carry(door, (part) => 29.9 - 0.01 * part);
    expect(acts.filter((a) => a === 'next-part')).toHaveLength(3);
    expect(recorded(door).metal.part).toBe(4);
  });
});
