import { useRef, useState } from 'react';
import { Camera, Trash2 } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { Picture } from '../../core/job/schema.ts';
import { PHOTO_WORDS } from '../../words/photos.ts';
import { storageText } from '../../words/storage.ts';
import { useJobView } from '../job/jobContext.tsx';
import { act } from '../store/store.ts';
import { Button } from '../ui/controls.tsx';
import { addPhotos, type PhotoOf } from './addPhoto.ts';
import { PICTURE_FILES } from './kinds.ts';
import { usePictureUrl } from './usePictureUrl.ts';

/** Photos of the job that show one thing, or all of them; more are taken by the device's camera, chosen, or dropped. */
export function Photos({ of, all = false }: { readonly of: PhotoOf; readonly all?: boolean }) {
  const { job } = useJobView();
  const picker = useRef<HTMLInputElement>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const photos = job.pictures.filter((p) => p.shadow === undefined && (all || p.place === of));
  return (
    <section aria-label={PHOTO_WORDS.title(of, all)} className="grid gap-2 border-t border-line pt-3">
      <h2 className="text-lg">{PHOTO_WORDS.title(of, all)}</h2>
      {photos.length > 0 && (
        <ul className="flex flex-wrap gap-2">
          {photos.map((p) => (
            <li key={p.id}>
              <Photo photo={p} />
            </li>
          ))}
        </ul>
      )}
      <input
        ref={picker}
        type="file"
        accept={PICTURE_FILES}
        multiple
        hidden
        aria-label={PHOTO_WORDS.file(of)}
        onChange={(e) => {
          const files = [...(e.target.files ?? [])];
          e.target.value = '';
          setFailed(null);
          addPhotos(files, of).catch((err: unknown) => setFailed(storageText(err)));
        }}
      />
      <Button onClick={() => picker.current?.click()}>
        <Camera aria-hidden size={18} /> {PHOTO_WORDS.add(of)}
      </Button>
      {failed !== null && <p className="text-stop">{PHOTO_WORDS.failed(failed)}</p>}
    </section>
  );
}

function Photo({ photo }: { readonly photo: Picture }) {
  const url = usePictureUrl(photo.id);
  const thumb =
    url === null ? (
      <span className="flex h-20 w-28 items-center justify-center rounded-[3px] border border-dashed border-edge text-sm text-ink2">
        {PHOTO_WORDS.notHere}
      </span>
    ) : (
      <img src={url} alt="" className="h-20 w-28 rounded-[3px] border border-edge object-cover" />
    );
  return (
    <Dialog.Root>
      <Dialog.Trigger asChild>
        <button type="button" aria-label={PHOTO_WORDS.open(photo.name, photo.place)} className="block">
          {thumb}
        </button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/60" />
        <Dialog.Content className="fixed inset-4 z-40 mx-auto grid max-w-5xl grid-rows-[auto_minmax(0,1fr)_auto] gap-3 rounded-[4px] border-2 border-edge bg-panel p-4 text-ink">
          <Dialog.Title className="truncate text-xl font-semibold">{photo.name}</Dialog.Title>
          {url === null ? (
            <p>{PHOTO_WORDS.notHereLong}</p>
          ) : (
            <img src={url} alt={photo.name} className="m-auto max-h-full max-w-full object-contain" />
          )}
          <div className="flex flex-wrap items-center justify-between gap-2">
            <Dialog.Description className="text-ink2">
              {PHOTO_WORDS.said(photo.place, new Date(photo.at).toLocaleString())}
            </Dialog.Description>
            <span className="flex gap-2">
              <Button tone="quiet" onClick={() => act({ do: 'removePicture', picture: photo.id })}>
                <Trash2 aria-hidden size={18} /> {PHOTO_WORDS.remove}
              </Button>
              <Dialog.Close asChild>
                <Button tone="main">{PHOTO_WORDS.close}</Button>
              </Dialog.Close>
            </span>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
