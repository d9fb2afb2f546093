import type { Family } from '../family.ts';
import { inchRows, inchText, type InchSize } from '../rows.ts';

/** ASME B1.5; ASME B1.8 has the same. */
const ACME_SIZES: readonly InchSize[] = [
  ['1/4', 16],
  ['5/16', 14],
  ['3/8', 12],
  ['7/16', 12],
  ['1/2', 10],
  ['5/8', 8],
  ['3/4', 6],
  ['7/8', 6],
  ['1', 5],
  ['1 1/8', 5],
  ['1 1/4', 5],
  ['1 3/8', 4],
  ['1 1/2', 4],
  ['1 3/4', 4],
  ['2', 4],
  ['2 1/4', 3],
  ['2 1/2', 3],
  ['2 3/4', 3],
  ['3', 2],
  ['3 1/2', 2],
  ['4', 2],
  ['4 1/2', 2],
  ['5', 2],
];

/** Acme: its sizes and how they are written. @see ASME B1.5 */
export const ACME: Family = {
  id: 'Acme',
  name: 'Acme',
  form: 'acme29',
  system: 'in',
  source: 'ASME B1.5',
  commonness: 5,
  rows: inchRows(ACME_SIZES),
  designate: inchText('Acme'),
  spelled: /^Acme$/i,
};
/** Stub Acme: its sizes and how they are written. @see ASME B1.8 */
export const STUB_ACME: Family = {
  id: 'StubAcme',
  name: 'Stub Acme',
  form: 'stubAcme29',
  system: 'in',
  source: 'ASME B1.8',
  commonness: 1,
  rows: inchRows(ACME_SIZES),
  designate: inchText('Stub Acme'),
  spelled: /^Stub[\s-]*Acme$/i,
};
