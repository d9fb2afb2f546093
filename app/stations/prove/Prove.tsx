import { useJobView } from '../../job/jobContext.tsx';
import { useShop, useSystem } from '../../store/store.ts';
import { useStepSaid } from '../cut/useStepSaid.ts';
import { useBack } from '../cut/useBack.ts';
import { useSearchParams, useNavigate } from 'react-router';
import { measurePlan } from '../../../core/job/measure.ts';
import { useWorking } from '../../ui/Working.tsx';
import { useProof } from './useProof.ts';
import { threadOfJob, fitOfJob } from '../../../core/job/derive.ts';
import { Gate } from '../../machine/Gate.tsx';
import { PROVE_TABS, type ProveTab, ProveDrawer } from './ProveDrawer.tsx';
import { layText } from '../../../words/prove.ts';
import { lengthText, FINE } from '../../../core/quantity/format.ts';
import { TRY_WITH, LAY_NAMES } from '../../../words/try.ts';
import { sizeBand } from '../../../core/job/sizeBand.ts';
import { WiresPlate } from '../../drawing/WiresPlate.tsx';
import { TryAnswer } from '../cut/TryAnswer.tsx';
import { MeasureNumber, MeasureLine, MeasureField } from './Measure.tsx';
import { TryPicks } from '../cut/TryPicks.tsx';
import { MatesPlate } from '../../drawing/MatesPlate.tsx';
import { TryMore } from '../cut/TryMore.tsx';
import { ByMate } from './ByMate.tsx';
import { SizeBandPlate } from '../../drawing/SizeBandPlate.tsx';
import { GaugePanel } from './GaugePanel.tsx';
import { ChartPicture, ChartSettings } from './Chart.tsx';
import { FormPanel } from './FormPanel.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { Bar, SideAct } from '../../machine/Bar.tsx';
import { ProveAct } from './ProveAct.tsx';

const WAYS = ['measure', 'mate', 'gauge', 'form'] as const;

type Way = (typeof WAYS)[number];

/** Is it the size it should be: by wires, balls, its mate, a gauge, its form; and what all of it says of the next cut. */
export function Prove() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const said = useStepSaid();
  const back = useBack();
  const [params, setParams] = useSearchParams();
  const plan = measurePlan(job, shop);
  const showM = useWorking(
    'over-wires',
    plan?.by === 'balls' ? 'Between balls' : 'Measurement over wires',
    plan?.working ?? [],
  );
  const { answer, again } = useProof();
  if (!threadOfJob(job) || !fitOfJob(job)) return <Gate station="prove" />;
  const asked = WAYS.find((w) => w === params.get('by')) ?? (plan?.atHand ? 'measure' : 'mate');
  const way: Way = asked === 'measure' && !plan ? 'mate' : asked;
  const tab = PROVE_TABS.find((t) => t === params.get('show')) ?? null;
  const go = (change: { by?: Way; show?: ProveTab | null }): void => {
    const next = new URLSearchParams(params);
    if (change.by) next.set('by', change.by);
    if (change.show === null) next.delete('show');
    else if (change.show) next.set('show', change.show);
    setParams(next, { replace: true });
  };
  // the keys that say what it did stand there already: they are pointed to
  const tryAgain = (): void => {
    go({ show: null });
    document.querySelector<HTMLElement>('main .machine-body button, main .machine-body [data-armed]')?.focus();
  };
  const say = answer
    ? said.answer(answer)
    : way === 'measure' && plan
      ? `${layText(plan, system)} it should measure ${lengthText(plan.targetMm, system, FINE)}`
      : TRY_WITH[job.intake.make];
  const working = way === 'measure' && plan ? { onWorking: showM } : {};
  const band = way === 'gauge' ? sizeBand(job, shop) : null;
  const lies = {
    measure: {
      picture: plan && <WiresPlate wires={plan} unit={system} />,
      head: plan && (answer ? <TryAnswer /> : <MeasureNumber plan={plan} onWorking={showM} />),
      step: plan && (
        <div className="grid gap-2">
          {answer ? <MeasureLine plan={plan} onWorking={showM} /> : <TryAnswer />}
          <MeasureField plan={plan} />
        </div>
      ),
    },
    mate: {
      picture: (
        <div className="grid content-start gap-2 lg:h-full lg:grid-rows-[minmax(0,1fr)_auto]">
          <TryPicks />
          <MatesPlate unit={system} />
        </div>
      ),
      head: <TryMore />,
      step: (
        <div className="grid gap-3">
          <TryAnswer />
          {!answer && <ByMate />}
        </div>
      ),
    },
    gauge: {
      picture: band && <SizeBandPlate band={band} unit={system} />,
      head: <GaugePanel />,
      step: <TryAnswer />,
    },
    form: { picture: <ChartPicture />, head: <FormPanel />, step: <ChartSettings /> },
  }[way];
  const sides: readonly (readonly [Way, string])[] = [
    ...(plan ? [['measure', LAY_NAMES[plan.by]] as const] : []),
    ['mate', TRY_WITH[job.intake.make]],
    ['gauge', 'Gauge'],
    ['form', 'Form'],
  ];
  return (
    <MachineFrame
      station="prove"
      region="Prove"
      back={back}
      say={say}
      pictureFirst
      {...working}
      picture={lies.picture}
      head={lies.head}
      step={lies.step}
      bar={
        <Bar
          main={<ProveAct answer={answer} again={again} onFinish={() => go({ show: 'finish' })} onAgain={tryAgain} />}
        >
          {sides.map(([id, word]) => (
            <SideAct key={id} chosen={way === id} onClick={() => go({ by: id })}>
              {word}
            </SideAct>
          ))}
          <SideAct pressed={tab !== null} onClick={() => go({ show: tab === null ? 'size' : null })}>
            Measured
          </SideAct>
          <ToCard />
        </Bar>
      }
    >
      {tab !== null && (
        <ProveDrawer tab={tab} onTab={(t) => go({ show: t })} plan={plan} onClose={() => go({ show: null })} />
      )}
    </MachineFrame>
  );
}

function ToCard() {
  const { job } = useJobView();
  const navigate = useNavigate();
  return <SideAct onClick={() => void navigate(`/jobs/${job.id}/cut`)}>Card</SideAct>;
}
