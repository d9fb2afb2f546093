import { useState } from 'react';
import { latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { judgedLeadMm, judgedOf, placesToJudge } from '../../../core/job/pickupJudged.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { pitchMmOf } from '../../../core/standards/thread.ts';
import { judgedText, ofPitchText, towardsHead } from '../../../words/pickup.ts';
import { EYE_STEP } from '../../drawing/EyePlate.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button, Note } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { EyeSlider } from './EyeSlider.tsx';

/** The run along the old thread in the air: each place says what is off there, and together they say why. */
export function JudgePanel() {
  const { job, machine } = useJobView();
  const u = useDialUnit();
  const { judged } = machine.metal;
  const asked = placesToJudge(job);
  const open = asked.filter((a) => !judged.some((p) => Math.abs(p.atMm - a) < 1));
  const [typed, setTyped] = useState<number | null>(null);
  const at = typed ?? open[0] ?? null;
  const says = judgedOf(job, machine.metal);
  return (
    <div className="grid gap-3">
      {judged.length > 0 && (
        <ul aria-label="Judged" className="grid grid-cols-3 gap-2 max-xs:grid-cols-1">
          {judged
            .toSorted((a, b) => a.atMm - b.atMm)
            .map((p) => (
              <li key={p.n}>
                <Button
                  className="w-full flex-col gap-0 py-1"
                  aria-label={`Judge again at ${lengthText(p.atMm, u, FINE)}`}
                  onClick={() => setTyped(p.atMm)}
                >
                  <span className="text-sm text-ink2">at {lengthText(p.atMm, u, FINE)}</span>
                  <span className="num text-xl font-bold">
                    {p.offMm === 0
                      ? 'in'
                      : `${lengthText(Math.abs(p.offMm), u, FINE)} ${p.offMm > 0 ? '\u25c2' : '\u25b8'}`}
                  </span>
                </Button>
              </li>
            ))}
        </ul>
      )}
      {(says?.verdict !== 'in' || typed !== null) && (
        <Place key={at} at={at} onAt={setTyped} onDone={() => setTyped(null)} />
      )}
    </div>
  );
}

/** What the places say together; nothing before the first. */
export function JudgedSays() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const u = useDialUnit();
  const says = judgedOf(job, machine.metal);
  const lathe = latheOf(job, shop);
  if (!says || !lathe) return null;
  const text = judgedText(says, u, lathe.kind, judgedLeadMm(job, shop, machine.metal));
  return (
    <Note tone={says.verdict === 'in' ? 'right' : says.verdict === 'more' ? 'say' : 'caution'}>
      <p role="status" className="text-2xl font-bold leading-tight">
        {text.says}
      </p>
      {text.then !== '' && <p className="mt-1 text-lg">{text.then}</p>}
    </Note>
  );
}

/** One place: where it is, and what is seen there. */
function Place({
  at,
  onAt,
  onDone,
}: {
  readonly at: number | null;
  readonly onAt: (mm: number) => void;
  readonly onDone: () => void;
}) {
  const { job } = useJobView();
  const u = useDialUnit();
  const [eye, setEye] = useState(0);
  const thread = threadOfJob(job);
  if (!thread) return null;
  const pitch = pitchMmOf(thread);
  const say = (offMm: number, by: 'in' | 'eye' | 'dial', text: string): void => {
    if (at !== null && act({ do: 'judge', atMm: at, offMm: Number(offMm.toFixed(4)), by, text }) === null) onDone();
  };
  return (
    <section aria-label="One place" className="grid gap-2 border-t-2 border-edge pt-2">
      <div className="grid grid-cols-2 items-end gap-3 max-xs:grid-cols-1">
        <LengthField
          armed={at === null}
          label="Stopped here, from the free end"
          mm={at}
          system={u}
          rule={{ allowZero: true }}
          onCommit={(mm) => onAt(mm)}
        />
        <Button big disabled={at === null} onClick={() => say(0, 'in', 'in')}>
          In the groove here
        </Button>
      </div>
      <div className="grid grid-cols-2 items-end gap-3 max-xs:grid-cols-1">
        <div className="text-sm text-ink2">
          <EyeSlider
            label={
              eye === 0
                ? 'Or by eye: the groove\u2019s middle from the point'
                : `Groove ${ofPitchText(eye)} ${towardsHead(eye)}`
            }
            at={eye}
            step={EYE_STEP / 2}
            said={`${ofPitchText(eye)} ${towardsHead(eye)}`}
            onAt={setEye}
          />
        </div>
        {eye !== 0 ? (
          <Button big disabled={at === null} onClick={() => say(eye * pitch, 'eye', ofPitchText(eye))}>
            Off by {lengthText(Math.abs(eye) * pitch, u, FINE)} {eye > 0 ? '\u25c2' : '\u25b8'}
          </Button>
        ) : (
          <LengthField
            label="Or as a figure (+ towards the headstock)"
            mm={null}
            system={u}
            rule={{ allowNegative: true, allowZero: true, maxMm: 500 }}
            onCommit={(mm, text) => say(mm, mm === 0 ? 'in' : 'dial', text)}
          />
        )}
      </div>
    </section>
  );
}
