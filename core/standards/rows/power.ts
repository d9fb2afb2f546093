import type { Family } from '../family.ts';

const ACME = `
1/4-16 5/16-14 3/8-12 7/16-12 1/2-10 5/8-8 3/4-6 7/8-6 1-5 1_1/8-5 1_1/4-5 1_3/8-4 1_1/2-4 1_3/4-4 2-4 2_1/4-3 2_1/2-3
2_3/4-3 3-2 3_1/2-2 4-2 4_1/2-2 5-2`;

const buttress = (sizes: string, pitches: string): string =>
  sizes
    .split(' ')
    .flatMap((s) => pitches.split(' ').map((p) => `${s}-${p}`))
    .join(' ');
/** ASME B1.9, preferred diameters with the pitches recommended for each group (from memory). */
const BUTTRESS = [
  buttress('1/2 9/16 5/8', '20 16 12'),
  buttress('3/4 7/8 1', '16 12 10'),
  buttress('1_1/8 1_1/4 1_3/8 1_1/2', '16 12 10 8 6'),
  buttress('1_3/4 2 2_1/4 2_1/2', '16 12 10 8 6 5 4'),
  buttress('2_3/4 3 3_1/2 4', '16 12 10 8 6 5 4'),
  buttress('4_1/2 5 5_1/2 6', '12 10 8 6 5 4 3'),
  buttress('7 8 9 10', '10 8 6 5 4 3 2.5 2'),
].join(' ');

const NPT = `
1/16=.3125-27 1/8=.405-27 1/4=.54-18 3/8=.675-18 1/2=.84-14 3/4=1.05-14 1=1.315-11.5 1_1/4=1.66-11.5 1_1/2=1.9-11.5
2=2.375-11.5 2_1/2=2.875-8 3=3.5-8 3_1/2=4-8 4=4.5-8 5=5.563-8 6=6.625-8 8=8.625-8 10=10.75-8 12=12.75-8`;
const NPTF = NPT.split(/(?=3_1\/2)/)[0] ?? '';

/** DIN 405-1: diameters 8 to 12 at 10 tpi, to 38 at 8, to 100 at 6, to 200 at 4. */
const ROUND = [
  ['8 9 10 11 12', 10],
  ['14 16 18 20 22 24 26 28 30 32 34 36 38', 8],
  ['40 42 44 46 48 50 52 55 58 60 62 65 68 70 72 75 78 80 82 85 88 90 92 95 98 100', 6],
  ['105 110 115 120 125 130 135 140 145 150 155 160 165 170 175 180 185 190 195 200', 4],
]
  .flatMap(([sizes, tpi]) =>
    String(sizes)
      .split(' ')
      .map((s) => `${s}-${tpi}`),
  )
  .join(' ');

export const POWER_AND_PIPE: readonly Family[] = [
  { id: 'Acme', name: 'Acme', form: 'acme29', system: 'in', source: 'ASME B1.5', commonness: 5, table: ACME },
  {
    id: 'StubAcme',
    name: 'Stub Acme',
    form: 'stubAcme29',
    system: 'in',
    source: 'ASME B1.8',
    commonness: 1,
    table: ACME,
  },
  {
    id: 'Buttress',
    name: 'Buttress 45\u00b0/7\u00b0',
    form: 'buttress45-7',
    system: 'in',
    source: 'ASME B1.9',
    commonness: 1,
    table: BUTTRESS,
  },
  {
    id: 'NPT',
    name: 'Taper pipe 60\u00b0',
    form: 'npt60',
    system: 'in',
    source: 'ASME B1.20.1',
    commonness: 5,
    table: NPT,
  },
  {
    id: 'NPTF',
    name: 'Dry-seal taper pipe',
    form: 'nptf60',
    system: 'in',
    source: 'ASME B1.20.3',
    commonness: 1,
    table: NPTF,
  },
  { id: 'Rd', name: 'Round', form: 'round30', system: 'mm', source: 'DIN 405-1', commonness: 0.7, table: ROUND },
  {
    id: 'Square',
    name: 'Square',
    form: 'square',
    system: 'in',
    source: 'common practice, no source',
    commonness: 1.5,
    table:
      '1/2-6.5 5/8-5.5 3/4-5 7/8-4.5 1-4 1_1/8-3.5 1_1/4-3.5 1_3/8-3 1_1/2-3 1_3/4-2.5 2-2.25 2_1/4-2.25 2_1/2-2 3-1.75',
  },
];
