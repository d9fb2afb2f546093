import type { Quantity } from '../../core/evidence/evidence.ts';
import type { Box, LensShape } from './lensShape.ts';

/** Which line a reading speaks of. */
const LINES: Partial<Record<Quantity, readonly LensShape['pieces'][number]['feature'][]>> = {
  crestFlat: ['crest'],
  crestRadius: ['crest'],
  rootFlat: ['root'],
  rootRadius: ['root'],
  flankAngle: ['leading', 'trailing'],
  leadingFlank: ['leading'],
  trailingFlank: ['trailing'],
};

/** The tooth in the lens: solid where it was read, dashed where it only follows, straw where the next reading is taken. */
export function Lens({
  shape,
  box,
  side,
  has,
  armed,
  settled,
  caption,
}: {
  readonly shape: LensShape;
  readonly box: Box;
  readonly side: 'external' | 'internal';
  readonly has: (q: Quantity) => boolean;
  readonly armed: Quantity;
  /** The thread is accepted: all of its form is known. */
  readonly settled: boolean;
  readonly caption: string;
}) {
  const external = side === 'external';
  const body = external ? box.y + box.h : box.y;
  const first = shape.line.slice(1).split(' ')[0] ?? '0';
  const lastX = shape.line.slice(shape.line.lastIndexOf('L') + 1).split(' ')[0] ?? '0';
  const [outer, inner]: readonly Quantity[][] = external
    ? [
        ['majorDiameter', 'depth'],
        ['minorDiameter', 'depth'],
      ]
    : [['majorDiameter'], ['minorDiameter']];
  const lines = (q: Quantity) =>
    LINES[q] ??
    (outer?.includes(q) ? [external ? 'crest' : 'root'] : inner?.includes(q) ? [external ? 'root' : 'crest'] : []);
  const seen = (f: LensShape['pieces'][number]['feature']): boolean =>
    settled ||
    (f === 'leading' || f === 'trailing'
      ? has('flankAngle') || has(f === 'leading' ? 'leadingFlank' : 'trailingFlank')
      : has(
          f === 'crest' ? (external ? 'majorDiameter' : 'minorDiameter') : external ? 'minorDiameter' : 'majorDiameter',
        ));
  const now = lines(armed);
  return (
    <g>
      <rect
        x={box.x}
        y={box.y}
        width={box.w}
        height={box.h}
        rx="4"
        fill="var(--deep)"
        fillOpacity="0.45"
        stroke="var(--straw)"
        strokeWidth="2.5"
      />
      <path d={`${shape.line}L${lastX} ${body}L${first} ${body}Z`} fill="url(#hatch)" />
      {shape.pieces.map((p, i) => {
        const straw = now.includes(p.feature);
        return (
          <path
            key={i}
            d={p.d}
            fill="none"
            stroke={straw ? 'var(--straw)' : 'var(--scribe)'}
            strokeWidth={straw ? 5 : 3}
            strokeLinejoin="round"
            {...(seen(p.feature) ? {} : { strokeDasharray: '9 6' })}
          />
        );
      })}
      {armed === 'overWires' && shape.at.overWires && (
        <circle
          cx={shape.at.overWires.x}
          cy={shape.at.overWires.y - shape.pitchPx * 0.08}
          r={shape.pitchPx * 0.26}
          fill="url(#steel)"
          stroke="var(--straw)"
          strokeWidth="3"
        />
      )}
      <text
        x={box.x + 12}
        y={external ? box.y + box.h - 12 : box.y + 22}
        fontSize="15"
        fill="var(--scribe2)"
        data-caption
      >
        {caption}
      </text>
    </g>
  );
}
