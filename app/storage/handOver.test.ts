import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import jsQR from 'jsqr';
import { demoJobs } from '../../demo/index.ts';
import { readDocument } from '../../core/formats/documents.ts';
import { codeOf } from '../sheets/code.ts';
import { codesOfJob, MOST_CODES, seenToo, wholeOf, type Seen } from './handOver.ts';

const jobs = demoJobs();
const handed = (codes: readonly string[]): string | null => {
  let seen: Seen | null = null;
  for (const c of codes) seen = seenToo(seen, c) ?? seen;
  return seen && wholeOf(seen);
};

test('every job of the demo comes over by its codes as it was, in whatever order and however often they are seen', () => {
  for (const job of jobs) {
    const codes = codesOfJob(job);
    if (!codes) throw new Error(job.id);
    expect(codes.length).toBeLessThanOrEqual(MOST_CODES);
    const text = handed([...codes.toReversed(), ...codes]);
    expect(text && readDocument(text)).toMatchObject({ ok: true, kind: 'job', job });
  }
});
test('one code too few is not a job, one of another row begins that row, and a mixed one is refused', () => {
  const [a, b] = [codesOfJob(jobs[0] ?? fail()), codesOfJob(jobs[1] ?? fail())];
  if (!a || !b) throw new Error('too large');
  expect(handed(a.slice(1))).toBeNull();
  expect(handed([...a.slice(1), ...b])).toContain(jobs[1]?.title);
  const seen = a.reduce<Seen | null>((s, c) => seenToo(s, c) ?? s, null);
  if (!seen) throw new Error('none');
  expect(() => wholeOf({ ...seen, parts: new Map([...seen.parts, [1, 'AAAA']]) })).toThrow();
});
test('whatever else a camera reads is let pass', () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      expect(seenToo(null, text)).toBeNull();
    }),
  );
  expect(seenToo(null, 'GELVIN-JOB 00000000 9 3 QUJD')).toBeNull();
});
test('a code drawn as it is shown is read again by another reader', () => {
  const [text = ''] = codesOfJob(jobs[0] ?? fail()) ?? [];
  const modules = codeOf(text);
  // four modules of white round it, four dots a module
  const side = (modules.length + 8) * 4;
  const dots = new Uint8ClampedArray(side * side * 4).fill(255);
  modules.forEach((row, y) =>
    row.forEach((dark, x) => {
      if (!dark) return;
      for (let dy = 0; dy < 4; dy += 1)
        for (let dx = 0; dx < 4; dx += 1) {
          const at = (((y + 4) * 4 + dy) * side + (x + 4) * 4 + dx) * 4;
          dots.fill(0, at, at + 3);
        }
    }),
  );
  const read = (jsQR as unknown as { default?: typeof jsQR }).default ?? jsQR;
  expect(read(dots, side, side)?.data).toBe(text);
});
function fail(): never {
  throw new Error('no job');
}
