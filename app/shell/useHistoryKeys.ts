import type { Acts } from '../ui/bindings.ts';
import { useMemo } from 'react';
import { redoJob, redoShop, undoJob, undoShop, useAppSelector } from '../store/store.ts';
import { useKeys } from '../ui/keys.ts';

/** Undo and redo of the job or the shop, by key and by button, with what they would do. */
export function useHistory(inJob: boolean, more: Acts) {
  const history = useAppSelector((s) => (inJob ? s.work.job : s.work.shop));
  const undo = inJob ? undoJob : undoShop;
  const redo = inJob ? redoJob : redoShop;
  const acts = useMemo(() => ({ undo, redo, ...more }), [undo, redo, more]);
  useKeys(acts);
  return { undo, redo, back: history?.past.at(-1)?.label, forward: history?.future[0]?.label };
}
