import { H, W, numbersOf, Place } from './ThreadPlaceDrawing.tsx';
import type { Quantity } from '../../core/evidence/evidence.ts';
import type { ThreadSpec } from '../../core/standards/thread.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { useMemo } from 'react';
import { sectionOf } from './section.ts';
import { DyeCoat } from './Plate.tsx';

interface DrawnReading {
  readonly quantity: Quantity;
  readonly text: string;
}

interface Props {
  readonly thread: ThreadSpec | null;
  /** The thread is only the likeliest so far. */
  readonly tentative: boolean;
  readonly side: 'external' | 'internal';
  readonly readings: readonly DrawnReading[];
  readonly system: UnitSystem;
  /** Said where nothing was read, in place of what the form would have there: for a drawing to copy from. */
  readonly unread?: string;
  readonly caption?: string;
  /** What is to be made, in place of the form's basic sizes: one figure each. */
  readonly figures?: Partial<Record<Quantity, string>>;
}

/** On a plate lines are scribed. */
const SCRIBED = { '--blue': 'var(--scribe)', '--ink2': 'var(--scribe2)' } as React.CSSProperties;

const PITCHES = 4;

const LEFT = 150;

const RIGHT = 150;

const SHAPE_W = W - LEFT - RIGHT;

/**
 * The thread in axial section, true to the proportion of its form; the body is broken off towards the axis. The places
 * where readings are taken are the dimensions themselves.
 */
export function ThreadDrawing({ thread, tentative, side, readings, system, unread, caption, figures }: Props) {
  const shape = useMemo(() => (thread ? sectionOf(thread, side, PITCHES) : null), [thread, side]);
  const read = (q: Quantity): string | null => {
    const all = readings.filter((r) => r.quantity === q);
    const first = all[0];
    return first === undefined ? null : `${first.text}${all.length > 1 ? ` +${all.length - 1}` : ''}`;
  };
  const dims = thread && unread === undefined ? { ...numbersOf(thread, side, system), ...figures } : {};
  const crestY = 70;
  const scale = shape ? SHAPE_W / shape.width : 1;
  const depthPx = shape ? shape.depth * scale : 70;
  const rootY = crestY + depthPx;
  const external = side === 'external';
  const metal = shape
    ? `${shape.points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${(LEFT + x * scale).toFixed(2)} ${(crestY + y * scale).toFixed(2)}`).join(' ')} `
    : unknownLine(crestY, rootY);
  const closed = external
    ? `${metal} L${LEFT + SHAPE_W} ${H - 30} L${LEFT} ${H - 30} Z`
    : `${metal} L${LEFT + SHAPE_W} 16 L${LEFT} 16 Z`;
  const places: { q: Quantity; x: number; y: number; w: number; known: string | undefined }[] = [
    { q: 'majorDiameter', x: 4, y: crestY - 24, w: LEFT - 14, known: dims.majorDiameter },
    { q: 'minorDiameter', x: 4, y: Math.max(rootY - 24, crestY + 34), w: LEFT - 14, known: dims.minorDiameter },
    { q: 'crestCount', x: LEFT + SHAPE_W / 2 - 75, y: 4, w: 150, known: dims.crestCount },
    { q: 'flankAngle', x: W - RIGHT + 10, y: crestY - 24, w: RIGHT - 14, known: dims.flankAngle },
    { q: 'depth', x: W - RIGHT + 10, y: Math.max(rootY - 24, crestY + 34), w: RIGHT - 14, known: dims.depth },
  ];
  return (
    <figure className="plate on-plate @container relative overflow-hidden">
      <DyeCoat />
      <div className="relative mx-auto w-full max-w-[860px] @lg:aspect-[640/214]">
        <svg
          viewBox={`0 0 ${W} ${H}`}
          className="block w-full @lg:absolute @lg:inset-0 @lg:h-full"
          style={SCRIBED}
          role="img"
          aria-label={
            thread
              ? `Section of ${thread.designation}${tentative ? ', likeliest so far' : ''}`
              : 'Section of a thread not yet known'
          }
        >
          <defs>
            <pattern id="section" width="7" height="7" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
              <path d="M0 0V7" stroke="var(--scribe2)" strokeWidth="1" opacity="0.45" />
            </pattern>
          </defs>
          <path d={closed} fill="url(#section)" stroke="none" />
          <path
            d={metal}
            fill="none"
            stroke="var(--blue)"
            strokeWidth="2.6"
            strokeLinejoin="round"
            strokeDasharray={thread && !tentative ? undefined : '7 5'}
          />
          {external && <path d={breakLine(H - 30)} fill="none" stroke="var(--ink2)" strokeWidth="1.3" />}
          {!external && <path d={breakLine(16)} fill="none" stroke="var(--ink2)" strokeWidth="1.3" />}
          <g stroke="var(--ink2)" strokeWidth="1.1">
            <path d={`M${LEFT - 12} ${crestY}H${LEFT - 2}`} />
            <path d={`M${LEFT - 12} ${rootY}H${LEFT - 2}`} />
            <path d={`M${LEFT + SHAPE_W + 2} ${crestY}h12M${LEFT + SHAPE_W + 2} ${rootY}h12`} />
            <path
              d={`M${LEFT + SHAPE_W / 2 - SHAPE_W / PITCHES / 2} 56V${crestY - 4}M${LEFT + SHAPE_W / 2 + SHAPE_W / PITCHES / 2} 56V${crestY - 4}M${LEFT + SHAPE_W / 2 - SHAPE_W / PITCHES / 2} 60h${SHAPE_W / PITCHES}`}
              fill="none"
            />
          </g>
          <path
            d={`M${LEFT} ${external ? H - 10 : H - 24}H${LEFT + SHAPE_W}`}
            stroke="var(--ink2)"
            strokeWidth="1.2"
            strokeDasharray="14 4 3 4"
          />
          {thread === null && (
            <text x={LEFT + SHAPE_W / 2} y={(H + rootY) / 2} textAnchor="middle" fontSize="15" fill="var(--ink2)">
              not known yet
            </text>
          )}
        </svg>
        {/* where there is no room beside the section the figures stand below it */}
        <div className="grid grid-cols-2 gap-1 px-4 pb-2 @lg:contents">
          {places.map((p) => (
            <Place key={p.q} {...p} side={side} taken={read(p.q)} tentative={tentative} unread={unread ?? '?'} />
          ))}
        </div>
      </div>
      <figcaption className="relative px-4 pb-2 text-sm text-scribe2">
        {caption ??
          (thread
            ? `${thread.designation}${tentative ? ' (likeliest so far)' : ''}: form true to proportion, body broken off.`
            : 'Not known yet.')}
      </figcaption>
    </figure>
  );
}

/** A plain zigzag where nothing is known: no promise about the form. */
function unknownLine(crestY: number, rootY: number): string {
  const step = SHAPE_W / PITCHES / 2;
  return Array.from(
    { length: 2 * PITCHES + 1 },
    (_, i) => `${i === 0 ? 'M' : 'L'}${LEFT + i * step} ${i % 2 === 0 ? rootY : crestY}`,
  ).join(' ');
}

function breakLine(y: number): string {
  const n = 12;
  return Array.from(
    { length: n + 1 },
    (_, i) => `${i === 0 ? 'M' : 'L'}${LEFT + (i * SHAPE_W) / n} ${y + (i % 2 === 0 ? -3 : 3)}`,
  ).join(' ');
}
