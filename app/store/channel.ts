/** What windows of one browser tell each other after they have written. */
type Said =
  | { readonly what: 'job'; readonly id: string; readonly rev: number }
  | { readonly what: 'shop'; readonly rev: number }
  | { readonly what: 'removed'; readonly id: string }
  /** Everything was replaced. */
  | { readonly what: 'all' };

export interface Channel {
  readonly say: (s: Said) => void;
  /** @returns stops hearing */
  readonly hear: (f: (s: Said) => void) => () => void;
}

/** Windows of this address; nothing where the browser has no such channel. */
export function openChannel(name: string): Channel {
  const listeners = new Set<(s: Said) => void>();
  if (typeof BroadcastChannel === 'undefined') return { say: () => undefined, hear: () => () => undefined };
  const channel = new BroadcastChannel(name);
  // under Node a channel would keep the process alive
  (channel as { unref?: () => void }).unref?.();
  channel.onmessage = (e: MessageEvent<Said>) => {
    for (const f of listeners) f(e.data);
  };
  return {
    say: (s) => channel.postMessage(s),
    hear: (f) => {
      listeners.add(f);
      return () => void listeners.delete(f);
    },
  };
}
