import { cosDeg, degrees, tanDeg } from '../quantity/units.ts';
import { blurOf, components, edgeOf, type EdgePoints } from './edges.ts';
import { reduced, type Grey } from './grey.ts';
import { levelsOf } from './levels.ts';
import { robustLine } from './line.ts';
import { between, parity, widthsAlike } from './across.ts';
import { eitherView, endsOf, type EndsRead } from './ends.ts';
import { foldedPoints } from './folded.ts';
import { formsLaid } from './forms.ts';
import { hiddenFlank, type HiddenFlank } from './hidden.ts';
import { drawnOver, type RawEdge } from './drawnOver.ts';
import { softness } from './shadow.ts';
import { leaning, sidesOf, slant, type Side } from './sides.ts';
import { axialOf, flankOf, type FlankRead } from './section.ts';
import { scaleByPin } from './pin.ts';
import { wearOf } from './wearSeen.ts';
import { angleOf, crestsOf, foldOf, laid, periodOf, type Edge, type Folded } from './teeth.ts';
import type { ProfileAsk, ProfileAskedFor, ProfileRead, Seen, Shown, Told } from './types.ts';
import { warpOf, type Warp } from './warp.ts';

const MOST_SMALL = 400;

/**
 * Crest and root by how the light went: along the groove, as on a projector, the edge is the section itself. @param section
 * they as it would have them; worked out only where it is asked for
 */
const endsByView = (
  side: EndsRead | null,
  hidden: ProfileRead['hidden'],
  view: ProfileAskedFor['view'],
  section: () => EndsRead,
): EndsRead | null => {
  // a flank behind its own crest is seen from the side
  if (side === null || view === 'side' || hidden.left || hidden.right) return side;
  return view === 'groove' ? section() : eitherView(side, section());
};

/** What a bowed, bent or slanting picture is asked about. */
const warpAsks = (warp: Warp | null): readonly ProfileAsk[] => [
  ...(warp?.barrelPx ? (['bowed'] as const) : []),
  ...(warp?.bentPx ? (['bent'] as const) : []),
  ...(warp?.perspectivePx ? (['not-square'] as const) : []),
  ...(warp?.leadGrows ? (['lead-grows'] as const) : []),
];

/** A lead that throws no shadow, as a share of the pitch. */
const NO_LEAD = 1e-4;

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
  scaleBy: null,
  ends: null,
  hidden: { left: null, right: null },
  forms: [],
  warp: null,
  teeth: 0,
  unevenness: 1,
  scan: false,
  seen: null,
});

/** Edges of the part in step with the picture's own coordinates, as found. */
interface Found {
  readonly edges: readonly Edge[];
  readonly raw: readonly RawEdge[];
}

/** Teeth of both edges, from their points as they are or as a straight picture would have them. */
function found(sides: ReturnType<typeof sidesOf>, about: number, shown: Shown, map: Warp['map'] | null): Found {
  const edges: Edge[] = [];
  const raw: RawEdge[] = [];
  let wanted = shown.pitchPx ?? null;
  const read = (p: Side, side: 1 | -1): Edge | null => {
    if (!map) return edgeRead(p, side, about, wanted);
    const [x, y] = [new Float64Array(p.x.length), new Float64Array(p.y.length)];
    for (let i = 0; i < x.length; i += 1) {
      const [u, v] = map(p.x[i] ?? 0, p.y[i] ?? 0);
      x[i] = u;
      y[i] = v;
    }
    return edgeRead({ x, y }, side, about, wanted);
  };
  const both = (
    [
      [sides.upper, -1, 'upper'],
      [sides.lower, 1, 'lower'],
    ] as const
  ).filter(([, , name]) => !shown.edge || shown.edge === name);
  const first = both.map(([p, side]) => read(p, side));
  const sure = first.find((e) => e !== null);
  if (!sure) return { edges, raw };
  // an edge that fails alone may have the other's teeth
  wanted ??= sure.fold.pitchPx;
  both.forEach(([p, side], i) => {
    const e = first[i] ?? read(p, side);
    if (!e || !likeOf(e, sure)) return;
    edges.push(e);
    raw.push({ side, ...p });
  });
  return { edges, raw };
}

/** Teeth of one part: about as high and as wide apart on both of its edges. */
const likeOf = (a: Edge, b: Edge): boolean => {
  const deep = (e: Edge): number => e.fold.crest - e.fold.root;
  return deep(a) > 0.6 * deep(b) && Math.abs(a.fold.pitchPx / b.fold.pitchPx - 1) < 0.05;
};

/**
 * Reads a thread from a picture against the light, or from a scan: edges to a fraction of a pixel against the light about them, teeth by
 * what repeats and then by all of them together, flanks by their own lines, the axial section from the shadow by where the
 * silhouette lies on the helicoid, crest and root by the shadow that they would throw. It says what it wants where it cannot tell.
 * Geometry of shadows: parallel light. @param progress told the share done, 0 to 1
 * @example pictureRead().pitchPx.value / 20 // 3.000; mm, of M24x3
 */
export function readProfile(g: Grey, ask: ProfileAskedFor, progress: (done: number) => void = () => {}): ProfileRead {
  const shown = ask.shown ?? {};
  const { small, by } = reduced(g, MOST_SMALL);
  const levels = levelsOf(small, by);
  if (!levels) return none(['no-part']);
  const [pixels, ...others] = components(levels.small, small.w, small.h);
  if (!pixels || pixels.length < 0.01 * small.w * small.h) return none(['no-part']);
  progress(0.2);
  const points = edgeOf(g, levels, pixels, small.w, small.h, by);
  if (points.x.length < 200) return none(['no-part']);
  progress(0.55);
  const about = shown.axis ? slant(shown.axis) : leaning(pixels, small.w);
  const sides = sidesOf(points, about, shown);
  const blurPx = blurOf(points);
  const plain = (p: Side): boolean => p.x.length > 0.25 * g.w;
  let { edges, raw } = found(sides, about, shown, null);
  progress(0.7);
  const pair = (list: readonly Edge[]): [Edge, Edge] | null => (list.length === 2 ? (list as [Edge, Edge]) : null);
  const firstPair = pair(edges);
  const warp = firstPair && warpOf(firstPair, g.w, g.h);
  if (warp?.tooMuch) return none(['warped'], about, blurPx);
  if (warp && (warp.barrelPx !== 0 || warp.bentPx !== 0 || warp.perspectivePx !== 0)) {
    const straight = found(sides, about, shown, warp.map);
    if (straight.edges.length === 2) ({ edges, raw } = straight);
  }
  progress(0.8);
  const [first] = edges;
  // where nothing repeats and the edge is a smear, it is the smear that hides it
  if (!first) return none([blurPx > SMEARED * g.w ? 'blurred' : 'nothing-repeats'], about, blurPx);
  if (!shown.edge && edges.length === 1 && plain(first.side === -1 ? sides.lower : sides.upper))
    return { ...none(['rack'], about, blurPx), seen: bare(edges, raw, g) };
  const both = pair(edges);
  const axisDeg = both ? (both[0].laid.deg + both[1].laid.deg) / 2 : first.laid.deg;
  const teeth = Math.min(...edges.map((e) => e.fold.used.length));
  if (teeth < 2) return none(['few-teeth'], axisDeg, blurPx);
  const depthPx = edges.reduce((s, e) => s + e.fold.crest - e.fold.root, 0) / edges.length;
  if (blurPx > depthPx / 4) return none(['blurred'], axisDeg, blurPx);
  const pitchPx = pitchOf(edges, axisDeg);
  const startsSeen = both ? parity(both, pitchPx.value) : null;
  if (both && startsSeen === null) return { ...none(['not-in-step'], axisDeg, blurPx), seen: bare(edges, raw, g) };
  const major = both ? between(both, g, 'crest') : null;
  const root = both ? between(both, g, 'root') : null;
  const starts = ask.starts ?? (startsSeen === 'even' ? 2 : 1);
  const left = flankOf(edges, axisDeg, 'left');
  const right = flankOf(edges, axisDeg, 'right');
  if (!left || !right) return none(['few-teeth'], axisDeg, blurPx);
  if (left.apparentDeg > 55 || right.apparentDeg > 55) return none(['knurl'], axisDeg, blurPx);
  // a ridge wider at its crest than at its foot is no thread seen from the side
  if (left.apparentDeg < LEAST_DEG || right.apparentDeg < LEAST_DEG) return none(['not-in-step'], axisDeg, blurPx);
  const uncertaintyPx = Math.hypot(0.15, 0.12 * blurPx);
  const beside = (): readonly EdgePoints[] => others.map((o) => edgeOf(g, levels, o, small.w, small.h, by));
  const byPin = ask.pinMm === null ? null : scaleByPin(beside(), ask.pinMm);
  const [scale, scaleBy] = scaleOf(ask, byPin, major, uncertaintyPx);
  const pxPerMm = scale?.value ?? null;
  const knownPx = ask.knownMajorMm !== null && pxPerMm !== null ? (ask.knownMajorMm * pxPerMm) / 2 : null;
  const leadPx = pitchPx.value * starts;
  const radiusPx =
    major !== null
      ? major / 2
      : (knownPx ??
        // the lead angle at the pitch diameter says what the radius is there
        (ask.leadAngleDeg === null ? null : leadPx / (2 * Math.PI * tanDeg(ask.leadAngleDeg)) + depthPx / 2));
  const helix = (f: Omit<FlankRead, 'axialDeg'>): FlankRead => ({
    ...f,
    axialDeg: axialOf(f.apparentDeg, {
      pitchPx: pitchPx.value,
      starts,
      radiusPx: major !== null ? major / 2 : knownPx,
      depthPx,
      leadAngleDeg: ask.leadAngleDeg,
    }),
  });
  const [l, r] = [helix(left), helix(right)];
  progress(0.85);
  const folded = foldedPoints(edges, radiusPx ?? depthPx);
  const laidOut = { pitch: pitchPx.value, lead: leadPx, outer: radiusPx ?? depthPx, sigma: softness(blurPx) };
  const wide = edges.reduce((s, e) => s + e.fold.widePx, 0) / edges.length;
  const endsWith = (leftDeg: number, rightDeg: number): EndsRead | null =>
    radiusPx === null ? null : endsOf(folded, { ...laidOut, leftDeg, rightDeg, depth: depthPx, wide });
  // where a flank is hidden its section is taken half-way until it is known what it may be
  const assumed = (f: FlankRead): number => f.axialDeg ?? f.apparentDeg / 2;
  const rough = endsWith(assumed(l), assumed(r));
  const scatterPx = edges.reduce((s, e) => s + e.fold.scatterPx, 0) / edges.length;
  const hid = (f: FlankRead, side: 'left' | 'right'): HiddenFlank | null =>
    rough && f.axialDeg === null
      ? hiddenFlank(folded, rough.ridge, side, f.apparentDeg, laidOut.sigma, SCATTER_SHARE * scatterPx)
      : null;
  const hidden = { left: hid(l, 'left'), right: hid(r, 'right') };
  const middle = (f: FlankRead, h: HiddenFlank | null): number => (h ? (h.fromDeg + h.toDeg) / 2 : assumed(f));
  const fromSide = hidden.left || hidden.right ? endsWith(middle(l, hidden.left), middle(r, hidden.right)) : rough;
  const section = { ...laidOut, lead: pitchPx.value * NO_LEAD, leftDeg: l.apparentDeg, rightDeg: r.apparentDeg };
  const ends = endsByView(fromSide, hidden, ask.view, () => endsOf(folded, { ...section, depth: depthPx, wide }));
  progress(0.92);
  const forms =
    radiusPx === null
      ? []
      : formsLaid(folded, {
          ...laidOut,
          outer: ends?.ridge.outer ?? radiusPx,
          pitchMm: pxPerMm === null ? null : pitchPx.value / pxPerMm,
          leftDeg: l.apparentDeg,
          rightDeg: r.apparentDeg,
        });
  progress(1);
  return {
    confident: true,
    asks: [...(startsSeen === 'even' ? (['even-or-rings'] as const) : []), ...warpAsks(warp)],
    rotationDeg: axisDeg,
    startsSeen,
    pitchPx,
    majorPx: major,
    rootPx: root,
    depthPx,
    pitchDiameterPx:
      major === null || root === null ? null : widthsAlike(edges, (major + root) / 2, pitchPx.value, left, right),
    residualPx: scatterPx,
    diameterUncertaintyPx: uncertaintyPx,
    left: l,
    right: r,
    taper: both ? 2 * tanDeg((both[1].laid.deg - both[0].laid.deg) / 2) : null,
    wear: wearOf(edges, axisDeg),
    blurPx,
    pxPerMm: scale,
    scaleBy,
    ends,
    hidden,
    forms,
    warp: warp && {
      barrelPx: warp.barrelPx,
      bentPx: warp.bentPx,
      perspectivePx: warp.perspectivePx,
      leadGrows: warp.leadGrows,
    },
    unevenness: levels.unevenness,
    scan: levels.scan,
    teeth: edges.reduce((n, e) => n + e.fold.used.length, 0),
    seen: { ...bare(edges, raw, g), folded, outerPx: radiusPx ?? depthPx, leadPx },
  };
}

/** Scale by the first of what is given that can be used. */
function scaleOf(
  ask: ProfileAskedFor,
  byPin: Told | null,
  major: number | null,
  uncertaintyPx: number,
): readonly [Told | null, ProfileRead['scaleBy']] {
  if (ask.pxPerMm !== null) return [{ value: ask.pxPerMm, uncertainty: 0 }, 'resolution'];
  if (byPin) return [byPin, 'pin'];
  if (ask.knownMajorMm !== null && major !== null)
    return [{ value: major / ask.knownMajorMm, uncertainty: uncertaintyPx / ask.knownMajorMm }, 'major'];
  return [null, null];
}

/** What was seen, as it is drawn over the picture, without its section. */
function bare(edges: readonly Edge[], raw: Found['raw'], g: Grey): Seen {
  return {
    ...drawnOver(edges, raw, g),
    folded: { u: new Float64Array(), h: new Float64Array() },
    outerPx: 0,
    leadPx: 0,
  };
}

/** An edge spread over more of the picture’s width shows no fine thread. */
const SMEARED = 0.004;
const LEAST_DEG = -5;
/** Angles whose lines differ by less than this share of the teeth’s own scatter are alike. */
const SCATTER_SHARE = 0.5;

const LEAST_HIGH_PX = 2;
const MOST_SCATTER = 0.1;

function edgeRead(p: Side, side: 1 | -1, about: number, pitchPx: number | null): Edge | null {
  if (p.x.length < 120) return null;
  let tilt = angleOf(p.x, p.y, about);
  let e = laid(p.x, p.y, tilt, side);
  const period = pitchPx ?? periodOf(e)?.px;
  if (period === undefined) return null;
  let fold = foldOf(e, period);
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
  // what is no higher than the noise of an edge, or scatters over its own pitch, are no teeth
  const teeth = fold && fold.crest - fold.root > LEAST_HIGH_PX && fold.scatterPx < MOST_SCATTER * fold.pitchPx;
  return fold && teeth ? { side, laid: e, fold } : null;
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
