/** What is known about the state of the metal where a diameter was taken. */
export type Wear = 'worn' | 'unworn' | 'unknown';

/** Which member a reading was taken on, when it is not the part itself: its mate is evidence on the same nominal. */
interface OnMember {
  readonly member?: Part;
  /** Unit that a length was typed in, when it was said. */
  readonly system?: 'mm' | 'in';
}

/** One piece of evidence about a thread, in core units. Lengths mm, angles degrees. */
export type Evidence = OnMember &
  (
    | {
        readonly quantity: 'majorDiameter' | 'minorDiameter' | 'pitchDiameter';
        readonly valueMm: number;
        readonly uncertaintyMm?: number;
        readonly wear?: Wear;
      }
    /** Measurement over three wires of the given diameter. */
    | {
        readonly quantity: 'overWires';
        readonly valueMm: number;
        readonly wireMm: number;
        readonly uncertaintyMm?: number;
        readonly wear?: Wear;
      }
    /** N intervals found in a span. Without an uncertainty the crests were merely counted against a rule. */
    | {
        readonly quantity: 'crestCount';
        readonly crests: number;
        readonly spanMm: number;
        readonly spanUncertaintyMm?: number;
      }
    | {
        readonly quantity: 'pitchLeaf';
        readonly pitchMm: number;
        readonly overMm?: number;
        readonly fit: 'fits' | 'nearly' | 'no';
      }
    /** A template or leaf of a form, held to the whole groove or to one flank: its own angle, and how it seats. */
    | {
        readonly quantity: 'template';
        readonly angleDeg: number;
        readonly fit: 'fits' | 'nearly' | 'no';
        readonly flank?: 'leading' | 'trailing';
      }
    /** Included angle; by all teeth of a picture together it is not misread as one by eye may be. */
    | {
        readonly quantity: 'flankAngle';
        readonly valueDeg: number;
        readonly uncertaintyDeg?: number;
        readonly byAllTeeth?: true;
      }
    /** One flank, from the square to the axis. */
    | {
        readonly quantity: 'leadingFlank' | 'trailingFlank';
        readonly valueDeg: number;
        readonly uncertaintyDeg?: number;
        readonly byAllTeeth?: true;
      }
    | { readonly quantity: 'depth'; readonly valueMm: number; readonly uncertaintyMm?: number; readonly wear?: Wear }
    /** Width of the flat on the crest or at the root; 0 where it is round. */
    | { readonly quantity: 'crestFlat' | 'rootFlat'; readonly valueMm: number; readonly uncertaintyMm?: number }
    /** Radius of the crest or the root; 0 where it is flat with sharp corners. */
    | { readonly quantity: 'crestRadius' | 'rootRadius'; readonly valueMm: number; readonly uncertaintyMm?: number }
    | { readonly quantity: 'lead'; readonly valueMm: number; readonly uncertaintyMm?: number }
    | { readonly quantity: 'taper'; readonly ratio: number; readonly uncertainty?: number }
    | { readonly quantity: 'starts'; readonly count: number }
    | { readonly quantity: 'hand'; readonly hand: 'right' | 'left' }
  );

/** What can be read off a part. */
export type Quantity = Evidence['quantity'];
/** Which member is read: the screw or the nut. */
export type Part = 'external' | 'internal';

/** Default uncertainties (one standard deviation), by the way a thing is usually read. Common practice, no source. */
export const DEFAULT_SIGMA = {
  diameterMm: 0.02,
  depthMm: 0.1,
  angleDeg: 2,
  taper: 0.006,
  leadMm: 0.3,
  /** How surely the jaws of a caliper are set on a crest, mm. */
  crestPlacedMm: 0.04,
  /** A crest count against a rule is never half a crest out; a fifth is the usual error. */
  crests: 0.2,
  leafOverMm: 10,
  /** A flat by eye against a scale; a radius by leaf or glass. */
  flatMm: 0.1,
  radiusMm: 0.05,
} as const;
