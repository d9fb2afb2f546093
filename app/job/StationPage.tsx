import { Navigate, useParams } from 'react-router';
import { isStation } from '../../core/job/stations.ts';
import { JobFrame } from './JobFrame.tsx';
import { modeOf } from './stationViews.ts';

/** The station of the address; one that there is not leads to the readings. */
export function StationPage() {
  const { jobId = '', station = '', mode } = useParams();
  if (!isStation(station)) return <Navigate to={`/jobs/${jobId}/read`} replace />;
  return <JobFrame station={station} mode={modeOf(mode)} />;
}
