import { useJobView } from '../../job/jobContext.tsx';
import { useSystem, act } from '../../store/store.ts';
import { metalOf, mountedOf, standingOfPart } from '../../../core/job/metal.ts';
import { Note, Button } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { HOLDING_NAMES } from '../../../words/ledger.ts';
import { REST_NAMES, GRIP_NAMES } from '../../../words/holding.ts';
import { HOLDINGS, RESTS } from '../../../core/job/schema.ts';
import { LengthField } from '../../ui/fields.tsx';

export function HeldFields() {
  const { job } = useJobView();
  const system = useSystem();
  const { held } = job.setup;
  const metal = metalOf(job);
  const mounted = metal.mounted ? mountedOf(standingOfPart(job, metal.part)) : null;
  const otherwise =
    mounted !== null && held.by !== null && (mounted.holding !== held.by || mounted.steady !== held.rest);
  return (
    <>
      {mounted && (held.by === null || otherwise) && (
        <Note tone="again">
          It is put up {HOLDING_NAMES[mounted.holding]}
          {mounted.steady === 'none' ? '' : `, ${REST_NAMES[mounted.steady]}`}
          {otherwise ? ', otherwise than is said here.' : '.'}{' '}
          <Button onClick={() => act({ do: 'setUp', held: { by: mounted.holding, rest: mounted.steady } })}>
            Take it as it is put up
          </Button>
        </Note>
      )}
      <Choice
        label="Held"
        value={held.by ?? ''}
        options={[
          { value: '', label: 'not said' },
          ...HOLDINGS.map((value) => ({ value, label: HOLDING_NAMES[value] })),
        ]}
        onChange={(v) => act({ do: 'setUp', held: { by: HOLDINGS.find((h) => h === v) ?? null } })}
      />
      <div className="grid gap-3 sm:grid-cols-3">
        <LengthField
          label={held.by === 'centres' ? 'Between the centres' : 'Free of the jaws'}
          mm={held.freeMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 20_000 }}
          onClear={() => act({ do: 'setUp', held: { freeMm: null } })}
          onCommit={(mm) => act({ do: 'setUp', held: { freeMm: mm } })}
        />
        <LengthField
          label="Bore, if it is hollow"
          mm={held.boreMm}
          system={system}
          placeholder="solid"
          rule={{ maxMm: 2000 }}
          onClear={() => act({ do: 'setUp', held: { boreMm: null } })}
          onCommit={(mm) => act({ do: 'setUp', held: { boreMm: mm } })}
        />
        <LengthField
          label="Diameter in the jaws"
          mm={held.inJawsMm}
          system={system}
          placeholder="as the blank"
          rule={{ maxMm: 2000 }}
          onClear={() => act({ do: 'setUp', held: { inJawsMm: null } })}
          onCommit={(mm) => act({ do: 'setUp', held: { inJawsMm: mm } })}
        />
      </div>
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Choice
          label="Rest"
          value={held.rest}
          options={RESTS.map((value) => ({ value, label: REST_NAMES[value] }))}
          onChange={(rest) => act({ do: 'setUp', held: { rest } })}
        />
        <Choice
          label="Chuck"
          value={held.grip ?? ''}
          options={[
            { value: '', label: 'not said' },
            { value: 'firm', label: GRIP_NAMES.firm },
            { value: 'light', label: GRIP_NAMES.light },
          ]}
          onChange={(v) => act({ do: 'setUp', held: { grip: v === '' ? null : v } })}
        />
        <Choice
          label="Stop inside, or a shoulder on the jaws"
          value={held.stop ? 'yes' : 'no'}
          options={[
            { value: 'no', label: 'no' },
            { value: 'yes', label: 'yes' },
          ]}
          onChange={(v) => act({ do: 'setUp', held: { stop: v === 'yes' } })}
        />
      </div>
      {held.rest === 'steady' && (
        <LengthField
          label="Steady stands from the jaws"
          mm={held.steadyAtMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 20_000 }}
          onClear={() => act({ do: 'setUp', held: { steadyAtMm: null } })}
          onCommit={(mm) => act({ do: 'setUp', held: { steadyAtMm: mm } })}
        />
      )}
    </>
  );
}
