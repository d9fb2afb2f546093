import { lazy, memo, Suspense, useCallback, useId, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { useSearchParams } from 'react-router';
import type { Quantity } from '../../../core/evidence/evidence.ts';
import { READING_ORDER } from '../../../core/job/entry.ts';
import { threadOfJob } from '../../../core/job/derive.ts';
import { StationFrame } from '../../job/StationFrame.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { undoJob } from '../../store/store.ts';
import { useKeys } from '../../ui/keys.ts';
import { Tabs } from '../../ui/Tabs.tsx';
import { Cable } from './Cable.tsx';
import { EntryPanel } from './EntryPanel.tsx';
import { Likeliest } from './Likeliest.tsx';
import { NextReading } from './NextReading.tsx';
import { PictureButton, Pictures } from './Pictures.tsx';
import { ReadPlate } from './ReadPlate.tsx';
import { Taken } from './Taken.tsx';
import { useEntry } from './useEntry.ts';
import { Wear } from './Wear.tsx';

/** Reading a picture comes with what draws it, and only when it is wanted. */
const PictureStation = lazy(async () => ({
  default: (await import('./picture/PictureStation.tsx')).PictureStation,
}));

const AIMS = ['made', 'tool'] as const;

/** Readings typed where they stand; or, where the address says so, from a picture. */
export function Read() {
  const [params] = useSearchParams();
  const picture = params.get('picture');
  return picture === null ? (
    <Typed />
  ) : (
    <Suspense fallback={<h1 className="text-2xl">Opening&hellip;</h1>}>
      <PictureStation key={picture} of={picture} aim={AIMS.find((a) => a === params.get('for')) ?? 'part'} />
    </Suspense>
  );
}

function Typed() {
  const { job, top } = useJobView();
  const [armed, setArmed] = useState<Quantity>(
    () => READING_ORDER.find((q) => !job.readings.some((r) => r.quantity === q)) ?? 'majorDiameter',
  );
  const valueRef = useRef<HTMLInputElement>(null);
  const arm = useCallback((q: Quantity) => {
    // at once: a caliper on a cable types its next reading without waiting for a frame
    flushSync(() => setArmed(q));
    valueRef.current?.focus({ preventScroll: true });
    valueRef.current?.scrollIntoView?.({ block: 'nearest' });
  }, []);
  const keys = useMemo(
    () => ({
      undoReading: undoJob,
      arm: (place: number) => {
        const quantity = READING_ORDER[place];
        if (quantity) arm(quantity);
      },
    }),
    [arm],
  );
  useKeys(keys);
  const [position, setPosition] = useState<number | null>(null);
  const form = useId();
  const entry = useEntry(armed, position, arm);
  const thread = threadOfJob(job);
  return (
    <StationFrame
      station="read"
      fill
      lead="Touch a dimension, type what it reads, Enter."
      acts={
        <>
          <EntryPanel entry={entry} form={form} positionMm={position} onPoint={setPosition} />
          <PictureButton />
          <Besides onArm={arm} />
        </>
      }
    >
      <ReadPlate
        thread={thread ?? top}
        settled={thread !== null}
        entry={entry}
        form={form}
        inputRef={valueRef}
        positionMm={position}
        onPoint={setPosition}
        onArm={arm}
      />
    </StationFrame>
  );
}

/** Readings, and the pictures that some of them came from. */
const TakenAll = () => (
  <>
    <Taken />
    <Pictures />
  </>
);

/** What the readings say so far and what stands beside them: it does not change while a figure is being typed. */
const Besides = memo(function Besides({ onArm }: { readonly onArm: (q: Quantity) => void }) {
  const { job } = useJobView();
  const [tab, setTab] = useState('next');
  return (
    <>
      <Likeliest />
      <Tabs
        label="Besides"
        value={tab}
        onChange={setTab}
        tabs={[
          { id: 'next', label: 'Next', body: <NextReading onArm={onArm} /> },
          { id: 'taken', label: `Readings ${job.readings.length}`, body: <TakenAll /> },
          { id: 'wear', label: 'Wear', body: <Wear /> },
          { id: 'cable', label: 'Cable', body: <Cable /> },
        ]}
      />
    </>
  );
});
