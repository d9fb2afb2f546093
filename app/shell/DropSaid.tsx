import { Button } from '../ui/controls.tsx';
import { sayDropped, useDropSaid } from './dropSaid.ts';

/** What came of a file that was dropped on the window. */
export function DropSaid() {
  const said = useDropSaid();
  return (
    <div role="status" className="no-print">
      {said !== null && (
        <div className="fixed inset-x-3 bottom-3 z-40 mx-auto flex max-w-2xl items-center justify-between gap-3 rounded-[4px] border-2 border-edge bg-panel p-3 shadow-lg">
          <span>{said}</span>
          <Button onClick={() => sayDropped(null)}>Seen</Button>
        </div>
      )}
    </div>
  );
}
