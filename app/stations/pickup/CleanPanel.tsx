import { Link } from 'react-router';
import type { Cleaned } from '../../../core/fit/clean.ts';
import { fitOfJob } from '../../../core/job/derive.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import { cleanedText } from '../../../words/fit.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { cleanedFit } from '../../../core/job/cleanedFit.ts';
import { cleanedFitText } from '../../../words/oldPart.ts';
import { Note } from '../../ui/controls.tsx';

/** What cleans a bruised thread all over, and what that does to its fit. */
export function CleanPanel({ cleaned, unit }: { readonly cleaned: Cleaned | null; readonly unit: UnitSystem }) {
  const { job } = useJobView();
  const fit = fitOfJob(job);
  return (
    <section aria-label="Clean-up" className="grid gap-3 border-t-2 border-edge pt-3">
      <h3 className="text-lg font-bold">Clean-up of what is bruised</h3>
      {cleaned && fit ? (
        <>
          {cleanedText(cleaned, job.intake.make, unit).map((t) => (
            <p key={t} className="text-lg leading-snug">
              {t}
            </p>
          ))}
          {cleanedFitText(cleanedFit(job), unit).map((t) => (
            <Note key={t} tone="caution">
              {t}
            </Note>
          ))}
        </>
      ) : (
        <p>
          <Link to={`/jobs/${job.id}/fit`} className="underline underline-offset-4">
            Say under Fit how deep it is bruised
          </Link>{' '}
          and how far it runs out: the depth that cleans it follows.
        </p>
      )}
    </section>
  );
}
