import clsx from 'clsx';
import { TRY_NAMES } from '../../../words/conclusions.ts';
import { TRY_FEEL } from '../../../words/try.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { act } from '../../store/store.ts';
import { useDraft } from '../../ui/drafts.ts';
import { TryPicture } from './TryPicture.tsx';

const RESULTS = ['no-start', 'starts', 'binds', 'tight', 'runs', 'shakes'] as const;

/** What the mate did: one touch, each drawn as it is felt. */
export function TryPicks() {
  const { machine } = useJobView();
  const [typed, setMate] = useDraft('mate');
  const mate = typed ?? '';
  const last = machine.tests.at(-1);
  return (
    <div className="try-picks grid min-h-0 gap-2">
      <div className="grid min-h-0 auto-rows-fr gap-2" role="group" aria-label="What the mate did">
        {RESULTS.map((r) => (
          <button
            key={r}
            type="button"
            aria-label={TRY_NAMES[r]}
            onClick={() => act({ do: 'tryMate', result: r, mate })}
            className={clsx(
              'flex min-h-14 items-stretch overflow-hidden rounded-[4px] border-2 border-edge text-left',
              last?.kind === 'tried' && last.result === r ? 'bg-ink text-onink' : 'bg-panel text-ink hover:bg-inset',
            )}
          >
            <TryPicture result={r} />
            <span className="grid content-center px-4 leading-tight">
              <span className="text-xl font-bold">{TRY_NAMES[r]}</span>
              <span className="text-base opacity-85">{TRY_FEEL[r]}</span>
            </span>
          </button>
        ))}
      </div>
      <label className="flex items-center gap-3 text-ink2">
        Which mate
        <input
          className="min-h-12 min-w-0 grow rounded-[3px] border border-edge bg-panel px-3 text-lg text-ink"
          value={mate}
          onChange={(e) => setMate(e.target.value)}
          maxLength={120}
        />
      </label>
    </div>
  );
}
