import { capital } from '../capital.ts';
import { fitOfJob, latheOf, threadOfJob } from '../../core/job/derive.ts';
import { measurePlan } from '../../core/job/measure.ts';
import { metalOf, standing, standingOfPart } from '../../core/job/metal.ts';
import { setupOf } from '../../core/job/setupView.ts';
import { beliefOf } from '../../core/job/sizing.ts';
import type { ProofVerdict } from '../../core/job/verdict.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import { degreesText, FINE, lengthText } from '../../core/quantity/format.ts';
import { pitchText } from '../../core/quantity/pitch.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import type { RecordRow, RecordWords } from '../../core/sheet/recordSheet.ts';
import { leadOf, threadFormOf } from '../../core/standards/thread.ts';
import { conclusion, OUTCOME_NAMES } from '../conclusions.ts';
import { HOLDING_NAMES, eventText } from '../ledger.ts';
import { REASON_MARKS, reasonText, VERDICT_TEXT } from '../prove.ts';
import { LAY_NAMES } from '../try.ts';

/** Everything that is said on the record of a part. @param marks round numbers between two ends, mm */
export function recordWords(
  job: Job,
  shop: Shop,
  verdict: ProofVerdict,
  u: UnitSystem,
  marks: (from: number, to: number) => readonly number[],
): RecordWords {
  const plan = measurePlan(job, shop);
  const metal = metalOf(job);
  const right = plan?.limitsMm ?? null;
  const measured = plan?.measured ?? [];
  return {
    madeTitle: 'The thread, as made',
    made: madeRows(job, shop, u),
    cutTitle: 'How it was cut',
    cut: cutRows(job, shop, u),
    band:
      plan && measured.length > 0
        ? {
            title: `${capital(LAY_NAMES[plan.by])}, ${lengthText(plan.wireMm, u, FINE)}`,
            right: right ?? { min: plan.targetMm, max: plan.targetMm },
            said: right
              ? `${lengthText(right.min, u, { ...FINE, bare: true })} to ${lengthText(right.max, u, FINE)}`
              : lengthText(plan.targetMm, u, FINE),
            readings: measured.map((m) => ({
              mm: m.shownMm,
              said: m.n > metal.lastCutN ? lengthText(m.shownMm, u, { ...FINE, bare: true }) : 'before',
            })),
            unit: (mm) => lengthText(mm, u, { stepMm: 0.01, stepIn: 0.0005, bare: true }),
            marks,
          }
        : null,
    verdict:
      job.record.verdict === null
        ? `Not settled: ${VERDICT_TEXT[verdict.is]}`
        : settledText(job.record.verdict, verdict.is),
    fittedTitle: 'By what',
    fitted: verdict.reasons.map((r) => `${REASON_MARKS[r.holds]}: ${reasonText(r, u)}.`),
    nextTitle: 'For the next time',
    next: job.record.note || 'Nothing noted.',
    signed: ['made by, date', 'looked at by, date', 'handed to, date'],
    ledgerTitle: 'Everything that happened',
    ledgerHeads: ['n', 'when (UTC)', 'what'],
    ledger: standing(job.events).map((e) => ({
      n: String(e.n),
      when: e.at.slice(0, 16).replace('T', ' '),
      said: eventText(e, u),
    })),
  };
}

/** What was settled by hand is not set beside a proof that speaks against it without saying so. */
const settledText = (verdict: NonNullable<Job['record']['verdict']>, is: ProofVerdict['is']): string =>
  is === 'wrong' && verdict !== 'scrapped'
    ? `${OUTCOME_NAMES[verdict]}, settled by hand; what was read speaks against it`
    : OUTCOME_NAMES[verdict];

function madeRows(job: Job, shop: Shop, u: UnitSystem): RecordRow[] {
  const thread = threadOfJob(job);
  const fit = fitOfJob(job);
  if (!thread || !fit) return [{ name: 'thread', by: '', value: 'not named' }];
  const form = threadFormOf(thread);
  const belief = beliefOf(job, shop)?.answer.pitchDiameterMm;
  const surface = metalOf(job).surfaceMm ?? metalOf(job).measuredMm;
  return [
    { name: 'thread', by: job.intake.make === 'external' ? 'screw' : 'nut', value: thread.designation },
    {
      name: job.intake.make === 'external' ? 'outside diameter' : 'bore',
      by: surface === null ? 'not measured' : 'before the cut',
      value: lengthText(surface ?? fit.startDiameterMm, u, FINE),
    },
    {
      name: 'lead',
      by: `${thread.starts} start${thread.starts === 1 ? '' : 's'}, ${thread.leftHand ? 'left' : 'right'} hand`,
      value: pitchText(leadOf(thread), u),
    },
    {
      name: 'flanks',
      by: 'of the form',
      value: `${degreesText(form.leadingDeg)} \u00b7 ${degreesText(form.trailingDeg)}`,
    },
    {
      name: 'pitch diameter',
      by: belief ? 'by all readings, 2 sigma' : 'aimed at',
      value: belief
        ? `${lengthText(belief.value, u, { ...FINE, bare: true })} \u00b1 ${lengthText(2 * belief.uncertainty, u, FINE)}`
        : lengthText(fit.pitchDiameterMm, u, FINE),
    },
    { name: 'class', by: fit.limits?.source ?? 'the clearance chosen', value: fit.limits?.class ?? 'its own fit' },
  ];
}

function cutRows(job: Job, shop: Shop, u: UnitSystem): RecordRow[] {
  const metal = metalOf(job);
  const events = standingOfPart(job);
  const held = events.findLast((e) => e.kind === 'mounted');
  const setup = setupOf(job, shop);
  const springs = events.filter((e) => e.kind === 'sprung').length;
  return [
    {
      name: 'passes',
      by: 'cut, and spring',
      value: `${events.filter((e) => e.kind === 'cut').length} + ${springs}`,
    },
    { name: 'depth', by: 'by the slides', value: lengthText(metal.depthMm, u, FINE) },
    { name: 'lathe', by: 'lead', value: latheOf(job, shop)?.name ?? 'not chosen' },
    { name: 'gears', by: '', value: conclusion('gears', job, shop, u) ?? 'none' },
    { name: 'feed', by: '', value: conclusion('setup', job, shop, u) ?? 'not said' },
    {
      name: 'held',
      by: setup?.rpm == null ? 'speed not said' : `${Math.round(setup.rpm)} rev/min`,
      value: held?.kind === 'mounted' ? HOLDING_NAMES[held.holding] : 'not said',
    },
  ];
}
