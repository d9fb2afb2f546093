import { useEffect, useState } from 'react';

/** Shorter than anybody waits for, longer than the gap between two keys of somebody who types or holds an arrow down. */
const RESTS_MS = 130;

/** @returns the value once it has stayed the same for a moment: what is dear to draw follows the hand when the hand rests */
export function useRested<T>(value: T): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    if (rested === value) return undefined;
    const timer = setTimeout(() => setRested(value), RESTS_MS);
    return () => clearTimeout(timer);
  }, [value, rested]);
  return rested;
}
