import { exact, numberOf, type Rational } from '../quantity/rational.ts';

/** The tool let into the old groove at a control, with the spindle at its mark. Z: 0 at the face, minus towards the headstock. */
export interface Dropped {
  readonly z: Rational;
  readonly lead: Rational;
  readonly leftHand: boolean;
}

/** The start of every pass: so many whole leads out of the groove. */
export interface ZStart {
  readonly z: Rational;
  /** Whole leads between the groove and the start. */
  readonly leads: number;
  /** Leads that the start lies clear of the face (left hand: of where the thread begins). */
  readonly clearLeads: number;
}

/**
 * How many leads a start lies clear of where the thread begins: of the face, left-hand of the thread's far end. @param threadMm asked of a left hand
 * @example leadsClear(6, 2, false, 30) // 3
 */
export const leadsClear = (zMm: number, leadMm: number, leftHand: boolean, threadMm: number): number =>
  (leftHand ? -threadMm - zMm : zMm) / leadMm;

/**
 * Where a pass may start so that it falls into the groove: whole leads from where the tool sat, out of the work, at least so many
 * leads clear. A right-hand thread starts beyond the face, a left-hand one on the headstock's side of the thread.
 * @param threadMm length of the thread from the face; asked of a left hand @param leastLeads clear of it, at least
 * @example textOf(zStart({ z: exact('1'), lead: exact('2'), leftHand: false }, 0, 3).z) // '7'; three whole leads out
 */
export function zStart(d: Dropped, threadMm: number, leastLeads: number, leads: number | null = null): ZStart {
  const out = d.leftHand ? -1 : 1;
  const leadMm = numberOf(d.lead);
  const clear = (z: Rational): number => leadsClear(numberOf(z), leadMm, d.leftHand, threadMm);
  const least = Math.ceil(leastLeads - clear(d.z) - 1e-9);
  const n = leads ?? Math.max(0, least);
  const z = d.z.add(d.lead.mul(exact(String(n * out))));
  return { z, leads: n, clearLeads: clear(z) };
}

/**
 * Whether the grooves counted from the face agree with where the tool sits: the nth groove lies between n - 1 and n pitches in,
 * the first of them shorter where the face cuts it. Common practice, no source. @returns the counts that would agree
 * @example countsThatAgree(exact('2'), exact('4')) // [1]
 */
export function countsThatAgree(z: Rational, pitch: Rational): readonly number[] {
  const inMm = -numberOf(z) / numberOf(pitch);
  const nth = Math.max(1, Math.ceil(inMm - 1e-9));
  // under half of the first groove is there where it runs out of the face: a hand may pass it by
  return inMm - (nth - 1) < 0.5 && nth > 1 ? [nth - 1, nth] : [nth];
}
