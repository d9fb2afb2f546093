/** How firmly the chuck holds: a scroll chuck with a firm key, or shimmed, soft, worn or thin-walled work. */
export type Grip = 'firm' | 'light';

/** Closing force of the jaws, kN, by friction between jaw and work. Common practice and from memory, no source. */
const GRIP_KN = { firm: [15, 25], light: [3, 8] } as const;
const FRICTION = { firm: [0.15, 0.2], light: [0.12, 0.2] } as const;
/** The chuck has to hold twice what the pass asks. Common practice, no source. */
const SAFETY = 2;

/** What the chuck gives against what the hardest pass asks. */
export interface GripView {
  /** Friction that the chuck gives, N, the least and the most that is likely. */
  readonly givesN: { readonly least: number; readonly most: number };
  readonly needsN: number;
  readonly holds: 'holds' | 'may-slip' | 'slips';
}

/**
 * Whether the chuck holds the work round and along at once: S sqrt((Fc d/D)^2 + Fa^2) against mu G. Once it slips round,
 * friction no longer holds it along, and the lead is lost.
 * @param cutMm diameter that is cut @param heldMm diameter in the jaws
 * @see friction in two directions at once; its figures common practice and from memory
 * @example gripOf('firm', 800, 200, 20, 40).holds // 'holds'
 */
export function gripOf(grip: Grip, mainN: number, axialN: number, cutMm: number, heldMm: number): GripView {
  const [weak, strong] = GRIP_KN[grip];
  const [slippery, rough] = FRICTION[grip];
  const givesN = { least: 1000 * weak * slippery, most: 1000 * strong * rough };
  const needsN = SAFETY * Math.hypot((mainN * cutMm) / heldMm, axialN);
  return { givesN, needsN, holds: needsN <= givesN.least ? 'holds' : needsN <= givesN.most ? 'may-slip' : 'slips' };
}
