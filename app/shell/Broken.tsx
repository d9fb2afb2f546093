import { useRouteError } from 'react-router';
import { EXPORT_RAW, exportRaw } from '../storage/files.ts';
import { Button } from '../ui/controls.tsx';
import { ExportButton } from '../ui/ExportButton.tsx';

/** Where a view broke: what can still be done. It uses nothing that could be broken itself. */
export function Broken() {
  const error = useRouteError();
  const message = error instanceof Error ? error.message : String(error);
  return (
    <main id="view" className="mx-auto grid max-w-3xl content-start gap-4 p-6">
      <h1 className="text-2xl">This view could not be shown</h1>
      <p>
        Nothing in the record was changed by it. The other jobs, and the record as a whole, can be opened and exported.
      </p>
      <p className="num text-sm text-ink2">{message}</p>
      <div className="flex flex-wrap gap-2">
        <a className="inline-flex min-h-12 items-center rounded-md bg-blue px-4 font-semibold text-onblue" href="/jobs">
          To the jobs, without this one
        </a>
        <ExportButton label={EXPORT_RAW} run={exportRaw} />
        <Button onClick={() => location.reload()}>Try again</Button>
      </div>
    </main>
  );
}
