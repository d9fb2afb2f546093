import { latheOf } from '../../../core/job/derive.ts';
import { dialOf } from '../../../core/job/slides.ts';
import { passSteps } from '../../../core/job/passSteps.ts';
import { airText, cardText, motionsOfJob, outText, restText, slideText } from '../../../words/machine.ts';
import { DialNumber } from '../../machine/DialNumber.tsx';
import { MachineCautions } from '../../machine/MachineCautions.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { MainAct } from '../../machine/Bar.tsx';
import { Stepper } from '../../machine/Stepper.tsx';
import { usePrefs } from '../../machine/prefs.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { useKeys } from '../../ui/keys.ts';
import { useWorking } from '../../ui/Working.tsx';
import type { Beside } from './beside.ts';
import { Conflict } from './Conflict.tsx';
import { CutBar } from './CutBar.tsx';
import { Facts } from './Facts.tsx';
import { CutPicture } from './CutPicture.tsx';
import { PartBefore } from './PartBefore.tsx';
import { Delta } from './Delta.tsx';
import { StopInTime } from './StopInTime.tsx';
import { useBack } from './useBack.ts';
import { useLatest, useMotion, useShut } from './useDone.ts';

/** One pass: what to set, on which slide; how to go through it; Done. */
export function PassCard({ beside }: { readonly beside: Beside }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const { led } = usePrefs();
  const { card } = machine;
  const lathe = latheOf(job, shop);
  const u = lathe?.crossSlide.unit ?? 'mm';
  const { make } = job.intake;
  const { shut, close } = useShut(card.after);
  const spring = card.pass?.spring === true;
  const done = (): void => {
    if (shut.current) return;
    close();
    act(spring ? { do: 'springDone', after: card.after } : { do: 'passDone', after: card.after });
  };
  const motions = motionsOfJob(job, machine, lathe);
  // led through it, each press goes to the next motion; the last is Done
  const [at, setAt] = useMotion(card.after);
  const now = led ? at : 0;
  const go = (): void =>
    led && at < motions.length - 1 ? (shut.current ? undefined : (close(), setAt(at + 1))) : done();
  useKeys(useLatest(go));
  const [setting, rest] = card.settings;
  const show = useWorking(
    'pass',
    spring ? 'Spring pass' : `Pass ${card.pass?.n} of ${card.pass?.of}`,
    passSteps(machine, job.cut.rule),
  );
  const dial = setting && lathe ? dialOf(setting, lathe) : null;
  const air = airText(card);
  const out = outText(card, make, u, lathe);
  const last = led && at === motions.length - 1;
  return (
    <MachineFrame
      station="cut"
      region="Pass card"
      back={useBack()}
      say={cardText(machine, make, u)}
      onWorking={show}
      picture={<CutPicture />}
      head={
        <>
          {setting && <DialNumber what={slideText(setting)} setting={setting} dial={dial} onWorking={show} />}
          <Facts />
        </>
      }
      step={
        <div className="grid gap-2">
          <Delta />
          {air && (
            <p role="alert" className="border-l-6 border-stop bg-panel px-3 py-2 text-xl font-semibold text-stop">
              {air}
            </p>
          )}
          <Conflict />
          <StopInTime beside={beside} />
          <PartBefore />
          <p className="flex flex-wrap gap-x-5 text-lg">
            {out !== null && <b>{out}</b>}
            {rest && <span className="num text-ink2">{restText(rest)}</span>}
          </p>
          <MachineCautions codes={card.cautions} />
          <Stepper steps={motions.map((m) => m.word)} at={now} onAt={led ? setAt : undefined} />
          <p className="motion-now font-bold leading-tight text-balance">{motions[now]?.text}.</p>
          {!led && (
            <p className="rest-of-pass text-lg leading-snug text-ink2">
              {motions
                .slice(1)
                .map((m) => m.text)
                .join('. ')}
              .
            </p>
          )}
        </div>
      }
      bar={
        <CutBar
          beside={beside}
          main={
            <>
              {air && (
                <Button
                  tone="stop"
                  className="bar-main px-4 text-xl"
                  onClick={() => act({ do: 'wrongMark', after: card.after })}
                >
                  It cut metal
                </Button>
              )}
              <MainAct onClick={go} shut={shut.on} then={led && !last ? (motions[at + 1]?.word ?? null) : null}>
                {led && !last ? capital(motions[at]?.word ?? '') : spring ? 'Spring pass done' : 'Done'}
              </MainAct>
            </>
          }
        />
      }
    />
  );
}
const capital = (t: string): string => t.charAt(0).toUpperCase() + t.slice(1);
