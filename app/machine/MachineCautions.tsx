import { useState } from 'react';
import { TriangleAlert } from 'lucide-react';
import type { CautionCode } from '../../core/job/cautions.ts';
import { cautionShort, cautionText } from '../../words/cautions.ts';
import { useSystem } from '../store/store.ts';

/** Of what is said in short, as many as leave the number its room. */
const SHOWN = 2;

/** The gravest cautions in short, read from where one stands; all of them, whole, at a touch. */
export function MachineCautions({ codes }: { readonly codes: readonly CautionCode[] }) {
  const system = useSystem();
  const [all, setAll] = useState(false);
  if (codes.length === 0) return null;
  const more = codes.length - SHOWN;
  return (
    <div className="flex flex-wrap items-center gap-x-4 text-lg font-semibold leading-snug text-stop">
      <ul aria-label="Cautions" className="grid min-w-0 flex-1 basis-64 gap-1">
        {(all ? codes : codes.slice(0, SHOWN)).map((c) => (
          <li key={c} className="flex gap-2">
            <TriangleAlert aria-hidden size={20} className="mt-0.5 shrink-0" />
            <span>{all ? cautionText(c, system) : cautionShort(c, system)}</span>
          </li>
        ))}
      </ul>
      {codes.some((c) => cautionShort(c, system) !== cautionText(c, system)) && (
        <button
          type="button"
          aria-expanded={all}
          className="min-h-12 shrink-0 px-2 underline underline-offset-4"
          onClick={() => setAll(!all)}
        >
          {all ? 'in short' : more > 0 ? `and ${more} more` : 'in full'}
        </button>
      )}
    </div>
  );
}
