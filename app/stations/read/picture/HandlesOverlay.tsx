import type { Shown as Pointed } from '../../../../core/profile/types.ts';

/** Places that are moved by hand: two on the axis, the ends of the stretch, one tooth. */
export function Handles({
  pointed,
  onPoint,
  unit,
  spot,
}: {
  readonly pointed: Pointed;
  readonly onPoint: (p: Pointed) => void;
  readonly unit: number;
  readonly spot: (e: { clientX: number; clientY: number }) => { x: number; y: number };
}) {
  const axis = pointed.axis ?? [0, 0, 1, 0];
  const [x0, y0, x1, y1] = axis;
  const long = Math.hypot(x1 - x0, y1 - y0) || 1;
  const [c, s] = [(x1 - x0) / long, (y1 - y0) / long];
  const base = x0 * c + y0 * s;
  const at = (along: number): { x: number; y: number } => ({ x: x0 + (along - base) * c, y: y0 + (along - base) * s });
  const along = (p: { x: number; y: number }): number => p.x * c + p.y * s;
  const [from, to] = pointed.stretch ?? [base, base + long];
  const pitch = pointed.pitchPx ?? long / 10;
  const middle = (from + to) / 2;
  const handles: readonly {
    id: string;
    label: string;
    at: { x: number; y: number };
    set: (p: { x: number; y: number }) => Pointed;
  }[] = [
    {
      id: 'a0',
      label: 'Axis, left place',
      at: { x: x0, y: y0 },
      set: (p) => ({ ...pointed, axis: [p.x, p.y, x1, y1] }),
    },
    {
      id: 'a1',
      label: 'Axis, right place',
      at: { x: x1, y: y1 },
      set: (p) => ({ ...pointed, axis: [x0, y0, p.x, p.y] }),
    },
    {
      id: 's0',
      label: 'Stretch, from',
      at: at(from),
      set: (p) => ({ ...pointed, stretch: [Math.min(along(p), to - 1), to] }),
    },
    {
      id: 's1',
      label: 'Stretch, to',
      at: at(to),
      set: (p) => ({ ...pointed, stretch: [from, Math.max(along(p), from + 1)] }),
    },
    {
      id: 't',
      label: 'One tooth, its pitch',
      at: at(middle + pitch),
      set: (p) => ({ ...pointed, pitchPx: Math.max(4, along(p) - middle) }),
    },
  ];
  const line = (a: { x: number; y: number }, up: number): string =>
    `M${a.x + up * s} ${a.y - up * c}L${a.x - up * s} ${a.y + up * c}`;
  return (
    <g stroke="var(--straw)" fill="none">
      <line
        x1={x0}
        y1={y0}
        x2={x1}
        y2={y1}
        strokeWidth={2.4 * unit}
        strokeDasharray={`${18 * unit} ${5 * unit} ${4 * unit} ${5 * unit}`}
      />
      <path d={line(at(from), 150 * unit) + line(at(to), 150 * unit)} strokeWidth={2 * unit} />
      <path d={line(at(middle), 50 * unit) + line(at(middle + pitch), 50 * unit)} strokeWidth={2 * unit} />
      {handles.map((h) => (
        <g
          key={h.id}
          data-handle
          role="slider"
          tabIndex={0}
          aria-label={`${h.label}: arrow keys move it, with Shift farther`}
          aria-valuenow={Math.round(along(h.at))}
          aria-valuetext={`${Math.round(h.at.x)}, ${Math.round(h.at.y)}`}
          className="cursor-move"
          onPointerDown={(e) => {
            e.stopPropagation();
            e.currentTarget.setPointerCapture(e.pointerId);
          }}
          onPointerMove={(e) => {
            if (e.currentTarget.hasPointerCapture(e.pointerId)) onPoint(h.set(spot(e)));
          }}
          onKeyDown={(e) => {
            const by = (e.shiftKey ? 24 : 3) * unit;
            const d = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[e.key];
            if (!d) return;
            e.preventDefault();
            e.stopPropagation();
            onPoint(h.set({ x: h.at.x + (d[0] ?? 0), y: h.at.y + (d[1] ?? 0) }));
          }}
        >
          <circle cx={h.at.x} cy={h.at.y} r={24 * unit} fill="transparent" stroke="none" />
          <circle cx={h.at.x} cy={h.at.y} r={9 * unit} fill="var(--deep)" strokeWidth={3 * unit} />
        </g>
      ))}
    </g>
  );
}
