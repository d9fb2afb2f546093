import { expose } from 'comlink';
import { finderOf, type Finder } from './finder.ts';
import type { FindingWorker } from './findingProtocol.ts';

let finder: Finder | null = null;

/** The index over all jobs, kept where typing does not wait for it. */
const api: FindingWorker = {
  load(docs) {
    finder = finderOf(docs);
  },
  find(sought, most) {
    const hits = finder?.find(sought) ?? [];
    return { ids: hits.map((h) => h.id), first: hits.slice(0, most) };
  },
};
expose(api);
