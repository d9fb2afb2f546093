import { fitted, wrapped } from './measure.ts';
import { BODY_TOP, BOX, lineTall, tickBox } from './paper.ts';
import { box, circle, rule, say, type Shape } from './shapes.ts';

/** What is ticked off pass by pass; the words come from outside. */
export interface PassCardWords {
  /** The motions of one pass, in order. */
  readonly motions: readonly (readonly [name: string, what: string])[];
  readonly heads: readonly [pass: string, turns: string, collar: string, takes: string, deep: string, done: string];
  readonly rows: readonly {
    readonly pass: string;
    /** Whole turns; empty: none, or a control without a dial. */
    readonly turns: string;
    readonly collar: string;
    readonly takes: string;
    readonly deep: string;
    readonly done: boolean;
  }[];
  readonly after: { readonly title: string; readonly said: string; readonly places: readonly string[] };
  readonly wanted: {
    readonly title: string;
    readonly said: string;
    readonly springs: number;
    readonly springsSaid: string;
  };
}

/** From row to row, mm: as wide as a page allows, so that a card is not two for the sake of a few passes. */
const ROWS = [9.1, 8.4, 7.8];
const COLUMN = { w: 87, gap: 8 };
const AFTER_TALL = 30;

/**
 * Passes in two columns, as many pages as they need; what is measured after them stands on the last.
 * @example passCardBodies({ motions: [], heads: ['', '', '', '', '', ''], rows: Array.from({ length: 60 }, () => ({ pass: '', turns: '', collar: '', takes: '', deep: '', done: false })), after: { title: '', said: '', places: [] }, wanted: { title: '', said: '', springs: 0, springsSaid: '' } }, 240).length // 2
 */
export function passCardBodies(w: PassCardWords, low: number): Shape[][] {
  const motions = motionBoxes(w);
  const from = BODY_TOP + 1 + motions.tall + 8;
  const roomOf = (row: number, last: boolean): number =>
    Math.max(1, Math.floor((low - (last ? AFTER_TALL + 5 : 2) - from - 3) / row));
  const one = ROWS.find((row) => w.rows.length <= 2 * roomOf(row, true));
  const row = one ?? ROWS[0] ?? 9.1;
  const pages: (typeof w.rows)[] = [];
  let rest = w.rows;
  while (rest.length > 2 * roomOf(row, true)) {
    // the last page has passes too, and not only what comes after them
    const taken = Math.min(2 * roomOf(row, false), rest.length - 1);
    pages.push(rest.slice(0, taken));
    rest = rest.slice(taken);
  }
  pages.push(rest);
  return pages.map((rows, p) => {
    const last = p === pages.length - 1;
    const half = last ? Math.ceil(rows.length / 2) : roomOf(row, false);
    const under = from + 3 + Math.max(half, 1) * row;
    return [
      ...motions.shapes,
      ...[rows.slice(0, half), rows.slice(half)].flatMap((some, c) =>
        some.length === 0 ? [] : column(some, c * (COLUMN.w + COLUMN.gap), from, row, w),
      ),
      ...(last ? afterwards(w, Math.max(under + 4, Math.min(low - AFTER_TALL, under + 10))) : []),
    ];
  });
}

function motionBoxes(w: PassCardWords): { readonly shapes: Shape[]; readonly tall: number } {
  const wide = BOX.w / w.motions.length;
  const said = w.motions.map(([, what]) => wrapped(what, 8.5, wide - 4));
  const tall = 8 + Math.max(1, ...said.map((l) => l.length)) * lineTall(8.5);
  return {
    tall,
    shapes: [
      box(0, BODY_TOP + 1, BOX.w, tall),
      ...w.motions.flatMap(([name], i) => [
        ...(i > 0 ? [rule(i * wide, BODY_TOP + 1, i * wide, BODY_TOP + 1 + tall)] : []),
        say(i * wide + 2, BODY_TOP + 6, `${i + 1} ${name}`, {
          pt: fitted(`${i + 1} ${name}`, wide - 4, [11, 9.5, 8], { bold: true }),
          bold: true,
        }),
        ...(said[i] ?? []).map((t, k) => say(i * wide + 2, BODY_TOP + 10.6 + k * lineTall(8.5), t, { pt: 8.5 })),
      ]),
    ],
  };
}

function column(rows: PassCardWords['rows'], x: number, top: number, tall: number, w: PassCardWords): Shape[] {
  const [pass, turns, collar, takes, deep, done] = w.heads;
  const head = (at: number, said: string, anchor: 'start' | 'end' = 'start'): Shape =>
    say(x + at, top, said, { pt: 8, anchor });
  return [
    head(0, pass),
    head(11, turns),
    head(21, collar),
    head(61, takes, 'end'),
    head(76, deep, 'end'),
    head(COLUMN.w, done, 'end'),
    ...rows.flatMap((r, i) => {
      const y = top + 3 + i * tall;
      const mid = y + tall * 0.7;
      const size = fitted(r.collar, 27, [16, 13, 11], { mono: true, bold: true });
      return [
        rule(x, y, x + COLUMN.w, y),
        say(x, mid, r.pass, { pt: 11, mono: true, bold: true }),
        ...(r.turns === '' || r.turns === '0'
          ? [say(x + 13.5, mid, r.turns, { pt: 12, mono: true, anchor: 'middle' })]
          : [
              say(x + 13.5, mid, r.turns, { pt: 13, mono: true, bold: true, anchor: 'middle' }),
              // ringed, so that they are not read as part of the collar's number
              circle({ x: x + 13.5, y: mid - 1.6 }, tall * 0.41),
            ]),
        r.done
          ? say(x + 20, mid, r.collar, { pt: 9.5 })
          : say(x + 20, mid, r.collar, { pt: size, mono: true, bold: true }),
        say(x + 61, mid, r.takes, { pt: 9.5, mono: true, anchor: 'end' }),
        say(x + 76, mid, r.deep, { pt: 9.5, mono: true, anchor: 'end' }),
        ...tickBox(x + COLUMN.w - tall + 2, y + 1, tall - 2, r.done),
      ];
    }),
    rule(x, top + 3 + rows.length * tall, x + COLUMN.w, top + 3 + rows.length * tall),
  ];
}
function afterwards(w: PassCardWords, y: number): Shape[] {
  const x2 = COLUMN.w + COLUMN.gap;
  const half = [w.after.said, w.wanted.said].map((t) => wrapped(t, 9.5, COLUMN.w - 6));
  const tall = AFTER_TALL - 2;
  return [
    box(0, y, COLUMN.w, tall),
    say(3, y + 5.6, w.after.title, { pt: 11.5, bold: true }),
    ...(half[0] ?? []).map((t, i) => say(3, y + 10.6 + i * lineTall(9.5), t, { pt: 9.5 })),
    ...w.after.places.flatMap((p, i) => {
      const at = 3 + i * ((COLUMN.w - 6) / w.after.places.length);
      return [say(at, y + tall - 2.4, p, { pt: 8 }), rule(at + 11, y + tall - 2, at + 25, y + tall - 2)];
    }),
    box(x2, y, COLUMN.w, tall),
    say(x2 + 3, y + 5.6, w.wanted.title, {
      pt: fitted(w.wanted.title, COLUMN.w - 6, [11.5, 10, 8.5], { bold: true }),
      bold: true,
    }),
    ...(half[1] ?? []).map((t, i) => say(x2 + 3, y + 10.6 + i * lineTall(9.5), t, { pt: 9.5 })),
    ...Array.from({ length: w.wanted.springs }, (_, i) => tickBox(x2 + 3 + i * 9, y + tall - 9, 7, false)).flat(),
    ...(w.wanted.springs > 0
      ? [say(x2 + 5 + w.wanted.springs * 9, y + tall - 4, w.wanted.springsSaid, { pt: 9.5 })]
      : []),
  ];
}
