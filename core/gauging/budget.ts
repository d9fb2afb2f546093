import { flatOverWiresMm } from '../form/flatWires.ts';
import { centrePerRadius, includedDeg, slopeOf, type Flanks } from '../form/flanks.ts';
import { sinDeg } from '../quantity/units.ts';
import type { Groove } from './wires.ts';

/** What makes a pitch diameter over wires, or between balls, uncertain. */
export type UnsureOf = 'wire' | 'round' | 'angle' | 'lead' | 'reading' | 'flanks' | 'heat';
/** One line of the budget: what is uncertain by how much, and what that comes to on the pitch diameter, all one standard deviation. */
export interface Unsure {
  readonly of: UnsureOf;
  /** mm, degrees or K. */
  readonly by: number;
  readonly unit: 'mm' | 'deg' | 'K';
  /** On the pitch diameter for one of it, mm per unit. */
  readonly each: number;
  readonly mm: number;
  /** Readings over the same wires on the same thread share it: repeating does not lessen it. */
  readonly shared: boolean;
}

/** What is known of what was measured with. */
export interface Known {
  /** Diameter of wire or ball, mm, one standard deviation. */
  readonly wireMm: number;
  /** How far from round, mm, whole; null: not measured. */
  readonly roundMm: number | null;
  readonly halfAngleDeg: number;
  readonly pitchMm: number;
  readonly readingMm: number;
  /** Normal to a flank: torn or worn metal under the wire. */
  readonly flankMm: number;
  readonly heatK: number;
  /** Expansion of the part, per K. */
  readonly alpha: number;
}

const NUDGE_DEG = 0.01;

/**
 * Uncertainty of a pitch diameter by wires or balls, line by line, mm. The wire that touches at the pitch line takes the
 * angle out of it, as is known; any other pays for it.
 * @see the sensitivities are the derivatives of the formula in ASME B1.2 and NBS Handbook H28
 * @example budgetOf(grooveOf(formAt('iso60', 1.5), 1.5, 1), 9.026, 0.866, { wireMm: 0.001, roundMm: null, halfAngleDeg: 0, pitchMm: 0, readingMm: 0, flankMm: 0, heatK: 0, alpha: 0 })[0].mm // 0.003; an error of the wire counts three times between flanks of 60 degrees
 */
export function budgetOf(g: Groove, pitchDiameterMm: number, wireMm: number, k: Known): readonly Unsure[] {
  const perWire = 1 + centrePerRadius(g);
  // d2 = M - w (1 + c) + P / (tan a1 + tan a2), flat; between balls the same with its signs turned
  const perAngle = (on: keyof Flanks): number => {
    const at = (d: number): number => flatOverWiresMm({ ...g, [on]: g[on] + d }, g.pitchMm, wireMm);
    return (at(NUDGE_DEG) - at(-NUDGE_DEG)) / (2 * NUDGE_DEG);
  };
  const angle = Math.hypot(perAngle('leadingDeg'), perAngle('trailingDeg'));
  const of = (name: UnsureOf, by: number, unit: Unsure['unit'], each: number, shared: boolean): Unsure => ({
    of: name,
    by,
    unit,
    each,
    mm: Math.abs(by * each),
    shared,
  });
  return [
    of('wire', k.wireMm, 'mm', perWire, true),
    // a wire lies some way round in its groove: evenly anywhere within what it is out of round
    of('round', (k.roundMm ?? 0) / Math.sqrt(12), 'mm', perWire, false),
    of('angle', k.halfAngleDeg, 'deg', angle, true),
    of('lead', k.pitchMm, 'mm', 1 / slopeOf(g), true),
    of('reading', k.readingMm, 'mm', 1, false),
    of('flanks', k.flankMm, 'mm', 1 / sinDeg(includedDeg(g) / 2), false),
    of('heat', k.heatK, 'K', k.alpha * pitchDiameterMm, true),
  ];
}

/**
 * Root of the sum of squares, of all lines or of those that readings share or not, mm.
 * @example totalMm([{ mm: 0.003, shared: true }, { mm: 0.004, shared: false }]) // 0.005
 */
export const totalMm = (lines: readonly Unsure[], shared?: boolean): number =>
  Math.hypot(...lines.filter((l) => shared === undefined || l.shared === shared).map((l) => l.mm));
