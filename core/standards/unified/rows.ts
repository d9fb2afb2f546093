import type { Family } from '../family.ts';
import { inchRows, inchText, labelledRows, series, type InchSize, type LabelledSize } from '../rows.ts';

// Number sizes with their diameter in inches, then the fractions. ASME B1.1.
const UNC_NUMBERS: readonly LabelledSize[] = [
  ['#1', 0.073, 64],
  ['#2', 0.086, 56],
  ['#3', 0.099, 48],
  ['#4', 0.112, 40],
  ['#5', 0.125, 40],
  ['#6', 0.138, 32],
  ['#8', 0.164, 32],
  ['#10', 0.19, 24],
  ['#12', 0.216, 24],
];
const UNC: readonly InchSize[] = [
  ['1/4', 20],
  ['5/16', 18],
  ['3/8', 16],
  ['7/16', 14],
  ['1/2', 13],
  ['9/16', 12],
  ['5/8', 11],
  ['3/4', 10],
  ['7/8', 9],
  ['1', 8],
  ['1 1/8', 7],
  ['1 1/4', 7],
  ['1 3/8', 6],
  ['1 1/2', 6],
  ['1 3/4', 5],
  ['2', 4.5],
  ['2 1/4', 4.5],
  ['2 1/2', 4],
  ['2 3/4', 4],
  ['3', 4],
  ['3 1/4', 4],
  ['3 1/2', 4],
  ['3 3/4', 4],
  ['4', 4],
];
const UNF_NUMBERS: readonly LabelledSize[] = [
  ['#0', 0.06, 80],
  ['#1', 0.073, 72],
  ['#2', 0.086, 64],
  ['#3', 0.099, 56],
  ['#4', 0.112, 48],
  ['#5', 0.125, 44],
  ['#6', 0.138, 40],
  ['#8', 0.164, 36],
  ['#10', 0.19, 32],
  ['#12', 0.216, 28],
];
const UNF: readonly InchSize[] = [
  ['1/4', 28],
  ['5/16', 24],
  ['3/8', 24],
  ['7/16', 20],
  ['1/2', 20],
  ['9/16', 18],
  ['5/8', 18],
  ['3/4', 16],
  ['7/8', 14],
  ['1', 12],
  ['1 1/8', 12],
  ['1 1/4', 12],
  ['1 3/8', 12],
  ['1 1/2', 12],
];
const UNEF_NUMBERS: readonly LabelledSize[] = [['#12', 0.216, 32]];
const UNEF: readonly InchSize[] = [
  ['1/4', 32],
  ['5/16', 32],
  ['3/8', 32],
  ['7/16', 28],
  ['1/2', 28],
  ['9/16', 24],
  ['5/8', 24],
  ['11/16', 24],
  ['3/4', 20],
  ['13/16', 20],
  ['7/8', 20],
  ['15/16', 20],
  ['1', 20],
  ['1 1/16', 18],
  ['1 1/8', 18],
  ['1 3/16', 18],
  ['1 1/4', 18],
  ['1 5/16', 18],
  ['1 3/8', 18],
  ['1 7/16', 18],
  ['1 1/2', 18],
  ['1 9/16', 18],
  ['1 5/8', 18],
  ['1 11/16', 18],
];

/** Selected combinations, camera screws among them. From memory. */
const UNS_NUMBERS: readonly LabelledSize[] = [
  ['#10', 0.19, 28],
  ['#10', 0.19, 36],
  ['#10', 0.19, 40],
];
const UNS: readonly InchSize[] = [
  ['1/4', 24],
  ['1/4', 27],
  ['1/4', 36],
  ['1/4', 40],
  ['3/8', 18],
  ['3/8', 28],
  ['1/2', 14],
  ['1/2', 18],
  ['1/2', 24],
  ['1', 14],
];

/** Constant-pitch series; sizes that are already UNC, UNF or UNEF keep those names and are left out when the catalogue is made. */
const UN_NUMBERS: readonly LabelledSize[] = [
  ['#6', 0.138, 32],
  ['#8', 0.164, 32],
  ['#10', 0.19, 32],
  ['#12', 0.216, 28],
  ['#12', 0.216, 32],
];
const UN: readonly InchSize[] = [
  ...series('2 1/2', '6', 4),
  ...series('1 3/8', '6', 6),
  ...series('1', '6', 8),
  ...series('9/16', '6', 12),
  ...series('3/8', '6', 16),
  ...series('1/4', '3', 20),
  ...series('1/4', '1 1/2', 28),
  ...series('1/4', '1', 32),
];

const unified = (
  of: Pick<Family, 'id' | 'name' | 'commonness' | 'spelled'> & {
    readonly numbers: readonly LabelledSize[];
    readonly fractions: readonly InchSize[];
    readonly source?: string;
  },
): Family => {
  const { numbers, fractions, ...named } = of;
  return {
    form: 'iso60',
    system: 'in',
    source: 'ASME B1.1',
    ...named,
    rows: [...labelledRows(numbers, 'in'), ...inchRows(fractions)],
    designate: inchText(of.id),
  };
};

/** The Unified series, and those that stand in no series. @see ASME B1.1 */
export const UNIFIED: readonly Family[] = [
  unified({
    id: 'UNC',
    name: 'Unified coarse',
    commonness: 16,
    spelled: /^UNC$|^NC$/i,
    numbers: UNC_NUMBERS,
    fractions: UNC,
  }),
  unified({
    id: 'UNF',
    name: 'Unified fine',
    commonness: 12,
    spelled: /^UNF$|^NF$/i,
    numbers: UNF_NUMBERS,
    fractions: UNF,
  }),
  unified({
    id: 'UNEF',
    name: 'Unified extra fine',
    commonness: 3,
    spelled: /^UNEF$|^NEF$/i,
    numbers: UNEF_NUMBERS,
    fractions: UNEF,
  }),
  unified({
    id: 'UN',
    name: 'Unified constant pitch',
    commonness: 4,
    spelled: /^(\d+-?)?UNR?$|^N$/i,
    numbers: UN_NUMBERS,
    fractions: UN,
  }),
  unified({
    id: 'UNS',
    name: 'Unified special sizes, camera screws',
    source: 'ASME B1.1 (selected combinations; from memory)',
    commonness: 1,
    spelled: /^UNS$|^NS$/i,
    numbers: UNS_NUMBERS,
    fractions: UNS,
  }),
];
