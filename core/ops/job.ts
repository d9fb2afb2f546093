import { Type } from '@sinclair/typebox';
import { problemsOf } from '../formats/documents.ts';
import { upgradeJob, upgradeShop } from '../formats/upgrade.ts';
import { validateJob, validateShop } from '../formats/generated/validators.js';
import { rank } from '../identify/rank.ts';
import { answersOf } from '../job/answers.ts';
import { applyEdit, beginJob, EditSchema, type Edit } from '../job/edits/index.ts';
import { evidenceOfJob, partOf } from '../job/evidence.ts';
import type { Job, Shop } from '../job/schema.ts';
import { time } from '../job/parts.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { op, orNull, strict } from './op.ts';

/** The documents are those of the application's files: older ones are brought up to date, and all are checked. */
function readJob(doc: unknown): Outcome<Job> {
  const job = upgradeJob(doc);
  if (validateJob(job)) return good(job);
  const [first] = problemsOf(validateJob.errors);
  return bad(`job.${first?.field ?? ''}`, first?.message ?? 'This is no job.', 'a job as the application exports it');
}
function readShop(doc: unknown): Outcome<Shop> {
  const shop = upgradeShop(doc);
  if (validateShop(shop)) return good(shop);
  const [first] = problemsOf(validateShop.errors);
  return bad(
    `shop.${first?.field ?? ''}`,
    first?.message ?? 'This is no shop.',
    'a shop as the application exports it',
  );
}

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
      if (!job) return bad(`edits.${i}.do`, 'There is no job yet.', '{"do":"newJob"} first');
      const done = applyEdit(job, now, e, made);
      if (!done.ok)
        return {
          ok: false,
          problem: {
            ...done.problem,
            field: `edits.${i}.${done.problem.field}`,
            message: `${e.do}: ${done.problem.message}`,
          },
        };
      job = done.value.job;
      now = done.value.shop;
    }
    if (!job) return bad('job', 'There is no job and no edit begins one.', '{"do":"newJob"}');
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
    return good(answersOf(job.value, shop.value, ranking) as unknown as Record<string, unknown>);
  },
});
