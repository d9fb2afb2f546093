import type { Arm } from './arm.ts';
import type { EditLathe } from './edit.ts';
import { useSystem } from '../../store/store.ts';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import { Button } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { DraftScope } from '../../ui/drafts.ts';
import { SlotFields } from './SlotFields.tsx';
import { wholeNumber, parseSwing } from '../../../core/lathe/typed.ts';
import { CoverFields } from './CoverFields.tsx';

const MOST_SLOTS = 6;

export function ArmFields({ arm, edit }: { readonly arm: Arm; readonly edit: EditLathe }) {
  const system = useSystem();
  const change = (label: string, with_: Partial<Arm>): unknown =>
    edit(label, (l) => void Object.assign(l.arm ?? {}, with_));
  return (
    <>
      <LengthField
        label="First driver to leadscrew or gearbox input, centres"
        mm={arm.centresMm}
        system={system}
        rule={{ maxMm: 2000 }}
        onCommit={(centresMm) => change('change the arm', { centresMm })}
      />
      <Choice
        label="The arm swings about"
        value={arm.pivot ? 'own' : 'leadscrew'}
        options={[
          { value: 'leadscrew', label: 'the leadscrew or gearbox input' },
          { value: 'own', label: 'a place of its own' },
        ]}
        onChange={(v) => change('change the pivot', { pivot: v === 'own' ? { alongMm: 0, acrossMm: 0 } : null })}
      />
      {arm.pivot && (
        <div className="grid gap-3 sm:grid-cols-2">
          <LengthField
            label="Pivot beyond the leadscrew, along the line of centres"
            mm={arm.pivot.alongMm}
            system={system}
            rule={{ allowNegative: true, allowZero: true, maxMm: 1000 }}
            onCommit={(mm) => change('move the pivot', { pivot: { alongMm: mm, acrossMm: arm.pivot?.acrossMm ?? 0 } })}
          />
          <LengthField
            label="and across it, towards the lower side"
            mm={arm.pivot.acrossMm}
            system={system}
            rule={{ allowNegative: true, allowZero: true, maxMm: 1000 }}
            onCommit={(mm) => change('move the pivot', { pivot: { alongMm: arm.pivot?.alongMm ?? 0, acrossMm: mm } })}
          />
        </div>
      )}
      {arm.slots.map((_, i) => (
        <DraftScope key={i} id={`slot ${i}`}>
          <SlotFields arm={arm} index={i} edit={edit} />
        </DraftScope>
      ))}
      {arm.slots.length < MOST_SLOTS && (
        <Button
          onClick={() =>
            edit('add a slot', (l) => void l.arm?.slots.push(...l.arm.slots.slice(-1).map((s) => ({ ...s }))))
          }
        >
          Add a slot
        </Button>
      )}
      <TypedField
        label="Studs for the arm"
        shown={String(arm.studs)}
        parse={wholeNumber('studs', 1, 4)}
        onCommit={(studs) => change('change the studs', { studs })}
        hint="two pairs take one, three pairs or an idler more take two"
      />
      <TypedField
        label="Swing of the arm from the line of centres, degrees"
        shown={arm.swing ? `${arm.swing.fromDeg} to ${arm.swing.toDeg}` : ''}
        placeholder="any way"
        parse={parseSwing}
        onCommit={(swing) => change('change the swing', { swing })}
        onClear={() => change('any swing', { swing: null })}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <LengthField
          label="Radius of a stud’s nut or boss"
          mm={arm.bossRadiusMm}
          system={system}
          rule={{ allowZero: true, maxMm: 200 }}
          onCommit={(bossRadiusMm) => change('change the boss', { bossRadiusMm })}
        />
        <LengthField
          label="and of the end shafts’ nuts"
          mm={arm.shaftRadiusMm}
          system={system}
          rule={{ allowZero: true, maxMm: 200 }}
          onCommit={(shaftRadiusMm) => change('change the shaft ends', { shaftRadiusMm })}
        />
      </div>
      <Choice
        label="A nut over the gear that meshes with its own"
        value={arm.nutOverMesh ?? 'planes'}
        options={[
          { value: 'planes', label: 'clears in the back plane alone' },
          { value: 'clears', label: 'always clears' },
          { value: 'fouls', label: 'is in the way' },
        ]}
        onChange={(v) =>
          edit('say whether nuts clear the mesh', (l) => {
            if (!l.arm) return;
            if (v === 'planes') delete l.arm.nutOverMesh;
            else l.arm.nutOverMesh = v;
          })
        }
      />
      <LengthField
        label="Largest gear radius under the cover"
        mm={arm.coverRadiusMm}
        system={system}
        placeholder="not checked"
        onCommit={(coverRadiusMm) => change('change the cover', { coverRadiusMm })}
        onClear={() => change('cover radius not checked', { coverRadiusMm: null })}
      />
      <CoverFields arm={arm} change={change} />
    </>
  );
}
