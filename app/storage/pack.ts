import { strFromU8, strToU8, unzip, zip, type AsyncZippable } from 'fflate';
import { unparse } from 'papaparse';
import { listsOf } from '../../core/formats/lists.ts';
import { writeBackup, writeJob } from '../../core/formats/write.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import { PACK_NOTE } from '../../words/pack.ts';
import { db } from './db.ts';

/** Kinds of pictures by what their files are called. */
const ENDINGS: Readonly<Record<string, string>> = { 'image/png': 'png', 'image/jpeg': 'jpg', 'image/webp': 'webp' };
const typeOf = (name: string): string =>
  Object.keys(ENDINGS).find((t) => name.endsWith(`.${ENDINGS[t] ?? ''}`)) ?? 'application/octet-stream';

const zipped = (files: AsyncZippable): Promise<Blob> =>
  new Promise((done, failed) =>
    zip(files, (e, data) => (e ? failed(e) : done(new Blob([data], { type: 'application/zip' })))),
  );

/** The pictures of jobs that are in this browser, by their names in a pack; a picture is packed as it is, it is small already. */
async function picturesOf(jobs: readonly Job[]): Promise<AsyncZippable> {
  const files: AsyncZippable = {};
  const ids = jobs.flatMap((j) => j.pictures.map((p) => p.id));
  for (const stored of await db.pictures.bulkGet(ids)) {
    if (!stored) continue;
    const bytes = new Uint8Array(await stored.blob.arrayBuffer());
    files[`pictures/${stored.id}.${ENDINGS[stored.blob.type] ?? 'bin'}`] = [bytes, { level: 0 }];
  }
  return files;
}

/** A job with its pictures. */
export const packJob = async (job: Job): Promise<Blob> =>
  zipped({
    'job.gelvin.json': strToU8(writeJob(job)),
    'read-me.txt': strToU8(PACK_NOTE),
    ...(await picturesOf([job])),
  });

/** The whole shop: one document that brings it back, lists for a spreadsheet, its pictures; what was set aside, as it was found. */
export async function packShop(shop: Shop, jobs: readonly Job[], others: readonly unknown[]): Promise<Blob> {
  const lists = Object.fromEntries(
    listsOf(shop, jobs).map((l) => [
      `${l.name}.csv`,
      // a byte order mark tells a spreadsheet that it is no old code page
      strToU8(`\ufeff${unparse({ fields: [...l.columns], data: l.rows.map((r) => [...r]) })}\r\n`),
    ]),
  );
  return zipped({
    'shop.gelvin.json': strToU8(writeBackup(shop, jobs)),
    'read-me.txt': strToU8(PACK_NOTE),
    ...lists,
    ...(others.length > 0 ? { 'set-aside.json': strToU8(`${JSON.stringify(others, null, 2)}\n`) } : {}),
    ...(await picturesOf(jobs)),
  });
}

/** What a file holds: the text of its document, and the pictures beside it, by identity. */
export interface Unpacked {
  readonly text: string;
  readonly pictures: ReadonlyMap<string, Blob>;
}
/** The most that is unpacked of one file, bytes: a pack is no place to hide more. */
const MOST_BYTES = 2e9;

/** Opens a pack, or takes a plain document as it is. @throws Error: it is no pack that can be opened, or holds no document */
export async function unpacked(file: Blob): Promise<Unpacked> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  // "PK": a zip
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) return { text: strFromU8(bytes), pictures: new Map() };
  let sum = 0;
  const files = await new Promise<Record<string, Uint8Array>>((done, failed) =>
    unzip(
      bytes,
      { filter: (f) => /(?:\.gelvin\.json|^pictures\/[^/]+)$/.test(f.name) && (sum += f.originalSize) <= MOST_BYTES },
      (e, data) => (e ? failed(e) : done(data)),
    ),
  );
  const document = Object.keys(files).find((n) => n.endsWith('.gelvin.json'));
  if (document === undefined) throw new Error('the pack holds no job and no shop');
  const pictures = Object.entries(files)
    .filter(([name]) => name.startsWith('pictures/'))
    .map(([name, data]) => {
      const id = name.slice('pictures/'.length).replace(/\.[^.]*$/, '');
      return [id, new Blob([data as Uint8Array<ArrayBuffer>], { type: typeOf(name) })] as const;
    });
  return { text: strFromU8(files[document] ?? new Uint8Array()), pictures: new Map(pictures) };
}
