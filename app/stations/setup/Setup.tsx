import { Link, useSearchParams } from 'react-router';
import { settingsOfJob } from '../../../core/job/settings.ts';
import { setupOf } from '../../../core/job/setupView.ts';
import { latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { settingFigure, settingWords } from '../../../words/settings.ts';
import { Photos } from '../../photos/Photos.tsx';
import { StationFrame } from '../../job/StationFrame.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Tabs } from '../../ui/Tabs.tsx';
import { BlankTab } from './BlankTab.tsx';
import { HoldingTab } from './HoldingTab.tsx';
import { PassesTab } from './PassesTab.tsx';
import { ProgramTab } from './ProgramTab.tsx';
import { SettingRows } from './SettingRows.tsx';
import { SlideTab } from './SlideTab.tsx';
import { StopTab } from './StopTab.tsx';
import { ToolTab } from './ToolTab.tsx';

/** What is known before the first chip: tool, slide, blank, holding, room to stop and passes; set one after another at the machine. */
export function Setup() {
  const { job } = useJobView();
  const shop = useShop();
  // in the address, so that coming back opens where one was
  const [params, setParams] = useSearchParams();
  const tab = params.get('show') ?? 'tool';
  if (!threadOfJob(job) || !setupOf(job, shop))
    return (
      <StationFrame station="setup" lead="Tool, slide, speed." canSettle={false}>
        {null}
      </StationFrame>
    );
  // a lathe with change gears is told nothing
  const kind = latheOf(job, shop)?.kind ?? null;
  const told = kind === 'control' || kind === 'electronic';
  return (
    <StationFrame
      station="setup"
      lead="Tool, blank, holding and speed, before any metal is cut."
      drawnFirst
      acts={
        <>
          <NextSetting />
          <Photos of="the set-up" />
        </>
      }
    >
      <Tabs
        label="What is set up"
        value={tab}
        onChange={(show) => setParams({ show }, { replace: true })}
        tabs={[
          { id: 'tool', label: 'Tool', body: <ToolTab /> },
          { id: 'slide', label: kind === 'control' ? 'Infeed' : 'Top slide', body: <SlideTab /> },
          { id: 'blank', label: 'Blank', body: <BlankTab /> },
          { id: 'holding', label: 'Holding and bend', body: <HoldingTab /> },
          { id: 'stop', label: 'Room to stop', body: <StopTab /> },
          { id: 'passes', label: 'Passes', body: <PassesTab /> },
          ...(told ? [{ id: 'program', label: 'For the control', body: <ProgramTab /> }] : []),
        ]}
      />
    </StationFrame>
  );
}

/** The next thing to set with its number, and all of them in their order. */
function NextSetting() {
  const { job } = useJobView();
  const shop = useShop();
  const unit = useDialUnit();
  const thread = threadOfJob(job);
  const view = setupOf(job, shop);
  if (!thread || !view) return null;
  const settings = settingsOfJob(job, shop, view, thread);
  const now = settings.find((s) => !s.done) ?? null;
  const figure = now && settingFigure(now, unit);
  return (
    <section aria-label="Before the scratch pass" className="grid gap-3 border-t border-line pt-3">
      <p className="text-[1.44rem] font-bold leading-tight">{now ? settingWords(now.code).what : 'All is set.'}</p>
      {figure && (
        <p className="num text-[4rem] font-bold leading-none">
          {figure.figure}
          {figure.unit && <span className="ml-2 text-2xl text-ink2">{figure.unit}</span>}
        </p>
      )}
      <SettingRows
        settings={settings}
        now={now?.code ?? null}
        toggles
        narrow
        unit={unit}
        onAsk={(code) =>
          act({
            do: 'setUp',
            checks: job.setup.checks.includes(code)
              ? job.setup.checks.filter((x) => x !== code)
              : [...job.setup.checks, code],
          })
        }
      />
      <Link
        to={`/jobs/${job.id}/setup/machine`}
        className="key inline-flex min-h-14 items-center justify-center gap-2 rounded-[4px] px-4 text-center text-lg font-semibold"
      >
        At the machine: set it, one after another
      </Link>
    </section>
  );
}
