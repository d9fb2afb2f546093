import type { Job, Shop } from '../../core/job/schema.ts';
import type { Imported } from '../../core/formats/documents.ts';
import { writeBackup, writeJob } from '../../core/formats/write.ts';
import { rawRecord } from './opening.ts';

export const downloadText = (name: string, text: string, type = 'application/json'): void =>
  download(name, new Blob([text], { type }));
export const downloadBytes = (name: string, bytes: ArrayBuffer, type: string): void =>
  download(name, new Blob([bytes], { type }));

function download(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

export const fileName = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'job';

/** A job by itself; with its pictures where it has any. */
export async function exportJobPack(job: Job): Promise<void> {
  if (job.pictures.length === 0) return exportJob(job);
  const { packJob } = await import('./pack.ts');
  download(`${fileName(job.title)}.gelvin.zip`, await packJob(job));
}
export async function exportShopPack(shop: Shop, jobs: readonly Job[], others: readonly unknown[]): Promise<void> {
  const { packShop } = await import('./pack.ts');
  download(`${fileName(shop.name)}-backup.gelvin.zip`, await packShop(shop, jobs, others));
}

export const exportJob = (job: Job): void => downloadText(`${fileName(job.title)}.gelvin.json`, writeJob(job));

/** The whole shop; jobs that do not hold go apart, as they were found, so that the backup can be brought in. */
export function exportShop(shop: Shop, jobs: readonly Job[], others: readonly unknown[]): void {
  downloadText(`${fileName(shop.name)}-backup.gelvin.json`, writeBackup(shop, jobs));
  if (others.length > 0) downloadText(`${fileName(shop.name)}-set-aside.json`, `${JSON.stringify(others, null, 2)}\n`);
}
export const EXPORT_RAW = 'Export everything as it lies there';
/** Everything as it lies in the record, checked by nobody. */
export const exportRaw = async (): Promise<void> =>
  downloadText('gelvin-record-as-it-lies.json', `${JSON.stringify(await rawRecord(), null, 1)}\n`);
/** A file brought in: what it holds, checked, and the pictures beside it. */
export interface Brought {
  readonly file: Imported;
  readonly pictures: ReadonlyMap<string, Blob>;
}
export const readFile = async (file: File): Promise<Brought> => {
  const [{ readDocument }, { unpacked }] = await Promise.all([
    import('../../core/formats/documents.ts'),
    import('./pack.ts'),
  ]);
  const { text, pictures } = await unpacked(file);
  return { file: readDocument(text), pictures };
};
