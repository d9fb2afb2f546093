import { latheOf } from '../../../core/job/derive.ts';
import { learnedFor, proposedBy } from '../../../core/job/lesson.ts';
import { learnedFrom } from '../../../words/learned.ts';
import { loadRows } from '../../storage/db.ts';
import { lessonsOf } from '../../storage/taught.ts';
import { act, store } from '../../store/store.ts';

/** Spring passes and the deepest pass as this lathe has had them in this material, until a person says otherwise; with where they come from. */
export async function scheduleAsLearned(): Promise<void> {
  const rows = await loadRows();
  const { job: history, shop } = store.getState().work;
  const job = history?.present;
  if (!job || !shop) return;
  const { material } = job.intake;
  const learned = learnedFor(lessonsOf(rows, job.id), job.gears.lathe, material);
  const lathe = latheOf(job, shop.present)?.name;
  if (!learned || lathe === undefined) return;
  const proposed = proposedBy(job, learned);
  if (proposed.springs === undefined && proposed.firstMaxMm === undefined) return;
  const from = learnedFrom(learned, lathe, material);
  act({
    do: 'setSchedule',
    ...proposed,
    ...(proposed.springs === undefined ? {} : { springsFrom: from }),
    ...(proposed.firstMaxMm === undefined ? {} : { firstMaxFrom: from }),
  });
}
