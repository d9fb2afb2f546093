import { aimsAfter, partBefore } from '../../../core/job/partBefore.ts';
import { aimText, partBeforeText } from '../../../words/ledger.ts';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button, Note } from '../../ui/controls.tsx';

/** What was right on the part before, offered to this one. */
export function PartBefore() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const before = partBefore(job);
  if (!before) return null;
  return (
    <Note tone="say">
      <p>{partBeforeText(before, u)}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {aimsAfter(job, shop, before).map((aim) => (
          <Button
            big
            key={aim.shortMm}
            onClick={() => act({ do: 'deeper', byMm: aim.deeperMm - machine.metal.deeperMm })}
          >
            {aimText(aim, before, u)}
          </Button>
        ))}
      </div>
    </Note>
  );
}
