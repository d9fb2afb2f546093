import type { ProfileRead } from '../../../../core/profile/types.ts';
import { PROFILE_ASKS } from '../../../../words/profile.ts';
import { Button } from '../../../ui/controls.tsx';
import { useKeys } from '../../../ui/keys.ts';
import type { PictureView } from './usePicture.ts';

interface Choice {
  readonly title: string;
  readonly note: string;
  readonly go: () => void;
}

/** What the picture wants before it says anything: choices with the numbers that stand on it. */
export function AskPanel({
  view,
  read,
  pointing,
  onShow,
  onReadSo,
}: {
  readonly view: PictureView;
  readonly read: ProfileRead;
  readonly pointing: boolean;
  readonly onShow: () => void;
  readonly onReadSo: () => void;
}) {
  const edges = read.seen?.edges ?? [];
  const choices: readonly Choice[] = [
    ...edges.map((e): Choice => {
      const pitch =
        e.teeth.length > 1
          ? Math.abs((e.teeth.at(-1)?.along ?? 0) - (e.teeth[0]?.along ?? 0)) / (e.teeth.length - 1)
          : 0;
      return {
        title: e.side === -1 ? 'The upper edge is the thread' : 'The lower edge is the thread',
        note: `${e.teeth.length} teeth, ${pitch.toFixed(0)} px apart`,
        go: () => view.setShadow({ shown: { edge: e.side === -1 ? 'upper' : 'lower' } }),
      };
    }),
    { title: 'Show it myself', note: 'axis, stretch and one tooth, by hand', go: onShow },
  ];
  useKeys({ chooseEdge: (place) => choices[place]?.go() });
  const [first] = read.asks;
  return (
    <>
      <header className="grid gap-2">
        <h1 tabIndex={-1} className="text-2xl leading-tight outline-none">
          {edges.length > 0 ? 'Which edge is the thread?' : 'It cannot be read yet.'}
        </h1>
        {first && <p className="text-lg">{PROFILE_ASKS[first]}</p>}
        {edges.length > 0 && (
          <p className="text-ink2">With one edge only, pitch and flanks come from it; the diameters do not.</p>
        )}
      </header>
      {pointing ? (
        <>
          <p className="text-ink2">
            Lay the dash-dot line on its axis, the two bars around what is to be read, and the short pair one pitch
            apart.
          </p>
          <Button tone="main" className="min-h-14 w-full text-lg" onClick={onReadSo}>
            Read it so
          </Button>
        </>
      ) : (
        <ol className="grid gap-2">
          {choices.map((c, i) => (
            <li key={c.title}>
              <Button className="min-h-16 w-full justify-start! gap-3 text-left" onClick={c.go}>
                <span className="num flex size-8 shrink-0 items-center justify-center border-2 border-ink font-bold">
                  {i + 1}
                </span>
                <span className="leading-tight">
                  <strong className="block">{c.title}</strong>
                  <span className="text-sm text-ink2">{c.note}</span>
                </span>
              </Button>
            </li>
          ))}
        </ol>
      )}
      <Button className="w-full" onClick={view.putAside}>
        Put this picture aside
      </Button>
    </>
  );
}
