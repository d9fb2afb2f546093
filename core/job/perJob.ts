import type { Job, Shop } from './schema.ts';

/**
 * A derivation that several places of one screen, or of one answer, ask for in turn, worked out once for each job and shop. Both
 * are never changed in place, so that the same two always have the same answer.
 * @example perJob((job) => job.id)(demo('pump'), shop) // 'demo-pump'
 */
export function perJob<T>(derive: (job: Job, shop: Shop) => T): (job: Job, shop: Shop) => T {
  const kept = new WeakMap<Job, { readonly shop: Shop; readonly answer: T }>();
  return (job, shop) => {
    const known = kept.get(job);
    if (known?.shop === shop) return known.answer;
    const answer = derive(job, shop);
    kept.set(job, { shop, answer });
    return answer;
  };
}
