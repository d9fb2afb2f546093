import { readWith, type SlipRound } from '../../core/practice/slip.ts';
import { lengthText } from '../../core/quantity/format.ts';
import { tanDeg, type UnitSystem } from '../../core/quantity/units.ts';
import { Plate, type Size } from './Plate.tsx';

interface Props {
  readonly r: SlipRound;
  /** Answered: what the card gives is drawn beside it. */
  readonly shown: boolean;
  readonly unit: UnitSystem;
}

/** The card on the cover, the groove as it was cut, and the scratch against a rule: all as they would be found. */
export function ScratchPlate(p: Props) {
  const ten = lengthText(p.r.read.tenPitches, p.unit, { stepMm: 0.01, stepIn: 0.001 });
  return (
    <Plate
      label={`Scratch of ${p.r.card.thread}: ten pitches span ${ten}`}
      draw={(size) => <Drawing {...p} {...size} />}
    />
  );
}

function Drawing({ r, shown, unit, w, h }: Props & Size) {
  const { card, read } = r;
  const should = readWith(card, { is: 'nothing' });
  const long = Math.max(should.tenPitches, Math.min(read.tenPitches, 1.35 * should.tenPitches)) * 1.12;
  const x = (mm: number): number => 46 + (mm * (w - 92)) / long;
  const low = h * 0.74;
  const tall = h * 0.1;
  const lines = (ten: number): number[] =>
    Array.from({ length: 12 }, (_, i) => (i * ten) / 10).filter((mm) => mm <= long);
  const rule = Array.from({ length: Math.floor(long) + 1 }, (_, i) => i);
  const every = unit === 'in' ? 25.4 / 8 : 5;
  const marks = Array.from({ length: Math.floor(long / every) + 1 }, (_, i) => i);
  // the groove as it was cut, over the one that it should be
  const scale = Math.min((h * 0.2) / Math.max(read.depth, should.depth), (w * 0.36) / card.pitchMm);
  const c = { x: w * 0.68, y: h * 0.24 };
  const groove = (depth: number, flank: number): string => {
    const half = depth * tanDeg(flank) * scale;
    const flat = 0.1 * card.pitchMm * scale;
    return `M${c.x - half - flat - 60} ${c.y}H${c.x - half - flat}L${c.x - flat} ${c.y + depth * scale}H${c.x + flat}L${c.x + half + flat} ${c.y}H${c.x + half + flat + 60}`;
  };
  return (
    <>
      <g transform="rotate(-1.5 150 90)">
        <rect x="24" y="44" width={Math.min(w * 0.42, 290)} height="118" fill="#fbfaf6" stroke="#12161a" />
        <g fill="#12161a">
          <text x="40" y="72" fontSize="16">
            The card on the cover
          </text>
          <text x="40" y="108" fontSize="24" fontWeight="700" fontFamily="var(--font-mono)">
            {card.drivers.map((n, i) => `${n}/${card.driven[i]}`).join(' \u00d7 ')}
          </text>
          <text x="40" y="142" fontSize="17">
            {card.thread}, {lengthText(card.pitchMm, unit, { stepMm: 0.001, stepIn: 0.0001 })} a turn
          </text>
        </g>
      </g>
      <text x={c.x} y={c.y - 22} textAnchor="middle" fontSize="17" fontWeight="700" fill="var(--scribe)">
        the groove, as it was cut
      </text>
      <path d={groove(read.depth, read.flank)} fill="none" stroke="var(--scribe)" strokeWidth="3.5" />
      {shown && (
        <path
          d={groove(should.depth, should.flank)}
          fill="none"
          stroke="var(--straw)"
          strokeWidth="2.5"
          strokeDasharray="8 6"
        />
      )}
      <rect
        x="24"
        y={low - tall}
        width={w - 48}
        height={tall}
        fill="rgb(255 255 255 / 0.07)"
        stroke="var(--scribe)"
        strokeWidth="2"
      />
      {lines(read.tenPitches).map((mm, i) => (
        <path
          key={i}
          d={`M${x(mm)} ${low - tall}l8 ${tall}`}
          stroke="var(--scribe)"
          strokeWidth={i === 0 || i === 10 ? 5 : 2.5}
        />
      ))}
      {shown &&
        lines(should.tenPitches).map((mm, i) => (
          <path
            key={i}
            d={`M${x(mm)} ${low - tall}l8 ${tall}`}
            stroke="var(--straw)"
            strokeWidth="2"
            strokeDasharray="6 5"
          />
        ))}
      <rect x="24" y={low} width={w - 48} height={h * 0.14} fill="url(#steel)" stroke="var(--deep)" strokeWidth="2" />
      {unit === 'mm' &&
        rule.map((i) => (
          <path key={i} d={`M${x(i) + 8} ${low}v${i % 5 === 0 ? 20 : 11}`} stroke="#12161a" strokeWidth="1.5" />
        ))}
      {marks.map((i) => (
        <g key={i}>
          <path d={`M${x(i * every) + 8} ${low}v26`} stroke="#12161a" strokeWidth="3" />
          {(unit === 'mm' ? i % 2 === 0 : i % 4 === 0) && (
            <text x={x(i * every) + 8} y={low + 52} textAnchor="middle" fontSize="19" fontWeight="700" fill="#12161a">
              {unit === 'mm' ? i * 5 : `${i / 8}`}
            </text>
          )}
        </g>
      ))}
      <text x={w - 30} y={low - tall - 14} textAnchor="end" fontSize="17" fill="var(--scribe)">
        {shown ? 'solid: cut; dashed: as the card has it' : 'the scratch'}
      </text>
    </>
  );
}
