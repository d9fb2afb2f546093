import { useEffect, useState } from 'react';
import type { Lesson } from '../../core/job/lesson.ts';
import { loadRows } from './db.ts';
import type { JobRow } from './rows.ts';

/** Rows of all jobs, read when they are first asked for; null while they are on their way, none where they cannot be read. */
export function useJobRows(): readonly JobRow[] | null {
  const [rows, setRows] = useState<readonly JobRow[] | null>(null);
  useEffect(() => {
    let current = true;
    loadRows().then(
      (r) => current && setRows(r),
      () => current && setRows([]), // what is done here goes on without what was learned
    );
    return () => {
      current = false;
    };
  }, []);
  return rows;
}

/** What other jobs taught. @param but the job that asks */
export const lessonsOf = (rows: readonly JobRow[], but: string): Lesson[] =>
  rows.flatMap((r) => (r.lesson && r.id !== but ? [r.lesson] : []));
