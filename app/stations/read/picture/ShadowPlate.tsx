import { Maximize, ZoomIn, ZoomOut } from 'lucide-react';
import { useRef, useState } from 'react';
import type { TipRead } from '../../../../core/profile/tip.ts';
import type { ProfileRead, Shown as Pointed } from '../../../../core/profile/types.ts';
import { DyeCoat } from '../../../drawing/Plate.tsx';
import type { Shown } from './usePicture.ts';

type Rect = { readonly x: number; readonly y: number; readonly w: number; readonly h: number };
export type Way = 'dyed' | 'taken';

interface Props {
  readonly picture: Shown;
  readonly read: ProfileRead | null;
  readonly tip?: TipRead | null;
  readonly way: Way;
  /** What the person shows, with handles; null: they do not. */
  readonly pointed: Pointed | null;
  readonly onPoint: (p: Pointed) => void;
  readonly badges: boolean;
}

const STEP = 1.5;
const MOST_ZOOM = 24;

/** The picture with what was found drawn over it: edges, axis, teeth, what was left out; zoomed and moved by hand, wheel or keys. */
export function ShadowPlate({ picture, read, tip = null, way, pointed, onPoint, badges }: Props) {
  const whole: Rect = { x: 0, y: 0, w: picture.w, h: picture.h };
  const [view, setView] = useState<Rect>(whole);
  const svg = useRef<SVGSVGElement>(null);
  const drag = useRef<{ x: number; y: number; from: Rect } | null>(null);
  const inside = (r: Rect): Rect => {
    const w = Math.min(picture.w, Math.max(picture.w / MOST_ZOOM, r.w));
    const h = (w * picture.h) / picture.w;
    return {
      w,
      h,
      x: Math.max(0, Math.min(picture.w - w, r.x)),
      y: Math.max(0, Math.min(picture.h - h, r.y)),
    };
  };
  const zoom = (by: number, at = { x: view.x + view.w / 2, y: view.y + view.h / 2 }): void =>
    setView((v) => {
      const w = v.w / by;
      const h = v.h / by;
      return inside({ x: at.x - ((at.x - v.x) * w) / v.w, y: at.y - ((at.y - v.y) * h) / v.h, w, h });
    });
  const move = (dx: number, dy: number): void => setView((v) => inside({ ...v, x: v.x + dx * v.w, y: v.y + dy * v.h }));
  const spot = (e: { clientX: number; clientY: number }): { x: number; y: number } => {
    const m = svg.current?.getScreenCTM()?.inverse();
    if (!m) return { x: 0, y: 0 };
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m);
    return { x: p.x, y: p.y };
  };
  // one px of the screen in px of the picture, near enough for marks
  const unit = view.w / 620;
  const seen = read?.seen ?? null;
  const bad = read?.scan ?? false;
  const keys: Readonly<Record<string, () => void>> = {
    '+': () => zoom(STEP),
    '=': () => zoom(STEP),
    '-': () => zoom(1 / STEP),
    '0': () => setView(whole),
    ArrowLeft: () => move(-0.12, 0),
    ArrowRight: () => move(0.12, 0),
    ArrowUp: () => move(0, -0.12),
    ArrowDown: () => move(0, 0.12),
  };
  const button =
    'flex size-12 items-center justify-center rounded-[3px] border border-scribe2 bg-deep text-scribe hover:brightness-125';
  return (
    <div
      className="plate on-plate relative w-full min-w-0 overflow-hidden desk:min-h-72 desk:h-full max-lg:[aspect-ratio:var(--shape)]"
      style={{ '--shape': `${picture.w} / ${picture.h}` } as React.CSSProperties}
    >
      <DyeCoat />
      <svg
        ref={svg}
        role="group"
        tabIndex={0}
        aria-label="The picture with what was found in it. Plus and minus zoom, arrows move, 0 shows all of it."
        viewBox={`${view.x} ${view.y} ${view.w} ${view.h}`}
        className="absolute inset-0 size-full cursor-grab touch-none active:cursor-grabbing"
        onWheel={(e) => zoom(e.deltaY < 0 ? 1.2 : 1 / 1.2, spot(e))}
        onKeyDown={(e) => {
          const go = keys[e.key];
          if (!go || e.target !== e.currentTarget) return;
          e.preventDefault();
          e.stopPropagation();
          go();
        }}
        onPointerDown={(e) => {
          if (e.target instanceof Element && e.target.closest('[data-handle]')) return;
          e.currentTarget.setPointerCapture(e.pointerId);
          drag.current = { x: e.clientX, y: e.clientY, from: view };
        }}
        onPointerMove={(e) => {
          const d = drag.current;
          const box = svg.current?.getBoundingClientRect();
          if (!d || !box) return;
          const share = Math.max(d.from.w / box.width, d.from.h / box.height);
          setView(
            inside({ ...d.from, x: d.from.x - (e.clientX - d.x) * share, y: d.from.y - (e.clientY - d.y) * share }),
          );
        }}
        onPointerUp={() => (drag.current = null)}
        onPointerCancel={() => (drag.current = null)}
      >
        <defs>
          {/* grey to two inks: the ground light, the part dark; of a scan the other way round */}
          <filter id="dyed" colorInterpolationFilters="sRGB" x="0" y="0" width="1" height="1">
            <feColorMatrix type="matrix" values="0.3 0.6 0.1 0 0 0.3 0.6 0.1 0 0 0.3 0.6 0.1 0 0 0 0 0 1 0" />
            <feComponentTransfer>
              <feFuncR type="table" tableValues={bad ? '0.2 0.024' : '0.024 0.2'} />
              <feFuncG type="table" tableValues={bad ? '0.37 0.086' : '0.086 0.37'} />
              <feFuncB type="table" tableValues={bad ? '0.73 0.28' : '0.28 0.73'} />
            </feComponentTransfer>
          </filter>
          <pattern
            id="glass"
            width={14 * unit}
            height={14 * unit}
            patternTransform="rotate(45)"
            patternUnits="userSpaceOnUse"
          >
            <rect width={14 * unit} height={14 * unit} fill="#aab4bd" opacity="0.45" />
            <path d={`M0 0V${14 * unit}`} stroke="#f4f8ff" strokeWidth={1.4 * unit} opacity="0.6" />
          </pattern>
        </defs>
        <image
          href={way === 'taken' ? picture.url : picture.previewUrl}
          width={picture.w}
          height={picture.h}
          preserveAspectRatio="none"
          filter={way === 'dyed' ? 'url(#dyed)' : undefined}
        />
        {read && seen && <Found read={read} unit={unit} badges={badges} quiet={way === 'taken'} />}
        {tip?.seen && <TipFound seen={tip.seen} unit={unit} />}
        {pointed && <Handles pointed={pointed} onPoint={onPoint} unit={unit} spot={spot} />}
      </svg>
      <div className="absolute bottom-2 right-2 flex gap-1.5">
        <button type="button" className={button} aria-label="Nearer" onClick={() => zoom(STEP)}>
          <ZoomIn aria-hidden size={20} />
        </button>
        <button type="button" className={button} aria-label="Farther" onClick={() => zoom(1 / STEP)}>
          <ZoomOut aria-hidden size={20} />
        </button>
        <button type="button" className={button} aria-label="All of it" onClick={() => setView(whole)}>
          <Maximize aria-hidden size={20} />
        </button>
      </div>
    </div>
  );
}

/** Edges, axis, numbers of the teeth, and the stretches that were not used. */
function Found({
  read,
  unit,
  badges,
  quiet,
}: {
  readonly read: ProfileRead;
  readonly unit: number;
  readonly badges: boolean;
  readonly quiet: boolean;
}) {
  const { seen } = read;
  if (!seen) return null;
  const [ax, ay, bx, by] = seen.axis;
  const long = Math.hypot(bx - ax, by - ay) || 1;
  const [c, s] = [(bx - ax) / long, (by - ay) / long];
  const half = (read.majorPx ?? 0) / 2 + 30 * unit;
  const pitch = read.pitchPx?.value ?? 0;
  const base = ax * c + ay * s;
  const stroke = quiet ? 'var(--straw)' : 'var(--scribe)';
  return (
    <>
      {seen.edges.map((e) => (
        <path
          key={e.side}
          d={Array.from(e.x, (x, i) => `M${x.toFixed(1)} ${(e.y[i] ?? 0).toFixed(1)}h0`).join('')}
          stroke={stroke}
          strokeWidth={1.8 * unit}
          strokeLinecap="round"
        />
      ))}
      {leftOut(read).map(({ from, to, worn }) => {
        const corner = (along: number, across: number): string => {
          const d = along - base;
          return `${ax + d * c - across * s} ${ay + d * s + across * c}`;
        };
        const m = (from + to) / 2 - base;
        return (
          <g key={from}>
            <path
              d={`M${corner(from - pitch / 2, -half)}L${corner(to + pitch / 2, -half)}L${corner(to + pitch / 2, half)}L${corner(from - pitch / 2, half)}Z`}
              fill="url(#glass)"
            />
            <text
              x={ax + m * c}
              y={ay + m * s - 12 * unit}
              textAnchor="middle"
              fill="#f4f8ff"
              stroke="#0e2257"
              strokeWidth={4 * unit}
              paintOrder="stroke"
              fontSize={15 * unit}
              fontWeight="600"
            >
              {worn ? 'worn, left out' : 'left out'}
            </text>
          </g>
        );
      })}
      {read.confident && (
        <line
          x1={ax}
          y1={ay}
          x2={bx}
          y2={by}
          stroke={stroke}
          strokeWidth={1.4 * unit}
          strokeDasharray={`${16 * unit} ${4 * unit} ${3 * unit} ${4 * unit}`}
        />
      )}
      {read.confident &&
        seen.edges
          .filter((e) => e.side === -1 || seen.edges.length === 1)
          .flatMap((e) =>
            e.teeth.map((t, i) => (
              <text
                key={t.k}
                x={t.x}
                y={t.y + 30 * unit}
                textAnchor="middle"
                fontSize={13 * unit}
                fill={stroke}
                opacity={t.used ? 1 : 0.6}
                className="num"
              >
                {i + 1}
              </text>
            )),
          )}
      {badges &&
        seen.edges.map((e, i) => {
          const t = e.teeth[Math.floor(e.teeth.length / 8)];
          return (
            t && (
              <g key={e.side}>
                <rect
                  x={t.x - 15 * unit}
                  y={t.y + (e.side === -1 ? 44 : -74) * unit}
                  width={30 * unit}
                  height={30 * unit}
                  fill="#fbfaf6"
                  rx={3 * unit}
                />
                <text
                  x={t.x}
                  y={t.y + (e.side === -1 ? 66 : -52) * unit}
                  textAnchor="middle"
                  fontSize={20 * unit}
                  fontWeight="700"
                  fill="#12161a"
                >
                  {i + 1}
                </text>
              </g>
            )
          );
        })}
    </>
  );
}

/** Edge of a tool and the lines of its two flanks. */
function TipFound({ seen, unit }: { readonly seen: NonNullable<TipRead['seen']>; readonly unit: number }) {
  return (
    <>
      <path
        d={Array.from(seen.x, (x, i) => `M${x.toFixed(1)} ${(seen.y[i] ?? 0).toFixed(1)}h0`).join('')}
        stroke="var(--scribe)"
        strokeWidth={1.8 * unit}
        strokeLinecap="round"
      />
      {seen.flanks.map(([x0, y0, x1, y1]) => (
        <line
          key={x1}
          x1={x0}
          y1={y0}
          x2={x1}
          y2={y1}
          stroke="var(--straw)"
          strokeWidth={2 * unit}
          strokeDasharray={`${10 * unit} ${6 * unit}`}
        />
      ))}
    </>
  );
}

/** Stretches of teeth that were not used, along the axis; worn where wear was found there. */
function leftOut(read: ProfileRead): readonly { readonly from: number; readonly to: number; readonly worn: boolean }[] {
  const out: { from: number; to: number; worn: boolean }[] = [];
  for (const e of read.seen?.edges.slice(0, 1) ?? [])
    for (const t of e.teeth) {
      const last = out.at(-1);
      if (t.used) continue;
      if (last && t.along - last.to < 1.5 * (read.pitchPx?.value ?? 0)) last.to = t.along;
      else out.push({ from: t.along, to: t.along, worn: false });
    }
  // the teeth at the ends are cut off by the picture: that is no finding
  return out
    .map((o) => ({ ...o, worn: read.wear.some((w) => o.to >= w.fromPx && o.from <= w.toPx) }))
    .filter((o) => o.worn || o.to > o.from);
}

/** Places that are moved by hand: two on the axis, the ends of the stretch, one tooth. */
function Handles({
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
