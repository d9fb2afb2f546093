import { Camera, FileImage, ScanLine } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { SCENES, TOOL_SCENES, type Scene, type ToolScene } from '../../../../core/profile/scenes.ts';
import type { ProfileRead } from '../../../../core/profile/types.ts';
import { SCENE_NAMES } from '../../../../words/picture.ts';
import { DyeCoat } from '../../../drawing/Plate.tsx';
import type { Reader } from '../../../workers/pictures.ts';
import { PICTURE_FILES } from '../../../photos/kinds.ts';
import { LookFrame } from './LookFrame.tsx';
import { useCamera, type Source } from './useCamera.ts';
import type { Aim } from './usePicture.ts';

interface Props {
  readonly aim: Aim;
  readonly reader: () => Reader;
  readonly onTake: (blob: Blob, name: string) => void;
  readonly onFile: (file: Blob, name: string, scanned: boolean) => void;
  readonly onLooks: (read: ProfileRead | null) => void;
  /** What takes the picture now, for the act at the side. */
  readonly shutterRef: React.RefObject<(() => void) | null>;
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
  const file = useRef<HTMLInputElement>(null);
  const scanned = useRef(false);
  useEffect(() => {
    devicesOf().then(setDevices, () => undefined);
  }, []);
  const scenes: readonly (Scene | ToolScene)[] = aim === 'tool' ? TOOL_SCENES : SCENES;
  const key = source.kind === 'device' ? source.id : source.scene;
  const { live, video, failed, blank } = useCamera({ source, key, aim, reader, onTake, onLooks, shutterRef });

  const choose = (isScan: boolean): void => {
    scanned.current = isScan;
    file.current?.click();
  };
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
              blank();
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
      <LookFrame video={source.kind === 'device' ? video : null} live={live} failed={failed} />
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
