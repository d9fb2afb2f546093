import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { CalcWorker } from './protocol.ts';

let worker: Worker | null = null;
let remote: Remote<CalcWorker> | null = null;
/** Told when the worker is stopped: an answer from it will never come. */
const waiting = new Set<() => void>();

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
  for (const tell of waiting) tell();
  waiting.clear();
}

export interface Answered<T> {
  readonly value: T | null;
  readonly pending: boolean;
  readonly failed: string | null;
  /** The person stopped it before it answered. */
  readonly stopped: boolean;
  /** Share done, 0 to 1, of work that reports it. */
  readonly done: number | null;
  /** Asks the same again, after a stop or a failure. */
  readonly again: () => void;
}

export type Ask<T> = (worker: Remote<CalcWorker>, onProgress: (done: number) => void) => Promise<T>;

interface State<T> {
  readonly key: string | null;
  readonly value: T | null;
  readonly failed: string | null;
  readonly stopped: boolean;
}
const NOTHING = { key: null, value: null, failed: null, stopped: false };

/**
 * Asks the worker whenever the question changes; an answer to an older question is dropped, the last one stays on show.
 * @param stoppable a stop ends it; otherwise it is asked again of the fresh worker
 */
export function useCalc<T>(key: string | null, ask: Ask<T>, stoppable = false): Answered<T> {
  const [state, setState] = useState<State<T>>(NOTHING);
  const [progress, setProgress] = useState<{ key: string | null; done: number }>({ key: null, done: 0 });
  const [run, setRun] = useState(0);
  const question = key === null ? null : `${run} ${key}`;
  useEffect(() => {
    if (question === null) return;
    let current = true;
    const settle = (next: Partial<State<T>>, keep: boolean): void => {
      waiting.delete(stopped);
      if (current) setState((s) => ({ ...NOTHING, value: keep ? s.value : null, key: question, ...next }));
    };
    const stopped = (): void => (stoppable ? settle({ stopped: true }, true) : setRun((n) => n + 1));
    waiting.add(stopped);
    ask(
      calc(),
      proxy((done: number) => {
        if (current) setProgress({ key: question, done });
      }),
    ).then(
      (value) => settle({ value }, false),
      (e: unknown) => settle({ failed: e instanceof Error ? e.message : 'the computation failed' }, false),
    );
    return () => {
      current = false;
      waiting.delete(stopped);
    };
    // the key stands for everything that ask() closes over
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [question]);
  const mine = state.key === question;
  return {
    value: question === null ? null : state.value,
    pending: question !== null && !mine,
    failed: mine ? state.failed : null,
    stopped: mine && state.stopped,
    done: progress.key === question && question !== null ? progress.done : null,
    again: () => setRun((n) => n + 1),
  };
}
