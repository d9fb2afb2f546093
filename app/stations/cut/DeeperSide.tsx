import { worthView } from '../../../core/job/worthView.ts';
import { sideText } from '../../../words/prove.ts';
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

/** The groove widened sideways: the pitch diameter is reached earlier. */
export function SideCut({ close }: Props) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const view = worthView(job, shop);
  const due = view && sideText(view, job.intake.make, u);
  return (
    <div className="grid gap-3">
      {due !== null && <p>{due}</p>}
      <p>The groove was widened sideways: the pitch diameter is reached earlier.</p>
      {(['leading', 'trailing'] as const).map((flank) => (
        <LengthField
          key={flank}
          system={shop.settings.system}
          mm={null}
          label={flank === 'leading' ? 'Leading flank, in the direction of the cut, by' : 'Trailing flank by'}
          rule={{ maxMm: 20 }}
          onCommit={(mm) => act({ do: 'sideDone', flank, byMm: mm, after: machine.card.after }) === null && close()}
        />
      ))}
    </div>
  );
}
