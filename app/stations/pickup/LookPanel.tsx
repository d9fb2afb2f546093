import { useState } from 'react';
import { threadOfJob } from '../../../core/job/derive.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { pitchMmOf } from '../../../core/standards/thread.ts';
import { ofPitchText, towardsHead } from '../../../words/pickup.ts';
import { EYE_STEP } from '../../drawing/EyePlate.tsx';
import { useDialUnit, useJobView } from '../../job/jobContext.tsx';
import { act } from '../../store/store.ts';
import { Choice } from '../../ui/choices.tsx';
import { Keypad } from '../../machine/Keypad.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { EyeSlider } from './EyeSlider.tsx';

export type Look = 'eye' | 'dial' | 'flanks';

/** How far the groove lies from the tool: by eye in the pitch, as a figure, or from touching both flanks. */
export function LookPanel({
  look,
  onLook,
  at,
  onAt,
}: {
  readonly look: Look;
  readonly onLook: (look: Look) => void;
  /** By eye: where the tool's point stands in the pitch, + towards the headstock. */
  readonly at: number | null;
  readonly onAt: (at: number) => void;
}) {
  return (
    <div className="grid gap-3">
      <Choice
        even
        label="The offset is read"
        value={look}
        options={[
          { value: 'eye', label: 'By eye, in the pitch' },
          { value: 'dial', label: 'As a figure' },
          { value: 'flanks', label: 'Touching both flanks' },
        ]}
        onChange={onLook}
      />
      {look === 'eye' && <ByEye at={at} onAt={onAt} />}
      {look === 'dial' && <ByFigure />}
      {look === 'flanks' && <ByFlanks />}
    </div>
  );
}

function ByEye({ at, onAt }: { readonly at: number | null; readonly onAt: (at: number) => void }) {
  const { job } = useJobView();
  const u = useDialUnit();
  const thread = threadOfJob(job);
  if (!thread) return null;
  const pitch = pitchMmOf(thread);
  return (
    <div className="grid gap-1">
      <div className="text-lg">
        <EyeSlider
          label={'Where the tool\u2019s point stands in the pitch: touch it in the picture, or move this'}
          at={at ?? 0}
          step={EYE_STEP}
          said={at === null ? 'not touched yet' : `${ofPitchText(at)} ${towardsHead(at)} of the groove's middle`}
          onAt={onAt}
        />
      </div>
      {at !== null && (
        <p className="text-2xl font-semibold">
          The groove is <span className="num">{lengthText(Math.abs(at) * pitch, u, FINE)}</span> {towardsHead(-at)} of
          the point
          <span className="text-lg font-normal text-ink2">
            , give or take <span className="num">{lengthText((EYE_STEP / 2) * pitch, u, FINE)}</span>
          </span>
        </p>
      )}
    </div>
  );
}

function ByFigure() {
  const u = useDialUnit();
  return (
    <div className="grid gap-3">
      <LengthField
        armed
        huge
        label="Groove is this far from the tool (+ towards the headstock)"
        mm={null}
        system={u}
        rule={{ allowNegative: true, allowZero: true, maxMm: 500 }}
        onCommit={(v, text) => act({ do: 'offset', mm: v, text })}
      />
      <Keypad signed take />
    </div>
  );
}

/** Two readings of the top slide along the bed; the middle is computed when both are there. */
function ByFlanks() {
  const u = useDialUnit();
  const [head, setHead] = useState<number | null>(null);
  const [tail, setTail] = useState<number | null>(null);
  const [first, setFirst] = useState<'head' | 'tail'>('head');
  const done = (h: number | null, t: number | null, f: 'head' | 'tail'): void => {
    if (h !== null && t !== null) act({ do: 'offsetByFlanks', headMm: h, tailMm: t, first: f });
  };
  const rule = { allowNegative: true, allowZero: true, maxMm: 500 };
  return (
    <div className="grid gap-2">
      <p className="text-lg leading-snug">
        Top slide along the bed, its dial at zero where the slack was taken up. Feed in until the tool stands in the
        groove, touch one flank with the top slide, read it, go to the other and read that.
      </p>
      <div className="grid grid-cols-2 gap-3 max-xs:grid-cols-1">
        <LengthField
          armed
          label="Flank towards the headstock, at (+ towards it)"
          mm={head}
          system={u}
          rule={rule}
          onCommit={(v) => {
            setHead(v);
            done(v, tail, first);
          }}
        />
        <LengthField
          label="Flank towards the tailstock, at"
          mm={tail}
          system={u}
          rule={rule}
          onCommit={(v) => {
            setTail(v);
            done(head, v, first);
          }}
        />
      </div>
      <Choice
        label="Touched first (the slide's slack is taken off the other)"
        value={first}
        options={[
          { value: 'head', label: '\u25c2 headstock' },
          { value: 'tail', label: 'tailstock \u25b8' },
        ]}
        onChange={(f) => {
          setFirst(f);
          done(head, tail, f);
        }}
      />
    </div>
  );
}
