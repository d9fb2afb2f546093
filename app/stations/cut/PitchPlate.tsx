import type { PitchProof } from '../../../core/job/pitchProof.ts';
import { spanText } from '../../../words/pitch.ts';
import { Compass } from '../../drawing/marks.tsx';
import { Plate, type Size } from '../../drawing/Plate.tsx';
import { useSystem } from '../../store/store.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';

/** The scratch as it will be found, or the way of the carriage, with a rule laid on it: nought at the first. */
export function PitchPlate({ proof }: { readonly proof: PitchProof }) {
  const u = useSystem();
  return (
    <Plate
      label={`${proof.count} ${proof.by === 'turns' ? 'turns' : 'grooves'} against a rule: ${spanText(proof.spanMm, u)}`}
      draw={(size) => <Drawing proof={proof} u={u} {...size} />}
    />
  );
}

function Drawing({ proof, u, w, h }: { readonly proof: PitchProof; readonly u: UnitSystem } & Size) {
  const { count, leadMm, spanMm, by } = proof;
  const left = 56;
  const scale = (w - left - 64) / (spanMm * 1.06);
  const x = (n: number): number => left + n * leadMm * scale;
  const top = h * 0.18;
  const foot = h * 0.5;
  // high enough for its figures, on a low plate too
  const rule = Math.max(56, h * 0.13);
  const lean = Math.min(18, leadMm * scale * 0.4);
  const every = u === 'mm' ? (spanMm > 60 ? 10 : 5) : 25.4 / 4;
  const marks = Array.from({ length: Math.floor((spanMm * 1.06) / every) + 1 }, (_, i) => i);
  const grooves = Array.from({ length: count + 1 }, (_, i) => i);
  return (
    <>
      <Compass w={w} y={30} right={by === 'turns' ? 'the carriage, from above' : 'from above'} />
      <rect
        x="14"
        y={top}
        width={w - 28}
        height={foot - top}
        fill="url(#hatch)"
        stroke="var(--scribe)"
        strokeWidth="2"
      />
      {grooves.map((n) => (
        <path
          key={n}
          d={`M${x(n) + lean} ${top}L${x(n)} ${foot}`}
          stroke={n === 0 || n === count ? 'var(--straw)' : 'var(--scribe)'}
          strokeWidth={n === 0 || n === count ? 4 : 2}
        />
      ))}
      {[0, count].map((n) => (
        <g key={n}>
          <circle cx={x(n)} cy={foot - 26} r="18" fill="var(--straw)" stroke="#12161a" strokeWidth="2" />
          <text x={x(n)} y={foot - 20} textAnchor="middle" fontSize="17" fontWeight="700" fill="#12161a">
            {n}
          </text>
        </g>
      ))}
      <rect x={left - 26} y={foot + 4} width={w - left - 8} height={rule} fill="url(#steel)" stroke="var(--deep)" />
      {marks.map((i) => (
        <g key={i}>
          <path d={`M${left + i * every * scale} ${foot + 4}v24`} stroke="#12161a" strokeWidth="2.5" />
          {(u === 'in' ? i % 4 === 0 : marks.length <= 8 || i % 2 === 0) && (
            <text
              x={left + i * every * scale}
              y={foot + 48}
              textAnchor="middle"
              fontSize="17"
              fontWeight="700"
              fill="#12161a"
            >
              {u === 'in' ? i / 4 : i * every}
            </text>
          )}
        </g>
      ))}
      <path
        d={`M${x(0)} ${foot + 4}v${rule + 26}M${x(count)} ${foot + 4}v${rule + 26}`}
        stroke="var(--straw)"
        strokeWidth="3"
      />
      <text
        x={(x(0) + x(count)) / 2}
        y={foot + rule + 52}
        textAnchor="middle"
        fontSize="28"
        fontWeight="700"
        fontFamily="var(--font-mono)"
        fill="var(--straw)"
      >
        {spanText(spanMm, u)}
      </text>
      <text x="20" y={h - 24} fontSize="17" fill="var(--scribe)">
        {by === 'turns' ? 'one line for each turn of the chuck' : 'count grooves, nought at the first'}
      </text>
    </>
  );
}
