import { Camera, CircleAlert, CircleCheck } from 'lucide-react';
import type { ProfileRead } from '../../../../core/profile/types.ts';
import { checksOf, HOLD_IT } from '../../../../words/picture.ts';
import { Button } from '../../../ui/controls.tsx';
import { ScaleFields } from './ScaleFields.tsx';
import type { usePicture, Aim } from './usePicture.ts';

interface Props {
  readonly aim: Aim;
  /** What the camera sees now; null: nothing yet. */
  readonly looks: ProfileRead | null;
  readonly view: ReturnType<typeof usePicture>;
  readonly onShoot: () => void;
}

/** Before there is a picture: how it is held, whether it would do, and what says how large it is. */
export function AtTheCamera({ aim, looks, view, onShoot }: Props) {
  const ready = looks?.confident ?? false;
  return (
    <>
      <header className="grid gap-1">
        <h1 tabIndex={-1} className="text-2xl leading-tight outline-none">
          {ready ? 'Sharp, and in view: take it.' : 'Hold it against the light.'}
        </h1>
        <p className="text-ink2">{HOLD_IT[aim]}</p>
      </header>
      <Button tone="main" className="min-h-14 w-full text-lg" onClick={() => onShoot()}>
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
        scale={view.shadow.scale}
        onChange={(scale) => view.setShadow({ scale })}
        {...(aim === 'tool' ? { without: 'major' } : {})}
      />
    </>
  );
}
