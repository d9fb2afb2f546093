import { newJob } from './create.ts';
import type { Job } from './schema.ts';

/**
 * A job begun from another: what the part is, its name, fit, gears and set-up, with the readings typed by hand; nothing that was done at the
 * machine, no pictures and no proof, and no station settled: each is looked at for this part.
 * @example againFrom(demo('pump'), 'next', 'Another', new Date(0)).readings.length // 4; its readings come with it
 */
export function againFrom(job: Job, title: string, id: string, at: Date): Job {
  const fresh = newJob(id, title, at);
  return {
    ...fresh,
    customer: job.customer,
    intake: job.intake,
    readings: job.readings.filter((r) => r.picture === undefined),
    wearMap: job.wearMap,
    part: job.part,
    name: job.name,
    fit: job.fit,
    gears: job.gears,
    // what is checked at the machine is checked anew
    setup: { ...job.setup, checks: [] },
    pickup: job.pickup,
    cut: { ...job.cut, passes: null },
    prove: job.prove,
    quantity: job.quantity,
    record: { note: job.record.note, verdict: null },
  };
}
