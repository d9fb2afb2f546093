import { useEffect, useMemo, useRef, useState } from 'react';

/** How long Done stays shut after it was pressed: a knuckle bounces, an instrument sends twice. */
const SHUT_MS = 800;

/** Keeps the button shut for a moment after it was pressed, and after the ledger moved under it: another window may have been first. */
export function useShut(after: number) {
  const [on, setOn] = useState(false);
  const current = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const close = (): void => {
    current.current = true;
    setOn(true);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      current.current = false;
      setOn(false);
    }, SHUT_MS);
  };
  const seen = useRef(after);
  useEffect(() => {
    if (seen.current === after) return;
    seen.current = after;
    close();
  }, [after]);
  return {
    shut: {
      on,
      get current() {
        return current.current;
      },
    },
    close,
  };
}

/** The key of Done: always the newest one. */
export function useLatest(done: () => void) {
  const latest = useRef(done);
  useEffect(() => {
    latest.current = done;
  });
  return useMemo(() => ({ passDone: () => latest.current() }), []);
}

/** Which motion of the pass is the present one; a new pass begins with the first. */
export function useMotion(after: number): readonly [number, (n: number) => void] {
  const [at, set] = useState({ after, n: 0 });
  return [at.after === after ? at.n : 0, (n) => set({ after, n })];
}
