import { useDraft } from '../../ui/drafts.ts';
import { TRY_NAMES } from '../../../words/conclusions.ts';
import { wirePlan } from '../../../core/job/derive.ts';
import { suggestDeeper } from '../../../core/job/deeper.ts';
import { deeperText, stepText } from '../../../words/deeper.ts';
import { tipDiameterNowMm } from '../../../core/job/recut.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { useDialUnit, useJobView } from '../../shell/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button, Note } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { StepsOn, useStepsOn } from './StepsOn.tsx';

const RESULTS = ['no-start', 'starts', 'binds', 'tight', 'runs', 'shakes'] as const;

/** What the mate did: one touch. */
export function TryMate() {
  const [typed, setMate] = useDraft('mate');
  const mate = typed ?? '';
  return (
    <div className="grid gap-3">
      <div className="grid grid-cols-2 gap-2 md:grid-cols-3" role="group" aria-label="What the mate did">
        {RESULTS.map((r) => (
          <Button big key={r} onClick={() => act({ do: 'tryMate', result: r, mate })}>
            {TRY_NAMES[r]}
          </Button>
        ))}
      </div>
      <label className="grid max-w-sm gap-1 text-sm text-ink2">
        Which mate (kept with the trial)
        <input
          className="min-h-12 rounded-md border border-line bg-panel px-3 text-lg text-ink"
          value={mate}
          onChange={(e) => setMate(e.target.value)}
          maxLength={120}
        />
      </label>
    </div>
  );
}

/** Try the mate, or measure; the answer says how much deeper, and one touch plans it. */
export function TryThread() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const wires = wirePlan(job, shop);
  const { after } = machine.card;
  const answer = suggestDeeper(job, shop, machine.metal);
  const on = useStepsOn() ?? 'radius';
  return (
    <div className="grid gap-4">
      <TryMate />
      {wires && (
        <LengthField
          armed
          label={`Over wires of ${lengthText(wires.wireMm, shop.settings.system, FINE)}: should be ${lengthText(wires.targetMm, shop.settings.system, FINE)}`}
          mm={null}
          system={shop.settings.system}
          onCommit={(mm, text) => act({ do: 'overWires', mm, text, after })}
        />
      )}
      {answer && (
        <Note tone={answer.code === 'fits' ? 'right' : answer.code === 'past' ? 'wrong' : 'say'}>
          <p className="text-xl">{deeperText(answer, u, on)}</p>
          {answer.code === 'deeper' && (
            <Button big tone="main" className="mt-2" onClick={() => act({ do: 'deeper', byMm: answer.byMm, after })}>
              Deeper by {stepText(answer.byMm, u, on)}
            </Button>
          )}
        </Note>
      )}
      <OwnStep />
      <div>
        <Button big tone={answer?.code === 'fits' ? 'main' : 'plain'} onClick={() => act({ do: 'finishPart', after })}>
          This part is done
        </Button>
      </div>
    </div>
  );
}

/** The step by which it goes deeper from trial to trial, as the person has it, and what the dial makes of the minor diameter. */
function OwnStep() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const on = useStepsOn();
  const each = on === 'diameter' ? 2 : 1;
  const step = job.cut.deeperStepMm;
  const tipMm = tipDiameterNowMm(job, machine.metal);
  const minor = job.intake.make === 'external' ? 'Minor' : 'Major';
  return (
    <div className="grid gap-3 md:grid-cols-2">
      {on === null ? (
        <StepsOn />
      ) : (
        <LengthField
          label={`Own step between trials, on the ${on} (empty: as the trial says)`}
          mm={step === null ? null : step * each}
          system={shop.settings.system}
          rule={{ maxMm: 5 }}
          onClear={() => act({ do: 'setSchedule', deeperStepMm: null })}
          onCommit={(mm) => act({ do: 'setSchedule', deeperStepMm: mm / each })}
        />
      )}
      {tipMm !== null && (
        <LengthField
          label={`${minor} diameter now ${lengthText(tipMm, u, FINE)}, as the dial says: go to`}
          mm={null}
          system={shop.settings.system}
          onCommit={(mm) =>
            act({
              do: 'deeper',
              byMm: (job.intake.make === 'external' ? tipMm - mm : mm - tipMm) / 2,
              after: machine.card.after,
            })
          }
        />
      )}
    </div>
  );
}
