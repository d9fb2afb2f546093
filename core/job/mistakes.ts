import { includedDeg } from '../form/flanks.ts';
import {
  offHeight,
  offSquare,
  slideOff,
  type OffHeight,
  type OffSquare,
  type SlideOff,
} from '../cutting/toolFaults.ts';
import { calmPasses } from '../cutting/depths.ts';
import { toolOfJob } from './cutPlan.ts';
import { fitOfJob } from './derive.ts';
import type { Job } from './schema.ts';

/** A way in which a tool is set wrongly, and by how much: degrees, or mm. */
export type Mistake =
  | { readonly kind: 'square'; readonly byDeg: number }
  | { readonly kind: 'height'; readonly byMm: number }
  | { readonly kind: 'slide'; readonly setDeg: number };

/** A usual mistake with this job's own figures. */
export type MistakeView =
  | ({ readonly kind: 'square' } & OffSquare)
  | ({ readonly kind: 'height'; readonly clearanceLeftDeg: number } & OffHeight)
  | ({ readonly kind: 'slide'; readonly tooDeepMm: number; readonly passes: number } & SlideOff);

/**
 * What a tool set wrongly leaves on this job; null: no thread is named, or its tip lies beyond the surface.
 * @example mistakeOf(demo('pump'), { kind: 'square', byDeg: 1 }).leadingDeg // 31
 */
export function mistakeOf(job: Job, m: Mistake): MistakeView | null {
  const fit = fitOfJob(job);
  const own = toolOfJob(job);
  if (!fit || !own) return null;
  const { trailingDeg } = own.tool;
  switch (m.kind) {
    case 'square':
      return { kind: 'square', ...offSquare(own.tool, m.byDeg, fit.depthMm) };
    case 'height': {
      const radius = fit.startDiameterMm / 2;
      if (Math.abs(m.byMm) >= radius - (fit.make === 'external' ? fit.depthMm : 0)) return null;
      const view = offHeight(radius, fit.depthMm, includedDeg(own.tool) / 2, m.byMm, fit.make);
      // above centre the flank's heel comes nearer outside, below it inside
      const rubs = fit.make === 'external' ? m.byMm > 0 : m.byMm < 0;
      return {
        kind: 'height',
        ...view,
        clearanceLeftDeg: job.setup.clearanceDeg + (rubs ? -1 : 1) * view.clearanceDeg,
      };
    }
    case 'slide': {
      const passes = calmPasses(0, fit.depthMm, own.tool);
      const view = slideOff(job.setup.slideAngleDeg, m.setDeg, trailingDeg, fit.depthMm, fit.depthMm / passes);
      return { kind: 'slide', ...view, tooDeepMm: fit.depthMm * (view.depthShare - 1), passes };
    }
  }
}
