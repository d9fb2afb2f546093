import { isSquare, slopeOf, type Flanks } from '../form/flanks.ts';
import { Matrix, SingularValueDecomposition, solve } from 'ml-matrix';
import { radians, tanDeg } from '../quantity/units.ts';
import type { ThreadForm } from '../form/shape.ts';
import { nutGrooveOf } from './balls.ts';
import { grooveOf } from './wires.ts';

/** What is wrong with the form of a finished thread; its flanks as they are less as they should be. */
export interface FormErrors extends Flanks {
  /** How far the lead is off over its length, mm per mm, without sign. */
  readonly leadPerMm: number;
  /** Half the travel of the helix to and fro once in each turn, mm. */
  readonly roundMm: number;
}
/** Flanks as they should be, and the height over which screw and nut meet on them. */
export interface EngagedFlanks extends Flanks {
  readonly straightMm: number;
}
/**
 * Straight flank on which a screw and its nut meet: each ends at the other's crest or round. Null: a square thread.
 * @example engagedFlanks(formAt('iso60', 1), 1)?.straightMm // 0.5413; 5/8 H
 */
export function engagedFlanks(form: ThreadForm, pitchMm: number): EngagedFlanks | null {
  if (isSquare(form)) return null;
  const [screw, nut] = [grooveOf(form, pitchMm, 1), nutGrooveOf(form, pitchMm, 1)];
  return {
    leadingDeg: form.leadingDeg,
    trailingDeg: form.trailingDeg,
    straightMm: Math.min(screw.flankTopMm, nut.flankBottomMm) + Math.min(screw.flankBottomMm, nut.flankTopMm),
  };
}

/** What each of them does to the fit: the mate meets a screw so much larger, or a nut so much smaller, than wires or balls say, mm. */
export interface Virtual {
  readonly angleMm: number;
  readonly leadMm: number;
  readonly roundMm: number;
  readonly totalMm: number;
}

/**
 * Virtual pitch diameter beyond the simple one, mm: a flank turned about the pitch line meets its mate at the end of the
 * straight flank, a lead error at the end of the engagement, a drunken helix at its furthest turn.
 * For example the old constants per degree of both flanks together: 0.0105 P for 55 degrees, 0.0109 P for 60, 0.018 P for 29
 * @see BS 84, effective diameter equivalents of pitch and angle errors; from memory
 * @example virtualOf({ ...equalFlanks(60), straightMm: 0.5413 }, 10, { leadingDeg: 0, trailingDeg: 0, leadPerMm: 0.001, roundMm: 0 }).leadMm // 0.01732; 1.732 of the lead error
 */
export function virtualOf(f: EngagedFlanks, engagedMm: number, e: FormErrors): Virtual {
  const slope = slopeOf(f);
  const turned = (flank: number, by: number): number => Math.abs(tanDeg(flank + by) - tanDeg(flank));
  const along = (mm: number): number => (2 * mm) / slope;
  const angleMm = along(
    (f.straightMm / 2) * (turned(f.leadingDeg, e.leadingDeg) + turned(f.trailingDeg, e.trailingDeg)),
  );
  const leadMm = along(Math.abs(e.leadPerMm) * engagedMm);
  const roundMm = along(2 * e.roundMm);
  return { angleMm, leadMm, roundMm, totalMm: angleMm + leadMm + roundMm };
}

/** A reading of how far the helix stands from where it should, about the part. */
export interface Around {
  readonly deg: number;
  readonly mm: number;
}
/**
 * Drunkenness: the wave of one turn that fits readings about the part best, its half travel in mm. Null: fewer than three
 * places, or all at nearly one place. @see least squares of a + b cos + c sin
 * @example drunkennessMm([{ deg: 0, mm: 0.02 }, { deg: 120, mm: -0.01 }, { deg: 240, mm: -0.01 }]) // 0.02
 */
export function drunkennessMm(list: readonly Around[]): number | null {
  if (list.length < 3) return null;
  const rows = list.map(({ deg }) => [1, Math.cos(radians(deg)), Math.sin(radians(deg))]);
  const a = new Matrix(rows);
  if (new SingularValueDecomposition(a).condition > WORST_CONDITION) return null;
  const fit = solve(a, Matrix.columnVector(list.map((r) => r.mm)));
  return Math.hypot(fit.get(1, 0), fit.get(2, 0));
}
/** Places so near to one another say nothing of a whole turn. */
const WORST_CONDITION = 30;

/** A pitch diameter at a place along the thread, mm from its end. */
export interface Along {
  readonly atMm: number;
  readonly mm: number;
}
/**
 * Taper of a thread that should have none, on diameter per mm, by the straight line that fits best; null: not two places.
 * @example taperOf([{ atMm: 0, mm: 20 }, { atMm: 16, mm: 21 }]) // 0.0625; 1 in 16
 */
export function taperOf(list: readonly Along[]): number | null {
  const mean = list.reduce((s, p) => s + p.atMm, 0) / list.length;
  const middle = list.reduce((s, p) => s + p.mm, 0) / list.length;
  const v = list.reduce((s, p) => s + (p.atMm - mean) ** 2, 0);
  return v > 1e-9 ? list.reduce((s, p) => s + (p.atMm - mean) * (p.mm - middle), 0) / v : null;
}

/** A mate of a length, and the axial play it has, mm. */
export interface PlayOfLength {
  readonly lengthMm: number;
  readonly playMm: number;
}
/**
 * Lead error and play without it, from mates of several lengths: a longer one has so much less play. Null: not two lengths.
 * For example plays 0.10 and 0.06 of nuts 10 and 30 long: 0.002 per mm, 0.12 at no length. Common practice, no source
 * @example leadByMates([{ lengthMm: 10, playMm: 0.1 }, { lengthMm: 30, playMm: 0.06 }]) // { perMm: 0.002, playAtNoLengthMm: 0.12 }
 */
export function leadByMates(
  list: readonly PlayOfLength[],
): { readonly perMm: number; readonly playAtNoLengthMm: number } | null {
  const falls = taperOf(list.map((p) => ({ atMm: p.lengthMm, mm: p.playMm })));
  if (falls === null) return null;
  const n = list.length;
  const length = list.reduce((s, p) => s + p.lengthMm, 0) / n;
  const play = list.reduce((s, p) => s + p.playMm, 0) / n;
  return { perMm: Math.max(0, -falls), playAtNoLengthMm: play - Math.min(0, falls) * length };
}

/**
 * A not-go gauge may enter so many turns and still not go: two, by ASME B1.2 three. @see ISO 1502; ASME B1.2; from memory
 * @example notGoTurns(false) // 2
 */
export const notGoTurns = (american: boolean): number => (american ? 3 : 2);
