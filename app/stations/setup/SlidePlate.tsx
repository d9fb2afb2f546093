import { Compass } from '../../drawing/marks.tsx';
import { onCircle, type Spot } from '../../drawing/circle.ts';
import { Plate, type Size } from '../../drawing/Plate.tsx';

interface Props {
  /** From the cross-slide line, as it feeds. */
  readonly deg: number;
  /** Which way the handle is swung, as seen from above with the headstock at the left. */
  readonly handle: 'headstock' | 'tailstock';
  readonly internal: boolean;
  /** What is set now is the slide: its scale is in straw. */
  readonly now: boolean;
}

/** Top slide and work from above, the slide as it lies for this cut, with its scale. */
export function SlidePlate(p: Props) {
  return (
    <Plate
      label={`From above: the top slide swung ${p.deg} degrees, its handle towards the ${p.handle}`}
      draw={(size) => <Drawing {...p} {...size} />}
    />
  );
}

function Drawing({ deg, handle, internal, now, w, h }: Props & Size) {
  const turn = handle === 'tailstock' ? -deg : deg;
  const pivot = { x: w * (internal ? 0.72 : 0.5), y: h * 0.62 };
  const long = h * 0.3;
  const wide = long * 0.42;
  const r = long * 0.86;
  // counted from below, as the person stands
  const at = (a: number, radius: number): Spot => onCircle(pivot, radius, 180 - a);
  const mark = handle === 'tailstock' ? deg : -deg;
  const steps = Array.from({ length: 21 }, (_, i) => (mark * i) / 20);
  const top = at(180 - turn, long);
  const workLow = h * (internal ? 0.3 : 0.24);
  // in a bore the tool's bar comes from the tailstock's side, its tip against the wall at the person's side
  const bar = workLow - 38;
  return (
    <>
      <Compass w={w} y={34} right="from above" />
      {internal ? (
        <>
          <rect
            x={w * 0.14}
            y={h * 0.07 + 18}
            width={w * 0.42}
            height={h * 0.06}
            fill="url(#hatch)"
            stroke="var(--scribe)"
          />
          <rect
            x={w * 0.14}
            y={workLow}
            width={w * 0.42}
            height={h * 0.06}
            fill="url(#hatch)"
            stroke="var(--scribe)"
            strokeWidth="2.5"
          />
        </>
      ) : (
        <rect
          x={w * 0.1}
          y={h * 0.1}
          width={w * 0.8}
          height={workLow - h * 0.1}
          fill="url(#hatch)"
          stroke="var(--scribe)"
          strokeWidth="2.5"
        />
      )}
      <path d={`M10 ${h * 0.17}H${w - 10}`} stroke="var(--scribe2)" strokeDasharray="14 4 3 4" />
      <path d={`M${pivot.x} ${workLow}V${pivot.y + r + 24}`} stroke="var(--scribe2)" strokeDasharray="14 4 3 4" />
      <g transform={`rotate(${turn} ${pivot.x} ${pivot.y})`}>
        <rect
          x={pivot.x - wide / 2}
          y={pivot.y - long}
          width={wide}
          height={long * 1.62}
          rx="4"
          fill="var(--deep)"
          stroke="var(--scribe)"
          strokeWidth="2.5"
        />
        <rect
          x={pivot.x - wide * 0.17}
          y={pivot.y + long * 0.62}
          width={wide * 0.34}
          height={long * 0.18}
          fill="var(--deep)"
          stroke="var(--scribe)"
          strokeWidth="2"
        />
        <circle
          cx={pivot.x}
          cy={pivot.y + long * 0.92}
          r={wide * 0.22}
          fill="var(--deep)"
          stroke="var(--scribe)"
          strokeWidth="2.5"
        />
        <path
          // in a bore it is wound back: it feeds towards the person
          d={
            internal
              ? `M${pivot.x} ${pivot.y - long * 0.62}V${pivot.y + long * 0.3}m-9 -16l9 16l9 -16`
              : `M${pivot.x} ${pivot.y + long * 0.3}V${pivot.y - long * 0.62}m-9 16l9 -16l9 16`
          }
          fill="none"
          stroke="var(--scribe)"
          strokeWidth="4"
        />
      </g>
      <path
        d={
          internal
            ? `M${top.x + 22} ${top.y}V${bar}H${w * 0.3 - 9}v24l9 12l9 -12H${top.x - 22}V${top.y}Z`
            : `M${top.x - 16} ${top.y}V${workLow + 26}l16 -24l16 24V${top.y}Z`
        }
        fill="url(#steel)"
        stroke="var(--deep)"
      />
      <g stroke="var(--scribe)" fill="var(--scribe)" fontSize="16" textAnchor="middle" fontFamily="var(--font-mono)">
        {Array.from({ length: 21 }, (_, i) => i * 5 - 50).map((a) => {
          const [p, q] = [at(a, r), at(a, r + (a % 10 === 0 ? 14 : 8))];
          const t = at(a, r + 30);
          return (
            <g key={a}>
              <path d={`M${p.x} ${p.y}L${q.x} ${q.y}`} strokeWidth="2" />
              {a % 20 === 0 && (
                <text x={t.x} y={t.y + 5} stroke="none">
                  {Math.abs(a)}
                </text>
              )}
            </g>
          );
        })}
      </g>
      {deg !== 0 && (
        <path
          d={`M${steps.map((a) => `${at(a, r - 6).x.toFixed(1)} ${at(a, r - 6).y.toFixed(1)}`).join('L')}`}
          fill="none"
          stroke={now ? 'var(--straw)' : 'var(--scribe2)'}
          strokeWidth="8"
        />
      )}
      <text x="20" y={h - 22} fontSize="18" fontWeight="700" fill="var(--scribe)">
        {'you \u25be'}
      </text>
    </>
  );
}
