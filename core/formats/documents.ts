import { problem, type Problem } from '../quantity/outcome.ts';
import type { Backup, Job, Shop } from '../job/schema.ts';
import { BACKUP_VERSION, JOB_VERSION } from '../job/stations.ts';
import { validateBackup, validateJob } from './generated/validators.js';
import { upgradeBackup, upgradeJob } from './upgrade.ts';

/** What a file turned out to hold, checked; or every reason why it can't be taken. Nothing is taken in half. */
export type Imported =
  | { readonly ok: true; readonly kind: 'job'; readonly job: Job }
  | { readonly ok: true; readonly kind: 'backup'; readonly backup: Backup }
  | { readonly ok: false; readonly problems: readonly Problem[] };

const MOST_PROBLEMS = 20;

export const writeJob = (job: Job): string => `${JSON.stringify(job, null, 2)}\n`;
export const writeBackup = (shop: Shop, jobs: readonly Job[]): string =>
  `${JSON.stringify({ format: 'gelvin-backup', version: BACKUP_VERSION, shop, jobs }, null, 2)}\n`;

/** Reads an exported job or whole shop. */
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
    const job = upgradeJob(data);
    return validateJob(job) ? { ok: true, kind: 'job', job } : { ok: false, problems: problemsOf(validateJob.errors) };
  }
  const backup = upgradeBackup(data, BACKUP_VERSION);
  if (!validateBackup(backup)) return { ok: false, problems: problemsOf(validateBackup.errors) };
  const ids = backup.jobs.map((j) => j.id);
  const repeated = ids.find((id, i) => ids.indexOf(id) !== i);
  if (repeated !== undefined) return refuse(problem('jobs', 'jobs-alike', { id: repeated }));
  return { ok: true, kind: 'backup', backup };
}

const refuse = (why: Problem): Imported => ({ ok: false, problems: [why] });

interface SchemaError {
  readonly instancePath: string;
  readonly keyword: string;
  readonly message?: string;
  readonly params: Record<string, unknown>;
}

export function problemsOf(errors: readonly SchemaError[] | null | undefined): Problem[] {
  const seen = new Set<string>();
  const out: Problem[] = [];
  for (const e of errors ?? []) {
    const extra = e.params['additionalProperty'] ?? e.params['missingProperty'];
    const field = `${e.instancePath.slice(1).replaceAll('/', '.') || 'document'}${typeof extra === 'string' && e.keyword === 'additionalProperties' ? `.${extra}` : ''}`;
    const allowed = e.params['allowedValues'];
    const message = `${e.message ?? 'is wrong'}${Array.isArray(allowed) ? `: ${allowed.join(', ')}` : ''}`;
    if (seen.has(`${field} ${message}`)) continue;
    seen.add(`${field} ${message}`);
    out.push(problem(field, 'not-in-document', { because: message }));
  }
  return out.slice(0, MOST_PROBLEMS);
}
