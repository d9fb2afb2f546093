import { leadPerRadianMm } from '../form/helix.ts';
import { centrePerRadius, type Flanks } from '../form/flanks.ts';
import { flatOverWiresMm } from '../form/flatWires.ts';
import { fundamentalHeightMm, type Edge, type ThreadForm } from '../form/shape.ts';
import { bracketedMinimum, valleyFrom } from '../numeric/minimum.ts';
import { bracketAbout, bracketedRoot } from '../numeric/root.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { sinDeg, tanDeg } from '../quantity/units.ts';
import { formOfFlanks, type Groove } from './wires.ts';

/**
 * The groove of a nut as a ball meets it: its crest is the minor diameter, its straight flanks reach towards the root as far as
 * that is not round. @throws RangeError for a square thread
 * @example nutGrooveOf(formAt('iso60', 1.5), 1.5, 1).flankBottomMm // 0.487; 3 H / 8
 */
export function nutGrooveOf(form: ThreadForm, pitchMm: number, starts: number): Groove {
  const { leadingDeg: a1, trailingDeg: a2, internal } = form;
  const apex = fundamentalHeightMm(pitchMm, form) / 2;
  const straight = (edge: Edge, reach: number): number =>
    edge.kind === 'round' ? apex - edge.radiusMm * (centrePerRadius(form) - sinDeg(Math.max(a1, a2))) : reach;
  return {
    leadingDeg: a1,
    trailingDeg: a2,
    pitchMm,
    starts,
    crestMm: internal.innerMm,
    flankTopMm: straight(internal.innerEdge, internal.innerMm),
    flankBottomMm: straight(internal.outerEdge, internal.outerMm),
  };
}
/**
 * Groove of the usual nut with these flanks, for callers that know only the angles.
 * @example usualNutGroove(equalFlanks(60), 1, 1).crestMm // 0.21651; H / 4
 */
export const usualNutGroove = (flanks: Flanks, pitchMm: number, starts: number): Groove =>
  nutGrooveOf(formOfFlanks(flanks, pitchMm), pitchMm, starts);

/**
 * Measurement between two balls in a nut, flat geometry, mm: D2 + P/(tan a1 + tan a2) - w (1 + cos((a1-a2)/2)/sin((a1+a2)/2)); for
 * equal flanks D2 + (P/2) cot a - w (1 + 1/sin a). @see the formula over wires, turned inside out
 * @example betweenBallsMm(usualNutGroove(equalFlanks(60), 1.5, 1), 9.026, 0.866) // 7.727
 */
export const betweenBallsMm = (g: Groove, pitchDiameterMm: number, ballMm: number): number =>
  pitchDiameterMm - flatOverWiresMm(g, g.pitchMm, ballMm);

/** A flank of the nut: its height along the axis is `slope` times the radius plus `at` plus the lead; 1 above the ball, -1 below. */
interface Flank {
  readonly slope: number;
  readonly at: number;
  readonly side: 1 | -1;
}

/** Distance of a point on the line of angle 0 from the flank, mm: positive while it is clear. The flank is ruled by straight lines, one at every angle. */
function clearance(outMm: number, alongMm: number, flank: Flank, leadPerRad: number): number | null {
  const steep = Math.hypot(1, flank.slope);
  const f = (t: number): number => {
    // from the foot of the line on the axis to the point, crossed with the line's direction
    const z = alongMm - flank.at - leadPerRad * t;
    const [c, s] = [Math.cos(t), Math.sin(t)];
    const cross = [s * z, flank.slope * outMm - c * z, -s * outMm] as const;
    return Math.hypot(...cross) / steep;
  };
  const valley = valleyFrom(f, 0, ANGLE_STEP);
  if (!valley) return null;
  const least = bracketedMinimum(f, valley[0], valley[1], ANGLE_WITHIN).value;
  const clear = flank.side * (flank.slope * outMm + flank.at - alongMm) > 0;
  return clear ? least : -least;
}
const ANGLE_STEP = 0.02;
const ANGLE_WITHIN = 1e-6;
const WITHIN_MM = 1e-9;

/**
 * Measurement between two balls with the helix taken as it is, mm: each is pushed outwards until it touches both flanks, and the
 * distance is taken square to the axis. A little less than the flat figure. Which flank leads, and the hand, make no difference.
 * @see geometry of a sphere against two helicoids, solved numerically
 * @example 9.026 - value(betweenBallsExact(usualNutGroove(equalFlanks(60), 1.5, 1), 9.026, 0.866)) // 1.30; nearly the flat figure
 */
export function betweenBallsExact(g: Groove, pitchDiameterMm: number, ballMm: number): Outcome<number> {
  const r2 = pitchDiameterMm / 2;
  const leadPerRad = leadPerRadianMm(g.pitchMm * g.starts);
  const [up, down] = [tanDeg(g.leadingDeg), tanDeg(g.trailingDeg)];
  // the space of a nut narrows outwards
  const above: Flank = { slope: -up, at: g.pitchMm / 4 + r2 * up, side: 1 };
  const below: Flank = { slope: down, at: -(g.pitchMm / 4 + r2 * down), side: -1 };
  const like = up === down;
  let stuck = false;
  const miss = (outMm: number, alongMm: number, flank: Flank): number => {
    const free = clearance(outMm, alongMm, flank, leadPerRad);
    if (free === null) stuck = true;
    return (free ?? 0) - ballMm / 2;
  };
  const guess = (betweenBallsMm(g, pitchDiameterMm, ballMm) + ballMm) / 2;
  const alongAt = (outMm: number): number => {
    if (like) return 0;
    const f = (z: number): number => miss(outMm, z, above) - miss(outMm, z, below);
    const middle = (above.slope * outMm + above.at + below.slope * outMm + below.at) / 2;
    const bracket = bracketAbout(f, middle, g.pitchMm / 50);
    const found = bracket && bracketedRoot(f, bracket[0], bracket[1], WITHIN_MM);
    if (!found?.closed) stuck = true;
    return found?.x ?? middle;
  };
  const f = (outMm: number): number => miss(outMm, alongAt(outMm), above);
  const bracket = bracketAbout(f, guess, g.pitchMm / 100);
  const found = bracket && bracketedRoot(f, bracket[0], bracket[1], WITHIN_MM);
  if (!found?.closed || stuck)
    return bad('ballMm', 'wire-finds-no-rest', { leadDeg: (Math.atan(leadPerRad / r2) * 180) / Math.PI });
  return good(2 * found.x - ballMm);
}

/**
 * The reverse: pitch diameter of a nut from a measurement between balls, mm; exact or flat.
 * @example value(pitchDiameterBetween(usualNutGroove(equalFlanks(60), 1.5, 1), 7.727, 0.866, false)) // 9.026
 */
export function pitchDiameterBetween(g: Groove, betweenMm: number, ballMm: number, exact: boolean): Outcome<number> {
  const flat = betweenMm - betweenBallsMm(g, 0, ballMm);
  if (!exact) return good(flat);
  let failed: Outcome<number> | null = null;
  const f = (d2: number): number => {
    const at = betweenBallsExact(g, d2, ballMm);
    if (!at.ok) failed ??= at;
    return at.ok ? at.value - betweenMm : 0;
  };
  const bracket = bracketAbout(f, flat, 0.01 * g.pitchMm);
  const found = bracket && bracketedRoot(f, bracket[0], bracket[1], 1e-7);
  return failed ?? (found?.closed ? good(found.x) : bad('betweenBallsMm', 'wire-finds-no-rest', { leadDeg: 0 }));
}
