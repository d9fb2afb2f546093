import { scatterOf } from './line.ts';
import type { EdgePoints } from './edges.ts';

/** A round pin seen beside the part, px. */
export interface PinSeen {
  readonly diameterPx: number;
  /** Scatter of its edge about the circle. */
  readonly scatterPx: number;
}

/** A circle through an edge, by least squares on x2 + y2. @see Kasa, IEEE Trans. Instrum. Meas. 25 (1976) 8. Null: it is not round and clean */
export function pinOf(p: EdgePoints): PinSeen | null {
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
