import { useEffect, useEffectEvent } from 'react';

/** While `going` the spindle turns: each frame says how many seconds have gone since the last. */
export function useTurning(going: boolean, onFrame: (seconds: number) => void): void {
  const turned = useEffectEvent(onFrame);
  useEffect(() => {
    if (!going) return undefined;
    let frame = 0;
    let last = performance.now();
    const turn = (t: number): void => {
      turned((t - last) / 1000);
      last = t;
      frame = requestAnimationFrame(turn);
    };
    frame = requestAnimationFrame(turn);
    return () => cancelAnimationFrame(frame);
  }, [going]);
}
