import { fitOfJob } from '../core/job/derive.ts';
import { standingOfPart } from '../core/job/metal.ts';
import { effectsOfJob } from '../core/job/sizing.ts';
import type { ProofVerdict } from '../core/job/verdict.ts';
import type { Job, Shop } from '../core/job/schema.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import type { ProofWords } from '../core/sheet/proofSheet.ts';
import { eventText } from './ledger.ts';
import { effectText, REASON_MARKS, reasonText, VERDICT_TEXT } from './prove.ts';

const READ: ReadonlySet<string> = new Set(['overWires', 'betweenBalls', 'tried', 'gauged', 'formRead']);

/** Everything that is said on the sheet of a proof. */
export function proofWords(job: Job, shop: Shop, verdict: ProofVerdict, u: UnitSystem): ProofWords {
  const fit = fitOfJob(job);
  const limits = fit?.limits;
  const effects = new Map(effectsOfJob(job, shop).map((e) => [e.event.n, e.effect]));
  return {
    verdict: VERDICT_TEXT[verdict.is],
    facts: [
      ['made', job.intake.make === 'external' ? 'the screw' : 'the nut'],
      ['class', limits?.class ?? 'to its own fit'],
      ['pitch diameter', fit ? lengthText(fit.pitchDiameterMm, u, FINE) : ''],
      ['limits from', limits?.source ?? 'the clearance chosen'],
    ],
    reasonsTitle: 'Why',
    reasons: verdict.reasons.map((r) => [REASON_MARKS[r.holds], reasonText(r, u)] as const),
    readingsTitle: 'What was read and tried',
    readings: standingOfPart(job)
      .filter((e) => READ.has(e.kind))
      .map((e) => {
        const effect = effects.get(e.n);
        return [eventText(e, u), e.at.slice(0, 10), effect ? effectText(effect, u) : ''] as const;
      }),
    signed: 'Looked at by ______________________   on ____________',
  };
}
