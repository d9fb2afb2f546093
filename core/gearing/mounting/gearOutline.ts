import type { Point } from './arm.ts';

/** Of a tooth's pitch: where root, flank and tip lie. Drawn, not to be cut by. */
const CORNERS = [
  [0, 'root'],
  [0.25, 'root'],
  [0.38, 'tip'],
  [0.62, 'tip'],
  [0.75, 'root'],
] as const;

/**
 * The outline of a gear about its middle, true in number of teeth, tip and root, mm: enough to see which gear it is.
 * @example Math.max(...gearOutline(20, 1.5, { x: 0, y: 0 }).map((p) => Math.hypot(p.x, p.y))) // 16.5; module x (teeth + 2) / 2
 */
export function gearOutline(teeth: number, moduleMm: number, at: Point): Point[] {
  const radius = { tip: (moduleMm * (teeth + 2)) / 2, root: (moduleMm * (teeth - 2.5)) / 2 };
  const pitch = (2 * Math.PI) / teeth;
  return Array.from({ length: teeth }, (_, i) =>
    CORNERS.map(([share, where]) => {
      const turn = pitch * (i + share);
      return { x: at.x + radius[where] * Math.cos(turn), y: at.y + radius[where] * Math.sin(turn) };
    }),
  ).flat();
}
