import { leadingReachMm, trailingReachMm, type ToolOutline } from '../../core/cutting/tip.ts';

/** Points along each side of the tool's outline: enough for a round nose. */
const POINTS = 10;

/** How far the outline reaches towards headstock and tailstock, at a height above the tip, mm: the leading side is that of the travel. */
export const sidesOf = (tool: ToolOutline, leftHand: boolean) => ({
  toHead: (h: number): number => (leftHand ? trailingReachMm(tool, h) : leadingReachMm(tool, h)),
  fromHead: (h: number): number => (leftHand ? leadingReachMm(tool, h) : trailingReachMm(tool, h)),
});

/**
 * The outline from the surface down to its tip and up again, headstock at the left, as points in mm: x from the tip's
 * middle towards the tailstock, y the depth below the surface.
 */
export function outlinePoints(tool: ToolOutline, leftHand: boolean, depthMm: number): { x: number; y: number }[] {
  const { toHead, fromHead } = sidesOf(tool, leftHand);
  const heights = Array.from({ length: POINTS + 1 }, (_, i) => (depthMm * i) / POINTS);
  return [
    ...heights.toReversed().map((h) => ({ x: -toHead(h), y: depthMm - h })),
    ...heights.map((h) => ({ x: fromHead(h), y: depthMm - h })),
  ];
}
export const pathOf = (points: readonly { readonly x: number; readonly y: number }[], close = true): string =>
  `M${points.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}${close ? 'Z' : ''}`;

/**
 * The tool itself on a plate, its tip at a place in px and its shank away from the metal. @param up -1 where the metal lies above
 * it, 1 in a nut @param long how much of it is drawn, px
 */
export const toolStanding = (
  tool: ToolOutline,
  leftHand: boolean,
  at: { readonly x: number; readonly tipY: number; readonly up: 1 | -1; readonly long: number; readonly scale: number },
): string =>
  pathOf(
    outlinePoints(tool, leftHand, at.long / at.scale).map((q) => ({
      x: at.x + q.x * at.scale,
      y: at.tipY - at.up * (at.long - q.y * at.scale),
    })),
  );
