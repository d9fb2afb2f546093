import type { Why } from '../core/sizing/decide.ts';
import type { SizeEvent } from '../core/sizing/model.ts';

const WHYS: Readonly<Record<Why, string>> = {
  'far-off': 'Far off still: cut without measuring.',
  'safe-cut': 'The deepest setting that can hardly go past.',
  'spring-closes': 'The same setting again closes on the dial.',
  'prove-it': 'It is likely right: prove it before stopping.',
  'look-first': 'Measure before going deeper.',
  reached: 'It is inside, as surely as can be told.',
  'no-more-to-know': 'Nothing that is at hand would tell more, and nothing more can be cut without risk.',
  past: 'It is past the far limit: no cut can mend it.',
  'no-safe-cut': 'No setting is safe, and nothing is at hand to measure with.',
  'check-lead': 'It ran, then bound: check lead and burrs before going deeper.',
};
/** Why this is next; after a bind, what to look at first. */
export const whyText = (why: Why, last: SizeEvent | null): string =>
  last?.kind === 'mate' && last.result === 'binds' && why !== 'check-lead'
    ? `It ran, then bound: check lead and burrs first. ${WHYS[why]}`
    : WHYS[why];
