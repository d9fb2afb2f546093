import { useState } from 'react';
import { sideCutOf } from '../../../core/job/sideCut.ts';
import { worthView } from '../../../core/job/worthView.ts';
import { settingText, slideText } from '../../../words/machine.ts';
import { sideResultText, sideText } from '../../../words/prove.ts';
import { Choice } from '../../ui/choices.tsx';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { inches } from '../../../core/quantity/units.ts';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { StepsOn, useStepsOn } from './StepsOn.tsx';

/** Steps that a hand goes deeper by, mm. Common practice, no source. */
const STEPS = { mm: [0.01, 0.02, 0.05, 0.1], in: [0.0005, 0.001, 0.002, 0.005].map(inches) } as const;

interface Props {
  readonly close: () => void;
}

/** Deeper than the fit asks for, by large choices. */
export function Deeper({ close }: Props) {
  const { machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const steps = useStepsOn();
  const deeper = (mm: number): void => {
    if (act({ do: 'deeper', byMm: steps === 'diameter' ? mm / 2 : mm, after: machine.card.after }) === null) close();
  };
  return (
    <div className="grid gap-3">
      <p>Deeper than the fit asks for{steps === null ? '' : `, on the ${steps}`}</p>
      <StepsOn />
      {steps !== null && (
        <>
          <div className="grid grid-cols-2 gap-2">
            {STEPS[u].map((mm) => (
              <Button big className="num min-h-20 text-2xl font-bold" key={mm} onClick={() => deeper(mm)}>
                {lengthText(mm, u, FINE)}
              </Button>
            ))}
          </div>
          <LengthField
            system={shop.settings.system}
            mm={null}
            label="Or by this, then Enter (minus: less deep)"
            rule={{ allowNegative: true, maxMm: 50 }}
            onCommit={deeper}
          />
        </>
      )}
    </div>
  );
}

/** The groove widened sideways: which flank and by how much, how both slides are set for it, what results; then it is done. */
export function SideCut({ close }: Props) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const [flank, choose] = useState<'leading' | 'trailing'>('leading');
  const [byMm, say] = useState<number | null>(null);
  const view = worthView(job, shop);
  const due = view && sideText(view, job.intake.make, u);
  const cut = byMm === null ? null : sideCutOf(job, shop, flank, byMm);
  return (
    <div className="grid gap-3">
      {due !== null && <p>{due}</p>}
      <Choice
        label="Flank to cut, in the direction of the cut"
        even
        value={flank}
        options={[
          { value: 'leading', label: 'leading' },
          { value: 'trailing', label: 'trailing' },
        ]}
        onChange={choose}
      />
      <LengthField
        system={shop.settings.system}
        mm={byMm}
        label="Take off it, along the axis"
        rule={{ maxMm: 20 }}
        onClear={() => say(null)}
        onCommit={(mm) => say(mm)}
      />
      {byMm !== null && !cut && (
        <p role="alert">The top slide has to lie along the bed or at an angle, and something has to be cut.</p>
      )}
      {cut && (
        <section aria-label="How it is set" className="grid gap-2">
          {cut.settings.map((s) => (
            <p key={s.slide} className="text-xl">
              {slideText(s)} <b className="num">{settingText(s)}</b>
            </p>
          ))}
          <p>{sideResultText(cut, u)}</p>
          <Button
            tone="main"
            big
            onClick={() =>
              act({ do: 'sideDone', flank, byMm: cut.byMm, after: machine.card.after }) === null && close()
            }
          >
            Cut, and drawn out
          </Button>
        </section>
      )}
    </div>
  );
}
