import { isGeared, type Lathe } from '../lathe/schema.ts';
import { threadFormOf, type ThreadSpec } from '../standards/thread.ts';
import { latheOf, threadOfJob } from './derive.ts';
import type { EventBody } from './events.ts';
import { metalOf, mountedOf, standingOfPart, type Metal } from './metal.ts';
import type { Job, Shop } from './schema.ts';
import type { StationId } from './stations.ts';
import { setupOf } from './setupView.ts';
import { safeMarks } from './safeMarks.ts';

/** What decides whether a caution applies. */
interface Facts {
  readonly job: Job;
  readonly thread: ThreadSpec | null;
  readonly lathe: Lathe | null;
  readonly metal: Metal;
  /** How the work was last said to be held; null: nobody has said. */
  readonly held: Extract<EventBody, { kind: 'mounted' }> | null;
  readonly slipped: boolean;
  /** Marks of the chasing dial that are right; null where there is none or none is. */
  readonly marks: readonly number[] | null;
  /** There is less time to stop or withdraw than a hand can be sure of. */
  readonly tooQuick: boolean;
}
interface Caution {
  readonly at: readonly StationId[];
  readonly when: (f: Facts) => boolean;
}

const always = (): boolean => true;
const geared = ({ lathe }: Facts): boolean => lathe !== null && isGeared(lathe);
const programmed = ({ lathe }: Facts): boolean => lathe !== null && !isGeared(lathe);
const internal = ({ job }: Facts): boolean => job.intake.make === 'internal';
const of =
  (...materials: readonly string[]) =>
  ({ job }: Facts): boolean =>
    materials.includes(job.intake.material);
/** The half-nuts stay shut, so the spindle has to be reversed. */
const reverses = (f: Facts): boolean => geared(f) && (f.job.cut.returnBy === 'reverse' || f.marks === null);

/**
 * The cautions of the trade, each where it is wanted and with the condition under which it applies; the first are the
 * gravest. Common practice, no source: local codes and licensed practice come first.
 */
export const CAUTIONS = {
  licensed: { at: ['intake', 'fit', 'cut', 'record'], when: ({ job }) => job.intake.hazards.length > 0 },
  // a taper holds pressure or a string of drill pipe, whatever was ticked at the counter
  'taper-holds-pressure': {
    at: ['fit', 'record'],
    when: ({ thread }) => thread !== null && threadFormOf(thread).taper !== 0,
  },
  'slipped-once': { at: ['pickup', 'cut', 'prove'], when: ({ slipped }) => slipped },
  'screwed-chuck': {
    at: ['setup', 'cut'],
    when: (f) => f.lathe?.screwedChuck === true && (programmed(f) || reverses(f)),
  },
  'threading-cycle': { at: ['gears', 'setup', 'cut'], when: programmed },
  // Set up says it beside the time itself
  'stop-is-software': {
    at: ['setup', 'cut'],
    when: (f) => programmed(f) && f.job.setup.end === 'stop',
  },
  'little-time': { at: ['cut'], when: ({ tooQuick }) => tooQuick },
  'inside-out': { at: ['cut'], when: internal },
  'bar-unknown': { at: ['cut'], when: (f) => internal(f) && f.job.setup.barMm === null },
  'keep-nuts-shut': { at: ['cut'], when: (f) => geared(f) && f.job.cut.returnBy === 'dial' && f.marks === null },
  'slack-unmeasured': {
    at: ['cut'],
    when: ({ lathe }) => lathe !== null && lathe.kind !== 'control' && lathe.slack.crossMm === null,
  },
  'same-setting': {
    at: ['cut', 'prove'],
    when: ({ job, held }) => held !== null && job.setup.trueWith.some((t) => !t.done),
  },
  'dial-slips': { at: ['cut'], when: ({ lathe }) => lathe?.has.includes('dial-slips') === true },
  'handle-falls': { at: ['setup', 'cut'], when: ({ lathe }) => lathe?.has.includes('handle-falls') === true },
  isolate: { at: ['gears'], when: geared },
  'isolate-slip': { at: ['pickup'], when: (f) => geared(f) && f.job.pickup.way === 'slip' },
  'light-gears': { at: ['gears'], when: geared },
  'hand-crank': {
    at: ['gears', 'pickup'],
    when: (f) => geared(f) && (f.job.pickup.way === 'turn' || f.job.gears.train !== null),
  },
  'welded-stub': { at: ['intake', 'setup'], when: ({ job }) => job.intake.cameIn === 'broken-shaft' },
  'weld-build-up': { at: ['fit', 'setup'], when: ({ job }) => job.fit.clean?.builtUpMm != null },
  grinding: { at: ['setup'], when: ({ thread }) => thread !== null },
  'chuck-key': { at: ['setup'], when: ({ held }) => held === null || held.holding.startsWith('chuck') },
  'heavy-chuck': { at: ['setup'], when: ({ held }) => held === null },
  'bar-behind': {
    at: ['setup'],
    when: ({ job, held }) => job.intake.make === 'external' && (held === null || /chuck|collet/.test(held.holding)),
  },
  steady: { at: ['cut'], when: ({ held }) => held !== null && held.steady !== 'none' },
  'chips-burn': { at: ['setup', 'cut'], when: of('titanium', 'magnesium', 'aluminium') },
  dust: { at: ['setup', 'cut'], when: of('cast iron', 'brass', 'beryllium copper') },
  'oil-stains': { at: ['setup'], when: of('brass', 'bronze', 'beryllium copper') },
  mist: { at: ['setup'], when: always },
  standstill: { at: ['cut', 'prove'], when: always },
  'file-swarf': { at: ['cut'], when: always },
  'chuck-weight': { at: ['prove'], when: internal },
  'gauge-certifies': { at: ['fit', 'record'], when: ({ job }) => job.intake.wanted === 'gauge' },
} satisfies Record<string, Caution>;
/** A caution by its code; the sentence is made elsewhere. */
export type CautionCode = keyof typeof CAUTIONS;
/** Every caution there is. */
export const CAUTION_CODES = Object.keys(CAUTIONS) as readonly CautionCode[];

/**
 * The cautions that apply at a station of a job, gravest first.
 * @example cautionsAt('gears', demo('pump'), shop) // ['isolate', 'light-gears', 'hand-crank']
 */
export function cautionsAt(station: StationId, job: Job, shop: Shop, metal: Metal = metalOf(job)): CautionCode[] {
  const lathe = latheOf(job, shop);
  const events = standingOfPart(job, metal.part);
  const facts: Facts = {
    job,
    thread: threadOfJob(job),
    lathe,
    metal,
    held: mountedOf(events),
    slipped: events.some((e) => e.kind === 'slipped'),
    marks: safeMarks(job, shop, lathe),
    tooQuick: setupOf(job, shop)?.react?.tooQuick === true,
  };
  return CAUTION_CODES.filter((code) => {
    const c: Caution = CAUTIONS[code];
    return c.at.includes(station) && c.when(facts);
  });
}
