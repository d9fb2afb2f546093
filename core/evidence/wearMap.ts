import { median } from '../numeric/sorted.ts';

/** One diameter taken at a place along the part. */
export interface Spot {
  readonly positionMm: number;
  readonly diameterMm: number;
}

/** Wear along a part, from what was read at several places. */
export interface WearProfile {
  /** Spots in order along the part. */
  readonly spots: readonly Spot[];
  /** Stretch that has lost least, mm along the part. */
  readonly unworn: { readonly fromMm: number; readonly toMm: number };
  /** Diameter of the unworn stretch: the median of its spots, mm. */
  readonly referenceMm: number;
  /** Stretch over which more than the threshold is gone: the travel really used. Null when none is. */
  readonly used: { readonly fromMm: number; readonly toMm: number } | null;
  readonly worstMm: number;
}

/** Below this a difference is reading scatter, mm: three times a good caliper. */
const WEAR_SEEN_MM = 0.05;

/**
 * Wear along a part. The unworn reference is proposed where a run of neighbouring spots stays within the reading scatter of
 * the largest (external) or smallest (internal) diameter; a stretch given by the person is taken instead.
 * @example wearProfile([{ positionMm: 10, diameterMm: 24 }, { positionMm: 50, diameterMm: 23.6 }, { positionMm: 90, diameterMm: 24 }], 'external', null).worstMm // 0.4
 */
export function wearProfile(
  given: readonly Spot[],
  part: 'external' | 'internal',
  chosen: { readonly fromMm: number; readonly toMm: number } | null,
): WearProfile | null {
  const spots = [...given].sort((a, b) => a.positionMm - b.positionMm);
  if (spots.length < 2) return null;
  const sign = part === 'external' ? 1 : -1;
  const best = Math.max(...spots.map((s) => sign * s.diameterMm));
  const unworn = chosen ?? proposed(spots, (s) => best - sign * s.diameterMm <= WEAR_SEEN_MM);
  const within = spots.filter((s) => s.positionMm >= unworn.fromMm && s.positionMm <= unworn.toMm);
  const referenceMm = within.length > 0 ? median(within.map((s) => s.diameterMm)) : sign * best;
  const lost = spots.map((s) => ({ at: s.positionMm, mm: sign * (referenceMm - s.diameterMm) }));
  const worn = lost.filter((l) => l.mm > WEAR_SEEN_MM);
  return {
    spots,
    unworn,
    referenceMm,
    used:
      worn.length === 0
        ? null
        : { fromMm: Math.min(...worn.map((l) => l.at)), toMm: Math.max(...worn.map((l) => l.at)) },
    worstMm: Math.max(0, ...lost.map((l) => l.mm)),
  };
}

/** The longest run of neighbouring spots that all qualify. */
function proposed(spots: readonly Spot[], ok: (s: Spot) => boolean): { fromMm: number; toMm: number } {
  let bestRun: readonly Spot[] = [];
  let run: Spot[] = [];
  for (const s of spots) {
    run = ok(s) ? [...run, s] : [];
    if (run.length > bestRun.length) bestRun = run;
  }
  return { fromMm: bestRun[0]?.positionMm ?? 0, toMm: bestRun.at(-1)?.positionMm ?? 0 };
}
