import type { LathePanel } from './edit.ts';
import { type Measures, MEASURES, armFrom } from './measures.ts';
import { useSystem } from '../../store/store.ts';
import { useState } from 'react';
import { Panel, Button } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import { parseModule, numberWithin } from '../../../core/lathe/typed.ts';
import { confirm } from '../../../core/lathe/unconfirmed.ts';
import { ArmFields } from './ArmFields.tsx';

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
  readonly onTake: (arm: ReturnType<typeof armFrom>) => void;
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
