import { useState } from 'react';
import { Link } from 'react-router';
import { fitOfJob } from '../../../core/job/derive.ts';
import type { Job } from '../../../core/job/schema.ts';
import { cautionsAt } from '../../../core/job/cautions.ts';
import { REST_ACTS } from '../../../words/holding.ts';
import { HOLDING_NAMES } from '../../../words/ledger.ts';
import { cardText, type PutUpLines, putUpLines } from '../../../words/machine.ts';
import { MainAct, TakeAct } from '../../machine/Bar.tsx';
import { Keypad } from '../../machine/Keypad.tsx';
import { MachineCautions } from '../../machine/MachineCautions.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';
import type { Beside } from './beside.ts';
import { CutBar } from './CutBar.tsx';
import { PartBefore } from './PartBefore.tsx';
import { PartPlate } from './PartPlate.tsx';
import { useBack } from './useBack.ts';

/** The one figure of putting up, what goes with it, and the way to do it act by act. */
function PutUpFigure({ lines, to }: { readonly lines: PutUpLines; readonly to: string }) {
  return (
    <>
      <p className="num text-[clamp(2rem,9cqi,5rem)] font-bold leading-none">{lines.figure}</p>
      {lines.more.map((line) => (
        <p key={line} className="text-[clamp(1.5rem,4cqi,2rem)] font-semibold leading-tight">
          {line}
        </p>
      ))}
      <Link className="inline-flex min-h-12 items-center text-lg text-blue underline" to={to}>
        Put it up, step by step
      </Link>
    </>
  );
}

const startMm = (job: Job): number | null => fitOfJob(job)?.startDiameterMm ?? null;

/** What comes before the first pass: the work put up, the train put up, the surface measured. */
export function MountCard({ beside }: { readonly beside: Beside }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const back = useBack();
  const [holding, setHolding] = useState<keyof typeof HOLDING_NAMES>(job.setup.held.by ?? 'chuck');
  const { card, metal } = machine;
  const { after } = card;
  const what = card.do === 'measure' ? 'measure' : card.what === 'gears' ? 'gears' : 'work';
  const text = cardText(machine, job.intake.make, u);
  const putUp = what === 'gears' && card.gears ? putUpLines(card.gears) : null;
  return (
    <MachineFrame
      station="cut"
      region="Pass card"
      back={back}
      say={text}
      picture={<PartPlate act={what === 'measure' ? 'measure' : 'mount'} />}
      head={
        <div className="grid gap-4">
          <p className="text-[clamp(1.75rem,5cqi,2.25rem)] font-bold leading-tight">{putUp?.what ?? text}</p>
          {what === 'work' && (
            <Choice
              label="Held"
              value={holding}
              options={Object.entries(HOLDING_NAMES).map(([value, label]) => ({
                value: value as keyof typeof HOLDING_NAMES,
                label,
              }))}
              onChange={setHolding}
            />
          )}
          {what === 'work' && job.setup.held.rest !== 'none' && (
            <p className="text-xl">{REST_ACTS[job.setup.held.rest]}</p>
          )}
          {putUp && <PutUpFigure lines={putUp} to={`/jobs/${job.id}/gears/machine`} />}
          {what === 'measure' && (
            <LengthField
              armed
              huge
              label={
                job.intake.make === 'external' ? 'The blank measures, on diameter' : 'The bore measures, on diameter'
              }
              mm={metal.measuredMm}
              expectedMm={startMm(job)}
              system={shop.settings.system}
              onCommit={(mm, t) => act({ do: 'measureBlank', diameterMm: mm, text: t, after })}
            />
          )}
          <PartBefore />
        </div>
      }
      step={
        <div className="grid gap-3">
          <MachineCautions codes={what === 'gears' ? cautionsAt('gears', job, shop) : card.cautions} />
          {what === 'measure' && <Keypad />}
        </div>
      }
      bar={
        <CutBar
          beside={beside}
          main={
            what === 'work' ? (
              <MainAct onClick={() => act({ do: 'mount', holding, steady: job.setup.held.rest, after })}>
                It is put up and runs true
              </MainAct>
            ) : what === 'gears' ? (
              <MainAct onClick={() => act({ do: 'mountGears', after })}>
                {card.gears?.leversFrom == null ? 'It is put up' : 'Levers set'}
              </MainAct>
            ) : (
              <TakeAct />
            )
          }
        />
      }
    />
  );
}
