import { numberOf, textOf, type Rational } from '../quantity/rational.ts';
import { ACME, STUB_ACME } from './acme/rows.ts';
import { BRITISH_ASSOCIATION } from './ba/rows.ts';
import { BUTTRESS, SAWTOOTH } from './buttress/rows.ts';
import { CONDUIT } from './conduit/rows.ts';
import { CYCLE } from './cycle/rows.ts';
import type { Family, FamilyId } from './family.ts';
import { METRIC } from './iso/rows.ts';
import { HOSE, NPT, NPTF, PIPE_PARALLEL, PIPE_TAPER } from './pipe/rows.ts';
import { ROUND } from './round/rows.ts';
import { SQUARE } from './square/rows.ts';
import { TRAPEZOIDAL } from './trapezoidal/rows.ts';
import { UNIFIED } from './unified/rows.ts';
import { BRITISH_BRASS, OPTICAL, WHITWORTH, WHITWORTH_FINE } from './whitworth/rows.ts';

/** Every family that has a table, in the order of the books. */
export const FAMILIES: readonly Family[] = [
  METRIC,
  TRAPEZOIDAL,
  SAWTOOTH,
  ...UNIFIED,
  HOSE,
  WHITWORTH,
  WHITWORTH_FINE,
  BRITISH_BRASS,
  BRITISH_ASSOCIATION,
  PIPE_PARALLEL,
  PIPE_TAPER,
  CYCLE,
  CONDUIT,
  OPTICAL,
  ACME,
  STUB_ACME,
  BUTTRESS,
  NPT,
  NPTF,
  ROUND,
  SQUARE,
];
const BY_ID = new Map(FAMILIES.map((f) => [f.id, f]));

/**
 * A family of threads.
 * @throws RangeError for a name that is none
 * @example familyOf('BSW').source // 'BS 84'
 */
export function familyOf(id: FamilyId): Family {
  const f = BY_ID.get(id);
  if (!f) throw new RangeError(`family: ${id}`);
  return f;
}

/** One row of a published table. */
export interface StandardThread {
  readonly designation: string;
  readonly family: FamilyId;
  /** The size as labelled: "1 1/4", "#8", "10". */
  readonly size: string;
  readonly majorMm: number;
  /** Exact, mm: "127/65". */
  readonly pitch: string;
  readonly pitchMm: number;
  /** How usual this row is within its family, relative. */
  readonly weight: number;
  readonly coarse: boolean;
}

/**
 * Writes a designation from its parts, the one way used everywhere.
 * @example designate('UNC', '1/2', exact('127/65')) // '1/2-13 UNC'
 */
export const designate = (family: FamilyId, size: string, pitch: Rational, coarse = false): string =>
  familyOf(family).designate(size, pitch, coarse);

/** Inch sizes: odd numbers, and sixteenths of large ones, are seldom met. From memory, common practice, no source. */
const inchWeight = (size: string, majorMm: number): number =>
  /^#(3|5|12)$/.test(size) ? 0.4 : /\/(16|32)$/.test(size) && majorMm > 16 ? 0.35 : 1;

const sizeWeight = (family: Family, size: string, majorMm: number): number =>
  family.weightOf?.(size, majorMm) ?? (family.system === 'in' ? inchWeight(size, majorMm) : 1);

/** The further down the choice of a size's pitches, the seldomer. From memory, common practice, no source. */
const choiceWeight = (choice: number): number => (choice === 0 ? 1 : 0.3 / choice);

const rowsOf = (family: Family): StandardThread[] =>
  family.rows.flatMap(({ size, diameter, pitches }) => {
    const majorMm = numberOf(diameter);
    return pitches.map(({ pitch, choice, coarse }) => ({
      designation: family.designate(size, pitch, coarse),
      family: family.id,
      size,
      majorMm,
      pitch: textOf(pitch),
      pitchMm: numberOf(pitch),
      weight: sizeWeight(family, size, majorMm) * choiceWeight(choice),
      coarse,
    }));
  });

/** UN rows that are already UNC, UNF or UNEF keep the older name. */
function withoutRepeats(rows: StandardThread[]): StandardThread[] {
  const named = new Set(
    rows.filter((r) => ['UNC', 'UNF', 'UNEF'].includes(r.family)).map((r) => `${r.size}/${r.pitch}`),
  );
  return rows.filter((r) => r.family !== 'UN' || !named.has(`${r.size}/${r.pitch}`));
}

/** Every published row, family by family. Built once: a few thousand rows, a few milliseconds. */
export const CATALOGUE: readonly StandardThread[] = withoutRepeats(FAMILIES.flatMap(rowsOf));
