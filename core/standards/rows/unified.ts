import type { Family } from '../family.ts';

const UNC = `
#1=.073-64 #2=.086-56 #3=.099-48 #4=.112-40 #5=.125-40 #6=.138-32 #8=.164-32 #10=.190-24 #12=.216-24 1/4-20 5/16-18
3/8-16 7/16-14 1/2-13 9/16-12 5/8-11 3/4-10 7/8-9 1-8 1_1/8-7 1_1/4-7 1_3/8-6 1_1/2-6 1_3/4-5 2-4.5 2_1/4-4.5 2_1/2-4
2_3/4-4 3-4 3_1/4-4 3_1/2-4 3_3/4-4 4-4`;
const UNF = `
#0=.060-80 #1=.073-72 #2=.086-64 #3=.099-56 #4=.112-48 #5=.125-44 #6=.138-40 #8=.164-36 #10=.190-32 #12=.216-28 1/4-28
5/16-24 3/8-24 7/16-20 1/2-20 9/16-18 5/8-18 3/4-16 7/8-14 1-12 1_1/8-12 1_1/4-12 1_3/8-12 1_1/2-12`;
const UNEF = `
#12=.216-32 1/4-32 5/16-32 3/8-32 7/16-28 1/2-28 9/16-24 5/8-24 11/16-24 3/4-20 13/16-20 7/8-20 15/16-20 1-20 1_1/16-18
1_1/8-18 1_3/16-18 1_1/4-18 1_5/16-18 1_3/8-18 1_7/16-18 1_1/2-18 1_9/16-18 1_5/8-18 1_11/16-18`;

const UP_TO_1 = '1/4 5/16 3/8 7/16 1/2 9/16 5/8 11/16 3/4 13/16 7/8 15/16 1';
const UP_TO_2 =
  '1_1/16 1_1/8 1_3/16 1_1/4 1_5/16 1_3/8 1_7/16 1_1/2 1_9/16 1_5/8 1_11/16 1_3/4 1_13/16 1_7/8 1_15/16 2';
const UP_TO_4 = '2_1/8 2_1/4 2_3/8 2_1/2 2_5/8 2_3/4 2_7/8 3 3_1/8 3_1/4 3_3/8 3_1/2 3_5/8 3_3/4 3_7/8 4';
const UP_TO_6 = '4_1/8 4_1/4 4_3/8 4_1/2 4_5/8 4_3/4 4_7/8 5 5_1/8 5_1/4 5_3/8 5_1/2 5_5/8 5_3/4 5_7/8 6';
const INCH_SIZES = [UP_TO_1, UP_TO_2, UP_TO_4, UP_TO_6].join(' ').split(' ');

const from = (first: string, last: string, tpi: number, sizes = INCH_SIZES): string =>
  sizes
    .slice(sizes.indexOf(first), sizes.indexOf(last) + 1)
    .map((s) => `${s}-${tpi}`)
    .join(' ');

/** Constant-pitch series; sizes that are already UNC, UNF or UNEF keep those names and are left out when the catalogue is made. */
const CONSTANT_PITCH = [
  '#6=.138-32 #8=.164-32 #10=.190-32 #12=.216-28 #12=.216-32',
  from('2_1/2', '6', 4),
  from('1_3/8', '6', 6),
  from('1', '6', 8),
  from('9/16', '6', 12),
  from('3/8', '6', 16),
  from('1/4', '3', 20),
  from('1/4', '1_1/2', 28),
  from('1/4', '1', 32),
].join(' ');

export const UNIFIED: readonly Family[] = [
  { id: 'UNC', name: 'Unified coarse', form: 'iso60', system: 'in', source: 'ASME B1.1', commonness: 16, table: UNC },
  { id: 'UNF', name: 'Unified fine', form: 'iso60', system: 'in', source: 'ASME B1.1', commonness: 12, table: UNF },
  {
    id: 'UNEF',
    name: 'Unified extra fine',
    form: 'iso60',
    system: 'in',
    source: 'ASME B1.1',
    commonness: 3,
    table: UNEF,
  },
  {
    id: 'UN',
    name: 'Unified constant pitch',
    form: 'iso60',
    system: 'in',
    source: 'ASME B1.1',
    commonness: 4,
    table: CONSTANT_PITCH,
  },
  {
    id: 'UNS',
    name: 'Unified special sizes, camera screws',
    form: 'iso60',
    system: 'in',
    source: 'ASME B1.1 (selected combinations; from memory)',
    commonness: 1,
    table: '#10=.190-28 #10=.190-36 #10=.190-40 1/4-24 1/4-27 1/4-36 1/4-40 3/8-18 3/8-28 1/2-14 1/2-18 1/2-24 1-14',
  },
  {
    id: 'Hose',
    name: 'Garden hose coupling',
    form: 'iso60',
    system: 'in',
    source: 'ASME B1.20.7 (from memory)',
    commonness: 0.5,
    table: '3/4=1.0625-11.5',
  },
];
