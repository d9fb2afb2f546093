import { roundText } from '../quantity/format.ts';
import type { ThreadSpec } from '../standards/thread.ts';
import { fitOfJob, gearState, latheOf, threadOfJob } from './derive.ts';
import type { Job, Shop, StationId } from './schema.ts';
import { STATIONS } from './stations.ts';

/** The facts a station rests on, by name, as short texts: kept when it is settled, compared ever after. */
export type Basis = Readonly<Record<string, string>>;

export type StationState =
  | { readonly kind: 'open' }
  | { readonly kind: 'settled' }
  /** Settled once, but something it rested on has changed. */
  | { readonly kind: 'stale'; readonly because: string }
  | { readonly kind: 'blocked'; readonly because: string };

/** Which stations each one rests on directly. */
export const RESTS_ON: Readonly<Record<StationId, readonly StationId[]>> = {
  intake: [],
  read: [],
  name: ['read'],
  fit: ['name'],
  gears: ['name', 'fit'],
  setup: ['fit', 'gears'],
  pickup: ['gears'],
  cut: ['fit', 'gears', 'setup'],
  prove: ['fit'],
  record: ['prove'],
};

/** Pick-up is a station only where a thread already exists. */
export const hasPickup = (job: Job): boolean =>
  job.intake.wanted === 'recut' || job.intake.wanted === 'extend' || job.intake.cameIn === 'broken-shaft';
export const stationsOf = (job: Job): StationId[] => STATIONS.filter((s) => s !== 'pickup' || hasPickup(job));

const mm = (x: number): string => roundText(x, 0.001);

/** What a station rests on now. `believed` is the thread as the evidence now has it (null: not known). */
export function basisOf(station: StationId, job: Job, shop: Shop, believed: ThreadSpec | null): Basis {
  const thread: Basis = believed
    ? { Thread: believed.designation, Pitch: believed.pitch, Starts: String(believed.starts) }
    : {};
  const plan = fitOfJob(job);
  const lathe = latheOf(job, shop);
  const gears = gearState(job, shop);
  switch (station) {
    case 'intake':
      return {};
    case 'read':
      return { 'What came in': job.intake.cameIn };
    case 'name':
      return Object.fromEntries(
        job.readings.map((r) => [
          `Reading ${r.quantity} ${r.id}`,
          `${r.text}${r.span ? ` in ${r.span.text}` : ''}${r.leaf ? ` ${r.leaf}` : ''} ${r.wear} ${r.uncertainty ?? ''}`.trim(),
        ]),
      );
    case 'fit':
      return { ...thread, 'What is made': job.intake.make };
    case 'gears':
      return {
        ...thread,
        Lathe: lathe?.name ?? 'none',
        ...(lathe
          ? { Leadscrew: lathe.leadscrew, 'Fixed ratio': lathe.fixedRatio, 'Gears owned': lathe.gears.join(' ') }
          : {}),
      };
    case 'setup':
      return {
        ...thread,
        'What is made': job.intake.make,
        Lathe: lathe?.name ?? 'none',
        'Scale zero': lathe?.slideScaleZero ?? '',
        'Lead cut': gears?.lead?.toFraction() ?? 'none',
      };
    case 'pickup':
      return { ...thread, 'Lead cut': gears?.lead?.toFraction() ?? 'none' };
    case 'cut':
      return {
        ...thread,
        ...(plan ? { Depth: mm(plan.depthMm), 'Start diameter': mm(plan.startDiameterMm) } : {}),
        'Lead cut': gears?.lead?.toFraction() ?? 'none',
        Infeed: `${job.setup.infeed} ${job.setup.infeed === 'angled' ? job.setup.slideAngleDeg : ''}`,
        Schedule: `${job.cut.rule} ${job.cut.passes ?? 'suggested'} ${job.cut.firstMaxMm ?? '-'} ${job.cut.lastMinMm ?? '-'}`,
        ...(lathe ? { Dials: JSON.stringify([lathe.crossSlide, lathe.topSlide]) } : {}),
      };
    case 'prove':
      return {
        ...thread,
        ...(plan ? { 'Pitch diameter': mm(plan.pitchDiameterMm) } : {}),
        Wire: job.prove.wire?.text ?? 'nearest owned',
      };
    case 'record':
      return {
        ...thread,
        'Passes done': String(job.cut.done),
        'Readings over wires': job.prove.readings.map((r) => r.text).join('; '),
      };
  }
}

/** In words, what differs between two bases; empty when nothing does. */
export function changes(then: Basis, now: Basis): string[] {
  const out: string[] = [];
  for (const key of new Set([...Object.keys(then), ...Object.keys(now)])) {
    const [a, b] = [then[key], now[key]];
    if (a === b) continue;
    const label = key.startsWith('Reading ') ? 'A reading' : key;
    if (a === undefined) out.push(`${label} was added: ${b}`);
    else if (b === undefined) out.push(`${label} was taken away: ${a}`);
    else out.push(`${label} was ${a}, is now ${b}`);
  }
  return out;
}

/**
 * The thread as now believed: the accepted one while the evidence is as it was, or while the ranking still puts it first.
 * Null when the evidence has moved on, so that whatever rested on the name can say so.
 */
export function believedThread(job: Job, top: ThreadSpec | null): ThreadSpec | null {
  const accepted = threadOfJob(job);
  if (!accepted || !job.name) return top;
  const settled = job.settled.name;
  const same = settled !== undefined && changes(settled.basis, basisOf('name', job, EMPTY, null)).length === 0;
  if (same) return accepted;
  if (!job.name.overruled && top && top.designation === accepted.designation) return accepted;
  return job.name.overruled ? null : top;
}
/** basisOf('name') reads nothing of the shop. */
const EMPTY = { lathes: [] } as unknown as Shop;

const NEEDS: Partial<Record<StationId, (job: Job, shop: Shop) => string | null>> = {
  name: (job) => (job.readings.length === 0 ? 'Nothing has been read off the part yet.' : null),
  fit: (job) => (job.name ? null : 'The thread has no name yet.'),
  gears: (job, shop) =>
    !job.name ? 'The thread has no name yet.' : shop.lathes.length === 0 ? 'No lathe is described in the shop.' : null,
  setup: (job) => (job.name ? null : 'The thread has no name yet.'),
  pickup: (job) => (job.name ? null : 'The thread has no name yet.'),
  cut: (job, shop) =>
    !job.name ? 'The thread has no name yet.' : gearState(job, shop)?.lead ? null : 'No gear train is chosen.',
  prove: (job) => (job.name ? null : 'The thread has no name yet.'),
};

/** State of every station of a job, staleness carried along the chain. */
export function stationStates(job: Job, shop: Shop, top: ThreadSpec | null): Readonly<Record<StationId, StationState>> {
  const believed = believedThread(job, top);
  const out = {} as Record<StationId, StationState>;
  for (const s of STATIONS) {
    const needs = NEEDS[s]?.(job, shop) ?? null;
    const settled = job.settled[s];
    if (settled) {
      const moved = changes(settled.basis, basisOf(s, job, shop, believed));
      const upstream = RESTS_ON[s].find((u) => out[u]?.kind === 'stale' && u !== 'name');
      if (moved.length > 0) out[s] = { kind: 'stale', because: wordsOf(moved) };
      else if (upstream)
        out[s] = { kind: 'stale', because: `${STATION_NAMES[upstream]} has to be looked at again first.` };
      else out[s] = { kind: 'settled' };
    } else if (needs !== null) out[s] = { kind: 'blocked', because: needs };
    else out[s] = { kind: 'open' };
  }
  return out;
}

const wordsOf = (moved: readonly string[]): string =>
  `${moved[0] ?? ''}${moved.length > 1 ? `, and ${moved.length - 1} more` : ''}.`;

export const STATION_NAMES: Readonly<Record<StationId, string>> = {
  intake: 'Intake',
  read: 'Read',
  name: 'Name',
  fit: 'Fit',
  gears: 'Gears',
  setup: 'Set up',
  pickup: 'Pick up',
  cut: 'Cut',
  prove: 'Prove',
  record: 'Record',
};
