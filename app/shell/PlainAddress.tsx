import { useState } from 'react';
import { PLAIN_ADDRESS } from '../../words/network.ts';
import { Button, Note } from '../ui/controls.tsx';

/** Whether the browser takes this address for one that nobody reads along. */
export const isPlainAddress = (): boolean => globalThis.isSecureContext === false;

/** Said once for each window, where it holds; and always in the settings. */
export function PlainAddress() {
  const [seen, setSeen] = useState(false);
  if (seen || !isPlainAddress()) return null;
  return (
    <div className="no-print border-b border-line bg-panel p-3">
      <Note tone="caution">
        <p>
          <strong>{PLAIN_ADDRESS.short}</strong> {PLAIN_ADDRESS.long} {PLAIN_ADDRESS.own}
        </p>
        <Button className="mt-2" onClick={() => setSeen(true)}>
          Seen
        </Button>
      </Note>
    </div>
  );
}
