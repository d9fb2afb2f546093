import { useState } from 'react';
import { mateInHand } from '../../../core/job/measure.ts';
import { lengthText } from '../../../core/quantity/format.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { Drawer } from '../../ui/Drawer.tsx';
import { Mates } from '../prove/Mates.tsx';

/** Which mate is in the hand, of those that the job knows. */
export function MateRow() {
  const { job } = useJobView();
  const system = useSystem();
  const [open, setOpen] = useState(false);
  const { mates } = job.prove;
  return (
    <div className="flex flex-wrap items-end gap-2">
      {mates.length > 0 && (
        <Choice
          label="In the hand"
          value={mateInHand(job)?.name ?? ''}
          options={mates.map((m) => ({
            value: m.name,
            label: m.lengthMm === null ? m.name : `${m.name}, ${lengthText(m.lengthMm, system)}`,
          }))}
          onChange={(mate) => act({ do: 'setProve', mate })}
        />
      )}
      <Button onClick={() => setOpen(!open)} aria-expanded={open}>
        {mates.length === 0 ? 'Which mate, how long?' : 'Mates'}
      </Button>
      {open && (
        <Drawer label="Mates" title="What it is tried with" onClose={() => setOpen(false)}>
          <Mates />
        </Drawer>
      )}
    </div>
  );
}
