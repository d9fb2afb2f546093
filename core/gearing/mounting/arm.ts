import { degrees, radians } from '../../quantity/units.ts';

/** A slot of the arm, straight: its direction on the arm, and the nearest and furthest a stud can stand along it. */
export interface Slot {
  /** From the arm's own line, degrees. */
  readonly angleDeg?: number;
  /** How far the slot's centre line passes beside the pivot; 0 when it points at it. */
  readonly offsetMm?: number;
  readonly fromMm: number;
  readonly toMm: number;
}

/** The arm on which the studs sit, as its owner can measure it. Lengths mm, angles degrees. */
export interface Arm {
  /** Centre of the first driver's shaft to the centre of the leadscrew (or gearbox input). */
  readonly centresMm: number;
  /** Module of the gears; 25.4 / DP for diametral pitch. */
  readonly moduleMm: number;
  /** Pressure angle of the gears: it says how far backlash opens a mesh. 20 when left out. */
  readonly pressureAngleDeg?: number;
  readonly slots: readonly Slot[];
  /** Where the arm swings, from the leadscrew (or gearbox input): along the line of centres away from the first driver, and across it. Left out: about the leadscrew itself. */
  readonly pivot?: { readonly alongMm: number; readonly acrossMm: number };
  /** How far the arm's line may lean from the line of centres; left out: any way. */
  readonly swing?: { readonly fromDeg: number; readonly toDeg: number };
  /** Studs there are for the arm; 2 when left out. */
  readonly studs?: number;
  /** Largest radius of a stud's nut or boss. */
  readonly bossRadiusMm?: number;
  /** Largest radius of the nut or collar on the two end shafts; as a stud's when left out. */
  readonly shaftRadiusMm?: number;
  /**
   * A stud's nut larger than the root of the gear that it holds reaches over the gear that meshes there. `clears`: it stands
   * before the gears; `fouls`: it is in their plane. Left out: decided by the planes, see `nutClears`.
   */
  readonly nutOverMesh?: 'clears' | 'fouls';
  /** Largest tip radius that goes under the cover about any shaft; left out: not checked. */
  readonly coverRadiusMm?: number;
  /** Walls of the cover: how far they stand beyond the two end shafts and to either side of the line of centres. */
  readonly cover?: CoverWalls;
  /** Backlash to set, mm. */
  readonly backlashMm?: number;
}

interface CoverWalls {
  readonly beyondFirstMm: number;
  readonly beyondLastMm: number;
  /** On the side towards which a positive lean goes, and on the other. */
  readonly oneSideMm: number;
  readonly otherSideMm: number;
}

/** First driver's shaft at the origin, the leadscrew (or gearbox input) at (centresMm, 0). */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/**
 * Distance between two points, mm.
 * @example apart({ x: 0, y: 0 }, { x: 3, y: 4 }) // 5
 */
export const apart = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

/** Studs stand where all meshes close: `studs[0]` next to the first driver. */
export interface Closure {
  readonly studs: readonly Point[];
  readonly armDeg: number;
}

/** Why gears do not close on an arm. */
export type NotClosed =
  | { readonly code: 'no-reach'; readonly spanMm: number; readonly centresMm: number }
  | { readonly code: 'pair-too-large' | 'no-lean' | 'no-span' }
  | { readonly code: 'no-slot'; readonly fromLeadscrewMm: number | null }
  | { readonly code: 'no-swing'; readonly deg: number };

/** How far a chain of meshes came towards closing, in order. */
const STAGES = ['reach', 'slot', 'swing'] as const;
/** Where a train does not close, and why. */
export interface NoClosure {
  readonly stage: (typeof STAGES)[number];
  readonly why: NotClosed;
}

/** Slack on slot ends and swing: a twentieth of what a rule can tell. */
const SLACK_MM = 0.01;
/** All shafts in one line is a closure too: what the arithmetic may be out by there. */
const ROUNDING = 1e-9;
const SLACK_DEG = 0.01;
/** Steps of the scan when the arm swings about a place of its own; two leans nearer than this to each other can be missed. */
const SCAN_DEG = 2;
/** Where a stud runs off the end of its slot, the lean is followed to this. */
const FINEST_DEG = 0.1;

/**
 * Every way to close a chain of meshes over the arm: `meshes[i]` is the centre distance between shaft i and i + 1, shaft
 * 0 the first driver, the last the leadscrew, those between them studs in slots. All slots, both sides.
 *
 * With the pivot on the leadscrew the arm's lean moves the first mesh alone, so the studs are laid out on the arm from
 * the leadscrew backwards and the lean follows from one triangle: exact. With the pivot elsewhere one stud stands where
 * two circles meet, also exact; with more studs the lean is found where the first mesh closes: scanned, then bisected.
 * @example closeChain([40, 60], { centresMm: 150, fromMm: 40, toMm: 110, bossRadiusMm: 9, shaftRadiusMm: 11, moduleMm: 1.5, slots: [] }).stage // 'reach'; they do not span the centres
 */
export function closeChain(meshes: readonly number[], arm: Arm): Closure[] | NoClosure {
  const reach = meshes.reduce((s, r) => s + r, 0);
  const longest = Math.max(...meshes);
  if (reach < arm.centresMm - ROUNDING)
    return {
      stage: 'reach',
      why: { code: 'no-reach', spanMm: reach, centresMm: arm.centresMm },
    };
  if (longest - (reach - longest) > arm.centresMm + ROUNDING)
    return { stage: 'reach', why: { code: 'pair-too-large' } };
  if (!arm.pivot || Math.hypot(arm.pivot.alongMm, arm.pivot.acrossMm) < 1e-9) return closed(meshes, arm);
  return meshes.length === 2 ? circlesMeet(meshes[0] ?? 0, meshes[1] ?? 0, arm) : scanned(meshes, arm);
}

/**
 * Of two failures the one that came further towards closing: that is the one worth telling.
 * @example nearerMiss({ stage: 'slot', why: { code: 'no-span' } }, { stage: 'reach', why: { code: 'pair-too-large' } }).stage // 'slot'
 */
export const nearerMiss = (a: NoClosure | null, b: NoClosure): NoClosure =>
  a !== null && STAGES.indexOf(a.stage) > STAGES.indexOf(b.stage) ? a : b;

/** On the arm: x along its line from the pivot, y to the side a positive lean turns it. */
const ORIGIN: Point = { x: 0, y: 0 };

/** The line of a slot on the arm: its direction, and a place at a distance along it from the foot of the pivot. */
function lineOf(slot: Slot) {
  const a = radians(slot.angleDeg ?? 0);
  const off = slot.offsetMm ?? 0;
  const [ux, uy] = [Math.cos(a), Math.sin(a)];
  return {
    at: (t: number): Point => ({ x: t * ux - uy * off, y: t * uy + ux * off }),
    /** How far along it a place lies. */
    along: (p: Point): number => p.x * ux + p.y * uy,
    /** How far beside the pivot a line of this direction through a place passes. */
    beside: (p: Point): number => p.y * ux - p.x * uy,
    off,
  };
}

/** Places in one slot at a distance from a point of the arm; both may lie within the slot. */
function inSlot(slot: Slot, from: Point, distance: number): Point[] {
  const line = lineOf(slot);
  const along = line.along(from);
  const away = line.beside(from) - line.off;
  const square = distance * distance - away * away;
  if (square < -ROUNDING) return [];
  const root = Math.sqrt(Math.max(0, square));
  return (root < 1e-9 ? [along] : [along + root, along - root])
    .filter((t) => t >= slot.fromMm - SLACK_MM && t <= slot.toMm + SLACK_MM)
    .map(line.at);
}

/** Every layout of the studs on the arm, the leadscrew at `last`; the first stud comes first. */
function layouts(meshes: readonly number[], arm: Arm, last: Point): Point[][] {
  let sofar: Point[][] = [[]];
  for (let i = meshes.length - 1; i >= 1; i -= 1) {
    const distance = meshes[i] ?? 0;
    sofar = sofar.flatMap((studs) =>
      arm.slots.flatMap((slot) => inSlot(slot, studs[0] ?? last, distance).map((p) => [p, ...studs])),
    );
  }
  return sofar;
}

const noSlot = (meshes: readonly number[]): NoClosure => ({
  stage: 'slot',
  why: { code: 'no-slot', fromLeadscrewMm: meshes.length === 2 ? (meshes[1] ?? null) : null },
});
const noSwing = (armDeg: number): NoClosure => ({
  stage: 'swing',
  why: { code: 'no-swing', deg: armDeg },
});
const noLean: NoClosure = { stage: 'reach', why: { code: 'no-lean' } };

function within(deg: number): number {
  const d = ((deg % 360) + 540) % 360;
  return d - 180;
}
const swings = (arm: Arm, deg: number): boolean =>
  arm.swing === undefined || (deg >= arm.swing.fromDeg - SLACK_DEG && deg <= arm.swing.toDeg + SLACK_DEG);

/** A place on the arm, seen from the end of the lathe: at no lean the arm's line points at the first driver. */
function placed(arm: Arm, p: Point, leanRad: number): Point {
  const [c, s] = [Math.cos(leanRad), Math.sin(leanRad)];
  const at = pivotOf(arm);
  return { x: at.x - (p.x * c - p.y * s), y: at.y + (p.x * s + p.y * c) };
}
/** The other way round: a place as the leaning arm sees it. */
function onArm(arm: Arm, p: Point, leanRad: number): Point {
  const [c, s] = [Math.cos(leanRad), Math.sin(leanRad)];
  const at = pivotOf(arm);
  const [dx, dy] = [at.x - p.x, p.y - at.y];
  return { x: dx * c + dy * s, y: -dx * s + dy * c };
}
/** The arm's line points from the pivot towards the first driver: mirror x. */
function leanRadTo(arm: Arm, p: Point): number {
  const at = pivotOf(arm);
  return Math.atan2(p.y - at.y, at.x - p.x);
}
const pivotOf = (arm: Arm): Point => ({
  x: arm.centresMm + (arm.pivot?.alongMm ?? 0),
  y: arm.pivot?.acrossMm ?? 0,
});

/** A slot where it lies when the arm leans so: its two ends, seen from the end of the lathe, the first driver at the origin, mm. */
export interface SlotAt {
  readonly from: Point;
  readonly to: Point;
}
/**
 * Every slot of the arm at a lean, and the arm's pivot. @param leanDeg from the line of centres, degrees
 * @example armAt({ centresMm: 120, fromMm: 40, toMm: 110, bossRadiusMm: 9, shaftRadiusMm: 11, moduleMm: 1.5, slots: [] }, 0).pivot // { x: 120, y: 0 }; about the leadscrew
 */
export function armAt(arm: Arm, leanDeg: number): { readonly pivot: Point; readonly slots: readonly SlotAt[] } {
  const lean = radians(leanDeg);
  return {
    pivot: pivotOf(arm),
    slots: arm.slots.map((slot) => {
      const at = (t: number): Point => placed(arm, lineOf(slot).at(t), lean);
      return { from: at(slot.fromMm), to: at(slot.toMm) };
    }),
  };
}

/**
 * Where a place lies on a slot when the arm leans so: how far along it from the foot of the pivot, and how far beside the pivot its line would have to pass.
 * @example alongSlot({ centresMm: 150, slots: [] }, 0, { fromMm: 40, toMm: 110 }, { x: 90, y: 0 }) // { alongMm: 60, besideMm: 0 }; from the leadscrew
 */
export function alongSlot(
  arm: Arm,
  leanDeg: number,
  slot: Slot,
  p: Point,
): { readonly alongMm: number; readonly besideMm: number } {
  const [line, on] = [lineOf(slot), onArm(arm, p, radians(leanDeg))];
  return { alongMm: line.along(on), besideMm: line.beside(on) };
}

/**
 * The lean at which the arm's line would point at a place, degrees, -180 to 180.
 * @example leanTo({ centresMm: 150, slots: [] }, { x: 150, y: 60 }) // 90; straight up over the leadscrew
 */
export const leanTo = (arm: Arm, p: Point): number => within(degrees(leanRadTo(arm, p)));

function closed(meshes: readonly number[], arm: Arm): Closure[] | NoClosure {
  const [first = 0] = meshes;
  const all = layouts(meshes, arm, ORIGIN);
  if (all.length === 0) return noSlot(meshes);
  let why: NoClosure | null = null;
  const out: Closure[] = [];
  for (const studs of all) {
    const [p] = studs;
    if (!p) continue;
    const rho = Math.hypot(p.x, p.y);
    const cos = (arm.centresMm ** 2 + rho * rho - first * first) / (2 * arm.centresMm * rho);
    if (!(Math.abs(cos) <= 1 + ROUNDING)) {
      why = nearerMiss(why, noLean);
      continue;
    }
    const turn = Math.acos(Math.max(-1, Math.min(1, cos)));
    for (const at of turn < 1e-9 ? [0] : [turn, -turn]) {
      const lean = at - Math.atan2(p.y, p.x);
      const armDeg = within(degrees(lean));
      if (swings(arm, armDeg)) out.push({ studs: studs.map((q) => placed(arm, q, lean)), armDeg });
      else why = nearerMiss(why, noSwing(armDeg));
    }
  }
  return out.length > 0 ? out : (why ?? noLean);
}

/** One stud: where the circles about the two end shafts meet, the arm turned until a slot is there. */
function circlesMeet(r1: number, r2: number, arm: Arm): Closure[] | NoClosure {
  const x = (arm.centresMm ** 2 + r1 * r1 - r2 * r2) / (2 * arm.centresMm);
  const y = Math.sqrt(Math.max(0, r1 * r1 - x * x));
  const pivot = pivotOf(arm);
  const out: Closure[] = [];
  let why: NoClosure | null = null;
  for (const stud of y < 1e-9
    ? [{ x, y: 0 }]
    : [
        { x, y },
        { x, y: -y },
      ]) {
    const rho = apart(stud, pivot);
    const seen = leanRadTo(arm, stud);
    for (const slot of arm.slots) {
      const off = slot.offsetMm ?? 0;
      const along = Math.sqrt(Math.max(0, rho * rho - off * off));
      if (!(rho >= Math.abs(off) && along >= slot.fromMm - SLACK_MM && along <= slot.toMm + SLACK_MM)) {
        why = nearerMiss(why, noSlot([r1, r2]));
        continue;
      }
      const armDeg = within(degrees(seen - Math.atan2(off, along)) - (slot.angleDeg ?? 0));
      if (swings(arm, armDeg)) out.push({ studs: [stud], armDeg });
      else why = nearerMiss(why, noSwing(armDeg));
    }
  }
  return out.length > 0 ? out : (why ?? noLean);
}

/** How far the first mesh is from closing, for each layout of the studs. */
type Gaps = readonly { readonly gap: number; readonly studs: readonly Point[] }[];

function scanned(meshes: readonly number[], arm: Arm): Closure[] | NoClosure {
  const [first = 0] = meshes;
  const { fromDeg, toDeg } = arm.swing ?? { fromDeg: -180, toDeg: 180 };
  const leadscrew = { x: arm.centresMm, y: 0 };
  const gapsAt = (deg: number): Gaps => {
    const lean = radians(deg);
    return layouts(meshes, arm, onArm(arm, leadscrew, lean)).map((studs) => {
      const world = studs.map((q) => placed(arm, q, lean));
      return { gap: Math.hypot(world[0]?.x ?? 0, world[0]?.y ?? 0) - first, studs: world };
    });
  };
  const out: Closure[] = [];
  let any = false;
  /** Layouts keep their order while their number stays; where it changes a stud runs off its slot, and it is looked at closer. */
  const between = (from: number, to: number, before: Gaps, after: Gaps): void => {
    if (before.length !== after.length) {
      if (to - from < FINEST_DEG) return;
      const mid = (from + to) / 2;
      const halfway = gapsAt(mid);
      between(from, mid, before, halfway);
      between(mid, to, halfway, after);
      return;
    }
    before.forEach((b, i) => {
      if (b.gap * (after[i]?.gap ?? b.gap) > 0) return;
      const found = bisect(gapsAt, i, from, to);
      if (found) out.push(found);
    });
  };
  let before = gapsAt(fromDeg);
  for (let deg = fromDeg; deg < toDeg; deg += SCAN_DEG) {
    const end = Math.min(toDeg, deg + SCAN_DEG);
    const now = gapsAt(end);
    any ||= now.length > 0;
    between(deg, end, before, now);
    before = now;
  }
  if (out.length > 0) return out;
  return any ? noLean : noSlot(meshes);
}

function bisect(gapsAt: (deg: number) => Gaps, i: number, from: number, to: number): Closure | null {
  let [low, high] = [from, to];
  const sign = gapsAt(low)[i]?.gap ?? NaN;
  for (let k = 0; k < 40; k += 1) {
    const mid = (low + high) / 2;
    const gap = gapsAt(mid)[i]?.gap;
    if (gap === undefined) return null;
    if (gap * sign > 0) low = mid;
    else high = mid;
  }
  const end = gapsAt(high)[i];
  // a jump between two layouts changes sign without closing the mesh
  return end && Math.abs(end.gap) < 1e-6 ? { studs: end.studs, armDeg: within(high) } : null;
}
