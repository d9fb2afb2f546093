import { leadPerRadianMm } from '../form/helix.ts';
import { degrees, tanDeg } from '../quantity/units.ts';
import { robustLine, scatterOf } from './line.ts';
import type { Edge } from './teeth.ts';

/** A flank as the picture shows it and as it is in the section through the axis. */
export interface FlankRead {
  readonly apparentDeg: number;
  readonly axialDeg: number | null;
  readonly uncertaintyDeg: number;
}
/**
 * One flank of the ridges, as the picture shows it, on both edges together.
 * @example flankOf([drawnEdge(-1), drawnEdge(1)], 0, 'left').apparentDeg // 45
 */
export function flankOf(
  edges: readonly Edge[],
  axisDeg: number,
  which: 'left' | 'right',
): Omit<FlankRead, 'axialDeg'> | null {
  const slopes: number[] = [];
  const each: number[] = [];
  for (const e of edges) {
    const f = e.fold;
    const [from, to] = [f.root + 0.3 * (f.crest - f.root), f.root + 0.7 * (f.crest - f.root)];
    const us: number[] = [];
    const hs: number[] = [];
    const byTooth = new Map<number, [number[], number[]]>();
    const shift = new Map(f.teeth.map((t) => [t.k, which === 'left' ? t.left : t.right]));
    for (let i = 0; i < f.u.length; i += 1) {
      const [u, h] = [f.u[i] ?? 0, f.h[i] ?? 0];
      if (u < 0 !== (which === 'left') || h < from || h > to) continue;
      const k = f.tooth[i] ?? 0;
      const d = shift.get(k) ?? 0;
      us.push(u - (Number.isNaN(d) ? 0 : d));
      hs.push(h);
      const t = byTooth.get(k) ?? [[], []];
      t[0].push(u);
      t[1].push(h);
      byTooth.set(k, t);
    }
    if (us.length < 12) return null;
    const turn = (which === 'left' ? 1 : -1) * e.side * (e.laid.deg - axisDeg) * -1;
    const sign = which === 'left' ? 1 : -1;
    slopes.push(degrees(Math.atan(sign * slopeOver(us, hs))) + turn);
    for (const [u, h] of byTooth.values()) if (u.length >= 5) each.push(degrees(Math.atan(sign * slopeOver(u, h))));
  }
  const apparentDeg = slopes.reduce((s, x) => s + x, 0) / slopes.length;
  const scatter = each.length > 2 ? scatterOf(each) / Math.sqrt(each.length) : 0.5;
  const apart = slopes.length === 2 ? Math.abs((slopes[0] ?? 0) - (slopes[1] ?? 0)) / 2 : 0;
  return { apparentDeg, uncertaintyDeg: Math.hypot(scatter, apart / Math.SQRT2, FLANK_FLOOR_DEG) };
}
/** What a lens and a pixel leave of a flank on the best picture, degrees; common practice, no source. */
const FLANK_FLOOR_DEG = 0.08;
/** How far the flank goes along for its height: robust, along over height, for flanks are steep. */
const slopeOver = (us: readonly number[], hs: readonly number[]): number => robustLine(hs, us, 0.02).b;

/** Above the middle of the flank, of its depth, where it must not be hidden yet. */
const OUTER = 0.05;

/**
 * Angle of the axial section from the apparent one: a silhouette point at height y with slope T = dz/dy lies turned about the axis
 * by psi = atan(c / (T y)), c = lead / 2 pi, at radius y / cos psi; there tan a = T cos psi. Where that radius would lie beyond
 * the crest, the crest's edge throws the shadow and the flank cannot be told. @returns degrees; null: hidden, or no radius known
 * @example axialOf(30, { pitchPx: 60, starts: 1, radiusPx: 240, depthPx: 36, leadAngleDeg: null }) // 29.93; a shadow is a little wider than the section
 */
export function axialOf(
  apparentDeg: number,
  p: {
    readonly pitchPx: number;
    readonly starts: number;
    readonly radiusPx: number | null;
    readonly depthPx: number;
    readonly leadAngleDeg: number | null;
  },
): number | null {
  const slope = tanDeg(apparentDeg);
  if (!(slope > 0.02)) return null;
  const c = leadPerRadianMm(p.pitchPx * p.starts);
  // the lead angle at the pitch diameter says what c / y is, where no radius is known
  const over =
    p.leadAngleDeg !== null ? tanDeg(p.leadAngleDeg) : p.radiusPx === null ? null : c / (p.radiusPx - p.depthPx / 2);
  if (over === null) return null;
  const psi = Math.atan(over / slope);
  const y = c / over;
  const crest = p.radiusPx ?? y + p.depthPx / 2;
  // somewhat above the middle: there most of the flank that is looked at still throws its own shadow
  if ((y + OUTER * p.depthPx) / Math.cos(psi) > crest) return null;
  return degrees(Math.atan(slope * Math.cos(psi)));
}
