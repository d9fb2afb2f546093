import { proofVerdict } from '../../../core/job/verdict.ts';
import { REASON_MARKS, reasonText, VERDICT_TEXT } from '../../../words/prove.ts';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { SheetButtons } from '../../sheets/SheetButtons.tsx';
import { useShop } from '../../store/store.ts';
import { Mark } from './Mark.tsx';

const HOLDS = { good: true, bad: false, due: null } as const;

/** What everything says of the part, with its reasons, and the sheet that goes with it. */
export function VerdictPanel() {
  const { job } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const verdict = proofVerdict(job, shop);
  return (
    <div className="grid gap-3">
      <p role="status" className="text-2xl font-bold">
        {VERDICT_TEXT[verdict.is]}
      </p>
      <ul className="grid">
        {verdict.reasons.map((r, i) => (
          <li key={i} className="grid grid-cols-[2rem_minmax(0,1fr)] items-center gap-2 border-t border-line py-2">
            <Mark ok={HOLDS[r.holds]} />
            <span>
              <span className="sr-only">{REASON_MARKS[r.holds]}: </span>
              {reasonText(r, u)}
            </span>
          </li>
        ))}
      </ul>
      <section aria-label="Sheet of the proof" className="grid gap-2 border-t border-line pt-3">
        <SheetButtons id="proof" />
        <p className="text-sm text-ink2">
          What was read and tried, by whom and with what. It is no certificate: a shop gauge certifies nothing.
        </p>
      </section>
    </div>
  );
}
