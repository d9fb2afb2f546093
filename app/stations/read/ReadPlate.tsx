import { NARROW_H, ReadDrawing } from './ReadDrawing.tsx';
import type { ThreadSpec } from '../../../core/standards/thread.ts';
import type { ReadingEntry } from './useEntry.ts';
import { type RefObject, useRef, useMemo } from 'react';
import type { Quantity } from '../../../core/evidence/evidence.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem } from '../../store/store.ts';
import { useSize } from '../../ui/useSize.ts';
import { WIDE, layoutOf, LOW, ON_DRAWING } from './layout.ts';
import { partOf } from '../../../core/job/evidence.ts';
import { expectedReadings } from '../../../core/job/expected.ts';
import { readingText } from './Taken.tsx';
import { DyeCoat } from '../../drawing/Plate.tsx';
import { PartFields } from './PartFields.tsx';
import { Patch } from './Patch.tsx';
import { ArmedPatch } from './ArmedPatch.tsx';
import { expectedText } from '../../../words/readings.ts';

interface Props {
  /** The thread accepted, else the likeliest so far. */
  readonly thread: ThreadSpec | null;
  readonly settled: boolean;
  readonly entry: ReadingEntry;
  readonly form: string;
  readonly inputRef: RefObject<HTMLInputElement | null>;
  readonly positionMm: number | null;
  readonly onPoint: (mm: number) => void;
  readonly onArm: (q: Quantity) => void;
}

/** The part along its length and its tooth in a lens: every dimension is typed where it stands. */
export function ReadPlate({ thread, settled, entry, form, inputRef, positionMm, onPoint, onArm }: Props) {
  const { job } = useJobView();
  const system = useSystem();
  const box = useRef<HTMLDivElement>(null);
  const { w, h } = useSize(box, { w: 460, h: NARROW_H });
  const wide = w >= WIDE;
  const side = partOf(job);
  const layout = useMemo(() => layoutOf({ w, h }), [w, h]);
  const partFields = useMemo(() => ({ left: 16, right: 16, top: layout.partFieldsY }), [layout]);
  const expected = useMemo(() => (thread ? expectedReadings(thread, side) : {}), [thread, side]);
  const own = useMemo(() => job.readings.filter((r) => r.member === 'part'), [job.readings]);
  const taken = (q: Quantity): string | null => {
    const all = own.filter((r) => r.quantity === q);
    const first = all[0];
    return first === undefined
      ? null
      : `${q === 'overWires' ? first.text : readingText(first)}${all.length > 1 ? ` +${all.length - 1}` : ''}`;
  };
  return (
    <div ref={box} className="plate on-plate relative overflow-hidden" style={wide ? { minHeight: LOW } : undefined}>
      <DyeCoat />
      <div className={wide ? 'absolute inset-0' : 'relative w-full'} style={wide ? undefined : { height: NARROW_H }}>
        <ReadDrawing
          w={w}
          h={wide ? h : NARROW_H}
          wide={wide}
          thread={thread}
          settled={settled}
          armed={entry.quantity}
          positionMm={positionMm}
          onPoint={onPoint}
        />
      </div>
      <div className={wide ? 'contents' : 'relative grid gap-3 p-3'}>
        <PartFields side={side} {...(wide ? { style: partFields } : {})} />
        <div
          role="group"
          aria-label="What is read"
          className={wide ? 'contents' : 'grid grid-cols-2 gap-2 xs:grid-cols-3'}
        >
          {ON_DRAWING.map((q) =>
            q === entry.quantity ? (
              <ArmedPatch
                key={q}
                entry={entry}
                side={side}
                form={form}
                inputRef={inputRef}
                style={wide ? layout.armedAt(q) : undefined}
              />
            ) : (
              <Patch
                key={q}
                quantity={q}
                side={side}
                taken={taken(q)}
                expected={thread && expected[q] !== undefined ? expectedText(q, expected[q], thread, system) : null}
                settled={settled}
                style={wide ? layout.places[q] : undefined}
                onArm={onArm}
              />
            ),
          )}
        </div>
      </div>
    </div>
  );
}
