import { wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { foundText } from '../../words/found.ts';
import type { JobRow as Row } from '../storage/rows.ts';
import { useShop } from '../store/store.ts';
import type { FindingWorker } from '../workers/findingProtocol.ts';

/** Of so many of the best it is said why: more nobody scrolls to. */
const WHY = 300;
/** So many rows are handed over at once, in a few milliseconds: a key pressed meanwhile is drawn between two lots. */
const LOT = 250;

interface Answer {
  readonly of: readonly Row[];
  readonly sought: string;
  readonly found: readonly Row[];
  readonly why: ReadonlyMap<string, string>;
}

let worker: Worker | null = null;
let remote: Remote<FindingWorker> | null = null;
function finding(): Remote<FindingWorker> {
  worker ??= new Worker(new URL('../workers/finding.worker.ts', import.meta.url), { type: 'module' });
  return (remote ??= wrap<FindingWorker>(worker));
}

/**
 * Rows that have all the words sought, the best first, asked of a worker: typing waits for none of it. Until it answers those
 * that have the words letter by letter.
 */
export function useFound(rows: readonly Row[] | null, sought: string) {
  const { lathes } = useShop();
  const [answer, setAnswer] = useState<Answer | null>(null);
  const loaded = useRef<{ readonly rows: readonly Row[]; readonly done: Promise<void> } | null>(null);
  const seeking = sought.trim() !== '';
  /** Hands the rows to the worker, once for each reading of the list. */
  const prepare = useCallback((): Promise<void> => {
    if (!rows) return Promise.resolve();
    if (loaded.current?.rows !== rows) {
      const load = async (): Promise<void> => {
        const { docsOf } = await import('./finding.ts');
        const names = new Map(lathes.map((l) => [l.id, l.name]));
        await finding().begin();
        for (let from = 0; from < rows.length && loaded.current?.rows === rows; from += LOT)
          await finding().add(docsOf(rows.slice(from, from + LOT), (id) => names.get(id) ?? ''));
      };
      loaded.current = { rows, done: load() };
    }
    return loaded.current.done;
  }, [rows, lathes]);
  useEffect(() => {
    if (!seeking || !rows) return;
    let current = true;
    const ask = async (): Promise<void> => {
      await prepare();
      // of what was typed meanwhile only the last is sought
      if (!current) return;
      const { places, first } = await finding().find(sought, WHY);
      if (!current) return;
      const why = new Map(first.map((h) => [h.id, foundText(h.why)] as const));
      setAnswer({ of: rows, sought, found: Array.from(places).flatMap((i) => rows[i] ?? []), why });
    };
    ask().catch(() => undefined); // letter by letter does, too
    return () => {
      current = false;
    };
  }, [seeking, rows, prepare, sought]);
  const shown = useMemo(() => {
    const none: ReadonlyMap<string, string> = new Map();
    if (!rows || !seeking) return { found: rows ?? undefined, why: none };
    // the last answer stays on show while the next is on its way: the list does not jump
    if (answer?.of === rows) return answer;
    const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
    return { found: rows.filter((r) => words.every((w) => r.find.includes(w))), why: none };
  }, [rows, sought, seeking, answer]);
  return { found: shown.found, why: shown.why, prepare };
}
