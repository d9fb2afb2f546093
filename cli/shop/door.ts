import { answersOf } from '../../ops/answers.ts';
import { emptyShop, newJob } from '../../core/job/create.ts';
import { applyEdit, type Edit } from '../../core/job/edits/index.ts';
import { newLathe } from '../../core/lathe/create.ts';
import { parseDesignation } from '../../core/standards/designation.ts';
import type { Gelvin } from '../../sim/run.ts';

/** Gelvin's two functions as they are, for the simulated shop. */
export const gelvin: Gelvin = {
  emptyShop,
  newJob,
  newLathe,
  thread: (designation) => {
    const parsed = parseDesignation(designation);
    if (!parsed.ok) throw new Error(parsed.problem.code);
    const { special, ...plain } = parsed.value.thread;
    return special ? { ...plain, special: { ...special } } : plain;
  },
  edit: (job, shop, edits) => {
    for (const e of edits) {
      const done = applyEdit(job, shop, e as Edit, { id: 'sim', at: '2026-11-26T08:00:00Z' });
      if (!done.ok) return { problem: `${done.problem.field}: ${done.problem.code}` };
      ({ job, shop } = done.value);
    }
    return { job, shop };
  },
  answers: (job, shop) => answersOf(job, shop, null),
};
