import { latheOf } from '../../../core/job/derive.ts';
import { learnedFor, maySpringAsLearned } from '../../../core/job/lesson.ts';
import { learnedFrom } from '../../../words/learned.ts';
import { loadRows } from '../../storage/db.ts';
import { lessonsOf } from '../../storage/taught.ts';
import { act, store } from '../../store/store.ts';

/** Spring passes as this lathe has shown to need in this material, until a person says otherwise; with where they come from. */
export async function springAsLearned(): Promise<void> {
  const rows = await loadRows();
  const { job: history, shop } = store.getState().work;
  const job = history?.present;
  if (!job || !shop || !maySpringAsLearned(job)) return;
  const { material } = job.intake;
  const learned = learnedFor(lessonsOf(rows, job.id), job.gears.lathe, material);
  const lathe = latheOf(job, shop.present)?.name;
  if (!learned || lathe === undefined) return;
  act({ do: 'setSchedule', springs: learned.springs, springsFrom: learnedFrom(learned, lathe, material) });
}
