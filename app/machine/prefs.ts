import { useSyncExternalStore } from 'react';

/** What a person at this screen likes: kept by the browser, no part of the record. */
export interface Prefs {
  /** One press for each motion, instead of one for the pass. */
  readonly led: boolean;
  /** Each new reading is spoken. */
  readonly spoken: boolean;
}
const KEY = 'gelvin-at-the-machine';
const FIRST: Prefs = { led: false, spoken: false };

const listeners = new Set<() => void>();
let now: Prefs = read();

function read(): Prefs {
  try {
    const kept = JSON.parse(globalThis.localStorage?.getItem(KEY) ?? '{}') as Partial<Prefs>;
    return { led: kept.led === true, spoken: kept.spoken === true };
  } catch {
    return FIRST;
  }
}
export function setPrefs(change: Partial<Prefs>): void {
  now = { ...now, ...change };
  try {
    globalThis.localStorage?.setItem(KEY, JSON.stringify(now));
  } catch {
    // the browser keeps none: then it lasts as long as the page
  }
  for (const f of listeners) f();
}
const listen = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => void listeners.delete(f);
};
export const usePrefs = (): Prefs => useSyncExternalStore(listen, () => now);
