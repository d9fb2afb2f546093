import { Camera, FileImage, ScanLine } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { SCENES, TOOL_SCENES, type Scene, type ToolScene } from '../../../../core/profile/scenes.ts';
import type { ProfileRead } from '../../../../core/profile/types.ts';
import { SCENE_NAMES } from '../../../../words/picture.ts';
import { DyeCoat } from '../../../drawing/Plate.tsx';
import { LOOK } from '../../../workers/pictureProtocol.ts';
import type { Reader } from '../../../workers/pictures.ts';
import { PICTURE_FILES } from '../../../photos/kinds.ts';
import type { Aim } from './usePicture.ts';

/** A look every so often: what is before the lens moves no faster than a hand. */
const LOOK_EVERY_MS = 700;
const LOOK_W = 640;
const TAKEN_W = 2000;
/** What is chosen as camera: one of the device's own, or a simulated part. */
type Source =
  { readonly kind: 'device'; readonly id: string } | { readonly kind: 'simulated'; readonly scene: Scene | ToolScene };

interface Live {
  readonly read: ProfileRead | null;
  readonly url: string | null;
}

interface Props {
  readonly aim: Aim;
  readonly reader: () => Reader;
  readonly onTake: (blob: Blob, name: string) => void;
  readonly onFile: (file: Blob, name: string, scanned: boolean) => void;
  readonly onLooks: (read: ProfileRead | null) => void;
  /** What takes the picture now, for the act at the side. */
  readonly shutterRef: React.RefObject<(() => void) | null>;
}

/** What would be read of a look, without any scale. */
async function lookedAt({ ask }: Reader, blob: Blob): Promise<ProfileRead> {
  await ask.decode(LOOK, blob);
  return ask.read(LOOK, { pxPerMm: null, pinMm: null, knownMajorMm: null, starts: null, leadAngleDeg: null });
}

const devicesOf = async (): Promise<MediaDeviceInfo[]> => {
  const media = (navigator as { mediaDevices?: MediaDevices }).mediaDevices;
  if (!media?.enumerateDevices) return [];
  return (await media.enumerateDevices()).filter((d) => d.kind === 'videoinput');
};

/** What the camera sees, with its axis; a file, a scan or a simulated part instead. */
export function TakePlate({ aim, reader, onTake, onFile, onLooks, shutterRef }: Props) {
  const [source, setSource] = useState<Source>({
    kind: 'simulated',
    scene: aim === 'tool' ? 'tool-flat' : aim === 'made' ? 'pinned' : 'press',
  });
  const [devices, setDevices] = useState<readonly MediaDeviceInfo[]>([]);
  const [live, setLive] = useState<Live>({ read: null, url: null });
  const [fault, setFault] = useState<{ readonly of: string; readonly text: string } | null>(null);
  const video = useRef<HTMLVideoElement>(null);
  const file = useRef<HTMLInputElement>(null);
  const scanned = useRef(false);
  useEffect(() => {
    devicesOf().then(setDevices, () => undefined);
  }, []);
  const scenes: readonly (Scene | ToolScene)[] = aim === 'tool' ? TOOL_SCENES : SCENES;
  const key = source.kind === 'device' ? source.id : source.scene;
  const failed = fault?.of === key ? fault.text : null;

  useEffect(() => {
    let current = true;
    let stream: MediaStream | null = null;
    let last: string | null = null;
    const setFailed = (text: string): void => setFault({ of: key, text });
    const frame = async (w: number, seed: number): Promise<Blob | null> => {
      if (source.kind === 'simulated') return reader().ask.simulate(source.scene, w, seed);
      const el = video.current;
      if (!el || el.videoWidth === 0) return null;
      const share = Math.min(1, w / el.videoWidth);
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [el.videoWidth * share, el.videoHeight * share];
      canvas.getContext('2d')?.drawImage(el, 0, 0, canvas.width, canvas.height);
      return new Promise((done) => canvas.toBlob(done, 'image/jpeg', 0.95));
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

  const choose = (isScan: boolean): void => {
    scanned.current = isScan;
    file.current?.click();
  };
  const { read } = live;
  const way =
    'flex min-h-14 items-center justify-center gap-2 rounded-[3px] border border-scribe2 bg-deep px-3 font-semibold text-scribe hover:brightness-125';
  return (
    <div
      className="plate on-plate relative grid min-h-120 grid-rows-[auto_minmax(0,1fr)_auto] gap-3 overflow-hidden p-4"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        const [dropped] = e.dataTransfer.files;
        if (dropped) onFile(dropped, dropped.name, false);
      }}
    >
      <DyeCoat />
      <div className="relative flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-xl">Through the camera</h2>
        <label className="flex items-center gap-2 text-scribe2">
          <span aria-hidden>Camera</span>
          <select
            aria-label="Camera"
            value={key}
            onChange={(e) => {
              const scene = scenes.find((s) => s === e.target.value);
              setSource(scene ? { kind: 'simulated', scene } : { kind: 'device', id: e.target.value });
              setLive({ read: null, url: null });
              onLooks(null);
            }}
            className="min-h-12 max-w-72 rounded-[3px] border border-scribe2 bg-deep px-2 text-scribe"
          >
            {devices.map((d, i) => (
              <option key={d.deviceId} value={d.deviceId}>
                {d.label || `This device\u2019s camera ${i + 1}`}
              </option>
            ))}
            {scenes.map((s) => (
              <option key={s} value={s}>{`Simulated: ${SCENE_NAMES[s]}`}</option>
            ))}
          </select>
        </label>
      </div>
      <div className="relative min-h-60 overflow-hidden rounded-[3px] border-2 border-scribe bg-deep">
        {source.kind === 'device' ? (
          <video
            ref={video}
            muted
            playsInline
            className="absolute inset-0 size-full object-contain"
            aria-label="What the camera sees"
          />
        ) : live.url ? (
          <img
            src={live.url}
            alt="What the simulated camera sees"
            className="absolute inset-0 size-full object-contain"
          />
        ) : (
          <p className="p-4 text-scribe2">{failed ? '' : 'The camera opens\u2026'}</p>
        )}
        {read?.seen && live.url && (
          <svg
            viewBox={`0 0 ${LOOK_W} ${LOOK_W * 0.625}`}
            className="pointer-events-none absolute inset-0 size-full"
            aria-hidden
          >
            <line
              x1={read.seen.axis[0]}
              y1={read.seen.axis[1]}
              x2={read.seen.axis[2]}
              y2={read.seen.axis[3]}
              stroke="var(--straw)"
              strokeWidth="2.5"
              strokeDasharray="22 5 4 5"
            />
          </svg>
        )}
        <svg
          viewBox="0 0 100 62.5"
          preserveAspectRatio="none"
          className="pointer-events-none absolute inset-0 size-full"
          aria-hidden
        >
          <path
            d="M2 8V2H7M93 2H98V8M98 54.5V60.5H93M7 60.5H2V54.5"
            fill="none"
            stroke="var(--straw)"
            strokeWidth="3"
            vectorEffect="non-scaling-stroke"
          />
        </svg>
        {failed !== null && (
          <p role="alert" className="absolute inset-x-4 top-4 rounded-[3px] bg-panel p-3 text-ink">
            {failed} A file, or a scan, does as well.
          </p>
        )}
      </div>
      <div className="relative grid grid-cols-2 gap-2.5 xs:grid-cols-3">
        <button type="button" className={way} onClick={() => choose(false)}>
          <FileImage aria-hidden size={20} /> File, or paste
        </button>
        <button type="button" className={way} onClick={() => choose(true)}>
          <ScanLine aria-hidden size={20} /> Off a scanner
        </button>
        <p className="flex items-center justify-center gap-2 text-center text-scribe2 max-xs:col-span-2">
          <Camera aria-hidden size={20} /> or drop one here
        </p>
        <input
          ref={file}
          type="file"
          accept={PICTURE_FILES}
          aria-label="Picture file"
          className="sr-only"
          tabIndex={-1}
          onChange={(e) => {
            const [chosen] = e.target.files ?? [];
            if (chosen) onFile(chosen, chosen.name, scanned.current);
            e.target.value = '';
          }}
        />
      </div>
    </div>
  );
}
