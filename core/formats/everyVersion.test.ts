import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { conclusion } from '../../words/conclusions.ts';
import { stationStates, stationsOf } from '../job/chain.ts';
import { threadOfJob } from '../job/derive.ts';
import { JOB_VERSION, SHOP_VERSION } from '../job/stations.ts';
import { readDocument } from './documents.ts';
import { writeBackup } from './write.ts';

// the demo shop's backup as each Gelvin wrote it, made by that Gelvin itself: old files open for ever
const folder = new URL('fixtures/', import.meta.url);
const files = [
  ...readdirSync(folder).map((name) => ({ name, text: gunzipSync(readFileSync(new URL(name, folder))).toString() })),
  ...[1, 2].map((v) => ({
    name: `backup-v${v}.json`,
    text: readFileSync(new URL(`backup-v${v}.json`, import.meta.url), 'utf8'),
  })),
];
interface Old {
  readonly shop: {
    readonly name: string;
    readonly version: number;
    readonly lathes: readonly { readonly name: string }[];
  };
  readonly jobs: readonly {
    readonly version: number;
    readonly title: string;
    readonly customer: string;
    readonly readings: readonly { readonly text: string }[];
    readonly name: { readonly thread: { readonly designation: string } } | null;
    readonly record: { readonly note: string };
  }[];
}

test('there is one of every version', () => {
  const versions = files.map((f) => (JSON.parse(f.text) as Old).jobs[0]?.version ?? 0);
  expect([...new Set(versions)].toSorted((a, b) => a - b)).toEqual(
    Array.from({ length: JOB_VERSION }, (_, i) => i + 1),
  );
});

describe.each(files)('$name', ({ text }) => {
  const old = JSON.parse(text) as Old;
  const back = readDocument(text);
  test('opens in today\u2019s shape, and everything that was typed is there', () => {
    if (!back.ok || back.kind !== 'backup') throw new Error(JSON.stringify(back).slice(0, 500));
    const { shop, jobs } = back.backup;
    expect(shop).toMatchObject({ version: SHOP_VERSION, name: old.shop.name });
    expect(shop.lathes.map((l) => l.name)).toEqual(old.shop.lathes.map((l) => l.name));
    expect(jobs.map((j) => [j.version, j.title, j.customer, j.record.note])).toEqual(
      old.jobs.map((j) => [JOB_VERSION, j.title, j.customer, j.record.note]),
    );
    expect(jobs.map((j) => j.readings.map((r) => r.text))).toEqual(old.jobs.map((j) => j.readings.map((r) => r.text)));
    expect(jobs.map((j) => threadOfJob(j)?.designation ?? null)).toEqual(
      old.jobs.map((j) => j.name?.thread.designation ?? null),
    );
  });
  test('every station of every job concludes something of it, and written again it opens as the same', () => {
    if (!back.ok || back.kind !== 'backup') throw new Error('not opened');
    const { shop, jobs } = back.backup;
    for (const job of jobs) {
      const states = stationStates(job, shop, threadOfJob(job));
      for (const s of stationsOf(job)) {
        expect(states[s].kind).toMatch(/^(open|settled|stale|blocked)$/);
        expect(() => conclusion(s, job, shop, 'mm')).not.toThrow();
      }
    }
    const again = readDocument(writeBackup(shop, jobs));
    expect(again).toEqual(back);
  });
});
