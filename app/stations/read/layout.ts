import type { CSSProperties } from 'react';
import type { Quantity } from '../../../core/evidence/evidence.ts';
import type { Box, LensShape } from '../../drawing/lensShape.ts';
import type { Size } from '../../ui/useSize.ts';

/** From here on there is room for the dimensions around the drawing; below it they stand under it. */
export const WIDE = 700;
/** Lower than this the dimensions would lie on each other. */
export const LOW = 600;

const SIDE_W = 146;
const EDGE = 16;
const PATCH_H = 50;

const LEFT: readonly Quantity[] = ['majorDiameter', 'pitchDiameter', 'minorDiameter', 'overWires'];
const RIGHT: readonly Quantity[] = ['flankAngle', 'leadingFlank', 'trailingFlank', 'depth'];
const ABOVE: readonly Quantity[] = ['crestCount', 'pitchLeaf', 'lead', 'template'];
const BELOW: readonly Quantity[] = ['crestFlat', 'crestRadius', 'rootFlat', 'rootRadius', 'starts', 'hand', 'taper'];
export const ON_DRAWING: readonly Quantity[] = [...ABOVE, ...LEFT, ...RIGHT, ...BELOW];
const ARMED_W = 130;
/** Width of the count of crests beside the others of its row. */
const COUNT_SHARE = 1.7;

export interface Layout {
  readonly part: Box;
  readonly lens: Box;
  /** Top of the row of the part's own dimensions. */
  readonly partFieldsY: number;
  /** Where each patch lies while it is not armed. */
  readonly places: Readonly<Record<Quantity, CSSProperties>>;
  readonly armedAt: (q: Quantity) => CSSProperties;
  /** From the patch of a reading to where it is taken. */
  readonly leader: (q: Quantity, at: LensShape['at'], armed: boolean) => string | null;
}

/** Where everything lies on a plate of this size, px. */
export function layoutOf({ w, h }: Size): Layout {
  const part: Box = { x: EDGE + 24, y: 84, w: w - 2 * EDGE - 48, h: Math.min(110, h * 0.15) };
  const partFieldsY = part.y + part.h + 60;
  const aboveY = partFieldsY + PATCH_H + 12;
  const belowY = h - PATCH_H - 14;
  const lens: Box = {
    x: EDGE + SIDE_W + 30,
    y: aboveY + PATCH_H + 16,
    w: w - 2 * (EDGE + SIDE_W + 30),
    h: belowY - aboveY - PATCH_H - 32,
  };
  const stack = lens.y + lens.h - aboveY;
  const gap = Math.min(14, (stack - LEFT.length * PATCH_H) / (LEFT.length - 1));
  const down = (i: number): number => aboveY + i * (PATCH_H + gap);
  const across = (n: number, from: number, room: number) => {
    const width = (room - (n - 1) * 8) / n;
    return { width, x: (i: number): number => from + i * (width + 8) };
  };
  // a count stands there with the length it was counted over: it is given more than its share
  const room = (lens.w - (ABOVE.length - 1) * 8) / (ABOVE.length - 1 + COUNT_SHARE);
  const above = (q: Quantity): { readonly x: number; readonly width: number } => {
    const i = ABOVE.indexOf(q);
    return {
      x: lens.x + i * (room + 8) + (i > 0 ? (COUNT_SHARE - 1) * room : 0),
      width: i === 0 ? COUNT_SHARE * room : room,
    };
  };
  const below = across(BELOW.length, EDGE, w - 2 * EDGE);
  const rect = (q: Quantity): Box => {
    if (LEFT.includes(q)) return { x: EDGE, y: down(LEFT.indexOf(q)), w: SIDE_W, h: PATCH_H };
    if (RIGHT.includes(q)) return { x: w - EDGE - SIDE_W, y: down(RIGHT.indexOf(q)), w: SIDE_W, h: PATCH_H };
    if (ABOVE.includes(q)) return { x: above(q).x, y: aboveY, w: above(q).width, h: PATCH_H };
    return { x: below.x(BELOW.indexOf(q)), y: belowY, w: below.width, h: PATCH_H };
  };
  return {
    part,
    lens,
    partFieldsY,
    places: Object.fromEntries(
      ON_DRAWING.map((q) => {
        const r = rect(q);
        return [q, { left: r.x, top: r.y, width: r.w }];
      }),
    ) as Record<Quantity, CSSProperties>,
    armedAt: (q) => {
      const r = rect(q);
      // armed it needs room for a figure, and never hides its neighbours: what is said of it stands over the drawing
      const width = Math.max(r.w, ARMED_W);
      const left = Math.min(r.x, w - EDGE - width);
      // what is said of it is wider than it is, and stays on the plate
      const side = left > w / 2 ? 'end' : 'start';
      return BELOW.includes(q) || q === LEFT.at(-1)
        ? { left, bottom: h - r.y - r.h, width, display: 'flex', flexDirection: 'column-reverse', alignItems: side }
        : { left, top: r.y, width, justifyItems: side };
    },
    leader: (q, at, armed) => {
      const to = at[q];
      // crest and root are under one's eyes: a line to them only while they are read
      if (!to || (BELOW.includes(q) && !armed)) return null;
      const r = rect(q);
      const [x, y] = LEFT.includes(q)
        ? [r.x + r.w, r.y + r.h / 2]
        : RIGHT.includes(q)
          ? [r.x, r.y + r.h / 2]
          : [r.x + r.w / 2, ABOVE.includes(q) ? r.y + r.h : r.y];
      return `M${x.toFixed(1)} ${y.toFixed(1)}L${to.x.toFixed(1)} ${to.y.toFixed(1)}`;
    },
  };
}
