import type { EditLathe } from './edit.ts';
import { useSystem } from '../../store/store.ts';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import { numberWithin } from '../../../core/lathe/typed.ts';
import { Button } from '../../ui/controls.tsx';
import type { Arm } from './arm.ts';

export function SlotFields({
  arm,
  index,
  edit,
}: {
  readonly arm: Arm;
  readonly index: number;
  readonly edit: EditLathe;
}) {
  const system = useSystem();
  const slot = arm.slots[index];
  if (!slot) return null;
  const set = (with_: Partial<Arm['slots'][number]>): unknown =>
    edit(`change slot ${index + 1}`, (l) => void Object.assign(l.arm?.slots[index] ?? {}, with_));
  return (
    <fieldset className="rounded-md border border-line p-3">
      <legend className="px-1 text-sm text-ink2">Slot {index + 1}: where a stud can stand, from the pivot</legend>
      <div className="grid grid-cols-2 gap-3">
        <LengthField
          label="Nearest"
          mm={slot.fromMm}
          system={system}
          rule={{ allowZero: true, maxMm: 2000 }}
          onCommit={(mm) => set(inOrder(mm, slot.toMm))}
        />
        <LengthField
          label="Furthest"
          mm={slot.toMm}
          system={system}
          rule={{ maxMm: 2000 }}
          onCommit={(mm) => set(inOrder(slot.fromMm, mm))}
        />
        <TypedField
          label="Angle on the arm, degrees"
          shown={String(slot.angleDeg)}
          parse={numberWithin('angle', -180, 180)}
          onCommit={(angleDeg) => set({ angleDeg })}
        />
        <LengthField
          label="Passes beside the pivot by"
          mm={slot.offsetMm}
          system={system}
          rule={{ allowNegative: true, allowZero: true, maxMm: 500 }}
          onCommit={(offsetMm) => set({ offsetMm })}
        />
      </div>
      {arm.slots.length > 1 && (
        <div className="mt-2">
          <Button onClick={() => edit('remove a slot', (l) => void l.arm?.slots.splice(index, 1))}>
            Remove slot {index + 1}
          </Button>
        </div>
      )}
    </fieldset>
  );
}

/** Ends of a slot typed the wrong way round are meant the right way round. */
const inOrder = (a: number, b: number): { fromMm: number; toMm: number } => ({
  fromMm: Math.min(a, b),
  toMm: Math.max(a, b),
});
