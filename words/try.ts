import type { TRY_NAMES } from './conclusions.ts';

/** What it is tried with: a screw with its nut, a nut with its screw. */
export const TRY_WITH = { external: 'Try the nut', internal: 'Try the screw' } as const;

/** What is felt, under each answer. */
export const TRY_FEEL: Readonly<Record<Exclude<keyof typeof TRY_NAMES, 'note'>, string>> = {
  'no-start': 'not half a turn',
  starts: 'a turn or two, no further',
  binds: 'free at first, tighter each turn',
  tight: 'wants a spanner',
  runs: 'by hand, no shake felt',
  shakes: 'play can be felt',
};
