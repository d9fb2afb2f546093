import { latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { standOffs } from '../../../core/job/standOffs.ts';
import { cleaning } from '../../../core/job/recut.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useShop } from '../../store/store.ts';
import { Drawer } from '../../ui/Drawer.tsx';
import { BatchPanel } from './BatchPanel.tsx';
import { CleanPanel } from './CleanPanel.tsx';
import { JointPanel } from './JointPanel.tsx';
import { StandOffPanel } from './StandOffPanel.tsx';

/** Everything rarer of an old part: where a new length joins it, what cleans it, its taper, the others of its batch. */
export function OldPart({ unit, onClose }: { readonly unit: UnitSystem; readonly onClose: () => void }) {
  const { job } = useJobView();
  const shop = useShop();
  const thread = threadOfJob(job);
  const { cameIn, wanted } = job.intake;
  const joined = cameIn === 'broken-shaft' || wanted === 'extend';
  if (!thread || !latheOf(job, shop)) return null;
  return (
    <Drawer label="The old part" title="The old part" onClose={onClose}>
      <JointPanel unit={unit} joined={joined} />
      {wanted === 'recut' && <CleanPanel cleaned={cleaning(job)} unit={unit} />}
      {standOffs(job) && <StandOffPanel unit={unit} />}
      <BatchPanel />
    </Drawer>
  );
}
