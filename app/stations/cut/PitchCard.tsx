import { useState } from 'react';
import { latheOf } from '../../../core/job/derive.ts';
import type { PitchBy } from '../../../core/job/events.ts';
import type { PitchProof } from '../../../core/job/pitchProof.ts';
import { dialOf } from '../../../core/job/slides.ts';
import { mistakeText } from '../../../words/gears.ts';
import { cardText, slideText } from '../../../words/machine.ts';
import { pitchLines, spanText } from '../../../words/pitch.ts';
import { DialNumber } from '../../machine/DialNumber.tsx';
import { Keypad } from '../../machine/Keypad.tsx';
import { MainAct, SideAct } from '../../machine/Bar.tsx';
import { MachineCautions } from '../../machine/MachineCautions.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { LengthField } from '../../ui/fields.tsx';
import type { Beside } from './beside.ts';
import { CutBar } from './CutBar.tsx';
import { PartBefore } from './PartBefore.tsx';
import { PitchPlate } from './PitchPlate.tsx';
import { useBack } from './useBack.ts';

/** What the train that is up would span, and what the nearest slips would. */
function Spans({ proof }: { readonly proof: PitchProof }) {
  const u = useSystem();
  return (
    <table className="w-full text-xl" aria-label="What it may span">
      <tbody>
        <tr className="border-b-2 border-edge font-bold">
          <td className="num w-32 py-2 pr-4 text-right">{spanText(proof.spanMm, u)}</td>
          <td>as it should be</td>
        </tr>
        {proof.slips.map((s) => (
          <tr key={mistakeText(s.mistake)} className="border-b border-line">
            <td className="num py-2 pr-4 text-right">{spanText(s.spanMm, u)}</td>
            <td>{mistakeText(s.mistake)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The pitch proved before any depth: a scratch set and cut, then read against what the train should give and what a slip would. */
export function PitchCard({ beside, proof }: { readonly beside: Beside; readonly proof: PitchProof }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const system = useSystem();
  const back = useBack();
  const { card } = machine;
  const { after } = card;
  const [setting] = card.settings;
  // the act that was scratched, not any other one: gears put up anew are scratched anew
  const [scratched, setScratched] = useState<number | null>(null);
  const lathe = latheOf(job, shop);
  const lines = pitchLines(proof, system);
  const prove = (by: PitchBy) => () => act({ do: 'provePitch', by, after });
  const toRun = setting !== undefined && scratched !== after;
  return (
    <MachineFrame
      station="cut"
      region="Pass card"
      back={back}
      say={cardText(machine, job.intake.make, u)}
      picture={<PitchPlate proof={proof} />}
      head={
        toRun ? (
          <>
            <DialNumber what={slideText(setting)} setting={setting} dial={lathe ? dialOf(setting, lathe) : null} />
            <p className="mt-2 text-[clamp(1.5rem,4cqi,2rem)] font-bold leading-tight">{lines.what}</p>
          </>
        ) : (
          <div className="grid gap-3">
            <p className="text-[clamp(1.5rem,4cqi,2rem)] font-bold leading-tight">{lines.then}</p>
            <LengthField
              armed
              huge
              label={lines.reads}
              mm={null}
              expectedMm={proof.spanMm}
              system={system}
              onCommit={(spanMm, text) =>
                act({ do: 'scratch', crests: proof.count, spanMm, text: `${proof.count} in ${text}`, after })
              }
            />
          </div>
        )
      }
      step={
        toRun ? (
          <div className="grid gap-3">
            <PartBefore />
            <MachineCautions codes={card.cautions} />
          </div>
        ) : (
          <div className="grid gap-3">
            <div className="grid gap-x-5 gap-y-3 md:grid-cols-2">
              <div className="grid content-start gap-2">
                <Spans proof={proof} />
                {lines.turns && <p className="text-lg text-ink2">{lines.turns}</p>}
              </div>
              <Keypad take />
            </div>
            {lines.doubt && <p className="text-lg font-semibold text-look">{lines.doubt}</p>}
          </div>
        )
      }
      bar={
        <CutBar
          beside={beside}
          main={
            toRun ? (
              <MainAct onClick={() => setScratched(after)}>Scratched: measure it</MainAct>
            ) : (
              <MainAct onClick={prove(proof.by)}>{lines.right}</MainAct>
            )
          }
        >
          <SideAct onClick={prove('waived')}>Let it be, this once</SideAct>
          {!toRun && proof.by === 'scratch' && lines.turns && (
            <SideAct onClick={prove('turns')}>Right by turns</SideAct>
          )}
          {proof.by === 'turns' && <SideAct onClick={prove('bar')}>Right on a spare bar</SideAct>}
        </CutBar>
      }
    />
  );
}
