import { problem, type Problem } from '../quantity/outcome.ts';
import type { Backup, Job } from '../job/schema.ts';
import { BACKUP_VERSION, JOB_VERSION, SHOP_VERSION } from '../job/stations.ts';
import { checkJob, checkShop } from './check.ts';
import { withSafeIds } from './ids.ts';
import { repairShop } from './repair.ts';

/** A job of a backup that was not taken in, and why. */
interface LeftOut {
  readonly title: string;
  readonly problems: readonly Problem[];
  readonly raw: unknown;
}
/** What a file turned out to hold, checked; or every reason why it can't be taken. A job is taken in whole or not at all. */
export type Imported =
  | { readonly ok: true; readonly kind: 'job'; readonly job: Job }
  | {
      readonly ok: true;
      readonly kind: 'backup';
      readonly backup: Backup;
      /** Jobs that do not hold. */
      readonly left: readonly LeftOut[];
      /** Places of the shop that did not hold and were let go. */
      readonly shopLost: readonly string[];
    }
  | { readonly ok: false; readonly problems: readonly Problem[] };

export { writeBackup, writeJob } from './write.ts';

/**
 * Reads an exported job or whole shop.
 * @example readDocument('{').ok // false
 */
export function readDocument(text: string): Imported {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (e) {
    return refuse(problem('file', 'file-not-json', { because: e instanceof Error ? e.message : 'unreadable' }));
  }
  const head = data as { format?: unknown; version?: unknown } | null;
  if (typeof head !== 'object' || head === null || (head.format !== 'gelvin-job' && head.format !== 'gelvin-backup'))
    return refuse(problem('format', 'file-neither'));
  const current = head.format === 'gelvin-job' ? JOB_VERSION : BACKUP_VERSION;
  if (typeof head.version !== 'number' || head.version > current)
    return refuse(problem('version', 'file-newer', { version: String(head.version), current }));
  if (head.format === 'gelvin-job') {
    const job = checkJob(data);
    if (job.state === 'good') return { ok: true, kind: 'job', job: withSafeIds(job.doc) };
    return job.state === 'damaged'
      ? { ok: false, problems: job.problems }
      : refuse(problem('version', 'file-newer', { version: job.version, current }));
  }
  return backupOf(data as { shop?: unknown; jobs?: unknown });
}

function backupOf({ shop: rawShop, jobs: rawJobs }: { shop?: unknown; jobs?: unknown }): Imported {
  const shop = checkShop(rawShop);
  if (shop.state === 'newer')
    return refuse(problem('shop.version', 'file-newer', { version: shop.version, current: SHOP_VERSION }));
  const repaired = shop.state === 'good' ? { doc: shop.doc, lost: [] } : repairShop(rawShop);
  if (!repaired) return { ok: false, problems: shop.state === 'damaged' ? shop.problems : [] };
  if (!Array.isArray(rawJobs)) return refuse(problem('jobs', 'not-in-document', { because: 'must be a list' }));
  const jobs: Job[] = [];
  const left: LeftOut[] = [];
  const ids = new Set<string>();
  for (const raw of rawJobs as unknown[]) {
    const checked = checkJob(raw);
    const title = titleOf(raw);
    if (checked.state === 'damaged') left.push({ title, problems: checked.problems, raw });
    else if (checked.state === 'newer')
      left.push({
        title,
        problems: [problem('version', 'file-newer', { version: checked.version, current: JOB_VERSION })],
        raw,
      });
    else {
      const job = withSafeIds(checked.doc);
      if (ids.has(job.id)) left.push({ title, problems: [problem('id', 'jobs-alike', { id: job.id })], raw });
      else {
        ids.add(job.id);
        jobs.push(job);
      }
    }
  }
  const backup: Backup = { format: 'gelvin-backup', version: BACKUP_VERSION, shop: repaired.doc, jobs };
  return { ok: true, kind: 'backup', backup, left, shopLost: repaired.lost };
}

const MOST_TITLE = 80;
/**
 * What a document calls itself, as far as it can be read.
 * @example titleOf({ title: 'A screw' }) // 'A screw'
 */
export function titleOf(raw: unknown): string {
  const title = typeof raw === 'object' && raw !== null ? (raw as { title?: unknown }).title : null;
  return typeof title === 'string' && title.trim() !== '' ? title.slice(0, MOST_TITLE) : '';
}

const refuse = (why: Problem): Imported => ({ ok: false, problems: [why] });
