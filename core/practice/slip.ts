import { cosDeg } from '../quantity/units.ts';
import { deal, type Deal } from './deal.ts';

/** One mistake of a set-up. */
export type Slip =
  | { readonly is: 'gear'; readonly place: number; readonly on: number; readonly belongs: number }
  | { readonly is: 'swapped'; readonly a: number; readonly b: number }
  | { readonly is: 'chart-row'; readonly row: string; readonly leadMm: number }
  | { readonly is: 'half-angle'; readonly deg: number }
  | { readonly is: 'whole-angle' }
  | { readonly is: 'diameter' }
  | { readonly is: 'radius' }
  | { readonly is: 'bore'; readonly boreMm: number; readonly from: 'other-form' | 'tap-of-pitch' }
  | { readonly is: 'not-in-line'; readonly perMm: number }
  | { readonly is: 'nothing' };

/** What is read on what was cut. Lengths mm, angles degrees. */
export interface Read {
  readonly tenPitches: number;
  readonly flank: number;
  readonly depth: number;
  /** Diameter at the headstock's end less that at the free end. */
  readonly growsBy: number;
  /** Bore of the nut. */
  readonly bore: number;
}
/** What a slip is read by. */
export const READS = ['tenPitches', 'flank', 'depth', 'growsBy', 'bore'] as const;
/** One of READS. */
export type ReadOf = (typeof READS)[number];
/** As well as each is read in a shop; two mistakes that differ by less cannot be told apart. Common practice, no source. */
export const READ_TO: Readonly<Record<ReadOf, number>> = {
  tenPitches: 0.05,
  flank: 0.5,
  depth: 0.03,
  growsBy: 0.02,
  bore: 0.03,
};

/** The card on the cover: train, what it gives, and the part. */
export interface SlipCard {
  readonly thread: string;
  readonly pitchMm: number;
  readonly halfDeg: number;
  readonly majorMm: number;
  readonly depthMm: number;
  /** Bore of the nut. */
  readonly boreMm: number;
  readonly slideDeg: number;
  readonly lengthMm: number;
  readonly leadscrewMm: number;
  readonly drivers: readonly [number, number];
  readonly driven: readonly [number, number];
  /** Gears that lie in the drawer besides. */
  readonly drawer: readonly number[];
  /** Rows beside its own on the chart of a gearbox, mm. */
  readonly rows: readonly { readonly row: string; readonly leadMm: number }[];
}
/** A card with a slip in it, as it was dealt. */
export interface SlipRound {
  readonly card: SlipCard;
  readonly right: Slip;
  readonly choices: readonly Slip[];
  readonly read: Read;
}

const inch = 25.4;
/** Invented cards: the trains give their pitch, the metric one on inches to 125 ppm by its 63. ISO 68-1 and ASME B1.1: a screw 17/24 H deep, bore D - 1.082532 P; ISO 2904: half a pitch and the clearance, bore D - P; BS 84: 0.640327 P. */
const CARDS: readonly SlipCard[] = [
  {
    thread: 'M30x2',
    pitchMm: 2,
    halfDeg: 30,
    majorMm: 30,
    depthMm: 1.227,
    boreMm: 27.835,
    slideDeg: 29.5,
    lengthMm: 60,
    leadscrewMm: inch / 8,
    drivers: [63, 20],
    driven: [40, 50],
    drawer: [25, 30, 35, 45, 55, 60, 65],
    rows: [
      { row: '1.75', leadMm: 1.75 },
      { row: '2.25', leadMm: 2.25 },
    ],
  },
  {
    thread: '5/8-11 BSW',
    pitchMm: inch / 11,
    halfDeg: 27.5,
    majorMm: 15.875,
    depthMm: 1.479,
    boreMm: 12.918,
    slideDeg: 27,
    lengthMm: 40,
    leadscrewMm: inch / 8,
    drivers: [60, 20],
    driven: [55, 30],
    drawer: [25, 35, 40, 45, 50, 63, 65],
    rows: [
      { row: '10 tpi', leadMm: inch / 10 },
      { row: '11 1/2 tpi', leadMm: inch / 11.5 },
    ],
  },
  {
    thread: '1 1/4-7 UNC',
    pitchMm: inch / 7,
    halfDeg: 30,
    majorMm: 31.75,
    depthMm: 2.226,
    boreMm: 27.822,
    slideDeg: 29.5,
    lengthMm: 50,
    leadscrewMm: inch / 8,
    drivers: [60, 20],
    driven: [35, 30],
    drawer: [25, 40, 45, 50, 55, 63, 65],
    rows: [
      { row: '7 1/2 tpi', leadMm: inch / 7.5 },
      { row: '6 1/2 tpi', leadMm: inch / 6.5 },
    ],
  },
  {
    thread: 'Tr 28x5',
    pitchMm: 5,
    halfDeg: 15,
    majorMm: 28,
    depthMm: 2.75,
    boreMm: 23,
    slideDeg: 14.5,
    lengthMm: 90,
    leadscrewMm: 6,
    drivers: [40, 45],
    driven: [36, 60],
    drawer: [30, 32, 44, 48, 50, 52, 56, 64],
    rows: [
      { row: '4.5', leadMm: 4.5 },
      { row: '5.5', leadMm: 5.5 },
    ],
  },
];

const ratioOf = (drivers: readonly number[], driven: readonly number[]): number =>
  drivers.reduce((p, n) => p * n, 1) / driven.reduce((p, n) => p * n, 1);

/**
 * What would be read if that one thing were wrong. Kinematics of a train, geometry of a slide.
 * @example readWith({ pitchMm: 2, halfDeg: 30, depthMm: 1.227, boreMm: 10 }, { is: 'nothing' }).tenPitches // 20
 */
export function readWith(c: SlipCard, slip: Slip): Read {
  const right: Read = {
    tenPitches: 10 * c.pitchMm,
    flank: c.halfDeg,
    depth: c.depthMm,
    growsBy: 0,
    bore: c.boreMm,
  };
  const ten = (drivers: readonly number[], driven: readonly number[]): Read => ({
    ...right,
    tenPitches: 10 * ratioOf(drivers, driven) * c.leadscrewMm,
  });
  switch (slip.is) {
    case 'gear': {
      const gears = [...c.drivers, ...c.driven].map((n, i) => (i === slip.place ? slip.on : n));
      return ten(gears.slice(0, 2), gears.slice(2));
    }
    case 'swapped': {
      const gears: number[] = [...c.drivers, ...c.driven];
      const [a, b] = [gears[slip.a], gears[slip.b]];
      if (a === undefined || b === undefined) return right;
      gears[slip.a] = b;
      gears[slip.b] = a;
      return ten(gears.slice(0, 2), gears.slice(2));
    }
    case 'chart-row':
      return { ...right, tenPitches: 10 * slip.leadMm };
    case 'half-angle':
      return { ...right, flank: slip.deg };
    case 'whole-angle':
      // the same travel of the slide goes in by its cosine
      return { ...right, depth: (c.depthMm * cosDeg(2 * c.halfDeg)) / cosDeg(c.slideDeg) };
    case 'diameter':
      return { ...right, depth: c.depthMm / 2 };
    case 'radius':
      return { ...right, depth: 2 * c.depthMm };
    case 'bore':
      return { ...right, bore: slip.boreMm };
    case 'not-in-line':
      return { ...right, growsBy: 2 * slip.perMm * c.lengthMm };
    case 'nothing':
      return right;
  }
}

/**
 * In how many of what can be read two mistakes differ enough to be told apart.
 * @example toldApart({ tenPitches: 20, flank: 30, depth: 1.2, growsBy: 0, bore: 10 }, { tenPitches: 20, flank: 27.5, depth: 1.2, growsBy: 0, bore: 10 }) // true
 */
export const toldApart = (a: Read, b: Read): boolean => READS.some((k) => Math.abs(a[k] - b[k]) > 3 * READ_TO[k]);

/** Every mistake that a level has in it; the last levels leave only small differences. */
function slipsOf(d: Deal, c: SlipCard, level: number): Slip[] {
  const gears = [...c.drivers, ...c.driven];
  const near = (n: number): number[] => c.drawer.filter((g) => g !== n && (level < 4 || Math.abs(g - n) <= 6));
  const gear = (): Slip[] =>
    gears.flatMap((belongs, place) => {
      const list = near(belongs);
      return list.length === 0 ? [] : [{ is: 'gear' as const, place, on: d.of(list), belongs }];
    });
  const swapped: Slip[] = [
    { is: 'swapped', a: 0, b: 2 },
    { is: 'swapped', a: 1, b: 3 },
  ];
  const rows: Slip[] = c.rows.map((r) => ({ is: 'chart-row', ...r }));
  const other = [30, 27.5, 15, 14.5].filter((x) => x !== c.halfDeg && Math.abs(x - c.halfDeg) < (level < 4 ? 3 : 2.6));
  const angles: Slip[] = other.map((deg) => ({ is: 'half-angle', deg }));
  const slide: Slip[] = [{ is: 'whole-angle' }, { is: 'diameter' }, { is: 'radius' }];
  const line: Slip[] = [{ is: 'not-in-line', perMm: d.of([0.002, -0.002, 0.003]) / (level >= 4 ? 2 : 1) }];
  const bore: Slip[] = [
    // "major less the pitch", which is a 60 degree tap drill and no bore for another depth
    { is: 'bore', boreMm: c.majorMm - c.pitchMm, from: 'tap-of-pitch' },
    { is: 'bore', boreMm: c.majorMm - 1.6 * c.pitchMm, from: 'other-form' },
  ];
  const rough = [...swapped, ...rows, ...slide, ...line];
  const all = {
    1: rough,
    2: [...gear(), ...rows, ...line],
    3: [...angles, ...slide, ...bore, ...rows],
    4: [...gear(), ...angles, ...line, ...bore],
    5: [...gear(), ...angles, ...slide, ...line, ...bore, ...rows, { is: 'nothing' as const }],
  }[level as 1 | 2 | 3 | 4 | 5];
  return d.shuffled(all);
}

/** Choices of one round. */
const CHOICES = 6;

/**
 * A reading with or without a slip in it. @param level 1 up
 * @example slipRound(3, 1).truth === slipRound(3, 1).truth // true
 */
export function slipRound(seed: number, level: number): SlipRound {
  const d = deal(seed);
  const card = d.of(CARDS);
  const nothing = readWith(card, { is: 'nothing' });
  const choices: Slip[] = [];
  const seen: Read[] = [];
  for (const slip of slipsOf(d, card, level)) {
    const read = readWith(card, slip);
    // a mistake that nobody can tell from another, or from none, is no question
    if (slip.is !== 'nothing' && !toldApart(read, nothing)) continue;
    if (seen.some((s) => !toldApart(s, read))) continue;
    choices.push(slip);
    seen.push(read);
    if (choices.length === CHOICES) break;
  }
  const right = d.of(choices);
  const clean = readWith(card, right);
  const noise = (k: ReadOf): number => clean[k] + Math.max(-1, Math.min(1, d.normal())) * READ_TO[k] * 0.6;
  const round = (x: number, step: number): number => Math.round(x / step) * step;
  return {
    card,
    right,
    choices,
    read: {
      tenPitches: round(noise('tenPitches'), 0.02),
      flank: round(noise('flank'), 0.25),
      depth: round(noise('depth'), 0.01),
      growsBy: round(noise('growsBy'), 0.01),
      bore: round(noise('bore'), 0.01),
    },
  };
}

/**
 * The mistake whose reading is nearest to what was read, weighed by how well each is read.
 * @example likeliestSlip({ ...slipRound(1, 1), choices: [{ is: 'nothing' }] }).is // 'nothing'
 */
export function likeliestSlip(r: SlipRound): Slip {
  const off = (s: Slip): number =>
    READS.reduce((sum, k) => sum + ((readWith(r.card, s)[k] - r.read[k]) / READ_TO[k]) ** 2, 0);
  return r.choices.reduce((best, s) => (off(s) < off(best) ? s : best));
}
/**
 * What it was, when something else was chosen; empty: right.
 * @example gradeSlip(slipRound(1, 1), likeliestSlip(slipRound(1, 1))) // 'whole-angle'
 */
export const gradeSlip = (r: SlipRound, chosen: Slip): string => (chosen === r.right ? '' : r.right.is);
