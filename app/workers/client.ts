import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { CalcWorker } from './protocol.ts';

let worker: Worker | null = null;
let remote: Remote<CalcWorker> | null = null;

function calc(): Remote<CalcWorker> {
  if (!remote) {
    const made = new Worker(new URL('./calc.worker.ts', import.meta.url), { type: 'module' });
    worker = made;
    remote = wrap<CalcWorker>(made);
  }
  return remote;
}

/** Stops whatever the worker is at (a busy worker hears nothing else); the next question starts a fresh one. */
export function stopCalc(): void {
  worker?.terminate();
  worker = null;
  remote = null;
}

export interface Answered<T> {
  readonly value: T | null;
  readonly pending: boolean;
  readonly failed: string | null;
}

/** Asks the worker whenever the question changes; an answer to an older question is dropped, the last one stays on show. */
export function useCalc<T>(key: string | null, ask: (worker: Remote<CalcWorker>) => Promise<T>): Answered<T> {
  const [state, setState] = useState<{ key: string | null; value: T | null; failed: string | null }>({
    key: null,
    value: null,
    failed: null,
  });
  useEffect(() => {
    if (key === null) return;
    let current = true;
    ask(calc()).then(
      (value) => {
        if (current) setState({ key, value, failed: null });
      },
      (e: unknown) => {
        if (current) setState({ key, value: null, failed: e instanceof Error ? e.message : 'the computation failed' });
      },
    );
    return () => {
      current = false;
    };
    // the key stands for everything that ask() closes over
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  if (key === null) return { value: null, pending: false, failed: null };
  return { value: state.value, pending: state.key !== key, failed: state.key === key ? state.failed : null };
}
