import { scaleLinear } from 'd3-scale';
import type { Lathe } from '../../core/lathe/schema.ts';

const R = 84;
/** More marks than this round the collar are a grey. */
const MOST = 200;

/** The collar of a slide as it is divided: so many to a turn, every tenth struck with its number. */
export function SlideDial({ dial, name }: { readonly dial: Lathe['crossSlide']; readonly name: string }) {
  const turn = Number((dial.division * dial.perTurn).toFixed(6));
  const at = scaleLinear([0, dial.perTurn], [0, 360]);
  const step = dial.perTurn > MOST ? Math.ceil(dial.perTurn / MOST) : 1;
  const marks = Array.from({ length: Math.floor(dial.perTurn / step) }, (_, i) => i * step);
  const every = dial.perTurn >= 40 ? 10 : dial.perTurn >= 20 ? 5 : 1;
  return (
    <svg
      viewBox="-100 -100 200 200"
      className="mx-auto size-40"
      role="img"
      aria-label={`${name}: ${dial.perTurn} divisions of ${dial.division} ${dial.unit}, ${turn} ${dial.unit} a turn of ${dial.reads === 'diameter' ? 'diameter' : 'travel'}`}
    >
      <circle r={R} fill="var(--inset)" stroke="var(--edge)" strokeWidth="2" />
      {marks.map((m) => (
        <path
          key={m}
          d={`M0 ${-R}V${m % every === 0 ? -R + 14 : m % (every / 2) === 0 ? -R + 10 : -R + 6}`}
          transform={`rotate(${at(m)})`}
          stroke="var(--ink)"
          strokeWidth={m % every === 0 ? 1.8 : 0.9}
        />
      ))}
      {marks
        .filter((m) => m % (every * (dial.perTurn / every > 12 ? 2 : 1)) === 0)
        .map((m) => (
          <text
            key={m}
            transform={`rotate(${at(m)}) translate(0 ${-R + 27})`}
            textAnchor="middle"
            fontSize="12"
            fontFamily="var(--font-mono)"
            fill="var(--ink)"
          >
            {m}
          </text>
        ))}
      <path d={`M0 ${-R - 2}l6 -12h-12z`} fill="var(--straw)" stroke="#17130a" />
      <text y="-2" textAnchor="middle" fontSize="19" fontWeight="700" fontFamily="var(--font-mono)" fill="var(--ink)">
        {turn} {dial.unit}
      </text>
      <text y="18" textAnchor="middle" fontSize="13" fill="var(--ink2)">
        {dial.reads === 'diameter' ? 'of diameter a turn' : 'of travel a turn'}
      </text>
    </svg>
  );
}
