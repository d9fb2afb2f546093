import type { Flanks } from '../../../core/form/flanks.ts';
import { behindNutsText, mountText } from '../../../words/gears.ts';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { armOf, mountOn, behindNuts, type Fitting } from '../../../core/gearing/mounting/index.ts';
import { leadSteps } from '../../../core/gearing/leadSteps.ts';
import { fittingSteps } from '../../../words/fitting.ts';
import { trainText } from '../../../core/gearing/trainText.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { lengthText } from '../../../core/quantity/format.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { textOf, type Rational } from '../../../core/quantity/rational.ts';
import { leadOf, type ThreadSpec } from '../../../core/standards/thread.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Button, Panel } from '../../ui/controls.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { EffectFigure } from './EffectFigure.tsx';
import { leverName } from './trainQuery.ts';
import type { Geared } from '../../../core/gearing/train.ts';
import { Planes } from '../../drawing/Planes.tsx';
import { DyeCoat } from '../../drawing/Plate.tsx';
import { TrainDrawing } from '../../drawing/TrainDrawing.tsx';
import { SheetButtons } from '../../sheets/SheetButtons.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { ChasingDial } from './ChasingDial.tsx';
import { PractiseLink } from '../../ui/PractiseLink.tsx';
import { Proof } from './Proof.tsx';

interface Props {
  readonly thread: ThreadSpec;
  readonly lathe: Lathe;
  readonly train: Geared;
  /** Lead that the train really cuts. */
  readonly lead: Rational;
  readonly errorPpm: number;
  readonly flanks: Flanks;
}

/** The chosen train as it goes on, on one page for the lathe's cover. */
export function TrainCard({ thread, lathe, train, lead, errorPpm, flanks }: Props) {
  const { job } = useJobView();
  const system = useSystem();
  // an arm about a place of its own takes a while: not again at every edit of the job
  const mount = useMemo(() => mountOn(lathe, train, thread.leftHand), [lathe, train, thread.leftHand]);
  const [tab, setTab] = useState('train');
  const kept = { drivers: [...train.drivers], driven: [...train.driven], gearbox: train.gearbox };
  const arm = armOf(lathe);
  const drawing =
    mount?.fits && lathe.moduleMm !== null ? (
      <figure>
        <div className="plate on-plate relative overflow-hidden p-3">
          <DyeCoat />
          <div className="relative">
            <TrainDrawing mount={mount} moduleMm={lathe.moduleMm} arm={arm} />
            <Planes mount={mount} />
          </div>
        </div>
        <figcaption className="mt-1 text-sm text-ink2">
          Seen from the end of the lathe, true to scale. Hatched: back plane; steel: front plane; arrows: which way each
          turns. Least clearance {lengthText(mount.clearanceMm, system)}.{' '}
          {arm && behindNutsText(behindNuts(mount, arm))} {turningText(mount, lathe)}
        </figcaption>
      </figure>
    ) : (
      <p className="text-ink2">
        {mount && !mount.fits
          ? mountText(mount, system)
          : 'Whether it can be mounted is not checked: the arm of this lathe is not measured (Lathes).'}
      </p>
    );
  const steps = mount?.fits ? (
    <ol className="list-decimal space-y-1 pl-6">
      {fittingSteps(mount, lathe.gearWidthMm === null ? '' : ` of ${lengthText(lathe.gearWidthMm, system)}`).map(
        (t) => (
          <li key={t}>{t}</li>
        ),
      )}
    </ol>
  ) : (
    <p className="text-ink2">The steps follow from where the gears go on, and that is not known.</p>
  );
  return (
    <div>
      <Panel title={`The train: ${trainText(mount?.fits ? mount : train)}`} aside={<SheetButtons id="gears" />}>
        <Tabs
          label="The train"
          value={tab}
          onChange={setTab}
          tabs={[
            { id: 'train', label: 'Train', body: drawing },
            { id: 'steps', label: 'Put it up', body: steps },
            {
              id: 'proof',
              label: 'Proof',
              body: (
                <div className="no-print">
                  <Proof lathe={lathe} lead={lead} train={train} />
                  <PractiseLink game="slip" />
                </div>
              ),
            },
            {
              id: 'dial',
              label: 'Chasing dial',
              body: (
                <div className="no-print">
                  <ChasingDial lathe={lathe} lead={lead} />
                </div>
              ),
            },
          ]}
        />
        <div className="mt-3 grid gap-3 sm:grid-cols-2">
          <Figure
            label="Cuts"
            value={pitchText(lead, system)}
            other={`${textOf(lead)} mm exactly`}
            working={{ title: 'Lead cut by the train', steps: leadSteps(lathe, train, lead) }}
          />
          {Object.keys(lathe.levers).length > 0 && (
            <Figure label="Levers" value={leverName(lathe, train.gearbox)} other={`ratio ${train.gearbox}`} />
          )}
          <EffectFigure errorPpm={errorPpm} flanks={flanks} />
        </div>
        <div className="no-print mt-3 flex flex-wrap gap-2">
          <Link
            to={`/jobs/${job.id}/gears/machine`}
            className="straw inline-flex min-h-12 items-center rounded-[4px] px-4"
          >
            Put it up, step by step
          </Link>
          <Button onClick={() => act({ do: 'mountGears' })}>It is mounted now</Button>
          <Button
            onClick={() =>
              act({ do: 'remember', proven: { leadMm: textOf(leadOf(thread)), train: kept, job: job.title } })
            }
          >
            It cut right: remember it
          </Button>
        </div>
      </Panel>
    </div>
  );
}

/** Each mesh turns the motion round: an even number leaves the leadscrew turning as the stud does. */
function turningText(mount: Fitting, lathe: Lathe): string {
  const way = mount.meshes % 2 === 0 ? 'the same way as the stud' : 'against the stud';
  const hand = lathe.tumbler
    ? 'the tumbler sets the hand of the thread'
    : lathe.rightHandMeshes === null
      ? 'which hand that cuts is not tried on this lathe yet (Lathes): scratch a dummy first'
      : `that cuts a ${(mount.meshes % 2 === 0) === (lathe.rightHandMeshes === 'even') ? 'right' : 'left'}-hand thread`;
  return `${mount.meshes} mesh${mount.meshes === 1 ? '' : 'es'}: the leadscrew turns ${way}; ${hand}.`;
}
