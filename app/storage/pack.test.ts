import { expect, test } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import fc from 'fast-check';
import { crc32 as nodeCrc } from 'node:zlib';
import { writeJob } from '../../core/formats/write.ts';
import { demo } from '../testing/bench.ts';
import { unpacked } from './pack.ts';
import { crc32, sumsOf } from './zipSums.ts';

const { job } = demo('demo-sluice');
const pack = zipSync({ 'job.gelvin.json': strToU8(writeJob(job)), 'read-me.txt': strToU8('x') });
const asFile = (bytes: Uint8Array): Blob => new Blob([bytes as Uint8Array<ArrayBuffer>]);

test('CRC-32 of the digits, which every description gives, and of whatever else as another has it', () => {
  // the check value of the catalogue of parametrised CRC algorithms: CRC-32/ISO-HDLC
  expect(crc32(strToU8('123456789'))).toBe(0xcbf43926);
  fc.assert(fc.property(fc.uint8Array({ maxLength: 300 }), (b) => expect(crc32(b)).toBe(known(b))));
});
/** By long division, bit by bit, without a table. */
function known(bytes: Uint8Array): number {
  if (typeof nodeCrc === 'function') return nodeCrc(bytes);
  let c = 0xffffffff;
  for (const b of bytes) for (let k = 0; k < 8; k += 1) c = ((c ^ (b >> k)) & 1 ? 0xedb88320 : 0) ^ (c >>> 1);
  return (c ^ 0xffffffff) >>> 0;
}

test('the sums that a pack keeps are those of its files', () => {
  expect(sumsOf(pack)).toEqual(
    new Map([
      ['job.gelvin.json', crc32(strToU8(writeJob(job)))],
      ['read-me.txt', crc32(strToU8('x'))],
    ]),
  );
  expect(sumsOf(new Uint8Array(5)).size).toBe(0);
});

test('a pack is opened as it was written; with a byte of its document changed it is never read as another', async () => {
  expect((await unpacked(asFile(pack))).text).toBe(writeJob(job));
  const whole = writeJob(job);
  let refused = 0;
  await fc.assert(
    fc.asyncProperty(fc.integer({ min: 60, max: 3000 }), fc.integer({ min: 1, max: 255 }), async (at, by) => {
      const harmed = pack.slice();
      harmed[at] = (harmed[at] ?? 0) ^ by;
      const text = await unpacked(asFile(harmed)).then(
        (u) => u.text,
        () => null,
      );
      // some bits of a packed file say nothing
      if (text !== null) expect(text === whole).toBe(true);
      else refused += 1;
    }),
    { numRuns: 400 },
  );
  expect(refused).toBeGreaterThan(300);
});
