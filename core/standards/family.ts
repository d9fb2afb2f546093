import type { FORM_IDS } from '../form/shape.ts';
import type { Rational } from '../quantity/rational.ts';
import type { TableRow } from './rows.ts';

/** A published family of threads: its form, its table of sizes, and how it is written. Its limits stand beside it in its folder. */
export interface Family {
  readonly id: FamilyId;
  /** As the trade says it: "British Standard Whitworth". */
  readonly name: string;
  readonly form: (typeof FORM_IDS)[number];
  /** System of the nominal sizes. */
  readonly system: 'mm' | 'in';
  readonly source: string;
  /** How often a repair bench meets the family, relative weights. From memory, common practice, no source. */
  readonly commonness: number;
  readonly rows: readonly TableRow[];
  /** A designation of one start, right hand. @param pitch exact, mm @param coarse whether it is the size's coarse pitch */
  readonly designate: (size: string, pitch: Rational, coarse: boolean) => string;
  /** How it is named after size and threads per inch, by whoever types it; inch families only. */
  readonly spelled?: RegExp;
  /** A whole designation that is the family's name and a size, which is what it catches; it says no pitch. */
  readonly named?: RegExp;
  /** How usual a size is within the family, 0 to 1; without it as inch sizes go, and 1 for millimetres. */
  readonly weightOf?: (size: string, majorMm: number) => number;
}

/** Families of threads that a table lists. */
export const FAMILY_IDS = [
  'M',
  'UNC',
  'UNF',
  'UNEF',
  'UN',
  'UNS',
  'BSW',
  'BSF',
  'BSBrass',
  'BA',
  'G',
  'R',
  'NPT',
  'NPTF',
  'Acme',
  'StubAcme',
  'Tr',
  'Buttress',
  'S',
  'Rd',
  'Cycle',
  'Optical',
  'Hose',
  'Pg',
  'Square',
] as const;
/** One of FAMILY_IDS. */
export type FamilyId = (typeof FAMILY_IDS)[number];
