import { toolViewOf } from '../../../core/job/toolView.ts';
import { SheetButtons } from '../../sheets/SheetButtons.tsx';
import { useJobView } from '../../job/jobContext.tsx';

/** The tool sheet, true to scale: to print, to cut by, to open elsewhere. */
export function ToolSheets() {
  const { job } = useJobView();
  if (!toolViewOf(job)?.ok) return null;
  return (
    <section aria-label="Tool sheet" className="grid gap-2">
      <h3 className="font-semibold">Tool sheet, true to scale</h3>
      <SheetButtons id="tool" drawn />
      <p className="text-sm text-ink2">
        Tool, thread, a notch to check the tool by and a wedge, with rulers both ways: print at 100 % and lay a rule on
        them.
      </p>
    </section>
  );
}
