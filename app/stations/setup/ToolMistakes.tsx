import { useState } from 'react';
import { fitOfJob } from '../../../core/job/derive.ts';
import { toolOfJob } from '../../../core/job/cutPlan.ts';
import { mistakeOf, type Mistake } from '../../../core/job/mistakes.ts';
import { parseAngle } from '../../../core/quantity/angle.ts';
import { degreesText } from '../../../core/quantity/format.ts';
import { MISTAKE_NAMES, mistakeText } from '../../../words/mistakes.ts';
import { MistakePlate } from '../../drawing/MistakePlate.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem } from '../../store/store.ts';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';

type Kind = Mistake['kind'];
/** A finger's breadth of carelessness, to begin with. */
const FIRST = { square: 1, height: 0.2 } as const;

/** What a tool set wrongly leaves: drawn, in figures, and how to see it in time. */
export function ToolMistakes() {
  const { job } = useJobView();
  const system = useSystem();
  const [kind, setKind] = useState<Kind>('square');
  const [square, setSquare] = useState<number>(FIRST.square);
  const [height, setHeight] = useState<number>(FIRST.height);
  const [slide, setSlide] = useState<number | null>(null);
  const fit = fitOfJob(job);
  const own = toolOfJob(job);
  if (!fit || !own) return null;
  const setDeg = slide ?? own.tool.trailingDeg + 2.5;
  const asked: Mistake =
    kind === 'square' ? { kind, byDeg: square } : kind === 'height' ? { kind, byMm: height } : { kind, setDeg };
  const view = mistakeOf(job, asked);
  const text = view && mistakeText(view, system);
  return (
    <details className="border-t border-line pt-2">
      <summary className="min-h-12 cursor-pointer py-2 font-semibold">
        What a tool set wrongly leaves, and how to see it
      </summary>
      <div className="grid gap-3 pt-2">
        <Choice
          label="Set wrongly"
          value={kind}
          options={(['square', 'height', 'slide'] as const).map((value) => ({ value, label: MISTAKE_NAMES[value] }))}
          onChange={setKind}
        />
        {kind === 'square' && (
          <TypedField
            label="Off square by"
            shown={degreesText(square)}
            parse={(t) => parseAngle(t, 'angle', 10)}
            onCommit={(a) => setSquare(a.deg)}
          />
        )}
        {kind === 'height' && (
          <LengthField
            label="Above the centre by"
            mm={height}
            system={system}
            rule={{ maxMm: fit.startDiameterMm / 4 }}
            onCommit={(mm) => setHeight(mm)}
          />
        )}
        {kind === 'slide' && (
          <TypedField
            label="The slide really stands at"
            shown={degreesText(setDeg)}
            parse={(t) => parseAngle(t, 'angle', 60)}
            onCommit={(a) => setSlide(a.deg)}
          />
        )}
        {view && text && (
          <>
            <MistakePlate
              tool={own.tool}
              leftHand={own.leftHand}
              depthMm={fit.depthMm}
              radiusMm={fit.startDiameterMm / 2}
              mistake={view}
              by={kind === 'square' ? square : kind === 'height' ? height : setDeg}
            />
            <ul className="grid gap-1">
              {text.leaves.map((t) => (
                <li key={t}>{t}</li>
              ))}
            </ul>
            <p className="text-ink2">{text.check}</p>
          </>
        )}
      </div>
    </details>
  );
}
