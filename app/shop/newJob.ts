import { newId } from '../ui/newId.ts';
import { newJob } from '../../core/job/create.ts';
import { againFrom } from '../../core/job/again.ts';
import { makeOf } from '../../core/job/made.ts';
import type { Job } from '../../core/job/schema.ts';
import { againTitle } from '../../words/bringIn.ts';
import { putJobs } from '../storage/db.ts';
import { channel } from '../store/store.ts';

/** Begins a job in the record. @param cameIn what is on the bench @returns its identity */
export async function beginJob(cameIn: Job['intake']['cameIn'] = 'screw'): Promise<string> {
  const job = newJob(
    newId(),
    `Job of ${new Date().toLocaleDateString(undefined, { dateStyle: 'medium' })}`,
    new Date(),
  );
  const intake = { ...job.intake, cameIn };
  await putJobs([{ ...job, intake: { ...intake, make: makeOf(intake) ?? intake.make } }]);
  channel.say({ what: 'job', id: job.id, rev: 1 });
  return job.id;
}

/** Begins a job from another one, as it stands. @returns its identity */
export async function beginAgain(job: Job): Promise<string> {
  const again = againFrom(job, againTitle(job.title), newId(), new Date());
  await putJobs([again]);
  channel.say({ what: 'job', id: again.id, rev: 1 });
  return again.id;
}
