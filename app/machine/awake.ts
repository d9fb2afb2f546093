import { useEffect } from 'react';

/** Keeps the screen lit while one stands at the machine, where the browser offers it. */
export function useAwake(): void {
  useEffect(() => {
    if (!('wakeLock' in navigator)) return undefined;
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const ask = (): void => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (l) => {
          if (gone) void l.release();
          else lock = l;
        },
        () => undefined, // refused, as on a low battery: the screen goes dark as it would without us
      );
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, []);
}

/** Speaks a sentence when it changes, only where that was asked for. */
export function useSpoken(text: string, on: boolean): void {
  useEffect(() => {
    if (!on || text === '' || !('speechSynthesis' in globalThis)) return;
    speechSynthesis.cancel();
    speechSynthesis.speak(new SpeechSynthesisUtterance(text));
  }, [text, on]);
}
