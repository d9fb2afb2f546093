import type { Point, SlotAt } from '../../core/gearing/mounting/index.ts';

/** The arm cut out round its slots, true to scale, in the coordinates of the train. */
export function ArmShape({
  pivot,
  slots,
  bossMm,
}: {
  readonly pivot: Point;
  readonly slots: readonly SlotAt[];
  readonly bossMm: number;
}) {
  const line = (s: SlotAt): string => `M${s.from.x} ${s.from.y}L${s.to.x} ${s.to.y}`;
  const body = slots.map((s) => `M${pivot.x} ${pivot.y}L${s.from.x} ${s.from.y}${line(s)}`).join('');
  const wide = 2 * bossMm + 10;
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round" aria-hidden>
      <path d={body} stroke="var(--scribe2)" strokeWidth={wide + 1.6} />
      <path d={body} stroke="var(--deep)" strokeWidth={wide} />
      {slots.map((s, i) => (
        <g key={i}>
          <path d={line(s)} stroke="var(--scribe2)" strokeWidth="9" />
          <path d={line(s)} stroke="var(--plate2)" strokeWidth="7.4" />
        </g>
      ))}
      <circle cx={pivot.x} cy={pivot.y} r={bossMm} fill="var(--deep)" stroke="var(--scribe2)" />
    </g>
  );
}
