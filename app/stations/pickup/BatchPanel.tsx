import { latheOf } from '../../../core/job/derive.ts';
import { partsOf } from '../../../core/job/card.ts';
import { readWithin } from '../../../core/quantity/number.ts';
import { TAUGHT_BY } from '../../../core/job/events.ts';
import { TAUGHT_ASKS } from '../../../words/oldPart.ts';
import { TAUGHT_NAMES } from '../../../words/pickup.ts';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';

/** The others of a batch, found from what was taught on one of them. */
export function BatchPanel() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const { metal } = machine;
  if (partsOf(job) < 2 || !latheOf(job, shop)) return null;
  const { taught } = metal;
  return (
    <section aria-label="Batch" className="grid gap-3 border-t-2 border-edge pt-3">
      <h3 className="text-lg font-bold">The others of the batch</h3>
      {taught && taught.part !== metal.part ? (
        <>
          <p className="text-lg">
            Part {taught.part} was taught by {TAUGHT_NAMES[taught.by]}. {TAUGHT_ASKS[taught.by].how}
          </p>
          {metal.phase === 'kept' ? (
            <p className="text-lg font-semibold">This one is found.</p>
          ) : taught.by === 'mark' ? (
            <TypedField
              label={TAUGHT_ASKS.mark.ask}
              shown=""
              parse={(t) => readWithin(t, 'value', -360, 360)}
              onCommit={(value, text) => act({ do: 'offsetFromTaught', value, text })}
            />
          ) : (
            <LengthField
              label={TAUGHT_ASKS[taught.by].ask}
              mm={null}
              system={u}
              rule={{ allowNegative: true, allowZero: true, maxMm: 500 }}
              onCommit={(value, text) => act({ do: 'offsetFromTaught', value, text })}
            />
          )}
        </>
      ) : metal.phase === 'kept' ? (
        <>
          <p className="text-lg">
            This part is found. Say what the others are found by, set it to zero now, and they need no looking:
          </p>
          <Choice
            label="Found again by"
            value={taught?.by ?? 'none'}
            options={[
              ...(taught ? [] : [{ value: 'none' as const, label: 'not said' }]),
              ...TAUGHT_BY.map((value) => ({ value, label: TAUGHT_NAMES[value] })),
            ]}
            onChange={(by) => by !== 'none' && act({ do: 'teach', by })}
          />
          {taught && <p className="text-ink2">{TAUGHT_ASKS[taught.by].how}</p>}
        </>
      ) : (
        <p className="text-lg">Find the groove of this one first; then the others can be found from it.</p>
      )}
      {metal.finished !== null && metal.part < partsOf(job) && (
        <Button big onClick={() => act({ do: 'beginPart' })}>
          Begin part {metal.part + 1}
        </Button>
      )}
    </section>
  );
}
