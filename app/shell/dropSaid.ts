import { useSyncExternalStore } from 'react';

/** What came of the last file that was dropped; null: nothing to say. */
let said: string | null = null;
const listeners = new Set<() => void>();

export function sayDropped(text: string | null): void {
  said = text;
  for (const f of listeners) f();
}
const listen = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => void listeners.delete(f);
};
export const useDropSaid = (): string | null => useSyncExternalStore(listen, () => said);
