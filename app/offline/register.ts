/** What is known of the copy that works without the server. */
export type OfflineState = 'none' | 'ready' | 'newer';

type Listener = (state: OfflineState) => void;
let state: OfflineState = 'none';
let waiting: ServiceWorker | null = null;
const listeners = new Set<Listener>();
const say = (next: OfflineState): void => {
  state = next;
  for (const f of listeners) f(next);
};
export const offlineState = (): OfflineState => state;
export const onOffline = (f: Listener): (() => void) => {
  listeners.add(f);
  return () => void listeners.delete(f);
};

/** The waiting version takes over, and the page is loaded as that. */
export function takeNewer(): void {
  if (!waiting) return;
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
  waiting.postMessage({ what: 'take-over' });
}

/** Keeps a copy of the application in the browser; a newer one is offered, never forced. */
export async function registerOffline(): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  const registration = await navigator.serviceWorker.register('/offline-worker.js', { type: 'module' });
  const seen = (worker: ServiceWorker | null): void => {
    if (worker?.state !== 'installed') return;
    if (navigator.serviceWorker.controller) {
      waiting = worker;
      say('newer');
    } else say('ready');
  };
  if (registration.waiting) seen(registration.waiting);
  else if (registration.active) say('ready');
  registration.addEventListener('updatefound', () => {
    const worker = registration.installing;
    worker?.addEventListener('statechange', () => {
      seen(worker);
      if (worker.state === 'activated' && state === 'none') say('ready');
    });
  });
}
