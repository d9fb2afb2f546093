import type { Geared } from '../../../core/gearing/train.ts';
import { cautionsAt } from '../../../core/job/cautions.ts';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { mountOn } from '../../../core/gearing/mounting/index.ts';
import { trainText } from '../../../core/gearing/trainText.ts';
import { isGeared, type Lathe } from '../../../core/lathe/schema.ts';
import { lengthText } from '../../../core/quantity/format.ts';
import type { ThreadSpec } from '../../../core/standards/thread.ts';
import { leverActs, leversText, fittingActs } from '../../../words/fitting.ts';
import { leversGiving } from '../../../core/job/gearSetting.ts';
import { mountText } from '../../../words/gears.ts';
import { Bar, MainAct, SideAct } from '../../machine/Bar.tsx';
import { BigNumber } from '../../machine/DialNumber.tsx';
import { Gate } from '../../machine/Gate.tsx';
import { MachineCautions } from '../../machine/MachineCautions.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { StepList } from '../../machine/StepList.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Plate } from '../../drawing/Plate.tsx';
import { TrainDrawing } from '../../drawing/TrainDrawing.tsx';

/** The train put up, act by act, at the gear end. */
export function PutUp() {
  const { job } = useJobView();
  const shop = useShop();
  const lathe = latheOf(job, shop);
  const thread = threadOfJob(job);
  if (!lathe || !thread || !isGeared(lathe) || !job.gears.train) return <Gate station="gears" />;
  return <Acts lathe={lathe} thread={thread} train={job.gears.train} />;
}

interface Props {
  readonly lathe: Lathe;
  readonly thread: ThreadSpec;
  readonly train: Geared;
}
function Acts({ lathe, thread, train }: Props) {
  const { job } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const navigate = useNavigate();
  const [at, setAt] = useState(0);
  const mount = useMemo(() => mountOn(lathe, train, thread.leftHand), [lathe, train, thread.leftHand]);
  const acts = useMemo(
    () =>
      mount?.fits
        ? [
            ...fittingActs(mount, lathe.gearWidthMm === null ? '' : ` of ${lengthText(lathe.gearWidthMm, u)}`, u),
            ...leverActs(leversGiving(lathe, train.gearbox)),
          ]
        : [],
    [mount, lathe, train.gearbox, u],
  );
  const now = acts[Math.min(at, acts.length - 1)] ?? null;
  const next = acts[at + 1] ?? null;
  const done = (): void => {
    if (next) return setAt(at + 1);
    if (act({ do: 'mountGears' }) === null) void navigate(`/jobs/${job.id}/gears`);
  };
  const why =
    mount && !mount.fits
      ? mountText(mount, u)
      : 'Whether and where it goes on is not checked: the arm of this lathe is not measured (Lathes).';
  const levers = leversGiving(lathe, train.gearbox);
  return (
    <MachineFrame
      station="gears"
      title="Put it up"
      region="Put it up"
      back={{ to: `/jobs/${job.id}/gears`, label: 'Back to the desk: Gears' }}
      say={
        now
          ? `${now.what} ${now.figure ?? ''}. ${now.text}`
          : `${trainText(train)}. ${levers === null ? '' : `${leversText(levers)}. `}${why}`
      }
      pictureFirst
      {...(mount?.fits && lathe.moduleMm !== null
        ? {
            picture: (
              <Plate label="The train on the arm, from the gear end" draw={({ w }) => <FromGearEnd w={w} />}>
                <TrainDrawing mount={mount} moduleMm={lathe.moduleMm} now={now?.shafts ?? []} />
              </Plate>
            ),
          }
        : {})}
      head={
        now ? (
          now.figure !== null ? (
            <BigNumber
              what={now.what}
              unit={now.unit}
              figure={now.figure}
              label={`${now.what} ${now.figure} ${now.unit}`}
            />
          ) : (
            <p className="text-[clamp(2rem,9cqi,3.5rem)] font-bold leading-tight">{now.what}</p>
          )
        ) : (
          <>
            <p className="num text-[clamp(2.5rem,10cqi,7rem)] font-bold leading-none">{trainText(train)}</p>
            {levers !== null && <p className="mt-2 text-3xl font-bold">{leversText(levers)}</p>}
            <p className="mt-3 text-2xl">{why}</p>
          </>
        )
      }
      step={
        <div className="grid gap-2">
          <MachineCautions codes={cautionsAt('gears', job, shop)} />
          {acts.length > 0 && <StepList steps={acts.map((a) => a.text)} at={at} onAt={setAt} near={1} />}
        </div>
      }
      bar={
        <Bar
          main={
            <MainAct onClick={done} then={next ? next.what.toLowerCase() : null}>
              {now ? now.done : 'It is put up'}
            </MainAct>
          }
        >
          {at > 0 && <SideAct onClick={() => setAt(at - 1)}>Back</SideAct>}
        </Bar>
      }
    />
  );
}

function FromGearEnd({ w }: { readonly w: number }) {
  return (
    <text x={Math.min(20, w)} y="34" fontSize="18" fontWeight="700" fill="var(--scribe)">
      From the gear end
    </text>
  );
}
