import { BINDS } from '../../../core/job/events.ts';
import { BIND_NAMES } from '../../../words/prove.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';

/** Turns that are counted on the fingers. */
const TURNS = ['1', '2', '3', '4', '5', '6', '7'] as const;

/** What is asked besides of a trial that was just written down: turns, where it bound, how much play. */
export function TryMore() {
  const { machine } = useJobView();
  const system = useSystem();
  const last = machine.tests.at(-1);
  if (last?.kind !== 'tried') return null;
  const { n: of, result } = last;
  const turns = (
    <Choice
      label="After how many turns?"
      even
      value={String(last.turns ?? '')}
      options={TURNS.map((t) => ({ value: t, label: t }))}
      onChange={(t) => act({ do: 'sayOfTrial', of, turns: Number(t) })}
    />
  );
  if (result === 'starts') return <div className="try-more grid gap-2">{turns}</div>;
  if (result === 'binds')
    return (
      <div className="try-more grid gap-2">
        <Choice
          label="It binds"
          value={last.where ?? ''}
          options={BINDS.map((b) => ({ value: b, label: BIND_NAMES[b] }))}
          onChange={(where) => act({ do: 'sayOfTrial', of, where: where as (typeof BINDS)[number] })}
        />
        {last.where === 'place' ? (
          <LengthField
            label="Where on the screw, from the end of its thread"
            mm={last.atMm}
            system={system}
            rule={{ maxMm: 20_000, allowZero: true }}
            onCommit={(atMm) => act({ do: 'sayOfTrial', of, atMm })}
          />
        ) : (
          turns
        )}
      </div>
    );
  if (result === 'runs' || result === 'shakes')
    return (
      <div className="try-more">
        <LengthField
          label="Play along the axis by the indicator, pushed and pulled"
          mm={last.shakeMm}
          system={system}
          rule={{ maxMm: 20, allowZero: true }}
          onCommit={(shakeMm) => act({ do: 'sayOfTrial', of, shakeMm })}
          hint="rocking a short nut reads several times more"
        />
      </div>
    );
  return null;
}
