import type { PointerEvent } from 'react';
import type { ToolOutline } from '../../core/cutting/tip.ts';
import { Compass } from './marks.tsx';
import { Plate, type Size } from './Plate.tsx';
import { outlinePoints, toolStanding } from './toolPath.ts';

interface Props {
  readonly tool: ToolOutline;
  readonly pitchMm: number;
  readonly leftHand: boolean;
  readonly internal: boolean;
  readonly depthMm: number;
  /** Where the tool's point stands from the middle of the groove, of a pitch, + towards the headstock; null: not touched yet. */
  readonly at: number | null;
  readonly onAt: (fraction: number) => void;
  readonly label: string;
}

/** Lines on the strip, of a pitch: as near as an eye can tell through a loupe. */
export const EYE_STEP = 0.05;

/** One pitch of the old thread, crest to crest, as wide as the plate: touched where the tool's point stands in it. */
export function EyePlate(p: Props) {
  return <Plate label={p.label} draw={(size) => <Drawing {...p} {...size} />} />;
}

function Drawing({ tool, pitchMm, leftHand, internal, depthMm, at, onAt, w, h }: Props & Size) {
  const wide = w - 80;
  const scale = wide / pitchMm;
  const middle = w / 2;
  const up = internal ? 1 : -1;
  const surface = internal ? h * 0.52 : h * 0.46;
  const tall = Math.min(1, (h * 0.3) / (depthMm * scale));
  const y = (depth: number): number => surface + up * depth * scale * tall;
  const groove = outlinePoints(tool, leftHand, depthMm);
  const wall = `M0 ${surface}${[-1, 0, 1]
    .map((i) => groove.map((q) => `L${(middle + i * wide + q.x * scale).toFixed(1)} ${y(q.y).toFixed(1)}`).join(''))
    .join('')}L${w} ${surface}V${internal ? h : 0}H0Z`;
  const steps = Math.round(1 / EYE_STEP);
  const strip = surface - up * 34;
  const touch = (e: PointerEvent<SVGRectElement>): void => {
    const box = e.currentTarget.getBoundingClientRect();
    const x = ((e.clientX - box.left) / box.width) * w;
    // headstock at the left: + towards it
    const fraction = (middle - x) / wide;
    onAt(Math.max(-0.5, Math.min(0.5, Math.round(fraction / EYE_STEP) * EYE_STEP)));
  };
  const x = at === null ? null : middle - at * wide;
  const long = h * 0.26;
  return (
    <>
      <path d={wall} fill="url(#hatch)" />
      <path d={wall.replace(/V[\d.]+H0Z$/, '')} fill="none" stroke="var(--scribe)" strokeWidth="3" />
      <path d={`M${middle - wide / 2} ${strip}H${middle + wide / 2}`} stroke="var(--scribe)" strokeWidth="2" />
      {Array.from({ length: steps + 1 }, (_, i) => {
        const px = middle - wide / 2 + (i * wide) / steps;
        const long2 = i % 5 === 0 ? 22 : 12;
        return (
          <path
            key={i}
            d={`M${px} ${strip}v${-up * long2}`}
            stroke="var(--scribe)"
            strokeWidth={i % 5 === 0 ? 3 : 1.5}
          />
        );
      })}
      <path
        d={`M${middle} ${y(depthMm)}V${strip}`}
        stroke="var(--scribe2)"
        strokeWidth="2"
        strokeDasharray="14 4 3 4"
      />
      {x !== null && (
        <path
          d={toolStanding(tool, leftHand, { x, tipY: strip - up * 14, up, long, scale })}
          fill="url(#steel)"
          stroke="var(--deep)"
          strokeWidth="1.5"
        />
      )}
      <text
        x={middle}
        y={internal ? 74 : h - 24}
        textAnchor="middle"
        fontSize="22"
        fontWeight="700"
        fill="var(--scribe)"
      >
        {x === null ? 'Touch where the point stands between two crests' : 'one pitch, crest to crest'}
      </text>
      <Compass w={w} y={34} right="from above" />
      <rect
        x="0"
        y="44"
        width={w}
        height={h - 44}
        fill="transparent"
        className="cursor-crosshair touch-none"
        onPointerDown={touch}
        onPointerMove={(e) => e.buttons === 1 && touch(e)}
      />
    </>
  );
}
