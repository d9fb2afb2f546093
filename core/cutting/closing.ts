import { bracketedRoot } from '../numeric/root.ts';

/** The cut is found to this, mm: far under what a dial shows. */
const WITHIN_MM = 1e-6;

/** Force square to the axis that it takes to cut from one depth to another, N. */
export type RadialForce = (fromMm: number, toMm: number) => number;

/**
 * Depth that a pass really leaves where work or bar gives way: the tool set to s, the metal at d, it cuts c with
 * c + F(c)/k = s - d. Under what the edge can take at all it only rubs and cuts nothing.
 * @param complianceMmPerN how far it gives way at this place for 1 N; 0: not at all
 * @see equilibrium of cut and spring; the law of force by core/cutting/load
 * @example leftByPass(0, 0.1, 0.0002, () => 100) // 0.08; 100 N push it off by 0.02
 */
export function leftByPass(metalMm: number, setMm: number, complianceMmPerN: number, force: RadialForce): number {
  const wanted = setMm - metalMm;
  if (!(wanted > 0)) return metalMm;
  if (complianceMmPerN === 0) return setMm;
  const over = (cut: number): number => cut + force(metalMm, metalMm + cut) * complianceMmPerN - wanted;
  return metalMm + (bracketedRoot(over, 0, wanted, WITHIN_MM)?.x ?? 0);
}

/**
 * Depth after each pass of a schedule, set as the dials say, where the work gives way.
 * @example depthsLeft([0.1, 0.2], 0, () => 100) // [0.1, 0.2]; nothing gives way
 */
export function depthsLeft(
  setMm: readonly number[],
  complianceMmPerN: number,
  force: RadialForce,
  fromMm = 0,
): readonly number[] {
  let metal = fromMm;
  return setMm.map((set) => (metal = leftByPass(metal, set, complianceMmPerN, force)));
}

/** More repeats than this are not worth it: something stiffer is. */
const MOST_REPEATS = 12;

/**
 * Passes at one setting until no more than so much is left; null: more than anybody repeats.
 * @example repeatsUntil(0, 0.1, 0.03, 0.0002, (from, to) => 5000 * (to - from)) // 2; each takes half of what is left
 */
export function repeatsUntil(
  fromMm: number,
  setMm: number,
  leaveMm: number,
  complianceMmPerN: number,
  force: RadialForce,
): number | null {
  let metal = fromMm;
  for (let n = 0; n <= MOST_REPEATS; n += 1) {
    if (setMm - metal <= leaveMm) return n;
    metal = leftByPass(metal, setMm, complianceMmPerN, force);
  }
  return null;
}
