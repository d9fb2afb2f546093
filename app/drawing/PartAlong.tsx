import type { PartShape } from '../../core/job/partShape.ts';
import type { Box } from './lensShape.ts';
import { scaleLinear } from 'd3-scale';
import type { WearProfile } from '../../core/evidence/wearMap.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { PartFlags, type Flag } from './PartFlags.tsx';
import { Block, toothed, Worn } from './PartWearDrawing.tsx';

/** Beside its thread a part of unknown size is drawn this share of the thread, dashed. */
const GUESS = { length: 0.16, head: 1.5, stub: 0.82, groove: 0.97 };

/** More crests than this are a grey: the drawing shows the hatch of its lead instead. */
const MOST_CRESTS = 90;

/** Where things lie along the part, px. Of a screw the free end is at the right, of a nut the end where the screw enters at the left. */
export function alongOf(shape: PartShape, box: Box) {
  const screw = shape.side === 'external';
  const len = (b: { readonly lengthMm: number | null } | null): number =>
    b ? (b.lengthMm ?? GUESS.length * shape.lengthMm) : 0;
  const [stub, groove, head] = [len(shape.stub), len(shape.groove), len(shape.head)];
  const total = stub + shape.lengthMm + groove + head;
  const px = box.w / total;
  const x = screw
    ? scaleLinear([0, shape.lengthMm], [box.x + box.w - stub * px, box.x + box.w - (stub + shape.lengthMm) * px])
    : scaleLinear([0, shape.lengthMm], [box.x + stub * px, box.x + (stub + shape.lengthMm) * px]);
  const widest = Math.max(
    shape.outerMm ?? 0,
    (shape.outerMm ?? 0) + shape.taper * shape.lengthMm,
    shape.head?.diameterMm ?? (shape.head ? (shape.outerMm ?? 0) * GUESS.head : 0),
    shape.stub?.diameterMm ?? 0,
    screw ? 0 : (shape.outerMm ?? 0) * 1.5,
  );
  return { x, px, stub: stub * px, groove: groove * px, head: head * px, widest };
}

interface Props {
  readonly shape: PartShape;
  readonly box: Box;
  readonly flags: readonly Flag[];
  readonly wear: WearProfile | null;
  readonly positionMm: number | null;
  readonly system: UnitSystem;
  /** The stretch that the lens enlarges, px along the part. */
  readonly lensPx: number;
}

/** The part along its axis, true to scale: head, groove, thread, plain end, where it was read and what is worn off. */
export function PartAlong({ shape, box, flags, wear, positionMm, system, lensPx }: Props) {
  const { x, px, stub, groove, head, widest } = alongOf(shape, box);
  const screw = shape.side === 'external';
  const axis = box.y + box.h / 2;
  // along and across have one scale until the part would be a thread of hair: then it is drawn thicker
  const across = widest > 0 ? Math.min(box.h / widest, Math.max(px, (box.h * 0.5) / widest)) : 0;
  const r = (mm: number | null, share = 1): number => (mm === null ? box.h * 0.3 * share : (mm / 2) * across);
  const outer = r(shape.outerMm);
  const inner = shape.innerMm === null ? outer * 0.86 : r(shape.innerMm);
  const grow = ((shape.taper * shape.lengthMm) / 2) * across;
  const [free, far] = [x(0), x(shape.lengthMm)];
  const toHead = screw ? -1 : 1;
  const crests = shape.pitchMm ? Math.round(shape.lengthMm / shape.pitchMm) : 0;
  const drawn = crests > 0 && crests <= MOST_CRESTS ? crests : 0;
  return (
    <g>
      <path d={`M${box.x - 12} ${axis}H${box.x + box.w + 12}`} stroke="var(--scribe2)" strokeDasharray="14 4 3 4" />
      {shape.head && (
        <Block
          x={Math.min(far + toHead * groove, far + toHead * (groove + head))}
          w={head}
          axis={axis}
          r={r(shape.head.diameterMm ?? (shape.outerMm === null ? null : shape.outerMm * GUESS.head), GUESS.head)}
          known={shape.head.lengthMm !== null && shape.head.diameterMm !== null}
        />
      )}
      {shape.groove && (
        <Block x={Math.min(far, far + toHead * groove)} w={groove} axis={axis} r={inner * GUESS.groove} known />
      )}
      {shape.stub && (
        <Block
          x={Math.min(free, free - toHead * stub)}
          w={stub}
          axis={axis}
          r={r(shape.stub.diameterMm ?? (shape.innerMm === null ? null : shape.innerMm * GUESS.stub), GUESS.stub)}
          known={shape.stub.lengthMm !== null && shape.stub.diameterMm !== null}
        />
      )}
      {[-1, 1].map((s) => (
        <g key={s}>
          <path
            d={toothed(free, far, axis, s, outer, inner, grow, drawn)}
            fill={screw ? 'none' : 'url(#hatch)'}
            stroke="var(--scribe)"
            strokeWidth="2"
            strokeLinejoin="round"
            {...(shape.lengthKnown && shape.outerMm !== null ? {} : { strokeDasharray: '8 5' })}
          />
        </g>
      ))}
      {screw && (
        <path
          d={`M${free} ${axis - outer}L${far} ${axis - outer - grow}V${axis + outer + grow}L${free} ${axis + outer}Z`}
          fill="url(#hatch)"
        />
      )}
      <path
        d={`M${free} ${axis - outer}V${axis + outer}M${far} ${axis - outer - grow}V${axis + outer + grow}`}
        stroke="var(--scribe)"
        strokeWidth="2"
      />
      {positionMm !== null && (
        <path d={`M${x(positionMm)} ${box.y - 6}V${box.y + box.h + 6}`} stroke="var(--straw)" strokeWidth="3" />
      )}
      <PartFlags flags={flags} box={box} x={x} surfaceY={axis - outer} />
      {wear && <Worn wear={wear} x={x} top={box.y + box.h + 10} system={system} end={Math.max(free, far)} />}
      {shape.outerMm !== null && (
        <rect
          x={(free + far) / 2 - lensPx / 2}
          y={axis - outer - grow / 2 - 6}
          width={lensPx}
          height={outer - inner + 14}
          rx="3"
          fill="none"
          stroke="var(--straw)"
          strokeWidth="2"
        />
      )}
    </g>
  );
}
