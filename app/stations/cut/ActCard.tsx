import { Link, useNavigate } from 'react-router';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { cardText, restText, slideText, stoppedText } from '../../../words/machine.ts';
import { latheOf } from '../../../core/job/derive.ts';
import { dialOf } from '../../../core/job/slides.ts';
import { DialNumber } from '../../machine/DialNumber.tsx';
import { MainAct, SideAct } from '../../machine/Bar.tsx';
import { MachineCautions } from '../../machine/MachineCautions.tsx';
import { MachineFrame } from '../../machine/MachineFrame.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import type { Beside } from './beside.ts';
import { Conflict } from './Conflict.tsx';
import { CutBar } from './CutBar.tsx';
import { CutPicture } from './CutPicture.tsx';
import { PartBefore } from './PartBefore.tsx';
import { Halt, HaltActs, HaltMore } from './Halt.tsx';
import { useBack } from './useBack.ts';

/** Everything that is neither a pass nor a measurement: touching off, picking up, the air pass, indexing; and why the card is stopped. */
export function ActCard({ beside }: { readonly beside: Beside }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const system = useSystem();
  const { card, metal } = machine;
  const stopped = card.do === 'check' ? card.stopped : null;
  const [setting] = card.settings;
  const lathe = latheOf(job, shop);
  const text = cardText(machine, job.intake.make, u, lathe?.kind ?? null);
  const dial = setting && lathe ? dialOf(setting, lathe) : null;
  return (
    <MachineFrame
      station="cut"
      region="Pass card"
      back={useBack()}
      say={text}
      picture={<CutPicture />}
      head={
        stopped ? (
          <Halt {...stoppedText(stopped, stopped.code === 'scratch' ? system : u)} />
        ) : (
          <>
            {card.do === 'air' && setting && <DialNumber what={slideText(setting)} setting={setting} dial={dial} />}
            {card.do === 'air' &&
              card.settings.slice(1).map((s) => (
                <p key={s.slide} className="num text-2xl font-semibold">
                  {restText(s)}
                </p>
              ))}
            <p role="status" className="mt-2 text-[clamp(1.75rem,5cqi,2.25rem)] font-bold leading-tight">
              {text}
            </p>
          </>
        )
      }
      step={
        <div className="grid gap-3">
          <Conflict />
          {stopped && <HaltMore stopped={stopped} />}
          {metal.cuts > 0 && stopped && (
            <p className="num text-lg text-ink2">In the metal now: {lengthText(metal.depthMm, u, FINE)} deep.</p>
          )}
          <PartBefore />
          <MachineCautions codes={card.cautions} />
        </div>
      }
      bar={<CutBar beside={beside} main={stopped ? <HaltActs stopped={stopped} beside={beside} /> : <Acts />} />}
    />
  );
}

/** The acts of one card. */
function Acts() {
  const { job, machine } = useJobView();
  const navigate = useNavigate();
  const { card, metal } = machine;
  const { after } = card;
  const told = latheOf(job, useShop())?.kind === 'control';
  switch (card.do) {
    case 'touch':
      return (
        <>
          {card.what === 'groove' && (
            <SideAct onClick={() => act({ do: 'touchOff', on: 'surface', after })}>
              Touched off on the crests instead
            </SideAct>
          )}
          <MainAct onClick={() => act({ do: 'touchOff', on: card.what === 'groove' ? 'groove' : 'surface', after })}>
            {card.what === 'groove' ? 'Both flanks touched' : 'Touched off'}, {told ? 'X told' : 'dials at zero'}
          </MainAct>
        </>
      );
    case 'pickup':
      return (
        <Link
          to={`/jobs/${job.id}/pickup`}
          data-main-act=""
          className="straw bar-main inline-flex w-full items-center justify-center rounded-[4px] px-5 text-3xl"
        >
          Pick it up
        </Link>
      );
    case 'air':
      return (
        <>
          <Button
            tone="stop"
            className="bar-main px-4 text-xl"
            onClick={() => act({ do: 'airPass', result: 'off', after })}
          >
            Beside the groove
          </Button>
          <SideAct onClick={() => act({ do: 'airPass', result: 'cut-air', after })}>Touches nothing</SideAct>
          <SideAct onClick={() => void navigate(`/jobs/${job.id}/pickup`)}>Judge three places</SideAct>
          <MainAct onClick={() => act({ do: 'airPass', result: 'in', after })}>In the groove all along</MainAct>
        </>
      );
    case 'next-part':
      return (
        <MainAct onward onClick={() => act({ do: 'beginPart', after })}>
          Begin part {metal.part + 1}
        </MainAct>
      );
    case 'finished':
      return (
        <MainAct onward onClick={() => void navigate(`/jobs/${job.id}/record`)}>
          To the record
        </MainAct>
      );
    default:
      return null;
  }
}
