import clsx from 'clsx';
import { useEffect, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { paintDye } from './dye.ts';

export interface Size {
  readonly w: number;
  readonly h: number;
}
interface Props {
  /** What it shows, for those who do not see it. */
  readonly label: string;
  readonly className?: string;
  /** The drawing, laid out for the size that there is; units are px. */
  readonly draw: (size: Size) => ReactNode;
  /** What lies on the plate and may be touched. */
  readonly children?: ReactNode;
}

/** Before its size is known a plate is drawn for this one. */
const FIRST: Size = { w: 460, h: 620 };

/** The coat of dye on whatever it lies in, painted once for each size; behind everything else there. */
export function DyeCoat() {
  const dye = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const el = dye.current;
    if (!el || typeof ResizeObserver === 'undefined') return undefined;
    const watch = new ResizeObserver(() => {
      const { clientWidth: w, clientHeight: h } = el;
      if (w !== el.width || h !== el.height) paintDye(el, w, h, w * 31 + h);
    });
    watch.observe(el);
    return () => watch.disconnect();
  }, []);
  return (
    <canvas
      ref={dye}
      aria-hidden
      className="pointer-events-none absolute inset-0 size-full dark:brightness-[0.45] forced-colors:hidden"
    />
  );
}

/** A drawing scribed on a plate of metal painted with marking-out dye. */
export function Plate({ label, className, draw, children }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState(FIRST);
  useLayoutEffect(() => {
    const el = box.current;
    if (!el) return undefined;
    const measure = (): void => {
      const { clientWidth: w, clientHeight: h } = el;
      if (w > 0 && h > 0) setSize((was) => (was.w === w && was.h === h ? was : { w, h }));
    };
    measure();
    if (typeof ResizeObserver === 'undefined') return undefined;
    const watch = new ResizeObserver(measure);
    watch.observe(el);
    return () => watch.disconnect();
  }, []);
  return (
    <div ref={box} className={clsx('plate on-plate relative min-h-0 min-w-0 overflow-hidden', className)}>
      <DyeCoat />
      <svg
        role="img"
        aria-label={label}
        viewBox={`0 0 ${size.w} ${size.h}`}
        className="absolute inset-0 size-full"
        fontFamily="var(--font-sans)"
      >
        <defs>
          <pattern id="hatch" width="9" height="9" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
            <path d="M0 0V9" stroke="var(--scribe2)" strokeWidth="1" opacity="0.35" />
          </pattern>
          <linearGradient id="steel" x1="0" x2="1">
            <stop offset="0" stopColor="var(--steel2)" />
            <stop offset="0.45" stopColor="#ffffff" />
            <stop offset="1" stopColor="var(--steel2)" />
          </linearGradient>
        </defs>
        {draw(size)}
      </svg>
      {children}
    </div>
  );
}
