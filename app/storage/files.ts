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
export const readFile = async (file: File): Promise<Imported> => {
  const { readDocument } = await import('../../core/formats/documents.ts');
  return readDocument(await file.text());
};
