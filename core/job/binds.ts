import type { Binds } from './events.ts';

/** What is known where a mate bound. */
export interface Bound {
  readonly where: Binds | null;
  /** Turns that it ran before. */
  readonly turns: number | null;
  /** Axial play that it had at the start, mm; null: not known. */
  readonly playMm: number | null;
  readonly pitchMm: number;
  /** Slope of both flanks together, tan a1 + tan a2. */
  readonly slope: number;
  /** Turns of the whole mate; null: its length is not known. */
  readonly mateTurns: number | null;
  /** The screw there against its least worn place, mm on pitch diameter; null: it was not read there. */
  readonly belowThickestMm: number | null;
}

/** Why a mate binds, and what follows from it. */
export type Diagnosis =
  /** The lead: off by so much in every mm; the rest of the mate wants so much more on the pitch diameter. */
  | {
      readonly code: 'lead';
      readonly perMm: number | null;
      /** One standard deviation of it, mm per mm; null: by one bind alone. */
      readonly sdPerMm: number | null;
      readonly wantsMm: number | null;
    }
  /** The screw is as thick as anywhere there, it only wore less: this place decides. */
  | { readonly code: 'unworn-place' }
  /** It measured smaller there than elsewhere and yet binds: raised metal, not size. */
  | { readonly code: 'bruise' }
  | { readonly code: 'place-unread' }
  | { readonly code: 'taper' }
  | { readonly code: 'weight' }
  | { readonly code: 'unsaid' };

/** Places within this of the thickest are as thick, mm. Common practice, no source. */
const AS_THICK_MM = 0.02;

/**
 * Why it binds: a lead that is off binds after the same turns wherever one starts, e = s / (k P); a bigger or bruised place
 * always there; a taper tighter and tighter; weight only while it hangs. Common practice, no source.
 * @example diagnose({ where: 'turns', turns: 4, playMm: 0.04, pitchMm: 2, slope: 1.1547, mateTurns: 10, belowThickestMm: null }) // { code: 'lead', perMm: 0.005, sdPerMm: null, wantsMm: 0.1039 }; 0.04 mm over 8 mm
 */
export function diagnose(b: Bound): Diagnosis {
  switch (b.where) {
    case 'turns': {
      if (b.turns === null || b.turns <= 0 || b.playMm === null || b.playMm <= 0)
        return { code: 'lead', perMm: null, sdPerMm: null, wantsMm: null };
      const perMm = b.playMm / (b.turns * b.pitchMm);
      const more = b.mateTurns === null ? null : Math.max(0, b.mateTurns - b.turns);
      return {
        code: 'lead',
        perMm,
        sdPerMm: null,
        wantsMm: more === null ? null : (2 * more * perMm * b.pitchMm) / b.slope,
      };
    }
    case 'place':
      if (b.belowThickestMm === null) return { code: 'place-unread' };
      return b.belowThickestMm <= AS_THICK_MM ? { code: 'unworn-place' } : { code: 'bruise' };
    case 'tighter':
      return { code: 'taper' };
    case 'weight':
      return { code: 'weight' };
    case null:
      return { code: 'unsaid' };
  }
}
