import { useMemo } from 'react';
import { standingOfPart } from '../../../core/job/metal.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act } from '../../store/store.ts';
import { useKeys } from '../../ui/keys.ts';

const NO_KEYS = {};

/** The last pass that can be taken back, with its sentence; null where there is none. Its key is at hand on every card. */
export function useTakeBack(withKey = false): { readonly text: string; readonly run: () => void } | null {
  const { job, machine } = useJobView();
  const last = standingOfPart(job, machine.metal.part).findLast((e) => e.kind === 'cut' || e.kind === 'sprung');
  const n = last && !(last.kind === 'cut' && last.assumedPasses !== null) ? last.n : null;
  const keys = useMemo(() => (n === null ? {} : { takeBack: () => void act({ do: 'void', of: n }) }), [n]);
  useKeys(withKey ? keys : NO_KEYS);
  if (!last || n === null) return null;
  return {
    text: last.kind === 'sprung' ? `Spring pass ${machine.metal.springs} done` : `Pass ${machine.metal.cuts} done`,
    run: () => void act({ do: 'void', of: n }),
  };
}
