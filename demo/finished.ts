import { cardOf } from '../core/job/card.ts';
import { againFrom } from '../core/job/again.ts';
import { DRESSED } from '../core/job/events.ts';
import type { Edit } from '../core/job/edits/index.ts';
import type { Job, JobDraft, Shop } from '../core/job/schema.ts';
import { acts, asWritten, settled } from './telling.ts';

/** How one of them went: spring passes, then so often still tight and cut deeper by so much, mm radial. */
interface Went {
  readonly id: string;
  readonly title: string;
  readonly customer: string;
  readonly at: string;
  readonly springs: number;
  readonly deeper: readonly number[];
  readonly blankMm: number;
  readonly note: string;
}
const WENT: readonly Went[] = [
  {
    id: 'demo-gate-1',
    title: 'Sluice-gate spindle, the first',
    customer: 'Osier Lock, gate 1',
    at: '2026-05-20T08:00:00.000Z',
    springs: 2,
    deeper: [0.05, 0.05],
    blankMm: 37.85,
    note: 'Two spring passes were not enough: the third still took a chip.',
  },
  {
    id: 'demo-gate-3',
    title: 'Sluice-gate spindle, the third',
    customer: 'Osier Lock, gate 3',
    at: '2026-07-08T08:00:00.000Z',
    springs: 3,
    deeper: [0.06],
    blankMm: 37.86,
    note: 'Three springs, then once deeper.',
  },
  {
    id: 'demo-gate-4',
    title: 'Sluice-gate spindle, the fourth',
    customer: 'Osier Lock, gate 4',
    at: '2026-09-30T08:00:00.000Z',
    springs: 3,
    deeper: [0.05],
    blankMm: 37.87,
    note: 'As the third.',
  },
];

/** Jobs that are done and put away: what the shop has learned on one lathe in one material. @param like the thread they were */
export const finishedJobs = (like: Job, shop: Shop): Job[] => WENT.map((w) => finished(like, shop, w));

function finished(like: Job, shop: Shop, w: Went): Job {
  const begun = againFrom(like, w.title, w.id, new Date(w.at));
  const job = structuredClone({
    ...begun,
    customer: w.customer,
    intake: { ...begun.intake, cameIn: 'screw', note: '' },
    readings: begun.readings.map((r) => ({ ...r, at: w.at })),
    record: { note: w.note, verdict: 'fits' },
    cut: { ...begun.cut, springs: w.springs },
    setup: { ...begun.setup, checks: like.setup.checks },
  }) as JobDraft;
  const go = (...edits: Edit[]): void => acts(job, shop, w.at, edits);
  go(
    { do: 'mountGears' },
    { do: 'mount', holding: 'chuck-centre' },
    { do: 'measureBlank', diameterMm: w.blankMm, text: w.blankMm.toFixed(2) },
    { do: 'touchOff' },
    { do: 'provePitch', by: 'scratch' },
  );
  cutOut(job, shop, go);
  for (const byMm of w.deeper) {
    go({ do: 'tryMate', mate: 'new nut', result: 'tight' }, { do: 'deeper', byMm });
    cutOut(job, shop, go);
  }
  go(
    ...DRESSED.map((what): Edit => ({ do: 'dress', what })),
    { do: 'tryMate', mate: 'new nut', result: 'runs' },
    { do: 'finishPart' },
  );
  settled(job, shop, ['intake', 'read', 'name', 'fit', 'gears', 'setup', 'cut', 'prove', 'record']);
  return { ...job, changed: w.at, archived: true };
}

/** Pass by pass as the card says, its springs too. */
function cutOut(job: JobDraft, shop: Shop, go: (e: Edit) => void): void {
  for (;;) {
    const { card } = cardOf(asWritten(job), shop, null);
    if (card.do !== 'set') return;
    go({ do: card.pass?.spring ? 'springDone' : 'passDone' });
  }
}
