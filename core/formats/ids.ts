import type { Job } from '../job/schema.ts';

/** What may stand in an address without being written otherwise. */
const SAFE = /^[A-Za-z0-9][A-Za-z0-9_-]*$/;
const MOST = 80;

/** The same list with every identity once: what comes a second time gets a number behind it. */
function once<T extends { readonly id: string }>(items: readonly T[]): readonly T[] {
  const seen = new Set<string>();
  return items.map((item) => {
    let id = item.id;
    for (let n = 2; seen.has(id); n += 1) id = `${item.id.slice(0, MOST - 6)}-${n}`;
    seen.add(id);
    return id === item.id ? item : { ...item, id };
  });
}

/**
 * A job from a file with identities that hold here: its own may stand in an address, those of its readings are each there
 * once (an edit names a reading by it). Events are known by their number.
 * @example withSafeIds(demo('pump')).id // 'demo-pump'
 */
export function withSafeIds(job: Job): Job {
  const safe = SAFE.test(job.id) ? job.id : `from-file-${job.id.replace(/[^A-Za-z0-9_-]+/g, '-')}`.slice(0, MOST);
  const readings = once(job.readings);
  return safe === job.id && readings.every((r, i) => r === job.readings[i])
    ? job
    : { ...job, id: safe, readings: [...readings] };
}
