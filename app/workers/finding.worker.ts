import { expose, transfer } from 'comlink';
import { emptyFinder, type Finder } from './finder.ts';
import type { FindingWorker } from './findingProtocol.ts';

let finder: Finder = emptyFinder();

/** The index over all jobs, kept where typing does not wait for it. */
const api: FindingWorker = {
  begin() {
    finder = emptyFinder();
  },
  add(docs) {
    finder.add(docs);
  },
  find(sought, most) {
    const hits = finder.find(sought);
    const places = Uint32Array.from(hits, (h) => h.place);
    return transfer({ places, first: hits.slice(0, most) }, [places.buffer]);
  },
};
expose(api);
