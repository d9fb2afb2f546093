import { alongPart } from '../../../../core/job/fromPicture.ts';
import type { EdgeSeen, ProfileRead } from '../../../../core/profile/types.ts';
import { ALONG, lengthText } from '../../../../core/quantity/format.ts';
import { Plate, type Size } from '../../../drawing/Plate.tsx';
import { useSystem } from '../../../store/store.ts';

const MAGNIFIED = [1, 2, 5, 10, 20, 40, 80, 160, 320];
const ROW = 46;

/** What a tooth has lost on the flank that lost more, px; under 0: it stands proud. */
const lostOf = (t: EdgeSeen['teeth'][number]): number => {
  const [l, r] = [t.left, -t.right];
  return Number.isNaN(l) ? r : Number.isNaN(r) || Math.abs(l) >= Math.abs(r) ? l : r;
};

/** What is left over of each edge once pitch and form are taken out, larger; what passes the scale is cut off flat, and said. */
export function LeftOver({
  read,
  freeEnd,
  beginsMm,
}: {
  readonly read: ProfileRead;
  readonly freeEnd: 'left' | 'right';
  readonly beginsMm: number;
}) {
  const system = useSystem();
  const { seen, pxPerMm } = read;
  if (!seen) return null;
  const offs = seen.edges.flatMap((e) => e.teeth.filter((t) => t.used).map((t) => Math.abs(lostOf(t))));
  const typical = offs.length > 0 ? (offs.toSorted((a, b) => a - b)[Math.floor(offs.length * 0.9)] ?? 1) : 1;
  const times = MAGNIFIED.findLast((m) => m * Math.max(0.05, typical) < ROW / 4) ?? 1;
  const place = pxPerMm ? alongPart(read, { freeEnd, beginsMm }) : null;
  const [from, to] = seen.alongPx;
  const most = ROW / 2.3 / times;
  const over = seen.edges.flatMap((e) => e.teeth.map(lostOf)).filter((v) => Math.abs(v) > most);
  const far = over.reduce((m, v) => Math.max(m, Math.abs(v)), 0);
  const draw = ({ w }: Size) => {
    const x = (a: number): number => 58 + ((a - from) / Math.max(1, to - from)) * (w - 84);
    const line = (e: EdgeSeen, y: number): string =>
      e.teeth
        .map((t) => [x(t.along), lostOf(t)] as const)
        .filter(([, v]) => !Number.isNaN(v))
        .map(
          ([at, v], i) =>
            `${i ? 'L' : 'M'}${at.toFixed(1)} ${(y - Math.max(-most, Math.min(most, v)) * times).toFixed(1)}`,
        )
        .join('');
    return (
      <>
        <text x="14" y="24" fill="var(--scribe)" fontSize="15" fontWeight="600">
          {`Left over, \u00d7 ${times}`}
        </text>
        <text x={w - 14} y="24" textAnchor="end" fill="var(--scribe2)" fontSize="14">
          {far > 0
            ? `${pxPerMm ? lengthText(far / pxPerMm.value, system) : `${far.toFixed(1)} px`} off: past this scale`
            : 'all within the scale'}
        </text>
        {seen.edges.map((e, i) => {
          const y = 58 + i * ROW;
          return (
            <g key={e.side}>
              <text x="14" y={y + 5} fill="var(--scribe2)" fontSize="14">
                {e.side === -1 ? 'upper' : 'lower'}
              </text>
              <line x1="58" x2={w - 26} y1={y} y2={y} stroke="var(--scribe2)" strokeWidth="0.8" />
              <path d={line(e, y)} fill="none" stroke="var(--scribe)" strokeWidth="1.8" />
            </g>
          );
        })}
        {place &&
          [0, 0.25, 0.5, 0.75, 1].map((f) => {
            const at = from + f * (to - from);
            return (
              <text
                key={f}
                x={x(at)}
                y={58 + seen.edges.length * ROW}
                textAnchor="middle"
                fill="var(--scribe2)"
                fontSize="13"
                className="num"
              >
                {lengthText(place(at), system, { ...ALONG, bare: f !== 1 })}
              </text>
            );
          })}
      </>
    );
  };
  return (
    <Plate
      label={`What is left over of each edge, ${times} times as large`}
      className={seen.edges.length === 2 ? 'h-43' : 'h-32'}
      draw={draw}
    />
  );
}
