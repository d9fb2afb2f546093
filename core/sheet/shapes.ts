/** A place on a sheet, mm: x to the right, y down from the upper edge. */
export interface At {
  readonly x: number;
  readonly y: number;
}
/** What a sheet is made of, true to scale: writers for SVG, DXF and PDF know nothing else. */
export type Shape =
  | {
      readonly kind: 'line';
      readonly points: readonly At[];
      readonly closed: boolean;
      /** Layer of a DXF; what is cut out is apart from what is only read. */
      readonly on: Layer;
      readonly dashed?: true;
      readonly heavy?: true;
    }
  | {
      readonly kind: 'text';
      readonly at: At;
      readonly text: string;
      /** Height of its capitals, mm. */
      readonly mm: number;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly bold?: true;
      readonly mono?: true;
    }
  | {
      /** Filled black: grounds of a page are not printed, so there is no other fill. */
      readonly kind: 'area';
      readonly points: readonly At[];
    };
/** Layers of a drawing, by what their lines mean. */
export const LAYERS = ['thread', 'notch', 'wedge', 'enlarged', 'ruler', 'frame'] as const;
/** One of LAYERS. */
export type Layer = (typeof LAYERS)[number];

/** One sheet: its size and all that is drawn on it, mm. */
export interface Sheet {
  readonly title: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly shapes: readonly Shape[];
}

/**
 * A line through points, mm on paper.
 * @example line('outline', [{ x: 0, y: 0 }, { x: 1, y: 0 }]).closed // false
 */
export const line = (on: Layer, points: readonly At[], more: { dashed?: true; heavy?: true } = {}): Shape => ({
  kind: 'line',
  points,
  closed: false,
  on,
  ...more,
});
/**
 * A closed heavy line through points, mm on paper.
 * @example outlineOf('outline', [{ x: 0, y: 0 }, { x: 1, y: 0 }]).closed // true
 */
export const outlineOf = (on: Layer, points: readonly At[]): Shape => ({
  kind: 'line',
  points,
  closed: true,
  on,
  heavy: true,
});
/**
 * A line of text, mm on paper.
 * @example text(1, 2, 'depth', 3).text // 'depth'
 */
export const text = (
  x: number,
  y: number,
  said: string,
  mm = 3,
  anchor: 'start' | 'middle' | 'end' = 'start',
  bold = false,
): Shape => ({ kind: 'text', at: { x, y }, text: said, mm, anchor, ...(bold ? { bold: true as const } : {}) });

/**
 * Height of a capital of a text of so many points, mm: both faces of the paper have it at two thirds of their size.
 * @example pt(10) // 2.357
 */
export const pt = (points: number): number => points * (25.4 / 72) * CAPITAL;
/** A capital's height over the size of its letters. */
export const CAPITAL = 0.668;

/**
 * A text by its size in points, black on white: nothing under 7.5 is read at a bench.
 * @example say(1, 2, 'depth').text // 'depth'
 */
export const say = (
  x: number,
  y: number,
  said: string,
  how: { pt?: number; anchor?: 'start' | 'middle' | 'end'; bold?: boolean; mono?: boolean } = {},
): Shape => ({
  kind: 'text',
  at: { x, y },
  text: said,
  mm: pt(how.pt ?? 10.5),
  anchor: how.anchor ?? 'start',
  ...(how.bold ? { bold: true as const } : {}),
  ...(how.mono ? { mono: true as const } : {}),
});
/**
 * A box by its corner and sides.
 * @example box(0, 0, 10, 5).points.length // 4
 */
export const box = (x: number, y: number, w: number, h: number, heavy = false): Shape => ({
  kind: 'line',
  points: [
    { x, y },
    { x: x + w, y },
    { x: x + w, y: y + h },
    { x, y: y + h },
  ],
  closed: true,
  on: 'frame',
  ...(heavy ? { heavy: true as const } : {}),
});
/**
 * A circle, as a line of so many corners that no print shows them.
 * @example circle({ x: 0, y: 0 }, 5).points[0] // { x: 5, y: 0 }
 */
export const circle = (c: At, r: number, how: { dashed?: true; heavy?: true } = {}): Shape => ({
  kind: 'line',
  on: 'frame',
  closed: true,
  points: Array.from({ length: CORNERS }, (_, i) => ({
    x: c.x + r * Math.cos((2 * Math.PI * i) / CORNERS),
    y: c.y + r * Math.sin((2 * Math.PI * i) / CORNERS),
  })),
  ...how,
});
const CORNERS = 48;

/**
 * A straight line from place to place.
 * @example rule(0, 0, 10, 0).points // [{ x: 0, y: 0 }, { x: 10, y: 0 }]
 */
export const rule = (
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  how: { dashed?: true; heavy?: true } = {},
): Shape =>
  line(
    'frame',
    [
      { x: x1, y: y1 },
      { x: x2, y: y2 },
    ],
    how,
  );
/**
 * Everything moved along and down, mm.
 * @example moved([rule(0, 0, 10, 0)], 2, 3)[0].points // [{ x: 2, y: 3 }, { x: 12, y: 3 }]
 */
export const moved = (shapes: readonly Shape[], dx: number, dy: number): Shape[] =>
  shapes.map((s) =>
    s.kind === 'text'
      ? { ...s, at: { x: s.at.x + dx, y: s.at.y + dy } }
      : { ...s, points: s.points.map((p) => ({ x: p.x + dx, y: p.y + dy })) },
  );

const SMALL = 1.5;
const MIDDLE = 2.5;
const TALL = 3.5;

/**
 * A ruler by which the print is proved, along the sheet or down it: mm with every fifth and tenth longer, or sixteenths of an inch.
 * @example ruler({ x: 0, y: 0 }, 150, 'mm').length > 150 // true; a mark every mm
 */
export function ruler(at: At, length: number, unit: 'mm' | 'in', way: 'along' | 'down' = 'along'): Shape[] {
  const step = unit === 'mm' ? 1 : 25.4 / 16;
  const [half, whole] = unit === 'mm' ? [5, 10] : [8, 16];
  const count = Math.round((unit === 'mm' ? length : length * 25.4) / step);
  const place = (along: number, up: number): At =>
    way === 'along' ? { x: at.x + along, y: at.y - up } : { x: at.x + up, y: at.y + along };
  return [
    line('ruler', [place(0, 0), place(count * step, 0)]),
    ...Array.from({ length: count + 1 }, (_, i): Shape[] => {
      const tall = i % whole === 0 ? TALL : i % half === 0 ? MIDDLE : SMALL;
      const tick = line('ruler', [place(i * step, 0), place(i * step, tall)]);
      if (i % whole !== 0 || i === 0) return [tick];
      const { x, y } = place(i * step, tall + 0.8);
      return [
        tick,
        text(
          x,
          way === 'along' ? y : y + 1,
          String(unit === 'mm' ? i : i / 16),
          2,
          way === 'along' ? 'middle' : 'start',
        ),
      ];
    }).flat(),
  ];
}
