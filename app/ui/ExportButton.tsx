import { useState } from 'react';
import { Download } from 'lucide-react';
import { storageText } from '../../words/storage.ts';
import { Button } from './controls.tsx';

interface Props {
  readonly label: string;
  readonly run: () => Promise<void>;
}

/** Writes a file, and says whether it did. */
export function ExportButton({ label, run }: Props) {
  const [said, setSaid] = useState<string | null>(null);
  return (
    <div>
      <Button
        onClick={() =>
          void run().then(
            () => setSaid('Exported.'),
            (e: unknown) => setSaid(`Not exported: ${storageText(e)}.`),
          )
        }
      >
        <Download aria-hidden size={18} /> {label}
      </Button>
      {said !== null && <p role="status">{said}</p>}
    </div>
  );
}
