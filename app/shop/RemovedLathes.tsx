import type { Shop } from '../../core/job/schema.ts';
import { Button } from '../ui/controls.tsx';

/** Lathes that were removed: brought back one by one, or emptied; both can be undone. */
export function RemovedLathes({
  removed,
  onBack,
  onEmpty,
}: {
  readonly removed: Shop['removedLathes'];
  readonly onBack: (id: string) => void;
  readonly onEmpty: () => void;
}) {
  return (
    <details className="mt-4 border-t border-line pt-1">
      <summary className="flex min-h-12 cursor-pointer items-center font-semibold">Removed ({removed.length})</summary>
      <ul className="grid gap-1">
        {removed.map(({ at, lathe }) => (
          <li
            key={`${lathe.id} ${at}`}
            className="flex flex-wrap items-center justify-between gap-2 border-t border-line py-1"
          >
            <span>
              {lathe.name} <span className="text-sm text-ink2">removed {new Date(at).toLocaleDateString()}</span>
            </span>
            <Button aria-label={`Bring back ${lathe.name}`} onClick={() => onBack(lathe.id)}>
              Bring it back
            </Button>
          </li>
        ))}
      </ul>
      <Button className="mt-2" onClick={onEmpty}>
        Empty them
      </Button>
    </details>
  );
}
