/** Marks that mean the same on every plate. */

/** A straw arrow with a dark edge: which way, now. */
export function Arrow({
  from,
  to,
  width = 5,
}: {
  readonly from: { readonly x: number; readonly y: number };
  readonly to: { readonly x: number; readonly y: number };
  readonly width?: number;
}) {
  const long = Math.hypot(to.x - from.x, to.y - from.y);
  if (long < 2) return null;
  const [ux, uy] = [(to.x - from.x) / long, (to.y - from.y) / long];
  const head = Math.min(long, width * 3.4);
  const half = width * 1.6;
  const neck = { x: to.x - ux * head, y: to.y - uy * head };
  const at = (along: number, across: number): string =>
    `${(neck.x + ux * along - uy * across).toFixed(1)} ${(neck.y + uy * along + ux * across).toFixed(1)}`;
  const w = width / 2;
  const tail = -(long - head);
  return (
    <path
      d={`M${at(tail, -w)}L${at(0, -w)}L${at(0, -half)}L${to.x.toFixed(1)} ${to.y.toFixed(1)}L${at(0, half)}L${at(0, w)}L${at(tail, w)}Z`}
      fill="var(--straw)"
      stroke="#17130a"
      strokeWidth="1.5"
      strokeLinejoin="round"
    />
  );
}

/** Prick-punched: read, or done. */
export const Punched = ({ x, y, r = 6 }: { readonly x: number; readonly y: number; readonly r?: number }) => (
  <>
    <circle cx={x} cy={y} r={r} fill="var(--scribe)" />
    <circle cx={x} cy={y} r={r * 0.42} fill="var(--deep)" />
  </>
);

/** Where the headstock is, and from where one looks. */
export function Compass({ w, y, right }: { readonly w: number; readonly y: number; readonly right?: string }) {
  return (
    <g fill="var(--scribe)" fontSize="18" fontWeight="700">
      <text x="20" y={y}>
        {'\u25c2 headstock'}
      </text>
      {right !== undefined && (
        <text x={w - 20} y={y} textAnchor="end" fontWeight="500" fill="var(--scribe2)" fontSize="16">
          {right}
        </text>
      )}
    </g>
  );
}
