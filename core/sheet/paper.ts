import { barsOf, sideOf } from './code.ts';
import { cut, fitted, wrapped } from './measure.ts';
import { box, line, moved, outlineOf, pt, rule, ruler, say, type At, type Shape, type Sheet } from './shapes.ts';

/** Sizes of paper, mm. @see ISO 216; ANSI/ASME Y14.1 (letter is its size A) */
export const PAPERS = {
  a4: { w: 210, h: 297 },
  letter: { w: 215.9, h: 279.4 },
} as const;
/** Paper that is printed on. */
export type Paper = keyof typeof PAPERS;

/** What every sheet is drawn in, mm: it has room on both sizes of paper, so that both are the same sheet at the same scale. */
export const BOX = { w: 182, h: 250 } as const;
/** Between the head's rule and the foot, what is drawn begins here. */
export const BODY_TOP = 46;
/** A rule of this length stands on every sheet: it proves the scale of the print, mm. */
const RULE_MM = 150;

/** What stands round the drawing of every sheet; the words come from outside. */
export interface Frame {
  /** What kind of sheet it is, and what it is for. */
  readonly kind: string;
  readonly title: string;
  readonly facts: readonly (readonly [label: string, said: string])[];
  /** Modules of the code that opens the job; null: it has no address here. */
  readonly qr: readonly (readonly boolean[])[] | null;
  readonly qrSaid: readonly string[];
  readonly rulerSaid: readonly string[];
  /** Cautions that belong to this sheet; none: no box. */
  readonly caution: readonly string[];
  readonly foot: string;
  /** Which sheet and page it is. */
  readonly paged: (page: number, of: number) => string;
}

const QR = { x: 157, size: 25 };
const FACT = { top: 20.5, row: 5.4, second: 76, label: 15 };
const CAUTION = { bottom: 241.5, line: 4.6, pt: 9.5 };

const cautionLines = (f: Frame): string[] =>
  f.caution.flatMap((c) => wrapped(c, CAUTION.pt, BOX.w - 16, { bold: true }));
const cautionTop = (f: Frame): number => {
  const lines = cautionLines(f).length;
  return lines === 0 ? CAUTION.bottom : CAUTION.bottom - lines * CAUTION.line - 4;
};
/**
 * Where the drawing of a sheet has to end, mm from the top of the box.
 * @example bodyLow({ caution: [] }) // 238.5
 */
export const bodyLow = (f: Frame): number => cautionTop(f) - 3;

/**
 * Pages of one sheet, each with the same head and foot. A body is what lies between them, in the box.
 * @example pagesOf({ kind: '', title: '', facts: [], qr: null, qrSaid: [], rulerSaid: [], caution: [], foot: '', paged: () => '' }, [[], []], 'a4').length // 2
 */
export function pagesOf(frame: Frame, bodies: readonly (readonly Shape[])[], paper: Paper): Sheet[] {
  const { w, h } = PAPERS[paper];
  return bodies.map((body, i) => ({
    title: frame.title,
    widthMm: w,
    heightMm: h,
    shapes: moved([...head(frame), ...body, ...foot(frame, i + 1, bodies.length)], (w - BOX.w) / 2, (h - BOX.h) / 2),
  }));
}

function head(f: Frame): Shape[] {
  const titleWidth = QR.x - 6;
  const size = fitted(f.title, titleWidth, [21, 18, 15, 12], { bold: true });
  const valueWidth = (i: number): number => (i % 2 === 0 ? FACT.second : QR.x - FACT.second) - FACT.label - 3;
  return [
    box(0, 0, 6.6, 6.6, true),
    line(
      'frame',
      MARK.map(([x, y]) => ({ x, y })),
      { heavy: true },
    ),
    say(9, 4.6, 'Gelvin', { pt: 9, bold: true }),
    say(22, 4.6, f.kind, { pt: 9 }),
    say(0, 15, cut(f.title, size, titleWidth, { bold: true }), { pt: size, bold: true }),
    ...f.facts.flatMap(([label, said], i) => {
      const x = i % 2 === 0 ? 0 : FACT.second;
      const y = FACT.top + Math.floor(i / 2) * FACT.row;
      return [
        say(x, y, label, { pt: 8 }),
        said === ''
          ? rule(x + FACT.label, y + 0.6, x + FACT.label + 34, y + 0.6)
          : say(x + FACT.label, y, cut(said, 10, valueWidth(i), { bold: true }), { pt: 10, bold: true }),
      ];
    }),
    ...code(f),
    ...ruler({ x: 0, y: BODY_TOP - 4 }, RULE_MM, 'mm'),
    rule(0, BODY_TOP - 4, BOX.w, BODY_TOP - 4, { heavy: true }),
    ...f.rulerSaid.map((t, i) => say(BOX.w, BODY_TOP - 8.6 + i * 3.4, t, { pt: 7.5, anchor: 'end' })),
  ];
}
/** A thread's outline in the corner, by which the paper is known. */
const MARK = [
  [0.9, 4.9],
  [1.7, 4.9],
  [2.6, 1.7],
  [3.4, 1.7],
  [4.2, 4.9],
  [4.9, 4.9],
  [5.7, 1.7],
] as const;

/** The code that opens the job, with its quiet zone. */
function code(f: Frame): Shape[] {
  if (!f.qr) return [];
  const one = QR.size / sideOf(f.qr);
  const at = (x: number, y: number): At => ({ x: QR.x + x * one, y: y * one - 3 });
  return [
    ...barsOf(f.qr).map(({ x, y, w }): Shape => ({
      kind: 'area',
      points: [at(x, y), at(x + w, y), at(x + w, y + 1), at(x, y + 1)],
    })),
    ...f.qrSaid.map((t, i) => say(QR.x + QR.size / 2, QR.size - 0.6 + i * 3.2, t, { pt: 7.5, anchor: 'middle' })),
  ];
}

function foot(f: Frame, page: number, of: number): Shape[] {
  const lines = cautionLines(f);
  const top = cautionTop(f);
  return [
    ...(lines.length === 0
      ? []
      : [
          box(0, top, BOX.w, CAUTION.bottom - top, true),
          ...triangle(4, top + (CAUTION.bottom - top) / 2),
          ...lines.map((t, i) => say(12, top + 4.6 + i * CAUTION.line, t, { pt: CAUTION.pt, bold: true })),
        ]),
    rule(0, 245, BOX.w, 245, { heavy: true }),
    say(0, 249.4, cut(f.foot, 8, BOX.w - 42), { pt: 8 }),
    say(BOX.w, 249.4, f.paged(page, of), { pt: 8, bold: true, anchor: 'end' }),
  ];
}

const triangle = (x: number, y: number): Shape[] => [
  outlineOf('frame', [
    { x, y: y + 2.4 },
    { x: x + 5.6, y: y + 2.4 },
    { x: x + 2.8, y: y - 2.6 },
  ]),
  rule(x + 2.8, y - 0.8, x + 2.8, y + 0.7, { heavy: true }),
  rule(x + 2.8, y + 1.4, x + 2.8, y + 1.7, { heavy: true }),
];

/**
 * Rows that are not broken, laid under one another into as many bodies as they need; the head is repeated on each.
 * @example tabled([10, 10, 10].map((tall) => ({ tall, shapes: () => [] })), { first: 0, next: 0, low: 25 }, () => [], 5).length // 2
 */
export function tabled(
  rows: readonly { readonly tall: number; readonly shapes: (y: number) => readonly Shape[] }[],
  from: { readonly first: number; readonly next: number; readonly low: number },
  headOf: (y: number) => readonly Shape[],
  headTall: number,
): Shape[][] {
  const bodies: Shape[][] = [[...headOf(from.first)]];
  let y = from.first + headTall;
  for (const row of rows) {
    if (y + row.tall > from.low) {
      bodies.push([...headOf(from.next)]);
      y = from.next + headTall;
    }
    bodies.at(-1)?.push(...row.shapes(y));
    y += row.tall;
  }
  return bodies;
}
/**
 * How far down a body reaches, mm.
 * @example lowest([]) // 46
 */
export const lowest = (shapes: readonly Shape[]): number =>
  Math.max(BODY_TOP, ...shapes.flatMap((s) => (s.kind === 'text' ? [s.at.y] : s.points.map((p) => p.y))));
/**
 * A box to tick, with its tick where it is done already: a stroke, for grounds are not printed.
 * @example [tickBox(0, 0, 5, false).length, tickBox(0, 0, 5, true).length] // [1, 2]
 */
export const tickBox = (x: number, y: number, size: number, done: boolean): Shape[] => [
  box(x, y, size, size),
  ...(done
    ? [
        line(
          'frame',
          [
            { x: x + size * 0.2, y: y + size * 0.55 },
            { x: x + size * 0.42, y: y + size * 0.78 },
            { x: x + size * 0.82, y: y + size * 0.24 },
          ],
          { heavy: true },
        ),
      ]
    : []),
];
/**
 * Lines of a paragraph under one another.
 * @example paragraph(0, 0, ['one', 'two']).length // 2
 */
export const paragraph = (x: number, y: number, lines: readonly string[], points = 10.5): Shape[] =>
  lines.map((t, i) => say(x, y + i * lineTall(points), t, { pt: points }));
/**
 * From line to line of a text of so many points, mm.
 * @example lineTall(10) // 4.595
 */
export const lineTall = (points: number): number => pt(points) * 1.95;
