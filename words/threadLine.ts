import type { Job } from '../core/job/schema.ts';

/** The thread's name for a heading; designations already carry pitch, starts and hand. */
export const threadLine = (job: Job): string | null => job.name?.thread.designation ?? null;
