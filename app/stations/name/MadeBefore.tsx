import { useMemo } from 'react';
import { Link } from 'react-router';
import { readsLike } from '../../../core/job/madeBefore.ts';
import { LEARNED_WORDS, madeText } from '../../../words/learned.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { scheduleAsLearned } from '../gears/asLearned.ts';
import { loadJob } from '../../storage/db.ts';
import type { JobRow } from '../../storage/rows.ts';
import { useJobRows } from '../../storage/taught.ts';
import { act, useShop } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';

/** Of several alike the last ones say most. */
const MOST = 2;

/** Threads that were made before and read as this one does: taken again at a touch, as far as nothing is decided here. */
export function MadeBefore() {
  const { job } = useJobView();
  const shop = useShop();
  const rows = useJobRows();
  const alike = useMemo(
    () =>
      (rows ?? [])
        .filter((r) => r.id !== job.id && r.made && readsLike(job, r.made) === true && r.lesson)
        .toSorted((a, b) => ((a.changed ?? '') < (b.changed ?? '') ? 1 : -1))
        .slice(0, MOST),
    [rows, job],
  );
  if (alike.length === 0) return null;
  return (
    <section aria-label={LEARNED_WORDS.again} className="grid gap-2 border-t border-line pt-2">
      <h2 className="text-lg">{LEARNED_WORDS.again}</h2>
      {alike.map((r) => (
        <div key={r.id} className="grid gap-2">
          <p>{madeText({ ...r, train: r.train ?? null, lathe: latheName(r), changed: r.changed })}</p>
          <div className="flex flex-wrap gap-2">
            {!job.name && (
              <Button onClick={() => void takeFrom(r.id)}>
                {job.gears.lathe === null ? LEARNED_WORDS.takeAll : LEARNED_WORDS.take}
              </Button>
            )}
            <Link
              to={`/jobs/${encodeURIComponent(r.id)}/record`}
              className="inline-flex min-h-12 items-center underline underline-offset-4"
            >
              {LEARNED_WORDS.open}
            </Link>
          </div>
        </div>
      ))}
    </section>
  );

  function latheName(r: JobRow): string | null {
    return shop.lathes.find((l) => l.id === r.lathe)?.name ?? null;
  }
  async function takeFrom(id: string): Promise<void> {
    const found = await loadJob(id);
    if (found?.checked.state !== 'good') return;
    const made = found.checked.doc;
    if (!made.name) return;
    const { thread, probability } = made.name;
    act({ do: 'acceptName', thread, probability, overruled: true, reason: `made before: ${made.title}`.slice(0, 200) });
    const { lathe, train } = made.gears;
    if (job.gears.lathe === null && lathe !== null && shop.lathes.some((l) => l.id === lathe)) {
      act({ do: 'chooseLathe', lathe });
      if (train) act({ do: 'takeTrain', train });
      await scheduleAsLearned();
    }
  }
}
