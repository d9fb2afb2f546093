import { useTaking } from './useTaking.ts';
import { AtTheCamera } from './AtTheCamera.tsx';
import { ArrowLeft } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { rowsOfPicture } from '../../../../core/job/fromPicture.ts';
import type { ShadowTaken } from '../../../../core/job/schema.ts';
import type { ProfileRead, Shown } from '../../../../core/profile/types.ts';
import { notReadText, PICTURE_BACK } from '../../../../words/picture.ts';
import { useJobView } from '../../../job/jobContext.tsx';
import { Button, Note } from '../../../ui/controls.tsx';
import { useKeys } from '../../../ui/keys.ts';
import { AskPanel } from './AskPanel.tsx';
import { PictureTaken } from './PictureTaken.tsx';
import { ReadPanel } from './ReadPanel.tsx';
import { TakePlate } from './TakePlate.tsx';
import { TipPanel } from './TipPanel.tsx';
import { useChosen } from './useChosen.ts';
import { usePasted } from './usePasted.ts';
import { usePicture, type Aim } from './usePicture.ts';

/** Where one came from. */
const BACK: Readonly<Record<Aim, (job: string) => string>> = {
  part: (id) => `/jobs/${id}/read`,
  made: (id) => `/jobs/${id}/prove?by=form`,
  tool: (id) => `/jobs/${id}/setup?show=tool`,
};
/** What was pointed at, as the job keeps it. */
const asKept = ({ axis, stretch, pitchPx, edge }: Shown): ShadowTaken['shown'] => ({
  ...(axis ? { axis: [...axis] } : {}),
  ...(stretch ? { stretch: [...stretch] } : {}),
  ...(pitchPx === undefined ? {} : { pitchPx }),
  ...(edge ? { edge } : {}),
});

/** A picture against the light, from the camera to readings: `of` is one of the job's own, or a new one. */
export function PictureStation({ of, aim }: { readonly of: string; readonly aim: Aim }) {
  const { job } = useJobView();
  const navigate = useNavigate();
  const kept = job.pictures.find((p) => p.id === of) ?? null;
  const view = usePicture(kept, aim);
  const { picture, read, tip, shadow } = view;
  const shutterRef = useRef<(() => void) | null>(null);
  const [looks, setLooks] = useState<ProfileRead | null>(null);
  const [pointed, setPointed] = useState<Shown | null>(null);
  const rows = useMemo(
    () => (read ? rowsOfPicture(read, { freeEnd: shadow.freeEnd ?? 'right', beginsMm: shadow.beginsMm }) : []),
    [read, shadow.freeEnd, shadow.beginsMm],
  );
  const { chosen, choose } = useChosen(read, rows);
  usePasted((file) => view.take(file, file.name || 'Pasted'));
  const back = BACK[aim](job.id);
  const { failed, takeReadings, takeTip } = useTaking(view, aim, () => void navigate(back));
  const startPointing = (): void => {
    const w = picture?.w ?? 1;
    const h = picture?.h ?? 1;
    const axis = read?.seen?.axis ?? ([0.1 * w, h / 2, 0.9 * w, h / 2] as const);
    setPointed({ ...shadow.shown, axis: shadow.shown.axis ?? axis });
  };
  const readSo = (): void => {
    if (pointed) view.setShadow({ shown: asKept(pointed) });
    setPointed(null);
  };
  const onFile = (file: Blob, name: string, scanned: boolean): void =>
    // nobody has said how many dots a scan has: it is asked, not guessed
    view.take(file, name, scanned && shadow.scale?.by !== 'resolution' ? null : undefined);
  useKeys({ shoot: () => (picture ? undefined : shutterRef.current?.()), leavePicture: () => void navigate(back) });

  const readOk = picture && read?.confident;
  const asks = picture && read && !read.confident;
  return (
    <div className="grid gap-3 desk:h-full desk:grid-cols-[minmax(0,1fr)_22.25rem] desk:grid-rows-[minmax(0,1fr)]">
      <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-3 desk:content-stretch desk:overflow-y-auto">
        {!picture ? (
          <TakePlate
            aim={aim}
            reader={view.reader}
            shutterRef={shutterRef}
            onTake={(b, n) => view.take(b, n)}
            onFile={onFile}
            onLooks={setLooks}
          />
        ) : (
          <PictureTaken key={picture.id} view={view} picture={picture} pointed={pointed} onPoint={setPointed} />
        )}
      </div>
      <section
        aria-label="From the picture to readings"
        className="relative grid content-start gap-3 rounded-[4px] border border-l-[10px] border-edge border-l-straw bg-panel p-4 desk:overflow-y-auto"
      >
        <Button tone="quiet" className="justify-self-start px-0!" onClick={() => void navigate(back)}>
          <ArrowLeft aria-hidden size={18} /> {PICTURE_BACK[aim]}
        </Button>
        {view.failed && <Note tone="wrong">{notReadText(view.failed)}</Note>}
        {picture && view.done !== null && (
          <div className="grid gap-2">
            <p role="status" className="text-lg">
              Reading the picture&hellip;
            </p>
            <progress value={view.done} max={1} aria-label="Share read" className="h-3 w-full" />
            <Button onClick={view.stop}>Stop</Button>
          </div>
        )}
        {picture && view.done === null && !read && !tip && (
          <>
            <h1 tabIndex={-1} className="text-2xl outline-none">
              It was not read to the end.
            </h1>
            <Button tone="main" className="min-h-14 w-full" onClick={view.again}>
              Read it again
            </Button>
            <Button onClick={view.putAside}>Put this picture aside</Button>
          </>
        )}
        {!picture && <AtTheCamera aim={aim} looks={looks} view={view} onShoot={() => shutterRef.current?.()} />}
        {picture && tip && <TipPanel view={view} tip={tip} onTake={takeTip} />}
        {tip && failed !== null && <Note tone="wrong">{failed}</Note>}
        {readOk && (
          <ReadPanel
            view={view}
            read={read}
            rows={rows}
            chosen={chosen}
            onChoose={choose}
            onTake={() => void takeReadings(rows.filter((_, i) => chosen.has(i)))}
            failed={failed}
          />
        )}
        {readOk &&
          (pointed ? (
            <Button className="w-full" onClick={readSo}>
              Read it so
            </Button>
          ) : (
            <Button tone="quiet" onClick={startPointing}>
              Show axis, stretch and tooth by hand
            </Button>
          ))}
        {asks && view.done === null && (
          <AskPanel view={view} read={read} pointing={pointed !== null} onShow={startPointing} onReadSo={readSo} />
        )}
      </section>
    </div>
  );
}
