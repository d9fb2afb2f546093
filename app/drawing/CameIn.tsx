import type { Job } from '../../core/job/schema.ts';

type CameIn = Job['intake']['cameIn'];
type Make = Job['intake']['make'];

const W = 200;
const H = 104;
const AXIS = H / 2;
/** The form in general: nothing is read yet. Crest and root of the little thread that is drawn, px from the axis. */
const R = { outer: 26, inner: 19 };
const STEP = 9;

function teeth(from: number, to: number, s: number, outer: number, inner: number): string {
  const n = Math.max(1, Math.round((to - from) / STEP));
  const step = (to - from) / n;
  const y = (r: number): string => (AXIS + s * r).toFixed(1);
  let d = `M${from} ${y(inner)}`;
  for (let i = 0; i < n; i += 1) {
    const x = from + i * step;
    d += `L${(x + step * 0.3).toFixed(1)} ${y(outer)}L${(x + step * 0.6).toFixed(1)} ${y(outer)}L${(x + step).toFixed(1)} ${y(inner)}`;
  }
  return d;
}

const Screw = ({ from, to, head = true }: { readonly from: number; readonly to: number; readonly head?: boolean }) => (
  <g>
    {head && <rect x={from - 22} y={AXIS - 34} width="16" height="68" fill="url(#sk)" />}
    {head && <path d={`M${from - 6} ${AXIS - R.inner}H${from}M${from - 6} ${AXIS + R.inner}H${from}`} />}
    {[-1, 1].map((s) => (
      <path key={s} d={teeth(from, to, s, R.outer, R.inner)} />
    ))}
    <path d={`M${to} ${AXIS - R.inner}V${AXIS + R.inner}M${from} ${AXIS - R.inner}V${AXIS + R.inner}`} />
    <path
      d={Array.from(
        { length: Math.floor((to - from) / STEP) },
        (_, i) => `M${from + i * STEP + 3} ${AXIS - R.outer + 4}l5 ${2 * R.outer - 8}`,
      ).join('')}
      strokeWidth="0.8"
      opacity="0.6"
    />
  </g>
);

const Nut = ({ from, to }: { readonly from: number; readonly to: number }) => (
  <g>
    {[-1, 1].map((s) => (
      <path
        key={s}
        d={`${teeth(from, to, s, R.outer + 1, R.inner + 1)}V${AXIS + s * 44}H${from}Z`}
        fill="url(#sk)"
        strokeLinejoin="round"
      />
    ))}
  </g>
);

function Drawn({ what }: { readonly what: CameIn | Make }) {
  switch (what) {
    case 'screw':
    case 'external':
      return <Screw from={52} to={168} />;
    case 'nut':
    case 'internal':
      return <Nut from={62} to={138} />;
    case 'both':
      return (
        <>
          <Screw from={36} to={104} />
          <Nut from={122} to={184} />
        </>
      );
    case 'broken-shaft':
      return (
        <>
          <rect x="14" y={AXIS - 22} width="62" height="44" fill="url(#sk)" />
          <Screw from={76} to={130} head={false} />
          <path d={`M132 ${AXIS - 30}l6 12l-8 10l9 12l-7 12l6 14`} stroke="var(--straw)" strokeWidth="2.5" />
          <path d={`M148 ${AXIS - R.inner}H190V${AXIS + R.inner}H150`} strokeDasharray="6 5" />
        </>
      );
  }
}

/** What came in, or what is made of it (dashed: not made yet), in general form. */
export function CameInDrawing({ what, planned = false }: { readonly what: CameIn | Make; readonly planned?: boolean }) {
  return (
    <svg viewBox={`0 0 ${W} ${H}`} aria-hidden className="block w-full">
      <defs>
        <pattern id="sk" width="7" height="7" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
          <path d="M0 0V7" stroke="var(--scribe2)" strokeWidth="1" opacity="0.5" />
        </pattern>
      </defs>
      <path d={`M4 ${AXIS}H${W - 4}`} stroke="var(--scribe2)" strokeDasharray="12 4 3 4" />
      <g
        fill="none"
        stroke="var(--scribe)"
        strokeWidth="1.8"
        strokeLinejoin="round"
        {...(planned ? { strokeDasharray: '5 4' } : {})}
      >
        <Drawn what={what} />
      </g>
    </svg>
  );
}
