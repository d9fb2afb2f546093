import type { LatheKind } from '../core/lathe/schema.ts';
import type { UnconfirmedFact } from '../core/lathe/schema.ts';

/** Facts of a lathe, as they are asked for. */
export const LATHE_FACTS: Readonly<Record<UnconfirmedFact, string>> = {
  leadscrew: 'the leadscrew\u2019s pitch',
  crossSlide: 'the cross slide\u2019s dial',
  topSlide: 'the top slide\u2019s dial',
  chuck: 'how the chuck is held',
  tumbler: 'whether there is a tumbler',
};

/** What nobody has said of a lathe, and what to do about it. */
export const latheUnknownText = (lathe: string, facts: readonly UnconfirmedFact[]) => ({
  what: `Nobody has said ${factsText(facts)} of ${lathe}.`,
  check: 'Say it under Lathes: nothing is cut by a placeholder.',
});

const factsText = (facts: readonly UnconfirmedFact[]): string => {
  const names = facts.map((f) => LATHE_FACTS[f]);
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
};

export const LATHE_KIND_NAMES: Readonly<Record<LatheKind, string>> = {
  'change-gears': 'Change gears',
  gearbox: 'Gearbox',
  electronic: 'Electronic leadscrew',
  control: 'A control',
};

/** What a lathe may have besides, and what may be wrong with it. */
export const LATHE_HAS_NAMES = {
  'retracting-post': 'retracting tool post',
  'quick-reverse': 'quick reverse',
  brake: 'brake',
  'variable-speed': 'variable speed',
  steady: 'steady',
  'follow-rest': 'follow rest',
  'taper-attachment': 'taper attachment',
  'dial-slips': 'a dial slips',
  'handle-falls': 'a handle falls by itself',
} as const;
