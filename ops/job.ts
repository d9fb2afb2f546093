import { Type } from '@sinclair/typebox';
import { checkJob, checkShop, storable, type Checked } from '../core/formats/check.ts';
import { storableShop } from '../core/formats/checkShop.ts';
import { rank } from '../core/identify/rank.ts';
import { answersOf } from './answers.ts';
import { applyEdit, beginJob, EditSchema, type Edit } from '../core/job/edits/index.ts';
import { evidenceOfJob, partOf } from '../core/job/evidence.ts';
import type { Job, Shop } from '../core/job/schema.ts';
import { time } from '../core/job/parts.ts';
import { bad, good, type Outcome } from '../core/quantity/outcome.ts';
import { op, orNull, strict } from './op.ts';

/** The documents are those of the application's files: older ones are brought up to date, and all are checked. */
function read<T>(what: 'job' | 'shop', checked: Checked<T>): Outcome<T> {
  if (checked.state === 'good') return good(checked.doc);
  if (checked.state === 'newer')
    return bad(`${what}.version`, 'is-no-document', { because: `version ${checked.version} is newer than this door` });
  const [first] = checked.problems;
  return bad(`${what}.${first?.field ?? ''}`, 'is-no-document', {
    because: String(first?.figures['because'] ?? first?.code ?? `This is no ${what}.`),
  });
}
const readJob = (doc: unknown): Outcome<Job> => read('job', checkJob(doc));
const readShop = (doc: unknown): Outcome<Shop> => read('shop', checkShop(doc));

const document = Type.Unknown({ description: 'as in the files of the application' });
const NO_TIME = '1970-01-01T00:00:00Z';

export const editOp = op({
  name: 'edit',
  about: 'Carries a job through named edits, as the application does',
  request: strict({
    job: document,
    shop: document,
    edits: Type.Array(EditSchema, { maxItems: 10_000 }),
    at: orNull(time),
  }),
  reply: Type.Object({ job: document, shop: document }),
  run: (q) => {
    const shop = readShop(q.shop);
    if (!shop.ok) return shop;
    let now = shop.value;
    const at = q.at ?? NO_TIME;
    let job: Job | null = null;
    if (q.job != null) {
      const read = readJob(q.job);
      if (!read.ok) return read;
      job = read.value;
    }
    for (const [i, e] of q.edits.entries()) {
      const made = { id: `e${(job?.events.length ?? 0) + i + 1}`, at };
      if (e.do === 'newJob') {
        job = beginJob(e.title, e.id ?? made.id, e.at ?? at);
        continue;
      }
      if (!job) return bad(`edits.${i}.do`, 'no-job-yet');
      const done = applyEdit(job, now, e, made);
      if (!done.ok) return bad(`edits.${i}.${done.problem.field}`, 'refused-edit', { edit: e.do }, done.problem);
      // what the border would refuse is not made: the door keeps to it as the application does
      const changed = done.value;
      const kept = storable(changed.job);
      const also = kept.ok && changed.shop !== now ? storableShop(changed.shop) : kept;
      if (!also.ok) return bad(`edits.${i}.${also.problem.field}`, 'refused-edit', { edit: e.do }, also.problem);
      job = changed.job;
      now = changed.shop;
    }
    if (!job) return bad('job', 'no-job-yet');
    return good({ job, shop: now });
  },
});
export type { Edit };

export const jobOp = op({
  name: 'job',
  about: 'All that the stations of a job conclude and show',
  request: strict({ job: document, shop: document }),
  reply: Type.Object({}),
  run: (q) => {
    const shop = readShop(q.shop);
    if (!shop.ok) return shop;
    const job = readJob(q.job);
    if (!job.ok) return job;
    const evidence = evidenceOfJob(job.value);
    const ranking =
      evidence.length === 0
        ? null
        : rank({
            part: partOf(job.value),
            evidence,
            context: { origin: job.value.intake.origin, use: job.value.intake.use },
            most: 8,
          });
    return good({ ...answersOf(job.value, shop.value, ranking) });
  },
});
