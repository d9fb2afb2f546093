import { equalFlanks, isSquare, slopeOf, type Flanks } from './flanks.ts';
import { inches } from '../quantity/units.ts';

/**
 * One description for every thread form. The pitch line is where ridge and groove are both P/2 wide; every height is
 * measured from it, radially: "outer" outwards (to the major diameter), "inner" inwards (to the minor diameter).
 * The leading flank faces the direction in which the screw advances when it is assembled.
 */
export interface ThreadForm extends Flanks {
  readonly id: FormId;
  readonly name: string;
  readonly external: Profile;
  readonly internal: Profile;
  /** Taper on diameter per unit length; 0 for a parallel thread. */
  readonly taper: number;
  /** The standard rounds the depth of thread to this step before taking diameters, mm. Null: it does not. */
  readonly depthStepMm: number | null;
  readonly source: string;
}

/** Heights in mm and the shape of the two ends of the flanks. */
export interface Profile {
  readonly outerMm: number;
  readonly innerMm: number;
  readonly outerEdge: Edge;
  readonly innerEdge: Edge;
}

/** A flat (with its corner radius, mm), or an arc that is tangent to both flanks. */
export type Edge =
  { readonly kind: 'flat'; readonly cornerMm: number } | { readonly kind: 'round'; readonly radiusMm: number };

/** Forms of thread that a standard or the trade names. */
export const FORM_IDS = [
  'iso60',
  'american60',
  'whitworth55',
  'pipe55',
  'ba47',
  'acme29',
  'stubAcme29',
  'trapezoidal30',
  'buttress45-7',
  'sawtooth30-3',
  'square',
  'round30',
  'npt60',
  'nptf60',
  'pipeTaper55',
  'cycle60',
  'conduit80',
] as const;
/** One of FORM_IDS. */
export type FormId = (typeof FORM_IDS)[number] | 'special';

const flat = (cornerMm = 0): Edge => ({ kind: 'flat', cornerMm });
const round = (radiusMm: number): Edge => ({ kind: 'round', radiusMm });

/**
 * Height of the fundamental triangle, mm: H = P / (tan a1 + tan a2). @throws RangeError when both flanks are square.
 * @example fundamentalHeightMm(1, equalFlanks(60)) // 0.866025; H of ISO 68-1
 */
export function fundamentalHeightMm(pitchMm: number, flanks: Flanks): number {
  if (isSquare(flanks)) throw new RangeError('a square thread has no fundamental triangle');
  return pitchMm / slopeOf(flanks);
}

/**
 * Radial clearance of general-purpose Acme, mm: 0.010 in at 10 TPI and coarser, half of that finer. ASME B1.5.
 * @example acmeClearanceMm(25.4 / 5) / 25.4 // 0.010
 */
export const acmeClearanceMm = (pitchMm: number): number => inches(pitchMm >= inches(0.1) - 1e-9 ? 0.01 : 0.005);

/**
 * Crest clearance ac of metric trapezoidal threads, mm. ISO 2901: 0.15 at P 1.5, 0.25 to P 5, 0.5 to P 12, 1 above.
 * @example trapezoidalClearanceMm(7) // 0.5
 */
export function trapezoidalClearanceMm(pitchMm: number): number {
  if (pitchMm < 2) return 0.15;
  if (pitchMm <= 5) return 0.25;
  return pitchMm <= 12 ? 0.5 : 1;
}

type Made = Omit<ThreadForm, 'id' | 'taper' | 'depthStepMm'> & {
  readonly taper?: number;
  readonly depthStepMm?: number;
};

const both = (profile: Profile) => ({ external: profile, internal: profile });

const ROOT3 = Math.sqrt(3);
const isoNut = (p: number): Profile => ({
  outerMm: (3 * ROOT3 * p) / 16,
  innerMm: (ROOT3 * p) / 8,
  outerEdge: flat(),
  innerEdge: flat(),
});

/** A form rounded fully at crest and root: depth and radius in pitches. */
const rounded = (p: number, depth: number, radius: number): Profile => ({
  outerMm: (depth * p) / 2,
  innerMm: (depth * p) / 2,
  outerEdge: round(radius * p),
  innerEdge: round(radius * p),
});

const MAKERS: Record<(typeof FORM_IDS)[number], (p: number) => Made> = {
  iso60: (p) => ({
    name: '60\u00b0 ISO metric and Unified',
    ...equalFlanks(60),
    // root radius H/6 = 0.144338P is tangent to both flanks at H/4 less the arc: d3 = d - 1.226869P
    external: {
      outerMm: (3 * ROOT3 * p) / 16,
      innerMm: 0.2886751 * p,
      outerEdge: flat(),
      innerEdge: round(0.1443376 * p),
    },
    internal: isoNut(p),
    source: 'ISO 68-1; ASME B1.1',
  }),
  american60: (p) => ({
    name: '60\u00b0 American National, flat root',
    ...equalFlanks(60),
    external: { outerMm: (3 * ROOT3 * p) / 16, innerMm: (3 * ROOT3 * p) / 16, outerEdge: flat(), innerEdge: flat() },
    internal: isoNut(p),
    source: 'NBS Handbook H28',
  }),
  whitworth55: (p) => ({
    name: '55\u00b0 Whitworth',
    ...equalFlanks(55),
    ...both(rounded(p, 0.640327, 0.137329)),
    depthStepMm: inches(0.0001),
    source: 'BS 84',
  }),
  pipe55: (p) => ({
    name: '55\u00b0 parallel pipe',
    ...equalFlanks(55),
    ...both(rounded(p, 0.640327, 0.137329)),
    depthStepMm: 0.001,
    source: 'ISO 228-1',
  }),
  ba47: (p) => ({
    name: '47.5\u00b0 British Association',
    ...equalFlanks(47.5),
    ...both(rounded(p, 0.6, 0.180835)),
    depthStepMm: 0.005,
    source: 'BS 93',
  }),
  acme29: (p) => {
    const clear = acmeClearanceMm(p);
    return {
      name: '29\u00b0 Acme',
      ...equalFlanks(29),
      external: { outerMm: p / 4, innerMm: p / 4 + clear, outerEdge: flat(), innerEdge: flat() },
      internal: { outerMm: p / 4 + clear, innerMm: p / 4, outerEdge: flat(), innerEdge: flat() },
      source: 'ASME B1.5',
    };
  },
  stubAcme29: (p) => {
    const clear = acmeClearanceMm(p);
    return {
      name: '29\u00b0 stub Acme',
      ...equalFlanks(29),
      external: { outerMm: 0.15 * p, innerMm: 0.15 * p + clear, outerEdge: flat(), innerEdge: flat() },
      internal: { outerMm: 0.15 * p + clear, innerMm: 0.15 * p, outerEdge: flat(), innerEdge: flat() },
      source: 'ASME B1.8',
    };
  },
  trapezoidal30: (p) => {
    const ac = trapezoidalClearanceMm(p);
    return {
      name: '30\u00b0 metric trapezoidal',
      ...equalFlanks(30),
      external: { outerMm: p / 4, innerMm: p / 4 + ac, outerEdge: flat(ac / 2), innerEdge: flat(ac) },
      internal: { outerMm: p / 4 + ac, innerMm: p / 4, outerEdge: flat(ac), innerEdge: flat() },
      source: 'ISO 2901',
    };
  },
  'buttress45-7': (p) => ({
    name: '45\u00b0/7\u00b0 buttress',
    leadingDeg: 45,
    trailingDeg: 7,
    external: { outerMm: 0.3 * p, innerMm: 0.36271 * p, outerEdge: flat(), innerEdge: round(0.07141 * p) },
    internal: { outerMm: 0.36271 * p, innerMm: 0.3 * p, outerEdge: round(0.07141 * p), innerEdge: flat() },
    source: 'ASME B1.9',
  }),
  'sawtooth30-3': (p) => ({
    name: '30\u00b0/3\u00b0 saw-tooth',
    leadingDeg: 30,
    trailingDeg: 3,
    external: { outerMm: 0.375 * p, innerMm: 0.492767 * p, outerEdge: flat(), innerEdge: round(0.124271 * p) },
    internal: { outerMm: 0.375 * p, innerMm: 0.375 * p, outerEdge: flat(), innerEdge: flat() },
    source: 'DIN 513',
  }),
  square: (p) => ({
    name: 'Square',
    ...equalFlanks(0),
    ...both({ outerMm: p / 4, innerMm: p / 4, outerEdge: flat(), innerEdge: flat() }),
    source: 'common practice',
  }),
  round30: (p) => ({
    name: '30\u00b0 round (knuckle)',
    ...equalFlanks(30),
    external: { outerMm: 0.25 * p, innerMm: 0.25 * p, outerEdge: round(0.238507 * p), innerEdge: round(0.238507 * p) },
    internal: { outerMm: 0.3 * p, innerMm: 0.2 * p, outerEdge: round(0.221047 * p), innerEdge: round(0.255967 * p) },
    source: 'DIN 405',
  }),
  npt60: (p) => ({
    name: '60\u00b0 taper pipe',
    ...equalFlanks(60),
    ...both({ outerMm: 0.4 * p, innerMm: 0.4 * p, outerEdge: flat(), innerEdge: flat() }),
    taper: 1 / 16,
    source: 'ASME B1.20.1',
  }),
  nptf60: (p) => ({
    name: '60\u00b0 dry-seal taper pipe',
    ...equalFlanks(60),
    ...both({ outerMm: 0.39 * p, innerMm: 0.39 * p, outerEdge: flat(), innerEdge: flat() }),
    taper: 1 / 16,
    source: 'ASME B1.20.3',
  }),
  pipeTaper55: (p) => ({
    name: '55\u00b0 taper pipe',
    ...equalFlanks(55),
    ...both(rounded(p, 0.640327, 0.137278)),
    taper: 1 / 16,
    depthStepMm: 0.001,
    source: 'ISO 7-1',
  }),
  cycle60: (p) => ({
    name: '60\u00b0 cycle',
    ...equalFlanks(60),
    ...both(rounded(p, 0.5327, 1 / 6)),
    source: 'BS 811',
  }),
  conduit80: (p) => ({
    name: '80\u00b0 steel conduit',
    ...equalFlanks(80),
    ...both(rounded(p, 0.4767, 0.107)),
    source: 'DIN 40430 (from memory)',
  }),
};

/**
 * The named form at a pitch. @param pitchMm mm, > 0
 * @example formAt('acme29', 5).leadingDeg // 14.5
 */
export function formAt(id: (typeof FORM_IDS)[number], pitchMm: number): ThreadForm {
  if (!(pitchMm > 0)) throw new RangeError(`pitch: ${pitchMm}`);
  return { taper: 0, depthStepMm: null, ...MAKERS[id](pitchMm), id };
}

/** What a special form is known by. Anything not given is filled so that crest and root flats are H/8, at most P/2 deep. */
export interface SpecialForm extends Flanks {
  readonly depthMm?: number;
  readonly crestFlatMm?: number;
  readonly rootFlatMm?: number;
  readonly rootRadiusMm?: number;
  readonly taper?: number;
}

/** A taper under this is none: a micron over a metre. */
const LEAST_TAPER = 1e-6;

/**
 * A form by its own angles, flats, radius and depth. @throws RangeError for flanks outside 0 to 80 degrees.
 * @example specialForm(6, { leadingDeg: 45, trailingDeg: 5 }).name // '45\u00b0/5\u00b0 special'
 */
export function specialForm(pitchMm: number, given: SpecialForm): ThreadForm {
  const { leadingDeg: a1, trailingDeg: a2, taper = 0 } = given;
  for (const a of [a1, a2]) if (!(a >= 0 && a <= 80)) throw new RangeError(`flank angle: ${a}`);
  const slope = slopeOf(given);
  // outer height follows from the crest flat; without one, H/8 is cut off as in the 60 degree forms, or P/4 for steep flanks
  // or, where root flat and depth were read, from what they leave for the crest
  const crestFlatMm =
    given.crestFlatMm ??
    (given.rootFlatMm !== undefined && given.depthMm !== undefined
      ? Math.max(0, pitchMm - given.rootFlatMm - given.depthMm * slope)
      : undefined);
  const outer =
    crestFlatMm !== undefined && crestFlatMm < pitchMm / 2 && slope > 0
      ? (pitchMm / 2 - crestFlatMm) / slope
      : Math.min(pitchMm / 4, slope > 0 ? (0.375 * pitchMm) / slope : pitchMm / 4);
  const depth =
    given.depthMm ??
    (given.rootFlatMm !== undefined && slope > 0 ? outer + (pitchMm / 2 - given.rootFlatMm) / slope : 2 * outer);
  const reach = slope > 0 ? pitchMm / 2 / slope : Infinity;
  const inner = Math.min(depth - outer, reach);
  const profile: Profile = {
    outerMm: outer,
    innerMm: inner,
    outerEdge: flat(),
    innerEdge: flat(given.rootRadiusMm ?? 0),
  };
  return {
    id: 'special',
    name: a1 === a2 ? `${Number((a1 + a2).toFixed(2))}\u00b0 special` : `${a1}\u00b0/${a2}\u00b0 special`,
    leadingDeg: a1,
    trailingDeg: a2,
    ...both(profile),
    taper: Math.abs(taper) < LEAST_TAPER ? 0 : taper,
    depthStepMm: null,
    source: 'as measured',
  };
}
