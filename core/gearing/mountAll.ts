import type { Gearing } from './change.ts';
import { mountTrain, type Arm, type Mount, type Turning } from './mount.ts';
import { gearsLeft, type Train } from './search.ts';

/** Trains of one lead that are tried on the arm before it is said that none goes. */
export const TRIED_FOR_EACH = 24;

export interface MountedTrain extends Train {
  /** Null when there is no arm to check against. */
  readonly mount: Mount | null;
}

export interface MountAll {
  readonly gears: readonly number[];
  readonly arm: Arm;
  readonly turning: Turning;
  /** What is on the lathe now, so that as little as can be is changed. */
  readonly mounted?: Gearing | null;
  /** How many trains that go on to keep of each lead. */
  readonly keep: number;
}

/**
 * Puts trains on the arm, lead by lead: of each the first few that go on, in the order of the gears as they go on; of a
 * lead for which none goes, the handiest with what stands in its way.
 */
export function mountAll(
  trains: readonly Train[],
  { gears, arm, turning, mounted = null, keep }: MountAll,
  onProgress?: (done: number) => void,
): MountedTrain[] {
  const leads = new Map<string, Train[]>();
  for (const t of trains) leads.set(t.leadMm, [...(leads.get(t.leadMm) ?? []), t]);
  const out: MountedTrain[] = [];
  let done = 0;
  for (const list of leads.values()) {
    const fitting: MountedTrain[] = [];
    let refused: MountedTrain | null = null;
    for (const t of list.slice(0, TRIED_FOR_EACH)) {
      const spare = gearsLeft(gears, [...t.drivers, ...t.driven]);
      const mount = mountTrain(t.drivers, t.driven, spare, arm, turning, mounted);
      if (mount.fits) fitting.push({ ...t, drivers: mount.drivers, driven: mount.driven, mount });
      else refused ??= { ...t, mount };
      if (fitting.length >= keep) break;
    }
    out.push(...fitting);
    if (fitting.length === 0 && refused) out.push(refused);
    done += 1;
    onProgress?.(done / leads.size);
  }
  return out;
}
