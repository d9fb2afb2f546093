import { useMemo } from 'react';
import { bindsBecause, feltTight, suggestDeeper, type DeeperAnswer } from '../../../core/job/deeper.ts';
import { dressedNow } from '../../../core/job/formCheck.ts';
import { effectsOfJob } from '../../../core/job/sizing.ts';
import { proofVerdict } from '../../../core/job/verdict.ts';
import { DRESSED } from '../../../core/job/events.ts';
import { diagnosisText, effectText } from '../../../words/prove.ts';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { useShop } from '../../store/store.ts';

interface Proof {
  readonly answer: DeeperAnswer | null;
  /** What the last try made of what is known, in a sentence; null: nothing was tried since the last cut. */
  readonly effect: string | null;
  readonly diagnosis: { readonly what: string; readonly todo: string } | null;
  /** It feels tight, and nobody has taken the burrs off since the cut. */
  readonly burrs: boolean;
  /** It was finished since it was tried: nothing is proved before it is tried once more. */
  readonly again: boolean;
}

/** What the last try says of the next cut, and what it made of everything that is known. */
export function useProof(): Proof {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  return useMemo(() => {
    const last = machine.tests.at(-1) ?? null;
    const told = last && effectsOfJob(job, shop).find((e) => e.event.n === last.n);
    const answer = suggestDeeper(job, shop, machine.metal);
    const why = bindsBecause(job, shop, machine.metal);
    return {
      answer,
      effect: told ? effectText(told.effect, u) : null,
      diagnosis: why && diagnosisText(why, u),
      again: answer?.code === 'fits' && proofVerdict(job, shop).reasons.some((r) => r.of === 'tried-before-dressing'),
      burrs: last !== null && feltTight(last) && dressedNow(job).size < DRESSED.length,
    };
  }, [job, shop, machine, u]);
}
