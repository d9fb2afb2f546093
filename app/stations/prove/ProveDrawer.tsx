import type { MeasurePlan } from '../../../core/job/measure.ts';
import { Drawer } from '../../ui/Drawer.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { Finish } from './Finish.tsx';
import { Pins } from './Pins.tsx';
import { Size } from './Size.tsx';
import { VerdictPanel } from './VerdictPanel.tsx';
import { WorthIt } from './WorthIt.tsx';

export const PROVE_TABS = ['size', 'pins', 'finish', 'verdict', 'worth'] as const;
export type ProveTab = (typeof PROVE_TABS)[number];

/** Everything rarer of a proof: the belief, what is laid in, finishing, the verdict, and whether it is worth it. */
export function ProveDrawer({
  tab,
  onTab,
  plan,
  onClose,
}: {
  readonly tab: ProveTab;
  readonly onTab: (tab: ProveTab) => void;
  readonly plan: MeasurePlan | null;
  readonly onClose: () => void;
}) {
  const balls = plan?.by === 'balls';
  return (
    <Drawer label="Measured" title="Measured and tried" onClose={onClose}>
      <Tabs
        label="Of the proof"
        value={tab}
        onChange={(t) => onTab(t as ProveTab)}
        tabs={[
          { id: 'size', label: 'Size', body: <Size /> },
          ...(plan ? [{ id: 'pins', label: balls ? 'Balls' : 'Wires', body: <Pins plan={plan} /> }] : []),
          { id: 'finish', label: 'Finish', body: <Finish /> },
          { id: 'verdict', label: 'Verdict', body: <VerdictPanel /> },
          { id: 'worth', label: 'Worth it?', body: <WorthIt /> },
        ]}
      />
    </Drawer>
  );
}
