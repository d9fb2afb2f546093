import { useMemo } from 'react';
import { usePrefs } from '../machine/prefs.ts';
import { useDialUnit, useJobView } from '../job/jobContext.tsx';
import { useShop, useSystem } from '../store/store.ts';
import type { OnPaper } from './papers.ts';

/** What the sheets of the open job are made from. */
export function usePaper(): OnPaper {
  const { job, top, states, machine } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const dialUnit = useDialUnit();
  const { chartScale, chartTurn, paperAlongMm, paperDownMm } = usePrefs();
  return useMemo(
    () => ({
      job,
      shop,
      top,
      states,
      machine,
      system,
      dialUnit,
      chart: { scale: chartScale, turn: chartTurn, along100Mm: paperAlongMm, down100Mm: paperDownMm },
    }),
    [job, shop, top, states, machine, system, dialUnit, chartScale, chartTurn, paperAlongMm, paperDownMm],
  );
}
