import { latheOf } from '../../../core/job/derive.ts';
import { partBefore } from '../../../core/job/partBefore.ts';
import { partBeforeText } from '../../../core/words/ledger.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button, Note } from '../../ui/controls.tsx';

/** What was right on the part before, offered to this one. */
export function PartBefore() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const before = partBefore(job);
  if (!before) return null;
  const u = latheOf(job, shop)?.crossSlide.unit ?? shop.settings.system;
  const more = before.deeperMm - machine.metal.deeperMm;
  return (
    <Note tone="say">
      <span className="mr-2">{partBeforeText(before, u)}</span>
      {Math.abs(more) > 5e-4 && <Button onClick={() => act({ do: 'deeper', byMm: more })}>Aim at the same here</Button>}
    </Note>
  );
}
