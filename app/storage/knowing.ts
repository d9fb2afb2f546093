import type * as Knowledge from './knowledge.ts';

let here: typeof Knowledge | null = null;

/** Whatever knows what is in a job. The list of jobs comes without it: it lists rows, and opens none. */
export const fetchKnowing = async (): Promise<typeof Knowledge> => (here ??= await import('./knowledge.ts'));

/** The same at once, for what is done to an open job: opening it has fetched it. @throws Error where nothing did */
export function knowing(): typeof Knowledge {
  if (!here) throw new Error('asked about a job before one was opened');
  return here;
}
