import { Redo2, Undo2 } from 'lucide-react';
import { BarButton } from './BarButton.tsx';
import type { useHistory } from './useHistoryKeys.ts';

/** The way back, and forward again, each saying what it would do. */
export function HistoryButtons({ of }: { readonly of: ReturnType<typeof useHistory> }) {
  const { undo, redo, back, forward } = of;
  return (
    <>
      <BarButton label={back ? `Undo: ${back}` : 'Nothing to undo'} disabled={!back} onClick={undo}>
        <Undo2 aria-hidden size={20} />
      </BarButton>
      <span className="max-xs:hidden">
        <BarButton label={forward ? `Redo: ${forward}` : 'Nothing to redo'} disabled={!forward} onClick={redo}>
          <Redo2 aria-hidden size={20} />
        </BarButton>
      </span>
    </>
  );
}
