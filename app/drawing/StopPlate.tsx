import type { EndView } from '../../core/job/endView.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { lengthText, FINE } from '../../core/quantity/format.ts';
import { Plate, type Size } from './Plate.tsx';
import { LEADS_BEFORE } from '../../core/motion/motion.ts';
import { scaleLinear } from 'd3-scale';
import { Span } from './SpanDrawing.tsx';

interface Props {
  readonly end: EndView;
  readonly internal: boolean;
  readonly leftHand: boolean;
  /** Room in which the tool stops, mm; null: not said. */
  readonly roomMm: number | null;
  readonly lengthMm: number | null;
  readonly leadMm: number;
  readonly freeMm: number | null;
  readonly centre: boolean;
  readonly diameterMm: number;
  readonly depthMm: number;
  readonly system: UnitSystem;
  /** What there is time for, as the one big number: "1.5 s". */
  readonly big: string;
  readonly enough: boolean;
}

const GUESS_LENGTH = 12;

/** Where the tool may go, to scale along the bed: start, thread, room to stop, jaws, shoulder and centre. */
export function StopPlate(p: Props) {
  const mm = (x: number): string => lengthText(x, p.system, FINE);
  return (
    <Plate
      label={`Where the tool may go: ${p.lengthMm === null ? 'length of thread not said' : `thread ${mm(p.lengthMm)}`}, ${p.roomMm === null ? 'room to stop not said' : `room to stop ${mm(p.roomMm)}`}; ${p.big}`}
      className="min-h-96"
      draw={(size) => <Drawing {...p} {...size} />}
    />
  );
}

function Drawing(p: Props & Size) {
  const { end, internal, leftHand, roomMm, lengthMm, leadMm, freeMm, centre, diameterMm, depthMm, system, w, h } = p;
  const length = lengthMm ?? GUESS_LENGTH * leadMm;
  const by = end.end === 'taper-out' || end.end === 'stop' ? (end.clearMm ?? leadMm) : (roomMm ?? leadMm * 2);
  const known = end.end === 'taper-out' || end.end === 'stop' || roomMm !== null;
  const before = LEADS_BEFORE * leadMm;
  const rest = freeMm === null ? null : Math.max(0, freeMm - length - by);
  const shown = Math.min(rest ?? leadMm * 3, length * 0.6);
  const x = scaleLinear([-before * 1.25, length + by + shown], [w - 30, 70]);
  const px = x(0) - x(1);
  const top = Math.max(96, h * 0.36);
  const low = h - 118;
  const half = Math.min((low - top) * 0.86, (diameterMm / 2) * px);
  const surface = internal ? top + 8 : low - 64;
  const far = surface - half;
  const deep = Math.max(7, depthMm * px);
  const into = internal ? -deep : deep;
  const stopAt = x(length + by);
  const crests = Math.min(60, Math.max(4, Math.round(length / leadMm)));
  const pitch = (x(0) - x(length)) / crests;
  const teeth = Array.from(
    { length: crests },
    (_, i) => `L${x(0) - (i + 0.5) * pitch} ${surface - into}L${x(0) - (i + 1) * pitch} ${surface}`,
  ).join('');
  const wide = Math.max(10, (end.toolWidthMm ?? leadMm / 2) * px);
  const grooved = end.end === 'groove' || end.end === 'blind';
  const bare = (mm: number): string => lengthText(mm, system, { ...FINE, bare: true });
  const room = surface + 40;
  const toolAt = x(length);
  return (
    <>
      <text x="22" y="36" fontSize="20" fontWeight="700" fill="var(--scribe)">
        {'\u25c2 headstock'}
      </text>
      <text x={w - 22} y="36" textAnchor="end" fontSize="16" fill="var(--scribe2)">
        from above, you {'\u25be'}
      </text>
      <text
        x={w * 0.46}
        y={Math.max(86, top - 18)}
        textAnchor="middle"
        fontSize="54"
        fontWeight="700"
        fontFamily="var(--font-mono)"
        fill={p.enough ? 'var(--scribe)' : 'var(--stopplate)'}
      >
        {p.big}
      </text>
      {/* the work, its thread at the person's side */}
      <path
        d={`M${x(0)} ${far}V${surface}${teeth}${grooved ? `V${surface - into * 1.15}H${stopAt}V${surface}` : end.end === 'through' ? `V${far}` : `H${stopAt}`}${end.end === 'through' ? '' : `H${x(length + by + shown)}V${far}`}`}
        fill="url(#hatch)"
        stroke="var(--scribe)"
        strokeWidth="2.5"
        strokeDasharray={lengthMm === null ? '8 6' : undefined}
      />
      <path d={`M40 ${internal ? surface + 120 : far}H${w - 16}`} stroke="var(--scribe2)" strokeDasharray="14 4 3 4" />
      {rest !== null && (
        <g>
          <rect
            x="14"
            y={surface - half * 0.5 - 26}
            width={Math.max(20, x(length + by + shown) - 14)}
            height={half * 0.5 + 40}
            fill="var(--deep)"
            stroke="var(--scribe)"
            strokeWidth="2"
          />
          <text x="20" y={surface + 34} fontSize="15" fill="var(--scribe)">
            jaws{shown < rest ? ` ${bare(rest)} further` : ''}
          </text>
        </g>
      )}
      {centre && (
        <path d={`M${x(0)} ${far}l24 -12h18v24h-18Z`} fill="var(--deep)" stroke="var(--scribe)" strokeWidth="2" />
      )}
      {/* the tool at the end of the thread, where the hurry begins */}
      <path
        d={
          internal
            ? `M${toolAt - wide / 2} ${surface - 4}h${wide}v26h-${wide}Z`
            : `M${toolAt - wide / 4} ${surface + 3}h${wide / 2}l${wide / 4} 22v26h-${wide}v-26Z`
        }
        fill="url(#steel)"
        stroke="var(--deep)"
        strokeWidth="2"
      />
      <path
        d={
          leftHand
            ? `M${x(length) + 6} ${room + 34}H${x(0) + before * px * 0.9}m-12 -7l12 7l-12 7`
            : `M${x(-before) - 4} ${room + 34}H${stopAt + 4}m12 -7l-12 7l12 7`
        }
        fill="none"
        stroke="var(--straw)"
        strokeWidth="4"
      />
      <Span
        a={x(0)}
        b={x(length)}
        y={room + 64}
        text={lengthMm === null ? 'not said' : bare(lengthMm)}
        dashed={lengthMm === null}
      />
      <Span a={x(length)} b={stopAt} y={room + 64} text={known ? bare(by) : '?'} dashed={!known} />
      <Span a={x(-before)} b={x(0)} y={room + 64} text={bare(before)} dashed />
    </>
  );
}
