import clsx from 'clsx';
import { suggestDeeper, type DeeperAnswer } from '../../../core/job/deeper.ts';
import { deeperSetting } from '../../../core/job/deeperSetting.ts';
import { plain } from '../../../core/quantity/working.ts';
import { byText, cardText, dialText } from '../../../words/machine.ts';
import { TRY_NAMES } from '../../../words/conclusions.ts';
import { deeperText, stepText } from '../../../words/deeper.ts';
import { TRY_FEEL, TRY_WITH } from '../../../words/try.ts';
import { BigNumber } from '../../machine/DialNumber.tsx';
import { Bar, MainAct, SideAct } from '../../machine/Bar.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { useDialUnit, useJobView } from '../../shell/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { useDraft } from '../../ui/drafts.ts';
import type { Beside } from './Cut.tsx';
import { CutBar } from './CutBar.tsx';
import { OwnStep } from './OwnStep.tsx';
import { useStepsOn } from './StepsOn.tsx';
import { TryPicture } from './TryPicture.tsx';
import { useBack } from './useBack.ts';

export type Trying = 'mate' | 'wires';
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

/** Try the mate: the choices at the left, what they say of the next cut at the right. */
export function TryCard({ beside, due }: { readonly beside: Beside; readonly due: boolean }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const answer = suggestDeeper(job, shop, machine.metal);
  return (
    <MachineFrame
      station="cut"
      title={TRY_WITH[job.intake.make]}
      region="Pass card"
      back={useBack()}
      say={
        answer
          ? deeperText(answer, u, 'radius')
          : due
            ? cardText(machine, job.intake.make, u)
            : TRY_WITH[job.intake.make]
      }
      pictureFirst
      picture={<TryPicks />}
      head={<TryAnswer answer={answer} />}
      step={<OwnStep />}
      bar={<TryBar beside={beside} due={due} answer={answer} />}
    />
  );
}

/** What the last trial says: by how much deeper, in one number, or that it is at size. */
export function TryAnswer({ answer }: { readonly answer: DeeperAnswer | null }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const on = useStepsOn() ?? 'radius';
  if (!answer)
    return (
      <p className="text-[clamp(1.75rem,5cqi,2.25rem)] font-bold leading-tight">
        {machine.card.do === 'set' ? 'Stop the lathe, and try it.' : cardText(machine, job.intake.make, u)}
      </p>
    );
  const set = answer.code === 'deeper' ? deeperSetting(job, shop, machine, answer.byMm) : null;
  return (
    <div className="grid gap-2">
      {set && (
        <>
          <BigNumber
            what={byText(set.to)}
            unit={`${set.to.unit === 'in' ? 'inch' : 'mm'}${set.to.reads === 'diameter' ? ' on diameter' : ''}`}
            figure={set.shown}
            label={`${byText(set.to)} ${set.shown}`}
          />
          <p className="text-xl text-ink2">
            {set.divisions !== null && (
              <>
                <b className="num text-ink">{plain(set.divisions)}</b> division{set.divisions === 1 ? '' : 's'},{' '}
              </>
            )}
            from <b className="num text-ink">{dialText(set.from, ' + ')}</b> to{' '}
            <b className="num text-ink">{dialText(set.to, ' + ')}</b>
          </p>
        </>
      )}
      <p
        role="status"
        className={clsx(
          'text-2xl font-bold leading-snug',
          answer.code === 'fits' ? 'text-go' : answer.code === 'past' || answer.code === 'lead' ? 'text-stop' : '',
        )}
      >
        {deeperText(answer, u, on)}
      </p>
    </div>
  );
}

/** The acts of a trial: cut it deeper, or the part is done; where a pass waits, back to it. */
export function TryBar({
  beside,
  due,
  answer,
}: {
  readonly beside: Beside;
  readonly due: boolean;
  readonly answer: DeeperAnswer | null;
}) {
  const { machine } = useJobView();
  const u = useDialUnit();
  const on = useStepsOn() ?? 'radius';
  const { after } = machine.card;
  const leave = (): void => beside.tryIt(null);
  const finish = (
    <SideAct
      onClick={() => {
        if (act({ do: 'finishPart', after }) === null) leave();
      }}
    >
      This part is done
    </SideAct>
  );
  if (answer?.code === 'fits')
    return (
      <Bar
        main={
          <MainAct
            onClick={() => {
              if (act({ do: 'finishPart', after }) === null) leave();
            }}
          >
            This part is done
          </MainAct>
        }
      >
        {!due && <SideAct onClick={leave}>Leave</SideAct>}
      </Bar>
    );
  const main =
    answer?.code === 'deeper' ? (
      <MainAct
        onward
        onClick={() => {
          if (act({ do: 'deeper', byMm: answer.byMm, after }) === null) leave();
        }}
      >
        Deeper by {stepText(answer.byMm, u, on)}
      </MainAct>
    ) : undefined;
  if (due)
    return (
      <div className="flex flex-wrap items-stretch gap-2">
        <div className="grow">
          <CutBar beside={beside} main={main} />
        </div>
        {finish}
      </div>
    );
  return (
    <Bar main={main}>
      <SideAct onClick={leave}>Leave</SideAct>
      {finish}
    </Bar>
  );
}
