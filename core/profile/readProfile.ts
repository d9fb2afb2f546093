import { cosDeg, degrees, sinDeg, tanDeg } from '../quantity/units.ts';
import { components, edgeOf, type EdgePoints } from './edges.ts';
import { reduced, type Grey } from './grey.ts';
import { levelsOf } from './levels.ts';
import { median, rangeOf, robustLine } from './line.ts';
import { between, parity, widthsAlike } from './across.ts';
import { axialOf, flankOf, type FlankRead } from './section.ts';
import { pinOf, type PinSeen } from './pin.ts';
import { wearOf, type WearSeen } from './wearSeen.ts';
import { angleOf, crestsOf, foldOf, laid, periodOf, type Edge, type Folded } from './teeth.ts';

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
    asks: [
      ...(startsSeen === 'even' ? (['even-or-rings'] as const) : []),
      ...(edges.some(bowed) ? (['bowed'] as const) : []),
    ],
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
    taper: both ? 2 * tanDeg((both[1].laid.deg - both[0].laid.deg) / 2) : null,
    wear: wearOf(edges, axisDeg),
    blurPx,
    pxPerMm: scale,
  };
}

/** The first of what lies beside the part that is round and clean. */
const pinAmong = (edges: readonly EdgePoints[]): PinSeen | null => edges.map(pinOf).find((p) => p !== null) ?? null;
/** The lens shrinks what is away from the centre; common practice, no source. */
const PIN_LENS = 0.0015;

/** Crests of the teeth used lie on a curve rather than a line: by more than a pixel, and with less than half of the scatter. */
function bowed(e: Edge): boolean {
  const used = crestsOf(e.fold);
  if (used.length < LEAST_BOWED) return false;
  const k = used.map((t) => t.k);
  const [from, to] = rangeOf(k);
  const x = k.map((v) => (2 * (v - from)) / (to - from) - 1);
  const h = used.map((t) => t.h);
  const line = robustLine(x, h, 0.02);
  const off = h.map((v, i) => v - line.a - line.b * (x[i] ?? 0));
  // what a parabola would take out of it
  const sag = robustLine(
    x.map((v) => v * v),
    off,
    0.02,
  );
  return Math.abs(sag.b) > 1 && sag.sigma < line.sigma / 2;
}
/** Fewer teeth tell no curve from a line. */
const LEAST_BOWED = 6;

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
  return degrees(
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
  const [c, s] = [cosDeg(about), sinDeg(about)];
  const across = Array.from(p.x, (x, i) => -x * s + (p.y[i] ?? 0) * c);
  const [low, high] = rangeOf(across);
  const middle = (low + high) / 2;
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
/** One sigma of the blur, smoothing taken out again. */
function blurOf(p: EdgePoints): number {
  const g = median(Array.from(p.steep));
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
    const used = crestsOf(f);
    if (used.length < 3) break;
    const slope = robustLine(
      used.map((t) => t.k * f.pitchPx),
      used.map((t) => t.h),
      0.05,
    ).b;
    if (Math.abs(slope) < 1e-5) break;
    tilt += side * degrees(Math.atan(slope));
    e = laid(p.x, p.y, tilt, side);
    fold = foldOf(e, f.pitchPx);
  }
  return fold ? { side, laid: e, fold } : null;
}

function pitchOf(edges: readonly Edge[], axisDeg: number): Told {
  const each = edges.map((e) => ({
    value: e.fold.pitchPx * cosDeg(e.laid.deg - axisDeg),
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
