import type { Lathe } from '../../../core/lathe/schema.ts';
import { setPrefs, usePrefs } from '../../machine/prefs.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { Choice } from '../../ui/choices.tsx';
import { SheetButtons } from '../../sheets/SheetButtons.tsx';
import { Drawer } from '../../ui/Drawer.tsx';
import type { CutDrawer } from './beside.ts';
import { Deeper, SideCut } from './DeeperSide.tsx';
import { Happened } from './Happened.tsx';
import { Ledger } from './Ledger.tsx';
import { PassTable } from './PassTable.tsx';
import { Schedule } from './Schedule.tsx';
import { Taught } from './Taught.tsx';

const TABS = {
  happened: 'Happened',
  plan: 'The plan',
  ledger: 'Done so far',
  deeper: 'Deeper',
  side: 'Side cut',
} as const satisfies Record<CutDrawer, string>;

/** Whatever is needed at the machine besides the next act: beside the card, which goes on. */
export function CutDrawers({
  which,
  onWhich,
  lathe,
}: {
  readonly which: CutDrawer;
  readonly onWhich: (d: CutDrawer | null) => void;
  readonly lathe: Lathe | null;
}) {
  const close = (): void => onWhich(null);
  return (
    <Drawer label="Besides the card" title={TABS[which]} onClose={close}>
      <div role="group" aria-label="What is shown" className="-mt-1 flex flex-wrap gap-x-4">
        {Object.entries(TABS).map(([id, name]) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === which}
            className="min-h-12 text-lg aria-pressed:font-bold aria-pressed:shadow-[inset_0_-4px_0_var(--ink)]"
            onClick={() => onWhich(id as CutDrawer)}
          >
            {name}
          </button>
        ))}
      </div>
      {which === 'happened' && <Happened close={close} />}
      {which === 'plan' && <ThePlan lathe={lathe} />}
      {which === 'ledger' && <Ledger />}
      {which === 'deeper' && <Deeper close={close} />}
      {which === 'side' && <SideCut close={close} />}
    </Drawer>
  );
}

function ThePlan({ lathe }: { readonly lathe: Lathe | null }) {
  const { job, machine } = useJobView();
  const { led } = usePrefs();
  return (
    <div className="grid gap-4">
      <Choice
        label="Through a pass"
        value={led ? 'led' : 'one'}
        options={[
          { value: 'one', label: 'one press a pass' },
          { value: 'led', label: 'lead me through each motion' },
        ]}
        onChange={(v) => setPrefs({ led: v === 'led' })}
      />
      <Taught />
      <SheetButtons id="passes" />
      <Schedule />
      {machine.plan && machine.plan.passes.length > 0 && lathe && (
        <PassTable view={machine} lathe={lathe} internal={job.intake.make === 'internal'} />
      )}
    </div>
  );
}
