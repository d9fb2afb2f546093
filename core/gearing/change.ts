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

/** The same gears on the same side and the same levers: the order of the pairs does not change what is cut. */
export const sameGears = (
  a: Gearing & { readonly gearbox: string },
  b: Gearing & { readonly gearbox: string },
): boolean =>
  a.gearbox === b.gearbox &&
  String(a.drivers.toSorted()) === String(b.drivers.toSorted()) &&
  String(a.driven.toSorted()) === String(b.driven.toSorted());
