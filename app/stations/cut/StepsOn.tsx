import { latheOf } from '../../../core/job/derive.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { editShop, useShop } from '../../store/store.ts';
import { Choice } from '../../ui/choices.tsx';

/** What a step is on the lathe of this job: three thou are on the radius at one and on the diameter at another. Null: nobody has said. */
export function useStepsOn(): 'radius' | 'diameter' | null {
  const { job } = useJobView();
  const lathe = latheOf(job, useShop());
  return lathe ? lathe.stepsOn : 'radius';
}

/** Asked once at each lathe, never guessed. */
export function StepsOn() {
  const { job } = useJobView();
  const lathe = latheOf(job, useShop());
  if (!lathe) return null;
  return (
    <Choice
      label="A step at this lathe is (asked once)"
      value={lathe.stepsOn ?? ''}
      options={[
        { value: 'radius', label: 'on the radius' },
        { value: 'diameter', label: 'on the diameter' },
      ]}
      onChange={(v) =>
        editShop('say what a step is', (d) => {
          const l = d.lathes.find((x) => x.id === lathe.id);
          if (l && v !== '') l.stepsOn = v;
        })
      }
    />
  );
}
