import { radians } from '../../quantity/units.ts';
import { gearsToChange, type Gearing } from '../train.ts';
import { apart, closeChain, nearerMiss, type Arm, type NoClosure, type NotClosed, type Point } from './arm.ts';

export type { Arm } from './arm.ts';

/** A gear that stands in the way. */
export interface FouledGear {
  readonly teeth: number;
  readonly idler: boolean;
}
/** Why a train does not go on; what stood in the way of the mounting that came nearest. */
export type NotMounted =
  | NotClosed
  | { readonly code: 'too-few-studs'; readonly pairs: number; readonly studs: number }
  | { readonly code: 'no-stud-for-idler' | 'no-gear-for-idler' | 'no-idler-reaches' }
  | {
      readonly code: 'fouls';
      readonly gear: FouledGear;
      readonly at: 'cover' | 'shaft' | 'stud' | 'tips';
      readonly other: FouledGear | null;
      readonly byMm: number;
    };

/** A gear where it goes on. */
export interface PlacedGear {
  readonly teeth: number;
  readonly at: Point;
  /** 1 is the back plane. */
  readonly plane: 1 | 2;
  readonly role: 'driver' | 'driven' | 'idler';
  /** 0 the first driver's shaft, then the studs in turn, last the leadscrew or gearbox input. */
  readonly shaft: number;
  /** Which pair it belongs to, from 0; an idler stands within one. */
  readonly pair: number;
}
/** A train on the arm, or why it does not go on. */
export type Mount =
  | (Gearing & {
      readonly fits: true;
      /** Gears that stand as idlers within each pair, in order. */
      readonly idlers: readonly (readonly number[])[];
      readonly gears: readonly PlacedGear[];
      readonly armDeg: number;
      /** Meshes between the first driver and the leadscrew: an odd number turns the screw against the first driver. */
      readonly meshes: number;
      /** Least gap between a gear and anything it must not touch, mm. */
      readonly clearanceMm: number;
    })
  | { readonly fits: false; readonly why: NotMounted };
/** A train that goes on. */
export type Fitting = Extract<Mount, { fits: true }>;

/** Whether the leadscrew must turn with the first driver (an even number of meshes) or against it; null: either way. */
export type Turning = 'odd' | 'even' | null;

const DEFAULT_BOSS_MM = 10;
const DEFAULT_STUDS = 2;
const DEFAULT_PRESSURE_DEG = 20;
const MOST_IDLERS = 2;
const MOST_MESHES = 4;
/** Clearance beyond which no other idler is looked for. Common practice, no source: two millimetres can be seen. */
const ROOMY_MM = 2;
/** A pair whose centres are this near to the distance of the shafts meshes without the arm. */
const DIRECT_MM = 0.1;

/** Centre distance of a mesh: backlash j opens it by j / (2 tan phi), 1.37 j at 20 degrees, 1.93 j at 14.5. */
const meshMm = (arm: Arm, a: number, b: number): number =>
  (arm.moduleMm * (a + b)) / 2 +
  (arm.backlashMm ?? 0) / (2 * Math.tan(radians(arm.pressureAngleDeg ?? DEFAULT_PRESSURE_DEG)));

/**
 * Mounts a train on an arm: every order of drivers and driven, every slot, both sides of the line of centres, with no
 * idler, else with one, else with two of the gears left over, as many as it takes to reach and to turn the right way.
 * Among the mountings with the fewest idlers a roomy one is given, of those the one with least to change from what is
 * mounted; else the roomiest; if none goes, what stood in the way of the one that came nearest.
 * @example mountTrain([60, 40], [30, 35], [], arm).fits // true
 */
export function mountTrain(
  drivers: readonly number[],
  driven: readonly number[],
  spare: readonly number[],
  arm: Arm,
  turning: Turning = null,
  mounted: Gearing | null = null,
): Mount {
  const spares = [...new Set(spare)].sort((a, b) => b - a);
  const pairs = drivers.length;
  const studs = arm.studs ?? DEFAULT_STUDS;
  if (pairs - 1 > studs) return { fits: false, why: { code: 'too-few-studs', pairs, studs } };
  const search: Search = { arm, mounted, best: null, foul: null, why: null };
  for (let idlers = 0; idlers <= MOST_IDLERS && pairs - 1 + idlers <= studs; idlers += 1) {
    if (!turnsRight(pairs + idlers, turning)) continue;
    if (pairs + idlers > MOST_MESHES) break;
    for (const chosen of idlerChoices(spares, spare, idlers)) {
      for (const order of orders(drivers, driven, spread(chosen, pairs))) layOut(search, order);
      if (search.best && search.best.clearanceMm >= ROOMY_MM) return search.best;
    }
    if (search.best) return search.best;
  }
  const why = search.foul ? fouled(search.foul) : search.why?.why;
  return { fits: false, why: why ?? wantsIdler(pairs, studs, spares.length) };
}

const turnsRight = (meshes: number, turning: Turning): boolean =>
  turning === null || (meshes % 2 === 0) === (turning === 'even');

const wantsIdler = (pairs: number, studs: number, spares: number): NotMounted => ({
  code: pairs - 1 >= studs ? 'no-stud-for-idler' : spares === 0 ? 'no-gear-for-idler' : 'no-idler-reaches',
});

/** A driver or an idler and what it meshes with is one step of the train; idlers[k] stand within pair k. */
interface Order extends Gearing {
  readonly idlers: readonly (readonly number[])[];
}

function* orders(
  drivers: readonly number[],
  driven: readonly number[],
  placings: readonly (readonly (readonly number[])[])[],
): Generator<Order> {
  for (const a of permutations(drivers))
    for (const b of permutations(driven)) for (const idlers of placings) yield { drivers: a, driven: b, idlers };
}

const permutations = (list: readonly number[]): number[][] =>
  list.length <= 1
    ? [[...list]]
    : list.flatMap((x, i) =>
        list.indexOf(x) < i
          ? []
          : permutations([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [x, ...rest]),
      );

/** Which gears serve as idlers; of equal ones two are taken only if two are left. */
function* idlerChoices(kinds: readonly number[], spare: readonly number[], count: number): Generator<number[]> {
  if (count === 0) yield [];
  else if (count === 1) for (const t of kinds) yield [t];
  else
    for (const a of kinds) for (const b of kinds) if (a !== b || spare.filter((t) => t === a).length > 1) yield [a, b];
}

/** Every way to put idlers, in their order, into the pairs. */
function spread(idlers: readonly number[], pairs: number): number[][][] {
  const [first, ...rest] = idlers;
  if (first === undefined) return [Array.from({ length: pairs }, () => [])];
  const out: number[][][] = [];
  for (let k = 0; k < pairs; k += 1)
    for (const more of spread(rest, pairs - k)) {
      const all = Array.from({ length: k }, (): number[] => []).concat(more);
      out.push(all.map((list, i) => (i === k ? [first, ...list] : list)));
    }
  return out;
}

interface Search {
  readonly arm: Arm;
  readonly mounted: Gearing | null;
  best: Fitting | null;
  /** Of the layouts in which something is in the way, the one with least in the way. */
  foul: Tightest | null;
  why: NoClosure | null;
}

/** Gears shaft by shaft, in the order in which they drive. */
function gearsOf({ drivers, driven, idlers }: Order): Omit<PlacedGear, 'at'>[] {
  const gears: Omit<PlacedGear, 'at'>[] = [];
  let shaft = 0;
  drivers.forEach((teeth, pair) => {
    const plane = pair % 2 === 0 ? 1 : 2;
    gears.push({ teeth, plane, role: 'driver', shaft, pair });
    for (const idler of idlers[pair] ?? [])
      gears.push({ teeth: idler, plane, role: 'idler', shaft: (shaft += 1), pair });
    gears.push({ teeth: driven[pair] ?? 0, plane, role: 'driven', shaft: (shaft += 1), pair });
  });
  return gears;
}

/** Whether two gears of the train are meant to mesh: neighbours within one pair. Others in one plane must keep apart. */
const meshesWith = (a: Omit<PlacedGear, 'at'>, b: Omit<PlacedGear, 'at'>): boolean =>
  a.pair === b.pair && Math.abs(a.shaft - b.shaft) === 1;

function layOut(search: Search, order: Order): void {
  const { arm } = search;
  const unplaced = gearsOf(order);
  const shafts = (unplaced.at(-1)?.shaft ?? 0) + 1;
  const meshes: number[] = [];
  unplaced.forEach((g, i) => {
    const next = unplaced[i + 1];
    if (next && next.shaft === g.shaft + 1) meshes.push(meshMm(arm, g.teeth, next.teeth));
  });
  const closures = shafts === 2 ? direct(meshes[0] ?? 0, arm) : closeChain(meshes, arm);
  if (!Array.isArray(closures)) {
    search.why = nearerMiss(search.why, closures);
    return;
  }
  for (const { studs, armDeg } of closures) {
    const at = [{ x: 0, y: 0 }, ...studs, { x: arm.centresMm, y: 0 }];
    const gears = unplaced.map((g): PlacedGear => ({ ...g, at: at[g.shaft] ?? { x: 0, y: 0 } }));
    const room = tightest(gears, arm);
    if (room.gap < 0) {
      if (!search.foul || search.foul.gap < room.gap) search.foul = room;
      continue;
    }
    const found: Fitting = {
      fits: true,
      idlers: order.idlers,
      gears,
      armDeg,
      drivers: order.drivers,
      driven: order.driven,
      meshes: shafts - 1,
      clearanceMm: room.gap,
    };
    if (!search.best || better(found, search.best, search.mounted)) search.best = found;
  }
}

/** Room first, as far as it matters; then the least to change; then room again. */
function better(a: Fitting, b: Fitting, mounted: Gearing | null): boolean {
  const room = Math.min(a.clearanceMm, ROOMY_MM) - Math.min(b.clearanceMm, ROOMY_MM);
  const change = gearsToChange(b, mounted) - gearsToChange(a, mounted);
  return (room || change || a.clearanceMm - b.clearanceMm) > 0;
}

const direct = (mesh: number, arm: Arm): ReturnType<typeof closeChain> =>
  Math.abs(mesh - arm.centresMm) < DIRECT_MM
    ? [{ studs: [], armDeg: 0 }]
    : {
        stage: 'reach',
        why: { code: 'no-span' },
      };

/** Where it is tightest: the gap, mm, below nought when something is in the way, and what it is that comes so near. */
interface Tightest {
  readonly gap: number;
  readonly g: PlacedGear;
  readonly o: PlacedGear | null;
  readonly kind: 'cover' | 'shaft' | 'stud' | 'tips';
}

function tightest(gears: readonly PlacedGear[], arm: Arm): Tightest {
  const tip = (g: PlacedGear): number => tipMm(g, arm);
  const nut = { end: nutMm(arm, true), stud: nutMm(arm, false) };
  const last = gears.at(-1)?.shaft ?? 0;
  let least: Tightest | null = null;
  const meet = (gap: number, g: PlacedGear, o: PlacedGear | null, kind: Tightest['kind']): void => {
    if (least === null || gap < least.gap) least = { gap, g, o, kind };
  };
  for (const g of gears) {
    meet(coverGap(g.at, tip(g), arm), g, null, 'cover');
    for (const o of gears) {
      if (o.shaft === g.shaft) continue;
      const toTip = apart(g.at, o.at) - tip(g);
      const end = isEnd(o, last);
      // one nut holds all that is on a shaft: what meshes there passes it where that is clear
      const partner = gears.find((x) => x.shaft === o.shaft && meshesWith(g, x));
      if (!(partner && nutClears(partner, arm))) meet(toTip - (end ? nut.end : nut.stud), g, o, end ? 'shaft' : 'stud');
      if (g.plane === o.plane && !meshesWith(g, o)) meet(toTip - tip(o), g, o, 'tips');
    }
  }
  if (!least) throw new RangeError('a train without gears');
  return least;
}

/**
 * Whether the nut on a gear's shaft is out of the way of the gear that meshes there, where it reaches so far. Nuts stand
 * before the front plane, so that over a mesh of the back plane a whole gear's width lies between; over one of the front
 * plane the nut sits on the very face beside which the teeth run, and is taken to be in the way unless it is said to clear.
 */
const nutClears = (held: PlacedGear, arm: Arm): boolean =>
  arm.nutOverMesh === undefined ? held.plane === 1 : arm.nutOverMesh === 'clears';

/**
 * Gears whose tips run behind the nut of the gear that they mesh with: what a mounting rests on, to be seen before power.
 * @example behindNuts(mounted([60, 40], [30, 35]), arm) // []
 */
export function behindNuts(mount: Fitting, arm: Arm): readonly { readonly teeth: number; readonly of: number }[] {
  const last = mount.gears.at(-1)?.shaft ?? 0;
  return mount.gears.flatMap((g) =>
    mount.gears
      .filter((o) => o.shaft !== g.shaft && meshesWith(g, o))
      .filter((o) => apart(g.at, o.at) - tipMm(g, arm) < nutMm(arm, isEnd(o, last)))
      .map((o) => ({ teeth: g.teeth, of: o.teeth })),
  );
}
/** The first driver's shaft and the leadscrew; the others are studs. */
const isEnd = (g: PlacedGear, last: number): boolean => g.shaft === 0 || g.shaft === last;
/** Radius of what holds the gears there. */
const nutMm = (arm: Arm, end: boolean): number => {
  const stud = arm.bossRadiusMm ?? DEFAULT_BOSS_MM;
  return end ? (arm.shaftRadiusMm ?? stud) : stud;
};
const tipMm = (g: PlacedGear, arm: Arm): number => (arm.moduleMm * (g.teeth + 2)) / 2;

const fouled = ({ gap, g, o, kind }: Tightest): NotMounted => ({
  code: 'fouls',
  gear: nameOf(g),
  at: kind,
  other: o && nameOf(o),
  byMm: Math.max(LEAST_SAID_MM, -gap),
});
const nameOf = (x: PlacedGear): FouledGear => ({ teeth: x.teeth, idler: x.role === 'idler' });
/** Less than this is not seen, mm. */
const LEAST_SAID_MM = 0.1;

function coverGap(at: Point, tip: number, arm: Arm): number {
  const { cover } = arm;
  let gap = arm.coverRadiusMm === undefined ? Infinity : arm.coverRadiusMm - tip;
  if (cover)
    gap = Math.min(
      gap,
      at.x + cover.beyondFirstMm - tip,
      arm.centresMm + cover.beyondLastMm - at.x - tip,
      cover.oneSideMm - at.y - tip,
      at.y + cover.otherSideMm - tip,
    );
  return gap;
}
