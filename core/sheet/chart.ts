import { includedDeg } from '../form/flanks.ts';
import { outline } from '../form/outline.ts';
import type { ThreadForm } from '../form/shape.ts';
import { sinDeg } from '../quantity/units.ts';
import { wrapped } from './measure.ts';
import { BODY_TOP, BOX, lineTall } from './paper.ts';
import { line, rule, ruler, say, type At, type Shape } from './shapes.ts';

/** How a comparator shows the part: as it lies, upside down, or as in a mirror. */
export const CHART_TURNS = ['upright', 'turned', 'mirror'] as const;
/** One of CHART_TURNS. */
export type ChartTurn = (typeof CHART_TURNS)[number];
/** What each does to a place along and across. */
export const CHART_SIGNS: Readonly<Record<ChartTurn, readonly [1 | -1, 1 | -1]>> = {
  upright: [1, 1],
  turned: [-1, -1],
  mirror: [-1, 1],
};

/** A thread drawn large to be laid under a comparator. */
export interface Chart {
  readonly form: ThreadForm;
  readonly make: 'external' | 'internal';
  readonly pitchMm: number;
  /** Limits of the pitch diameter and the size aimed at, mm. */
  readonly minMm: number;
  readonly aimMm: number;
  readonly maxMm: number;
}
/** Scale and paper of a chart. */
export interface ChartChoice {
  readonly scale: number;
  readonly turn: ChartTurn;
  /** What a printed 100 mm measures along and down the sheet, mm: the chart is drawn so much the other way. */
  readonly along100Mm: number;
  readonly down100Mm: number;
}
/** Words that stand on a chart. */
export interface ChartWords {
  readonly foot: readonly string[];
  /** What is read off it: what, and what is drawn; beside it there is room to write. */
  readonly read: readonly (readonly [what: string, drawn: string])[];
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
/**
 * The tolerance as it shows square to a flank, mm: half the diameter's times sin of the half-angle.
 * @example bandMm({ form: formAt('iso60', 1.5), make: 'external', pitchMm: 1.5, minMm: 8.862, aimMm: 8.928, maxMm: 8.994 }) // 0.033; a quarter of 0.132
 */
export const bandMm = (c: Chart): number => ((c.maxMm - c.minMm) / 2) * sinDeg(includedDeg(c.form) / 2);
/**
 * The least magnification at which the band is two lines wide; null: there is no band.
 * @example leastScale({ form: formAt('iso60', 1.5), make: 'external', pitchMm: 1.5, minMm: 8.862, aimMm: 8.928, maxMm: 8.994 }) // 15.15
 */
export const leastScale = (c: Chart): number | null => (bandMm(c) > 0 ? (2 * LINE_MM) / bandMm(c) : null);

/**
 * The lines of the chart over a width of the part, mm. Shifted along the radius each limit shows square to the flank what the domain calls the band.
 * @example chartLines({ form: formAt('iso60', 1.5), make: 'external', pitchMm: 1.5, minMm: 8.862, aimMm: 8.928, maxMm: 8.994 }, 1.5).aim[0] // { x: -0.75, y: 0.48714 }; a crest, 3 H / 8 over the pitch line
 */
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

/** Room for the form itself, in the box of the paper. */
const ROOM = { w: 162, h: 104, x: 18 + 81, y: BODY_TOP + 58 };
/**
 * The largest whole magnification at which a groove still has room on the sheet.
 * @example mostScale({ form: formAt('iso60', 1.5), make: 'external', pitchMm: 1.5, minMm: 8.862, aimMm: 8.928, maxMm: 8.994 }) // 108
 */
export function mostScale(c: Chart): number {
  const { aim } = chartLines(c, c.pitchMm);
  const ys = aim.map((p) => p.y);
  return Math.floor(Math.min(ROOM.w / c.pitchMm, ROOM.h / (Math.max(...ys) - Math.min(...ys))));
}

/**
 * A chart to lay under a comparator's picture, or to print: form with its tolerance band, rulers both ways. One page.
 * @example chartBodies({ form: formAt('iso60', 1.5), make: 'external', pitchMm: 1.5, minMm: 8.862, aimMm: 8.928, maxMm: 8.994 }, { scale: 50, turn: 'upright', along100Mm: 100, down100Mm: 100 }, { foot: [], read: [] }).length // 1
 */
export function chartBodies(c: Chart, choice: ChartChoice, w: ChartWords): Shape[][] {
  const { scale } = choice;
  const [sx, sy] = [100 / choice.along100Mm, 100 / choice.down100Mm];
  const across = Math.max(1, Math.floor(ROOM.w / (scale * c.pitchMm))) * c.pitchMm;
  const lines = chartLines(c, Math.min(across, ROOM.w / scale));
  const ys = [...lines.out, ...lines.in].map((p) => p.y);
  const lift = (Math.max(...ys) + Math.min(...ys)) / 2;
  const [fx, fy] = CHART_SIGNS[choice.turn];
  const at = (p: At): At => ({ x: ROOM.x + fx * p.x * scale * sx, y: ROOM.y - fy * (p.y - lift) * scale * sy });
  const to = (shape: Shape): Shape =>
    shape.kind === 'text'
      ? { ...shape, at: stretched(shape.at, sx, sy) }
      : { ...shape, points: shape.points.map((p) => stretched(p, sx, sy)) };
  return [
    [
      line('enlarged', lines.out.map(at), { heavy: true }),
      line('enlarged', lines.in.map(at), { heavy: true }),
      line('frame', lines.aim.map(at), { dashed: true }),
      line('frame', [at({ x: 0, y: lift - ROOM.h / 2 / scale }), at({ x: 0, y: lift + ROOM.h / 2 / scale })], {
        dashed: true,
      }),
      line('frame', [at({ x: -ROOM.w / 2 / scale, y: 0 }), at({ x: ROOM.w / 2 / scale, y: 0 })], { dashed: true }),
      ...[...ruler({ x: 0, y: 174 }, 100, 'mm'), ...ruler({ x: 0, y: BODY_TOP + 8 }, 100, 'mm', 'down')].map(to),
      ...ruler({ x: 0, y: 188 }, 4, 'in').map(to),
      ...w.foot
        .flatMap((said, i) => wrapped(said, 9.5, 64).map((t) => ({ t, i })))
        .map(({ t, i }, k) => say(BOX.w - 66, 168 + k * lineTall(9.5), t, { pt: 9.5, bold: i === 0 })),
      ...w.read.flatMap(([what, drawn], i) => {
        const y = 198 + Math.floor(i / 2) * 8;
        const x = (i % 2) * 94;
        return [
          rule(x, y + 2, x + 88, y + 2),
          say(x, y, what, { pt: 9.5 }),
          say(x + 58, y, drawn, { pt: 10.5, mono: true, bold: true, anchor: 'end' }),
        ];
      }),
    ],
  ];
}
const stretched = (p: At, sx: number, sy: number): At => ({
  x: p.x * sx,
  y: BODY_TOP + (p.y - BODY_TOP) * sy,
});
