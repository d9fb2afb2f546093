import { ratioOf } from '../../../core/gearing/gearbox/index.ts';
import { leadOfTrain } from '../../../core/gearing/train.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { exact, textOf } from '../../../core/quantity/rational.ts';
import { trainText } from '../../../core/gearing/trainText.ts';

/** What every setting of the levers cuts with the train that is mounted, as the plate on the lathe has it. */
export function LeverGrid({ lathe }: { readonly lathe: Lathe }) {
  const names = Object.keys(lathe.levers);
  const [across, down, ...more] = names;
  if (across === undefined) return null;
  const train = lathe.mounted ?? { drivers: [1], driven: [1], gearbox: '1' };
  const lead = (ratio: string): string =>
    pitchText(
      leadOfTrain({ ...train, gearbox: ratio }, exact(lathe.leadscrew), exact(lathe.fixedRatio)),
      lathe.leadscrewSystem,
    );
  const columns = Object.keys(lathe.levers[across] ?? {});
  const rows = down === undefined ? [null] : Object.keys(lathe.levers[down] ?? {});
  const rest = Object.fromEntries(more.map((m) => [m, Object.keys(lathe.levers[m] ?? {})[0] ?? '']));
  const ratioAt = (col: string, row: string | null): string | null => {
    const ratio = ratioOf(lathe.levers, {
      [across]: col,
      ...(down !== undefined && row !== null ? { [down]: row } : {}),
      ...rest,
    });
    return ratio && textOf(ratio);
  };
  return (
    <section aria-label="Levers">
      <div className="mb-1 flex flex-wrap items-baseline justify-between gap-2">
        <h3 className="font-semibold">Levers</h3>
        <span className="text-sm text-ink2">
          lead, {lathe.mounted ? `with ${trainText(lathe.mounted)} on the end` : 'with equal gears on the end'}
          {more.length > 0 ? `; ${more.join(', ')} at its first place` : ''}
        </span>
      </div>
      <div className="overflow-x-auto">
        <table className="border-separate border-spacing-1 text-center">
          <thead>
            <tr>
              <th className="text-sm font-normal text-ink2">{down ?? ''}</th>
              {columns.map((c) => (
                <th key={c} className="num font-normal">
                  <span className="sr-only">{across} </span>
                  {c}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr key={r ?? ''}>
                <th className="num pr-2 font-normal">{r ?? across}</th>
                {columns.map((c) => {
                  const ratio = ratioAt(c, r);
                  const now = ratio !== null && lathe.mounted?.gearbox === ratio;
                  return (
                    <td
                      key={c}
                      className={`num min-w-20 rounded-[3px] border px-2 py-1.5 ${now ? 'border-plate bg-plate font-bold text-scribe' : 'border-line bg-inset'}`}
                    >
                      {ratio ? lead(ratio) : '\u2013'}
                      {now && <span className="sr-only"> (set now)</span>}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
