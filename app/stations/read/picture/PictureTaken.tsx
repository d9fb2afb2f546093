import { useState } from 'react';
import type { FormLaid } from '../../../../core/profile/forms.ts';
import type { ProfileRead, Shown } from '../../../../core/profile/types.ts';
import { Tabs } from '../../../ui/Tabs.tsx';
import { FormsRow } from './FormsRow.tsx';
import { LeftOver } from './LeftOver.tsx';
import { ShadowPlate, type Way } from './ShadowPlate.tsx';
import { ToothPlate } from './ToothPlate.tsx';
import type { PictureView } from './usePicture.ts';

interface Props {
  readonly view: PictureView;
  readonly picture: NonNullable<PictureView['picture']>;
  /** What is being pointed at by hand; null: nothing. */
  readonly pointed: Shown | null;
  readonly onPoint: (shown: Shown) => void;
}

/** The picture that was taken, with what was seen in it; once it could be read also the tooth, what is left over and the forms. */
export function PictureTaken({ view, picture, pointed, onPoint }: Props) {
  const { read, tip, shadow } = view;
  const [way, setWay] = useState<Way>('dyed');
  const [laid, setLaid] = useState<{ readonly on: ProfileRead; readonly form: FormLaid | null } | null>(null);
  // what was chosen of one reading is not chosen of the next
  const form = laid && laid.on === read ? laid.form : null;
  const setForm = (f: FormLaid | null): void => setLaid(read && { on: read, form: f });
  const ok = read?.confident;
  const plate = (
    <ShadowPlate
      picture={picture}
      read={read}
      tip={tip}
      way={way}
      pointed={pointed}
      onPoint={onPoint}
      badges={read !== null && !read.confident}
    />
  );
  return (
    <div
      className={`grid min-w-0 grid-cols-[minmax(0,1fr)] gap-3 ${ok ? 'desk:grid-rows-[auto_minmax(18rem,1fr)_auto_auto]' : 'desk:grid-rows-[auto_minmax(0,1fr)_auto]'}`}
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
      {ok ? (
        <div className="grid min-h-0 grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
          {plate}
          <ToothPlate read={read} form={form} />
        </div>
      ) : (
        plate
      )}
      {ok && <LeftOver read={read} freeEnd={shadow.freeEnd ?? 'right'} beginsMm={shadow.beginsMm} />}
      {ok && <FormsRow read={read} form={form} onForm={setForm} />}
      {!ok && !tip && <p className="text-lg font-semibold">Nothing has been taken from this picture yet.</p>}
    </div>
  );
}
