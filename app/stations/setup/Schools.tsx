import type { School } from '../../../core/job/schoolsView.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem, act } from '../../store/store.ts';
import { lengthText, FINE } from '../../../core/quantity/format.ts';
import clsx from 'clsx';
import { INFEED_NAMES, RULE_NAMES } from '../../../words/setup.ts';
import { forceText } from '../../../words/holding.ts';
import { Button } from '../../ui/controls.tsx';

export function Schools({ schools }: { readonly schools: readonly School[] }) {
  const { job } = useJobView();
  const system = useSystem();
  const fine = (mm: number): string => (Math.abs(mm) < 1e-9 ? '0' : lengthText(mm, system, { ...FINE, bare: true }));
  return (
    <section aria-label="Schools side by side" className="min-w-0">
      <h3 className="mb-1 font-semibold">Schools side by side, for this job</h3>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Schools as a table">
        <table className="w-full text-left tabular-nums">
          <thead>
            <tr className="text-sm text-ink2">
              <th className="py-1 font-normal">fed</th>
              <th className="text-right font-normal">passes</th>
              <th className="text-right font-normal">last chip on the leading flank</th>
              <th className="text-right font-normal">on the trailing</th>
              <th className="text-right font-normal">force at the end</th>
              <th className="text-right font-normal">bends it</th>
              <th className="text-right font-normal">along</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {schools.map((s) => (
              <tr
                key={`${s.infeed} ${s.rule}`}
                className={clsx('border-t border-line', s.chosen && 'bg-inset font-semibold')}
              >
                <th className="py-1 font-normal">
                  {INFEED_NAMES[s.infeed]}
                  <span className="block text-sm text-ink2">{RULE_NAMES[s.rule]}</span>
                </th>
                <td className="num text-right">{s.passes}</td>
                <td className="num text-right">{fine(s.end.chipMm.leading)}</td>
                <td className="num text-right">{fine(s.end.chipMm.trailing)}</td>
                <td className="num text-right">
                  {s.end.atLeast ? '\u2265 ' : ''}
                  {forceText(s.end.mainN)}
                </td>
                <td className="num text-right">{forceText(s.end.radialN)}</td>
                <td className="num text-right">{forceText(s.end.axialN)}</td>
                <td className="text-right">
                  {s.chosen ? (
                    'chosen'
                  ) : (
                    <Button
                      className="min-h-12"
                      aria-label={`Take: ${INFEED_NAMES[s.infeed]}, ${RULE_NAMES[s.rule]}`}
                      onClick={() => {
                        if (s.infeed !== job.setup.infeed) act({ do: 'setUp', infeed: s.infeed });
                        if (s.rule !== job.cut.rule) act({ do: 'setSchedule', rule: s.rule });
                      }}
                    >
                      Take
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="text-sm text-ink2">
        What is taken is kept for {job.intake.material}: the next job of it begins so.
      </p>
    </section>
  );
}
