import { threadOfJob, latheOf } from '../../../core/job/derive.ts';
import { leadMmOf, threadFormOf } from '../../../core/standards/thread.ts';
import { isGeared } from '../../../core/lathe/schema.ts';
import { TAPER_WAYS } from '../../../core/job/schema.ts';
import { TAPER_WAY_NAMES, taperDepthText, taperWayText } from '../../../words/taper.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';

/** How a taper is followed, and what that does; nothing on a parallel thread. */
export function TaperSection() {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const thread = threadOfJob(job);
  const lathe = latheOf(job, shop);
  if (!thread) return null;
  const { taper } = threadFormOf(thread);
  if (taper === 0) return null;
  const way = job.setup.taperBy;
  const here = TAPER_WAYS.filter((w) =>
    w === 'control'
      ? lathe === null || !isGeared(lathe)
      : w !== 'attachment' || lathe === null || lathe.has.includes('taper-attachment') || way === w,
  );
  return (
    <section aria-label="The taper" className="grid gap-3 border-t border-line pt-3">
      <h3 className="font-semibold">The taper, 1 : {Number((1 / Math.abs(taper)).toFixed(2))} on diameter</h3>
      <Choice
        label="Followed by"
        value={way ?? ''}
        options={[{ value: '', label: 'not said' }, ...here.map((value) => ({ value, label: TAPER_WAY_NAMES[value] }))]}
        onChange={(v) => act({ do: 'setUp', taperBy: TAPER_WAYS.find((w) => w === v) ?? null })}
      />
      {way === 'set-over' && (
        <LengthField
          label="Length over the centres"
          mm={job.setup.overCentresMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 20_000 }}
          onClear={() => act({ do: 'setUp', overCentresMm: null })}
          onCommit={(mm) => act({ do: 'setUp', overCentresMm: mm })}
        />
      )}
      <div className="grid gap-2">
        {taperWayText(
          way,
          {
            taper,
            leadMm: leadMmOf(thread),
            overCentresMm: job.setup.overCentresMm,
            make: job.intake.make,
            leftHand: thread.leftHand,
          },
          system,
        ).map((t) => (
          <Note key={t} tone={way === null ? 'caution' : 'say'}>
            {t}
          </Note>
        ))}
        <Note tone="say">{taperDepthText(taper, system)}</Note>
      </div>
    </section>
  );
}
