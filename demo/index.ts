import { emptyShop, newJob } from '../core/job/create.ts';
import { DRESSED } from '../core/job/events.ts';
import type { Edit } from '../core/job/edits/index.ts';
import type { Job, JobDraft, Shop, Pin } from '../core/job/schema.ts';
import { demoLathes } from './lathes.ts';
import { finishedJobs } from './finished.ts';
import { DEMO_SHOP } from './name.ts';
import { acts, name, settled, tell, times, type Told } from './telling.ts';

/** The demo shop: a repair shop by a river lock and a boatyard. Every name and number in it is invented. */
export const demoShop = (): Shop => DEMO;
const pin = (kind: Pin['kind'], mm: number): Pin => ({ kind, mm, measuredMm: null, roundMm: null });
const DEMO: Shop = {
  ...emptyShop(),
  name: DEMO_SHOP,
  lathes: demoLathes(),
  pins: [
    ...[0.29, 0.335, 0.455, 0.62, 0.725, 0.895, 1.1, 1.35, 1.65, 2.05, 2.0574, 2.55, 3.2, 4].map((mm) =>
      pin('wire', mm),
    ),
    { ...pin('drill', 2.1), measuredMm: 2.087, roundMm: 0.004 },
    pin('needle', 1.5),
    pin('needle', 2.5),
    ...[1, 1.5, 2, 2.381, 3].map((mm) => pin('ball', mm)),
  ],
  settings: { ...emptyShop().settings, operator: 'Ines Tarrow' },
};

const begin = (id: string, title: string, customer: string, day: string): JobDraft => {
  const job = structuredClone(newJob(id, title, new Date(`2026-11-${day}T08:00:00.000Z`))) as JobDraft;
  job.customer = customer;
  return job;
};

/** Jobs in different states, so that every station has something real in it. Told once: nobody writes to them. */
export const demoJobs = (): Job[] => [...(told ??= tellAll())];
let told: readonly Job[] | null = null;

function tellAll(): Job[] {
  const shop = demoShop();

  const sluice = begin('demo-sluice', 'Sluice-gate spindle', 'Osier Lock, gate 2', '09');
  sluice.intake = {
    ...sluice.intake,
    cameIn: 'both',
    use: 'power-screw',
    material: 'tough steel',
    note: 'Spindle bent and worn over the middle 300 mm; bronze nut to be kept if it can.',
  };
  tell(sluice, [
    ['majorDiameter', '1.492 in', { at: 10, wear: 'unworn', place: 'top, above the nut', with: 'caliper' }],
    ['majorDiameter', '1.4915 in', { at: 60, wear: 'unworn', with: 'caliper' }],
    ['majorDiameter', '1.483 in', { at: 150, wear: 'worn', with: 'caliper' }],
    ['majorDiameter', '1.478 in', { at: 260, wear: 'worn', place: 'middle of the travel', with: 'caliper' }],
    ['majorDiameter', '1.486 in', { at: 380, wear: 'worn', with: 'caliper' }],
    ['overWires', '1.5385 in', { span: '0.1476 in', at: 20, wear: 'unworn', with: 'micrometer' }],
    ['overWires', '1.5255 in', { span: '0.1476 in', at: 250, wear: 'worn', with: 'micrometer' }],
    ['overWires', '1.532 in', { span: '0.1476 in', at: 380, wear: 'worn', with: 'micrometer' }],
    ['crestCount', '42', { span: '12 in' }],
    ['flankAngle', '29', { with: 'template' }],
    ['depth', '3.7', { wear: 'unworn', with: 'caliper' }],
  ]);
  sluice.wearMap = { lengthMm: 420, unworn: null };
  name(sluice, '1 1/2 in x 3.5 TPI 29');
  sluice.fit = { ...sluice.fit, class: null, engagementMm: 70, pitchClearanceMm: 0.2 };
  sluice.gears = { lathe: 'lathe-bess', train: { drivers: [60, 40], driven: [30, 35], gearbox: '1' } };
  sluice.setup = {
    ...sluice.setup,
    rpm: 40,
    reliefMm: 12,
    lengthMm: 540,
    held: { ...sluice.setup.held, by: 'chuck-centre', freeMm: 620, inJawsMm: 44, grip: 'firm' },
    checks: ['ground', 'height', 'square', 'true', 'relief', 'zero', 'clear'],
  };
  settled(sluice, shop, ['intake', 'read', 'name', 'fit', 'gears', 'setup']);
  acts(sluice, shop, '2026-11-09T09:00:00.000Z', [
    { do: 'mountGears' },
    { do: 'mount', holding: 'chuck-centre' },
    { do: 'measureBlank', diameterMm: 1.487 * 25.4, text: '1.487 in' },
    { do: 'touchOff' },
    { do: 'scratch', crests: 7, spanMm: 50.8, text: '7 crests in 2 in' },
    ...times(6, { do: 'passDone' }),
  ]);

  const gland = begin('demo-gland', 'Stern-gland nut', 'Withy Boatyard, the Marigold', '11');
  gland.intake = {
    ...gland.intake,
    cameIn: 'both',
    wanted: 'mate',
    make: 'internal',
    material: 'bronze',
    origin: 'british',
    hazards: [],
  };
  tell(gland, [
    ['majorDiameter', '2 1/4', { wear: 'unknown', place: 'gland, near the shoulder', with: 'rule' }],
    ['majorDiameter', '2.236 in', { wear: 'worn', place: 'gland, outer end', with: 'caliper' }],
    ['crestCount', '12', { span: '2 in' }],
    ['flankAngle', '55', { with: 'template' }],
  ]);
  name(gland, '2 1/4-6 BSF');
  gland.fit = { ...gland.fit, class: 'medium', engagementMm: 38 };
  settled(gland, shop, ['intake', 'read', 'name']);

  const windlass = begin('demo-windlass', 'Windlass brake screw', 'Withy Boatyard, hire fleet', '16');
  windlass.intake = {
    ...windlass.intake,
    use: 'power-screw',
    material: 'tough steel',
    note: 'Two starts seen at the end face. Left hand?',
  };
  tell(windlass, [
    ['majorDiameter', '31.85', { wear: 'unworn', place: 'under the collar', with: 'caliper' }],
    ['crestCount', '8', { span: '48 mm' }],
    ['starts', '2'],
  ]);
  settled(windlass, shop, ['intake']);

  const pump = begin('demo-pump', 'Pump shaft, stub welded', 'Osier Lock, pump house', '17');
  pump.intake = {
    ...pump.intake,
    cameIn: 'broken-shaft',
    wanted: 'extend',
    material: 'tough steel',
    origin: 'metric',
    use: 'machine-part',
    note: 'Stub welded and turned; the new thread has to run into the 60 mm that survive.',
  };
  tell(pump, [
    ['majorDiameter', '29.86', { wear: 'unworn', place: 'surviving length', with: 'micrometer' }],
    ['pitchLeaf', '2 mm', { leaf: 'fits' }],
    ['crestCount', '25', { span: '50 mm' }],
    ['flankAngle', '60', { with: 'template' }],
  ]);
  name(pump, 'M30x2');
  pump.gears = { lathe: 'lathe-bess', train: { drivers: [63, 20], driven: [40, 50], gearbox: '1' } };
  settled(pump, shop, ['intake', 'read', 'name', 'fit', 'gears', 'setup']);
  acts(pump, shop, '2026-11-17T13:00:00.000Z', [
    { do: 'mount', holding: 'chuck-centre' },
    { do: 'offset', mm: 0.7, text: '0.7 mm' },
  ]);

  const press = begin('demo-press', 'Cider-press screw', 'Hollin Farm', '18');
  press.intake = { ...press.intake, use: 'power-screw', material: 'mild steel', hazards: [] };
  press.quantity = { parts: 2, testPiece: true };
  tell(press, [
    ['majorDiameter', '49.8', { wear: 'unworn', place: 'top end', with: 'caliper' }],
    ['crestCount', '12.5', { span: '100 mm' }],
    ['trailingFlank', '3', { with: 'template' }],
    ['leadingFlank', '31', { with: 'template' }],
  ]);
  settled(press, shop, ['intake', 'read']);

  const brass = begin('demo-brass', 'Level screws, brass, six off', 'Harbour survey office', '04');
  brass.intake = { ...brass.intake, material: 'brass', use: 'instrument', origin: 'british' };
  tell(brass, [
    ['majorDiameter', '2.29', { wear: 'unworn', with: 'micrometer' }],
    ['crestCount', '20.5', { span: '10 mm' }],
    ['flankAngle', '55', { with: 'comparator' }],
  ]);
  name(brass, '2.3 mm x 52 TPI 55', 'same as the last batch, see the old drawing');
  brass.gears = { lathe: 'lathe-els', train: null };
  brass.setup = {
    ...brass.setup,
    rpm: 250,
    reliefMm: 3,
    checks: ['ground', 'height', 'square', 'true', 'relief', 'zero', 'clear'],
  };
  brass.cut = { ...brass.cut, passes: { count: 6, after: 0 }, firstMaxMm: 0.1, lastMinMm: 0.02, springs: 1 };
  brass.prove = { ...brass.prove, wire: { text: '0.29', mm: 0.29 } };
  brass.record = { note: 'Light oil, 250 rev/min, top slide straight in would have done as well.', verdict: 'fits' };
  acts(brass, shop, '2026-11-04T10:00:00.000Z', [
    { do: 'mount', holding: 'collet' },
    { do: 'measureBlank', diameterMm: 2.25, text: '2.25' },
    { do: 'touchOff' },
    { do: 'provePitch', by: 'scratch' },
    ...times(6, { do: 'passDone' }),
    { do: 'springDone' },
    ...DRESSED.map((what): Edit => ({ do: 'dress', what })),
    { do: 'tryMate', mate: 'level frame', result: 'runs' },
    { do: 'finishPart' },
  ]);
  settled(brass, shop, ['intake', 'read', 'name', 'fit', 'gears', 'setup', 'cut', 'prove', 'record']);

  const latch = begin('demo-latch', 'Gate-latch bolt', 'Hollin Farm', '19');
  latch.intake = {
    ...latch.intake,
    use: 'fastener',
    note: 'Ten millimetres of thread are left; the gate may be of anywhere.',
  };
  tell(latch, [
    ['majorDiameter', '7.85', { wear: 'unknown', place: 'behind the head', with: 'caliper' }],
    ['crestCount', '8', { span: '10 mm' }],
  ]);
  latch.wearMap.lengthMm = 10;
  settled(latch, shop, ['intake']);

  const plug = begin('demo-plug', 'Go plug for the valve nuts', 'Osier Lock, pump house', '20');
  plug.intake = {
    ...plug.intake,
    cameIn: 'nut',
    wanted: 'gauge',
    make: 'external',
    material: 'tough steel',
    origin: 'metric',
    use: 'fastener',
    note: 'Eight new nuts come from outside; this tells which of them go on.',
  };
  tell(plug, [
    ['minorDiameter', '21.1', { wear: 'unworn', place: 'a good old nut', with: 'caliper' }],
    ['pitchLeaf', '2.5 mm', { leaf: 'fits' }],
    ['flankAngle', '60', { with: 'template' }],
  ]);
  name(plug, 'M24x2.5', 'as on the drawing of the valve');
  settled(plug, shop, ['intake', 'read', 'name']);

  const vice = begin('demo-vice', 'Bench-vice nut, for the worn screw', 'Hollin Farm', '23');
  vice.intake = {
    ...vice.intake,
    cameIn: 'screw',
    wanted: 'mate',
    make: 'internal',
    material: 'bronze',
    origin: 'metric',
    use: 'power-screw',
    note: 'The screw stays: it is worn where the jaws usually stand.',
  };
  tell(vice, [
    ['majorDiameter', '27.92', { at: 15, wear: 'unworn', place: 'at the handle', with: 'caliper' }],
    ['crestCount', '20', { span: '100 mm' }],
    ['flankAngle', '30', { with: 'template' }],
    ['overWires', '28.48', { span: '2.55', at: 15, wear: 'unworn', with: 'micrometer' }],
    ['overWires', '28.16', { span: '2.55', at: 90, wear: 'worn', with: 'micrometer' }],
    ['overWires', '28', { span: '2.55', at: 130, wear: 'worn', with: 'micrometer' }],
    ['overWires', '28.45', { span: '2.55', at: 210, wear: 'unworn', with: 'micrometer' }],
    ['minorDiameter', '22.7', { at: 130, place: 'one turn ground off at the end', with: 'micrometer' }],
    ['minorDiameter', '22.95', { at: 15, with: 'caliper' }],
  ]);
  vice.wearMap = { lengthMm: 230, unworn: null };
  name(vice, 'Tr28x5');
  vice.fit = { ...vice.fit, class: null, to: 'mate', pitchClearanceMm: 0.2 };
  vice.gears = { lathe: 'lathe-els', train: null };
  settled(vice, shop, ['intake', 'read', 'name']);

  const auger = begin('demo-auger', 'Feed-auger ends, two, bruised', 'Hollin Farm', '24');
  auger.intake = {
    ...auger.intake,
    cameIn: 'screw',
    wanted: 'recut',
    material: 'mild steel',
    origin: 'american',
    use: 'machine-part',
    note: 'Their nuts are good and stay. Thread chased until the nuts run.',
  };
  auger.quantity = { parts: 2, testPiece: false };
  tell(auger, [
    ['majorDiameter', '1.243 in', { wear: 'unworn', place: 'behind the bruise', with: 'caliper' }],
    ['minorDiameter', '1.066 in', { wear: 'unknown', with: 'caliper' }],
    ['crestCount', '7', { span: '1 in' }],
    ['flankAngle', '60', { with: 'template' }],
  ]);
  name(auger, '1 1/4-7 UNC');
  auger.fit = { ...auger.fit, class: null, pitchClearanceMm: 0.1, tip: { flatMm: 0.4 } };
  auger.gears = { lathe: 'lathe-els', train: null };
  auger.cut = { ...auger.cut, deeperStepMm: 0.0381, springs: 1 };
  settled(auger, shop, ['intake', 'read', 'name', 'fit', 'gears', 'setup']);
  acts(auger, shop, '2026-11-24T10:00:00.000Z', [
    { do: 'mount', holding: 'chuck-centre' },
    { do: 'inGroove', way: 'by-eye' },
    { do: 'touchOff', on: 'groove' },
    { do: 'airPass', result: 'in' },
    { do: 'tryMate', mate: 'its own nut', result: 'no-start' },
    { do: 'deeper', byMm: 0.0381 },
    { do: 'passDone' },
    { do: 'springDone' },
    { do: 'tryMate', mate: 'its own nut', result: 'starts', turns: 2 },
  ]);

  const fitting = begin('demo-fitting', 'Boiler-feed elbow, tapered', 'Osier Lock, pump house', '05');
  fitting.intake = {
    ...fitting.intake,
    cameIn: 'screw',
    wanted: 'copy',
    material: 'bronze',
    origin: 'british',
    use: 'pipe',
    hazards: ['pressure'],
    note: 'Leaks at the old joint; the boiler house keeps its own rules.',
  };
  tell(fitting, [
    ['majorDiameter', '33.35', { wear: 'unworn', place: 'large end', with: 'caliper' }],
    ['crestCount', '11', { span: '1 in' }],
    ['flankAngle', '55', { with: 'template' }],
    ['taper', '1 in 16'],
  ]);
  fitting.wearMap.lengthMm = 22;
  fitting.part = { ...fitting.part, headDiameterMm: 46, headLengthMm: 18 };
  settled(fitting, shop, ['intake', 'read']);

  // the two winches of the boatyard, made on either side of a border: alike to the eye
  const winch = (
    id: string,
    title: string,
    day: string,
    origin: 'metric' | 'american',
    told: readonly Told[],
  ): JobDraft => {
    const job = begin(id, title, 'Withy Boatyard, hire fleet', day);
    job.intake = {
      ...job.intake,
      cameIn: 'screw',
      wanted: 'copy',
      material: 'tough steel',
      origin,
      use: 'power-screw',
    };
    tell(job, told);
    job.wearMap.lengthMm = 180;
    job.part = { ...job.part, headDiameterMm: 44, headLengthMm: 12, grooveMm: 6, stubDiameterMm: 20, stubLengthMm: 25 };
    return job;
  };
  const winchMetric = winch('demo-winch-metric', 'Winch spindle, the metric one', '06', 'metric', [
    ['majorDiameter', '27.9', { at: 12, wear: 'unworn', place: 'under the collar', with: 'caliper' }],
    ['majorDiameter', '27.62', { at: 90, wear: 'worn', with: 'caliper' }],
    ['crestCount', '20', { span: '100 mm' }],
    ['flankAngle', '30', { with: 'template' }],
  ]);
  name(winchMetric, 'Tr28x5');
  winchMetric.gears = { lathe: 'lathe-dreyl', train: { drivers: [40], driven: [48], gearbox: '1' } };
  settled(winchMetric, shop, ['intake', 'read', 'name', 'fit', 'gears']);
  const winchInch = winch('demo-winch-inch', 'Winch spindle, the inch one', '07', 'american', [
    ['majorDiameter', '1.121 in', { at: 12, wear: 'unworn', place: 'under the collar', with: 'caliper' }],
    ['majorDiameter', '1.109 in', { at: 90, wear: 'worn', with: 'caliper' }],
    ['crestCount', '20', { span: '4 in' }],
    ['flankAngle', '29', { with: 'template' }],
  ]);
  name(winchInch, '1 1/8-5 Acme');
  settled(winchInch, shop, ['intake', 'read', 'name']);

  return [
    sluice,
    gland,
    windlass,
    pump,
    press,
    brass,
    latch,
    plug,
    vice,
    auger,
    fitting,
    winchMetric,
    winchInch,
    ...finishedJobs(sluice, shop),
  ];
}
