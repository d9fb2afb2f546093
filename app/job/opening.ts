import { storageText } from '../../words/storage.ts';
import { loadJob, type Found } from '../storage/db.ts';
import { allSaved, openJob, recorder, store } from '../store/store.ts';

/** How it stands with the job of the address. */
export type Opening =
  | { readonly kind: 'open' }
  | { readonly kind: 'missing' }
  /** The job before this one is not written yet: it stays in memory until it is. */
  | { readonly kind: 'waits' }
  | { readonly kind: 'failed'; readonly because: string }
  | { readonly kind: 'other'; readonly found: Found };

/**
 * Opens a job from the record into the store, unless what is in memory would be lost by it.
 * @param wanted whether it still is: whoever has gone on to another job meanwhile keeps that one
 */
export async function openingOf(jobId: string, wanted: () => boolean): Promise<Opening> {
  try {
    await allSaved();
    // what could not be written is in memory alone: it is shown as it is, or waited for
    if (recorder.unwritten) return { kind: store.getState().work.job?.present.id === jobId ? 'open' : 'waits' };
    const found = await loadJob(jobId);
    if (!found) return { kind: 'missing' };
    if (found.checked.state !== 'good') return { kind: 'other', found };
    if (wanted()) openJob(found.checked.doc, found.past, found.rev);
    return { kind: 'open' };
  } catch (e) {
    return { kind: 'failed', because: storageText(e) };
  }
}
