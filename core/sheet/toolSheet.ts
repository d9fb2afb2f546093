import { leadingReachMm, trailingReachMm } from '../cutting/tip.ts';
import { outline } from '../form/outline.ts';
import type { ThreadForm } from '../form/shape.ts';
import type { ToolView } from '../job/toolView.ts';
import { BODY_TOP, BOX } from './paper.ts';
import { line, outlineOf, ruler, text, type At, type Shape } from './shapes.ts';

/** What is said on the sheet: core draws it, the words come from outside. */
export interface ToolSheetWords {
  readonly enlarged: (scale: number) => string;
  readonly thread: string;
  readonly threadEnlarged: (scale: number) => string;
  readonly notch: string;
  readonly wedge: string;
  readonly angle: string;
  readonly width: (mm: number) => string;
  readonly depth: (mm: number) => string;
  readonly rows: readonly (readonly [string, string, string])[];
}

/** Scales at which the tool may be drawn beside its true size. */
const SCALES = [20, 10, 5, 2, 1];
/** Room for the enlarged tool, mm. */
const ROOM = { w: 62, h: 78 };
const POINTS = 24;
/** Ridges of the thread that are drawn at its own size, and how much sheet a template has round its notch, mm. */
const RIDGES = 4;
const AROUND = 9;

/** The tool's outline as points from the surface to the tip and up again, mm; the tip at y = depth. @param leftHand the leading flank is at the right */
function toolOutline(view: ToolView, heightMm: number, cx: number, tipY: number, scale: number): At[] {
  const [left, right] = view.leftHand ? [trailingReachMm, leadingReachMm] : [leadingReachMm, trailingReachMm];
  const heights = Array.from({ length: POINTS + 1 }, (_, i) => (heightMm * i) / POINTS);
  return [
    ...heights.toReversed().map((h) => ({ x: cx - left(view.tool, h) * scale, y: tipY - h * scale })),
    ...heights.map((h) => ({ x: cx + right(view.tool, h) * scale, y: tipY - h * scale })),
  ];
}

/**
 * The tool to grind, enlarged and with its widths, and at its own size what it is checked by: the thread it cuts, a notch
 * that fits over it, and a wedge of its angle; with rulers both ways by which the print is proved.
 * @example toolSheetBodies(tool(demo('pump')), fit(demo('pump')).form, 'external', { enlarged: () => '', thread: '', threadEnlarged: () => '', notch: '', wedge: '', angle: '', width: () => '', depth: () => '', rows: [] }).length // 1
 */
export function toolSheetBodies(
  view: ToolView,
  form: ThreadForm,
  make: 'external' | 'internal',
  w: ToolSheetWords,
): Shape[][] {
  const shapes: Shape[] = [...ruler({ x: 0, y: BODY_TOP + 4 }, 100, 'mm', 'down')];
  enlarged(shapes, view, w);
  rows(shapes, w);
  threadEnlarged(shapes, view, form, make, w);
  atOwnSize(shapes, view, form, make, w);
  shapes.push(...ruler({ x: 0, y: 223 }, 4, 'in'));
  return [shapes];
}

function enlarged(shapes: Shape[], view: ToolView, w: ToolSheetWords): void {
  const tall = view.depthMm * 1.25;
  const wide = leadingReachMm(view.tool, tall) + trailingReachMm(view.tool, tall);
  const scale = SCALES.find((k) => k * tall <= ROOM.h && k * wide <= ROOM.w) ?? 1;
  const cx = 52;
  const tipY = BODY_TOP + 12 + ROOM.h;
  shapes.push(text(18, BODY_TOP + 7, w.enlarged(scale), 3.6, 'start', true));
  shapes.push(outlineOf('enlarged', toolOutline(view, tall, cx, tipY, scale)));
  const surface = tipY - view.depthMm * scale;
  const half = (h: number): [number, number] => {
    const [l, r] = view.leftHand ? [trailingReachMm, leadingReachMm] : [leadingReachMm, trailingReachMm];
    return [cx - l(view.tool, h) * scale, cx + r(view.tool, h) * scale];
  };
  const [sl, sr] = half(view.depthMm);
  shapes.push(
    line(
      'frame',
      [
        { x: sl, y: surface },
        { x: sr + 8, y: surface },
      ],
      { dashed: true },
    ),
  );
  shapes.push(text((sl + sr) / 2, surface + 5, w.width(view.topWidthMm), 3, 'middle', true));
  shapes.push(text(cx, (tipY + surface) / 2 + 3, w.angle, 6, 'middle', true));
  const at = sr + 5;
  shapes.push(
    line('frame', [
      { x: at, y: surface },
      { x: at, y: tipY },
    ]),
    line(
      'frame',
      [
        { x: cx, y: tipY },
        { x: at + 4, y: tipY },
      ],
      { dashed: true },
    ),
  );
  shapes.push(text(at + 2, (surface + tipY) / 2, w.depth(view.depthMm), 3));
  const [tl, tr] = half(0);
  if (view.tipFlatMm) {
    shapes.push(
      line('frame', [
        { x: tl, y: tipY + 2 },
        { x: tl, y: tipY + 8 },
      ]),
      line('frame', [
        { x: tr, y: tipY + 2 },
        { x: tr, y: tipY + 8 },
      ]),
      line('frame', [
        { x: tl, y: tipY + 6 },
        { x: tr, y: tipY + 6 },
      ]),
      text(cx, tipY + 13, w.width(view.tipFlatMm.value), 4, 'middle', true),
      text(cx, tipY + 18, `${w.width(view.tipFlatMm.least)} \u2013 ${w.width(view.tipFlatMm.most)}`, 2.6, 'middle'),
    );
  }
}

function rows(shapes: Shape[], w: ToolSheetWords): void {
  w.rows.forEach(([name, a, b], i) => {
    const y = BODY_TOP + 8 + i * 6.6;
    shapes.push(text(108, y, name, 2.4), text(164, y, a, 2.6, 'end', true), text(BOX.w, y, b, 2.6, 'end', true));
    shapes.push(
      line('frame', [
        { x: 108, y: y + 1.8 },
        { x: BOX.w, y: y + 1.8 },
      ]),
    );
  });
}

/** Room for the thread enlarged, mm. */
const THREAD_ROOM = { w: 84, h: 38 };
/** What it is drawn at where there is room: a whole ridge rather than two of them smaller. */
const THREAD_SCALE = 10;
/** The thread's own form, a ridge and a half of it, to lay a part or a picture over. */
function threadEnlarged(
  shapes: Shape[],
  view: ToolView,
  form: ThreadForm,
  make: 'external' | 'internal',
  w: ToolSheetWords,
): void {
  const ridges = THREAD_SCALE * 2 * view.pitchMm <= THREAD_ROOM.w ? 2 : 1;
  const points = outline({ ...form, taper: 0 }, make, view.pitchMm, 0, ridges);
  const top = Math.max(...points.map((p) => p.y));
  const tall = top - Math.min(...points.map((p) => p.y));
  const scale = SCALES.find((k) => k * tall <= THREAD_ROOM.h && k * ridges * view.pitchMm <= THREAD_ROOM.w) ?? 1;
  const from = points[0]?.x ?? 0;
  // under the rows beside it, however many they are
  const [x, y] = [98, Math.max(130, BODY_TOP + 8 + w.rows.length * 6.6 + 9)];
  shapes.push(text(x, y - 5, w.threadEnlarged(scale), 3, 'start', true));
  shapes.push(
    line(
      'enlarged',
      points.map((p) => ({ x: x + (p.x - from) * scale, y: y + (top - p.y) * scale })),
      { heavy: true },
    ),
  );
}

function atOwnSize(
  shapes: Shape[],
  view: ToolView,
  form: ThreadForm,
  make: 'external' | 'internal',
  w: ToolSheetWords,
): void {
  const y = 182;
  const deep = view.depthMm;
  // the thread as this side has it, its crests up; a taper is drawn parallel
  const ridges = Math.max(2, Math.min(RIDGES, Math.floor(52 / view.pitchMm)));
  const points = outline({ ...form, taper: 0 }, make, view.pitchMm, 0, ridges);
  const top = Math.max(...points.map((p) => p.y));
  const low = Math.min(...points.map((p) => p.y));
  const x0 = 0;
  const flank = points.map((p) => ({ x: x0 + p.x - (points[0]?.x ?? 0), y: y + (top - p.y) }));
  const right = Math.max(...flank.map((p) => p.x));
  shapes.push(text(x0, y - 5, w.thread, 3, 'start', true));
  shapes.push(
    outlineOf('thread', [...flank, { x: right, y: y + (top - low) + AROUND }, { x: x0, y: y + (top - low) + AROUND }]),
  );
  // a sheet whose notch is the tool to its full depth
  const notchX = 66;
  const width = Math.max(34, view.topWidthMm + 2 * AROUND);
  const notch = toolOutline(view, deep, notchX + width / 2, y + deep, 1);
  shapes.push(text(notchX, y - 5, w.notch, 3, 'start', true));
  shapes.push(
    outlineOf('notch', [
      { x: notchX, y },
      ...notch,
      { x: notchX + width, y },
      { x: notchX + width, y: y + deep + AROUND },
      { x: notchX, y: y + deep + AROUND },
    ]),
  );
  // a wedge of the included angle, to set and grind by
  const wedgeX = 140;
  const tall = 16;
  const tan = (deg: number): number => Math.tan((deg * Math.PI) / 180) * tall;
  const [l, r] = view.leftHand
    ? [view.tool.trailingDeg, view.tool.leadingDeg]
    : [view.tool.leadingDeg, view.tool.trailingDeg];
  shapes.push(text(wedgeX, y - 5, w.wedge, 3, 'start', true));
  shapes.push(
    outlineOf('wedge', [
      { x: wedgeX, y: y + tall },
      { x: wedgeX + tan(l), y },
      { x: wedgeX + tan(l) + 8, y },
      { x: wedgeX + tan(l) + 8 + tan(r), y: y + tall },
    ]),
  );
}
