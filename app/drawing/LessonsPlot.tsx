import { scaleLinear } from 'd3-scale';
import type { Lesson } from '../../core/job/lesson.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import { toInches, type UnitSystem } from '../../core/quantity/units.ts';
import { LEARNED_WORDS } from '../../words/learned.ts';

const BOX = { w: 320, h: 220, left: 52, right: 12, top: 12, bottom: 30 };
const low = BOX.h - BOX.bottom;
const right = BOX.w - BOX.right;

/** Two plots: passes planned against cut, and how much deeper each job went than planned. */
export function LessonsPlot({ lessons, unit }: { readonly lessons: readonly Lesson[]; readonly unit: UnitSystem }) {
  const most = Math.max(...lessons.flatMap((l) => [l.planned, l.cut])) * 1.08;
  const x = scaleLinear([0, most], [BOX.left, right]).nice(5);
  const y = scaleLinear(x.domain(), [low, BOX.top]);
  const inOrder = lessons.toSorted((a, b) => (a.at < b.at ? -1 : 1));
  // the scale's own round numbers are those of the unit at hand
  const inUnit = (mm: number): number => (unit === 'mm' ? mm : toInches(mm));
  const beyond = inOrder.map((l) => l.beyondMm);
  const shown = beyond.map(inUnit);
  const by = scaleLinear([Math.min(0, ...shown), Math.max(inUnit(0.05), ...shown) * 1.1], [low, BOX.top]).nice(4);
  const slot = scaleLinear([-0.5, inOrder.length - 0.5], [BOX.left, right]);
  const text = { fontSize: 11, fill: 'var(--ink2)' } as const;
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      <figure className="min-w-0">
        <svg
          viewBox={`0 0 ${BOX.w} ${BOX.h}`}
          role="img"
          aria-label={`${LEARNED_WORDS.plotPasses} ${lessons.map((l) => `${l.planned} planned, ${l.cut} cut`).join('; ')}.`}
          className="w-full"
        >
          <path d={`M${BOX.left} ${BOX.top}V${low}H${right}`} fill="none" stroke="var(--edge)" />
          <path
            d={`M${x(0)} ${y(0)}L${x(x.domain()[1] ?? 0)} ${y(y.domain()[1] ?? 0)}`}
            stroke="var(--edge)"
            strokeDasharray="5 4"
          />
          {x.ticks(5).map((t) => (
            <g key={t}>
              <path d={`M${x(t)} ${low}v5M${BOX.left} ${y(t)}h-5`} stroke="var(--edge)" />
              <text x={x(t)} y={low + 18} textAnchor="middle" {...text}>
                {t}
              </text>
              <text x={BOX.left - 8} y={y(t) + 4} textAnchor="end" {...text}>
                {t}
              </text>
            </g>
          ))}
          {inOrder.map((l, i) => (
            <circle key={i} cx={x(l.planned)} cy={y(l.cut)} r="5" fill="var(--blue)" fillOpacity="0.7" />
          ))}
        </svg>
        <figcaption className="text-sm text-ink2">{LEARNED_WORDS.plotPasses}</figcaption>
      </figure>
      <figure className="min-w-0">
        <svg
          viewBox={`0 0 ${BOX.w} ${BOX.h}`}
          role="img"
          aria-label={`${LEARNED_WORDS.plotBeyond} ${beyond.map((b) => lengthText(b, unit, FINE)).join('; ')}.`}
          className="w-full"
        >
          <path d={`M${BOX.left} ${BOX.top}V${low}M${BOX.left} ${by(0)}H${right}`} fill="none" stroke="var(--edge)" />
          {by.ticks(4).map((t) => (
            <g key={t}>
              <path d={`M${BOX.left} ${by(t)}h-5`} stroke="var(--edge)" />
              <text x={BOX.left - 8} y={by(t) + 4} textAnchor="end" {...text}>
                {by.tickFormat(4)(t)}
              </text>
            </g>
          ))}
          {inOrder.map((l, i) => (
            <g key={i}>
              <path d={`M${slot(i)} ${by(0)}V${by(inUnit(l.beyondMm))}`} stroke="var(--blue)" strokeWidth="3" />
              <circle cx={slot(i)} cy={by(inUnit(l.beyondMm))} r="5" fill="var(--blue)" />
              <text x={slot(i)} y={low + 18} textAnchor="middle" {...text}>
                {l.at.slice(0, 7)}
              </text>
            </g>
          ))}
        </svg>
        <figcaption className="text-sm text-ink2">{LEARNED_WORDS.plotBeyond}</figcaption>
      </figure>
    </div>
  );
}
