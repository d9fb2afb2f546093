import clsx from 'clsx';
import { useEffect, useRef, type ReactNode } from 'react';
import { useSize, type Size } from '../ui/useSize.ts';
import { paintDye } from './dye.ts';

export type { Size } from '../ui/useSize.ts';

interface Props {
  /** What it shows, for those who do not see it. */
  readonly label: string;
  readonly className?: string;
  /** A group where parts of the drawing are handles. */
  readonly role?: 'img' | 'group';
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

/** Metal cut through, and metal that moves. */
export const PlateDefs = () => (
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
);

/** A drawing scribed on a plate of metal painted with marking-out dye. */
export function Plate({ label, className, role = 'img', draw, children }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const size = useSize(box, FIRST);
  return (
    <div ref={box} className={clsx('plate on-plate relative min-h-0 min-w-0 overflow-hidden', className)}>
      <DyeCoat />
      <svg
        role={role}
        aria-label={label}
        viewBox={`0 0 ${size.w} ${size.h}`}
        className="absolute inset-0 size-full"
        fontFamily="var(--font-sans)"
      >
        <PlateDefs />
        {draw(size)}
      </svg>
      {children}
    </div>
  );
}
