import { useMemo } from 'react';
import { rightBy } from '../../../core/job/rightBy.ts';
import { beliefOf, effectsOfJob } from '../../../core/job/sizing.ts';
import { percentText } from '../../../core/quantity/format.ts';
import { standingOfPart } from '../../../core/job/metal.ts';
import { eventText } from '../../../words/ledger.ts';
import { effectText, rightText, playText } from '../../../words/prove.ts';
import { beliefText } from '../../../words/size.ts';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';

/** What all of it together says of the size, by what it is held against, and what each step made of it. */
export function Size() {
  const { job } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const belief = useMemo(() => beliefOf(job, shop), [job, shop]);
  const steps = useMemo(() => {
    const effects = new Map(effectsOfJob(job, shop).map((e) => [e.event.n, e.effect]));
    return standingOfPart(job)
      .filter((e) => PROOFS.has(e.kind) || effects.has(e.n))
      .map((event) => ({ event, effect: effects.get(event.n) ?? null }));
  }, [job, shop]);
  const right = rightBy(job);
  return (
    <div className="grid gap-4">
      {belief ? (
        <section aria-label="By all of it together" className="grid gap-1">
          <p className="num text-xl font-bold">{beliefText(belief.answer, u).size}</p>
          <p>{beliefText(belief.answer, u).left}</p>
          {belief.play && <p>{playText(belief.play, u)}</p>}
          {belief.answer.next.do !== 'cut' && <p className="font-semibold">{beliefText(belief.answer, u).next}</p>}
        </section>
      ) : (
        <p className="text-ink2">
          Nothing is cut yet that a depth could be counted from; after touching off in an old groove, only trials and
          readings speak.
        </p>
      )}
      {right && (
        <section aria-label="What is right" className="grid gap-2">
          <p>{rightText(right, u)}</p>
          <Right />
        </section>
      )}
      {steps.length > 0 && (
        <section aria-label="What each step made of it" className="grid">
          <h3 className="font-semibold">What each step made of it</h3>
          <ol className="grid">
            {steps.toReversed().map(({ event, effect }) => (
              <li key={event.n} className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 border-t border-line py-1">
                <span>{eventText(event, u)}</span>
                {effect && <span className="num text-right text-sm text-ink2">{percentText(effect.inside)}</span>}
                {effect && <span className="col-span-2 text-ink2">{effectText(effect, u)}</span>}
                {PROOFS.has(event.kind) && (
                  <span className="col-span-2">
                    <Button tone="quiet" onClick={() => act({ do: 'void', of: event.n })}>
                      Take back {eventText(event, u)}
                    </Button>
                  </span>
                )}
              </li>
            ))}
          </ol>
        </section>
      )}
    </div>
  );
}
const PROOFS: ReadonlySet<string> = new Set(['overWires', 'betweenBalls', 'tried', 'gauged']);

/** By what it is held: limits, or a clearance to the mate that is typed here. */
function Right() {
  const { job } = useJobView();
  const system = useSystem();
  const right = rightBy(job);
  const mate = right?.by === 'mate' ? right : null;
  const set = (least: number, most: number): unknown =>
    act({ do: 'setProve', by: 'mate', clearance: { leastMm: least, mostMm: most } });
  return (
    <>
      <Choice
        label="It is right by"
        even
        value={job.prove.by ?? ''}
        options={[
          { value: '', label: 'as the fit has it' },
          { value: 'limits', label: 'its limits' },
          { value: 'mate', label: 'its mate' },
        ]}
        onChange={(by) => act({ do: 'setProve', by: by === '' ? null : by })}
      />
      {right?.by === 'limits' && right.of !== 'class' && (
        <LengthField
          label="On either side of the size aimed at it is right within"
          mm={(right.maxMm - right.minMm) / 2}
          system={system}
          rule={{ maxMm: 5 }}
          onClear={() => act({ do: 'setProve', eitherSideMm: null })}
          onCommit={(eitherSideMm) => act({ do: 'setProve', eitherSideMm })}
        />
      )}
      {mate && (
        <div className="grid grid-cols-2 gap-2">
          <LengthField
            label="Clearance, at least"
            mm={mate.leastMm}
            system={system}
            rule={{ maxMm: 10, allowZero: true }}
            onClear={() => act({ do: 'setProve', clearance: null })}
            onCommit={(mm) => set(mm, Math.max(mate.mostMm, mm + 0.001))}
          />
          <LengthField
            label="and at most"
            mm={mate.mostMm}
            system={system}
            rule={{ maxMm: 10 }}
            onClear={() => act({ do: 'setProve', clearance: null })}
            onCommit={(mm) => set(Math.min(mate.leastMm, mm - 0.001), mm)}
          />
        </div>
      )}
    </>
  );
}
