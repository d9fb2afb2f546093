import { proxy, wrap, type Remote } from 'comlink';
import type { PictureWorker } from './pictureProtocol.ts';

/** A reader of pictures in a worker of its own: what reads a screw must not keep naming and gears waiting. */
export interface Reader {
  readonly ask: Remote<PictureWorker>;
  /** Ends whatever it is at; it is of no use afterwards. */
  readonly stop: () => void;
}

export function openReader(): Reader {
  const worker = new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' });
  return { ask: wrap<PictureWorker>(worker), stop: () => worker.terminate() };
}
export const told = (progress: (done: number) => void): ((done: number) => void) => proxy(progress);
