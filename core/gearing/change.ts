/** A train by its gears, in the order in which they go on. */
export interface Gearing {
  readonly drivers: readonly number[];
  readonly driven: readonly number[];
}

/** Gears to take off or put on, from what is mounted: those that stay in their place need no touching. */
export function gearsToChange(train: Gearing, mounted: Gearing | null): number {
  const wanted = train.drivers.length + train.driven.length;
  if (!mounted) return wanted;
  const same = (now: readonly number[], then: readonly number[]): number => now.filter((t, i) => then[i] === t).length;
  return wanted - same(train.drivers, mounted.drivers) - same(train.driven, mounted.driven);
}
