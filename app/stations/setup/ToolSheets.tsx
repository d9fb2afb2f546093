import { SheetButtons } from '../../sheets/SheetButtons.tsx';
import { toolSheetOf } from '../../sheets/toolSheetOf.ts';
import { fileName } from '../../storage/files.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { useShop, useSystem } from '../../store/store.ts';

/** The tool sheet as files, true to scale: to print, to cut by, to open elsewhere. */
export function ToolSheets() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const sheet = toolSheetOf(job, shop, system);
  if (!sheet) return null;
  const name = `${fileName(job.title)}-tool`;
  return (
    <section aria-label="Tool sheet" className="grid gap-2">
      <h3 className="font-semibold">Tool sheet, true to scale</h3>
      <SheetButtons sheet={() => sheet} name={name} />
      <p className="text-sm text-ink2">
        Tool, thread, a notch to check the tool by and a wedge, with rulers both ways: print at 100 % and lay a rule on
        them.
      </p>
    </section>
  );
}
