import { useEffect, useState } from 'react';
import { loadPicture } from '../storage/db.ts';

/** An address for a picture of the record, as long as it is shown; null: it is on its way, or not in this browser. */
export function usePictureUrl(id: string): string | null {
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    let current = true;
    let made: string | null = null;
    loadPicture(id).then(
      (blob) => {
        if (!blob || !current) return;
        made = URL.createObjectURL(blob);
        setUrl(made);
      },
      () => undefined,
    );
    return () => {
      current = false;
      if (made) URL.revokeObjectURL(made);
    };
  }, [id]);
  return url;
}
