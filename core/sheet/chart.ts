import { outline } from '../form/outline.ts';
import type { ThreadForm } from '../form/shape.ts';
import { sinDeg } from '../quantity/units.ts';
import { line, ruler, text, type At, type Shape, type Sheet } from './shapes.ts';

/** How a comparator shows the part: as it lies, upside down, or as in a mirror. */
export const CHART_TURNS = ['upright', 'turned', 'mirror'] as const;
export type ChartTurn = (typeof CHART_TURNS)[number];
/** What each does to a place along and across. */
export const CHART_SIGNS: Readonly<Record<ChartTurn, readonly [1 | -1, 1 | -1]>> = {
  upright: [1, 1],
  turned: [-1, -1],
  mirror: [-1, 1],
};

export interface Chart {
  readonly form: ThreadForm;
  readonly make: 'external' | 'internal';
  readonly pitchMm: number;
  /** Limits of the pitch diameter and the size aimed at, mm. */
  readonly minMm: number;
  readonly aimMm: number;
  readonly maxMm: number;
}
export interface ChartChoice {
  readonly scale: number;
  readonly turn: ChartTurn;
  /** What a printed 100 mm measures along and down the sheet, mm: the chart is drawn so much the other way. */
  readonly along100Mm: number;
  readonly down100Mm: number;
}
export interface ChartWords {
  readonly title: string;
  readonly facts: readonly (readonly [string, string])[];
  readonly rulers: string;
  readonly foot: readonly string[];
}
/** Three lines of a chart about one groove, mm at the part's own size: x along the axis from the middle of a groove, y outwards from the pitch line aimed at. */
export interface ChartLines {
  readonly aim: readonly At[];
  /** As far out and as far in as the limits of the pitch diameter allow. */
  readonly out: readonly At[];
  readonly in: readonly At[];
}

/** Width of a drawn line, mm; a band narrower than two of them cannot be seen. Common practice, no source. */
const LINE_MM = 0.25;
/** The tolerance as it shows square to a flank, mm: half the diameter's times sin of the half-angle. */
export const bandMm = (c: Chart): number =>
  ((c.maxMm - c.minMm) / 2) * sinDeg((c.form.leadingFlankDeg + c.form.trailingFlankDeg) / 2);
/** The least magnification at which the band is two lines wide; null: there is no band. */
export const leastScale = (c: Chart): number | null => (bandMm(c) > 0 ? (2 * LINE_MM) / bandMm(c) : null);

/** The lines of the chart over a width of the part, mm. Shifted along the radius each limit shows square to the flank what the domain calls the band. */
export function chartLines(c: Chart, widthMm: number): ChartLines {
  const ridges = 2 * Math.ceil(widthMm / 2 / c.pitchMm) + 2;
  const points = outline({ ...c.form, taper: 0 }, c.make, c.pitchMm, 0, ridges);
  // the line has a screw's grooves on whole pitches, a nut's between them
  const middle = (ridges / 2 + (c.make === 'external' ? 0 : 0.5)) * c.pitchMm;
  const shifted = (by: number): At[] =>
    within(
      points.map((p) => ({ x: p.x - middle, y: p.y + by })),
      widthMm / 2,
    );
  return {
    aim: shifted(0),
    out: shifted((c.maxMm - c.aimMm) / 2),
    in: shifted((c.minMm - c.aimMm) / 2),
  };
}
/** A line cut off at both sides. */
function within(points: readonly At[], half: number): At[] {
  const out: At[] = [];
  points.forEach((p, i) => {
    const before = points[i - 1];
    for (const edge of [-half, half]) {
      if (!before || before.x === p.x || before.x < edge === p.x < edge) continue;
      const t = (edge - before.x) / (p.x - before.x);
      out.push({ x: edge, y: before.y + t * (p.y - before.y) });
    }
    if (Math.abs(p.x) <= half) out.push({ x: p.x, y: p.y });
  });
  return out;
}

const W = 297;
const H = 210;
const EDGE = 14;
/** Room for the form itself. */
const ROOM = { w: 240, h: 112, x: EDGE + 18 + 120, y: 104 };
/** The largest whole magnification at which a groove still has room on the sheet. */
export function mostScale(c: Chart): number {
  const { aim } = chartLines(c, c.pitchMm);
  const ys = aim.map((p) => p.y);
  return Math.floor(Math.min(ROOM.w / c.pitchMm, ROOM.h / (Math.max(...ys) - Math.min(...ys))));
}

/** A chart to lay under a comparator's picture, or to print: form with its tolerance band, rulers both ways. */
export function chartSheet(c: Chart, choice: ChartChoice, w: ChartWords): Sheet {
  const { scale } = choice;
  const [sx, sy] = [100 / choice.along100Mm, 100 / choice.down100Mm];
  const across = Math.max(1, Math.floor(ROOM.w / (scale * c.pitchMm))) * c.pitchMm;
  const lines = chartLines(c, Math.min(across, ROOM.w / scale));
  const ys = [...lines.out, ...lines.in].map((p) => p.y);
  const lift = (Math.max(...ys) + Math.min(...ys)) / 2;
  const [fx, fy] = CHART_SIGNS[choice.turn];
  const at = (p: At): At => ({ x: ROOM.x + fx * p.x * scale * sx, y: ROOM.y - fy * (p.y - lift) * scale * sy });
  const to = (shape: Shape): Shape =>
    shape.kind === 'line'
      ? { ...shape, points: shape.points.map((p) => ({ x: EDGE + (p.x - EDGE) * sx, y: 30 + (p.y - 30) * sy })) }
      : { ...shape, at: { x: EDGE + (shape.at.x - EDGE) * sx, y: 30 + (shape.at.y - 30) * sy } };
  const shapes: Shape[] = [
    text(EDGE, 18, w.title, 6, 'start', true),
    ...w.facts.flatMap(([label, said], i) => [
      text(EDGE + i * 66, 25, label, 2.4),
      text(EDGE + i * 66, 29.5, said, 3, 'start', true),
    ]),
    line('enlarged', lines.out.map(at), { heavy: true }),
    line('enlarged', lines.in.map(at), { heavy: true }),
    line('frame', lines.aim.map(at), { dashed: true }),
    line('frame', [at({ x: 0, y: lift - ROOM.h / 2 / scale }), at({ x: 0, y: lift + ROOM.h / 2 / scale })], {
      dashed: true,
    }),
    line('frame', [at({ x: -ROOM.w / 2 / scale, y: 0 }), at({ x: ROOM.w / 2 / scale, y: 0 })], { dashed: true }),
    ...[...ruler({ x: EDGE, y: 182 }, 100, 'mm'), ...ruler({ x: EDGE, y: 50 }, 100, 'mm', 'down')].map(to),
    ...ruler({ x: 150, y: 182 }, 4, 'in').map(to),
    text(EDGE, 189, w.rulers, 2.6),
    ...w.foot.map((said, i) => text(EDGE, 195 + i * 5, said, 2.6, 'start', i === 0)),
  ];
  return { title: w.title, widthMm: W, heightMm: H, shapes };
}
