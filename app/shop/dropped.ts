import type { Brought } from '../storage/files.ts';
import { told } from '../ui/told.ts';

/** A file that was dropped on the window or taken over, until somebody has decided what comes of it. */
export const { say: setDropped, use: useDropped } = told<Brought>();
