import type { FindDoc, Hit } from './finder.ts';

export interface FindingWorker {
  load(docs: readonly FindDoc[]): void;
  /** Identities of all that match, the best first; of the first ones also why. */
  find(sought: string, most: number): { readonly ids: readonly string[]; readonly first: readonly Hit[] };
}
