import type { HoldingView } from '../../../core/job/holdingView.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem, act } from '../../store/store.ts';
import { LengthField } from '../../ui/fields.tsx';
import { lengthText } from '../../../core/quantity/format.ts';
import { Choice } from '../../ui/choices.tsx';

export function BarFields({ view }: { readonly view: HoldingView }) {
  const { job } = useJobView();
  const system = useSystem();
  const { bar } = job.setup;
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-3">
        <LengthField
          label="Neck of the bar"
          mm={bar.neckMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 500 }}
          onClear={() => act({ do: 'setUp', bar: { neckMm: null } })}
          onCommit={(mm) => act({ do: 'setUp', bar: { neckMm: mm } })}
          hint={
            view.thickestNeckMm === null
              ? undefined
              : view.thickestNeckMm > 0
                ? `at most ${lengthText(view.thickestNeckMm, system, { stepMm: 0.1, stepIn: 0.005 })}, to come out of its groove`
                : 'no bar comes out of so deep a groove in so small a bore'
          }
        />
        <LengthField
          label="Out of its holder, to the tip"
          mm={bar.overhangMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 2000 }}
          onClear={() => act({ do: 'setUp', bar: { overhangMm: null } })}
          onCommit={(mm) => act({ do: 'setUp', bar: { overhangMm: mm } })}
        />
        <LengthField
          label="From the tip to its back"
          mm={job.setup.barMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 500 }}
          onClear={() => act({ do: 'setUp', barMm: null })}
          onCommit={(mm) => act({ do: 'setUp', barMm: mm })}
          hint="how far it can be drawn out in the bore follows"
        />
      </div>
      <Choice
        label="Bar of"
        value={bar.of}
        options={[
          { value: 'steel', label: 'steel' },
          { value: 'carbide', label: 'carbide' },
        ]}
        onChange={(of) => act({ do: 'setUp', bar: { of } })}
      />
    </>
  );
}
