import { inPitches } from '../../../core/tables/row.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { exact } from '../../../core/quantity/rational.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import type { StandardThread } from '../../../core/standards/catalogue.ts';
import { FormOverlay, STROKES } from '../../drawing/FormOverlay.tsx';
import { Button, Panel } from '../../ui/controls.tsx';

/** Up to three forms laid over each other at one pitch. */
export function Compare({
  rows,
  system,
  onClear,
}: {
  readonly rows: readonly StandardThread[];
  readonly system: UnitSystem;
  readonly onClear: () => void;
}) {
  // at one pitch, taken as 1: absolute clearances are drawn as they would be at the first thread's pitch
  const forms = rows.map((r) => ({
    name: r.designation,
    form: inPitches(r).form,
    side: 'external' as const,
  }));
  return (
    <Panel title="Laid over each other at the same pitch" aside={<Button onClick={onClear}>Clear</Button>}>
      <FormOverlay forms={forms} label={`Forms of ${rows.map((r) => r.designation).join(', ')} laid over each other`} />
      <table className="mt-3 w-full text-left">
        <thead>
          <tr className="text-sm text-ink2">
            <th className="font-normal">Thread</th>
            <th className="font-normal">Flanks</th>
            <th className="font-normal">Depth, in pitches</th>
            <th className="font-normal">Pitch</th>
            <th className="font-normal">Diameter</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r, i) => {
            const { form: f, depth } = inPitches(r);
            return (
              <tr key={r.designation} className="border-t border-line">
                <td className="num py-2">
                  {r.designation} <span className="font-sans text-sm text-ink2">({STROKES[i]?.word})</span>
                </td>
                <td className="num">
                  {f.leadingDeg}&deg; + {f.trailingDeg}&deg;
                </td>
                <td className="num">{depth.toFixed(4)}</td>
                <td className="num">{pitchText(exact(r.pitch), system)}</td>
                <td className="num">{lengthText(r.majorMm, system, FINE)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Panel>
  );
}
