import { describe, expect, test } from '@jest/globals';
import { readingOf } from '../../app/testing/bench.ts';
import { rank } from '../identify/rank.ts';
import { threadFormOf, threadSizes } from '../standards/thread.ts';
import { newJob } from './create.ts';
import { evidenceOfJob, partOf } from './evidence.ts';
import type { Job, JobDraft, Reading } from './schema.ts';
import { externalDepthMm } from '../form/sizes.ts';
import { parseDesignation } from '../standards/designation.ts';
import { leastWorn, likeliest, oriented, lackingToCopy, specialOf } from './special.ts';

const AT = new Date('2026-01-05T08:00:00Z');

/** A job with these readings, as plain values in core units. */
function jobWith(
  readings: readonly [Reading['quantity'], number, Partial<Reading>?][],
  change: (job: JobDraft) => void = () => undefined,
): Job {
  const job = structuredClone(newJob('t', 'test', AT)) as JobDraft;
  change(job);
  readings.forEach(([quantity, value, more], i) =>
    job.readings.push({ id: `r${i}`, at: AT.toISOString(), ...readingOf(quantity, value, more) }),
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
  test('a usual form on a round pitch keeps its form, and the diameter that was read', () => {
    const job = jobWith([
      ['majorDiameter', 29.9, { wear: 'unworn' }],
      ['crestCount', 15, over(50.8)],
      ['flankAngle', 55, { uncertainty: 1 }],
      ['hand', -1],
    ]);
    const thread = likeliest(rankingOf(job), job);
    expect(thread).toMatchObject({ family: 'Special', form: 'whitworth55', majorMm: 29.9, leftHand: true });
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
      leadingDeg: 12,
      trailingDeg: 38,
      depthMm: 2.31,
      crestFlatMm: 0.9,
      rootRadiusMm: 0.4,
    });
    // what is made from it is what was measured: the root lies the depth inside the crest
    const sizes = threadSizes(thread);
    expect((sizes.majorMm - sizes.minorExternalMm) / 2).toBeCloseTo(2.31, 6);
    expect(threadFormOf(thread).external.innerEdge).toEqual({ kind: 'flat', cornerMm: 0.4 });
  });
  test('94.5 over 88.6 stays 94.5 over 88.6, and a depth of 0.096 in stays 0.096 in', () => {
    // both were taken for round sizes: a 95 mm form with another root, and 0.119 in deep
    const job = jobWith([
      ['majorDiameter', 94.5, { wear: 'unworn', uncertainty: 0.02 }],
      ['minorDiameter', 88.6, { uncertainty: 0.05 }],
      ['crestCount', 8, over(50.8)],
      ['flankAngle', 29, { uncertainty: 1 }],
    ]);
    const sizes = threadSizes(specialOf(rankingOf(job), job));
    expect([sizes.majorMm, sizes.minorExternalMm]).toEqual([94.5, expect.closeTo(88.6, 9)]);
    const inch = jobWith([
      ['majorDiameter', 38.05, { wear: 'unworn' }],
      ['depth', 0.096 * 25.4, { wear: 'unworn' }],
      ['crestCount', 10, over(50.8)],
      ['flankAngle', 29],
    ]);
    expect(externalDepthMm(threadFormOf(specialOf(rankingOf(inch), inch)))).toBeCloseTo(0.096 * 25.4, 9);
  });
  test('which flank faces the free end is kept: 0/45 is not 45/0', () => {
    const press = (leading: number, trailing: number) =>
      jobWith([
        ['majorDiameter', 60.2, { wear: 'unworn' }],
        ['crestCount', 8, over(64)],
        ['leadingFlank', leading, { uncertainty: 0.25 }],
        ['trailingFlank', trailing, { uncertainty: 0.25 }],
        ['depth', 5.2],
      ]);
    const form = (job: Job) => threadFormOf(specialOf(rankingOf(job), job));
    expect(form(press(0, 45))).toMatchObject({ leadingDeg: 0, trailingDeg: 45 });
    expect(form(press(45, 0))).toMatchObject({ leadingDeg: 45, trailingDeg: 0 });
    // and of a published form: the table's own way round, or the other
    const saw = parseDesignation('S 40x7');
    if (!saw.ok) throw new Error(saw.problem.code);
    const own = threadFormOf(saw.value.thread);
    const turned = oriented(saw.value.thread, press(own.trailingDeg, own.leadingDeg));
    expect(threadFormOf(turned)).toMatchObject({
      leadingDeg: own.trailingDeg,
      trailingDeg: own.leadingDeg,
    });
    expect(oriented(saw.value.thread, press(own.leadingDeg, own.trailingDeg))).toBe(saw.value.thread);
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
  test('what a copy still lacks, until each figure is read one way or another', () => {
    const some = jobWith([
      ['majorDiameter', 41.37],
      ['crestCount', 20, over(97.3)],
      ['leadingFlank', 12],
      ['trailingFlank', 38],
    ]);
    expect(lackingToCopy(some)).toEqual(['depth', 'crestFlat', 'rootFlat', 'starts']);
    const all = jobWith([
      ['majorDiameter', 4],
      ['minorDiameter', 4],
      ['pitchLeaf', 4],
      ['flankAngle', 4],
      ['crestRadius', 4],
      ['rootFlat', 4],
      ['lead', 4],
    ]);
    expect(lackingToCopy(all)).toEqual([]);
  });
  test('the size is in the unit it was typed in, bare or not, whatever unit its depth was typed in', () => {
    const named = (major: [number, string]) => {
      const job = jobWith([
        ['majorDiameter', major[0], { text: major[1] }],
        ['crestCount', 4, over(25.4)],
        ['depth', 2.794, { text: '0.11 in' }],
        ['taper', 1 / 6],
        ['flankAngle', 60],
      ]);
      return specialOf(rankingOf(job), job).designation;
    };
    // 4 to the inch is 6.35 mm exactly: beside a metric size it is written so
    expect(named([40, '40'])).toBe('40 mm x 6.35 mm 60');
    expect(named([40, '40 mm'])).toBe('40 mm x 6.35 mm 60');
    expect(named([38.1, '1.5'])).toBe('1 1/2 in x 4 TPI 60');
    expect(named([38.1, '1 1/2'])).toBe('1 1/2 in x 4 TPI 60');
  });
  test('a counted pitch is exact on a thread that is like nothing too: 7 1/2 and 52 to the inch', () => {
    const pitchOf = (crests: number, mm: number, major: number) => {
      const job = jobWith([
        ['majorDiameter', major],
        ['crestCount', crests, over(mm)],
        ['taper', 1 / 6],
        ['flankAngle', 43, { uncertainty: 0.25 }],
      ]);
      return specialOf(rankingOf(job), job).pitch;
    };
    expect(pitchOf(15, 50.8, 33.3)).toBe('254/75');
    expect(pitchOf(52, 25.4, 12.7)).toBe('127/260');
  });
  test('nothing read, nothing named', () => {
    const job = jobWith([['crestCount', 10, over(25.4)]]);
    const ranking = { ...rankingOf(job), candidates: [] };
    expect(likeliest(ranking, job)).toBeNull();
  });
});
