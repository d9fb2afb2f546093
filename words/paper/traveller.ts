import { capital } from '../capital.ts';
import { stationsOf, type StationState } from '../../core/job/chain.ts';
import type { PartShape } from '../../core/job/partShape.ts';
import type { Job, Shop, StationId } from '../../core/job/schema.ts';
import { ALONG, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import type { TravellerWords } from '../../core/sheet/traveller.ts';
import { conclusion } from '../conclusions.ts';
import { toMakeText } from '../intake.ts';
import { STATION_NAMES } from '../stations.ts';

/** Everything that is said on the traveller. */
export function travellerWords(
  job: Job,
  shop: Shop,
  states: Readonly<Record<StationId, StationState>>,
  shape: PartShape,
  u: UnitSystem,
): TravellerWords {
  const dia = (mm: number | null): string | null =>
    mm === null ? null : `\u00f8 ${lengthText(mm, u, { bare: true })}`;
  const settled = (s: StationId): string => job.settled[s]?.at.slice(0, 10) ?? '';
  return {
    thread: `${lengthText(shape.lengthMm, u, ALONG)} thread`,
    unknown: 'length not measured',
    outer: dia(shape.outerMm),
    head: dia(shape.head?.diameterMm ?? null),
    stub: dia(shape.stub?.diameterMm ?? null),
    groove: shape.groove?.lengthMm == null ? null : `groove ${lengthText(shape.groove.lengthMm, u)}`,
    heads: ['station', 'what was settled', 'done', 'by, when'],
    stations: stationsOf(job).map((s) => ({
      name: STATION_NAMES[s],
      said: `${states[s].kind === 'stale' ? 'Look again: ' : ''}${conclusion(s, job, shop, u) ?? ''}`,
      done: states[s].kind === 'settled',
      when: states[s].kind === 'settled' ? settled(s) : '',
    })),
    partTitle: 'Material and part',
    part: [
      job.intake.material ? `${capital(job.intake.material)}.` : 'Material not said.',
      `${capital(toMakeText(job.intake, job.quantity))}.`,
      job.record.note,
    ]
      .filter((t) => t !== '')
      .join(' '),
    notesTitle: 'Notes at the bench',
  };
}
