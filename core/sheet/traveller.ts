import type { PartShape } from '../job/partShape.ts';
import { fitted, wrapped } from './measure.ts';
import { BODY_TOP, BOX, lineTall, lowest, paragraph, tabled, tickBox } from './paper.ts';
import { box, line, rule, say, type At, type Shape } from './shapes.ts';

/** What goes with the part from bench to bench; the words come from outside. */
export interface TravellerWords {
  /** Sizes written on the drawing; null: not known, and not written. */
  readonly thread: string;
  readonly outer: string | null;
  readonly head: string | null;
  readonly groove: string | null;
  readonly stub: string | null;
  readonly unknown: string;
  readonly heads: readonly [string, string, string, string];
  readonly stations: readonly {
    readonly name: string;
    readonly said: string;
    readonly done: boolean;
    readonly when: string;
  }[];
  readonly partTitle: string;
  readonly part: string;
  readonly notesTitle: string;
}

const DRAWN = { top: BODY_TOP + 10, tall: 28 };
const COLUMN = { said: 22, done: 144, when: 158 };
const ROW = 8.6;

/**
 * One page: the part to be made, every station with what was settled and a box to tick, and room to write.
 * @example travellerBodies(shape(demo('pump')), { thread: '', outer: null, head: null, groove: null, stub: null, unknown: '', heads: ['', '', '', ''], stations: [], partTitle: '', part: '', notesTitle: '' }, 240).length // 1
 */
export function travellerBodies(shape: PartShape, w: TravellerWords, low: number): Shape[][] {
  const first = DRAWN.top + DRAWN.tall + 17;
  const [station, said, done, when] = w.heads;
  const bodies = tabled(
    w.stations.map((s) => {
      const wide = COLUMN.done - COLUMN.said - 4;
      const size = fitted(s.said, wide, [10, 9, 8]);
      const lines = wrapped(s.said, size, wide);
      const tall = Math.max(ROW, 4 + lines.length * lineTall(size));
      return {
        tall,
        shapes: (y: number) => [
          rule(0, y, BOX.w, y),
          say(1, y + 5.7, s.name, { pt: 10.5, bold: true }),
          ...lines.map((t, i) => say(COLUMN.said, y + 5.5 + i * lineTall(size), t, { pt: size })),
          ...tickBox(COLUMN.done, y + (tall - 6) / 2, 6, s.done),
          say(COLUMN.when, y + 5.6, s.when, { pt: 9, mono: true }),
        ],
      };
    }),
    { first, next: BODY_TOP + 4, low },
    (y) => [
      say(1, y, station, { pt: 8 }),
      say(COLUMN.said, y, said, { pt: 8 }),
      say(COLUMN.done - 1, y, done, { pt: 8 }),
      say(COLUMN.when, y, when, { pt: 8 }),
    ],
    3,
  );
  bodies[0]?.unshift(...partDrawing(shape, w));
  const last = bodies.at(-1);
  const under = lowest(last ?? []);
  // room to write is wanted, if on a page of its own
  const end = under + 30 <= low ? under : BODY_TOP - 3;
  const notes = [
    rule(0, end + 3.5, BOX.w, end + 3.5),
    say(0, end + 11, w.partTitle, { pt: 12, bold: true }),
    ...paragraph(0, end + 17.5, wrapped(w.part, 10, 86), 10),
    say(94, end + 11, w.notesTitle, { pt: 12, bold: true }),
    ...[20, 29].map((dy) => rule(94, end + dy, BOX.w, end + dy)),
  ];
  if (end === under) last?.push(...notes);
  else bodies.push(notes);
  return bodies;
}

/** The part along its axis to one scale, the thread as a toothed line; what nobody measured is dashed. */
function partDrawing(s: PartShape, w: TravellerWords): Shape[] {
  const known = (b: PartShape['stub']): number => (b ? (b.lengthMm ?? s.lengthMm * 0.16) : 0);
  const [stub, groove, head] = [known(s.stub), known(s.groove), known(s.head)];
  const outer = s.outerMm ?? s.lengthMm / 3;
  const widest = Math.max(outer + s.taper * s.lengthMm, s.head?.diameterMm ?? 0, s.stub?.diameterMm ?? 0);
  const total = stub + s.lengthMm + groove + head;
  const scale = Math.min((BOX.w - 36) / total, DRAWN.tall / widest);
  const axis = DRAWN.top + DRAWN.tall / 2;
  const screw = s.side === 'external';
  // the free end lies at the right, as it stands out of the chuck
  const x0 = (BOX.w + total * scale) / 2;
  const at = (z: number, dia: number): At => ({ x: x0 - z * scale, y: axis - (dia / 2) * scale });
  const inner = s.innerMm ?? outer * 0.86;
  const free = stub;
  const far = stub + s.lengthMm;
  const crests = s.pitchMm ? Math.min(90, Math.round(s.lengthMm / s.pitchMm)) : 0;
  const dashed = s.lengthKnown && s.outerMm !== null ? {} : ({ dashed: true } as const);
  const profile: At[] =
    crests === 0
      ? [at(free, outer), at(far, outer + s.taper * s.lengthMm)]
      : Array.from({ length: crests }, (_, i) => {
          const grown = (t: number, d: number): At => at(free + s.lengthMm * t, d + s.taper * s.lengthMm * t);
          return [
            grown(i / crests, inner),
            grown((i + 0.3) / crests, outer),
            grown((i + 0.7) / crests, outer),
            grown((i + 1) / crests, inner),
          ];
        }).flat();
  const mirrored = (p: At): At => ({ x: p.x, y: 2 * axis - p.y });
  const shapes: Shape[] = [
    rule(x0 - total * scale - 8, axis, x0 + 8, axis, { dashed: true }),
    line('frame', profile, { heavy: true, ...dashed }),
    line('frame', profile.map(mirrored), { heavy: true, ...dashed }),
    ...[free, far].map((z) => line('frame', [at(z, outer), mirrored(at(z, outer))], { heavy: true })),
  ];
  const block = (from: number, length: number, dia: number | null, sure: boolean): void => {
    const d = dia ?? outer * 1.4;
    const [a, b] = [at(from, d), at(from + length, d)];
    shapes.push({
      kind: 'line',
      on: 'frame',
      closed: true,
      heavy: true,
      points: [a, b, mirrored(b), mirrored(a)],
      ...(sure ? {} : { dashed: true as const }),
    });
  };
  if (!screw) {
    const d = outer * 1.5;
    shapes.push(box(at(far, d).x, at(far, d).y, (far - free) * scale, d * scale, true));
  }
  if (s.stub) block(0, stub, s.stub.diameterMm ?? inner * 0.82, s.stub.diameterMm !== null && s.stub.lengthMm !== null);
  if (s.groove) block(far, groove, inner * 0.97, s.groove.lengthMm !== null);
  if (s.head) block(far + groove, head, s.head.diameterMm, s.head.diameterMm !== null && s.head.lengthMm !== null);
  const under = axis + (Math.max(widest, screw ? 0 : outer * 1.5) / 2) * scale + 7;
  const [l, r] = [at(far, 0).x, at(free, 0).x];
  shapes.push(
    rule(l, under - 4, l, under + 1.5),
    rule(r, under - 4, r, under + 1.5),
    rule(l, under, r, under),
    say((l + r) / 2, under + 4.6, s.lengthKnown ? w.thread : w.unknown, { pt: 10, bold: true, anchor: 'middle' }),
  );
  const above = DRAWN.top - 5;
  const label = (x: number, said: string | null): void => {
    if (said !== null) shapes.push(say(x, above, said, { pt: 10, bold: true, anchor: 'middle' }));
  };
  label((l + r) / 2, w.outer);
  label(at(far + groove + head / 2, 0).x, w.head);
  label(x0 - (stub / 2) * scale, w.stub);
  if (w.groove !== null)
    shapes.push(say(at(far + groove / 2, 0).x, under + 4.6, w.groove, { pt: 9, anchor: 'middle' }));
  return shapes;
}
