import { useEffect, useMemo, useState } from 'react';
import { ChevronLeft, ChevronRight, QrCode } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { Job } from '../../core/job/schema.ts';
import { barsOf, sideOf } from '../../core/sheet/code.ts';
import { HAND_WORDS } from '../../words/handOver.ts';
import { codeOf } from '../sheets/code.ts';
import { codesOfJob } from '../storage/handOver.ts';
import { Button } from '../ui/controls.tsx';

/** How long a code stands before the next one, ms: a camera has seen it by then. */
const STANDS_MS = 1400;

/** The open job as a row of codes, one large at a time: another device takes it over with its camera. */
function HandOver({ job, onClose }: { readonly job: Job; readonly onClose: () => void }) {
  const codes = useMemo(() => codesOfJob(job), [job]);
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/60" />
        <Dialog.Content className="fixed inset-3 z-40 mx-auto grid max-w-3xl grid-rows-[auto_auto_minmax(0,1fr)_auto] gap-3 overflow-y-auto rounded-[4px] border-2 border-edge bg-panel p-4 text-ink">
          <Dialog.Title className="text-xl font-semibold">{HAND_WORDS.title}</Dialog.Title>
          <Dialog.Description>{codes ? HAND_WORDS.lead : HAND_WORDS.tooLarge}</Dialog.Description>
          {codes ? <Row codes={codes} /> : <span />}
          <Dialog.Close asChild>
            <Button className="justify-self-end">{HAND_WORDS.close}</Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Row({ codes }: { readonly codes: readonly string[] }) {
  const n = codes.length;
  const [at, setAt] = useState(0);
  const [runs, setRuns] = useState(n > 1 && !globalThis.matchMedia?.('(prefers-reduced-motion: reduce)').matches);
  useEffect(() => {
    if (!runs) return undefined;
    const timer = setInterval(() => setAt((i) => (i + 1) % n), STANDS_MS);
    return () => clearInterval(timer);
  }, [runs, n]);
  const go = (by: number): void => {
    setRuns(false);
    setAt((i) => (i + by + n) % n);
  };
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto] justify-items-center gap-2">
      <Code text={codes[at] ?? ''} label={HAND_WORDS.code(at + 1, n)} />
      <div className="flex flex-wrap items-center justify-center gap-2">
        <Button aria-label={HAND_WORDS.back} onClick={() => go(-1)}>
          <ChevronLeft aria-hidden size={20} />
        </Button>
        <span className="num min-w-32 text-center text-lg font-semibold">{HAND_WORDS.code(at + 1, n)}</span>
        <Button aria-label={HAND_WORDS.next} onClick={() => go(1)}>
          <ChevronRight aria-hidden size={20} />
        </Button>
        {n > 1 && <Button onClick={() => setRuns(!runs)}>{runs ? HAND_WORDS.hold : HAND_WORDS.run}</Button>}
      </div>
    </div>
  );
}

/** Black on white in either theme, with the white round it that a camera wants. */
function Code({ text, label }: { readonly text: string; readonly label: string }) {
  const modules = useMemo(() => codeOf(text), [text]);
  const side = sideOf(modules);
  const d = barsOf(modules)
    .map(({ x, y, w }) => `M${x} ${y}h${w}v1h${-w}z`)
    .join('');
  return (
    <svg
      viewBox={`0 0 ${side} ${side}`}
      role="img"
      aria-label={label}
      className="hand-code aspect-square h-full max-h-[70vh] min-h-0 max-w-full bg-white"
      shapeRendering="crispEdges"
    >
      <path d={d} fill="#000" />
    </svg>
  );
}

/** The way to it, with its own dialog. */
export function HandOverButton({ job }: { readonly job: Job }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <QrCode aria-hidden size={18} /> {HAND_WORDS.give}
      </Button>
      {open && <HandOver job={job} onClose={() => setOpen(false)} />}
    </>
  );
}
