import { PICTURE_ENDINGS } from '../photos/kinds.ts';
import { strFromU8, strToU8, unzipSync, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { unparse } from 'papaparse';
import { listsOf } from '../../core/formats/lists.ts';
import { writeBackup, writeJob } from '../../core/formats/write.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import { PACK_NOTE } from '../../words/pack.ts';
import { db } from './db.ts';
import { crc32, sumsOf } from './zipSums.ts';

const typeOf = (name: string): string =>
  Object.keys(PICTURE_ENDINGS).find((t) => name.endsWith(`.${PICTURE_ENDINGS[t] ?? ''}`)) ?? 'application/octet-stream';

/** One file of a pack; `packed`: it is small already, and packed as it is. */
interface Part {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly packed?: true;
}
const text = (name: string, of: string): Part => ({ name, bytes: strToU8(of) });

/**
 * Files as one zip, one after another, so that the page is drawn between them and no more than one lies in memory. What packs
 * in workers of its own makes them from text, which the content policy forbids: it would wait for ever.
 */
async function zipped(parts: Iterable<Part> | AsyncIterable<Part>): Promise<Blob> {
  const chunks: BlobPart[] = [];
  let failed: Error | null = null;
  const zip = new Zip((e, chunk) => {
    if (e) failed = e;
    else chunks.push(chunk);
  });
  for await (const { name, bytes, packed } of parts) {
    const file = packed ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 });
    zip.add(file);
    file.push(bytes, true);
    await new Promise((next) => setTimeout(next));
  }
  zip.end();
  if (failed !== null) throw failed as Error;
  return new Blob(chunks, { type: 'application/zip' });
}

/** The pictures of jobs that are in this browser, by their names in a pack. */
async function* picturesOf(jobs: readonly Job[]): AsyncGenerator<Part> {
  for (const id of jobs.flatMap((j) => j.pictures.map((p) => p.id))) {
    const stored = await db.pictures.get(id);
    if (!stored) continue;
    const bytes = new Uint8Array(await stored.blob.arrayBuffer());
    yield { name: `pictures/${stored.id}.${PICTURE_ENDINGS[stored.blob.type] ?? 'bin'}`, bytes, packed: true };
  }
}

/** A job with its pictures. */
export const packJob = (job: Job): Promise<Blob> =>
  zipped(
    (async function* () {
      yield text('job.gelvin.json', writeJob(job));
      yield text('read-me.txt', PACK_NOTE);
      yield* picturesOf([job]);
    })(),
  );

/** The whole shop: one document that brings it back, lists for a spreadsheet, its pictures; what was set aside, as it was found. */
export const packShop = (shop: Shop, jobs: readonly Job[], others: readonly unknown[]): Promise<Blob> =>
  zipped(
    (async function* () {
      yield text('shop.gelvin.json', writeBackup(shop, jobs));
      yield text('read-me.txt', PACK_NOTE);
      for (const l of listsOf(shop, jobs)) {
        const rows = unparse({ fields: [...l.columns], data: l.rows.map((r) => [...r]) });
        // a byte order mark tells a spreadsheet that it is no old code page
        yield text(`${l.name}.csv`, `\ufeff${rows}\r\n`);
      }
      if (others.length > 0) yield text('set-aside.json', `${JSON.stringify(others, null, 2)}\n`);
      yield* picturesOf(jobs);
    })(),
  );

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
  const files = unzipSync(bytes, {
    filter: (f) => /(?:\.gelvin\.json|^pictures\/[^/]+)$/.test(f.name) && (sum += f.originalSize) <= MOST_BYTES,
  });
  // a number that came to harm may still be a number: what does not sum up is not opened
  const sums = sumsOf(bytes);
  for (const [name, data] of Object.entries(files))
    if (sums.get(name) !== crc32(data)) throw new Error(`${name} in it came to harm`);
  const document = Object.keys(files).find((n) => n.endsWith('.gelvin.json'));
  if (document === undefined) throw new Error('the pack holds no job and no shop');
  const pictures = Object.entries(files)
    .filter(([name]) => name.startsWith('pictures/'))
    .map(([name, data]) => {
      const id = name.slice('pictures/'.length).replace(/\.[^.]*$/, '');
      return [id, new Blob([data], { type: typeOf(name) })] as const;
    });
  return { text: strFromU8(files[document] ?? new Uint8Array()), pictures: new Map(pictures) };
}
