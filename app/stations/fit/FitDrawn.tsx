import type { FitView } from '../../../core/job/fitView.ts';
import { type ThreadSpec, threadSizes } from '../../../core/standards/thread.ts';
import type { FitPlan } from '../../../core/fit/fit.ts';

import { useSystem } from '../../store/store.ts';
import { useState } from 'react';
import { Choice } from '../../ui/choices.tsx';
import { lengthText, FINE } from '../../../core/quantity/format.ts';
import { AimsPlate } from './AimsPlate.tsx';
import { Engagement } from '../../drawing/Engagement.tsx';
import { ThreadDrawing } from '../../drawing/ThreadDrawing.tsx';

interface Props {
  readonly plan: FitPlan;
  readonly thread: ThreadSpec;
  readonly view: FitView;
}

/** What is to be made, drawn: where each diameter may lie, the thread alone, or screw and nut together. */
export function FitDrawn({ plan, thread, view }: Props) {
  const system = useSystem();
  const [drawn, setDrawn] = useState<'zones' | 'alone' | 'together'>('zones');
  const external = plan.make === 'external';
  const sizes = threadSizes(thread);
  const { clearanceMm } = view;
  return (
    <>
      <Choice
        label="What is drawn"
        value={drawn}
        options={[
          { value: 'zones', label: 'Where each diameter may lie' },
          { value: 'alone', label: 'The thread as it is made' },
          { value: 'together', label: 'Screw and nut together' },
        ]}
        onChange={setDrawn}
      />
      {drawn === 'zones' ? (
        <AimsPlate plan={plan} thread={thread} />
      ) : drawn === 'together' ? (
        <Engagement thread={thread} clearanceMm={clearanceMm} system={system} />
      ) : (
        <ThreadDrawing
          thread={thread}
          tentative={false}
          side={plan.make}
          readings={[]}
          system={system}
          figures={{
            [external ? 'majorDiameter' : 'minorDiameter']: lengthText(plan.startDiameterMm, system),
            [external ? 'minorDiameter' : 'majorDiameter']: lengthText(plan.rootDiameterMm, system),
            depth: lengthText(plan.depthMm, system, FINE),
          }}
          caption={`${thread.designation} as it is to be made. Basic sizes: ${lengthText(sizes.majorMm, system, { ...FINE, bare: true })} outside, ${lengthText(sizes.pitchDiameterMm, system, { ...FINE, bare: true })} pitch diameter, ${lengthText(external ? sizes.minorExternalMm : sizes.minorInternalMm, system, FINE)} ${external ? 'root' : 'bore'}.`}
        />
      )}
    </>
  );
}
