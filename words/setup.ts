import type { SlideAngle } from '../core/cutting/slideAngle.ts';
import { plain } from '../core/quantity/working.ts';

/** What is to be said of a slide that does not stand right to its flank. */
export function slideAngleText(s: SlideAngle, angleDeg: number, flankDeg: number): string {
  switch (s.code) {
    case 'right':
      return '';
    case 'beyond':
      return `${plain(angleDeg)}\u00b0 is more than the flank of ${plain(flankDeg)}\u00b0: the trailing flank would be cut in steps.${
        s.halfAngleSlip ? ' Was a half angle taken wrongly?' : ''
      } Set ${plain(s.usualDeg)}\u00b0.`;
    case 'short':
      return `${plain(angleDeg)}\u00b0 is ${plain(flankDeg - angleDeg)}\u00b0 less than the flank angle of ${plain(flankDeg)}\u00b0. Half of ${plain(2 * flankDeg)} is ${plain(flankDeg)}.`;
  }
}
