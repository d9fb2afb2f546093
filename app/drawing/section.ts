import { outline } from '../../core/form/outline.ts';
import { pitchMmOf, threadFormOf, type ThreadSpec } from '../../core/standards/thread.ts';

/** The flank line of a thread as it is drawn, mm: from 0 along the axis, and down from its outermost point; a taper is drawn parallel. */
export interface Section {
  readonly points: readonly { readonly x: number; readonly y: number }[];
  readonly width: number;
  readonly depth: number;
}
export function sectionOf(thread: ThreadSpec, side: 'external' | 'internal', ridges: number): Section {
  const pitch = pitchMmOf(thread);
  const line = outline({ ...threadFormOf(thread), taper: 0 }, side, pitch, 0, ridges);
  const ys = line.map((p) => p.y);
  const top = Math.max(...ys);
  return {
    points: line.map((p) => ({ x: p.x, y: top - p.y })),
    width: ridges * pitch,
    depth: top - Math.min(...ys),
  };
}
