import { useSyncExternalStore } from 'react';

/** One thing that is told from anywhere and shown in one place, until it is put away. */
export function told<T>(): { readonly say: (what: T | null) => void; readonly use: () => T | null } {
  let now: T | null = null;
  const listeners = new Set<() => void>();
  const listen = (f: () => void): (() => void) => {
    listeners.add(f);
    return () => void listeners.delete(f);
  };
  return {
    say: (what) => {
      now = what;
      for (const f of listeners) f();
    },
    use: () => useSyncExternalStore(listen, () => now),
  };
}
