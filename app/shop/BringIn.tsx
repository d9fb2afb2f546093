import type { Brought } from '../storage/files.ts';
import type { Shop, Job } from '../../core/job/schema.ts';
import { useShop } from '../store/store.ts';
import { useState, useEffect } from 'react';
import { type Choice, comingOf, type Coming, besides, shopMerged } from '../../core/formats/merge.ts';
import { loadAll, putPictures, putJobs } from '../storage/db.ts';
import { besideTitle } from '../../words/bringIn.ts';
import { newId } from '../ui/newId.ts';
import { Note, Button } from '../ui/controls.tsx';
import { Standing } from './Standing.tsx';
import { Wrong, LeftOut } from './LeftOut.tsx';

interface Props {
  readonly brought: Brought;
  /** Does what goes to the record as a whole, and says what it did. */
  readonly whole: (what: string, how: () => Promise<string>) => void;
  readonly onDone: () => void;
  /** Everything here is replaced by the file's. */
  readonly replaced: (shop: Shop, jobs: readonly Job[]) => Promise<void>;
  /** This shop with what another adds. */
  readonly merged: (shop: Shop) => void;
  readonly onJobs: () => void;
}

/** What a file would change, shown before anything is changed; each job by itself where it differs from what is here. */
export function BringIn({ brought, whole, onDone, replaced, merged, onJobs }: Props) {
  const { file, pictures } = brought;
  const shop = useShop();
  const [here, setHere] = useState<readonly Job[] | null>(null);
  const [chosen, setChosen] = useState<Readonly<Record<string, Choice>>>({});
  useEffect(() => {
    let current = true;
    loadAll().then(
      ({ jobs }) => current && setHere(jobs),
      () => current && setHere([]),
    );
    return () => {
      current = false;
    };
  }, []);
  if (!file.ok) return <Wrong problems={file.problems} />;
  const jobs = file.kind === 'job' ? [file.job] : file.backup.jobs;
  const coming = here ? comingOf(here, jobs) : [];
  const choice = (c: Coming): Choice =>
    // one job by itself is brought because it is wanted
    chosen[c.job.id] ?? (file.kind !== 'job' ? c.proposed : c.standing === 'older' ? 'both' : 'bring');
  const bring = async (): Promise<number> => {
    const all = here ? coming : comingOf((await loadAll()).jobs, jobs);
    const wanted = all.filter((c) => choice(c) !== 'leave');
    for (const c of wanted) {
      if (choice(c) === 'bring') {
        await putPictures([c.job], pictures);
        await putJobs([c.job]);
        continue;
      }
      const copy = besides(c.job, besideTitle(c.job.title), () => newId());
      const own = new Map(
        [...copy.pictures].flatMap(([was, is]) => (pictures.has(was) ? [[is, pictures.get(was)] as const] : [])),
      );
      await putPictures([copy.job], own as ReadonlyMap<string, Blob>);
      await putJobs([copy.job]);
    }
    onJobs();
    return wanted.length;
  };
  const differing = coming.filter((c) => c.standing === 'newer' || c.standing === 'older');
  const count = (s: Coming['standing']): number => coming.filter((c) => c.standing === s).length;
  if (file.kind === 'job')
    return (
      <Note tone="say">
        <p>The file holds one job: &quot;{file.job.title}&quot;.</p>
        {coming.map((c) => (
          <Standing key={c.job.id} coming={c} choice={choice(c)} onChoose={(v) => setChosen({ [c.job.id]: v })} />
        ))}
        <div className="mt-2 flex flex-wrap gap-2">
          <Button
            tone="main"
            onClick={() =>
              whole('Nothing was brought in', async () => {
                const n = await bring();
                onDone();
                return n > 0 ? `Brought in the job "${file.job.title}".` : 'Nothing was brought in: it is left.';
              })
            }
          >
            Bring the job in
          </Button>
          <Button onClick={onDone}>Leave it</Button>
        </div>
      </Note>
    );
  const { shop: theirs } = file.backup;
  const merge = shopMerged(shop, theirs);
  return (
    <Note tone="say">
      <p>
        The file holds the shop &quot;{theirs.name}&quot; with {jobs.length} jobs: {count('new')} new here,{' '}
        {count('same')} the same, {count('newer')} changed since, {count('older')} older than here.
        {merge.added > 0 && ` It adds ${merge.added} lathes, instruments or pins.`}
        {merge.differ.length > 0 && ` These lathes differ and stay as they are here: ${merge.differ.join(', ')}.`}
      </p>
      <LeftOut file={file} />
      {differing.length > 0 && (
        <ul aria-label="Jobs that differ" className="mt-2 grid max-h-72 gap-1 overflow-y-auto" tabIndex={0}>
          {differing.map((c) => (
            <li key={c.job.id}>
              <Standing coming={c} choice={choice(c)} onChoose={(v) => setChosen((s) => ({ ...s, [c.job.id]: v }))} />
            </li>
          ))}
        </ul>
      )}
      <p className="mt-2 text-sm">Replacing everything takes away what is here: export it first.</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          tone="main"
          onClick={() =>
            whole('Nothing was brought in', async () => {
              const n = await bring();
              if (merge.added > 0) merged(merge.shop);
              onDone();
              return `Brought in ${n} jobs beside what is here${merge.added > 0 ? `, and ${merge.added} lathes, instruments or pins` : ''}.`;
            })
          }
        >
          Add it to what is here
        </Button>
        <Button
          onClick={() =>
            whole('Nothing was brought in', async () => {
              await putPictures(jobs, pictures);
              await replaced(theirs, jobs);
              onDone();
              return `Brought in the shop "${theirs.name}" with ${jobs.length} jobs.`;
            })
          }
        >
          Replace everything
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
    </Note>
  );
}
