import type { Family } from '../family.ts';

const BSW = `
1/16-60 3/32-48 1/8-40 5/32-32 3/16-24 7/32-24 1/4-20 5/16-18 3/8-16 7/16-14 1/2-12 9/16-12 5/8-11 11/16-11 3/4-10 7/8-9
1-8 1_1/8-7 1_1/4-7 1_3/8-6 1_1/2-6 1_5/8-5 1_3/4-5 2-4.5 2_1/4-4 2_1/2-4 2_3/4-3.5 3-3.5 3_1/4-3.25 3_1/2-3.25 3_3/4-3
4-3 4_1/2-2.875 5-2.75 5_1/2-2.625 6-2.5`;
const BSF = `
3/16-32 7/32-28 1/4-26 9/32-26 5/16-22 3/8-20 7/16-18 1/2-16 9/16-16 5/8-14 11/16-14 3/4-12 13/16-12 7/8-11 1-10 1_1/8-9
1_1/4-9 1_3/8-8 1_1/2-8 1_5/8-8 1_3/4-7 2-7 2_1/4-6 2_1/2-6 2_3/4-6 3-5 3_1/4-5 3_1/2-4.5 3_3/4-4.5 4-4.5 4_1/4-4`;
const BRASS = '1/8-26 3/16-26 1/4-26 5/16-26 3/8-26 7/16-26 1/2-26 9/16-26 5/8-26 3/4-26 7/8-26 1-26 1_1/8-26 1_1/4-26';
const BA = `
0=6-1 1=5.3-.9 2=4.7-.81 3=4.1-.73 4=3.6-.66 5=3.2-.59 6=2.8-.53 7=2.5-.48 8=2.2-.43 9=1.9-.39 10=1.7-.35 11=1.5-.31
12=1.3-.28 13=1.2-.25 14=1-.23 15=.9-.21 16=.79-.19`;

/** Nominal diameters of ISO 228-1 are millimetres; the label is the pipe's. */
const G = `
1/16=7.723-28 1/8=9.728-28 1/4=13.157-19 3/8=16.662-19 1/2=20.955-14 5/8=22.911-14 3/4=26.441-14 7/8=30.201-14 1=33.249-11
1_1/8=37.897-11 1_1/4=41.91-11 1_1/2=47.803-11 1_3/4=53.746-11 2=59.614-11 2_1/4=65.71-11 2_1/2=75.184-11 2_3/4=81.534-11
3=87.884-11 3_1/2=100.33-11 4=113.03-11 4_1/2=125.73-11 5=138.43-11 5_1/2=151.13-11 6=163.83-11`;
const R = `
1/16=7.723-28 1/8=9.728-28 1/4=13.157-19 3/8=16.662-19 1/2=20.955-14 3/4=26.441-14 1=33.249-11 1_1/4=41.91-11
1_1/2=47.803-11 2=59.614-11 2_1/2=75.184-11 3=87.884-11 4=113.03-11 5=138.43-11 6=163.83-11`;
const CYCLE = `
1/8-40 5/32-32 3/16-32 7/32-26 1/4-26 9/32-26 5/16-26 3/8-26 7/16-26 1/2-26 9/16-20 9/16-26 5/8-26 11/16-26 31/32-30 1-24
1-26 1_1/8-26 1.29-24 1.37-24`;

export const BRITISH: readonly Family[] = [
  {
    id: 'BSW',
    name: 'British Standard Whitworth',
    form: 'whitworth55',
    system: 'in',
    source: 'BS 84',
    commonness: 9,
    table: BSW,
  },
  {
    id: 'BSF',
    name: 'British Standard Fine',
    form: 'whitworth55',
    system: 'in',
    source: 'BS 84',
    commonness: 6,
    table: BSF,
  },
  {
    id: 'BSBrass',
    name: 'British brass, 26 tpi',
    form: 'whitworth55',
    system: 'in',
    source: 'common practice, no source',
    commonness: 1,
    table: BRASS,
  },
  { id: 'BA', name: 'British Association', form: 'ba47', system: 'mm', source: 'BS 93', commonness: 4, table: BA },
  { id: 'G', name: 'Parallel pipe', form: 'pipe55', system: 'mm', source: 'ISO 228-1', commonness: 6, table: G },
  {
    id: 'R',
    name: 'Taper pipe 55\u00b0',
    form: 'pipeTaper55',
    system: 'mm',
    source: 'ISO 7-1',
    commonness: 3,
    table: R,
  },
  {
    id: 'Cycle',
    name: 'Cycle',
    form: 'cycle60',
    system: 'in',
    source: 'BS 811 (sizes from memory)',
    commonness: 1,
    table: CYCLE,
  },
  {
    id: 'Optical',
    name: 'Microscope objective',
    form: 'whitworth55',
    system: 'in',
    source: 'ISO 8038 (from memory)',
    commonness: 0.3,
    table: '0.8-36',
  },
];
