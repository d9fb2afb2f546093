import { cutsNow } from '../../../core/job/card.ts';
import { latheOf } from '../../../core/job/derive.ts';
import { isGeared } from '../../../core/lathe/schema.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { TakeOut } from './TakeOut.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { PractiseLink } from '../../ui/PractiseLink.tsx';

/** What changes the state of metal or lathe without being a pass. */
export function Happened({ close }: { readonly close: () => void }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const lathe = latheOf(job, shop);
  const geared = lathe === null || isGeared(lathe);
  const { after } = machine.card;
  const done = (e: Parameters<typeof act>[0]) => () => {
    if (act(e) === null) close();
  };
  const system = shop.settings.system;
  return (
    <div>
      <div className="grid gap-2">
        {cutsNow(machine) && (
          <Button big onClick={done({ do: 'springDone', after })}>
            Spring pass cut, at the same setting
          </Button>
        )}
        <Button big onClick={done({ do: 'changeTool', after })}>
          Tool changed
        </Button>
        <Button big onClick={done({ do: 'changeTool', how: 'reground', after })}>
          Tool re-ground
        </Button>
        <Button big onClick={done({ do: 'reseat', after })}>
          Work re-seated
        </Button>
        <TakeOut close={close} />
        <Button big onClick={done({ do: 'slipped', after })}>
          It slipped in the jaws
        </Button>
        {geared && (
          <Button big onClick={done({ do: 'wrongMark', after })}>
            Half-nuts shut on a wrong mark
          </Button>
        )}
        <Button big onClick={done({ do: 'stoppedShort', after })}>
          Stopped short
        </Button>
        {lathe?.kind !== 'control' && (
          <Button big onClick={done({ do: 'rezero', after })}>
            Dials set to zero where the tool stands
          </Button>
        )}
        <Button big onClick={done({ do: 'finishPart', verdict: 'scrapped', after })} tone="stop">
          This part is scrap
        </Button>
      </div>
      <div className="mt-3 grid gap-3">
        <LengthField
          label="Runs out, full reading"
          mm={null}
          system={system}
          rule={{ allowZero: true, maxMm: 20 }}
          onCommit={(mm, text) => act({ do: 'runOut', fullMm: mm, text, after }) === null && close()}
        />
        {machine.metal.cuts > 0 && machine.metal.surfaceMm !== null && (
          <LengthField
            label="The blank was said wrongly: it is"
            mm={machine.metal.surfaceMm}
            system={system}
            hint="what is cut stays; the depth to reach follows"
            onCommit={(mm, text) => act({ do: 'correctBlank', diameterMm: mm, text, after }) === null && close()}
          />
        )}
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
        {geared && <PractiseLink game="place" />}
      </div>
    </div>
  );
}
