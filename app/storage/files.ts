import type { Job, Shop } from '../../core/job/schema.ts';
import type { Imported } from '../../core/formats/documents.ts';

export function downloadText(name: string, text: string, type = 'application/json'): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

const fileName = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'job';

// the validators are large and seldom needed: fetched with the first export or import
const documents = () => import('../../core/formats/documents.ts');

export const exportJob = (job: Job): void =>
  void documents().then((d) => downloadText(`${fileName(job.title)}.gelvin.json`, d.writeJob(job)));
export const exportShop = (shop: Shop, jobs: readonly Job[]): void =>
  void documents().then((d) => downloadText(`${fileName(shop.name)}-backup.gelvin.json`, d.writeBackup(shop, jobs)));
export const readFile = async (file: File): Promise<Imported> => (await documents()).readDocument(await file.text());
