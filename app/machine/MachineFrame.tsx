import clsx from 'clsx';
import { useMemo, useState, type ReactNode } from 'react';
import { ChevronLeft, Maximize, Menu, Moon, Sigma, Sun, Volume2 } from 'lucide-react';
import { useNavigate } from 'react-router';
import { latheOf } from '../../core/job/derive.ts';
import { gearSettingOf } from '../../core/job/gearSetting.ts';
import { gearingText } from '../../words/machine.ts';
import type { StationId } from '../../core/job/stations.ts';
import { STATION_NAMES } from '../../words/stations.ts';
import { threadLine } from '../../words/threadLine.ts';
import { BarButton } from '../shell/BarButton.tsx';
import { HistoryButtons } from '../shell/HistoryButtons.tsx';
import { useJobView } from '../job/jobContext.tsx';
import { KeysDialog } from '../shell/KeysDialog.tsx';
import { SaveBar } from '../shell/SaveBar.tsx';
import { useHistory } from '../shell/useHistoryKeys.ts';
import { editShop, useShop } from '../store/store.ts';
import { Refusal } from '../ui/Refusal.tsx';
import { useAwake, useSpoken } from './awake.ts';
import { setPrefs, usePrefs } from './prefs.ts';
import { StationsMenu } from './StationsMenu.tsx';

interface Props {
  readonly station: StationId;
  /** What one does here just now; the station's name where it is left out. */
  readonly title?: string;
  /** What the whole of it is called: a region of its own. */
  readonly region: string;
  /** Where the arrow goes back to. */
  readonly back: { readonly to: string; readonly label: string };
  /** Said again at every change: aloud where asked for, always to a screen reader. */
  readonly say: string;
  readonly picture?: ReactNode;
  /** The number, its slide and unit. */
  readonly head: ReactNode;
  /** The present step. */
  readonly step?: ReactNode;
  /** The acts, pinned: the one that goes on last. */
  readonly bar: ReactNode;
  /** The picture is what is looked at first. */
  readonly pictureFirst?: boolean;
  /** Shows the working of the number. */
  readonly onWorking?: () => void;
  readonly children?: ReactNode;
}

/** At the machine: the whole screen. Header, picture, one number, one step, and the act pinned below. */
export function MachineFrame(p: Props) {
  const { job } = useJobView();
  const shop = useShop();
  const gears = gearSettingOf(job, shop);
  const navigate = useNavigate();
  const { spoken } = usePrefs();
  const [menu, setMenu] = useState(false);
  const [keysOpen, setKeysOpen] = useState(false);
  const history = useHistory(
    true,
    useMemo(() => ({ showKeys: () => setKeysOpen(true) }), []),
  );
  useAwake();
  useSpoken(p.say, spoken);
  const dark = document.documentElement.dataset['theme'] === 'dark';
  return (
    <div className="machine grid h-dvh grid-rows-[auto_minmax(0,1fr)] [--drawer-top:3.25rem]">
      <div>
        <header className="no-print flex h-[52px] items-center gap-2 border-b-2 border-edge px-1">
          <BarButton label={p.back.label} onClick={() => void navigate(p.back.to)}>
            <ChevronLeft aria-hidden size={26} />
          </BarButton>
          <span className="rounded-[3px] bg-plate px-3 py-1 text-lg font-bold text-scribe" aria-hidden>
            {p.title ?? STATION_NAMES[p.station]}
          </span>
          <span className="min-w-0 flex-1 truncate max-xs:hidden">
            <strong className="text-lg">{job.title}</strong>{' '}
            <span className="text-ink2">
              {[threadLine(job), gears && gearingText(gears), latheOf(job, shop)?.name]
                .filter((x) => x != null)
                .join(' \u00b7 ')}
            </span>
          </span>
          <span className="ml-auto flex shrink-0">
            <span className="max-md:hidden">
              <BarButton
                label={spoken ? 'Readings are spoken; be silent' : 'Speak each reading'}
                pressed={spoken}
                onClick={() => setPrefs({ spoken: !spoken })}
              >
                <Volume2 aria-hidden size={22} />
              </BarButton>
            </span>
            <span className="max-md:hidden">
              <BarButton
                label={dark ? 'Light, for a bright shop' : 'Dark, for a dim shop'}
                onClick={() =>
                  editShop('change light and dark', (d) => {
                    d.settings.theme = dark ? 'light' : 'dark';
                  })
                }
              >
                {dark ? <Sun aria-hidden size={22} /> : <Moon aria-hidden size={22} />}
              </BarButton>
            </span>
            {document.fullscreenEnabled && (
              <span className="max-lg:hidden">
                <BarButton label="Whole screen, and back" onClick={toggleFull}>
                  <Maximize aria-hidden size={20} />
                </BarButton>
              </span>
            )}
            <HistoryButtons of={history} />
            {p.onWorking && (
              <BarButton label="How the number comes about" onClick={p.onWorking}>
                <Sigma aria-hidden size={22} />
              </BarButton>
            )}
            <BarButton label="Stations" onClick={() => setMenu(!menu)} pressed={menu}>
              <Menu aria-hidden size={22} />
            </BarButton>
          </span>
        </header>
        <SaveBar />
        <StationsMenu open={menu} onClose={() => setMenu(false)} />
        <KeysDialog open={keysOpen} onOpenChange={setKeysOpen} />
      </div>
      <main id="view" className="min-h-0">
        <h1 tabIndex={-1} className="sr-only">
          {STATION_NAMES[p.station]}
        </h1>
        <p role="status" className="sr-only">
          {p.say}
        </p>
        <section aria-label={p.region} className="grid h-full grid-rows-[minmax(0,1fr)_auto]">
          <div
            className={clsx(
              'machine-body gap-x-5 gap-y-2 overflow-y-auto p-3',
              p.picture === undefined ? 'machine-plain' : p.pictureFirst && 'machine-picture-first',
            )}
          >
            <div className="machine-head min-w-0">
              <Refusal />
              {p.head}
            </div>
            {p.picture !== undefined && <div className="machine-picture min-h-0 min-w-0">{p.picture}</div>}
            {p.step !== undefined && <div className="machine-step min-w-0">{p.step}</div>}
          </div>
          <div className="machine-bar no-print border-t-2 border-edge p-2 lg:p-3">{p.bar}</div>
        </section>
      </main>
      {p.children}
    </div>
  );
}

function toggleFull(): void {
  if (document.fullscreenElement) void document.exitFullscreen();
  else void document.documentElement.requestFullscreen().catch(() => undefined);
}
