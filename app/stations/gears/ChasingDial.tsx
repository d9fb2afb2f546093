import { dialRule } from '../../../core/gearing/proof/index.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { exact, type Rational } from '../../../core/quantity/rational.ts';
import { dialAdvice } from '../../../words/gears.ts';
import { useSystem } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { PractiseLink } from '../../ui/PractiseLink.tsx';
import { ChaserDial } from '../../drawing/ChaserDial.tsx';

/** Which marks of the chasing dial bring the half-nuts back into the groove. */
export function ChasingDial({ lathe, lead }: { readonly lathe: Lathe; readonly lead: Rational }) {
  const system = useSystem();
  const dial = lathe.dial
    ? dialRule({ leadscrew: exact(lathe.leadscrew), lead, dialTeeth: lathe.dial.teeth, marks: lathe.dial.marks })
    : null;
  return (
    <div className="grid content-start justify-items-center gap-2">
      {dial && lathe.dial && <ChaserDial marks={lathe.dial.marks} safe={dial.safeMarks} />}
      {lathe.dial?.otherTeeth.map((teeth) => {
        const other = dialRule({
          leadscrew: exact(lathe.leadscrew),
          lead,
          dialTeeth: teeth,
          marks: lathe.dial?.marks ?? 1,
        });
        return (
          <p key={teeth} className="text-sm">
            With the <strong className="num">{teeth}</strong> on the dial:{' '}
            {other.safeMarks.length > 0 ? dialAdvice(other, lathe.dial?.marks ?? 0, system) : 'no mark either.'}
          </p>
        );
      })}
      {dial && dial.safeMarks.length === 0 && (
        <p className="text-sm text-ink2">
          Half-nuts shut: stop at the end, tool out, reverse past the start by two or three leads, tool in, forward
          again.
        </p>
      )}
      <Note tone={dial && dial.safeMarks.length > 0 ? 'right' : 'caution'}>
        <strong>Chasing dial:</strong>{' '}
        {dial
          ? dialAdvice(dial, lathe.dial?.marks ?? 0, system)
          : 'this lathe has none: keep the half-nuts shut and reverse the spindle.'}
      </Note>
      <PractiseLink game="half-nuts" />
    </div>
  );
}
