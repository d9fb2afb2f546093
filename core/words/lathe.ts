import type { UnconfirmedFact } from '../lathe/schema.ts';

/** Facts of a lathe, as they are asked for. */
export const LATHE_FACTS: Readonly<Record<UnconfirmedFact, string>> = {
  leadscrew: 'the leadscrew\u2019s pitch',
  crossSlide: 'the cross slide\u2019s dial',
  topSlide: 'the top slide\u2019s dial',
  chuck: 'how the chuck is held',
  tumbler: 'whether there is a tumbler',
};

export const factsText = (facts: readonly UnconfirmedFact[]): string => {
  const names = facts.map((f) => LATHE_FACTS[f]);
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
};
