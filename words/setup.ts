import type { SlideAngle } from '../core/cutting/slideAngle.ts';
import { plain } from '../core/quantity/working.ts';

/** Which slip of the trade it looks like. */
function slipText(s: SlideAngle, flankDeg: number): string {
  switch (s.slip) {
    case null:
      return '';
    case 'half-of-another':
      return ' It is half of another form\u2019s angle.';
    case 'whole-for-half':
      return ` It is the whole angle; the slide takes half of it, ${plain(flankDeg)}\u00b0.`;
    case 'complement':
      return ` It is read from the bed; from the cross-slide line that is ${plain(90 - flankDeg)}\u00b0 less than a right angle, ${plain(flankDeg)}\u00b0.`;
  }
}

/** What is to be said of a slide that does not stand right to its flank. */
export function slideAngleText(s: SlideAngle, angleDeg: number, flankDeg: number): string {
  switch (s.code) {
    case 'right':
      return '';
    case 'beyond':
      return `${plain(angleDeg)}\u00b0 is more than the flank of ${plain(flankDeg)}\u00b0: the trailing flank would be cut in steps.${slipText(
        s,
        flankDeg,
      )} Set ${plain(s.usualDeg)}\u00b0.`;
    case 'short':
      return `${plain(angleDeg)}\u00b0 is ${plain(flankDeg - angleDeg)}\u00b0 less than the flank angle of ${plain(flankDeg)}\u00b0. Half of ${plain(2 * flankDeg)} is ${plain(flankDeg)}.${slipText(s, flankDeg)}`;
  }
}
