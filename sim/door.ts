import type { Dial } from './lathe.ts';

/** Gelvin as the machinist meets it: edits go in, answers come out. Nothing else of it is known here. */
export interface Door {
  edit(edits: readonly Record<string, unknown>[]): { readonly ok: boolean; readonly problem?: string };
  job(): Answers;
}
export interface SettingSaid {
  readonly slide: 'cross' | 'top' | 'control';
  readonly turns: number;
  readonly value: number;
  readonly unit: 'mm' | 'in';
  readonly reads: 'radius' | 'diameter';
  readonly wound: 'in' | 'back';
}
/** The part of the answers that is read out at the lathe. */
export interface Answers {
  readonly card: {
    readonly do: string;
    readonly what: string | null;
    readonly settings: readonly SettingSaid[];
    readonly depthMm: number | null;
    readonly outMm: number | null;
    readonly outTurns: number | null;
    readonly pass: { readonly spring: boolean; readonly n: number; readonly of: number } | null;
    readonly chipMm2: number | null;
    readonly after: number;
    readonly closeOn: readonly number[] | null;
    readonly cautions: readonly string[];
    readonly stopped: { readonly code: string } | null;
    /** Where the levers are to stand, as they are named on the lathe; null: it has none. */
    readonly gears: { readonly levers: string | null } | null;
    /** What is counted before any depth, and what it should span. */
    readonly pitch: { readonly by: string; readonly count: number; readonly spanMm: number } | null;
  };
  readonly fit: {
    readonly startDiameterMm: number;
    readonly pitchDiameterMm: number;
    readonly limits: { readonly pitch: { readonly min: number | null; readonly max: number | null } } | null;
  } | null;
  readonly pickup: {
    readonly problem: string | null;
    readonly move:
      | { readonly way: 'parallel'; readonly axialMm: number; readonly comeBack: boolean }
      | { readonly way: 'angled'; readonly slideMm: number; readonly crossOutMm: number; readonly comeBack: boolean }
      | { readonly way: 'turn'; readonly deg: number; readonly direction: 'forward' | 'back' }
      | {
          readonly way: 'slip';
          readonly gear: number;
          readonly teeth: number;
          readonly direction: 'forward' | 'back';
          readonly leftMm: number;
        }
      | { readonly way: 'start'; readonly outMm: number }
      /** At a control; this machinist has none. */
      | { readonly way: 'z' }
      | null;
  };
  readonly prove: {
    readonly next: {
      readonly code: string;
      readonly byMm: number;
      /** Where nothing more is told: what else may be done. */
      readonly or?: readonly { readonly do: string; readonly byMm?: number; readonly risk?: number }[];
    } | null;
  };
  /** What may be aimed at on this part after the one before. */
  readonly before: { readonly aims: readonly { readonly deeperMm: number }[] } | null;
}

/** The job as it really stands, of which Gelvin hears only what is measured and entered. */
export interface Truth {
  readonly member: 'external' | 'internal';
  readonly leftHand: boolean;
  readonly pitchMm: number;
  readonly starts: number;
  /** By what they face: the free end, and the head. */
  readonly freeEndDeg: number;
  readonly headEndDeg: number;
  readonly flatMm: number;
  readonly targetPitchDiameterMm: number;
  /** How far the work runs out, radial. */
  readonly eccentricMm: number;
  readonly wanted: 'copy' | 'extend' | 'recut';
  /** Depth of the groove that is there already. */
  readonly oldDepthMm: number;
  readonly cross: Dial;
  readonly top: Dial;
  readonly crossSlackMm: number;
  readonly topSlackMm: number;
  readonly slideDeg: number;
  readonly control: boolean;
  /** Carriage travel for one turn of the gear that is slipped, and its teeth. */
  readonly slip: { readonly travelMm: number; readonly teeth: number } | null;
  /** How much of what stands before the tool a pass takes. */
  readonly share: number;
  readonly capMm: number;
  /** In a bore: from the tip to the back of the bar. */
  readonly barMm: number | null;
  readonly wire: number | null;
  /** Limit gauges at hand, by the pitch diameters that they stand for, mm; null: none. */
  readonly gauges: { readonly goMm: number; readonly notGoMm: number } | null;
  /** Pitch diameter of the mate that it is tried with, mm: told to nobody. */
  readonly mateMm: number;
  /** The worn screw that a nut is made for: its thickest pitch diameter and its largest root. Null: a nut or screw of its own. */
  readonly screw: { readonly thickestMm: number; readonly rootMm: number } | null;
  /** Parts to make in all, a test piece among them; each from a blank of its own. */
  readonly blanksMm: readonly number[];
  /** Levers of the gearbox: how they stand, and what share of the wanted lead each setting cuts. Null: there are none. */
  readonly levers: { readonly stand: string; readonly cuts: Readonly<Record<string, number>> } | null;
  /** What the first putting up goes wrong by, as a share of the wanted lead; 1: nothing. */
  readonly slipCuts: number;
  /** The first blank is read wrongly by so much, and put right after some passes, mm on diameter. */
  readonly misreadMm: number;
  /** Gears and half-nuts: leadscrew pitch, the chasing dial's gear and marks, and whether the chuck screws on. Null: none of it. */
  readonly halfNuts: {
    readonly leadscrewMm: number;
    readonly dialTeeth: number;
    readonly marks: number;
    readonly screwedChuck: boolean;
  } | null;
}

export interface Outcome {
  readonly scrapped: string | null;
  /** Pitch diameter as cut, less the one wanted, + too much metal left; mm. */
  readonly leftMm: number;
  readonly steps: number;
}
