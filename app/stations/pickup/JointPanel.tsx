import { useState } from 'react';
import { Link } from 'react-router';
import { jointView } from '../../../core/job/jointView.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { readWhole } from '../../../core/quantity/number.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import { jointText, WELD_TEXT } from '../../../words/oldPart.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import { Steps } from '../../ui/Working.tsx';

/** The lead of the old thread, and where a new length is picked up so that both meet. @param joined a new length is cut on to it */
export function JointPanel({ unit, joined }: { readonly unit: UnitSystem; readonly joined: boolean }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const view = jointView(job, shop, machine.metal);
  const read = machine.metal.oldLead;
  const [pitches, setPitches] = useState<number | null>(read?.pitches ?? null);
  const [span, setSpan] = useState<number | null>(read?.spanMm ?? null);
  const done = (n: number | null, mm: number | null): void => {
    if (n !== null && mm !== null)
      act({ do: 'oldLead', pitches: n, spanMm: mm, text: `${n} in ${lengthText(mm, unit, FINE)}` });
  };
  return (
    <section aria-label="Lead of the old thread" className="grid gap-3">
      <h3 className="text-lg font-bold">{joined ? 'Lead, and the joint' : 'Lead of the old thread'}</h3>
      {joined && <Note tone="caution">{WELD_TEXT}</Note>}
      <div className="grid grid-cols-2 gap-3">
        <TypedField
          label="Pitches counted, crest to crest"
          shown={pitches?.toString() ?? ''}
          parse={(t) => readWhole(t, 'pitches', 1, 10_000, '25')}
          onCommit={(n) => {
            setPitches(n);
            done(n, span);
          }}
        />
        <LengthField
          label="Over"
          mm={span}
          system={unit}
          onCommit={(mm) => {
            setSpan(mm);
            done(pitches, mm);
          }}
        />
      </div>
      {joined && (
        <LengthField
          label="The tool runs into the old thread for"
          mm={job.pickup.overMm}
          system={unit}
          onClear={() => act({ do: 'setPickup', overMm: null })}
          onCommit={(overMm) => act({ do: 'setPickup', overMm })}
        />
      )}
      {view ? (
        <>
          {jointText(view, unit).map((t) => (
            <p key={t} className="text-lg leading-snug">
              {t}
            </p>
          ))}
          {view.told && (
            <p>
              <Link to={`/jobs/${job.id}/gears`} className="underline underline-offset-4">
                Look for a train nearer to it under Gears
              </Link>
            </p>
          )}
          <Steps steps={view.working} system={unit} />
        </>
      ) : (
        <p className="text-ink2">Choose what is cut under Gears: the lead is compared with it.</p>
      )}
    </section>
  );
}
