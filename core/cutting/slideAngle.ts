/**
 * How a slide's angle stands to the flank that it follows, degrees from the cross-slide line. Beyond the flank the trailing
 * flank is cut in steps; far short of it is usually half of another angle taken for this one. Common practice, no source.
 */
export interface SlideAngle {
  readonly code: 'beyond' | 'short' | 'right';
  /** Beyond it by what the half angles of the usual forms differ: one was taken for another. */
  readonly halfAngleSlip: boolean;
  /** Half a degree inside the flank, which is usual. */
  readonly usualDeg: number;
}
/** A protractor scale is read no nearer, degrees. */
const READ_DEG = 0.01;
/** Half of 60, 55 and 50 lie 2.5 and 5 degrees apart, read to about a degree. */
const FORMS_APART_DEG = 5;
const SLIP_WITHIN_DEG = 1.1;
/** Half to one degree less is usual; more than this is a slip. */
const SHORT_DEG = 2;
const LESS_DEG = 0.5;

export function judgeSlideAngle(angleDeg: number, flankDeg: number): SlideAngle {
  const beyond = angleDeg - flankDeg;
  return {
    code: beyond > READ_DEG ? 'beyond' : -beyond > SHORT_DEG ? 'short' : 'right',
    halfAngleSlip: Math.abs(Math.abs(beyond) - FORMS_APART_DEG) < SLIP_WITHIN_DEG,
    usualDeg: flankDeg - LESS_DEG,
  };
}
