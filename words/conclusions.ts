import { gearSettingOf } from '../core/job/gearSetting.ts';
import { leadToType } from './electronic.ts';
import { FINE, lengthText, percentText, ppmText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import { cutPlan, planRequest } from '../core/job/cutPlan.ts';
import { nextPass } from '../core/job/nextPass.ts';
import { recutting } from '../core/job/recut.ts';
import { engagedOf, fitOfJob, gearState, latheOf, threadOfJob } from '../core/job/derive.ts';
import { measurePlan } from '../core/job/measure.ts';
import { feedOf } from '../core/job/feed.ts';
import { metalOf, standingOfPart } from '../core/job/metal.ts';
import { isGeared } from '../core/lathe/schema.ts';
import { mismatchOf } from '../core/gearing/proof/index.ts';
import { trainText } from '../core/gearing/trainText.ts';
import { isSizeTest } from '../core/job/events.ts';
import type { Job, Shop, StationId } from '../core/job/schema.ts';
import { LAY_NAMES, TRY_NAMES } from './try.ts';

const CAME_IN = {
  screw: 'A screw came in',
  nut: 'A nut came in',
  both: 'Screw and nut came in',
  'broken-shaft': 'A broken shaft came in',
};
const WANTED = {
  copy: 'copy it',
  mate: 'make its mate',
  extend: 'extend the thread',
  recut: 'recut it',
  gauge: 'make a gauge',
};

/** What came of a part, as it is said and chosen. */
export const OUTCOME_NAMES = {
  fits: 'It fits',
  'fits-with-note': 'It fits, see note',
  scrapped: 'Scrapped',
} as const;

/** The one line by which a station is read off the spine; null when there is nothing to say yet. */
export function conclusion(station: StationId, job: Job, shop: Shop, system: UnitSystem): string | null {
  const thread = threadOfJob(job);
  const len = (mm: number): string => lengthText(mm, system, FINE);
  switch (station) {
    case 'intake':
      return `${CAME_IN[job.intake.cameIn]}: ${WANTED[job.intake.wanted]}`;
    case 'read':
      return job.readings.length === 0 ? null : `${job.readings.length} reading${job.readings.length === 1 ? '' : 's'}`;
    case 'name':
      return thread && job.name
        ? `${thread.designation}, ${job.name.overruled ? 'chosen by hand' : `${percentText(job.name.probability)} sure`}`
        : null;
    case 'fit': {
      const plan = fitOfJob(job);
      if (!plan) return null;
      if (recutting(job))
        return `From the old groove to ${len(plan.pitchDiameterMm)} pitch diameter, or until its mate fits`;
      if (plan.limits?.start.min != null && plan.limits.start.max !== null) {
        const range = `${lengthText(plan.limits.start.min, system, { bare: true })}\u2013${lengthText(plan.limits.start.max, system)}`;
        return `${plan.make === 'external' ? 'Turn' : 'Bore'} to ${range}, class ${plan.limits.class}`;
      }
      return plan.make === 'external'
        ? `Turn to ${lengthText(plan.startDiameterMm, system)}, cut ${len(plan.depthMm)} deep`
        : `Bore to ${lengthText(plan.startDiameterMm, system)}, cut ${len(plan.depthMm)} deep`;
    }
    case 'gears': {
      const g = gearState(job, shop);
      const lathe = latheOf(job, shop);
      if (!g || !lathe) return null;
      if (!isGeared(lathe)) return g.lead && `${lathe.name}: type in ${leadToType(g.target, lathe, system)}`;
      if (!job.gears.train || g.errorPpm === null) return null;
      const setting = gearSettingOf(job, shop);
      const levers = setting?.levers == null ? '' : `, ${setting.levers}`;
      const plain = `${trainText(job.gears.train)}${levers}, ${ppmText(g.errorPpm)}`;
      if (g.errorPpm === 0) return plain;
      // parts in a million say little: what they come to over the engagement
      const engaged = engagedOf(job);
      const off = lengthText(Math.abs(mismatchOf(g.errorPpm, engaged)), system, { stepMm: 0.0001, stepIn: 0.00001 });
      return `${plain}: ${off} over ${lengthText(engaged, system)}`;
    }
    case 'setup': {
      if (!thread) return null;
      const feed = feedOf(job, metalOf(job));
      // a control has no slide to swing: the angle is keyed in
      if (latheOf(job, shop)?.kind === 'control')
        return feed.slideDeg !== null
          ? `Infeed at ${feed.slideDeg}\u00b0`
          : feed.infeed === 'alternate'
            ? 'Flanks cut in turn'
            : 'Straight in';
      return feed.slideDeg !== null
        ? `Top slide ${feed.slideDeg}\u00b0 off the cross slide`
        : feed.infeed === 'alternate'
          ? 'Flanks cut in turn, top slide along the bed'
          : 'Straight in with the cross slide';
    }
    case 'pickup': {
      const metal = metalOf(job);
      if (metal.phase === 'kept') return 'Tool in the groove';
      return metal.offset ? `Tool ${len(Math.abs(metal.offset.mm))} off the groove` : null;
    }
    case 'cut': {
      const metal = metalOf(job);
      if (metal.finished !== null) return `Part ${metal.part} ${metal.finished}`;
      if (metal.assumed) return `Older record: ${len(metal.depthMm)} deep, to be read`;
      const request = planRequest(job, shop, metal);
      const plan = cutPlan(job, request);
      if (!request || !plan?.ok) return null;
      const { passes, leftMm } = plan.value;
      if (nextPass(plan.value, { metal, feed: feedOf(job, metal), request, lathe: latheOf(job, shop) }))
        return `Pass ${metal.cuts + 1} of ${metal.cuts + passes.length}, ${len(leftMm)} to go`;
      if (metal.springs < job.cut.springs) return `Spring pass ${metal.springs + 1} of ${job.cut.springs}`;
      return `Cut ${len(metal.depthMm)} deep in ${metal.cuts} ${metal.cuts === 1 ? 'pass' : 'passes'}`;
    }
    case 'prove': {
      const said = standingOfPart(job).findLast(isSizeTest);
      if (said?.kind === 'tried') return `${said.mate || 'Its mate'}: ${TRY_NAMES[said.result]}`;
      if (said?.kind === 'gauged')
        return `${said.which === 'go' ? 'Go' : 'Not-go'} gauge ${said.passes ? 'goes' : 'does not go'}`;
      const w = measurePlan(job, shop);
      if (!w) return null;
      const last = w.measured.at(-1);
      return last
        ? `${LAY_NAMES[w.by]} ${len(last.overMm)}: ${leftText(last, system)}`
        : `${w.by === 'balls' ? `Between ${len(w.wireMm)} balls` : `Over ${len(w.wireMm)} wires`}: ${len(w.targetMm)}`;
    }
    case 'record':
      return job.record.verdict === null ? null : OUTCOME_NAMES[job.record.verdict];
  }
}

/** What a measured pitch diameter says: to go, at size, or under. */
export const leftText = (
  { leftMm, verdict }: { readonly leftMm: number; readonly verdict: 'to-go' | 'at-size' | 'past' },
  system: UnitSystem,
): string =>
  verdict === 'at-size'
    ? 'at size'
    : verdict === 'to-go'
      ? `${lengthText(leftMm, system, FINE)} to go on diameter`
      : `${lengthText(-leftMm, system, FINE)} under`;

export { threadLine } from './threadLine.ts';
