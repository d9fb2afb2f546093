import { useCallback, useMemo, useRef, useState } from 'react';
import { Trash2 } from 'lucide-react';
import { flushSync } from 'react-dom';
import type { Quantity } from '../../../core/evidence/evidence.ts';
import { READING_ORDER } from '../../../core/job/entry.ts';
import { QUANTITY_NAMES } from '../../../words/readings.ts';
import { partOf, pitchOfCount } from '../../../core/job/evidence.ts';
import type { Reading } from '../../../core/job/schema.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { ThreadDrawing } from '../../drawing/ThreadDrawing.tsx';
import { StationFrame } from '../../shell/StationFrame.tsx';
import { useJobView } from '../../shell/jobContext.tsx';
import { act, undoJob, useShop, useSystem } from '../../store/store.ts';
import { Button, Panel } from '../../ui/controls.tsx';
import { useKeys } from '../../ui/keys.ts';
import { Cable } from './Cable.tsx';
import { EntryForm } from './EntryForm.tsx';
import { ANGLES, LENGTHS } from './kinds.ts';
import { Likeliest } from './Likeliest.tsx';
import { NextReading } from './NextReading.tsx';
import { WearMap } from './WearMap.tsx';

export function Read() {
  const { job, top } = useJobView();
  const system = useSystem();
  const side = partOf(job);
  const [armed, setArmed] = useState<Quantity>(
    () => READING_ORDER.find((q) => !job.readings.some((r) => r.quantity === q)) ?? 'majorDiameter',
  );
  const [position, setPosition] = useState<number | null>(null);
  const valueRef = useRef<HTMLInputElement>(null);
  const arm = useCallback((q: Quantity) => {
    // at once: a caliper on a cable types its next reading without waiting for a frame
    flushSync(() => setArmed(q));
    valueRef.current?.focus();
  }, []);
  const keys = useMemo(
    () => ({
      'Alt+Backspace': undoJob,
      ...Object.fromEntries(READING_ORDER.slice(0, 9).map((q, i) => [`Alt+${i + 1}`, () => arm(q)])),
    }),
    [arm],
  );
  useKeys(keys);
  return (
    <StationFrame
      station="read"
      lead="What the part measures. Touch a dimension on the drawing, type what you read, Enter."
      acts={
        <>
          <Likeliest />
          <NextReading onArm={arm} />
        </>
      }
    >
      <ThreadDrawing
        thread={top}
        tentative
        side={side}
        readings={job.readings.map((r) => ({ quantity: r.quantity, text: shortText(r) }))}
        system={system}
        onTouch={arm}
        armed={armed}
      />
      <EntryForm key={armed} quantity={armed} side={side} inputRef={valueRef} onArm={arm} positionMm={position} />
      <Readings side={side} />
      <WearMap positionMm={position} onPoint={setPosition} />
      <Cable />
    </StationFrame>
  );
}

const shortText = (r: Reading): string =>
  `${r.text}${r.span ? ` ${r.quantity === 'overWires' ? 'over' : 'in'} ${r.span.text}` : ''}${ANGLES.includes(r.quantity) ? '\u00b0' : ''}`;

function Readings({ side }: { readonly side: 'external' | 'internal' }) {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  if (job.readings.length === 0) {
    return (
      <Panel title="Readings taken">
        <p className="text-ink2">
          None yet. Start with the outside diameter in two places, one worn and one not, then count crests over an inch.
        </p>
      </Panel>
    );
  }
  return (
    <Panel title="Readings taken">
      <div className="overflow-x-auto">
        <table className="w-full min-w-[36rem] text-left [&_td]:pr-3 [&_td]:py-0.5">
          <thead>
            <tr className="text-sm text-ink2">
              <th className="py-1 font-normal">What</th>
              <th className="font-normal">As typed, what it is</th>
              <th className="font-normal">Where, state</th>
              <th className="font-normal">With</th>
              <th>
                <span className="sr-only">Remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {job.readings.map((r) => (
              <tr key={r.id} className="border-t border-line">
                <td>{QUANTITY_NAMES[r.quantity][side]}</td>
                <td className="num whitespace-nowrap">
                  {shortText(r)} <span className="block text-sm text-ink2">{meaning(r, system)}</span>
                </td>
                <td>
                  {[
                    r.member === 'mate' ? 'its mate' : '',
                    r.positionMm === null ? '' : `at ${lengthText(r.positionMm, system, { stepMm: 1, stepIn: 0.05 })}`,
                    r.place,
                    r.wear === 'unknown' ? '' : r.wear,
                    r.leaf ?? '',
                  ]
                    .filter(Boolean)
                    .join(', ') || '\u2013'}
                </td>
                <td className="text-ink2">{shop.instruments.find((i) => i.id === r.instrument)?.name ?? '\u2013'}</td>
                <td className="text-right">
                  <Button
                    tone="quiet"
                    aria-label={`Remove ${QUANTITY_NAMES[r.quantity][side]} ${r.text}`}
                    onClick={() => act({ do: 'removeReading', reading: r.id })}
                  >
                    <Trash2 aria-hidden size={18} />
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Panel>
  );
}

function meaning(r: Reading, system: 'mm' | 'in'): string {
  if (LENGTHS.includes(r.quantity)) {
    const sigma = r.uncertainty === null ? '' : ` \u00b1 ${lengthText(r.uncertainty, system, { ...FINE, bare: true })}`;
    return `${lengthText(r.value, system, FINE)}${sigma}`;
  }
  if (r.quantity === 'crestCount') {
    const pitch = pitchOfCount(r);
    return pitch
      ? `${lengthText(pitch.mm, system, FINE)} \u00b1 ${lengthText(pitch.sigmaMm, system, { ...FINE, bare: true })} each`
      : 'over no length';
  }
  if (r.quantity === 'pitchLeaf') return lengthText(r.value, system, FINE);
  if (r.quantity === 'hand') return r.value < 0 ? 'left hand' : 'right hand';
  if (ANGLES.includes(r.quantity))
    return `${r.value}\u00b0${r.uncertainty === null ? '' : ` \u00b1 ${r.uncertainty}\u00b0`}`;
  return String(Number(r.value.toFixed(4)));
}
