import { useState } from 'react';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { confirm } from '../../../core/lathe/unconfirmed.ts';
import { numberWithin, parseModule, parseSwing, wholeNumber } from '../../../core/lathe/typed.ts';
import { useSystem } from '../../store/store.ts';
import { Button, Choice, Panel } from '../../ui/controls.tsx';
import { DraftScope } from '../../ui/drafts.ts';
import { LengthField, TypedField } from '../../ui/fields.tsx';
import type { EditLathe, LathePanel } from './edit.ts';
import { armFrom, MEASURES, type Measures } from './measures.ts';

type Arm = NonNullable<Lathe['arm']>;

const MOST_SLOTS = 6;

/** Everything that says whether a train can be mounted. Without it the fit is not checked, and says so. */
export function ArmPanel({
  lathe,
  edit,
  read,
  onRead,
}: LathePanel & { readonly read: Measures; readonly onRead: (m: Measures) => void }) {
  const system = useSystem();
  const { arm } = lathe;
  const [asking, setAsking] = useState(false);
  // a point that was dragged begins it too
  const begun = Object.values(read).some((v) => v !== undefined);
  return (
    <Panel title="Arm for the change gears">
      <div className="grid gap-3">
        <TypedField
          label="Module of the gears, mm (DP: type 16 dp)"
          shown={lathe.moduleMm === null ? '' : String(lathe.moduleMm)}
          placeholder="tip diameter / (teeth + 2)"
          parse={parseModule}
          onCommit={(v) => edit('change the module', (l) => void (l.moduleMm = v))}
          onClear={() => edit('clear the module', (l) => void (l.moduleMm = null))}
        />
        <TypedField
          label="Pressure angle of the gears, degrees"
          shown={String(lathe.pressureAngleDeg)}
          parse={numberWithin('pressure angle', 10, 30)}
          onCommit={(v) => edit('change the pressure angle', (l) => void (l.pressureAngleDeg = v))}
          hint="20 for most module sets, 14.5 for most DP sets"
        />
        <LengthField
          label="Width of the gears (a spacer is as thick)"
          mm={lathe.gearWidthMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 200 }}
          onCommit={(mm) => edit('change the gear width', (l) => void (l.gearWidthMm = mm))}
          onClear={() => edit('clear the gear width', (l) => void (l.gearWidthMm = null))}
        />
        <Choice
          label="Between spindle and stud"
          value={lathe.unconfirmed.includes('tumbler') ? '' : lathe.tumbler ? 'tumbler' : 'none'}
          options={[
            { value: 'tumbler', label: 'a reverse tumbler' },
            { value: 'none', label: 'none' },
          ]}
          onChange={(v) =>
            edit('change the tumbler', (l) => {
              l.tumbler = v === 'tumbler';
              confirm(l, 'tumbler');
            })
          }
        />
        {!lathe.tumbler && (
          <Choice
            label="A right-hand thread needs, from first driver to leadscrew"
            value={lathe.rightHandMeshes ?? 'unknown'}
            options={[
              { value: 'odd', label: 'one or three meshes' },
              { value: 'even', label: 'two or four' },
              { value: 'unknown', label: 'not tried yet' },
            ]}
            onChange={(v) => edit('change the direction', (l) => void (l.rightHandMeshes = v === 'unknown' ? null : v))}
          />
        )}
        <Choice
          label="The arm is"
          value={arm || asking || begun ? 'measured' : 'not'}
          options={[
            { value: 'measured', label: 'measured' },
            { value: 'not', label: 'not measured' },
          ]}
          onChange={(v) => {
            setAsking(v === 'measured' && arm === null);
            onRead({});
            if (v === 'not' && arm) edit('change the arm', (l) => void (l.arm = null));
          }}
        />
        {arm ? (
          <ArmFields arm={arm} edit={edit} />
        ) : asking || begun ? (
          <Measure
            read={read}
            onRead={onRead}
            onTake={(measured) => {
              edit('measure the arm', (l) => void (l.arm = measured));
              setAsking(false);
              onRead({});
            }}
          />
        ) : (
          <p className="text-sm text-ink2">
            Then trains are judged by the shop rule alone: each pair at least 15 teeth over the gear whose shaft it must
            clear (common practice).
          </p>
        )}
      </div>
    </Panel>
  );
}

/** An arm is what somebody measured: nothing of it is filled in beforehand. */
function Measure({
  read,
  onRead: setRead,
  onTake,
}: {
  readonly read: Measures;
  readonly onRead: (m: Measures) => void;
  readonly onTake: (arm: Arm) => void;
}) {
  const system = useSystem();
  const { centresMm, fromMm, toMm, bossRadiusMm, shaftRadiusMm } = read;
  const whole =
    centresMm !== undefined &&
    fromMm !== undefined &&
    toMm !== undefined &&
    bossRadiusMm !== undefined &&
    shaftRadiusMm !== undefined;
  return (
    <>
      {MEASURES.map(([key, label]) => (
        <LengthField
          key={key}
          label={label}
          mm={read[key] ?? null}
          system={system}
          placeholder="not measured"
          rule={{ allowZero: true, maxMm: 2000 }}
          onClear={() => setRead({ ...read, [key]: undefined })}
          onCommit={(mm) => setRead({ ...read, [key]: mm })}
        />
      ))}
      <Button
        tone="main"
        disabled={!whole || toMm <= fromMm || centresMm <= 0}
        onClick={() => whole && onTake(armFrom({ centresMm, fromMm, toMm, bossRadiusMm, shaftRadiusMm }))}
      >
        {whole ? 'That is the arm' : `${MEASURES.filter(([k]) => read[k] === undefined).length} still to be measured`}
      </Button>
    </>
  );
}

function ArmFields({ arm, edit }: { readonly arm: Arm; readonly edit: EditLathe }) {
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

function SlotFields({ arm, index, edit }: { readonly arm: Arm; readonly index: number; readonly edit: EditLathe }) {
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

const WALLS = {
  beyondFirstMm: 'Beyond the first driver',
  beyondLastMm: 'Beyond the leadscrew',
  oneSideMm: 'Below the line of centres',
  otherSideMm: 'Above the line of centres',
} as const;

function CoverFields({
  arm,
  change,
}: {
  readonly arm: Arm;
  readonly change: (label: string, with_: Partial<Arm>) => void;
}) {
  const system = useSystem();
  const { cover } = arm;
  return (
    <>
      <Choice
        label="The cover’s walls are"
        value={cover ? 'measured' : 'not'}
        options={[
          { value: 'measured', label: 'measured' },
          { value: 'not', label: 'not checked' },
        ]}
        onChange={(v) =>
          change('change the cover', {
            cover:
              v === 'measured' ? { beyondFirstMm: 100, beyondLastMm: 100, oneSideMm: 120, otherSideMm: 120 } : null,
          })
        }
      />
      {cover && (
        <div className="grid grid-cols-2 gap-3">
          {(Object.keys(WALLS) as (keyof typeof WALLS)[]).map((wall) => (
            <LengthField
              key={wall}
              label={WALLS[wall]}
              mm={cover[wall]}
              system={system}
              rule={{ allowZero: true, maxMm: 2000 }}
              onCommit={(mm) => change('change the cover', { cover: { ...cover, [wall]: mm } })}
            />
          ))}
        </div>
      )}
    </>
  );
}
