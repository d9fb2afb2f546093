import { DROP_WORDS } from '../../words/photos.ts';
import { storageText } from '../../words/storage.ts';
import { addPhotos, type PhotoOf } from '../photos/addPhoto.ts';
import { isPicture } from '../photos/kinds.ts';
import { setDropped } from '../shop/dropped.ts';
import { readFile } from '../storage/files.ts';
import { store } from '../store/store.ts';
import { sayDropped } from './dropSaid.ts';

/** What a photo shows, by where it was dropped. */
const OF: readonly (readonly [RegExp, PhotoOf])[] = [
  [/\/(gears|setup|pickup|cut)\b/, 'the set-up'],
  [/\/(prove|record)\b/, 'what was made'],
];

/** Files dropped on the window: a job or a shop is shown with what it would change, a picture is kept with the open job. */
export async function takeDropped(files: readonly File[], go: (path: string) => void): Promise<void> {
  const [first] = files;
  if (!first) return;
  try {
    if (/\.(json|zip)$/i.test(first.name)) {
      setDropped(await readFile(first));
      go('/settings');
      return;
    }
    const photos = files.filter(isPicture);
    if (photos.length === 0) return sayDropped(DROP_WORDS.unknown(first.name));
    const path = location.pathname;
    if (!path.startsWith('/jobs/') || !store.getState().work.job) return sayDropped(DROP_WORDS.noJob);
    const of = OF.find(([where]) => where.test(path))?.[1] ?? 'the part';
    const kept = await addPhotos(photos, of);
    if (kept > 0) sayDropped(DROP_WORDS.kept(kept, of));
  } catch (e) {
    sayDropped(DROP_WORDS.failed(first.name, storageText(e)));
  }
}
