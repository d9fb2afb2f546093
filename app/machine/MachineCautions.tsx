import { useState } from 'react';
import type { CautionCode } from '../../core/job/cautions.ts';
import { cautionText } from '../../words/cautions.ts';
import { useSystem } from '../store/store.ts';

/** The gravest caution as a sentence that is read from where one stands; the others under it at a touch. */
export function MachineCautions({ codes }: { readonly codes: readonly CautionCode[] }) {
  const system = useSystem();
  const [all, setAll] = useState(false);
  if (codes.length === 0) return null;
  const more = codes.length - 1;
  return (
    <div className="flex flex-wrap items-center gap-x-4 text-lg font-semibold leading-snug text-stop">
      <ul aria-label="Cautions" className="grid min-w-0 flex-1 basis-64 gap-1">
        {(all ? codes : codes.slice(0, 1)).map((c) => (
          <li key={c}>
            <span aria-hidden>{'\u26a0\ufe0e'} </span>
            {cautionText(c, system)}
          </li>
        ))}
      </ul>
      {more > 0 && (
        <button
          type="button"
          aria-expanded={all}
          className="min-h-12 shrink-0 px-2 underline underline-offset-4"
          onClick={() => setAll(!all)}
        >
          {all ? 'only the gravest' : `and ${more} more`}
        </button>
      )}
    </div>
  );
}
