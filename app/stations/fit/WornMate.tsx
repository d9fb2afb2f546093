import type { FitPlan } from '../../../core/fit/fit.ts';
import { mateChoices, playAt, travelOf } from '../../../core/job/mate.ts';
import { otherMember } from '../../../core/job/made.ts';
import type { Place } from '../../../core/job/places.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import type { ThreadSpec } from '../../../core/standards/thread.ts';
import { WORN_BESIDES, WORN_WAY_NAMES, wornChoiceText } from '../../../words/fit.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Button, Panel } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';

/** Play with the mate at every place where it was read, and what may be done where it is worn. */
export function WornMate({
  plan,
  thread,
  places,
}: {
  readonly plan: FitPlan;
  readonly thread: ThreadSpec;
  readonly places: readonly Place[];
}) {
  const { job } = useJobView();
  const system = useSystem();
  const mate = otherMember(plan.make);
  const choices = mateChoices(job, thread);
  const travel = travelOf(job, places);
  const chosen = job.fit.to === 'mate' && job.fit.class === null ? job.fit.wornMate : null;
  const stretch = travel?.stretch ?? { fromMm: 0, toMm: 0 };
  return (
    <Panel title={`Play with the ${mate === 'external' ? 'screw' : 'nut'} as it is, along the axis`}>
      <ul className="grid gap-1">
        {places.map((p) => (
          <li key={`${p.text} ${p.positionMm}`} className="flex justify-between gap-3 border-t border-line">
            <span>
              {p.positionMm === null ? p.place || 'somewhere' : `at ${lengthText(p.positionMm, system)}`}
              {p.wear === 'unknown' ? '' : `, ${p.wear}`} <span className="num text-ink2">{p.text}</span>
            </span>
            <span className={`num ${playAt(plan, p) < 0 ? 'font-semibold text-stop' : ''}`}>
              {playAt(plan, p) < 0 ? 'does not go on there' : lengthText(playAt(plan, p), system, FINE)}
            </span>
          </li>
        ))}
      </ul>
      {choices.length > 0 && (
        <section aria-label="Ways with a worn mate" className="mt-4 grid gap-3">
          <h3 className="text-lg font-semibold">It is worn: decide before anything is cut</h3>
          <div className="grid gap-3 md:grid-cols-3">
            {choices.map((c) => (
              <div
                key={c.way}
                className={`grid content-between gap-2 rounded-md border-2 p-3 ${chosen === c.way ? 'border-blue bg-bluesoft' : 'border-line'}`}
              >
                <div>
                  <h4 className="font-semibold">{WORN_WAY_NAMES[c.way]}</h4>
                  <p>{wornChoiceText(c, mate, system)}</p>
                </div>
                <Button
                  aria-pressed={chosen === c.way}
                  onClick={() => act({ do: 'setFit', class: null, to: 'mate', wornMate: c.way })}
                >
                  {chosen === c.way ? 'Chosen' : 'Make it so'}
                </Button>
              </div>
            ))}
          </div>
          <ul className="list-inside list-disc text-ink2">
            {WORN_BESIDES.map((t) => (
              <li key={t}>{t}</li>
            ))}
          </ul>
          <div className="grid gap-3 md:grid-cols-2">
            <LengthField
              label={`Travel really used, from${travel && !travel.said ? ' (as the wear shows)' : ''}`}
              mm={travel?.stretch.fromMm ?? null}
              system={system}
              rule={{ allowZero: true, maxMm: 100_000 }}
              onClear={() => act({ do: 'setFit', travel: null })}
              onCommit={(mm) => act({ do: 'setFit', travel: { fromMm: mm, toMm: Math.max(mm, stretch.toMm) } })}
            />
            <LengthField
              label="to"
              mm={travel?.stretch.toMm ?? null}
              system={system}
              rule={{ maxMm: 100_000 }}
              onClear={() => act({ do: 'setFit', travel: null })}
              onCommit={(mm) => act({ do: 'setFit', travel: { fromMm: Math.min(mm, stretch.fromMm), toMm: mm } })}
            />
          </div>
        </section>
      )}
    </Panel>
  );
}
