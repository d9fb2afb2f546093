import type { ComponentType } from 'react';
import { isStation, STATIONS, type StationId } from '../../core/job/stations.ts';

type Loaded = Promise<ComponentType>;
/** Modes of stations that are gone through at the machine as well. */
export type Mode = 'machine' | null;
/** Each station is fetched when it is first wanted, or when there is nothing else to do. */
const LOAD: Readonly<Record<StationId, () => Loaded>> = {
  intake: async () => (await import('../stations/intake/Intake.tsx')).Intake,
  read: async () => (await import('../stations/read/Read.tsx')).Read,
  name: async () => (await import('../stations/name/Name.tsx')).Name,
  fit: async () => (await import('../stations/fit/Fit.tsx')).Fit,
  gears: async () => (await import('../stations/gears/Gears.tsx')).Gears,
  setup: async () => (await import('../stations/setup/Setup.tsx')).Setup,
  pickup: async () => (await import('../stations/pickup/PickupStation.tsx')).PickupStation,
  cut: async () => (await import('../stations/cut/Cut.tsx')).Cut,
  prove: async () => (await import('../stations/prove/Prove.tsx')).Prove,
  record: async () => (await import('../stations/record/Record.tsx')).Record,
};
/** What of a station is gone through at the machine, beside its desk. */
const LOAD_MACHINE: Partial<Readonly<Record<StationId, () => Loaded>>> = {
  gears: async () => (await import('../stations/gears/PutUp.tsx')).PutUp,
  setup: async () => (await import('../stations/setup/SetupMachine.tsx')).SetupMachine,
};

const fetched = new Map<string, ComponentType>();
const named = (station: StationId, mode: Mode): string =>
  mode && LOAD_MACHINE[station] ? `${station} ${mode}` : station;

/** Fetches the view of a station: before it is shown, so that what is there now stays until then. */
async function fetchOne(station: StationId, mode: Mode): Promise<void> {
  const name = named(station, mode);
  const load = (mode && LOAD_MACHINE[station]) ?? LOAD[station];
  if (!fetched.has(name)) fetched.set(name, await load());
}

/** The mode that an address names. */
export const modeOf = (word: string | undefined): Mode => (word === 'machine' ? word : null);

/** The same for what an address says; nothing is fetched for a station that there is not. */
export const fetchStation = async (station: string, mode: string | undefined): Promise<void> => {
  if (isStation(station)) await fetchOne(station, modeOf(mode));
};

/** The view that was fetched, and whether it is one for the machine. */
export function viewOf(station: StationId, mode: Mode): { readonly View: ComponentType; readonly machine: boolean } {
  const name = named(station, mode);
  const View = fetched.get(name);
  if (!View) throw new Error(`the view of ${name} was not fetched`);
  return { View, machine: name !== station };
}

let asked = false;
/** Fetches the other stations while nothing else is wanted, so that going on never waits. */
export function fetchOthers(): void {
  if (asked) return;
  asked = true;
  const idle = globalThis.requestIdleCallback ?? ((f: () => void) => setTimeout(f, 200));
  const rest = [...STATIONS];
  const one = (): void => {
    const next = rest.shift();
    if (next)
      void fetchOne(next, null).then(
        () => idle(one),
        () => undefined,
      );
  };
  idle(one);
}
