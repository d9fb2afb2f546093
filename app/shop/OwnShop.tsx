import { useState } from 'react';
import { emptyShop } from '../../core/job/create.ts';
import { newLathe } from '../../core/lathe/create.ts';
import { isGeared, LATHE_KINDS, type LatheKind } from '../../core/lathe/schema.ts';
import { confirm } from '../../core/lathe/unconfirmed.ts';
import { parsePitch } from '../../core/quantity/pitch.ts';
import { textOf } from '../../core/quantity/rational.ts';
import type { Problem } from '../../core/quantity/outcome.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { LATHE_KIND_NAMES } from '../../words/lathe.ts';
import { storageText } from '../../words/storage.ts';
import { loadAll, replaceAll } from '../storage/db.ts';
import { openShop } from '../store/store.ts';
import { Button, Note } from '../ui/controls.tsx';
import { Choice } from '../ui/choices.tsx';
import { inputClass } from '../ui/inputClass.ts';
import { ProblemText } from '../ui/ProblemText.tsx';

/** Units and one lathe: enough to begin with. Jobs of one's own that were begun in the demo shop come along. */
export function OwnShop({ onDone }: { readonly onDone: () => void }) {
  const [system, setSystem] = useState<UnitSystem>('mm');
  const [kind, setKind] = useState<LatheKind>('change-gears');
  const [name, setName] = useState('');
  const [screw, setScrew] = useState('');
  const [problem, setProblem] = useState<Problem | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const geared = isGeared({ kind });
  const begin = (): void => {
    const pitch = !geared || screw.trim() === '' ? null : parsePitch(screw, 'leadscrew');
    if (pitch && !pitch.ok) {
      setProblem(pitch.problem);
      return;
    }
    const lathe = { ...newLathe('lathe-1'), kind, name: name.trim() || 'My lathe' };
    if (pitch?.ok) {
      lathe.leadscrew = textOf(pitch.value.exactMm);
      lathe.leadscrewSystem = pitch.value.system;
      confirm(lathe, 'leadscrew');
    }
    const empty = emptyShop();
    const shop = { ...empty, lathes: [lathe], settings: { ...empty.settings, system } };
    loadAll()
      .then(async ({ jobs }) => {
        const own = jobs.filter((j) => !j.id.startsWith('demo-'));
        openShop(shop, await replaceAll(shop, own));
        onDone();
      })
      .catch((e: unknown) => setFailed(storageText(e)));
  };
  return (
    <form
      className="mt-4 grid gap-3 border-t border-line pt-3"
      aria-label="A shop of one\u2019s own"
      onSubmit={(e) => {
        e.preventDefault();
        begin();
      }}
    >
      <div className="grid gap-3 md:grid-cols-2">
        <Choice
          label="Lengths without a unit are"
          value={system}
          options={[
            { value: 'mm', label: 'millimetres' },
            { value: 'in', label: 'inches' },
          ]}
          onChange={setSystem}
        />
        <Choice
          label="The lathe you use most has"
          value={kind}
          options={LATHE_KINDS.map((k) => ({ value: k, label: LATHE_KIND_NAMES[k].toLowerCase() }))}
          onChange={setKind}
        />
        <label className="grid gap-1">
          <span className="text-sm text-ink2">What it is called</span>
          <input
            value={name}
            onChange={(e) => setName(e.target.value)}
            placeholder="the long bed"
            className={`${inputClass} font-sans tracking-normal`}
          />
        </label>
        {geared && (
          <label className="grid content-start gap-1">
            <span className="text-sm text-ink2">Its leadscrew, if you know it</span>
            <input
              value={screw}
              onChange={(e) => {
                setScrew(e.target.value);
                setProblem(null);
              }}
              placeholder="8 tpi, 4 mm"
              aria-invalid={problem !== null}
              className={inputClass}
            />
            {problem && (
              <span className="text-sm text-stop" role="alert">
                <ProblemText problem={problem} />
              </span>
            )}
          </label>
        )}
      </div>
      <p className="text-sm text-ink2">
        The demo jobs go; Settings puts them back. The rest of the lathe is described when it is first needed.
      </p>
      {failed !== null && <Note tone="wrong">Not begun: {failed}.</Note>}
      <div>
        <Button tone="main" type="submit">
          Begin
        </Button>
      </div>
    </form>
  );
}
