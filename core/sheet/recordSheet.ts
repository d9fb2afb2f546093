import { fitted, wrapped } from './measure.ts';
import { BODY_TOP, BOX, lineTall, tabled } from './paper.ts';
import { box, circle, rule, say, type Shape } from './shapes.ts';

/** A value with what it was found by. */
export interface RecordRow {
  readonly name: string;
  readonly by: string;
  readonly value: string;
}
/** What stands on the record of a part; the words come from outside. */
export interface RecordWords {
  readonly madeTitle: string;
  readonly made: readonly RecordRow[];
  readonly cutTitle: string;
  readonly cut: readonly RecordRow[];
  /** What was read over wires or balls against what is right; null: nothing was. */
  readonly band: {
    readonly title: string;
    readonly right: { readonly min: number; readonly max: number };
    readonly said: string;
    readonly readings: readonly { readonly mm: number; readonly said: string }[];
    readonly unit: (mm: number) => string;
    /** Round numbers between two ends, mm. */
    readonly marks: (from: number, to: number) => readonly number[];
  } | null;
  readonly verdict: string;
  readonly fittedTitle: string;
  readonly fitted: readonly string[];
  readonly nextTitle: string;
  readonly next: string;
  readonly signed: readonly string[];
  readonly ledgerTitle: string;
  readonly ledgerHeads: readonly [string, string, string];
  readonly ledger: readonly { readonly n: string; readonly when: string; readonly said: string }[];
}

const ROW = 8.4;
const HALF = 87;

/**
 * What was made, how and by what it was proved; then everything that happened, on as many pages as it needs.
 * @example recordBodies({ madeTitle: '', made: [], cutTitle: '', cut: [], band: null, verdict: '', fittedTitle: '', fitted: [], nextTitle: '', next: '', signed: [], ledgerTitle: '', ledgerHeads: ['', '', ''], ledger: [] }, 240).length // 1
 */
export function recordBodies(w: RecordWords, low: number): Shape[][] {
  const shapes: Shape[] = [];
  let y = BODY_TOP + 4;
  shapes.push(say(0, y + 2, w.madeTitle, { pt: 12, bold: true }), say(95, y + 2, w.cutTitle, { pt: 12, bold: true }));
  y += 5;
  [w.made, w.cut].forEach((rows, c) => {
    rows.forEach((r, i) => {
      const top = y + i * ROW;
      const x = c * 95;
      // figures stand under one another; words are read more easily in their own face
      const set = { mono: /^\d/.test(r.value), bold: true };
      const size = fitted(r.value, 50, [11.5, 10, 9, 8, 7.5], set);
      shapes.push(
        rule(x, top, x + HALF, top),
        say(x + 1, top + 3.7, r.name, { pt: 9 }),
        say(x + 1, top + 7, r.by, { pt: 7.5 }),
        say(x + HALF, top + 5.6, r.value, { pt: size, ...set, anchor: 'end' }),
      );
    });
  });
  y += Math.max(w.made.length, w.cut.length) * ROW + 4;
  if (w.band) {
    shapes.push(...bandPlot(w.band, y));
    y += 34;
  }
  shapes.push(say(0, y + 3, w.verdict, { pt: 13, bold: true }));
  y += 9;
  const [left, right] = [w.fitted.flatMap((t) => wrapped(t, 9.5, HALF)), wrapped(w.next, 9.5, HALF)];
  const sign = low - 8;
  const most = Math.max(1, Math.floor((sign - 12 - (y + 7)) / lineTall(9.5)));
  shapes.push(
    say(0, y + 2, w.fittedTitle, { pt: 11, bold: true }),
    say(95, y + 2, w.nextTitle, { pt: 11, bold: true }),
  );
  [left, right].forEach((lines, c) =>
    shapes.push(...lines.slice(0, most).map((t, i) => say(c * 95, y + 8 + i * lineTall(9.5), t, { pt: 9.5 }))),
  );
  w.signed.forEach((t, i) => {
    const x = i * 63;
    shapes.push(rule(x, sign, x + 56, sign), say(x, sign + 4, t, { pt: 8 }));
  });
  const over = [...left.slice(most), ...right.slice(most)];
  return [shapes, ...(w.ledger.length + over.length === 0 ? [] : ledgerBodies(w, over, low))];
}

/** What had no room on the first page is said here, before the list. */
function ledgerBodies(w: RecordWords, over: readonly string[], low: number): Shape[][] {
  const [n, when, said] = w.ledgerHeads;
  const rest = over.map((t, i) => say(0, BODY_TOP + 5 + i * lineTall(9.5), t, { pt: 9.5 }));
  const first = BODY_TOP + 6 + over.length * lineTall(9.5);
  const bodies = tabled(
    w.ledger.map((e) => {
      const lines = wrapped(e.said, 9.5, BOX.w - 52);
      return {
        tall: 2.6 + lines.length * lineTall(9.5),
        shapes: (y: number) => [
          rule(0, y, BOX.w, y),
          say(8, y + 4.2, e.n, { pt: 9, mono: true, anchor: 'end' }),
          say(13, y + 4.2, e.when, { pt: 9, mono: true }),
          ...lines.map((t, i) => say(52, y + 4.2 + i * lineTall(9.5), t, { pt: 9.5 })),
        ],
      };
    }),
    { first, next: BODY_TOP + 4, low },
    (y) => [
      say(0, y + 2, w.ledgerTitle, { pt: 11, bold: true }),
      say(8, y + 7, n, { pt: 8, anchor: 'end' }),
      say(13, y + 7, when, { pt: 8 }),
      say(52, y + 7, said, { pt: 8 }),
    ],
    9,
  );
  bodies[0]?.push(...rest);
  return bodies;
}

/** Readings on one scale with what is right, which is hatched. */
function bandPlot(b: NonNullable<RecordWords['band']>, y: number): Shape[] {
  const all = [b.right.min, b.right.max, ...b.readings.map((r) => r.mm)];
  const [lo, hi] = [Math.min(...all), Math.max(...all)];
  const pad = Math.max((hi - lo) * 0.12, 0.01);
  const x = (mm: number): number => 6 + ((mm - lo + pad) / (hi - lo + 2 * pad)) * (BOX.w - 12);
  const axis = y + 24;
  const [l, r] = [x(b.right.min), x(b.right.max)];
  const strokes = Math.max(1, Math.floor((r - l) / 2.4));
  return [
    say(0, y + 3, b.title, { pt: 11, bold: true }),
    say(BOX.w, y + 3, b.said, { pt: 9.5, mono: true, bold: true, anchor: 'end' }),
    box(l, axis - 8, Math.max(r - l, 0.2), 8, true),
    ...Array.from({ length: strokes }, (_, i) => {
      const at = l + ((i + 0.5) * (r - l)) / strokes;
      return rule(at, axis - 8, at, axis);
    }),
    rule(0, axis, BOX.w, axis),
    ...b
      .marks(lo - pad, hi + pad)
      .flatMap((mm) => [
        rule(x(mm), axis, x(mm), axis + 2),
        say(x(mm), axis + 5.4, b.unit(mm), { pt: 8, mono: true, anchor: 'middle' }),
      ]),
    ...b.readings.flatMap((p, i): Shape[] => [
      circle({ x: x(p.mm), y: axis - 4 }, 1.6, { heavy: true }),
      say(x(p.mm), axis - 10 - (i % 2) * 4, p.said, { pt: 7.5, anchor: 'middle' }),
    ]),
  ];
}
