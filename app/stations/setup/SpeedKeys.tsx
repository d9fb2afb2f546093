import clsx from 'clsx';
import type { EndView } from '../../../core/job/endView.ts';
import { atSpeedText } from '../../../words/endOfThread.ts';
import { act } from '../../store/store.ts';

interface Props {
  readonly end: EndView;
  readonly speeds: readonly number[];
  readonly rpm: number | null;
}

/** The speeds of this lathe as keys, each with the time that it leaves. */
export function SpeedKeys({ end, speeds, rpm }: Props) {
  return (
    <div role="group" aria-label="Spindle speeds of this lathe" className="flex flex-wrap gap-2">
      {speeds.map((s) => {
        const at = end.at(s);
        return (
          <button
            key={s}
            type="button"
            aria-pressed={s === rpm}
            onClick={() => act({ do: 'setUp', rpm: s })}
            className={clsx(
              'flex min-h-14 items-baseline gap-3 rounded-[4px] border-2 border-edge px-3 py-2',
              s === rpm ? 'bg-ink text-onink' : 'bg-panel hover:bg-inset',
            )}
          >
            <span className="num text-2xl font-bold">{s}</span>
            {at && (
              <span className={clsx('num', at.enough ? '' : s === rpm ? 'underline' : 'text-stop')}>
                {atSpeedText(end, s)}
                {!at.enough && <span className="sr-only"> too quick</span>}
              </span>
            )}
          </button>
        );
      })}
    </div>
  );
}
