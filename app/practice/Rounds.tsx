import { X } from 'lucide-react';
import { TEN, type Result } from '../../core/practice/rounds.ts';

/** Ten rounds in a row: punched right, crossed wrong, straw the one at hand, rings to come. */
export function Rounds({ of, now = false }: { readonly of: readonly Result[]; readonly now?: boolean }) {
  const right = of.filter((r) => r.right).length;
  return (
    <span
      role="img"
      aria-label={of.length === 0 ? 'No round of these ten yet' : `${right} of ${of.length} right so far`}
      className="inline-flex items-center gap-1.5"
    >
      {Array.from({ length: TEN }, (_, i) => {
        const r = of[i];
        if (!r)
          return (
            <span
              key={i}
              className={
                now && i === of.length
                  ? 'size-4.5 rounded-full border-2 border-[#17130a] bg-straw'
                  : 'size-3.5 rounded-full border-2 border-edge'
              }
            />
          );
        return r.right ? (
          <span key={i} className="grid size-4 place-items-center rounded-full bg-ink">
            <span className="size-1.5 rounded-full bg-panel" />
          </span>
        ) : (
          <X key={i} size={18} strokeWidth={3} className="text-stop" />
        );
      })}
    </span>
  );
}
