/** @jest-environment ./app/testing/environment.mjs */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { act, cleanup, screen, waitFor, within } from '@testing-library/react';
import type { Job } from '../../core/job/schema.ts';
import type * as Store from '../store/store.ts';
import { pick, type, user } from '../testing/hands.ts';
import { openAt, withWorker } from '../testing/open.tsx';

let store: typeof Store;
beforeAll(async () => {
  await withWorker();
  store = await import('../store/store.ts');
});
afterEach(cleanup);

const job = (): Job => {
  const open = store.store.getState().work.job;
  if (!open) throw new Error('no job is open');
  return open.present;
};
async function at(station: string, id: string): Promise<void> {
  await openAt(`/jobs/${id}/${station}`);
  await waitFor(() => expect(document.querySelector('main h1')?.textContent).not.toMatch(/^Opening/));
}
const card = (): string => screen.getByRole('region', { name: 'Pass card' }).textContent ?? '';
const working = (): string => screen.getByRole('complementary', { name: 'Working' }).textContent ?? '';

describe('Cut keeps the place', () => {
  test('Done and Back move one pass, by button and by key, and undo gives it back', async () => {
    await at('cut', 'demo-sluice');
    const before = job().cut.done;
    await user.click(screen.getByRole('button', { name: 'Done' }));
    expect(job().cut.done).toBe(before + 1);
    await user.keyboard('d');
    expect(job().cut.done).toBe(before + 2);
    await user.keyboard('b');
    await user.click(screen.getByRole('button', { name: 'Back' }));
    expect(job().cut.done).toBe(before);
    await user.keyboard('{Control>}z{/Control}');
    expect(job().cut.done).toBe(before + 1);
    expect(card()).toContain(`Pass ${before + 2} of`);
  });
  test('after the last pass and its springs there is nothing left to press', async () => {
    await at('cut', 'demo-sluice');
    const total = 2 + Number(/Pass \d+ of (\d+)/.exec(card())?.[1] ?? 0);
    for (let i = job().cut.done; i < total; i += 1) await user.keyboard('d');
    expect(screen.getByText(/^Every pass is cut\. Prove it/)).toBeTruthy();
    await user.keyboard('d');
    expect(job().cut.done).toBe(total);
    expect(screen.getByRole('button', { name: 'Done' })).toHaveProperty('disabled', true);
  });
  test('the dial reading opens to its working', async () => {
    await at('cut', 'demo-sluice');
    await user.click(screen.getByRole('button', { name: /^Next reading/ }));
    expect(working()).toMatch(/Depth after this pass.*Travel of the slide.*cos 14°/s);
  });
  test('the schedule answers to the rule, the number and the limits; what cannot be is said', async () => {
    await at('cut', 'demo-sluice');
    await pick('Each pass takes', 'the same depth');
    await type('Passes (empty: suggested)', '30');
    expect(job().cut).toMatchObject({ rule: 'constant-depth', passes: 30 });
    expect(card()).toMatch(/of 30 \+ 2 spring/);
    await type('Passes (empty: suggested)', '0');
    expect(screen.getByText(/A whole number from 1 to 500/)).toBeTruthy();
    await type('Passes (empty: suggested)', '2');
    await type('No pass deeper than', '0.1');
    // two passes of a tenth would not reach: as many are cut as the limit asks for
    expect(Number(/of (\d+) \+/.exec(card())?.[1])).toBeGreaterThan(30);
  });
  test('a trial fit is kept with its pass', async () => {
    await at('cut', 'demo-sluice');
    await type(/^Note of a trial fit/, 'nut starts, tight after two');
    expect(job().cut.trials.at(-1)).toMatchObject({ note: 'nut starts, tight after two', afterPass: job().cut.done });
  });
  test('a screwed-on chuck in reverse is warned of; the chasing dial says which marks, or why none', async () => {
    await at('cut', 'demo-pump');
    expect(screen.getByText(/This chuck screws on: lock it/)).toBeTruthy();
    await pick('Coming back', 'chasing dial');
    // 2 mm by an approximate train on 8 tpi: no mark is right, so the spindle reverses all the same
    expect(screen.getByRole('alert').textContent).toMatch(/half-nuts/);
    expect(screen.getByText(/This chuck screws on: lock it/)).toBeTruthy();
    expect(card()).toMatch(/No dial mark is right, so the half-nuts stay shut/);
  });
});

describe('Set up', () => {
  test('half of 55 taken as 22.5 is caught, and more than half too', async () => {
    await at('setup', 'demo-gland');
    await type('Top slide from the cross-slide line', '22.5');
    expect(screen.getByText(/22\.5° is 5° less than the flank angle of 27\.5°/)).toBeTruthy();
    await type('Top slide from the cross-slide line', '32.5');
    expect(screen.getByRole('alert').textContent).toMatch(
      /more than the flank of 27\.5°.*half angle taken wrongly.*27°/s,
    );
    await type('Top slide from the cross-slide line', '26.5');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(job().setup.slideAngleDeg).toBe(26.5);
  });
  test('straight in says what it is good for', async () => {
    await at('setup', 'demo-sluice');
    await pick('How the cut is fed', 'Straight in');
    expect(screen.getByText(/Both flanks cut/)).toBeTruthy();
    expect(screen.queryByLabelText('Top slide from the cross-slide line')).toBeNull();
  });
  test('time to react follows speed and groove; under a second is warned of; its working adds up', async () => {
    await at('setup', 'demo-pump');
    await type('Spindle speed, rev/min', '300');
    await type('Relief groove, or clear run past the work', '10 mm');
    // trade check value: a 10 mm groove at 300 rpm and 2 mm pitch gives 1 s (common practice, no source)
    const time = screen.getByRole('button', { name: /Time to stop/ });
    expect(time.textContent).toMatch(/1\.0 s.*10\.0 mm\/s/);
    await user.click(time);
    expect(working()).toMatch(/Carriage speed.*Time.*relief \/ v/s);
    await type('Spindle speed, rev/min', '400');
    expect(screen.getByText(/Under a second/)).toBeTruthy();
    await type('Spindle speed, rev/min', '0');
    expect(screen.getByText(/between 1 and 5000/)).toBeTruthy();
  });
  test('checks are ticked and unticked', async () => {
    await at('setup', 'demo-pump');
    const before = job().setup.checks.length;
    const box = screen.getByLabelText('Tool on centre height');
    await user.click(box);
    expect(job().setup.checks).toContain('height');
    await user.click(box);
    expect(job().setup.checks).toHaveLength(before);
  });
});

describe('Pick up', () => {
  test.each([
    ['Top slide parallel', /Top slide towards/],
    ['Angled top slide', /cross slide/i],
    ['Turning the work', /°/],
    ['Slipping a gear', /teeth|tooth/],
  ])('%s gives a move that can be set, with its working', async (way, words) => {
    await at('pickup', 'demo-pump');
    await pick('Bring it in by', way);
    const move = screen.getByRole('heading', { name: 'The move' }).closest('section');
    expect(move?.textContent).toMatch(words);
    const [figure] = within(move as HTMLElement).getAllByRole('button');
    if (figure) await user.click(figure);
    expect(working()).toMatch(/offset modulo the lead/);
  });
  test('more than half a lead is gone the smaller way round', async () => {
    await at('pickup', 'demo-pump');
    await pick('Bring it in by', 'Top slide parallel');
    await type(/^Groove is this far/, '1.7 mm');
    expect(screen.getByText(/Top slide towards the tailstock/)).toBeTruthy();
  });
});

describe('Gears', () => {
  test('what is mounted and what cut right are kept on the lathe', async () => {
    await at('gears', 'demo-pump');
    await screen.findByText(/every train of this set/);
    await user.keyboard('1');
    const train = job().gears.train;
    await user.click(screen.getByRole('button', { name: 'It is mounted now' }));
    await user.click(screen.getByRole('button', { name: 'It cut right: remember it' }));
    const lathe = store.store.getState().work.shop?.present.lathes.find((l) => l.id === 'lathe-bess');
    expect(lathe?.mounted).toEqual(train);
    expect(lathe?.proven[0]).toMatchObject({ leadMm: '2', train });
    await waitFor(() => expect(screen.getAllByText(/^0 to change$/).length).toBeGreaterThan(0));
  });
  test('what the error does opens to its working', async () => {
    await at('gears', 'demo-pump');
    await user.click(await screen.findByRole('button', { name: /What the error does/ }));
    expect(working()).toMatch(/Mismatch over the engagement.*Clearance it eats/s);
  });
  test('weights put the trains in another order', async () => {
    await at('gears', 'demo-pump');
    await screen.findByText(/every train of this set/);
    const order = (): string =>
      within(screen.getAllByRole('table')[0] as HTMLElement)
        .getAllByRole('row')
        .map((r) => r.textContent)
        .join('|');
    const before = order();
    act(() =>
      store.editShop('weigh', (d) => {
        d.settings.gearWeights = { error: 0, changes: 10, smallDrivers: 0, pairs: 10, mounting: 0 };
      }),
    );
    expect(order()).not.toBe(before);
  });
  test('another lathe drops the train of the first', async () => {
    await at('gears', 'demo-pump');
    await pick('Which lathe', /Finch/);
    expect(job().gears).toEqual({ lathe: 'lathe-els', train: null });
    expect(screen.getByText('Type in the lead')).toBeTruthy();
  });
});

describe('Read and Name', () => {
  test('a reading typed is in the table, and the likeliest follows', async () => {
    await at('read', 'demo-latch');
    await user.click(screen.getByRole('button', { name: 'Pitch leaf' }));
    await type(/^Pitch leaf \(/, '1.25 mm');
    expect(job().readings.at(-1)).toMatchObject({ quantity: 'pitchLeaf', value: 1.25, leaf: 'fits' });
    await waitFor(() => expect(screen.getByText(/Likeliest so far/).textContent).toMatch(/M8, 9\d %/));
  });
  test('accepting by key settles the name; overruling asks why and keeps it', async () => {
    await at('name', 'demo-latch');
    await screen.findByText(/2 readings weighed/);
    await screen.findAllByRole('button', { name: /^Accept/ });
    await user.keyboard('2');
    expect(job().name).toMatchObject({ thread: { designation: '5/16-20 UN' }, overruled: true });
    await type('Why', 'stamped on the head');
    await type('Designation, then Enter', 'M8');
    expect(job().name).toMatchObject({ thread: { designation: 'M8' }, reason: 'stamped on the head', overruled: true });
    await type('Designation, then Enter', 'eight');
    expect(job().name?.thread.designation).toBe('M8');
  });
});
