import { useEffect } from 'react';
import { Paper } from '../sheets/Paper.tsx';
import { useJobView } from './jobContext.tsx';
import { TopBar } from '../shell/TopBar.tsx';

/** The sheets of the open job, under the same header as its stations. */
export function PaperFrame() {
  const { job } = useJobView();
  useEffect(() => {
    document.title = `Paper \u00b7 ${job.title} \u00b7 Gelvin`;
  }, [job.title]);
  return (
    <div className="flex min-h-dvh flex-col desk:h-dvh desk:overflow-hidden">
      <TopBar job={job} />
      <main id="view" className="min-h-0 min-w-0 grow p-3">
        <Paper />
      </main>
    </div>
  );
}
