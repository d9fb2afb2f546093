import { fitOfJob } from '../../../core/job/derive.ts';
import { measurePlan } from '../../../core/job/measure.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useShop, useSystem } from '../../store/store.ts';
import { Figure } from '../../ui/Figure.tsx';

/** What no wire can measure is proved by its mate or a plug: which sizes that has to have. */
export function ByMate() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const other = system === 'mm' ? 'in' : 'mm';
  const plan = fitOfJob(job);
  if (!plan) return null;
  return (
    <div className="grid gap-3">
      {!measurePlan(job, shop)?.atHand && (
        <p className="text-lg">
          {plan.make === 'internal'
            ? 'Wires do not go into a nut. Try the screw, or a plug turned to the pitch diameter below; a gauge of one size proves one size only.'
            : 'A square thread has no flanks for wires to rest on. Try the nut.'}
        </p>
      )}
      <div className="grid grid-cols-2 gap-3">
        <Figure
          label="Pitch diameter to reach"
          value={lengthText(plan.pitchDiameterMm, system, FINE)}
          other={lengthText(plan.pitchDiameterMm, other, FINE)}
          working={{ title: 'Pitch diameter', steps: [plan.working.pitchDiameter] }}
        />
        <Figure
          label={plan.make === 'internal' ? 'Root of the nut' : 'Root of the screw'}
          value={lengthText(plan.rootDiameterMm, system)}
          other={lengthText(plan.rootDiameterMm, other)}
          working={{
            title: plan.make === 'internal' ? 'Root of the nut' : 'Root of the screw',
            steps: [plan.working.root],
          }}
        />
      </div>
    </div>
  );
}
