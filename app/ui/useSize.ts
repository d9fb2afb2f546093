import { useLayoutEffect, useState, type RefObject } from 'react';

export interface Size {
  readonly w: number;
  readonly h: number;
}

/** The room that an element has, px, followed as it changes. @param first what is taken until it is known */
export function useSize(box: RefObject<HTMLElement | null>, first: Size): Size {
  const [size, setSize] = useState(first);
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
  }, [box]);
  return size;
}
