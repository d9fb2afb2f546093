import { useMemo } from 'react';
import { createPortal } from 'react-dom';
import { Printer } from 'lucide-react';
import { useSearchParams } from 'react-router';
import { PAPERS, type Paper as Size } from '../../core/sheet/paper.ts';
import type { Sheet } from '../../core/sheet/shapes.ts';
import { SHEETS, SHEET_NAMES, type SheetId } from '../../words/paper/frame.ts';
import { PAPER_WORDS } from '../../words/paper/view.ts';
import { setPrefs, usePrefs } from '../machine/prefs.ts';
import { downloadBytes, fileName } from '../storage/files.ts';
import { Button } from '../ui/controls.tsx';
import { Choice } from '../ui/choices.tsx';
import { ExportButton } from '../ui/ExportButton.tsx';
import { codeOf, jobAddress } from './code.ts';
import { drawnSheet, pagesOn, type Drawn } from './papers.ts';
import { SheetPicture } from './SheetPicture.tsx';
import { usePaper } from './usePaper.ts';

/** The job on paper: which sheets, on what paper, as they will lie there; printed or written as PDF. */
export function Paper() {
  const paper = usePaper();
  const { job } = paper;
  const { paper: size } = usePrefs();
  const [params, setParams] = useSearchParams();
  const can = useMemo(() => {
    const drawn = new Map(SHEETS.map((id) => [id, drawnSheet(id, paper)]));
    // every one of them is there
    return (id: SheetId): Drawn => drawn.get(id) ?? drawnSheet(id, paper);
  }, [paper]);
  const asked = params.get('sheets');
  const chosen = useMemo(
    () => SHEETS.filter((id) => (asked === null ? can(id).ok : asked.split(',').includes(id))),
    [asked, can],
  );
  const choose = (ids: readonly SheetId[]): void => setParams({ sheets: ids.join(',') }, { replace: true });
  const qr = useMemo(() => codeOf(jobAddress(job.id)), [job.id]);
  const laid = useMemo(() => pagesOn(chosen, paper, size, qr, can), [chosen, paper, size, qr, can]);
  const pages = laid.flatMap((s) =>
    s.pages.map((sheet, i) => ({ key: `${s.id}-${i}`, id: s.id, sheet, i, of: s.pages.length })),
  );
  return (
    <div className="grid gap-3 desk:h-full desk:grid-cols-[minmax(0,1fr)_22.25rem] desk:grid-rows-[minmax(0,1fr)]">
      <section
        aria-label={PAPER_WORDS.choice}
        className="grid content-start gap-3 rounded-[4px] border border-edge bg-panel p-4 desk:order-2 desk:overflow-y-auto"
      >
        <header>
          <h1 tabIndex={-1} className="text-2xl outline-none">
            {PAPER_WORDS.title}
          </h1>
          <p className="text-ink2">{PAPER_WORDS.lead}</p>
        </header>
        <Choice
          label={PAPER_WORDS.size}
          value={size}
          options={[
            { value: 'a4', label: 'A4' },
            { value: 'letter', label: 'Letter' },
          ]}
          onChange={(s: Size) => setPrefs({ paper: s })}
        />
        <p role="status">{PAPER_WORDS.count(laid.length, pages.length)}</p>
        <div className="flex flex-wrap gap-2">
          <Button tone="main" disabled={pages.length === 0} onClick={() => window.print()}>
            <Printer aria-hidden size={18} /> {PAPER_WORDS.print}
          </Button>
          {pages.length > 0 && (
            <ExportButton
              label="PDF"
              run={async () => {
                const [{ pdfOf }, { drawnText, paperFonts }] = await Promise.all([
                  import('./pdf.ts'),
                  import('./fonts.ts'),
                ]);
                const bytes = pdfOf(
                  pages.map((p) => p.sheet),
                  await paperFonts(),
                  new Date(),
                  drawnText,
                );
                const one = laid.length === 1 ? `-${laid[0]?.id ?? ''}` : '';
                downloadBytes(`${fileName(job.title)}${one}.pdf`, bytes, 'application/pdf');
              }}
            />
          )}
        </div>
        <fieldset className="grid">
          <legend className="text-sm text-ink2">{PAPER_WORDS.sheets}</legend>
          {SHEETS.map((id) => {
            const d = can(id);
            return (
              <label key={id} className="flex min-h-12 items-center gap-3 border-t border-line py-1">
                <input
                  type="checkbox"
                  className="size-6 shrink-0 accent-blue"
                  checked={chosen.includes(id) && d.ok}
                  disabled={!d.ok}
                  onChange={(e) => choose(e.target.checked ? [...chosen, id] : chosen.filter((c) => c !== id))}
                />
                <span>
                  <span className="font-semibold">{SHEET_NAMES[id].name}</span>
                  <span className="block text-sm text-ink2">{!d.ok ? d.why : SHEET_NAMES[id].kind}</span>
                </span>
              </label>
            );
          })}
        </fieldset>
        <p className="text-sm text-ink2">{PAPER_WORDS.scale}</p>
      </section>
      <div
        tabIndex={0}
        role="region"
        aria-label={PAPER_WORDS.pages}
        className="grid min-w-0 auto-rows-max grid-cols-[repeat(auto-fill,minmax(min(100%,24rem),1fr))] content-start gap-4 desk:overflow-y-auto"
      >
        {pages.length === 0 && <p className="text-ink2">{PAPER_WORDS.none}</p>}
        {pages.map((p) => (
          <figure key={p.key} className="min-w-0">
            <div className="border border-edge shadow-md">
              <SheetPicture sheet={p.sheet} label={PAPER_WORDS.page(SHEET_NAMES[p.id].name, p.i + 1, p.of)} />
            </div>
            <figcaption className="mt-1 text-sm text-ink2">
              {PAPER_WORDS.page(SHEET_NAMES[p.id].name, p.i + 1, p.of)}
            </figcaption>
          </figure>
        ))}
      </div>
      <Printed sheets={pages.map((p) => p.sheet)} size={size} />
    </div>
  );
}

/** What the printer gets: the pages and nothing else of the screen, each on a page of its own. */
function Printed({ sheets, size }: { readonly sheets: readonly Sheet[]; readonly size: Size }) {
  const { w, h } = PAPERS[size];
  return createPortal(
    <div className="on-paper" aria-hidden>
      <style>{`@media print { @page { size: ${w}mm ${h}mm; margin: 0; } }`}</style>
      {sheets.map((s, i) => (
        <div key={i} className="on-paper-page" style={{ width: `${w}mm`, height: `${h - 0.2}mm` }}>
          <SheetPicture sheet={s} label="" />
        </div>
      ))}
    </div>,
    document.body,
  );
}
