import { roundText } from '../quantity/format.ts';
import type { ThreadSpec } from '../standards/thread.ts';
import { cutFacts, workLeft } from './cutPlan.ts';
import { fitOfJob, gearState, latheOf, threadOfJob } from './derive.ts';
import { metalOf, standingOfPart, threadExists, type Metal } from './metal.ts';
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
  prove: ['fit', 'cut'],
  record: ['prove'],
};

/** Pick-up is a station only where a thread already exists. */
export const stationsOf = (job: Job): StationId[] => {
  // also where a thread being cut has lost its place
  const pickup = threadExists(job) || metalOf(job).phase === 'lost';
  return STATIONS.filter((s) => s !== 'pickup' || pickup);
};

const mm = (x: number): string => roundText(x, 0.001);

/** What a station rests on now. `believed` is the thread as the evidence now has it (null: not known). */
export function basisOf(
  station: StationId,
  job: Job,
  shop: Shop,
  believed: ThreadSpec | null,
  metal: Metal = metalOf(job),
): Basis {
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
      return {
        ...thread,
        'Lead cut': gears?.lead?.toFraction() ?? 'none',
        Groove: metal.phase === 'kept' ? 'found' : 'lost',
      };
    case 'cut':
      return {
        ...thread,
        ...cutFacts(job, shop),
        'Depth reached': mm(metal.depthMm),
        Part: String(metal.part),
      };
    case 'prove':
      return {
        ...thread,
        ...(plan ? { 'Pitch diameter': mm(plan.pitchDiameterMm) } : {}),
        Wire: job.prove.wire?.text ?? 'nearest owned',
        'Depth reached': mm(metal.depthMm),
        Tests: testsText(job, metal),
      };
    case 'record':
      return { ...thread, 'Depth reached': mm(metal.depthMm), Tests: testsText(job, metal), Part: String(metal.part) };
  }
}

/** What was tried and measured on this part, as a fact that other stations rest on. */
const testsText = (job: Job, metal: Metal): string =>
  standingOfPart(job, metal.part)
    .flatMap((e) =>
      e.kind === 'overWires'
        ? [e.text]
        : e.kind === 'tried'
          ? [`${e.mate || 'mate'} ${e.result}`]
          : e.kind === 'gauged'
            ? [`${e.which} ${e.passes ? 'goes' : 'does not'}`]
            : [],
    )
    .join('; ')
    .slice(0, 400);

/**
 * In words, what differs between two bases; empty when nothing does. @param shared only what both know of: a basis written
 * by an older version names other facts
 */
export function changes(then: Basis, now: Basis, shared = false): string[] {
  const out: string[] = [];
  for (const key of new Set([...Object.keys(then), ...Object.keys(now)])) {
    const [a, b] = [then[key], now[key]];
    if (a === b || (shared && (a === undefined || b === undefined))) continue;
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

/** Why a station cannot be settled yet; null: it can. Nothing settles with nothing in it. */
export function notYet(station: StationId, job: Job, shop: Shop, metal: Metal = metalOf(job)): string | null {
  switch (station) {
    case 'read':
      return job.readings.length > 0 ? null : 'Nothing has been read off the part yet.';
    case 'name':
    case 'fit':
    case 'setup':
      return job.name ? null : 'The thread has no name yet.';
    case 'gears':
      return gearState(job, shop)?.lead ? null : 'Nothing is chosen yet that cuts the lead.';
    case 'pickup':
      return metal.phase === 'kept' ? null : 'The tool is not in the groove yet.';
    case 'cut':
      if (metal.finished !== null) return null;
      return metal.cuts === 0
        ? 'Nothing has been cut yet.'
        : workLeft(job, shop, metal)
          ? 'There is still something to cut.'
          : null;
    case 'prove':
      return testsText(job, metal) === '' ? 'Nothing has been tried or measured yet.' : null;
    case 'record':
      return job.record.verdict === null ? 'Nobody has said yet whether it fits.' : null;
    case 'intake':
      return null;
  }
}

/** State of every station of a job, staleness carried along the chain. */
export function stationStates(job: Job, shop: Shop, top: ThreadSpec | null): Readonly<Record<StationId, StationState>> {
  const believed = believedThread(job, top);
  const metal = metalOf(job);
  const out = {} as Record<StationId, StationState>;
  for (const s of STATIONS) {
    const needs = NEEDS[s]?.(job, shop) ?? null;
    const settled = job.settled[s];
    if (settled && REOPENS.has(s) && notYet(s, job, shop, metal) !== null) out[s] = { kind: 'open' };
    else if (settled) {
      const moved = changes(settled.basis, basisOf(s, job, shop, believed, metal), settled.older === true);
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
/** Going back at the machine opens these again: what made them settled is no longer there. */
const REOPENS: ReadonlySet<StationId> = new Set(['pickup', 'cut', 'prove', 'record']);

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
