import { RotateCw } from 'lucide-react';
import { useNavigate } from 'react-router';
import type { Stopped } from '../../../core/job/card.ts';
import { planDecidedAt } from '../../../core/job/planProblem.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { factText } from '../../../words/facts.ts';
import { STATION_NAMES } from '../../../words/stations.ts';
import type { StationId } from '../../../core/job/stations.ts';
import { Digits } from '../../machine/DialNumber.tsx';
import { MainAct, SideAct } from '../../machine/Bar.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { LengthField } from '../../ui/fields.tsx';
import type { Beside } from './beside.ts';

/** Where a fact that changed is decided. */
const STATION_OF_FACT: Readonly<Record<string, StationId>> = {
  Thread: 'name',
  Made: 'intake',
  'Pitch diameter': 'fit',
  Tool: 'fit',
  Feed: 'setup',
};

/** Why nothing is cut now, in place of the number: the old reading is not left to be cut. */
export function Halt({ what, check }: { readonly what: string; readonly check: string }) {
  return (
    <div className="grid gap-4">
      <p
        role="alert"
        className="again flex items-start gap-3 border-l-8 border-look px-4 py-4 text-[clamp(1.75rem,5cqi,2.1rem)] font-bold leading-tight text-look"
      >
        <RotateCw aria-hidden size={34} className="mt-1 shrink-0" />
        <span>{what}</span>
      </p>
      <p className="text-2xl font-semibold leading-snug">{check}</p>
    </div>
  );
}

/** What was and what is now, large; what has to be given before it goes on. */
export function HaltMore({ stopped }: { readonly stopped: Stopped }) {
  const { machine } = useJobView();
  const shop = useShop();
  const { system } = shop.settings;
  if (stopped.code === 'changed') {
    const [first] = stopped.changes;
    if (!first) return null;
    return (
      <dl className="grid grid-cols-[auto_1fr] items-baseline gap-x-4">
        <dt className="text-xl text-ink2">was</dt>
        <dd className="num text-[clamp(1.5rem,3vw,2.75rem)] text-ink2 line-through">
          {factText(first.fact, first.was, system)}
        </dd>
        <dt className="text-xl text-ink2">now</dt>
        <dd className="num text-[clamp(2rem,6vw,5rem)] font-bold leading-tight">
          <Digits text={factText(first.fact, first.now, system)} />
        </dd>
      </dl>
    );
  }
  if (stopped.code === 'scratch') {
    const { crests } = stopped.scratch;
    return (
      <LengthField
        key={crests}
        huge
        label={`Counted again: ${crests} crests measure`}
        mm={null}
        system={system}
        onCommit={(spanMm, text) => act({ do: 'scratch', crests, spanMm, text, after: machine.card.after })}
      />
    );
  }
  if (stopped.code === 'assumed')
    return (
      <LengthField
        armed
        huge
        label="It says another depth, radial"
        mm={null}
        system={shop.settings.system}
        rule={{ allowZero: true }}
        onCommit={(mm, text) => act({ do: 'confirmDepth', depthMm: mm, text, after: machine.card.after })}
      />
    );
  return null;
}

/** What to press when what stopped the card is right, or where to look. */
export function HaltActs({ stopped, beside }: { readonly stopped: Stopped; readonly beside: Beside }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const navigate = useNavigate();
  const { after } = machine.card;
  const go = (station: StationId) => () => void navigate(`/jobs/${job.id}/${station}`);
  const main = (station: StationId) => (
    <MainAct onward onClick={go(station)}>
      To {STATION_NAMES[station]}
    </MainAct>
  );
  switch (stopped.code) {
    case 'no-thread':
      return main('name');
    case 'no-lathe':
    case 'no-train':
      return main('gears');
    case 'lathe-unknown':
      return (
        <MainAct onward onClick={() => void navigate(`/lathes/${job.gears.lathe ?? ''}`)}>
          To the lathe
        </MainAct>
      );
    case 'plan': {
      const where = planDecidedAt(stopped.problem.field);
      if (where === 'plan') return <MainAct onClick={() => beside.open('plan')}>Change the plan</MainAct>;
      const other = where === 'fit' ? 'setup' : 'fit';
      return (
        <>
          <SideAct onClick={go(other)}>To {STATION_NAMES[other]}</SideAct>
          {main(where)}
        </>
      );
    }
    case 'stale':
      return main(stopped.station);
    case 'scratch':
      return (
        <>
          <SideAct onClick={() => act({ do: 'mountGears', after })}>Gears and levers put right</SideAct>
          <MainAct onward onClick={() => void navigate(`/jobs/${job.id}/gears?show=proof`)}>
            To the train
          </MainAct>
        </>
      );
    case 'assumed':
      return (
        <MainAct onClick={() => act({ do: 'confirmDepth', after })}>
          The slide says {lengthText(stopped.depthMm, shop.settings.system, FINE)}: right
        </MainAct>
      );
    case 'changed':
      return (
        <>
          <SideAct onClick={go(STATION_OF_FACT[stopped.changes[0]?.fact ?? ''] ?? 'gears')}>See what changed</SideAct>
          <MainAct onClick={() => act({ do: 'check', after })}>It is right: go on</MainAct>
        </>
      );
  }
}
