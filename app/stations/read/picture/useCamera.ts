import { useEffect, useRef, useState, type RefObject } from 'react';
import type { Scene, ToolScene } from '../../../../core/profile/scenes.ts';
import type { ProfileRead } from '../../../../core/profile/types.ts';
import { SCENE_NAMES } from '../../../../words/picture.ts';
import { LOOK } from '../../../workers/pictureProtocol.ts';
import type { Reader } from '../../../workers/pictures.ts';
import type { Aim } from './usePicture.ts';

/** A look every so often: what is before the lens moves no faster than a hand. */
const LOOK_EVERY_MS = 700;
export const LOOK_W = 640;
const TAKEN_W = 2000;
/** What is chosen as camera: one of the device's own, or a simulated part. */
export type Source =
  { readonly kind: 'device'; readonly id: string } | { readonly kind: 'simulated'; readonly scene: Scene | ToolScene };

/** What it sees now. */
export interface Live {
  readonly read: ProfileRead | null;
  readonly url: string | null;
}

interface Asked {
  readonly source: Source;
  /** What tells one camera from another. */
  readonly key: string;
  readonly aim: Aim;
  readonly reader: () => Reader;
  readonly onTake: (blob: Blob, name: string) => void;
  readonly onLooks: (read: ProfileRead | null) => void;
  /** What takes the picture now, for the act at the side. */
  readonly shutterRef: RefObject<(() => void) | null>;
}

/** What would be read of a look, without any scale. */
async function lookedAt({ ask }: Reader, blob: Blob): Promise<ProfileRead> {
  await ask.decode(LOOK, blob);
  return ask.read(LOOK, { pxPerMm: null, pinMm: null, knownMajorMm: null, starts: null, leadAngleDeg: null });
}

/** A frame of what a video shows, no wider than asked; null until it shows anything. */
async function frameOf(el: HTMLVideoElement | null, w: number): Promise<Blob | null> {
  if (!el || el.videoWidth === 0) return null;
  const share = Math.min(1, w / el.videoWidth);
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [el.videoWidth * share, el.videoHeight * share];
  canvas.getContext('2d')?.drawImage(el, 0, 0, canvas.width, canvas.height);
  return new Promise((done) => canvas.toBlob(done, 'image/jpeg', 0.95));
}

/** The chosen camera held open: it looks at once and again and again, and takes the picture when asked; it is let go with the view. */
export function useCamera({ source, key, aim, reader, onTake, onLooks, shutterRef }: Asked) {
  const [live, setLive] = useState<Live>({ read: null, url: null });
  const [fault, setFault] = useState<{ readonly of: string; readonly text: string } | null>(null);
  const video = useRef<HTMLVideoElement>(null);

  useEffect(() => {
    let current = true;
    let stream: MediaStream | null = null;
    let last: string | null = null;
    const setFailed = (text: string): void => setFault({ of: key, text });
    const frame = async (w: number, seed: number): Promise<Blob | null> => {
      if (source.kind === 'simulated') return reader().ask.simulate(source.scene, w, seed);
      return frameOf(video.current, w);
    };
    const look = async (n: number): Promise<void> => {
      try {
        const blob = await frame(LOOK_W, n);
        if (!current) return;
        if (blob) {
          // whether a tool is in view is told when it is taken
          const read = aim === 'tool' ? null : await lookedAt(reader(), blob);
          if (!current) return;
          const url = source.kind === 'simulated' ? URL.createObjectURL(blob) : null;
          if (last) URL.revokeObjectURL(last);
          last = url;
          setLive({ read, url });
          onLooks(read);
        }
      } catch (e) {
        if (current) setFailed(e instanceof Error ? e.message : 'no reason given');
        return;
      }
      if (current) timer = setTimeout(() => void look(n + 1), LOOK_EVERY_MS);
    };
    let timer: ReturnType<typeof setTimeout> | undefined;
    const begin = async (): Promise<void> => {
      if (source.kind === 'device') {
        try {
          stream = await navigator.mediaDevices.getUserMedia({
            video: { deviceId: { exact: source.id }, width: { ideal: 4096 } },
          });
          if (!current || !video.current) return;
          video.current.srcObject = stream;
          await video.current.play();
        } catch (e) {
          if (current) setFailed(`The camera was not opened: ${e instanceof Error ? e.message : 'no reason given'}.`);
          return;
        }
      }
      if (current) void look(1);
    };
    shutterRef.current = () => {
      void frame(source.kind === 'simulated' ? TAKEN_W : Infinity, 1).then((blob) => {
        if (blob && current)
          onTake(blob, source.kind === 'simulated' ? `Simulated camera: ${SCENE_NAMES[source.scene]}` : 'Camera');
      });
    };
    void begin();
    return () => {
      current = false;
      clearTimeout(timer);
      stream?.getTracks().forEach((t) => t.stop());
      if (last) URL.revokeObjectURL(last);
      shutterRef.current = null;
    };
    // the source is its key; what is handed in does not change what is looked at
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);

  return {
    live,
    video,
    failed: fault?.of === key ? fault.text : null,
    blank: () => setLive({ read: null, url: null }),
  };
}
