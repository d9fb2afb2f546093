/** What one reading says of a candidate: what was read beside what the candidate would have; mm, degrees, counts. */
export type Reason =
  /** Crest of a screw: over the nominal, worn below it, or under it within what is usual. */
  | {
      readonly kind: 'crest';
      readonly says: 'over' | 'worn' | 'under';
      readonly readMm: number;
      readonly expectedMm: number;
      readonly byMm: number;
      /** More was lost than wear takes. */
      readonly beyondWear: boolean;
    }
  | {
      readonly kind: 'size';
      readonly of: 'rootOfNut' | 'bore' | 'pitchDiameter' | 'minorDiameter' | 'overWires' | 'depth';
      readonly readMm: number;
      readonly expectedMm: number;
    }
  /** A flat or a radius at crest or root; expected 0: the form has the other. */
  | {
      readonly kind: 'edge';
      readonly edge: 'crest' | 'root';
      readonly shape: 'flat' | 'radius';
      readonly readMm: number;
      readonly expectedMm: number;
    }
  /** Over wires, and no wire of any size rests between these flanks. */
  | { readonly kind: 'no-rest'; readonly wireMm: number }
  | { readonly kind: 'count'; readonly crests: number; readonly spanMm: number; readonly expected: number }
  | { readonly kind: 'leaf'; readonly pitchMm: number; readonly fit: 'fits' | 'nearly' | 'no'; readonly outMm: number }
  /** A template of a form or of one flank. */
  | {
      readonly kind: 'template';
      readonly angleDeg: number;
      readonly flank: 'leading' | 'trailing' | null;
      readonly fit: 'fits' | 'nearly' | 'no';
      readonly expectedDeg: number;
    }
  | { readonly kind: 'angle'; readonly readDeg: number; readonly expectedDeg: number }
  | { readonly kind: 'flank'; readonly readDeg: number; readonly leadingDeg: number; readonly trailingDeg: number }
  | { readonly kind: 'lead'; readonly readMm: number; readonly starts: number; readonly expectedMm: number }
  | { readonly kind: 'taper'; readonly read: number; readonly expected: number }
  | { readonly kind: 'starts'; readonly count: number };
