import { useSyncExternalStore } from 'react';
import type { Brought } from '../storage/files.ts';

/** A file that was dropped on the window, until somebody has decided what comes of it. */
let dropped: Brought | null = null;
const listeners = new Set<() => void>();

export function setDropped(brought: Brought | null): void {
  dropped = brought;
  for (const f of listeners) f();
}
const listen = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => void listeners.delete(f);
};
export const useDropped = (): Brought | null => useSyncExternalStore(listen, () => dropped);
