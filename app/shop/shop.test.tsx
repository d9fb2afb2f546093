/** @jest-environment ./app/testing/environment.mjs */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { writeBackup, writeJob } from '../../core/formats/documents.ts';
import { newJob } from '../../core/job/create.ts';
import type { Shop } from '../../core/job/schema.ts';
import type { Lathe } from '../../core/lathe/schema.ts';
import { demoJobs, demoShop } from '../../demo/index.ts';
import type * as Db from '../storage/db.ts';
import type * as Store from '../store/store.ts';
import { pick, type, user } from '../testing/hands.ts';
import { openAt, withWorker } from '../testing/open.tsx';

let store: typeof Store;
let db: typeof Db;
beforeAll(async () => {
  await withWorker();
  store = await import('../store/store.ts');
  db = await import('../storage/db.ts');
});
afterEach(cleanup);

const shop = (): Shop => {
  const open = store.store.getState().work.shop;
  if (!open) throw new Error('no shop is open');
  return open.present;
};
const lathe = (id: string): Lathe => {
  const found = shop().lathes.find((l) => l.id === id);
  if (!found) throw new Error(id);
  return found;
};
const press = (name: RegExp | string): Promise<void> => user.click(screen.getByRole('button', { name }));
const fileOf = (text: string, name = 'x.gelvin.json'): File => {
  const file = new File([text], name, { type: name.endsWith('.csv') ? 'text/csv' : 'application/json' });
  // jsdom's File gives none of its contents
  Object.defineProperty(file, 'text', { value: () => Promise.resolve(text) });
  Object.defineProperty(file, 'arrayBuffer', {
    value: () => Promise.resolve(new TextEncoder().encode(text).slice().buffer),
  });
  return file;
};

describe('a lathe is described as its owner can measure it', () => {
  test('added, named, told its leadscrew and gears; taken away again and brought back by undo', async () => {
    await openAt('/lathes');
    await press('Add a lathe');
    const id = shop().lathes.at(-1)?.id ?? '';
    await screen.findByRole('heading', { level: 1, name: 'New lathe' });
    await type('Name', 'Old Tom');
    await type('Leadscrew pitch', '6 mm');
    await type(/^Change gears owned/, '20-65 by 5, 127');
    await type('Fixed ratio, spindle to stud', '24/48');
    await type(/^Gearbox levers/, 'cone 1=1 2=8/9; range A=2 B=1');
    expect(lathe(id)).toMatchObject({
      name: 'Old Tom',
      leadscrew: '6',
      leadscrewSystem: 'mm',
      gears: [20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 127],
      fixedRatio: '1/2',
      levers: { cone: { 1: '1', 2: '8/9' }, range: { A: '2', B: '1' } },
    });
    await type('Mounted now, driver/driven', '20/65');
    expect(lathe(id).mounted).toMatchObject({ drivers: [20], driven: [65] });
    await press('Remove this lathe');
    expect(shop().lathes.some((l) => l.id === id)).toBe(false);
    await user.keyboard('{Control>}z{/Control}');
    expect(lathe(id).name).toBe('Old Tom');
  });

  test('a dial in the other system is read anew: nothing of the old graduation is kept', async () => {
    await openAt('/lathes/lathe-els');
    const cross = screen.getByRole('heading', { name: 'Cross slide' }).closest('section') as HTMLElement;
    await user.click(within(cross).getByLabelText('inches'));
    // 0.01 mm was kept as 0.01 in, 25.4 times too coarse
    expect(lathe('lathe-els').crossSlide).toMatchObject({ unit: 'mm', division: 0.01 });
    const division = within(cross).getByLabelText('One division reads, in');
    await user.type(division, '.001{Enter}');
    expect(lathe('lathe-els').crossSlide.unit).toBe('mm');
    await user.type(within(cross).getByLabelText('Divisions in one turn'), '100{Enter}');
    expect(lathe('lathe-els').crossSlide).toMatchObject({ unit: 'in', division: 0.001, perTurn: 100 });
  });

  test('the arm: slots, pivot, studs, cover; wrong figures stay where they were typed', async () => {
    await openAt('/lathes/lathe-bess');
    await type('Module of the gears, mm (DP: type 16 dp)', '16 dp');
    expect(lathe('lathe-bess').moduleMm).toBe(1.5875);
    await type('Pressure angle of the gears, degrees', '14.5');
    await press('Add a slot');
    const second = screen.getByRole('group', { name: /^Slot 2/ });
    const nearest = within(second).getByLabelText('Nearest');
    await user.clear(nearest);
    await user.type(nearest, '120{Enter}');
    // the ends of a slot typed the wrong way round are meant the right way round
    expect(lathe('lathe-bess').arm?.slots[1]).toMatchObject({ fromMm: 112, toMm: 120 });
    await press('Remove slot 2');
    expect(lathe('lathe-bess').arm?.slots).toHaveLength(1);
    await pick('The arm swings about', 'a place of its own');
    await type('and across it, towards the lower side', '-12 mm');
    expect(lathe('lathe-bess').arm?.pivot).toEqual({ alongMm: 0, acrossMm: -12 });
    await type('Studs for the arm', '9');
    expect(lathe('lathe-bess').arm?.studs).toBe(2);
    expect(screen.getByText(/A whole number from 1 to 4/)).toBeTruthy();
    await type('Swing of the arm from the line of centres, degrees', '-30 to 45');
    await type('Beyond the first driver', '3 in');
    expect(lathe('lathe-bess').arm).toMatchObject({
      swing: { fromDeg: -30, toDeg: 45 },
      cover: { beyondFirstMm: 76.2 },
    });
    await pick('The cover’s walls are', 'not checked');
    expect(lathe('lathe-bess').arm?.cover).toBeNull();
    await pick('The arm is', 'not measured');
    expect(lathe('lathe-bess').arm).toBeNull();
    expect(screen.getByText(/judged by the shop rule alone/)).toBeTruthy();
    // an arm is what somebody measured: nothing of it is filled in, and it is none until all of it is there
    await pick('The arm is', 'measured');
    expect(lathe('lathe-bess').arm).toBeNull();
    expect(screen.getByRole('button', { name: '5 still to be measured' })).toHaveProperty('disabled', true);
    await type(/^First driver to leadscrew/, '118');
    await type(/^Slot from/, '34');
    await type(/^Slot to/, '112');
    await type(/^Radius of a stud/, '9');
    await type(/^Radius of what holds/, '11');
    await press('That is the arm');
    expect(lathe('lathe-bess').arm).toMatchObject({
      centresMm: 118,
      slots: [{ fromMm: 34, toMm: 112 }],
      shaftRadiusMm: 11,
    });
  });

  test('without a tumbler the lathe can say which way its screw must turn', async () => {
    await openAt('/lathes/lathe-bess');
    expect(screen.queryByText(/A right-hand thread needs/)).toBeNull();
    await pick('Between spindle and stud', 'none');
    await pick(/^A right-hand thread needs/, 'two or four');
    expect(lathe('lathe-bess')).toMatchObject({ tumbler: false, rightHandMeshes: 'even' });
    await pick(/^A right-hand thread needs/, 'not tried yet');
    expect(lathe('lathe-bess').rightHandMeshes).toBeNull();
  });

  test('slides and dial', async () => {
    await openAt('/lathes/lathe-dreyl');
    const cross = screen.getByRole('heading', { name: 'Cross slide' }).closest('section') as HTMLElement;
    const division = within(cross).getByLabelText(/^One division reads/);
    await user.clear(division);
    await user.type(division, '.001{Enter}');
    expect(lathe('lathe-dreyl').crossSlide.division).toBe(0.001);
    await type('Teeth of the dial gear', '16');
    await type('Other gears for the dial’s shaft', '14 15');
    expect(lathe('lathe-dreyl').dial).toEqual({ teeth: 16, marks: 2, otherTeeth: [14, 15] });
    await pick('This lathe has', 'none');
    expect(lathe('lathe-dreyl').dial).toBeNull();
  });

  test('gears from a CSV file; one that cannot be read changes nothing and says the line', async () => {
    await openAt('/lathes/lathe-bess');
    const picker = document.querySelector<HTMLInputElement>('input[type=file]');
    if (!picker) throw new Error('no picker');
    await user.upload(picker, fileOf('teeth,count\n63,1\n20,2\n', 'gears.csv'));
    await waitFor(() => expect(lathe('lathe-bess').gears).toEqual([20, 20, 63]));
    await user.upload(picker, fileOf('teeth,count\n63,one\n', 'gears.csv'));
    expect(await screen.findByText(/Line 2/)).toBeTruthy();
    expect(lathe('lathe-bess').gears).toEqual([20, 20, 63]);
  });
});

describe('gauges', () => {
  test('wires are added in any unit, kept once and in order, measured, and taken away', async () => {
    await openAt('/gauges');
    const wires = () => shop().pins.filter((p) => p.kind === 'wire');
    const before = wires().length;
    await type(/^Add diameters/, '.081 in; 1/16; 1.0; 1.0');
    const added = wires().map((p) => p.mm);
    expect(added).toEqual([...new Set(added)].sort((a, b) => a - b));
    for (const mm of [2.0574, 1.5875, 1]) expect(added.some((w) => Math.abs(w - mm) < 1e-9)).toBe(true);
    await type(/^Add diameters/, 'thick');
    expect(wires().map((p) => p.mm)).toEqual(added);
    await press(/^1.588 mm wire$/);
    await type('Measures itself', '1.585');
    await type('Out of round by', '0.002');
    expect(wires().find((p) => Math.abs(p.mm - 1.5875) < 1e-9)).toMatchObject({ measuredMm: 1.585, roundMm: 0.002 });
    await press('Remove wire of 1.588 mm');
    expect(wires().some((p) => Math.abs(p.mm - 1.5875) < 1e-9)).toBe(false);
    expect(before).toBeGreaterThan(0);
  });
  test('an instrument is added, made finer, and taken away', async () => {
    await openAt('/gauges');
    const before = shop().instruments.length;
    await press('Add for angle');
    expect(shop().instruments).toHaveLength(before + 1);
    const fields = screen.getAllByLabelText('good to ±, degrees');
    const last = fields.at(-1) as HTMLElement;
    await user.clear(last);
    await user.type(last, '0.1{Enter}');
    expect(shop().instruments.at(-1)).toMatchObject({ measures: 'angle', uncertainty: 0.1 });
    await press('Remove New for angle');
    expect(shop().instruments).toHaveLength(before);
  });
});

describe('settings and backup', () => {
  const bringIn = (text: string): Promise<void> => user.upload(screen.getByLabelText('File to bring in'), fileOf(text));

  test('units, theme, keys and who is working are kept', async () => {
    await openAt('/settings');
    await pick('Lengths without a unit are', 'inches');
    await pick('Screen', /^dark/);
    await pick('Single-letter keys', 'off');
    await type('Who is working', 'Ines');
    expect(shop().settings).toMatchObject({ system: 'in', theme: 'dark', singleKeys: false });
    await store.allSaved();
    expect((await db.db.shop.get('shop'))?.doc).toMatchObject({ settings: { system: 'in' } });
  });
  test('one job comes in beside the others', async () => {
    await openAt('/settings');
    await bringIn(writeJob(newJob('brought', 'Brought in', new Date('2026-02-02T08:00:00Z'))));
    expect(await screen.findByText(/The file holds one job: "Brought in"/)).toBeTruthy();
    await press('Bring the job in');
    await screen.findByText(/Brought in the job/);
    expect((await db.loadRows()).map((j) => j.id)).toContain('brought');
    expect(await db.loadRows()).toHaveLength(demoJobs().length + 1);
  });
  test('a whole shop replaces everything, but only when that is said twice', async () => {
    await openAt('/settings');
    const text = writeBackup({ ...demoShop(), name: 'Elsewhere' }, []);
    await bringIn(text);
    await screen.findByText(/Replacing everything takes away what is here/);
    await press('Leave it');
    expect(shop().name).not.toBe('Elsewhere');
    await bringIn(text);
    await screen.findByText(/Replacing everything takes away what is here/);
    await press('Replace everything');
    await screen.findByText(/Brought in the shop "Elsewhere" with 0 jobs/);
    expect(shop().name).toBe('Elsewhere');
    expect(await db.loadRows()).toEqual([]);
  });
  test('a spoilt file is refused with what is wrong in it, and nothing changes', async () => {
    await openAt('/settings');
    await bringIn(JSON.stringify({ format: 'gelvin-backup', version: 3, shop: 'none', jobs: [] }));
    expect((await screen.findByRole('alert')).textContent).toMatch(
      /not taken in; nothing has changed.*must be object/s,
    );
    expect(await db.loadRows()).toHaveLength(demoJobs().length);
  });
  test('what of a backup holds is taken in, and the rest is listed with why', async () => {
    await openAt('/settings');
    const spoilt = JSON.parse(writeBackup(demoShop(), demoJobs())) as {
      shop: { lathes: { gears: unknown }[] };
      jobs: { title: string; fit: unknown }[];
    };
    const [lathe] = spoilt.shop.lathes;
    const [, job] = spoilt.jobs;
    if (!lathe || !job) throw new Error('demo');
    lathe.gears = ['sixty'];
    job.fit = null;
    await bringIn(JSON.stringify(spoilt));
    await screen.findByText(/1 job is not taken in/);
    expect(document.body.textContent).toMatch(/left out: lathes\.0.*Stern-gland nut: fit/s);
    await press('Replace everything');
    await screen.findByText(new RegExp(`Brought in .* with ${demoJobs().length - 1} jobs`));
    expect(shop().lathes).toHaveLength(demoShop().lathes.length - 1);
  });
  test('starting over asks first', async () => {
    await openAt('/settings');
    await press('Start with an empty shop');
    await press('No');
    expect(shop().lathes.length).toBeGreaterThan(0);
    await press('Start with an empty shop');
    await press('Yes: start with an empty shop');
    await screen.findByText('The shop is empty.');
    expect(shop().lathes).toEqual([]);
  });
});

describe('tables', () => {
  test('a query brings the nearest row first; arrows walk the list; figures open to their working', async () => {
    await openAt('/tables');
    const search = screen.getByRole('combobox', { name: 'Find a thread' });
    await user.type(search, '1 1/4 7 tpi bsw');
    await screen.findByRole('heading', { name: /^1 1\/4-7 BSW/ });
    await press(/^29\.426 mm/);
    expect(screen.getByText('Pitch diameter', { selector: 'span' })).toBeTruthy();
    expect(document.body.textContent).toMatch(/depth rounded to/);
    await user.type(search, '{ArrowDown}');
    await waitFor(() => expect(screen.queryByRole('heading', { name: /^1 1\/4-7 BSW/ })).toBeNull());
  });
  test('two forms laid over each other', async () => {
    await openAt('/tables');
    const search = screen.getByRole('combobox', { name: 'Find a thread' });
    await user.type(search, 'M10');
    await screen.findByRole('heading', { name: /^M10,/ });
    await press('Lay over others');
    await user.clear(search);
    await user.type(search, '3/8-16 bsw');
    await screen.findByRole('heading', { name: /^3\/8-16 BSW/ });
    await press('Lay over others');
    expect(screen.getByRole('img', { name: /M10, 3\/8-16 BSW laid over each other/ })).toBeTruthy();
    await press('Clear');
    expect(screen.queryByRole('img', { name: /laid over each other/ })).toBeNull();
  });
  test('what is in no table says so', async () => {
    await openAt('/tables');
    await user.type(screen.getByRole('combobox', { name: 'Find a thread' }), 'zzz');
    expect(await screen.findByText('Nothing of that name.')).toBeTruthy();
  });
});
