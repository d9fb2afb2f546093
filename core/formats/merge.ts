import type { Job, Shop } from '../job/schema.ts';

/** How a job of a file stands to what is here. */
export type Standing = 'new' | 'same' | 'newer' | 'older';
/** What is done with it: brought in (in its namesake's place), left, or brought in beside it. */
export type Choice = 'bring' | 'leave' | 'both';

/** A job that is brought in beside the one that is here. */
export interface Coming {
  readonly job: Job;
  readonly here: Job | null;
  readonly standing: Standing;
  /** What is proposed: nothing that is here is lost by it. */
  readonly proposed: Choice;
}

/**
 * Equal as JSON is: whatever the order of names.
 * @example [sameDocument({ a: 1, b: 2 }, { b: 2, a: 1 }), sameDocument({ a: 1 }, { a: 2 })] // [true, false]
 */
export function sameDocument(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const [x, y] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const names = Object.keys(x).filter((k) => x[k] !== undefined);
  return (
    names.length === Object.keys(y).filter((k) => y[k] !== undefined).length &&
    names.every((k) => sameDocument(x[k], y[k]))
  );
}

const PROPOSED: Readonly<Record<Standing, Choice>> = { new: 'bring', same: 'leave', newer: 'both', older: 'leave' };

/**
 * Every job of a file against the one of its identity here. Which of two that differ is to be kept no program can know: a newer
 * one is brought in beside it unless somebody says otherwise.
 * @example comingOf([demo('pump')], [demo('pump')])[0].standing // 'same'
 */
export function comingOf(here: readonly Job[], file: readonly Job[]): Coming[] {
  const own = new Map(here.map((j) => [j.id, j]));
  return file.map((job) => {
    const mine = own.get(job.id) ?? null;
    const standing: Standing = !mine
      ? 'new'
      : sameDocument(mine, job)
        ? 'same'
        : job.changed > mine.changed
          ? 'newer'
          : 'older';
    return { job, here: mine, standing, proposed: PROPOSED[standing] };
  });
}

/**
 * A job as another beside the first, its pictures its own. @param renamed its title @param id makes identities
 * @example besides(demo('pump'), 'next', () => 'p').job.id // 'p'
 */
export function besides(
  job: Job,
  renamed: string,
  id: () => string,
): { readonly job: Job; readonly pictures: ReadonlyMap<string, string> } {
  const pictures = new Map(job.pictures.map((p) => [p.id, id()]));
  return {
    pictures,
    job: {
      ...job,
      id: id(),
      title: renamed,
      pictures: job.pictures.map((p) => ({ ...p, id: pictures.get(p.id) ?? p.id })),
      readings: job.readings.map((r) => {
        const own = r.picture === undefined ? undefined : pictures.get(r.picture);
        return own === undefined ? r : { ...r, picture: own };
      }),
    },
  };
}

/**
 * What a file's shop adds to this one: lathes, instruments and pins that are not here. What is here by the same identity stays as it is.
 * @example shopMerged(shop, shop).added // 0
 */
export function shopMerged(
  here: Shop,
  file: Shop,
): { readonly shop: Shop; readonly added: number; readonly differ: readonly string[] } {
  const missing = <T extends { readonly id: string }>(own: readonly T[], theirs: readonly T[]): T[] =>
    theirs.filter((t) => !own.some((o) => o.id === t.id));
  const lathes = missing(here.lathes, file.lathes);
  const instruments = missing(here.instruments, file.instruments);
  const pins = file.pins.filter((p) => !here.pins.some((o) => sameDocument(o, p)));
  const differ = file.lathes
    .filter((t) => here.lathes.some((o) => o.id === t.id && !sameDocument(o, t)))
    .map((l) => l.name);
  return {
    shop: {
      ...here,
      lathes: [...here.lathes, ...lathes],
      instruments: [...here.instruments, ...instruments],
      pins: [...here.pins, ...pins],
    },
    added: lathes.length + instruments.length + pins.length,
    differ,
  };
}
