import { nameOfKey } from '../../../ui/keys.ts';
import { actOf } from '../../../ui/bindings.ts';
import { Maximize, ZoomIn, ZoomOut } from 'lucide-react';
import { useRef, useState } from 'react';
import type { TipRead } from '../../../../core/profile/tip.ts';
import type { ProfileRead, Shown as Pointed } from '../../../../core/profile/types.ts';
import { DyeCoat } from '../../../drawing/Plate.tsx';
import { Found } from './FoundOverlay.tsx';
import { TipFound } from './TipOverlay.tsx';
import { Handles } from './HandlesOverlay.tsx';
import type { Shown } from './usePicture.ts';

type Rect = { readonly x: number; readonly y: number; readonly w: number; readonly h: number };
export type Way = 'dyed' | 'taken';

interface Props {
  readonly picture: Shown;
  readonly read: ProfileRead | null;
  readonly tip: TipRead | null;
  readonly way: Way;
  /** What the person shows, with handles; null: they do not. */
  readonly pointed: Pointed | null;
  readonly onPoint: (p: Pointed) => void;
  readonly badges: boolean;
}

const STEP = 1.5;
const MOST_ZOOM = 24;

/** The picture with what was found drawn over it: edges, axis, teeth, what was left out; zoomed and moved by hand, wheel or keys. */
export function ShadowPlate({ picture, read, tip, way, pointed, onPoint, badges }: Props) {
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
  const acts = { nearer: () => zoom(STEP), farther: () => zoom(1 / STEP), whole: () => setView(whole) };
  const arrows: Readonly<Record<string, () => void>> = {
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
          const go = actOf(acts, nameOfKey(e)) ?? arrows[e.key];
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
