import { slopeBetween } from '../form/flanks.ts';
import { cosDeg, tanDeg } from '../quantity/units.ts';
import { laidOn, rms, sectionBy, shadowOf, type Points, type Section } from './shadow.ts';

const { abs, hypot, max, min, sqrt, tan, PI } = Math;

/** Crest or root of a section: flat so wide, or an arc tangent to both flanks. */
export type End =
  { readonly kind: 'flat'; readonly wide: number } | { readonly kind: 'round'; readonly radius: number };

/** A ridge by its flanks and its two ends; any one unit of length. */
export interface Ridge {
  readonly pitch: number;
  readonly lead: number;
  readonly leftDeg: number;
  readonly rightDeg: number;
  /** Radius of the crest, and how far the root lies under it. */
  readonly outer: number;
  readonly depth: number;
  readonly crest: End;
  readonly root: End;
}

/** The top of a circle of radius 1 lies so far from where the tangent that leans by an angle cuts its level. */
const halfTop = (deg: number): number => tan((PI / 2 - (deg * PI) / 180) / 2);

/**
 * How far the flanks' own lines stand apart at the level of an end.
 * @example widthOver({ kind: 'round', radius: 1 }, 30, 30) // 1.1547
 */
export const widthOver = (end: End, leftDeg: number, rightDeg: number): number =>
  end.kind === 'flat' ? end.wide : end.radius * (halfTop(leftDeg) + halfTop(rightDeg));
/**
 * Radius of an arc tangent to both flanks, whose own lines stand so far apart at its top.
 * @example radiusWithin(1.1547, 30, 30) // 1.000
 */
export const radiusWithin = (wide: number, leftDeg: number, rightDeg: number): number =>
  wide / (halfTop(leftDeg) + halfTop(rightDeg));

/** Radius of the section at a place from the middle of the crest's width. */
function radiusOf(r: Ridge): (z: number) => number {
  const [tl, tr] = [tanDeg(r.leftDeg), tanDeg(r.rightDeg)];
  const steep = 1e-4;
  const crestWide = widthOver(r.crest, r.leftDeg, r.rightDeg);
  const groove = r.pitch - crestWide - r.depth * (tl + tr);
  const under = (z: number): number => {
    // flanks' own lines, under the crest's level
    const off = z < 0 ? (-z - crestWide / 2) / max(steep, tl) : (z - crestWide / 2) / max(steep, tr);
    let d = max(0, off);
    if (r.crest.kind === 'round') d = max(d, arc(z, r.crest.radius, crestWide, r.leftDeg, r.rightDeg));
    return min(d, r.depth);
  };
  const bottom = (z: number): number => {
    const d = under(z);
    if (r.root.kind !== 'round' || r.root.radius <= 0) return d;
    // the root's middle lies where the two flanks' lines at its level are alike far off
    const from = crestWide / 2 + r.depth * tr;
    const at = z >= 0 ? z - from - groove / 2 : z + r.pitch - from - groove / 2;
    return min(d, r.depth - arc(-at, r.root.radius, groove, r.leftDeg, r.rightDeg));
  };
  return (z) => r.outer - bottom(z);
}

/** How far an arc between two flanks stands under its top, at a place from the middle of their width at its level; 0 outside of it. */
function arc(z: number, radius: number, wide: number, leftDeg: number, rightDeg: number): number {
  const centre = -wide / 2 + radius * halfTop(leftDeg);
  const x = z - centre;
  const [from, to] = [-radius * cosDeg(leftDeg), radius * cosDeg(rightDeg)];
  return x <= from || x >= to ? 0 : radius - sqrt(radius * radius - x * x);
}

/**
 * The section along the axis that a ridge makes, turn by turn; px.
 * @example sectionOfRidge({ pitch: 3, lead: 3, leftDeg: 30, rightDeg: 30, outer: 12, depth: 1.84, crest: { kind: 'flat', wide: 0.375 }, root: { kind: 'flat', wide: 0.5 } }).radius[360] // 12; the crest is in the middle
 */
export const sectionOfRidge = (r: Ridge): Section => sectionBy(r.pitch, r.lead, radiusOf(r));

/** What crest and root of a section are, as far as the picture tells. */
export interface EndsRead {
  readonly ridge: Ridge;
  /** Null: flat and arc look alike at this size and softness. */
  readonly crest: End | null;
  readonly root: End | null;
  readonly crestUncertainty: number;
  readonly rootUncertainty: number;
  /** Distance of all points from the shadow of the ridge found, root mean square. */
  readonly residual: number;
}

/** Crest and root apart: above and below these shares of the depth the ends show. */
const NEAR = 0.25;
/** An end is told where the other kind lies off by so much more. */
const TOLD = 1.35;
const ROUNDS = 5;

/**
 * Crest and root of the axial section: each as a flat and as an arc between the flanks, the shadows of both laid over the
 * points; the one that lies closer by a third is it. Widths follow from the flanks' own lines at the level of crest and root.
 * @param sigma of the blur in the unit of the points
 * @example pictureRead().ends.root.radius / 20 // 0.431; mm, of the form's 0.144 P
 */
export function endsOf(
  points: Points,
  p: {
    readonly pitch: number;
    readonly lead: number;
    readonly leftDeg: number;
    readonly rightDeg: number;
    readonly outer: number;
    readonly depth: number;
    /** Width of a ridge at half its depth, in the shadow. */
    readonly wide: number;
    readonly sigma: number;
  },
): EndsRead {
  const slope = slopeBetween(p.leftDeg, p.rightDeg);
  const fits = KINDS.flatMap((crest) => KINDS.map((root) => fitted(points, p, slope, crest, root)));
  const best = (end: 'crest' | 'root', kind: Kind): number =>
    fits.reduce((m, f) => (f.kinds[end] === kind ? min(m, f.judged[end]) : m), Infinity);
  const [first] = fits;
  if (!first) throw new RangeError('no ends to choose between');
  const found = fits.reduce((a, b) => (b.judged.all < a.judged.all ? b : a), first);
  const told = (end: 'crest' | 'root'): boolean => {
    const [a, b] = [best(end, 'flat'), best(end, 'round')];
    return max(a, b) > TOLD * min(a, b);
  };
  const level = hypot(0.15, 0.1 * p.sigma);
  return {
    ridge: found.ridge,
    crest: told('crest') ? found.ridge.crest : null,
    root: told('root') ? found.ridge.root : null,
    crestUncertainty: hypot(found.judged.crest, level * max(slope, 0.3)),
    rootUncertainty: hypot(found.judged.root, level * max(slope, 0.3)),
    residual: found.judged.all,
  };
}

/**
 * What crest and root are while nobody has said how the light went. Square to the axis a helix hides a little of its groove, so
 * that a ridge looks wider by about (lead / 2 pi)^2 / (radius x tan of the flank); along the groove, the part turned to its lead
 * angle as on a projector, the edge is the section itself. The two pictures differ by less than a pixel in shape and by a tenth of
 * a millimetre in the flats: so the middle is given, and an uncertainty that holds for both.
 * @example eitherView(pictureRead().ends, pictureRead().ends).crest.kind // 'flat'; two that agree
 */
export function eitherView(side: EndsRead, groove: EndsRead): EndsRead {
  const [crest, crestApart] = middleOf(side.crest, groove.crest);
  const [root, rootApart] = middleOf(side.root, groove.root);
  return {
    ...side,
    crest,
    root,
    crestUncertainty: hypot(side.crestUncertainty, crestApart),
    rootUncertainty: hypot(side.rootUncertainty, rootApart),
  };
}
/** The middle of two of a kind, and how far each lies from it; null where they are not of one kind. */
function middleOf(a: End | null, b: End | null): readonly [End | null, number] {
  if (a?.kind === 'flat' && b?.kind === 'flat')
    return [{ kind: 'flat', wide: (a.wide + b.wide) / 2 }, abs(a.wide - b.wide) / 2];
  if (a?.kind === 'round' && b?.kind === 'round')
    return [{ kind: 'round', radius: (a.radius + b.radius) / 2 }, abs(a.radius - b.radius) / 2];
  return [null, 0];
}

type Kind = End['kind'];
const KINDS: readonly Kind[] = ['flat', 'round'];
interface Judged {
  readonly crest: number;
  readonly root: number;
  readonly all: number;
  readonly thick: number;
  readonly top: number;
  readonly floor: number;
}
interface Fitted {
  readonly kinds: { readonly crest: Kind; readonly root: Kind };
  readonly ridge: Ridge;
  readonly judged: Judged;
}
type Given = Parameters<typeof endsOf>[1];

/** Width, crest and depth that make a ridge with such ends throw the shadow seen. */
function fitted(points: Points, p: Given, slope: number, crest: Kind, root: Kind): Fitted {
  let [wide, outer, depth] = [max(0, p.wide - (p.depth / 2) * slope), p.outer, p.depth];
  const made = (): Ridge => {
    const groove = max(0, p.pitch - wide - depth * slope);
    const within = (w: number): number => radiusWithin(w, p.leftDeg, p.rightDeg);
    return {
      pitch: p.pitch,
      lead: p.lead,
      leftDeg: p.leftDeg,
      rightDeg: p.rightDeg,
      outer,
      depth,
      crest: crest === 'flat' ? { kind: 'flat', wide } : { kind: 'round', radius: within(wide) },
      root: root === 'flat' ? { kind: 'flat', wide: groove } : { kind: 'round', radius: within(groove) },
    };
  };
  let now = judge(points, made(), p.sigma);
  for (let round = 0; round < ROUNDS; round += 1) {
    // what is thicker than its shadow on both flanks is wider; what stands over it at the top is larger
    wide = max(0, min(p.pitch, wide + 2 * now.thick));
    outer += now.top;
    depth = max(0.1 * p.depth, depth + now.top - now.floor);
    now = judge(points, made(), p.sigma);
  }
  return { kinds: { crest, root }, ridge: made(), judged: now };
}

/** How a ridge's shadow lies on the points: off at crest, root and in all; thicker, higher at the top and at the root than it, on average. */
function judge(points: Points, r: Ridge, sigma: number): Judged {
  const s = shadowOf(sectionOfRidge(r), sigma);
  const laid = laidOn(points, s);
  const lists: Record<'crest' | 'root' | 'thick' | 'top' | 'floor', number[]> = {
    crest: [],
    root: [],
    thick: [],
    top: [],
    floor: [],
  };
  for (let i = 0; i < points.u.length; i += 1) {
    const share = (r.outer - (points.h[i] ?? 0)) / r.depth;
    const off = laid.off[i] ?? 0;
    const m = abs(s.slopeAt((points.u[i] ?? 0) - laid.shift));
    if (share < NEAR) lists.crest.push(off);
    else if (share > 1 - NEAR) lists.root.push(off);
    else if (m > 0.2) lists.thick.push((off * hypot(1, m)) / m);
    if (share < 0.06 && m < 0.3) lists.top.push(off);
    if (share > 0.94 && m < 0.3) lists.floor.push(off);
  }
  return {
    crest: rms(lists.crest),
    root: rms(lists.root),
    all: laid.rms,
    thick: mean(lists.thick),
    top: mean(lists.top),
    floor: mean(lists.floor),
  };
}
const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / max(1, list.length);
