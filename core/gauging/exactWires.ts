import { leadPerRadianMm } from '../form/helix.ts';
import { includedDeg } from '../form/flanks.ts';
import { bracketedMinimum, valleyFrom } from '../numeric/minimum.ts';
import { bracketAbout, bracketedRoot } from '../numeric/root.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { radians } from '../quantity/units.ts';
import { overWiresMm, type Groove } from './wires.ts';

// The exact answer to "where does a straight wire come to rest in a helical groove": a cylinder pressed towards the axis by a
// flat anvil, free to tilt in the anvil's plane and to shift along the work, until it touches both flanks at its deepest.
//
// A flank is ruled by its own straight lines, one at every angle about the axis. The distance of the wire's axis from one of
// them is that of two straight lines, in closed form; what is left to search is the angle at which it is least, how far the
// wire lies from the axis, and its tilt. Each is searched within a bracket.

/** A flank: its height above the pitch point is `slope` times the radius plus `at`, mm; 1 for the flank above the wire, -1 below. */
interface Flank {
  readonly slope: number;
  readonly at: number;
  readonly side: 1 | -1;
}

/** How closely each unknown is closed: angles, radians, about which the lengths are flat; lengths, mm. */
const WITHIN = { angle: 1e-5, shiftMm: 1e-9, outMm: 1e-9, tilt: 1e-6 } as const;
const ANGLE_STEP = 0.02;

/** A wire's axis: how far out, mm; how far along the work from the middle of the groove, mm; its tilt, radians. */
export interface Wire {
  readonly outMm: number;
  readonly alongMm: number;
  readonly tilt: number;
}

/** Distance of the wire's axis from the flank's line at an angle about the work, mm: positive while the wire is clear of it. */
function distanceAt(t: number, wire: Wire, flank: Flank, leadPerRad: number): number {
  const [sinT, cosT] = [Math.sin(t), Math.cos(t)];
  const [sinW, cosW] = [Math.sin(wire.tilt), Math.cos(wire.tilt)];
  const nx = flank.slope * cosW - sinW * sinT;
  const ny = sinW * cosT;
  const nz = -cosW * cosT;
  const dot = wire.outMm * nx - (flank.at + leadPerRad * t - wire.alongMm) * nz;
  return (flank.side * dot) / Math.hypot(nx, ny, nz);
}

/** Least distance of the wire's axis from the flank, mm; null where it only falls away: then no wire rests there. */
function clearance(wire: Wire, flank: Flank, leadPerRad: number): number | null {
  const f = (t: number): number => distanceAt(t, wire, flank, leadPerRad);
  const valley = valleyFrom(f, 0, ANGLE_STEP);
  return valley && bracketedMinimum(f, valley[0], valley[1], WITHIN.angle).value;
}

/** What a wire rests at, mm, with how surely: half the width of the last bracket. */
export interface Rest {
  readonly overMm: number;
  readonly boundMm: number;
  /** How the wire lies: its axis from that of the work, and along it from the middle of the groove, mm; its tilt, radians. */
  readonly lies: Wire;
}

/** Flanks steeper than this hold no wire, degrees. */
const LEAST_FLANKS_DEG = 1;

/**
 * Measurement over three wires with the helix taken as it is, mm, for like and unlike flanks, any starts. Which flank leads,
 * and the hand, make no difference.
 * @returns refused by name where the search does not close: at lead angles at which a wire finds no place to rest
 * For example M10 (d2 9.026, wire 0.866): 1.7 um over the flat formula; Tr 40x7 with the best wire: 24 um
 * @see the construction is that of ASME B1.2's general case; solved numerically here
 * @example value(overWiresExact(grooveOf(formAt('acme29', 5.08), 5.08, 1), 22.86, 2.54)).overMm // 25.7468
 */
export function overWiresExact(g: Groove, pitchDiameterMm: number, wireMm: number): Outcome<Rest> {
  if (includedDeg(g) < LEAST_FLANKS_DEG) return bad('leadingHalfAngleDeg', 'wires-need-flanks');
  const r2 = pitchDiameterMm / 2;
  const leadPerRad = leadPerRadianMm(g.pitchMm * g.starts);
  const [up, down] = [Math.tan(radians(g.leadingDeg)), Math.tan(radians(g.trailingDeg))];
  const above: Flank = { slope: up, at: g.pitchMm / 4 - r2 * up, side: 1 };
  const below: Flank = { slope: -down, at: -(g.pitchMm / 4 - r2 * down), side: -1 };
  const like = g.leadingDeg === g.trailingDeg;
  let stuck = false;
  const miss = (wire: Wire, flank: Flank): number => {
    const free = clearance(wire, flank, leadPerRad);
    if (free === null) stuck = true;
    return (free ?? 0) - wireMm / 2;
  };
  /** Where along the work the wire lies when it is equally clear of both flanks; the middle between like ones, by symmetry. */
  const alongAt = (outMm: number, tilt: number): number => {
    if (like) return 0;
    const f = (alongMm: number): number =>
      miss({ outMm, alongMm, tilt }, above) - miss({ outMm, alongMm, tilt }, below);
    const guess = ((up - down) / 2) * (outMm - r2);
    const bracket = bracketAbout(f, guess, g.pitchMm / 50);
    const found = bracket && bracketedRoot(f, bracket[0], bracket[1], WITHIN.shiftMm);
    if (!found?.closed) stuck = true;
    return found?.x ?? guess;
  };
  const flat = overWiresMm(g, pitchDiameterMm, wireMm, 'flat');
  const guess = (flat - wireMm) / 2;
  let boundMm = 0;
  const restAt = (tilt: number): number => {
    const f = (outMm: number): number => miss({ outMm, alongMm: alongAt(outMm, tilt), tilt }, above);
    stuck = false;
    const bracket = bracketAbout(f, guess, g.pitchMm / 100);
    const found = bracket && bracketedRoot(f, bracket[0], bracket[1], WITHIN.outMm);
    boundMm = found?.bound ?? Infinity;
    // at a tilt that the groove does not let it take the wire would stand out on the crests
    return found?.closed && !stuck ? found.x : Infinity;
  };
  // the deepest tilt lies near the lead angle where the wire lies
  const lead = Math.atan(leadPerRad / Math.max(guess, r2));
  const valley = valleyFrom(restAt, lead, lead / 16);
  const deepest = valley && bracketedMinimum(restAt, valley[0], valley[1], WITHIN.tilt);
  const over = deepest ? restAt(deepest.x) : Infinity;
  if (!deepest?.closed || !Number.isFinite(over))
    return bad('wireMm', 'wire-finds-no-rest', { leadDeg: (Math.atan(leadPerRad / r2) * 180) / Math.PI });
  return good({
    overMm: 2 * over + wireMm,
    boundMm: 2 * boundMm,
    lies: { outMm: over, alongMm: alongAt(over, deepest.x), tilt: deepest.x },
  });
}

/** M is turned back into d2 within this, mm. */
const BACK_WITHIN_MM = 1e-6;

/**
 * The reverse: pitch diameter from a measurement over wires, mm, to a nanometre of the exact one.
 * @example value(pitchDiameterExact({ ...{ pitchMm: 1.5, starts: 1, crestMm: 0.487, flankTopMm: 0.487, flankBottomMm: 0.325 }, ...equalFlanks(60) }, 10.3267, 0.866)) // 9.026
 */
export function pitchDiameterExact(g: Groove, overMm: number, wireMm: number): Outcome<number> {
  const first = overWiresExact(g, overMm, wireMm);
  if (!first.ok) return first;
  let failed: Outcome<Rest> | null = null;
  const f = (d2: number): number => {
    const at = overWiresExact(g, d2, wireMm);
    if (!at.ok) failed ??= at;
    return at.ok ? at.value.overMm - overMm : 0;
  };
  const guess = overMm - (first.value.overMm - overMm);
  const bracket = bracketAbout(f, guess, 0.01 * g.pitchMm);
  const found = bracket && bracketedRoot(f, bracket[0], bracket[1], BACK_WITHIN_MM);
  if (failed) return failed;
  return found?.closed ? good(found.x) : bad('overWiresMm', 'wire-finds-no-rest', { leadDeg: 0 });
}

/**
 * How much the exact M exceeds the textbook one, mm; null where no wire rests.
 * @example exactBeyondTextbookMm(grooveOf(formAt('acme29', 5.08), 5.08, 1), 22.86, 2.6) // -0.0006; one start at a small lead angle hardly needs it
 */
export function exactBeyondTextbookMm(g: Groove, pitchDiameterMm: number, wireMm: number): number | null {
  const exact = overWiresExact(g, pitchDiameterMm, wireMm);
  return exact.ok ? exact.value.overMm - overWiresMm(g, pitchDiameterMm, wireMm, 'textbook') : null;
}
