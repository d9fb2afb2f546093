import { downloadBytes, downloadText, fileName } from '../../storage/files.ts';
import { svgOf } from '../../sheets/svg.ts';
import { toolSheetOf } from '../../sheets/toolSheetOf.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { useShop, useSystem } from '../../store/store.ts';
import { ExportButton } from '../../ui/ExportButton.tsx';

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
      <div className="flex flex-wrap gap-2">
        <ExportButton
          label="PDF to print"
          run={async () => {
            const { pdfOf } = await import('../../sheets/pdf.ts');
            downloadBytes(`${name}.pdf`, pdfOf(sheet, new Date()), 'application/pdf');
          }}
        />
        <ExportButton
          label="DXF to cut by"
          run={async () => {
            const { dxfOf } = await import('../../sheets/dxf.ts');
            downloadText(`${name}.dxf`, dxfOf(sheet), 'application/dxf');
          }}
        />
        <ExportButton
          label="SVG"
          run={() => Promise.resolve(downloadText(`${name}.svg`, svgOf(sheet), 'image/svg+xml'))}
        />
      </div>
      <p className="text-sm text-ink2">
        Tool, thread, a notch to check the tool by and a wedge, with rulers both ways: print at 100 % and lay a rule on
        them.
      </p>
    </section>
  );
}
