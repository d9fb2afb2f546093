import type { JobRow } from '../storage/rows.ts';
import type { FindDoc } from '../workers/finder.ts';

/** What of the rows of the list is sought in. @param lathe name of a lathe by its identity */
export const docsOf = (rows: readonly JobRow[], lathe: (id: string) => string): FindDoc[] =>
  rows.map((r) => ({
    id: r.id,
    title: r.title,
    customer: r.customer,
    thread: r.thread ?? '',
    read: r.seek ?? '',
    lathe: r.lathe ? lathe(r.lathe) : '',
    notes: r.notes ?? r.find,
  }));
