import clsx from 'clsx';
import { Check } from 'lucide-react';
import type { MachineSetting, SettingCode } from '../../../core/job/settings.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import { settingFigure, settingWords } from '../../../words/settings.ts';

/** The settings in their order, each with whether it is so; touched, one becomes the present one. */
export function SettingRows({
  settings,
  now,
  unit,
  onAsk,
  toggles = false,
  narrow = false,
}: {
  readonly settings: readonly MachineSetting[];
  readonly now: SettingCode | null;
  readonly unit: UnitSystem;
  readonly onAsk: (code: SettingCode) => void;
  /** A touch says that it is so, or not: at the desk. */
  readonly toggles?: boolean;
  /** One under the other. */
  readonly narrow?: boolean;
}) {
  return (
    <ol
      className={clsx('grid border-2 border-edge bg-panel', !narrow && 'grid-cols-2 max-xs:grid-cols-1')}
      aria-label="Settings"
    >
      {settings.map((s) => {
        const figure = settingFigure(s, unit);
        return (
          <li key={s.code} aria-current={s.code === now ? 'step' : undefined} className="border-b border-line">
            <button
              type="button"
              aria-pressed={toggles ? s.done : undefined}
              onClick={() => onAsk(s.code)}
              className={clsx(
                'flex min-h-12 w-full items-center gap-3 px-3 text-left text-[1.06rem] leading-tight',
                s.code === now && 'bg-ink font-bold text-onink',
              )}
            >
              <span
                className={clsx(
                  'grid size-7 shrink-0 place-items-center border-2 border-current',
                  s.done && 'bg-plate text-scribe',
                )}
              >
                {s.done && <Check aria-hidden size={20} strokeWidth={3} />}
              </span>
              <span>
                {settingWords(s.code).what}{' '}
                {figure && (
                  <span className="num">
                    {figure.figure}
                    {figure.unit && ` ${figure.unit}`}
                  </span>
                )}
                {s.done && !toggles && <span className="sr-only"> (done)</span>}
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
