import { useState } from 'react';
import { TRY_NAMES } from '../../../core/job/conclusions.ts';
import { latheOf, wirePlan } from '../../../core/job/derive.ts';
import { suggestDeeper } from '../../../core/job/deeper.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { useJobView } from '../../shell/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button, Note } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';

const RESULTS = ['no-start', 'starts', 'binds', 'tight', 'runs', 'shakes'] as const;

/** What the mate did: one touch. */
export function TryMate() {
  const [mate, setMate] = useState('');
  return (
    <div className="grid gap-3">
      <div className="grid grid-cols-2 gap-2 md:grid-cols-3" role="group" aria-label="What the mate did">
        {RESULTS.map((r) => (
          <Button big key={r} onClick={() => act({ do: 'tryMate', result: r, mate })}>
            {TRY_NAMES[r]}
          </Button>
        ))}
      </div>
      <label className="grid max-w-sm gap-1 text-sm text-ink2">
        Which mate (kept with the trial)
        <input
          className="min-h-12 rounded-md border border-line bg-panel px-3 text-lg text-ink"
          value={mate}
          onChange={(e) => setMate(e.target.value)}
          maxLength={120}
        />
      </label>
    </div>
  );
}

/** Try the mate, or measure; the answer says how much deeper, and one touch plans it. */
export function TryThread() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const lathe = latheOf(job, shop);
  const u = lathe?.crossSlide.unit ?? shop.settings.system;
  const wires = wirePlan(job, shop);
  const { after } = machine.card;
  const answer = suggestDeeper(job, shop, machine.metal);
  const fine = (mm: number): string => lengthText(mm, u, FINE);
  return (
    <div className="grid gap-4">
      <TryMate />
      {wires && (
        <LengthField
          armed
          label={`Over wires of ${lengthText(wires.wireMm, shop.settings.system, FINE)}: should be ${lengthText(wires.targetMm, shop.settings.system, FINE)}`}
          mm={null}
          system={shop.settings.system}
          onCommit={(mm, text) => act({ do: 'overWires', mm, text, after })}
        />
      )}
      {answer && (
        <Note tone={answer.code === 'fits' ? 'right' : answer.code === 'past' ? 'wrong' : 'say'}>
          <p className="text-xl">{ANSWER[answer.code](fine(answer.byMm))}</p>
          {answer.code === 'deeper' && (
            <Button big tone="main" className="mt-2" onClick={() => act({ do: 'deeper', byMm: answer.byMm, after })}>
              Deeper by {fine(answer.byMm)}
            </Button>
          )}
        </Note>
      )}
      <div>
        <Button big tone={answer?.code === 'fits' ? 'main' : 'plain'} onClick={() => act({ do: 'finishPart', after })}>
          This part is done
        </Button>
      </div>
    </div>
  );
}

const ANSWER = {
  fits: () => 'It is at size.',
  past: (by: string) => `It is ${by} past size on the radius: no cut mends that.`,
  deeper: (by: string) =>
    `Go ${by} deeper on the radius, spring, and try again: seven tenths of what is left, so as not to jump past.`,
  lead: () => 'It runs and then binds: look at lead and burrs before cutting deeper.',
} as const;
