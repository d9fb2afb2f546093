import type { Lathe } from '../../../core/lathe/schema.ts';
import type { PickupAct } from '../../../core/job/pickupAct.ts';
import { judgedOf } from '../../../core/job/pickupJudged.ts';
import { slipGears } from '../../../core/job/pickupMove.ts';
import { placeText } from '../../../words/gears.ts';
import { ACT_WORDS, type moveHead, PICKUP_PROBLEM, slackText, WAY_NAMES } from '../../../words/pickup.ts';
import { BigNumber } from '../../machine/DialNumber.tsx';
import { Stepper } from '../../machine/Stepper.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Choice } from '../../ui/choices.tsx';
import { Note } from '../../ui/controls.tsx';
import { PractiseLink } from '../../ui/PractiseLink.tsx';
import { JudgedSays } from './JudgePanel.tsx';

interface Props {
  readonly lathe: Lathe;
  readonly leftHand: boolean;
  readonly acts: readonly PickupAct[];
  readonly at: PickupAct;
  /** The move to make, as the big number; null: the act is another. */
  readonly head: ReturnType<typeof moveHead> | null;
  readonly says: string;
  readonly onWorking: () => void;
  /** Another way has other steps. */
  readonly onWay: () => void;
}

/** By which way, at which act, and the one number or sentence of it. */
export function PickupHead({ lathe, leftHand, acts, at, head, says, onWorking, onWay }: Props) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const { metal, pickup } = machine;
  const judged = judgedOf(job, metal);
  const gears = slipGears(job, shop);
  const slack = slackText(lathe.kind, leftHand);
  const big = (text: string): React.ReactNode => (
    <p className="text-[clamp(1.6rem,4.6cqi,2.1rem)] font-bold leading-tight">{text}</p>
  );
  const number = head && (
    <div>
      <BigNumber
        what={head.what}
        unit={head.unit}
        figure={head.figure}
        turns={head.turns}
        label={`${head.what} ${head.figure}; show the working`}
        onWorking={onWorking}
      />
    </div>
  );
  return (
    <div className="grid gap-3">
      {pickup.ways.length > 1 && at !== 'judge' && at !== 'found' && (
        <Choice
          even
          label="Bring it in by"
          value={pickup.way}
          options={pickup.ways.map((w) => ({
            value: w,
            label: w === 'start' && lathe.kind === 'electronic' ? 'Moving the sync point' : WAY_NAMES[w],
          }))}
          onChange={(v) => {
            onWay();
            act({ do: 'setPickup', way: v });
          }}
        />
      )}
      {at !== 'found' && (
        <Stepper label="Acts of picking up" steps={acts.map((a) => ACT_WORDS[a])} at={acts.indexOf(at)} />
      )}
      {pickup.way === 'slip' && at === 'move' && gears.length > 1 && (
        <Choice
          label="Which gear is turned"
          value={String(job.pickup.slipGear ?? gears.length - 1)}
          options={gears.map((g) => ({ value: String(g.index), label: `the ${g.teeth} ${placeText(g.place)}` }))}
          onChange={(v) => act({ do: 'setPickup', slipGear: Number(v) })}
        />
      )}
      {at === 'move' && !pickup.move && pickup.problem ? (
        <Note tone="wrong">{big(PICKUP_PROBLEM[pickup.problem])}</Note>
      ) : (
        (number ?? (at === 'found' ? <Note tone="right">{big(says)}</Note> : judged ? null : big(says)))
      )}
      {at === 'judge' && <JudgedSays />}
      {at === 'slack' && <p className="text-xl leading-snug">{slack.why}</p>}
      {at === 'slack' && <PractiseLink game="groove" />}
    </div>
  );
}
