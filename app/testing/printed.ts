import { expect } from '@jest/globals';
import { parseDesignation } from '../../core/standards/designation.ts';
import { limitsOf, type MemberLimits, type ThreadLimits } from '../../core/standards/limits.ts';
import { threadSizes, type ThreadSpec } from '../../core/standards/thread.ts';

/** What a designation names. @throws where it names nothing */
export function threadNamed(designation: string): ThreadSpec {
  const read = parseDesignation(designation);
  if (!read.ok) throw new Error(`${designation}: ${read.problem.code}`);
  return read.value.thread;
}
/** Basic sizes of what a designation names, mm. */
export const sizesNamed = (designation: string): ReturnType<typeof threadSizes> =>
  threadSizes(threadNamed(designation));

/** Limits of what a designation names. @throws where its standard gives none of that class */
export function limitsNamed(designation: string, cls: string, engagementMm: number | null = null): ThreadLimits {
  const l = limitsOf(threadNamed(designation), cls, engagementMm);
  if (!l.ok) throw new Error(`${designation} ${cls}: ${l.problem.code}`);
  return l.value;
}

/** A figure is the printed one: within half a unit of its last place, and a hair for the arithmetic. */
export const printedAs = (printed: number, places: number, actual: number): void =>
  expect(Math.abs(actual - printed)).toBeLessThanOrEqual(0.5 * 10 ** -places + 1e-9);

/** Major, pitch and minor diameter, the largest and the least of each, as a table prints them. @param unit mm that it counts in */
export const flat = (m: MemberLimits | undefined, unit = 1): (number | null)[] =>
  m === undefined
    ? []
    : [m.major, m.pitch, m.minor]
        .flatMap((x) => [x.max, x.min])
        .map((v) => (v === null ? null : Number((v / unit).toFixed(unit === 1 ? 3 : 4))));

/** Checks a printed row of a screw: major max, min, pitch max, min; and minor max, min where they are given. */
export const screwRow =
  (unit = 1) =>
  (d: string, cls: string, ...printed: readonly number[]): void =>
    expect(flat(limitsNamed(d, cls).external, unit).slice(0, printed.length)).toEqual(printed);
/** Checks a printed row of a nut: pitch max, min, minor max, min. */
export const nutRow =
  (unit = 1) =>
  (d: string, cls: string, ...printed: readonly number[]): void =>
    expect(flat(limitsNamed(d, cls).internal, unit).slice(2, 2 + printed.length)).toEqual(printed);
