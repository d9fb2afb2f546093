import type { CardView } from '../../../core/job/card.ts';
import { settingsFor, standFor } from '../../../core/job/slides.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { dialText } from '../../../words/machine.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';

/** Every pass still to come with its reading on this lathe's dial; the next one lit. */
export function PassTable({
  view,
  lathe,
  internal,
}: {
  readonly view: CardView;
  readonly lathe: Lathe;
  readonly internal: boolean;
}) {
  const { metal, feed, plan } = view;
  const u = lathe.crossSlide.unit;
  const len = (mm: number): string => lengthText(mm, u, { ...FINE, bare: true });
  return (
    <div className="max-h-96 overflow-auto" role="region" aria-label="Passes to come" tabIndex={0}>
      <table className="num w-full text-right [&_:is(td,th)+:is(td,th)]:pl-3">
        <thead className="font-sans text-sm text-ink2">
          <tr>
            <th className="text-left font-normal">Pass</th>
            <th className="font-normal">Dial</th>
            <th className="font-normal">Depth, {u}</th>
            <th className="font-normal">Along, {u}, + to headstock</th>
            <th className="font-normal">Chip, mm&sup2;</th>
          </tr>
        </thead>
        <tbody>
          {(plan?.passes ?? []).map((p, i) => {
            const [s] = settingsFor(standFor(p, metal, feed), lathe, feed, internal).settings;
            return (
              <tr key={p.depthMm} className={`border-t border-line ${i === 0 ? 'bg-bluesoft font-bold' : ''}`}>
                <td className="py-1 text-left">{metal.cuts + i + 1}</td>
                <td>{s ? `${dialText(s, ' + ')} ${s.unit}` : ''}</td>
                <td>{len(p.depthMm)}</td>
                <td>{len(p.axialMm)}</td>
                <td>{i < view.card.airPasses ? 'air' : p.chipMm2.toFixed(3)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
