/** The slip of the trade behind an angle: half of another form's angle, the whole angle for the half, or the scale's other side. */
type SlideSlip = 'half-of-another' | 'whole-for-half' | 'complement';

/**
 * How a slide's angle stands to the flank that it follows, degrees from the cross-slide line. Beyond the flank the trailing
 * flank is cut in steps; far short of it is usually half of another angle taken for this one. Common practice, no source.
 */
export interface SlideAngle {
  readonly code: 'beyond' | 'short' | 'right';
  /** What was likely meant instead; null: nothing that is known. */
  readonly slip: SlideSlip | null;
  /** Half a degree inside the flank, which is usual. */
  readonly usualDeg: number;
}
/** A protractor scale is read no nearer, degrees. */
const READ_DEG = 0.01;
/** Half of the included angles of the usual forms, and of 45, which 55 is taken for. */
const HALVES = [14.5, 15, 20, 22.5, 23.75, 25, 27.5, 30];
/** Half to one degree less is usual; more than this is a slip. */
const SHORT_DEG = 2;
const LESS_DEG = 0.5;
/** An angle that lies so near to what a slip would give is that slip. */
const SLIP_WITHIN_DEG = 1.1;

/**
 * Whether the slide may stand so against the flank that it follows, and by which slip of the scale if not; degrees.
 * @example judgeSlideAngle(30.5, 30).code // 'beyond'
 */
export function judgeSlideAngle(angleDeg: number, flankDeg: number): SlideAngle {
  const beyond = angleDeg - flankDeg;
  const code = beyond > READ_DEG ? 'beyond' : -beyond > SHORT_DEG ? 'short' : 'right';
  return { code, slip: code === 'right' ? null : slipOf(angleDeg, flankDeg), usualDeg: flankDeg - LESS_DEG };
}

/** What lies at an angle: the half angle of another form at or half to one degree under it, twice the half, or 90 less it. */
function slipOf(angleDeg: number, flankDeg: number): SlideSlip | null {
  const near = (right: number, within = SLIP_WITHIN_DEG): boolean =>
    angleDeg <= right + READ_DEG && right - angleDeg <= within;
  if (near(2 * flankDeg, 2 * SLIP_WITHIN_DEG)) return 'whole-for-half';
  if (angleDeg >= 45 && near(90 - flankDeg + SLIP_WITHIN_DEG, 2 * SLIP_WITHIN_DEG)) return 'complement';
  return HALVES.some((half) => half !== flankDeg && near(half)) ? 'half-of-another' : null;
}

/**
 * How an angle from the cross-slide line is set where the slide has no scale: by protractor, or blocks under a sine bar. @see trigonometry
 * @example withoutScale(29.5).fromFaceDeg // 29.5
 */
export const withoutScale = (
  deg: number,
): { readonly fromFaceDeg: number; readonly fromBedDeg: number; readonly bar100: number; readonly bar127: number } => {
  const rise = Math.sin((deg * Math.PI) / 180);
  return { fromFaceDeg: deg, fromBedDeg: 90 - deg, bar100: 100 * rise, bar127: 127 * rise };
};
