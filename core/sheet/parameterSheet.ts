import { fitted, widthOf, wrapped } from './measure.ts';
import { BODY_TOP, BOX, lineTall, lowest, tabled, tickBox } from './paper.ts';
import { line, pt, rule, say, text, type At, type Shape } from './shapes.ts';

/** What stands on the sheet of a control's figures; the words come from outside. */
export interface ParameterWords {
  readonly heads: readonly [string, string, string];
  readonly rows: readonly { readonly name: string; readonly value: string; readonly how: string }[];
  readonly checksTitle: string;
  readonly checks: readonly string[];
  readonly deeperTitle: string;
  readonly deeper: readonly string[];
  readonly z: { readonly start: string; readonly end: string; readonly face: string };
}

/** The travel in one picture: the start, the end and the face along Z, and radii. Places from the face, minus towards the headstock. */
export interface ParameterPath {
  readonly startMm: number;
  readonly endMm: number;
  readonly threadMm: number;
  readonly internal: boolean;
}

const W = BOX.w;
const ROW = 7.4;
const PICTURE = { top: BODY_TOP + 5, low: BODY_TOP + 31 };

/**
 * The figures that a conversational control is told, each with how it came: large, for they are typed from it.
 * @example parameterBodies({ startMm: 6, endMm: -40, threadMm: 40, internal: false }, { heads: ['', '', ''], rows: [], checksTitle: '', checks: [], deeperTitle: '', deeper: [], z: { start: '', end: '', face: '' } }, 240).length // 1
 */
export function parameterBodies(path: ParameterPath, w: ParameterWords, low: number): Shape[][] {
  const [ask, type, how] = w.heads;
  const bodies = tabled(
    w.rows.map((row) => {
      const lines = wrapped(row.how, 8.5, W - 90);
      const tall = Math.max(ROW, 3 + lines.length * lineTall(8.5));
      return {
        tall,
        shapes: (y: number) => [
          rule(0, y, W, y),
          say(0, y + 5.2, row.name, { pt: 10.5, bold: true }),
          say(84, y + 5.4, row.value, {
            pt: fitted(row.value, 84 - widthOf(row.name, pt(10.5), { bold: true }) - 4, [14, 12, 10, 8], {
              mono: true,
              bold: true,
            }),
            mono: true,
            bold: true,
            anchor: 'end',
          }),
          ...lines.map((t, i) => say(90, y + 4.8 + i * lineTall(8.5), t, { pt: 8.5 })),
        ],
      };
    }),
    { first: PICTURE.low + 19, next: BODY_TOP + 4, low },
    (y) => [say(0, y, ask, { pt: 8 }), say(84, y, type, { pt: 8, anchor: 'end' }), say(90, y, how, { pt: 8 })],
    2.5,
  );
  bodies[0]?.unshift(...picture(path, w));
  const end = lowest(bodies.at(-1) ?? []) + 4;
  const deeper = w.deeper.flatMap((t) => wrapped(t, 9, 86));
  const tall = 8 + Math.max(w.checks.length * 7, deeper.length * lineTall(9));
  // what has to be looked at before it runs is not left out for want of room
  const y = end + tall > low ? BODY_TOP + 4 : end;
  if (y !== end) bodies.push([]);
  bodies
    .at(-1)
    ?.push(
      say(0, y + 4, w.checksTitle, { pt: 11, bold: true }),
      say(94, y + 4, w.deeperTitle, { pt: 11, bold: true }),
      ...w.checks.flatMap((c, i) => [
        ...tickBox(0, y + 7 + i * 7, 4.5, false),
        say(7, y + 10.6 + i * 7, c, { pt: 9.5 }),
      ]),
      ...deeper.map((t, i) => say(94, y + 10 + i * lineTall(9), t, { pt: 9 })),
    );
  return bodies;
}

/** Along Z to one scale; the depth is not to scale. */
function picture(p: ParameterPath, w: ParameterWords): Shape[] {
  const [far, near] = [
    Math.min(p.startMm, p.endMm, -p.threadMm) * 1.06 - 2,
    Math.max(p.startMm, p.endMm, 0) * 1.06 + 2,
  ];
  const x = (z: number): number => 4 + ((z - far) / (near - far)) * (W - 8);
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
      Math.min(W - 8, x(p.startMm)),
      PICTURE.low + 12 + (Math.abs(x(p.startMm) - x(0)) < 24 ? 4 : 0),
      w.z.start,
      2.8,
      'middle',
      true,
    ),
    text(x(p.endMm), PICTURE.low + 12, w.z.end, 2.2, 'middle', true),
  ];
}
