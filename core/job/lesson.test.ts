import { describe, expect, test } from '@jest/globals';
import { demo, readingOf, took, Bench } from '../../app/testing/bench.ts';
import { demoJobs } from '../../demo/index.ts';
import { newJob } from './create.ts';
import { learnedFor, lessonOf, proposedBy, type Lesson } from './lesson.ts';
import { madeThread, readsLike } from './madeBefore.ts';

const lesson = (over: Partial<Lesson>): Lesson => ({
  lathe: 'a',
  material: 'steel',
  planned: 10,
  cut: 10,
  springs: 2,
  capMm: 0.25,
  tries: 1,
  beyondMm: 0,
  at: '2026-01-01T00:00:00.000Z',
  ...over,
});

describe('what a finished job taught', () => {
  test('passes planned and cut, springs at the last depth, tries, and what was cut beyond the plan', () => {
    const { job } = demo('demo-gate-3');
    const l = lessonOf(job);
    // three springs, tight once, 0.06 deeper, then right: the ledger of the demo says so
    expect(l).toMatchObject({
      lathe: 'lathe-bess',
      material: 'tough steel',
      planned: 23,
      springs: 3,
      tries: 2,
      capMm: 0.25,
    });
    expect(l && l.cut).toBeGreaterThan(22);
    expect(l && l.beyondMm).toBeGreaterThan(0.03);
    expect(l && l.beyondMm).toBeLessThan(0.09);
  });
  test('one that is not finished, or was scrapped, teaches nothing', () => {
    expect(lessonOf(demo('demo-sluice').job)).toBeNull();
    const { job } = demo('demo-gate-3');
    expect(lessonOf({ ...job, record: { ...job.record, verdict: 'scrapped' } })).toBeNull();
    expect(lessonOf({ ...job, record: { ...job.record, verdict: null } })).toBeNull();
  });
  test('the middle of the same lathe and material; else of the lathe, else of the material, else nothing', () => {
    const all = [
      lesson({ springs: 3, cut: 12, capMm: 0.125 }),
      lesson({ springs: 3, cut: 11, capMm: null }),
      lesson({ springs: 9, cut: 30, capMm: 0.25 }),
      lesson({ material: 'brass', springs: 0 }),
      lesson({ lathe: 'b', material: 'bronze', springs: 5, capMm: null }),
    ];
    expect(learnedFor(all, 'a', 'steel')).toMatchObject({
      of: 'both',
      jobs: 3,
      springs: 3,
      passes: 1.2,
      capMm: 0.1875,
    });
    expect(learnedFor(all, 'a', 'bronze')).toMatchObject({ of: 'lathe', jobs: 4, springs: 3 });
    expect(learnedFor(all, 'c', 'bronze')).toMatchObject({ of: 'material', jobs: 1, springs: 5, capMm: null });
    expect(learnedFor(all, 'c', 'titanium')).toBeNull();
    expect(learnedFor(all, null, '')).toBeNull();
  });
  test('a number that a person gave is theirs, and so is one where metal is cut already', () => {
    const learned = learnedFor([lesson({ springs: 3, capMm: 0.15 })], 'a', 'steel');
    if (!learned) throw new Error('nothing learned');
    const fresh = new Bench(newJob('n', 'New', new Date('2026-11-27T00:00:00Z')));
    const proposed = (): object => proposedBy(fresh.job, learned);
    expect(proposed()).toEqual({ springs: 3, firstMaxMm: 0.15 });
    const from = '3 finished jobs';
    fresh.do({ do: 'setSchedule', springs: 3, springsFrom: from, firstMaxMm: 0.15, firstMaxFrom: from });
    expect(fresh.job.cut).toMatchObject({ springs: 3, springsFrom: from, firstMaxMm: 0.15, firstMaxFrom: from });
    expect(proposed()).toEqual({});
    // another setting leaves it; a number by hand is no longer the shop's
    fresh.do({ do: 'setSchedule', firstMaxMm: 0.2 });
    expect(fresh.job.cut.springsFrom).toBe(from);
    expect(fresh.job.cut.firstMaxFrom).toBeUndefined();
    fresh.do({ do: 'setSchedule', springs: 1 });
    expect(fresh.job.cut.springsFrom).toBeUndefined();
    expect(proposed()).toEqual({});
    // none of the jobs had a limit: none is proposed
    expect(proposedBy(newJob('m', 'M', new Date('2026-11-27T00:00:00Z')), { ...learned, capMm: null })).toEqual({
      springs: 3,
    });
    expect(proposedBy(demo('demo-sluice').job, learned)).toEqual({});
  });
});

describe('a thread made before', () => {
  const made = madeThread(demo('demo-gate-3').job);
  if (!made) throw new Error('no thread');
  const read = (major: number, crests: number, spanMm: number): Bench =>
    new Bench(newJob('n', 'New', new Date('2026-11-27T00:00:00Z'))).do(
      took('majorDiameter', major, { uncertainty: 0.02 }),
      { do: 'takeReading', reading: { ...readingOf('crestCount', crests), span: { text: 'x', mm: spanMm } } },
    );
  test('is known by its diameter and its pitch; a worn crest is smaller, never larger', () => {
    expect(readsLike(read(37.9, 42, 304.8).job, made)).toBe(true);
    expect(readsLike(read(37.0, 42, 304.8).job, made)).toBe(true);
    expect(readsLike(read(38.6, 42, 304.8).job, made)).toBe(false);
    expect(readsLike(read(35.5, 42, 304.8).job, made)).toBe(false);
    // 7 mm against 7.257
    expect(readsLike(read(37.9, 43, 301).job, made)).toBe(false);
  });
  test('with too little read nothing is said, and another hand is another thread', () => {
    const few = new Bench(newJob('n', 'New', new Date('2026-11-27T00:00:00Z'))).do(took('majorDiameter', 37.9));
    expect(readsLike(few.job, made)).toBeNull();
    expect(readsLike(read(37.9, 42, 304.8).do(took('hand', -1)).job, made)).toBe(false);
  });
  test('of the demo only the gates read like one another', () => {
    const alike = demoJobs().filter((j) => readsLike(j, made) === true);
    expect(alike.map((j) => j.id).sort()).toEqual(['demo-gate-1', 'demo-gate-3', 'demo-gate-4', 'demo-sluice']);
  });
});
