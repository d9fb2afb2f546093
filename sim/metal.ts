/**
 * The metal of one turn of thread, as it really is: the surface's radius along the axis, over one lead and round again. A
 * tool takes away whatever its outline reaches. Nothing here knows how Gelvin works anything out.
 */
export interface Tool {
  /** Flank on the headstock side and on the tailstock side, degrees from the perpendicular to the axis. */
  readonly headDeg: number;
  readonly tailDeg: number;
  readonly flatMm: number;
}

export interface Bite {
  /** Deepest radial cut anywhere, mm. */
  readonly radialMm: number;
  /** Section taken away, mm^2. */
  readonly areaMm2: number;
}

const tan = (deg: number): number => Math.tan((deg * Math.PI) / 180);
const PER_LEAD = 1600;

export class Metal {
  /** Depth below the surface, per sample. */
  readonly depth: Float64Array;
  readonly leadMm: number;
  constructor(leadMm: number) {
    this.leadMm = leadMm;
    this.depth = new Float64Array(PER_LEAD);
  }

  /** Distance along the axis from a place to a sample, the smaller way round. */
  private off(i: number, placeMm: number): number {
    const x = (i * this.leadMm) / PER_LEAD - placeMm;
    return x - this.leadMm * Math.round(x / this.leadMm);
  }

  /** How deep the tool reaches at an offset from its middle (+ towards the headstock), its tip being at a depth. */
  static reach(tool: Tool, tipMm: number, off: number): number {
    const beyond = Math.abs(off) - tool.flatMm / 2;
    if (beyond <= 0) return tipMm;
    const slope = tan(off > 0 ? tool.headDeg : tool.tailDeg);
    return slope === 0 ? -Infinity : tipMm - beyond / slope;
  }

  cut(tool: Tool, tipMm: number, placeMm: number): Bite {
    let radialMm = 0;
    let area = 0;
    for (let i = 0; i < PER_LEAD; i += 1) {
      const was = this.depth[i] ?? 0;
      const now = Metal.reach(tool, tipMm, this.off(i, placeMm));
      if (now <= was) continue;
      radialMm = Math.max(radialMm, now - was);
      area += now - was;
      this.depth[i] = now;
    }
    return { radialMm, areaMm2: (area * this.leadMm) / PER_LEAD };
  }

  /** What the tool would take, without taking it. */
  would(tool: Tool, tipMm: number, placeMm: number): Bite {
    const copy = this.depth.slice();
    const bite = this.cut(tool, tipMm, placeMm);
    this.depth.set(copy);
    return bite;
  }

  deepest(): number {
    return this.depth.reduce((m, d) => Math.max(m, d), 0);
  }

  /** Width of all grooves at a depth, over the number of starts, mm. */
  widthAt(depthMm: number, starts: number): number {
    let n = 0;
    for (const d of this.depth) if (d >= depthMm) n += 1;
    return (n * this.leadMm) / PER_LEAD / starts;
  }

  /** Depth of the pitch line: where the grooves are half the pitch wide. */
  pitchLineMm(pitchMm: number, starts: number): number {
    let low = -20;
    let high = this.deepest();
    // the crest is gone where grooves meet: widths above the surface are read off the flanks' own line
    for (let i = 0; i < 50; i += 1) {
      const mid = (low + high) / 2;
      if (this.widthAt(mid, starts) > pitchMm / 2) low = mid;
      else high = mid;
    }
    return (low + high) / 2;
  }

  /** Middle of the groove nearest to a place, at a depth; null where there is none. */
  middleNear(placeMm: number, depthMm: number): number | null {
    const inside: number[] = [];
    for (let i = 0; i < PER_LEAD; i += 1) if ((this.depth[i] ?? 0) >= depthMm) inside.push(i);
    if (inside.length === 0 || inside.length === PER_LEAD) return null;
    // walk each groove round the lead
    const set = new Set(inside);
    let best: number | null = null;
    for (const i of inside) {
      if (set.has((i + PER_LEAD - 1) % PER_LEAD)) continue;
      let n = 1;
      while (set.has((i + n) % PER_LEAD)) n += 1;
      const middle = ((i + (n - 1) / 2) * this.leadMm) / PER_LEAD;
      const off = middle - placeMm - this.leadMm * Math.round((middle - placeMm) / this.leadMm);
      if (best === null || Math.abs(off) < Math.abs(best)) best = off;
    }
    return best;
  }
}
