import { useState } from 'react';
import { latheOf } from '../../../core/job/derive.ts';
import { startMovesOf, type StartMove } from '../../../core/job/startMoves.ts';
import { STARTS_SCHOOLS, startMoveText, startsCheckText } from '../../../words/starts.ts';
import { BigNumber } from '../../machine/DialNumber.tsx';
import { MainAct } from '../../machine/Bar.tsx';
import { MachineCautions } from '../../machine/MachineCautions.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Choice } from '../../ui/choices.tsx';
import type { Beside } from './beside.ts';
import { CutBar } from './CutBar.tsx';
import { CutPicture } from './CutPicture.tsx';
import { useBack } from './useBack.ts';

/** From one start to the next: the ways there are on this lathe, the number of the one chosen, and how to see that it is right. */
export function StartsCard({ beside }: { readonly beside: Beside }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const back = useBack();
  const [way, choose] = useState<StartMove['way'] | null>(null);
  const view = startMovesOf(job, shop);
  const u = latheOf(job, shop)?.topSlide.unit ?? 'mm';
  const now = view?.moves.find((m) => m.way === way) ?? view?.moves[0];
  if (!view || !now) return null;
  const text = startMoveText(now, u);
  const { after } = machine.card;
  const cannot = now.way === 'top-slide' && !now.can;
  return (
    <MachineFrame
      station="cut"
      region="Pass card"
      back={back}
      say={`Start ${view.from} of ${view.starts} is cut. ${text.name}: ${text.figure} ${text.unit}`}
      picture={<CutPicture />}
      head={
        <BigNumber
          what={`To start ${view.to} of ${view.starts}: ${text.name.toLowerCase()}`}
          unit={text.unit}
          turns={now.way === 'top-slide' ? now.dial.turns : 0}
          figure={text.figure}
          label={`${text.name} ${text.figure} ${text.unit}`}
        />
      }
      step={
        <div className="grid gap-3">
          <p className="text-[1.6rem] font-bold leading-tight">{text.how}</p>
          {view.moves.length > 1 && (
            <Choice
              label="Indexed by"
              value={now.way}
              options={view.moves.map((m) => ({ value: m.way, label: startMoveText(m, u).name }))}
              onChange={choose}
            />
          )}
          <p className="text-lg">{startsCheckText(view)}</p>
          <p className="text-lg text-ink2">{STARTS_SCHOOLS}</p>
          <MachineCautions codes={machine.card.cautions} />
        </div>
      }
      bar={
        <CutBar
          beside={beside}
          main={
            <MainAct
              disabled={cannot}
              onClick={() =>
                act({
                  do: 'nextStart',
                  after,
                  ...(now.way === 'top-slide' ? { topMm: now.dial.setMm - (view.from - 1) * view.stepMm } : {}),
                })
              }
            >
              Indexed to start {view.to}
            </MainAct>
          }
        />
      }
    />
  );
}
