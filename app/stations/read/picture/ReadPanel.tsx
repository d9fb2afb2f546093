import { Camera, Check, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { type PictureRow, seenAs } from '../../../../core/job/fromPicture.ts';
import { partOf } from '../../../../core/job/evidence.ts';
import type { ProfileRead } from '../../../../core/profile/types.ts';
import { FREE_ENDS } from '../../../../core/job/schema.ts';
import { PROFILE_VIEWS } from '../../../../core/profile/types.ts';
import { VIEW_NAMES } from '../../../../words/profile.ts';
import { counted, growsText, hiddenText, rowName } from '../../../../words/picture.ts';
import { PROFILE_ASKS } from '../../../../words/profile.ts';
import { useJobView } from '../../../job/jobContext.tsx';
import { useSystem } from '../../../store/store.ts';
import { Button, Note } from '../../../ui/controls.tsx';
import { Choice } from '../../../ui/choices.tsx';
import { LengthField } from '../../../ui/fields.tsx';
import { useKeys } from '../../../ui/keys.ts';
import { ReadRows } from './ReadRows.tsx';
import { ScaleFields } from './ScaleFields.tsx';
import type { PictureView } from './usePicture.ts';

interface Props {
  readonly view: PictureView;
  readonly read: ProfileRead;
  readonly rows: readonly PictureRow[];
  /** Lines put aside or taken against what is proposed, by their key. */
  readonly chosen: ReadonlySet<number>;
  readonly onChoose: (i: number) => void;
  readonly onTake: () => void;
  readonly failed: string | null;
}

/** What hangs on which end is which. */
const hangsOnEnd = (r: PictureRow): boolean =>
  r.key === 'leading' ||
  r.key === 'trailing' ||
  (r.key === 'taper' && r.value !== 0) ||
  (r.key === 'wear' && r.gives.length > 0);

/** What the picture gives, line by line, and the act that takes it. */
export function ReadPanel({ view, read, rows, chosen, onChoose, onTake, failed }: Props) {
  const { job } = useJobView();
  const system = useSystem();
  const { shadow, setShadow } = view;
  const side = partOf(job);
  const [scaling, setScaling] = useState(shadow.scale === null);
  const many = rows.filter((r, i) => chosen.has(i) && r.gives.length > 0).length;
  const asksEnd = rows.some((r, i) => chosen.has(i) && hangsOnEnd(r)) && shadow.freeEnd === null;
  const can = many > 0 && !asksEnd && view.done === null;
  useKeys({ takePicture: () => can && onTake() });
  const name = (r: PictureRow): string =>
    shadow.freeEnd === null && (r.key === 'leading' || r.key === 'trailing')
      ? r.key === 'leading'
        ? 'Right flank'
        : 'Left flank'
      : rowName(r, side);
  const hidden = (['left', 'right'] as const).flatMap((s) => {
    const range = read.hidden[s];
    const apparent = read[s]?.apparentDeg;
    if (!range || apparent === undefined || read.seen === null) return [];
    const next = range.toDeg + 2;
    return [
      hiddenText(range.fromDeg, range.toDeg, apparent, {
        deg: next,
        seen: seenAs(next, read.seen.leadPx, read.seen.outerPx - (read.depthPx ?? 0) / 2),
      }),
    ];
  });
  return (
    <>
      <header className="grid gap-2">
        <h1 tabIndex={-1} className="text-2xl leading-tight outline-none">
          {counted(many)} {many === 1 ? 'reading' : 'readings'} from {read.teeth} sound teeth.
        </h1>
        {asksEnd && <p className="text-ink2">Say first at which side of the picture its free end is.</p>}
      </header>
      {rows.some(hangsOnEnd) && (
        <Choice
          label="The free end is at the picture’s"
          even
          value={shadow.freeEnd ?? 'unsaid'}
          options={FREE_ENDS.map((e) => ({ value: e, label: e }))}
          onChange={(e) => setShadow({ freeEnd: FREE_ENDS.find((x) => x === e) ?? null })}
        />
      )}
      {read.asks.includes('even-or-rings') && (
        <Choice
          label="Starts, looked at from its end"
          even
          value={String(shadow.starts ?? 2)}
          options={['2', '4', '6'].map((n) => ({ value: n, label: n }))}
          onChange={(n) => setShadow({ starts: Number(n) })}
        />
      )}
      {rows.some((r) => r.key === 'crest' || r.key === 'root') && (
        <Choice
          label="The light went (flats and radii hang on it)"
          even
          value={shadow.view ?? 'unsaid'}
          options={PROFILE_VIEWS.map((v) => ({ value: v, label: VIEW_NAMES[v] }))}
          onChange={(v) => {
            const view = PROFILE_VIEWS.find((x) => x === v);
            if (view) setShadow({ view });
          }}
        />
      )}
      <Button tone="main" disabled={!can} className="min-h-14 w-full text-lg" onClick={onTake}>
        <Check aria-hidden size={20} /> Take the {counted(many).toLowerCase()}
        <kbd className="rounded border border-strawink px-1.5 text-sm font-semibold">Enter</kbd>
      </Button>
      {failed !== null && <Note tone="wrong">{failed}</Note>}
      {side === 'internal' && (
        <p className="text-sm text-ink2">The picture is of the screw: these are readings of the nut&rsquo;s mate.</p>
      )}
      {rows.length === 0 && <Note tone="say">Angles and proportions are seen. Give a scale for the rest.</Note>}
      <ReadRows rows={rows} chosen={chosen} onChoose={onChoose} nameOf={name} />
      {rows.some((r) => r.key === 'wear') && (
        <LengthField
          label="The picture begins from the end of the thread"
          mm={shadow.beginsMm}
          system={system}
          rule={{ allowZero: true }}
          onCommit={(mm) => setShadow({ beginsMm: mm })}
        />
      )}
      {hidden.map((t) => (
        <p key={t} className="flex gap-2 border-t border-line pt-2 font-semibold text-stop">
          <TriangleAlert aria-hidden size={20} className="mt-0.5 shrink-0" /> {t}
        </p>
      ))}
      {read.asks.map((a) => (
        <Note key={a} tone="say">
          {PROFILE_ASKS[a]}
          {a === 'lead-grows' && read.warp && ` ${growsText(read.warp.leadGrows)}`}
        </Note>
      ))}
      <details open={scaling} onToggle={(e) => setScaling(e.currentTarget.open)} className="border-t border-line pt-1">
        <summary className="flex min-h-12 cursor-pointer items-center font-semibold">Scale</summary>
        <ScaleFields scale={shadow.scale} onChange={(scale) => setShadow({ scale })} />
      </details>
      <Button className="w-full" onClick={view.putAside}>
        <Camera aria-hidden size={20} /> Put it aside, take another
      </Button>
    </>
  );
}
