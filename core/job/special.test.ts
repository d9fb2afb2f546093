import { describe, expect, test } from '@jest/globals';
import { rank } from '../identify/rank.ts';
import { threadFormOf, threadSizes } from '../standards/thread.ts';
import { newJob } from './create.ts';
import { evidenceOfJob, partOf } from './evidence.ts';
import type { Job, Reading } from './schema.ts';
import { leastWorn, likeliest, specialOf } from './special.ts';

const AT = new Date('2026-01-05T08:00:00Z');

/** A job with these readings, as plain values in core units. */
function jobWith(
  readings: readonly [Reading['quantity'], number, Partial<Reading>?][],
  change: (job: Job) => void = () => undefined,
): Job {
  const job = newJob('t', 'test', AT);
  change(job);
  readings.forEach(([quantity, value, more], i) =>
    job.readings.push({
      id: `r${i}`,
      quantity,
      text: String(value),
      value,
      span: null,
      leaf: null,
      instrument: null,
      uncertainty: null,
      member: 'part',
      place: '',
      positionMm: null,
      wear: 'unknown',
      at: AT.toISOString(),
      ...more,
    }),
  );
  return job;
}
const rankingOf = (job: Job) =>
  rank({ part: partOf(job), evidence: evidenceOfJob(job), context: { origin: null, use: null }, most: 5 });
const over = (mm: number): Partial<Reading> => ({ span: { text: `${mm}`, mm } });

describe('the reading to copy from', () => {
  const worn: [Reading['quantity'], number, Partial<Reading>?][] = [
    ['majorDiameter', 19.7, { wear: 'worn' }],
    ['majorDiameter', 19.9, { wear: 'unworn', uncertainty: 0.02 }],
    ['majorDiameter', 19.88, { wear: 'unworn', uncertainty: 0.004 }],
    ['majorDiameter', 20.4, { member: 'mate', wear: 'unworn' }],
    ['depth', 1.1],
    ['depth', 1.2],
  ];
  test('unworn before worn, then the finer instrument; the mate is not the part', () => {
    expect(leastWorn(jobWith(worn), 'majorDiameter')?.value).toBe(19.88);
  });
  test('of a screw the largest, of a nut the smallest, of a depth the deepest', () => {
    const two: [Reading['quantity'], number][] = [
      ['minorDiameter', 17.3],
      ['minorDiameter', 17.5],
    ];
    expect(leastWorn(jobWith(two), 'minorDiameter')?.value).toBe(17.5);
    expect(
      leastWorn(
        jobWith(two, (j) => void (j.intake.cameIn = 'nut')),
        'minorDiameter',
      )?.value,
    ).toBe(17.3);
    expect(leastWorn(jobWith(worn), 'depth')?.value).toBe(1.2);
  });
  test('what was not read is not made up', () => {
    expect(leastWorn(jobWith(worn), 'rootRadius')).toBeNull();
  });
});

describe('a special as a thread to make', () => {
  test('a round size on a round pitch in a usual form is named as such', () => {
    const job = jobWith([
      ['majorDiameter', 29.9, { wear: 'unworn' }],
      ['crestCount', 15, over(50.8)],
      ['flankAngle', 55, { uncertainty: 1 }],
      ['hand', -1],
    ]);
    const thread = likeliest(rankingOf(job), job);
    expect(thread).toMatchObject({ family: 'Special', form: 'whitworth55', majorMm: 30, leftHand: true });
    expect(thread?.pitch).toBe('254/75'); // 7 1/2 tpi exactly
  });
  test('one like no form carries depth, flat, radius and flanks as they were read', () => {
    const job = jobWith([
      ['majorDiameter', 41.37, { wear: 'unworn', uncertainty: 0.004 }],
      ['crestCount', 20, over(97.3)],
      ['leadingFlank', 12, { uncertainty: 0.25 }],
      ['trailingFlank', 38, { uncertainty: 0.25 }],
      ['depth', 2.31],
      ['crestFlat', 0.9],
      ['rootRadius', 0.4],
    ]);
    const ranking = rankingOf(job);
    expect(ranking.special.probability).toBeGreaterThan(0.9);
    const thread = specialOf(ranking, job);
    expect(thread.special).toEqual({
      leadingFlankDeg: 12,
      trailingFlankDeg: 38,
      depthMm: 2.31,
      crestFlatMm: 0.9,
      rootRadiusMm: 0.4,
    });
    // what is made from it is what was measured: the root lies the depth inside the crest
    const sizes = threadSizes(thread);
    expect((sizes.majorMm - sizes.minorExternalMm) / 2).toBeCloseTo(2.31, 6);
    expect(threadFormOf(thread).external.innerEdge).toEqual({ kind: 'flat', cornerMm: 0.4 });
  });
  test('without a depth, the depth is half of what lies between crest and root', () => {
    const job = jobWith([
      ['majorDiameter', 41.37, { wear: 'unworn', uncertainty: 0.004 }],
      ['minorDiameter', 36.9],
      ['crestCount', 20, over(97.3)],
      ['leadingFlank', 12, { uncertainty: 0.25 }],
      ['trailingFlank', 38, { uncertainty: 0.25 }],
    ]);
    expect(specialOf(rankingOf(job), job).special?.depthMm).toBeCloseTo(2.235, 6);
  });
  test('nothing read, nothing named', () => {
    const job = jobWith([['crestCount', 10, over(25.4)]]);
    const ranking = { ...rankingOf(job), candidates: [] };
    expect(likeliest(ranking, job)).toBeNull();
  });
});
