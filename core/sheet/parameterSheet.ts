import { line, outlineOf, ruler, text, type At, type Shape, type Sheet } from './shapes.ts';

/** What stands on the sheet of a control's figures; the words come from outside. */
export interface ParameterWords {
  readonly title: string;
  readonly under: string;
  readonly facts: readonly (readonly [string, string])[];
  readonly rulerSaid: string;
  readonly heads: readonly [string, string, string];
  readonly rows: readonly { readonly name: string; readonly value: string; readonly how: string }[];
  readonly checksTitle: string;
  readonly checks: readonly string[];
  readonly deeperTitle: string;
  readonly deeper: readonly string[];
  readonly caution: readonly string[];
  readonly z: { readonly start: string; readonly end: string; readonly face: string };
}

/** The travel in one picture: the start, the end and the face along Z, and radii. Places from the face, minus towards the headstock. */
export interface ParameterPath {
  readonly startMm: number;
  readonly endMm: number;
  readonly threadMm: number;
  readonly internal: boolean;
}

const W = 210;
const EDGE = 16;
const ROW = 7;
const PICTURE = { top: 82, low: 108 };

/** One page of the figures that a conversational control is told, each with how it came, A4; letter has the room too. */
export function parameterSheet(path: ParameterPath, w: ParameterWords): Sheet {
  const shapes: Shape[] = [text(EDGE, 22, w.under, 3), text(EDGE, 31, w.title, 6, 'start', true)];
  let y = 40;
  w.facts.forEach(([label, said], i) => {
    const x = EDGE + (i % 2) * 90;
    shapes.push(text(x, y, label, 2.6), text(x + 20, y, said, 3, 'start', true));
    if (i % 2 === 1 || i === w.facts.length - 1) y += 5.5;
  });
  shapes.push(...ruler({ x: EDGE, y: 68 }, 150, 'mm'), text(W - EDGE, 72, w.rulerSaid, 2, 'end'));
  shapes.push(...picture(path, w));
  y = 126;
  const [ask, type, how] = w.heads;
  shapes.push(text(EDGE, y, ask, 2.4), text(EDGE + 80, y, type, 2.4, 'end'), text(EDGE + 86, y, how, 2.4));
  const rule = (at: number): Shape =>
    line('frame', [
      { x: EDGE, y: at },
      { x: W - EDGE, y: at },
    ]);
  for (const row of w.rows) {
    shapes.push(
      rule(y + 2.4),
      text(EDGE, y + ROW, row.name, 2.4, 'start', true),
      text(EDGE + 80, y + ROW, row.value, 3.2, 'end', true),
      text(EDGE + 86, y + ROW, row.how, 2),
    );
    y += ROW;
  }
  shapes.push(rule(y + 2.4));
  y += 11;
  const low = y;
  shapes.push(text(EDGE, y, w.checksTitle, 3.6, 'start', true), text(EDGE + 86, y, w.deeperTitle, 3.6, 'start', true));
  for (const c of w.checks) {
    y += 6;
    shapes.push(
      outlineOf('frame', [
        { x: EDGE, y: y - 3.4 },
        { x: EDGE + 4, y: y - 3.4 },
        { x: EDGE + 4, y: y + 0.6 },
        { x: EDGE, y: y + 0.6 },
      ]),
      text(EDGE + 7, y, c, 2.2),
    );
  }
  shapes.push(...w.deeper.map((said, i) => text(EDGE + 86, low + 5.5 + i * 4.6, said, 2.2)));
  shapes.push(...w.caution.map((said, i) => text(EDGE, 283 + i * 4.4, said, 2.2, 'start', true)));
  return { title: w.title, widthMm: W, heightMm: 297, shapes };
}

/** Along Z to one scale; the depth is not to scale. */
function picture(p: ParameterPath, w: ParameterWords): Shape[] {
  const [far, near] = [
    Math.min(p.startMm, p.endMm, -p.threadMm) * 1.06 - 2,
    Math.max(p.startMm, p.endMm, 0) * 1.06 + 2,
  ];
  const x = (z: number): number => EDGE + 4 + ((z - far) / (near - far)) * (W - 2 * EDGE - 8);
  const metal = p.internal ? PICTURE.low - 12 : PICTURE.low;
  const top = p.internal ? PICTURE.top : PICTURE.low - 18;
  const surface = p.internal ? metal : top;
  const off = p.internal ? 6 : -6;
  const at = (z: number, y: number): At => ({ x: x(z), y });
  return [
    line('thread', [at(far, surface), at(0, surface), at(0, p.internal ? top : PICTURE.low)], { heavy: true }),
    line(
      'thread',
      [
        at(p.startMm, surface + off),
        at(p.startMm, surface - off / 3),
        at(p.endMm, surface - off / 3),
        at(p.endMm, surface + off),
      ],
      {
        dashed: true,
      },
    ),
    line('thread', [at(p.endMm, surface + off), at(p.startMm, surface + off)], { dashed: true }),
    line('frame', [at(0, PICTURE.low + 2), at(0, PICTURE.low + 8)]),
    line('frame', [at(p.startMm, PICTURE.low + 2), at(p.startMm, PICTURE.low + 8)]),
    line('frame', [at(p.endMm, PICTURE.low + 2), at(p.endMm, PICTURE.low + 8)]),
    text(x(0), PICTURE.low + 12, w.z.face, 2.2, 'middle'),
    text(
      Math.min(W - EDGE - 8, x(p.startMm)),
      PICTURE.low + 12 + (Math.abs(x(p.startMm) - x(0)) < 24 ? 4 : 0),
      w.z.start,
      2.8,
      'middle',
      true,
    ),
    text(x(p.endMm), PICTURE.low + 12, w.z.end, 2.2, 'middle', true),
  ];
}
