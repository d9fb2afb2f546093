import { degrees, radians } from '../quantity/units.ts';

/** The arm on which the studs sit, as its owner can measure it. Lengths mm, angles degrees. */
export interface Arm {
  /** Centre of the first driver's shaft to the centre of the leadscrew (or gearbox input), about which the arm swings. */
  readonly centresMm: number;
  /** Module of the gears; 25.4 / DP for diametral pitch. */
  readonly moduleMm: number;
  /** Slots: their angle on the arm from its own line, and the nearest and furthest a stud can stand from the pivot. */
  readonly slots: readonly { readonly angleDeg?: number; readonly fromMm: number; readonly toMm: number }[];
  /** How far the arm's line may lean from the line of centres; left out: any way. */
  readonly swing?: { readonly fromDeg: number; readonly toDeg: number };
  /** Largest radius of a stud's nut, boss or shaft end. */
  readonly bossRadiusMm?: number;
  /** Largest tip radius that goes under the cover about any shaft; left out: not checked. */
  readonly coverRadiusMm?: number;
  /** Backlash to set, mm; opens each mesh by 1.37 times this at 20 degrees. */
  readonly backlashMm?: number;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}
/** A gear where it goes on. First driver's shaft at the origin, the pivot (leadscrew) at (centres, 0). */
export interface PlacedGear {
  readonly teeth: number;
  readonly at: Point;
  readonly plane: 1 | 2;
  readonly role: 'driver' | 'driven' | 'idler';
}
export type Mount =
  | {
      readonly fits: true;
      readonly reason: string;
      readonly gears: readonly PlacedGear[];
      readonly armDeg: number;
      readonly drivers: readonly number[];
      readonly driven: readonly number[];
    }
  | { readonly fits: false; readonly reason: string };

const DEFAULT_BOSS_MM = 10;
/** Backlash j opens the centre distance by j / (2 tan phi): 1.37 j at 20 degrees. */
const OPENING = 1.37;
const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

/** Where a stud stands at radius r about the pivot and r1 from the first driver; both sides of the line of centres. */
function studs(centres: number, r1: number, radius: number): Point[] {
  // from the pivot: the angle at which the two circles meet
  const cos = (centres * centres + radius * radius - r1 * r1) / (2 * centres * radius);
  if (!(Math.abs(cos) <= 1)) return [];
  const sin = Math.sqrt(1 - cos * cos);
  return [1, -1].map((side) => ({ x: centres - radius * cos, y: side * radius * sin }));
}

const permutations = (list: readonly number[]): number[][] =>
  list.length <= 1
    ? [[...list]]
    : list.flatMap((x, i) => permutations([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [x, ...rest]));

/**
 * Tries to mount a train on an arm: every order of drivers and driven, every slot, both sides of the line of centres; a
 * single pair with an idler from the gears left over. Answers with the place of each gear, or why none goes.
 */
export function mountTrain(
  drivers: readonly number[],
  driven: readonly number[],
  spare: readonly number[],
  arm: Arm,
): Mount {
  let why = 'No stud position brings these gears into mesh.';
  const keep = (m: Mount): Mount | null => {
    if (m.fits) return m;
    why = m.reason;
    return null;
  };
  for (const a of permutations(drivers)) {
    for (const b of permutations(driven)) {
      const tried =
        a.length === 1
          ? single(a[0] ?? 0, b[0] ?? 0, spare, arm)
          : a.length === 2
            ? double(a, b, arm)
            : triple(a, b, arm);
      const ok = keep(tried);
      if (ok) return ok;
    }
  }
  return { fits: false, reason: why };
}

const meshMm = (arm: Arm, a: number, b: number): number =>
  (arm.moduleMm * (a + b)) / 2 + OPENING * (arm.backlashMm ?? 0);

function armAngle(arm: Arm, stud: Point, slotDeg: number): number {
  // the line of centres, seen from the pivot, points to -x
  const at = degrees(Math.atan2(stud.y, arm.centresMm - stud.x));
  return at - slotDeg;
}

function swingOk(arm: Arm, deg: number): boolean {
  return arm.swing === undefined || (deg >= arm.swing.fromDeg - 1e-9 && deg <= arm.swing.toDeg + 1e-9);
}

interface Found {
  readonly gears: readonly PlacedGear[];
  readonly armDeg: number;
}

/** One stud at the radius that its mesh with the last driven gear asks for. */
function oneStud(arm: Arm, r1: number, r2: number, build: (stud: Point) => PlacedGear[]): Found | string {
  if (r1 + r2 < arm.centresMm)
    return `The gears do not reach: they span ${(r1 + r2).toFixed(1)} mm of the ${arm.centresMm} mm between the shafts.`;
  if (Math.abs(r1 - r2) > arm.centresMm) return 'One pair is so large that the stud cannot reach the other.';
  let why = `No slot holds a stud ${r2.toFixed(1)} mm from the pivot.`;
  for (const slot of arm.slots) {
    if (r2 < slot.fromMm - 1e-9 || r2 > slot.toMm + 1e-9) continue;
    for (const stud of studs(arm.centresMm, r1, r2)) {
      const armDeg = armAngle(arm, stud, slot.angleDeg ?? 0);
      if (!swingOk(arm, armDeg)) {
        why = `The arm would have to lean ${armDeg.toFixed(0)}\u00b0, outside its swing.`;
        continue;
      }
      const gears = build(stud);
      const foul = firstFoul(gears, arm);
      if (foul === null) return { gears, armDeg };
      why = foul;
    }
  }
  return why;
}

function single(a: number, b: number, spare: readonly number[], arm: Arm): Mount {
  const pivot = { x: arm.centresMm, y: 0 };
  const ends: PlacedGear[] = [
    { teeth: a, at: { x: 0, y: 0 }, plane: 1, role: 'driver' },
    { teeth: b, at: pivot, plane: 1, role: 'driven' },
  ];
  if (Math.abs(meshMm(arm, a, b) - arm.centresMm) < 0.1 && firstFoul(ends, arm) === null)
    return {
      fits: true,
      reason: `The ${a} meshes straight with the ${b}.`,
      gears: ends,
      armDeg: 0,
      drivers: [a],
      driven: [b],
    };
  let why = spare.length === 0 ? 'No gear is left to serve as idler.' : 'No idler reaches.';
  for (const idler of [...new Set(spare)].sort((x, y) => y - x)) {
    const got = oneStud(arm, meshMm(arm, a, idler), meshMm(arm, idler, b), (at) => [
      ...ends,
      { teeth: idler, at, plane: 1, role: 'idler' },
    ]);
    if (typeof got !== 'string')
      return { fits: true, reason: `With the ${idler} as idler.`, ...got, drivers: [a], driven: [b] };
    why = got;
  }
  return { fits: false, reason: why };
}

function double([a = 0, c = 0]: readonly number[], [b = 0, d = 0]: readonly number[], arm: Arm): Mount {
  const pivot = { x: arm.centresMm, y: 0 };
  const got = oneStud(arm, meshMm(arm, a, b), meshMm(arm, c, d), (at) => [
    { teeth: a, at: { x: 0, y: 0 }, plane: 1, role: 'driver' },
    { teeth: b, at, plane: 1, role: 'driven' },
    { teeth: c, at, plane: 2, role: 'driver' },
    { teeth: d, at: pivot, plane: 2, role: 'driven' },
  ]);
  if (typeof got === 'string') return { fits: false, reason: got };
  return {
    fits: true,
    reason: `${a} drives ${b}; ${c} beside it drives ${d}.`,
    ...got,
    drivers: [a, c],
    driven: [b, d],
  };
}

/** Two studs on the arm: the second at its mesh with the last driven gear, the first where all three meshes close. */
function triple([a = 0, c = 0, e = 0]: readonly number[], [b = 0, d = 0, f = 0]: readonly number[], arm: Arm): Mount {
  const pivot = { x: arm.centresMm, y: 0 };
  const [r1, r2, r3] = [meshMm(arm, a, b), meshMm(arm, c, d), meshMm(arm, e, f)];
  let why = 'No pair of stud positions closes all three meshes.';
  for (const second of arm.slots) {
    if (r3 < second.fromMm - 1e-9 || r3 > second.toMm + 1e-9) {
      why = `No slot holds a stud ${r3.toFixed(1)} mm from the pivot.`;
      continue;
    }
    for (const firstSlot of arm.slots) {
      const between = radians((firstSlot.angleDeg ?? 0) - (second.angleDeg ?? 0));
      // radius of the first stud: r2^2 = rho^2 + r3^2 - 2 rho r3 cos(between)
      const half = r3 * Math.cos(between);
      const square = half * half - (r3 * r3 - r2 * r2);
      if (square < 0) continue;
      for (const rho of [half + Math.sqrt(square), half - Math.sqrt(square)]) {
        if (!(rho >= firstSlot.fromMm - 1e-9 && rho <= firstSlot.toMm + 1e-9)) continue;
        for (const stud1 of studs(arm.centresMm, r1, rho)) {
          const armDeg = armAngle(arm, stud1, firstSlot.angleDeg ?? 0);
          if (!swingOk(arm, armDeg)) {
            why = `The arm would have to lean ${armDeg.toFixed(0)}\u00b0, outside its swing.`;
            continue;
          }
          const at2 = radians(armDeg + (second.angleDeg ?? 0));
          const stud2 = { x: arm.centresMm - r3 * Math.cos(at2), y: r3 * Math.sin(at2) };
          const gears: PlacedGear[] = [
            { teeth: a, at: { x: 0, y: 0 }, plane: 1, role: 'driver' },
            { teeth: b, at: stud1, plane: 1, role: 'driven' },
            { teeth: c, at: stud1, plane: 2, role: 'driver' },
            { teeth: d, at: stud2, plane: 2, role: 'driven' },
            { teeth: e, at: stud2, plane: 1, role: 'driver' },
            { teeth: f, at: pivot, plane: 1, role: 'driven' },
          ];
          const foul = firstFoul(gears, arm);
          if (foul === null)
            return {
              fits: true,
              reason: `${a} drives ${b}; ${c} drives ${d}; ${e} drives ${f}.`,
              gears,
              armDeg,
              drivers: [a, c, e],
              driven: [b, d, f],
            };
          why = foul;
        }
      }
    }
  }
  return { fits: false, reason: why };
}

/** The first thing in the way: a gear on another's shaft or boss, two gears of one plane that do not mesh, the cover. */
function firstFoul(gears: readonly PlacedGear[], arm: Arm): string | null {
  const tip = (g: PlacedGear): number => (arm.moduleMm * (g.teeth + 2)) / 2;
  const boss = arm.bossRadiusMm ?? DEFAULT_BOSS_MM;
  for (const g of gears) {
    if (arm.coverRadiusMm !== undefined && tip(g) > arm.coverRadiusMm)
      return `The ${g.teeth} does not go under the cover.`;
    for (const o of gears) {
      if (o === g) continue;
      const apart = distance(g.at, o.at);
      if (apart < 1e-6) continue; // on one shaft
      if (apart < tip(g) + boss)
        return `The ${g.teeth} fouls the ${o.role === 'driven' || o.role === 'idler' ? 'stud' : 'shaft'} of the ${o.teeth}.`;
      const meshing = Math.abs(apart - meshMm(arm, g.teeth, o.teeth)) < 0.2;
      if (g.plane === o.plane && !meshing && apart < tip(g) + tip(o)) return `The ${g.teeth} and the ${o.teeth} touch.`;
    }
  }
  return null;
}
