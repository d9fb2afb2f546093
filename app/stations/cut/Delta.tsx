import { useMemo } from 'react';
import { cardOf } from '../../../core/job/card.ts';
import { metalOf } from '../../../core/job/metal.ts';
import { planDelta } from '../../../words/machine.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useAppSelector, useShop } from '../../store/store.ts';

/** What the last change of the plan did to what is next. */
export function Delta() {
  const { machine } = useJobView();
  const shop = useShop();
  const last = useAppSelector((s) => s.work.job?.past.at(-1));
  const text = useMemo(() => {
    if (!last) return null;
    // a pass that was cut is no change of plan, and most acts are passes
    const before = metalOf(last.value);
    const same = before.cuts === machine.metal.cuts && before.part === machine.metal.part;
    return same ? planDelta(cardOf(last.value, shop, null), machine) : null;
  }, [last, shop, machine]);
  return (
    <p
      aria-live="polite"
      className={text === null ? 'sr-only' : 'rounded-[3px] border-l-6 border-look bg-panel px-3 py-1 text-lg'}
    >
      {text === null ? '' : `The plan changed: ${text}.`}
    </p>
  );
}
