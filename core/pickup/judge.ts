/** One place along an old thread at which the tool was judged while it ran along in the air. */
export interface JudgedPlace {
  /** From the free end, towards the headstock, mm. */
  readonly alongMm: number;
  /** How far the groove lies from the tool there, + towards the headstock, mm. */
  readonly offMm: number;
  /** Standard uncertainty of that, mm. */
  readonly sigmaMm: number;
}

/** What the run along an old thread says. */
export interface Judged {
  /**
   * `in`: nowhere off by more than can be seen. `offset`: the same everywhere. `lead`: it grows along the thread. `uneven`:
   * neither (a bent part, a drunken thread, a slip between). `more`: fewer than three places, or too close together.
   */
  readonly verdict: 'in' | 'offset' | 'lead' | 'uneven' | 'more';
  /** At the middle of the places, + towards the headstock, mm. */
  readonly offsetMm: number;
  /** Growth towards the headstock, mm a mm; the old lead is the lathe's times 1 + this, for either hand. */
  readonly perMm: number;
  /** Standard uncertainty of the growth. */
  readonly perSigma: number;
  /** Length over which it was judged, and the worst that any place is off, mm. */
  readonly overMm: number;
  /** Of the line, half-way along what was judged: what is left either way once it is brought in there. */
  readonly splitMm: number;
  readonly worstMm: number;
  readonly middleMm: number;
}

/** So many standard uncertainties are called real: a chance of about one in twenty of being wrong. */
const REAL = 2;
/** Places at which a run is judged. Common practice, no source: both ends and the middle. */
const JUDGED_PLACES = 3;

/**
 * A straight line through what was seen at the places, weighted by how well each was seen: its height is the offset, its slope
 * the difference of leads, for after n turns the tool has gone n times the lathe's lead and the groove n times its own. What the
 * line leaves over is neither. Least squares; the uncertainties are those of the readings alone.
 * @example judgeRun([{ alongMm: 0, offMm: 0.1, sigmaMm: 0.01 }, { alongMm: 20, offMm: 0.1, sigmaMm: 0.01 }, { alongMm: 40, offMm: 0.1, sigmaMm: 0.01 }]).verdict // 'offset'
 */
export function judgeRun(places: readonly JudgedPlace[]): Judged {
  const w = places.map((p) => 1 / p.sigmaMm ** 2);
  const sum = (f: (p: JudgedPlace, i: number) => number): number =>
    places.reduce((s, p, i) => s + (w[i] ?? 0) * f(p, i), 0);
  const all = sum(() => 1);
  const middleMm = sum((p) => p.alongMm) / all;
  const offsetMm = sum((p) => p.offMm) / all;
  const spread = sum((p) => (p.alongMm - middleMm) ** 2);
  const along = places.map((p) => p.alongMm);
  const overMm = Math.max(...along) - Math.min(...along);
  const perMm = spread > 0 ? sum((p) => (p.alongMm - middleMm) * (p.offMm - offsetMm)) / spread : 0;
  const perSigma = spread > 0 ? 1 / Math.sqrt(spread) : Infinity;
  const worstMm = places.reduce((m, p) => (Math.abs(p.offMm) > Math.abs(m) ? p.offMm : m), 0);
  const of = (verdict: Judged['verdict']): Judged => ({
    verdict,
    offsetMm,
    perMm,
    perSigma,
    overMm,
    splitMm: offsetMm + perMm * ((Math.max(...along) + Math.min(...along)) / 2 - middleMm),
    worstMm,
    middleMm,
  });
  if (new Set(along).size < JUDGED_PLACES) return of('more');
  if (places.every((p) => Math.abs(p.offMm) <= REAL * p.sigmaMm)) return of('in');
  const left = places.some((p) => Math.abs(p.offMm - offsetMm - perMm * (p.alongMm - middleMm)) > REAL * p.sigmaMm);
  if (left) return of('uneven');
  if (Math.abs(perMm) > REAL * perSigma) return of('lead');
  // within what can be seen, and no slope: what is left is an offset, or nothing
  return of(Math.abs(offsetMm) > REAL / Math.sqrt(all) ? 'offset' : 'in');
}

/**
 * The old thread's lead from the lathe's and from how what is off grows towards the headstock. @returns mm
 * @example leadFromGrowth(2, 0.001) // 2.002
 */
export const leadFromGrowth = (latheLeadMm: number, perMm: number): number => latheLeadMm * (1 + perMm);
