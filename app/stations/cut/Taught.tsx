import { useMemo } from 'react';
import { latheOf } from '../../../core/job/derive.ts';
import { learnedFor } from '../../../core/job/lesson.ts';
import { learnedText } from '../../../words/learned.ts';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { lessonsOf, useJobRows } from '../../storage/taught.ts';
import { useShop } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';

/** What jobs before this one found on this lathe in this material. */
export function Taught() {
  const { job } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const rows = useJobRows();
  const learned = useMemo(
    () => rows && learnedFor(lessonsOf(rows, job.id), job.gears.lathe, job.intake.material),
    [rows, job.id, job.gears.lathe, job.intake.material],
  );
  const lathe = latheOf(job, shop)?.name;
  if (!learned || lathe === undefined) return null;
  return <Note tone="say">{learnedText(learned, lathe, job.intake.material, u)}</Note>;
}
