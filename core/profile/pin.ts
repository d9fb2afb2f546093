import { rangeOf, robustLine, scatterOf } from './line.ts';
import type { EdgePoints } from './edges.ts';
import type { Told } from './types.ts';

/** A plain round pin seen beside the part, end on or lying, px. */
interface PinSeen {
  readonly diameterPx: number;
  /** Scatter of its edge about the circle, or about its two lines. */
  readonly scatterPx: number;
}

/** The lens shrinks what is away from the centre; common practice, no source. */
const PIN_LENS = 0.0015;
/**
 * Px a mm by the first of what lies beside a part that is a clean pin; null: none is. @param pinMm its diameter
 * @example [Array.from({ length: 360 }, (_, i) => (i * Math.PI) / 180)].map((a) => scaleByPin([{ x: Float64Array.from(a, (t) => 80 * Math.cos(t)), y: Float64Array.from(a, (t) => 80 * Math.sin(t)) }], 8).value) // [20]; 160 px are 8 mm
 */
export function scaleByPin(beside: readonly EdgePoints[], pinMm: number): Told | null {
  const pin = beside.map(pinOf).find((p) => p !== null);
  if (!pin) return null;
  const value = pin.diameterPx / pinMm;
  return { value, uncertainty: value * PIN_LENS };
}

/** A pin that is clean, end on or lying; null: it is neither. */
const pinOf = (p: EdgePoints): PinSeen | null => endOn(p) ?? lying(p);

/** A circle through an edge, by least squares on x2 + y2. @see Kasa, IEEE Trans. Instrum. Meas. 25 (1976) 8. Null: it is not round and clean */
function endOn(p: EdgePoints): PinSeen | null {
  const n = p.x.length;
  if (n < 40) return null;
  const mx = p.x.reduce((s, v) => s + v, 0) / n;
  const my = p.y.reduce((s, v) => s + v, 0) / n;
  let [suu, svv, suv, suz, svz] = [0, 0, 0, 0, 0];
  for (let i = 0; i < n; i += 1) {
    const [u, v] = [(p.x[i] ?? 0) - mx, (p.y[i] ?? 0) - my];
    const z = u * u + v * v;
    suu += u * u;
    svv += v * v;
    suv += u * v;
    suz += u * z;
    svz += v * z;
  }
  const det = 2 * (suu * svv - suv * suv);
  if (Math.abs(det) < 1e-9) return null;
  const cu = (suz * svv - svz * suv) / det;
  const cv = (svz * suu - suz * suv) / det;
  const r = Math.sqrt(cu * cu + cv * cv + (suu + svv) / n);
  const off = Array.from(p.x, (x, i) => Math.hypot(x - mx - cu, (p.y[i] ?? 0) - my - cv) - r);
  const scatterPx = scatterOf(off, 0);
  // all round: an arc alone says little of its circle
  const turns = new Set(
    Array.from(p.x, (x, i) => Math.floor((Math.atan2((p.y[i] ?? 0) - my - cv, x - mx - cu) / Math.PI + 1) * 8)),
  );
  return scatterPx < Math.max(0.5, 0.01 * r) && turns.size >= 15 ? { diameterPx: 2 * r, scatterPx } : null;
}

/** Shares along a lying pin that have to be seen on both of its sides. */
const BINS = 12;
const LEAST_SEEN = 0.75;
/** A pin is so much longer than thick, and its sides are parallel within this slope. */
const LONGER = 2;
const PARALLEL = 0.006;

/** Two parallel lines over most of its length. */
function lying(p: EdgePoints): PinSeen | null {
  const n = p.x.length;
  if (n < 60) return null;
  const mx = p.x.reduce((s, v) => s + v, 0) / n;
  const my = p.y.reduce((s, v) => s + v, 0) / n;
  let [xx, yy, xy] = [0, 0, 0];
  for (let i = 0; i < n; i += 1) {
    const [u, v] = [(p.x[i] ?? 0) - mx, (p.y[i] ?? 0) - my];
    xx += u * u;
    yy += v * v;
    xy += u * v;
  }
  const turn = 0.5 * Math.atan2(2 * xy, xx - yy);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const z = Array.from(p.x, (x, i) => (x - mx) * c + ((p.y[i] ?? 0) - my) * s);
  const v = Array.from(p.x, (x, i) => -(x - mx) * s + ((p.y[i] ?? 0) - my) * c);
  const [from, to] = rangeOf(z);
  const [low, high] = rangeOf(v);
  if (to - from < LONGER * (high - low)) return null;
  // without its ends
  const inner = z
    .map((at, i) => [at, i] as const)
    .filter(([at]) => at > from + 0.1 * (to - from) && at < to - 0.1 * (to - from));
  const side = (sign: 1 | -1) => inner.filter(([, i]) => sign * ((v[i] ?? 0) - (low + high) / 2) > 0);
  const sides = ([1, -1] as const).map((sign) => {
    const own = side(sign);
    const bins = new Set(own.map(([at]) => Math.floor(((at - from) / (to - from)) * BINS)));
    if (own.length < 30 || bins.size < LEAST_SEEN * BINS * 0.8) return null;
    return robustLine(
      own.map(([at]) => at),
      own.map(([, i]) => v[i] ?? 0),
      0.02,
    );
  });
  const [a, b] = sides;
  if (!a || !b || Math.abs(a.b - b.b) > PARALLEL) return null;
  const scatterPx = Math.max(a.sigma, b.sigma);
  const diameterPx = Math.abs(a.a - b.a) * Math.cos(Math.atan((a.b + b.b) / 2));
  return scatterPx < Math.max(0.5, 0.01 * diameterPx) ? { diameterPx, scatterPx } : null;
}
