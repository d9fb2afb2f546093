import { useEffect, useState } from 'react';
import { loadRows } from '../storage/db.ts';
import { leadOfName } from './practiceLathe.ts';

/** More than these nobody looks through; the newest ones. */
const MOST = 30;

/** Threads of the shop's own jobs, each once, the newest first; none while they are read, or where they cannot be. */
export function useThreads(): readonly { readonly title: string; readonly thread: string }[] {
  const [threads, setThreads] = useState<readonly { title: string; thread: string }[]>([]);
  useEffect(() => {
    let here = true;
    loadRows().then(
      (rows) => {
        const seen = new Map<string, string>();
        for (const r of rows.toSorted((a, b) => b.touched - a.touched)) {
          if (seen.size === MOST) break;
          if (r.thread !== null && !seen.has(r.thread) && leadOfName(r.thread) !== null) seen.set(r.thread, r.title);
        }
        if (here) setThreads([...seen].map(([thread, title]) => ({ thread, title })));
      },
      // the practice does without them
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, []);
  return threads;
}
