import type { Sheet } from '../../core/sheet/shapes.ts';
import { downloadBytes, downloadText } from '../storage/files.ts';
import { ExportButton } from '../ui/ExportButton.tsx';
import { svgOf } from './svg.ts';

/** A sheet as files, true to scale: to print, to cut by, to open elsewhere. */
export function SheetButtons({ sheet, name }: { readonly sheet: () => Sheet; readonly name: string }) {
  return (
    <div className="flex flex-wrap gap-2">
      <ExportButton
        label="PDF to print"
        run={async () => {
          const { pdfOf } = await import('./pdf.ts');
          downloadBytes(`${name}.pdf`, pdfOf(sheet(), new Date()), 'application/pdf');
        }}
      />
      <ExportButton
        label="DXF"
        run={async () => {
          const { dxfOf } = await import('./dxf.ts');
          downloadText(`${name}.dxf`, dxfOf(sheet()), 'application/dxf');
        }}
      />
      <ExportButton
        label="SVG"
        run={() => Promise.resolve(downloadText(`${name}.svg`, svgOf(sheet()), 'image/svg+xml'))}
      />
    </div>
  );
}
