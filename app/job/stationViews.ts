import { lazy, type ComponentType } from 'react';
import type { StationId } from '../../core/job/stations.ts';

type Loaded = Promise<{ readonly default: ComponentType }>;
/** Each station is fetched when it is first wanted, or when there is nothing else to do. */
const LOAD: Readonly<Record<StationId, () => Loaded>> = {
  intake: async () => ({ default: (await import('../stations/intake/Intake.tsx')).Intake }),
  read: async () => ({ default: (await import('../stations/read/Read.tsx')).Read }),
  name: async () => ({ default: (await import('../stations/name/Name.tsx')).Name }),
  fit: async () => ({ default: (await import('../stations/fit/Fit.tsx')).Fit }),
  gears: async () => ({ default: (await import('../stations/gears/Gears.tsx')).Gears }),
  setup: async () => ({ default: (await import('../stations/setup/Setup.tsx')).Setup }),
  pickup: async () => ({ default: (await import('../stations/pickup/Pickup.tsx')).Pickup }),
  cut: async () => ({ default: (await import('../stations/cut/Cut.tsx')).Cut }),
  prove: async () => ({ default: (await import('../stations/prove/Prove.tsx')).Prove }),
  record: async () => ({ default: (await import('../stations/record/Record.tsx')).Record }),
};
export const STATION_VIEWS: Readonly<Record<StationId, ComponentType>> = {
  intake: lazy(LOAD.intake),
  read: lazy(LOAD.read),
  name: lazy(LOAD.name),
  fit: lazy(LOAD.fit),
  gears: lazy(LOAD.gears),
  setup: lazy(LOAD.setup),
  pickup: lazy(LOAD.pickup),
  cut: lazy(LOAD.cut),
  prove: lazy(LOAD.prove),
  record: lazy(LOAD.record),
};

/** What of a station is gone through at the machine, beside its desk. */
export const MACHINE_VIEWS: Partial<Record<StationId, ComponentType>> = {
  gears: lazy(async () => ({ default: (await import('../stations/gears/PutUp.tsx')).PutUp })),
  setup: lazy(async () => ({ default: (await import('../stations/setup/SetupMachine.tsx')).SetupMachine })),
};

let asked = false;
/** Fetches the other stations while nothing else is wanted, so that going on never waits. */
export function fetchOthers(first: StationId): void {
  if (asked) return;
  asked = true;
  const idle = globalThis.requestIdleCallback ?? ((f: () => void) => setTimeout(f, 200));
  const rest = Object.values(LOAD);
  const one = (): void => {
    const next = rest.shift();
    if (next)
      void next().then(
        () => idle(one),
        () => undefined,
      );
  };
  // what is wanted now comes before what may be wanted
  void LOAD[first]().then(
    () => idle(one),
    () => undefined,
  );
}
