import clsx from 'clsx';
import { TRY_NAMES, TRY_FEEL } from '../../../words/try.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act } from '../../store/store.ts';
import { MateRow } from './MateRow.tsx';
import { TryPicture } from './TryPicture.tsx';

const RESULTS = ['no-start', 'starts', 'binds', 'tight', 'runs', 'shakes'] as const;

/** What the mate did: one touch, each drawn as it is felt. */
export function TryPicks() {
  const { machine } = useJobView();
  const last = machine.tests.at(-1);
  return (
    <div className="try-picks grid min-h-0 gap-2">
      <div className="grid min-h-0 auto-rows-fr gap-2" role="group" aria-label="What the mate did">
        {RESULTS.map((r) => (
          <button
            key={r}
            type="button"
            aria-label={TRY_NAMES[r]}
            onClick={() => act({ do: 'tryMate', result: r })}
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
      <MateRow />
    </div>
  );
}
