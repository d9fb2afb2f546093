import { useState } from 'react';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { inches } from '../../../core/quantity/units.ts';
import { act, useShop } from '../../store/store.ts';
import { useDialUnit, useJobView } from '../../shell/jobContext.tsx';
import { Button, Panel } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { StepsOn, useStepsOn } from './StepsOn.tsx';
import { TryThread } from './TryThread.tsx';

type Open = 'try' | 'deeper' | 'side' | 'happened' | null;

/** Steps that a hand goes deeper by, mm. Common practice, no source. */
const STEPS = { mm: [0.01, 0.02, 0.05, 0.1], in: [0.0005, 0.001, 0.002, 0.005].map(inches) } as const;

/** What may be done at any moment besides the next pass: one touch each. */
export function SideActs() {
  const { machine } = useJobView();
  const shop = useShop();
  const { card, metal } = machine;
  const u = useDialUnit();
  const steps = useStepsOn();
  const [open, setOpen] = useState<Open>(null);
  const cutting = metal.cuts > 0 && metal.finished === null;
  if (metal.finished !== null || (!cutting && !metal.mounted)) return null;
  const { after } = card;
  const deeper = (mm: number): void => {
    if (act({ do: 'deeper', byMm: steps === 'diameter' ? mm / 2 : mm, after }) === null) setOpen(null);
  };
  const toggle = (what: Open) => () => setOpen(open === what ? null : what);
  // while the card is stopped or the groove is lost nothing is cut
  const able = card.do === 'set' || card.do === 'try' || (card.do === 'measure' && card.what === 'thread');
  const trying = card.do === 'try' || (card.do === 'measure' && card.what === 'thread');
  const field = { system: shop.settings.system, mm: null } as const;
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-2" role="group" aria-label="Besides the next pass">
        {cutting && !trying && (
          <Button big aria-expanded={open === 'try'} onClick={toggle('try')}>
            Try or measure now
          </Button>
        )}
        {cutting && able && (
          <>
            <Button big onClick={() => act({ do: 'springDone', after })}>
              Spring pass done now
            </Button>
            <Button big aria-expanded={open === 'deeper'} onClick={toggle('deeper')}>
              Deeper by &hellip;
            </Button>
            <Button big aria-expanded={open === 'side'} onClick={toggle('side')}>
              Side cut &hellip;
            </Button>
          </>
        )}
        <Button big aria-expanded={open === 'happened'} onClick={toggle('happened')}>
          Something happened
        </Button>
      </div>
      {open === 'try' && !trying && (
        <Panel title="Try or measure">
          <TryThread />
        </Panel>
      )}
      {open === 'deeper' && (
        <Panel title={`Deeper than the fit asks for${steps === null ? '' : `, on the ${steps}`}`}>
          <div className="mb-3">
            <StepsOn />
          </div>
          {steps !== null && (
            <>
              <div className="mb-3 flex flex-wrap gap-2">
                {STEPS[u].map((mm) => (
                  <Button big key={mm} onClick={() => deeper(mm)}>
                    {lengthText(mm, u, FINE)}
                  </Button>
                ))}
              </div>
              <LengthField
                {...field}
                label="Or by this, then Enter (minus: less deep)"
                rule={{ allowNegative: true, maxMm: 50 }}
                onCommit={deeper}
              />
            </>
          )}
        </Panel>
      )}
      {open === 'side' && (
        <Panel title="The groove widened sideways">
          <div className="grid gap-3 md:grid-cols-2">
            {(['leading', 'trailing'] as const).map((flank) => (
              <LengthField
                key={flank}
                {...field}
                label={flank === 'leading' ? 'Leading flank, in the direction of the cut, by' : 'Trailing flank by'}
                rule={{ maxMm: 20 }}
                onCommit={(mm) => act({ do: 'sideDone', flank, byMm: mm, after }) === null && setOpen(null)}
              />
            ))}
          </div>
        </Panel>
      )}
      {open === 'happened' && <Happened close={() => setOpen(null)} />}
    </div>
  );
}

/** What changes the state of metal or lathe without being a pass. */
function Happened({ close }: { readonly close: () => void }) {
  const { machine } = useJobView();
  const shop = useShop();
  const { after } = machine.card;
  const done = (e: Parameters<typeof act>[0]) => () => {
    if (act(e) === null) close();
  };
  const system = shop.settings.system;
  return (
    <Panel title="What happened">
      <div className="flex flex-wrap gap-2">
        <Button big onClick={done({ do: 'changeTool', after })}>
          Tool changed
        </Button>
        <Button big onClick={done({ do: 'changeTool', how: 'reground', after })}>
          Tool re-ground
        </Button>
        <Button big onClick={done({ do: 'reseat', after })}>
          Work re-seated
        </Button>
        <Button big onClick={done({ do: 'takeOut', after })}>
          Work taken out
        </Button>
        <Button big onClick={done({ do: 'slipped', after })}>
          It slipped in the jaws
        </Button>
        <Button big onClick={done({ do: 'wrongMark', after })}>
          Half-nuts shut on a wrong mark
        </Button>
        <Button big onClick={done({ do: 'stoppedShort', after })}>
          Stopped short
        </Button>
        <Button big onClick={done({ do: 'rezero', after })}>
          Dials set to zero where the tool stands
        </Button>
        <Button big onClick={done({ do: 'finishPart', verdict: 'scrapped', after })} tone="stop">
          This part is scrap
        </Button>
      </div>
      <div className="mt-3 grid gap-3 md:grid-cols-3">
        <LengthField
          label="Runs out, full reading"
          mm={null}
          system={system}
          rule={{ allowZero: true, maxMm: 20 }}
          onCommit={(mm, text) => act({ do: 'runOut', fullMm: mm, text, after }) === null && close()}
        />
        <LengthField
          label="Crests topped, or bore opened, to"
          mm={null}
          system={system}
          onCommit={(mm) => act({ do: 'topCrest', diameterMm: mm, after }) === null && close()}
        />
        <LengthField
          label="Faced back by"
          mm={null}
          system={system}
          onCommit={(mm) => act({ do: 'faceBack', byMm: mm, after }) === null && close()}
        />
      </div>
    </Panel>
  );
}
