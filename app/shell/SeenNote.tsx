import { useState, type ReactNode } from 'react';
import { Button, Note } from '../ui/controls.tsx';

/** Something to know, across the top of the window until it was seen. */
export function SeenNote({ children }: { readonly children: ReactNode }) {
  const [seen, setSeen] = useState(false);
  if (seen) return null;
  return (
    <div className="no-print border-b border-line bg-panel p-3">
      <Note tone="caution">
        <p>{children}</p>
        <Button className="mt-2" onClick={() => setSeen(true)}>
          Seen
        </Button>
      </Note>
    </div>
  );
}
