import { kept } from '../keep/keep.ts';
import { emptyShop } from './create.ts';
import { roundText } from '../quantity/format.ts';
import type { ThreadSpec } from '../standards/thread.ts';
import { cutFacts, workLeft } from './cutPlan.ts';
import { fitOfJob, gearState, latheOf, threadOfJob } from './derive.ts';
import { metalOf, standingOfPart, threadExists, type Metal } from './metal.ts';
import type { Job, Shop, StationId } from './schema.ts';
import { latheFacts, movedFacts } from './sameFacts.ts';
import { STATIONS } from './stations.ts';

/** The facts a station rests on, by name, as short texts: kept when it is settled, compared ever after. */
export type Basis = Readonly<Record<string, string>>;

/** How it stands with a station. */
export type StationState =
  | { readonly kind: 'open' }
  | { readonly kind: 'settled' }
  /** Settled once, but something it rested on has changed. */
  | { readonly kind: 'stale'; readonly because: Because }
  | { readonly kind: 'blocked'; readonly because: Because };

/** What a station waits for. */
export type Waiting =
  | 'nothing-read'
  | 'no-name'
  | 'no-lathes'
  | 'no-train'
  | 'no-lead'
  | 'groove-lost'
  | 'nothing-cut'
  | 'still-to-cut'
  | 'nothing-tried'
  | 'no-verdict';
/** A fact that is not what it was when a station was settled; null: it was not there, or is there no more. */
export interface Moved {
  readonly fact: string;
  readonly was: string | null;
  readonly now: string | null;
}
/** Why a station is not as it was, or not open yet. */
export type Because =
  | { readonly code: 'waiting'; readonly for: Waiting }
  | { readonly code: 'upstream'; readonly station: StationId }
  | { readonly code: 'moved'; readonly moved: readonly Moved[] };

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

/**
 * Pick-up is a station only where a thread already exists.
 * @example [stationsOf(demo('auger')).includes('pickup'), stationsOf(demo('plug')).includes('pickup')] // [true, false]; only a thread that is there is picked up
 */
export const stationsOf = (job: Job): StationId[] => {
  // also where a thread being cut has lost its place
  const pickup = threadExists(job) || metalOf(job).phase === 'lost';
  return STATIONS.filter((s) => s !== 'pickup' || pickup);
};

const mm = (x: number): string => roundText(x, 1e-6);

/**
 * What a station rests on now. `believed` is the thread as the evidence now has it (null: not known).
 * @example basisOf('gears', demo('pump'), shop, thread('M30x2')).Leadscrew // '127/40'
 */
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
        ...latheFacts(lathe),
        ...(lathe
          ? {
              Leadscrew: lathe.leadscrew,
              'Fixed ratio': lathe.fixedRatio,
              'Gears owned': lathe.gears.join(' '),
            }
          : {}),
      };
    case 'setup':
      return {
        ...thread,
        'What is made': job.intake.make,
        ...latheFacts(lathe),
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
      e.kind === 'overWires' || e.kind === 'betweenBalls'
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
 * What differs between two bases; empty when nothing does. @param shared only what both know of: a basis written
 * by an older version names other facts
 * @example changes(basisOf('fit', demo('pump'), shop, null), basisOf('fit', demo('pump'), shop, null)) // []
 * @example changes({ Lead: '2' }, { Lead: '3' })[0].now // '3'
 */
export function changes(then: Basis, now: Basis, shared = false): Moved[] {
  const known = (fact: string): boolean => !shared || (then[fact] !== undefined && now[fact] !== undefined);
  return movedFacts(then, now)
    .filter(known)
    .map((fact) => ({ fact, was: then[fact] ?? null, now: now[fact] ?? null }));
}

/**
 * The thread as now believed: the accepted one while the evidence is as it was, or while the ranking still puts it first.
 * Null when the evidence has moved on, so that whatever rested on the name can say so.
 * @example believedThread(demo('press'), thread('M30x2')).designation // 'M30x2'; nothing was named: the likeliest
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
const EMPTY = emptyShop();

const NEEDS: Partial<Record<StationId, (job: Job, shop: Shop) => Waiting | null>> = {
  name: (job) => (job.readings.length === 0 ? 'nothing-read' : null),
  fit: (job) => (job.name ? null : 'no-name'),
  gears: (job, shop) => (!job.name ? 'no-name' : shop.lathes.length === 0 ? 'no-lathes' : null),
  setup: (job) => (job.name ? null : 'no-name'),
  pickup: (job) => (job.name ? null : 'no-name'),
  cut: (job, shop) => (!job.name ? 'no-name' : gearState(job, shop)?.lead ? null : 'no-train'),
  prove: (job) => (job.name ? null : 'no-name'),
};

/**
 * Why a station cannot be settled yet; null: it can. Nothing settles with nothing in it.
 * @example notYet('fit', demo('press'), shop) // 'no-name'
 */
export function notYet(station: StationId, job: Job, shop: Shop, metal: Metal = metalOf(job)): Waiting | null {
  switch (station) {
    case 'read':
      return job.readings.length > 0 ? null : 'nothing-read';
    case 'name':
    case 'fit':
    case 'setup':
      return job.name ? null : 'no-name';
    case 'gears':
      return gearState(job, shop)?.lead ? null : 'no-lead';
    case 'pickup':
      return metal.phase === 'kept' ? null : 'groove-lost';
    case 'cut':
      if (metal.finished !== null) return null;
      return metal.cuts === 0 ? 'nothing-cut' : workLeft(job, shop, metal) ? 'still-to-cut' : null;
    case 'prove':
      return testsText(job, metal) === '' ? 'nothing-tried' : null;
    case 'record':
      return job.record.verdict === null ? 'no-verdict' : null;
    case 'intake':
      return null;
  }
}

/**
 * State of every station of a job, staleness carried along the chain.
 * @example stationStates(demo('press'), shop, null).intake.kind // 'settled'
 */
export const stationStates = kept(
  (job: Job, shop: Shop, top: ThreadSpec | null): Readonly<Record<StationId, StationState>> => {
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
        if (moved.length > 0) out[s] = { kind: 'stale', because: { code: 'moved', moved } };
        else if (upstream) out[s] = { kind: 'stale', because: { code: 'upstream', station: upstream } };
        else out[s] = { kind: 'settled' };
      } else if (needs !== null) out[s] = { kind: 'blocked', because: { code: 'waiting', for: needs } };
      else out[s] = { kind: 'open' };
    }
    return out;
  },
);
/** Going back at the machine opens these again: what made them settled is no longer there. */
const REOPENS: ReadonlySet<StationId> = new Set(['pickup', 'cut', 'prove', 'record']);
