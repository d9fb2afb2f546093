import { useRef, useState, type ReactNode } from 'react';
import { Copy as CopyIcon } from 'lucide-react';
import { Button } from './controls.tsx';

/** Puts text on the clipboard; false where the browser does not let it. */
async function toClipboard(text: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}

/** Copies what it is given, and says so on itself. */
export function Copy({ text, label }: { readonly text: () => string; readonly label: string }) {
  const [said, setSaid] = useState<string | null>(null);
  return (
    <Button
      className="no-print"
      onClick={() =>
        void toClipboard(text()).then((ok) => {
          setSaid(ok ? 'Copied' : 'The browser does not let it be copied');
          setTimeout(() => setSaid(null), 2500);
        })
      }
    >
      <CopyIcon aria-hidden size={16} /> <span aria-live="polite">{said ?? label}</span>
    </Button>
  );
}

/** Rows of a table as text with tabs, as a spreadsheet takes them; what is only there to be pressed is left out. */
function tableText(table: HTMLTableElement): string {
  return [...table.rows]
    .map((row) =>
      [...row.cells]
        .map((cell) => {
          const copy = cell.cloneNode(true) as HTMLElement;
          for (const b of copy.querySelectorAll('button, a, select, label')) b.remove();
          // what is typed there is what stands there
          for (const i of copy.querySelectorAll('input')) i.replaceWith(`${i.value} `);
          return [...copy.childNodes]
            .map((n) => (n.textContent ?? '').trim())
            .filter(Boolean)
            .join(' ')
            .replace(/\s+/g, ' ');
        })
        .join('\t')
        .trimEnd(),
    )
    .join('\n');
}

/** A table with the way to take it along. */
export function Copied({
  children,
  label = 'Copy the table',
}: {
  readonly children: ReactNode;
  readonly label?: string;
}) {
  const box = useRef<HTMLDivElement>(null);
  return (
    <div ref={box} className="grid gap-2">
      {children}
      <div>
        <Copy
          label={label}
          text={() => {
            const table = box.current?.querySelector('table');
            return table ? tableText(table) : '';
          }}
        />
      </div>
    </div>
  );
}
