import { worthView } from '../../../core/job/worthView.ts';
import { parseYears } from '../../../core/lathe/typed.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { plain } from '../../../core/quantity/working.ts';
import { sideText, WORTH_TEXT, worthLine } from '../../../words/prove.ts';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';

/** Play now against play after, and what a side cut would free. */
export function WorthIt() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const u = useDialUnit();
  const view = worthView(job, shop);
  const { worth } = job.prove;
  const set = (by: Partial<typeof worth>): unknown => act({ do: 'setProve', worth: by });
  if (!view)
    return (
      <p className="text-ink2">Between square flanks play is no clearance on the diameter: read it by indicator.</p>
    );
  const side = sideText(view, job.intake.make, u);
  const stays = job.intake.make === 'internal' ? 'screw' : 'nut';
  return (
    <div className="grid gap-3">
      <LengthField
        label="Play along the axis where it is used, now"
        mm={worth.playNowMm}
        system={system}
        rule={{ maxMm: 50, allowZero: true }}
        onClear={() => set({ playNowMm: null })}
        onCommit={(playNowMm) => set({ playNowMm })}
        hint="the old pair, by indicator"
      />
      <LengthField
        label={`The ${stays} that stays is worn there, on pitch diameter`}
        mm={view.wornMm}
        system={system}
        rule={{ maxMm: 20, allowZero: true }}
        onClear={() => set({ wornMm: null })}
        onCommit={(wornMm) => set({ wornMm })}
        hint={view.wornFrom === 'map' ? 'by its readings at Read' : 'read it at two places, or type it'}
      />
      <div className="grid grid-cols-2 gap-2">
        <TypedField
          label="Years in use"
          shown={worth.ageYears === null ? '' : plain(worth.ageYears)}
          parse={parseYears}
          onClear={() => set({ ageYears: null })}
          onCommit={(ageYears) => set({ ageYears })}
        />
        <LengthField
          label="Play that is too much"
          mm={worth.limitMm}
          system={system}
          rule={{ maxMm: 50 }}
          onClear={() => set({ limitMm: null })}
          onCommit={(limitMm) => set({ limitMm })}
        />
      </div>
      {view.answer && (
        <section aria-label="Is it worth it?" className="grid gap-1 border-t border-line pt-2">
          <p className="num text-2xl font-bold">
            {worth.playNowMm !== null && <>{lengthText(worth.playNowMm, u, { ...FINE, bare: true })} &rarr; </>}
            {lengthText(view.answer.playAfterMm, u, FINE)} play
          </p>
          <p className="text-ink2">{worthLine(view.answer, u)}</p>
          {view.answer.verdict && <p className="font-semibold">{WORTH_TEXT[view.answer.verdict]}</p>}
        </section>
      )}
      {side !== null && (
        <section aria-label="Side cut" className="grid gap-1 border-t border-line pt-2">
          <h3 className="font-semibold">A side cut instead of depth</h3>
          <p>{side}</p>
        </section>
      )}
    </div>
  );
}
