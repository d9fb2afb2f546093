import { DEFAULT_SIGMA, type Quantity } from '../evidence/evidence.ts';
import { normalPdf } from './density.ts';
import type { ReadingKind } from './kind.ts';
import { BLUNDER_PER_MM, withBlunder } from './noise.ts';
import { typedLengthOrNone } from './typed.ts';

type Edge = 'crestFlat' | 'rootFlat' | 'crestRadius' | 'rootRadius';
/** Readings of crest and root. */
export const EDGES: readonly Quantity[] = ['crestFlat', 'rootFlat', 'crestRadius', 'rootRadius'] satisfies Edge[];

/** Share of flats that are met rounded, and the largest radius of it in pitches. Common practice, no source. */
const WORN_ROUND = 0.25;
const ROUNDED = 0.15;
/** How much wider than the form flats and radii are met, in pitches: a crest wears, a root is what the tool's tip was. */
const SPREAD = { flat: 0.06, radius: 0.03 } as const;

/** A flat or a radius at crest or root: 0 where the form has the other. */
const edge = <Q extends Edge>(quantity: Q): ReadingKind<Edge> => {
  const shape = quantity.endsWith('Flat') ? 'flat' : 'radius';
  const usual = shape === 'flat' ? DEFAULT_SIGMA.flatMm : DEFAULT_SIGMA.radiusMm;
  const key = `${quantity}Mm` as const;
  return {
    measures: 'length',
    worn: false,
    onStarts: false,
    parse: typedLengthOrNone,
    evidence: (r) => ({
      quantity,
      valueMm: r.value,
      // an edge is judged by eye whatever it is measured with
      ...(r.uncertainty === null ? {} : { uncertaintyMm: Math.max(r.uncertainty, DEFAULT_SIGMA.radiusMm) }),
    }),
    nominal: (h, part) => h.edges[part][key],
    density: (e, h, part) => {
      const p = h.pitchMm;
      const expected = h.edges[part][key];
      const spread = Math.hypot(e.uncertaintyMm ?? usual, SPREAD[shape] * p);
      const asMade = normalPdf(e.valueMm - expected, spread);
      if (shape === 'flat' || expected > 0) return withBlunder(asMade, BLUNDER_PER_MM);
      // a flat is seldom met sharp: corners wear and rolling rounds them, up to about a sixth of the pitch
      const rounded = e.valueMm <= ROUNDED * p + 2 * spread ? 1 / (ROUNDED * p + 2 * spread) : 0;
      return withBlunder((1 - WORN_ROUND) * asMade + WORN_ROUND * rounded, BLUNDER_PER_MM);
    },
    free: (_, pitchMm) => 1 / ((shape === 'flat' ? 0.5 : 0.2) * pitchMm),
    ideals: (e, h, part) => [{ ...e, valueMm: h.edges[part][key] }],
    reason: (e, h, part) => ({
      kind: 'edge',
      edge: quantity.startsWith('crest') ? 'crest' : 'root',
      shape,
      readMm: e.valueMm,
      expectedMm: h.edges[part][key],
    }),
    likely: (h, part, _, sigma) => ({
      mean: h.edges[part][key],
      sigma: Math.hypot(Math.max(sigma, usual), SPREAD[shape] * h.pitchMm),
    }),
  };
};

/** Width of the flat at the crest. */
export const crestFlat = edge('crestFlat');
/** Width of the flat at the root. */
export const rootFlat = edge('rootFlat');
/** Radius at the crest. */
export const crestRadius = edge('crestRadius');
/** Radius at the root. */
export const rootRadius = edge('rootRadius');
