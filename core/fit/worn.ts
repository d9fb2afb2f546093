import { slopeOf, type Flanks } from '../form/flanks.ts';
import { playOfClearanceMm } from './duty.ts';

/**
 * A mate that is worn by places: what play stays where, over which travel, and what each way out of it costs. A new nut on an
 * uneven screw fits the thickest stretch and no other; everywhere else its play is what it was made with and the wear there.
 * Common practice, no source; the figures are geometry.
 */
export interface WornPlace {
  readonly pitchDiameterMm: number;
  /** Along the mate, mm; null: nobody said where. */
  readonly positionMm: number | null;
}
/** Ways with a mate that is worn unevenly. */
export const WORN_WAYS = ['thickest', 'travel', 'recut'] as const;
/** One of WORN_WAYS. */
export type WornWay = (typeof WORN_WAYS)[number];
/** A stretch along the part, mm from its free end. */
export interface Stretch {
  readonly fromMm: number;
  readonly toMm: number;
}

/** One way with a worn mate, and what comes of it. */
export interface WornChoice {
  readonly way: WornWay;
  /** Pitch diameter of the mate that the new part is made to, mm. */
  readonly mateMm: number;
  /** Axial play over the travel, least and most, mm. */
  readonly leastPlayMm: number;
  readonly mostPlayMm: number;
  /** Places that it cannot pass, mm along the mate; null among them: a place nobody located. */
  readonly bindsAtMm: readonly (number | null)[];
  /** Recut only: how much the mate loses, on its pitch diameter; as a groove cut deeper, radial; widened sideways instead. */
  readonly recut: { readonly onDiameterMm: number; readonly deeperMm: number; readonly sideMm: number } | null;
}

/**
 * Places on the travel; those that nobody located count always.
 * @example onTravel([{ positionMm: 5 }, { positionMm: 50 }], { fromMm: 0, toMm: 10 }) // [{ positionMm: 5 }]
 */
export const onTravel = <T extends Pick<WornPlace, 'positionMm'>>(
  places: readonly T[],
  travel: Stretch | null,
): T[] => {
  const on = places.filter(
    (p) => travel === null || p.positionMm === null || (p.positionMm >= travel.fromMm && p.positionMm <= travel.toMm),
  );
  return on.length > 0 ? on : [...places];
};

/**
 * The mate's pitch diameter that a part is made to, mm. @param mate which member the mate is
 * @returns null where nothing was read
 * @example wornMateMm([{ positionMm: 5, pitchDiameterMm: 10 }, { positionMm: 50, pitchDiameterMm: 9.8 }], 'external', 'thickest', null) // 10
 */
export function wornMateMm(
  places: readonly WornPlace[],
  mate: 'external' | 'internal',
  way: WornWay,
  travel: Stretch | null,
): number | null {
  const over = (way === 'travel' ? onTravel(places, travel) : places).map((p) => p.pitchDiameterMm);
  if (over.length === 0) return null;
  // what goes on least easily decides: of a screw its thickest place; recut, all of it is as thin as its thinnest
  const most = (mate === 'external') !== (way === 'recut');
  return most ? Math.max(...over) : Math.min(...over);
}

/**
 * The choices with a worn mate, each with its figures. @param clearanceMm what the part is given on the pitch diameter, mm
 * @returns none where fewer than two places were read or they are alike
 * @example wornChoices(equalFlanks(60), [{ positionMm: 5, pitchDiameterMm: 10 }, { positionMm: 50, pitchDiameterMm: 9.8 }], 'external', null, 0.1).map((c) => c.mateMm) // [10, 9.8]; to the thickest, or recut to the thinnest
 */
export function wornChoices(
  form: Flanks,
  places: readonly WornPlace[],
  mate: 'external' | 'internal',
  travel: Stretch | null,
  clearanceMm: number,
): WornChoice[] {
  const sizes = places.map((p) => p.pitchDiameterMm);
  if (sizes.length < 2 || Math.max(...sizes) - Math.min(...sizes) < ALIKE_MM) return [];
  const slope = slopeOf(form);
  const out = mate === 'external' ? 1 : -1;
  return WORN_WAYS.flatMap((way) => {
    if (way === 'travel' && travel === null) return [];
    const mateMm = wornMateMm(places, mate, way, travel);
    if (mateMm === null) return [];
    const gap = (p: WornPlace): number => out * (mateMm - p.pitchDiameterMm) + clearanceMm;
    const used = way === 'recut' ? [clearanceMm] : onTravel(places, travel).map(gap);
    const thick = wornMateMm(places, mate, 'thickest', null) ?? mateMm;
    const lossMm = Math.abs(thick - mateMm);
    return [
      {
        way,
        mateMm,
        leastPlayMm: playOfClearanceMm(form, Math.max(0, Math.min(...used))),
        mostPlayMm: playOfClearanceMm(form, Math.max(...used)),
        bindsAtMm: way === 'recut' ? [] : places.filter((p) => gap(p) < 0).map((p) => p.positionMm),
        recut: way === 'recut' ? { onDiameterMm: lossMm, deeperMm: lossMm / 2, sideMm: (lossMm * slope) / 2 } : null,
      },
    ];
  });
}
/** Places nearer to each other than this are one size, mm on the pitch diameter: two readings over wires differ by as much. */
const ALIKE_MM = 0.02;
