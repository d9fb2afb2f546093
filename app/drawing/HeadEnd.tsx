import { alongSlot, armAt, leanTo, type Arm, type Point, type Fitting } from '../../core/gearing/mounting/index.ts';
import { ArmShape } from './ArmShape.tsx';

/** What of the arm is moved, and to what. */
export type Moved =
  | { readonly what: 'centres' | 'boss' | 'shaft'; readonly mm: number }
  | { readonly what: 'from' | 'to' | 'beside'; readonly slot: number; readonly mm: number }
  | { readonly what: 'swing'; readonly end: 'from' | 'to'; readonly deg: number }
  | { readonly what: 'wall'; readonly wall: keyof NonNullable<Arm['cover']>; readonly mm: number };

export interface Handle {
  readonly id: string;
  readonly label: string;
  readonly at: Point;
  readonly value: number;
  readonly unit: 'mm' | 'deg';
  /** What dragging it to a place means. */
  readonly to: (p: Point) => Moved;
  /** What a step of the arrow keys means. */
  readonly by: (steps: number) => Moved;
}

const STEP_MM = 0.5;
const STEP_DEG = 1;
const rounded = (mm: number): number => Math.max(0, Math.round(mm / STEP_MM) * STEP_MM);
const signed = (mm: number): number => Math.round(mm / STEP_MM) * STEP_MM;

/** How far from the pivot the swing is drawn: a little beyond the slots. */
const swingReach = (arm: Arm): number => Math.max(...arm.slots.map((s) => s.toMm)) + 16;
/** Where the arm's line ends when it leans so. */
function swingEnd(arm: Arm, deg: number): Point {
  const { pivot, slots } = armAt({ ...arm, slots: [{ fromMm: 0, toMm: swingReach(arm) }] }, deg);
  return slots[0]?.to ?? pivot;
}

/** Every point of the arm that can be dragged, where it lies at this lean. */
export function handlesOf(arm: Arm, leanDeg: number): Handle[] {
  const { slots } = armAt(arm, leanDeg);
  const length = (
    what: 'centres' | 'boss' | 'shaft',
    label: string,
    at: Point,
    value: number,
    of: (p: Point) => number,
  ): Handle => ({
    id: what,
    label,
    at,
    value,
    unit: 'mm',
    to: (p) => ({ what, mm: rounded(of(p)) }),
    by: (n) => ({ what, mm: rounded(value + n * STEP_MM) }),
  });
  const boss = arm.bossRadiusMm ?? 0;
  const shaft = arm.shaftRadiusMm ?? 0;
  const stud = slots[0]?.to ?? { x: 0, y: 0 };
  const end = { x: arm.centresMm, y: 0 };
  return [
    length('centres', 'First driver to leadscrew, centres', end, arm.centresMm, (p) => Math.hypot(p.x, p.y)),
    length('boss', 'Radius of a stud\u2019s nut', { x: stud.x, y: stud.y - boss }, boss, (p) =>
      Math.hypot(p.x - stud.x, p.y - stud.y),
    ),
    length('shaft', 'Radius of what holds the end gears', { x: 0, y: -shaft }, shaft, (p) => Math.hypot(p.x, p.y)),
    ...arm.slots.flatMap((slot, i): Handle[] => {
      const at = slots[i];
      if (!at) return [];
      const middle = { x: (at.from.x + at.to.x) / 2, y: (at.from.y + at.to.y) / 2 };
      const beside = slot.offsetMm ?? 0;
      return [
        ...(['from', 'to'] as const).map((what): Handle => {
          const value = slot[`${what}Mm`];
          return {
            id: `${what} ${i}`,
            label: `Slot ${i + 1}, ${what === 'from' ? 'nearest' : 'furthest'} place of a stud`,
            at: at[what],
            value,
            unit: 'mm',
            to: (p) => ({ what, slot: i, mm: rounded(alongSlot(arm, leanDeg, slot, p).alongMm) }),
            by: (n) => ({ what, slot: i, mm: rounded(value + n * STEP_MM) }),
          };
        }),
        {
          id: `beside ${i}`,
          label: `Slot ${i + 1}, how far it passes beside the pivot`,
          at: middle,
          value: beside,
          unit: 'mm',
          to: (p) => ({ what: 'beside', slot: i, mm: signed(alongSlot(arm, leanDeg, slot, p).besideMm) }),
          by: (n) => ({ what: 'beside', slot: i, mm: signed(beside + n * STEP_MM) }),
        },
      ];
    }),
    ...(arm.swing
      ? (['from', 'to'] as const).map((which): Handle => {
          const deg = arm.swing?.[`${which}Deg`] ?? 0;
          return {
            id: `swing ${which}`,
            label: `Swing of the arm, ${which}`,
            at: swingEnd(arm, deg),
            value: deg,
            unit: 'deg',
            to: (p) => ({ what: 'swing', end: which, deg: Math.round(leanTo(arm, p)) }),
            by: (n) => ({ what: 'swing', end: which, deg: deg + n * STEP_DEG }),
          };
        })
      : []),
    ...(arm.cover ? walls(arm, arm.cover) : []),
  ];
}

function walls(arm: Arm, cover: NonNullable<Arm['cover']>): Handle[] {
  const c = arm.centresMm;
  const all = [
    ['beyondFirstMm', 'Cover beyond the first driver', { x: -cover.beyondFirstMm, y: 0 }, (p: Point) => -p.x],
    ['beyondLastMm', 'Cover beyond the leadscrew', { x: c + cover.beyondLastMm, y: 0 }, (p: Point) => p.x - c],
    ['oneSideMm', 'Cover below the line of centres', { x: c / 2, y: cover.oneSideMm }, (p: Point) => p.y],
    ['otherSideMm', 'Cover above the line of centres', { x: c / 2, y: -cover.otherSideMm }, (p: Point) => -p.y],
  ] as const;
  return all.map(([wall, label, at, of]) => ({
    id: wall,
    label,
    at,
    value: cover[wall],
    unit: 'mm',
    to: (p) => ({ what: 'wall', wall, mm: rounded(of(p)) }),
    by: (n) => ({ what: 'wall', wall, mm: rounded(cover[wall] + n * STEP_MM) }),
  }));
}

/** What the drawing has to hold, mm. */
export function headBox(arm: Arm): { readonly x: number; readonly y: number; readonly w: number; readonly h: number } {
  const reach = Math.max(...arm.slots.map((s) => s.toMm)) + 30;
  const c = arm.cover;
  const x0 = Math.min(-46, -(c?.beyondFirstMm ?? 0) - 12, arm.centresMm - reach);
  const x1 = Math.max(arm.centresMm + 46, arm.centresMm + (c?.beyondLastMm ?? 0) + 12);
  // the end of the swing lies a little beyond the slot
  const side = arm.swing ? reach : reach * 0.75;
  const y0 = Math.min(-side, -(c?.otherSideMm ?? 0) - 12);
  const y1 = Math.max(side, (c?.oneSideMm ?? 0) + 12);
  return { x: x0, y: y0, w: x1 - x0, h: y1 - y0 };
}

const outline = (g: Fitting['gears'][number], moduleMm: number) => (moduleMm * g.teeth) / 2;

/** The end of the headstock as one looks at it with the cover off: shafts, arm, slots, walls, the train that is on it. */
export function HeadEnd({
  arm,
  leanDeg,
  measured,
  mount,
}: {
  readonly arm: Arm;
  readonly leanDeg: number;
  /** Dashed until it is. */
  readonly measured: boolean;
  readonly mount: Fitting | null;
}) {
  const { pivot, slots } = armAt(arm, leanDeg);
  const c = arm.centresMm;
  const cover = arm.cover;
  const far = swingReach(arm);
  const swing = arm.swing && {
    from: swingEnd(arm, arm.swing.fromDeg),
    to: swingEnd(arm, arm.swing.toDeg),
    wide: Math.abs(arm.swing.toDeg - arm.swing.fromDeg) > 180,
  };
  const dash = measured ? {} : { strokeDasharray: '5 3' };
  return (
    <g>
      {cover && (
        <rect
          x={-cover.beyondFirstMm}
          y={-cover.otherSideMm}
          width={c + cover.beyondFirstMm + cover.beyondLastMm}
          height={cover.oneSideMm + cover.otherSideMm}
          rx="8"
          fill="none"
          stroke="var(--scribe)"
          strokeDasharray="7 4"
        />
      )}
      <path d={`M0 0H${c}`} stroke="var(--scribe2)" strokeWidth="0.7" strokeDasharray="9 2.5 2 2.5" />
      {swing && (
        <path
          d={`M${pivot.x} ${pivot.y}L${swing.from.x} ${swing.from.y}A${far} ${far} 0 ${swing.wide ? 1 : 0} 0 ${swing.to.x} ${swing.to.y}Z`}
          fill="var(--deep)"
          fillOpacity="0.3"
          stroke="var(--scribe2)"
          strokeWidth="0.6"
        />
      )}
      <g {...dash}>
        <ArmShape pivot={pivot} slots={slots} bossMm={arm.bossRadiusMm ?? 8} />
      </g>
      {mount?.gears.map((g, i) => (
        <circle
          key={i}
          cx={g.at.x}
          cy={g.at.y}
          r={outline(g, arm.moduleMm)}
          fill="none"
          stroke="var(--scribe)"
          strokeWidth="0.9"
          strokeDasharray="1.6 1.2"
        />
      ))}
      {[0, c].map((x) => (
        <g key={x}>
          <circle
            cx={x}
            cy={0}
            r={Math.max(2, arm.shaftRadiusMm ?? 8)}
            fill="var(--plate2)"
            stroke="var(--scribe)"
            strokeWidth="1.2"
            {...dash}
          />
          <circle cx={x} cy={0} r="2.4" fill="var(--scribe)" />
        </g>
      ))}
      {slots[0] && (
        <circle
          cx={slots[0].to.x}
          cy={slots[0].to.y}
          r={Math.max(2, arm.bossRadiusMm ?? 8)}
          fill="none"
          stroke="var(--scribe)"
          strokeWidth="1.2"
          {...dash}
        />
      )}
    </g>
  );
}
