import { gearOutline, type Fitting } from '../gearing/mounting/index.ts';
import { fitted, wrapped } from './measure.ts';
import { BODY_TOP, BOX, lineTall, tickBox } from './paper.ts';
import { box, circle, line, moved, rule, say, type At, type Shape } from './shapes.ts';

/** What hangs on the cover of the lathe; the words come from outside. */
export interface GearCardWords {
  readonly train: string;
  /** What drives what, in a sentence or two. */
  readonly sentence: string;
  readonly stud: string;
  readonly leadscrew: string;
  /** Scale and planes, under the drawing; or why there is none. */
  readonly drawing: string;
  /** Short facts in boxes: label and what it is. */
  readonly boxes: readonly (readonly [string, string])[];
  readonly stepsTitle: string;
  readonly steps: readonly string[];
  readonly proofTitle: string;
  /** Turns of the chuck and of the leadscrew; null: too many to count, and the sentence says what to do. */
  readonly turns: {
    readonly spindle: string;
    readonly spindleSaid: string;
    readonly leadscrew: string;
    readonly leadscrewSaid: string;
  } | null;
  readonly proof: string;
}

/** What the drawing may take of the page, mm: what is left beside words and proof, between these. */
const DRAWING = { least: 34, most: 74, words: 12 };
const HATCH_MM = 3.2;

/**
 * One page: the train as large as the page is wide, where each gear goes, and its proof by hand.
 * @example gearCardBodies(null, { train: '60 / 30', sentence: '', stud: '', leadscrew: '', drawing: '', boxes: [], stepsTitle: '', steps: [], proofTitle: '', turns: null, proof: '' }, 240).length // 1
 */
export function gearCardBodies(
  mounted: { readonly mount: Fitting; readonly moduleMm: number } | null,
  w: GearCardWords,
  low: number,
): Shape[][] {
  const size = fitted(w.train, BOX.w, [66, 54, 44, 36, 28, 22], { mono: true, bold: true });
  const sentence = wrapped(w.sentence, 11, BOX.w);
  const said = wrapped(w.drawing, 8.5, BOX.w);
  const steps = stepColumns(w.steps);
  const proof = proofOf(w);
  const top = BODY_TOP + 25 + sentence.length * lineTall(11);
  const under = said.length * lineTall(8.5) + 2 + (w.boxes.length > 0 ? 18 : 0) + 8 + steps.tall + 4 + proof.tall;
  const left = low - top - under - DRAWING.words;
  const tall = mounted ? Math.max(DRAWING.least, Math.min(DRAWING.most, left)) : 0;
  let y = top;
  const shapes: Shape[] = [
    say(0, BODY_TOP + 19, w.train, { pt: size, mono: true, bold: true }),
    ...sentence.map((t, i) => say(0, BODY_TOP + 27 + i * lineTall(11), t, { pt: 11 })),
    ...(mounted ? trainDrawing(mounted.mount, mounted.moduleMm, { top: y, tall }, w) : []),
  ];
  y += mounted ? tall + DRAWING.words : 4;
  shapes.push(...said.map((t, i) => say(0, y + i * lineTall(8.5), t, { pt: 8.5 })));
  y += said.length * lineTall(8.5) + 2;
  shapes.push(...factBoxes(w.boxes, y));
  y += w.boxes.length > 0 ? 18 : 0;
  shapes.push(say(0, y + 2, w.stepsTitle, { pt: 11, bold: true }), ...moved(steps.shapes, 0, y + 8));
  y += 8 + steps.tall + 4;
  // what does not fit under the steps goes to a page of its own, and is not left out
  return y + proof.tall > low
    ? [shapes, moved(proof.shapes, 0, BODY_TOP + 4)]
    : [[...shapes, ...moved(proof.shapes, 0, Math.max(y, low - proof.tall))]];
}

/** Short facts side by side, each as large as its box lets it be. */
function factBoxes(boxes: GearCardWords['boxes'], y: number): Shape[] {
  const wide = (BOX.w - 4 * (boxes.length - 1)) / Math.max(1, boxes.length);
  return boxes.flatMap(([label, value], i) => {
    const x = i * (wide + 4);
    const fits = fitted(value, wide - 5, [15, 12, 10, 8.5], { mono: true, bold: true });
    return [
      box(x, y, wide, 14),
      say(x + 2.5, y + 4.6, label, { pt: fitted(label, wide - 4, [8, 7.5]) }),
      say(x + 2.5, y + 11.4, value, { pt: fits, mono: true, bold: true }),
    ];
  });
}

const STEP_PT = 8.5;
/** The order of fitting in two columns, a step never broken between them. */
function stepColumns(steps: readonly string[]): { readonly shapes: Shape[]; readonly tall: number } {
  const lines = steps.map((s, i) => wrapped(`${i + 1}  ${s}`, STEP_PT, 87));
  const half = Math.ceil(lines.reduce((n, s) => n + s.length, 0) / 2);
  const shapes: Shape[] = [];
  let [column, row, most] = [0, 0, 0];
  for (const one of lines) {
    if (column === 0 && row >= half) [column, row] = [1, 0];
    for (const t of one) {
      shapes.push(say(column * 95, row * lineTall(STEP_PT), t, { pt: STEP_PT }));
      row += 1;
    }
    most = Math.max(most, row);
  }
  return { shapes, tall: Math.max(0, most - 1) * lineTall(STEP_PT) };
}

/** Turns by hand, with a box to tick; from its own top. */
function proofOf(w: GearCardWords): { readonly shapes: Shape[]; readonly tall: number } {
  const lines = wrapped(w.proof, 9, BOX.w - 12);
  const at = 6 + (w.turns ? 12 : 0);
  const shapes: Shape[] = [
    rule(0, 0, BOX.w, 0),
    say(0, 6, w.proofTitle, { pt: 11, bold: true }),
    ...tickBox(BOX.w - 9, 3, 8, false),
    ...lines.map((t, i) => say(0, at + 4 + i * lineTall(9), t, { pt: 9 })),
  ];
  if (w.turns) {
    const { spindle, spindleSaid, leadscrew, leadscrewSaid } = w.turns;
    shapes.push(
      say(60, 13, spindle, { pt: 26, mono: true, bold: true, anchor: 'end' }),
      ...wrapped(spindleSaid, 10, 30).map((t, i) => say(63, 8 + i * 4.6, t, { pt: 10 })),
      say(112, 13, leadscrew, { pt: 26, mono: true, bold: true, anchor: 'end' }),
      ...wrapped(leadscrewSaid, 10, 54).map((t, i) => say(115, 8 + i * 4.6, t, { pt: 10 })),
    );
  }
  return { shapes, tall: at + lines.length * lineTall(9) + 2 };
}

/** The gears seen from the end of the lathe, to one scale; the back plane hatched with strokes, for grounds are not printed. */
function trainDrawing(
  mount: Fitting,
  moduleMm: number,
  { top, tall }: { readonly top: number; readonly tall: number },
  w: GearCardWords,
): Shape[] {
  const tip = (teeth: number): number => (moduleMm * (teeth + 2)) / 2;
  const xs = mount.gears.flatMap((g) => [g.at.x - tip(g.teeth), g.at.x + tip(g.teeth)]);
  const ys = mount.gears.flatMap((g) => [g.at.y - tip(g.teeth), g.at.y + tip(g.teeth)]);
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min((BOX.w - 20) / (maxX - minX), tall / (maxY - minY));
  const left = (BOX.w - (maxX - minX) * scale) / 2;
  const at = (p: At): At => ({ x: left + (p.x - minX) * scale, y: top + (p.y - minY) * scale });
  const end = mount.gears.at(-1);
  const first = mount.gears[0];
  const low = top + (maxY - minY) * scale;
  return [
    ...mount.gears.flatMap((g): Shape[] => {
      const c = at(g.at);
      const r = ((moduleMm * g.teeth) / 2) * scale;
      // a smaller gear keyed behind a larger one is not seen: its pitch circle is dashed
      const hidden =
        g.plane === 1 && mount.gears.some((o) => o.shaft === g.shaft && o.plane === 2 && o.teeth > g.teeth);
      const away = g.plane === 1 ? -1 : 1;
      return [
        hidden
          ? circle(c, r, { dashed: true })
          : {
              kind: 'line',
              on: 'frame',
              closed: true,
              heavy: true,
              points: gearOutline(g.teeth, moduleMm, g.at).map(at),
            },
        ...(g.plane === 1 && !hidden ? hatch(c, r - 1.5 * moduleMm * scale) : []),
        circle(c, Math.max(1.6, 4 * scale), { heavy: true }),
        say(c.x, c.y + away * Math.max(4.5, r * 0.42) + 1.6, String(g.teeth), {
          pt: Math.max(10, Math.min(26, r * 0.9)),
          bold: true,
          anchor: 'middle',
        }),
      ];
    }),
    ...(first ? [say(at(first.at).x, low + 7, w.stud, { pt: 9, bold: true, anchor: 'middle' })] : []),
    ...(end ? [say(at(end.at).x, low + 7, w.leadscrew, { pt: 9, bold: true, anchor: 'middle' })] : []),
  ];
}

/** Chords of a circle at 45 degrees. */
function hatch(c: At, r: number): Shape[] {
  const n = Math.floor(r / HATCH_MM);
  const d = Math.SQRT1_2;
  return Array.from({ length: 2 * n + 1 }, (_, i) => {
    const off = (i - n) * HATCH_MM;
    const half = Math.sqrt(Math.max(0, r * r - off * off));
    return line('frame', [
      { x: c.x + off * d - half * d, y: c.y + off * d + half * d },
      { x: c.x + off * d + half * d, y: c.y + off * d - half * d },
    ]);
  });
}
