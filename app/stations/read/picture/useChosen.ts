import { useState } from 'react';
import type { PictureRow } from '../../../../core/job/fromPicture.ts';
import type { ProfileRead } from '../../../../core/profile/types.ts';

/** Which lines are taken: what is proposed, but for those chosen otherwise; a new reading proposes anew. */
export function useChosen(read: ProfileRead | null, rows: readonly PictureRow[]) {
  const [against, setAgainst] = useState<{ readonly on: ProfileRead | null; readonly lines: ReadonlySet<number> }>({
    on: null,
    lines: new Set(),
  });
  const other = against.on === read ? against.lines : new Set<number>();
  const chosen: ReadonlySet<number> = new Set(
    rows.flatMap((r, i) => (r.gives.length > 0 && r.taken !== other.has(i) ? [i] : [])),
  );
  const choose = (i: number): void => {
    const lines = new Set(other);
    if (!lines.delete(i)) lines.add(i);
    setAgainst({ on: read, lines });
  };
  return { chosen, choose };
}
