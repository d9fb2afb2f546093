import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import { Dialog } from 'radix-ui';
import { useNavigate } from 'react-router';
import { parseLength } from '../../core/quantity/length.ts';
import { LAY_NAMES } from '../../words/try.ts';
import { act, useSystem } from '../store/store.ts';
import { intoArmed, watchBursts } from '../ui/burst.ts';
import { Button } from '../ui/controls.tsx';
import { useJobView } from './jobContext.tsx';

/** What an instrument on a cable sends: into the armed field, or asked about. It never works a button. */
export function GaugeCatcher() {
  const { job } = useJobView();
  const system = useSystem();
  const navigate = useNavigate();
  const [came, setCame] = useState<string | null>(null);
  useEffect(
    () =>
      watchBursts({
        arrived: (text) => {
          let taken = false;
          // at once: the next reading may follow without waiting for a frame
          flushSync(() => {
            taken = intoArmed(text);
          });
          if (!taken) setCame(text);
        },
      }),
    [],
  );
  const length = came === null ? null : parseLength(came, { system, field: 'reading' });
  const screw = job.intake.make === 'external';
  const give = (how: () => void): void => {
    how();
    setCame(null);
  };
  return (
    <Dialog.Root open={came !== null} onOpenChange={(open) => !open && setCame(null)}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-black/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed left-1/2 top-1/2 grid w-[min(34rem,94vw)] -translate-x-1/2 -translate-y-1/2 gap-3 rounded-lg border border-line bg-panel p-5 text-ink"
          // the instrument's next Enter must not press what is focused first
          onOpenAutoFocus={(e) => e.preventDefault()}
        >
          <Dialog.Title className="text-2xl">
            <span className="num font-bold">{came}</span> came in: what is it?
          </Dialog.Title>
          <div className="grid gap-2">
            {length?.ok && (
              <>
                <Button
                  onClick={() => give(() => act({ do: 'measureBlank', diameterMm: length.value.mm, text: came ?? '' }))}
                >
                  {screw ? 'The blank' : 'The bore'} as it is
                </Button>
                <Button
                  onClick={() =>
                    give(() => act({ do: screw ? 'overWires' : 'betweenBalls', mm: length.value.mm, text: came ?? '' }))
                  }
                >
                  {LAY_NAMES[screw ? 'wires' : 'balls']}
                </Button>
                <Button onClick={() => give(() => void navigate(`/jobs/${job.id}/read`))}>
                  A reading off the part: go to Read and take it again
                </Button>
              </>
            )}
            <Button onClick={() => setCame(null)}>Nothing: let it go</Button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
