import type { MountedTrain } from '../../../core/gearing/mounting/index.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import type { Flanks } from '../../../core/form/flanks.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem } from '../../store/store.ts';
import { engagedOf } from '../../../core/job/derive.ts';
import { lengthText, ppmText, percentText } from '../../../core/quantity/format.ts';
import { sameGears, gearsToChange } from '../../../core/gearing/train.ts';
import { pitchErrorEffect, shareEaten } from '../../../core/gearing/proof/index.ts';
import { trainText } from '../../../core/gearing/trainText.ts';
import { leverName, takeTrain } from './trainQuery.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { exact } from '../../../core/quantity/rational.ts';
import { Button } from '../../ui/controls.tsx';
import { orderByShopRule } from '../../../core/gearing/search/index.ts';
import { mountText, toChangeText } from '../../../words/gears.ts';

export function TrainTable({
  trains,
  lathe,
  flanks,
}: {
  readonly trains: readonly MountedTrain[];
  readonly lathe: Lathe;
  readonly flanks: Flanks;
}) {
  const { job } = useJobView();
  const system = useSystem();
  const boxed = Object.keys(lathe.levers).length > 0;
  const engagementMm = engagedOf(job);
  return (
    <table className="mt-2 w-full text-left">
      <thead>
        <tr className="text-sm text-ink2">
          <th className="font-normal">Drivers / driven</th>
          <th className="pl-2 text-right font-normal">Over {lengthText(engagementMm, system)}</th>
          <th>
            <span className="sr-only">Take</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {trains.map((t) => {
          const isIt = job.gears.train !== null && sameGears(job.gears.train, t);
          const effect = pitchErrorEffect(t.errorPpm, engagementMm, flanks);
          const share = shareEaten(effect, job.fit.pitchClearanceMm);
          return (
            <tr
              key={trainText(t) + t.gearbox}
              className={`border-t border-line align-top ${isIt ? 'bg-inset shadow-[inset_6px_0_var(--ink)]' : ''}`}
            >
              <td className={`py-1.5 ${isIt ? 'pl-3' : ''}`}>
                <span className="num block text-[17px] font-semibold xs:whitespace-nowrap">{trainText(t)}</span>
                {boxed && <span className="block text-sm">{leverName(lathe, t.gearbox)}</span>}
                <span className="num block text-sm xs:whitespace-nowrap">
                  {pitchText(exact(t.leadMm), system)}
                  {t.errorPpm !== 0 && `, ${ppmText(t.errorPpm)}`}
                </span>
                <span className="block text-sm">
                  <OnTheArm train={t} />
                  <span className="text-ink2">
                    , <span>{toChangeText(gearsToChange(t, lathe.mounted), t.gearbox !== lathe.mounted?.gearbox)}</span>
                  </span>
                </span>
              </td>
              <td className="py-1.5 pl-2 text-right">
                <span className={`num block text-[17px] xs:whitespace-nowrap ${t.errorPpm === 0 ? 'text-go' : ''}`}>
                  {t.errorPpm === 0
                    ? 'exact'
                    : lengthText(Math.abs(effect.mismatchMm), system, { stepMm: 0.0001, stepIn: 0.00001 })}
                </span>
                {t.errorPpm !== 0 && share !== null && (
                  <span className="block text-sm text-ink2">{percentText(share)} of the clearance</span>
                )}
              </td>
              <td className="w-[1%] py-1.5 pl-2 text-right">
                {isIt ? (
                  <span className="font-semibold text-go">chosen</span>
                ) : (
                  <Button data-row aria-label={`Take ${trainText(t)}`} className="px-3" onClick={() => takeTrain(t)}>
                    Take
                  </Button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function OnTheArm({ train }: { readonly train: MountedTrain }) {
  const { mount } = train;
  const system = useSystem();
  if (mount === null)
    return orderByShopRule(train) ? (
      'not checked; the shop rule allows it'
    ) : (
      <span className="text-stop">does not go on by the shop rule: a gear meets its neighbour’s shaft</span>
    );
  if (!mount.fits) return <span className="text-stop">{mountText(mount, system)}</span>;
  const idlers = mount.gears.filter((g) => g.role === 'idler').map((g) => g.teeth);
  return (
    <span className="text-go">
      fits{idlers.length > 0 && `, idler${idlers.length > 1 ? 's' : ''} ${idlers.join(' and ')}`}
    </span>
  );
}
