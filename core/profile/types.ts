import type { EndsRead } from './ends.ts';
import type { FormLaid } from './forms.ts';
import type { HiddenFlank } from './hidden.ts';
import type { FlankRead } from './section.ts';
import type { Points } from './shadow.ts';
import type { WarpSeen } from './warp.ts';
import type { WearSeen } from './wearSeen.ts';

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
  | 'bowed'
  | 'bent'
  | 'not-square'
  | 'lead-grows'
  | 'warped';

/** How the light went when a picture was taken: square to the axis, or along the groove, as on a projector. */
export const PROFILE_VIEWS = ['side', 'groove'] as const;
/** One of PROFILE_VIEWS. */
export type ProfileView = (typeof PROFILE_VIEWS)[number];

/** What is said of the picture of a thread. */
export interface ProfileAskedFor {
  readonly pxPerMm: number | null;
  /** Diameter of a plain round pin in view apart from the part, end on, mm. */
  readonly pinMm: number | null;
  readonly knownMajorMm: number | null;
  readonly starts: number | null;
  /** At the pitch diameter, degrees. */
  readonly leadAngleDeg: number | null;
  /** How the light went: square to the axis, or along the groove, the part turned to its lead angle as on a projector. Missing: not said. */
  readonly view?: ProfileView;
  /** What the person showed, where the picture did not say it by itself. */
  readonly shown?: Shown;
}
/** What a person points at in a picture, px of the full one; each may be left out. */
export interface Shown {
  /** Two places on the axis. */
  readonly axis?: readonly [number, number, number, number];
  /** The stretch along it that is to be read. */
  readonly stretch?: readonly [number, number];
  /** One tooth's pitch. */
  readonly pitchPx?: number;
  /** The one edge that is the thread. */
  readonly edge?: 'upper' | 'lower';
}
/** One edge as it is drawn over its picture. */
export interface EdgeSeen {
  readonly side: 1 | -1;
  /** Where the edge crosses, px of the picture, thinned. */
  readonly x: Float32Array;
  readonly y: Float32Array;
  /** Middle of each ridge on its crest; how far its flanks lie off the common pitch, px; whether it was used. */
  readonly teeth: readonly {
    readonly k: number;
    readonly x: number;
    readonly y: number;
    /** Along the axis, px. */
    readonly along: number;
    readonly left: number;
    readonly right: number;
    readonly used: boolean;
  }[];
}
/** All of it that a drawing wants. */
export interface Seen {
  readonly edges: readonly EdgeSeen[];
  /** Two places of the axis at the ends of what was read. */
  readonly axis: readonly [number, number, number, number];
  /** Where along the axis edges are seen, px. */
  readonly alongPx: readonly [number, number];
  /** All teeth used on one ridge: from its middle, and height over the axis (over nothing, where no radius is known), px. */
  readonly folded: Points;
  /** Radius of the crest that heights are reckoned with. */
  readonly outerPx: number;
  readonly leadPx: number;
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
  /** What gave the scale. */
  readonly scaleBy: 'resolution' | 'pin' | 'major' | null;
  /** Crest and root of the axial section; null: the radius is not known. */
  readonly ends: EndsRead | null;
  /** Flanks that the crest hides: what they may be. */
  readonly hidden: { readonly left: HiddenFlank | null; readonly right: HiddenFlank | null };
  /** Published forms laid over the teeth, the closest first. */
  readonly forms: readonly FormLaid[];
  readonly warp: WarpSeen | null;
  /** Teeth used, of both edges. */
  readonly teeth: number;
  /** Brightest of the ground against its darkest over the picture; 1: even. */
  readonly unevenness: number;
  /** Bright part on a dark ground. */
  readonly scan: boolean;
  readonly seen: Seen | null;
}
