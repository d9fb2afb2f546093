import { Printer } from 'lucide-react';
import { Link } from 'react-router';
import type { SheetId } from '../../words/paper/frame.ts';
import { useJobView } from '../job/jobContext.tsx';
import { downloadText, fileName } from '../storage/files.ts';
import { ExportButton } from '../ui/ExportButton.tsx';
import { usePrefs } from '../machine/prefs.ts';
import type { OnPaper } from './papers.ts';
import { svgOf } from './svg.ts';
import { usePaper } from './usePaper.ts';

/** One sheet of this job: to paper, or as files of its drawing, true to scale, to cut by or to open elsewhere. */
export function SheetButtons({ id, drawn = false }: { readonly id: SheetId; readonly drawn?: boolean }) {
  const { job } = useJobView();
  const paper = usePaper();
  const { paper: size } = usePrefs();
  const name = `${fileName(job.title)}-${id}`;
  const first = async (p: OnPaper) => {
    const { pagesOn } = await import('./papers.ts');
    const sheet = pagesOn([id], p, size, null)[0]?.pages[0];
    if (!sheet) throw new Error('nothing to draw');
    return sheet;
  };
  return (
    <div className="flex flex-wrap gap-2">
      <Link
        to={`/jobs/${job.id}/paper?sheets=${id}`}
        className="key inline-flex min-h-12 items-center gap-2 rounded-[4px] px-4"
      >
        <Printer aria-hidden size={18} /> On paper
      </Link>
      {drawn && (
        <>
          <ExportButton
            label="DXF"
            run={async () => {
              const { dxfOf } = await import('./dxf.ts');
              downloadText(`${name}.dxf`, dxfOf(await first(paper)), 'application/dxf');
            }}
          />
          <ExportButton
            label="SVG"
            run={async () => downloadText(`${name}.svg`, svgOf(await first(paper)), 'image/svg+xml')}
          />
        </>
      )}
    </div>
  );
}
