import type { SlideAngle } from '../core/cutting/slideAngle.ts';
import type { CountedBy } from '../core/cutting/plan.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import { plain } from '../core/quantity/working.ts';
import { stageName } from './stages.ts';

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

export const INFEED_NAMES = {
  flank: 'Top slide at an angle',
  modified: 'A little of both flanks',
  alternate: 'Flanks in turn',
  plunge: 'Straight in',
} as const;
/** At a control no slide is swung: the feed is an angle that is keyed in. */
export const INFEED_AT_CONTROL: Readonly<Record<keyof typeof INFEED_NAMES, string>> = {
  flank: 'At an angle',
  modified: 'A little of both flanks',
  alternate: 'Flanks in turn',
  plunge: 'Straight in',
};
/** What a way of feeding is good for. */
export function infeedText(infeed: keyof typeof INFEED_NAMES): string {
  switch (infeed) {
    case 'flank':
      return 'The leading edge cuts and the trailing flank is only polished: long chips, little chatter. Finish the last hundredths straight in.';
    case 'modified':
      return 'Two to five degrees less: both flanks really cut, the leading one most. For tough steel, and where the trailing flank tears.';
    case 'alternate':
      return 'The top slide lies along the bed and is moved to and fro, so that each pass cuts one flank only: coarse trapezoidal threads, even wear; its slack matters.';
    case 'plunge':
      return 'Both flanks cut: the force grows with depth. Right for recutting, fine threads and form inserts, and on a taper without its own slide.';
  }
}
/** Unlike flanks: which one the slide follows. */
export const uncutFlankText = (leadingDeg: number, trailingDeg: number): string =>
  `Unlike flanks: the slide follows the trailing one, ${plain(trailingDeg)}\u00b0, which is left uncut; the leading one, ${plain(leadingDeg)}\u00b0, cuts.`;

/** How the depth is shared out: what each pass takes. */
export const RULE_NAMES = {
  'constant-area': 'the same chip',
  'constant-depth': 'the same depth',
  'constant-force': 'the same force',
  step: 'a step',
} as const;
/** Why there are more or fewer passes than were asked for. @param staged rough, semi-finish and finish are planned apart */
export const countedText = (c: CountedBy, staged: boolean, u: UnitSystem): string =>
  `${c.asked} passes asked for, ${c.made} planned: no pass ${c.by === 'most' ? 'over' : 'under'} ${lengthText(c.mm, u, FINE)}${
    staged ? `, ${stageName(true, c.stage)}` : ''
  }.`;
/** What the stages are. */
export const stagesText = (u: UnitSystem): string =>
  `Roughing takes seven tenths of the metal; semi-finishing goes to the last ${lengthText(0.05, u, FINE)} (or what is fed straight in); burrs are filed off between. Common practice, no source.`;
