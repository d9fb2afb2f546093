/** What a mate did when it was tried. */
export const TRY_NAMES = {
  'no-start': 'does not start',
  starts: 'starts, then stops',
  binds: 'runs, then binds',
  tight: 'goes on, tight',
  runs: 'runs freely',
  shakes: 'shakes',
  note: 'noted',
} as const;

/** What it is measured by. */
export const LAY_NAMES = { wires: 'Over wires', balls: 'Between balls' } as const;

/** A class is proved by its gauges, where they are at hand. */
export const TRY_GAUGES = 'Go and not-go';

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
