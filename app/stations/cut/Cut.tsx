import { useState } from 'react';
import { proofDue, type Act } from '../../../core/job/card.ts';
import { latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useShop } from '../../store/store.ts';
import { ActCard } from './ActCard.tsx';
import { StartsCard } from './StartsCard.tsx';
import type { Beside, CutDrawer, Trying } from './beside.ts';
import { CutDrawers } from './CutDrawers.tsx';
import { PassCard } from './PassCard.tsx';
import { PitchCard } from './PitchCard.tsx';
import { TryCard } from './TryCard.tsx';
import { WiresCard } from './WiresCard.tsx';
import { MountCard } from './MountCard.tsx';

/** What is to be done now, from the metal as it is: one act, one reading. */
export function Cut() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const [drawer, open] = useState<CutDrawer | null>(null);
  const [trying, setTrying] = useState<{ readonly how: Trying; readonly on: Act } | null>(null);
  const { card } = machine;
  const beside: Beside = {
    drawer,
    open: (d) => open(d === drawer ? null : d),
    tryIt: (how) => setTrying(how && { how, on: card.do }),
  };
  const due = proofDue(card);
  // a card that becomes another one, above all a halt, is not left behind what was being tried
  const asked = trying?.on === card.do ? trying.how : null;
  const how = asked ?? (due ? (card.do === 'measure' ? 'wires' : 'mate') : null);
  const named = threadOfJob(job) !== null;
  const shown =
    how === 'wires' ? (
      <WiresCard beside={beside} due={due} />
    ) : how === 'mate' ? (
      <TryCard beside={beside} due={due} />
    ) : card.do === 'set' ? (
      <PassCard beside={beside} />
    ) : card.do === 'measure' || card.do === 'mount' ? (
      <MountCard beside={beside} />
    ) : card.do === 'next-start' ? (
      <StartsCard beside={beside} />
    ) : card.pitch ? (
      <PitchCard beside={beside} proof={card.pitch} />
    ) : (
      <ActCard beside={beside} />
    );
  return (
    <>
      {shown}
      {named && drawer !== null && <CutDrawers which={drawer} onWhich={open} lathe={latheOf(job, shop)} />}
    </>
  );
}
