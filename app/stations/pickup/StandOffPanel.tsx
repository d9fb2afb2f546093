import { standOffs } from '../../../core/job/standOffs.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import { standOffText } from '../../../words/oldPart.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';

/** A gauge on a taper: how far it stands off its mark, what that is on the slide, and how it went from part to part. */
export function StandOffPanel({ unit }: { readonly unit: UnitSystem }) {
  const { job } = useJobView();
  const s = standOffs(job);
  if (!s) return null;
  const mm = (x: number): string => lengthText(x, unit, FINE);
  return (
    <section aria-label="Stand-off of the gauge" className="grid gap-3 border-t-2 border-edge pt-3">
      <h3 className="text-lg font-bold">Stand-off of the gauge</h3>
      <LengthField
        label="It stands off its mark (+ short of it, metal still to go)"
        mm={s.mm}
        system={unit}
        rule={{ allowNegative: true, allowZero: true, maxMm: 500 }}
        onCommit={(v, text) => act({ do: 'standOff', mm: v, text })}
      />
      {standOffText(s, unit).map((t) => (
        <p key={t} className="text-lg leading-snug">
          {t}
        </p>
      ))}
      {s.deeperMm !== null && s.deeperMm > 0 && (
        <Button big onClick={() => act({ do: 'deeper', byMm: s.deeperMm ?? 0 })}>
          Cut {mm(s.deeperMm)} deeper
        </Button>
      )}
      {s.faceBackMm !== null && s.faceBackMm > 0 && (
        <Button big onClick={() => act({ do: 'faceBack', byMm: s.faceBackMm ?? 0 })}>
          Faced back {mm(s.faceBackMm)}
        </Button>
      )}
      <p className="text-ink2">
        Each {mm(0.1)} taken off the diameter moves the gauge point {mm(0.1 * s.pushPerMm)}: shoulder and end go back by
        as much.
      </p>
      {s.parts.length > 1 && (
        <table className="w-full text-left">
          <caption className="pb-1 text-left text-ink2">
            From part to part: the face&rsquo;s place and the wear of the tool show here
          </caption>
          <tbody>
            {s.parts.map((p) => (
              <tr key={p.part} className="border-t border-line">
                <th scope="row" className="py-1 font-normal">
                  Part {p.part}
                </th>
                <td className="num text-right font-semibold">{mm(p.mm)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
