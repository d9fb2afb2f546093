import { swingEnd, swingReach } from './headHandles.ts';
import { type Arm, armAt, type Fitting } from '../../core/gearing/mounting/index.ts';
import { ArmShape } from './ArmShape.tsx';

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
