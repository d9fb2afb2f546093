import { describe, expect, test } from '@jest/globals';
import { demo } from '../testing/bench.ts';
import { pageOf } from '../testing/paper.ts';
import { fitOfJob } from '../../core/job/derive.ts';
import { toolViewOf } from '../../core/job/toolView.ts';
import { ruler, type At, type Layer, type Sheet } from '../../core/sheet/shapes.ts';
import { svgOf } from './svg.ts';

/** Every outline of a layer as it stands in the SVG's own text, in mm: read back, not taken from what drew it. */
function pathsIn(svg: string, layer: Layer): At[][] {
  return [...svg.matchAll(new RegExp(`<path class="${layer}" d="([^"]+)"`, 'g'))].map((m) =>
    (m[1] ?? '')
      .replace(/[MZ]/g, '')
      .split('L')
      .map((xy) => {
        const [x = NaN, y = NaN] = xy.trim().split(/\s+/).map(Number);
        return { x, y };
      }),
  );
}
const sheetOf = (id: string): { sheet: Sheet; svg: string } => {
  const b = demo(id);
  const sheet = pageOf('tool', b);
  return { sheet, svg: svgOf(sheet) };
};
const angleDeg = (a: At | undefined, b: At | undefined): number =>
  a && b ? (Math.atan2(Math.abs(b.x - a.x), Math.abs(b.y - a.y)) * 180) / Math.PI : NaN;

describe('the tool sheet, measured on the file it writes', () => {
  const { svg } = sheetOf('demo-sluice');
  test('it is so many mm on paper as in its own units', () => {
    expect(svg).toMatch(/width="210mm" height="297mm" viewBox="0 0 210 297"/);
  });
  test('the rulers: 150 mm along, 100 mm down, 4 in', () => {
    const spans = pathsIn(svg, 'ruler')
      .map(([a, b]) => Math.hypot((b?.x ?? 0) - (a?.x ?? 0), (b?.y ?? 0) - (a?.y ?? 0)))
      .filter((l) => l > 20);
    expect(spans).toEqual([expect.closeTo(150, 3), expect.closeTo(100, 3), expect.closeTo(101.6, 3)]);
  });
  test('the notch is the tool at its own size: tip 2.559, 14.5 degrees, 3.863 deep', () => {
    const job = demo('demo-sluice').job;
    const view = toolViewOf(job);
    const fit = fitOfJob(job);
    const [notch = []] = pathsIn(svg, 'notch');
    const low = notch.filter((p) => Math.abs(p.y - Math.max(...notch.slice(1, -3).map((q) => q.y))) < 1e-3).slice(0, 2);
    const [, mouth, next] = notch;
    expect(Math.abs((low[1]?.x ?? 0) - (low[0]?.x ?? 0))).toBeCloseTo(
      view?.ok ? (view.value.tipFlatMm?.value ?? 0) : 0,
      3,
    );
    expect(angleDeg(mouth, next)).toBeCloseTo(14.5, 2);
    expect((low[0]?.y ?? 0) - (mouth?.y ?? 0)).toBeCloseTo(fit?.depthMm ?? 0, 3);
  });
  test('the wedge has the included angle', () => {
    const [wedge = []] = pathsIn(svg, 'wedge');
    expect(angleDeg(wedge[0], wedge[1]) + angleDeg(wedge[2], wedge[3])).toBeCloseTo(29, 2);
  });
  test('the thread: crest to crest is the pitch, 25.4 / 3.5, and it is as deep as its form', () => {
    const [thread = []] = pathsIn(svg, 'thread');
    const top = Math.min(...thread.map((p) => p.y));
    const crests = thread.filter((p) => Math.abs(p.y - top) < 1e-3).map((p) => p.x);
    const apart = crests.slice(2).map((x, i) => x - (crests[i] ?? 0));
    for (const a of apart) expect(a).toBeCloseTo(25.4 / 3.5, 3);
    expect(apart.length).toBeGreaterThan(3);
  });
  test('nothing lies off the paper, and nothing is written on anything else that is', () => {
    for (const id of ['demo-sluice', 'demo-gland', 'demo-brass', 'demo-pump']) {
      const { sheet } = sheetOf(id);
      for (const s of sheet.shapes) {
        const at = s.kind === 'text' ? [s.at] : s.points;
        for (const p of at) {
          expect(p.x).toBeGreaterThanOrEqual(8);
          expect(p.x).toBeLessThanOrEqual(sheet.widthMm - 6);
          expect(p.y).toBeGreaterThanOrEqual(8);
          expect(p.y).toBeLessThanOrEqual(sheet.heightMm - 8);
        }
      }
    }
  });
  test('a tool for a left-hand thread of unlike flanks has its leading flank at the right', () => {
    const b = demo('demo-sluice');
    if (!b.job.name) throw new Error('no name');
    const thread = {
      ...b.job.name.thread,
      leftHand: true,
      special: { leadingDeg: 3, trailingDeg: 30, depthMm: 4 },
    };
    const job = { ...b.job, name: { ...b.job.name, thread } };
    const view = toolViewOf(job);
    if (!view?.ok) throw new Error('no tool');
    const sheet = pageOf('tool', { job, shop: b.shop });
    const [notch = []] = pathsIn(svgOf(sheet), 'notch');
    const tools = notch.slice(1, -3);
    expect(angleDeg(tools[0], tools[1])).toBeCloseTo(view.value.tool.trailingDeg, 2);
    expect(angleDeg(tools.at(-2), tools.at(-1))).toBeCloseTo(view.value.tool.leadingDeg, 2);
  });
});

test('a ruler of 10 mm has 11 ticks, the first and the last longest', () => {
  const ticks = ruler({ x: 0, y: 0 }, 10, 'mm').filter((s) => s.kind === 'line');
  expect(ticks).toHaveLength(12);
  const lengths = ticks.slice(1).map((s) => (s.kind === 'line' ? -(s.points[1]?.y ?? 0) : 0));
  expect(lengths).toEqual([3.5, 1.5, 1.5, 1.5, 1.5, 2.5, 1.5, 1.5, 1.5, 1.5, 3.5]);
});
