import { realOff, type GrooveRound, type GrooveState } from '../../core/practice/groove.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import { useSystem } from '../store/store.ts';

/** What was hidden while it was tried: how far off it is, and what of that was slack or seen from aside. */
export function RealOffs({ r, s }: { readonly r: GrooveRound; readonly s: GrooveState }) {
  const u = useSystem();
  const mm = (x: number): string => lengthText(Math.abs(x), u, FINE);
  return (
    <dl className="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1 text-xl">
      {(
        [
          ['what it really is off', realOff(r, s)],
          ['slack of the carriage, taken up or not', r.carriageSlackMm],
          ['slack of the slide', r.slideSlackMm],
          ['seen too much from beside the tool', r.parallaxMm],
        ] as const
      ).map(([k, v]) => (
        <div key={k} className="contents">
          <dt>{k}</dt>
          <dd className="num text-right font-semibold">{mm(v)}</dd>
        </div>
      ))}
    </dl>
  );
}
