import { Camera, Check } from 'lucide-react';
import { toolOfJob } from '../../../../core/job/cutPlan.ts';
import type { TipRead } from '../../../../core/profile/tip.ts';
import { degreesText, FINE, lengthText } from '../../../../core/quantity/format.ts';
import { TIP_ASKS, tipAngleText } from '../../../../words/picture.ts';
import { useJobView } from '../../../job/jobContext.tsx';
import { useSystem } from '../../../store/store.ts';
import { Button, Note } from '../../../ui/controls.tsx';
import { useKeys } from '../../../ui/keys.ts';
import { ScaleFields } from './ScaleFields.tsx';
import type { PictureView } from './usePicture.ts';

/** The tool's own angle against the one wanted, and the tip that the groove will have. */
export function TipPanel({
  view,
  tip,
  onTake,
}: {
  readonly view: PictureView;
  readonly tip: TipRead;
  readonly onTake: () => void;
}) {
  const { job } = useJobView();
  const system = useSystem();
  const own = toolOfJob(job);
  const scale = tip.pxPerMm?.value ?? null;
  const can = tip.tip !== null && scale !== null && view.done === null;
  useKeys({ takePicture: () => can && onTake() });
  const [ask] = tip.asks;
  const mm = (px: number): string => (scale === null ? '\u2013' : lengthText(px / scale, system, FINE));
  return (
    <>
      <h1 tabIndex={-1} className="text-2xl leading-tight outline-none">
        {ask ? 'It cannot be read yet.' : `The tool has ${degreesText(tip.includedDeg?.value ?? 0)}.`}
      </h1>
      {ask && <p className="text-lg">{TIP_ASKS[ask]}</p>}
      {tip.includedDeg && own && (
        <p className="text-lg">{tipAngleText(tip.includedDeg, own.tool.leadingDeg + own.tool.trailingDeg)}</p>
      )}
      {!ask && (
        <>
          <dl className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3">
            <dt className="border-t border-line py-1.5">Included angle</dt>
            <dd className="num border-t border-line py-1.5 text-right font-semibold">
              {degreesText(tip.includedDeg?.value ?? 0)} &plusmn;{' '}
              {degreesText(Math.max(0.1, tip.includedDeg?.uncertainty ?? 0))}
            </dd>
            <dt className="border-t border-line py-1.5">
              {tip.tip ? (tip.tip.kind === 'flat' ? 'Tip flat' : 'Tip radius') : 'Tip: flat and round look alike'}
            </dt>
            <dd className="num border-t border-line py-1.5 text-right font-semibold">
              {tip.tip
                ? `${mm(tip.tip.kind === 'flat' ? tip.tip.wide : tip.tip.radius)} \u00b1 ${mm(tip.tipUncertaintyPx)}`
                : '\u2013'}
            </dd>
          </dl>
          {scale === null && (
            <Note tone="say">Give a scale for the tip: a pin beside it, or a scanner&rsquo;s dots.</Note>
          )}
          <Button tone="main" disabled={!can} className="min-h-14 w-full text-lg" onClick={onTake}>
            <Check aria-hidden size={20} /> This is the tip in the holder
            <kbd className="rounded border border-strawink px-1.5 text-sm font-semibold">Enter</kbd>
          </Button>
          <ScaleFields scale={view.shadow.scale} onChange={(s) => view.setShadow({ scale: s })} without="major" />
        </>
      )}
      <Button className="w-full" onClick={view.putAside}>
        <Camera aria-hidden size={20} /> Put it aside, take another
      </Button>
    </>
  );
}
