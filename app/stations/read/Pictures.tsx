import { Camera, Trash2 } from 'lucide-react';
import { useNavigate } from 'react-router';
import { useJobView } from '../../job/jobContext.tsx';
import { usePictureUrl } from '../../photos/usePictureUrl.ts';
import { act } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';

/** Pitch, flanks, depth, diameters, taper and wear at once: the part against a lamp, or on a scanner. */
export function PictureButton() {
  const navigate = useNavigate();
  return (
    <Button onClick={() => void navigate('?picture=new')}>
      <Camera aria-hidden size={18} /> Read it from a picture
    </Button>
  );
}

/** The job's pictures against the light, each with how many readings came from it. */
export function Pictures() {
  const { job } = useJobView();
  const navigate = useNavigate();
  const pictures = job.pictures.filter((p) => p.shadow !== undefined);
  if (pictures.length === 0) return null;
  return (
    <ul aria-label="Pictures" className="mt-3 grid gap-2">
      {pictures.map((p) => {
        const n = job.readings.filter((r) => r.picture === p.id).length;
        return (
          <li key={p.id} className="flex items-center gap-2 border-t border-line pt-2">
            <Thumbnail id={p.id} />
            <span className="min-w-0 grow leading-tight">
              <strong className="block truncate">{p.name}</strong>
              <span className="text-sm text-ink2">
                {n} {n === 1 ? 'reading' : 'readings'}
              </span>
            </span>
            <Button aria-label={`Open the picture ${p.name}`} onClick={() => void navigate(`?picture=${p.id}`)}>
              Open
            </Button>
            <Button
              tone="quiet"
              aria-label={`Remove the picture ${p.name} and its readings`}
              onClick={() => act({ do: 'removePicture', picture: p.id })}
            >
              <Trash2 aria-hidden size={18} />
            </Button>
          </li>
        );
      })}
    </ul>
  );
}

function Thumbnail({ id }: { readonly id: string }) {
  const url = usePictureUrl(id);
  return url ? (
    <img src={url} alt="" className="h-12 w-16 shrink-0 rounded-[3px] border border-edge object-cover" />
  ) : (
    <span className="flex h-12 w-16 shrink-0 items-center justify-center rounded-[3px] border border-dashed border-edge text-xs text-ink2">
      not here
    </span>
  );
}
