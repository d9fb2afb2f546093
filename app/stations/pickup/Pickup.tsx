import { pickupWorking } from '../../../core/job/pickupWorking.ts';
import { useNavigate } from 'react-router';
import { latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { placeText } from '../../../words/gears.ts';
import { slipGears, type Move, type PickupAnswer, type SlideTravel } from '../../../core/job/pickupMove.ts';
import { FINE, lengthText, roundText } from '../../../core/quantity/format.ts';
import { CONFLICT, LOST, pickupSteps, PICKUP_PROBLEM, travelText, WAY_NAMES } from '../../../words/machine.ts';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Button, Choice, Note, Panel } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { useWorking } from '../../ui/Working.tsx';

export function Pickup() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const navigate = useNavigate();
  const { metal, pickup, card } = machine;
  const lathe = latheOf(job, shop);
  const thread = threadOfJob(job);
  const u = lathe?.crossSlide.unit ?? system;
  const gears = slipGears(job, shop);
  const found = metal.phase === 'kept';
  const inGroove = (): void => {
    if (act({ do: 'inGroove', after: card.after }) === null) void navigate(`/jobs/${job.id}/cut`);
  };
  return (
    <StationFrame station="pickup" lead="Bringing the tool into a groove that is already there.">
      {found ? (
        <Note tone="right">The tool is in the groove. Whatever loses it says so, here and on Cut.</Note>
      ) : (
        metal.lostBy && <Note tone="caution">{LOST[metal.lostBy]}</Note>
      )}
      {machine.feed.conflict && <Note tone="caution">{CONFLICT[machine.feed.conflict]}</Note>}
      <Note tone="say">
        Shut the half-nuts and run the spindle forward, by power or by hand; stop without letting it roll back. Only
        then look: white paper and a lamp behind, a loupe. The slack is taken up and the tool stands where it would cut.
      </Note>
      <Panel title="Where the tool stands">
        <div className="grid gap-3 md:grid-cols-2">
          <LengthField
            armed
            label="Groove is this far from the tool (+ towards the headstock)"
            mm={metal.offset?.mm ?? null}
            system={system}
            rule={{ allowNegative: true, allowZero: true, maxMm: 500 }}
            onCommit={(mm, text) => act({ do: 'offset', mm, text })}
            placeholder="0.6 mm"
          />
          <Choice
            label="Bring it in by"
            value={pickup.way}
            options={pickup.ways.map((w) => ({ value: w, label: WAY_NAMES[w] }))}
            onChange={(v) => act({ do: 'setPickup', way: v })}
          />
          {pickup.way === 'slip' && gears.length > 1 && (
            <Choice
              label="Which gear is turned"
              value={String(job.pickup.slipGear ?? gears.length - 1)}
              options={gears.map((g) => ({ value: String(g.index), label: `the ${g.teeth} ${placeText(g.place)}` }))}
              onChange={(v) => act({ do: 'setPickup', slipGear: Number(v) })}
            />
          )}
        </div>
      </Panel>
      {pickup.problem && (
        <Note tone={pickup.problem === 'slide-square' ? 'wrong' : 'say'}>
          {PICKUP_PROBLEM[pickup.problem]}
          {pickup.problem === 'slide-not-along-bed' && (
            <div className="mt-2">
              <Button big onClick={() => act({ do: 'swingSlide', deg: 90 })}>
                It lies along the bed now
              </Button>
            </div>
          )}
        </Note>
      )}
      {pickup.move && <MovePanel move={pickup.move} answer={pickup} leftHand={thread?.leftHand ?? false} u={u} />}
      <div className="flex flex-wrap gap-3">
        <Button big tone="main" className="min-h-20 text-2xl" onClick={inGroove} disabled={found}>
          The tool is in the groove
        </Button>
      </div>
    </StationFrame>
  );
}

/** The move as one big number with its direction in words, then one act after another. */
function MovePanel({
  move,
  answer,
  leftHand,
  u,
}: {
  readonly move: Move;
  readonly answer: PickupAnswer;
  readonly leftHand: boolean;
  readonly u: 'mm' | 'in';
}) {
  const show = useWorking('pick-up', 'Pick-up', pickupWorking(move, answer, leftHand));
  const head = headline(move, u);
  return (
    <Panel title="The move">
      <button
        type="button"
        className="mb-3 block text-left"
        aria-label={`${head.what} ${head.figure}; show the working`}
        onClick={show}
      >
        <span className="block text-[clamp(1.5rem,3vw,2.25rem)] font-bold">{head.what}</span>
        <span className="num block text-[clamp(3rem,9vw,6rem)] font-bold leading-none tracking-tighter">
          {head.figure}
        </span>
        <span className="text-xl text-ink2">{head.which}</span>
      </button>
      <ol className="grid gap-2 text-lg">
        {pickupSteps(move, leftHand, u).map((s, i) => (
          <li key={s} className="flex gap-3">
            <span className="num font-bold text-blue">{i + 1}</span> {s}
          </li>
        ))}
      </ol>
    </Panel>
  );
}

interface Headline {
  readonly what: string;
  readonly figure: string;
  readonly which: string;
}
function headline(move: Move, u: 'mm' | 'in'): Headline {
  const dial = (t: SlideTravel | null, mm: number): string => travelText(t, mm, u, ' + ');
  switch (move.way) {
    case 'parallel':
      return {
        what: `Top slide ${move.axialMm >= 0 ? 'towards the headstock' : 'towards the tailstock'}`,
        figure: dial(move.travel, move.axialMm),
        which: 'then feed straight in with the cross slide',
      };
    case 'angled':
      return {
        what: `Top slide ${move.slideMm >= 0 ? 'forward' : 'back'}`,
        figure: dial(move.travel, move.slideMm),
        which: `cross slide ${dial(move.crossTravel, move.crossOutMm)} ${move.crossOutMm >= 0 ? 'out of the work' : 'into the work'}`,
      };
    case 'turn':
      return {
        what: `Turn the work ${move.direction}`,
        figure: `${roundText(move.deg, 0.5)}\u00b0`,
        which: move.direction === 'back' ? 'top coming away from you' : 'top coming towards you',
      };
    case 'slip':
      return {
        what: `Slip the ${move.gear} ${placeText(move.place)}`,
        figure: `${move.teeth} ${move.teeth === 1 ? 'tooth' : 'teeth'}`,
        which:
          move.direction === 'forward'
            ? 'the way it turns when cutting forward'
            : 'against the way it turns when cutting',
      };
    case 'start':
      return { what: 'Start further out by', figure: lengthText(move.outMm, u, FINE), which: 'then whole leads only' };
  }
}
