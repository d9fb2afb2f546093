import { newId } from '../ui/newId.ts';
import { putPicture } from '../storage/db.ts';
import { act, store } from '../store/store.ts';

/** What a photo shows: kept as the picture's place. */
export type PhotoOf = 'the part' | 'the set-up' | 'what was made';

/** Longer than this no screen shows it, and a record in a browser has its limits, px. */
const LONGEST = 2400;
const QUALITY = 0.85;

/** As large as a screen shows it; what is smaller stays as it is. @throws Error where the browser cannot decode it */
async function fitting(file: Blob): Promise<Blob> {
  const bitmap = await createImageBitmap(file);
  const share = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  if (share === 1) {
    bitmap.close();
    return file;
  }
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(bitmap.width * share), Math.round(bitmap.height * share)];
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return new Promise((done) => canvas.toBlob((b) => done(b ?? file), 'image/jpeg', QUALITY));
}

/** Keeps photos with the open job: each is in the record before the job speaks of it. @returns how many were kept */
export async function addPhotos(files: readonly File[], of: PhotoOf): Promise<number> {
  let kept = 0;
  for (const file of files) {
    const job = store.getState().work.job?.present;
    if (!job) break;
    const blob = await fitting(file);
    const id = newId();
    await putPicture({ id, jobId: job.id, blob });
    const wrong = act({
      do: 'takePicture',
      picture: { id, name: file.name.slice(0, 200) || 'photo', type: blob.type.slice(0, 80), place: of },
      readings: [],
    });
    if (wrong) break;
    kept += 1;
  }
  return kept;
}
