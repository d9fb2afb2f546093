import { bad, good, type Outcome } from '../quantity/outcome.ts';
import type { Job, Shop } from '../job/schema.ts';
import { JOB_VERSION } from '../job/stations.ts';
import { storableShop } from './checkShop.ts';
import { checkWith, problemsOf, type Checked, type Validator } from './checkWith.ts';
import { validateJob } from './generated/job.js';
import { senseOf } from './sense.ts';
import { upgradeJob } from './upgrade.ts';

export type { Checked } from './checkWith.ts';
export { checkShop } from './checkShop.ts';

/**
 * A job as it is kept or brought in, of any version.
 * @example checkJob(demo('pump')).state // 'good'
 */
export const checkJob = (raw: unknown): Checked<Job> => checkWith(raw, JOB_VERSION, upgradeJob, validateJob, senseOf);

/**
 * One rule for what is stored, exported and brought in: a document that the border would refuse is not made.
 * @example storable(demo('pump')).ok // true
 */
export function storable<T extends Job | Shop>(doc: T): Outcome<T> {
  if (doc.format !== 'gelvin-job') return storableShop(doc) as Outcome<T>;
  if ((validateJob as Validator<Job>)(doc)) {
    const wrong = senseOf(doc);
    return wrong ? { ok: false, problem: wrong } : good(doc);
  }
  const [first] = problemsOf(validateJob.errors);
  return first ? { ok: false, problem: first } : bad('document', 'not-in-document', { because: 'is wrong' });
}
