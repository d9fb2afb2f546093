import { told } from '../ui/told.ts';

/** What came of the last file that was dropped. */
export const { say: sayDropped, use: useDropSaid } = told<string>();
