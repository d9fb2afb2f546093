import type { ScaleLinear } from 'd3-scale';
import type { Box } from './lensShape.ts';
import { Punched } from './marks.tsx';

/** A place where the part was read. */
export interface Flag {
  readonly id: string;
  readonly positionMm: number;
  readonly text: string;
}

/** A character of a flag, and its edge, px. */
const FLAG = { char: 8.6, edge: 12 };

const flagW = (text: string): number => text.length * FLAG.char + FLAG.edge;

const clamp = (v: number, lo: number, hi: number): number => Math.max(lo, Math.min(hi, v));

const flagY = (box: Box, row: number): number => box.y - 38 - row * 26;

interface Props {
  readonly flags: readonly Flag[];
  readonly box: Box;
  readonly x: ScaleLinear<number, number>;
  /** Where the part's surface is, px. */
  readonly surfaceY: number;
}

/** Where the part was read, with what was read there: in two rows, and one that has no room only as its punch mark. */
export function PartFlags({ flags, box, x, surfaceY }: Props) {
  const rows: number[] = [-Infinity, -Infinity];
  const placed = flags
    .toSorted((a, b) => x(a.positionMm) - x(b.positionMm))
    .map((f) => {
      const at = x(f.positionMm);
      const w = flagW(f.text);
      const left = clamp(at - w / 2, box.x - 14, box.x + box.w + 14 - w);
      const row = rows.findIndex((last) => left >= last + 4);
      if (row >= 0) rows[row] = left + w;
      return { ...f, at, row, left, w };
    });
  return (
    <>
      {placed.map((f) => (
        <g key={f.id}>
          {f.row >= 0 && (
            <>
              <path d={`M${f.at} ${flagY(box, f.row) + 22}V${surfaceY}`} stroke="var(--scribe2)" />
              <rect x={f.left} y={flagY(box, f.row)} width={f.w} height="24" rx="2" fill="var(--panel)" />
              <text
                x={f.left + f.w / 2}
                y={flagY(box, f.row) + 17}
                textAnchor="middle"
                fontSize="14"
                fontWeight="600"
                fontFamily="var(--font-mono)"
                fill="var(--ink)"
              >
                {f.text}
              </text>
            </>
          )}
          <Punched x={f.at} y={surfaceY} />
        </g>
      ))}
    </>
  );
}
