import { gearSlip, pickupMoves } from '../../../core/pickup/moves.ts';
import { gearState, latheOf } from '../../../core/job/derive.ts';
import { dialReading } from '../../../core/lathe/dials.ts';
import { FINE, lengthText, roundText } from '../../../core/quantity/format.ts';
import { exact, numberOf } from '../../../core/quantity/rational.ts';
import { plain, type Step } from '../../../core/quantity/working.ts';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { editJob, useShop, useSystem } from '../../store/store.ts';
import { Choice, Figure, Note, Panel } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { useWorking } from '../../ui/Working.tsx';

export function Pickup() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const { show } = useWorking();
  const lathe = latheOf(job, shop);
  const lead = gearState(job, shop)?.lead;
  const offset = job.pickup.offset;
  const leadMm = lead ? numberOf(lead) : null;
  const moves = leadMm !== null && offset ? pickupMoves(offset.mm, leadMm, job.setup.slideAngleDeg) : null;
  const driven = job.gears.train?.driven.at(-1);
  const slip =
    moves && driven !== undefined && lathe ? gearSlip(moves.axialMm, driven, numberOf(exact(lathe.leadscrew))) : null;
  const { method } = job.pickup;
  const towards = (mm: number): string => (mm >= 0 ? 'towards the headstock' : 'towards the tailstock');
  const setting = (mm: number): string => {
    if (!lathe) return lengthText(Math.abs(mm), system, FINE);
    return `${dialReading(Math.abs(mm), lathe.topSlide).text} ${lathe.topSlide.unit}`;
  };
  const steps: Step[] =
    moves && leadMm !== null && offset
      ? [
          {
            name: 'Smaller way round',
            symbol: 'x',
            formula: 'offset modulo the lead',
            values: `${plain(offset.mm)} mod ${plain(leadMm)}`,
            result: moves.axialMm,
            unit: 'mm',
            source: 'geometry',
          },
          {
            name: 'Turn of the work',
            symbol: '\u03b8',
            formula: '360 x / L',
            values: `360 \u00d7 ${plain(moves.axialMm)} / ${plain(leadMm)}`,
            result: moves.turnDeg,
            unit: 'deg',
            source: 'geometry',
          },
        ]
      : [];
  return (
    <StationFrame station="pickup" lead="Bringing the tool into a groove that is already there.">
      <Note tone="say">
        Shut the half-nuts and run the spindle forward, by power or by hand; stop without letting it roll back. Only
        then look: white paper and a lamp behind, a loupe. The backlash is taken up and the tool stands where it would
        cut.
      </Note>
      <Panel title="Where the tool stands">
        <div className="grid gap-3 md:grid-cols-2">
          <LengthField
            label="Groove is this far from the tool (+ towards the headstock)"
            mm={offset?.mm ?? null}
            system={system}
            rule={{ allowNegative: true, allowZero: true, maxMm: 500 }}
            onClear={() => editJob('clear the offset', (d) => void (d.pickup.offset = null))}
            onCommit={(mm, text) => editJob(`tool is ${text} off`, (d) => void (d.pickup.offset = { text, mm }))}
            placeholder="0.6 mm"
          />
          <Choice
            label="Bring it in by"
            value={method}
            options={[
              { value: 'parallel-slide', label: 'Top slide parallel' },
              { value: 'angled-slide', label: 'Angled top slide' },
              { value: 'turn-work', label: 'Turning the work' },
              { value: 'slip-gear', label: 'Slipping a gear' },
            ]}
            onChange={(v) => editJob('change the way in', (d) => void (d.pickup.method = v))}
          />
        </div>
      </Panel>
      {leadMm === null && (
        <Note tone="say">Choose the gear train first: the lead really cut decides what is the smaller way round.</Note>
      )}
      {moves && (
        <Panel title="The move">
          {method === 'parallel-slide' && (
            <Figure
              label={`Top slide ${towards(moves.axialMm)}`}
              value={setting(moves.axialMm)}
              other="then feed with the cross slide only"
              onShow={() => show('Pick-up', steps)}
            />
          )}
          {method === 'angled-slide' &&
            (moves.slideMm === null || moves.crossBackMm === null ? (
              <Note tone="wrong">
                The top slide stands square across: it cannot move the tool along the work. Use another way in.
              </Note>
            ) : (
              <div className="grid gap-3 md:grid-cols-2">
                <Figure
                  label={`Top slide ${towards(moves.axialMm)}`}
                  value={setting(moves.slideMm)}
                  other="x / sin b"
                  onShow={() => show('Pick-up', steps)}
                />
                <Figure
                  label="then take back on the cross slide"
                  value={
                    lathe
                      ? `${dialReading(Math.abs(moves.crossBackMm), lathe.crossSlide).text} ${lathe.crossSlide.unit}`
                      : lengthText(Math.abs(moves.crossBackMm), system, FINE)
                  }
                  other="s cos b"
                />
              </div>
            ))}
          {method === 'turn-work' && (
            <Figure
              label="Turn the work in the chuck"
              value={`${roundText(moves.turnDeg, 0.5)}\u00b0`}
              other="forward when positive, seen from the tailstock anticlockwise"
              onShow={() => show('Pick-up', steps)}
            />
          )}
          {method === 'slip-gear' &&
            (slip ? (
              <div className="grid gap-3 md:grid-cols-2">
                <Figure
                  label={`Lift the arm; turn the ${slip.teeth} on the leadscrew by`}
                  value={`${Math.abs(slip.slipBy)} teeth`}
                  other={`${towards(slip.shiftMm)}: ${lengthText(Math.abs(slip.shiftMm), system, FINE)}`}
                  onShow={() =>
                    show('Pick-up', [
                      ...steps.slice(0, 1),
                      {
                        name: 'Shift by slipping the gear',
                        symbol: 'x',
                        formula: 'k / T \u00d7 leadscrew pitch, k whole teeth of T',
                        values: `${slip.slipBy} / ${slip.teeth} \u00d7 ${plain(numberOf(exact(lathe?.leadscrew ?? '1')))}`,
                        result: slip.shiftMm,
                        unit: 'mm',
                        source: 'kinematics of the train',
                      },
                    ])
                  }
                />
                <Figure label="left to find with the slide" value={lengthText(slip.leftMm, system, FINE)} />
                <Note tone="caution">Isolate at the plug before hands go near the gears.</Note>
              </div>
            ) : (
              <Note tone="say">Slipping a gear needs a change-gear train.</Note>
            ))}
        </Panel>
      )}
    </StationFrame>
  );
}
