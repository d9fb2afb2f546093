import { describe, expect, test } from '@jest/globals';
import { demo, named, type Bench } from '../../app/testing/bench.ts';
import type { LatheHas } from '../lathe/schema.ts';
import { cautionText } from '../../words/cautions.ts';
import { CAUTION_CODES, CAUTIONS, cautionsAt, type CautionCode } from './cautions.ts';
import type { Job } from './schema.ts';
import { STATIONS, type StationId } from './stations.ts';

/** A job on Bess, change gears and a plain chuck, back on the dial, with nothing that calls for care but the work itself. */
const plain = (): Bench => {
  const b = named('1-8 UNC').do(
    { do: 'chooseLathe', lathe: 'lathe-bess' },
    { do: 'takeTrain', train: { drivers: [40], driven: [40], gearbox: '1' } },
    { do: 'mountGears' },
    { do: 'mount' },
    { do: 'measureBlank', diameterMm: 25.3 },
    { do: 'touchOff' },
    { do: 'setSchedule', returnBy: 'dial' },
  );
  b.shop = {
    ...b.shop,
    lathes: b.shop.lathes.map((l) => ({ ...l, screwedChuck: false, has: [], slack: { ...l.slack, crossMm: 0.1 } })),
  };
  return b;
};
const with_ = (change: (j: Job) => Job) => (b: Bench) => {
  b.job = change(b.job);
};
const intake = (over: Partial<Job['intake']>) => with_((j) => ({ ...j, intake: { ...j.intake, ...over } }));
const latheHas = (what: LatheHas) => (b: Bench) => {
  b.shop = { ...b.shop, lathes: b.shop.lathes.map((l) => ({ ...l, has: [what] })) };
};
const screwedOn = (b: Bench): void => {
  b.shop = { ...b.shop, lathes: b.shop.lathes.map((l) => ({ ...l, screwedChuck: true })) };
};

/** What raises each: where it is to be read, and the change that makes it apply. Null: wherever that station is. */
const RAISED: Readonly<Record<CautionCode, readonly [StationId, ((b: Bench) => void) | null]>> = {
  licensed: ['intake', intake({ hazards: ['lifting gear'] })],
  'taper-holds-pressure': ['fit', (b) => void (b.job = named('1/2-14 NPT').job)],
  'slipped-once': ['cut', (b) => void b.do({ do: 'slipped' })],
  'screwed-chuck': ['setup', (b) => (screwedOn(b), void b.do({ do: 'setSchedule', returnBy: 'reverse' }))],
  'threading-cycle': ['setup', (b) => void b.do({ do: 'chooseLathe', lathe: 'lathe-els' })],
  'same-setting': ['cut', (b) => void b.do({ do: 'setUp', trueWith: [{ what: 'spigot', done: false }] })],
  'stop-is-software': [
    'setup',
    (b) => {
      b.do({ do: 'chooseLathe', lathe: 'lathe-els' });
      b.do({ do: 'setUp', end: 'stop' });
    },
  ],
  'dial-slips': ['cut', latheHas('dial-slips')],
  'handle-falls': ['setup', latheHas('handle-falls')],
  'little-time': ['cut', (b) => void b.do({ do: 'setUp', rpm: 400, reliefMm: 2 })],
  'inside-out': ['cut', intake({ make: 'internal' })],
  'bar-unknown': ['cut', intake({ make: 'internal' })],
  'keep-nuts-shut': [
    'cut',
    (b) => void (b.shop = { ...b.shop, lathes: b.shop.lathes.map((l) => ({ ...l, dial: null })) }),
  ],
  'slack-unmeasured': [
    'cut',
    (b) =>
      void (b.shop = {
        ...b.shop,
        lathes: b.shop.lathes.map((l) => ({ ...l, slack: { ...l.slack, crossMm: null } })),
      }),
  ],
  isolate: ['gears', null],
  'isolate-slip': ['pickup', (b) => void b.do({ do: 'setPickup', way: 'slip' })],
  'light-gears': ['gears', null],
  'hand-crank': ['gears', null],
  'welded-stub': ['setup', intake({ cameIn: 'broken-shaft' })],
  'weld-build-up': [
    'setup',
    with_((j) => ({ ...j, fit: { ...j.fit, clean: { pitMm: 0, eccentricMm: 0, builtUpMm: 31 } } })),
  ],
  grinding: ['setup', null],
  'chuck-key': ['setup', null],
  'heavy-chuck': ['setup', (b) => void (b.job = { ...b.job, events: [] })],
  'bar-behind': ['setup', null],
  steady: ['cut', (b) => void b.do({ do: 'mount', holding: 'chuck-centre', steady: 'follow' })],
  'chips-burn': ['cut', intake({ material: 'magnesium' })],
  dust: ['cut', intake({ material: 'cast iron' })],
  'oil-stains': ['setup', intake({ material: 'bronze' })],
  mist: ['setup', null],
  standstill: ['prove', null],
  'file-swarf': ['cut', null],
  'chuck-weight': ['prove', intake({ make: 'internal' })],
  'gauge-certifies': ['record', intake({ wanted: 'gauge' })],
};

describe('cautions', () => {
  test.each(CAUTION_CODES)('%s is raised by its condition, and by nothing else', (code) => {
    const [station, change] = RAISED[code];
    const b = plain();
    const before = cautionsAt(station, b.job, b.shop).includes(code);
    expect(before).toBe(change === null);
    change?.(b);
    expect(cautionsAt(station, b.job, b.shop)).toContain(code);
    expect((CAUTIONS[code].at as readonly StationId[]).includes(station)).toBe(true);
  });
  test('gravest first, and the card at the machine carries the same', () => {
    const b = plain();
    intake({ hazards: ['pressure'], material: 'titanium' })(b);
    expect(b.card.cautions).toEqual(cautionsAt('cut', b.job, b.shop));
    expect(b.card.cautions[0]).toBe('licensed');
  });
  test('a chuck that is driven by hand on a control, or runs back on its own, is locked too', () => {
    const b = plain();
    screwedOn(b);
    expect(cautionsAt('cut', b.job, b.shop)).not.toContain('screwed-chuck');
    b.do({ do: 'chooseLathe', lathe: 'lathe-els' });
    expect(cautionsAt('cut', b.job, b.shop)).toContain('screwed-chuck');
  });
  test('every demo job: at most nine on one screen, each with a sentence', () => {
    for (const id of ['demo-sluice', 'demo-vice', 'demo-auger']) {
      const b = demo(id);
      for (const s of STATIONS) {
        const codes = cautionsAt(s, b.job, b.shop);
        expect(codes.length).toBeLessThanOrEqual(9);
        for (const c of codes) expect(cautionText(c, 'mm')).toMatch(/\.$/);
      }
    }
  });
});
