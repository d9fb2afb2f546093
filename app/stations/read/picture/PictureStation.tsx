import { useTaking } from './useTaking.ts';
import { AtTheCamera } from './AtTheCamera.tsx';
import { FormsRow } from './FormsRow.tsx';
import { ArrowLeft } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';

import { rowsOfPicture } from '../../../../core/job/fromPicture.ts';

import type { ShadowTaken } from '../../../../core/job/schema.ts';
import type { FormLaid } from '../../../../core/profile/forms.ts';
import type { ProfileRead, Shown } from '../../../../core/profile/types.ts';
import { notReadText, PICTURE_BACK } from '../../../../words/picture.ts';

import { useJobView } from '../../../job/jobContext.tsx';

import { Button, Note } from '../../../ui/controls.tsx';
import { useKeys } from '../../../ui/keys.ts';
import { Tabs } from '../../../ui/Tabs.tsx';
import { AskPanel } from './AskPanel.tsx';
import { LeftOver } from './LeftOver.tsx';
import { ReadPanel } from './ReadPanel.tsx';

import { ShadowPlate, type Way } from './ShadowPlate.tsx';
import { TakePlate } from './TakePlate.tsx';

import { ToothPlate } from './ToothPlate.tsx';
import { TipPanel } from './TipPanel.tsx';
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
  const [way, setWay] = useState<Way>('dyed');
  const [laid, setLaid] = useState<{ readonly on: ProfileRead; readonly form: FormLaid | null } | null>(null);
  // what was chosen of one reading is not chosen of the next
  const form = laid && laid.on === read ? laid.form : null;
  const setForm = (f: FormLaid | null): void => setLaid(read && { on: read, form: f });
  const [pointed, setPointed] = useState<Shown | null>(null);
  const rows = useMemo(
    () => (read ? rowsOfPicture(read, { freeEnd: shadow.freeEnd ?? 'right', beginsMm: shadow.beginsMm }) : []),
    [read, shadow.freeEnd, shadow.beginsMm],
  );
  const [against, setAgainst] = useState<{ readonly on: ProfileRead | null; readonly lines: ReadonlySet<number> }>({
    on: null,
    lines: new Set(),
  });
  const other = against.on === read ? against.lines : new Set<number>();
  const chosen = new Set(rows.flatMap((r, i) => (r.gives.length > 0 && r.taken !== other.has(i) ? [i] : [])));
  useEffect(() => {
    const paste = (e: ClipboardEvent): void => {
      const file = [...(e.clipboardData?.files ?? [])].find((f) => f.type.startsWith('image/'));
      if (!file) return;
      e.preventDefault();
      view.take(file, file.name || 'Pasted');
    };
    window.addEventListener('paste', paste);
    return () => window.removeEventListener('paste', paste);
  });
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
  const plate = picture && (
    <ShadowPlate
      key={picture.id}
      picture={picture}
      read={read}
      tip={tip}
      way={way}
      pointed={pointed}
      onPoint={setPointed}
      badges={Boolean(asks)}
    />
  );
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
          <div
            className={`grid min-w-0 grid-cols-[minmax(0,1fr)] gap-3 ${readOk ? 'desk:grid-rows-[auto_minmax(18rem,1fr)_auto_auto]' : 'desk:grid-rows-[auto_minmax(0,1fr)_auto]'}`}
          >
            <div className="flex flex-wrap items-center justify-between gap-2">
              <h2 className="min-w-0 truncate text-xl">{picture.name}</h2>
              <Tabs
                label="How it is shown"
                value={way}
                onChange={(w) => setWay(w as Way)}
                tabs={[
                  { id: 'dyed', label: 'dyed', body: null },
                  { id: 'taken', label: 'as taken', body: null },
                ]}
              />
            </div>
            {readOk ? (
              <div className="grid min-h-0 grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
                {plate}
                <ToothPlate read={read} form={form} />
              </div>
            ) : (
              plate
            )}
            {readOk && <LeftOver read={read} freeEnd={shadow.freeEnd ?? 'right'} beginsMm={shadow.beginsMm} />}
            {readOk && <FormsRow read={read} form={form} onForm={setForm} />}
            {!readOk && !tip && <p className="text-lg font-semibold">Nothing has been taken from this picture yet.</p>}
          </div>
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
            onChoose={(i) => {
              const lines = new Set(other);
              if (!lines.delete(i)) lines.add(i);
              setAgainst({ on: read, lines });
            }}
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
