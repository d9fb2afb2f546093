import { cautionsAt } from '../../core/job/cautions.ts';
import type { StationId } from '../../core/job/stations.ts';
import { cautionText } from '../../words/cautions.ts';
import { useJobView } from '../job/jobContext.tsx';
import { useShop, useSystem } from '../store/store.ts';
import { Note } from './controls.tsx';

/** The cautions that apply at a station, gravest first; nothing where none does. */
export function Cautions({ station }: { readonly station: StationId }) {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const codes = cautionsAt(station, job, shop);
  if (codes.length === 0) return null;
  return (
    <Note tone="caution">
      <ul aria-label="Cautions" className="grid gap-1">
        {codes.map((code) => (
          <li key={code}>{cautionText(code, system)}</li>
        ))}
      </ul>
    </Note>
  );
}
