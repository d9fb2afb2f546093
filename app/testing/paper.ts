import { stationStates } from '../../core/job/chain.ts';
import { latheOf, threadOfJob } from '../../core/job/derive.ts';
import { machineOf } from '../../core/job/machine.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import type { Paper } from '../../core/sheet/paper.ts';
import type { Sheet } from '../../core/sheet/shapes.ts';
import type { SheetId } from '../../words/paper/frame.ts';
import { pagesOn, type OnPaper } from '../sheets/papers.ts';

/** What the sheets of a job are made from, as the open job would have it. */
export function onPaper({ job, shop }: { readonly job: Job; readonly shop: Shop }): OnPaper {
  const states = stationStates(job, shop, threadOfJob(job));
  return {
    job,
    shop,
    top: threadOfJob(job),
    states,
    machine: machineOf(job, shop, states),
    system: 'mm',
    dialUnit: latheOf(job, shop)?.crossSlide.unit ?? 'mm',
    chart: { scale: 20, turn: 'upright', along100Mm: 100, down100Mm: 100 },
  };
}
/** Pages of one sheet. */
export const pagesOfSheet = (
  id: SheetId,
  of: { readonly job: Job; readonly shop: Shop },
  paper: Paper = 'a4',
): readonly Sheet[] => pagesOn([id], onPaper(of), paper, null)[0]?.pages ?? [];
export function pageOf(id: SheetId, of: { readonly job: Job; readonly shop: Shop }): Sheet {
  const [page] = pagesOfSheet(id, of);
  if (!page) throw new Error(`no ${id}`);
  return page;
}
