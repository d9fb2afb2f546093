import type { PictureRow } from '../../../../core/job/fromPicture.ts';
import { useState } from 'react';
import { partOf } from '../../../../core/job/evidence.ts';
import { formGiven } from '../../../../core/job/formFromPicture.ts';
import { FINE, lengthText } from '../../../../core/quantity/format.ts';
import { problemLine } from '../../../../words/problems.ts';
import { storageText } from '../../../../words/storage.ts';
import { announce } from '../../../ui/announce.ts';
import { useJobView } from '../../../job/jobContext.tsx';
import { putPicture } from '../../../storage/db.ts';
import { act, useSystem } from '../../../store/store.ts';
import { readingsOf } from './taken.ts';
import type { usePicture, Aim } from './usePicture.ts';

/** What is read in a picture becomes readings of the job, or the tip of its tool. @param onTaken once it is */
export function useTaking(view: ReturnType<typeof usePicture>, aim: Aim, onTaken: () => void) {
  const { job } = useJobView();
  const system = useSystem();
  const { picture, read, tip, shadow } = view;
  const [failed, setFailed] = useState<string | null>(null);
  const takeReadings = async (lines: readonly PictureRow[]): Promise<void> => {
    if (!picture || !read) return;
    setFailed(null);
    try {
      await putPicture({ id: picture.id, jobId: job.id, blob: picture.blob });
    } catch (e) {
      setFailed(`The picture could not be kept: ${storageText(e)}. Its readings are not taken.`);
      return;
    }
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
    onTaken();
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
    onTaken();
  };
  return { failed, takeReadings, takeTip };
}
