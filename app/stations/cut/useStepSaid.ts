import type { DeeperAnswer } from '../../../core/job/deeper.ts';
import { deeperSetting } from '../../../core/job/deeperSetting.ts';
import { latheOf } from '../../../core/job/derive.ts';
import { stepsRead } from '../../../core/lathe/dials.ts';
import { deeperText, stepShort, stepText } from '../../../words/deeper.ts';
import { dialUnitText } from '../../../words/machine.ts';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { useShop } from '../../store/store.ts';

/** How a step is said on this lathe: one figure, the one that its dial shows. */
export interface StepSaid {
  /** A step with what it is on. @param mm on the radius */
  readonly text: (mm: number) => string;
  readonly short: (mm: number) => string;
  /** An answer as a sentence. */
  readonly answer: (a: DeeperAnswer) => string;
}

/** Steps as the dial of this lathe shows them; along an angled slide as that slide does. */
export function useStepSaid(): StepSaid {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const on = stepsRead(latheOf(job, shop));
  const shown = (mm: number): string | null => {
    const set = deeperSetting(job, shop, machine, mm);
    return set?.to.slide === 'top' ? `${set.shown} ${dialUnitText(set.to)}` : null;
  };
  const along = (mm: number): string | null => {
    const by = shown(mm);
    return by === null ? null : `${by} along the top slide`;
  };
  return {
    text: (mm) => along(mm) ?? stepText(mm, u, on),
    short: (mm) => shown(mm) ?? stepShort(mm, u, on),
    answer: (a) => deeperText(a, u, on, a.code === 'deeper' ? along(a.byMm) : null),
  };
}
