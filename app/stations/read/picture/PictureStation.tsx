import { ArrowLeft, Camera, CircleAlert, CircleCheck } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { partOf } from '../../../../core/job/evidence.ts';
import { formGiven } from '../../../../core/job/formFromPicture.ts';
import { rowsOfPicture } from '../../../../core/job/fromPicture.ts';
import { FINE, lengthText } from '../../../../core/quantity/format.ts';
import type { ShadowTaken } from '../../../../core/job/schema.ts';
import type { FormLaid } from '../../../../core/profile/forms.ts';
import type { ProfileRead, Shown } from '../../../../core/profile/types.ts';
import { checksOf, formName, offText } from '../../../../words/picture.ts';
import { problemLine } from '../../../../words/problems.ts';
import { storageText } from '../../../../words/storage.ts';
import { announce } from '../../../ui/announce.ts';
import { useJobView } from '../../../job/jobContext.tsx';
import { putPicture } from '../../../storage/db.ts';
import { act, useSystem } from '../../../store/store.ts';
import { Button, Note } from '../../../ui/controls.tsx';
import { useKeys } from '../../../ui/keys.ts';
import { Tabs } from '../../../ui/Tabs.tsx';
import { AskPanel } from './AskPanel.tsx';
import { LeftOver } from './LeftOver.tsx';
import { ReadPanel } from './ReadPanel.tsx';
import { ScaleFields } from './ScaleFields.tsx';
import { ShadowPlate, type Way } from './ShadowPlate.tsx';
import { TakePlate } from './TakePlate.tsx';
import { readingsOf } from './taken.ts';
import { ToothPlate } from './ToothPlate.tsx';
import { TipPanel } from './TipPanel.tsx';
import { usePicture, type Aim } from './usePicture.ts';

/** Where one came from. */
const BACK: Readonly<Record<Aim, (job: string) => string>> = {
  part: (id) => `/jobs/${id}/read`,
  made: (id) => `/jobs/${id}/prove?by=form`,
  tool: (id) => `/jobs/${id}/setup?show=tool`,
};
const BACK_TEXT: Readonly<Record<Aim, string>> = {
  part: 'To the readings',
  made: 'To the proof',
  tool: 'To the tool',
};
const HOLD: Readonly<Record<Aim, string>> = {
  part: 'Lamp behind a sheet of paper, camera as far off as the zoom allows, square to the part.',
  made: 'The finished thread, clean and dry: lamp behind paper, camera far off and square to it.',
  tool: 'The tool’s face square to the camera, lamp behind it, its shank running out of the picture.',
};

/** Forms laid over that are offered. */
const OFFERED = 3;

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
  const system = useSystem();
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
  const [failed, setFailed] = useState<string | null>(null);
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
  const takeReadings = async (): Promise<void> => {
    if (!picture || !read) return;
    setFailed(null);
    try {
      await putPicture({ id: picture.id, jobId: job.id, blob: picture.blob });
    } catch (e) {
      setFailed(`The picture could not be kept: ${storageText(e)}. Its readings are not taken.`);
      return;
    }
    const lines = rows.filter((_, i) => chosen.has(i));
    // the finished thread is read for its form: what was found of it stands among what was done
    const given = aim === 'made' ? [] : readingsOf(lines, partOf(job) === 'external' ? 'part' : 'mate', system);
    const form = aim === 'made' ? formGiven(job, read, lines, shadow.freeEnd ?? 'right') : [];
    const refused = act({
      do: 'takePicture',
      picture: {
        id: picture.id,
        name: picture.name.slice(0, 200),
        type: picture.blob.type,
        place: aim === 'made' ? 'finished thread' : '',
        shadow,
      },
      readings: given,
    });
    if (refused) return setFailed('These readings could not be taken: undo the last change, and take them again.');
    for (const { what, value, unit, spanMm } of form)
      act({
        do: 'readForm',
        what,
        value,
        text: unit === 'deg' ? value.toFixed(1) : lengthText(value, system, FINE),
        spanMm,
      });
    announce(`${given.length + form.length} readings taken from the picture`);
    void navigate(back);
  };
  const takeTip = (): void => {
    const scale = tip?.pxPerMm?.value;
    if (!tip?.tip || scale === undefined) return;
    const end = tip.tip;
    const mm = (px: number): number => Number((px / scale).toFixed(3));
    const refused = act({
      do: 'setFit',
      tip: end.kind === 'flat' ? { flatMm: mm(end.wide) } : { radiusMm: mm(end.radius) },
    });
    if (refused) return setFailed(`This tip cannot be taken: ${problemLine(refused, system)}`);
    void navigate(back);
  };
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
  const ready = looks?.confident ?? false;
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
            {readOk && (
              <div role="group" aria-label="Forms laid over it" className="grid grid-cols-2 gap-2 xl:grid-cols-4">
                {[...read.forms.slice(0, OFFERED), null].map((f) => (
                  <button
                    key={f ? `${f.form}${f.flipped}` : 'none'}
                    type="button"
                    aria-pressed={form === f}
                    onClick={() => setForm(f)}
                    className="min-h-14 rounded-[3px] border border-edge bg-panel px-3 py-1 text-left leading-tight aria-pressed:bg-ink aria-pressed:text-onink"
                  >
                    <span className="block truncate font-semibold">{f ? formName(f) : 'as found'}</span>
                    <span className="num block text-[15px] opacity-85">
                      {f ? offText(f.residual) : read.ends ? offText(read.ends.residual) : 'picture only'}
                    </span>
                  </button>
                ))}
              </div>
            )}
            {!readOk && !tip && <p className="text-lg font-semibold">Nothing has been taken from this picture yet.</p>}
          </div>
        )}
      </div>
      <section
        aria-label="From the picture to readings"
        className="relative grid content-start gap-3 rounded-[4px] border border-l-[10px] border-edge border-l-straw bg-panel p-4 desk:overflow-y-auto"
      >
        <Button tone="quiet" className="justify-self-start px-0!" onClick={() => void navigate(back)}>
          <ArrowLeft aria-hidden size={18} /> {BACK_TEXT[aim]}
        </Button>
        {view.failed && (
          <Note tone="wrong">
            {view.failed.kind === 'no-picture'
              ? 'This is no picture that can be opened here: PNG, JPEG or WebP.'
              : view.failed.kind === 'gone'
                ? 'This picture is not in this browser: it stayed where it was taken. Its readings are here.'
                : view.failed.kind === 'too-large'
                  ? `This picture has ${view.failed.megapixels.toFixed(0)} million points; 12 are taken. Save it smaller.`
                  : `It could not be read: ${view.failed.because}.`}
          </Note>
        )}
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
        {!picture && (
          <>
            <header className="grid gap-1">
              <h1 tabIndex={-1} className="text-2xl leading-tight outline-none">
                {ready ? 'Sharp, and in view: take it.' : 'Hold it against the light.'}
              </h1>
              <p className="text-ink2">{HOLD[aim]}</p>
            </header>
            <Button tone="main" className="min-h-14 w-full text-lg" onClick={() => shutterRef.current?.()}>
              <Camera aria-hidden size={20} /> Take it
              <kbd className="rounded border border-strawink px-1.5 text-sm font-semibold">Space</kbd>
            </Button>
            {looks && (
              <ul className="grid" aria-label="What the camera sees">
                {checksOf(looks).map((c) => (
                  <li key={c.what} className="flex min-h-10 items-center gap-2 border-t border-line">
                    {c.good ? (
                      <CircleCheck aria-label="good" size={20} className="shrink-0 text-go" />
                    ) : (
                      <CircleAlert aria-label="not yet" size={20} className="shrink-0 text-stop" />
                    )}
                    <span className="grow">{c.what}</span>
                    <span className="num font-semibold">{c.figure}</span>
                  </li>
                ))}
              </ul>
            )}
            <ScaleFields
              scale={shadow.scale}
              onChange={(scale) => view.setShadow({ scale })}
              {...(aim === 'tool' ? { without: 'major' } : {})}
            />
          </>
        )}
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
            onTake={() => void takeReadings()}
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
