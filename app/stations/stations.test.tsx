/** @jest-environment ./app/testing/environment.mjs */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { act, cleanup, screen, waitFor, within } from '@testing-library/react';
import { cardOf } from '../../core/job/card.ts';
import { metalOf } from '../../core/job/metal.ts';
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
const metal = () => metalOf(job());
/** What is at hand besides the card: its drawer, at one of its tabs. */
async function besides(tab: string): Promise<void> {
  await user.click(screen.getByRole('button', { name: /^More/ }));
  await user.click(screen.getByRole('button', { name: tab }));
}
/** Done is shut for a moment after each press: a hand waits for it. */
const open = (): Promise<void> =>
  waitFor(() => expect(screen.getByRole('button', { name: /^(Done|Spring pass done)$/ }).dataset['shut']).toBe('no'), {
    timeout: 3000,
  });

describe('Cut goes on from the metal', () => {
  test('Done and Back move one pass, by button and by key, and undo gives it back', async () => {
    await at('cut', 'demo-sluice');
    const before = metal().cuts;
    await user.click(screen.getByRole('button', { name: 'Done' }));
    expect(metal().cuts).toBe(before + 1);
    expect(screen.getByText(`Pass ${before + 1} done`)).toBeTruthy();
    await open();
    await user.keyboard('d');
    expect(metal().cuts).toBe(before + 2);
    await user.keyboard('b');
    await user.click(screen.getByRole('button', { name: 'Back' }));
    expect(metal().cuts).toBe(before);
    await user.keyboard('{Control>}z{/Control}');
    expect(metal().cuts).toBe(before + 1);
    expect(card()).toContain(`Pass ${before + 2} of`);
    // nothing vanishes: what was taken back stands struck through
    expect(job().events.filter((e) => e.kind === 'voided').length).toBeGreaterThan(1);
  });
  test('a second press, a held key and a bouncing knuckle mark one pass', async () => {
    await at('cut', 'demo-sluice');
    const before = metal().cuts;
    const done = screen.getByRole('button', { name: 'Done' });
    await user.dblClick(done);
    await user.keyboard('d');
    act(() => void window.dispatchEvent(new KeyboardEvent('keydown', { key: 'd', repeat: true })));
    expect(metal().cuts).toBe(before + 1);
  });
  test('after the last pass and its springs: try, go deeper, try again, three times', async () => {
    await at('cut', 'demo-sluice');
    const through = (): void => {
      for (let i = 0; i < 80; i += 1) {
        const { card: c } = cardOf(job(), store.store.getState().work.shop!.present, null);
        if (c.do !== 'set') return;
        act(() => void store.act(c.pass?.spring ? { do: 'springDone' } : { do: 'passDone' }));
      }
    };
    through();
    expect(card()).toMatch(/Every pass is cut/);
    for (let i = 0; i < 3; i += 1) {
      const { depthMm } = metal();
      if (!screen.queryByRole('button', { name: 'goes on, tight' }))
        await user.click(screen.getByRole('button', { name: 'Try the nut' }));
      await user.click(
        within(screen.getByRole('region', { name: 'Pass card' })).getByRole('button', { name: 'goes on, tight' }),
      );
      await user.click(screen.getByRole('button', { name: /^Deeper by 0\.0/ }));
      expect(card()).toMatch(/Pass \d+ of/);
      through();
      expect(metal().depthMm).toBeGreaterThan(depthMm);
    }
    await user.click(screen.getByRole('button', { name: 'Try the nut' }));
    await user.click(screen.getByRole('button', { name: 'runs freely' }));
    expect(screen.getAllByText('It is at size.').length).toBeGreaterThan(0);
    await user.click(screen.getByRole('button', { name: 'This part is done' }));
    expect(metal().finished).toBe('finished');
  });
  test('the dial reading opens to its working', async () => {
    await at('cut', 'demo-sluice');
    await user.click(screen.getByRole('button', { name: /^Next reading/ }));
    expect(working()).toMatch(/Depth at the target.*Depth after this pass.*Travel of the slide.*cos 14°/s);
  });
  test('the schedule is of passes to come; what a change does is said; what cannot be is refused', async () => {
    await at('cut', 'demo-sluice');
    await besides('The plan');
    await pick('Each pass takes', 'the same depth');
    await type('Passes still to come (empty: suggested)', '30');
    expect(job().cut).toMatchObject({ rule: 'constant-depth', passes: { count: 30, after: metal().events } });
    expect(card()).toMatch(/Pass 7 of 36 \+ 2 spring/);
    expect(screen.getByText(/^The plan changed: next 0\.\d+ → 0\.\d+, 30 passes left instead of \d+\.$/)).toBeTruthy();
    await type('Passes still to come (empty: suggested)', '0');
    expect(screen.getByText(/A whole number from 1 to 500/)).toBeTruthy();
    await type('Passes still to come (empty: suggested)', '2');
    await type('No pass deeper than', '0.1');
    // two passes of a tenth would not reach: as many are cut as the limit asks for
    expect(Number(/of (\d+) \+/.exec(card())?.[1])).toBeGreaterThan(30);
  });
  test('a trial fit is kept in its place among what was done', async () => {
    await at('cut', 'demo-sluice');
    await besides('Done so far');
    await type(/^Note of a trial fit/, 'nut starts, tight after two');
    expect(job().events.at(-1)).toMatchObject({ kind: 'tried', result: 'note', note: 'nut starts, tight after two' });
    expect(within(screen.getByRole('list', { name: 'Events' })).getByText('nut starts, tight after two')).toBeTruthy();
  });
  test('a change of the fit stops the card with one sentence; it goes on when it is right', async () => {
    await at('cut', 'demo-sluice');
    act(() => void store.act({ do: 'setFit', class: null, pitchClearanceMm: 0.3 }));
    expect(screen.getByRole('alert').textContent).toMatch(/^The pitch diameter to reach changed: /);
    expect(screen.queryByRole('button', { name: 'Done' })).toBeNull();
    await user.click(screen.getByRole('button', { name: /It is right: go on/ }));
    expect(card()).toMatch(/Pass 7 of/);
  });
  test('a halt that comes while the nut is tried is not hidden behind it', async () => {
    await at('cut', 'demo-sluice');
    await user.click(screen.getByRole('button', { name: 'Try the nut' }));
    expect(screen.getByRole('button', { name: 'goes on, tight' })).toBeTruthy();
    act(() => void store.act({ do: 'setFit', class: null, pitchClearanceMm: 0.3 }));
    expect(screen.getByRole('alert').textContent).toMatch(/^The pitch diameter to reach changed: /);
  });
  test('a spring pass is at hand under More too, where the bar has no room for it', async () => {
    await at('cut', 'demo-sluice');
    await besides('Happened');
    await user.click(screen.getByRole('button', { name: /^Spring pass cut/ }));
    expect(job().events.at(-1)?.kind).toBe('sprung');
  });
  test('a slip in the jaws leaves picking up as the only act', async () => {
    await at('cut', 'demo-sluice');
    await besides('Happened');
    await user.click(screen.getByRole('button', { name: 'It slipped in the jaws' }));
    expect(card()).toMatch(/slipped in the jaws.*Pick it up/s);
    expect(screen.queryByRole('button', { name: 'Done' })).toBeNull();
    expect(screen.getByRole('link', { name: /^Pick it up/ })).toBeTruthy();
  });
  test('a screwed-on chuck in reverse is warned of; where no mark is right the nuts stay shut', async () => {
    await at('cut', 'demo-sluice');
    expect(screen.getByText('This chuck screws on: lock it before reverse.')).toBeTruthy();
    act(() => void store.act({ do: 'takeTrain', train: { drivers: [63, 20], driven: [40, 50], gearbox: '1' } }));
    act(() => void store.act({ do: 'check' }));
    await besides('The plan');
    await pick('Coming back', 'chasing dial');
    // an approximate train on 8 tpi: no mark is right, so the spindle reverses all the same
    expect(screen.getByText('No dial mark is right: the half-nuts stay shut.')).toBeTruthy();
    expect(screen.getByText('This chuck screws on: lock it before reverse.')).toBeTruthy();
  });
});

describe('a measuring instrument on a cable', () => {
  /** Types as an instrument does: every key at once, then Enter. */
  const burst = (text: string, last = 'Enter'): void => {
    act(() => {
      for (const key of [...text, last]) {
        const target = document.activeElement ?? document.body;
        target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
      }
    });
  };
  test.each([
    ['name', 'demo-latch'],
    ['gears', 'demo-pump'],
  ] as const)('on %s it accepts nothing, and is asked about', async (station, id) => {
    await at(station, id);
    if (station === 'name') await screen.findAllByRole('button', { name: /^Accept/ });
    else await screen.findAllByRole('button', { name: /^Take \d/ });
    document.querySelector<HTMLElement>('main [data-row]')?.focus();
    const before = job();
    burst('31.62');
    expect(job()).toBe(before);
    expect(screen.getByRole('dialog').textContent).toMatch(/31\.62 came in: what is it\?/);
    await user.click(screen.getByRole('button', { name: 'Nothing: let it go' }));
    expect(job()).toBe(before);
  });
  test('on Cut, with Done in focus, it marks no pass; where a field waits it lands there', async () => {
    await at('cut', 'demo-sluice');
    screen.getByRole('button', { name: 'Done' }).focus();
    const before = metal().cuts;
    burst('39.62');
    expect(metal().cuts).toBe(before);
    await user.click(screen.getByRole('button', { name: 'Over wires', hidden: false }));
    expect(job().events.at(-1)).toMatchObject({ kind: 'overWires', mm: 39.62 });
  });
  test('on Prove and on Read it lands in the field that waits', async () => {
    await at('prove', 'demo-sluice');
    burst('39.62', 'Tab');
    expect(job().events.at(-1)).toMatchObject({ kind: 'overWires', mm: 39.62 });
    cleanup();
    await at('read', 'demo-latch');
    burst('6.647');
    expect(job().readings.at(-1)).toMatchObject({ text: '6.647' });
  });
  /** Keys with the time each of them came, as a busy machine hands them on, ms. */
  const burstAt = (keys: readonly (readonly [string, number])[]): void =>
    act(() => {
      for (const [key, ms] of keys) {
        const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true });
        Object.defineProperty(event, 'timeStamp', { value: 1e6 + ms });
        (document.activeElement ?? document.body).dispatchEvent(event);
      }
    });
  test('a stretched gap does not cut the front off a reading', async () => {
    await at('name', 'demo-latch');
    burstAt([
      ['3', 0],
      ['1', 4],
      ['.', 214],
      ['6', 218],
      ['2', 222],
      ['Enter', 226],
    ]);
    expect(screen.getByRole('dialog').textContent).toMatch(/^31\.62 came in/);
  });
  test('the quickest hand is no instrument', async () => {
    await at('name', 'demo-latch');
    burstAt([
      ['3', 0],
      ['1', 90],
      ['.', 170],
      ['6', 250],
      ['Enter', 290],
    ]);
    expect(screen.queryByRole('dialog')).toBeNull();
  });
  test('a hand is slower: digits alone do nothing anywhere', async () => {
    await at('name', 'demo-latch');
    await screen.findAllByRole('button', { name: /^Accept/ });
    await user.keyboard('2');
    expect(job().name).toBeNull();
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});

describe('the working panel', () => {
  test('follows its figure, and goes with it', async () => {
    await at('fit', 'demo-vice');
    const figure = screen.getByRole('button', { name: /^Pitch diameter to reach/ });
    await user.click(figure);
    const shown = figure.getAttribute('aria-label');
    expect(working()).toMatch(/the mate.s D2 \+ clearance/);
    await type('Clearance on the pitch diameter', '0.35');
    const now = screen.getByRole('button', { name: /^Pitch diameter to reach/ }).getAttribute('aria-label');
    expect(now).not.toBe(shown);
    const result = /(\d+\.\d+ mm)/.exec(now ?? '')?.[1] ?? 'none';
    expect(working()).toContain(result);
    expect(working()).toContain('0.35');
    await user.click(screen.getByRole('link', { name: /^Gears/ }));
    await waitFor(() => expect(screen.queryByRole('complementary', { name: 'Working' })).toBeNull());
  });
});

describe('Set up', () => {
  test('a setting in the list says its unit: the dials of this lathe are in inches, the desk in mm', async () => {
    await at('setup', 'demo-sluice');
    const rows = screen.getByRole('list', { name: 'Settings' }).textContent;
    expect(rows).toContain('Room to stop 0.4725 in');
    expect(rows).toContain('Spindle speed 40 rev/min');
    expect(rows).toContain('Ground to 29.0\u00b0');
  });
  test('half of 55 taken as 22.5 is caught, and more than half too', async () => {
    await at('setup', 'demo-gland');
    await user.click(screen.getByRole('tab', { name: 'Top slide' }));
    await type('Top slide from the cross-slide line', '22.5');
    expect(screen.getByText(/22\.5° is 5° less than the flank angle of 27\.5°/)).toBeTruthy();
    await type('Top slide from the cross-slide line', '32.5');
    expect(screen.getByRole('alert').textContent).toMatch(/more than the flank of 27\.5°.*Set 27°/s);
    await type('Top slide from the cross-slide line', '26.5');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(job().setup.slideAngleDeg).toBe(26.5);
  });
  test('straight in says what it is good for', async () => {
    await at('setup', 'demo-sluice');
    await user.click(screen.getByRole('tab', { name: 'Top slide' }));
    await pick('How the cut is fed', 'Straight in');
    expect(screen.getByText(/Both flanks cut/)).toBeTruthy();
    expect(screen.queryByLabelText('Top slide from the cross-slide line')).toBeNull();
  });
  test('time to react follows speed and groove; under a second is warned of; its working adds up', async () => {
    await at('setup', 'demo-pump');
    await user.click(screen.getByRole('tab', { name: 'Room to stop' }));
    await type('Spindle speed, rev/min', '300');
    await type('Width of the groove', '10 mm');
    // the tool of M30x2 is 1.89 wide at its surface: 8.11 mm at 10 mm/s (common practice, no source)
    const time = screen.getByRole('button', { name: /Time to stop/ });
    expect(time.textContent).toMatch(/0\.8 s.*10\.0 mm\/s/);
    await user.click(time);
    expect(working()).toMatch(/Clear run.*Carriage speed.*Time.*w \/ v/s);
    expect(screen.getByText(/Less time to stop/)).toBeTruthy();
    await type('Spindle speed, rev/min', '100');
    expect(screen.queryByText(/Less time to stop/)).toBeNull();
    await type('Spindle speed, rev/min', '0');
    expect(screen.getByText(/from 1 to 5000/)).toBeTruthy();
  });
  test('checks are ticked and unticked', async () => {
    await at('setup', 'demo-pump');
    const before = job().setup.checks.length;
    const box = screen.getByRole('button', { name: /^On centre height/ });
    await user.click(box);
    expect(job().setup.checks).toContain('height');
    expect(box.getAttribute('aria-pressed')).toBe('true');
    await user.click(box);
    expect(job().setup.checks).toHaveLength(before);
  });
});

describe('Pick up', () => {
  /** The slack first, then the figure. */
  const look = async (text: string): Promise<void> => {
    await user.click(screen.getByRole('button', { name: /^The slack is taken up/ }));
    await pick('The offset is read', 'As a figure');
    await type(/^Groove is this far/, text);
  };
  test.each([
    ['Top slide parallel', /Top slide towards/],
    ['Angled top slide', /cross slide|square across/i],
    ['Turning the work', /°/],
    ['Slipping a gear', /teeth|tooth/],
  ])('%s gives a move that can be set, with its working', async (way, words) => {
    await at('pickup', 'demo-pump');
    await pick('Bring it in by', way);
    if (way === 'Angled top slide') {
      // the pump is fed straight in: nobody has said how the slide lies until it is swung
      expect(screen.getByRole('alert').textContent).toMatch(/square across/);
      act(() => void store.act({ do: 'swingSlide', deg: 29.5 }));
    }
    if (way === 'Top slide parallel') await user.click(screen.getByRole('button', { name: 'It lies along the bed' }));
    if (/slide/.test(way)) await look('0.7 mm');
    expect(screen.getByRole('region', { name: 'Pick up' }).textContent).toMatch(words);
    await user.click(screen.getByRole('button', { name: /; show the working$/ }));
    expect(working()).toMatch(/offset . whole leads/);
  });
  test('more than half a lead is gone the smaller way round', async () => {
    await at('pickup', 'demo-pump');
    await pick('Bring it in by', 'Top slide parallel');
    await user.click(screen.getByRole('button', { name: 'It lies along the bed' }));
    await look('1.7 mm');
    expect(screen.getByText('Top slide towards the tailstock')).toBeTruthy();
  });
});

describe('Gears', () => {
  test('what is mounted and what cut right are kept on the lathe', async () => {
    await at('gears', 'demo-pump');
    await screen.findByText(/every train of this set/);
    await user.keyboard('{ArrowDown}{Enter}');
    const train = job().gears.train;
    await user.click(screen.getByRole('button', { name: 'It is mounted now' }));
    await user.click(screen.getByRole('button', { name: 'It cut right: remember it' }));
    const lathe = store.store.getState().work.shop?.present.lathes.find((l) => l.id === 'lathe-bess');
    expect(lathe?.mounted).toEqual(train);
    expect(lathe?.proven[0]).toMatchObject({ leadMm: '2', train });
    await waitFor(() => expect(screen.getAllByText(/^on already$/).length).toBeGreaterThan(0));
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
    act(
      () =>
        void store.editShop('weigh', (d) => {
          d.settings.gearWeights = { error: 0, changes: 10, smallDrivers: 0, pairs: 10, mounting: 0 };
        }),
    );
    expect(order()).not.toBe(before);
  });
  test('another lathe drops the train of the first', async () => {
    await at('gears', 'demo-pump');
    await pick('Which lathe', /Finch/);
    expect(job().gears).toEqual({ lathe: 'lathe-els', train: null });
    expect(screen.getByText('Lead to type in')).toBeTruthy();
  });
});

describe('Read and Name', () => {
  test('a reading typed is in the table, and the likeliest follows', async () => {
    await at('read', 'demo-latch');
    await user.click(screen.getByRole('button', { name: /^Pitch leaf: / }));
    await type(/^Pitch leaf \(/, '1.25 mm');
    expect(job().readings.at(-1)).toMatchObject({ quantity: 'pitchLeaf', value: 1.25, leaf: 'fits' });
    await waitFor(() => expect(screen.getByText(/Likeliest so far/).textContent).toMatch(/M8, 9\d %/));
  });
  test('accepting by arrows and Enter settles the name; overruling asks why and keeps it', async () => {
    await at('name', 'demo-latch');
    await screen.findByText(/2 readings weighed/);
    await screen.findAllByRole('button', { name: /^Accept/ });
    await user.keyboard('{ArrowDown}{ArrowDown}{Enter}');
    expect(job().name).toMatchObject({ thread: { designation: '5/16-20 UN' }, overruled: true });
    await type('Why', 'stamped on the head');
    await type('Designation, then Enter', 'M8');
    expect(job().name).toMatchObject({ thread: { designation: 'M8' }, reason: 'stamped on the head', overruled: true });
    await type('Designation, then Enter', 'eight');
    expect(job().name?.thread.designation).toBe('M8');
  });
});
