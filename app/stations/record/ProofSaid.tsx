import { useJobView } from '../../job/jobContext.tsx';
import { useShop, useSystem } from '../../store/store.ts';
import { useMemo } from 'react';
import { proofVerdict } from '../../../core/job/verdict.ts';
import { pitchWaived } from '../../../core/job/pitchProof.ts';
import { PITCH_PROVED } from '../../../words/pitch.ts';
import { VERDICT_TEXT, reasonText } from '../../../words/prove.ts';

/** What the proof came to, with what speaks against it or is still due. */
export function ProofSaid() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const verdict = useMemo(() => proofVerdict(job, shop), [job, shop]);
  const open = verdict.reasons.filter((r) => (r.holds !== 'good' && r.of !== 'belief') || r.of === 'accepted');
  return (
    <div role="status" aria-label="What the proof says">
      <p className="text-lg font-semibold">{VERDICT_TEXT[verdict.is]}</p>
      {pitchWaived(job) && <p className="text-ink2">{PITCH_PROVED.waived}.</p>}
      {open.map((r, i) => (
        <p key={i} className="text-ink2">
          {reasonText(r, system)}.
        </p>
      ))}
    </div>
  );
}
