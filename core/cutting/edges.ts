import { cosDeg, sinDeg } from '../quantity/units.ts';
import { tangencyMm, type ToolOutline } from './tip.ts';

/** A piece of the tool's edge in a pass. */
export interface Edge {
  readonly on: 'tip' | 'leading' | 'trailing';
  readonly lengthMm: number;
  /** Chip on it, square to the edge; not above zero: it cuts nothing. */
  readonly chipMm: number;
  /** Its tangent from the radial: the flank's own angle, 90 along the axis. */
  readonly tangentDeg: number;
}
/** How the tool goes into the metal: at an angle from the radial towards the leading flank, or along one flank so that only the other cuts. */
export type Way = { readonly feedDeg: number } | { readonly only: 'leading' | 'trailing' };

/** A round nose is taken as so many straight pieces on each side. */
const NOSE_PIECES = 6;

/**
 * The edge that cuts in a pass, piece by piece. A piece whose tangent stands at an angle from the radial takes a chip of
 * s sin(angle +- b), with s = ap / cos b the way along the feed and b the feed's angle; its length is taken at the middle of
 * the pass, with which the areas are exact. @param depthMm after the pass @param infeedMm radial
 * @see general mechanics of cutting
 * @example edgesOf({ ...equalFlanks(60), tip: { flatMm: 0.25 } }, 0.5, 0.1, { feedDeg: 0 }).length // 3; both flanks and the tip
 */
export function edgesOf(t: ToolOutline, depthMm: number, infeedMm: number, way: Way): Edge[] {
  const middle = Math.max(infeedMm / 2, depthMm - infeedMm / 2);
  const chip = chipOn(t, infeedMm, way);
  const side = (on: 'leading' | 'trailing', flankDeg: number, topMm: number): Edge[] => {
    const out: Edge[] = [];
    let below = 0;
    if ('radiusMm' in t.tip && t.tip.radiusMm > 0) {
      const r = t.tip.radiusMm;
      // tangent angles from 90 degrees at the tip's middle to the flank's own
      const piece = ((90 - flankDeg) * Math.min(1, middle / topMm)) / NOSE_PIECES;
      for (let i = 0; i < NOSE_PIECES; i += 1) {
        const tangentDeg = 90 - (i + 0.5) * piece;
        out.push({ on: 'tip', lengthMm: (r * piece * Math.PI) / 180, chipMm: chip(on, tangentDeg), tangentDeg });
      }
      below = Math.min(topMm, middle);
    }
    out.push({
      on,
      lengthMm: (middle - below) / cosDeg(flankDeg),
      chipMm: chip(on, flankDeg),
      tangentDeg: flankDeg,
    });
    return out;
  };
  const [topL, topT] = tangencyMm(t);
  const flat: Edge[] =
    'flatMm' in t.tip ? [{ on: 'tip', lengthMm: t.tip.flatMm, chipMm: infeedMm, tangentDeg: 90 }] : [];
  return [...flat, ...side('leading', t.leadingDeg, topL), ...side('trailing', t.trailingDeg, topT)].filter(
    (e) => e.lengthMm > 0,
  );
}

/** Thickness of chip on an edge of one side with this tangent, mm. */
function chipOn(
  t: ToolOutline,
  infeedMm: number,
  way: Way,
): (on: 'leading' | 'trailing', tangentDeg: number) => number {
  // along a flank: the feed leans by that flank's angle, away from it
  const feedDeg = 'feedDeg' in way ? way.feedDeg : way.only === 'leading' ? t.trailingDeg : -t.leadingDeg;
  const along = infeedMm / cosDeg(feedDeg);
  return (on, tangentDeg) => along * sinDeg(tangentDeg + (on === 'leading' ? feedDeg : -feedDeg));
}
