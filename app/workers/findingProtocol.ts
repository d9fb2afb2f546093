import type { FindDoc, Hit } from './finder.ts';

export interface FindingWorker {
  /** Begins anew: what was handed over before is forgotten. */
  begin(): void;
  /** Further jobs, in the order of the list. */
  add(docs: readonly FindDoc[]): void;
  /**
   * Places in the list of all that match, the best first; of the first ones also why. Places and not identities: thousands of
   * them pass to the page without being copied.
   */
  find(sought: string, most: number): { readonly places: Uint32Array; readonly first: readonly Hit[] };
}
