import { useState } from 'react';
import { Link } from 'react-router';
import { Check } from 'lucide-react';
import { trainText } from '../../../core/gearing/trainText.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { cardText, dialText, stoppedText } from '../../../words/machine.ts';
import { HOLDING_NAMES } from '../../../words/ledger.ts';
import { useDialUnit, useJobView } from '../../shell/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button, Choice } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { JustDone } from './PassCard.tsx';
import { TryThread } from './TryThread.tsx';

const STATION_OF_FACT: Readonly<Record<string, string>> = {
  Thread: 'name',
  Made: 'intake',
  'Pitch diameter': 'fit',
  Tool: 'fit',
  Feed: 'setup',
};

/** Everything that is not a pass: putting up, measuring, touching off, picking up, trying; and why the card is stopped. */
export function ActCard() {
  const { job, machine } = useJobView();
  const { card, metal } = machine;
  const u = useDialUnit();
  const stopped = card.do === 'check';
  return (
    <section
      aria-label="Pass card"
      className={`overflow-hidden rounded-lg border-2 bg-panel ${stopped ? 'border-brass' : 'border-blue'}`}
    >
      <JustDone />
      <div className="grid gap-4 p-4">
        <p role={stopped ? 'alert' : 'status'} className="text-[clamp(1.4rem,2.6vw,2rem)] font-bold leading-tight">
          {stopped && card.stopped ? stoppedText(card.stopped, u).what : cardText(machine, job.intake.make, u)}
        </p>
        {stopped && card.stopped && <p className="text-xl">{stoppedText(card.stopped, u).check}</p>}
        {card.do === 'air' && card.settings[0] && (
          <p className="num text-[clamp(3rem,9vw,6rem)] font-bold leading-none tracking-tighter">
            {dialText(card.settings[0], ' + ')} <span className="text-3xl text-ink2">{card.settings[0].unit}</span>
          </p>
        )}
        <Acts />
        {metal.cuts > 0 && stopped && (
          <p className="num text-lg text-ink2">In the metal now: {lengthText(metal.depthMm, u, FINE)} deep.</p>
        )}
      </div>
    </section>
  );
}

function Acts() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const { card, metal } = machine;
  const [holding, setHolding] = useState<keyof typeof HOLDING_NAMES>('chuck');
  const { after } = card;
  switch (card.do) {
    case 'check':
      return <Checked />;
    case 'mount':
      return card.what === 'gears' ? (
        <div className="flex flex-wrap items-center gap-3">
          <span className="num text-3xl font-bold">{job.gears.train ? trainText(job.gears.train) : ''}</span>
          <Go onClick={() => act({ do: 'mountGears', after })}>It is put up</Go>
          <Link className="text-blue underline" to={`/jobs/${job.id}/gears`}>
            How it goes on: Gears
          </Link>
        </div>
      ) : (
        <div className="grid gap-3">
          <Choice
            label="Held"
            value={holding}
            options={Object.entries(HOLDING_NAMES).map(([value, label]) => ({
              value: value as keyof typeof HOLDING_NAMES,
              label,
            }))}
            onChange={setHolding}
          />
          <Go onClick={() => act({ do: 'mount', holding, after })}>It is put up and runs true</Go>
        </div>
      );
    case 'measure':
    case 'try':
      return card.what === 'blank' ? (
        <LengthField
          armed
          label={job.intake.make === 'external' ? 'The blank measures, on diameter' : 'The bore measures, on diameter'}
          mm={metal.measuredMm}
          system={shop.settings.system}
          onCommit={(mm, text) => act({ do: 'measureBlank', diameterMm: mm, text, after })}
        />
      ) : (
        <TryThread />
      );
    case 'touch':
      return (
        <div className="flex flex-wrap gap-3">
          <Go onClick={() => act({ do: 'touchOff', on: card.what === 'groove' ? 'groove' : 'surface', after })}>
            {card.what === 'groove' ? 'Both flanks touched, dials at zero' : 'Touched off, dials at zero'}
          </Go>
          {card.what === 'groove' && (
            <Button big onClick={() => act({ do: 'touchOff', on: 'surface', after })}>
              Touched off on the crests instead
            </Button>
          )}
        </div>
      );
    case 'pickup':
      return (
        <Link
          to={`/jobs/${job.id}/pickup`}
          className="inline-flex min-h-16 items-center justify-center rounded-md bg-blue px-5 text-xl font-semibold text-onblue"
        >
          Pick it up
        </Link>
      );
    case 'air':
      return (
        <div className="grid gap-3 md:grid-cols-3">
          <Go onClick={() => act({ do: 'airPass', result: 'in', after })}>In the groove all along</Go>
          <Button big onClick={() => act({ do: 'airPass', result: 'cut-air', after })}>
            Touches nothing
          </Button>
          <Button big tone="stop" onClick={() => act({ do: 'airPass', result: 'off', after })}>
            Beside the groove
          </Button>
        </div>
      );
    case 'next-start':
      return (
        <div className="grid gap-3">
          <p className="text-lg">
            Start {metal.start} is cut. Move the tool by the pitch (lead by the number of starts), always from the same
            side, then say so.
          </p>
          <Go onClick={() => act({ do: 'nextStart', after })}>Indexed to start {metal.start + 1}</Go>
        </div>
      );
    case 'next-part':
      return <Go onClick={() => act({ do: 'beginPart', after })}>Begin part {metal.part + 1}</Go>;
    case 'finished':
      return (
        <Link className="text-blue underline" to={`/jobs/${job.id}/record`}>
          To the record
        </Link>
      );
    case 'set':
      return null;
  }
}

/** What to press when what stopped the card is right. */
function Checked() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const { stopped, after } = machine.card;
  if (!stopped) return null;
  const to = (station: string, words: string) => (
    <Link className="inline-flex min-h-16 items-center text-lg text-blue underline" to={`/jobs/${job.id}/${station}`}>
      {words}
    </Link>
  );
  switch (stopped.code) {
    case 'no-thread':
      return to('name', 'To Name');
    case 'no-lathe':
    case 'no-train':
      return to('gears', 'To Gears');
    case 'plan':
      return (
        <div className="flex flex-wrap gap-4">
          {to('fit', 'To Fit')}
          {to('setup', 'To Set up')}
        </div>
      );
    case 'stale':
      return to(stopped.station, 'Look at it');
    case 'assumed':
      return (
        <div className="grid gap-3 md:grid-cols-2">
          <Go onClick={() => act({ do: 'confirmDepth', after })}>
            The slide says {lengthText(stopped.depthMm, shop.settings.system, FINE)}: right
          </Go>
          <LengthField
            armed
            label="It says another depth, radial"
            mm={null}
            system={shop.settings.system}
            rule={{ allowZero: true }}
            onCommit={(mm, text) => act({ do: 'confirmDepth', depthMm: mm, text, after })}
          />
        </div>
      );
    case 'changed': {
      const station = STATION_OF_FACT[stopped.changes[0]?.fact ?? ''] ?? 'gears';
      return (
        <div className="flex flex-wrap items-center gap-4">
          <Go onClick={() => act({ do: 'check', after })}>It is right: go on</Go>
          {to(station, 'See what changed')}
        </div>
      );
    }
  }
}

function Go({ onClick, children }: { readonly onClick: () => void; readonly children: React.ReactNode }) {
  return (
    <Button big tone="main" className="min-h-20 text-2xl" onClick={onClick}>
      <Check aria-hidden /> {children}
    </Button>
  );
}
