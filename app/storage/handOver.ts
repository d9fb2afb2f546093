import { strFromU8, strToU8, unzlibSync, zlibSync } from 'fflate';
import type { Job } from '../../core/job/schema.ts';
import { writeJob } from '../../core/formats/write.ts';
import { base64Of } from './base64.ts';

/** Letters of the job in one code: read by a usual camera off a usual screen. Common practice, no source. */
const PER_CODE = 800;
/** More codes than this nobody holds a camera to: then it goes by file. */
export const MOST_CODES = 16;
const MARK = 'GELVIN-JOB';

/** A sum by which a set of codes is told from another, and a whole one from a mixed one. @see FNV-1a, 32 bits */
function sumOf(text: string): string {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193) >>> 0;
  return h.toString(16).padStart(8, '0');
}

/** A job as texts for a row of codes, without its pictures; null: it is too large, and goes by file. */
export function codesOfJob(job: Job): string[] | null {
  const packed = base64Of(zlibSync(strToU8(writeJob(job)), { level: 9 }));
  const n = Math.ceil(packed.length / PER_CODE);
  if (n > MOST_CODES) return null;
  const sum = sumOf(packed);
  return Array.from(
    { length: n },
    (_, i) => `${MARK} ${sum} ${i + 1} ${n} ${packed.slice(i * PER_CODE, (i + 1) * PER_CODE)}`,
  );
}

/** What of a row of codes was seen so far. */
export interface Seen {
  readonly sum: string;
  readonly of: number;
  readonly parts: ReadonlyMap<number, string>;
}
/** One more code; of another row it begins that one. Null: it is none of Gelvin's. */
export function seenToo(seen: Seen | null, text: string): Seen | null {
  const match = /^GELVIN-JOB ([0-9a-f]{8}) (\d+) (\d+) ([A-Za-z0-9+/=]+)$/.exec(text);
  if (!match) return null;
  const [, sum = '', i = '', of = '', part = ''] = match;
  const n = Number(of);
  if (n < 1 || n > MOST_CODES || Number(i) < 1 || Number(i) > n) return null;
  const before = seen?.sum === sum && seen.of === n ? seen.parts : new Map<number, string>();
  return { sum, of: n, parts: new Map([...before, [Number(i), part]]) };
}
/** The document once every code was seen; null: some are still to come. @throws Error where what was seen is not whole */
export function wholeOf({ sum, of, parts }: Seen): string | null {
  if (parts.size < of) return null;
  const packed = Array.from({ length: of }, (_, i) => parts.get(i + 1) ?? '').join('');
  if (sumOf(packed) !== sum) throw new Error('the codes do not belong together');
  return strFromU8(unzlibSync(Uint8Array.from(atob(packed), (c) => c.charCodeAt(0))));
}
