import { useJobView } from '../../job/jobContext.tsx';
import { useShop, useSystem } from '../../store/store.ts';
import { useMemo, useState, useEffect } from 'react';
import { loadsOf } from '../../../core/job/loads.ts';
import { schoolsOf } from '../../../core/job/schoolsView.ts';
import { toolOfJob } from '../../../core/job/cutPlan.ts';
import { fitOfJob } from '../../../core/job/derive.ts';
import { Note, Button } from '../../ui/controls.tsx';
import { unsaidText, forceText } from '../../../words/holding.ts';
import { Schools } from './Schools.tsx';
import { lengthText, FINE } from '../../../core/quantity/format.ts';
import { FillPlate } from '../../drawing/FillPlate.tsx';
import { Pause, Play, ChevronLeft, ChevronRight } from 'lucide-react';
import { countedText } from '../../../words/setup.ts';
import { Stages } from './Stages.tsx';

/** The cut before it is cut: the groove as it fills, force by force; the schools side by side; stages. */
export function PassesTab() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const passes = useMemo(() => loadsOf(job, shop), [job, shop]);
  const schools = useMemo(() => schoolsOf(job, shop), [job, shop]);
  const own = toolOfJob(job);
  const fit = fitOfJob(job);
  if (!own || !fit) return null;
  return (
    <div className="grid gap-3">
      {passes.length === 0 ? (
        <Note tone="caution">{unsaidText(['force'])}</Note>
      ) : (
        <Simulation key={passes.length} passes={passes} />
      )}
      {schools.length > 0 && <Schools schools={schools} />}
      <Stages />
      <p className="text-sm text-ink2">
        Passes planned: {passes.filter((p) => !p.spring).length}
        {job.cut.springs > 0 ? `, then ${job.cut.springs} spring` : ''}; from{' '}
        {lengthText(fit.startDiameterMm, system, FINE)} to a root of {lengthText(fit.rootDiameterMm, system, FINE)}.
      </p>
      {machine.plan?.counted && (
        <p className="font-semibold">{countedText(machine.plan.counted, job.cut.stages !== null, system)}</p>
      )}
    </div>
  );
}

const STEP_MS = 420;

function Simulation({ passes }: { readonly passes: ReturnType<typeof loadsOf> }) {
  const { job } = useJobView();
  const system = useSystem();
  const [at, setAt] = useState(passes.length - 1);
  const [plays, play] = useState(false);
  const own = toolOfJob(job);
  const last = passes.length - 1;
  useEffect(() => {
    if (!plays) return undefined;
    const timer = setTimeout(() => {
      setAt(at + 1);
      if (at + 1 >= last) play(false);
    }, STEP_MS);
    return () => clearTimeout(timer);
  }, [plays, at, last]);
  if (!own) return null;
  const now = passes[at];
  const go = (n: number): void => {
    play(false);
    setAt(Math.max(0, Math.min(last, n)));
  };
  return (
    <section aria-label="The groove as it fills" className="grid gap-2">
      <FillPlate
        tool={own.tool}
        leftHand={own.leftHand}
        internal={job.intake.make === 'internal'}
        pitchMm={own.pitchMm}
        passes={passes}
        at={at}
        onAt={go}
        system={system}
      />
      <div className="flex flex-wrap items-center gap-2">
        <Button
          onClick={() => {
            if (!plays && at === last) setAt(0);
            play(!plays);
          }}
        >
          {plays ? <Pause aria-hidden size={20} /> : <Play aria-hidden size={20} />} {plays ? 'Stop' : 'Play'}
        </Button>
        <Button aria-label="Pass before" onClick={() => go(at - 1)}>
          <ChevronLeft aria-hidden size={20} />
        </Button>
        <Button aria-label="Next pass" onClick={() => go(at + 1)}>
          <ChevronRight aria-hidden size={20} />
        </Button>
        {now && (
          <p className="num text-lg" aria-live="polite">
            {now.spring ? 'spring' : `pass ${at + 1}`} of {passes.length}: {lengthText(now.depthMm, system, FINE)} deep,{' '}
            {now.atLeast ? 'at least ' : ''}
            {forceText(now.mainN)}
          </p>
        )}
      </div>
    </section>
  );
}
