import type { FORM_IDS } from '../form/shape.ts';

/** A published family of threads: its form, and the table of sizes written as data. */
export interface Family {
  readonly id: FamilyId;
  /** As the trade says it: "UNC", "BSW". */
  readonly name: string;
  readonly form: (typeof FORM_IDS)[number];
  /** System of the nominal sizes. */
  readonly system: 'mm' | 'in';
  readonly source: string;
  /** How often a repair bench meets the family, relative weights. From memory, common practice, no source. */
  readonly commonness: number;
  /**
   * The table. One token a row: `size-tpi` (inch families), `diameter:pitch,pitch` (metric). A size label may be followed
   * by `=diameter` where the label is not the diameter (numbers, pipe sizes).
   */
  readonly table: string;
}

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
  'Square',
] as const;
export type FamilyId = (typeof FAMILY_IDS)[number];
