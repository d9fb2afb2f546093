import { slopeOf, type Flanks } from '../form/flanks.ts';

/**
 * Clearance by what the thread has to do: axial play unless it is said to be on the pitch diameter, mm, least and most.
 * Common practice, no source; the person changes it from there.
 */
export interface Duty {
  readonly id: DutyId;
  readonly least: number;
  readonly most: number;
  readonly on: 'play' | 'pitch-diameter';
}
/** What a thread has to do, by which its clearance is chosen. */
export const DUTY_IDS = ['gauge', 'feed', 'adjusting', 'lifting', 'clamp', 'outdoor', 'nose'] as const;
/** One of DUTY_IDS. */
export type DutyId = (typeof DUTY_IDS)[number];

/** Clearance by duty, mm. Common practice, no source. */
export const DUTIES: readonly Duty[] = [
  { id: 'gauge', least: 0, most: 0.01, on: 'play' },
  { id: 'adjusting', least: 0.02, most: 0.05, on: 'play' },
  { id: 'feed', least: 0.03, most: 0.1, on: 'play' },
  { id: 'nose', least: 0.03, most: 0.05, on: 'pitch-diameter' },
  { id: 'lifting', least: 0.1, most: 0.3, on: 'play' },
  { id: 'clamp', least: 0.2, most: 0.5, on: 'play' },
  { id: 'outdoor', least: 0.3, most: 0.8, on: 'play' },
];
/**
 * A duty of the list. @throws RangeError for a name that is none
 * @example dutyOf('outdoor').on // 'play'
 */
export function dutyOf(id: DutyId): Duty {
  const duty = DUTIES.find((d) => d.id === id);
  if (!duty) throw new RangeError(`duty: ${id}`);
  return duty;
}

/**
 * Clearance on the pitch diameter that an axial play means, mm: 2 s / (tan a1 + tan a2). @throws RangeError for square flanks
 * @example clearanceOfPlayMm(equalFlanks(60), 0.1) // 0.1732; 1.732 of the play
 */
export function clearanceOfPlayMm(form: Flanks, playMm: number): number {
  if (!(slopeOf(form) > 1e-9)) throw new RangeError('square flanks: play is not a clearance on the pitch diameter');
  return (2 * playMm) / slopeOf(form);
}
/**
 * Axial play that a clearance on the pitch diameter gives, mm; 0 between square flanks, whose play is their own.
 * @example playOfClearanceMm(equalFlanks(60), 0.1732) // 0.1000
 */
export const playOfClearanceMm = (form: Flanks, clearanceMm: number): number => (clearanceMm * slopeOf(form)) / 2;

/**
 * What a figure of a duty is on the pitch diameter, mm: a play is turned into it.
 * @example dutyOnPitchMm(equalFlanks(60), dutyOf('feed'), 0.1) // 0.1732
 */
export const dutyOnPitchMm = (form: Flanks, { on }: Pick<Duty, 'on'>, mm: number): number =>
  on === 'pitch-diameter' ? mm : clearanceOfPlayMm(form, mm);

/**
 * Clearance on the pitch diameter to aim at for a duty, mm: the middle of its range.
 * @example clearanceForDutyMm(equalFlanks(60), { id: 'feed', least: 0.03, most: 0.08, on: 'play' }) // 0.0953; a play of 0.055 between flanks of 60 degrees, times the root of 3
 */
export const clearanceForDutyMm = (form: Flanks, duty: Duty): number =>
  dutyOnPitchMm(form, duty, (duty.least + duty.most) / 2);
