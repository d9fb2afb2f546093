import { components, edgeOf, type EdgePoints } from './edges.ts';
import { reduced, type Grey } from './grey.ts';
import { levelsOf } from './levels.ts';
import { median, robustLine } from './line.ts';
import { pinOf, type PinSeen } from './pin.ts';
import { wearOf, type WearSeen } from './wearSeen.ts';
import { angleOf, foldOf, laid, periodOf, type Edge, type Folded } from './teeth.ts';

/** Value with its standard uncertainty. */
export interface Told {
  readonly value: number;
  readonly uncertainty: number;
}
/** Why a picture gives no reading, or what is to be borne in mind with one. */
export type ProfileAsk =
  | 'no-part'
  | 'nothing-repeats'
  | 'few-teeth'
  | 'rack'
  | 'not-in-step'
  | 'knurl'
  | 'blurred'
  | 'even-or-rings'
  | 'bowed';

export interface FlankRead {
  readonly apparentDeg: number;
  readonly axialDeg: number | null;
  readonly uncertaintyDeg: number;
}
export interface ProfileAskedFor {
  readonly pxPerMm: number | null;
  /** Diameter of a plain round pin in view apart from the part, end on, mm. */
  readonly pinMm: number | null;
  readonly knownMajorMm: number | null;
  readonly starts: number | null;
  /** At the pitch diameter, degrees. */
  readonly leadAngleDeg: number | null;
}
/** A thread as its shadow shows it; px of the full picture. */
export interface ProfileRead {
  readonly confident: boolean;
  readonly asks: readonly ProfileAsk[];
  readonly rotationDeg: number;
  readonly startsSeen: 'odd' | 'even' | null;
  readonly pitchPx: Told | null;
  readonly majorPx: number | null;
  readonly rootPx: number | null;
  readonly depthPx: number | null;
  /** Where ridge and groove are of one width, in the shadow. */
  readonly pitchDiameterPx: number | null;
  readonly residualPx: number | null;
  readonly diameterUncertaintyPx: number;
  readonly left: FlankRead | null;
  readonly right: FlankRead | null;
  readonly taper: number | null;
  readonly wear: readonly WearSeen[];
  readonly blurPx: number;
  readonly pxPerMm: Told | null;
}

const MOST_SMALL = 400;
const deg = (rad: number): number => (rad * 180) / Math.PI;
const rad = (d: number): number => (d * Math.PI) / 180;

const none = (asks: readonly ProfileAsk[], rotationDeg = 0, blurPx = 0): ProfileRead => ({
  confident: false,
  asks,
  rotationDeg,
  startsSeen: null,
  pitchPx: null,
  majorPx: null,
  rootPx: null,
  depthPx: null,
  pitchDiameterPx: null,
  residualPx: null,
  diameterUncertaintyPx: 0,
  left: null,
  right: null,
  taper: null,
  wear: [],
  blurPx,
  pxPerMm: null,
});

/**
 * Reads a thread from a picture against the light, or from a scan: edges to a fraction of a pixel against the light about them, teeth by
 * what repeats and then by all of them together, flanks by their own lines, the axial section from the shadow by where the
 * silhouette lies on the helicoid. It says what it wants where it cannot tell. Geometry of shadows: parallel light.
 */
export function readProfile(g: Grey, ask: ProfileAskedFor): ProfileRead {
  const { small, by } = reduced(g, MOST_SMALL);
  const levels = levelsOf(small, by);
  if (!levels) return none(['no-part']);
  const [pixels, ...others] = components(levels.small, small.w, small.h);
  if (!pixels || pixels.length < 0.01 * small.w * small.h) return none(['no-part']);
  const points = edgeOf(g, levels, pixels, small.w, small.h, by);
  if (points.x.length < 200) return none(['no-part']);
  const about = leaning(pixels, small.w);
  const { upper, lower } = sidesOf(points, about);
  const blurPx = blurOf(points);
  const edges = (
    [
      [upper, -1],
      [lower, 1],
    ] as const
  ).flatMap(([p, side]): Edge[] => {
    const e = edgeRead(p, side, about);
    return e ? [e] : [];
  });
  const plain = (p: { readonly x: Float64Array }): boolean => p.x.length > 0.25 * g.w;
  if (edges.length === 0) return none(['nothing-repeats'], about, blurPx);
  const [first] = edges;
  if (!first) return none(['nothing-repeats'], about, blurPx);
  if (edges.length === 1 && plain(first.side === -1 ? lower : upper)) return none(['rack'], about, blurPx);
  const both = edges.length === 2 ? (edges as [Edge, Edge]) : null;
  const axisDeg = both ? (both[0].laid.deg + both[1].laid.deg) / 2 : first.laid.deg;
  const teeth = Math.min(...edges.map((e) => e.fold.used.length));
  if (teeth < 2) return none(['few-teeth'], axisDeg, blurPx);
  const depthPx = edges.reduce((s, e) => s + e.fold.crest - e.fold.root, 0) / edges.length;
  if (blurPx > depthPx / 4) return none(['blurred'], axisDeg, blurPx);
  const pitchPx = pitchOf(edges, axisDeg);
  const startsSeen = both ? parity(both, pitchPx.value) : null;
  if (both && startsSeen === null) return none(['not-in-step'], axisDeg, blurPx);
  const major = both ? between(both, g, 'crest') : null;
  const root = both ? between(both, g, 'root') : null;
  const starts = ask.starts ?? (startsSeen === 'even' ? 2 : 1);
  const left = flankOf(edges, axisDeg, 'left');
  const right = flankOf(edges, axisDeg, 'right');
  if (!left || !right) return none(['few-teeth'], axisDeg, blurPx);
  if (left.apparentDeg > 55 || right.apparentDeg > 55) return none(['knurl'], axisDeg, blurPx);
  const uncertaintyPx = Math.hypot(0.15, 0.12 * blurPx);
  const pin = ask.pinMm === null ? null : pinAmong(others.map((o) => edgeOf(g, levels, o, small.w, small.h, by)));
  const scale: Told | null =
    ask.pxPerMm !== null
      ? { value: ask.pxPerMm, uncertainty: 0 }
      : pin && ask.pinMm !== null
        ? { value: pin.diameterPx / ask.pinMm, uncertainty: (pin.diameterPx / ask.pinMm) * PIN_LENS }
        : ask.knownMajorMm !== null && major !== null
          ? { value: major / ask.knownMajorMm, uncertainty: uncertaintyPx / ask.knownMajorMm }
          : null;
  const pxPerMm = scale?.value ?? null;
  const radiusPx =
    major !== null
      ? major / 2
      : ask.knownMajorMm !== null && pxPerMm !== null
        ? (ask.knownMajorMm * pxPerMm) / 2
        : null;
  const helix = (f: Omit<FlankRead, 'axialDeg'>): FlankRead => ({
    ...f,
    axialDeg: axialOf(f.apparentDeg, {
      pitchPx: pitchPx.value,
      starts,
      radiusPx,
      depthPx,
      leadAngleDeg: ask.leadAngleDeg,
    }),
  });
  return {
    confident: true,
    asks: startsSeen === 'even' ? ['even-or-rings'] : [],
    rotationDeg: axisDeg,
    startsSeen,
    pitchPx,
    majorPx: major,
    rootPx: root,
    depthPx,
    pitchDiameterPx:
      major === null || root === null ? null : widthsAlike(edges, (major + root) / 2, pitchPx.value, left, right),
    residualPx: edges.reduce((s, e) => s + e.fold.scatterPx, 0) / edges.length,
    diameterUncertaintyPx: uncertaintyPx,
    left: helix(left),
    right: helix(right),
    taper: both ? 2 * Math.tan(rad(both[1].laid.deg - both[0].laid.deg) / 2) : null,
    wear: wearOf(edges, axisDeg),
    blurPx,
    pxPerMm: scale,
  };
}

/** The first of what lies beside the part that is round and clean. */
const pinAmong = (edges: readonly EdgePoints[]): PinSeen | null => edges.map(pinOf).find((p) => p !== null) ?? null;
/** The lens shrinks what is away from the centre; common practice, no source. */
const PIN_LENS = 0.0015;

/** Diameter at which the ridge is half a pitch wide, from its width at mid height and both apparent flanks. */
function widthsAlike(
  edges: readonly Edge[],
  middlePx: number,
  pitchPx: number,
  left: Omit<FlankRead, 'axialDeg'>,
  right: Omit<FlankRead, 'axialDeg'>,
): number | null {
  const slope = Math.tan(rad(left.apparentDeg)) + Math.tan(rad(right.apparentDeg));
  if (!(slope > 0.02)) return null;
  const wide = edges.reduce((s, e) => s + e.fold.widePx, 0) / edges.length;
  return middlePx + (2 * (wide - pitchPx / 2)) / slope;
}

/** How the part leans, from its pixels: the middle of each column. Degrees, + it falls to the right. */
function leaning(pixels: Int32Array, w: number): number {
  const low = new Map<number, [number, number]>();
  for (const p of pixels) {
    const [x, y] = [p % w, Math.floor(p / w)];
    const [a, b] = low.get(x) ?? [Infinity, -Infinity];
    low.set(x, [Math.min(a, y), Math.max(b, y)]);
  }
  const all = [...low].sort((a, b) => a[0] - b[0]);
  const xs = all.map(([x]) => x);
  return deg(
    Math.atan(
      robustLine(
        xs,
        all.map(([, [a, b]]) => (a + b) / 2),
        0.2,
      ).b,
    ),
  );
}

/** Points whose way out lies above or below the part's own line; those that face along it are its ends. */
function sidesOf(p: EdgePoints, about: number) {
  const [c, s] = [Math.cos(rad(about)), Math.sin(rad(about))];
  const across = Array.from(p.x, (x, i) => -x * s + (p.y[i] ?? 0) * c);
  const middle = (Math.min(...sample(across)) + Math.max(...sample(across))) / 2;
  const of = (side: 1 | -1): { x: Float64Array; y: Float64Array } => {
    const xs: number[] = [];
    const ys: number[] = [];
    for (let i = 0; i < p.x.length; i += 1) {
      const out = -(p.nx[i] ?? 0) * s + (p.ny[i] ?? 0) * c;
      // flanks of a fast thread overhang a little once they are turned
      if (side * ((across[i] ?? 0) - middle) <= 0 || side * out < -0.3) continue;
      xs.push(p.x[i] ?? 0);
      ys.push(p.y[i] ?? 0);
    }
    return { x: Float64Array.from(xs), y: Float64Array.from(ys) };
  };
  return { upper: of(-1), lower: of(1) };
}
/** A spread of so many is enough for the extremes of a list too long to be handed over at once. */
const sample = (list: readonly number[]): number[] => {
  const every = Math.max(1, Math.floor(list.length / 20_000));
  return list.filter((_, i) => i % every === 0);
};

/** One sigma of the blur, smoothing taken out again. */
function blurOf(p: EdgePoints): number {
  const g = median(sample(Array.from(p.steep)));
  const all = 1 / (Math.sqrt(2 * Math.PI) * g);
  return Math.sqrt(Math.max(0, all * all - 1));
}

function edgeRead(p: { x: Float64Array; y: Float64Array }, side: 1 | -1, about: number): Edge | null {
  if (p.x.length < 120) return null;
  let tilt = angleOf(p.x, p.y, about);
  let e = laid(p.x, p.y, tilt, side);
  const period = periodOf(e);
  if (!period) return null;
  let fold = foldOf(e, period.px);
  // crests and flanks of all teeth say how the edge lies better than the heights' own crowd
  for (let round = 0; fold && round < 3; round += 1) {
    const f: Folded = fold;
    const used = f.teeth.filter((t) => f.used.includes(t.k) && !Number.isNaN(t.crest));
    if (used.length < 3) break;
    const slope = robustLine(
      used.map((t) => t.k * f.pitchPx),
      used.map((t) => t.crest),
      0.05,
    ).b;
    if (Math.abs(slope) < 1e-5) break;
    tilt += side * deg(Math.atan(slope));
    e = laid(p.x, p.y, tilt, side);
    fold = foldOf(e, f.pitchPx);
  }
  return fold ? { side, laid: e, fold } : null;
}

function pitchOf(edges: readonly Edge[], axisDeg: number): Told {
  const each = edges.map((e) => ({
    value: e.fold.pitchPx * Math.cos(rad(e.laid.deg - axisDeg)),
    sigma: Math.max(1e-4, e.fold.pitchSigma),
  }));
  const w = each.map((x) => 1 / x.sigma ** 2);
  const all = w.reduce((s, x) => s + x, 0);
  const value = each.reduce((s, x, i) => s + x.value * (w[i] ?? 0), 0) / all;
  const spread = each.length === 2 ? Math.abs((each[0]?.value ?? 0) - (each[1]?.value ?? 0)) / 2 : 0;
  return { value, uncertainty: Math.hypot(1 / Math.sqrt(all), spread, value * LENS) };
}
/** No lens is truer than this over a picture; common practice, no source. */
const LENS = 2e-4;

/** Crests of one edge against the other: half a pitch apart an odd number of starts, in step an even one. Null: neither. */
function parity([a, b]: readonly [Edge, Edge], pitch: number): 'odd' | 'even' | null {
  const along = (e: Edge): number => {
    // a ridge's middle at its crest, back in the picture, then along the mean axis
    const [x, y] = spot(e, e.fold.ridgePx, (e.fold.crest + e.fold.root) / 2);
    const mean = rad((a.laid.deg + b.laid.deg) / 2);
    return x * Math.cos(mean) + y * Math.sin(mean);
  };
  const off = ((((along(a) - along(b)) / pitch) % 1) + 1) % 1;
  const half = Math.abs(off - 0.5);
  return half < 0.15 ? 'odd' : half > 0.35 ? 'even' : null;
}

/** A place of an edge in the picture. */
function spot(e: Edge, z: number, h: number): readonly [number, number] {
  const [c, s] = [Math.cos(rad(e.laid.deg)), Math.sin(rad(e.laid.deg))];
  const v = e.side * h;
  return [z * c - v * s, z * s + v * c];
}

/** Crest to crest, or root to root, at the foot of the picture's centre, px. */
function between([a, b]: readonly [Edge, Edge], g: Grey, what: 'crest' | 'root'): number {
  const mean = rad((a.laid.deg + b.laid.deg) / 2);
  const [c, s] = [Math.cos(mean), Math.sin(mean)];
  const centre = (g.w / 2) * c + (g.h / 2) * s;
  const across = (e: Edge): number => {
    const h = what === 'crest' ? levelAt(e.fold, 'crest') : levelAt(e.fold, 'root');
    const [x0, y0] = spot(e, 0, h);
    const [x1, y1] = spot(e, 1, h);
    const [z0, z1] = [x0 * c + y0 * s, x1 * c + y1 * s];
    const [v0, v1] = [-x0 * s + y0 * c, -x1 * s + y1 * c];
    return v0 + ((centre - z0) / (z1 - z0)) * (v1 - v0);
  };
  return Math.abs(across(a) - across(b));
}

/** Height of the crest or root: the middle of what is level there, or the top of what is round. */
function levelAt(f: Folded, what: 'crest' | 'root'): number {
  const sign = what === 'crest' ? 1 : -1;
  const centre = what === 'crest' ? 0 : f.pitchPx / 2;
  const depth = f.crest - f.root;
  const edge = what === 'crest' ? f.crest : f.root;
  const xs: number[] = [];
  const hs: number[] = [];
  for (let i = 0; i < f.u.length; i += 1) {
    const u = f.u[i] ?? 0;
    const off = what === 'crest' ? u : u >= 0 ? u - centre : u + centre;
    const h = f.h[i] ?? 0;
    if (sign * (edge - h) < 0.08 * depth && Math.abs(off) < 0.25 * f.pitchPx) {
      xs.push(off);
      hs.push(h);
    }
  }
  if (hs.length < 8) return edge;
  const top = [...hs].sort((a, b) => a - b);
  // of what is nearly level the outermost fifth is edge noise, the innermost begins to turn down
  return what === 'crest' ? (top[Math.floor(top.length * 0.6)] ?? edge) : (top[Math.floor(top.length * 0.4)] ?? edge);
}

/** One flank of the ridges, as the picture shows it, on both edges together. */
function flankOf(edges: readonly Edge[], axisDeg: number, which: 'left' | 'right'): Omit<FlankRead, 'axialDeg'> | null {
  const slopes: number[] = [];
  const each: number[] = [];
  for (const e of edges) {
    const f = e.fold;
    const [from, to] = [f.root + 0.3 * (f.crest - f.root), f.root + 0.7 * (f.crest - f.root)];
    const us: number[] = [];
    const hs: number[] = [];
    const byTooth = new Map<number, [number[], number[]]>();
    const shift = new Map(f.teeth.map((t) => [t.k, which === 'left' ? t.left : t.right]));
    for (let i = 0; i < f.u.length; i += 1) {
      const [u, h] = [f.u[i] ?? 0, f.h[i] ?? 0];
      if (u < 0 !== (which === 'left') || h < from || h > to) continue;
      const k = f.tooth[i] ?? 0;
      const d = shift.get(k) ?? 0;
      us.push(u - (Number.isNaN(d) ? 0 : d));
      hs.push(h);
      const t = byTooth.get(k) ?? [[], []];
      t[0].push(u);
      t[1].push(h);
      byTooth.set(k, t);
    }
    if (us.length < 12) return null;
    const turn = (which === 'left' ? 1 : -1) * e.side * (e.laid.deg - axisDeg) * -1;
    const sign = which === 'left' ? 1 : -1;
    slopes.push(deg(Math.atan(sign * slopeOver(us, hs))) + turn);
    for (const [u, h] of byTooth.values()) if (u.length >= 5) each.push(deg(Math.atan(sign * slopeOver(u, h))));
  }
  const apparentDeg = slopes.reduce((s, x) => s + x, 0) / slopes.length;
  const scatter =
    each.length > 2 ? (1.4826 * median(each.map((x) => Math.abs(x - median(each))))) / Math.sqrt(each.length) : 0.5;
  const apart = slopes.length === 2 ? Math.abs((slopes[0] ?? 0) - (slopes[1] ?? 0)) / 2 : 0;
  return { apparentDeg, uncertaintyDeg: Math.hypot(scatter, apart / Math.SQRT2, FLANK_FLOOR_DEG) };
}
/** What a lens and a pixel leave of a flank on the best picture, degrees; common practice, no source. */
const FLANK_FLOOR_DEG = 0.08;
/** How far the flank goes along for its height: robust, along over height, for flanks are steep. */
const slopeOver = (us: readonly number[], hs: readonly number[]): number => robustLine(hs, us, 0.02).b;

/** Above the middle of the flank, of its depth, where it must not be hidden yet. */
const OUTER = 0.05;

/**
 * Angle of the axial section from the apparent one: a silhouette point at height y with slope T = dz/dy lies turned about the axis
 * by psi = atan(c / (T y)), c = lead / 2 pi, at radius y / cos psi; there tan a = T cos psi. Where that radius would lie beyond
 * the crest, the crest's edge throws the shadow and the flank cannot be told. @returns degrees; null: hidden, or no radius known
 */
function axialOf(
  apparentDeg: number,
  p: {
    readonly pitchPx: number;
    readonly starts: number;
    readonly radiusPx: number | null;
    readonly depthPx: number;
    readonly leadAngleDeg: number | null;
  },
): number | null {
  const slope = Math.tan(rad(apparentDeg));
  if (!(slope > 0.02)) return null;
  const c = (p.pitchPx * p.starts) / (2 * Math.PI);
  // the lead angle at the pitch diameter says what c / y is, where no radius is known
  const over =
    p.leadAngleDeg !== null
      ? Math.tan(rad(p.leadAngleDeg))
      : p.radiusPx === null
        ? null
        : c / (p.radiusPx - p.depthPx / 2);
  if (over === null) return null;
  const psi = Math.atan(over / slope);
  const y = c / over;
  const crest = p.radiusPx ?? y + p.depthPx / 2;
  // somewhat above the middle: there most of the flank that is looked at still throws its own shadow
  if ((y + OUTER * p.depthPx) / Math.cos(psi) > crest) return null;
  return deg(Math.atan(slope * Math.cos(psi)));
}
