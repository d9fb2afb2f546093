import { Trash2 } from 'lucide-react';
import type { Job } from '../../../core/job/schema.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { DraftScope } from '../../ui/drafts.ts';
import { LengthField, TextField } from '../../ui/fields.tsx';

type Mate = Job['prove']['mates'][number];

/** Every mate with its length and what is known of its size; the first decides where a mate does. */
export function Mates() {
  const { job } = useJobView();
  const system = useSystem();
  const { mates, mate } = job.prove;
  const set = (next: readonly Mate[], more: { readonly mate?: string } = {}): unknown =>
    act({ do: 'setProve', mates: [...next], ...more });
  const change = (i: number, by: Partial<Mate>): unknown =>
    set(
      mates.map((m, j) => (j === i ? { ...m, ...by } : m)),
      by.name !== undefined && mates[i]?.name === mate ? { mate: by.name } : {},
    );
  const free = (): string => {
    for (let n = mates.length + 1; ; n += 1)
      if (!mates.some((m) => m.name === `${WORD[job.intake.make]} ${n}`)) return `${WORD[job.intake.make]} ${n}`;
  };
  return (
    <div className="grid gap-4">
      <p className="text-ink2">
        Several of several lengths tell the lead apart from the size; the first one decides. Leave its size empty where
        it is not known.
      </p>
      {mates.map((m, i) => (
        <DraftScope key={i} id={`mate ${i}`}>
          <section aria-label={m.name || 'Mate'} className="grid gap-2 border-t border-line pt-3">
            <div className="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-2">
              <TextField
                label="Name"
                value={m.name}
                onCommit={(name) => name.trim() && change(i, { name: name.trim() })}
              />
              <Button tone="quiet" aria-label={`Remove ${m.name}`} onClick={() => set(mates.filter((_, j) => j !== i))}>
                <Trash2 aria-hidden size={18} />
              </Button>
            </div>
            <LengthField
              label="Length engaged"
              mm={m.lengthMm}
              system={system}
              rule={{ maxMm: 5000 }}
              onClear={() => change(i, { lengthMm: null })}
              onCommit={(lengthMm) => change(i, { lengthMm })}
            />
            <div className="grid grid-cols-2 gap-2">
              <LengthField
                label="Pitch diameter at least"
                mm={m.minMm}
                system={system}
                onClear={() => change(i, { minMm: null })}
                onCommit={(minMm) => change(i, { minMm })}
              />
              <LengthField
                label="and at most"
                mm={m.maxMm}
                system={system}
                onClear={() => change(i, { maxMm: null })}
                onCommit={(maxMm) => change(i, { maxMm })}
              />
            </div>
          </section>
        </DraftScope>
      ))}
      <div>
        <Button onClick={() => set([...mates, { name: free(), lengthMm: null, minMm: null, maxMm: null }])}>
          Add a {WORD[job.intake.make].toLowerCase()}
        </Button>
      </div>
    </div>
  );
}
const WORD = { external: 'Nut', internal: 'Screw' } as const;
