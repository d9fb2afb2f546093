import { onCircle, type Spot } from '../../drawing/circle.ts';
import { Arrow } from '../../drawing/marks.tsx';
import { Plate, type Size } from '../../drawing/Plate.tsx';

/** The work turned in the jaws, seen from the tailstock: forward is over the top towards the person, who stands at the left. */
export function TurnPlate({ deg, direction }: { readonly deg: number; readonly direction: 'forward' | 'back' }) {
  return (
    <Plate
      label={`From the tailstock: the work turned ${Math.round(deg)} degrees ${direction} in the jaws`}
      draw={(size) => <Drawing deg={deg} direction={direction} {...size} />}
    />
  );
}

function Drawing({ deg, direction, w, h }: Size & { readonly deg: number; readonly direction: 'forward' | 'back' }) {
  // clear of the field that lies at the lower right
  const c = { x: w * 0.42, y: h * 0.44 };
  const chuck = Math.min(w * 0.38, h * 0.38);
  const work = chuck * 0.38;
  // a counts against the clock from the right, as it is seen
  const at = (r: number, a: number): Spot => onCircle(c, r, 90 - a);
  // seen from the tailstock with the person at the left the spindle turns against the clock when it runs forward
  const sign = direction === 'forward' ? 1 : -1;
  const from = 90 - (sign * deg) / 2;
  const to = 90 + (sign * deg) / 2;
  const ring = work * 0.72;
  const steps = 40;
  const arc = Array.from({ length: steps + 1 }, (_, i) => at(ring, from + ((to - from) * i * 0.92) / steps));
  const tip = at(ring, to);
  const before = arc.at(-4) ?? tip;
  const tick = (a: number, colour: string, width: number) => {
    const [p, q] = [at(work * 0.62, a), at(work, a)];
    return <path d={`M${p.x} ${p.y}L${q.x} ${q.y}`} stroke={colour} strokeWidth={width} />;
  };
  const fw = Array.from({ length: 20 }, (_, i) => at(chuck * 1.08, 20 + i * 2));
  const fwEnd = fw.at(-1) ?? c;
  return (
    <>
      <circle cx={c.x} cy={c.y} r={chuck} fill="none" stroke="var(--scribe)" strokeWidth="2.5" />
      {[90, 210, 330].map((a, i) => (
        <g key={a} transform={`rotate(${90 - a} ${c.x} ${c.y})`}>
          <path
            d={`M${c.x - work * 0.3} ${c.y - chuck * 0.92}h${work * 0.6}V${c.y - work * 1.15}h${-work * 0.16}V${c.y - work}h${-work * 0.28}V${c.y - work * 1.15}h${-work * 0.16}Z`}
            fill="var(--deep)"
            stroke="var(--scribe)"
            strokeWidth="2"
          />
          <text
            x={c.x}
            y={c.y - chuck * 0.62}
            textAnchor="middle"
            fontSize="22"
            fontWeight="700"
            fill="var(--scribe)"
            transform={`rotate(${a - 90} ${c.x} ${c.y - chuck * 0.64})`}
          >
            {i + 1}
          </text>
        </g>
      ))}
      <circle cx={c.x} cy={c.y} r={work} fill="var(--plate2)" stroke="var(--scribe)" strokeWidth="3.5" />
      <path
        d={`M${arc.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}`}
        fill="none"
        stroke="#17130a"
        strokeWidth="12"
      />
      <path
        d={`M${arc.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}`}
        fill="none"
        stroke="var(--straw)"
        strokeWidth="9"
      />
      <Arrow from={before} to={tip} width={9} />
      {tick(from, 'var(--scribe)', 6)}
      {tick(to, 'var(--straw)', 6)}
      <path
        d={`M${fw.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}`}
        fill="none"
        stroke="var(--scribe)"
        strokeWidth="3"
      />
      <path d={`M${fwEnd.x} ${fwEnd.y}l4 16m-4 -16l15 6`} fill="none" stroke="var(--scribe)" strokeWidth="3" />
      <g fill="var(--scribe)" fontSize="18" fontWeight="700">
        <text x="20" y="36">
          From the tailstock
        </text>
        <text x={Math.min(w - 90, c.x + chuck * 0.86)} y={c.y - chuck * 0.86}>
          forward
        </text>
        <text x="20" y={h - 24}>
          {'\u25c2 you'}
        </text>
      </g>
    </>
  );
}
