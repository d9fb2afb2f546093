import type { Quantity } from '../../../core/evidence/evidence.ts';
import type { ThreadSpec } from '../../../core/standards/thread.ts';
import { memo, useMemo } from 'react';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem } from '../../store/store.ts';
import { partOf } from '../../../core/job/evidence.ts';
import { layoutOf, ON_DRAWING } from './layout.ts';
import { partShape } from '../../../core/job/partShape.ts';
import { alongOf, PartAlong } from '../../drawing/PartAlong.tsx';
import { lensShape } from '../../drawing/lensShape.ts';
import { PlateDefs } from '../../drawing/Plate.tsx';
import { wearSeen } from '../../../core/job/known.ts';
import { Lens } from '../../drawing/Lens.tsx';

/** Without room for dimensions around it the drawing is this high. */
export const NARROW_H = 420;

/** Readings that lie along the part are drawn there as flags. */
const FLAGGED: readonly Quantity[] = ['majorDiameter', 'minorDiameter', 'pitchDiameter', 'overWires'];

const LENS_RIDGES = 3;

interface DrawingProps {
  readonly w: number;
  readonly h: number;
  readonly wide: boolean;
  readonly thread: ThreadSpec | null;
  readonly settled: boolean;
  readonly armed: Quantity;
  readonly positionMm: number | null;
  readonly onPoint: (mm: number) => void;
}

/** What is drawn: it does not change while a figure is being typed. */
export const ReadDrawing = memo(function ReadDrawing({
  w,
  h,
  wide,
  thread,
  settled,
  armed,
  positionMm,
  onPoint,
}: DrawingProps) {
  const { job } = useJobView();
  const system = useSystem();
  const side = partOf(job);
  const layout = layoutOf({ w, h });
  const part = wide ? layout.part : { x: 22, y: 78, w: w - 44, h: 76 };
  const lensBox = wide ? layout.lens : { x: 12, y: 236, w: w - 24, h: NARROW_H - 248 };
  const shape = useMemo(() => partShape(job, thread), [job, thread]);
  const { x, px } = alongOf(shape, part);
  const lens = lensShape(thread, side, lensBox);
  const own = job.readings.filter((r) => r.member === 'part');
  const flags = own
    .filter((r) => r.positionMm !== null && FLAGGED.includes(r.quantity))
    .map((r) => ({ id: r.id, positionMm: r.positionMm ?? 0, text: r.text }));
  const lensPx = Math.min(part.w * 0.3, Math.max(26, LENS_RIDGES * (shape.pitchMm ?? 5) * px));
  const point = (e: React.MouseEvent<SVGRectElement>): void => {
    const at = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
    if (!at) return;
    onPoint(Math.round(Math.min(shape.lengthMm, Math.max(0, x.invert(((e.clientX - at.left) / at.width) * w)))));
  };
  const believed = thread ? `${thread.designation}${settled ? '' : ', likeliest so far'}` : 'thread not known yet';
  const ends = side === 'external' ? ['\u25c2 head', 'free end \u25b8'] : ['\u25c2 the screw enters', ''];
  return (
    <svg
      viewBox={`0 0 ${w} ${h}`}
      className="absolute inset-0 size-full"
      role="img"
      aria-label={`The part along its length, and its tooth: ${believed}`}
      fontFamily="var(--font-sans)"
    >
      <PlateDefs />
      <g fill="var(--scribe2)" fontSize="15">
        <text x="20" y="26">
          {ends[0]}
        </text>
        <text x={w - 20} y="26" textAnchor="end">
          {ends[1]}
        </text>
      </g>
      <PartAlong
        shape={shape}
        box={part}
        flags={flags}
        wear={wearSeen(job)[0]?.profile ?? null}
        positionMm={positionMm}
        system={system}
        lensPx={lensPx}
      />
      <Lens
        shape={lens}
        box={lensBox}
        side={side}
        has={(q) => own.some((r) => r.quantity === q)}
        armed={armed}
        settled={settled}
        caption={`${believed}${settled ? '' : ' \u00b7 solid: read, dashed: only follows'}`}
      />
      {wide &&
        ON_DRAWING.map((q) => {
          const now = q === armed;
          const d = layout.leader(q, lens.at, now);
          const quiet = own.some((r) => r.quantity === q) ? 0.7 : 0.25;
          return (
            d && (
              <path
                key={q}
                d={d}
                stroke={now ? 'var(--straw)' : 'var(--scribe2)'}
                strokeWidth={now ? 2.5 : 1.2}
                opacity={now ? 1 : quiet}
              />
            )
          );
        })}
      <rect
        x={part.x}
        y={part.y - 12}
        width={part.w}
        height={part.h + 24}
        fill="transparent"
        className="cursor-crosshair"
        onClick={point}
        data-along
      />
    </svg>
  );
});
