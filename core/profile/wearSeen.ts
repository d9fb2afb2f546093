import { cosDeg } from '../quantity/units.ts';
import { scatterOf } from './line.ts';
import { median } from '../numeric/sorted.ts';
import type { Edge } from './teeth.ts';

/** A stretch that is worn, along the axis of the picture, px. */
export interface WearSeen {
  readonly where: 'left' | 'right' | 'crest';
  readonly fromPx: number;
  readonly toPx: number;
  /** Along the axis for a flank, radially for a crest, px. */
  readonly lostPx: number;
}

/** Under a pixel, or six scatters, nothing is called wear; nor is one tooth by itself. */
const LEAST_PX = 1;
const SCATTERS = 6;
const LEAST_TEETH = 2;

/**
 * Teeth whose one flank lies off the common pitch line into the metal: wear only thins, so a left flank that went right, or a right
 * one that went left. A crest that fell is told only where no flank did.
 * @example wearOf([drawnEdge(-1), drawnEdge(1)], 0) // []
 */
export function wearOf(edges: readonly Edge[], axisDeg: number): WearSeen[] {
  const found: WearSeen[] = [];
  for (const e of edges) {
    const { teeth, pitchPx, ridgePx } = e.fold;
    // along the mean axis, from the upper left corner of the picture
    const along = (k: number): number => (ridgePx + k * pitchPx) * cosDeg(e.laid.deg - axisDeg);
    const crest = median(teeth.filter((t) => !Number.isNaN(t.crest)).map((t) => t.crest));
    const lost = {
      left: teeth.map((t) => t.left),
      right: teeth.map((t) => -t.right),
      crest: teeth.map((t) => crest - t.crest),
    };
    const flat = (list: readonly number[]): number[] => list.filter((v) => !Number.isNaN(v));
    const flanks = (['left', 'right'] as const).flatMap((where) => stretches(where, lost[where], flat(lost[where])));
    found.push(...(flanks.length > 0 ? flanks : stretches('crest', lost.crest, flat(lost.crest))));

    function stretches(where: WearSeen['where'], all: readonly number[], seen: readonly number[]): WearSeen[] {
      const most = Math.max(LEAST_PX, SCATTERS * scatterOf(seen));
      const out: WearSeen[] = [];
      let run: number[] = [];
      const end = (): void => {
        const [first, last] = [run[0], run.at(-1)];
        if (run.length >= LEAST_TEETH && first !== undefined && last !== undefined)
          out.push({
            where,
            fromPx: along((teeth[first]?.k ?? 0) - 0.5),
            toPx: along((teeth[last]?.k ?? 0) + 0.5),
            lostPx: Math.max(...run.map((i) => all[i] ?? 0)),
          });
        run = [];
      };
      all.forEach((v, i) => {
        if (v > most) run.push(i);
        else end();
      });
      end();
      return out;
    }
  }
  return merged(found);
}

/** One entry a stretch, both edges together. */
function merged(list: readonly WearSeen[]): WearSeen[] {
  const out: WearSeen[] = [];
  for (const w of [...list].sort((a, b) => a.fromPx - b.fromPx)) {
    const i = out.findIndex((o) => o.where === w.where && o.toPx >= w.fromPx);
    const o = out[i];
    if (o) out[i] = { ...o, toPx: Math.max(o.toPx, w.toPx), lostPx: Math.max(o.lostPx, w.lostPx) };
    else out.push(w);
  }
  return out;
}
