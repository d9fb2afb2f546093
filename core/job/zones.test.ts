import { expect, test } from '@jest/globals';
import { newJob } from './create.ts';
import { applyEdit, type Edit } from './edits/index.ts';
import { emptyShop } from './create.ts';
import { fitOfJob, threadOfJob } from './derive.ts';
import type { Job } from './schema.ts';
import { parseDesignation } from '../standards/designation.ts';
import { zonesOf } from './zones.ts';

function jobOf(designation: string, edits: readonly Edit[]): Job {
  let job = newJob('z', 'Zones', new Date('2026-11-26T08:00:00Z'));
  let shop = emptyShop();
  const parsed = parseDesignation(designation);
  if (!parsed.ok) throw new Error(designation);
  const { special, ...thread } = parsed.value.thread;
  expect(special).toBeUndefined();
  for (const e of [{ do: 'acceptName' as const, thread, probability: 1, overruled: true, reason: '' }, ...edits]) {
    const done = applyEdit(job, shop, e, { id: 'z', at: '2026-11-26T08:00:00.000Z' });
    if (!done.ok) throw new Error(`${e.do}: ${done.problem.code}`);
    ({ job, shop } = done.value);
  }
  return job;
}
const zones = (job: Job) => {
  const [thread, plan] = [threadOfJob(job), fitOfJob(job)];
  if (!thread || !plan) throw new Error('no plan');
  return zonesOf(job, thread, plan);
};

test('M10 6g: screw and nut as ISO 965-2 prints them, the aim within the screw\u2019s own', () => {
  const [major, pitch, minor] = zones(jobOf('M10', [{ do: 'setFit', class: '6g' }]));
  // ISO 965-2:1998, tables 1 and 2: M10 6g 9.968/9.732, 8.994/8.862; 6H 9.026/9.206, 8.376/8.676
  expect(major?.screw).toEqual({ min: 9.732, max: 9.968 });
  expect(pitch?.screw).toEqual({ min: 8.862, max: 8.994 });
  expect(pitch?.nut).toEqual({ min: 9.026, max: 9.206 });
  expect(minor?.nut).toEqual({ min: 8.376, max: 8.676 });
  for (const z of [major, pitch]) {
    expect(z?.aimMm).toBeGreaterThan(z?.screw?.min ?? NaN);
    expect(z?.aimMm).toBeLessThan(z?.screw?.max ?? NaN);
  }
  expect(major?.readMm).toBeNull();
});
test('what was measured stands on the diameter that was turned; without a class no limits are made up', () => {
  const turned = zones(
    jobOf('M10', [
      { do: 'setFit', class: null, pitchClearanceMm: 0.05 },
      { do: 'measureBlank', diameterMm: 9.9 },
    ]),
  );
  expect(turned.map((z) => z.readMm)).toEqual([9.9, null, null]);
  expect(turned.every((z) => z.screw === null && z.nut === null)).toBe(true);
  const bored = zones(
    jobOf('M10', [
      { do: 'setIntake', make: 'internal' },
      { do: 'setFit', class: '6H' },
      { do: 'measureBlank', diameterMm: 8.5 },
    ]),
  );
  expect(bored.map((z) => z.readMm)).toEqual([null, null, 8.5]);
});
