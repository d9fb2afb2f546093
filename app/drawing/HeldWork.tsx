import type { Holding, Rest } from '../../core/cutting/holding.ts';

interface Props {
  readonly by: Holding;
  readonly rest: Rest;
  /** Where on the plate, px: the axis' height, half the work's diameter, where the thread begins, the work's ends. */
  readonly axis: number;
  readonly half: number;
  readonly from: number;
  readonly left: number;
  readonly right: number;
  readonly w: number;
  /** Where a steady stands or would have to; null: nowhere. */
  readonly steady: number | null;
}

/** The work between what holds it: jaws or centres, the thread on it, a rest. */
export function HeldWork({ by, rest, axis, half, from, left, right, w, steady }: Props) {
  const nearer = rest !== 'steady';
  const crests = Math.min(90, Math.max(6, Math.round((right - from) / 9)));
  return (
    <>
      <text x="22" y="34" fontSize="20" fontWeight="700" fill="var(--scribe)">
        {'\u25c2 headstock'}
      </text>
      <text x={w - 22} y="34" textAnchor="end" fontSize="16" fill="var(--scribe2)">
        from above
      </text>
      {by === 'centres' ? (
        <path
          d={`M20 ${axis - 22}L${left} ${axis}L20 ${axis + 22}Z`}
          fill="none"
          stroke="var(--scribe)"
          strokeWidth="2.5"
        />
      ) : (
        <g fill="url(#hatch)" stroke="var(--scribe)" strokeWidth="2.5">
          <path d={`M20 ${axis - 52}H${left - 22}V${axis + 52}H20`} />
          <rect x={left - 46} y={axis - half - 18} width="46" height="18" fill="var(--deep)" />
          <rect x={left - 46} y={axis + half} width="46" height="18" fill="var(--deep)" />
        </g>
      )}
      <path
        d={`M${left} ${axis - half}H${right}V${axis + half}H${left}Z`}
        fill="none"
        stroke="var(--scribe)"
        strokeWidth="2.5"
      />
      <path
        d={Array.from({ length: crests }, (_, i) => {
          const at = from + ((right - from) * i) / crests;
          return `M${at} ${axis + half}l4 ${-2 * half}`;
        }).join('')}
        stroke="var(--scribe2)"
        strokeWidth="1.2"
      />
      <path d={`M${left - 30} ${axis}H${w - 14}`} stroke="var(--scribe2)" strokeDasharray="14 4 3 4" />
      {(by === 'chuck-centre' || by === 'centres') && (
        <path d={`M${right} ${axis}l26 -15h16v30h-16Z`} fill="var(--deep)" stroke="var(--scribe)" strokeWidth="2.5" />
      )}
      {rest === 'follow' && (
        <text x={(from + right) / 2} y={axis - half - 12} textAnchor="middle" fontSize="17" fill="var(--scribe)">
          follow rest goes with the tool
        </text>
      )}
      {steady !== null && (
        <g strokeDasharray={nearer ? '5 4' : undefined}>
          <rect
            x={steady - 8}
            y={axis - half - 28}
            width="16"
            height="28"
            fill="url(#steel)"
            stroke="var(--scribe)"
            strokeWidth="2"
          />
          <rect
            x={steady - 8}
            y={axis + half}
            width="16"
            height="28"
            fill="url(#steel)"
            stroke="var(--scribe)"
            strokeWidth="2"
          />
        </g>
      )}
    </>
  );
}
