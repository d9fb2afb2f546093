import type { Dial } from './lathe.ts';
import type { Dice } from './random.ts';
import type { Truth } from './door.ts';

/** Thread families and specials that are dealt: by how they are named, with what is true of them. */
interface Kind {
  readonly designation: string;
  readonly pitchMm: number;
  readonly starts: number;
  readonly freeEndDeg: number;
  readonly headEndDeg: number;
  /** Of no standard's classes. */
  readonly special?: true;
}
const inch = 25.4;
const KINDS: readonly Kind[] = [
  { designation: 'M30x2', pitchMm: 2, starts: 1, freeEndDeg: 30, headEndDeg: 30 },
  { designation: 'M16', pitchMm: 2, starts: 1, freeEndDeg: 30, headEndDeg: 30 },
  { designation: 'M6', pitchMm: 1, starts: 1, freeEndDeg: 30, headEndDeg: 30 },
  { designation: '1/2-13 UNC', pitchMm: inch / 13, starts: 1, freeEndDeg: 30, headEndDeg: 30 },
  { designation: '1 1/4-7 BSW', pitchMm: inch / 7, starts: 1, freeEndDeg: 27.5, headEndDeg: 27.5 },
  { designation: 'G 1/2', pitchMm: inch / 14, starts: 1, freeEndDeg: 27.5, headEndDeg: 27.5 },
  { designation: '1-5 Acme', pitchMm: inch / 5, starts: 1, freeEndDeg: 14.5, headEndDeg: 14.5 },
  { designation: 'Tr40x7', pitchMm: 7, starts: 1, freeEndDeg: 15, headEndDeg: 15 },
  { designation: '1 1/2 in x 3.5 TPI 29', pitchMm: inch / 3.5, starts: 1, freeEndDeg: 14.5, headEndDeg: 14.5 },
  { designation: '42.5 mm x 2 mm 60', pitchMm: 2, starts: 1, freeEndDeg: 30, headEndDeg: 30, special: true },
  { designation: '50 mm x 8 mm 45/5', pitchMm: 8, starts: 1, freeEndDeg: 45, headEndDeg: 5, special: true },
  { designation: '1-5 Acme 2-start', pitchMm: inch / 5, starts: 2, freeEndDeg: 14.5, headEndDeg: 14.5 },
];
const DIALS: readonly (readonly [Dial, Dial])[] = [
  [
    { unit: 'in', division: 0.001, perTurn: 100, reads: 'radius' },
    { unit: 'in', division: 0.001, perTurn: 100, reads: 'radius' },
  ],
  [
    { unit: 'mm', division: 0.05, perTurn: 100, reads: 'diameter' },
    { unit: 'mm', division: 0.02, perTurn: 100, reads: 'radius' },
  ],
  [
    { unit: 'mm', division: 0.01, perTurn: 100, reads: 'radius' },
    { unit: 'mm', division: 0.01, perTurn: 100, reads: 'radius' },
  ],
  [
    { unit: 'in', division: 0.001, perTurn: 125, reads: 'diameter' },
    { unit: 'in', division: 0.001, perTurn: 100, reads: 'radius' },
  ],
];

export interface Dealt {
  readonly kind: Kind;
  readonly latheKind: 'change-gears' | 'gearbox' | 'electronic' | 'control';
  readonly infeed: 'plunge' | 'flank' | 'modified' | null;
  readonly returnBy: 'reverse' | 'dial';
  readonly dials: readonly [Dial, Dial];
  readonly slackKnown: boolean;
  readonly crossSlackMm: number;
  readonly topSlackMm: number;
  readonly blankOffMm: number;
  readonly eccentricMm: number;
  readonly wanted: Truth['wanted'];
  readonly member: Truth['member'];
  readonly leftHand: boolean;
  readonly way: 'parallel' | 'angled' | 'turn' | 'slip' | 'start';
  readonly share: number;
  readonly passes: number | null;
  readonly trouble: boolean;
  /** A nut for a worn screw: how far its places lie under the basic size, on pitch diameter, mm. Null: of its own. */
  readonly wornMm: readonly number[] | null;
  /** Parts after the first, which is then a test piece; 0: one part. */
  readonly more: number;
  /** A recut's own step between trials of the mate, mm radial. */
  readonly ownStepMm: number | null;
  /** A nut of a class is proved by plugs, without balls. */
  readonly byPlugs: boolean;
  /** How much of its usual allowance, tolerance and wear the mate has. */
  readonly mateShare: number;
  /** The train or a lever goes on wrongly the first time. */
  readonly slip: boolean;
  /** The blank is read wrongly by so much on diameter, mm; 0: it is not. */
  readonly misreadMm: number;
  /** A limit gauge is made instead of a part: which end. */
  readonly gauge: 'go' | 'not-go' | null;
}

/** What goes wrong before the first pass, of a part that is cut from a blank. */
const wrongly = (dice: Dice, geared: boolean, wanted: Truth['wanted']): Pick<Dealt, 'slip' | 'misreadMm'> => ({
  slip: geared && wanted === 'copy' && dice.chance(0.2),
  misreadMm: wanted === 'copy' && dice.chance(0.1) ? dice.of([-1, 1]) * dice.between(0.08, 0.2) : 0,
});

/** One job, dealt at random: family, member, hand, lathe, dials, slack, blank, what came in, and whether things go wrong. */
export function deal(dice: Dice): Dealt {
  const kind = dice.of(KINDS);
  const latheKind = dice.of(['change-gears', 'change-gears', 'gearbox', 'gearbox', 'electronic', 'control'] as const);
  const geared = latheKind === 'change-gears' || latheKind === 'gearbox';
  const wanted = kind.starts > 1 ? 'copy' : dice.of(['copy', 'copy', 'copy', 'extend', 'recut'] as const);
  const ways = geared ? (['parallel', 'angled', 'turn', 'slip'] as const) : (['parallel', 'turn', 'start'] as const);
  const copies = wanted === 'copy' && kind.starts === 1;
  const member = copies ? dice.of(['external', 'external', 'internal'] as const) : 'external';
  const worn = member === 'internal' && dice.chance(0.5);
  return {
    kind,
    latheKind,
    infeed: dice.of(['plunge', 'flank', 'modified', null] as const),
    returnBy: dice.of(['reverse', 'dial'] as const),
    dials: dice.of(DIALS),
    slackKnown: dice.chance(0.5),
    crossSlackMm: dice.between(0.05, 0.28),
    topSlackMm: dice.between(0.05, 0.2),
    blankOffMm: dice.gauss(0.06 * Math.sqrt(kind.pitchMm)),
    eccentricMm: dice.between(0, 0.05),
    wanted,
    member,
    wornMm: worn ? [0.05, 0.12, 0.3].map((mm) => mm * dice.between(0.5, 1.5)) : null,
    more: kind.starts === 1 && dice.chance(0.15) ? 3 : 0,
    ownStepMm: wanted === 'recut' && kind.pitchMm >= 2 && dice.chance(0.6) ? 0.0127 : null,
    leftHand: dice.chance(0.25),
    way: dice.of(ways),
    share: dice.between(0.75, 0.97),
    passes: dice.chance(0.3) ? dice.whole(6, 30) : null,
    trouble: dice.chance(0.5),
    byPlugs: dice.chance(0.5),
    mateShare: dice.between(0, 1),
    ...wrongly(dice, geared, wanted),
    gauge: wanted === 'copy' && !worn && !kind.special && dice.chance(0.2) ? dice.of(['go', 'not-go'] as const) : null,
  };
}
