/** A length along the bed between two places, with its figure where it has room. */
export function Span({
  a,
  b,
  y,
  text,
  dashed,
}: {
  readonly a: number;
  readonly b: number;
  readonly y: number;
  readonly text: string;
  readonly dashed: boolean;
}) {
  const [l, r] = [Math.min(a, b), Math.max(a, b)];
  return (
    <g>
      <path
        d={`M${l} ${y - 8}v16M${r} ${y - 8}v16M${l} ${y}H${r}`}
        stroke="var(--scribe)"
        strokeDasharray={dashed ? '5 4' : undefined}
        fill="none"
      />
      <text
        x={(l + r) / 2}
        y={y + 22}
        textAnchor="middle"
        fontSize="16"
        fontFamily="var(--font-mono)"
        fontWeight="700"
        fill="var(--scribe)"
      >
        {text}
      </text>
    </g>
  );
}
