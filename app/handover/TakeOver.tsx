import { useEffect, useRef, useState } from 'react';
import { Images } from 'lucide-react';
import jsQR from 'jsqr';
import { Dialog } from 'radix-ui';
import { readDocument } from '../../core/formats/documents.ts';
import { HAND_WORDS } from '../../words/handOver.ts';
import { setDropped } from '../shop/dropped.ts';
import { seenToo, wholeOf, type Seen } from '../storage/handOver.ts';
import { Button, Note } from '../ui/controls.tsx';

/** A look every so often, and no finer than a code needs, px. */
const LOOK_MS = 150;
const LOOK_W = 1000;

/** Dots of what a video or a picture shows now; null: it shows nothing yet. */
function dotsOf(source: HTMLVideoElement | ImageBitmap): ImageData | null {
  const [w, h] =
    source instanceof HTMLVideoElement ? [source.videoWidth, source.videoHeight] : [source.width, source.height];
  if (w === 0 || h === 0) return null;
  const share = Math.min(1, LOOK_W / w);
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(w * share), Math.round(h * share)];
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  pen?.drawImage(source, 0, 0, canvas.width, canvas.height);
  return pen?.getImageData(0, 0, canvas.width, canvas.height) ?? null;
}
const read = (d: ImageData): string | null => jsQR(d.data, d.width, d.height)?.data ?? null;

/** A job taken over from another screen, by this device's camera or by photos of the codes. */
export function TakeOver({ onClose }: { readonly onClose: () => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const picker = useRef<HTMLInputElement>(null);
  const seen = useRef<Seen | null>(null);
  const [count, setCount] = useState<{ readonly n: number; readonly of: number } | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const done = useRef(onClose);
  useEffect(() => {
    done.current = onClose;
  }, [onClose]);

  /** @returns whether it was a code of Gelvin */
  const took = useRef((text: string | null): boolean => {
    const next = text === null ? null : seenToo(seen.current, text);
    if (!next) return false;
    seen.current = next;
    setCount({ n: next.parts.size, of: next.of });
    try {
      const whole = wholeOf(next);
      if (whole !== null) {
        // shown with what it would change, as a file is
        setDropped({ file: readDocument(whole), pictures: new Map() });
        done.current();
      }
    } catch (e) {
      seen.current = null;
      setCount(null);
      setFailed(HAND_WORDS.broken(e instanceof Error ? e.message : 'no reason given'));
    }
    return true;
  });

  useEffect(() => {
    let current = true;
    let stream: MediaStream | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = (): void => {
      if (!current || !video.current) return;
      const dots = dotsOf(video.current);
      if (dots) took.current(read(dots));
      timer = setTimeout(look, LOOK_MS);
    };
    const media = (navigator as { mediaDevices?: MediaDevices }).mediaDevices;
    const begin = async (): Promise<void> => {
      if (!media) throw new Error('this address may not use it');
      stream = await media.getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1920 } } });
      if (!current || !video.current) return;
      video.current.srcObject = stream;
      await video.current.play();
      look();
    };
    begin().catch((e: unknown) => {
      if (current) setFailed(HAND_WORDS.noCamera(e instanceof Error ? e.message : 'no reason given'));
    });
    return () => {
      current = false;
      clearTimeout(timer);
      stream?.getTracks().forEach((t) => t.stop());
    };
  }, []);

  const fromFiles = async (files: readonly File[]): Promise<void> => {
    setFailed(null);
    let any = false;
    for (const f of files) {
      const bitmap = await createImageBitmap(f);
      const dots = dotsOf(bitmap);
      bitmap.close();
      if (dots && took.current(read(dots))) any = true;
    }
    if (!any) setFailed(HAND_WORDS.nothing);
  };
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/60" />
        <Dialog.Content className="fixed inset-3 z-40 mx-auto grid max-w-3xl content-start gap-3 overflow-y-auto rounded-[4px] border-2 border-edge bg-panel p-4 text-ink">
          <Dialog.Title className="text-xl font-semibold">{HAND_WORDS.takeTitle}</Dialog.Title>
          <Dialog.Description>{HAND_WORDS.takeLead}</Dialog.Description>
          <video ref={video} muted playsInline className="max-h-[50vh] w-full bg-black object-contain" />
          <p role="status" className="text-lg font-semibold">
            {count ? HAND_WORDS.seen(count.n, count.of) : HAND_WORDS.none}
          </p>
          {failed !== null && <Note tone="caution">{failed}</Note>}
          <input
            ref={picker}
            type="file"
            accept="image/*"
            multiple
            className="sr-only"
            tabIndex={-1}
            aria-label={HAND_WORDS.photos}
            onChange={(e) => {
              const files = [...(e.target.files ?? [])];
              e.target.value = '';
              fromFiles(files).catch(() => setFailed(HAND_WORDS.nothing));
            }}
          />
          <div className="flex flex-wrap justify-end gap-2">
            <Button onClick={() => picker.current?.click()}>
              <Images aria-hidden size={18} /> {HAND_WORDS.photos}
            </Button>
            <Dialog.Close asChild>
              <Button>{HAND_WORDS.close}</Button>
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
