import { expect, test } from '@jest/globals';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { checkJob } from '../formats/check.ts';
import { againFrom } from './again.ts';
import { stationStates } from './chain.ts';
import { fitOfJob, threadOfJob } from './derive.ts';
import { metalOf } from './metal.ts';

test.each(demoJobs().map((j) => [j.title, j] as const))(
  '%s again: the same thread and fit, nothing cut and nothing settled',
  (_, job) => {
    const again = againFrom(job, 'Again', 'again-1', new Date('2026-11-27T08:00:00Z'));
    expect(checkJob(again).state).toBe('good');
    expect(threadOfJob(again)).toEqual(threadOfJob(job));
    // what was read off a picture of the old part is not known of this one
    if (job.readings.every((r) => r.picture === undefined))
      expect(fitOfJob(again)?.pitchDiameterMm).toBe(fitOfJob(job)?.pitchDiameterMm);
    expect([again.events, again.pictures, again.record.verdict]).toEqual([[], [], null]);
    expect(metalOf(again).cuts).toBe(0);
    expect(Object.values(stationStates(again, demoShop(), threadOfJob(again))).some((s) => s.kind === 'settled')).toBe(
      false,
    );
  },
);
