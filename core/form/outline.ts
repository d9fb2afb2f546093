import type { Edge, Profile, ThreadForm } from './shape.ts';
import { tanDeg } from '../quantity/units.ts';

/** x along the axis (the screw advances towards +x), y radially from the axis; mm. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

interface Corner extends Point {
  readonly radius: number;
}

/** Arc steps per corner: at 12 the chord error of a Whitworth crest is under 1/1000 of the pitch. */
const ARC_STEPS = 12;

/**
 * The corners of one ridge, pitch line at y = 0, ridge centred on x = 0; an arc tangent to both flanks is one corner at their
 * apex. On a taper crests and roots run along the cone, and the flanks lean as they do on a parallel thread, measured from
 * the square to the axis, not to the cone: as y is still reckoned from the cone here, one flank leans less and one more.
 */
function ridge(form: ThreadForm, profile: Profile, pitchMm: number): { trailing: Corner[]; leading: Corner[] } {
  const rise = form.taper / 2;
  const [leading, trailing] = [tanDeg(form.leadingDeg), tanDeg(form.trailingDeg)];
  const tl = leading / (1 + rise * leading);
  const tt = trailing / (1 - rise * trailing);
  const half = pitchMm / 4;
  const apex = tl + tt > 0 ? pitchMm / 2 / (tl + tt) : Infinity;
  const leadingAt = (y: number, radius: number): Corner => ({ x: half - y * tl, y, radius });
  const trailingAt = (y: number, radius: number): Corner => ({ x: -half + y * tt, y, radius });
  const ends = (edge: Edge, y: number): [Corner[], Corner[]] =>
    edge.kind === 'round'
      ? [[], [leadingAt(Math.sign(y) * apex, edge.radiusMm)]]
      : [[trailingAt(y, edge.cornerMm)], [leadingAt(y, edge.cornerMm)]];
  const [topT, topL] = ends(profile.outerEdge, profile.outerMm);
  const [bottomT, bottomL] = ends(profile.innerEdge, -profile.innerMm);
  return { trailing: [...bottomT, ...topT], leading: [...topL, ...bottomL] };
}

/** Replaces each corner by its arc, no larger than the shorter neighbour allows. */
function roundCorners(corners: readonly Corner[]): Point[] {
  const out: Point[] = [];
  corners.forEach((v, i) => {
    const a = corners[i - 1];
    const b = corners[i + 1];
    if (!a || !b || v.radius <= 0) {
      out.push({ x: v.x, y: v.y });
      return;
    }
    const la = Math.hypot(a.x - v.x, a.y - v.y);
    const lb = Math.hypot(b.x - v.x, b.y - v.y);
    const ua = { x: (a.x - v.x) / la, y: (a.y - v.y) / la };
    const ub = { x: (b.x - v.x) / lb, y: (b.y - v.y) / lb };
    const half = Math.acos(Math.max(-1, Math.min(1, ua.x * ub.x + ua.y * ub.y))) / 2;
    // two arcs may share a side, so each may use half of it
    const tangent = Math.min(v.radius / Math.tan(half), la / 2, lb / 2);
    const radius = tangent * Math.tan(half);
    const bis = { x: ua.x + ub.x, y: ua.y + ub.y };
    const bl = Math.hypot(bis.x, bis.y) || 1;
    const c = { x: v.x + (bis.x / bl) * (radius / Math.sin(half)), y: v.y + (bis.y / bl) * (radius / Math.sin(half)) };
    const from = Math.atan2(v.y + ua.y * tangent - c.y, v.x + ua.x * tangent - c.x);
    const to = Math.atan2(v.y + ub.y * tangent - c.y, v.x + ub.x * tangent - c.x);
    const turn = ((to - from + 3 * Math.PI) % (2 * Math.PI)) - Math.PI;
    for (let s = 0; s <= ARC_STEPS; s += 1) {
      const t = from + (turn * s) / ARC_STEPS;
      out.push({ x: c.x + radius * Math.cos(t), y: c.y + radius * Math.sin(t) });
    }
  });
  return out;
}

/**
 * Axial section of the flank line of a thread, from groove to groove, `pitches` ridges long. For an external thread the
 * metal is below the line, for an internal one above it. On a tapered thread the pitch line rises with x.
 * @param pitchDiameterMm where the pitch line lies (at x = 0 on a taper), mm
 * @returns points in order of increasing x, mm
 * @example Math.max(...outline(formAt('iso60', 1.5), 'external', 1.5, 9.026, 2).map((p) => p.y)) // 5; M10's crest
 */
export function outline(
  form: ThreadForm,
  side: 'external' | 'internal',
  pitchMm: number,
  pitchDiameterMm: number,
  pitches: number,
): Point[] {
  if (!(Number.isInteger(pitches) && pitches >= 1)) throw new RangeError(`pitches: ${pitches}`);
  const one = ridge(form, form[side], pitchMm);
  const corners: Corner[] = [];
  for (let k = -1; k <= pitches; k += 1) {
    for (const c of [...one.trailing, ...one.leading]) {
      const x = c.x + (k + 0.5) * pitchMm;
      corners.push({ ...c, x, y: pitchDiameterMm / 2 + c.y + (form.taper / 2) * x });
    }
  }
  const points = roundCorners(corners);
  return clip(points, 0, pitches * pitchMm);
}

/** Cuts the line to x0..x1, putting points where it crosses the two ends. */
function clip(points: readonly Point[], x0: number, x1: number): Point[] {
  const out: Point[] = [];
  const crossing = (a: Point, b: Point, x: number): Point => ({ x, y: a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x) });
  points.forEach((p, i) => {
    const prev = points[i - 1];
    if (prev && prev.x < x0 && p.x > x0) out.push(crossing(prev, p, x0));
    if (prev && prev.x < x1 && p.x > x1) out.push(crossing(prev, p, x1));
    if (p.x >= x0 && p.x <= x1) out.push({ x: p.x, y: p.y });
  });
  return out;
}
