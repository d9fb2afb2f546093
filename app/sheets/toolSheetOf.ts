import { fitOfJob, latheOf, threadOfJob } from '../../core/job/derive.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import { toolViewOf } from '../../core/job/toolView.ts';
import { toolSheetDrawing } from '../../core/sheet/toolSheet.ts';
import type { Sheet } from '../../core/sheet/shapes.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { toolSheetWords } from '../../words/toolSheet.ts';

/** The tool sheet of a job as it stands; null where no tool follows from it. */
export function toolSheetOf(job: Job, shop: Shop, system: UnitSystem): Sheet | null {
  const view = toolViewOf(job);
  const fit = fitOfJob(job);
  const thread = threadOfJob(job);
  if (!view?.ok || !fit || !thread) return null;
  return toolSheetDrawing(
    view.value,
    fit.form,
    fit.make,
    toolSheetWords({ job, thread, view: view.value, lathe: latheOf(job, shop), system }),
  );
}
