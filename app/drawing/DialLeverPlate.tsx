import { markAt, type HalfNutsRound, type Shut } from '../../core/practice/halfNuts.ts';
import { exact, numberOf } from '../../core/quantity/rational.ts';
import { onCircle, type Spot } from './circle.ts';
import { Plate, type Size } from './Plate.tsx';

interface Props {
  readonly r: HalfNutsRound;
  readonly passed: number;
  /** How they were shut; null: still open. */
  readonly shut: Shut | null;
  /** What it would be, shut now; null: not shown. */
  readonly would: Shut | null;
}

/** Dial with its index, the lever, and below them the thread with the groove that would be cut. */
export function DialLeverPlate(p: Props) {
  return (
    <Plate
      label={`Chasing dial at mark ${(markAt(p.r, p.passed) + 1).toFixed(1)}, half-nuts ${p.shut ? 'shut' : 'open'}`}
      draw={(size) => <Drawing {...p} {...size} />}
    />
  );
}

function Drawing({ r, passed, shut, would, w, h }: Props & Size) {
  const dial = Math.min(w * 0.26, h * 0.27);
  const c = { x: dial + 48, y: dial + 64 };
  const at = markAt(r, passed);
  const point = (i: number, r0: number): Spot => onCircle(c, r0, ((i - at) * 360) / r.marks);
  const pivot = { x: Math.min(w - 120, c.x + dial + 110), y: c.y + dial * 0.4 };
  const arm = dial * 0.95;
  const knob = onCircle(pivot, arm, shut ? 118 : 35);
  const shown = shut ?? would;
  const off = shown ? numberOf(exact(shown.offLeads)) : null;
  const top = h * 0.76;
  const lead = Math.min(w / 5.4, 150);
  const deep = lead * 0.42;
  const first = w / 2 - 3 * lead;
  const teeth = Array.from(
    { length: 8 },
    (_, i) =>
      `L${first + i * lead - lead * 0.42} ${top}L${first + i * lead - lead * 0.06} ${top + deep}L${first + i * lead + lead * 0.06} ${top + deep}L${first + i * lead + lead * 0.42} ${top}`,
  ).join('');
  const home = first + 3 * lead;
  const cut = off === null ? null : home - off * lead;
  return (
    <>
      <path d={`M${c.x} ${c.y - dial - 4}l-13 -24h26z`} fill="var(--scribe)" />
      <circle cx={c.x} cy={c.y} r={dial} fill="rgb(255 255 255 / 0.06)" stroke="var(--scribe)" strokeWidth="3" />
      {Array.from({ length: r.marks }, (_, i) => {
        const [a, b, t] = [point(i, dial), point(i, dial * 0.82), point(i, dial * 0.66)];
        return (
          <g key={i}>
            <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke="var(--scribe)" strokeWidth="4" />
            <text x={t.x} y={t.y + 10} textAnchor="middle" fontSize="28" fontWeight="700" fill="var(--scribe)">
              {i + 1}
            </text>
          </g>
        );
      })}
      {Array.from({ length: r.marks }, (_, i) => {
        const [a, b] = [point(i + 0.5, dial), point(i + 0.5, dial * 0.92)];
        return <path key={i} d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke="var(--scribe2)" strokeWidth="2" />;
      })}
      <circle cx={c.x} cy={c.y} r="6" fill="var(--scribe)" />
      <circle cx={pivot.x} cy={pivot.y} r="30" fill="none" stroke="var(--scribe)" strokeWidth="2.5" />
      <path
        d={`M${pivot.x} ${pivot.y}L${knob.x} ${knob.y}`}
        stroke="var(--steel2)"
        strokeWidth="20"
        strokeLinecap="round"
      />
      <path d={`M${pivot.x} ${pivot.y}L${knob.x} ${knob.y}`} stroke="#fff" strokeWidth="7" strokeLinecap="round" />
      <circle cx={knob.x} cy={knob.y} r="24" fill="url(#steel)" stroke="var(--deep)" strokeWidth="2" />
      <text x={pivot.x + arm * 0.5} y={c.y - dial - 12} fontSize="18" fontWeight="700" fill="var(--scribe)">
        {shut ? '' : 'open'}
      </text>
      <text x={pivot.x - 20} y={pivot.y + 62} fontSize="18" fontWeight="700" fill="var(--scribe)">
        {shut ? 'shut' : ''}
      </text>
      <path
        d={`M-20 ${top}${teeth}L${w + 20} ${top}V${h + 20}H-20Z`}
        fill="url(#hatch)"
        stroke="var(--scribe)"
        strokeWidth="3"
      />
      {cut !== null && off !== null && (
        <>
          <path
            d={`M${cut - lead * 0.42} ${top}L${cut - lead * 0.06} ${top + deep}L${cut + lead * 0.06} ${top + deep}L${cut + lead * 0.42} ${top}`}
            fill={shut && off !== 0 ? 'var(--deep)' : 'none'}
            stroke="var(--straw)"
            strokeWidth="3"
            strokeDasharray={shut ? undefined : '9 7'}
          />
          <text x={w / 2} y={top - 24} textAnchor="middle" fontSize="20" fontWeight="700" fill="var(--scribe)">
            {shut
              ? off === 0
                ? 'in its groove'
                : 'a second groove'
              : off === 0
                ? 'shut now: in its groove'
                : 'shut now: beside it'}
          </text>
        </>
      )}
      {cut === null && (
        <text x="20" y={top - 20} fontSize="18" fontWeight="700" fill="var(--scribe)">
          {'\u25c2 headstock'}
        </text>
      )}
    </>
  );
}
