import type { Evidence, Part, Quantity, Wear } from '../evidence/evidence.ts';
import type { Expectation } from '../reading/expectation.ts';
import type { Outcome } from '../quantity/outcome.ts';
import type { UnitSystem } from '../quantity/units.ts';
import type { Reason } from './reason.ts';
import type { Known, Slip } from './slips.ts';

/** The evidence that readings of a kind give. */
export type EvidenceOf<Q extends Quantity> = Holding<Evidence, Q>;
type Holding<E, Q> = E extends { readonly quantity: infer X }
  ? Q extends X
    ? E & { readonly quantity: Q }
    : never
  : never;
type Fit = 'fits' | 'nearly' | 'no';
/** Which flank is meant. */
export type Flank = 'leading' | 'trailing';

/** What a typed reading means, before identity, time and instrument are added. */
export interface Entry {
  /** mm, degrees, ratio or count, by quantity. */
  readonly value: number;
  readonly span: { readonly text: string; readonly mm: number } | null;
  readonly leaf: Fit | null;
  /** Of a template: which flank it was held to; without one, the whole form. */
  readonly flank?: Flank;
}

/** A reading as it is typed, field by field. */
export interface EntryText {
  readonly quantity: Quantity;
  readonly text: string;
  /** Span of a crest count, length of a leaf, or the wire, as typed; empty: the usual one. */
  readonly spanText: string;
  readonly leaf: Fit;
  readonly flank?: Flank | null;
}

/** A reading as a job keeps it, as far as naming asks. */
export interface Taken {
  readonly value: number;
  readonly span: { readonly mm: number } | null;
  readonly leaf: Fit | null;
  readonly flank?: Flank | undefined;
  /** One standard deviation of the instrument in the value's unit; null when not said. */
  readonly uncertainty: number | null;
  readonly wear: Wear;
  /** It comes from a picture, of all teeth together. */
  readonly picture?: string | undefined;
}

/** A reading yet to be taken, as it is likely to come out: mean and one standard deviation in its own unit. */
interface Likely {
  readonly mean: number;
  readonly sigma: number;
}

/**
 * All that is known of one kind of reading. `part` is the member it was taken on, `starts` the starts of the candidate.
 * A new kind is a file that fills this in, a name in words/readings and a place on the drawing.
 */
export interface ReadingKind<Q extends Quantity> {
  /** The kind of instrument that reads it; null: the eye. */
  readonly measures: 'length' | 'pitch' | 'angle' | 'taper' | null;
  /** Wear tells on it, so that place and state matter, and several of them share what was made of the metal. */
  readonly worn: boolean;
  /** It says something else of two starts than of one. */
  readonly onStarts: boolean;
  /** Reads what was typed, with errors in the fields `value` and `span`. */
  readonly parse: (typed: EntryText, system: UnitSystem) => Outcome<Entry>;
  /** How what was typed can be wrong, against the other readings; null: it is credible, or nothing is known to judge by. */
  readonly slip?: (value: number, known: Known, spanMm: number | null, text: string) => Slip | null;
  /** Null: it lacks what it was taken with, and says nothing. */
  readonly evidence: (r: Taken) => EvidenceOf<Q> | null;
  /** What the form has there, in the reading's unit; a count's is its pitch, mm. Null: it hangs on more than the thread. */
  readonly nominal: (h: Expectation, part: Part, starts: number) => number | null;
  /** Likelihood under one expectation: a density in the reading's own unit, so that ratios are what matters. */
  readonly density: (e: EvidenceOf<Q>, h: Expectation, part: Part, starts: number) => number;
  /** The same when the thread could be anything: what a reading of its kind would be over all parts. */
  readonly free: (e: EvidenceOf<Q>, pitchMm: number) => number;
  /** This reading as it would have come out had the candidate had its way: some, of which the likeliest counts. */
  readonly ideals: (e: EvidenceOf<Q>, h: Expectation, part: Part, starts: number) => readonly EvidenceOf<Q>[];
  /** What it says of a candidate, read beside expected; null: nothing of its own. */
  readonly reason: (e: EvidenceOf<Q>, h: Expectation, part: Part, starts: number) => Reason | null;
  /** How it would come out on a new part, read to `sigma`; left out where the choice of the next reading asks otherwise. */
  readonly likely?: (h: Expectation, part: Part, starts: number, sigma: number) => Likely;
}

/**
 * An entry that is only a value.
 * @example plain(3) // { value: 3, span: null, leaf: null }
 */
export const plain = (value: number): Entry => ({ value, span: null, leaf: null });
/**
 * The instrument's spread under its name in the evidence, when one was said.
 * @example uncertainty('sigmaMm', { uncertainty: 0.02 }) // { sigmaMm: 0.02 }
 */
export const uncertainty = <K extends string>(key: K, r: Taken): { [k in K]?: number } =>
  (r.uncertainty === null ? {} : { [key]: r.uncertainty }) as { [k in K]?: number };
