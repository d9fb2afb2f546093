import { STATION_NAMES } from '../../../words/stations.ts';
import { useJobView } from '../../job/jobContext.tsx';

/** From the machine one goes back to the desk: to what was set up. */
export function useBack(): { readonly to: string; readonly label: string } {
  const { job } = useJobView();
  return { to: `/jobs/${job.id}/setup`, label: `Back to the desk: ${STATION_NAMES.setup}` };
}
