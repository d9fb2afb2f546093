import { cautionsAt } from '../../../core/job/cautions.ts';
import { useState } from 'react';
import { setupOf } from '../../../core/job/setupView.ts';
import { settingsOfJob } from '../../../core/job/settings.ts';
import { threadOfJob } from '../../../core/job/derive.ts';
import { feedsAtAngle } from '../../../core/job/feed.ts';
import { settingFigure, settingWords } from '../../../words/settings.ts';
import { CONFLICT } from '../../../words/machine.ts';
import { Bar, MainAct, SideAct } from '../../machine/Bar.tsx';
import { BigNumber } from '../../machine/DialNumber.tsx';
import { Gate } from '../../machine/Gate.tsx';
import { MachineCautions } from '../../machine/MachineCautions.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { OnActs } from '../../job/OnActs.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { PartPlate } from '../cut/PartPlate.tsx';
import { SettingRows } from './SettingRows.tsx';
import { SlidePlate } from './SlidePlate.tsx';

/** What is set now and its number; a train is text, and read as such. */
function SettingHead({
  words,
  figure,
  text,
}: {
  readonly words: ReturnType<typeof settingWords> | null;
  readonly figure: ReturnType<typeof settingFigure>;
  readonly text: boolean;
}) {
  if (!words || !figure)
    return (
      <p className="text-[clamp(2rem,9cqi,3.5rem)] font-bold leading-tight">{words ? words.what : 'All is set.'}</p>
    );
  if (!text)
    return (
      <BigNumber what={words.what} unit={figure.unit} figure={figure.figure} label={`${words.what} ${figure.figure}`} />
    );
  return (
    <>
      <p className="dial-what font-extrabold leading-tight">{words.what}</p>
      <p className="num text-[clamp(1.75rem,7cqi,3.5rem)] font-bold leading-tight">{figure.figure}</p>
    </>
  );
}

/** Set up, gone through at the machine: one setting after another, each with its number. */
export function SetupMachine() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const [asked, ask] = useState<string | null>(null);
  const thread = threadOfJob(job);
  const view = setupOf(job, shop);
  if (!thread || !view) return <Gate station="setup" />;
  const settings = settingsOfJob(job, shop, view, thread);
  const now = settings.find((s) => s.code === asked) ?? settings.find((s) => !s.done) ?? null;
  const words = now ? settingWords(now.code) : null;
  const figure = now ? settingFigure(now, u) : null;
  const internal = job.intake.make === 'internal';
  const angled = feedsAtAngle(job.setup.infeed);
  const next = settings.find((s) => !s.done && s.code !== now?.code);
  const set = (code: string, done: boolean) =>
    act({
      do: 'setUp',
      checks: done ? [...job.setup.checks.filter((c) => c !== code), code] : job.setup.checks.filter((c) => c !== code),
    });
  return (
    <MachineFrame
      station="setup"
      region="Settings"
      back={{ to: `/jobs/${job.id}/setup`, label: 'Back to the desk: Set up' }}
      say={words ? `${words.what} ${figure ? `${figure.figure} ${figure.unit}` : ''}` : 'All is set.'}
      pictureFirst
      picture={
        angled ? (
          <SlidePlate
            deg={job.setup.slideAngleDeg}
            handle={internal === thread.leftHand ? 'tailstock' : 'headstock'}
            internal={internal}
            now={now?.code === 'slide'}
          />
        ) : (
          <PartPlate act={now?.code === 'true' ? 'mount' : 'touch'} />
        )
      }
      head={<SettingHead words={words} figure={figure} text={now?.code === 'gears'} />}
      step={
        <div className="grid gap-2">
          {machine.feed.conflict && <Note tone="caution">{CONFLICT[machine.feed.conflict]}</Note>}
          {words && <p className="text-[1.75rem] font-bold leading-tight">{words.how}</p>}
          {now?.code === 'speed' && now.value === null && (
            <Note tone="wrong">No speed is known for this material: give one at the desk.</Note>
          )}
          <MachineCautions codes={cautionsAt('setup', job, shop)} />
          <SettingRows settings={settings} now={now?.code ?? null} unit={u} onAsk={ask} />
        </div>
      }
      bar={
        <Bar
          main={
            now && words ? (
              <MainAct
                then={next ? settingWords(next.code).what.toLowerCase() : null}
                onClick={() => {
                  if (set(now.code, true) === null) ask(null);
                }}
              >
                {words.done}
                {figure ? ` ${figure.figure}` : ''}
              </MainAct>
            ) : (
              <OnActs station="setup" canSettle big />
            )
          }
        >
          {now?.done && <SideAct onClick={() => void set(now.code, false)}>Not so any more</SideAct>}
        </Bar>
      }
    />
  );
}
