import type { Scene, ToolScene } from '../../core/profile/scenes.ts';
import type { TipAskedFor, TipRead } from '../../core/profile/tip.ts';
import type { ProfileAskedFor, ProfileRead } from '../../core/profile/types.ts';

/** A picture as it lies before the reader. */
export interface Decoded {
  readonly w: number;
  readonly h: number;
  /** The same in grey, no wider than a screen shows. */
  readonly preview: Blob;
}
/** Side of a picture that cannot be taken: too many points. */
interface TooLarge {
  readonly megapixels: number;
}

/** Key of what a camera sees while nothing is taken yet. */
export const LOOK = 'look';

export interface PictureWorker {
  /** Decodes a picture, turned as its own tag says, and keeps it for reading; the one before is let go. */
  decode(key: string, blob: Blob): Promise<Decoded | TooLarge>;
  /** Reads the picture that was decoded under this key. */
  read(key: string, ask: ProfileAskedFor, onProgress?: (done: number) => void): Promise<ProfileRead>;
  /** Reads it as a tool's end. */
  readTip(key: string, ask: TipAskedFor): Promise<TipRead>;
  /** A look through the simulated camera. */
  simulate(scene: Scene | ToolScene, w: number, seed: number): Promise<Blob>;
}
