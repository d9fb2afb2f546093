import type { ToolOutline } from '../../core/cutting/tip.ts';
import { tanDeg } from '../../core/quantity/units.ts';
import type { Move } from '../../core/job/pickupMove.ts';
import { Arrow, Compass } from './marks.tsx';
import { Plate, type Size } from './Plate.tsx';
import { outlinePoints, toolStanding } from './toolPath.ts';

interface Props {
  readonly tool: ToolOutline;
  readonly pitchMm: number;
  readonly leftHand: boolean;
  readonly internal: boolean;
  readonly offsetMm: number | null;
  readonly move: Move | null;
  readonly depthMm: number;
}

/**
 * Tool and grooves from above, to scale, headstock at the left, the person at the bottom: where the tool stands, where it
 * will stand (dashed), and the way between. In a nut the wall lies below and the tool points down.
 */
export function GroovesPlate(p: Props) {
  const where =
    p.offsetMm === null
      ? 'how far the groove is off is not read yet'
      : `the groove is ${Math.abs(p.offsetMm).toFixed(2)} mm ${p.offsetMm >= 0 ? 'towards the headstock' : 'towards the tailstock'}`;
  return <Plate label={`Tool and grooves from above: ${where}`} draw={(size) => <Drawing {...p} {...size} />} />;
}

/** Pitches seen. */
const SEEN = 2.4;

function Drawing({ tool, pitchMm, leftHand, internal, offsetMm, move, depthMm, w, h }: Props & Size) {
  const scale = Math.min((w - 40) / (SEEN * pitchMm), (h * 0.34) / depthMm);
  const up = internal ? 1 : -1;
  const surface = internal ? h * 0.56 : h * 0.42;
  // clear of the field that lies on the plate
  const middle = w * 0.36;
  const y = (depth: number): number => surface + up * depth * scale;
  const groove = outlinePoints(tool, leftHand, depthMm);
  const off = offsetMm ?? 0;
  const count = Math.ceil(w / (pitchMm * scale)) + 2;
  const grooves = Array.from({ length: 2 * count + 1 }, (_, i) => middle - off * scale + (i - count) * pitchMm * scale);
  const wall = `M0 ${surface}${grooves
    .map((gx) => groove.map((q) => `L${(gx + q.x * scale).toFixed(1)} ${y(q.y).toFixed(1)}`).join(''))
    .join('')}L${w} ${surface}V${internal ? h : 0}H0Z`;
  const stand = Math.max(26, h * 0.07);
  const long = h * 0.32;
  const toolAt = (x: number, tipY: number): string => toolStanding(tool, leftHand, { x, tipY, up, long, scale });
  const tipY = surface - up * stand;
  const axial = move && (move.way === 'parallel' ? move.axialMm : move.way === 'angled' ? off : null);
  const target = axial === null || axial === undefined ? null : middle - axial * scale;
  const line = tipY - up * (stand + 40);
  // along an angled slide the tool goes into the work as well; the cross slide takes that back
  const slope =
    move?.way === 'angled' && target !== null
      ? up * Math.sign(move.slideMm) * Math.min(70, Math.abs(target - middle) / tanDeg(move.slideDeg))
      : 0;
  return (
    <>
      <path d={wall} fill="url(#hatch)" />
      <path d={wall.replace(/V[\d.]+H0Z$/, '')} fill="none" stroke="var(--scribe)" strokeWidth="3" />
      {target !== null && (
        <path
          d={toolAt(target, y(depthMm * 0.96))}
          fill="none"
          stroke="var(--straw)"
          strokeWidth="2.5"
          strokeDasharray="8 6"
        />
      )}
      <path d={toolAt(middle, tipY)} fill="url(#steel)" stroke="var(--deep)" strokeWidth="1.5" />
      <path d={`M${middle} ${tipY + up * 24}V${line - up * 20}`} stroke="#12161a" strokeWidth="2.5" />
      {target !== null && Math.abs(target - middle) > 3 && (
        <>
          <path d={`M${target} ${y(depthMm)}V${line - up * 20}`} stroke="var(--straw)" strokeWidth="2" />
          {slope === 0 ? (
            <Arrow width={9} from={{ x: middle, y: line }} to={{ x: target, y: line }} />
          ) : (
            <>
              <Arrow width={9} from={{ x: middle, y: line }} to={{ x: target, y: line + slope }} />
              <path
                d={`M${target} ${line + slope}V${line}m-7 ${slope > 0 ? 10 : -10}l7 ${slope > 0 ? -10 : 10}l7 ${slope > 0 ? 10 : -10}`}
                stroke="var(--scribe)"
                strokeWidth="3"
                fill="none"
              />
            </>
          )}
        </>
      )}
      {offsetMm === null && (
        <text
          x={middle}
          y={internal ? 70 : h - 48}
          textAnchor="middle"
          fontSize="24"
          fontWeight="700"
          fill="var(--straw)"
        >
          how far is the groove off?
        </text>
      )}
      <Compass w={w} y={34} right="from above" />
    </>
  );
}
