import { mountTrain, type Arm, type Mount, type Turning } from './mount.ts';
import { type Train } from '../search/findTrains.ts';
import { type Gearing, gearsLeft } from '../train.ts';

/** Trains of one lead that are tried on the arm before it is said that none goes. */
export const TRIED_FOR_EACH = 24;

/** A train with how it goes on. */
export interface MountedTrain extends Train {
  /** Null when there is no arm to check against. */
  readonly mount: Mount | null;
}

/** What decides whether and how a train goes on. */
export interface MountAt {
  readonly gears: readonly number[];
  readonly arm: Arm;
  readonly turning: Turning;
  /** What is on the lathe now, so that as little as can be is changed. */
  readonly mounted?: Gearing | null;
}
/** Which trains are tried on the arm and how many are kept. */
export interface MountAll extends MountAt {
  /** How many trains that go on to keep of each lead. */
  readonly keep: number;
}

/**
 * Puts one train on the arm, its idlers from the gears that it leaves over.
 * @example mountOne({ drivers: [60, 40], driven: [30, 35] }, { gears: [30, 35, 40, 60], arm, turning: null }).fits // true
 */
export const mountOne = (train: Gearing, { gears, arm, turning, mounted = null }: MountAt): Mount =>
  mountTrain(train.drivers, train.driven, gearsLeft(gears, [...train.drivers, ...train.driven]), arm, turning, mounted);

/**
 * Puts trains on the arm, lead by lead: of each the first few that go on, in the order of the gears as they go on; of a
 * lead for which none goes, the handiest with what stands in its way.
 * @example mountAll([{ drivers: [60, 40], driven: [30, 35], gearbox: '1', leadMm: '1', errorPpm: 0 }], { gears: [30, 35, 40, 60], arm, turning: null, keep: 1 }).length // 1
 */
export function mountAll(trains: readonly Train[], at: MountAll, onProgress?: (done: number) => void): MountedTrain[] {
  const leads = new Map<string, Train[]>();
  for (const t of trains) leads.set(t.leadMm, [...(leads.get(t.leadMm) ?? []), t]);
  const out: MountedTrain[] = [];
  let done = 0;
  for (const list of leads.values()) {
    const fitting: MountedTrain[] = [];
    let refused: MountedTrain | null = null;
    for (const t of list.slice(0, TRIED_FOR_EACH)) {
      const mount = mountOne(t, at);
      if (mount.fits) fitting.push({ ...t, drivers: mount.drivers, driven: mount.driven, mount });
      else refused ??= { ...t, mount };
      if (fitting.length >= at.keep) break;
    }
    out.push(...fitting);
    if (fitting.length === 0 && refused) out.push(refused);
    done += 1;
    onProgress?.(done / leads.size);
  }
  return out;
}
