import { leadToType } from './electronic.ts';
import { trainText } from '../core/gearing/trainText.ts';
import { cutsPlanned } from '../core/cutting/plan.ts';
import { cutPlan, planRequest } from '../core/job/cutPlan.ts';
import { fitOfJob, gearState, latheOf, threadOfJob } from '../core/job/derive.ts';
import { isSizeTest } from '../core/job/events.ts';
import { measurePlan } from '../core/job/measure.ts';
import { feedOf } from '../core/job/feed.ts';
import { metalOf, standingOfPart } from '../core/job/metal.ts';
import { nextPass } from '../core/job/nextPass.ts';
import { recutting } from '../core/job/recut.ts';
import type { Job, Shop, StationId } from '../core/job/schema.ts';
import { isGeared } from '../core/lathe/schema.ts';
import { FINE, lengthText, percentText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

/** What fits one cell of the band of stations, whole, at every width that it has. */
export const SHORT = 13;

const CAME = { screw: 'screw', nut: 'nut', both: 'both', 'broken-shaft': 'shaft' } as const;
const TRIED = {
  'no-start': 'no start',
  starts: 'starts, stops',
  binds: 'binds',
  tight: 'tight',
  runs: 'runs',
  shakes: 'shakes',
} as const;

/** A conclusion in at most 13 characters: the full one stands in the station. Null: nothing to say yet. */
export function shortConclusion(station: StationId, job: Job, shop: Shop, system: UnitSystem): string | null {
  const bare = (mm: number): string => lengthText(mm, system, { ...FINE, bare: true });
  const thread = threadOfJob(job);
  /** The first that fits: the last one always does. */
  const fits = (...ways: readonly string[]): string => ways.find((w) => w.length <= SHORT) ?? '';
  switch (station) {
    case 'intake':
      return `${CAME[job.intake.cameIn]}, ${job.intake.wanted}`;
    case 'read':
      return job.readings.length === 0
        ? null
        : fits(`${job.readings.length} reading${job.readings.length === 1 ? '' : 's'}`, `${job.readings.length} read`);
    case 'name': {
      if (!thread || !job.name) return null;
      const { designation } = thread;
      const sure = job.name.overruled ? 'by hand' : percentText(job.name.probability);
      return fits(
        designation,
        designation.replaceAll(' ', ''),
        `${thread.family === 'Special' ? 'special' : 'named'}, ${sure}`,
        thread.family === 'Special' ? 'special' : 'named',
      );
    }
    case 'fit': {
      const plan = fitOfJob(job);
      if (!plan) return null;
      if (recutting(job)) return fits(`PD ${bare(plan.pitchDiameterMm)}`, 'recut');
      const size = lengthText(plan.startDiameterMm, system, { bare: true });
      return fits(`${plan.make === 'external' ? 'turn' : 'bore'} ${size}`, size);
    }
    case 'gears': {
      const g = gearState(job, shop);
      const lathe = latheOf(job, shop);
      if (!g || !lathe) return null;
      if (!isGeared(lathe)) return g.lead && fits(leadToType(g.target, lathe, system), 'typed in');
      if (!job.gears.train || g.errorPpm === null) return null;
      return fits(trainText(job.gears.train), `${job.gears.train.drivers.length} pairs`);
    }
    case 'setup': {
      if (!thread) return null;
      const feed = feedOf(job, metalOf(job));
      const control = latheOf(job, shop)?.kind === 'control';
      if (feed.slideDeg !== null)
        return control ? `in at ${feed.slideDeg}\u00b0` : fits(`slide ${feed.slideDeg}\u00b0`, 'slide swung');
      return feed.infeed === 'alternate' ? 'flanks, turns' : 'straight in';
    }
    case 'pickup': {
      const metal = metalOf(job);
      if (metal.phase === 'kept') return 'in the groove';
      return metal.offset ? fits(`${bare(Math.abs(metal.offset.mm))} off`, 'off') : null;
    }
    case 'cut': {
      const metal = metalOf(job);
      if (metal.finished !== null) return metal.finished === 'finished' ? `part ${metal.part} done` : 'scrapped';
      if (metal.assumed) return 'to be read';
      const request = planRequest(job, shop, metal);
      const plan = cutPlan(job, request);
      if (!request || !plan?.ok) return null;
      const n = metal.cuts + 1;
      const of = metal.cuts + cutsPlanned(plan.value);
      if (nextPass(plan.value, { metal, feed: feedOf(job, metal), request, lathe: latheOf(job, shop) }))
        return fits(`pass ${n} of ${of}`, `${n} of ${of}`);
      if (metal.springs < job.cut.springs) return fits(`spring ${metal.springs + 1} of ${job.cut.springs}`, 'spring');
      return fits(`${bare(metal.depthMm)} deep`, 'cut');
    }
    case 'prove': {
      const said = standingOfPart(job).findLast(isSizeTest);
      if (said?.kind === 'gauged') return `${said.which} ${said.passes ? 'goes' : 'stops'}`;
      if (said?.kind === 'tried' && said.result !== 'note') return TRIED[said.result];
      const wires = measurePlan(job, shop);
      const last = wires?.measured.at(-1);
      if (!wires) return null;
      if (!last) return fits(`M ${bare(wires.targetMm)}`, wires.by);
      if (last.verdict === 'at-size') return 'at size';
      return last.verdict === 'to-go'
        ? fits(`${bare(last.leftMm)} to go`, 'to go')
        : fits(`${bare(-last.leftMm)} under`, 'under');
    }
    case 'record':
      return job.record.verdict === null
        ? null
        : { fits: 'it fits', 'fits-with-note': 'fits, a note', scrapped: 'scrapped' }[job.record.verdict];
  }
}
