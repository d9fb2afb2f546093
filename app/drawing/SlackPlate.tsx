import type { LatheKind } from '../../core/lathe/schema.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { Arrow, Compass } from './marks.tsx';
import { Plate, type Size } from './Plate.tsx';

interface Props {
  readonly kind: LatheKind;
  readonly leftHand: boolean;
  /** Slack of the carriage against its drive, mm; null: not measured. */
  readonly slackMm: number | null;
  readonly unit: UnitSystem;
}

/**
 * Leadscrew and nut from above, headstock at the left, with the slack between them drawn larger than it is: once it is taken up
 * the screw bears on the flank that drives the carriage in the cut.
 */
export function SlackPlate(p: Props) {
  const way = p.leftHand ? 'towards the tailstock' : 'towards the headstock';
  return (
    <Plate
      label={`The nut on its leadscrew, driven ${way}: the slack lies on the other side`}
      draw={(size) => <Drawing {...p} {...size} />}
    />
  );
}

function Drawing({ kind, leftHand, slackMm, unit, w, h }: Props & Size) {
  const teeth = 4;
  const pitch = (w - 40) / teeth;
  const deep = Math.min(h * 0.2, pitch * 0.55);
  const gap = pitch * 0.07;
  const y = h * 0.5;
  const [crest, flank] = [pitch * 0.32, pitch * 0.14];
  // one side of an Acme-like row of teeth, from the left edge of the plate on
  const row = (shift: number, top: number, to: number): string => {
    let d = '';
    for (let i = -1; i <= teeth + 1; i += 1) {
      const x = i * pitch + shift;
      d += `L${x} ${top}L${x + flank} ${to}L${x + flank + crest} ${to}L${x + 2 * flank + crest} ${top}`;
    }
    return d.slice(1);
  };
  const way = leftHand ? 1 : -1;
  // the nut above stays; the screw below has moved towards the side that it drives
  const nut = `M0 ${y - deep * 1.9}L${row(pitch * 0.5, y - deep * 0.5, y + deep * 0.5)}L${w + pitch} ${y - deep * 1.9}Z`;
  const screw = `M${-pitch} ${y + deep * 2.1}L${row(way * gap, y + deep * 0.62, y - deep * 0.4)}L${w + pitch} ${y + deep * 2.1}Z`;
  const arrowY = y + deep * 1.5;
  const to = leftHand ? w * 0.68 : w * 0.32;
  return (
    <>
      <path d={screw} fill="url(#steel)" stroke="var(--deep)" strokeWidth="1.5" />
      <path d={nut} fill="var(--deep)" />
      <path d={nut} fill="url(#hatch)" stroke="var(--scribe)" strokeWidth="3" />
      <Arrow from={{ x: w - to, y: arrowY }} to={{ x: to, y: arrowY }} width={12} />
      <g fill="var(--scribe)" fontSize="20" fontWeight="700">
        <text x="28" y={y - deep * 1.25}>
          {kind === 'control' || kind === 'electronic' ? 'carriage' : 'half-nuts, shut'}
        </text>
        <text x={w - 28} y={y + deep * 2.1 + 34} textAnchor="end">
          leadscrew
        </text>
        <text x="28" y={h - 62} fontSize="17">
          Slack of the carriage
        </text>
        <text x="28" y={h - 28} fontSize="26" fontFamily="var(--font-mono)">
          {slackMm === null ? 'not measured' : lengthText(slackMm, unit, FINE)}
        </text>
      </g>
      <Compass w={w} y={34} right="from above, slack drawn larger" />
    </>
  );
}
